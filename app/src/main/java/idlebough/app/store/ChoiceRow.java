package idlebough.app.store;

/** So many trees of one variety on one stock. */
public record ChoiceRow(RowKey key, String varietyKey, String rootstockKey, int wanted) implements Row {}
