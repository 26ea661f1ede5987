package idlebough.app.plan;

/** A row of an orchard that is journaled: its changes are kept with from and to, its deletes are soft. */
public interface Row {
    /** The table's name. */
    String entity();

    String id();

    /** Counts the saves; an update carries the version it was read at. */
    int version();
}
