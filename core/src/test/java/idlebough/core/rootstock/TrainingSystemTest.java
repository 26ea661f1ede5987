package idlebough.core.rootstock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Spacing by system, home values: RHS (Baker; The Fruit Garden Displayed), UC ANR 3485, Westwood 1993. */
class TrainingSystemTest {
    private static List<String> names(String variety, String stock) {
        return TrainingSystem.of(Shipped.variety(variety), Shipped.stock(stock)).stream()
                .map(spaced -> spaced.system().name())
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "oblique cordon, 0.6, 0.9, 1.8, 2",
        "step-over, 1.5, 1.5, 1.5, 1.5",
        "spindle, 1.2, 1.8, 3, 3.6",
        "dwarf pyramid, 1.5, 2, 2.2, 2.5",
        "half-standard, 5, 6, 6, 7",
        "standard, 7, 10, 8, 10",
        "central leader, 3, 5, 5, 6",
        "open vase, 4.5, 6, 5.5, 6.5",
        "espalier, 3.6, 5.4, 1.8, 2.5",
        "hedge, 1, 2.5, 3.5, 6"
    })
    void spacingOfTheBooks(String name, double inLow, double inHigh, double rowsLow, double rowsHigh) {
        TrainingSystem.Usual usual = TrainingSystem.named(name).orElseThrow().usual();
        assertThat(List.of(usual.inLow(), usual.inHigh(), usual.rowsLow(), usual.rowsHigh()))
                .containsExactly(inLow, inHigh, rowsLow, rowsHigh);
    }

    @Test
    void whatIsToldStaysWithinWhatIsUsual() {
        for (String stock : List.of("m27", "m9", "m26", "mm106", "mm111", "m25")) {
            TrainingSystem.of(Shipped.variety("apple-cox"), Shipped.stock(stock))
                    .forEach(spaced -> {
                        TrainingSystem.Usual usual = spaced.system().usual();
                        assertThat(spaced.inRow()).isBetween(usual.inLow(), usual.inHigh());
                        assertThat(spaced.rows()).isBetween(usual.rowsLow(), usual.rowsHigh());
                    });
        }
    }

    /** Step-overs want a dwarf, standards a strong stock; nobody trains a cherry as a step-over. */
    @Test
    void stocksAndFruitsHaveTheirSystems() {
        assertThat(names("apple-cox", "m27")).contains("step-over").doesNotContain("standard", "fan");
        assertThat(names("apple-cox", "m9")).contains("spindle", "oblique cordon", "espalier");
        assertThat(names("apple-cox", "m25")).contains("standard").doesNotContain("spindle");
        assertThat(names("cherry-stella", "colt")).contains("fan").doesNotContain("step-over", "espalier");
    }

    @Test
    void onWiresItIsFlatElsewhereItIsNot() {
        assertThat(TrainingSystem.named("espalier").orElseThrow().flat()).isTrue();
        assertThat(TrainingSystem.named("fan").orElseThrow().flat()).isTrue();
        assertThat(TrainingSystem.named("spindle").orElseThrow().flat()).isFalse();
        assertThat(TrainingSystem.named("candelabrum")).isEmpty();
    }

    /** A crown covers its ellipse: a bush 4 m wide 12.6 m², an espalier 4.5 m by 0.6 m 2.1 m², by hand. */
    @Test
    void crownsCoverTheirGround() {
        assertThat(new TreeSize(4, 3).covers()).isCloseTo(12.566, within(0.001));
        assertThat(new TreeSize(4.5, 2, 0.6).covers()).isCloseTo(2.1206, within(0.001));
    }

    /** Whether a variety may be trained so is a matter of its fruit, whatever its stock. */
    @Test
    void kindsOfFruitAreAsked() {
        TrainingSystem hedge = TrainingSystem.named("hedge").orElseThrow();
        assertThat(hedge.takes(Shipped.variety("lemon-lisbon"))).isTrue();
        assertThat(hedge.takes(Shipped.variety("apple-cox"))).isFalse();
    }

    /** In rich soil a bush is given more room, up to the most that is usual. */
    @Test
    void richSoilWantsMoreRoom() {
        double poor = inRow(0.85);
        double rich = inRow(1.15);
        assertThat(rich).isGreaterThan(poor);
    }

    private static double inRow(double soil) {
        return TrainingSystem.of(
                        Shipped.variety("apple-cox"), Shipped.stock("mm106"), new Habit(soil, Optional.empty()))
                .stream()
                .filter(spaced -> spaced.system().name().equals("bush"))
                .findFirst()
                .orElseThrow()
                .inRow();
    }
}
