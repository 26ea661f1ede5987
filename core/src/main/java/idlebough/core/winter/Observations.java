package idlebough.core.winter;

import java.util.NavigableMap;

/**
 * Readings at any minute brought to full hours: the reading of that minute, else a straight line between neighbours at
 * most three hours apart, else nothing (winter.md 1.3, project choice).
 */
final class Observations {
    private static final long FARTHEST = 180;

    private Observations() {}

    /**
     * @param readings °C by minute, any zero
     * @param minute of a full hour, same zero
     * @return null when the readings round it are too far apart
     */
    static Double at(NavigableMap<Long, Double> readings, long minute) {
        Double exact = readings.get(minute);
        if (exact != null) {
            return exact;
        }
        var before = readings.lowerEntry(minute);
        var after = readings.higherEntry(minute);
        if (before == null || after == null || after.getKey() - before.getKey() > FARTHEST) {
            return null;
        }
        double share = (double) (minute - before.getKey()) / (after.getKey() - before.getKey());
        return before.getValue() + share * (after.getValue() - before.getValue());
    }
}
