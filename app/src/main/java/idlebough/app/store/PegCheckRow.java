package idlebough.app.store;

/** What was measured between the pegs of two trees, m on the level. */
public record PegCheckRow(RowKey key, String fromTreeId, String toTreeId, double metres) implements Row {}
