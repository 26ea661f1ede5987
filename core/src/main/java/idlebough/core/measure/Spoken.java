package idlebough.core.measure;

import java.text.DecimalFormatSymbols;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads figures as growers speak them: {@code 2 ft 6}, {@code 30"}, {@code 2½ ft}, {@code 75 cm}, {@code 28F}, {@code
 * -2}, {@code 5 gal}, {@code 0,75}.
 *
 * <p>A bare number is in the unit printed beside the field. After feet a bare number is inches. A comma is a decimal
 * comma unless the locale groups with commas and exactly three digits follow it.
 */
public final class Spoken {
    private static final String UNITS =
            "g/m²|g/m2|lb/1000\u00a0ft²|mm/hr?|in/hr?|l/min|l/s|gal/min|gpm|kpa|bar|psi|ds/m|ms/cm|k|cm|mm|km|metres?|meters?|m²|m2|m³|m3|m|inches|inch|in|''|\"|″|feet|foot|ft²|ft2|ft³|ft3|ft|'|′|"
                    + "yards?|yd|litres?|liters?|l|gallons?|gal|quarts?|qt|cuft|sqft|kg|g|lbs?|pounds?|oz|°c·h|°f·h|[°º]?c|[°º]?f|ha|acres?|ac|hours|h|days?|d|%|deg|°";
    /** Sign; a figure, or a whole number and a fraction; a unit. */
    private static final Pattern PART = Pattern.compile(
            "[\\s\\u00a0]*([+\\-−]?)[\\s\\u00a0]*(?:(?:(\\d++)\\s*+)?([½¼¾])|(?:(\\d++)\\s++)?(\\d++/[1-9]\\d*+)|((?:\\d++(?:[.,]\\d++)*+)|[.,]\\d++))[\\s\\u00a0]*+(?:("
                    + UNITS + ")(?=[\\s\\u00a0\\d]|$))?+",
            Pattern.CASE_INSENSITIVE | Pattern.UNICODE_CASE);

    private Spoken() {}

    /**
     * @param typed what the grower wrote, may be null or blank
     * @param quantity what the field asks for
     * @param system whose unit stands beside the field
     * @param locale whose decimal sign is expected first
     */
    public static Entry read(String typed, Quantity quantity, UnitSystem system, Locale locale) {
        if (typed == null || typed.isBlank()) {
            return Entry.empty();
        }
        String text = typed.strip();
        Unit beside = quantity.unit(system);
        Matcher part = PART.matcher(text);
        int at = 0;
        double total = 0;
        double sign = 1;
        Unit last = null;
        int parts = 0;
        while (at < text.length()) {
            part.region(at, text.length());
            if (!part.lookingAt()
                    || part.group(7) == null
                            && part.end() < text.length()
                            && !Character.isWhitespace(text.charAt(part.end() - 1))) {
                return notUnderstood(typed, quantity, system, locale);
            }
            Unit unit =
                    part.group(7) == null ? (last == Unit.FOOT ? Unit.INCH : beside) : named(part.group(7), quantity);
            if (unit == null || unit.dimension() != quantity.dimension()) {
                return Entry.wrong("“" + part.group(7) + "” does not measure this; write it in " + beside.symbol()
                        + ", like " + example(quantity, system, locale) + ".");
            }
            Double number = part.group(6) == null ? Double.valueOf(whole(part)) : number(part.group(6), locale);
            if (number == null) {
                return notUnderstood(typed, quantity, system, locale);
            }
            double value = number;
            if (parts == 0) {
                sign = part.group(1).isEmpty() || part.group(1).equals("+") ? 1 : -1;
                total = unit.dimension() == Unit.Dimension.TEMPERATURE ? unit.toBase(sign * value) : unit.toBase(value);
            } else if (part.group(1).isEmpty() && unit.dimension() == Unit.Dimension.LENGTH || unit == Unit.OUNCE) {
                total += unit.toBase(value);
            } else {
                return notUnderstood(typed, quantity, system, locale);
            }
            last = unit;
            parts++;
            at = part.end();
        }
        double result = quantity.dimension() == Unit.Dimension.TEMPERATURE ? total : sign * total;
        return Double.isFinite(result) ? Entry.of(result) : notUnderstood(typed, quantity, system, locale);
    }

    private static Unit named(String typed, Quantity quantity) {
        for (Unit unit : Unit.values()) {
            if (unit.dimension() == quantity.dimension() && unit.isCalled(typed)) {
                return unit;
            }
        }
        return null;
    }

    /** Null when the digits cannot be one number. */
    static Double number(String typed, Locale locale) {
        String digits = typed;
        char localeDecimal = DecimalFormatSymbols.getInstance(locale).getDecimalSeparator();
        char localeGroup = localeDecimal == ',' ? '.' : ',';
        boolean hasDot = digits.indexOf('.') >= 0;
        boolean hasComma = digits.indexOf(',') >= 0;
        if (hasDot && hasComma) {
            char decimal = digits.lastIndexOf('.') > digits.lastIndexOf(',') ? '.' : ',';
            digits = digits.replace(String.valueOf(decimal == '.' ? ',' : '.'), "")
                    .replace(decimal, '.');
        } else if (hasDot || hasComma) {
            char mark = hasDot ? '.' : ',';
            boolean grouped = mark == localeGroup && digits.matches("\\d{1,3}(\\" + mark + "\\d{3})+");
            digits = grouped ? digits.replace(String.valueOf(mark), "") : digits.replace(mark, '.');
        }
        try {
            return Double.valueOf(digits);
        } catch (NumberFormatException notOneNumber) {
            return null;
        }
    }

    private static double whole(Matcher part) {
        if (part.group(3) != null) {
            double share = part.group(3).equals("½") ? 0.5 : part.group(3).equals("¼") ? 0.25 : 0.75;
            return (part.group(2) == null ? 0 : Double.parseDouble(part.group(2))) + share;
        }
        String[] halves = part.group(5).split("/");
        return (part.group(4) == null ? 0 : Double.parseDouble(part.group(4)))
                + Double.parseDouble(halves[0]) / Double.parseDouble(halves[1]);
    }

    private static Entry notUnderstood(String typed, Quantity quantity, UnitSystem system, Locale locale) {
        return Entry.wrong("“" + typed.strip() + "” is not a figure this field understands; write it like "
                + example(quantity, system, locale) + ".");
    }

    private static String example(Quantity quantity, UnitSystem system, Locale locale) {
        Display display = new Display(system, locale);
        return display.text(
                quantity.unit(system).toBase(quantity.dimension() == Unit.Dimension.TEMPERATURE ? -2 : 2.5), quantity);
    }
}
