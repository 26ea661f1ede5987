package idlebough.app.store;

import idlebough.core.crop.OwnEntry;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A variety or a stock that an orchard made its own.
 *
 * @param what a name of {@link OwnEntry.What}
 * @param entryKey key in the catalogue
 * @param cells a line for each column that is told, {@code column=value}
 * @param remark why, in the grower's words; may be empty
 */
public record OwnEntryRow(RowKey key, String what, String entryKey, String cells, String remark) implements Row {

    public static OwnEntryRow of(RowKey key, OwnEntry entry, String remark) {
        return new OwnEntryRow(key, entry.what().name(), entry.key(), written(entry.cells()), remark);
    }

    /** The cells as they are stored; a line break within one becomes a space. */
    public static String written(Map<String, String> cells) {
        return cells.entrySet().stream()
                .map(cell -> cell.getKey() + "=" + cell.getValue().replaceAll("\\R", " "))
                .sorted()
                .collect(Collectors.joining("\n"));
    }

    public OwnEntry entry() {
        Map<String, String> read = new LinkedHashMap<>();
        for (String line : cells.isEmpty() ? new String[0] : cells.split("\n")) {
            int at = line.indexOf('=');
            read.put(line.substring(0, at), line.substring(at + 1));
        }
        return new OwnEntry(OwnEntry.What.valueOf(what), entryKey, read);
    }
}
