package idlebough.core.winter;

/**
 * A straight line through yearly figures by least squares.
 *
 * @param perYear its slope
 * @param halfWidth of the slope, twice its standard error; NaN with fewer than three years
 */
public record Trend(double perYear, double halfWidth) {
    /**
     * @param years at least two, not all the same
     */
    public static Trend of(int[] years, double[] values) {
        int n = years.length;
        double meanYear = 0;
        double meanValue = 0;
        for (int i = 0; i < n; i++) {
            meanYear += (double) years[i] / n;
            meanValue += values[i] / n;
        }
        double across = 0;
        double both = 0;
        for (int i = 0; i < n; i++) {
            across += (years[i] - meanYear) * (years[i] - meanYear);
            both += (years[i] - meanYear) * (values[i] - meanValue);
        }
        double slope = both / across;
        double squares = 0;
        for (int i = 0; i < n; i++) {
            double off = values[i] - meanValue - slope * (years[i] - meanYear);
            squares += off * off;
        }
        return new Trend(slope, n < 3 ? Double.NaN : 2 * Math.sqrt(squares / (n - 2) / across));
    }

    /** Whether the slope is clear of zero. */
    public boolean isClear() {
        return Math.abs(perYear) > halfWidth;
    }
}
