package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Subject;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.rootstock.Habit;
import idlebough.core.rootstock.TrainingSystem;
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
import java.util.Random;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * A place that the program chose itself is never doubted by the program: plots, features, patterns and forms by lot.
 */
class FillPropertyTest {
    private static final List<String> TRAINED = List.of("", "", "spindle", "espalier", "oblique cordon", "bush");

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16})
    void noTreeBreaksWhatTheFillKnew(long seed) {
        Random random = new Random(seed);
        Plot plot = plot(random);
        List<Feature> features = features(random);
        FeatureIndex index = new FeatureIndex(features);
        List<Choice> choices = choices(random);
        RowFill.Pattern[] patterns = {
            RowFill.Pattern.SQUARE, RowFill.Pattern.TRIANGLE, RowFill.Pattern.DOUBLE, RowFill.Pattern.CONTOUR
        };
        double bearing = random.nextInt(180);
        Ground hill = Ground.through(List.of(
                        new Ground.Spot(new Point(0, 0), 3 * random.nextDouble()),
                        new Ground.Spot(new Point(80, 0), 3 * random.nextDouble()),
                        new Ground.Spot(new Point(40, 40), 4 + random.nextDouble()),
                        new Ground.Spot(new Point(0, 80), 3 * random.nextDouble()),
                        new Ground.Spot(new Point(80, 80), 3 * random.nextDouble())))
                .orElseThrow();
        PlotFill fill = PlotFill.of(
                plot,
                new PlotFill.Wish(
                                patterns[random.nextInt(patterns.length)],
                                random.nextInt(4),
                                random.nextInt(3),
                                Optional.of(bearing))
                        .on(hill)
                        .mixed(PlotFill.Mixing.values()[random.nextInt(3)]),
                choices,
                Evaluation.of(Orchard.empty(44, LocalDate.of(2027, 3, 1))
                                .with(Site.empty(44))
                                .withChoices(choices))
                        .rootstocks(),
                new PlotFill.Standing(List.of(), Map.of()),
                index);
        List<PlannedTree> trees = new ArrayList<>();
        fill.placed().forEach(placed -> trees.add(planned(placed, bearing)));
        assertThat(trees).as("something finds room").isNotEmpty();
        for (PlannedTree tree : trees) {
            assertThat(LayoutRules.boundary(plot, tree))
                    .as("%s of seed %s", tree.label(), seed)
                    .matches(Finding::isSound);
            assertThat(LayoutRules.clearances(tree, index))
                    .as("%s of seed %s", tree.label(), seed)
                    .isEmpty();
            for (PlannedTree other : trees) {
                if (other != tree) {
                    assertThat(LayoutRules.crowded(tree, other))
                            .as("%s and %s of seed %s", tree.label(), other.label(), seed)
                            .matches(Finding::isSound);
                }
            }
        }
    }

    private static PlannedTree planned(PlotFill.Placed placed, double bearing) {
        Choice choice = placed.choice();
        Optional<Rootstock> stock = choice.stock().map(Shipped::stock);
        TreeSize size = TreeSize.of(
                Shipped.variety(choice.variety()),
                stock,
                new Habit(1, choice.training().flatMap(TrainingSystem::named)));
        String label = RowFill.label(placed.place().row(), placed.place().place());
        return new PlannedTree(
                Subject.tree(label),
                label,
                Shipped.variety(choice.variety()),
                placed.place().at(),
                size,
                0.25,
                false,
                0,
                size.flat() ? bearing : 0);
    }

    private static Plot plot(Random random) {
        List<Point> corners = new ArrayList<>();
        int sides = 4 + random.nextInt(8);
        for (int i = 0; i < sides; i++) {
            double angle = 2 * Math.PI * i / sides;
            double radius = 22 + random.nextDouble() * 12;
            corners.add(new Point(40 + radius * Math.cos(angle), 40 + radius * Math.sin(angle)));
        }
        return Plot.of(corners);
    }

    private static List<Feature> features(Random random) {
        List<Feature> features = new ArrayList<>();
        Feature.Kind[] kinds = {
            Feature.Kind.BUILDING, Feature.Kind.WET, Feature.Kind.BURIED, Feature.Kind.OVERHEAD, Feature.Kind.PATH
        };
        for (int i = 0; i < 3; i++) {
            Feature.Kind kind = kinds[random.nextInt(kinds.length)];
            double x = 25 + random.nextInt(30);
            double y = 25 + random.nextInt(30);
            List<Point> points = kind.shape() == Feature.Shape.AREA
                    ? List.of(new Point(x, y), new Point(x + 5, y + 1), new Point(x + 4, y + 5))
                    : List.of(new Point(x, y), new Point(x + 12, y + 7));
            features.add(new Feature(
                    "f" + i, kind, "", points, Feature.Size.USUAL, false, Optional.empty(), Optional.empty()));
        }
        return features;
    }

    private static List<Choice> choices(Random random) {
        String[][] kinds = {{"apple-cox", "m9"}, {"apple-golden", "m26"}, {"plum-stanley", "st-julien"}};
        List<Choice> choices = new ArrayList<>();
        for (int i = 0; i < 1 + random.nextInt(3); i++) {
            String training = TRAINED.get(random.nextInt(TRAINED.size()));
            choices.add(new Choice(
                    "c" + i,
                    kinds[i][0],
                    Optional.of(kinds[i][1]),
                    4 + random.nextInt(12),
                    false,
                    training.isEmpty() ? Optional.empty() : Optional.of(training)));
        }
        return choices;
    }
}
