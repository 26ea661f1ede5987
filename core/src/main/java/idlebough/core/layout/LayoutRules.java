package idlebough.core.layout;

import static idlebough.core.measure.Quantity.TEMPERATURE;
import static idlebough.core.measure.Quantity.TEMPERATURE_STEP;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.Microclimate;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** The findings of this room: crowns that will meet, trees too near the boundary or off the plot, partners out of reach. */
public final class LayoutRules {
    public static final String CROWDED = "layout.crowded";
    public static final String BOUNDARY = "layout.boundary";
    public static final String OFF_PLOT = "layout.off-plot";
    public static final String PARTNER_REACH = "layout.partner-reach";
    public static final String OVERHEAD = "layout.overhead";
    public static final String COLD_PLACE = "layout.cold-place";
    private static final double COLDEST_HALF = 1;
    private static final double LIMIT_HALF = 3;
    public static final String CLEARANCE = "layout.clearance";
    private static final Source STANDS =
            Source.practice("distance by the tree’s mature size; never near a power line; ask the utility");
    private static final double FROM_A_WALL = 0.75;
    private static final double FROM_WET = 1;
    private static final Source SPACING =
            Source.practice("spacing follows the mature width; crowns may touch in the row, k 0.9 to 1");
    private static final Source EDGE =
            Source.practice("half the mature width from a boundary; local law may ask for more");
    private static final double MAY_TOUCH = 0.9;

    private LayoutRules() {}

    public static List<Finding> judge(Plot plot, List<PlannedTree> trees, PartnerWeb web) {
        List<Finding> findings = new ArrayList<>();
        for (PlannedTree tree : trees) {
            nearest(tree, trees).ifPresent(other -> findings.add(crowded(tree, other)));
            if (plot != null) {
                findings.add(boundary(plot, tree));
            }
            reach(tree, web).ifPresent(findings::add);
        }
        return findings;
    }

    /** What stands, hangs or lies too near the trees. */
    public static List<Finding> clearances(List<PlannedTree> trees, List<Feature> features) {
        List<Finding> findings = new ArrayList<>();
        for (PlannedTree tree : trees) {
            for (Feature feature : features) {
                clearance(tree, feature).ifPresent(findings::add);
            }
        }
        return findings;
    }

    /** The distance that a full-grown tree must keep from a feature, m; null where none is asked. */
    static Double wanted(PlannedTree tree, Feature feature) {
        double half = tree.size().spread() / 2;
        return switch (feature.kind()) {
            case OVERHEAD ->
                tree.size().height() + feature.keepsClear() > feature.stands() ? half + feature.keepsClear() : null;
            case BURIED, DRAIN_FIELD -> Double.valueOf(feature.keepsClear());
            case BUILDING -> Double.valueOf(half);
            case WALL, FENCE, HEDGE -> Double.valueOf(FROM_A_WALL);
            case WET -> Double.valueOf(FROM_WET);
            case TREE -> feature.crown() == null ? Double.valueOf(half) : Double.valueOf(half + feature.crown() / 2);
            default -> null;
        };
    }

