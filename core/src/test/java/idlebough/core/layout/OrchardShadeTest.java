package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.judge.Subject;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.site.SunMap;
import idlebough.core.site.Terrain;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The shade of planned trees: north of the equator it falls to the north, south of it to the south (common practice). */
class OrchardShadeTest {
    private static final Point TREE = new Point(50, 50);

    private static Feature bed(String name, double x, double y) {
        return drawn(Feature.Kind.BEDS, name, x, y, 4);
    }

    private static Feature drawn(Feature.Kind kind, String name, double x, double y, double side) {
        double half = side / 2;
        return new Feature(
                name,
                kind,
                name,
                List.of(
                        new Point(x - half, y - half),
                        new Point(x + half, y - half),
                        new Point(x + half, y + half),
                        new Point(x - half, y + half)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.empty());
    }

    private static Terrain terrain(double latitude, Feature... features) {
        return Evaluation.of(Orchard.empty(latitude, LocalDate.of(2027, 3, 1))
                        .with(Site.empty(latitude)
                                .with(Plot.rectangle(100, 100))
                                .withFeatures(List.of(features))))
                .site()
                .terrain();
    }

    private static PlannedTree tree(TreeSize size) {
        return new PlannedTree(Subject.tree("t"), "T", Shipped.variety("apple-cox"), TREE, size, 0.25, false, 0, 0);
    }

    private static double hours(List<OrchardShade.Lost> lost, String name) {
        return lost.stream()
                .filter(each -> each.feature().name().equals(name))
                .findFirst()
                .orElseThrow()
                .hours();
    }

    @ParameterizedTest
    @ValueSource(doubles = {45, -45})
    void theShadeFallsAwayFromTheEquator(double latitude) {
        Terrain ground = terrain(latitude, bed("north", 50, 57), bed("south", 50, 43));
        List<OrchardShade.Lost> lost = OrchardShade.lost(ground, List.of(tree(new TreeSize(7, 8))), 25);
        String poleward = latitude > 0 ? "north" : "south";
        String sunny = latitude > 0 ? "south" : "north";
        assertThat(hours(lost, poleward)).isGreaterThan(0.5);
        assertThat(hours(lost, sunny)).isLessThan(hours(lost, poleward) / 3);
        assertThat(lost.get(0).feature().name()).as("the most shaded first").isEqualTo(poleward);
    }

    @Test
    void aGrowingTreeTakesMoreEveryYear() {
        Terrain ground = terrain(45, bed("bed", 50, 57));
        double before = -1e-9;
        for (int year : new int[] {0, 3, 8, 15, 25}) {
            double taken = hours(OrchardShade.lost(ground, List.of(tree(new TreeSize(7, 8))), year), "bed");
            assertThat(taken).as("year %s", year).isGreaterThanOrEqualTo(before);
            before = taken;
        }
        assertThat(before).isPositive();
    }

    @Test
    void farAwayNothingIsTakenAndAtNightThereIsNothingToTake() {
        Terrain ground = terrain(45, bed("bed", 95, 5));
        List<OrchardShade.Lost> lost = OrchardShade.lost(ground, List.of(tree(new TreeSize(3, 3))), 25);
        assertThat(hours(lost, "bed")).isCloseTo(0, within(0.05));
        assertThat(lost.get(0).before())
                .as("open ground has sun from dawn to dusk in leaf")
                .isGreaterThan(11);
    }

    /** A leafless crown lets half the light through, so a deciduous tree takes less of the low winter sun than it might. */
    @Test
    void theBareMonthsAreToldApart() {
        Terrain ground = terrain(45, bed("bed", 50, 57));
        OrchardShade.Lost lost =
                OrchardShade.lost(ground, List.of(tree(new TreeSize(7, 8))), 25).get(0);
        assertThat(lost.winterAfter()).isLessThan(lost.winterBefore());
        assertThat(lost.working().steps()).hasSize(4);
    }

    @Test
    void aTreeOnWiresTakesLessThanOneThatStandsFree() {
        Terrain ground = terrain(45, bed("bed", 50, 54));
        double free = hours(OrchardShade.lost(ground, List.of(tree(new TreeSize(4.5, 4))), 25), "bed");
        double flat = hours(OrchardShade.lost(ground, List.of(tree(new TreeSize(4.5, 2, 0.6))), 25), "bed");
        assertThat(flat).isLessThan(free / 2);
    }

    @Test
    void aHouseIsAskedBeforeItsWalls() {
        Terrain ground = terrain(45, drawn(Feature.Kind.BUILDING, "house", 50, 62, 8));
        OrchardShade.Lost lost =
                OrchardShade.lost(ground, List.of(tree(new TreeSize(9, 9))), 25).get(0);
        assertThat(lost.before()).as("the house shades its own walls").isBetween(4.0, 10.0);
        assertThat(lost.hours()).isPositive();
    }

    @Test
    void whereNothingIsDrawnNothingIsAsked() {
        assertThat(OrchardShade.lost(terrain(45), List.of(tree(new TreeSize(7, 8))), 25))
                .isEmpty();
        assertThat(OrchardShade.lost(terrain(45, bed("bed", 50, 57)), List.of(), 25)
                        .get(0)
                        .hours())
                .as("no trees")
                .isZero();
    }

    /** A crown casts as a feature as high and wide as the tree is in that year. */
    @Test
    void crownsAreTheTreesOfTheYear() {
        PlannedTree tree = tree(new TreeSize(7, 8));
        Feature crown = OrchardShade.crowns(List.of(tree), 10).get(0);
        assertThat(crown.stands()).isCloseTo(tree.after(10).height(), within(1e-9));
        assertThat(crown.size().crown().orElseThrow()).isCloseTo(tree.crown(10), within(1e-9));
        assertThat(crown.evergreen()).isFalse();
    }

    /** A tree takes light from the ground about it and gives none to any; the map agrees with the place asked alone. */
    @ParameterizedTest
    @ValueSource(doubles = {45, -45})
    void theMapOfThePlotWithCrownsIsNowhereBrighter(double latitude) {
        Terrain open = terrain(latitude);
        List<Feature> casting = OrchardShade.all(open, List.of(tree(new TreeSize(8, 8))), 20);
        SunMap with = open.sunMap(casting).orElseThrow();
        SunMap without = open.sunMap().orElseThrow();
        List<Integer> months = open.sunYear().season();
        for (int at = 0; at < with.inside().length; at++) {
            assertThat(with.hours(at, months)).isLessThanOrEqualTo(without.hours(at, months) + 1e-4);
        }
        assertThat(with.shareWith(12, months)).isLessThan(without.shareWith(12, months));
        int beside = with.columns() * with.rows() / 2 + with.columns() / 2;
        assertThat(open.sunAt(List.of(with.middle(beside)), casting).get(0).season())
                .isCloseTo(with.hours(beside, months), within(0.2));
    }
}
