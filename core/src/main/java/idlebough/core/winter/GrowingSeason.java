package idlebough.core.winter;

import java.time.LocalDate;
import java.util.Optional;

/**
 * How long and how warm the part of the year between the frosts is.
 *
 * @param days between the last killing frost of spring and the first of autumn in a median year; 365 where most years have
 *     none
 * @param warmest mean maximum of the warmest calendar month, °C
 * @see FrostDates
 */
public record GrowingSeason(double days, double warmest) {
    /** °C; blossom and ripe fruit bear a lighter frost (Washington State University circulars, a tenth killed). */
    public static final double KILLING = -2.2;

    private static final int YEAR = 365;
    private static final int MONTHS = 12;

    /** Empty without a whole year of days. */
    public static Optional<GrowingSeason> of(StationRecord record, double latitude) {
        FrostDates frost = FrostDates.of(record, latitude, KILLING);
        if (frost.years() == 0) {
            return Optional.empty();
        }
        boolean most = 2 * frost.lengths().length >= frost.years() - 1 && frost.lengths().length > 0;
        return Optional.of(new GrowingSeason(most ? frost.length(0.5) : YEAR, warmest(record)));
    }

    private static double warmest(StationRecord record) {
        DayClimate climate = new DayClimate(record);
        double warmest = Double.NEGATIVE_INFINITY;
        for (int month = 1; month <= MONTHS; month++) {
            LocalDate first = LocalDate.of(2023, month, 1);
            warmest = Math.max(
                    warmest,
                    climate.after(first, first.lengthOfMonth())
                            .map(DayClimate.Means::high)
                            .orElse(warmest));
        }
        return warmest;
    }
}
