package idlebough.app.variety;

import idlebough.core.crop.BadCell;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.OwnEntry;
import idlebough.core.crop.RootstockCells;
import idlebough.core.crop.VarietyCells;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * Rows of the catalogue as a text table: those that can be read, and those that cannot with a sentence each.
 *
 * @param good to be stored
 * @param bad to be mended
 * @param left the header and the bad rows as they were given, for the grower to mend
 */
record OwnRows(List<OwnEntry> good, List<Bad> bad, String left) {
    private static final int MOST = 500;
    private static final int LONGEST = 500;

    /** @param line of what is left to be mended, under its header, which is line 1 */
    public record Bad(long line, String column, String sentence) {}

    /** The whole cannot be read. */
    static final class NoTable extends Exception {
        private static final long serialVersionUID = 1;

        NoTable(String sentence) {
            super(sentence);
        }
    }

    static List<String> columns(OwnEntry.What what) {
        return what == OwnEntry.What.VARIETY ? VarietyCells.COLUMNS : RootstockCells.COLUMNS;
    }

    static OwnRows read(OwnEntry.What what, String text, Catalogue catalogue) throws NoTable {
        String clean = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String head = clean.lines()
                .filter(line -> !line.isBlank() && !line.startsWith("#"))
                .findFirst()
                .orElse("");
        char between = head.indexOf('\t') >= 0 ? '\t' : head.indexOf(';') >= 0 ? ';' : ',';
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreHeaderCase(true)
                .setIgnoreEmptyLines(true)
                .setCommentMarker('#')
                .setTrim(true)
                .setAllowMissingColumnNames(true)
                .get();
        List<OwnEntry> good = new ArrayList<>();
        List<Bad> bad = new ArrayList<>();
        List<CSVRecord> kept = new ArrayList<>();
        List<String> names;
        try (var parser = format.parse(new StringReader(clean))) {
            names = parser.getHeaderNames();
            if (names.stream().noneMatch(name -> name.equalsIgnoreCase("name") || name.equalsIgnoreCase("key"))) {
                throw new NoTable("The first line must name the columns, with “name” among them; those known are "
                        + String.join(", ", columns(what)) + ".");
            }
            for (CSVRecord row : parser) {
                if (good.size() + bad.size() >= MOST) {
                    throw new NoTable("More than " + MOST + " rows: load them in parts.");
                }
                OwnEntry entry = entry(what, row, names, between == ';', catalogue);
                try {
                    catalogue.check(entry);
                    good.add(entry);
                } catch (BadCell wrong) {
                    kept.add(row);
                    bad.add(new Bad(kept.size() + 1, wrong.column(), wrong.getMessage()));
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException unreadable) {
            throw new NoTable("This is no table that can be read: " + unreadable.getMessage());
        }
        return new OwnRows(good, bad, bad.isEmpty() ? "" : left(names, kept, between));
    }

    private static OwnEntry entry(
            OwnEntry.What what, CSVRecord row, List<String> names, boolean commas, Catalogue catalogue) {
        Map<String, String> cells = new LinkedHashMap<>();
        for (String name : names) {
            String column = name.toLowerCase(Locale.ROOT);
            if (columns(what).contains(column)
                    && row.isSet(name)
                    && !row.get(name).isEmpty()) {
                String cell = row.get(name);
                cells.put(column, commas ? pointed(cell) : cell.substring(0, Math.min(cell.length(), LONGEST)));
            }
        }
        String told = cells.remove("key");
        Map<String, String> shipped = told == null ? Map.of() : Catalogue.shippedCells(what, told);
        boolean known = !shipped.isEmpty()
                || told != null && !catalogue.cells(what, told).isEmpty();
        // Over a shipped row only what is other than it counts as the grower's own.
        cells.entrySet().removeIf(cell -> cell.getValue().equals(shipped.get(cell.getKey())));
        return new OwnEntry(what, known ? told : freshKey(), cells);
    }

    static String freshKey() {
        return "own-" + UUID.randomUUID();
    }

    /** A decimal comma as a point. */
    static String pointed(String cell) {
        return cell.matches("-?[0-9]+,[0-9]+") ? cell.replace(',', '.') : cell;
    }

    private static String left(List<String> names, List<CSVRecord> rows, char between) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(between)
                .setRecordSeparator("\n")
                .setHeader(names.toArray(String[]::new))
                .get();
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (CSVRecord row : rows) {
                printer.printRecord(row.toList());
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString();
    }

    /** Every row of a kind as this orchard has it, or its own alone. */
    static String written(OwnEntry.What what, Catalogue catalogue, boolean ownOnly) {
        List<String> columns = columns(what);
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setRecordSeparator("\n")
                .setHeader(columns.toArray(String[]::new))
                .get();
        List<String> keys = ownOnly
                ? catalogue.own().stream()
                        .filter(entry -> entry.what() == what)
                        .map(OwnEntry::key)
                        .toList()
                : what == OwnEntry.What.VARIETY
                        ? catalogue.varieties().stream().map(v -> v.key()).toList()
                        : catalogue.rootstocks().stream().map(s -> s.key()).toList();
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, format)) {
            for (String key : keys) {
                Map<String, String> cells = catalogue.cells(what, key);
                printer.printRecord(columns.stream()
                        .map(column -> cells.getOrDefault(column, ""))
                        .toList());
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString();
    }
}
