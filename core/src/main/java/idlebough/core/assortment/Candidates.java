package idlebough.core.assortment;

import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import idlebough.core.pollination.BloomTimes;
import idlebough.core.pollination.Pairing;
import idlebough.core.pollination.PartnerRules;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.rootstock.RootstockStage;
import idlebough.core.rootstock.StockOffer;
import idlebough.core.variety.Choice;
import idlebough.core.variety.Effort;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What may stand here at all of what is wished for: varieties that nothing stops, each on one or two stocks that bear
 * ground and winter.
 *
 * @param all of them, those of one crop together, the best first
 * @param kept what must stay, each with how many of it
 * @param standing varieties of trees that stand and give pollen
 */
public record Candidates(List<Candidate> all, List<Choice> kept, List<Variety> standing, BloomTimes times) {
    /** Of one crop: more make the search longer and change little that is shown. */
    private static final int MOST = 10;

    private static final int HARDLY = 1;

    /** @param kept what must stay of the choices */
    public static Candidates of(
            VarietyStage varieties,
            RootstockStage stocks,
            List<Variety> standing,
            AssortmentWish wish,
            List<Choice> kept) {
        List<Candidate> all = new ArrayList<>();
        wish.crops().keySet().stream()
                .sorted()
                .forEach(crop -> varieties.verdicts().stream()
                        .filter(verdict -> verdict.variety().crop().key().equals(crop) && may(verdict, wish))
                        .sorted(Comparator.comparingInt((VarietyVerdict verdict) ->
                                        verdict.raised().step())
                                .thenComparingDouble(verdict -> verdict.raised().rank()))
                        .limit(MOST)
                        .forEach(verdict -> stocks(stocks, verdict)
                                .forEach(offer ->
                                        all.add(Candidate.of(verdict, offer, varieties.ripe(verdict.variety()))))));
        return new Candidates(List.copyOf(all), List.copyOf(kept), List.copyOf(standing), BloomTimes.at(varieties));
    }

    /**
     * The hard rules of one variety: nothing stops it that height would not mend, its chill is as safe as wished, and it
     * does without sprays.
     */
    static boolean may(VarietyVerdict verdict, AssortmentWish wish) {
        Variety variety = verdict.variety();
        boolean safe =
                verdict.match().map(match -> match.ofTen() >= wish.safety()).orElse(true);
        boolean clean = variety.ills().isEmpty()
                ? Effort.of(variety.crop()).grade() == 1
                : variety.ills().values().stream().allMatch(grade -> grade <= HARDLY);
        // Slow soil is mended by height: it speaks against what wants a mound, and stops nothing.
        Standing stands = verdict.raised().standing().orElse(Standing.SOUND);
        return !PartnerRules.wantsCaprifig(variety) && stands != Standing.STOP && safe && (clean || !wish.noSprays());
    }

    /** Of the stocks with the fewest doubts the smallest tree and the middle one. */
    private static List<StockOffer> stocks(RootstockStage stage, VarietyVerdict verdict) {
        List<StockOffer> fit =
                stage.offers(new Choice("proposed", verdict.variety().key(), Optional.empty(), 1)).offers().stream()
                        .filter(offer ->
                                !offer.stoppedOnAMound() && offer.misfit().isEmpty())
                        .toList();
        long fewest = fit.stream().mapToLong(Candidate::against).min().orElse(0);
        List<StockOffer> best =
                fit.stream().filter(offer -> Candidate.against(offer) == fewest).toList();
        return best.isEmpty()
                ? List.of()
                : best.size() == 1
                        ? best
                        : List.of(best.get(0), best.get(best.size() / 2)).stream()
                                .distinct()
                                .toList();
    }

    /** What near trees of each variety are worth to each other: receiver, then partner. */
    Map<String, Map<String, Double>> pollen() {
        Map<String, Variety> varieties = new HashMap<>();
        all.forEach(candidate -> varieties.put(candidate.variety().key(), candidate.variety()));
        Map<String, Variety> donors = new HashMap<>(varieties);
        standing.forEach(variety -> donors.put(variety.key(), variety));
        Map<String, Map<String, Double>> pollen = new HashMap<>();
        varieties.values().stream().filter(Candidates::wantsPartner).forEach(receiver -> {
            Map<String, Double> row = new HashMap<>();
            donors.values().stream()
                    .filter(donor -> !donor.key().equals(receiver.key()) && Pairing.related(receiver, donor))
                    .forEach(donor -> row.put(
                            donor.key(), Pairing.of(receiver, donor, times).value()));
            pollen.put(receiver.key(), row);
        });
        return pollen;
    }

    /** Whether one tree of it alone does not set a crop. */
    static boolean wantsPartner(Variety variety) {
        return variety.crop().vector() != idlebough.core.crop.Crop.Vector.NONE
                && (variety.triploid() || variety.selfFruitful() < PartnerScore.GOOD);
    }
}
