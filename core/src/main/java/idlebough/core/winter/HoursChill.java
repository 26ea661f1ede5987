package idlebough.core.winter;

/**
 * Hours with 0 ≤ T ≤ 7.2 °C (45 °F), both edges included (Weinberger 1950, Proc. ASHS 56:122–128; the floor at 0 °C
 * is the
 * commoner modern reading). Edges carry a tolerance of 1e−9, since data in tenths often hit them exactly.
 */
final class HoursChill implements ChillState {
    private static final double LOW = -1e-9;
    private static final double HIGH = 7.2 + 1e-9;
    private double hours;

    @Override
    public double accept(double celsius) {
        if (celsius >= LOW && celsius <= HIGH) {
            hours++;
        }
        return hours;
    }

    @Override
    public double total() {
        return hours;
    }
}
