package idlebough.core.site;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the soil's answer means for a crop, and what to do about it. */
class SiteRulesTest {
    @ParameterizedTest
    @CsvSource({
        // extension classes of a 12-inch hole, with the limits belonging to the better side, except exactly 4 in/h
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
        "peach, 8, DRAINED",
        "peach, 1, DRAINED",
        "pear, 20, GRADE",
        "pear, 8, DRAINED",
        "apple, 20, GRADE",
        "apple, 15, LOW_MOUND",
        "quince, 14, GRADE",
        "lemon, 18, MOUND"
    })
    void theMildestRemedyThatDoes(String crop, double rate, Footing footing) {
        assertThat(WantedDrainage.footing(Shipped.crop(crop), Shipped.pit(rate).rate()))
                .isEqualTo(footing);
    }

    /** 0.9 m above grey mottles for apples, 1.2 m for cherries (common practice); the lowest footing that makes it up. */
    @ParameterizedTest
    @CsvSource({
        "apple, 60, 0.95, GRADE",
        "apple, 60, 0.90, GRADE",
        "apple, 60, 0.80, LOW_MOUND",
        "apple, 60, 0.65, MOUND",
        "apple, 60, 0.45, TALL_MOUND",
        "apple, 60, 0.20, DRAINED",
        "apple, 15, 0.95, LOW_MOUND",
        "apple, 15, 0.65, MOUND",
        "sweet-cherry, 60, 1.25, GRADE",
        "sweet-cherry, 60, 0.95, MOUND"
    })
    void wetGroundAsksForAsMuchAsItLacks(String crop, double rate, double wetFrom, Footing footing) {
        assertThat(WantedDrainage.footing(Shipped.crop(crop), Shipped.pit(rate).rate(), wetFrom))
                .isEqualTo(footing);
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

    /** 415 mm/h read to the bottom in an hour; looking in again after eight hours says nothing new. */
    @Test
    void aHoleThatWasEmptyIsNotReadAgain() {
        TestHole hole = new TestHole.Cylinder(0.3);
        List<DrainageTest.Reading> once = List.of(new DrainageTest.Reading(0, 0.02), new DrainageTest.Reading(60, 0.4));
        List<DrainageTest.Reading> twice = new java.util.ArrayList<>(once);
        twice.add(new DrainageTest.Reading(480, 0.4));
        DrainageTest read = new DrainageTest(hole, 0.4, true, false, twice);
        assertThat(read.rate()).isEqualTo(new DrainageTest(hole, 0.4, true, false, once).rate());
        assertThat(read.sift().rejected())
                .singleElement()
                .satisfies(late -> assertThat(late.why()).contains("empty before"));
    }

    @Test
    void aBarrelFallsFastThenSlowsAndAVFallsEvenly() {
        // barrel versus V: 12 in wide and deep, K 10 mm/h
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
            assertThat(traits.settle().usual())
                    .isBetween(traits.settle().low(), traits.settle().high());
            assertThat(traits.proud().usual())
                    .isBetween(traits.proud().low(), traits.proud().high());
            assertThat(traits.swell()).isBetween(0.10, 0.40);
            assertThat(traits.waterHeld()).isBetween(40.0, 260.0);
        }
        assertThat(Texture.CLAY.traits().proud().usual())
                .isGreaterThan(Texture.LOAM.traits().proud().usual());
    }
}
