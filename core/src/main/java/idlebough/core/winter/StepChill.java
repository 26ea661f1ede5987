package idlebough.core.winter;

import java.util.Arrays;

/**
 * A model that gives each hour a unit by the step into which its temperature falls, and adds them up. Edges carry a
 * tolerance of 1e−9, since data in tenths often hit them exactly.
 */
final class StepChill implements ChillState {
    private static final double SLACK = 1e-9;

    /** North Carolina (Shaltout & Unrath 1983, JASHS 108:957–961; from memory, fair): from each temperature on, its unit. */
    static final double[][] NORTH_CAROLINA = {
        {1.6, 0.5}, {7.2, 1}, {13.0, 0.5}, {16.5, 0}, {19.0, -0.5}, {20.7, -1}, {22.1, -1.5}, {23.3, -2}
    };

    /** For low-chill peaches (Gilreath & Buchanan 1981, JASHS 106:426–429; from memory, fair). */
    static final double[][] LOW_CHILL = {{1.8, 0.5}, {8.0, 1}, {14.0, 0.5}, {17.0, 0}, {19.5, -0.5}, {21.5, -1}};

    private final double[] from;
    private final double[] unit;
    private double units;

    StepChill(double[][] steps) {
        this.from = Arrays.stream(steps).mapToDouble(step -> step[0] - SLACK).toArray();
        this.unit = Arrays.stream(steps).mapToDouble(step -> step[1]).toArray();
    }

    @Override
    public double accept(double celsius) {
        // From the cold end: most hours of a winter fall into the first steps.
        int step = -1;
        while (step + 1 < from.length && celsius >= from[step + 1]) {
            step++;
        }
        if (step >= 0) {
            units += unit[step];
        }
        return units;
    }

    @Override
    public double total() {
        return units;
    }
}
