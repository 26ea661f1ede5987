package idlebough.core.winter;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads a text table of daily minima and maxima in any sane shape, a file of the public daily archive ({@link GhcnFile}),
 * or single readings ({@link HourlyFile}), and says how it understood it before anything is
 * stored. Rows that cannot be are left out and named with line and reason; nothing is mended in silence.
 *
 * <p>Detected: delimiter, header names in several languages, decimal comma, °F by header or by size, ISO and local dates
 * by the values that occur. A date order that the values leave open is reported as ambiguous.
 */
public final class TemperatureFile {
    private static final Set<String> MISSING = Set.of(
            "", "na", "n/a", "nan", "null", "-", "--", "-99", "-99.9", "-999", "-999.9", "-9999", "-9999.0", "9999",
            "999.9", "m", "x");
    private static final Pattern DATE =
            Pattern.compile("(\\d{1,4})[-/. ](\\d{1,2})[-/. ](\\d{1,4}).*|(\\d{4})(\\d{2})(\\d{2})");
    private static final double COLDEST = -60;
    private static final double HOTTEST = 60;
    private static final double STEP = 25;
    private static final int STUCK = 5;

    private TemperatureFile() {}

    /** How the day, month and year of a local date follow each other. */
    public enum DateOrder {
        YEAR_FIRST,
        DAY_FIRST,
        MONTH_FIRST
    }

    /**
     * What the grower may correct; null means detect.
     */
    public record Wish(Boolean fahrenheit, DateOrder order) {
        public static final Wish NONE = new Wish(null, null);
    }

    /** @param line 1-based line in the file; 0 for the file as a whole */
    public record Warning(long line, String words, boolean leftOut) {}

    /**
     * How the file was understood.
     *
     * @param complaint why nothing could be read, or null
     * @param ambiguousOrder whether day-first and month-first would both fit
     */
    public record Reading(
            String complaint,
            char delimiter,
            String minimumColumn,
            String maximumColumn,
            String dateColumn,
            boolean fahrenheit,
            DateOrder order,
            boolean ambiguousOrder,
            List<DailyExtremes> days,
            List<Warning> warnings) {
        static Reading failed(String complaint) {
            return new Reading(
                    complaint, ',', null, null, null, false, DateOrder.YEAR_FIRST, false, List.of(), List.of());
        }

        /** A file in one of the archive's layouts or of single readings: nothing was left to guess. */
        static Reading of(
                String minimum, String maximum, String date, List<DailyExtremes> days, List<Warning> warnings) {
            return new Reading(
                    null,
                    ',',
                    minimum,
                    maximum,
                    date,
                    false,
                    DateOrder.YEAR_FIRST,
                    false,
                    List.copyOf(days),
                    List.copyOf(warnings));
        }

        public long leftOut() {
            return warnings.stream().filter(Warning::leftOut).count();
        }
    }

    public static Reading read(byte[] bytes, Wish wish) {
        if (bytes.length == 0) {
            return Reading.failed("The file is empty.");
        }
        if (bytes.length > 1
                && (bytes[0] == 'P' && bytes[1] == 'K' || (bytes[0] & 0xff) == 0xd0 && (bytes[1] & 0xff) == 0xcf)) {
            return Reading.failed("This is a spreadsheet, not a text table; save it as CSV and load that.");
        }
        // One kind of line end from here on, so that lines and rows are counted alike.
        String text = decode(bytes).replace("\r\n", "\n").replace('\r', '\n');
        if (text.indexOf('\0') >= 0) {
            return Reading.failed("This file holds bytes that no text table has; save it as CSV in UTF-8.");
        }
        Reading archive = GhcnFile.read(text);
        if (archive != null) {
            return archive;
        }
        String[] lines = text.split("\n", -1);
        int header = headerLine(lines);
        if (header < 0) {
            Reading hourly = HourlyFile.read(text, wish);
            return hourly != null
                    ? hourly
                    : Reading.failed(
                            "No header row with a date, a minimum and a maximum was found, nor one with a time and a temperature; name the columns date, tmin and tmax, or time and temperature.");
        }
        char delimiter = delimiter(lines[header]);
        try {
            return rows(text, lines, header, delimiter, wish);
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            return Reading.failed("The table breaks off inside a quoted cell; check the quotation marks.");
        }
    }

    private static String decode(byte[] bytes) {
        String text;
        try {
            text = StandardCharsets.UTF_8
                    .newDecoder()
                    .onMalformedInput(CodingErrorAction.REPORT)
                    .decode(ByteBuffer.wrap(bytes))
                    .toString();
        } catch (CharacterCodingException notUtf8) {
            text = new String(bytes, StandardCharsets.ISO_8859_1);
        }
        return text.startsWith("\uFEFF") ? text.substring(1) : text;
    }

