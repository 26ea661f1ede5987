package idlebough.core.winter;

/**
 * Hours at or below 7.2 °C (45 °F), with or without a floor at 0 °C (Weinberger 1950, Proc. ASHS 56:122–128; the floor is
 * the commoner modern reading). Edges are included and carry a tolerance of 1e−9, since data in tenths often hit them
 * exactly.
 */
final class HoursChill implements ChillState {
    private static final double HIGH = 7.2 + 1e-9;
    private final double low;
    private double hours;

    private HoursChill(double low) {
        this.low = low;
    }

    static HoursChill aboveFreezing() {
        return new HoursChill(-1e-9);
    }

    static HoursChill withoutFloor() {
        return new HoursChill(Double.NEGATIVE_INFINITY);
    }

    @Override
    public double accept(double celsius) {
        if (celsius >= low && celsius <= HIGH) {
            hours++;
        }
        return hours;
    }

    @Override
    public double total() {
        return hours;
    }
}
