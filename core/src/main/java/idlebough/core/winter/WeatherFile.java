package idlebough.core.winter;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.CodingErrorAction;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Reads a text table of days ({@link DayRows}) or of single readings ({@link HourRows}) in any sane shape, or a file of
 * the public daily archive ({@link GhcnFile}), and says how it understood it before anything is stored. Rows that
 * cannot
 * be are left out and named with line and reason; nothing is mended in silence.
 *
 * <p>Detected: delimiter, headings in several languages, decimal comma, units by heading or by size, ISO and local
 * dates
 * by the values that occur ({@link TableLayout}). All of it can be corrected by a {@link Wish}.
 */
public final class WeatherFile {
    /** A thousand columns of twenty letters; longer ones are read by nobody and take all memory. */
    private static final int LONGEST_LINE = 20_000;

    private static final int TOP = 150;

    private WeatherFile() {}

    /** How the day, month and year of a local date follow each other. */
    public enum DateOrder {
        YEAR_FIRST,
        DAY_FIRST,
        MONTH_FIRST
    }

    /** Which clock stamped the readings. */
    public enum TimeScale {
        /** Local time without daylight saving, in which all hours are kept. */
        STANDARD("local standard time"),
        SUMMER("the clock on the wall, with daylight saving"),
        UTC("UTC");
        private final String words;

        TimeScale(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * What the grower corrects; what is empty is detected.
     *
     * @param columns by place, from 0; when it is not empty, a column that is not in it is not used
     * @param units by place
     * @param nextMorning whether a maximum stands on the day after it was reached, as some observers write it
     */
    public record Wish(
            Map<Integer, Column> columns,
            Map<Integer, ColumnUnit> units,
            Optional<DateOrder> order,
            TimeScale scale,
            boolean nextMorning) {
        public static final Wish NONE = new Wish(Map.of(), Map.of(), Optional.empty(), TimeScale.STANDARD, false);
    }

    /** @param line 1-based line in the file; 0 for the file as a whole */
    public record Warning(long line, String words, boolean leftOut) {}

    /**
     * How the file was understood.
     *
     * @param layout empty for a file of the archive, whose layout is fixed, and for what is no table
     * @param archive which layout of the archive it has
     * @param ambiguousOrder whether day-first and month-first would both fit
     */
    public record Shape(
            Optional<TableLayout> layout, Optional<String> archive, DateOrder order, boolean ambiguousOrder) {
        static final Shape UNKNOWN = new Shape(Optional.empty(), Optional.empty(), DateOrder.YEAR_FIRST, false);

        static Shape table(TableLayout layout, DateOrder order, boolean ambiguous) {
            return new Shape(Optional.of(layout), Optional.empty(), order, ambiguous);
        }

        static Shape archive(String name) {
            return new Shape(Optional.empty(), Optional.of(name), DateOrder.YEAR_FIRST, false);
        }
    }

    /**
     * What was read.
     *
     * @param complaint why nothing could be read
     * @param days with both extremes, oldest first
     * @param hours of the days that were whole when single readings were given: 24 temperatures, °C
     * @param weather what was measured beside the temperature, oldest first
     */
    public record Reading(
            Optional<String> complaint,
            Shape shape,
            List<DailyExtremes> days,
            Map<LocalDate, double[]> hours,
            List<DayWeather> weather,
            List<Warning> warnings) {

        static Reading failed(String complaint, TableLayout layout) {
            return failed(complaint, Shape.table(layout, DateOrder.YEAR_FIRST, false));
        }

        static Reading failed(String complaint) {
            return failed(complaint, Shape.UNKNOWN);
        }

        private static Reading failed(String complaint, Shape shape) {
            return new Reading(Optional.of(complaint), shape, List.of(), Map.of(), List.of(), List.of());
        }

        public long leftOut() {
            return warnings.stream().filter(Warning::leftOut).count();
        }

        /** How many days have a value of this. */
        public long with(Element element) {
            return weather.stream()
                    .filter(day -> day.values().containsKey(element))
                    .count();
        }
    }

    /** @param zone of the orchard, for readings that are not stamped in its standard time */
    public static Reading read(byte[] bytes, Wish wish, ZoneId zone, Watch watch) {
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
        int monstrous = lineBeyond(text);
        if (monstrous > 0) {
            return Reading.failed("Line " + monstrous + " has more than " + LONGEST_LINE
                    + " letters, which no table of temperatures has; look whether it is the right file.");
        }
        Reading archive = wish.columns().isEmpty() ? GhcnFile.read(text, watch) : null;
        if (archive != null) {
            return archive;
        }
        TableLayout layout = TableLayout.of(top(text), wish);
        if (layout == null) {
            return Reading.failed(
                    "No header row with a date, a minimum and a maximum was found, nor one with a time and a "
                            + "temperature; name the columns date, tmin and tmax, or time and temperature.");
        }
        if (!layout.isReadable()) {
            return Reading.failed(
                    "This is a table, but it does not say which column is the date, and which the minimum and "
                            + "the maximum or the temperature.",
                    layout);
        }
        try {
            Rows rows = layout.isHourly() ? new HourRows(layout, wish, zone) : new DayRows(layout, wish);
            // Twice over the text: the order of the dates and the units are known only from all rows, and a long file's
            // rows would fill the memory if they were kept.
            feed(text, layout, share -> watch.at(0.4 * share), rows::look);
            rows.settle();
            feed(text, layout, share -> watch.at(0.4 + 0.6 * share), rows::take);
            return rows.reading();
        } catch (IOException | UncheckedIOException | IllegalStateException broken) {
            return Reading.failed("The table breaks off inside a quoted cell; check the quotation marks.");
        }
    }

    /** Sees the rows of a table one by one, twice, and says at the end what they held. */
    interface Rows {
        void look(long line, CSVRecord row);

        void settle();

        void take(long line, CSVRecord row);

        Reading reading();
    }

    /** What is done with one row. */
    private interface Eater {
        void row(long line, CSVRecord row);
    }

    private static void feed(String text, TableLayout layout, Watch watch, Eater eater) throws IOException {
        int skip = 0;
        for (int i = 0; i < layout.first(); i++) {
            int end = text.indexOf('\n', skip);
            skip = end < 0 ? text.length() : end + 1;
        }
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(layout.delimiter())
                .setTrim(true)
                .setIgnoreEmptyLines(true)
                .get();
        StringReader rest = new StringReader(text);
        rest.skip(skip);
        try (CSVParser parser = CSVParser.parse(rest, format)) {
            for (CSVRecord row : parser) {
                long line = layout.first() + parser.getCurrentLineNumber();
                eater.row(line, row);
                if ((row.getRecordNumber() & 0xfff) == 0) {
                    watch.at(Math.min(1, (double) row.getCharacterPosition() / Math.max(1, text.length() - skip)));
                }
            }
        }
    }

    /** The first line that is longer than any line of a table, counted from 1; 0 for none. */
    private static int lineBeyond(String text) {
        int from = 0;
        for (int line = 1; from <= text.length(); line++) {
            int end = text.indexOf('\n', from);
            int next = end < 0 ? text.length() : end;
            if (next - from > LONGEST_LINE) {
                return line;
            }
            from = next + 1;
        }
        return 0;
    }

    /** As many lines as decide the layout; the rest of a long file is not cut up. */
    private static List<String> top(String text) {
        List<String> lines = new ArrayList<>();
        int from = 0;
        while (lines.size() < TOP) {
            int end = text.indexOf('\n', from);
            lines.add(end < 0 ? text.substring(from) : text.substring(from, end));
            if (end < 0) {
                break;
            }
            from = end + 1;
        }
        return lines;
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
}
