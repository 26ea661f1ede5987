package idlebough.core.measure;

import java.time.DateTimeException;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.time.temporal.TemporalAdjusters;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Reads a day as growers say it: {@code 3 Nov 2027}, {@code Nov 3, 2027}, {@code 3/11/2027} in the order of the locale,
 * {@code 2027-11-03}, {@code today}, {@code in 2 weeks}, {@code 3 days ago}, {@code friday}. A day without a year is the
 * one nearest to today.
 */
public final class SpokenDate {
    private static final Pattern ISO = Pattern.compile("(\\d{4})-(\\d{1,2})-(\\d{1,2})");
    private static final Pattern FIGURES = Pattern.compile("(\\d{1,2})[./-](\\d{1,2})(?:[./-](\\d{4}|\\d{2}))?\\.?");
    private static final Pattern DAY_FIRST =
            Pattern.compile("(\\d{1,2})(?:st|nd|rd|th|\\.)?\\s*([a-z]{3,9})\\.?,?\\s*(\\d{4})?");
    private static final Pattern MONTH_FIRST =
            Pattern.compile("([a-z]{3,9})\\.?\\s*(\\d{1,2})(?:st|nd|rd|th)?,?\\s*(\\d{4})?");
    private static final Pattern AWAY = Pattern.compile("(in )?(\\d{1,3}|an?|one|two) (day|week|month|year)s?( ago)?");
    private static final int HALF_A_YEAR = 183;
    private static final int CENTURY = 2000;

    private SpokenDate() {}

    /**
     * @param locale which of the figures of 3/11 is the month: the first in the United States, the second elsewhere
     * @return empty for what is no day
     */
    public static Optional<LocalDate> read(String typed, LocalDate today, Locale locale) {
        String text =
                typed == null ? "" : typed.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
        try {
            return switch (text) {
                case "" -> Optional.empty();
                case "today", "now" -> Optional.of(today);
                case "tomorrow" -> Optional.of(today.plusDays(1));
                case "yesterday" -> Optional.of(today.minusDays(1));
                default ->
                    figures(text, today, locale)
                            .or(() -> words(text, today))
                            .or(() -> away(text, today))
                            .or(() -> weekday(text, today));
            };
        } catch (DateTimeException noSuchDay) {
            return Optional.empty();
        }
    }

    private static Optional<LocalDate> figures(String text, LocalDate today, Locale locale) {
        Matcher iso = ISO.matcher(text);
        if (iso.matches()) {
            return Optional.of(LocalDate.of(number(iso.group(1)), number(iso.group(2)), number(iso.group(3))));
        }
        Matcher figures = FIGURES.matcher(text);
        if (!figures.matches()) {
            return Optional.empty();
        }
        boolean monthFirst = locale.getCountry().equals("US");
        int month = number(figures.group(monthFirst ? 1 : 2));
        int day = number(figures.group(monthFirst ? 2 : 1));
        String year = figures.group(3);
        return Optional.of(
                year == null
                        ? nearest(month, day, today)
                        : LocalDate.of(year.length() == 2 ? CENTURY + number(year) : number(year), month, day));
    }

    private static Optional<LocalDate> words(String text, LocalDate today) {
        Matcher dayFirst = DAY_FIRST.matcher(text);
        if (dayFirst.matches()) {
            return named(dayFirst.group(2), dayFirst.group(1), dayFirst.group(3), today);
        }
        Matcher monthFirst = MONTH_FIRST.matcher(text);
        return monthFirst.matches()
                ? named(monthFirst.group(1), monthFirst.group(2), monthFirst.group(3), today)
                : Optional.empty();
    }

    private static Optional<LocalDate> named(String word, String day, String year, LocalDate today) {
        for (Month month : Month.values()) {
            if (month.getDisplayName(TextStyle.FULL, Locale.ENGLISH)
                    .toLowerCase(Locale.ROOT)
                    .startsWith(word)) {
                return Optional.of(
                        year == null
                                ? nearest(month.getValue(), number(day), today)
                                : LocalDate.of(number(year), month, number(day)));
            }
        }
        return Optional.empty();
    }

    private static Optional<LocalDate> away(String text, LocalDate today) {
        Matcher away = AWAY.matcher(text);
        boolean ahead = away.matches() && away.group(1) != null;
        if (!away.matches() || ahead == (away.group(4) != null)) {
            return Optional.empty();
        }
        String count = away.group(2);
        int many = count.equals("two") ? 2 : count.matches("\\d+") ? number(count) : 1;
        int by = ahead ? many : -many;
        return Optional.of(
                switch (away.group(3)) {
                    case "day" -> today.plusDays(by);
                    case "week" -> today.plusWeeks(by);
                    case "month" -> today.plusMonths(by);
                    default -> today.plusYears(by);
                });
    }

    /** The next of that name; with “last” before it the one before. */
    private static Optional<LocalDate> weekday(String text, LocalDate today) {
        boolean last = text.startsWith("last ");
        String name = text.replaceFirst("^(last|next) ", "");
        for (DayOfWeek day : DayOfWeek.values()) {
            String full = day.getDisplayName(TextStyle.FULL, Locale.ENGLISH).toLowerCase(Locale.ROOT);
            if (name.length() >= 3 && full.startsWith(name)) {
                return Optional.of(today.with(last ? TemporalAdjusters.previous(day) : TemporalAdjusters.next(day)));
            }
        }
        return Optional.empty();
    }

    private static LocalDate nearest(int month, int day, LocalDate today) {
        LocalDate of = LocalDate.of(today.getYear(), month, day);
        if (of.isBefore(today.minusDays(HALF_A_YEAR))) {
            return of.plusYears(1);
        }
        return of.isAfter(today.plusDays(HALF_A_YEAR)) ? of.minusYears(1) : of;
    }

    private static int number(String text) {
        return Integer.parseInt(text);
    }
}
