package idlebough.app.store;

import idlebough.core.planting.UnionMeasure;
import java.time.LocalDate;

/**
 * A union measured over the board, m.
 *
 * @param beside what else was seen
 */
public record MeasureRow(
        RowKey key, String treeId, LocalDate measuredOn, double height, UnionMeasure.Kind kind, Beside beside)
        implements Row {
    /** Nothing else was looked at. */
    public MeasureRow(RowKey key, String treeId, LocalDate measuredOn, double height, UnionMeasure.Kind kind) {
        this(key, treeId, measuredOn, height, kind, new Beside(null, null));
    }

    /** Null where it was not looked at. */
    public record Beside(UnionMeasure.Tie tie, UnionMeasure.Mulch mulch) {
        UnionMeasure.Beside seen() {
            return new UnionMeasure.Beside(
                    tie == null ? UnionMeasure.Tie.NOT_SEEN : tie, mulch == null ? UnionMeasure.Mulch.NOT_SEEN : mulch);
        }
    }
}
