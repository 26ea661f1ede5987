package idlebough.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.crop.Crops;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the soil's answer means for a crop, and what to do about it. */
class SiteRulesTest {
    private static SoilPit pit(double mmPerHour, Double ph, boolean water) {
        // K of the wanted R12 = 3K, in a box whose level falls from 40 to 20 cm
        TestHole hole = new TestHole.Box(0.3, 0.2);
        double hours = hole.infiltrated(0.4, 0.2) / (mmPerHour / 3000);
        return new SoilPit(
                "p",
                "7",
                new Point(1, 1),
                Texture.CLAY_LOAM,
                0.25,
                null,
                ph,
                new DrainageTest(
                        hole,
                        0.4,
                        true,
                        water,
                        List.of(new DrainageTest.Reading(0, 0), new DrainageTest.Reading(hours * 60, 0.2))));
    }

    @ParameterizedTest
    @CsvSource({
        // the classes of water.md 2.2 with the limits belonging to the better side, except exactly 4 in/h
        "0.05, IMPERMEABLE",
        "0.1, VERY_SLOW",
        "0.49, VERY_SLOW",
        "0.5, SLOW",
        "0.99, SLOW",
        "1, IDEAL",
        "2.9, IDEAL",
        "3, FAST",
        "4, FAST",
        "4.01, DROUGHTY",
        "20, DROUGHTY"
    })
    void drainageClasses(double inches, DrainageClass expected) {
        assertThat(DrainageClass.of(inches)).isEqualTo(expected);
    }

    @ParameterizedTest
    @CsvSource({
        "peach, 60, GRADE",
        "peach, 20, MOUND",
        "peach, 8, TALL_MOUND",
        "peach, 1, TALL_MOUND",
        "pear, 20, GRADE",
        "pear, 8, MOUND",
        "apple, 20, GRADE",
        "apple, 15, LOW_MOUND",
        "quince, 14, GRADE",
        "lemon, 18, MOUND"
    })
    void theMildestRemedyThatDoes(String crop, double rate, Footing footing) {
        assertThat(SiteRules.footing(Crops.of(crop), pit(rate, null, false).rate()))
                .isEqualTo(footing);
    }

    @ParameterizedTest
    @CsvSource({
        "peach, 40, SOUND",
        "peach, 25, DOUBTFUL",
        "peach, 15, STOP",
        "pear, 25, SOUND",
        "pear, 12, DOUBTFUL",
        "apple, 19, DOUBTFUL",
        "apple, 10, STOP"
    })
    void standingsByCrop(String crop, double rate, Standing standing) {
        Finding finding = SiteRules.drainage(pit(rate, null, false), Crops.of(crop));
        assertThat(finding.rule()).isEqualTo(SiteRules.DRAINAGE_RULE);
        assertThat(finding.standing()).isEqualTo(standing);
        assertThat(finding.measured().value()).isCloseTo(rate, org.assertj.core.data.Offset.offset(1e-6));
        assertThat(finding.remedies()).isNotEmpty();
    }

    @Test
    void waterInTheHoleIsAWaterTableAndNoRate() {
        Finding finding = SiteRules.drainage(pit(40, null, true), Crops.of("apple"));
        assertThat(finding.rule()).isEqualTo(SiteRules.WATER_TABLE_RULE);
        assertThat(finding.standing()).isEqualTo(Standing.STOP);
        assertThat(finding.measured()).isNull();
    }

    @Test
    void anUntestedPitIsADoubtThatSaysWhatWouldSettleIt() {
        SoilPit bare = new SoilPit("p", "7", new Point(0, 0), Texture.LOAM, 0.3, null, null, null);
        Finding finding = SiteRules.drainage(bare, Crops.of("apple"));
        assertThat(finding.rule()).isEqualTo(SiteRules.NO_TEST_RULE);
        assertThat(finding.standing()).isEqualTo(Standing.DOUBTFUL);
        assertThat(finding.remedies())
                .singleElement()
                .satisfies(remedy -> assertThat(remedy.action()).isEqualTo("site.pit"));
        assertThat(SiteRules.ph(bare, Crops.of("apple"))).isNull();
    }

