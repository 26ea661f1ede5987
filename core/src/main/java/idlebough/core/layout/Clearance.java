package idlebough.core.layout;

import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Quantity;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.Point;
import java.util.Optional;
import java.util.Set;

/**
 * How far a tree of a size must stand from what stands, hangs and lies on the ground. The judge of places and the
 * filler
 * of a plot both ask here, so that the program never doubts a place that it chose itself.
 */
public final class Clearance {
    private static final RuleTable TABLE = RuleTable.of("layout");
    private static final double READING = TABLE.value("place-reading");

    private static final double LANE = TABLE.value("lane-width");
    private static final Set<String> THIRSTY = Set.of("fig", "walnut", "mulberry");
    private static final Set<String> OFF_FOUNDATIONS = Set.of("fig", "walnut", "pecan");
    private static final String FIG = "fig";
    private static final double HALF = 0.5;

    private Clearance() {}

    /**
     * A tree as far as it matters here.
     *
     * @param crop its key
     * @param size full grown
     */
    public record Grown(String crop, TreeSize size) {
        public static Grown of(PlannedTree tree) {
            return new Grown(tree.variety().crop().key(), tree.size());
        }
    }

    /** What is wanted from a feature, m from the stem; empty where nothing is asked. */
    public static Optional<Limit> wanted(Grown tree, Feature feature) {
        TreeSize size = tree.size();
        double half = size.spread() * HALF;
        return switch (feature.kind()) {
            case OVERHEAD ->
                size.height() + feature.keepsClear() > feature.stands()
                        ? limit("overhead", size.spread() * TABLE.value("clearance.overhead") + feature.keepsClear())
                        : Optional.empty();
            case BURIED -> limit("buried", feature.keepsClear());
            case DRAIN_FIELD ->
                THIRSTY.contains(tree.crop())
                        ? limit("thirsty", Math.max(TABLE.value("clearance.thirsty"), feature.keepsClear()))
                        : limit("drain-field", Math.max(feature.keepsClear(), size.height()));
            case BUILDING ->
                size.flat()
                        ? limit("flat", TABLE.value("clearance.flat"))
                        : OFF_FOUNDATIONS.contains(tree.crop())
                                ? limit("foundation", TABLE.value("clearance.foundation"))
                                : limit("building", half + TABLE.value("clearance.building"));
            case WALL, FENCE, HEDGE ->
                size.flat() && feature.kind() != Feature.Kind.HEDGE
                        ? limit("flat", TABLE.value("clearance.flat") + feature.thick() * HALF)
                        : tree.crop().equals(FIG)
                                ? limit("barrier.kept", TABLE.value("clearance.barrier.kept") + feature.thick() * HALF)
                                : limit("barrier", half + TABLE.value("clearance.barrier") + feature.thick() * HALF);
            // What is too narrow for wheels is walked on, and feet do no harm to roots.
            case PATH ->
                feature.thick() >= LANE
                        ? limit("lane", size.spread() * TABLE.value("clearance.lane") + feature.thick() * HALF)
                        : Optional.empty();
            case WET -> limit("wet", TABLE.value("clearance.wet"));
            case TREE ->
                limit(
                        "tree",
                        size.spread() * TABLE.value("clearance.tree")
                                + feature.size().crown().orElse(0.0) / 2);
            default -> Optional.empty();
        };
    }

    private static Optional<Limit> limit(String row, double metres) {
        return Optional.of(TABLE.limit("clearance." + row, metres, Quantity.LENGTH, Limit.Side.AT_LEAST));
    }

    /** How far off a feature stands, with what is not known of it. */
    static Measured measured(double metres) {
        return Measured.of(metres, READING, Quantity.LENGTH);
    }

    /** How far from a place a feature can matter at most, m. */
    static double reach(TreeSize size, FeatureIndex features) {
        return Math.max(
                TABLE.value("clearance.thirsty"),
                1.5 * (Math.max(size.spread(), size.height()) + features.widest()) + 2);
    }

    /**
     * What keeps the program from choosing a place, the first that is met; empty where it is clearly sound for the
     * judge
     * and off beds and paths too.
     */
    static Optional<Feature> blocking(Point at, Grown tree, FeatureIndex features) {
        TreeSize size = tree.size();
        return features.near(at, reach(size, features)).stream()
                .filter(placed -> !clears(placed, at, tree))
                .map(FeatureIndex.Placed::feature)
                .findFirst();
    }

    private static boolean clears(FeatureIndex.Placed placed, Point at, Grown tree) {
        // What is clear of the box around a feature is clear of it; that is asked far faster.
        return clears(placed.feature(), placed.boxDistance(at), tree)
                || clears(placed.feature(), placed.distance(at), tree);
    }

    private static boolean sound(Feature feature, double off, Grown tree) {
        return wanted(tree, feature)
                .map(limit -> Standing.of(measured(off), limit) == Standing.SOUND)
                .orElse(true);
    }

    private static boolean clears(Feature feature, double off, Grown tree) {
        return switch (feature.kind()) {
            case BEDS -> off >= tree.size().spread() * TABLE.value("clearance.beds");
            case PATH -> off >= TABLE.value("clearance.path") + feature.thick() / 2 && sound(feature, off, tree);
            default -> sound(feature, off, tree);
        };
    }
}
