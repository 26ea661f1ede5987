package idlebough.core.judge;

import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What makes findings about several trees one line: the same rule and standing, and the same thing to be done.
 *
 * @param key equal for findings that are one line
 * @param name of the one that this finding is about, in words
 * @param sentence key in the room's sentences, with {@code {trees}} in it
 * @param arguments of the finding's own sentences
 */
public record Together(String key, String name, String sentence, Map<String, Object> arguments) {
    private static final int NAMED = 6;

    /** The headline for several. */
    Phrase headline(String room, List<String> names) {
        Map<String, Object> all = new HashMap<>(arguments);
        all.put("trees", listed(names));
        all.put("number", Amount.count(names.size()));
        return Sentences.of(room).say(sentence, all).capital();
    }

    /** “B2, B3 and B4”, or the first few “and 19 more”. */
    static String listed(List<String> names) {
        if (names.size() > NAMED) {
            return String.join(", ", names.subList(0, NAMED)) + " and " + (names.size() - NAMED) + " more";
        }
        return String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
    }
}
