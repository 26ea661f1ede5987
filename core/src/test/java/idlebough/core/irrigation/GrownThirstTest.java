package idlebough.core.irrigation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class GrownThirstTest {
    /** 7 mm × 0.65 × 24 m²: the fourth tree of the published check values for drip design, 109.2 L by hand. */
    @Test
    void aMillimetreOnASquareMetreIsALitre() {
        assertThat(new GrownThirst(7, 0.65, 24).litres()).isCloseTo(109.2, within(1e-9));
    }

    /** Twice as wide drinks four times as much. */
    @Test
    void thirstGoesWithTheGroundUnderTheCrown() {
        assertThat(new GrownThirst(5, 0.95, Math.PI * 4).litres())
                .isCloseTo(4 * new GrownThirst(5, 0.95, Math.PI).litres(), within(1e-9));
    }
}
