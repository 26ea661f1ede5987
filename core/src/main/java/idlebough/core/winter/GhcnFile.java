package idlebough.core.winter;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * The layouts of the public GHCN-Daily archive (NOAA NCEI, readme of the archive): month lines of fixed width with 31
 * values; one line for each station, day and element; one line for each station and day with a column for each element.
 * Tenths of a degree, −9999 for missing; a value with a quality flag failed a check and is left out.
 */
final class GhcnFile {
    private static final Pattern MONTH_LINE = Pattern.compile("[A-Z]{2}[A-Z0-9_-]{9}\\d{6}[A-Z0-9]{4}.{5}.*");
    private static final Pattern ELEMENT_LINE =
            Pattern.compile("\"?[A-Z]{2}[A-Z0-9_-]{9}\"?,\"?\\d{8}\"?,\"?[A-Z0-9]{4}\"?,\"?-?\\d+\"?.*");
    private static final List<String> COLUMNS =
            List.of("STATION", "DATE", "TMIN", "TMIN_ATTRIBUTES", "TMAX", "TMAX_ATTRIBUTES");
    private static final int MISSING = -9999;
    private static final int FIRST_VALUE = 21;
    private static final int VALUE_WIDTH = 8;

    private final Map<LocalDate, Double> lows = new TreeMap<>();
    private final Map<LocalDate, Double> highs = new TreeMap<>();
    private final List<TemperatureFile.Warning> warnings = new ArrayList<>();
    private String station;

    private GhcnFile() {}

    /** Null when the text has none of these layouts. */
    static TemperatureFile.Reading read(String text) {
        String[] lines = text.split("\r\n|\n|\r", -1);
        String first = "";
        for (String line : lines) {
            if (!line.isBlank()) {
                first = line;
                break;
            }
        }
        GhcnFile file = new GhcnFile();
        if (MONTH_LINE.matcher(first).matches() && first.indexOf(',') < 0) {
            file.months(lines);
        } else if (ELEMENT_LINE.matcher(first).matches()) {
            file.elements(lines);
        } else if (List.of(cells(first)).containsAll(COLUMNS)) {
            file.columns(lines);
        } else {
            return null;
        }
        return file.reading();
    }

    private TemperatureFile.Reading reading() {
        List<DailyExtremes> days = new ArrayList<>();
        lows.forEach((date, low) -> {
            Double high = highs.get(date);
            if (high != null && low <= high) {
                days.add(DailyExtremes.measured(date, low, high));
            } else if (high != null) {
                warnings.add(new TemperatureFile.Warning(
                        0, date + ": the minimum " + low + " is above the maximum " + high, true));
            }
        });
        return days.isEmpty()
                ? TemperatureFile.Reading.failed(
                        "This is a file of the daily archive, but no day in it has both a minimum and a maximum.")
                : TemperatureFile.Reading.of("TMIN", "TMAX", "DATE", days, warnings);
    }

    private void months(String[] lines) {
        for (int i = 0; i < lines.length; i++) {
            String line = lines[i];
            if (line.isBlank()) {
                continue;
            }
            if (!MONTH_LINE.matcher(line).matches()) {
                warnings.add(new TemperatureFile.Warning(i + 1, "not a month line of the archive", true));
                continue;
            }
            String element = line.substring(17, 21);
            if (!element.equals("TMIN") && !element.equals("TMAX") || other(line.substring(0, 11), i)) {
                continue;
            }
            try {
                YearMonth month = YearMonth.of(
                        Integer.parseInt(line.substring(11, 15)), Integer.parseInt(line.substring(15, 17)));
                for (int day = 1; day <= 31; day++) {
                    int at = FIRST_VALUE + VALUE_WIDTH * (day - 1);
                    if (line.length() < at + 5) {
                        if (day <= month.lengthOfMonth()) {
                            warnings.add(
                                    new TemperatureFile.Warning(i + 1, "the line breaks off before day " + day, true));
                        }
                        break;
                    }
                    int tenths = Integer.parseInt(line.substring(at, at + 5).strip());
                    char flag = line.length() > at + 6 ? line.charAt(at + 6) : ' ';
                    if (day <= month.lengthOfMonth()) {
                        put(month.atDay(day), element, tenths, flag == ' ' ? "" : String.valueOf(flag), i);
                    } else if (tenths != MISSING) {
                        warnings.add(new TemperatureFile.Warning(i + 1, month + " has no day " + day, true));
                    }
                }
            } catch (NumberFormatException | DateTimeException broken) {
                warnings.add(new TemperatureFile.Warning(i + 1, "a figure of this line cannot be read", true));
            }
        }
    }

