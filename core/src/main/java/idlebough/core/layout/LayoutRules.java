package idlebough.core.layout;

import static idlebough.core.measure.Quantity.COUNT;
import static idlebough.core.measure.Quantity.LENGTH;
import static idlebough.core.measure.Quantity.TEMPERATURE;
import static idlebough.core.measure.Quantity.TEMPERATURE_STEP;

import idlebough.core.crop.Cropping;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.pollination.Neighbourhood;
import idlebough.core.pollination.PartnerRemedy;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.rootstock.RootstockRemedy;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.GroundRules;
import idlebough.core.site.Microclimate;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SiteRemedy;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * The findings of this room: crowns that will meet, trees too near the boundary or off the plot, partners out of
 * reach.
 */
public final class LayoutRules {
    public static final Rule CROWDED = Rule.of("layout.crowded");
    public static final Rule BOUNDARY = Rule.of("layout.boundary");
    public static final Rule OFF_PLOT = Rule.of("layout.off-plot");
    public static final Rule PARTNER_REACH = Rule.of("layout.partner-reach");
    public static final Rule OVERHEAD = Rule.of("layout.overhead");
    public static final Rule CLEARANCE = Rule.of("layout.clearance");
    public static final Rule FILLER = Rule.of("layout.filler");
    public static final Rule COLD_PLACE = Rule.of("layout.cold-place");
    private static final RuleTable TABLE = RuleTable.of("layout");
    private static final Sentences WORDS = Sentences.of("layout");
    /** Years that stand for never. */
    private static final double LONG = 100;

    private static final double PEG = TABLE.value("peg-reading");
    private static final double SCREEN = RuleTable.of("variety").value("screen");
    /** Steps in which a place inside the plot is looked for on the way to its middle. */
    private static final int STEPS = 100;
    /** Nearer to a line than this there is no side to move to, m. */
    private static final double NO_DIRECTION = 0.01;

    private LayoutRules() {}

    /** Have two crowns room beside each other when both are full grown? */
    public static Finding crowded(PlannedTree tree, PlannedTree other) {
        double apart = tree.place().distance(other.place());
        double wanted = TABLE.value("crowded") * (tree.reach(other.place()) + other.reach(tree.place()));
        Measured measured = Measured.of(apart, PEG, LENGTH);
        Limit limit = TABLE.limit("crowded", wanted, LENGTH, Limit.Side.AT_LEAST);
        double year = Crowns.yearOfTouch(tree, other);
        List<Remedy> remedies = new ArrayList<>();
        if (Standing.of(measured, limit) != Standing.SOUND && apart > 0.01 && tree.age() == 0) {
            // Clearly as far as is wanted, so that the move mends what it says.
            double clear = wanted + measured.halfWidth();
            double shift = (clear - apart) / apart;
            Point to = new Point(
                    tree.place().x() + (tree.place().x() - other.place().x()) * shift,
                    tree.place().y() + (tree.place().y() - other.place().y()) * shift);
            remedies.add(new LayoutRemedy.MoveTree(
                    WORDS.say("remedy.move-away", Map.of("tree", tree.label(), "by", Amount.metres(clear - apart))),
                    tree.id(),
                    to));
        }
        smallerStock(tree).ifPresent(remedies::add);
        return CROWDED.about(tree.subject())
                .with("tree", tree.label())
                .with("other", other.label())
                .with("year", Amount.count(Math.ceil(year)))
                .variant(Double.isInfinite(year) ? "never" : "meet")
                .remedies(remedies)
                .judge(measured, limit);
    }

    /** Does a tree that goes when crowns meet crop long enough before? Empty where its crop is not told. */
    public static Optional<Finding> filler(PlannedTree tree, PlannedTree other, Optional<Rootstock> stock) {
        return Cropping.of(tree.variety().crop(), stock).map(brings -> {
            double out = Crowns.yearOfTouch(tree, other);
            double crops = Math.min(LONG, out - brings.first());
            return FILLER.about(tree.subject())
                    .variant(Double.isInfinite(out) ? "never" : "")
                    .with("tree", tree.label())
                    .with("other", other.label())
                    .with("year", Amount.count(Math.floor(Math.min(out, LONG))))
                    .with("first", Amount.count(brings.first()))
                    .remedies(List.of(new LayoutRemedy.LetStay(
                            WORDS.say("remedy.let-stay", Map.of("tree", tree.label())), tree.id())))
                    .judge(Measured.of(crops, TABLE.value("filler-reading"), COUNT), TABLE.atLeast("filler", COUNT));
        });
    }

