package idlebough.core.winter;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    /** Elements beside the temperature: how many of the archive's units make one of ours. */
    private static final Map<String, Map.Entry<Element, Double>> BESIDE = Map.of(
            "PRCP", Map.entry(Element.RAIN, 10.0),
            "SNWD", Map.entry(Element.SNOW, 1.0),
            "AWND", Map.entry(Element.WIND, 10.0),
            "RHAV", Map.entry(Element.HUMIDITY, 1.0),
            "TSUN", Map.entry(Element.SUNSHINE, 60.0));

    private static final int MISSING = -9999;
    private static final int FIRST_VALUE = 21;
    private static final int VALUE_WIDTH = 8;

    private final Map<LocalDate, Double> lows = new TreeMap<>();
    private final Map<LocalDate, Double> highs = new TreeMap<>();
    private final Map<LocalDate, Map<Element, Double>> beside = new TreeMap<>();
    private final List<WeatherFile.Warning> warnings = new ArrayList<>();
    private String station;

    private final Watch watch;
    private String layout;

    private GhcnFile(Watch watch) {
        this.watch = watch;
    }

    /** Null when the text has none of these layouts. */
    static WeatherFile.Reading read(String text, Watch watch) {
        String first = text.stripLeading().lines().findFirst().orElse("");
        boolean months = MONTH_LINE.matcher(first).matches() && first.indexOf(',') < 0;
        boolean elements = ELEMENT_LINE.matcher(first).matches();
        if (!months && !elements && !List.of(cells(first)).containsAll(COLUMNS)) {
            return null;
        }
        String[] lines = text.split("\r\n|\n|\r", -1);
        GhcnFile file = new GhcnFile(watch);
        if (months) {
            file.layout = "the daily archive’s month lines";
            file.months(lines);
        } else if (elements) {
            file.layout = "the daily archive, one line for each element of a day";
            file.elements(lines);
        } else {
            file.layout = "the daily archive, one line a day";
            file.columns(lines);
        }
        return file.reading();
    }

    private WeatherFile.Reading reading() {
        List<DailyExtremes> days = new ArrayList<>();
        lows.forEach((date, low) -> {
            Double high = highs.get(date);
            if (high != null && low <= high) {
                days.add(DailyExtremes.measured(date, low, high));
            } else if (high != null) {
                warnings.add(new WeatherFile.Warning(
                        0, date + ": the minimum " + low + " is above the maximum " + high, true));
            }
        });
        return days.isEmpty()
                ? WeatherFile.Reading.failed(
                        "This is a file of the daily archive, but no day in it has both a minimum and a maximum.")
                : new WeatherFile.Reading(
                        Optional.empty(),
                        WeatherFile.Shape.archive(layout),
                        List.copyOf(days),
                        Map.of(),
                        beside.entrySet().stream()
                                .map(day -> new DayWeather(day.getKey(), day.getValue()))
                                .toList(),
                        List.copyOf(warnings));
    }

    private void months(String[] lines) {
        for (int i = 0; i < lines.length; i++) {
            look(i, lines.length);
            String line = lines[i];
            if (line.isBlank()) {
                continue;
            }
            if (!MONTH_LINE.matcher(line).matches()) {
                warnings.add(new WeatherFile.Warning(i + 1, "not a month line of the archive", true));
                continue;
            }
            String element = line.substring(17, 21);
            if (!isRead(element) || other(line.substring(0, 11), i)) {
                continue;
            }
            try {
                YearMonth month = YearMonth.of(
                        Integer.parseInt(line.substring(11, 15)), Integer.parseInt(line.substring(15, 17)));
                for (int day = 1; day <= 31; day++) {
                    int at = FIRST_VALUE + VALUE_WIDTH * (day - 1);
                    if (line.length() < at + 5) {
                        if (day <= month.lengthOfMonth()) {
                            warnings.add(new WeatherFile.Warning(i + 1, "the line breaks off before day " + day, true));
                        }
                        break;
                    }
                    int tenths = Integer.parseInt(line.substring(at, at + 5).strip());
                    char flag = line.length() > at + 6 ? line.charAt(at + 6) : ' ';
                    if (day <= month.lengthOfMonth()) {
                        put(month.atDay(day), element, tenths, flag == ' ' ? "" : String.valueOf(flag), i);
                    } else if (tenths != MISSING) {
                        warnings.add(new WeatherFile.Warning(i + 1, month + " has no day " + day, true));
                    }
                }
            } catch (NumberFormatException | DateTimeException broken) {
                warnings.add(new WeatherFile.Warning(i + 1, "a figure of this line cannot be read", true));
            }
        }
    }

    private void elements(String[] lines) {
        for (int i = 0; i < lines.length; i++) {
            look(i, lines.length);
            String[] cell = cells(lines[i]);
            if (lines[i].isBlank()) {
                continue;
            }
            if (cell.length < 4) {
                warnings.add(
                        new WeatherFile.Warning(i + 1, "the row breaks off after " + cell.length + " cells", true));
                continue;
            }
            if (!isRead(cell[2]) || other(cell[0], i)) {
                continue;
            }
            try {
                LocalDate date = LocalDate.of(
                        Integer.parseInt(cell[1].substring(0, 4)),
                        Integer.parseInt(cell[1].substring(4, 6)),
                        Integer.parseInt(cell[1].substring(6, 8)));
                put(date, cell[2], Integer.parseInt(cell[3]), cell.length > 5 ? cell[5] : "", i);
            } catch (NumberFormatException | DateTimeException | StringIndexOutOfBoundsException broken) {
                warnings.add(new WeatherFile.Warning(i + 1, "“" + lines[i].strip() + "” cannot be read", true));
            }
        }
    }

    private void columns(String[] lines) {
        List<String> names = List.of();
        for (int i = 0; i < lines.length; i++) {
            look(i, lines.length);
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
                        new WeatherFile.Warning(i + 1, "the row breaks off after " + cell.length + " cells", true));
                continue;
            }
            if (other(cell[names.indexOf("STATION")], i)) {
                continue;
            }
            try {
                LocalDate date = LocalDate.parse(cell[names.indexOf("DATE")]);
                for (String element : names) {
                    if (!isRead(element)) {
                        continue;
                    }
                    String value = cell[names.indexOf(element)];
                    int attributes = names.indexOf(element + "_ATTRIBUTES");
                    String[] flags = attributes < 0 ? new String[0] : cell[attributes].split(",", -1);
                    if (!value.isBlank()) {
                        put(date, element, Integer.parseInt(value.strip()), flags.length > 1 ? flags[1] : "", i);
                    }
                }
            } catch (NumberFormatException | DateTimeException | IndexOutOfBoundsException broken) {
                warnings.add(new WeatherFile.Warning(i + 1, "this row cannot be read", true));
            }
        }
    }

    private static boolean isRead(String element) {
        return element.equals("TMIN") || element.equals("TMAX") || BESIDE.containsKey(element);
    }

    private void look(int line, int of) {
        if ((line & 0xfff) == 0) {
            watch.at((double) line / of);
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
                warnings.add(new WeatherFile.Warning(
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
            warnings.add(new WeatherFile.Warning(
                    line + 1, date + ", " + element + ": failed the archive’s quality check " + flag, true));
            return;
        }
        if (BESIDE.containsKey(element)) {
            Element of = BESIDE.get(element).getKey();
            double value = tenths / BESIDE.get(element).getValue();
            if (of.allows(value)) {
                beside.computeIfAbsent(date, day -> new EnumMap<>(Element.class))
                        .putIfAbsent(of, value);
            } else {
                warnings.add(new WeatherFile.Warning(
                        line + 1,
                        date + ", " + element + ": " + tenths + " cannot be " + of.words() + "; not used",
                        false));
            }
            return;
        }
        double celsius = tenths / 10.0;
        if (celsius < -60 || celsius > 60) {
            warnings.add(new WeatherFile.Warning(
                    line + 1, date + ", " + element + ": " + celsius + " is beyond −60 to 60 °C", true));
            return;
        }
        Map<LocalDate, Double> into = element.equals("TMIN") ? lows : highs;
        Double before = into.putIfAbsent(date, celsius);
        if (before != null && before != celsius) {
            warnings.add(new WeatherFile.Warning(
                    line + 1, date + ", " + element + " stands there already with another figure", true));
        }
    }
}
