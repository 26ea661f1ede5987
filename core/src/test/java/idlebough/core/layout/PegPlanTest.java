package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class PegPlanTest {
    private static final Plot PLOT = Plot.rectangle(60, 40);

    private static PlannedTree tree(String label, double x, double y) {
        return new PlannedTree(
                Subject.tree(label),
                label,
                Shipped.variety("apple-cox"),
                new Point(x, y),
                new TreeSize(4, 4),
                0.25,
                false,
                0,
                0);
    }

    private static List<PlannedTree> rows(int rows, int trees) {
        List<PlannedTree> all = new ArrayList<>();
        for (int row = 0; row < rows; row++) {
            for (int i = 0; i < trees; i++) {
                all.add(tree(RowFill.label(row, i), 5 + 5.0 * i, 6 + 6.0 * row));
            }
        }
        return all;
    }

    /** Whatever the tape: no tape is longer than it, none crosses badly unless it is told, every tree is set once. */
    @ParameterizedTest
    @ValueSource(doubles = {8, 20, 30, 50, 80})
    void everyTapeReachesAndEveryPegIsSetOnce(double tape) {
        List<PlannedTree> trees = rows(5, 10);
        PegPlan plan = PegPlan.of(PLOT, List.of(), Ground.LEVEL, trees, tape);
        Set<String> set = new HashSet<>(Set.of("P", "Q", "corner 1", "corner 2"));
        int pegs = 0;
        for (PegPlan.Station station : plan.stations()) {
            Stream.of(station.p(), station.q())
                    .filter(fixed -> fixed.mark().isEmpty())
                    .forEach(fixed ->
                            assertThat(set).as("it is taped from what stands").contains(fixed.name()));
            for (PegPlan.Peg peg : station.pegs()) {
                assertThat(peg.tapes().fromP()).isLessThanOrEqualTo(tape);
                assertThat(peg.tapes().fromQ()).isLessThanOrEqualTo(tape);
                assertThat(set.add("peg " + peg.tree().label())).isTrue();
                pegs++;
            }
        }
        assertThat(pegs + plan.beyond().size()).isEqualTo(trees.size());
        assertThat(plan.beyond()).isEmpty();
    }

    /** With tapes as long as the plot is wide two points are enough: common practice. */
    @Test
    void longTapesNeverMoveTheirStakes() {
        PegPlan plan = PegPlan.of(PLOT, List.of(), Ground.LEVEL, rows(5, 10), 80);
        assertThat(plan.stations()).hasSize(1);
        assertThat(plan.stations().get(0).pegs()).allMatch(peg -> peg.tapes().good());
    }

    /** Whoever goes on from pegs that are set carries their error on. */
    @Test
    void errorsGrowFromPegToPeg() {
        PegPlan plan = PegPlan.of(PLOT, List.of(), Ground.LEVEL, rows(5, 10), 12);
        plan.stations().stream()
                .filter(station -> station.p().error() > 0)
                .forEach(station -> station.pegs()
                        .forEach(peg -> assertThat(peg.error())
                                .isGreaterThan(station.p().error())
                                .isGreaterThan(peg.tapes().expectedError())));
        assertThat(plan.stations()).anyMatch(station -> station.p().error() > 0);
    }

    /** 5 m at 20 % is 5.099 m of tape: layout table of slopes, by Pythagoras. */
    @Test
    void tapesOnASlopeAreLonger() {
        Ground steep = Ground.falling(20, 180, 0);
        assertThat(PegPlan.along(steep, new Point(3, 3), new Point(3, 8))).isCloseTo(5.09902, within(1e-5));
        assertThat(PegPlan.along(steep, new Point(3, 3), new Point(8, 3))).isCloseTo(5, within(1e-9));
    }

    /** A tree close to a side is crossed badly from two points of it: plane surveying wants a point square to the side. */
    @Test
    void aBadCrossingIsMendedByAStakeSquareToTheSide() {
        PegPlan plan = PegPlan.of(PLOT, List.of(), Ground.LEVEL, List.of(tree("A1", 30, 0.6)), 20);
        assertThat(plan.stations()).hasSize(1);
        PegPlan.Station station = plan.stations().get(0);
        assertThat(Stream.of(station.p(), station.q()))
                .anySatisfy(
                        point -> assertThat(point.mark().orElseThrow().off()).isPositive());
        assertThat(station.pegs().get(0).tapes().good()).isTrue();
        assertThat(station.pegs().get(0).error()).isLessThan(0.1);
    }

    @Test
    void treesOutOfReachAreTold() {
        PegPlan plan = PegPlan.of(PLOT, List.of(), Ground.LEVEL, List.of(tree("A1", 30, 20)), 8);
        assertThat(plan.stations()).isEmpty();
        assertThat(plan.beyond()).hasSize(1);
    }

    /** Marks run on from the first tree, so their errors do not add up; a crooked row is left to the tapes. */
    @Test
    void aStraightRowIsMarkedAlongAString() {
        List<PlannedTree> trees = new ArrayList<>(List.of(tree("B1", 1, 1), tree("B3", 9, 7), tree("B2", 5, 4)));
        trees.addAll(List.of(tree("C1", 1, 9), tree("C2", 5, 9.5), tree("C3", 9, 9)));
        List<RowMarks> rows = RowMarks.of(trees, Ground.LEVEL);
        assertThat(rows).hasSize(1);
        assertThat(rows.get(0).marks()).extracting(mark -> mark.tree().label()).containsExactly("B1", "B2", "B3");
        assertThat(rows.get(0).marks().get(1).at()).isCloseTo(5, within(1e-9));
        assertThat(rows.get(0).length()).isCloseTo(10, within(1e-9));
    }

    /** One peg pulled 40 cm aside, every peg checked against its neighbours: that one is named, the others are not. */
    @Test
    void thePegThatMovedIsFound() {
        Map<String, PlannedTree> trees = new LinkedHashMap<>();
        rows(3, 4).forEach(tree -> trees.put(tree.id(), tree));
        Random random = new Random(7);
        List<PegCheck> checks = new ArrayList<>();
        List<PlannedTree> all = List.copyOf(trees.values());
        for (PlannedTree from : all) {
            for (PlannedTree to : all) {
                if (from.label().compareTo(to.label()) < 0 && from.place().distance(to.place()) < 9) {
                    double true0 = stands(from).distance(stands(to));
                    checks.add(new PegCheck("c", from.id(), to.id(), true0 + random.nextGaussian() * 0.02));
                }
            }
        }
        List<Finding> found = PegChecks.judge(checks, trees);
        List<Finding> out = found.stream()
                .filter(finding -> finding.standing() == Standing.STOP)
                .toList();
        assertThat(out).isNotEmpty().allMatch(finding -> finding.subject().id().equals("B2"));
        assertThat(found)
                .filteredOn(finding -> !finding.subject().id().equals("B2"))
                .allMatch(Finding::isSound);
    }

    private static Point stands(PlannedTree tree) {
        return tree.label().equals("B2")
                ? new Point(tree.place().x() + 0.3, tree.place().y() + 0.3)
                : tree.place();
    }
}
