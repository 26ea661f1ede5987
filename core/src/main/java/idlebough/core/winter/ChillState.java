package idlebough.core.winter;

import idlebough.core.crop.ChillModel;

/**
 * A chill model's state, carried from hour to hour. Splitting a record at any hour and going on with the state gives
 * the same total. Not thread-safe.
 */
public interface ChillState {
    /** Takes one hour's temperature, °C, and returns the running total. */
    double accept(double celsius);

    double total();

    /** A fresh state, with which a season begins. */
    static ChillState of(ChillModel model) {
        return switch (model) {
            case PORTIONS -> new DynamicChill();
            case UTAH -> new StepChill(UnitTable.UTAH);
            case HOURS -> new HoursChill();
            case HOURS_BELOW -> new StepChill(UnitTable.BELOW_SEVEN);
            case POSITIVE -> new PositiveChill();
            case CAROLINA -> new StepChill(UnitTable.CAROLINA);
            case LOW_CHILL -> new StepChill(UnitTable.LOW_CHILL);
        };
    }
}
