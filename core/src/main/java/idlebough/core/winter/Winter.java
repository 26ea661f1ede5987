package idlebough.core.winter;

import java.time.LocalDateTime;
import java.util.List;
import java.util.Map;

/**
 * One winter reckoned.
 *
 * @param year in which it ends
 * @param missingDays days of the window without any measurement
 * @param neighbourDays days of the window that another station gave
 * @param totals per model; empty when the winter is left out
 * @param daily running total at the end of each day of the window, per model
 * @param utahFrom first hour that counts in Utah units, where they begin at their own start; else null
 * @param lowest temperature of the window, °C; NaN when left out
 */
public record Winter(
        int year,
        StationRecord.Status status,
        int missingDays,
        int neighbourDays,
        Map<ChillModel, Double> totals,
        Map<ChillModel, List<Double>> daily,
        LocalDateTime utahFrom,
        double lowest) {
    public boolean usable() {
        return status.usable();
    }
}
