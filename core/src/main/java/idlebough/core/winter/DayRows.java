package idlebough.core.winter;

import idlebough.core.winter.WeatherFile.Warning;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.csv.CSVRecord;

/** Rows of a table with one day each: its minimum and maximum, and what else was measured. */
final class DayRows extends TableRows {
    private static final double STEP = 25;
    private static final int STUCK = 5;
    private final NavigableMap<LocalDate, double[]> pairs = new TreeMap<>();
    private final Map<LocalDate, Long> lineOf = new HashMap<>();
    private final NavigableMap<LocalDate, DayWeather> weather = new TreeMap<>();

    private int swapped;

    DayRows(TableLayout layout, WeatherFile.Wish wish) {
        super(layout, wish, Column.MAXIMUM);
    }

    @Override
    public WeatherFile.Reading reading() {
        NavigableMap<LocalDate, DailyExtremes> days = new TreeMap<>();
        pairs.forEach((date, pair) -> {
            double high = pair[1];
            if (wish.nextMorning()) {
                double[] next = pairs.get(date.plusDays(1));
                if (next == null) {
                    return;
                }
                high = next[1];
            }
            if (pair[0] > high) {
                warnings.add(new Warning(
                        lineOf.get(date),
                        "the minimum " + pair[0] + " is above the maximum " + high + " of the next row",
                        true));
            } else {
                days.put(date, DailyExtremes.measured(date, pair[0], high));
            }
        });
        steps(days);
        stuck(days);
        if (swapped > days.size()) {
            return WeatherFile.Reading.failed(
                    "In " + swapped + (swapped == 1 ? " row" : " rows") + " “" + heading(Column.MINIMUM)
                            + "” stands above “" + heading(Column.MAXIMUM)
                            + "”: it seems that these two headings are swapped. Say below which column is which.",
                    layout);
        }
        if (days.isEmpty()) {
            return nothing(heading(Column.DATE) + ", " + heading(Column.MINIMUM) + " and " + heading(Column.MAXIMUM));
        }
        return new WeatherFile.Reading(
                Optional.empty(),
                WeatherFile.Shape.table(layout, order, ambiguous),
                List.copyOf(days.values()),
                Map.of(),
                new ArrayList<>(weather.values()),
                sorted());
    }

    @Override
    public void take(long line, CSVRecord row) {
        if (breaksOff(row, line)) {
            return;
        }
        String typed = dateCell(row);
        LocalDate date = Cells.date(typed, order);
        if (date == null) {
            warnings.add(new Warning(line, "“" + typed + "” is not a date of the calendar", true));
            return;
        }
        if (isFlagged(row, line)) {
            return;
        }
        Map<Element, Double> beside = elements(row, line);
        if (!beside.isEmpty()) {
            weather.putIfAbsent(date, new DayWeather(date, beside));
        }
        String lowText = row.get(layout.find(Column.MINIMUM));
        String highText = row.get(layout.find(Column.MAXIMUM));
        if (Cells.isMissing(lowText) || Cells.isMissing(highText)) {
            return;
        }
        Double low = celsius(row, Column.MINIMUM, line);
        Double high = low == null ? null : celsius(row, Column.MAXIMUM, line);
        if (high == null) {
            return;
        }
        double[] before = pairs.get(date);
        if (isBeyond(low) || isBeyond(high)) {
            warnings.add(new Warning(line, lowText + " / " + highText + " is beyond −60 to 60 °C", true));
        } else if (low > high && !wish.nextMorning()) {
            swapped++;
            warnings.add(new Warning(line, "the minimum " + lowText + " is above the maximum " + highText, true));
        } else if (before == null) {
            pairs.put(date, new double[] {low, high});
            lineOf.put(date, line);
        } else if (before[0] != low || before[1] != high) {
            warnings.add(new Warning(
                    line, date + " stands already in line " + lineOf.get(date) + " with other figures", true));
        }
    }

    private void steps(NavigableMap<LocalDate, DailyExtremes> days) {
        DailyExtremes before = null;
        for (DailyExtremes day : days.values()) {
            if (before != null
                    && before.date().plusDays(1).equals(day.date())
                    && (Math.abs(day.minimum() - before.minimum()) > STEP
                            || Math.abs(day.maximum() - before.maximum()) > STEP)) {
                warnings.add(new Warning(
                        lineOf.get(day.date()), "more than 25 K from one day to the next; kept, look at it", false));
            }
            before = day;
        }
    }

    /** The same minimum and maximum five days in a row: a stuck sensor, or a month's mean in the place of days. */
    private void stuck(NavigableMap<LocalDate, DailyExtremes> days) {
        int run = 1;
        DailyExtremes before = null;
        for (DailyExtremes day : days.values()) {
            boolean same = before != null
                    && before.date().plusDays(1).equals(day.date())
                    && before.minimum() == day.minimum()
                    && before.maximum() == day.maximum();
            run = same ? run + 1 : 1;
            if (run == STUCK) {
                warnings.add(new Warning(
                        lineOf.get(day.date()),
                        "the same figures " + STUCK + " days in a row, a stuck sensor perhaps; kept, look at it",
                        false));
            }
            before = day;
        }
    }
}
