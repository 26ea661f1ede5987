package idlebough.core.judge;

import java.util.function.Supplier;

/**
 * A computed figure as the left page shows it: a row with a label, an amount, a note, and a working behind its {@code
 * =}. The working is built only when it is opened.
 *
 * @param key stable within its room
 * @param label in words
 * @param amount the value
 * @param note small words behind the figure
 * @param working how it comes about; null only for a figure that was typed or measured as it stands
 */
public record Figure(String key, Phrase label, Amount amount, Phrase note, Supplier<Working> working) {
    public static Figure of(String key, String label, Amount amount, String note, Supplier<Working> working) {
        return new Figure(key, Phrase.of(label), amount, Phrase.of(note), working);
    }

    public double value() {
        return amount.value();
    }
}
