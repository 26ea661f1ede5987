package idlebough.app.store;

import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A change of one row: which, seen at which revision, and its changed fields by their flat names.
 *
 * @param id of the row; of a new one it may be made by whoever asks
 * @param base the orchard's revision at which the row was seen; {@link #NEW} for a row that is new
 */
public record Edit(Kind kind, String id, long base, Map<String, Object> fields) {
    /** Of a row that is new. */
    public static final long NEW = -1;

    /** A new row. */
    public static Edit add(Row row) {
        Kind kind = Kind.of(row);
        return new Edit(kind, row.id(), NEW, kind.shape().flat(row));
    }

    /** Some fields of a row. */
    public static Edit change(Row row, long base, Map<String, ?> fields) {
        return new Edit(Kind.of(row), row.id(), base, new LinkedHashMap<>(fields));
    }

    /** The whole of a row, whatever of it is other than it was. */
    public static Edit save(Row row, long base) {
        Kind kind = Kind.of(row);
        Map<String, Object> fields = kind.shape().flat(row);
        fields.keySet().removeAll(java.util.List.of("id", "orchardId", "version", "deleted"));
        return new Edit(kind, row.id(), base, fields);
    }

    /** Takes a row away; it can be brought back. */
    public static Edit remove(Row row, long base) {
        return new Edit(Kind.of(row), row.id(), base, Map.of("deleted", true));
    }

    boolean isNew() {
        return base == NEW;
    }
}
