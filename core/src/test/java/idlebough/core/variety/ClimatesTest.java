package idlebough.core.variety;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Gardens;
import idlebough.core.judge.Standing;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A made garden in each climate: what its growers plant is not stopped, and what fails there is. */
class ClimatesTest {
    static Stream<Map<String, String>> gardens() {
        return Gardens.all();
    }

    @ParameterizedTest
    @MethodSource("gardens")
    void aPomologistWouldNod(Map<String, String> garden) {
        VarietyStage stage = Gardens.evaluation(garden).varieties();
        if (Boolean.getBoolean("bough.print")) {
            stage.verdicts()
                    .forEach(v -> System.out.println(garden.get("garden") + ";" + v.words() + ";"
                            + v.variety().key() + ";"
                            + v.match().map(m -> m.ofTen() + "/10").orElse("-") + ";"
                            + v.findings().stream()
                                    .filter(f -> !f.isSound())
                                    .map(f -> f.rule().id() + " " + f.standing().word())
                                    .toList()));
        }
        for (String key : garden.get("may").split(" ")) {
            assertThat(stage.verdict(key).standing())
                    .as(
                            "%s in the %s garden: %s",
                            key, garden.get("garden"), stage.verdict(key).worst())
                    .isNotEqualTo(Optional.of(Standing.STOP));
        }
        for (String key : garden.get("never").split(" ")) {
            assertThat(stage.verdict(key).standing())
                    .as("%s in the %s garden", key, garden.get("garden"))
                    .contains(Standing.STOP);
        }
    }
}
