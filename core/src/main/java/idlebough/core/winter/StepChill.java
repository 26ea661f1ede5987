package idlebough.core.winter;

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

    private final double[][] steps;
    private double units;

    StepChill(double[][] steps) {
        this.steps = steps;
    }

    @Override
    public double accept(double celsius) {
        for (int i = steps.length - 1; i >= 0; i--) {
            if (celsius >= steps[i][0] - SLACK) {
                units += steps[i][1];
                break;
            }
        }
        return units;
    }

    @Override
    public double total() {
        return units;
    }
}
