package idlebough.core.winter;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;

/**
 * Utah units from their own start: counted from the moment after the largest negative accumulation in autumn
 * (Richardson,
 * Seeley & Walker 1974, HortScience 9:331–332).
 *
 * <p>How: the running sum from 1 September (south 1 March), the nought before the first hour included, has its least
 * value up to 31 December (south 30 June); of equals the latest; the next hour is the first that counts. Our reading of
 * Richardson, Seeley & Walker 1974 (HortScience 9:331).
 *
 * @param from the first hour counted
 * @param daily running total at the end of each day of the report window
 */
public record UtahStart(LocalDateTime from, List<Double> daily) {
    private static final double EQUAL = 1e-9;

    /**
     * @param until the last day, at most the season's last
     * @return empty when the autumn before the season is not known without long gaps
     */
    static Optional<UtahStart> of(StationRecord record, double latitude, Season season, int winter, LocalDate until) {
        LocalDate begin =
                season.southern() ? LocalDate.of(winter, Month.MARCH, 1) : LocalDate.of(winter - 1, Month.SEPTEMBER, 1);
        LocalDate latest =
                season.southern() ? LocalDate.of(winter, Month.JUNE, 30) : LocalDate.of(winter - 1, Month.DECEMBER, 31);
        SeasonHours hours = SeasonHours.of(record, latitude, begin, until);
        if (hours == null) {
            return Optional.empty();
        }
        int last = 24 * (int) Math.min(hours.days().size(), latest.toEpochDay() - begin.toEpochDay() + 1);
        double least = 0;
        int start = 0;
        double sum = 0;
        for (int h = 0; h < last; h++) {
            sum += UnitTable.UTAH.of(hours.celsius()[h]);
            if (sum <= least + EQUAL) {
                least = sum;
                start = h + 1;
            }
        }
        List<Double> daily = new ArrayList<>();
        int window = 24 * (int) (season.first(winter).toEpochDay() - begin.toEpochDay());
        double total = 0;
        for (int h = 0; h < hours.celsius().length; h++) {
            total += h >= start ? UnitTable.UTAH.of(hours.celsius()[h]) : 0;
            if (h >= window && h % 24 == 23) {
                daily.add(total);
            }
        }
        return Optional.of(new UtahStart(hours.at(start), Collections.unmodifiableList(daily)));
    }

    public double total() {
        return daily.get(daily.size() - 1);
    }
}
