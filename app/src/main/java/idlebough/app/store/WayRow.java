package idlebough.app.store;

/** A school chosen for the orchard, or for one tree of it. */
public record WayRow(RowKey key, String treeId, String wayKey, String choice) implements Row {}
