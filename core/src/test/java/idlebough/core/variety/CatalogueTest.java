package idlebough.core.variety;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Crops;
import idlebough.core.rootstock.Rootstock;
import idlebough.core.rootstock.Rootstocks;
import idlebough.core.winter.ChillModel;
import java.time.Month;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The shipped tables hold together. */
class CatalogueTest {
    @Test
    void broadEnoughAndEveryRowWithItsOrigin() {
        assertThat(Varieties.all())
                .hasSizeGreaterThanOrEqualTo(40)
                .allSatisfy(v -> assertThat(v.origin()).as(v.key()).isNotBlank());
        assertThat(Varieties.all().stream().map(v -> v.crop().key()).collect(Collectors.toSet()))
                .hasSizeGreaterThanOrEqualTo(10);
        assertThat(Rootstocks.all()).hasSizeGreaterThanOrEqualTo(15);
    }

    @Test
    void leavesOutWhatIsLeftOut() {
        Set<String> out = Set.of(
                "Washington navel",
                "Conference",
                "Bartlett",
                "Hass",
                "Gem",
                "Zutano",
                "Red Devil",
                "Lord Lambourne",
                "Fiji dwarf",
                "Kesar",
                "Ure",
                "Golden Spice",
                "Shinko",
                "Hosui",
                "Korean Giant",
                "Negronne",
                "Ronde de Bordeaux",
                "Violette de Bordeaux",
                "Hardy Chicago",
                "Satsuma",
                "GoldRush");
        assertThat(Varieties.all()).noneMatch(v -> out.contains(v.name()));
    }

    @Test
    void everyVarietyHasAStockItHoldsOn() {
        assertThat(Varieties.all())
                .allSatisfy(v -> assertThat(Rootstocks.forCrop(v.crop().key()))
                        .as(v.key())
                        .anyMatch(stock -> Rootstocks.misfit(v, stock) == null));
    }

    @Test
    void needsLieInTheRangeOfTheirCrop() {
        // winter.md 7–8, hours 0–7.2: deciduous fruit up to 1500, evergreens and no dormancy: none
        for (Variety v : Varieties.all()) {
            if (v.crop().evergreen()) {
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
        assertThat(Varieties.all())
                .filteredOn(Variety::triploid)
                .hasSizeGreaterThanOrEqualTo(2)
                .allMatch(v -> !v.givesPollen());
        assertThat(Varieties.of("peach-hale").givesPollen())
                .as("J.H. Hale is male-sterile")
                .isFalse();
    }

    @Test
    void unionsStandHighEnoughByTheKindOfStock() {
        // common practice: dwarfing and semi-dwarfing 10–15 cm, vigorous 5–10, citrus at least 15
        for (Rootstock stock : Rootstocks.all()) {
            if (stock.ownRooted()) {
                assertThat(stock.unionMin()).isZero();
            } else if (stock.crops().contains("orange")) {
                assertThat(stock.unionMin()).as(stock.key()).isEqualTo(0.15);
            } else if (stock.factor() < 0.5) {
                assertThat(stock.unionMin()).as(stock.key()).isEqualTo(0.10);
            } else {
                assertThat(stock.unionMin()).as(stock.key()).isBetween(0.05, 0.10);
            }
            assertThat(stock.factorLow()).isLessThanOrEqualTo(stock.factor());
            assertThat(stock.factorHigh()).isGreaterThanOrEqualTo(stock.factor());
            assertThat(stock.crops())
                    .allSatisfy(crop -> assertThat(Crops.of(crop)).isNotNull());
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
        assertThat(Rootstocks.misfit(Varieties.of(variety), Rootstocks.find(stock)))
                .isNotNull()
                .extracting(Rootstocks.Misfit::fails)
                .isEqualTo(fails);
    }

    @Test
    void graftsThatHold() {
        // pear on quince is good with Comice; St Julien A takes plum, peach and apricot
        assertThat(Rootstocks.misfit(Varieties.of("pear-comice"), Rootstocks.find("quince-a")))
                .isNull();
        for (String variety : List.of("plum-stanley", "peach-redhaven", "apricot-moorpark")) {
            assertThat(Rootstocks.misfit(Varieties.of(variety), Rootstocks.find("st-julien")))
                    .isNull();
        }
    }

    @Test
    void theSouthRipensHalfAYearLater() {
        assertThat(Varieties.of("apple-cox").ripe(50)).isEqualTo(Month.OCTOBER);
        assertThat(Varieties.of("apple-cox").ripe(-36)).isEqualTo(Month.APRIL);
    }

    @Test
    void whoStandsWetFeetInTheOrderOfRoweAndBeardsell1973() {
        assertThat(List.of("quince", "pear", "apple", "plum", "sweet-cherry", "peach"))
                .extracting(key -> Crops.of(key).wetRank())
                .isSorted();
        assertThat(Crops.all()).extracting(Crop::wetRank).allMatch(rank -> rank >= 1 && rank <= 6);
        assertThat(Crops.of("apple").withArticle()).isEqualTo("an apple");
        assertThat(Crops.of("plum").withArticle()).isEqualTo("a European plum");
    }
}
