package idlebough.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Made-up daily extremes with a real shape: a seasonal cosine, one anomaly per winter, day-to-day persistence, a daily
 * range with its own season, and a drift. The same seed gives the same days. For demonstrations and tests.
 *
 * @param annualMean °C
 * @param amplitude of the daily mean through the year, K
 * @param coldestDay day of the year, 1 to 366
 * @param range mean daily range, K
 * @param persistence of day-to-day anomalies, 0 to 1
 * @param daySpread standard deviation of those, K
 * @param winterSpread standard deviation of the winters' anomalies, K
 * @param driftPerDecade warming, K
 */
public record WeatherGenerator(
        long seed,
        double annualMean,
        double amplitude,
        int coldestDay,
        double range,
        double persistence,
        double daySpread,
        double winterSpread,
        double driftPerDecade) {

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
                winter = random.nextGaussian() * winterSpread;
            }
            double phase = 2 * Math.PI * (date.getDayOfYear() - coldestDay) / 365.25;
            weather = persistence * weather
                    + random.nextGaussian() * daySpread * Math.sqrt(1 - persistence * persistence);
            double years = (date.toEpochDay() - first.toEpochDay()) / 365.25;
            double mean = annualMean - amplitude * Math.cos(phase) + winter + weather + driftPerDecade * years / 10;
            double spread = Math.max(2, range - 0.2 * range * Math.cos(phase) + random.nextGaussian() * 2.3);
            days.add(DailyExtremes.measured(date, tenth(mean - spread / 2), tenth(mean + spread / 2)));
        }
        return days;
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}
