package idlebough.core.rootstock;

import idlebough.core.crop.Misfit;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.rootstock.StockOffer.Aspect;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Another stock that the ground and the winter speak less against than the one chosen: what one mends another may open,
 * so all that is asked of it counts, and what it loses is said.
 *
 * @param stock empty where none does better: then height, a pot or another crop is what is left
 * @param loses what it stands worse than the one chosen
 */
public record BetterStock(Optional<Rootstock> stock, List<Aspect> loses) {
    private static final Sentences WORDS = Sentences.of("rootstock");
    /** One stop weighs more than doubts of all that is asked. */
    private static final int STOP = 10;

    /** @param chosen empty when the offers do not hold it, which then has nothing to be compared with */
    public static Optional<BetterStock> of(StockOffers offers, Rootstock chosen) {
        return offers.of(chosen.key())
                .map(now -> offers.offers().stream()
                        .filter(offer ->
                                !offer.stock().ownRooted() && offer.misfit().isEmpty())
                        .filter(offer -> stops(offer) < stops(now) || stops(now) == 0 && against(offer) < against(now))
                        .min(Comparator.comparingInt(BetterStock::against)
                                .thenComparingDouble(offer -> Math.abs(
                                        offer.size().spread() - now.size().spread())))
                        .map(best -> new BetterStock(
                                Optional.of(best.stock()),
                                Stream.of(Aspect.values())
                                        .filter(aspect -> best.standing(aspect).isWorseThan(now.standing(aspect)))
                                        .toList()))
                        .orElseGet(() -> new BetterStock(Optional.empty(), List.of())));
    }

    /** Stops and doubts; a graft that fails is a stop, one that holds poorly a doubt. */
    private static int against(StockOffer offer) {
        return (int) (STOP * stops(offer) + offer.doubts());
    }

    private static long stops(StockOffer offer) {
        return offer.stands().values().stream().filter(Standing.STOP::equals).count()
                + (offer.misfit().filter(Misfit::fails).isPresent() ? 1 : 0);
    }

    /** What it mends and what it loses, in words. */
    Phrase words() {
        String sentence = stock.isEmpty() ? "instead.none" : loses.isEmpty() ? "instead.all" : "instead.some";
        return WORDS.say(
                sentence,
                Map.of(
                        "stock",
                        stock.map(Rootstock::name).orElse(""),
                        "loses",
                        loses.stream().map(Aspect::words).collect(Collectors.joining(" and "))));
    }
}
