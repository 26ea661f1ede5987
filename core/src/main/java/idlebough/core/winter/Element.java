package idlebough.core.winter;

/**
 * What a station may measure beside the temperature, for one calendar day.
 *
 * <p>Each has one unit in which it is kept and the range beyond which a value is refused (common practice).
 */
public enum Element {
    RAIN("rain", "mm", 0, 1900, true),
    HUMIDITY("relative humidity", "%", 0, 100, false),
    WIND("wind", "m/s", 0, 75, false),
    SUNSHINE("sunshine", "h", 0, 24, true),
    RADIATION("radiation", "MJ/m²", 0, 130, true),
    SNOW("snow on the ground", "mm", 0, 12000, false);

    private final String words;
    private final String unit;
    private final double least;
    private final double most;
    private final boolean summed;

    Element(String words, String unit, double least, double most, boolean summed) {
        this.words = words;
        this.unit = unit;
        this.least = least;
        this.most = most;
        this.summed = summed;
    }

    public String words() {
        return words;
    }

    /** The unit in which a day's value is kept. */
    public String unit() {
        return unit;
    }

    /** Whether shorter readings add up to the day's value; else the day has their mean. */
    public boolean summed() {
        return summed;
    }

    public boolean allows(double value) {
        return value >= least && value <= most;
    }
}
