package idlebough.core.winter;

import java.util.List;

/**
 * Daily extremes and latitude to twenty-four temperatures a day, after Linvill (1990, HortScience 25:14–16).
 *
 * <p>By day a sine from sunrise, highest at 14 h; by night a logarithm from the sunset temperature down to the next
 * minimum, in the continuous form T = Ts − (Ts − Tn′) ln(n + 1)/ln(N + 1). Before the first day and after the last the
 * record's own first and last day stand in. The value at hour h stands for the hour that starts there.
 */
public final class HourlyCurve {
    private HourlyCurve() {}

    /**
     * @param days consecutive calendar days, none missing
     * @param latitude degrees, south negative
     * @return 24 values per day, °C, hour 0 of the first day first
     */
    public static double[] of(List<DailyExtremes> days, double latitude) {
        int n = days.size();
        double[] sunrise = new double[n + 2];
        double[] sunset = new double[n + 2];
        double[] low = new double[n + 2];
        double[] atSunset = new double[n + 2];
        double[] high = new double[n + 2];
        for (int i = 0; i <= n + 1; i++) {
            DailyExtremes day = days.get(Math.max(0, Math.min(n - 1, i - 1)));
            int ofYear = day.date().plusDays(i == 0 ? -1 : i == n + 1 ? 1 : 0).getDayOfYear();
            DayLength length = DayLength.of(latitude, ofYear);
            sunrise[i] = length.sunrise();
            sunset[i] = length.sunset();
            low[i] = day.minimum();
            high[i] = day.maximum();
            atSunset[i] = low[i] + (high[i] - low[i]) * Math.sin(Math.PI * length.hours() / (length.hours() + 4));
        }
        double[] hours = new double[24 * n];
        for (int i = 1; i <= n; i++) {
            double dayHours = sunset[i] - sunrise[i];
            double beforeLog = Math.log(sunrise[i] + 24 - sunset[i - 1] + 1);
            double afterLog = Math.log(24 - sunset[i] + sunrise[i + 1] + 1);
            for (int h = 0; h < 24; h++) {
                double t;
                if (h < sunrise[i]) {
                    t = atSunset[i - 1] - (atSunset[i - 1] - low[i]) * Math.log(h + 24 - sunset[i - 1] + 1) / beforeLog;
                } else if (h <= sunset[i]) {
                    t = low[i] + (high[i] - low[i]) * Math.sin(Math.PI * (h - sunrise[i]) / (dayHours + 4));
                } else {
                    t = atSunset[i] - (atSunset[i] - low[i + 1]) * Math.log(h - sunset[i] + 1) / afterLog;
                }
                hours[24 * (i - 1) + h] = t;
            }
        }
        return hours;
    }
}
