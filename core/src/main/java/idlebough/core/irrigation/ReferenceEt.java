package idlebough.core.irrigation;

import idlebough.core.winter.SkyRadiation;

/**
 * Reference evapotranspiration from temperatures alone, mm a day: Hargreaves & Samani (1985), with the extraterrestrial
 * radiation of FAO-56 (Allen et al. 1998). Good for means of five to ten days; high in humid places, low in windy dry
 * ones.
 */
public final class ReferenceEt {
    private ReferenceEt() {}

    /**
     * @param latitude degrees, south negative
     * @param dayOfYear 1 to 366
     * @param maximum and minimum, °C, daily means of the period
     */
    public static double hargreaves(double latitude, int dayOfYear, double maximum, double minimum) {
        double et = 0.0023
                * ((maximum + minimum) / 2 + 17.8)
                * Math.sqrt(Math.max(0, maximum - minimum))
                * 0.408
                * SkyRadiation.extraterrestrial(latitude, dayOfYear);
        return Math.max(0, et);
    }
}
