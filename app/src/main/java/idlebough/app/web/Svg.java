package idlebough.app.web;

import java.util.Locale;

/** Numbers and paths as SVG wants them: points for decimals, and no more of them than are seen. */
public final class Svg {
    private Svg() {}

    /** One decimal at most. */
    public static String number(double value) {
        double rounded = Math.rint(value * 10) / 10;
        return rounded == Math.rint(rounded) && Math.abs(rounded) < 1e9
                ? Long.toString((long) rounded)
                : String.format(Locale.ROOT, "%.1f", rounded);
    }

    /** Two decimals. */
    public static String fine(double value) {
        return String.format(Locale.ROOT, "%.2f", value);
    }

    /**
     * A path: each {@code #} of the pattern takes the next number.
     *
     * @throws IllegalArgumentException when there are not as many numbers as places for them
     */
    public static String path(String pattern, double... numbers) {
        StringBuilder path = new StringBuilder();
        int next = 0;
        for (int i = 0; i < pattern.length(); i++) {
            char c = pattern.charAt(i);
            if (c == '#') {
                if (next == numbers.length) {
                    throw new IllegalArgumentException("Too few numbers for the path " + pattern + ".");
                }
                path.append(number(numbers[next++]));
            } else {
                path.append(c);
            }
        }
        if (next != numbers.length) {
            throw new IllegalArgumentException("Too many numbers for the path " + pattern + ".");
        }
        return path.toString();
    }

    public static String translate(double x, double y) {
        return "translate(" + fine(x) + "," + fine(y) + ")";
    }
}
