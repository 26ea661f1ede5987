package idlebough.core.layout;

import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Trees as people list them: “A1, A3–A6, row C, Cox's 2”.
 *
 * @param trees in the order of the list, each once
 * @param unknown what names no tree
 */
public record TagList(List<Stand> trees, List<String> unknown) {
    private static final Pattern RUN = Pattern.compile("(.*?)(\\d+)\\s*[-\u2013]\\s*(.*?)(\\d+)");
    private static final Pattern ROW = Pattern.compile("(?:row\\s+)?([a-z]{1,3})");
    private static final Pattern IN_ROW = Pattern.compile("([a-z]{1,3})\\d+");

    public static TagList of(String typed, List<Stand> stands) {
        Set<Stand> found = new LinkedHashSet<>();
        List<String> unknown = new ArrayList<>();
        for (String part : typed.split("[,;]")) {
            String asked = part.strip();
            if (!asked.isEmpty()) {
                List<Stand> named = named(asked.toLowerCase(Locale.ROOT), stands);
                found.addAll(named);
                if (named.isEmpty()) {
                    unknown.add(asked);
                }
            }
        }
        return new TagList(List.copyOf(found), unknown);
    }

    private static List<Stand> named(String asked, List<Stand> stands) {
        List<Stand> same =
                stands.stream().filter(stand -> label(stand).equals(asked)).toList();
        if (!same.isEmpty()) {
            return same;
        }
        Matcher run = RUN.matcher(asked);
        if (run.matches()
                && (run.group(3).isBlank()
                        || run.group(3).strip().equals(run.group(1).strip()))) {
            return stands.stream().filter(stand -> between(label(stand), run)).toList();
        }
        Matcher row = ROW.matcher(asked);
        return !row.matches()
                ? List.of()
                : stands.stream()
                        .filter(stand -> {
                            Matcher of = IN_ROW.matcher(label(stand));
                            return of.matches() && of.group(1).equals(row.group(1));
                        })
                        .toList();
    }

    private static boolean between(String label, Matcher run) {
        String head = run.group(1);
        String number = label.startsWith(head) ? label.substring(head.length()) : "";
        return number.matches("\\d{1,6}")
                && Integer.parseInt(number) >= number(run.group(2))
                && Integer.parseInt(number) <= number(run.group(4));
    }

    private static long number(String digits) {
        return Long.parseLong(digits.substring(0, Math.min(9, digits.length())));
    }

    private static String label(Stand stand) {
        return stand.label().toLowerCase(Locale.ROOT);
    }
}
