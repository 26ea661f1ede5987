package idlebough.core.winter;

/**
 * Day length with refraction and the sun's radius (centre at −0.8333°), after Spencer (1971, Search 2:172).
 *
 * <p>Times are local solar hours. Valid between the polar circles; beyond, the day is held at 0 or 24 h.
 *
 * @param hours from sunrise to sunset
 */
public record DayLength(double hours) {
    private static final double HORIZON = Math.toRadians(-0.8333);

    /**
     * @param latitude degrees, south negative
     * @param dayOfYear 1 to 366
     */
    public static DayLength of(double latitude, int dayOfYear) {
        double g = 2 * Math.PI * (dayOfYear - 1) / 365;
        double declination = 0.006918
                - 0.399912 * Math.cos(g)
                + 0.070257 * Math.sin(g)
                - 0.006758 * Math.cos(2 * g)
                + 0.000907 * Math.sin(2 * g)
                - 0.002697 * Math.cos(3 * g)
                + 0.00148 * Math.sin(3 * g);
        double phi = Math.toRadians(latitude);
        double cosine =
                (Math.sin(HORIZON) - Math.sin(phi) * Math.sin(declination)) / (Math.cos(phi) * Math.cos(declination));
        return new DayLength(24 / Math.PI * Math.acos(Math.max(-1, Math.min(1, cosine))));
    }

    public double sunrise() {
        return 12 - hours / 2;
    }

    public double sunset() {
        return 12 + hours / 2;
    }
}
