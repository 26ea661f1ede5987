package idlebough.core.pollination;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Point;
import idlebough.core.variety.Varieties;
import idlebough.core.variety.Variety;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Who pollinates whom in one plan. A tree without a place yet is taken as within reach of all.
 */
public final class PartnerWeb {
    public static final String PARTNER_RULE = "pollination.partner";
    public static final String TRIPLOID_RULE = "pollination.triploid";
    private static final Source SOURCE = Source.practice(
            "a second, different variety in bloom at the same time within 15 m, at most 30 m; triploids need two");
    private final List<Flowering> trees;

    /** One tree of the plan as this room sees it. */
    public record Flowering(String id, String label, Variety variety, Point place) {}

    /** @param score null of value 0 when it refuses */
    public record Link(Flowering partner, PartnerScore score) {}

    public PartnerWeb(Collection<Flowering> trees) {
        this.trees = List.copyOf(trees);
    }

    /** Every other tree of the same kind of fruit, best first. */
    public List<Link> partnersOf(Flowering receiver) {
        return trees.stream()
                .filter(other -> !other.id().equals(receiver.id())
                        && related(other.variety().crop(), receiver.variety().crop()))
                .map(other -> new Link(
                        other, PartnerScore.of(receiver.variety(), other.variety(), apart(receiver, other), 1)))
                .sorted(Comparator.comparingDouble((Link link) -> -link.score().value())
                        .thenComparingDouble(link -> link.score().apart()))
                .toList();
    }

    private static boolean related(Crop a, Crop b) {
        return a.equals(b) || Set.of(a.key(), b.key()).equals(Set.of("sour-cherry", "sweet-cherry"));
    }

    private static double apart(Flowering a, Flowering b) {
        return a.place() == null || b.place() == null ? 0 : a.place().distance(b.place());
    }

    public List<Flowering> trees() {
        return trees;
    }

    /** What a tree gets from itself and all partners, counting each variety once, by its best tree. */
    public double setOf(Flowering receiver) {
        Set<String> seen = new HashSet<>();
        List<Double> best = partnersOf(receiver).stream()
                .filter(link -> seen.add(link.partner().variety().key()))
                .map(link -> link.score().value())
                .toList();
        return PartnerScore.together(receiver.variety().selfFruitful(), best);
    }

    /** How {@link #setOf} comes about. */
    public Working setWorking(Flowering receiver) {
        Set<String> seen = new HashSet<>();
        double set = setOf(receiver);
        Working.Builder steps = Working.of("How {} comes about", Amount.of(set, Quantity.SCORE))
                .step("its own pollen gives {}", Amount.of(receiver.variety().selfFruitful(), Quantity.SCORE));
        partnersOf(receiver).stream()
                .filter(link -> seen.add(link.partner().variety().key()))
                .limit(6)
                .forEach(link -> steps.step(
                        "{} gives {}",
                        link.partner().label(),
                        Amount.of(link.score().value(), Quantity.SCORE)));
        return steps.step(
                        "together 1 − the product of what each leaves undone = {}; each variety counts once, by its best tree",
                        Amount.of(set, Quantity.SCORE))
                .sensitive("Most sensitive to the best partner's bloom.")
                .from(SOURCE);
    }

