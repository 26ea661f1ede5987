package idlebough.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Pots against what their trade says they hold and weigh. */
class PotClassTest {
    /** The tree without its ball, kg. */
    private static final double BARE = 2;

    /** Cubic inches of ANSI Z60.1 (from memory) and kilograms of moist mix (common practice). */
    @ParameterizedTest
    @CsvSource({
        "#1, 152, 251, 2, 4", "#2, 320, 474, 5, 7", "#3, 628, 742, 8, 11", "#5, 785, 1242, 12, 17",
        "#7, 1337, 1790, 18, 26", "#10, 2080, 2646, 31, 40", "#15, 2768, 3696, 40, 53", "#25, 5775, 6861, 77, 104"
    })
    void holdsAndWeighsWhatItsClassDoes(String name, double least, double most, double light, double heavy) {
        PotClass pot = PotClass.named(name).orElseThrow();
        double cubicInches = pot.litres() / 0.0163871;
        assertThat(cubicInches).isBetween(least * 0.95, most * 1.05);
        NurseryTree tree = new NurseryTree(Form.CONTAINER, pot.across(), pot.height(), Optional.empty(), 0.02);
        assertThat(tree.litres()).as("the frustum of its measures").isCloseTo(pot.litres(), within(0.2 * pot.litres()));
        assertThat(tree.weight() - BARE).isBetween(0.85 * light, 1.1 * heavy);
    }

    /** By hand: a #15 pot of 41 cm with its flare 8 cm down has 33 cm of ball; what was measured from the flare stays. */
    @Test
    void aFlareDeepInThePotMakesAShallowBall() {
        double pot = PotClass.named("#15").orElseThrow().height();
        assertThat(PotClass.fromFlare(pot, 0, 0.08)).isCloseTo(0.33, within(1e-9));
        assertThat(PotClass.fromFlare(0.33, 0.08, 0.05)).as("corrected later").isCloseTo(0.36, within(1e-9));
        assertThat(PotClass.fromFlare(0.33, 0.08, 0)).isCloseTo(pot, within(1e-9));
        assertThat(PotClass.fromFlare(0.2345, 0, 0.08)).isEqualTo(0.2345);
    }

    @Test
    void potsInLitresHoldThem() {
        PotClass.ALL.stream().filter(pot -> !pot.us()).forEach(pot -> {
            NurseryTree tree = new NurseryTree(Form.CONTAINER, pot.across(), pot.height(), Optional.empty(), 0.02);
            assertThat(tree.litres()).as(pot.name()).isCloseTo(pot.litres(), within(0.2 * pot.litres()));
        });
        assertThat(PotClass.named("a bucket")).isEmpty();
    }
}
