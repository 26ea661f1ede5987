package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.rootstock.RootstockStage;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.variety.Choice;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Fills of plots: what the program places it never doubts, and what it does not place it gives its reasons for. */
class PlotFillTest {
    private static final PlotFill.Standing NOTHING = new PlotFill.Standing(List.of(), Map.of());

    private static Choice choice(String id, String variety, String stock, int wanted) {
        return new Choice(id, variety, Optional.of(stock), wanted);
    }

    private static RootstockStage stocks(List<Choice> choices) {
        return Evaluation.of(Orchard.empty(44, LocalDate.of(2027, 3, 1))
                        .with(Site.empty(44))
                        .withChoices(choices))
                .rootstocks();
    }

    private static PlotFill fill(
            Plot plot,
            RowFill.Pattern pattern,
            List<Choice> choices,
            PlotFill.Standing standing,
            List<Feature> features) {
        return PlotFill.of(
                plot,
                new PlotFill.Wish(pattern, 1, 1, Optional.empty()),
                choices,
                stocks(choices),
                standing,
                new FeatureIndex(features));
    }

    private static List<PlannedTree> planned(PlotFill fill) {
        List<PlannedTree> trees = new ArrayList<>();
        fill.placed().forEach(placed -> {
            String id = "t" + trees.size();
            trees.add(new PlannedTree(
                    Subject.tree(id),
                    id,
                    Shipped.variety(placed.choice().variety()),
                    placed.place().at(),
                    TreeSize.of(
                            Shipped.variety(placed.choice().variety()),
                            placed.choice().stock().map(Shipped::stock)),
                    0.25,
                    false,
                    0,
                    0));
        });
        return trees;
    }

