package idlebough.core.winter;

import java.util.function.DoubleUnaryOperator;

/**
 * What each temperature counts in a model of steps, looked up by tenths of a degree: all edges of the published
 * tables are
 * tenths, and a look-up without branches is several times as fast as comparing. Edges carry a tolerance of 1e−9, since
 * data in tenths often hit them exactly.
 */
final class UnitTable {
    private static final double SLACK = 1e-9;
    private static final int COLDEST = -80;
    private static final int CELLS = 10 * 160;

    /** Hours at or below 7.2 °C (45 °F), without a floor (Weinberger 1950, Proc. ASHS 56:122–128). */
    static final UnitTable BELOW_SEVEN = upTo(t -> t <= 7.2 ? 1 : 0);

    /** Hours not below freezing. */
    static final UnitTable FROM_ZERO = from(t -> t >= 0 ? 1 : 0);

    /**
     * Utah units (Richardson, Seeley & Walker 1974, HortScience 9:331–332), each upper edge included: 1.4 → 0, 2.4 →
     * ½, 9.1
     * → 1, 12.4 → ½, 15.9 → 0, 18.0 → −½, above → −1. The total may fall, and a winter may end below nought: then the
     * model
     * does not apply.
     */
    static final UnitTable UTAH = upTo(t ->
            t <= 1.4 ? 0 : t <= 2.4 ? 0.5 : t <= 9.1 ? 1 : t <= 12.4 ? 0.5 : t <= 15.9 ? 0 : t <= 18.0 ? -0.5 : -1);

    /**
     * North Carolina units, each lower edge included (Shaltout & Unrath 1983, JASHS 108:957–961; from memory, fair).
     */
    static final UnitTable CAROLINA = from(t -> t >= 23.3
            ? -2
            : t >= 22.1
                    ? -1.5
                    : t >= 20.7
                            ? -1
                            : t >= 19.0 ? -0.5 : t >= 16.5 ? 0 : t >= 13.0 ? 0.5 : t >= 7.2 ? 1 : t >= 1.6 ? 0.5 : 0);

    /**
     * For low-chill peaches, each lower edge included (Gilreath & Buchanan 1981, JASHS 106:426–429; from memory,
     * fair).
     */
    static final UnitTable LOW_CHILL = from(t ->
            t >= 21.5 ? -1 : t >= 19.5 ? -0.5 : t >= 17.0 ? 0 : t >= 14.0 ? 0.5 : t >= 8.0 ? 1 : t >= 1.8 ? 0.5 : 0);

    private final double[] units = new double[CELLS + 1];
    private final boolean upperEdge;

    private UnitTable(boolean upperEdge, DoubleUnaryOperator unit) {
        this.upperEdge = upperEdge;
        for (int i = 0; i <= CELLS; i++) {
            units[i] = unit.applyAsDouble((i + 10.0 * COLDEST) / 10);
        }
    }

    /** Each cell reaches from its tenth up to the next one. */
    private static UnitTable from(DoubleUnaryOperator unit) {
        return new UnitTable(false, unit);
    }

    /** Each cell reaches from the tenth before up to its own. */
    private static UnitTable upTo(DoubleUnaryOperator unit) {
        return new UnitTable(true, unit);
    }

    double of(double celsius) {
        return units[upperEdge ? upper(celsius) : lower(celsius)];
    }

    /** The cell of a table whose upper edges are included; for many tables one look at the temperature is enough. */
    static int upper(double celsius) {
        return clamped((int) Math.ceil(10 * (celsius - COLDEST) - 10 * SLACK));
    }

    /** The cell of a table whose lower edges are included. */
    static int lower(double celsius) {
        return clamped((int) (10 * (celsius - COLDEST) + 10 * SLACK));
    }

    private static int clamped(int cell) {
        return Math.max(0, Math.min(CELLS, cell));
    }

    double in(int cell) {
        return units[cell];
    }
}