    /** Does a tree stand on the plot, and will its crown stay there? */
    public static Finding boundary(Plot plot, PlannedTree tree) {
        double edge = plot.distanceToBoundary(tree.place());
        double wanted = fromBoundary(tree.size());
        if (!plot.holds(tree.place())) {
            return OFF_PLOT.about(tree.subject())
                    .with("tree", tree.label())
                    .with("outside", Amount.metres(edge))
                    .remedies(List.of(moveInside("remedy.move-inside", plot, tree, wanted)))
                    .judge(Measured.exactly(-edge, LENGTH), TABLE.atLeast("off-plot", LENGTH));
        }
        return BOUNDARY.about(tree.subject())
                .with("tree", tree.label())
                .remedies(List.of(moveInside("remedy.move-inward", plot, tree, wanted)))
                .judge(Measured.of(edge, PEG, LENGTH), TABLE.limit("boundary", wanted, LENGTH, Limit.Side.AT_LEAST));
    }

    /**
     * What a tree must keep from the boundary, m from the stem; the filler keeps the same. A flat one lies along it.
     */
    public static double fromBoundary(TreeSize size) {
        return TABLE.value("boundary") * size.depth();
    }

    private static LayoutRemedy moveInside(String label, Plot plot, PlannedTree tree, double wanted) {
        return new LayoutRemedy.MoveTree(
                WORDS.say(label, Map.of("tree", tree.label())), tree.id(), inside(plot, tree.place(), wanted));
    }

    /** A place towards the middle of the plot that keeps the distance, or the best met on the way. */
    private static Point inside(Plot plot, Point from, double wanted) {
        Point middle = new Point((plot.west() + plot.east()) / 2, (plot.south() + plot.north()) / 2);
        Point best = from;
        for (int i = 1; i <= STEPS; i++) {
            double share = (double) i / STEPS;
            Point candidate =
                    new Point(from.x() + (middle.x() - from.x()) * share, from.y() + (middle.y() - from.y()) * share);
            if (plot.holds(candidate)) {
                best = candidate;
                if (plot.distanceToBoundary(candidate) >= wanted) {
                    break;
                }
            }
        }
        return best;
    }

    /** A partner that would serve, but for the distance; empty for the self-fruitful and where none would serve. */
    public static Optional<Finding> reach(PlannedTree tree, Neighbourhood around) {
        if (tree.variety().selfFruitful() >= 1) {
            return Optional.empty();
        }
        return around.nearestServing().map(link -> {
            double reach = PartnerScore.reach(tree.variety().crop().vector());
            return PARTNER_REACH
                    .about(tree.subject())
                    .with("tree", tree.label())
                    .with("partner", link.partner().label())
                    .with("reach", Amount.metres(reach))
                    .remedies(List.of(new PartnerRemedy.SeeMending(WORDS.say("remedy.mend", Map.of()), tree.subject())))
                    .judge(
                            Measured.of(link.score().apart(), TABLE.value("partner-place"), LENGTH),
                            TABLE.limit("partner-reach", reach, LENGTH, Limit.Side.AT_MOST));
        });
    }

    /** What stands, hangs or lies too near a tree; nothing of what it stands well clear of. */
    public static List<Finding> clearances(PlannedTree tree, FeatureIndex features) {
        List<Finding> findings = new ArrayList<>();
        for (FeatureIndex.Placed placed : features.near(tree.place(), Clearance.reach(tree.size(), features))) {
            Clearance.wanted(Clearance.Grown.of(tree), placed.feature())
                    .map(limit -> clearance(tree, placed, Clearance.measured(placed.distance(tree.place())), limit))
                    .filter(finding -> !finding.isSound())
                    .ifPresent(findings::add);
        }
        return findings;
    }

