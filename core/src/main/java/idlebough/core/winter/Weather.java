package idlebough.core.winter;

/**
 * The weather of one orchard as far as it is known.
 *
 * @param record of the orchard's own place, from all its stations
 * @param synthetic whether its days are made from monthly means and not measured
 * @param wetness rain and humidity, where they were measured
 */
public record Weather(StationRecord record, boolean synthetic, Wetness wetness) {
    public static final Weather NONE = new Weather(StationRecord.EMPTY, false);

    /** Temperatures alone. */
    public Weather(StationRecord record, boolean synthetic) {
        this(record, synthetic, Wetness.UNKNOWN);
    }
}
