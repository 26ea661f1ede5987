package idlebough.core.winter;

import java.time.LocalDate;
import java.time.Month;

/**
 * The report window of a winter: north 1 November to 31 March, south 1 May to 30 September, both days included. A
 * winter is named by the year in which it ends.
 *
 * @param southern whether the latitude is below the equator
 */
public record Season(boolean southern) {
    public static Season at(double latitude) {
        return new Season(latitude < 0);
    }

    public LocalDate first(int winter) {
        return southern ? LocalDate.of(winter, Month.MAY, 1) : LocalDate.of(winter - 1, Month.NOVEMBER, 1);
    }

    public LocalDate last(int winter) {
        return southern ? LocalDate.of(winter, Month.SEPTEMBER, 30) : LocalDate.of(winter, Month.MARCH, 31);
    }
}
