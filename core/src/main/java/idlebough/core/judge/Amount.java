package idlebough.core.judge;

import idlebough.core.measure.Quantity;

/**
 * A figure that does not yet know in whose units it will be read.
 *
 * @param value in the base unit of the quantity; null when not known
 */
public record Amount(Double value, Quantity quantity) {
    public static Amount of(double value, Quantity quantity) {
        return new Amount(value, quantity);
    }

    public static Amount cm(double metres) {
        return new Amount(metres, Quantity.SHORT_LENGTH);
    }

    public static Amount fine(double metres) {
        return new Amount(metres, Quantity.FINE_LENGTH);
    }

    public static Amount metres(double metres) {
        return new Amount(metres, Quantity.LENGTH);
    }

    public static Amount litres(double litres) {
        return new Amount(litres, Quantity.VOLUME);
    }

    public static Amount count(double number) {
        return new Amount(number, Quantity.COUNT);
    }

    public static Amount decimal(double number) {
        return new Amount(number, Quantity.DECIMAL);
    }
}
