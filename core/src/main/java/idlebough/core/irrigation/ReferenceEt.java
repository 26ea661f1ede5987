package idlebough.core.irrigation;

/**
 * Reference evapotranspiration from temperatures alone, mm a day: Hargreaves & Samani (1985), with the extraterrestrial
 * radiation of FAO-56 (Allen et al. 1998). Good for means of five to ten days; high in humid places, low in windy dry ones.
 */
public final class ReferenceEt {
    private ReferenceEt() {}

    /**
     * @param latitude degrees, south negative
     * @param dayOfYear 1 to 366
     * @param maximum and minimum, °C, daily means of the period
     */
    public static double hargreaves(double latitude, int dayOfYear, double maximum, double minimum) {
        double phi = Math.toRadians(latitude);
        double distance = 1 + 0.033 * Math.cos(2 * Math.PI * dayOfYear / 365);
        double declination = 0.409 * Math.sin(2 * Math.PI * dayOfYear / 365 - 1.39);
        double sunset = Math.acos(Math.max(-1, Math.min(1, -Math.tan(phi) * Math.tan(declination))));
        double radiation = 24
                * 60
                / Math.PI
                * 0.0820
                * distance
                * (sunset * Math.sin(phi) * Math.sin(declination)
                        + Math.cos(phi) * Math.cos(declination) * Math.sin(sunset));
        double et = 0.0023
                * ((maximum + minimum) / 2 + 17.8)
                * Math.sqrt(Math.max(0, maximum - minimum))
                * 0.408
                * radiation;
        return Math.max(0, et);
    }
}
