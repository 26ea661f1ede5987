package idlebough.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/**
 * The page of all findings, made from the sentences themselves, so that it never says something else; run with {@code
 * -Dbough.write=true} to write it anew. And what every sentence must keep to.
 */
class FindingsPageTest {
    private static final Path PAGE = Path.of("..", "docs", "findings.md");
    private static final List<String> STANDINGS = List.of("sound", "doubtful", "stop");

    private static String page() {
        StringBuilder page = new StringBuilder("""
                # Every finding

                Made from the sentences that the program speaks (`core/src/main/resources/idlebough/*/sentences.properties`).
                What stands in braces is filled in for the tree, the pit or the variety, in the reader's units. A headline \
                with several trees is one line for all of them. Limits and sources are in each room's `rules.csv`.
                """);
        for (Room room : Room.values()) {
            Sentences sentences = Sentences.of(room.key());
            Set<String> rules = new TreeSet<>();
            sentences.keys().stream()
                    .filter(key -> key.contains(".reason"))
                    .forEach(key -> rules.add(key.substring(0, key.indexOf('.'))));
            if (!rules.isEmpty()) {
                page.append("\n## ").append(room.key()).append('\n');
            }
            for (String rule : rules) {
                page.append("\n### ")
                        .append(room.key())
                        .append('.')
                        .append(rule)
                        .append("\n\n");
                for (String standing : STANDINGS) {
                    new TreeSet<>(sentences.keys())
                            .stream()
                                    .filter(key -> key.equals(rule + "." + standing)
                                            || key.startsWith(rule + "." + standing + "."))
                                    .forEach(key -> page.append("- *")
                                            .append(key.substring(rule.length() + 1)
                                                    .replace('.', ' '))
                                            .append("*: ")
                                            .append(sentences.written(key))
                                            .append('\n'));
                }
                new TreeSet<>(sentences.keys())
                        .stream()
                                .filter(key -> key.startsWith(rule + ".reason"))
                                .forEach(key -> page.append("- ")
                                        .append(key.substring(rule.length() + 1).replace('.', ' '))
                                        .append(": ")
                                        .append(sentences.written(key))
                                        .append('\n'));
            }
        }
        return page.toString();
    }

    @Test
    void thePageSaysWhatTheProgramSays() throws IOException {
        if (Boolean.getBoolean("bough.write")) {
            Files.writeString(PAGE, page());
        }
        assertThat(Files.readString(PAGE)).isEqualTo(page());
    }

    /** A headline and a reason are whole sentences; no unit is written into them, since readers have their own. */
    @Test
    void everySentenceIsOne() {
        List<String> wrong = new ArrayList<>();
        for (Room room : Room.values()) {
            Sentences sentences = Sentences.of(room.key());
            for (String key : sentences.keys()) {
                String written = sentences.written(key);
                boolean said = key.contains(".reason")
                        || STANDINGS.stream().anyMatch(standing -> key.contains("." + standing));
                if (said && !(written.matches("(?s)[A-Z{‘].*[.}]"))) {
                    wrong.add(key + ": no sentence");
                }
                if (said && written.matches("(?s).*\\d\\s?(cm|m|mm|km|K|°C|L|kg|h)\\b.*")) {
                    wrong.add(key + ": a unit of its own");
                }
            }
        }
        assertThat(wrong).isEmpty();
    }
}
