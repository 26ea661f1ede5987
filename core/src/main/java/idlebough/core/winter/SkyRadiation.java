package idlebough.core.winter;

/** Radiation at the top of the air, and what of it comes down (FAO-56, Allen et al. 1998, equations 21–25 and 50). */
public final class SkyRadiation {
    /** MJ/m² a minute. */
    private static final double SOLAR = 0.0820;
    /** Of the square root of the daily range, inland (FAO-56 equation 50, after Hargreaves & Samani). */
    private static final double RANGE = 0.16;

    private static final double CLEAREST = 0.75;

    private SkyRadiation() {}

    /**
     * @param latitude degrees, south negative
     * @param dayOfYear 1 to 366
     * @return Ra, MJ/m² a day
     */
    public static double extraterrestrial(double latitude, int dayOfYear) {
        double phi = Math.toRadians(latitude);
        double distance = 1 + 0.033 * Math.cos(2 * Math.PI * dayOfYear / 365);
        double declination = 0.409 * Math.sin(2 * Math.PI * dayOfYear / 365 - 1.39);
        double sunset = Math.acos(Math.max(-1, Math.min(1, -Math.tan(phi) * Math.tan(declination))));
        return 24
                * 60
                / Math.PI
                * SOLAR
                * distance
                * (sunset * Math.sin(phi) * Math.sin(declination)
                        + Math.cos(phi) * Math.cos(declination) * Math.sin(sunset));
    }

    /** From the day's range of temperature, never above that of a clear day; MJ/m² a day. */
    public static double atTheGround(double latitude, int dayOfYear, double minimum, double maximum) {
        double share = Math.min(CLEAREST, RANGE * Math.sqrt(Math.max(0, maximum - minimum)));
        return share * extraterrestrial(latitude, dayOfYear);
    }
}
