package idlebough.app.store;

import idlebough.core.planting.UnionMeasure;
import java.time.LocalDate;

/** A union measured over the board, m. */
public record MeasureRow(RowKey key, String treeId, LocalDate measuredOn, double height, UnionMeasure.Kind kind)
        implements Row {}
