package idlebough.core.judge;

import idlebough.core.measure.Quantity;

/**
 * A measured or computed value with what is not known of it.
 *
 * @param value in the base unit of the quantity
 * @param halfWidth of its band, same unit, not negative
 */
public record Measured(double value, double halfWidth, Quantity quantity) {
    public static Measured of(double value, double halfWidth, Quantity quantity) {
        return new Measured(value, halfWidth, quantity);
    }

    /** A value of which nothing is unknown, such as a count. */
    public static Measured exactly(double value, Quantity quantity) {
        return new Measured(value, 0, quantity);
    }

    public Amount amount() {
        return Amount.of(value, quantity);
    }

    public Amount band() {
        return Amount.of(halfWidth, quantity);
    }
}
