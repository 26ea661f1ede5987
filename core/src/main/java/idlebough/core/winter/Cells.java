package idlebough.core.winter;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What stands in the single cells of a weather table: figures, dates, and the codes for nothing. */
final class Cells {
    private static final Set<String> MISSING = Set.of(
            "", "na", "n/a", "nan", "null", "-", "--", "-99", "-99.9", "-999", "-999.0", "-999.9", "-9999", "-9999.0",
            "9999", "999.9", "m", "x");
    /** No thermometer has more. */
    private static final int MOST_DIGITS = 15;

    private static final Pattern DATE = Pattern.compile(
            "(\\d{1,4})[-/. ](\\d{1,2})[-/. ](\\d{1,4})(?:[T ,;].*)?|(\\d{4})(\\d{2})(\\d{2})(\\d{2}){0,2}");
    private static final Set<String> BAD_FLAGS = Set.of(
            "b",
            "bad",
            "s",
            "suspect",
            "suspicious",
            "d",
            "doubtful",
            "e",
            "error",
            "erroneous",
            "f",
            "fail",
            "failed",
            "x",
            "r",
            "rejected",
            "false");
    private static final Set<String> GOOD_FLAGS =
            Set.of("", "0", "1", "ok", "g", "good", "v", "valid", "p", "pass", "passed", "true", "c", "checked");

    private Cells() {}

    static boolean isMissing(String cell) {
        return !isPlain(cell) && MISSING.contains(cell.strip().toLowerCase(Locale.ROOT));
    }

    /** Whether it is a figure at first sight, and no code for nothing: those are negative, or all nines. */
    private static boolean isPlain(String cell) {
        return !cell.isEmpty() && cell.charAt(0) >= '0' && cell.charAt(0) <= '8';
    }

    /** With a decimal point or comma, and any minus sign; null when it is not a figure. */
    static Double number(String cell) {
        String plain = cell.strip();
        boolean negative = !plain.isEmpty() && (plain.charAt(0) == '-' || plain.charAt(0) == '\u2212');
        int from = negative || !plain.isEmpty() && plain.charAt(0) == '+' ? 1 : 0;
        long digits = 0;
        int count = 0;
        int after = -1;
        for (int i = from; i < plain.length(); i++) {
            char c = plain.charAt(i);
            if (c >= '0' && c <= '9') {
                digits = 10 * digits + (c - '0');
                count++;
                after += after >= 0 ? 1 : 0;
            } else if ((c == '.' || c == ',') && after < 0) {
                after = 0;
            } else {
                return null;
            }
        }
        if (count == 0 || count > MOST_DIGITS) {
            return null;
        }
        // A whole number below 2^53 over a power of ten below 10^23 is rounded once, as the exact decimal would be.
        double value = after > 0 ? digits / Math.pow(10, after) : digits;
        return negative ? -value : value;
    }

    /** The first part of it may be a date; null when the calendar has none such. */
    static LocalDate date(String typed, WeatherFile.DateOrder order) {
        Matcher part = DATE.matcher(typed.strip());
        if (!part.matches()) {
            return null;
        }
        try {
            if (part.group(4) != null) {
                return LocalDate.of(
                        Integer.parseInt(part.group(4)),
                        Integer.parseInt(part.group(5)),
                        Integer.parseInt(part.group(6)));
            }
            int a = Integer.parseInt(part.group(1));
            int b = Integer.parseInt(part.group(2));
            int c = Integer.parseInt(part.group(3));
            return switch (part.group(1).length() == 4 ? WeatherFile.DateOrder.YEAR_FIRST : order) {
                case YEAR_FIRST -> LocalDate.of(century(a), b, c);
                case DAY_FIRST -> LocalDate.of(century(c), b, a);
                case MONTH_FIRST -> LocalDate.of(century(c), a, b);
            };
        } catch (DateTimeException notInCalendar) {
            return null;
        }
    }

    /** The first two parts of a local date; null when the cell is none or begins with its year. */
    static int[] leading(String cell) {
        Matcher part = DATE.matcher(cell.strip());
        return part.matches() && part.group(1) != null && part.group(1).length() <= 2
                ? new int[] {Integer.parseInt(part.group(1)), Integer.parseInt(part.group(2))}
                : null;
    }

    private static int century(int year) {
        return year >= 100 ? year : year < 50 ? 2000 + year : 1900 + year;
    }

    static boolean isBad(String flag) {
        return BAD_FLAGS.contains(flag.strip().toLowerCase(Locale.ROOT));
    }

    static boolean isKnown(String flag) {
        return isBad(flag) || GOOD_FLAGS.contains(flag.strip().toLowerCase(Locale.ROOT));
    }
}
