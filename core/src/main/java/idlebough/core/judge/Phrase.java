package idlebough.core.judge;

import idlebough.core.measure.Display;
import idlebough.core.measure.Prose;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;

/**
 * A sentence with figures in it, put into words only when it is known who reads it. Each {@code {}} takes the next of
 * the arguments: an {@link Amount} in the reader's units, a date, another phrase, or text as it is. Rules of thumb in the
 * pattern itself are told in the reader's units too ({@link Prose}).
 */
public record Phrase(String pattern, List<Object> arguments) {

    public static Phrase of(String pattern, Object... arguments) {
        return new Phrase(pattern, List.of(arguments));
    }

    public String in(Display display) {
        String told = Prose.in(display.system(), pattern);
        StringBuilder words = new StringBuilder();
        int next = 0;
        int from = 0;
        for (int at = told.indexOf("{}"); at >= 0; at = told.indexOf("{}", from)) {
            words.append(told, from, at).append(word(arguments.get(next++), display));
            from = at + 2;
        }
        return words.append(told.substring(from)).toString();
    }

    /** The same as the beginning of a sentence: a name in front is capitalised. */
    public Phrase capital() {
        if (!pattern.startsWith("{}") || !(arguments.get(0) instanceof String first) || first.isEmpty()) {
            return this;
        }
        List<Object> with = new ArrayList<>(arguments);
        with.set(0, Character.toUpperCase(first.charAt(0)) + first.substring(1));
        return new Phrase(pattern, List.copyOf(with));
    }

    private static String word(Object argument, Display display) {
        if (argument instanceof Amount amount) {
            return display.text(amount.value(), amount.quantity());
        }
        if (argument instanceof Phrase phrase) {
            return phrase.in(display);
        }
        return argument instanceof LocalDate day ? display.date(day) : String.valueOf(argument);
    }
}
