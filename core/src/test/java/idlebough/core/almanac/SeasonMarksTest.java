package idlebough.core.almanac;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.site.Footing;
import idlebough.core.site.Point;
import idlebough.core.site.Tree;
import idlebough.core.winter.MonthlyMeans;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Weather;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Climates and days of districts: about 1991–2020, from memory, as in districts/climate.csv and bloom.csv. */
class SeasonMarksTest {
    private static final LocalDate PLANTING = LocalDate.of(2027, 3, 20);

    private static SeasonMarks marks(double latitude, String minima, String maxima, String... varieties) {
        List<Tree> trees = Arrays.stream(varieties)
                .map(variety -> new Tree(
                        variety,
                        variety,
                        new Point(1, 1),
                        new Tree.Kind(variety, Optional.empty()),
                        new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.13), 0.02),
                        Footing.GRADE,
                        Tree.Life.PLANNED,
                        Optional.empty()))
                .toList();
        MonthlyMeans means = new MonthlyMeans(twelve(minima), twelve(maxima), Optional.empty());
        return Evaluation.of(Orchard.empty(latitude, PLANTING)
                        .with(new Weather(new StationRecord(means.days(LocalDate.of(2020, 12, 31))), true))
                        .withTrees(trees))
                .almanac()
                .marks();
    }

    private static List<Double> twelve(String cells) {
        return Arrays.stream(cells.split(" ")).map(Double::valueOf).toList();
    }

    /** Kent: chill is met by February, stone fruit before pome, apples (Cox) in full bloom about 1 May, frost to spring. */
    @Test
    void aNorthernYear() {
        SeasonMarks kent = marks(
                51.3,
                "2 1.5 3 4.5 7.5 10.5 12.5 12.5 10 7.5 4.5 2.5",
                "7.5 8 10.5 13.5 17 20 22.5 22.5 19 15 10.5 8",
                "apple-cox",
                "plum-victoria");
        assertThat(kent.chilled().orElseThrow()).isBetween(MonthDay.of(1, 1), MonthDay.of(3, 10));
        SeasonMarks.Span pome = kent.bloom().get(Crop.Kind.POME);
        SeasonMarks.Span stone = kent.bloom().get(Crop.Kind.STONE);
        assertThat(stone.from()).isLessThan(pome.from());
        assertThat(pome.from()).isBetween(MonthDay.of(4, 17), MonthDay.of(5, 5));
        assertThat(pome.to()).isBetween(MonthDay.of(5, 1), MonthDay.of(5, 22));
        SeasonMarks.Span safe = kent.frostFree().orElseThrow();
        assertThat(safe.from()).isBetween(MonthDay.of(3, 15), MonthDay.of(5, 20));
        assertThat(safe.to()).isBetween(MonthDay.of(10, 1), MonthDay.of(12, 15));
    }

    /** Nelson: the year is turned round. Without trees nothing blooms, and what is never chilled is not met. */
    @Test
    void aSouthernYearAndWhatIsNotKnown() {
        String lows = "13 13 11 8 5.5 3 2 3 5.5 7.5 9.5 11.5";
        String highs = "22.5 22.5 21 18.5 15.5 13.5 13 13.5 15.5 17 19 21";
        SeasonMarks nelson = marks(-41.1, lows, highs, "apple-cox");
        assertThat(nelson.bloom().get(Crop.Kind.POME).from()).isBetween(MonthDay.of(9, 15), MonthDay.of(10, 25));
        assertThat(nelson.chilled().orElseThrow()).isBetween(MonthDay.of(7, 1), MonthDay.of(9, 20));
        SeasonMarks bare = marks(-41.1, lows, highs);
        assertThat(bare.bloom()).isEmpty();
        assertThat(bare.chilled()).isEmpty();
        SeasonMarks tropics =
                marks(2, "20 20 20 20 20 20 20 20 20 20 20 20", "30 30 30 30 30 30 30 30 30 30 30 30", "apple-cox");
        assertThat(tropics.chilled()).isEmpty();
        assertThat(tropics.frostFree()).isEmpty();
    }

    @Test
    void aYearBeginsWhenTheLeavesAreDown() {
        assertThat(SeasonMarks.begins(42)).isEqualTo(MonthDay.of(11, 1));
        assertThat(SeasonMarks.begins(-36)).isEqualTo(MonthDay.of(5, 1));
    }
}
