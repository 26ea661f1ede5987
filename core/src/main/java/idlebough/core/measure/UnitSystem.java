package idlebough.core.measure;

/** How a grower reads figures. Everything is kept in SI; this only decides entry and display. */
public enum UnitSystem {
    /** metres, litres, degrees Celsius. */
    METRIC,
    /** feet, US gallons, degrees Fahrenheit. */
    US
}
