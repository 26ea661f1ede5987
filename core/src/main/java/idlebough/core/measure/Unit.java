package idlebough.core.measure;

import java.util.List;

/**
 * A unit a grower may type, with its exact factor to the base unit of its dimension: {@code base = value * factor +
 * offset}. Factors: international foot and pound (1959), US liquid gallon of 231 cubic inches; all exact.
 */
public enum Unit {
    MILLIMETRE(Dimension.LENGTH, 0.001, 0, "mm"),
    CENTIMETRE(Dimension.LENGTH, 0.01, 0, "cm"),
    METRE(Dimension.LENGTH, 1, 0, "m", "metre", "metres", "meter", "meters"),
    KILOMETRE(Dimension.LENGTH, 1000, 0, "km"),
    INCH(Dimension.LENGTH, 0.0254, 0, "in", "inch", "inches", "\"", "″", "''"),
    FOOT(Dimension.LENGTH, 0.3048, 0, "ft", "foot", "feet", "'", "′"),
    YARD(Dimension.LENGTH, 0.9144, 0, "yd", "yard", "yards"),
    LITRE(Dimension.VOLUME, 1, 0, "L", "l", "litre", "litres", "liter", "liters"),
    CUBIC_METRE(Dimension.VOLUME, 1000, 0, "m³", "m3"),
    GALLON(Dimension.VOLUME, 3.785411784, 0, "gal", "gallon", "gallons"),
    QUART(Dimension.VOLUME, 0.946352946, 0, "qt", "quart", "quarts"),
    CUBIC_FOOT(Dimension.VOLUME, 28.316846592, 0, "ft³", "ft3", "cuft"),
    KILOGRAM(Dimension.MASS, 1, 0, "kg"),
    GRAM(Dimension.MASS, 0.001, 0, "g"),
    POUND(Dimension.MASS, 0.45359237, 0, "lb", "lbs", "pound", "pounds"),
    OUNCE(Dimension.MASS, 0.028349523125, 0, "oz"),
    CELSIUS(Dimension.TEMPERATURE, 1, 0, "°C", "c", "ºc"),
    FAHRENHEIT(Dimension.TEMPERATURE, 5.0 / 9, -160.0 / 9, "°F", "f", "ºf"),
    SQUARE_METRE(Dimension.AREA, 1, 0, "m²", "m2"),
    SQUARE_FOOT(Dimension.AREA, 0.09290304, 0, "ft²", "ft2", "sqft"),
    HECTARE(Dimension.AREA, 10_000, 0, "ha"),
    ACRE(Dimension.AREA, 4046.8564224, 0, "ac", "acre", "acres"),
    MILLIMETRE_PER_HOUR(Dimension.RATE, 1, 0, "mm/h", "mm/hr"),
    INCH_PER_HOUR(Dimension.RATE, 25.4, 0, "in/h", "in/hr"),
    KELVIN(Dimension.TEMPERATURE_STEP, 1, 0, "K"),
    FAHRENHEIT_STEP(Dimension.TEMPERATURE_STEP, 5.0 / 9, 0, "°F"),
    GRAM_PER_SQUARE_METRE(Dimension.DOSE, 1, 0, "g/m²"),
    POUND_PER_1000_SQUARE_FEET(Dimension.DOSE, 453.59237 / 92.90304, 0, "lb/1000\u00a0ft²"),
    LITRE_PER_MINUTE(Dimension.FLOW, 1, 0, "L/min"),
    GALLON_PER_MINUTE(Dimension.FLOW, 3.785411784, 0, "gal/min", "gpm"),
    LITRE_PER_SECOND(Dimension.FLOW, 60, 0, "L/s"),
    KILOPASCAL(Dimension.PRESSURE, 1, 0, "kPa"),
    BAR(Dimension.PRESSURE, 100, 0, "bar"),
    PSI(Dimension.PRESSURE, 6.894757293168, 0, "psi"),
    DECISIEMENS_PER_METRE(Dimension.SALINITY, 1, 0, "dS/m", "mS/cm"),
    PERCENT(Dimension.NUMBER, 1, 0, "%"),
    DEGREE(Dimension.NUMBER, 1, 0, "°", "deg"),
    HOUR(Dimension.NUMBER, 1, 0, "h", "hours"),
    CELSIUS_HOUR(Dimension.HEAT, 1, 0, "°C·h"),
    FAHRENHEIT_HOUR(Dimension.HEAT, 5.0 / 9, 0, "°F·h"),
    DAY(Dimension.NUMBER, 1, 0, "days", "day", "d"),
    PLAIN(Dimension.NUMBER, 1, 0, "");

    /** What kind of thing is measured; only units of one dimension may stand for each other. */
    public enum Dimension {
        LENGTH,
        VOLUME,
        MASS,
        TEMPERATURE,
        AREA,
        RATE,
        TEMPERATURE_STEP,
        DOSE,
        FLOW,
        PRESSURE,
        SALINITY,
        HEAT,
        NUMBER
    }

    private final Dimension dimension;
    private final double factor;
    private final double offset;
    private final List<String> names;

    Unit(Dimension dimension, double factor, double offset, String... names) {
        this.dimension = dimension;
        this.factor = factor;
        this.offset = offset;
        this.names = List.of(names);
    }

    public Dimension dimension() {
        return dimension;
    }

    /** The sign printed behind a figure. */
    public String symbol() {
        return names.get(0);
    }

    boolean isCalled(String typed) {
        return names.stream().anyMatch(name -> name.equalsIgnoreCase(typed));
    }

    /** From this unit to the base unit (m, L, kg, °C, m², mm/h). */
    public double toBase(double value) {
        return value * factor + offset;
    }

    /** From the base unit to this one. */
    public double fromBase(double base) {
        return (base - offset) / factor;
    }
}
