package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.hipparchus.stat.regression.SimpleRegression;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Zones, frost dates, kill and trend against published edges and records with a known answer. */
class FrostTest {

    /** Edges of the USDA map, in °F by its definition, −28.9 and −28.8 °C its rounded edges. */
    @ParameterizedTest
    @CsvSource({
        "-28.9, 4b",
        "-28.8, 5a",
        "-17.7777777778, 7a",
        "-12.2222222222, 8a",
        "-12.3, 7b",
        "-3.8888888889, 9b",
        "4.4444444444, 11a",
        "-51.1, 1a",
        "-60, off the scale",
        "21.2, off the scale"
    })
    void zonesByTheirEdges(double celsius, String zone) {
        assertThat(HardinessZone.of(celsius)).isEqualTo(zone);
    }

    /** Thirty years whose last frost of spring falls one day later each year, from 1 to 30 April. */
    private static StationRecord springs(boolean southern) {
        List<DailyExtremes> days = new ArrayList<>();
        LocalDate from = southern ? LocalDate.of(1990, 2, 1) : LocalDate.of(1989, 8, 1);
        for (int year = 0; year < 30; year++) {
            LocalDate start = from.plusYears(year);
            LocalDate last =
                    (southern ? LocalDate.of(1990 + year, 10, 1) : LocalDate.of(1990 + year, 4, 1)).plusDays(year);
            LocalDate first =
                    (southern ? LocalDate.of(1990 + year, 5, 1) : LocalDate.of(1989 + year, 11, 1)).plusDays(year % 10);
            for (LocalDate day = start; day.isBefore(start.plusYears(1)); day = day.plusDays(1)) {
                boolean frost = !day.isBefore(first) && !day.isAfter(last);
                days.add(DailyExtremes.measured(day, frost ? -1 : 8, 15));
            }
        }
        return new StationRecord(days);
    }

    @Test
    void frostDatesOfARecordWithAKnownAnswer() {
        FrostDates north = FrostDates.of(springs(false), 45, 0);
        assertThat(north.years()).isEqualTo(30);
        // Type 7 of the 30 days 0 to 29: the median 14.5, nine of ten 26.1, one of ten 2.9 after 1 April.
        assertThat(north.spring(0.5).orElseThrow()).isBetween(LocalDate.of(2027, 4, 15), LocalDate.of(2027, 4, 16));
        assertThat(north.spring(0.1)).contains(LocalDate.of(2027, 4, 27));
        assertThat(north.spring(0.9)).contains(LocalDate.of(2027, 4, 4));
        assertThat(north.autumn(0.5).orElseThrow()).isBetween(LocalDate.of(2026, 11, 5), LocalDate.of(2026, 11, 6));
        assertThat(north.length(0.5)).isBetween(185.0, 220.0);
        FrostDates south = FrostDates.of(springs(true), -45, 0);
        assertThat(south.spring(0.5).orElseThrow().getMonthValue()).isEqualTo(10);
        FrostDates never = FrostDates.of(springs(false), 45, -2);
        assertThat(never.spring(0.5)).as("no night at −2 °C").isEmpty();
        assertThat(never.springs()).isEmpty();
    }

    /**
     * Washington State circulars: a tenth at the first figure, nine tenths at the second; apple in bloom 28 and 25 °F.
     */
    @Test
    void killAtTheCriticalTemperatures() {
        for (String crop : List.of("apple", "pear", "sweet-cherry", "peach", "apricot", "plum")) {
            List<FrostKill.Stage> stages = FrostKill.stages(crop);
            assertThat(stages).as(crop).hasSizeGreaterThan(5);
            double before = -100;
            for (FrostKill.Stage stage : stages) {
                assertThat(stage.killed(stage.tenth())).isCloseTo(0.1, within(1e-9));
                assertThat(stage.killed(stage.most())).isCloseTo(0.9, within(1e-9));
                assertThat(stage.tenth()).as("buds grow tenderer").isGreaterThanOrEqualTo(before);
                before = stage.tenth();
            }
        }
        FrostKill.Stage bloom = FrostKill.stages("apple").stream()
                .filter(s -> s.name().equals("full bloom"))
                .findFirst()
                .orElseThrow();
        assertThat(bloom.killed(-3.0))
                .as("Proebsting & Mills 1978, between the tenth and the nine tenths")
                .isCloseTo(0.463, within(0.0005));
    }