    @ParameterizedTest
    @CsvSource({"6.5, SOUND", "6.0, SOUND", "5.9, DOUBTFUL", "5.2, STOP", "7.2, DOUBTFUL", "8.1, STOP"})
    void phOfAnApple(double ph, Standing standing) {
        // common practice: most temperate fruit 6–7
        assertThat(SiteRules.ph(pit(40, ph, false), Crops.of("apple")).standing())
                .isEqualTo(standing);
    }

    @Test
    void aFirstFillingIsTrustedLessThanASecond() {
        List<DrainageTest.Reading> readings =
                List.of(new DrainageTest.Reading(0, 0.02), new DrainageTest.Reading(60, 0.08));
        TestHole hole = new TestHole.Cylinder(0.3);
        DrainageRate first = new DrainageTest(hole, 0.4, false, false, readings).rate();
        DrainageRate second = new DrainageTest(hole, 0.4, true, false, readings).rate();
        assertThat(first.halfWidth()).isGreaterThan(second.halfWidth());
        assertThat(first.working().steps()).hasSize(5);
    }

    @Test
    void aBarrelFallsFastThenSlowsAndAVFallsEvenly() {
        // water.md 2.2, barrel versus V: 12 in wide and deep, K 10 mm/h
        TestHole barrel = new TestHole.Cylinder(0.3048);
        TestHole v = new TestHole.Taper(0.3048, 0, 0.3048);
        double inch = 0.0254;
        assertThat(barrel.infiltrated(12 * inch, 11 * inch)).isLessThan(barrel.infiltrated(3 * inch, 2 * inch));
        assertThat(v.infiltrated(12 * inch, 11 * inch))
                .isCloseTo(v.infiltrated(3 * inch, 2 * inch), org.assertj.core.data.Offset.offset(1e-12));
        assertThat(0.01 / barrel.infiltrated(12 * inch, 11 * inch))
                .as("first inch, in/h")
                .isCloseTo(1.90, org.assertj.core.data.Offset.offset(0.01));
    }

    @Test
    void aMoundForATwelveFootTree() {
        // common practice: 12–18 in high for a tree 12 ft wide, 6 ft to each side; top 1.2 m, sides 2 to 1
        Mound mound = Mound.of(0.45);
        assertThat(mound.base()).isBetween(2.4, 3.8);
        assertThat(mound.placed()).isGreaterThan(mound.settled());
        assertThat(mound.builtHeight()).isGreaterThan(0.45);
        assertThat(mound.working().steps()).hasSize(4);
    }

    @Test
    void plotsKnowInsideEdgeAndTheirLongestSide() {
        Plot plot = Plot.of(List.of(new Point(0, 0), new Point(40, 0), new Point(40, 10), new Point(0, 10)));
        assertThat(plot.holds(new Point(20, 5))).isTrue();
        assertThat(plot.holds(new Point(41, 5))).isFalse();
        assertThat(plot.distanceToBoundary(new Point(20, 4))).isEqualTo(4);
        assertThat(plot.distanceToBoundary(new Point(43, 5))).isEqualTo(3);
        assertThat(plot.longestSideBearing()).isEqualTo(90);
        assertThat(List.of(plot.west(), plot.south(), plot.east(), plot.north()))
                .containsExactly(0.0, 0.0, 40.0, 10.0);
    }

    @Test
    void settlingSharesLieInTheRangeOfTheTrade() {
        // common practice: disturbed fill drops 5 to 15 %; clay and sand at the ends
        for (Texture texture : Texture.values()) {
            Texture.Traits traits = texture.traits();
            assertThat(traits.settle()).isBetween(traits.settleLow(), traits.settleHigh());
            assertThat(traits.proudMetres()).isBetween(traits.proudLow(), traits.proudHigh());
            assertThat(traits.swell()).isBetween(0.10, 0.40);
            assertThat(traits.waterHeld()).isBetween(40.0, 260.0);
        }
        assertThat(Texture.CLAY.traits().proudMetres())
                .isGreaterThan(Texture.LOAM.traits().proudMetres());
    }
}
