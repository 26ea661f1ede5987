package idlebough.core.winter;

import java.time.LocalDate;

/**
 * One station day: the lowest and the highest temperature of the calendar day, °C.
 *
 * @param minimum never above the maximum
 * @param filled whether both were interpolated over a short gap rather than measured
 */
public record DailyExtremes(LocalDate date, double minimum, double maximum, boolean filled) {
    public static DailyExtremes measured(LocalDate date, double minimum, double maximum) {
        return new DailyExtremes(date, minimum, maximum, false);
    }
}
