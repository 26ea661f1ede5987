package idlebough.app.store;

/** A place, local metres. */
public record PegRow(RowKey key, String label, double x, double y) implements Row {}
