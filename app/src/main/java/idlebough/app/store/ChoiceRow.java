package idlebough.app.store;

/**
 * So many trees of one variety on one stock.
 *
 * @param training name of the system; null for an ordinary bush or open tree
 */
public record ChoiceRow(RowKey key, String varietyKey, String rootstockKey, int wanted, boolean inPot, String training)
        implements Row {
    /** In the ground, as an ordinary bush or open tree. */
    public ChoiceRow(RowKey key, String varietyKey, String rootstockKey, int wanted) {
        this(key, varietyKey, rootstockKey, wanted, false, null);
    }
}
