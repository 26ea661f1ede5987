package idlebough.core.winter;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;

/**
 * The hourly temperatures of a stretch of days: as measured where a day was measured by the hour, else computed from
 * its
 * extremes with the days before and after, so that the edges are right.
 */
public final class SeasonHours {
    private final LocalDate first;
    private final double[] celsius;
    private final List<DailyExtremes> days;

    /**
     * @param first day, from its hour 0
     * @param celsius 24 for each day
     * @param days the extremes behind them, short gaps filled
     */
    SeasonHours(LocalDate first, double[] celsius, List<DailyExtremes> days) {
        this.first = first;
        this.celsius = celsius;
        this.days = List.copyOf(days);
    }

    public LocalDate first() {
        return first;
    }

    /** The extremes behind the hours, short gaps filled. */
    public List<DailyExtremes> days() {
        return days;
    }

    /** For the loops of this room; nobody writes into it. */
    double[] celsius() {
        return celsius;
    }

    /** Null when the stretch has longer gaps than are filled; see {@link StationRecord#window}. */
    public static SeasonHours of(StationRecord record, double latitude, LocalDate from, LocalDate to) {
        StationRecord.Window window = record.window(from, to);
        return window.status().usable() ? of(record, window, latitude, from, to) : null;
    }

    static SeasonHours of(
            StationRecord record, StationRecord.Window window, double latitude, LocalDate from, LocalDate to) {
        List<DailyExtremes> days = new ArrayList<>(window.days());
        DailyExtremes before = record.on(from.minusDays(1));
        DailyExtremes after = record.on(to.plusDays(1));
        if (before != null) {
            days.add(0, before);
        }
        if (after != null) {
            days.add(after);
        }
        double[] hours = new double[24 * window.days().size()];
        boolean measured = true;
        for (int i = 0; i < window.days().size(); i++) {
            double[] of = record.hoursOn(window.days().get(i).date());
            measured &= of != null;
            if (of != null) {
                System.arraycopy(of, 0, hours, 24 * i, 24);
            }
        }
        if (!measured) {
            double[] all = HourlyCurve.of(days, latitude);
            int start = before == null ? 0 : 24;
            for (int i = 0; i < window.days().size(); i++) {
                if (!record.hasHours(window.days().get(i).date())) {
                    System.arraycopy(all, start + 24 * i, hours, 24 * i, 24);
                }
            }
        }
        return new SeasonHours(from, hours, window.days());
    }

    public LocalDateTime at(int hour) {
        return first.atStartOfDay().plusHours(hour);
    }
}
