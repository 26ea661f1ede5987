package idlebough.core.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Standing;
import idlebough.core.site.Footing;
import idlebough.core.site.Mound;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Facts of the trade about the hole and what stands in it; common practice throughout, each with its own band. */
class TradeTest {
    private static final double INCH = 0.0254;

    /** On a mound of 30 cm. */
    private static PlantingSection section(
            NurseryTree tree, String crop, Texture texture, double crown, String... ways) {
        return section(tree, texture, Footing.MOUND, new PlantingSection.Grown(crop, crown), Optional.empty(), ways);
    }

    /** On the grade. */
    private static PlantingSection planted(NurseryTree tree, Texture texture, String... ways) {
        return section(tree, texture, Footing.GRADE, PlantingSection.Grown.ANY, Optional.empty(), ways);
    }

    private static PlantingSection section(
            NurseryTree tree,
            Texture texture,
            Footing footing,
            PlantingSection.Grown grown,
            Optional<Double> storm,
            String... ways) {
        Map<String, String> chosen = new HashMap<>();
        for (int i = 0; i < ways.length; i += 2) {
            chosen.put("planting." + ways[i], ways[i + 1]);
        }
        return PlantingSection.of(new PlantingSection.Setting(
                tree,
                Optional.of(Shipped.stock("mm111")),
                PlantingSection.Soil.untested(texture),
                new Tree.Ground(footing, Tree.Hole.PROPOSED),
                chosen,
                new PlantingSection.Around(storm, 1, Optional.empty()),
                45,
                grown));
    }

    private static NurseryTree bare(double spread, double roots) {
        return new NurseryTree(Form.BARE, spread, roots, Optional.of(0.13), 0.02);
    }

    private static NurseryTree pot(double wide, double deep) {
        return new NurseryTree(Form.CONTAINER, wide, deep, Optional.of(0.13), 0.025);
    }

    /** Roots 8 to 10 in deep: a hole of that depth less what it stands proud, 90 cm or twice the spread wide. */
    @ParameterizedTest
    @CsvSource({"8", "9", "10"})
    void aBareRootTree(double inches) {
        PlantingSection hole = planted(bare(0.45, inches * INCH), Texture.LOAM);
        assertThat(hole.depth() + hole.raise()).isBetween(8 * INCH - 1e-9, 10 * INCH + 1e-9);
        assertThat(hole.depth()).isLessThanOrEqualTo(0.25);
        assertThat(hole.width()).isCloseTo(0.9, within(1e-9));
    }

    /** A year old, its longest root 30 cm: a hole of about 60; the flare shows, the top root 2.5 cm under at most. */
    @Test
    void aYearOldBareRootTree() {
        PlantingSection hole = planted(bare(0.3, 0.2), Texture.LOAM);
        assertThat(hole.width()).isCloseTo(0.6, within(0.05));
        assertThat(hole.flareAtLast()).isGreaterThanOrEqualTo(-1e-9);
        assertThat(hole.raise()).isGreaterThanOrEqualTo(-0.025);
    }

    /** A worked pit, 3 ft by 2 ft: 400 L, 75 to 95 L of subsoil carted off, at most 80 L of compost. */
    @Test
    void theWorkedPit() {
        PlantingSection pit = PlantingSection.of(new PlantingSection.Setting(
                bare(0.45, 0.25),
                Optional.of(Shipped.stock("mm111")),
                PlantingSection.Soil.untested(Texture.CLAY_LOAM),
                new Tree.Ground(
                        Footing.GRADE,
                        new Tree.Hole(Optional.of(0.61), Optional.of(0.913), Optional.empty(), Optional.empty())),
                Map.of("planting.subsoil", "share", "planting.mix", "fifth", "planting.sod", "mulch"),
                new PlantingSection.Around(Optional.empty(), 1, Optional.empty()),
                45));
        assertThat(pit.holeLitres()).isCloseTo(400, within(1.0));
        assertThat(pit.balance().carted() / (1 + Texture.CLAY_LOAM.traits().swell()))
                .isBetween(75.0, 95.0);
        // As it lies in the pit; what is fetched is more, since it is pressed together.
        assertThat(pit.compost() / (1 + pit.consolidation())).isLessThanOrEqualTo(80);
    }

    /** A tree 12 ft wide: 12 to 18 in high, foot 6 ft to each side; on top a good metre at least. */
    @ParameterizedTest
    @CsvSource({"3.66, 3.66", "2, 2.4", "6, 6"})
    void aMoundIsAsWideAsTheTree(double crown, double foot) {
        Mound mound =
                section(pot(0.4, 0.3), "apple", Texture.CLAY, crown).mound().orElseThrow();
        assertThat(mound.height()).isBetween(12 * INCH - 0.005, 18 * INCH);
        assertThat(mound.base()).isCloseTo(foot, within(0.01));
        assertThat(mound.top()).isGreaterThanOrEqualTo(0.9);
    }

    /** The root-rot school: 90 cm high, its crest as wide. A low mound is 15 cm when it has settled. */
    @Test
    void bermsOfEitherSchool() {
        assertThat(Footing.HIGH_BERM.height()).isEqualTo(0.9);
        assertThat(Mound.under(3, Footing.HIGH_BERM.height()).top()).isGreaterThanOrEqualTo(0.9);
        assertThat(Footing.LOW_MOUND.height()).isGreaterThanOrEqualTo(0.15);
    }

