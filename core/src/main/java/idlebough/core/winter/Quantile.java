package idlebough.core.winter;

import java.util.Arrays;

/** Sample quantile of type 7 of Hyndman & Fan (1996, Am. Stat. 50:361–365), the usual numeric default. */
public final class Quantile {
    private Quantile() {}

    /**
     * @param values at least one, in any order
     * @param p from 0 to 1
     */
    public static double of(double[] values, double p) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        double h = (sorted.length - 1) * p;
        int k = (int) Math.floor(h);
        return k + 1 >= sorted.length ? sorted[sorted.length - 1] : sorted[k] + (h - k) * (sorted[k + 1] - sorted[k]);
    }
}
