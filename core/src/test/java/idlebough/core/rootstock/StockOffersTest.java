package idlebough.core.rootstock;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Rule;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.rootstock.StockOffer.Aspect;
import idlebough.core.site.Footing;
import idlebough.core.site.Plot;
import idlebough.core.site.Site;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import idlebough.core.variety.Choice;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Stocks beside one another; ranks and sizes of stocks: Rom & Carlson 1987, RHS (Baker), as in the catalogue. */
class StockOffersTest {
    private static final Variety APPLE = Shipped.variety("apple-cox");

    private static StockOffers apples(SoilPit pit, Double apart, double coldest) {
        RootstockRules.Rooted tree = new RootstockRules.Rooted(
                Subject.choice("c"), "‘Cox’", APPLE, Optional.empty(), Footing.GRADE, Optional.of("c"));
        return StockOffers.of(
                Catalogue.shipped(),
                APPLE,
                new StockOffers.Here(
                        tree, List.of(pit), Optional.ofNullable(apart), OptionalDouble.of(coldest), Habit.USUAL));
    }

    private static StockOffer offer(StockOffers offers, String stock) {
        return offers.of(stock).orElseThrow();
    }

    /** common practice: M26 and MM106 take collar rot in wet ground, M7 and MM111 bear it. */
    @Test
    void slowGroundStopsStocksThatRotThereAndTheWidestThatFitsIsPicked() {
        StockOffers slow = apples(Shipped.pit(14, 6.5, Texture.CLAY_LOAM), 5.0, -15);
        assertThat(offer(slow, "mm106").standing(Aspect.WET)).isEqualTo(Standing.STOP);
        assertThat(offer(slow, "m26").standing(Aspect.WET)).isEqualTo(Standing.STOP);
        assertThat(offer(slow, "m7").standing(Aspect.WET)).isNotEqualTo(Standing.STOP);
        assertThat(offer(slow, "m25").standing(Aspect.ROOM))
                .as("7.5 m wide between pegs 5 m apart")
                .isEqualTo(Standing.STOP);
        assertThat(slow.ranked().get(0).stock().key()).isEqualTo("m7");
        assertThat(slow.ranked())
                .noneMatch(StockOffer::stopped)
                .extracting(offer -> offer.stock().key())
                .doesNotContain("mm106", "m26", "m25");
    }

    /** 5 × 0.62 of 7.5 m is 4.65 m for MM106: half a metre too wide is within what is known of it, three are not. */
    @Test
    void pegsSayHowLargeATreeMayBecome() {
        StockOffers good = apples(Shipped.pit(60, 6.5, Texture.LOAM), 4.4, -15);
        assertThat(offer(good, "mm106").standing(Aspect.ROOM)).isEqualTo(Standing.SOUND);
        assertThat(offer(good, "mm111").standing(Aspect.ROOM)).isEqualTo(Standing.DOUBTFUL);
        assertThat(offer(good, "m25").standing(Aspect.ROOM)).isEqualTo(Standing.STOP);
        assertThat(good.ranked().get(0).size().spread())
                .isLessThanOrEqualTo(offer(good, "mm106").size().spread());
        assertThat(apples(Shipped.pit(60), null, -15).ranked())
                .as("without pegs nobody knows how large a tree may become")
                .isEmpty();
    }

    @Test
    void sizesAreToldAsARangeFromTheSmallestTreeToTheLargest() {
        StockOffers offers = apples(Shipped.pit(60), 4.4, -15);
        assertThat(offers.offers())
                .isSortedAccordingTo(
                        (a, b) -> Double.compare(a.size().spread(), b.size().spread()));
        assertThat(offers.offers()).allSatisfy(offer -> {
            assertThat(offer.known().low()).isLessThanOrEqualTo(offer.size().spread());
            assertThat(offer.known().high()).isGreaterThanOrEqualTo(offer.size().spread());
        });
        assertThat(offers.left(offer(offers, "m27")).orElseThrow()).isPositive();
        assertThat(offers.ranking().steps()).hasSizeGreaterThan(3);
    }

    /** common practice: dwarfing stocks are the tender ones, Bud 9 and Antonovka the hardy ones. */
    @Test
    void aDeepWinterIsStoodByTheHardyOnes() {
        StockOffers cold = apples(Shipped.pit(60), 4.4, -34);
        assertThat(offer(cold, "m9").standing(Aspect.COLD)).isEqualTo(Standing.STOP);
        assertThat(offer(cold, "bud9").standing(Aspect.COLD)).isNotEqualTo(Standing.STOP);
        assertThat(offer(cold, "antonovka").standing(Aspect.COLD)).isNotEqualTo(Standing.STOP);
    }

    private static List<Finding> judged(SoilPit pit, double waterSalt, String variety, String stock) {
        Orchard orchard = Orchard.empty(38, LocalDate.of(2027, 3, 1))
                .with(Site.empty(38)
                        .with(Plot.rectangle(30, 20))
                        .withPits(List.of(pit))
                        .withWater(waterSalt))
                .withChoices(List.of(new Choice("c", variety, Optional.of(stock), 1)));
        return Evaluation.of(orchard).rootstocks().judged().all();
    }

