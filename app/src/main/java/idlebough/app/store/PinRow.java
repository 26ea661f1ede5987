package idlebough.app.store;

/** A variety that is kept at the head of the shortlist. */
public record PinRow(RowKey key, String varietyKey) implements Row {}
