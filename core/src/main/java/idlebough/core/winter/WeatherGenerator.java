package idlebough.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Made-up daily extremes with a real shape: a seasonal cosine, one anomaly per winter, day-to-day persistence, a daily
 * range with its own season, and a drift. The same seed gives the same days. For demonstrations and tests.
 *
 * @param seed of the random numbers
 */
public record WeatherGenerator(long seed, Year year, Anomalies anomalies) {

    /**
     * The year that all years resemble.
     *
     * @param mean °C
     * @param amplitude of the daily mean through the year, K
     * @param coldestDay day of the year, 1 to 366
     * @param range mean daily range, K
     */
    public record Year(double mean, double amplitude, int coldestDay, double range) {}

    /**
     * How days and winters depart from it.
     *
     * @param persistence from day to day, 0 to 1
     * @param days standard deviation of days, K
     * @param winters standard deviation of winters, K
     * @param driftPerDecade warming, K
     */
    public record Anomalies(double persistence, double days, double winters, double driftPerDecade) {}

    /** Both days included. */
    public List<DailyExtremes> days(LocalDate first, LocalDate last) {
        Random random = new Random(seed);
        List<DailyExtremes> days = new ArrayList<>();
        double weather = 0;
        double winter = 0;
        int anomalyYear = Integer.MIN_VALUE;
        for (LocalDate date = first; !date.isAfter(last); date = date.plusDays(1)) {
            int season = date.plusMonths(6).getYear();
            if (season != anomalyYear) {
                anomalyYear = season;
                winter = random.nextGaussian() * anomalies.winters();
            }
            double phase = 2 * Math.PI * (date.getDayOfYear() - year.coldestDay()) / 365.25;
            double kept = anomalies.persistence();
            weather = kept * weather + random.nextGaussian() * anomalies.days() * Math.sqrt(1 - kept * kept);
            double years = (date.toEpochDay() - first.toEpochDay()) / 365.25;
            double mean = year.mean()
                    - year.amplitude() * Math.cos(phase)
                    + winter
                    + weather
                    + anomalies.driftPerDecade() * years / 10;
            double spread =
                    Math.max(2, year.range() - 0.2 * year.range() * Math.cos(phase) + random.nextGaussian() * 2.3);
            days.add(DailyExtremes.measured(date, tenth(mean - spread / 2), tenth(mean + spread / 2)));
        }
        return days;
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}
