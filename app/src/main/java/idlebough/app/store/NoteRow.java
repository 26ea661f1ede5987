package idlebough.app.store;

import java.time.LocalDate;

/** A dated note on a tree. */
public record NoteRow(RowKey key, String treeId, LocalDate notedOn, String words) implements Row {}