    /**
     * Is a tree's own place colder than the station in a way that matters? Empty on ordinary ground, where the variety's
     * own finding says it all.
     *
     * @param coldest night of the record, °C
     * @param here what makes the place's cold nights other than the station's
     */
    public static Optional<Finding> coldPlace(PlannedTree tree, double coldest, Microclimate here) {
        if (here.parts().isEmpty()) {
            return Optional.empty();
        }
        double limit = tree.variety().coldCelsius();
        double night = coldest + here.kelvin();
        Standing standing =
                Standing.of(night, COLDEST_HALF + here.halfWidth(), limit, LIMIT_HALF, Standing.Wanted.AT_LEAST);
        return Optional.of(new Finding(
                COLD_PLACE,
                "tree:" + tree.id(),
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "The cold at {} is within what ‘{}’ stands."
                                : "The coldest night at {} may kill ‘{}’.",
                        tree.label(),
                        tree.variety().name()),
                Phrase.of(
                        "{} in the coldest night of the record, {} at the station and {} for this place ({}); its wood is usually safe to {}.",
                        Amount.of(night, TEMPERATURE),
                        Amount.of(coldest, TEMPERATURE),
                        Amount.of(here.kelvin(), TEMPERATURE_STEP),
                        here.parts().stream().map(Microclimate.Part::words).collect(Collectors.joining(", ")),
                        Amount.of(limit, TEMPERATURE)),
                Amount.of(night, TEMPERATURE),
                Amount.of(limit, TEMPERATURE),
                List.of(Remedy.of("site.layer", Phrase.of("See the cold air and its gap"), Map.of("layer", "cold"))),
                Source.practice("hollows 1 to 3 K colder, walls half a zone warmer, on clear nights")));
    }

    /** Whether a tree of a width may be put at a place as far as features go; used when a plot is filled. */
    public static boolean clear(Point at, double spread, List<Feature> features) {
        return features.stream().allMatch(feature -> {
            double off = feature.distance(at);
            double half = spread / 2;
            return switch (feature.kind()) {
                case OVERHEAD -> off >= half + feature.keepsClear();
                case BURIED, DRAIN_FIELD -> off >= Math.max(half / 2, feature.keepsClear());
                case BUILDING, BEDS -> off >= half;
                case TREE -> off >= half + (feature.crown() == null ? 0 : feature.crown() / 2);
                case WALL, FENCE, HEDGE -> off >= FROM_A_WALL;
                case WET -> off >= FROM_WET;
                case PATH -> off >= FROM_A_WALL + feature.thick() / 2;
                default -> true;
            };
        });
    }

    /** One tree and one feature; empty where it stands well clear. */
    static Optional<Finding> clearance(PlannedTree tree, Feature feature) {
        Double wanted = wanted(tree, feature);
        double off = feature.distance(tree.place());
        if (wanted == null || off > 1.5 * wanted + 1) {
            return Optional.empty();
        }
        Standing standing = Standing.of(off, 0.1, wanted, Certainty.FAIR.halfWidth(wanted), Standing.Wanted.AT_LEAST);
        if (standing == Standing.SOUND) {
            return Optional.empty();
        }
        boolean wire = feature.kind() == Feature.Kind.OVERHEAD;
        String name = feature.name().isBlank() ? feature.kind().words() : feature.name();
        Phrase reason = wire
                ? Phrase.of(
                        "It will be {} tall and the line hangs at {}; it stands {} off and should stand {}. Only the utility’s people work near lines.",
                        Amount.metres(tree.size().height()),
                        Amount.metres(feature.stands()),
                        Amount.metres(off),
                        Amount.metres(wanted))
                : Phrase.of(
                        "It stands {} off; {} is wanted{}",
                        Amount.metres(off),
                        Amount.metres(wanted),
                        switch (feature.kind()) {
                            case BURIED -> ". Have it located before anybody digs; some utilities want days of notice.";
                            case DRAIN_FIELD -> ", for roots look for its water; local code may ask for more.";
                            case WET -> ", since water stands there.";
                            case BUILDING -> ", half of its full-grown width.";
                            case TREE -> " for both crowns.";
                            default -> " to get behind it.";
                        });
        return Optional.of(new Finding(
                wire ? OVERHEAD : CLEARANCE,
                "tree:" + tree.id(),
                standing,
                wire
                        ? Phrase.of("{} will grow into {}.", tree.label(), name)
                        : Phrase.of("{} stands too near {}.", tree.label(), name),
                reason,
                Amount.metres(off),
                Amount.metres(wanted),
                List.of(Remedy.of(
                        "rootstock.choose",
                        Phrase.of("Choose a smaller stock"),
                        Map.of("subject", "tree:" + tree.id()))),
                STANDS));
    }

    /** The tree whose crown comes nearest when both are full grown. */
    public static Optional<PlannedTree> nearest(PlannedTree tree, List<PlannedTree> trees) {
        return trees.stream()
                .filter(other -> !other.id().equals(tree.id()))
                .min(Comparator.comparingDouble(other -> room(tree, other)));
    }

    /** What is left between two full-grown crowns, m; negative when they meet. */
    public static double room(PlannedTree a, PlannedTree b) {
        return a.place().distance(b.place()) - (a.size().spread() + b.size().spread()) / 2;
    }

    /** How the room between two full-grown crowns comes about. */
    public static Working roomWorking(PlannedTree a, PlannedTree b) {
        double year = yearOfTouch(a, b);
        Working.Builder steps = Working.of("How {} comes about", Amount.metres(room(a, b)))
                .step(
                        "{} between the stems of {} and {}",
                        Amount.metres(a.place().distance(b.place())),
                        a.label(),
                        b.label())
                .step(
                        "− half of {} and half of {}, their full-grown widths",
                        Amount.metres(a.size().spread()),
                        Amount.metres(b.size().spread()));
        if (!Double.isInfinite(year)) {
            steps.step("growing towards full size, they touch in year {}", Amount.count(Math.ceil(year)));
        }
        return steps.sensitive("Most sensitive to the widths, which are told to a fifth.")
                .from(SPACING);
    }

    /** How the distance to the boundary comes about. */
    public static Working edgeWorking(Plot plot, PlannedTree tree) {
        return Working.of("How {} comes about", Amount.metres(plot.distanceToBoundary(tree.place())))
                .step("square off the nearest boundary line to the stem")
                .step(
                        "half the full-grown width is {}",
                        Amount.metres(tree.size().spread() / 2))
                .sensitive("Most sensitive to how well the boundary was measured; local law may ask for more.")
                .from(EDGE);
    }

    /** The year after planting in which two crowns touch, or infinity. */
    public static double yearOfTouch(PlannedTree a, PlannedTree b) {
        double apart = a.place().distance(b.place());
        double low = 0;
        double high = 100;
        if ((a.crown(high) + b.crown(high)) / 2 < apart) {
            return Double.POSITIVE_INFINITY;
        }
        for (int i = 0; i < 50; i++) {
            double middle = (low + high) / 2;
            if ((a.crown(middle) + b.crown(middle)) / 2 < apart) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    private static Finding crowded(PlannedTree tree, PlannedTree other) {
        double apart = tree.place().distance(other.place());
        double wanted = MAY_TOUCH * (tree.size().spread() + other.size().spread()) / 2;
        Standing standing = apart >= wanted - 1e-6
                ? Standing.SOUND
                : Standing.of(apart, 0.05, wanted, TreeSize.SHARE_UNCERTAIN * wanted, Standing.Wanted.AT_LEAST);
        double year = yearOfTouch(tree, other);
        List<Remedy> remedies = new ArrayList<>();
        if (standing != Standing.SOUND && apart > 0.01) {
            double shift = wanted - apart;
            Point to = new Point(
                    tree.place().x() + (tree.place().x() - other.place().x()) / apart * shift,
                    tree.place().y() + (tree.place().y() - other.place().y()) / apart * shift);
            remedies.add(Remedy.of(
                    "layout.move", Phrase.of("Move {} {} away", tree.label(), Amount.metres(shift)), at(tree, to)));
        }
        remedies.add(Remedy.of(
                "rootstock.choose", Phrase.of("Choose a smaller stock"), Map.of("subject", "tree:" + tree.id())));
        Phrase headline = standing == Standing.SOUND
                ? Phrase.of("{} has room to grow.", tree.label())
                : Phrase.of("{} and {} will crowd each other.", tree.label(), other.label());
        Phrase reason = Double.isInfinite(year)
                ? Phrase.of(
                        "They stand {} apart and never meet; {} is wanted.",
                        Amount.metres(apart),
                        Amount.metres(wanted))
                : Phrase.of(
                        "They stand {} apart, {} is wanted; the crowns meet in year {}.",
                        Amount.metres(apart),
                        Amount.metres(wanted),
                        Amount.count(Math.ceil(year)));
        return new Finding(
                CROWDED,
                "tree:" + tree.id(),
                standing,
                headline,
                reason,
                Amount.metres(apart),
                Amount.metres(wanted),
                remedies,
                SPACING);
    }

    private static Finding boundary(Plot plot, PlannedTree tree) {
        double edge = plot.distanceToBoundary(tree.place());
        double wanted = tree.size().spread() / 2;
        if (!plot.holds(tree.place())) {
            return new Finding(
                    OFF_PLOT,
                    "tree:" + tree.id(),
                    Standing.STOP,
                    Phrase.of("{} stands off the plot.", tree.label()),
                    Phrase.of("It is {} outside the boundary.", Amount.metres(edge)),
                    Amount.metres(-edge),
                    Amount.metres(0),
                    List.of(Remedy.of(
                            "layout.move",
                            Phrase.of("Bring {} inside", tree.label()),
                            at(tree, inside(plot, tree.place(), wanted)))),
                    EDGE);
        }
        Standing standing = edge >= wanted - 1e-6
                ? Standing.SOUND
                : Standing.of(edge, 0.05, wanted, TreeSize.SHARE_UNCERTAIN * wanted, Standing.Wanted.AT_LEAST);
        return new Finding(
                BOUNDARY,
                "tree:" + tree.id(),
                standing,
                standing == Standing.SOUND
                        ? Phrase.of("{} keeps off the boundary.", tree.label())
                        : Phrase.of("{} will grow over the boundary.", tree.label()),
                Phrase.of(
                        "The stem stands {} from it; half its width is {}. Local law may ask for more.",
                        Amount.metres(edge),
                        Amount.metres(wanted)),
                Amount.metres(edge),
                Amount.metres(wanted),
                List.of(Remedy.of(
                        "layout.move",
                        Phrase.of("Move {} inward", tree.label()),
                        at(tree, inside(plot, tree.place(), wanted)))),
                EDGE);
    }

    /** A place towards the middle of the plot that keeps the distance, or the best met on the way. */
    private static Point inside(Plot plot, Point from, double wanted) {
        Point middle = new Point((plot.west() + plot.east()) / 2, (plot.south() + plot.north()) / 2);
        Point best = from;
        for (int i = 1; i <= 100; i++) {
            Point candidate = new Point(
                    from.x() + (middle.x() - from.x()) * i / 100, from.y() + (middle.y() - from.y()) * i / 100);
            if (plot.holds(candidate)) {
                best = candidate;
                if (plot.distanceToBoundary(candidate) >= wanted) {
                    break;
                }
            }
        }
        return best;
    }

    private static Map<String, String> at(PlannedTree tree, Point to) {
        return Map.of(
                "tree",
                tree.id(),
                "x",
                String.format(Locale.ROOT, "%.3f", to.x()),
                "y",
                String.format(Locale.ROOT, "%.3f", to.y()));
    }

    /** A partner that would serve, but for the distance. */
    private static Optional<Finding> reach(PlannedTree tree, PartnerWeb web) {
        if (tree.variety().selfFruitful() >= 1) {
            return Optional.empty();
        }
        return web.trees().stream()
                .filter(flowering -> flowering.id().equals(tree.id()))
                .findFirst()
                .flatMap(me -> web.partnersOf(me).stream()
                        .filter(link -> link.score().genes() > 0
                                && link.score().pollen() > 0
                                && link.score().bloom().score() > 0)
                        .min(Comparator.comparingDouble(link -> link.score().apart()))
                        .map(link -> {
                            double reach =
                                    PartnerScore.reach(tree.variety().crop().vector());
                            double apart = link.score().apart();
                            Standing standing = apart <= reach
                                    ? Standing.SOUND
                                    : Standing.of(apart, 0.5, 1.5 * reach, 0.5 * reach, Standing.Wanted.AT_MOST);
                            return new Finding(
                                    PARTNER_REACH,
                                    "tree:" + tree.id(),
                                    standing == Standing.SOUND && apart > reach ? Standing.DOUBTFUL : standing,
                                    apart <= reach
                                            ? Phrase.of(
                                                    "{} has {} within reach.",
                                                    tree.label(),
                                                    link.partner().label())
                                            : Phrase.of("{} stands far from its partner.", tree.label()),
                                    Phrase.of(
                                            "{} is {} away; within {} is wanted, twice that at most.",
                                            link.partner().label(),
                                            Amount.metres(apart),
                                            Amount.metres(reach)),
                                    Amount.metres(apart),
                                    Amount.metres(reach),
                                    List.of(Remedy.of(
                                            "pollination.mend",
                                            Phrase.of("Show varieties that would mend it"),
                                            Map.of("tree", tree.id()))),
                                    Source.practice("insect partner within 15 m, at most 30 m; wind 30 and 60"));
                        }));
    }
}
