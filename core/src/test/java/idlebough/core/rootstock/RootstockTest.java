package idlebough.core.rootstock;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Subject;
import idlebough.core.site.Footing;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RootstockTest {
    @ParameterizedTest
    @CsvSource({
        // common practice: European pear on vigorous stock about 25 ft (7.6 m) tall, 15–20 ft (4.6–6.1 m) wide, here
        // with the RHS width of 6.5
        "pear-bosc, pear-seedling, 5.5, 7.0, 6.9, 8.0",
        // common practice: Asian pear 15–18 ft (4.6–5.5 m) tall, 12–15 ft (3.7–4.6 m) apart
        "asian-chojuro, pear-seedling, 3.7, 4.7, 4.6, 5.6",
        // RHS (Baker): M9 2.5–3 m wide, 2–3 m tall; M27 1.5–2 m
        "apple-golden, m9, 2.4, 3.1, 2.0, 3.0",
        "apple-golden, m27, 1.5, 2.1, 1.4, 2.1",
        // RHS: MM111 5–6.5 m wide; Colt cherry 5–6 m
        "apple-golden, mm111, 5.0, 6.5, 4.5, 6.0",
        "cherry-van, colt, 5.0, 6.5, 5.0, 7.0"
    })
    void fullSizesOfTheBooks(
            String variety, String stock, double wideLow, double wideHigh, double tallLow, double tallHigh) {
        TreeSize size = TreeSize.of(Shipped.variety(variety), Shipped.stock(stock));
        assertThat(size.spread()).isBetween(wideLow, wideHigh);
        assertThat(size.height()).isBetween(tallLow, tallHigh);
        assertThat(TreeSize.working(Shipped.variety(variety), Shipped.stock(stock), Habit.USUAL)
                        .steps())
                .hasSize(5);
    }

    @Test
    void aCrownGrowsTowardsItsFullWidthAndSaysWhen() {
        TreeSize size = new TreeSize(3.5, 3);
        double before = 0;
        for (int year = 0; year < 30; year++) {
            assertThat(size.spreadAfter(year, 0.25)).isGreaterThan(before).isLessThan(3.5);
            before = size.spreadAfter(year, 0.25);
        }
        assertThat(size.spreadAfter(size.yearOf(3, 0.25), 0.25))
                .isCloseTo(3, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(size.yearOf(4, 0.25)).isInfinite();
        assertThat(size.yearOf(0.2, 0.25)).isZero();
    }

    /** common practice: plums on Myrobalan stand wet feet, on Pixy they do not. */
    @Test
    void aTenderStockInSlowSoilNamesABetterOne() {
        List<Finding> findings = new RootstockRules(Catalogue.shipped())
                .drainage(
                        new RootstockRules.Rooted(
                                Subject.tree("t"),
                                "A1",
                                Shipped.variety("plum-stanley"),
                                Optional.of(Shipped.stock("pixy")),
                                Footing.GRADE,
                                Optional.of("1")),
                        Shipped.pit(10));
        assertThat(findings)
                .filteredOn(f -> f.rule().equals(RootstockRules.DRAINAGE_RULE))
                .singleElement()
                .satisfies(f -> assertThat(f.remedies().get(1))
                        .isInstanceOfSatisfying(
                                RootstockRemedy.TakeStock.class,
                                take -> assertThat(take.stock()).isEqualTo("myrobalan")));
    }

    @Test
    void wordsForSize() {
        assertThat(List.of("m9", "mm106", "mm111", "m25"))
                .extracting(key -> Shipped.stock(key).sizeWord())
                .containsExactly("dwarfing", "semi-dwarfing", "semi-vigorous", "vigorous");
    }

    /**
     * Who suffers what, by facts of the trade: woolly aphid spares the Merton-Malling stocks (Rom & Carlson 1987),
     * tristeza kills trees on sour orange, root-knot nematodes spare Nemaguard and not Lovell (Layne), Old Home ×
     * Farmingdale bears fireblight and quince does not (Lombard & Westwood).
     */
    @ParameterizedTest
    @CsvSource({
        "woolly-aphid, mm106, m9",
        "woolly-aphid, mm111, m26",
        "tristeza, trifoliate, sour-orange",
        "nematodes, nemaguard, lovell",
        "nematodes, swingle, cleopatra",
        "fireblight, ohf87, quince-a",
        "collar-rot, bud9, mm106",
        "collar-rot, swingle, rough-lemon",
        "root-rot, avocado-clonal, avocado-seedling",
        "ink, chestnut-marsol, chestnut-seedling"
    })
    void oneBearsWhatTheOtherSuffers(String ill, String tough, String tender) {
        assertThat(Shipped.stock(tough).traits().ills().get(ill))
                .isLessThan(Shipped.stock(tender).traits().ills().get(ill));
        assertThat(facts(Shipped.stock(tender)).get("Ills hurt it").pattern()).contains("badly");
    }

    @Test
    void whatIsNotKnownOfAStockIsNotTold() {
        assertThat(Catalogue.shipped().rootstocks())
                .allSatisfy(stock -> assertThat(facts(stock)).as(stock.key()).containsKey("How sure"));
        assertThat(facts(Shipped.stock("turpentine"))).doesNotContainKeys("Suckers", "Roots are badly hurt in soil of");
        assertThat(facts(Shipped.stock("m9")).get("Holds in the ground").pattern())
                .as("M9 has brittle roots and wants a stake for life")
                .isEqualTo("poorly");
    }

    private static Map<String, Phrase> facts(Rootstock stock) {
        return StockFacts.of(Shipped.crop(stock.crops().iterator().next()), stock);
    }
}
