package idlebough.app.exchange;

import idlebough.app.store.PegRow;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Trees from CSV: ours, or a person's with the columns tag, variety, x_m and y_m in any order, comma, semicolon or tab
 * between them, with a point or a decimal comma.
 */
public final class TreesCsvReader {
    private static final int MOST = 20_000;

    private TreesCsvReader() {}

    public static TreesRead read(String text) {
        String clean = text.startsWith("\uFEFF") ? text.substring(1) : text;
        if (clean.isBlank()) {
            return TreesRead.none("This file is empty.");
        }
        String head = clean.lines().findFirst().orElse("");
        char between = Stream.of(';', '\t', ',')
                .max((a, b) -> Long.compare(count(head, a), count(head, b)))
                .orElse(',');
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(between)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setAllowMissingColumnNames(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(clean), format)) {
            Map<String, Integer> columns = new HashMap<>();
            parser.getHeaderMap().forEach((name, at) -> columns.put(name.strip().toLowerCase(Locale.ROOT), at));
            List<String> missing = Stream.of("tag", "variety", "x_m", "y_m")
                    .filter(name -> !columns.containsKey(name))
                    .toList();
            if (!missing.isEmpty()) {
                return TreesRead.none("The first row must name the columns; there is none called "
                        + String.join(", ", missing) + ". Nothing was changed.");
            }
            return lines(parser, columns);
        } catch (UncheckedIOException | IOException | IllegalArgumentException broken) {
            return TreesRead.none("This CSV is broken: " + reason(broken) + " Nothing was changed.");
        }
    }

    private static String reason(Exception broken) {
        String words = broken.getMessage() == null ? "" : broken.getMessage();
        return words.contains("duplicate") ? "a column is named twice." : "a quotation mark does not close.";
    }

    private static long count(String head, char mark) {
        return head.chars().filter(c -> c == mark).count();
    }

    private static TreesRead lines(CSVParser parser, Map<String, Integer> columns) {
        List<TreeLine> lines = new ArrayList<>();
        List<String> complaints = new ArrayList<>();
        for (CSVRecord record : parser) {
            int row = (int) record.getRecordNumber() + 1;
            if (row > MOST) {
                complaints.add("After row " + MOST + " no more is read.");
                break;
            }
            line(record, columns, row)
                    .ifPresentOrElse(lines::add, () -> complaints.add(complaint(record, columns, row)));
        }
        return lines.isEmpty() && complaints.isEmpty()
                ? TreesRead.none("There is no tree in this file below its first row. Nothing was changed.")
                : new TreesRead(lines, complaints);
    }

    private static Optional<TreeLine> line(CSVRecord record, Map<String, Integer> columns, int row) {
        String tag = cell(record, columns, "tag");
        String variety = cell(record, columns, "variety");
        OptionalDouble x = figure(cell(record, columns, "x_m"));
        OptionalDouble y = figure(cell(record, columns, "y_m"));
        return tag.isEmpty() || tag.length() > PegRow.LONGEST_LABEL || variety.isEmpty() || x.isEmpty() || y.isEmpty()
                ? Optional.empty()
                : Optional.of(new TreeLine(
                        tag,
                        variety,
                        cell(record, columns, "stock"),
                        x.getAsDouble(),
                        y.getAsDouble(),
                        cell(record, columns, "state"),
                        row));
    }

    private static String complaint(CSVRecord record, Map<String, Integer> columns, int row) {
        String tag = cell(record, columns, "tag");
        if (tag.isEmpty()) {
            return "Row " + row + " has no tag.";
        }
        if (tag.length() > PegRow.LONGEST_LABEL) {
            return "Row " + row + ": a tag has at most " + PegRow.LONGEST_LABEL + " letters, “" + tag + "” has "
                    + tag.length() + ".";
        }
        if (cell(record, columns, "variety").isEmpty()) {
            return "Row " + row + ": " + tag + " has no variety.";
        }
        String wrong = Stream.of("x_m", "y_m")
                .filter(name -> figure(cell(record, columns, name)).isEmpty())
                .findFirst()
                .orElseThrow();
        return "Row " + row + ": “" + cell(record, columns, wrong) + "” in " + wrong + " of " + tag
                + " is not a figure. Are columns swapped?";
    }

    private static String cell(CSVRecord record, Map<String, Integer> columns, String name) {
        Integer at = columns.get(name);
        return at == null || at >= record.size() ? "" : record.get(at).strip();
    }

    private static OptionalDouble figure(String text) {
        try {
            double value = Double.parseDouble(text.replace(',', '.'));
            return Double.isFinite(value) && Math.abs(value) <= 20_000
                    ? OptionalDouble.of(value)
                    : OptionalDouble.empty();
        } catch (NumberFormatException no) {
            return OptionalDouble.empty();
        }
    }
}
