package idlebough.core.orchard;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.almanac.Gate;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Table;
import idlebough.core.pollination.PartnerRules;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class DoubtsTest {
    /** Counted by lines, as the stage line counts; nothing sound, nothing twice, and every gate in its turn. */
    @ParameterizedTest
    @ValueSource(ints = {3, 8, 21})
    void everyLineOnceFirstWhatCannotBeUndone(int seed) {
        Evaluation evaluation = Evaluation.of(new RandomOrchard(seed).orchard(24));
        List<Doubts.Doubt> doubts = Doubts.of(evaluation);
        assertThat(doubts).isNotEmpty();
        for (int i = 1; i < doubts.size(); i++) {
            Doubts.Doubt before = doubts.get(i - 1);
            Doubts.Doubt after = doubts.get(i);
            assertThat(before.gate()).isLessThanOrEqualTo(after.gate());
            assertThat(before.gate() == after.gate()
                            && before.finding().standing() == Standing.DOUBTFUL
                            && after.finding().standing() == Standing.STOP)
                    .as("a stop stands before the doubts of its gate")
                    .isFalse();
        }
        assertThat(doubts).anyMatch(doubt -> doubt.finding().standing() == Standing.STOP);
        long lines = evaluation.stages().stream()
                .filter(Stage::begun)
                .mapToLong(stage ->
                        stage.judged().count(Standing.STOP) + stage.judged().count(Standing.DOUBTFUL))
                .sum();
        assertThat(doubts).hasSize((int) lines);
        assertThat(doubts).allSatisfy(doubt -> {
            assertThat(doubt.finding().isSound()).isFalse();
            assertThat(doubt.trees()).allMatch(tree -> evaluation.stand(tree).isPresent());
        });
    }

    /** The stem must be measured before the tree is in the ground, the partner chosen before it is ordered. */
    @Test
    void aTreeThatStandsIsMendedInWinter() {
        Evaluation evaluation = Evaluation.of(new RandomOrchard(8).orchard(24));
        List<Doubts.Doubt> partners = Doubts.of(evaluation).stream()
                .filter(doubt -> doubt.room() == Room.POLLINATION
                        && !doubt.finding().rule().equals(PartnerRules.BRANCH))
                .toList();
        assertThat(partners)
                .isNotEmpty()
                .allSatisfy(doubt -> assertThat(doubt.gate())
                        .isEqualTo(
                                evaluation
                                                .stand(doubt.finding().subject().id())
                                                .map(stand -> stand.toPlant())
                                                .orElse(true)
                                        ? Gate.ORDER
                                        : Gate.WINTER));
    }

    /** A rule without a gate would fail when somebody first meets it. */
    @Test
    void everyRuleHasItsGate() throws IOException {
        Pattern rule = Pattern.compile("Rule\\.of\\(\"([a-z]+\\.[a-z-]+)\"\\)");
        Set<String> known = Table.rows("almanac/gates.csv").stream()
                .map(row -> row.get("rule"))
                .collect(Collectors.toSet());
        try (Stream<Path> sources = Files.walk(Path.of("src/main/java"))) {
            Set<String> rules = sources.filter(file -> file.toString().endsWith(".java"))
                    .flatMap(file -> rule.matcher(text(file)).results().map(found -> found.group(1)))
                    .collect(Collectors.toSet());
            assertThat(rules).hasSizeGreaterThan(40);
            assertThat(known).containsAll(rules);
        }
    }

    private static String text(Path file) {
        try {
            return Files.readString(file, StandardCharsets.UTF_8);
        } catch (IOException unreadable) {
            throw new IllegalStateException(unreadable);
        }
    }
}
