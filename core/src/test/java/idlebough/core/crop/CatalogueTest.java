package idlebough.core.crop;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.judge.Certainty;
import java.time.Month;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shipped tables hold together. */
class CatalogueTest {
    @Test
    void broadEnoughAndEveryRowWithItsOrigin() {
        assertThat(Catalogue.shipped().varieties())
                .hasSizeGreaterThanOrEqualTo(230)
                .allSatisfy(v -> assertThat(v.origin()).as(v.key()).isNotBlank());
        assertThat(Catalogue.shipped().varieties().stream()
                        .map(v -> v.crop().key())
                        .collect(Collectors.toSet()))
                .hasSizeGreaterThanOrEqualTo(28);
        assertThat(Catalogue.shipped().rootstocks()).hasSizeGreaterThanOrEqualTo(60);
    }

    @Test
    void everyVarietyHasAStockItHoldsOn() {
        assertThat(Catalogue.shipped().varieties())
                .allSatisfy(v -> assertThat(Catalogue.shipped().rootstocksFor(v.crop()))
                        .as(v.key())
                        .anyMatch(stock -> Catalogue.shipped().misfit(v, stock).isEmpty()));
    }

    @Test
    void needsLieInTheRangeOfTheirCrop() {
        // extension lists, hours 0–7.2: deciduous fruit up to 1500, evergreens and no dormancy: none
        for (Variety v : Catalogue.shipped().varieties()) {
            // The olive keeps its leaves and blooms after a winter only (Rallo & Martin 1991).
            if (v.crop().evergreen() && !v.crop().key().equals("olive")) {
                assertThat(v.chillNeed()).as(v.key()).isZero();
            } else if (v.chillModel() == ChillModel.HOURS) {
                assertThat(v.chillNeed()).as(v.key()).isBetween(50.0, 1500.0);
            } else {
                assertThat(v.chillNeed()).as(v.key()).isBetween(8.0, 90.0);
            }
        }
    }

    @Test
    void triploidsAndTheMaleSterileGiveNoPollen() {
        assertThat(Catalogue.shipped().varieties())
                .filteredOn(Variety::triploid)
                .hasSizeGreaterThanOrEqualTo(2)
                .allMatch(v -> !v.givesPollen());
        assertThat(Shipped.variety("peach-hale").givesPollen())
                .as("J.H. Hale is male-sterile")
                .isFalse();
    }

    @Test
    void unionsStandHighEnoughByTheKindOfStock() {
        // common practice: dwarfing and semi-dwarfing 10–15 cm, vigorous 5–10, citrus at least 15
        for (Rootstock stock : Catalogue.shipped().rootstocks()) {
            if (stock.ownRooted()) {
                assertThat(stock.unionMin()).isZero();
            } else if (stock.crops().contains("orange")) {
                assertThat(stock.unionMin()).as(stock.key()).isEqualTo(0.15);
            } else if (stock.factor() < 0.5) {
                assertThat(stock.unionMin()).as(stock.key()).isEqualTo(0.10);
            } else {
                assertThat(stock.unionMin()).as(stock.key()).isBetween(0.05, 0.10);
            }
            assertThat(stock.vigour().low()).isLessThanOrEqualTo(stock.factor());
            assertThat(stock.vigour().high()).isGreaterThanOrEqualTo(stock.factor());
            assertThat(stock.crops())
                    .allSatisfy(crop -> assertThat(Shipped.crop(crop)).isNotNull());
        }
    }

    @ParameterizedTest
    @CsvSource({
        "pear-seckel, quince-a, false",
        "pear-winter-nelis, quince-c, false",
        "lemon-eureka, trifoliate, true",
        "apple-cox, quince-a, true",
        "cherry-bing, st-julien, true"
    })
    void graftsThatDoNotHold(String variety, String stock, boolean fails) {
        // Lombard & Westwood in Rom & Carlson 1987; sweet cherry not on plum; apple only on apple
        assertThat(Catalogue.shipped().misfit(Shipped.variety(variety), Shipped.stock(stock)))
                .map(Misfit::fails)
                .contains(fails);
    }

    @Test
    void graftsThatHold() {
        // pear on quince is good with Comice; St Julien A takes plum, peach and apricot
        assertThat(Catalogue.shipped().misfit(Shipped.variety("pear-comice"), Shipped.stock("quince-a")))
                .isEmpty();
        for (String variety : List.of("plum-stanley", "peach-redhaven", "apricot-moorpark")) {
            assertThat(Catalogue.shipped().misfit(Shipped.variety(variety), Shipped.stock("st-julien")))
                    .isEmpty();
        }
    }

    @Test
    void theSouthRipensHalfAYearLater() {
        assertThat(Shipped.variety("apple-cox").ripe(50)).isEqualTo(Month.OCTOBER);
        assertThat(Shipped.variety("apple-cox").ripe(-36)).isEqualTo(Month.APRIL);
    }

    @Test
    void whoStandsWetFeetInTheOrderOfRoweAndBeardsell1973() {
        assertThat(List.of("quince", "pear", "apple", "plum", "sweet-cherry", "peach"))
                .extracting(key -> Shipped.crop(key).wetRank())
                .isSorted();
        assertThat(Catalogue.shipped().crops()).extracting(Crop::wetRank).allMatch(rank -> rank >= 1 && rank <= 6);
        assertThat(Shipped.crop("apple").withArticle()).isEqualTo("an apple");
        assertThat(Shipped.crop("plum").withArticle()).isEqualTo("a European plum");
        assertThat(Shipped.crop("sweet-cherry").plural()).isEqualTo("sweet cherries");
        assertThat(Shipped.crop("peach").plural()).isEqualTo("peaches");
        assertThat(Shipped.crop("avocado").plural()).isEqualTo("avocados");
    }

    /** A cell that nobody knows is empty; what is computed from is the crop's range, and weak. */
    @Test
    void whatIsNotKnownIsTheCropsRangeAndWeak() {
        assertThat(Shipped.variety("apple-egremont").chill())
                .isEqualTo(new Variety.ChillNeed(800, 400, 1200, ChillModel.HOURS, Certainty.WEAK, false));
        assertThat(Catalogue.shipped().varieties())
                .filteredOn(v -> v.origin().equals("crop range")
                        && !v.crop().key().equals("kaki")
                        && v.chillNeed()
                                == (v.crop().climate().chillLow()
                                                + v.crop().climate().chillHigh())
                                        / 2)
                .hasSizeGreaterThan(80)
                .allMatch(v -> v.chillCertainty() == Certainty.WEAK);
    }

    /** A crab apple is an apple to the bee, a damson a plum, a nectarine a peach: common practice. */
    @ParameterizedTest
    @CsvSource({"crab, apple", "damson, plum", "nectarine, peach", "pear, pear", "asian-pear, asian-pear"})
    void cropsThatShareTheirFlowers(String crop, String like) {
        assertThat(Shipped.crop(crop).like()).isEqualTo(like);
    }
}