    /**
     * Water of 3 dS/m brings a soil to 4.5, and is severe; of 1.4 it asks for care (Ayers & Westcot 1985). Trifoliate
     * orange bears no salt, Cleopatra mandarin and
     * sour orange do, and both stand wet ground less well or fail where tristeza is (Castle in Rom & Carlson 1987).
     */
    @Test
    void saltyWaterNamesAStockThatBearsItAndWhatItLoses() {
        SoilPit good = Shipped.pit(60, 6.5, Texture.SANDY_LOAM);
        Finding salt = of(judged(good, 3, "orange-valencia", "trifoliate"), RootstockRules.SALT);
        assertThat(salt.standing()).isEqualTo(Standing.STOP);
        assertThat(salt.held().orElseThrow().measured().value()).isEqualTo(4.5);
        assertThat(salt.remedies().get(0))
                .isInstanceOfSatisfying(
                        RootstockRemedy.TakeStock.class,
                        take -> assertThat(take.stock()).isIn("cleopatra", "sour-orange"));
        assertThat(reason(salt)).contains("stands that better, and nothing else here worse");
        assertThat(of(judged(good, 1.4, "orange-valencia", "trifoliate"), RootstockRules.SALT)
                        .standing())
                .isEqualTo(Standing.DOUBTFUL);
        assertThat(of(judged(good, 0.3, "orange-valencia", "trifoliate"), RootstockRules.SALT)
                        .isSound())
                .as("fresh water harms nothing")
                .isTrue();
        // West Indian avocado seedlings bear salt and no wet feet, clonal stocks the other way about.
        SoilPit slow = Shipped.pit(29, 6.5, Texture.CLAY_LOAM);
        assertThat(reason(of(judged(slow, 3, "avocado-bacon", "avocado-clonal"), RootstockRules.SALT)))
                .contains("West Indian-race seedling stands that better, but wet feet worse");
    }

    /** Peaches have no stock for very salty water: all are at an end at 6 dS/m (Maas & Hoffman 1977). */
    @Test
    void whereNoStockHelpsThatIsSaid() {
        SoilPit good = Shipped.pit(60, 6.5, Texture.SANDY_LOAM);
        assertThat(reason(of(judged(good, 5, "peach-redhaven", "st-julien"), RootstockRules.SALT)))
                .contains("No stock for it does better here");
    }

    private static Finding of(List<Finding> found, Rule rule) {
        return found.stream()
                .filter(finding -> finding.rule().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    private static String reason(Finding finding) {
        return finding.reason().in(new Display(UnitSystem.METRIC, Locale.UK));
    }

    /** M9 makes spindles 1.2 to 1.8 m apart and no standards; M25 standards and no cordons: RHS (Baker). */
    @Test
    void systemsSuitTheStock() {
        var onM9 = TrainingSystem.of(APPLE, Shipped.stock("m9"));
        assertThat(onM9)
                .extracting(spaced -> spaced.system().name())
                .contains("spindle", "oblique cordon", "dwarf bush")
                .doesNotContain("standard", "half-standard", "open vase");
        assertThat(onM9)
                .filteredOn(spaced -> spaced.system().name().equals("spindle"))
                .allSatisfy(spaced -> {
                    assertThat(spaced.inRow()).isBetween(1.2, 1.8);
                    assertThat(spaced.rows()).isBetween(3.0, 3.6);
                });
        assertThat(TrainingSystem.of(APPLE, Shipped.stock("m25")))
                .extracting(spaced -> spaced.system().name())
                .containsExactly("standard");
        assertThat(TrainingSystem.of(Shipped.variety("peach-redhaven"), Shipped.stock("st-julien")))
                .extracting(spaced -> spaced.system().name())
                .contains("open vase", "fan")
                .doesNotContain("espalier");
    }

    /** Whatever the ground: a stock that bears wet feet better is never judged worse for them. */
    @Test
    void whatBearsWetBetterStandsWetNoWorse() {
        Random random = new Random(9);
        for (int round = 0; round < 60; round++) {
            StockOffers offers = apples(Shipped.pit(2 + 40 * random.nextDouble(), 6.5, Texture.LOAM), 5.0, -15);
            for (StockOffer one : offers.offers()) {
                for (StockOffer other : offers.offers()) {
                    if (one.stock().wet() >= other.stock().wet()) {
                        assertThat(one.standing(Aspect.WET).isWorseThan(other.standing(Aspect.WET)))
                                .as(
                                        "%s against %s",
                                        one.stock().name(), other.stock().name())
                                .isFalse();
                    }
                }
            }
        }
    }

    /** Of stocks that wires keep to one width those that suit the wires go first: RHS (Baker). */
    @Test
    void onWiresTheStockMustSuitThem() {
        RootstockRules.Rooted tree = new RootstockRules.Rooted(
                Subject.choice("c"), "‘Cox’", APPLE, Optional.empty(), Footing.GRADE, Optional.of("c"));
        StockOffers offers = StockOffers.of(
                Catalogue.shipped(),
                APPLE,
                new StockOffers.Here(
                        tree,
                        List.of(Shipped.pit(40, 6.5, Texture.LOAM)),
                        Optional.of(4.6),
                        OptionalDouble.of(-10),
                        new Habit(1, TrainingSystem.named("espalier"))));
        assertThat(offers.offers()).extracting(offer -> offer.size().spread()).containsOnly(4.5);
        assertThat(offer(offers, "m25").standing(Aspect.TRAINING)).isEqualTo(Standing.DOUBTFUL);
        assertThat(offer(offers, "mm106").standing(Aspect.TRAINING)).isEqualTo(Standing.SOUND);
        assertThat(offers.ranked().get(0).standing(Aspect.TRAINING)).isEqualTo(Standing.SOUND);
    }
}
