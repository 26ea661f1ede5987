package idlebough.core.variety;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Vectors;
import idlebough.core.judge.Standing;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.winter.MonthlyMeans;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Weather;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** A made garden in each climate: what its growers plant is not stopped, and what fails there is. */
class ClimatesTest {
    static Stream<Map<String, String>> gardens() {
        return Vectors.table("/climates/gardens.csv").stream();
    }

    @ParameterizedTest
    @MethodSource("gardens")
    void aPomologistWouldNod(Map<String, String> garden) {
        VarietyStage stage = stage(garden);
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

    private static VarietyStage stage(Map<String, String> garden) {
        MonthlyMeans means = new MonthlyMeans(
                twelve(garden.get("minima")),
                twelve(garden.get("maxima")),
                Optional.of(Double.valueOf(garden.get("coldest"))));
        Orchard orchard = Orchard.empty(Double.parseDouble(garden.get("latitude")), LocalDate.of(2021, 3, 1))
                .with(new Weather(new StationRecord(means.days(LocalDate.of(2020, 12, 31))), false));
        return Evaluation.of(orchard).varieties();
    }

    private static List<Double> twelve(String cells) {
        return Arrays.stream(cells.split(" ")).map(Double::valueOf).toList();
    }
}