    private static int headerLine(String[] lines) {
        for (int i = 0; i < Math.min(lines.length, 30); i++) {
            String[] cells = lines[i].split(Pattern.quote(String.valueOf(delimiter(lines[i]))));
            if (find(cells, Column.DATE) >= 0 && find(cells, Column.MINIMUM) >= 0 && find(cells, Column.MAXIMUM) >= 0) {
                return i;
            }
        }
        return -1;
    }

    private static char delimiter(String line) {
        char best = ',';
        long most = -1;
        for (char candidate : new char[] {';', '\t', ',', '|'}) {
            long count = line.chars().filter(c -> c == candidate).count();
            if (count > most) {
                most = count;
                best = candidate;
            }
        }
        return best;
    }

    private enum Column {
        DATE("date", "day", "datum", "fecha", "jour", "data", "dato", "tag"),
        MINIMUM("tmin", "tn", "tnn", "min", "minimum", "minima", "low", "lowest"),
        MAXIMUM("tmax", "tx", "txx", "max", "maximum", "maxima", "high", "highest");
        private final List<String> names;

        Column(String... names) {
            this.names = Arrays.asList(names);
        }
    }

    private static int find(String[] cells, Column column) {
        for (int i = 0; i < cells.length; i++) {
            for (String word : cells[i].toLowerCase(Locale.ROOT)
                    .replaceAll("[^a-z]+", " ")
                    .strip()
                    .split(" ")) {
                if (column.names.contains(word)
                        || column != Column.DATE
                                && word.length() > 3
                                && (word.startsWith(column.names.get(0)) || word.endsWith(column.names.get(3)))) {
                    return i;
                }
            }
        }
        return -1;
    }

