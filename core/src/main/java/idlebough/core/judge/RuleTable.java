package idlebough.core.judge;

import idlebough.core.measure.Quantity;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/**
 * The limits and facts of one room, from {@code <room>/rules.csv}: value, half-width, what meeting it means, source and
 * certainty. The judge and whoever chooses values for the grower read the same rows.
 */
public final class RuleTable {
    private static final Map<String, RuleTable> ROOMS = new ConcurrentHashMap<>();
    private final Map<String, Row> rows;

    /** @param half half-width: so many of the row's own unit, and so large a share of the value */
    private record Row(double value, Half half, Limit.Temper temper, Source source) {
        double halfWidth(double of) {
            return half.absolute() + half.share() * Math.abs(of);
        }
    }

    private record Half(double absolute, double share) {
        /** A figure in the row's own unit, or a share of the value where it ends in {@code %}; empty for none. */
        static Half of(String cell) {
            if (cell.isEmpty()) {
                return new Half(0, 0);
            }
            return cell.endsWith("%")
                    ? new Half(0, Double.parseDouble(cell.substring(0, cell.length() - 1)) / 100)
                    : new Half(Double.parseDouble(cell), 0);
        }
    }

    private RuleTable(String room) {
        rows = Table.rows(room + "/rules.csv").stream()
                .collect(Collectors.toUnmodifiableMap(row -> row.get("key"), RuleTable::row));
    }

    private static Row row(CSVRecord row) {
        return new Row(
                Double.parseDouble(row.get("value")),
                Half.of(row.get("half")),
                new Limit.Temper(
                        row.get("meeting").equals("sound"), row.get("worst").equals("doubtful")),
                new Source(
                        Source.Kind.valueOf(row.get("kind")), row.get("source"), Certainty.of(row.get("certainty"))));
    }

    /** The table of a room, read once. */
    public static RuleTable of(String room) {
        return ROOMS.computeIfAbsent(room, RuleTable::new);
    }

    private Row row(String key) {
        Row row = rows.get(key);
        if (row == null) {
            throw new IllegalArgumentException("No rule table has the row " + key + ".");
        }
        return row;
    }

    public double value(String key) {
        return row(key).value();
    }

    /** The half-width of the row's own value. */
    public double halfWidth(String key) {
        return row(key).halfWidth(row(key).value());
    }

    public Source source(String key) {
        return row(key).source();
    }

    /** At least the row's value is wanted. */
    public Limit atLeast(String key, Quantity quantity) {
        return limit(key, row(key).value(), quantity, Limit.Side.AT_LEAST);
    }

    /** At most the row's value is wanted. */
    public Limit atMost(String key, Quantity quantity) {
        return limit(key, row(key).value(), quantity, Limit.Side.AT_MOST);
    }

    /** A limit whose value depends on the subject; half-width, temper and source are the row's. */
    public Limit limit(String key, double value, Quantity quantity, Limit.Side side) {
        Row row = row(key);
        return new Limit(value, row.halfWidth(value), quantity, side, row.temper(), row.source());
    }
}
