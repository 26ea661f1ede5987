package idlebough.core.winter;

/**
 * How much colder it is higher up: 6.5 K in a kilometre (ICAO standard atmosphere). A mean over days and seasons; on
 * clear
 * nights a valley may be the colder place.
 */
public final class Lapse {
    private static final double PER_METRE = -0.0065;

    private Lapse() {}

    /** What to add to a station's temperatures at another elevation, K; both in metres. */
    public static double between(double station, double site) {
        return PER_METRE * (site - station);
    }
}
