package idlebough.app.store;

/** A row of an orchard that is journaled: its changes are kept with from and to, and taking it away is undone. */
public interface Row {
    RowKey key();

    default String id() {
        return key().id();
    }

    default int version() {
        return key().version();
    }
}
