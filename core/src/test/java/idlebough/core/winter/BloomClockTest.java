package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Vectors;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.ChillModel;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** The bloom clock: by hand, and against remembered mean bloom dates of fruit districts in both hemispheres. */
class BloomClockTest {
    private static final LocalDate START = LocalDate.of(2020, 11, 1);

    /** Winter days at one temperature, then spring days at another, to make the sums by hand. */
    private static SpringHours constant(double winter, double spring, int winterDays, int springDays) {
        List<DailyExtremes> days = new ArrayList<>();
        for (int i = 0; i < winterDays + springDays; i++) {
            double celsius = i < winterDays ? winter : spring;
            days.add(DailyExtremes.measured(START.plusDays(i), celsius, celsius));
        }
        double[] hours = new double[24 * days.size()];
        for (int h = 0; h < hours.length; h++) {
            hours[h] = days.get(h / 24).minimum();
        }
        return new SpringHours(2021, new SeasonHours(START, hours, days), true);
    }

    private static BloomClock apple(char letter) {
        return BloomClock.of("apple", letter, false).orElseThrow();
    }

    /**
     * At 4 °C no heat counts, 29.8494 portions come in 1000 h (Erez et al. 1990, computed), and at 25 °C an hour is worth
     * 21 °C·h (Anderson et al. 1986) and no portion is made.
     */
    @Test
    void weightedHeatByHand() {
        SpringHours spring = constant(4, 25, 100, 60);
        double portions = spring.portions(2500);
        assertThat(portions).isCloseTo(29.8494 * 2.4, within(1.3));
        double weight = 1 / (1 + Math.exp(-0.07 * (portions - 75)));
        BloomClock clock = apple('C');
        long hours = (long) Math.ceil(4900 / (21 * weight));
        Bloom bloom = Bloom.of(spring, clock);
        assertThat(bloom.flowering().orElseThrow().full())
                .isEqualTo(START.plusDays(100).atStartOfDay().plusHours(hours - 1));
        assertThat(bloom.flowering().orElseThrow().first())
                .as("flowers open at 0.87 of it")
                .isEqualTo(START.plusDays(100)
                        .atStartOfDay()
                        .plusHours((long) Math.ceil(hours * 0.87) - 1)
                        .toLocalDate());
        assertThat(clock.forcedBy(START.plusDays(99), spring)).contains(0.0);
        assertThat(clock.forcedBy(START.plusDays(101), spring).orElseThrow()).isCloseTo(37 * 21 * weight, within(0.5));
        assertThat(clock.forcedBy(START.plusDays(400), spring)).isEmpty();
    }

    /** After a short winter bloom comes late, not never; what is never warm does not bloom (common practice). */
    @Test
    void shortWintersDelayAndColdSpringsPrevent() {
        LocalDate chilled =
                Bloom.of(constant(4, 15, 110, 150), apple('C')).full().orElseThrow();
        LocalDate unchilled =
                Bloom.of(constant(4, 15, 70, 150), apple('C')).full().orElseThrow();
        assertThat(ChronoUnit.DAYS.between(START.plusDays(70), unchilled))
                .as("days of spring warmth that it takes")
                .isGreaterThan(2 * ChronoUnit.DAYS.between(START.plusDays(110), chilled));
        assertThat(Bloom.of(constant(5, 4, 60, 120), apple('C')).flowering()).isEmpty();
        Bloom slow = Bloom.of(constant(5, 8, 100, 160), apple('C'));
        Bloom.Open open = slow.flowering().orElseThrow();
        assertThat(ChronoUnit.DAYS.between(open.first(), open.end()) + 1)
                .as("a cool spring stretches bloom, to eighteen days at most")
                .isEqualTo(18);
        Bloom.Open hot =
                Bloom.of(constant(5, 25, 100, 60), apple('C')).flowering().orElseThrow();
        assertThat(ChronoUnit.DAYS.between(hot.first(), hot.end()) + 1)
                .as("warmth compresses it, to four at least")
                .isBetween(4L, 9L);
    }

    /** Chill need and clock are two things: hours of 0 to 7.2 °C are counted apart. */
    @Test
    void aNeedIsMetAtItsHour() {
        SpringHours spring = constant(5, 25, 50, 60);
        assertThat(spring.chillMet(ChillModel.HOURS, 1000))
                .as("the thousandth hour is 15 h of the 42nd day")
                .contains(LocalDate.of(2020, 12, 12).atTime(15, 0));
        assertThat(spring.chillMet(ChillModel.HOURS, 5000)).isEmpty();
    }

