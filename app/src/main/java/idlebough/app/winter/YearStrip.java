package idlebough.app.winter;

import idlebough.core.winter.StationRecord;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * One calendar year of a record as a strip 732 units wide, two a day: where days are missing.
 *
 * @param days measured
 * @param bridged path of the short gaps that are bridged, and missing of the longer ones
 */
public record YearStrip(int year, int days, double from, double to, String bridged, String missing) {
    private static final double DAY = 2;

    /** Every year that the record touches, oldest first. */
    public static List<YearStrip> of(StationRecord record) {
        List<YearStrip> strips = new ArrayList<>();
        if (record.isEmpty()) {
            return strips;
        }
        List<StationRecord.Gap> gaps = record.missing();
        for (int year = record.first().getYear(); year <= record.last().getYear(); year++) {
            LocalDate first = LocalDate.of(year, 1, 1);
            LocalDate last = LocalDate.of(year, 12, 31);
            LocalDate from = record.first().isAfter(first) ? record.first() : first;
            LocalDate to = record.last().isBefore(last) ? record.last() : last;
            StringBuilder bridged = new StringBuilder();
            StringBuilder missing = new StringBuilder();
            long gone = 0;
            for (StationRecord.Gap gap : gaps) {
                LocalDate a = gap.from().isAfter(first) ? gap.from() : first;
                LocalDate b = gap.to().isBefore(last) ? gap.to() : last;
                if (!a.isAfter(b)) {
                    gone += ChronoUnit.DAYS.between(a, b) + 1;
                    (gap.length() <= StationRecord.LONGEST_FILLED ? bridged : missing)
                            .append(String.format(
                                    Locale.ROOT,
                                    "M%.0f 0h%.0fv10h-%.0fz",
                                    DAY * (a.getDayOfYear() - 1),
                                    DAY * (ChronoUnit.DAYS.between(a, b) + 1),
                                    DAY * (ChronoUnit.DAYS.between(a, b) + 1)));
                }
            }
            strips.add(new YearStrip(
                    year,
                    (int) (ChronoUnit.DAYS.between(from, to) + 1 - gone),
                    DAY * (from.getDayOfYear() - 1),
                    DAY * to.getDayOfYear(),
                    bridged.toString(),
                    missing.toString()));
        }
        return strips;
    }
}
