package idlebough.app.winter;

import idlebough.core.winter.DailyExtremes;
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
 * @param borrowed path of the days that another station gave
 * @param bridged path of the short gaps that are bridged, and missing of the longer ones
 */
public record YearStrip(int year, int days, double from, double to, String borrowed, String bridged, String missing) {
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
                    (gap.length() <= StationRecord.LONGEST_FILLED ? bridged : missing).append(run(a, b));
                }
            }
            StringBuilder borrowed = new StringBuilder();
            LocalDate begin = null;
            for (LocalDate date = from; !date.isAfter(to.plusDays(1)); date = date.plusDays(1)) {
                boolean neighbour = !date.isAfter(to)
                        && record.on(date) != null
                        && record.on(date).origin() == DailyExtremes.Origin.NEIGHBOUR;
                if (neighbour && begin == null) {
                    begin = date;
                } else if (!neighbour && begin != null) {
                    borrowed.append(run(begin, date.minusDays(1)));
                    begin = null;
                }
            }
            strips.add(new YearStrip(
                    year,
                    (int) (ChronoUnit.DAYS.between(from, to) + 1 - gone),
                    DAY * (from.getDayOfYear() - 1),
                    DAY * to.getDayOfYear(),
                    borrowed.toString(),
                    bridged.toString(),
                    missing.toString()));
        }
        return strips;
    }

    private static String run(LocalDate from, LocalDate to) {
        double wide = DAY * (ChronoUnit.DAYS.between(from, to) + 1);
        return String.format(Locale.ROOT, "M%.0f 0h%.0fv10h-%.0fz", DAY * (from.getDayOfYear() - 1), wide, wide);
    }
}
