package idlebough.core.rootstock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.site.Texture;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Soil and training on the size of a tree: W = S0 · stock · variety · soil · system (RHS, Westwood 1993, UC ANR
 * 3485).
 */
class HabitTest {
    /** 0.85 in poor or dry soil, 1.15 in deep rich one: common practice. */
    @ParameterizedTest
    @CsvSource({"SAND, 0.85", "LOAM, 1", "CLAY, 1", "SILT_LOAM, 1.15"})
    void soilMakesTreesSmallerAndLarger(Texture texture, double factor) {
        assertThat(Habit.factor(Shipped.pit(40, 6.5, texture))).isEqualTo(factor);
    }

    @Test
    void theBestOfSeveralPitsSpeaksSoThatNoTreeIsThoughtTooSmall() {
        Habit habit = Habit.of(
                List.of(Shipped.pit(40, 6.5, Texture.SAND), Shipped.pit(40, 6.5, Texture.SILT_LOAM)), Optional.empty());
        assertThat(habit.soil()).isEqualTo(1.15);
    }

    /** Apple on M9, spindle: 7.5 × 0.37 × 0.55 wide and 7 × 0.37 × 0.85 high, by hand. */
    @Test
    void aSpindleIsNarrowAndNearlyAsHigh() {
        TreeSize size =
                TreeSize.of(Shipped.variety("apple-cox"), Optional.of(Shipped.stock("m9")), trained("spindle", 1));
        assertThat(size.spread()).isCloseTo(1.526, within(0.001));
        assertThat(size.height()).isCloseTo(2.2015, within(0.001));
        assertThat(size.flat()).isFalse();
    }

    /** Fixed forms take their width from the wires, whatever stock and soil (RHS, The Fruit Garden Displayed). */
    @Test
    void wiresKeepAnEspalierTheSame() {
        TreeSize poor = TreeSize.of(
                Shipped.variety("apple-cox"), Optional.of(Shipped.stock("mm106")), trained("espalier", 0.85));
        TreeSize rich = TreeSize.of(
                Shipped.variety("apple-cox"), Optional.of(Shipped.stock("mm106")), trained("espalier", 1.15));
        assertThat(poor).isEqualTo(rich);
        assertThat(poor.spread()).isBetween(3.6, 5.4);
        assertThat(poor.flat()).isTrue();
    }

    /** Along its wires half its width, across them half its depth, between them in between. */
    @Test
    void aFlatTreeReachesFarAlongItsWiresOnly() {
        TreeSize flat = new TreeSize(4, 2, 0.6);
        assertThat(flat.reach(0)).isCloseTo(2, within(1e-9));
        assertThat(flat.reach(180)).isCloseTo(2, within(1e-9));
        assertThat(flat.reach(90)).isCloseTo(0.3, within(1e-9));
        assertThat(flat.reach(45)).isBetween(0.3, 2.0);
        assertThat(new TreeSize(4, 3).reach(37)).isEqualTo(2);
    }

    private static Habit trained(String system, double soil) {
        return new Habit(soil, TrainingSystem.named(system));
    }
}
