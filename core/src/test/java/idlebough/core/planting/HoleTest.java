package idlebough.core.planting;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Way;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The hole, its soil and what stands beside the tree: check files, facts of the trade and properties. */
class HoleTest {
    private static final PlantingSection.Around CALM =
            new PlantingSection.Around(Optional.empty(), 1, Optional.empty());

    private static NurseryTree tree(Form form, double wide, double deep, double tall) {
        return new NurseryTree(
                form,
                wide,
                deep,
                Optional.of(0.13),
                0.025,
                new Arrival(
                        Optional.empty(),
                        Optional.empty(),
                        Arrival.Seen.NOTHING,
                        Optional.empty(),
                        Optional.of(tall),
                        Optional.empty()));
    }

    private static PlantingSection section(
            NurseryTree tree, Texture texture, Tree.Hole hole, PlantingSection.Around around, String... ways) {
        Map<String, String> chosen = new HashMap<>();
        for (int i = 0; i < ways.length; i += 2) {
            chosen.put("planting." + ways[i], ways[i + 1]);
        }
        return PlantingSection.of(new PlantingSection.Setting(
                tree,
                Optional.of(Shipped.stock("mm111")),
                PlantingSection.Soil.untested(texture),
                new Tree.Ground(Footing.GRADE, hole),
                chosen,
                around,
                45));
    }

    private static PlantingSection section(NurseryTree tree, Texture texture, String... ways) {
        return section(tree, texture, Tree.Hole.PROPOSED, CALM, ways);
    }

    @Test
    void basinMeshPaintAndTiesAgreeWithTheCheckFiles() {
        Vectors.joined("basin").forEach(row -> {
            near(
                    Basin.holds(d(row, "inner_d"), d(row, "berm_h"), d(row, "berm_base"), d(row, "freeboard")),
                    row,
                    "out:capacity_l");
            near(Basin.soil(d(row, "inner_d"), d(row, "berm_h"), d(row, "berm_base")), row, "out:berm_l");
        });
        Vectors.joined("mesh")
                .forEach(row -> near(
                        100 * PlantingSection.mesh(d(row, "diam_cm") / 100, d(row, "overlap_cm") / 100),
                        row,
                        "out:cut_cm"));
        Vectors.joined("paint")
                .forEach(row -> near(
                        PlantingSection.bark(
                                d(row, "base_cm") / 100, d(row, "top_cm") / 100, d(row, "height_cm") / 100),
                        row,
                        "out:area"));
        Vectors.joined("stake_tie").forEach(row -> {
            near(Stake.buried(d(row, "above"), d(row, "bury_frac"), d(row, "bury_min")), row, "out:bury");
            near(
                    100 * Stake.belt(d(row, "trunk_cm") / 100, d(row, "stake_cm") / 100, d(row, "gap_cm") / 100),
                    row,
                    "out:belt_cm");
        });
    }

    @Test
    void theSoilOfAHoleAgreesWithTheCheckFile() {
        Vectors.joined("backfill").forEach(row -> {
            double hole = d(row, "out:hole_l");
            FillBalance balance = FillBalance.of(
                    new FillBalance.Earth(
                            hole,
                            0,
                            hole,
                            d(row, "out:ball_l"),
                            0,
                            d(row, "swell"),
                            d(row, "f_amend"),
                            d(row, "consol")),
                    true,
                    0);
            near(balance.compost(), row, "out:amend_l");
            near(balance.back(), row, "out:soil_l");
            near(balance.out(), row, "out:spoil_l");
            near(balance.left(), row, "out:surplus_l");
        });
    }

