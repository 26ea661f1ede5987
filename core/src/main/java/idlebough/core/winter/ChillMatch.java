package idlebough.core.winter;

/**
 * In how many winters a need is met.
 *
 * @param met winters with a total at or above the need
 * @param share met over winters
 * @param low and high: Wilson's 90 % interval of the share (Wilson 1927)
 */
public record ChillMatch(double need, int met, int winters, double share, double low, double high) {
    private static final double Z = 1.644854;

    /** @param totals at least one winter */
    public static ChillMatch of(double need, double[] totals) {
        int n = totals.length;
        int met = 0;
        for (double total : totals) {
            if (total >= need - 1e-9) {
                met++;
            }
        }
        double p = (double) met / n;
        double denominator = 1 + Z * Z / n;
        double centre = (p + Z * Z / (2 * n)) / denominator;
        double half = Z * Math.sqrt(p * (1 - p) / n + Z * Z / (4.0 * n * n)) / denominator;
        return new ChillMatch(need, met, n, p, centre - half, centre + half);
    }

    /** Winters of ten, rounded. */
    public long ofTen() {
        return Math.round(share * 10);
    }

    /** Words for a share (project choice): nine of ten reliable, three of four some poor years. */
    public String words() {
        return share >= 0.9
                ? "reliable"
                : share >= 0.75 ? "some poor years" : share >= 0.5 ? "often short" : "unsuitable";
    }
}
