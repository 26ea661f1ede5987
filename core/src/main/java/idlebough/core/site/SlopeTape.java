package idlebough.core.site;

/**
 * A tape laid along a slope against the plan, which is level (Bannister & Raymond, Surveying).
 *
 * @param horizontal on the plan, m
 * @param along on the ground, m
 */
public record SlopeTape(double horizontal, double along) {
    public static SlopeTape onPlan(double horizontal, double slopePercent) {
        return new SlopeTape(horizontal, horizontal * Math.hypot(1, slopePercent / 100));
    }

    /**
     * @param along as read, m
     * @param drop difference of height between its ends, m, not more than the tape
     */
    public static SlopeTape read(double along, double drop) {
        return new SlopeTape(Math.sqrt(Math.max(0, along * along - drop * drop)), along);
    }

    /** What the slope adds, m. */
    public double correction() {
        return along - horizontal;
    }

    /** Degrees. */
    public double angle() {
        return Math.toDegrees(Math.acos(Math.min(1, horizontal / along)));
    }
}
