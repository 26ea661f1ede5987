package idlebough.app.store;

/**
 * What every row of an orchard has.
 *
 * @param version the orchard's revision at which it was saved last; 0 for a row that came with the orchard
 * @param deleted whether it was taken away; it can be brought back
 */
public record RowKey(String id, String orchardId, int version, boolean deleted) {
    /** Of a row that is new. */
    public static RowKey fresh(String orchard) {
        return new RowKey(Ids.next(), orchard, 0, false);
    }
}