    private void elements(String[] lines) {
        for (int i = 0; i < lines.length; i++) {
            String[] cell = cells(lines[i]);
            if (lines[i].isBlank()) {
                continue;
            }
            if (cell.length < 4) {
                warnings.add(
                        new TemperatureFile.Warning(i + 1, "the row breaks off after " + cell.length + " cells", true));
                continue;
            }
            if (!cell[2].equals("TMIN") && !cell[2].equals("TMAX") || other(cell[0], i)) {
                continue;
            }
            try {
                LocalDate date = LocalDate.of(
                        Integer.parseInt(cell[1].substring(0, 4)),
                        Integer.parseInt(cell[1].substring(4, 6)),
                        Integer.parseInt(cell[1].substring(6, 8)));
                put(date, cell[2], Integer.parseInt(cell[3]), cell.length > 5 ? cell[5] : "", i);
            } catch (NumberFormatException | DateTimeException | StringIndexOutOfBoundsException broken) {
                warnings.add(new TemperatureFile.Warning(i + 1, "“" + lines[i].strip() + "” cannot be read", true));
            }
        }
    }

    private void columns(String[] lines) {
        List<String> names = List.of();
        for (int i = 0; i < lines.length; i++) {
            if (lines[i].isBlank()) {
                continue;
            }
            String[] cell = cells(lines[i]);
            if (names.isEmpty()) {
                names = List.of(cell);
                continue;
            }
            if (cell.length < names.size()) {
                warnings.add(
                        new TemperatureFile.Warning(i + 1, "the row breaks off after " + cell.length + " cells", true));
                continue;
            }
            if (other(cell[names.indexOf("STATION")], i)) {
                continue;
            }
            try {
                LocalDate date = LocalDate.parse(cell[names.indexOf("DATE")]);
                for (String element : List.of("TMIN", "TMAX")) {
                    String value = cell[names.indexOf(element)];
                    String[] flags = cell[names.indexOf(element + "_ATTRIBUTES")].split(",", -1);
                    if (!value.isBlank()) {
                        put(date, element, Integer.parseInt(value.strip()), flags.length > 1 ? flags[1] : "", i);
                    }
                }
            } catch (NumberFormatException | DateTimeException | IndexOutOfBoundsException broken) {
                warnings.add(new TemperatureFile.Warning(i + 1, "this row cannot be read", true));
            }
        }
    }

    /** Cells between commas, quotes taken off; a quoted cell may hold commas. */
    private static String[] cells(String line) {
        List<String> cells = new ArrayList<>();
        StringBuilder cell = new StringBuilder();
        boolean quoted = false;
        for (char c : line.toCharArray()) {
            if (c == '"') {
                quoted = !quoted;
            } else if (c == ',' && !quoted) {
                cells.add(cell.toString());
                cell.setLength(0);
            } else {
                cell.append(c);
            }
        }
        cells.add(cell.toString());
        return cells.toArray(String[]::new);
    }

    /** The archive's files may hold many stations: the first is read. */
    private boolean other(String id, int line) {
        if (station == null) {
            station = id;
        } else if (!station.equals(id)) {
            if (warnings.stream().noneMatch(w -> w.words().startsWith("a second station"))) {
                warnings.add(new TemperatureFile.Warning(
                        line + 1,
                        "a second station, " + id + ", is left out; the first, " + station + ", is read",
                        true));
            }
            return true;
        }
        return false;
    }

    private void put(LocalDate date, String element, int tenths, String flag, int line) {
        if (tenths == MISSING) {
            return;
        }
        if (!flag.isBlank()) {
            warnings.add(new TemperatureFile.Warning(
                    line + 1, date + ", " + element + ": failed the archive’s quality check " + flag, true));
            return;
        }
        double celsius = tenths / 10.0;
        if (celsius < -60 || celsius > 60) {
            warnings.add(new TemperatureFile.Warning(
                    line + 1, date + ", " + element + ": " + celsius + " is beyond −60 to 60 °C", true));
            return;
        }
        Map<LocalDate, Double> into = element.equals("TMIN") ? lows : highs;
        Double before = into.putIfAbsent(date, celsius);
        if (before != null && before != celsius) {
            warnings.add(new TemperatureFile.Warning(
                    line + 1, date + ", " + element + " stands there already with another figure", true));
        }
    }
}
