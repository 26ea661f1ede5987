package idlebough.core.winter;

/**
 * A chill model's state, carried from hour to hour. Splitting a record at any hour and going on with the state gives
 * the same total. Not thread-safe.
 */
public interface ChillState {
    /** Takes one hour's temperature, °C, and returns the running total. */
    double accept(double celsius);

    double total();
}
