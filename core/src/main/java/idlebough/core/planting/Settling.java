package idlebough.core.planting;

/**
 * How far the ground under a tree sinks (project choice within what common practice tells: disturbed fill drops 5 to
 * 15 %). The mineral part and the ball go quickly, the organic part evenly over four years.
 *
 * @param mineral sinking of disturbed soil below the ball by its own weight, m
 * @param organic by the rotting of what was mixed in, m
 * @param ball of the ball itself, m
 * @param weeks time constant of the quick part
 */
public record Settling(double mineral, double organic, double ball, double weeks) {
    private static final double MOST = 0.5;
    private static final double ORGANIC_WEEKS = 4 * 52.18;

    /**
     * @param disturbed depth of disturbed soil below the ball, m; 0 on an undisturbed base, which settles nothing
     * @param settles share p by which such soil sinks
     * @param firming 1 loose, 0.6 watered, 0.4 firmed
     * @param organicShare of that soil by volume
     * @param organicLoss 0.6 compost, 0.5 peat, 0.8 raw
     * @param ballHeight m
     * @param ballSinks share β
     */
    public static Settling of(
            double disturbed,
            double settles,
            double firming,
            double organicShare,
            double organicLoss,
            double ballHeight,
            double ballSinks) {
        double mineral = Math.min(MOST, settles * firming);
        double organic = Math.min(MOST, settles * firming + organicShare * organicLoss) - mineral;
        return new Settling(disturbed * mineral, disturbed * organic, ballHeight * ballSinks, firming >= 1 ? 3 : 2);
    }

    /** Of the fill below the ball, in the end, m. */
    public double fill() {
        return mineral + organic;
    }

    /** All of it, in the end, m. */
    public double total() {
        return mineral + organic + ball;
    }

    /** So many weeks after planting, m. */
    public double after(double weeksSince) {
        double quick = 1 - Math.exp(-weeksSince / weeks);
        return (mineral + ball) * quick + organic * Math.min(1, weeksSince / ORGANIC_WEEKS);
    }
}
