package idlebough.app.store;

/**
 * A place, local metres.
 *
 * @param byHand whether the grower set it, so that no filling moves it
 */
public record PegRow(RowKey key, String label, double x, double y, boolean byHand) implements Row {}
