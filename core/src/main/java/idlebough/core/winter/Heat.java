package idlebough.core.winter;

/**
 * Growing degree hours by the asymmetric curve: none at 4 °C, 21 at 25 °C, none at 36 °C (Anderson, Richardson & Kesner
 * 1986, Acta Hort. 184:71–78, stress factor 1).
 */
public final class Heat {
    private static final double BASE = 4;
    private static final double BEST = 25;
    private static final double TOP = 36;

    private Heat() {}

    /** Of one hour, °C·h. */
    public static double of(double celsius) {
        if (celsius < BASE || celsius > TOP) {
            return 0;
        }
        return celsius <= BEST
                ? (BEST - BASE) / 2 * (1 + Math.cos(Math.PI + Math.PI * (celsius - BASE) / (BEST - BASE)))
                : (BEST - BASE) * (1 + Math.cos(Math.PI / 2 + Math.PI / 2 * (celsius - BEST) / (TOP - BEST)));
    }
}