    private static Reading rows(String text, String[] lines, int header, char delimiter, Wish wish) throws IOException {
        int skip = 0;
        for (int i = 0; i < header; i++) {
            skip = text.indexOf('\n', skip) + 1;
        }
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(delimiter)
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(text.substring(skip)), format)) {
            List<CSVRecord> records = new ArrayList<>();
            List<Long> numbers = new ArrayList<>();
            String[] names = null;
            for (CSVRecord record : parser) {
                if (names == null) {
                    names = record.values();
                } else {
                    records.add(record);
                    numbers.add(header + parser.getCurrentLineNumber());
                }
            }
            return understand(names, records, numbers, delimiter, wish);
        }
    }

    private static Reading understand(
            String[] names, List<CSVRecord> records, List<Long> numbers, char delimiter, Wish wish) {
        int dateAt = find(names, Column.DATE);
        int lowAt = find(names, Column.MINIMUM);
        int highAt = find(names, Column.MAXIMUM);
        if (dateAt < 0 || lowAt < 0 || highAt < 0) {
            return Reading.failed("The header row could not be split into columns; check its quotation marks.");
        }
        List<Warning> warnings = new ArrayList<>();
        boolean dayFits = true;
        boolean monthFits = true;
        List<Double> highs = new ArrayList<>();
        for (CSVRecord record : records) {
            if (record.size() > Math.max(dateAt, Math.max(lowAt, highAt))) {
                Matcher date = DATE.matcher(record.get(dateAt));
                if (date.matches() && date.group(1) != null && date.group(1).length() <= 2) {
                    dayFits &= Integer.parseInt(date.group(2)) <= 12;
                    monthFits &= Integer.parseInt(date.group(1)) <= 12;
                }
                Double high = number(record.get(highAt));
                if (high != null) {
                    highs.add(high);
                }
            }
        }
        boolean yearFirst = records.stream()
                .limit(5)
                .anyMatch(r -> r.size() > dateAt && r.get(dateAt).matches("\\d{4}.*"));
        DateOrder order = yearFirst
                ? DateOrder.YEAR_FIRST
                : wish.order() != null
                        ? wish.order()
                        : monthFits && !dayFits ? DateOrder.MONTH_FIRST : DateOrder.DAY_FIRST;
        boolean ambiguous = !yearFirst && dayFits && monthFits && wish.order() == null;
        String lowName = names[lowAt];
        boolean byName = lowName.matches("(?i).*(°f|\\bf\\b|_f|fahrenheit|degf).*")
                || names[highAt].matches("(?i).*(°f|\\bf\\b|_f|fahrenheit|degf).*");
        boolean celsiusByName = lowName.matches("(?i).*(°c|_c|celsius|degc|\\(c\\)).*");
        double median = highs.isEmpty()
                ? 0
                : Quantile.of(highs.stream().mapToDouble(Double::doubleValue).toArray(), 0.5);
        boolean fahrenheit = wish.fahrenheit() != null ? wish.fahrenheit() : byName || !celsiusByName && median > 45;
        if (wish.fahrenheit() == null && !byName && !celsiusByName && median > 45) {
            warnings.add(new Warning(0, "half of the maxima are above 45, so the figures were taken as °F", false));
        }
        if (ambiguous) {
            warnings.add(new Warning(0, "the dates fit day-first and month-first; they were read day-first", false));
        }
        Map<LocalDate, DailyExtremes> days = new TreeMap<>();
        Map<LocalDate, Long> lineOf = new HashMap<>();
        for (int i = 0; i < records.size(); i++) {
            CSVRecord record = records.get(i);
            long line = numbers.get(i);
            if (record.size() <= Math.max(dateAt, Math.max(lowAt, highAt))) {
                warnings.add(new Warning(line, "the row breaks off after " + record.size() + " cells", true));
                continue;
            }
            String typed = record.get(dateAt);
            LocalDate date = date(typed, order);
            if (date == null) {
                warnings.add(new Warning(line, "“" + typed + "” is not a date of the calendar", true));
                continue;
            }
            String lowText = record.get(lowAt);
            String highText = record.get(highAt);
            if (isMissing(lowText) || isMissing(highText)) {
                continue;
            }
            Double low = number(lowText);
            Double high = number(highText);
            if (low == null || high == null) {
                warnings.add(
                        new Warning(line, "“" + (low == null ? lowText : highText) + "” is not a temperature", true));
                continue;
            }
            double tn = fahrenheit ? (low - 32) / 1.8 : low;
            double tx = fahrenheit ? (high - 32) / 1.8 : high;
            if (tn < COLDEST || tx > HOTTEST || tn > HOTTEST || tx < COLDEST) {
                warnings.add(new Warning(line, lowText + " / " + highText + " is beyond −60 to 60 °C", true));
            } else if (tn > tx) {
                warnings.add(new Warning(line, "the minimum " + lowText + " is above the maximum " + highText, true));
            } else if (days.containsKey(date)) {
                DailyExtremes before = days.get(date);
                if (before.minimum() != tn || before.maximum() != tx) {
                    warnings.add(new Warning(
                            line, date + " stands already in line " + lineOf.get(date) + " with other figures", true));
                }
            } else {
                days.put(date, DailyExtremes.measured(date, tn, tx));
                lineOf.put(date, line);
            }
        }
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
        stuck(days, lineOf, warnings);
        if (days.isEmpty()) {
            return Reading.failed("The columns " + names[dateAt] + ", " + lowName + " and " + names[highAt]
                    + " were found, but no row could be read"
                    + (warnings.isEmpty()
                            ? "."
                            : ": line " + warnings.get(0).line() + ", "
                                    + warnings.get(0).words() + "."));
        }
        warnings.sort((a, b) -> Long.compare(a.line(), b.line()));
        return new Reading(
                null,
                delimiter,
                lowName,
                names[highAt],
                names[dateAt],
                fahrenheit,
                order,
                ambiguous,
                List.copyOf(days.values()),
                List.copyOf(warnings));
    }

    /** The same minimum and maximum five days in a row: a stuck sensor, or a month's mean in the place of days. */
    private static void stuck(Map<LocalDate, DailyExtremes> days, Map<LocalDate, Long> lineOf, List<Warning> warnings) {
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

    static boolean isMissing(String cell) {
        return MISSING.contains(cell.strip().toLowerCase(Locale.ROOT));
    }

    static Double number(String cell) {
        String plain = cell.strip().replace('\u2212', '-').replace(',', '.');
        return plain.matches("[+-]?\\d+(\\.\\d+)?") ? Double.valueOf(plain) : null;
    }

    private static LocalDate date(String typed, DateOrder order) {
        Matcher part = DATE.matcher(typed.strip());
        if (!part.matches()) {
            return null;
        }
        try {
            if (part.group(4) != null) {
                return LocalDate.of(
                        Integer.parseInt(part.group(4)),
                        Integer.parseInt(part.group(5)),
                        Integer.parseInt(part.group(6)));
            }
            int a = Integer.parseInt(part.group(1));
            int b = Integer.parseInt(part.group(2));
            int c = Integer.parseInt(part.group(3));
            return switch (order) {
                case YEAR_FIRST -> LocalDate.of(a, b, c);
                case DAY_FIRST -> LocalDate.of(century(c), b, a);
                case MONTH_FIRST -> LocalDate.of(century(c), a, b);
            };
        } catch (DateTimeException notInCalendar) {
            return null;
        }
    }

    private static int century(int year) {
        return year >= 100 ? year : year < 50 ? 2000 + year : 1900 + year;
    }
}
