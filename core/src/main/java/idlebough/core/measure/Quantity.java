package idlebough.core.measure;

/**
 * What a figure is a measure of, and so how it is shown: the unit in each system and the decimals that a grower can
 * use. Base units: m, L, kg, °C, m², mm/h, K, g/m², L/min, kPa,
 * dS/m, or a plain number.
 */
public enum Quantity {
    /** Distances on the ground; feet and inches in the US system. */
    LENGTH(Unit.METRE, 1, Unit.FOOT, 0),
    /** A tape reading: centimetres matter; half inches in the US system. */
    TAPE(Unit.METRE, 2, Unit.FOOT, 0),
    /** Depths and heights about a hole. */
    SHORT_LENGTH(Unit.CENTIMETRE, 0, Unit.INCH, 0),
    /** Heights where millimetres matter: unions and settling. */
    FINE_LENGTH(Unit.CENTIMETRE, 1, Unit.INCH, 1),
    ELEVATION(Unit.METRE, 0, Unit.FOOT, 0),
    RAIN(Unit.MILLIMETRE, 0, Unit.INCH, 1),
    DRAINAGE(Unit.MILLIMETRE_PER_HOUR, 0, Unit.INCH_PER_HOUR, 2),
    VOLUME(Unit.LITRE, 0, Unit.GALLON, 0),
    /** What a young tree drinks in a day. */
    SMALL_VOLUME(Unit.LITRE, 1, Unit.QUART, 1),
    EARTH(Unit.CUBIC_METRE, 2, Unit.CUBIC_FOOT, 0),
    MASS(Unit.KILOGRAM, 0, Unit.POUND, 0),
    TEMPERATURE(Unit.CELSIUS, 1, Unit.FAHRENHEIT, 0),
    /** A difference of temperatures. */
    TEMPERATURE_STEP(Unit.KELVIN, 1, Unit.FAHRENHEIT_STEP, 0),
    /** Small amounts weighed in the hand. */
    SMALL_MASS(Unit.GRAM, 0, Unit.OUNCE, 1),
    /** What is spread on the ground. */
    DOSE(Unit.GRAM_PER_SQUARE_METRE, 0, Unit.POUND_PER_1000_SQUARE_FEET, 1),
    FLOW(Unit.LITRE_PER_MINUTE, 1, Unit.GALLON_PER_MINUTE, 1),
    PRESSURE(Unit.KILOPASCAL, 0, Unit.PSI, 0),
    SALINITY(Unit.DECISIEMENS_PER_METRE, 1, Unit.DECISIEMENS_PER_METRE, 1),
    LAND(Unit.HECTARE, 3, Unit.ACRE, 2),
    AREA(Unit.SQUARE_METRE, 1, Unit.SQUARE_FOOT, 0),
    PERCENT(Unit.PERCENT, 0, Unit.PERCENT, 0),
    SLOPE(Unit.PERCENT, 1, Unit.PERCENT, 1),
    BEARING(Unit.DEGREE, 0, Unit.DEGREE, 0),
    DEGREES(Unit.DEGREE, 4, Unit.DEGREE, 4),
    HOURS(Unit.HOUR, 1, Unit.HOUR, 1),
    /** Warmth over time. */
    HEAT(Unit.CELSIUS_HOUR, 0, Unit.FAHRENHEIT_HOUR, 0),
    DAYS(Unit.DAY, 0, Unit.DAY, 0),
    COUNT(Unit.PLAIN, 0, Unit.PLAIN, 0),
    /** Chill totals, scores and other plain numbers with a decimal. */
    DECIMAL(Unit.PLAIN, 1, Unit.PLAIN, 1),
    SCORE(Unit.PLAIN, 2, Unit.PLAIN, 2);

    private final Unit metric;
    private final int metricDecimals;
    private final Unit us;
    private final int usDecimals;

    Quantity(Unit metric, int metricDecimals, Unit us, int usDecimals) {
        this.metric = metric;
        this.metricDecimals = metricDecimals;
        this.us = us;
        this.usDecimals = usDecimals;
    }

    public Unit unit(UnitSystem system) {
        return system == UnitSystem.METRIC ? metric : us;
    }

    public int decimals(UnitSystem system) {
        return system == UnitSystem.METRIC ? metricDecimals : usDecimals;
    }

    /** Whether the US system speaks this in feet and inches. */
    boolean inFeetAndInches() {
        return this == LENGTH || this == TAPE;
    }

    /** Whether two figures, in the base unit, are written differently in one of the systems at least. */
    public boolean tellsApart(double one, double other) {
        return written(one, UnitSystem.METRIC) != written(other, UnitSystem.METRIC)
                || written(one, UnitSystem.US) != written(other, UnitSystem.US);
    }

    private double written(double base, UnitSystem system) {
        if (system == UnitSystem.US && inFeetAndInches()) {
            return Math.rint(Unit.INCH.fromBase(base) * (this == TAPE ? 2 : 1));
        }
        double value = unit(system).fromBase(base);
        int shown = decimals(system) + (this == SHORT_LENGTH && Math.abs(value) < 1 ? 1 : 0);
        return Math.rint(value * Math.pow(10, shown)) / Math.pow(10, shown);
    }

    /** The base unit, in which every stored or computed figure of this quantity stands. */
    public Unit.Dimension dimension() {
        return metric.dimension();
    }
}