    /** Citrus 5 to 8 cm, at most 8 where it is windy, avocado 10 to 15, bark 5; 8 to 15 cm clear of the stem. */
    @ParameterizedTest
    @CsvSource({
        "lemon, chips, calm, 0.05, 0.08",
        "apple, straw, windy, 0.05, 0.08",
        "avocado, chips, calm, 0.10, 0.15",
        "avocado, chips, windy, 0.10, 0.15",
        "apple, bark, calm, 0.05, 0.05"
    })
    void mulch(String crop, String kind, String wind, double least, double most) {
        PlantingSection section = section(
                pot(0.4, 0.3),
                Texture.LOAM,
                Footing.GRADE,
                new PlantingSection.Grown(crop, 4),
                wind.equals("windy") ? Optional.of(250.0) : Optional.empty(),
                "mulch-kind",
                kind);
        assertThat(section.mulchDepth()).isBetween(least, most);
        PlantingWays.RING.choices().forEach(ring -> assertThat(ring.value()).isBetween(0.08, 0.15));
    }

    /** A ring of 1.2 m, 10 cm deep, 12 cm clear of a stem of 2.5 cm: about 108 L. */
    @Test
    void aRingOfMulch() {
        assertThat(planted(pot(0.4, 0.3), Texture.LOAM, "mulch", "thick").mulchLitres())
                .isCloseTo(108, within(2.0));
    }

    /** A big ball on a firm bottom sinks 1.3 to 2.5 cm in one to two months; it is set that proud at least. */
    @Test
    void aBigBallOnAFirmBottom() {
        PlantingSection ball = planted(pot(0.74, 0.45), Texture.LOAM);
        assertThat(ball.unionToday() - ball.unionAfter(8)).isBetween(0.013, 0.025);
        assertThat(ball.raise()).isGreaterThanOrEqualTo(ball.settling().total());
        assertThat(Aftercare.levelled(LocalDate.of(2027, 3, 1)))
                .as("its ring is kept a month")
                .isAfterOrEqualTo(LocalDate.of(2027, 4, 1));
    }

    /** Slit and opened: 2.5 to 5 cm deep from half-way up, two to four sides; four cuts are 6 mm deep. */
    @Test
    void boundRoots() {
        assertThat(PlantingWays.ROOTS.choose("slit").name()
                        + PlantingWays.ROOTS.choose("slit").reason())
                .contains("half-way up", "2.5 to 5 cm", "two to four sides");
        assertThat(PlantingWays.ROOTS.choose("cuts").name()).contains("four cuts", "6 mm");
    }

    /** Whips are headed where their kind branches: apples at 70 to 90 cm, peaches at 60 to 75; citrus is not headed. */
    @ParameterizedTest
    @CsvSource({"apple, 0.70, 0.90", "peach, 0.60, 0.75", "plum, 0.75, 0.90", "fig, 0.45, 0.60"})
    void aWhipIsHeaded(String crop, double low, double high) {
        Heading heading = Heading.of(crop).orElseThrow();
        assertThat(heading.low()).isEqualTo(low);
        assertThat(heading.high()).isEqualTo(high);
        assertThat(PlantingSteps.of(section(bare(0.4, 0.25), crop, Texture.LOAM, 4), Optional.empty(), 0)
                        .toString())
                .contains("a bare whip headed");
        assertThat(PlantingSteps.of(section(pot(0.4, 0.25), "lemon", Texture.LOAM, 4), Optional.empty(), 0)
                        .toString())
                .doesNotContain("headed");
    }

    /** In storm country the top of a potted tree is shortened; a tree with branches is only cleaned. */
    @Test
    void cutsByFormAndWind() {
        String storm = PlantingSteps.of(
                        section(
                                pot(0.4, 0.3),
                                Texture.LOAM,
                                Footing.GRADE,
                                new PlantingSection.Grown("apple", 4),
                                Optional.of(250.0)),
                        Optional.empty(),
                        0)
                .toString();
        assertThat(storm).contains("for the wind");
        NurseryTree feathered = new NurseryTree(
                Form.BARE,
                0.4,
                0.25,
                Optional.of(0.13),
                0.02,
                new Arrival(
                        Optional.empty(),
                        Optional.empty(),
                        new Arrival.Seen(
                                Arrival.Label.BOTH,
                                Arrival.Bark.TIP,
                                Arrival.Branches.GOOD,
                                Arrival.Roots.GOOD,
                                Arrival.Joint.FIRM),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty()));
        assertThat(PlantingSteps.of(section(feathered, "apple", Texture.LOAM, 4), Optional.empty(), 0)
                        .toString())
                .doesNotContain("headed")
                .contains("broken and crossing ones alone");
    }

    /** Compost alone in clay that holds water is a bucket: never, by every school. */
    @Test
    void compostAloneInClay() {
        PlantingSection clay = PlantingSection.of(new PlantingSection.Setting(
                pot(0.4, 0.3),
                Optional.of(Shipped.stock("mm111")),
                PlantingSection.Soil.untested(Texture.CLAY),
                new Tree.Ground(Footing.GRADE, Tree.Hole.PROPOSED.filledWith(Tree.Filled.COMPOST)),
                Map.of(),
                new PlantingSection.Around(Optional.empty(), 1, Optional.empty()),
                45));
        assertThat(PlantingRules.judge("t", "T", clay))
                .filteredOn(finding -> finding.rule().equals(PlantingRules.RICH_FILL))
                .allMatch(finding -> finding.standing() == Standing.STOP)
                .hasSize(1);
    }
}
