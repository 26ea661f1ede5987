package idlebough.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Thirty made winters from twelve monthly means of minimum and maximum, as any almanac has them: a stand-in until a
 * record
 * is found.
 *
 * <p>How: straight lines between the middles of the months, and on them one anomaly for minimum and maximum that
 * persists
 * from day to day (first-order autoregression, 0.7) and a smaller one from winter to winter. Its spread is fitted to
 * the
 * extreme low when that is known, else 3 K; where winters are more uneven than that it falls to 3 K in summer. The same input gives the same days. What it cannot know is how uneven the
 * real
 * winters are.
 *
 * @param minima and maxima: January first, °C
 * @param extremeLow the coldest night of ten years or so, °C, when it is known
 */
public record MonthlyMeans(List<Double> minima, List<Double> maxima, Optional<Double> extremeLow) {
    /** Years that are made. */
    public static final int YEARS = 31;

    private static final double PERSISTENCE = 0.7;
    private static final double USUAL_SPREAD = 3;
    private static final double OWN_SPREAD = 1;
    private static final double WINTER_SPREAD = 0.7;
    /** The lowest of some 600 dependent winter nights lies about so many standard deviations below their mean. */
    private static final double EXTREME = 2.8;

    private static final double LEAST_RANGE = 0.5;
    private static final long SEED = 30_1977L;

    /** Why these means cannot be, if they cannot. */
    public Optional<String> complaint() {
        for (int month = 0; month < 12; month++) {
            if (minima.get(month) >= maxima.get(month)) {
                return Optional.of(java.time.Month.of(month + 1)
                                .getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.ENGLISH)
                        + ": the mean minimum is not below the mean maximum.");
            }
        }
        double coldest = minima.stream().mapToDouble(m -> m).min().orElse(0);
        return extremeLow
                .filter(low -> low > coldest)
                .map(
                        low ->
                                "The extreme low is above the coldest month’s mean minimum; leave it empty when it is not known.");
    }

    /** Standard deviation of the daily anomaly in the coldest month, K. */
    double spread() {
        double coldest = minima.stream().mapToDouble(m -> m).min().orElse(0);
        return extremeLow.map(low -> Math.max(1, (coldest - low) / EXTREME)).orElse(USUAL_SPREAD);
    }

    /** The same where the mean minimum is so much: deep winters are uneven, summers hardly anywhere. */
    private double spread(double mean) {
        double coldest = minima.stream().mapToDouble(m -> m).min().orElse(0);
        double warmest = minima.stream().mapToDouble(m -> m).max().orElse(0);
        double summer = Math.min(spread(), USUAL_SPREAD);
        double towards = warmest > coldest ? Math.max(0, Math.min(1, (mean - coldest) / (warmest - coldest))) : 0;
        return spread() + (summer - spread()) * towards;
    }

    /** @param last the last made day; the first lies {@value #YEARS} years before it */
    public List<DailyExtremes> days(LocalDate last) {
        Random random = new Random(SEED);
        List<DailyExtremes> days = new ArrayList<>();
        double weather = 0;
        double winter = 0;
        int year = Integer.MIN_VALUE;
        for (LocalDate day = last.minusYears(YEARS).plusDays(1); !day.isAfter(last); day = day.plusDays(1)) {
            if (day.plusMonths(6).getYear() != year) {
                year = day.plusMonths(6).getYear();
                winter = random.nextGaussian() * WINTER_SPREAD;
            }
            weather = PERSISTENCE * weather + random.nextGaussian() * Math.sqrt(1 - PERSISTENCE * PERSISTENCE);
            double anomaly = winter + weather * spread(at(minima, day));
            double low = at(minima, day) + anomaly + OWN_SPREAD * random.nextGaussian();
            double high = at(maxima, day) + anomaly + OWN_SPREAD * random.nextGaussian();
            days.add(DailyExtremes.measured(day, tenth(Math.min(low, high - LEAST_RANGE)), tenth(high)));
        }
        return extremeLow.map(low -> asTold(days, tenth(low))).orElse(days);
    }

    /** No night below the extreme that is known, and the coldest one just as cold. */
    private List<DailyExtremes> asTold(List<DailyExtremes> made, double told) {
        double coldest = made.stream().mapToDouble(DailyExtremes::minimum).min().orElseThrow();
        return made.stream()
                .map(day -> day.minimum() < told || day.minimum() == coldest
                        ? DailyExtremes.measured(day.date(), told, Math.max(told + LEAST_RANGE, day.maximum()))
                        : day)
                .toList();
    }

    private static double at(List<Double> means, LocalDate day) {
        double position = day.getMonthValue() - 1 + (day.getDayOfMonth() - 0.5) / day.lengthOfMonth() - 0.5;
        int before = (int) Math.floor(position);
        double share = position - before;
        return means.get(Math.floorMod(before, 12)) * (1 - share) + means.get(Math.floorMod(before + 1, 12)) * share;
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}
