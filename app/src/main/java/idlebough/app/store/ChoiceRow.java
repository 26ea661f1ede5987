package idlebough.app.store;

/** So many trees of one variety on one stock. */
public record ChoiceRow(RowKey key, String varietyKey, String rootstockKey, int wanted, boolean inPot) implements Row {
    /** In the ground. */
    public ChoiceRow(RowKey key, String varietyKey, String rootstockKey, int wanted) {
        this(key, varietyKey, rootstockKey, wanted, false);
    }
}