    public List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        trees.stream()
                .filter(tree -> tree.variety().crop().vector() != Crop.Vector.NONE)
                .forEach(tree -> findings.add(partner(tree)));
        return findings;
    }

    private Finding partner(Flowering tree) {
        Variety variety = tree.variety();
        List<Link> giving = partnersOf(tree).stream()
                .filter(link -> link.score().value() >= PartnerScore.THIN)
                .toList();
        long different = giving.stream()
                .map(link -> link.partner().variety().key())
                .distinct()
                .count();
        double set = setOf(tree);
        String subject = "tree:" + tree.id();
        if (variety.triploid() && different < 2) {
            return new Finding(
                    TRIPLOID_RULE,
                    subject,
                    Standing.STOP,
                    Phrase.of("{} needs two partners and has {}.", tree.label(), different == 0 ? "none" : "one"),
                    Phrase.of(
                            "‘{}’ is triploid: it gives no pollen, so it needs two diploid varieties that also fit each other.",
                            variety.name()),
                    Amount.count(different),
                    Amount.count(2),
                    List.of(mend(tree)),
                    Source.published(
                            "de Nettancourt 1977; triploid pollen is mostly unviable",
                            idlebough.core.judge.Certainty.SURE));
        }
        // Bloom groups are told to one step: what a neighbour group would change is the band.
        Set<String> seen = new HashSet<>();
        double worse = PartnerScore.together(
                variety.selfFruitful(),
                partnersOf(tree).stream()
                        .filter(link -> seen.add(link.partner().variety().key()))
                        .map(link -> link.score().oneStepWorse(variety))
                        .toList());
        double band = Math.max(0.05, set - worse);
        Standing standing = Standing.of(set, band, PartnerScore.GOOD, 0.05, Standing.Wanted.AT_LEAST);
        Phrase reason;
        Phrase headline;
        if (standing == Standing.SOUND) {
            headline = Phrase.of("{} will be pollinated.", tree.label());
            reason = variety.selfFruitful() >= 1
                    ? Phrase.of("‘{}’ sets a crop with its own pollen.", variety.name())
                    : Phrase.of(
                            "Its best partner is {}, {} away.",
                            giving.isEmpty()
                                    ? "its own pollen"
                                    : giving.get(0).partner().label(),
                            Amount.metres(
                                    giving.isEmpty() ? 0 : giving.get(0).score().apart()));
        } else {
            headline = set >= PartnerScore.GOOD
                    ? Phrase.of("{} may miss its partner’s bloom.", tree.label())
                    : giving.isEmpty()
                            ? Phrase.of("{} has no partner.", tree.label())
                            : Phrase.of("{} has only a thin partner.", tree.label());
            reason = set >= PartnerScore.GOOD
                    ? Phrase.of(
                            "‘{}’ reckons to {} of a full set; if its group were told one step wrong, to {}. {} is wanted.",
                            variety.name(),
                            Amount.of(set, Quantity.SCORE),
                            Amount.of(worse, Quantity.SCORE),
                            Amount.of(PartnerScore.GOOD, Quantity.SCORE))
                    : Phrase.of(
                            "‘{}’ reckons to {} of a full set; {} is wanted. {}",
                            variety.name(),
                            Amount.of(set, Quantity.SCORE),
                            Amount.of(PartnerScore.GOOD, Quantity.SCORE),
                            why(tree));
        }
        return new Finding(
                PARTNER_RULE,
                subject,
                standing,
                headline,
                reason,
                Amount.of(set, Quantity.SCORE),
                Amount.of(PartnerScore.GOOD, Quantity.SCORE),
                List.of(mend(tree)),
                SOURCE);
    }

    private String why(Flowering tree) {
        List<Link> all = partnersOf(tree);
        if (all.isEmpty()) {
            return "No other tree of its kind is planned.";
        }
        Link near = all.get(0);
        if (all.stream()
                .allMatch(link ->
                        link.partner().variety().key().equals(tree.variety().key()))) {
            return "Trees of the same variety are one plant to each other.";
        }
        if (near.score().genes() == 0) {
            return "It refuses the pollen of the others.";
        }
        return near.score().bloom().days() < 3
                ? "The others bloom at another time."
                : near.score().distance() < 0.5 ? "The others stand too far off." : "Its pollen is no use to it.";
    }

    private static Remedy mend(Flowering tree) {
        return Remedy.of("pollination.mend", Phrase.of("Show varieties that would mend it"), Map.of("tree", tree.id()));
    }

    /** Varieties of the catalogue that would serve this tree well if planted beside it, best first. */
    public static List<Link> wouldServe(Flowering tree) {
        return Varieties.all().stream()
                .filter(candidate -> !candidate.key().equals(tree.variety().key()))
                .map(candidate -> new Link(
                        new Flowering(candidate.key(), candidate.label(), candidate, null),
                        PartnerScore.of(tree.variety(), candidate, 0, 1)))
                .filter(link -> link.score().value() >= PartnerScore.GOOD)
                .sorted(Comparator.comparingDouble((Link link) -> -link.score().value()))
                .toList();
    }
}
