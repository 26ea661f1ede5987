package idlebough.core.judge;

import java.util.Map;

/**
 * Something that would put a finding right, and that the program can do or lead to at one click.
 *
 * @param action a stable name, such as {@code ways.set}; the application knows how to carry it out
 * @param label what stands on the button
 * @param details what the action needs, by name
 */
public record Remedy(String action, Phrase label, Map<String, String> details) {
    public static Remedy of(String action, Phrase label, Map<String, String> details) {
        return new Remedy(action, label, details);
    }
}
