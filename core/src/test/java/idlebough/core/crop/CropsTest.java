package idlebough.core.crop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import idlebough.core.Shipped;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shipped crops hang together, and agree with the trade where everybody knows it. */
class CropsTest {
    @Test
    void everyCropIsPossible() {
        assertThat(Catalogue.shipped().crops()).hasSizeGreaterThan(10).allSatisfy(crop -> {
            assertThat(crop.wetRank()).isBetween(1, 6);
            assertThat(crop.phLow()).isBetween(4.0, crop.phHigh());
            assertThat(crop.phHigh()).isBetween(6.0, 9.0);
            assertThat(crop.sunHours()).isBetween(4.0, 10.0);
            assertThat(crop.coldCelsius()).isBetween(-45.0, 3.0);
            assertThat(crop.bloom().selfFruitful()).isBetween(0.0, 1.0);
            assertThat(crop.spreadMetres()).isBetween(1.5, 20.0);
            assertThat(crop.heightMetres()).isBetween(1.5, 30.0);
            assertThat(crop.life().firstCropYear()).isBetween(1, 12);
            assertThat(Shipped.crop(crop.key())).isSameAs(crop);
        });
        assertThatThrownBy(() -> Shipped.crop("cactus")).isInstanceOf(IllegalArgumentException.class);
    }

    /** Rowe & Beardsell 1973: pear and quince stand wet feet best of all, peach, almond and apricot worst. */
    @ParameterizedTest
    @CsvSource({"pear, apple", "quince, sweet-cherry", "apple, sweet-cherry", "apple, apricot", "pear, peach"})
    void wetFeetInTheOrderOfTheReview(String better, String worse) {
        assertThat(Shipped.crop(better).wetRank())
                .isLessThan(Shipped.crop(worse).wetRank());
    }

    /** common practice */
    @ParameterizedTest
    @CsvSource({"apple, an apple", "pear, a pear", "apricot, an apricot", "quince, a quince"})
    void theArticleFits(String key, String words) {
        assertThat(Shipped.crop(key).withArticle()).isEqualTo(words);
    }

    /** common practice: pome fruit by insects; citrus is evergreen and tenderer than any pome fruit. */
    @Test
    void pollenFrostAndLeaves() {
        assertThat(Shipped.crop("apple").vector()).isEqualTo(Crop.Vector.INSECT);
        Catalogue.shipped().crops().stream()
                .filter(crop -> crop.kind() == Crop.Kind.CITRUS)
                .forEach(citrus -> {
                    assertThat(citrus.evergreen()).isTrue();
                    assertThat(citrus.coldCelsius())
                            .isGreaterThan(Shipped.crop("apple").coldCelsius());
                });
        assertThat(Catalogue.shipped().crops()).anyMatch(crop -> crop.kind() == Crop.Kind.CITRUS);
    }
}
