package idlebough.core.winter;

import java.util.Arrays;

/**
 * Readings at any minute, and what they say of full hours: the reading of that minute, else a straight line between
 * neighbours at most three hours apart, else nothing (project choice: a longer gap hides the day's turn).
 */
final class Observations {
    private static final long FARTHEST = 180;
    private final long[] minutes;
    private final double[] celsius;

    /**
     * @param minutes rising, any zero
     * @param celsius as many
     */
    Observations(long[] minutes, double[] celsius) {
        this.minutes = minutes;
        this.celsius = celsius;
    }

    /**
     * @param minute of a full hour, same zero
     * @return °C; NaN when the readings round it are too far apart
     */
    double at(long minute) {
        int found = Arrays.binarySearch(minutes, minute);
        if (found >= 0) {
            return celsius[found];
        }
        int after = -found - 1;
        int before = after - 1;
        if (before < 0 || after >= minutes.length || minutes[after] - minutes[before] > FARTHEST) {
            return Double.NaN;
        }
        double share = (double) (minute - minutes[before]) / (minutes[after] - minutes[before]);
        return celsius[before] + share * (celsius[after] - celsius[before]);
    }

    /** The first reading at or after this minute; as many as there are when none is. */
    int from(long minute) {
        int found = Arrays.binarySearch(minutes, minute);
        return found >= 0 ? found : -found - 1;
    }

    double value(int index) {
        return celsius[index];
    }
}