    private static Finding clearance(PlannedTree tree, FeatureIndex.Placed placed, Measured off, Limit limit) {
        Feature feature = placed.feature();
        String name = feature.name().isBlank() ? feature.kind().words() : feature.name();
        List<Remedy> remedies = new ArrayList<>();
        awayFrom(tree, placed, limit.value() + limit.halfWidth() + off.halfWidth())
                .ifPresent(remedies::add);
        // A smaller tree mends what a crown reaches; a service, a foundation or a wet spot it does not.
        boolean byCrown = switch (feature.kind()) {
            case OVERHEAD, BUILDING, TREE, PATH -> true;
            default -> false;
        };
        if (byCrown) {
            smallerStock(tree).ifPresent(remedies::add);
        }
        Rule.Draft draft = (feature.kind() == Feature.Kind.OVERHEAD ? OVERHEAD : CLEARANCE)
                .about(tree.subject())
                .with("tree", tree.label())
                .with("feature", name)
                .with("half", Amount.metres(tree.size().spread() / 2))
                .together(feature.id())
                .remedies(remedies);
        return switch (feature.kind()) {
            case OVERHEAD ->
                draft.with("height", Amount.metres(tree.size().height()))
                        .with("hangs", Amount.metres(feature.stands()))
                        .judge(off, limit);
            case BURIED -> draft.variant("buried").judge(off, limit);
            case DRAIN_FIELD -> draft.variant("drain-field").judge(off, limit);
            case WET -> draft.variant("wet").judge(off, limit);
            case PATH -> draft.variant("lane").judge(off, limit);
            case BUILDING -> draft.variant("building").judge(off, limit);
            case TREE -> draft.variant("tree").judge(off, limit);
            default -> draft.variant("barrier").judge(off, limit);
        };
    }

    /** Straight away from a feature, as far as is wanted of it. */
    private static Optional<Remedy> awayFrom(PlannedTree tree, FeatureIndex.Placed placed, double wanted) {
        Point at = tree.place();
        Point near = placed.edgeNearest(at);
        double dx = at.x() - near.x();
        double dy = at.y() - near.y();
        double off = Math.hypot(dx, dy);
        if (off < NO_DIRECTION) {
            return Optional.empty();
        }
        boolean inside = placed.distance(at) == 0;
        double to = inside ? -wanted : wanted;
        Point target = new Point(near.x() + dx / off * to, near.y() + dy / off * to);
        return Optional.of(new LayoutRemedy.MoveTree(
                WORDS.say("remedy.move-away", Map.of("tree", tree.label(), "by", Amount.metres(at.distance(target)))),
                tree.id(),
                target));
    }

    /**
     * Is a tree's own place colder than the station in a way that matters? Empty on ordinary ground, where the
     * variety's
     * own finding says it all.
     *
     * @param coldest night of the record, °C
     * @param here what makes the place's cold nights other than the station's
     */
    public static Optional<Finding> coldPlace(PlannedTree tree, double coldest, Microclimate here) {
        if (here.parts().isEmpty()) {
            return Optional.empty();
        }
        return Optional.of(COLD_PLACE
                .about(tree.subject())
                .with("tree", tree.label())
                .with("variety", tree.variety().name())
                .with("station", Amount.of(coldest, TEMPERATURE))
                .with("here", Amount.of(here.kelvin(), TEMPERATURE_STEP))
                .with(
                        "parts",
                        here.parts().stream().map(Microclimate.Part::words).collect(Collectors.joining(", ")))
                .remedies(List.of(GroundRules.seeLayer(SiteRemedy.Layer.COLD)))
                .judge(
                        Measured.of(coldest + here.kelvin(), SCREEN + here.halfWidth(), TEMPERATURE),
                        TABLE.limit(
                                tree.variety().crop().evergreen() ? "cold-place-evergreen" : "cold-place",
                                tree.variety().coldCelsius(),
                                TEMPERATURE,
                                Limit.Side.AT_LEAST)));
    }

    /** Empty on own roots, where there is no smaller stock, and for a tree that stands. */
    private static Optional<Remedy> smallerStock(PlannedTree tree) {
        return tree.ownRooted() || tree.age() > 0
                ? Optional.empty()
                : Optional.of(new RootstockRemedy.SeeStocks(WORDS.say("remedy.smaller", Map.of()), tree.subject()));
    }
}
