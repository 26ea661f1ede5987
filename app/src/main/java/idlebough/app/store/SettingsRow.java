package idlebough.app.store;

import idlebough.core.crop.ChillModel;
import idlebough.core.layout.RowFill;
import java.time.LocalDate;

/** What the plan as a whole is set to: above all its planting date. */
public record SettingsRow(RowKey key, LocalDate plantingDate, ChillModel chillModel, RowsOfTrees rows, Order order)
        implements Row {

    /** The closing date of the order, and the day on which it went; null while there is none. */
    public record Order(LocalDate orderCloses, LocalDate orderSent) {}

    /**
     * How a plot is filled.
     *
     * @param margin and alley: m
     * @param bearing of the rows, degrees; null for the longest side's
     * @param tape length of the tapes, m; null for the usual one
     */
    public record RowsOfTrees(RowFill.Pattern pattern, double margin, double alley, Double bearing, Double tape) {}
}