    /** A dwarf of 2.8 m and a full-size cherry of 8 m each keep their own distance, from each other and the edge. */
    @ParameterizedTest
    @EnumSource(RowFill.Pattern.class)
    void everyVarietyHasItsOwnPitch(RowFill.Pattern pattern) {
        Plot plot = Plot.of(List.of(new Point(0, 0), new Point(42, 3), new Point(40, 26), new Point(-2, 24)));
        List<Choice> choices = List.of(
                choice("a", "apple-cox", "m9", 8),
                choice("b", "apple-golden", "m9", 8),
                choice("c", "cherry-stella", "mazzard", 2),
                choice("d", "plum-stanley", "st-julien", 4));
        List<Feature> drawn = List.of(new Feature(
                "w",
                Feature.Kind.WET,
                "",
                List.of(new Point(18, 8), new Point(22, 8), new Point(22, 13), new Point(18, 13)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.empty()));
        PlotFill filled = fill(plot, pattern, choices, NOTHING, drawn);
        assertThat(filled.placed()).hasSize(22);
        assertThat(filled.costs()).isEmpty();
        List<PlannedTree> trees = planned(filled);
        FeatureIndex features = new FeatureIndex(drawn);
        double closest = Double.POSITIVE_INFINITY;
        for (PlannedTree tree : trees) {
            assertThat(LayoutRules.boundary(plot, tree).standing()).isEqualTo(Standing.SOUND);
            assertThat(LayoutRules.clearances(tree, features)).isEmpty();
            for (PlannedTree other : trees) {
                if (other != tree) {
                    closest = Math.min(closest, tree.place().distance(other.place()));
                    assertThat(LayoutRules.crowded(tree, other))
                            .as("%s and %s", tree.label(), other.label())
                            .matches(Finding::isSound);
                }
            }
        }
        assertThat(closest).as("the dwarfs stand at their own 2.8 m").isLessThan(3.0);
    }

    @Test
    void whatFindsNoPlaceIsToldWithTheRuleThatCostsIt() {
        Plot plot = Plot.rectangle(16, 16);
        Feature service = new Feature(
                "s",
                Feature.Kind.BURIED,
                "Gas",
                List.of(new Point(0, 8), new Point(16, 8)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.empty());
        PlotFill filled = fill(
                plot, RowFill.Pattern.SQUARE, List.of(choice("a", "apple-cox", "m9", 40)), NOTHING, List.of(service));
        assertThat(filled.placed().size()).isLessThan(40);
        assertThat(filled.wanted()).isEqualTo(40);
        assertThat(filled.costs())
                .extracting(cost -> cost.what().pattern() + cost.what().arguments())
                .anyMatch(what -> what.contains("Gas"))
                .anyMatch(what -> what.contains("boundary"));
        assertThat(filled.costs()).allMatch(cost -> cost.trees() > 0);
    }

    /** Trees that keep their place count as placed and keep their room. */
    @Test
    void whatStandsIsLeftAlone() {
        Plot plot = Plot.rectangle(30, 20);
        List<Choice> choices = List.of(choice("a", "apple-cox", "mm106", 3));
        PlannedTree old = new PlannedTree(
                Subject.tree("o"),
                "Old",
                Shipped.variety("apple-cox"),
                new Point(15, 10),
                new TreeSize(8, 7),
                0.2,
                false,
                30,
                0);
        PlotFill filled = fill(
                plot,
                RowFill.Pattern.TRIANGLE,
                choices,
                new PlotFill.Standing(List.of(old), Map.of("a", 1)),
                List.of());
        assertThat(filled.wanted()).isEqualTo(2);
        assertThat(planned(filled))
                .hasSize(2)
                .allSatisfy(tree -> assertThat(LayoutRules.crowded(tree, old)).matches(Finding::isSound));
    }

    /**
     * Along a wall each stands off it as the judge wants it, and none crowds another; the free side of the wall is
     * taken.
     */
    @Test
    void alongAWallEveryPlaceIsSound() {
        Plot plot = Plot.rectangle(40, 20);
        Feature wall = new Feature(
                "w",
                Feature.Kind.WALL,
                "North wall",
                List.of(new Point(2, 19.5), new Point(20, 19.5), new Point(38, 17)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.empty());
        List<Choice> choices = List.of(choice("a", "plum-stanley", "st-julien", 9));
        FeatureIndex features = new FeatureIndex(List.of(wall));
        PlotFill filled = PlotFill.of(
                plot,
                new PlotFill.Wish(RowFill.Pattern.ALONG, 5, 1, Optional.empty()).along(wall),
                choices,
                stocks(choices),
                NOTHING,
                features);
        assertThat(filled.placed()).hasSizeGreaterThan(5);
        List<PlannedTree> trees = planned(filled);
        trees.forEach(tree -> {
            assertThat(plot.holds(tree.place())).isTrue();
            assertThat(LayoutRules.clearances(tree, features)).isEmpty();
            trees.stream()
                    .filter(other -> other != tree)
                    .forEach(other ->
                            assertThat(LayoutRules.crowded(tree, other)).matches(Finding::isSound));
        });
    }

    /** Pairs of rows nestle: more trees find room than with an alley beside every row. */
    @Test
    void doubleRowsHoldMoreThanSingleOnes() {
        Plot plot = Plot.rectangle(60, 40);
        List<Choice> choices = List.of(choice("a", "apple-cox", "m9", 400));
        int pairs = fill(plot, RowFill.Pattern.DOUBLE, choices, NOTHING, List.of())
                .placed()
                .size();
        int single = fill(plot, RowFill.Pattern.TRIANGLE, choices, NOTHING, List.of())
                .placed()
                .size();
        assertThat(pairs).isGreaterThan(single);
    }

    /** On a long narrow plot rows along it are the fewest for the most trees: by the drawing. */
    @Test
    void theBestDirectionOfANarrowPlotIsItsOwn() {
        Plot plot = Plot.of(List.of(new Point(0, 0), new Point(60, 60), new Point(54, 66), new Point(-6, 6)));
        List<Choice> choices = List.of(choice("a", "apple-cox", "mm106", 30));
        List<PlotFill.Direction> found = PlotFill.directions(
                plot,
                new PlotFill.Wish(RowFill.Pattern.SQUARE, 1, 1, Optional.empty()),
                choices,
                stocks(choices),
                NOTHING,
                new FeatureIndex(List.of()),
                () -> true);
        assertThat(found.get(0).bearing()).isEqualTo(45);
        assertThat(found).isSortedAccordingTo(java.util.Comparator.comparingInt(each -> -each.placed()));
    }

    @Test
    void aSearchThatIsStoppedTellsTheBestUntilThen() {
        List<Choice> choices = List.of(choice("a", "apple-cox", "mm106", 3));
        assertThat(PlotFill.directions(
                        Plot.rectangle(30, 20),
                        new PlotFill.Wish(RowFill.Pattern.SQUARE, 1, 1, Optional.empty()),
                        choices,
                        stocks(choices),
                        NOTHING,
                        new FeatureIndex(List.of()),
                        () -> false))
                .hasSize(1);
    }

    private static List<PlotFill.Placed> mixed(PlotFill.Mixing mixing, int eachWanted) {
        List<Choice> choices = List.of(
                choice("a", "apple-cox", "m9", eachWanted),
                choice("b", "apple-golden", "m9", eachWanted),
                choice("c", "apple-idared", "m9", eachWanted));
        return PlotFill.of(
                        Plot.of(List.of(new Point(0, 0), new Point(40, 0), new Point(40, 40), new Point(0, 40))),
                        new PlotFill.Wish(RowFill.Pattern.SQUARE, 1, 1, Optional.of(90.0)).mixed(mixing),
                        choices,
                        stocks(choices),
                        NOTHING,
                        new FeatureIndex(List.of()))
                .placed();
    }

    private static Map<Integer, Set<String>> varietiesOfRows(List<PlotFill.Placed> placed) {
        return placed.stream()
                .collect(Collectors.groupingBy(
                        each -> each.place().row(),
                        Collectors.mapping(each -> each.choice().id(), Collectors.toSet())));
    }

    /** Whoever picks row by row wants one variety in a row; whoever wants partners near wants them by turns. */
    @Test
    void varietiesStandByTurnsInRowsOfTheirOwnOrTogether() {
        List<PlotFill.Placed> rows = mixed(PlotFill.Mixing.ROWS, 6);
        assertThat(rows).hasSize(18);
        assertThat(varietiesOfRows(rows).values()).allMatch(of -> of.size() == 1);

        List<PlotFill.Placed> blocks = mixed(PlotFill.Mixing.BLOCKS, 6);
        assertThat(blocks.stream().map(each -> each.choice().id()).distinct()).containsExactly("a", "b", "c");
        assertThat(blocks.subList(0, 6)).allMatch(each -> each.choice().id().equals("a"));

        assertThat(mixed(PlotFill.Mixing.PARTNERS, 6).stream()
                        .limit(6)
                        .map(each -> each.choice().id()))
                .containsExactly("a", "b", "c", "a", "b", "c");
    }

    private static double unevenness(PlotFill fill, Ground ground) {
        return fill.placed().stream()
                .collect(Collectors.groupingBy(
                        each -> each.place().row(),
                        Collectors.summarizingDouble(
                                each -> ground.height(each.place().at()))))
                .values()
                .stream()
                .mapToDouble(heights -> heights.getMax() - heights.getMin())
                .max()
                .orElseThrow();
    }

    /** On a round hill level lines are circles about it (geometry): a row that bends stays level, a straight one not. */
    @Test
    void bentRowsStayLevelOnAHill() {
        List<Ground.Spot> spots = new ArrayList<>();
        for (int x = -20; x <= 80; x += 5) {
            for (int y = -20; y <= 80; y += 5) {
                Point at = new Point(x, y);
                spots.add(new Ground.Spot(at, 30 - 0.15 * at.distance(new Point(30, -40))));
            }
        }
        Ground hill = Ground.through(spots).orElseThrow();
        List<Choice> choices = List.of(choice("a", "plum-stanley", "st-julien", 90));
        Plot plot = Plot.of(List.of(new Point(0, 0), new Point(60, 0), new Point(60, 60), new Point(0, 60)));
        PlotFill bent = PlotFill.of(
                plot,
                new PlotFill.Wish(RowFill.Pattern.CONTOUR, 1, 1, Optional.empty()).on(hill),
                choices,
                stocks(choices),
                NOTHING,
                new FeatureIndex(List.of()));
        PlotFill straight = PlotFill.of(
                plot,
                new PlotFill.Wish(RowFill.Pattern.SQUARE, 1, 1, Optional.of(hill.across())),
                choices,
                stocks(choices),
                NOTHING,
                new FeatureIndex(List.of()));
        assertThat(bent.placed()).hasSizeGreaterThan(60);
        assertThat(unevenness(bent, hill)).isLessThan(0.5);
        assertThat(unevenness(straight, hill)).isGreaterThan(3 * unevenness(bent, hill));
        assertThat(planned(bent))
                .allSatisfy(tree -> assertThat(LayoutRules.boundary(plot, tree)).matches(Finding::isSound));
    }
}
