package idlebough.core.winter;

/**
 * Chill portions: the Dynamic Model (Fishman, Erez & Couvillon 1987a,b, J. Theor. Biol. 124:473–483 and 126:309–321;
 * Erez et al. 1990, Acta Hort. 276:165–174). An intermediate product builds up in the cold and is undone by warmth;
 * what has passed into a portion stays.
 *
 * <p>The first hour is integrated from an empty state. 273 and not 273.15: the constant 277 K means 4 °C.
 *
 * <p>The two exponentials of every hour are looked up at tenths of a degree and carried between them by a cubic with
 * the
 * right slopes, a season’s portions within 1e−7 of the formula’s (a test holds this); readings in tenths fall on the
 * tenths themselves.
 */
final class DynamicChill implements ChillState {
    private static final double E0 = 4153.5;
    private static final double E1 = 12888.8;
    private static final double A0 = 139500;
    private static final double A1 = 2.567e18;
    private static final double SLOPE = 1.6;
    private static final double MELTING_KELVIN = 277;
    private static final double KELVIN = 273;

    private static final int COLDEST = -80;
    private static final int HOTTEST = 80;
    /** For each tenth: the level, its slope per tenth, the share kept, its slope per tenth. */
    private static final double[] TABLE = table();

    private double intermediate;
    private double portions;

    private static double[] table() {
        double[] table = new double[4 * (10 * (HOTTEST - COLDEST) + 1)];
        for (int i = 0; i < table.length / 4; i++) {
            double celsius = COLDEST + i / 10.0;
            double squared = (celsius + KELVIN) * (celsius + KELVIN);
            table[4 * i] = level(celsius);
            table[4 * i + 1] = -0.1 * (E1 - E0) / squared * level(celsius);
            table[4 * i + 2] = kept(celsius);
            table[4 * i + 3] = -0.1 * rate(celsius) * E1 / squared * kept(celsius);
        }
        return table;
    }

    /** Where the intermediate product settles at this temperature; xs of the papers. */
    static double level(double celsius) {
        return A0 / A1 * Math.exp((E1 - E0) / (celsius + KELVIN));
    }

    private static double rate(double celsius) {
        return A1 * Math.exp(-E1 / (celsius + KELVIN));
    }

    /** What an hour leaves of the distance to that level. */
    static double kept(double celsius) {
        return Math.exp(-rate(celsius));
    }

    @Override
    public double accept(double celsius) {
        double tenths = 10 * (celsius - COLDEST);
        double product;
        if (tenths >= 0 && tenths < 10 * (HOTTEST - COLDEST)) {
            int cell = (int) tenths;
            double t = tenths - cell;
            int at = 4 * cell;
            double level = between(at, t);
            product = level - (level - intermediate) * between(at + 2, t);
        } else {
            double level = level(celsius);
            product = level - (level - intermediate) * kept(celsius);
        }
        if (product < 1) {
            intermediate = product;
        } else {
            double kelvin = celsius + KELVIN;
            double odds = Math.exp(SLOPE * MELTING_KELVIN * (kelvin - MELTING_KELVIN) / kelvin);
            double fixed = odds / (1 + odds) * product;
            portions += fixed;
            intermediate = product - fixed;
        }
        return portions;
    }

    /** Hermite's cubic between a tenth and the next, t from 0 to 1. */
    private static double between(int at, double t) {
        double from = TABLE[at];
        double rise = TABLE[at + 4] - from;
        double slope = TABLE[at + 1];
        return from + t * (slope + t * (3 * rise - 2 * slope - TABLE[at + 5] + t * (slope + TABLE[at + 5] - 2 * rise)));
    }

    @Override
    public double total() {
        return portions;
    }
}
