package idlebough.core.winter;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * How a weather table is laid out: which character parts its cells, where its headings stand, what each column holds
 * and
 * in which unit, how its dates are written.
 *
 * <p>How it is found: of the first thirty lines, the one with the most headings that are known; when none is, the first
 * line, and the columns wait for the grower to say what they hold.
 *
 * @param delimiter between cells
 * @param header 0-based line of the headings; −1 when the table has none and begins with figures
 * @param columns left to right
 * @param first 0-based line of the first row of figures
 */
public record TableLayout(char delimiter, int header, int first, List<Seen> columns) {
    private static final int LOOKED_AT = 100;
    private static final char[] DELIMITERS = {';', '\t', ',', '|'};
    private static final int SAMPLES = 4;
    private static final Pattern QUOTES = Pattern.compile("^\"|\"$");

    /**
     * One column.
     *
     * @param heading as it stands in the file, or its place when there is none
     * @param unit null where the column needs none
     * @param samples its first cells
     */
    public record Seen(String heading, Column column, ColumnUnit unit, List<String> samples) {}

    int find(Column column) {
        for (int i = 0; i < columns.size(); i++) {
            if (columns.get(i).column() == column) {
                return i;
            }
        }
        return -1;
    }

    boolean has(Column column) {
        return find(column) >= 0;
    }

    /** Whether the date stands in three columns. */
    boolean isApart() {
        return has(Column.YEAR) && has(Column.MONTH);
    }

    /** A date, and either a temperature or both extremes. */
    public boolean isReadable() {
        return has(Column.DATE) && (has(Column.TEMPERATURE) || has(Column.MINIMUM) && has(Column.MAXIMUM));
    }

    /** Whether its rows are readings of a moment rather than days. */
    public boolean isHourly() {
        int date = find(Column.DATE);
        boolean clock = has(Column.TIME)
                || date >= 0
                        && columns.get(date).samples().stream()
                                .anyMatch(cell -> cell.matches(".*\\d[T ,;]+\\d{1,2}[:.h]\\d{2}.*|\\d{10}(\\d{2,3})?"));
        return has(Column.TEMPERATURE) && (clock || !has(Column.MINIMUM) || !has(Column.MAXIMUM));
    }

    /** Null when these lines are no table at all. */
    static TableLayout of(List<String> lines, WeatherFile.Wish wish) {
        int header = -1;
        char delimiter = ',';
        int most = 0;
        for (int i = 0; i < Math.min(LOOKED_AT, lines.size()); i++) {
            for (char mark : DELIMITERS) {
                int known = known(cells(lines.get(i), mark));
                if (known > most) {
                    most = known;
                    header = i;
                    delimiter = mark;
                }
            }
        }
        int first = header + 1;
        if (header < 0) {
            delimiter = commonest(lines);
            while (first < lines.size() && cells(lines.get(first), delimiter).size() < 2) {
                first++;
            }
            if (first >= lines.size()) {
                return null;
            }
            // A line without a single figure is a row of headings in words that are not known here.
            if (cells(lines.get(first), delimiter).stream().noneMatch(cell -> cell.matches(".*\\d.*"))) {
                header = first++;
            }
        }
        List<List<String>> samples = new ArrayList<>();
        for (int i = first; i < lines.size() && samples.size() < SAMPLES; i++) {
            if (!lines.get(i).isBlank()) {
                samples.add(cells(lines.get(i), delimiter));
            }
        }
        List<String> headings = header >= 0
                ? cells(lines.get(header), delimiter)
                : samples.isEmpty() ? List.of() : numbered(samples.get(0).size());
        return new TableLayout(delimiter, header, first, columns(headings, header >= 0, samples, wish));
    }

    private static List<String> numbered(int columns) {
        List<String> names = new ArrayList<>();
        for (int i = 1; i <= columns; i++) {
            names.add("column " + i);
        }
        return names;
    }

    private static List<Seen> columns(
            List<String> headings, boolean named, List<List<String>> samples, WeatherFile.Wish wish) {
        List<Column> holds = new ArrayList<>();
        for (String heading : headings) {
            Column column = named ? Column.of(heading) : Column.NOTHING;
            holds.add(
                    column != Column.NOTHING && column != Column.FLAG && holds.contains(column)
                            ? Column.NOTHING
                            : column);
        }
        if (!holds.contains(Column.DATE)) {
            int date = holds.indexOf(Column.TIME);
            for (int i = 0; i < headings.size() && date < 0; i++) {
                int at = i;
                if (samples.stream()
                        .allMatch(row ->
                                row.size() > at && Cells.date(row.get(at), WeatherFile.DateOrder.DAY_FIRST) != null)) {
                    date = i;
                }
            }
            if (date >= 0) {
                holds.set(date, Column.DATE);
            }
        }
        if (!wish.columns().isEmpty()) {
            for (int i = 0; i < holds.size(); i++) {
                holds.set(i, wish.columns().getOrDefault(i, Column.NOTHING));
            }
        }
        List<Seen> columns = new ArrayList<>();
        for (int i = 0; i < holds.size(); i++) {
            int at = i;
            columns.add(new Seen(
                    headings.get(i),
                    holds.get(i),
                    unit(holds.get(i), headings.get(i), wish.units().get(i)),
                    samples.stream()
                            .filter(row -> row.size() > at)
                            .map(row -> row.get(at))
                            .toList()));
        }
        return List.copyOf(columns);
    }

    /** Null leaves a temperature's unit to the size of its figures. */
    private static ColumnUnit unit(Column column, String heading, ColumnUnit wanted) {
        if (column.units().isEmpty()) {
            return null;
        }
        if (wanted != null && column.units().contains(wanted)) {
            return wanted;
        }
        return column.units().stream()
                .filter(unit -> unit.isIn(heading))
                .findFirst()
                .orElse(column.isTemperature() ? null : column.units().get(0));
    }

    TableLayout with(int at, ColumnUnit unit) {
        List<Seen> seen = new ArrayList<>(columns);
        Seen old = seen.get(at);
        seen.set(at, new Seen(old.heading(), old.column(), unit, old.samples()));
        return new TableLayout(delimiter, header, first, List.copyOf(seen));
    }

    private static int known(List<String> cells) {
        List<Column> found = cells.stream()
                .filter(cell -> !cell.matches(".*\\d{3}.*"))
                .map(Column::of)
                .filter(column -> column != Column.NOTHING)
                .distinct()
                .toList();
        boolean date = found.contains(Column.DATE) || found.contains(Column.TIME);
        boolean warmth =
                found.contains(Column.TEMPERATURE) || found.contains(Column.MINIMUM) && found.contains(Column.MAXIMUM);
        return date && warmth ? found.size() : 0;
    }

    /** The mark that parts the lines into the same number of cells most often, and into the most. */
    private static char commonest(List<String> lines) {
        char best = ',';
        long most = 0;
        for (char mark : DELIMITERS) {
            long cells = lines.stream()
                    .limit(LOOKED_AT)
                    .mapToLong(line -> line.chars().filter(c -> c == mark).count())
                    .sum();
            if (cells > most) {
                most = cells;
                best = mark;
            }
        }
        return best;
    }

    private static List<String> cells(String line, char delimiter) {
        List<String> cells = new ArrayList<>();
        for (String cell : line.split(Pattern.quote(String.valueOf(delimiter)), -1)) {
            cells.add(QUOTES.matcher(cell.strip()).replaceAll("").strip());
        }
        return cells;
    }
}
