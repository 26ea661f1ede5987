package idlebough.core.winter;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Mean daily extremes of each day of the calendar over all years of a record. Immutable. */
public final class DayClimate {
    private final Map<MonthDay, Sums> byDay = new HashMap<>();

    private static final class Sums {
        private double low;
        private double high;
        private int days;
    }

    /**
     * Means of a stretch of days.
     *
     * @param low and high: mean minimum and maximum, °C
     */
    public record Means(double low, double high) {
        /** °C. */
        public double middle() {
            return (low + high) / 2;
        }
    }

    public DayClimate(StationRecord record) {
        for (DailyExtremes day : record.days()) {
            Sums sums = byDay.computeIfAbsent(MonthDay.from(day.date()), key -> new Sums());
            sums.low += day.minimum();
            sums.high += day.maximum();
            sums.days++;
        }
    }

    /** The mean of so many days from a day on, each by its own mean; empty when none of them is in the record. */
    public Optional<Means> after(LocalDate day, int days) {
        double low = 0;
        double high = 0;
        int n = 0;
        for (int i = 0; i < days; i++) {
            Sums sums = byDay.get(MonthDay.from(day.plusDays(i)));
            if (sums != null) {
                low += sums.low / sums.days;
                high += sums.high / sums.days;
                n++;
            }
        }
        return n == 0 ? Optional.empty() : Optional.of(new Means(low / n, high / n));
    }
}
