package idlebough.core.winter;

/**
 * Plant hardiness zone by the mean annual extreme minimum: thirteen zones of 10 °F from −60 °F, in halves a and b, the
 * lower edge included (USDA 2012 and 2023 maps).
 */
public final class HardinessZone {
    private static final double COLDEST = -60;
    private static final double HALF = 5;

    private HardinessZone() {}

    /** Such as “7b”; “off the scale” beyond −60 or from 70 °F on. */
    public static String of(double meanExtremeCelsius) {
        double fahrenheit = 1.8 * meanExtremeCelsius + 32;
        int half = (int) Math.floor((fahrenheit - COLDEST) / HALF + 1e-9);
        return half < 0 || half >= 26 ? "off the scale" : (half / 2 + 1) + (half % 2 == 0 ? "a" : "b");
    }
}