    /** Dates made with a need of one's own give it back; a spring without a record is left out. */
    @Test
    void ownDatesSetTheClock() {
        StationRecord record = new StationRecord(district("geneva").days(LocalDate.of(2020, 12, 31)));
        List<SpringHours> springs = SpringHours.of(record, 42.9);
        List<LocalDate> seen = springs.stream()
                .limit(8)
                .map(s -> Bloom.of(s, apple('C').withNeed(4200)).full().orElseThrow())
                .collect(Collectors.toCollection(ArrayList::new));
        seen.add(LocalDate.of(2050, 5, 1));
        HeatFit fit = HeatFit.of(seen, springs, apple('C')).orElseThrow();
        assertThat(fit.dates()).hasSize(8);
        assertThat(fit.need()).isCloseTo(4200, within(120.0));
        assertThat(fit.largestMiss()).isLessThanOrEqualTo(2);
        assertThat(HeatFit.of(List.of(LocalDate.of(2050, 5, 1)), springs, apple('C')))
                .isEmpty();
    }

    /** A record that ends in the spring still tells a bloom that came; that it did not come it cannot tell. */
    @Test
    void aRecordThatEndsInTheSpring() {
        List<DailyExtremes> days = district("geneva").days(LocalDate.of(2020, 6, 20));
        List<SpringHours> springs = SpringHours.of(new StationRecord(days), 42.9);
        SpringHours last = springs.get(springs.size() - 1);
        assertThat(last.year()).isEqualTo(2020);
        assertThat(last.whole()).isFalse();
        assertThat(Bloom.of(last, apple('C')).known()).isTrue();
        assertThat(Bloom.of(last, apple('C').withNeed(1e6)).known()).isFalse();
    }

    private static MonthlyMeans district(String site) {
        return Vectors.table("/districts/climate.csv").stream()
                .filter(row -> row.get("site").equals(site))
                .map(row -> new MonthlyMeans(
                        twelve(row.get("minima")),
                        twelve(row.get("maxima")),
                        Optional.of(Double.valueOf(row.get("coldest")))))
                .findFirst()
                .orElseThrow();
    }

    private static List<Double> twelve(String cells) {
        return Arrays.stream(cells.split(" ")).map(Double::valueOf).toList();
    }

    /**
     * Mean full bloom of 105 reference varieties in 21 districts, about 1991–2020 (from memory): nine of ten must fall
     * inside their bands of doubt.
     */
    @Test
    void districtsBloomWhenTheyDo() {
        Map<String, Double> latitudes = Vectors.table("/districts/climate.csv").stream()
                .collect(Collectors.toMap(row -> row.get("site"), row -> Double.valueOf(row.get("latitude"))));
        Map<String, List<SpringHours>> springs = latitudes.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        site -> SpringHours.of(
                                new StationRecord(district(site.getKey()).days(LocalDate.of(2020, 12, 31))),
                                site.getValue())));
        List<Map<String, String>> rows = Vectors.table("/districts/bloom.csv");
        List<String> missed = new ArrayList<>();
        rows.forEach(row -> {
            char letter = row.get("letter").isEmpty() ? 0 : row.get("letter").charAt(0);
            BloomClock clock = BloomClock.of(
                            row.get("crop"), letter, row.get("low").equals("1"))
                    .orElseThrow();
            double mean = springs.get(row.get("site")).stream()
                    .map(spring -> Bloom.of(spring, clock).full())
                    .flatMap(Optional::stream)
                    .mapToInt(LocalDate::getDayOfYear)
                    .average()
                    .orElse(Double.NaN);
            double seen = LocalDate.of(2023, Integer.parseInt(row.get("month")), Integer.parseInt(row.get("day")))
                    .getDayOfYear();
            if (!(Math.abs(mean - seen) <= Double.parseDouble(row.get("band")))) {
                missed.add(row.get("site") + " " + row.get("variety") + " " + Math.round(mean - seen));
            }
        });
        assertThat(rows).hasSize(105);
        assertThat(missed).as("days off where outside").hasSizeLessThanOrEqualTo(rows.size() / 10);
    }

    /** What the shipped varieties of fitted crops bloom by: every one has a clock, the others none. */
    @Test
    void fittedCropsHaveAClock() {
        List<String> fitted = List.of(
                "apple",
                "pear",
                "asian-pear",
                "quince",
                "sweet-cherry",
                "sour-cherry",
                "plum",
                "japanese-plum",
                "peach",
                "apricot",
                "almond",
                "walnut",
                "kaki");
        assertThat(Catalogue.shipped().varieties())
                .allSatisfy(variety -> assertThat(BloomClock.of(variety).isPresent())
                        .as(variety.label())
                        .isEqualTo(fitted.contains(variety.crop().like())));
    }
}
