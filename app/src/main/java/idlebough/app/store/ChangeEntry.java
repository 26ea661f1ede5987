package idlebough.app.store;

/** One row's change: as it was and as it is, as JSON; from nothing for a row that was new. */
public record ChangeEntry(String setId, String entity, String entityId, String fromRow, String toRow) {}
