package idlebough.core.winter;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.NavigableMap;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Hourly values, or a logger's readings at any minute: a time and one temperature a row. Each day with all its hours
 * known gives its lowest and highest reading; a day with an hour missing is a missing day.
 */
final class HourlyFile {
    private static final Pattern TIME =
            Pattern.compile("(\\d{1,4})[-/. ](\\d{1,2})[-/. ](\\d{1,4})[T ,;]+(\\d{1,2})[:.h]?(\\d{2})?.*");
    private static final Set<String> TEMPERATURE =
            Set.of("temperature", "temp", "t", "tair", "air", "temperatur", "temperatura", "température", "ta");
    private static final Set<String> MOMENT = Set.of(
            "time", "datetime", "timestamp", "date", "datum", "zeit", "fecha", "hora", "heure", "moment", "valid");
    private static final double COLDEST = -60;
    private static final double HOTTEST = 60;
    private static final double STEP = 15;

    private HourlyFile() {}

    /** Null when no row near the top names a time and a temperature. */
    static TemperatureFile.Reading read(String text, TemperatureFile.Wish wish) {
        String[] lines = text.split("\r\n|\n|\r", -1);
        for (int i = 0; i < Math.min(30, lines.length); i++) {
            for (String mark : new String[] {";", "\t", ",", "|"}) {
                String[] names = lines[i].split(Pattern.quote(mark), -1);
                int time = find(names, MOMENT);
                int temperature = find(names, TEMPERATURE);
                if (time >= 0 && temperature >= 0 && time != temperature) {
                    return rows(lines, i, mark, names, time, temperature, wish);
                }
            }
        }
        return null;
    }

    private static int find(String[] names, Set<String> words) {
        for (int i = 0; i < names.length; i++) {
            for (String word : names[i].toLowerCase(Locale.ROOT).split("[^\\p{L}]+")) {
                if (words.contains(word)) {
                    return i;
                }
            }
        }
        return -1;
    }

    private static TemperatureFile.Reading rows(
            String[] lines,
            int header,
            String mark,
            String[] names,
            int time,
            int temperature,
            TemperatureFile.Wish wish) {
        boolean fahrenheit = wish.fahrenheit() != null
                ? wish.fahrenheit()
                : names[temperature].matches("(?i).*(°f|\\bf\\b|_f|fahrenheit|degf).*");
        boolean dayFirst = wish.order() != TemperatureFile.DateOrder.MONTH_FIRST;
        NavigableMap<Long, Double> readings = new TreeMap<>();
        List<TemperatureFile.Warning> warnings = new ArrayList<>();
        Double last = null;
        for (int i = header + 1; i < lines.length; i++) {
            if (lines[i].isBlank()) {
                continue;
            }
            String[] cell = lines[i].split(Pattern.quote(mark), -1);
            if (cell.length <= Math.max(time, temperature)) {
                warnings.add(
                        new TemperatureFile.Warning(i + 1, "the row breaks off after " + cell.length + " cells", true));
                continue;
            }
            LocalDateTime when = moment(cell[time].replace("\"", "").strip(), dayFirst);
            String typed = cell[temperature].replace("\"", "").strip().replace('\u2212', '-');
            if (when == null) {
                warnings.add(new TemperatureFile.Warning(i + 1, "“" + cell[time] + "” is not a time", true));
                continue;
            }
            if (TemperatureFile.isMissing(typed)) {
                continue;
            }
            Double figure = TemperatureFile.number(typed);
            if (figure == null) {
                warnings.add(new TemperatureFile.Warning(i + 1, "“" + typed + "” is not a temperature", true));
                continue;
            }
            double celsius = fahrenheit ? (figure - 32) / 1.8 : figure;
            if (celsius < COLDEST || celsius > HOTTEST) {
                warnings.add(new TemperatureFile.Warning(i + 1, typed + " is beyond −60 to 60 °C", true));
                continue;
            }
            long minute = Math.floorDiv(when.toEpochSecond(java.time.ZoneOffset.UTC), 60);
            Double before = readings.putIfAbsent(minute, celsius);
            if (before != null && before != celsius) {
                warnings.add(
                        new TemperatureFile.Warning(i + 1, when + " stands there already with another figure", true));
            }
            if (last != null && Math.abs(celsius - last) > STEP) {
                warnings.add(new TemperatureFile.Warning(
                        i + 1, "more than 15 K from one reading to the next; kept, look at it", false));
            }
            last = celsius;
        }
        if (readings.isEmpty()) {
            return TemperatureFile.Reading.failed("The columns " + names[time] + " and " + names[temperature]
                    + " were found, but no row could be read"
                    + (warnings.isEmpty()
                            ? "."
                            : ": line " + warnings.get(0).line() + ", "
                                    + warnings.get(0).words() + "."));
        }
        return days(readings, warnings, names[time], names[temperature]);
    }

    private static TemperatureFile.Reading days(
            NavigableMap<Long, Double> readings, List<TemperatureFile.Warning> warnings, String time, String name) {
        List<DailyExtremes> days = new ArrayList<>();
        long day = 24 * 60;
        int broken = 0;
        long from = Math.floorDiv(readings.firstKey(), day);
        long to = Math.floorDiv(readings.lastKey(), day);
        for (long d = from; d <= to; d++) {
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            boolean whole = true;
            for (int hour = 0; hour < 24 && whole; hour++) {
                Double at = Observations.at(readings, d * day + 60L * hour);
                whole = at != null;
                if (whole) {
                    low = Math.min(low, at);
                    high = Math.max(high, at);
                }
            }
            if (!whole) {
                broken++;
                continue;
            }
            for (double reading : readings.subMap(d * day, (d + 1) * day).values()) {
                low = Math.min(low, reading);
                high = Math.max(high, reading);
            }
            days.add(DailyExtremes.measured(LocalDate.ofEpochDay(d), low, high));
        }
        if (days.isEmpty()) {
            return TemperatureFile.Reading.failed(
                    "No day of this file has all its hours; readings must not be more than three hours apart.");
        }
        if (broken > 0) {
            warnings.add(
                    0,
                    new TemperatureFile.Warning(
                            0,
                            broken + (broken == 1 ? " day has" : " days have")
                                    + " an hour missing and are missing days; each whole day gave its lowest and highest reading",
                            false));
        }
        return TemperatureFile.Reading.of(name, name, time, days, warnings);
    }

    private static LocalDateTime moment(String typed, boolean dayFirst) {
        Matcher part = TIME.matcher(typed);
        if (!part.matches()) {
            return null;
        }
        try {
            int a = Integer.parseInt(part.group(1));
            int b = Integer.parseInt(part.group(2));
            int c = Integer.parseInt(part.group(3));
            int minute = part.group(5) == null ? 0 : Integer.parseInt(part.group(5));
            LocalDate date = part.group(1).length() == 4
                    ? LocalDate.of(a, b, c)
                    : LocalDate.of(c < 100 ? 2000 + c : c, dayFirst ? b : a, dayFirst ? a : b);
            return date.atTime(Integer.parseInt(part.group(4)), minute);
        } catch (DateTimeException notInCalendar) {
            return null;
        }
    }
}
