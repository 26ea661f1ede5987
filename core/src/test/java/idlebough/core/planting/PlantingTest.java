package idlebough.core.planting;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.daybook.UnionCheck;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Solids;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PlantingTest {
    private static final NurseryTree POT = new NurseryTree(Form.CONTAINER, 0.46, 0.41, Optional.of(0.13), 0.02);

    private static PlantingSection section(
            NurseryTree tree, String stock, Texture texture, Map<String, String> ways, double latitude) {
        return PlantingSection.of(new PlantingSection.Setting(
                tree,
                Optional.of(Shipped.stock(stock)),
                PlantingSection.Soil.untested(texture),
                Footing.GRADE,
                ways,
                Optional.of(247.0),
                latitude));
    }

    @Test
    void settlingAndTheRaiseItAsks() {
        Map<String, Double> p = Map.of("SAND", .04, "LOAM", .08, "SILT", .10, "CLAY", .12, "PEAT", .20);
        Map<String, Double> c = Map.of("LOOSE", 1.0, "WATERED", .6, "FIRMED", .4);
        Map<String, Double> loss = Map.of("NONE", 0.0, "COMPOST", .6, "PEAT", .5, "RAW", .8);
        Map<String, Double> ball = Map.of("BARE", 0.0, "FIELD", .01, "CONTAINER", .05);
        Vectors.joined("settle").forEach(row -> {
            Settling s = Settling.of(
                    d(row, "disturbed_cm") / 100,
                    p.get(row.get("texture")),
                    c.get(row.get("firming")),
                    d(row, "f_org"),
                    loss.get(row.get("org_kind")),
                    d(row, "ball_h_cm") / 100,
                    ball.get(row.get("ball")));
            near(s.fill() * 100, row, "out:s_fill_cm");
            near(s.ball() * 100, row, "out:s_ball_cm");
            near((d(row, "raise_cm") / 100 - s.total()) * 100, row, "out:flare_cm");
            near(
                    PlantingSection.raiseNeeded(s.total(), d(row, "union_min_cm") / 100, d(row, "union_cm") / 100)
                            * 100,
                    row,
                    "out:need_raise_cm");
        });
    }

    @Test
    void volumesOfHolesMulchAndPots() {
        Vectors.joined("hole").forEach(row -> {
            double top = d(row, "top");
            double depth = d(row, "depth");
            double got = switch (row.get("shape")) {
                case "CYLINDER" -> Solids.cylinder(top, depth);
                case "CONE_FRUSTUM", "FRUSTUM" -> Solids.frustum(top, d(row, "base"), depth);
                case "BOWL_CAP" -> Solids.bowl(top, depth);
                case "BOWL_ELLIPSOID" -> Solids.halfEllipsoid(top, depth);
                case "SQUARE" -> Solids.square(top, depth);
                default -> Solids.pyramid(top, d(row, "base"), depth);
            };
            near(1000 * got, row, "out:volume_l");
        });
        Vectors.joined("mulch")
                .forEach(row -> near(
                        PlantingSection.mulch(
                                d(row, "diam"),
                                d(row, "trunk_cm") / 100,
                                d(row, "clear_cm") / 100,
                                d(row, "depth_cm") / 100),
                        row,
                        "out:volume_l"));
        Vectors.joined("container").forEach(row -> {
            double litres = 1000
                    * Solids.frustum(
                            d(row, "top_cm") / 100,
                            d(row, "base_ratio") * d(row, "top_cm") / 100,
                            d(row, "height_cm") / 100)
                    * d(row, "fill");
            near(litres, row, "out:volume_l");
            assertThat(Lift.of(litres * d(row, "density") + d(row, "plant_kg")).name())
                    .isEqualTo(row.get("out:lift"));
        });
    }

    @Test
    void bandsOfTheTrade() {
        // common practice: a #15 container, about 46 cm across, wants a hole 60–90 cm wide and as deep as the ball
        PlantingSection narrow = section(POT, "mm106", Texture.LOAM, Map.of("planting.width", "narrow"), 42.3);
        PlantingSection usual = section(POT, "mm106", Texture.LOAM, Map.of(), 42.3);
        assertThat(narrow.width()).isBetween(0.6, 0.9);
        assertThat(usual.width()).isBetween(0.6, 0.95);
        assertThat(usual.depth()).isCloseTo(0.41, org.assertj.core.data.Offset.offset(0.05));
        // common practice: clay 5–10 cm proud, sandy loam 2.5–5
        assertThat(section(POT, "mm106", Texture.CLAY, Map.of(), 42.3).raise()).isBetween(0.05, 0.10);
        assertThat(section(POT, "mm106", Texture.SANDY_LOAM, Map.of(), 42.3).raise())
                .isBetween(0.025, 0.05);
        // common practice: a loosened bottom in ordinary soil sinks 1–2.5 cm within two months (below the ball; the
        // ball's own sinking beside it)
        PlantingSection loosened = section(
                POT, "mm106", Texture.LOAM, Map.of("planting.base", "loosened", "planting.firming", "loose"), 42.3);
        assertThat(loosened.settling().fill()).isBetween(0.01, 0.025);
        // common practice: union 5–10 cm at least above ground after settling, and above the mulch
        assertThat(usual.unionAfter(8)).isGreaterThan(0.10);
        // common practice: mulch ring of 1.2 m, 10 cm deep, 12 cm clear of a 2.5 cm stem is about 108 L
        assertThat(PlantingSection.mulch(1.2, 0.025, 0.12, 0.10))
                .isCloseTo(108, org.assertj.core.data.Offset.offset(1.0));
        // common practice: stake 1.5 m, 0.5 m in the ground, 1 m above
        assertThat(usual.stake().orElseThrow().length()).isCloseTo(1.5, org.assertj.core.data.Offset.offset(0.06));
    }

    @Test
    void clayForLoamMovesTheUnionUpAndTheBudSideFollowsTheHemisphere() {
        assertThat(section(POT, "mm106", Texture.CLAY, Map.of(), 42.3).unionToday())
                .isGreaterThan(
                        section(POT, "mm106", Texture.LOAM, Map.of(), 42.3).unionToday());
        assertThat(section(POT, "mm106", Texture.LOAM, Map.of(), 42.3).budSide())
                .isEqualTo("N");
        assertThat(section(POT, "mm106", Texture.LOAM, Map.of(), -36.8).budSide())
                .isEqualTo("S");
    }

    /** common practice: a normal bare-root tree, 5 to 9 cm from flare to union, on a normal day is sound. */
    @ParameterizedTest
    @CsvSource({
        "0.05, mm111, LOAM",
        "0.09, mm111, CLAY",
        "0.09, mm106, LOAM",
        "0.07, m25, SANDY_LOAM",
        "0.12, m9, LOAM",
        "0.12, m9, CLAY",
        "0.12, m9, SAND"
    })
    void aNormalTreeOnANormalDayIsSound(double union, String stock, Texture texture) {
        NurseryTree bare = new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(union), 0.02);
        assertThat(PlantingRules.judge("t", "A1", section(bare, stock, texture, Map.of(), 42.3)))
                .isNotEmpty()
                .allMatch(Finding::isSound);
    }

    /** Bare roots never sink by exactly nothing: about 1 to 2 cm in loam, 1.5 to 3 in clay (common practice). */
    @Test
    void bareRootsAlwaysSink() {
        NurseryTree bare = new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.12), 0.02);
        PlantingSection loam = section(bare, "mm106", Texture.LOAM, Map.of(), 42.3);
        assertThat(loam.settling().total()).isCloseTo(0.012, within(1e-9));
        assertThat(loam.settlingHalfWidth()).isPositive();
        PlantingSection clay = section(bare, "mm106", Texture.CLAY, Map.of(), 42.3);
        assertThat(clay.settling().total()).isCloseTo(0.018, within(1e-9));
        assertThat(loam.raise()).isGreaterThan(loam.settlingHigh().total());
    }

    @Test
    void clonalRootsEndLevel() {
        PlantingSection clonal = section(POT, "avocado-clonal", Texture.LOAM, Map.of(), -36);
        assertThat(clonal.flareInTheEnd().value()).isCloseTo(0, within(0.0026));
        assertThat(PlantingRules.judge("t", "A1", clonal))
                .filteredOn(finding -> finding.rule().equals(PlantingRules.FLARE_LEVEL))
                .allMatch(Finding::isSound)
                .hasSize(1);
    }

    @Test
    void mulchCloseToTheStemCountsAndAWiderRingMendsIt() {
        Map<String, String> deep = Map.of("planting.mulch", "deep", "planting.ring", "close");
        NurseryTree low = new NurseryTree(Form.CONTAINER, 0.36, 0.29, Optional.of(0.06), 0.02);
        PlantingSection section = section(low, "mm111", Texture.LOAM, deep, 42.3);
        assertThat(section.raise()).as("set higher for the mulch").isGreaterThan(0.14);
        PlantingSection lower = section.asMeasured(0.10);
        assertThat(PlantingRules.judge("t", "A1", lower))
                .filteredOn(f -> f.rule().equals(PlantingRules.UNION_BELOW_MULCH))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.standing()).isEqualTo(Standing.STOP);
                    assertThat(f.remedies().get(0))
                            .isInstanceOfSatisfying(
                                    Remedy.TakeWay.class,
                                    way -> assertThat(way.way()).isEqualTo(PlantingWays.RING));
                });
    }

    @Test
    void whatWasMeasuredIsHeldAgainstThePlanAndAgainstTheLimits() {
        PlantingSection section = section(POT, "mm106", Texture.LOAM, Map.of(), 42.3);
        assertThat(PlantingRules.asPlanted("t", "A1", section, section.unionToday()))
                .allMatch(Finding::isSound);
        assertThat(PlantingRules.asPlanted("t", "A1", section, section.unionToday() - 0.10))
                .extracting(Finding::standing)
                .containsExactly(Standing.STOP, Standing.STOP);
        assertThat(PlantingRules.asPlanted("t", "A1", section, section.unionToday() + 0.10))
                .extracting(Finding::rule)
                .contains(PlantingRules.AS_PLANTED_PROUD);
        PlantingSection ground = section.asMeasured(section.unionToday() - 0.05);
        assertThat(ground.flareAtLast()).isCloseTo(section.flareAtLast() - 0.05, within(1e-9));
        assertThat(ground.measured()).isTrue();
        LocalDate planted = LocalDate.of(2026, 3, 1);
        UnionCheck good =
                UnionCheck.of(section, planted, section.unionToday(), planted.plusWeeks(8), section.unionAfter(8));
        assertThat(good.judge("t", "A1", 0.10)).allMatch(Finding::isSound);
    }

    /** common practice: a stake for life stands 1.5 m above ground, about a third of it is buried. */
    @Test
    void aStakeForLifeGoesDeeper() {
        PlantingSection dwarf = section(POT, "m9", Texture.LOAM, Map.of(), 42.3);
        assertThat(dwarf.stake().orElseThrow().above()).isEqualTo(1.5);
        assertThat(dwarf.stake().orElseThrow().length()).isBetween(2.05, 2.25);
        assertThat(section(POT, "mm111", Texture.LOAM, Map.of(), 42.3).staked()).isFalse();
        assertThat(section(POT, "mm106", Texture.SAND, Map.of(), 42.3)
                        .stake()
                        .orElseThrow()
                        .length())
                .as("deeper in light soil")
                .isEqualTo(1.6);
    }

    /** Dug soil swells by a tenth to four tenths: earthwork handbooks. */
    @Test
    void theHeapIsLargerThanTheHole() {
        PlantingSection clay = section(POT, "mm106", Texture.CLAY, Map.of(), 42.3);
        assertThat(clay.spoil() / clay.holeLitres()).isBetween(1.2, 1.45);
        assertThat(clay.barrows()).isCloseTo(clay.spoil() / 80, org.assertj.core.data.Offset.offset(1e-9));
    }

    /** By hand: a hole of two balls, 0.92 m, less the ball; a third of that, and 15 % more for pressing together. */
    @Test
    void compostIsAShareOfWhatIsFilledIn() {
        PlantingSection third =
                section(POT, "mm106", Texture.LOAM, Map.of("planting.mix", "third", "planting.width", "two"), 44);
        double filled = Math.PI / 4 * (0.92 * 0.92 - 0.46 * 0.46) * third.depth() * 1000;
        assertThat(third.width()).isCloseTo(0.92, within(1e-9));
        assertThat(third.compost()).isCloseTo(filled / 3 * 1.15, within(1e-6));
        assertThat(section(POT, "mm106", Texture.LOAM, Map.of("planting.mix", "native"), 44)
                        .compost())
                .isZero();
        NurseryTree bare = new NurseryTree(Form.BARE, 0.46, 0.25, Optional.of(0.13), 0.02);
        PlantingSection roots = section(bare, "mm106", Texture.LOAM, Map.of("planting.mix", "fifth"), 44);
        assertThat(roots.compost())
                .as("bare roots fill no room")
                .isCloseTo(
                        Math.PI / 4 * roots.width() * roots.width() * roots.depth() * 1000 * 0.2 * 1.15, within(1e-6));
    }

    /** M9 wants a stake for life; MM106 and a seedling do not (common practice). */
    @Test
    void stakesByTheStock() {
        PlantingSection dwarf = section(POT, "m9", Texture.LOAM, Map.of(), 44);
        assertThat(dwarf.staked()).isTrue();
        assertThat(dwarf.stake().orElseThrow().above()).isEqualTo(1.5);
        assertThat(dwarf.stake().orElseThrow().length()).isCloseTo(1.5 / 0.7, within(1e-9));
        assertThat(section(POT, "antonovka", Texture.LOAM, Map.of(), 44).staked())
                .isFalse();
        PlantingSection sandy = section(POT, "mm106", Texture.SAND, Map.of(), 44);
        assertThat(sandy.stake().orElseThrow().length()).isCloseTo(1.6, within(1e-9));
        assertThat(section(POT, "mm106", Texture.CLAY, Map.of(), 44)
                        .stake()
                        .orElseThrow()
                        .length())
                .isCloseTo(1.45, within(1e-9));
    }

    @Test
    void theBudSideFacesAwayFromTheSun() {
        assertThat(section(POT, "mm106", Texture.LOAM, Map.of(), 44).budSide()).isEqualTo("N");
        assertThat(section(POT, "mm106", Texture.LOAM, Map.of(), -36).budSide()).isEqualTo("S");
        assertThat(section(POT, "mm106", Texture.LOAM, Map.of(), 0).budSide()).isEqualTo("N");
    }

    /** Clay settles by 10 to 20 % of what was dug below the ball (common practice). */
    @Test
    void howSureTheSettlingIsKnown() {
        PlantingSection loose = section(
                POT, "mm106", Texture.CLAY, Map.of("planting.base", "loosened", "planting.firming", "loose"), 44);
        assertThat(loose.settlingLow().total()).isLessThan(loose.settling().total());
        assertThat(loose.settlingHigh().total()).isGreaterThan(loose.settling().total());
        assertThat(loose.settlingHalfWidth())
                .isCloseTo((loose.settlingHigh().total() - loose.settlingLow().total()) / 2, within(1e-12))
                .isPositive();
        assertThat(loose.flareAtLast())
                .isCloseTo(loose.raise() - loose.settling().total(), within(1e-12));
    }
}
