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

/**
 * How far a tree of a size must stand from what stands, hangs and lies on the ground. The judge of places and the
 * filler
 * of a plot both ask here, so that the program never doubts a place that it chose itself.
 */
public final class Clearance {
    private static final RuleTable TABLE = RuleTable.of("layout");
    private static final double READING = TABLE.value("place-reading");

    private Clearance() {}

    /** What is wanted from a feature, m from the stem; empty where nothing is asked. */
    public static Optional<Limit> wanted(TreeSize size, Feature feature) {
        double half = size.spread() * TABLE.value("clearance.building");
        return switch (feature.kind()) {
            case OVERHEAD ->
                size.height() + feature.keepsClear() > feature.stands()
                        ? limit("overhead", size.spread() * TABLE.value("clearance.overhead") + feature.keepsClear())
                        : Optional.empty();
            case BURIED -> limit("buried", feature.keepsClear());
            case DRAIN_FIELD -> limit("drain-field", feature.keepsClear());
            case BUILDING -> limit("building", half);
            case WALL, FENCE, HEDGE -> limit("barrier", TABLE.value("clearance.barrier"));
            case WET -> limit("wet", TABLE.value("clearance.wet"));
            case TREE ->
                limit(
                        "tree",
                        size.spread() * TABLE.value("clearance.tree")
                                + (feature.crown() == null ? 0 : feature.crown() / 2));
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
        return 1.5 * (size.spread() + features.widest()) + 2;
    }

    /**
     * Whether the program may choose a place for a tree of a size: clearly sound for the judge, and off beds and paths
     * too.
     */
    public static boolean clear(Point at, TreeSize size, FeatureIndex features) {
        return features.near(at, reach(size, features)).stream().allMatch(placed -> {
            double off = placed.distance(at);
            Feature feature = placed.feature();
            return switch (feature.kind()) {
                case BEDS -> off >= size.spread() * TABLE.value("clearance.beds");
                case PATH -> off >= TABLE.value("clearance.path") + feature.thick() / 2;
                default ->
                    wanted(size, feature)
                            .map(limit -> Standing.of(measured(off), limit) == Standing.SOUND)
                            .orElse(true);
            };
        });
    }
}
