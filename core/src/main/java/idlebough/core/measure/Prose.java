package idlebough.core.measure;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Rules of thumb in running text, written in metric units and told in the reader's: “45 to 60 cm” becomes “18 to 24 in”.
 * They are round in one system and stay round in the other; where the text gives both, “5 cm (2 in)”, the other one is
 * taken. Only for text of the program's own, never for what a grower typed.
 */
public final class Prose {
    private static final Pattern METRIC = Pattern.compile(
            "([−-]?\\d+(?:\\.\\d+)?)(?:( to |–)([−-]?\\d+(?:\\.\\d+)?))?[ \\u00a0](cm|mm/h|mm|m|km|°C|K|kg|L)(?![\\w/²³·])"
                    + "(?: \\(([^)]*\\d[\\u00a0 ]?(?:in|ft|lb|gal|°F)[^)]*)\\))?");
    private static final Map<String, String> KNOWN = new ConcurrentHashMap<>();
    private static final int MOST_KNOWN = 4000;
    private static final double SMALL = 10;

    private Prose() {}

    /** The text as it is for metric readers; with its lengths, temperatures and amounts turned for others. */
    public static String in(UnitSystem system, String text) {
        if (system == UnitSystem.METRIC || text.isEmpty()) {
            return text;
        }
        if (KNOWN.size() > MOST_KNOWN) {
            KNOWN.clear();
        }
        return KNOWN.computeIfAbsent(text, Prose::turned);
    }

    private static String turned(String text) {
        Matcher found = METRIC.matcher(text);
        StringBuilder told = new StringBuilder();
        while (found.find()) {
            String both = found.group(5);
            found.appendReplacement(
                    told,
                    Matcher.quoteReplacement(
                            both != null
                                    ? both
                                    : turned(found.group(1), found.group(2), found.group(3), found.group(4))));
        }
        return found.appendTail(told).toString();
    }

    private static String turned(String from, String between, String to, String unit) {
        double first = turned(number(from), unit);
        String figures = plain(first, unit);
        if (to != null) {
            String second = plain(turned(number(to), unit), unit);
            figures = figures.equals(second) ? figures : figures + between + second;
        }
        return figures + "\u00a0" + name(unit);
    }

    private static double number(String typed) {
        return Double.parseDouble(typed.replace('−', '-'));
    }

    private static String name(String unit) {
        return switch (unit) {
            case "cm", "mm" -> "in";
            case "mm/h" -> "in/h";
            case "m" -> "ft";
            case "km" -> "miles";
            case "kg" -> "lb";
            case "L" -> "gal";
            default -> "°F";
        };
    }

    private static double turned(double value, String unit) {
        return switch (unit) {
            case "cm" -> Unit.INCH.fromBase(Unit.CENTIMETRE.toBase(value));
            case "mm" -> Unit.INCH.fromBase(Unit.MILLIMETRE.toBase(value));
            case "mm/h" -> Unit.INCH_PER_HOUR.fromBase(value);
            case "m" -> Unit.FOOT.fromBase(value);
            case "km" -> Unit.FOOT.fromBase(Unit.KILOMETRE.toBase(value)) / 5280;
            case "kg" -> Unit.POUND.fromBase(value);
            case "L" -> Unit.GALLON.fromBase(value);
            case "K" -> Unit.FAHRENHEIT_STEP.fromBase(value);
            default -> Unit.FAHRENHEIT.fromBase(value);
        };
    }

    /** Round as a rule of thumb is: whole from ten on, else to the half; temperatures whole. */
    private static String plain(double value, String unit) {
        boolean whole = Math.abs(value) >= SMALL || unit.equals("°C");
        double rounded = whole ? Math.rint(value) : Math.rint(2 * value) / 2;
        rounded = rounded == 0 ? Math.rint(SMALL * value) / SMALL : rounded;
        String text = rounded == Math.rint(rounded) ? String.valueOf((long) rounded) : String.valueOf(rounded);
        return text.replace("-", "−");
    }
}
