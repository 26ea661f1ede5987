package idlebough.app.store;

/**
 * A school chosen for the orchard, for a crop, or for one tree.
 *
 * @param treeId null unless it is one tree's
 * @param cropKey null unless it is a crop's
 */
public record WayRow(RowKey key, String treeId, String wayKey, String choice, String cropKey) implements Row {}
