package idlebough.core.rootstock;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.rootstock.StockOffer.Aspect;
import idlebough.core.site.SoilPit;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;

/**
 * All stocks of a variety beside one another, as they stand the ground and the winter of its trees and fit between the
 * pegs.
 *
 * @param here what they are measured against
 * @param offers from the smallest tree to the largest
 */
public record StockOffers(Variety variety, Here here, List<StockOffer> offers) {
    private static final RuleTable LAYOUT = RuleTable.of("layout");
    private static final RuleTable TABLE = RuleTable.of("rootstock");
    private static final Map<Rule, Aspect> ASPECTS = Map.of(
            RootstockRules.DRAINAGE_RULE, Aspect.WET,
            RootstockRules.MOUND, Aspect.WET,
            RootstockRules.NO_DRAIN, Aspect.WET,
            RootstockRules.LIME, Aspect.LIME,
            RootstockRules.SALT, Aspect.SALT,
            RootstockRules.DROUGHT, Aspect.DROUGHT,
            RootstockRules.COLD, Aspect.COLD,
            RootstockRules.REPLANT, Aspect.REPLANT,
            RootstockRules.TRAINING, Aspect.TRAINING);

    /**
     * What the stocks are measured against.
     *
     * @param tree any of the trees, or the choice while it has none with a place
     * @param pits that speak for the trees
     * @param apart from a tree to the nearest other one, the least of all of them, m; empty without places
     * @param coldest night of all whole winters, °C
     * @param habit what soil and training make of their size
     */
    public record Here(
            RootstockRules.Rooted tree,
            List<SoilPit> pits,
            Optional<Double> apart,
            OptionalDouble coldest,
            Habit habit) {}

    static StockOffers of(Catalogue catalogue, Variety variety, Here here) {
        RootstockRules rules = new RootstockRules(catalogue);
        return new StockOffers(
                variety,
                here,
                catalogue.rootstocksFor(variety.crop()).stream()
                        .map(stock -> new StockOffer(
                                stock,
                                TreeSize.of(variety, Optional.of(stock), here.habit()),
                                StockOffer.Range.of(variety, stock, here.habit()),
                                catalogue.misfit(variety, stock),
                                stands(rules, variety, stock, here)))
                        .sorted(Comparator.comparingDouble(offer -> offer.size().spread()))
                        .toList());
    }

    private static Map<Aspect, Standing> stands(RootstockRules rules, Variety variety, Rootstock stock, Here here) {
        RootstockRules.Rooted tree = here.tree().on(stock);
        Map<Aspect, Standing> stands = new EnumMap<>(Aspect.class);
        Stream<Finding> found = Stream.of(
                        rules.judge("", variety, Optional.of(stock), here.pits(), here.coldest()).stream(),
                        here.pits().stream().flatMap(pit -> rules.drainage(tree, pit).stream()),
                        here.habit().training().stream()
                                .map(system -> RootstockRules.training("", variety, stock, system)))
                .flatMap(Function.identity());
        found.forEach(finding -> Optional.ofNullable(ASPECTS.get(finding.rule()))
                .ifPresent(aspect -> stands.merge(aspect, finding.standing(), Standing::worse)));
        here.apart()
                .ifPresent(apart -> stands.put(
                        Aspect.ROOM,
                        room(
                                apart,
                                TreeSize.of(variety, Optional.of(stock), here.habit())
                                        .spread())));
        return stands;
    }

    /** Have two trees of this width room beside each other when full grown? By the limit of the layout. */
    private static Standing room(double apart, double spread) {
        return Standing.of(
                Measured.of(apart, LAYOUT.value("peg-reading"), Quantity.LENGTH),
                LAYOUT.limit("crowded", LAYOUT.value("crowded") * spread, Quantity.LENGTH, Limit.Side.AT_LEAST));
    }

    /** Those that nothing stops, the best first; empty while no pegs say how large a tree may become. */
    public List<StockOffer> ranked() {
        return here.apart().isEmpty()
                ? List.of()
                : offers.stream()
                        .filter(offer -> !offer.stopped() && !offer.stock().ownRooted())
                        .sorted(StockOffer.best())
                        .toList();
    }

    public Optional<StockOffer> of(String stock) {
        return offers.stream()
                .filter(offer -> offer.stock().key().equals(stock))
                .findFirst();
    }

    /** How the pick comes about. */
    public Working ranking() {
        Working.Builder steps = Working.of("How a stock is picked")
                .step("{} stocks of the catalogue take {}", Amount.count(offers.size()), variety.label())
                .step(
                        "{} of them are stopped: a graft that fails, ground or winter that they do not bear, or more "
                                + "width than the pegs leave",
                        Amount.count(offers.stream().filter(StockOffer::stopped).count()));
        here.apart().ifPresent(apart -> steps.step("the nearest pegs are {} apart", Amount.metres(apart)));
        ranked().stream()
                .limit(3)
                .forEach(offer -> steps.step(
                        "{}: {} wide, {} against it",
                        offer.stock().name(),
                        Amount.metres(offer.size().spread()),
                        Amount.count(offer.doubts())));
        return steps.sensitive("Most sensitive to how far the pegs stand apart.")
                .from(TABLE.source("pick"));
    }

    /** How much wider the pegs are apart than the tree grows, m; negative where it outgrows them. */
    public Optional<Double> left(StockOffer offer) {
        return here.apart().map(apart -> apart - offer.size().spread());
    }

    /** How far its size is told, as a share. */
    public static double uncertain() {
        return TABLE.value("size-uncertain");
    }
}
