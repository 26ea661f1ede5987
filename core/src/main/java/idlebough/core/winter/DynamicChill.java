package idlebough.core.winter;

/**
 * Chill portions: the Dynamic Model (Fishman, Erez & Couvillon 1987a,b, J. Theor. Biol. 124:473–483 and 126:309–321;
 * Erez et al. 1990, Acta Hort. 276:165–174). An intermediate product builds up in the cold and is undone by warmth;
 * what has passed into a portion stays.
 *
 * <p>The first hour is integrated from an empty state. 273 and not 273.15: the constant 277 K means 4 °C.
 */
final class DynamicChill implements ChillState {
    private static final double E0 = 4153.5;
    private static final double E1 = 12888.8;
    private static final double A0 = 139500;
    private static final double A1 = 2.567e18;
    private static final double SLOPE = 1.6;
    private static final double MELTING_KELVIN = 277;
    private static final double KELVIN = 273;

    private double intermediate;
    private double portions;

    @Override
    public double accept(double celsius) {
        double kelvin = celsius + KELVIN;
        double level = A0 / A1 * Math.exp((E1 - E0) / kelvin);
        double rate = A1 * Math.exp(-E1 / kelvin);
        double product = level - (level - intermediate) * Math.exp(-rate);
        if (product < 1) {
            intermediate = product;
        } else {
            double odds = Math.exp(SLOPE * MELTING_KELVIN * (kelvin - MELTING_KELVIN) / kelvin);
            double fixed = odds / (1 + odds) * product;
            portions += fixed;
            intermediate = product - fixed;
        }
        return portions;
    }

    @Override
    public double total() {
        return portions;
    }
}
