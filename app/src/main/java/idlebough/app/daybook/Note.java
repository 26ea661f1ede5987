package idlebough.app.daybook;

import idlebough.app.plan.Row;
import java.time.LocalDate;

/** A dated note on a tree. */
public record Note(
        String id, String orchardId, String treeId, LocalDate notedOn, String words, int version, boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "note";
    }
}
