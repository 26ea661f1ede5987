package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.rootstock.Rootstocks;
import idlebough.core.site.Feature;
import idlebough.core.site.Microclimate;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.variety.Varieties;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LayoutRulesTest {
    private static final Plot PLOT = Plot.rectangle(60, 40);

    private static PlannedTree tree(String id, String variety, String stock, double x, double y) {
        return new PlannedTree(
                id,
                id.toUpperCase(java.util.Locale.ROOT),
                Varieties.of(variety),
                stock == null ? null : Rootstocks.find(stock),
                new Point(x, y),
                0);
    }

    private static Finding find(List<PlannedTree> trees, String rule, String id) {
        PartnerWeb web = new PartnerWeb(trees.stream()
                .map(t -> new PartnerWeb.Flowering(t.id(), t.label(), t.variety(), t.place()))
                .toList());
        return LayoutRules.judge(PLOT, trees, web).stream()
                .filter(f -> f.rule().equals(rule) && f.subject().equals("tree:" + id))
                .findFirst()
                .orElse(null);
    }

    @Test
    void offThePlotIsAStopAndItsRemedyBringsItInside() {
        Finding off = find(List.of(tree("a", "apple-cox", "m26", -2, 10)), LayoutRules.OFF_PLOT, "a");
        assertThat(off.standing()).isEqualTo(Standing.STOP);
        Point to = new Point(
                Double.parseDouble(off.remedies().get(0).details().get("x")),
                Double.parseDouble(off.remedies().get(0).details().get("y")));
        assertThat(PLOT.holds(to)).isTrue();
        assertThat(find(List.of(tree("a", "apple-cox", "m26", to.x(), to.y())), LayoutRules.BOUNDARY, "a")
                        .standing())
                .isEqualTo(Standing.SOUND);
    }

    @ParameterizedTest
    @CsvSource({"5, SOUND", "1.6, DOUBTFUL", "0.5, STOP"})
    void halfTheWidthFromTheBoundary(double edge, Standing standing) {
        assertThat(find(List.of(tree("a", "apple-cox", "m26", edge, 20)), LayoutRules.BOUNDARY, "a")
                        .standing())
                .isEqualTo(standing);
    }

    @Test
    void theRemedyAgainstCrowdingMovesItJustFarEnough() {
        PlannedTree a = tree("a", "apple-cox", "mm106", 20, 20);
        PlannedTree b = tree("b", "apple-golden", "mm106", 22, 21);
        Finding crowded = find(List.of(a, b), LayoutRules.CROWDED, "a");
        assertThat(crowded.standing()).isEqualTo(Standing.STOP);
        PlannedTree moved = tree(
                "a",
                "apple-cox",
                "mm106",
                Double.parseDouble(crowded.remedies().get(0).details().get("x")),
                Double.parseDouble(crowded.remedies().get(0).details().get("y")));
        assertThat(moved.place().distance(b.place()))
                .isCloseTo(crowded.limit().value(), org.assertj.core.data.Offset.offset(0.01));
    }

    @ParameterizedTest
    @CsvSource({"8, SOUND", "20, DOUBTFUL", "35, STOP"})
    void aPartnerWithinReach(double apart, Standing standing) {
        // common practice: insects carry within 15 m, at most 30
        assertThat(find(
                                List.of(
                                        tree("a", "apple-cox", "m26", 10, 20),
                                        tree("b", "apple-james-grieve", "m26", 10 + apart, 20)),
                                LayoutRules.PARTNER_REACH,
                                "a")
                        .standing())
                .isEqualTo(standing);
    }

    @Test
    void theSelfFruitfulAreNotJudgedByDistance() {
        assertThat(find(
                        List.of(
                                tree("a", "peach-redhaven", "lovell", 10, 20),
                                tree("b", "peach-elberta", "lovell", 50, 20)),
                        LayoutRules.PARTNER_REACH,
                        "a"))
                .isNull();
    }

    @Test
    void withoutAStockTheFullSizeIsReckonedWith() {
        assertThat(tree("a", "apple-cox", null, 0, 0).size().spread()).isEqualTo(7.5);
        assertThat(new PlannedTree("o", "Old", Varieties.of("apple-cox"), Rootstocks.find("m25"), new Point(0, 0), 40)
                        .crown(0))
                .as("an old tree is full grown")
                .isGreaterThan(7.3);
    }

    @Test
    void crownsOnlyGrow() {
        PlannedTree a = tree("a", "cherry-bing", "colt", 10, 10);
        for (int year = 1; year < 30; year++) {
            assertThat(a.crown(year)).isGreaterThan(a.crown(year - 1));
        }
    }

    @Test
    void everyPlaceOfAFillKeepsItsSpacingWhateverThePlot() {
        Random random = new Random(77);
        for (int i = 0; i < 25; i++) {
            double w = 15 + random.nextDouble() * 40;
            double h = 12 + random.nextDouble() * 30;
            Plot plot = Plot.of(List.of(
                    new Point(0, 0),
                    new Point(w, random.nextDouble() * 4),
                    new Point(w - random.nextDouble() * 5, h),
                    new Point(random.nextDouble() * 3, h - 2)));
            double spacing = 2.5 + random.nextDouble() * 3;
            RowFill.Pattern pattern = random.nextBoolean() ? RowFill.Pattern.SQUARE : RowFill.Pattern.TRIANGLE;
            double pitch = pattern == RowFill.Pattern.TRIANGLE ? RowFill.hexPitch(spacing) : spacing;
            List<RowFill.Place> places = RowFill.best(plot, 1.5, plot.longestSideBearing(), pattern, spacing, pitch);
            for (RowFill.Place a : places) {
                assertThat(plot.distanceToBoundary(a.at()))
                        .as("seed 77, plot %s", i)
                        .isGreaterThanOrEqualTo(1.5 - 1e-6);
                assertThat(places.stream()
                                .filter(b -> b != a)
                                .mapToDouble(b -> b.at().distance(a.at()))
                                .min()
                                .orElse(99))
                        .as("seed 77, plot %s", i)
                        .isGreaterThanOrEqualTo(spacing - 1e-6);
            }
            assertThat(places.stream().map(p -> RowFill.label(p.row(), p.place())))
                    .doesNotHaveDuplicates();
        }
    }

    @Test
    void turningPegsAndTapesTogetherChangesNoTape() {
        Random random = new Random(13);
        for (int i = 0; i < 100; i++) {
            double angle = random.nextDouble() * 6.28;
            Point p = new Point(random.nextDouble() * 50, random.nextDouble() * 50);
            Point q = new Point(60 + random.nextDouble() * 50, random.nextDouble() * 50);
            Point peg = new Point(random.nextDouble() * 100, random.nextDouble() * 100);
            TwoTapes straight = TwoTapes.of(p, q, peg);
            TwoTapes turned = TwoTapes.of(turn(p, angle), turn(q, angle), turn(peg, angle));
            assertThat(turned.fromP()).isCloseTo(straight.fromP(), org.assertj.core.data.Offset.offset(1e-9));
            assertThat(turned.fromQ()).isCloseTo(straight.fromQ(), org.assertj.core.data.Offset.offset(1e-9));
            assertThat(turned.right()).as("seed 13").isEqualTo(straight.right());
        }
        assertThat(TwoTapes.of(new Point(0, 0), new Point(12, 0), new Point(5, 9))
                        .working(12)
                        .steps())
                .hasSize(4);
    }

    private static Point turn(Point p, double angle) {
        return new Point(
                p.x() * Math.cos(angle) - p.y() * Math.sin(angle), p.x() * Math.sin(angle) + p.y() * Math.cos(angle));
    }

    @Test
    void theRoomBetweenCrownsOpensItsWorking() {
        PlannedTree a = tree("a", "apple-cox", "mm106", 10, 10);
        PlannedTree b = tree("b", "apple-golden", "mm106", 13, 10);
        assertThat(LayoutRules.roomWorking(a, b).steps()).hasSize(3);
        assertThat(LayoutRules.edgeWorking(PLOT, a).steps()).hasSize(2);
    }

    /** Practice section 1: not near a power line; distance from structures by the mature size; services located first. */
    @ParameterizedTest
    @CsvSource({
        "OVERHEAD, 1, STOP, layout.overhead",
        "OVERHEAD, 30, , ",
        "BURIED, 0.5, STOP, layout.clearance",
        "BURIED, 1.05, DOUBTFUL, layout.clearance",
        "BUILDING, 0.5, STOP, layout.clearance",
        "BUILDING, 8, , ",
        "WALL, 0.3, STOP, layout.clearance",
        "WALL, 2, , ",
        "GATE, 0.1, , "
    })
    void clearOfWhatStandsAndHangs(Feature.Kind kind, double off, Standing standing, String rule) {
        List<Point> points = switch (kind.shape()) {
            case POINT -> List.of(new Point(30, 20));
            case LINE -> List.of(new Point(30, 0), new Point(30, 40));
            case AREA -> List.of(new Point(30, 0), new Point(30, 40), new Point(40, 40), new Point(40, 0));
        };
        Feature feature = new Feature("f", kind, "", points, null, null, null, false, null, null, null);
        PlannedTree tree = tree("a", "apple-cox", "mm111", 30 - off, 20);
        assertThat(LayoutRules.clearances(List.of(tree), List.of(feature)).stream()
                        .map(f -> f.standing() + " " + f.rule())
                        .toList())
                .isEqualTo(standing == null ? List.of() : List.of(standing + " " + rule));
        Feature high = new Feature("f", kind, "", points, 30.0, null, null, false, null, null, null);
        if (kind == Feature.Kind.OVERHEAD) {
            assertThat(LayoutRules.clearances(List.of(tree), List.of(high)))
                    .as("a line far above the grown tree is no matter")
                    .isEmpty();
        }
    }

    /** A hollow 3 K colder is a stop for wood at its limit, a warm wall saves it, ordinary ground says nothing. */
    @Test
    void theColdOfAPlace() {
        PlannedTree tree = tree("a", "fig-brown-turkey", null, 10, 10);
        double limit = tree.variety().coldCelsius();
        Microclimate hollow = new Microclimate(List.of(new Microclimate.Part("cold air stands here", -3, 1.5)));
        Microclimate wall = new Microclimate(List.of(new Microclimate.Part("before a wall", 4, 1.4)));
        assertThat(LayoutRules.coldPlace(tree, limit - 3, hollow).orElseThrow().standing())
                .isEqualTo(Standing.STOP);
        assertThat(LayoutRules.coldPlace(tree, limit - 3, wall).orElseThrow().standing())
                .isEqualTo(Standing.DOUBTFUL);
        assertThat(LayoutRules.coldPlace(tree, limit + 6, wall).orElseThrow().standing())
                .isEqualTo(Standing.SOUND);
        assertThat(LayoutRules.coldPlace(tree, limit - 9, new Microclimate(List.of())))
                .isEmpty();
    }
}