    @Test
    void oneFrostyNightInBloomIsFound() {
        LocalDate from = LocalDate.of(2020, 11, 1);
        List<DailyExtremes> days = new ArrayList<>();
        for (LocalDate day = from; !day.isAfter(LocalDate.of(2021, 7, 31)); day = day.plusDays(1)) {
            boolean winter = day.isBefore(LocalDate.of(2021, 3, 1));
            days.add(DailyExtremes.measured(day, winter ? 2 : 6, winter ? 10 : 20));
        }
        BloomClock clock = BloomClock.of("apple", 'C', false).orElseThrow();
        Bloom bloom = bloomOf(days, clock);
        List<FrostKill.Stage> stages = FrostKill.stages("apple");
        assertThat(FrostKill.of(bloom, stages).night()).isEmpty();
        LocalDate frosty = bloom.full().orElseThrow();
        days.replaceAll(d -> d.date().equals(frosty) ? DailyExtremes.measured(frosty, -3, 14) : d);
        FrostKill.Spring spring = FrostKill.of(bloomOf(days, clock), stages);
        assertThat(spring.night().orElseThrow().date()).isEqualTo(frosty);
        assertThat(spring.worst()).isCloseTo(0.463, within(0.001));
        LocalDate late = bloom.flowering().orElseThrow().full().toLocalDate().plusDays(60);
        days.replaceAll(d -> d.date().equals(frosty) ? DailyExtremes.measured(frosty, 6, 20) : d);
        days.replaceAll(d -> d.date().equals(late) ? DailyExtremes.measured(late, -3, 14) : d);
        assertThat(FrostKill.of(bloomOf(days, clock), stages).night())
                .as("long after the last stage nothing is looked for")
                .isEmpty();
    }

    private static Bloom bloomOf(List<DailyExtremes> days, BloomClock clock) {
        return Bloom.of(SpringHours.of(new StationRecord(days), 45).get(0), clock);
    }

    /** In cherries the side green comes before the green tip, and open cluster before first white (the circulars). */
    @Test
    void stagesInTheirOrder() {
        assertThat(FrostKill.stages("sweet-cherry"))
                .extracting(FrostKill.Stage::name)
                .containsSubsequence(
                        "first swell", "side green", "green tip", "tight cluster", "open cluster", "first white");
        assertThat(FrostKill.stages("plum"))
                .extracting(FrostKill.Stage::name)
                .containsSubsequence("first swell", "side white", "tip green");
    }

    @Test
    void theTrendIsThatOfALibrary() {
        Random random = new Random(3);
        int[] years = new int[25];
        double[] values = new double[25];
        SimpleRegression library = new SimpleRegression();
        for (int i = 0; i < years.length; i++) {
            years[i] = 1990 + i;
            values[i] = 80 - 0.4 * i + 5 * random.nextGaussian();
            library.addData(years[i], values[i]);
        }
        Trend trend = Trend.of(years, values);
        assertThat(trend.perYear()).isCloseTo(library.getSlope(), within(1e-9));
        assertThat(trend.halfWidth()).isCloseTo(2 * library.getSlopeStdErr(), within(1e-9));
    }

    /** Ten springs, the last frost on a known day of each: the odds are read off by type 7 (Hyndman & Fan 1996). */
    @Test
    void frostOddsOfARecordWithAKnownAnswer() {
        List<DailyExtremes> days = new ArrayList<>();
        for (LocalDate day = LocalDate.of(2000, 8, 1); day.isBefore(LocalDate.of(2010, 8, 1)); day = day.plusDays(1)) {
            // The last frost of the year ending in 2001 falls on 1 April, of 2002 on 2 April, and so on.
            LocalDate last = LocalDate.of(day.getYear(), 4, Math.max(1, day.getYear() - 2000));
            boolean frost = day.getMonthValue() <= 4 && !day.isAfter(last) || day.getMonthValue() == 12;
            days.add(DailyExtremes.measured(day, frost ? -0.5 : 6, 15));
        }
        FrostDates frost = FrostDates.of(new StationRecord(days), 45, 0);
        assertThat(frost.years()).isEqualTo(10);
        // Days 1 to 10 of April: the half lies between the fifth and the sixth, a tenth of the years is left at 9.1.
        assertThat(frost.spring(0.1)).contains(LocalDate.of(2027, 4, 9));
        assertThat(frost.spring(0.9)).contains(LocalDate.of(2027, 4, 2));
        assertThat(frost.autumn(0.1)).contains(LocalDate.of(2026, 12, 1));
        assertThat(frost.autumn(0.9)).contains(LocalDate.of(2026, 12, 1));
        FrostDates hard = FrostDates.of(new StationRecord(days), 45, -1);
        assertThat(hard.spring(0.1)).as("rarer than one year in ten").isEmpty();
        assertThat(frost.working().steps()).hasSizeGreaterThanOrEqualTo(3);
        assertThat(frost.working()
                        .sensitivity()
                        .in(new idlebough.core.measure.Display(
                                idlebough.core.measure.UnitSystem.METRIC, java.util.Locale.UK)))
                .contains("fewer than 20 years");
    }
}
