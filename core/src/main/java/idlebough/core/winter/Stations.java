package idlebough.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * One record of the orchard from several stations.
 *
 * <p>How: each station's days are corrected by its offset to the orchard; the first station goes first. A day that it
 * lacks comes from the next one that has it, with the mean difference of the minima and of the maxima over the days of
 * the same month that both have, when these are thirty or more; with the offset alone when they are fewer. Such days
 * are
 * marked as a neighbour's. Common practice.
 */
public final class Stations {
    /** Days of one month of the year that two stations must share before their difference is said. */
    public static final int COMMON = 30;

    private Stations() {}

    /** A station's own days as measured, and by how much the orchard is warmer, K. */
    public record Placed(String name, StationRecord days, double offsetKelvin) {}

    /**
     * What one station gave to another's gaps.
     *
     * @param days how many
     * @param paired how many of them by a measured difference; the rest by the offset alone
     * @param minima and maxima: mean difference over those, K; NaN when there are none
     */
    public record Borrowed(String name, int days, int paired, double minima, double maxima) {}

    /** @param borrowed by the second station and those after it, in their order */
    public record Joined(StationRecord record, List<Borrowed> borrowed) {}

    /** @param stations the first goes first */
    public static Joined join(List<Placed> stations) {
        if (stations.isEmpty()) {
            return new Joined(new StationRecord(List.of()), List.of());
        }
        StationRecord base = stations.get(0).days().warmedBy(stations.get(0).offsetKelvin());
        Map<LocalDate, DailyExtremes> days = new TreeMap<>();
        base.days().forEach(day -> days.put(day.date(), day));
        Map<LocalDate, double[]> hours = new HashMap<>(base.hours());
        List<Borrowed> borrowed = new ArrayList<>();
        for (Placed station : stations.subList(1, stations.size())) {
            borrowed.add(borrow(station, base, days));
        }
        return new Joined(new StationRecord(days.values(), hours), List.copyOf(borrowed));
    }

    private static Borrowed borrow(Placed station, StationRecord base, Map<LocalDate, DailyExtremes> days) {
        Difference[] months = new Difference[12];
        for (DailyExtremes day : station.days().days()) {
            DailyExtremes other = base.on(day.date());
            if (other != null) {
                int month = day.date().getMonthValue() - 1;
                months[month] = months[month] == null ? new Difference() : months[month];
                months[month].add(other.minimum() - day.minimum(), other.maximum() - day.maximum());
            }
        }
        int given = 0;
        int paired = 0;
        double minima = 0;
        double maxima = 0;
        for (DailyExtremes day : station.days().days()) {
            if (days.containsKey(day.date())) {
                continue;
            }
            Difference month = months[day.date().getMonthValue() - 1];
            boolean known = month != null && month.days >= COMMON;
            double low = known ? month.minima / month.days : station.offsetKelvin();
            double high = known ? month.maxima / month.days : station.offsetKelvin();
            if (day.minimum() + low > day.maximum() + high) {
                continue;
            }
            days.put(day.date(), day.warmedBy(low, high, DailyExtremes.Origin.NEIGHBOUR));
            given++;
            if (known) {
                paired++;
                minima += low;
                maxima += high;
            }
        }
        return new Borrowed(
                station.name(),
                given,
                paired,
                paired == 0 ? Double.NaN : minima / paired,
                paired == 0 ? Double.NaN : maxima / paired);
    }

    private static final class Difference {
        private int days;
        private double minima;
        private double maxima;

        void add(double low, double high) {
            days++;
            minima += low;
            maxima += high;
        }
    }
}