    /** What comes out goes back, is carted off or is left, whatever the hole and the ways. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void nothingOfTheSoilIsLostOrMade(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 50; i++) {
            Map<String, String> ways = new HashMap<>();
            for (Way way : PlantingWays.ALL) {
                ways.put(
                        way.key(),
                        way.choices().get(random.nextInt(way.choices().size())).key());
            }
            PlantingSection section = PlantingSection.of(new PlantingSection.Setting(
                    tree(Form.values()[random.nextInt(3)], 0.2 + random.nextDouble(), 0.2 + random.nextDouble() / 2, 2),
                    Optional.of(Shipped.stock("m26")),
                    PlantingSection.Soil.untested(Texture.values()[random.nextInt(Texture.values().length)]),
                    new Tree.Ground(
                            Footing.values()[random.nextInt(2)],
                            random.nextBoolean()
                                    ? Tree.Hole.PROPOSED
                                    : new Tree.Hole(
                                            Optional.of(0.1 + random.nextDouble()),
                                            Optional.of(0.3 + random.nextDouble()),
                                            Optional.empty(),
                                            Optional.empty())),
                    ways,
                    CALM,
                    45));
            FillBalance balance = section.balance();
            assertThat(balance.out())
                    .as("to the millilitre")
                    .isCloseTo(balance.back() + balance.carted() + balance.left(), within(1e-3))
                    .isCloseTo(section.spoil(), within(1e-3));
            assertThat(List.of(balance.back(), balance.carted(), balance.left(), balance.fetched(), balance.compost()))
                    .allMatch(litres -> litres >= 0);
        }
    }

    /** Worked pit 3 ft by 2 ft: 400 L as a cylinder, 75 to 95 L of subsoil carted off, at most 80 L compost. */
    @Test
    void aWorkedPitOfTheTrade() {
        PlantingSection pit = section(
                tree(Form.BARE, 0.45, 0.25, 1.4),
                Texture.CLAY_LOAM,
                "pit",
                "worked",
                "subsoil",
                "share",
                "sod",
                "mulch",
                "mix",
                "fifth");
        assertThat(pit.holeLitres()).isCloseTo(400, within(25.0));
        double swell = 1 + pit.setting().texture().traits().swell();
        assertThat(pit.balance().carted() / swell).isBetween(75.0, 95.0);
        assertThat(pit.compost() / 1.15).as("in place").isLessThanOrEqualTo(80);
        assertThat(pit.below()).isGreaterThan(0.3);
        assertThat(pit.raise())
                .as("it is set higher for what sinks below it")
                .isGreaterThan(section(tree(Form.BARE, 0.45, 0.25, 1.4), Texture.CLAY_LOAM, "mix", "fifth")
                        .raise());
    }

    /** A 45-gallon ball, 74 by 51 cm: 90 gallons of loose soil barely wider than it, 600 L and more at half as wide again. */
    @ParameterizedTest
    @CsvSource({"0.8, 290, 400", "1.11, 600, 800"})
    void aHeapIsAsLargeAsTheTradeSays(double wide, double least, double most) {
        PlantingSection hole = section(
                tree(Form.CONTAINER, 0.74, 0.51, 2),
                Texture.LOAM,
                new Tree.Hole(Optional.of(0.51), Optional.of(wide), Optional.empty(), Optional.empty()),
                CALM);
        assertThat(hole.spoil()).isBetween(least, most);
    }

    /** Vole ring for a hole of 90 cm: about 2.9 to 3.0 m with its overlap, opening at most 6 mm (common practice). */
    @Test
    void meshForAHole() {
        PlantingSection hole = section(tree(Form.CONTAINER, 0.45, 0.3, 1.2), Texture.LOAM, "mesh", "fine");
        assertThat(hole.width()).isCloseTo(0.9, within(1e-9));
        assertThat(hole.mesh()).isBetween(2.9, 3.0);
        assertThat(hole.meshOpening()).isLessThanOrEqualTo(0.006);
        assertThat(section(tree(Form.CONTAINER, 0.45, 0.3, 1.2), Texture.LOAM).mesh())
                .isZero();
    }

    /** A whip of 2.4 m: 2.4 to 2.8 m of stake, 8 cm off, two ties, 3 to 4 years, 0.65 to 0.8 m in the ground. */
    @Test
    void aTallWhipIsStakedAsTheTradeSays() {
        Stake stake =
                section(tree(Form.BARE, 0.45, 0.25, 2.4), Texture.LOAM).stake().orElseThrow();
        assertThat(stake.length()).isBetween(2.4, 2.8);
        assertThat(stake.buried()).isBetween(0.65, 0.8);
        assertThat(stake.off()).isEqualTo(0.08);
        assertThat(stake.ties()).hasSize(2);
        assertThat(stake.years().orElseThrow()).isBetween(3, 4);
    }

    /** Two in wind, three for a large ball in storms; none by choice (common practice). */
    @Test
    void windAsksForMore() {
        PlantingSection.Around storm = new PlantingSection.Around(Optional.of(250.0), 1, Optional.empty());
        PlantingSection.Around lee = new PlantingSection.Around(Optional.of(250.0), 0.4, Optional.empty());
        NurseryTree whip = tree(Form.BARE, 0.45, 0.25, 2.4);
        NurseryTree ball = tree(Form.FIELD, 0.6, 0.4, 2.6);
        assertThat(section(whip, Texture.LOAM, Tree.Hole.PROPOSED, storm)
                        .stake()
                        .orElseThrow()
                        .count())
                .isEqualTo(2);
        assertThat(section(whip, Texture.LOAM, Tree.Hole.PROPOSED, lee)
                        .stake()
                        .orElseThrow()
                        .count())
                .isEqualTo(1);
        assertThat(section(ball, Texture.LOAM, Tree.Hole.PROPOSED, storm)
                        .stake()
                        .orElseThrow()
                        .count())
                .isEqualTo(3);
        assertThat(section(whip, Texture.LOAM, Tree.Hole.PROPOSED, storm, "stake", "never")
                        .stake())
                .isEmpty();
        assertThat(section(tree(Form.CONTAINER, 0.4, 0.3, 1), Texture.LOAM, "stake", "always")
                        .stake())
                .isPresent();
    }

