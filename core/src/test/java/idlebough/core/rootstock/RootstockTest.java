package idlebough.core.rootstock;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.Point;
import idlebough.core.site.SoilPit;
import idlebough.core.site.TestHole;
import idlebough.core.site.Texture;
import idlebough.core.variety.Varieties;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class RootstockTest {
    private static SoilPit pit(double fallInTwoHours, Double ph) {
        return new SoilPit(
                "p",
                "1",
                new Point(0, 0),
                Texture.CLAY_LOAM,
                0.3,
                null,
                ph,
                new DrainageTest(
                        new TestHole.Cylinder(0.3),
                        0.4,
                        true,
                        false,
                        List.of(
                                new DrainageTest.Reading(0, 0.05),
                                new DrainageTest.Reading(60, 0.05 + fallInTwoHours / 2),
                                new DrainageTest.Reading(120, 0.05 + fallInTwoHours))));
    }

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
        TreeSize size = TreeSize.of(Varieties.of(variety), Rootstocks.find(stock));
        assertThat(size.spread()).isBetween(wideLow, wideHigh);
        assertThat(size.height()).isBetween(tallLow, tallHigh);
        assertThat(TreeSize.working(Varieties.of(variety), Rootstocks.find(stock))
                        .steps())
                .hasSize(4);
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

    @Test
    void noStockIsADoubtWithAWayOut() {
        assertThat(RootstockRules.judge("choice:1", Varieties.of("apple-cox"), null, List.of()))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.rule()).isEqualTo(RootstockRules.NONE_CHOSEN);
                    assertThat(f.standing()).isEqualTo(Standing.DOUBTFUL);
                    assertThat(f.remedies()).isNotEmpty();
                });
    }

    @Test
    void aTenderStockInSlowSoilNamesABetterOne() {
        List<Finding> findings = RootstockRules.judge(
                "choice:1", Varieties.of("plum-stanley"), Rootstocks.find("pixy"), List.of(pit(0.03, null)));
        assertThat(findings)
                .filteredOn(f -> f.rule().equals(RootstockRules.WET))
                .singleElement()
                .satisfies(f -> {
                    assertThat(f.standing()).isEqualTo(Standing.DOUBTFUL);
                    assertThat(f.remedies().get(0).details()).containsEntry("stock", "myrobalan");
                });
        assertThat(RootstockRules.judge(
                        "choice:1",
                        Varieties.of("plum-stanley"),
                        Rootstocks.find("myrobalan"),
                        List.of(pit(0.20, null))))
                .filteredOn(f -> f.rule().equals(RootstockRules.WET))
                .allMatch(Finding::isSound);
    }

    @Test
    void quinceYellowsOnLime() {
        assertThat(RootstockRules.judge(
                        "choice:1", Varieties.of("pear-comice"), Rootstocks.find("quince-a"), List.of(pit(0.2, 8.0))))
                .filteredOn(f -> f.rule().equals(RootstockRules.LIME))
                .singleElement()
                .extracting(Finding::standing)
                .isEqualTo(Standing.STOP);
        assertThat(RootstockRules.judge(
                        "choice:1", Varieties.of("pear-comice"), Rootstocks.find("quince-a"), List.of(pit(0.2, 6.4))))
                .noneMatch(f -> f.rule().equals(RootstockRules.LIME));
    }

    @Test
    void wordsForSize() {
        assertThat(List.of("m9", "mm106", "mm111", "m25"))
                .extracting(key -> Rootstocks.find(key).sizeWord())
                .containsExactly("dwarfing", "semi-dwarfing", "semi-vigorous", "vigorous");
    }
}
