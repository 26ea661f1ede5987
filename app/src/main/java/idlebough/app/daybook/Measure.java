package idlebough.app.daybook;

import idlebough.app.plan.Row;
import java.time.LocalDate;

/** A union measured over the board, m. */
public record Measure(
        String id,
        String orchardId,
        String treeId,
        LocalDate measuredOn,
        double height,
        Kind kind,
        int version,
        boolean deleted)
        implements Row {
    /** Measured while planting, or looked at again. */
    public enum Kind {
        AS_PLANTED,
        CHECK
    }

    @Override
    public String entity() {
        return "union_measure";
    }
}
