package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.Footing;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LayoutRulesTest {
    private static final Plot PLOT = Plot.rectangle(60, 40);

    private static PlannedTree tree(String id, String variety, String stock, double x, double y) {
        return tree(id, variety, stock, new Point(x, y), Tree.Life.PLANNED);
    }

    private static PlannedTree tree(String id, String variety, String stock, Point place, Tree.Life life) {
        Tree tree = new Tree(
                id,
                id.toUpperCase(java.util.Locale.ROOT),
                place,
                new Tree.Kind(variety, Optional.ofNullable(stock)),
                new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.13), 0.02),
                Footing.GRADE,
                life,
                Optional.empty());
        Stand stand = Stand.of(tree, Catalogue.shipped());
        return PlannedTree.of(stand, LocalDate.of(2027, 3, 20), TreeSize.of(stand.variety(), stand.stock()), 0);
    }

    @Test
    void offThePlotIsAStopAndItsRemedyBringsItInside() {
        Finding off = LayoutRules.boundary(PLOT, tree("a", "apple-cox", "m26", -2, 10));
        assertThat(off.rule()).isEqualTo(LayoutRules.OFF_PLOT);
        Point to = ((LayoutRemedy.MoveTree) off.remedies().get(0)).to();
        assertThat(PLOT.holds(to)).isTrue();
        assertThat(LayoutRules.boundary(PLOT, tree("a", "apple-cox", "m26", to.x(), to.y()))
                        .standing())
                .isEqualTo(Standing.SOUND);
    }

    /** The remedy goes towards the middle of the plot, (30, 20), and no further than the crown asks. */
    @ParameterizedTest
    @CsvSource({"-2, 10", "30, 45", "1, 20", "61, 39"})
    void theWayInsideIsTowardsTheMiddleAndNoFurther(double x, double y) {
        PlannedTree tree = tree("a", "apple-cox", "mm106", x, y);
        Point to = ((LayoutRemedy.MoveTree)
                        LayoutRules.boundary(PLOT, tree).remedies().get(0))
                .to();
        double wanted = tree.size().spread() / 2;
        double step = Math.hypot(30 - x, 20 - y) / 100;
        assertThat(PLOT.distanceToBoundary(to)).isBetween(wanted, wanted + step);
        assertThat((to.x() - x) * (20 - y))
                .as("on the line to the middle")
                .isCloseTo((to.y() - y) * (30 - x), within(1e-9));
        assertThat(Math.hypot(to.x() - 30, to.y() - 20)).isLessThan(Math.hypot(x - 30, y - 20));
    }

    /**
     * Trees 2.5 m apart: the one is moved straight away from the other, to nine tenths of both halves and what two
     * tapes may be out.
     */
    @Test
    void awayFromTheOtherOnTheLineBetweenThem() {
        PlannedTree a = tree("a", "apple-cox", "mm106", 20, 20);
        Point to = ((LayoutRemedy.MoveTree) LayoutRules.crowded(a, tree("b", "apple-cox", "mm106", 21.5, 22))
                        .remedies()
                        .get(0))
                .to();
        double wanted = 0.9 * a.size().spread() + 0.05;
        assertThat(to.distance(new Point(21.5, 22))).isCloseTo(wanted, within(1e-9));
        assertThat(LayoutRules.crowded(
                        tree("a", "apple-cox", "mm106", to.x(), to.y()), tree("b", "apple-cox", "mm106", 21.5, 22)))
                .matches(Finding::isSound);
        assertThat((22 - to.y()) / (21.5 - to.x())).isCloseTo(4 / 3.0, within(1e-9));
        assertThat(to.x()).isLessThan(20);
    }

    @Test
    void theRemedyAgainstCrowdingMovesItJustFarEnough() {
        PlannedTree a = tree("a", "apple-cox", "mm106", 20, 20);
        PlannedTree b = tree("b", "apple-golden", "mm106", 22, 21);
        Finding crowded = LayoutRules.crowded(a, b);
        assertThat(crowded.standing()).isEqualTo(Standing.STOP);
        Point to = ((LayoutRemedy.MoveTree) crowded.remedies().get(0)).to();
        assertThat(LayoutRules.crowded(tree("a", "apple-cox", "mm106", to.x(), to.y()), b)
                        .standing())
                .isEqualTo(Standing.SOUND);
        assertThat(to.distance(a.place())).as("and no further").isLessThan(3);
    }

    /** The index finds what looking at all of them finds, also among trees of many sizes. */
    @Test
    void theNearestCrownIsTheOneWithTheLeastRoom() {
        Random random = new Random(5);
        List<String> stocks = List.of("m9", "m26", "mm106", "mm111");
        List<PlannedTree> trees = new java.util.ArrayList<>();
        for (int i = 0; i < 300; i++) {
            trees.add(tree(
                    "t" + i,
                    "apple-cox",
                    stocks.get(random.nextInt(4)),
                    random.nextDouble() * 60,
                    random.nextDouble() * 40));
        }
        Crowns crowns = Crowns.of(trees, null);
        for (PlannedTree tree : trees) {
            double least = trees.stream()
                    .filter(other -> other != tree)
                    .mapToDouble(other -> Crowns.room(tree, other))
                    .min()
                    .orElseThrow();
            assertThat(Crowns.room(tree, crowns.nearest(tree).orElseThrow()))
                    .as("seed 5, %s", tree.id())
                    .isCloseTo(least, org.assertj.core.data.Offset.offset(1e-9));
        }
        assertThat(Crowns.of(trees.subList(0, 1), null).nearest(trees.get(0))).isEmpty();
    }

    /** What the filler takes the judge finds sound, at every distance from every feature. */
    @Test
    void theProgramNeverDoubtsAPlaceThatItChose() {
        for (Feature.Kind kind : Feature.Kind.values()) {
            Feature feature = feature(kind);
            FeatureIndex index = new FeatureIndex(List.of(feature));
            for (double off = 0.05; off < 12; off += 0.05) {
                PlannedTree tree = tree("a", "apple-cox", "mm111", 30 - off, 20);
                if (Clearance.blocking(tree.place(), Clearance.Grown.of(tree), index)
                        .isEmpty()) {
                    assertThat(LayoutRules.clearances(tree, index))
                            .as("%s at %s", kind, off)
                            .isEmpty();
                }
            }
        }
    }

    private static Feature feature(Feature.Kind kind) {
        List<Point> points = switch (kind.shape()) {
            case POINT -> List.of(new Point(30, 20));
            case LINE -> List.of(new Point(30, 0), new Point(30, 40));
            case AREA -> List.of(new Point(30, 0), new Point(30, 40), new Point(40, 40), new Point(40, 0));
        };
        return new Feature("f", kind, "", points, Feature.Size.USUAL, false, Optional.empty(), Optional.empty());
    }

    /** Three, four and five make a right angle (Euclid I.48), as long as the base line has room for. */
    @ParameterizedTest
    @CsvSource({"4, 1, 4", "9, 1, 8", "60, 1, 12", "5, 0.9144, 3.6576"})
    void aRightAngleByThreeTapes(double length, double unit, double along) {
        BaseLine.Square square = new BaseLine(new Point(0, 0), new Point(length, 0)).square(unit);
        assertThat(square.along()).isCloseTo(along, within(1e-9));
        assertThat(Math.hypot(square.along(), square.across())).isCloseTo(square.diagonal(), within(1e-9));
    }

    @Test
    void aLineFarAboveTheGrownTreeIsNoMatter() {
        Feature high = new Feature(
                "f",
                Feature.Kind.OVERHEAD,
                "",
                List.of(new Point(30, 0), new Point(30, 40)),
                Feature.Size.high(30.0),
                false,
                Optional.empty(),
                Optional.empty());
        assertThat(LayoutRules.clearances(tree("a", "apple-cox", "mm111", 29, 20), new FeatureIndex(List.of(high))))
                .isEmpty();
    }

    @Test
    void withoutAStockTheFullSizeIsTaken() {
        assertThat(tree("a", "apple-cox", null, 0, 0).size().spread()).isEqualTo(7.5);
        Tree.Life old = new Tree.Life(Tree.State.PLANTED, Optional.of(LocalDate.of(1987, 3, 20)));
        assertThat(tree("o", "apple-cox", "m25", new Point(0, 0), old).crown(0))
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
            List<RowFill.Place> places =
                    RowFill.best(plot, 1.5, plot.longestSideBearing(), pattern, spacing, pitch, 16, place -> true);
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
        assertThat(Crowns.roomWorking(a, b).steps()).hasSize(3);
        assertThat(Crowns.edgeWorking(PLOT, a).steps()).hasSize(2);
    }

    /**
     * How near a tree 4 m wide and 4.5 m tall may be set by the program. By hand from common practice: half the width
     * and 75 cm from a house, a metre off wet ground with a tenth more and a decimetre for the drawing; the crown off
     * the
     * beds; three quarters of a metre beside a path 1.2 m wide.
     */
    @ParameterizedTest
    @CsvSource({
        "BUILDING, 2.70, false",
        "BUILDING, 2.80, true",
        "WET, 1.15, false",
        "WET, 1.25, true",
        "BEDS, 1.95, false",
        "BEDS, 2.05, true",
        "PATH, 1.30, false",
        "PATH, 1.40, true",
        "VIEW, 0.10, true"
    })
    void howNearTheProgramPlants(Feature.Kind kind, double off, boolean may) {
        List<Point> places = switch (kind.shape()) {
            case POINT -> List.of(new Point(30, 20));
            case LINE -> List.of(new Point(30, 0), new Point(30, 40));
            case AREA -> List.of(new Point(30, 10), new Point(34, 10), new Point(34, 30), new Point(30, 30));
        };
        Feature feature =
                new Feature("f", kind, "", places, Feature.Size.USUAL, false, Optional.empty(), Optional.empty());
        assertThat(blocking(off, 4.5, feature)).isEqualTo(!may);
    }

    /**
     * Half the width and the line's own distance from a wire that the tree can reach; a low tree may stand under it.
     */
    @ParameterizedTest
    @CsvSource({"7, 3.0, 4.5, false", "7, 6.0, 4.5, true", "12, 0.5, 4.5, true", "7, 0.5, 2, true"})
    void underAWire(double wire, double off, double tall, boolean may) {
        Feature line = new Feature(
                "f",
                Feature.Kind.OVERHEAD,
                "",
                List.of(new Point(30, 0), new Point(30, 40)),
                Feature.Size.of(wire, null, null, 3.0),
                false,
                Optional.empty(),
                Optional.empty());
        assertThat(blocking(off, tall, line)).isEqualTo(!may);
    }

    private static boolean blocking(double off, double tall, Feature feature) {
        return Clearance.blocking(
                        new Point(30 - off, 20),
                        new Clearance.Grown("apple", new TreeSize(4, tall)),
                        new FeatureIndex(List.of(feature)))
                .isPresent();
    }
}
