package idlebough.core.measure;

import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads a latitude as people write it: {@code 42.3}, {@code 36.8 S}, {@code S 36,8}, {@code 42°18'30" N}, {@code -36.8}. */
public final class Latitude {
    private static final double HIGHEST = 90;
    private static final double SIXTY = 60;
    private static final Pattern WRITTEN = Pattern.compile(
            "([NS]?)\\s*([+\\-−]?)\\s*(\\d{1,2}(?:[.,]\\d+)?)\\s*[°º]?\\s*"
                    + "(?:(\\d{1,2}(?:[.,]\\d+)?)\\s*['′’]\\s*)?(?:(\\d{1,2}(?:[.,]\\d+)?)\\s*(?:\"|″|''|”)\\s*)?([NS]?)");

    private Latitude() {}

    /** @return degrees, north positive; a complaint for what cannot be read */
    public static Entry read(String typed) {
        if (typed == null || typed.isBlank()) {
            return Entry.empty();
        }
        Matcher written = WRITTEN.matcher(
                typed.strip().toUpperCase(Locale.ROOT).replaceAll("NORTH", "N").replaceAll("SOUTH", "S"));
        if (!written.matches()) {
            return wrong(typed);
        }
        String side = written.group(1) + written.group(6);
        boolean minus = !written.group(2).isEmpty() && !written.group(2).equals("+");
        double degrees =
                number(written.group(3)) + number(written.group(4)) / SIXTY + number(written.group(5)) / SIXTY / SIXTY;
        if (side.length() > 1 || minus && !side.isEmpty() || degrees > HIGHEST) {
            return wrong(typed);
        }
        return Entry.of(minus || side.equals("S") ? -degrees : degrees);
    }

    private static Entry wrong(String typed) {
        return Entry.wrong("“" + typed.strip() + "” was not understood; write it like 42.3 N, 36.8 S or 42°18' N.");
    }

    private static double number(String text) {
        return text == null ? 0 : Double.parseDouble(text.replace(',', '.'));
    }
}
