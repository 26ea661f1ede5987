package idlebough.core.orchard;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.judge.Working;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One old tree and room for two. */
class ShortRoadTest {
    private static ShortRoad road(String crop, String old, String stock, Texture texture) {
        Evaluation nothing = Evaluation.of(Orchard.empty(45, LocalDate.of(2027, 3, 20)));
        return ShortRoad.of(
                nothing,
                new ShortRoad.Asked(
                        Shipped.crop(crop),
                        Optional.ofNullable(old).map(Shipped::variety),
                        6,
                        Optional.of(Shipped.stock(stock)),
                        texture,
                        45));
    }

    /** A triploid gives no pollen, so it wants two others that serve each other too (common practice). */
    @Test
    void besideATriploidStandTwoThatServeEachOther() {
        ShortRoad road = road("apple", "apple-bramley", "mm106", Texture.LOAM);
        assertThat(road.pairs()).isNotEmpty().allSatisfy(pair -> {
            assertThat(pair.first().variety().triploid()).isFalse();
            assertThat(pair.second().variety().triploid()).isFalse();
            assertThat(pair.serves()).isTrue();
            assertThat(pair.oldSet()).isPresent();
        });
    }

    /** Where nobody knows what it is, it is not counted on. */
    @Test
    void anUnknownAppleIsNotCountedOn() {
        ShortRoad road = road("apple", null, "m26", Texture.LOAM);
        assertThat(road.pairs()).isNotEmpty().allSatisfy(pair -> {
            assertThat(pair.oldSet()).isEmpty();
            assertThat(pair.serves()).isTrue();
        });
    }

    /** Crowns half of each apart; insects carry pollen well for 15 m (common practice). */
    @Test
    void theDistancesAreThoseOfTheCrownsAndThePartners() {
        ShortRoad road = road("apple", "apple-cox", "mm106", Texture.LOAM);
        assertThat(road.fromOld()).isEqualTo(3 + road.size().spread() / 2);
        assertThat(road.between()).isEqualTo(road.size().spread());
        assertThat(road.reach()).isEqualTo(15);
    }

    /** In heavy soil the flare stands higher than in loam (common practice); the union always above the board. */
    @ParameterizedTest
    @CsvSource({"SAND", "LOAM", "CLAY"})
    void theUnionStandsAboveTheGround(Texture texture) {
        ShortRoad road = road("apple", "apple-cox", "mm106", texture);
        assertThat(road.section().unionAtLast()).isGreaterThanOrEqualTo(0.10 - 1e-9);
        assertThat(road.section().raise()).isGreaterThan(0);
        assertThat(road("apple", "apple-cox", "mm106", Texture.CLAY).section().raise())
                .isGreaterThanOrEqualTo(road.section().raise());
    }

    /** A fruit that crops with its own pollen needs no partner (common practice): one variety may stand twice. */
    @Test
    void citrusCropsAlone() {
        ShortRoad road = road("lemon", null, "trifoliate-dwarf", Texture.LOAM);
        assertThat(road.pairs())
                .isNotEmpty()
                .allSatisfy(pair -> assertThat(pair.serves()).isTrue());
        ShortRoad apples = road("apple", null, "m26", Texture.LOAM);
        assertThat(apples.pairs().get(0).alike()).isFalse();
    }

    @Test
    void everyFigureOpensItsWorking() {
        ShortRoad road = road("apple", "apple-cox", "mm106", Texture.LOAM);
        ShortRoad.Pair best = road.pairs().get(0);
        for (Working working :
                List.of(road.fromOldWorking(), road.betweenWorking(), road.reachWorking(), road.setWorking(best))) {
            assertThat(working.steps()).isNotEmpty();
            assertThat(working.source().line()).isNotBlank();
        }
    }
}
