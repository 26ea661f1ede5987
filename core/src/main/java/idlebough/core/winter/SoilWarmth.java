package idlebough.core.winter;

import idlebough.core.judge.RuleTable;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * How warm the soil is at 20 cm, °C ± 2 K: it follows the air by a tenth of the difference a day (project choice), over
 * all days of a record, each day of the calendar by its mean.
 */
public final class SoilWarmth {
    /** Half-width, K. */
    public static final double KNOWN_TO = RuleTable.of("winter").halfWidth("soil-follows");

    private static final double FOLLOWS = RuleTable.of("winter").value("soil-follows");
    /** Days until the soil has forgotten with what it was begun. */
    private static final int SETTLES = 60;

    private final Map<MonthDay, double[]> sums = new HashMap<>();

    public SoilWarmth(StationRecord record) {
        double soil = Double.NaN;
        int since = 0;
        LocalDate before = null;
        for (DailyExtremes day : record.days()) {
            double air = (day.minimum() + day.maximum()) / 2;
            boolean next = before != null && before.plusDays(1).equals(day.date());
            since = next ? since + 1 : 0;
            soil = next ? soil + FOLLOWS * (air - soil) : air;
            before = day.date();
            if (since >= SETTLES) {
                double[] sum = sums.computeIfAbsent(MonthDay.from(day.date()), fresh -> new double[2]);
                sum[0] += soil;
                sum[1]++;
            }
        }
    }

    /** The warmest day of the calendar in the mean, °C; empty where the record does not tell. */
    public OptionalDouble warmest() {
        return sums.values().stream().mapToDouble(sum -> sum[0] / sum[1]).max();
    }

    /** The mean of that day of the calendar, °C; empty where the record does not tell. */
    public OptionalDouble on(LocalDate day) {
        double[] sum = sums.get(MonthDay.from(day));
        return sum == null ? OptionalDouble.empty() : OptionalDouble.of(sum[0] / sum[1]);
    }
}
