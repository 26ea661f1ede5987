package idlebough.core.winter;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * One station's days. Gaps are known and never filled in silence: {@link #window} says what it filled and why it
 * refused.
 */
public final class StationRecord {
    /** Longest gap that is bridged, days. */
    public static final int LONGEST_FILLED = 4;

    /** Nothing measured yet. */
    public static final StationRecord EMPTY = new StationRecord(List.of());

    private static final double MOST_MISSING = 0.05;
    private final NavigableMap<LocalDate, DailyExtremes> days = new TreeMap<>();
    private final Map<LocalDate, double[]> hours;

    public StationRecord(Collection<DailyExtremes> measured) {
        this(measured, Map.of());
    }

    /** @param hours 24 temperatures of each day that was measured by the hour, °C; used as they are */
    public StationRecord(Collection<DailyExtremes> measured, Map<LocalDate, double[]> hours) {
        measured.forEach(day -> days.put(day.date(), day));
        this.hours = Map.copyOf(hours);
    }

    /** Why a winter is left out, or that it is whole. The names are those of the check files. */
    public enum Status {
        OK("whole"),
        FILLED("short gaps filled"),
        MIN_ABOVE_MAX("a minimum above its maximum"),
        GAP_AT_END("its first or last day is missing"),
        GAP_TOO_LONG("five or more days in a row missing"),
        TOO_MANY_MISSING("more than one day in twenty missing");
        private final String words;

        Status(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        public boolean usable() {
            return this == OK || this == FILLED;
        }
    }

    /**
     * @param days every day of the window with short gaps filled; empty when it is not usable
     * @param missing days without a measurement
     * @param neighbours days that another station gave
     */
    public record Window(Status status, List<DailyExtremes> days, int missing, int neighbours) {}

    public boolean isEmpty() {
        return days.isEmpty();
    }

    public int size() {
        return days.size();
    }

    public LocalDate first() {
        return days.firstKey();
    }

    public LocalDate last() {
        return days.lastKey();
    }

    public Collection<DailyExtremes> days() {
        return days.values();
    }

    public DailyExtremes on(LocalDate date) {
        return days.get(date);
    }

    /** The 24 temperatures of a day that was measured by the hour; null for any other. Not to be written to. */
    double[] hoursOn(LocalDate date) {
        return hours.get(date);
    }

    Map<LocalDate, double[]> hours() {
        return hours;
    }

    public boolean hasHours(LocalDate date) {
        return hours.containsKey(date);
    }

    /** How many days were measured by the hour. */
    public int hourlyDays() {
        return hours.size();
    }

    /** How many days come from another station. */
    public long fromNeighbours() {
        return days.values().stream()
                .filter(day -> day.origin() == DailyExtremes.Origin.NEIGHBOUR)
                .count();
    }

    /** A run of days without a measurement; both included. */
    public record Gap(LocalDate from, LocalDate to) {
        public long length() {
            return ChronoUnit.DAYS.between(from, to) + 1;
        }
    }

    /** Every gap inside the record, oldest first. */
    public List<Gap> missing() {
        List<Gap> missing = new ArrayList<>();
        LocalDate before = null;
        for (LocalDate date : days.keySet()) {
            if (before != null && before.plusDays(1).isBefore(date)) {
                missing.add(new Gap(before.plusDays(1), date.minusDays(1)));
            }
            before = date;
        }
        return missing;
    }

    /** Days inside the record for which nothing was measured. */
    public long gaps() {
        return isEmpty() ? 0 : ChronoUnit.DAYS.between(first(), last()) + 1 - size();
    }

    /** Both days included. Gaps of up to four days are bridged by straight lines for minimum and maximum apart. */
    public Window window(LocalDate from, LocalDate to) {
        int length = (int) ChronoUnit.DAYS.between(from, to) + 1;
        int missing = 0;
        int neighbours = 0;
        int run = 0;
        int longest = 0;
        for (int i = 0; i < length; i++) {
            DailyExtremes day = days.get(from.plusDays(i));
            if (day == null) {
                missing++;
                longest = Math.max(longest, ++run);
            } else {
                run = 0;
                neighbours += day.origin() == DailyExtremes.Origin.NEIGHBOUR ? 1 : 0;
                if (day.minimum() > day.maximum()) {
                    return new Window(Status.MIN_ABOVE_MAX, List.of(), missing, neighbours);
                }
            }
        }
        if (!days.containsKey(from) || !days.containsKey(to)) {
            return new Window(Status.GAP_AT_END, List.of(), missing, neighbours);
        }
        if (longest > LONGEST_FILLED) {
            return new Window(Status.GAP_TOO_LONG, List.of(), missing, neighbours);
        }
        if (missing > MOST_MISSING * length) {
            return new Window(Status.TOO_MANY_MISSING, List.of(), missing, neighbours);
        }
        List<DailyExtremes> filled = new ArrayList<>(length);
        boolean whole = true;
        for (int i = 0; i < length; i++) {
            LocalDate date = from.plusDays(i);
            DailyExtremes day = days.get(date);
            filled.add(day != null ? day : between(date));
            whole &= day != null && !day.filled();
        }
        return new Window(whole ? Status.OK : Status.FILLED, List.copyOf(filled), missing, neighbours);
    }

    private DailyExtremes between(LocalDate date) {
        DailyExtremes before = days.lowerEntry(date).getValue();
        DailyExtremes after = days.higherEntry(date).getValue();
        double share = (double) ChronoUnit.DAYS.between(before.date(), date)
                / ChronoUnit.DAYS.between(before.date(), after.date());
        return new DailyExtremes(
                date,
                before.minimum() + share * (after.minimum() - before.minimum()),
                before.maximum() + share * (after.maximum() - before.maximum()),
                DailyExtremes.Origin.BRIDGED);
    }

    /** This record with an offset added to every minimum, maximum and hour. */
    public StationRecord warmedBy(double kelvin) {
        Map<LocalDate, double[]> warmed = new HashMap<>();
        hours.forEach((date, of) ->
                warmed.put(date, Arrays.stream(of).map(t -> t + kelvin).toArray()));
        return new StationRecord(
                days.values().stream()
                        .map(day -> day.warmedBy(kelvin, kelvin, day.origin()))
                        .toList(),
                warmed);
    }

    /**
     * As it would be where the nights are other: a minimum takes the whole correction, a maximum none, and the hours
     * of a
     * day between them a share. A minimum is never raised above its maximum.
     */
    public StationRecord at(Exposure exposure) {
        double kelvin = exposure.kelvin();
        if (kelvin == 0) {
            return this;
        }
        Map<LocalDate, double[]> moved = new HashMap<>();
        List<DailyExtremes> nights = new ArrayList<>();
        for (DailyExtremes day : days.values()) {
            double by = Math.min(kelvin, day.maximum() - day.minimum());
            nights.add(day.warmedBy(by, 0, day.origin()));
            double[] of = hours.get(day.date());
            if (of != null) {
                double range = Math.max(1e-9, day.maximum() - day.minimum());
                moved.put(
                        day.date(),
                        Arrays.stream(of)
                                .map(t -> t + by * (day.maximum() - t) / range)
                                .toArray());
            }
        }
        return new StationRecord(nights, moved);
    }
}
