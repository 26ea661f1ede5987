package idlebough.core.winter;

import java.time.LocalDate;

/**
 * One station day: the lowest and the highest temperature of the calendar day, °C.
 *
 * @param minimum never above the maximum
 */
public record DailyExtremes(LocalDate date, double minimum, double maximum, Origin origin) {

    /** Where a day's two values come from. */
    public enum Origin {
        MEASURED,
        /** From another station and the mean difference between the two. */
        NEIGHBOUR,
        /** On a straight line over a short gap. */
        BRIDGED
    }

    public static DailyExtremes measured(LocalDate date, double minimum, double maximum) {
        return new DailyExtremes(date, minimum, maximum, Origin.MEASURED);
    }

    /** Whether both were computed rather than measured here. */
    public boolean filled() {
        return origin != Origin.MEASURED;
    }

    DailyExtremes warmedBy(double minimumBy, double maximumBy, Origin as) {
        return new DailyExtremes(date, minimum + minimumBy, maximum + maximumBy, as);
    }
}