    /** A settled union is never below the mulch in a plan judged sound, nor the flare below ground. */
    @ParameterizedTest
    @ValueSource(longs = {11, 12, 13, 14})
    void whatIsSoundStandsClear(long seed) {
        Random random = new Random(seed);
        for (int i = 0; i < 60; i++) {
            PlantingSection section = section(
                    tree(Form.values()[random.nextInt(3)], 0.3, 0.2 + random.nextDouble() / 4, 1.2),
                    Texture.values()[random.nextInt(Texture.values().length)],
                    random.nextBoolean()
                            ? Tree.Hole.PROPOSED
                            : new Tree.Hole(
                                    Optional.of(0.15 + random.nextDouble() / 2),
                                    Optional.empty(),
                                    Optional.empty(),
                                    Optional.empty()),
                    CALM,
                    "mulch",
                    random.nextBoolean() ? "deep" : "thin",
                    "ring",
                    random.nextBoolean() ? "close" : "wide",
                    "base",
                    random.nextBoolean() ? "loosened" : "firm");
            if (PlantingRules.judge("t", "T", section).stream().allMatch(Finding::isSound)) {
                double over = section.clearOfMulch() ? 0 : section.mulchDepth();
                assertThat(section.unionToday() - section.settlingHigh().total())
                        .isGreaterThanOrEqualTo(over + 0.05);
                assertThat(section.raise() - section.settlingHigh().total()).isGreaterThanOrEqualTo(-1e-9);
            }
        }
    }

    /** The finer the soil the more it sinks and the slower it drains: clay never asks for less than sand. */
    @Test
    void moreClayNeverLowersTheTree() {
        List<Texture> finer = List.of(Texture.SAND, Texture.SANDY_LOAM, Texture.CLAY_LOAM, Texture.CLAY);
        for (int i = 1; i < finer.size(); i++) {
            NurseryTree pot = tree(Form.CONTAINER, 0.4, 0.3, 1.2);
            assertThat(section(pot, finer.get(i), "level", "even").raise())
                    .isGreaterThanOrEqualTo(
                            section(pot, finer.get(i - 1), "level", "even").raise());
        }
    }

    /** Turn the storm and the advice turns; cross the equator and the shaded side is the other one. */
    @ParameterizedTest
    @CsvSource({"0", "45", "137", "250", "359"})
    void theAdviceTurnsWithWhatItIsAbout(double storm) {
        PlantingSection.Around around =
                new PlantingSection.Around(Optional.of(storm), 1, Optional.of((storm + 90) % 360));
        assertThat(Turning.of("roots", true, 45, around).bearing()).contains(storm);
        assertThat(Turning.of("view", true, 45, around).bearing()).contains((storm + 90) % 360);
        assertThat(Turning.of("sun", true, 45, around).bearing()).contains(0.0);
        assertThat(Turning.of("sun", true, -45, around).bearing()).contains(180.0);
        assertThat(Turning.of("old", true, 45, around).bearing()).isEmpty();
        boolean pulls = Math.min(storm, 360 - storm) > 45;
        assertThat(Turning.of("sun", true, 45, around).against().stream()
                        .anyMatch(gives -> gives.what().pattern().contains("roots")))
                .isEqualTo(pulls);
    }

    /** A moved ball of 30 cm weighs 65 to 100 kg, one of 38 cm 105 to 165; three years go well, four are dared. */
    @Test
    void aMovedTreeOfTheTrade() {
        MovedTree small = MovedTree.of(2, 0.03, 1, false);
        MovedTree large = MovedTree.of(4, 0.09, 1.5, false);
        assertThat(small.radius()).isEqualTo(0.30);
        assertThat(small.lightest()).isBetween(65.0, 100.0);
        assertThat(small.heaviest()).isBetween(65.0, 100.0);
        assertThat(large.radius()).isEqualTo(0.38);
        assertThat(large.lightest()).isBetween(105.0, 165.0);
        assertThat(large.heaviest()).isBetween(105.0, 165.0);
        assertThat(small.lift()).isEqualTo(Lift.AID);
        assertThat(MovedTree.of(3, 0.05, 1, false).dared()).isEqualTo(MovedTree.Dared.WELL);
        assertThat(large.dared()).isEqualTo(MovedTree.Dared.DARED);
        assertThat(MovedTree.of(5, 0.1, 2, true).dared()).isEqualTo(MovedTree.Dared.NO);
        assertThat(MovedTree.of(5, 0.1, 2, true).rootsKept())
                .isGreaterThan(MovedTree.of(5, 0.1, 2, false).rootsKept());
    }
}
