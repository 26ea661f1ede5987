package idlebough.core.crop;

import java.util.Map;

/**
 * A row of the catalogue that an orchard made its own: a variety or a stock that is not shipped, or cells laid over a
 * shipped one.
 *
 * @param key of the shipped row, or one of its own
 * @param cells by the columns of the table; only those that are told
 */
public record OwnEntry(What what, String key, Map<String, String> cells) {
    public OwnEntry {
        cells = Map.copyOf(cells);
    }

    /** Of what it is a row. */
    public enum What {
        VARIETY,
        ROOTSTOCK
    }
}
