package idlebough.app.store;

/**
 * A place, local metres.
 *
 * @param byHand whether the grower set it, so that no filling moves it
 * @param setOut whether it stands in the ground
 */
public record PegRow(RowKey key, String label, double x, double y, boolean byHand, boolean setOut) implements Row {
    public static final int LONGEST_LABEL = 12;

    /** On the plan only. */
    public PegRow(RowKey key, String label, double x, double y, boolean byHand) {
        this(key, label, x, y, byHand, false);
    }
}
