package idlebough.core.variety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.withinPercentage;

import idlebough.core.Shipped;
import idlebough.core.Vectors;
import idlebough.core.crop.BadCell;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Cropping;
import idlebough.core.crop.Variety;
import idlebough.core.crop.VarietyCells;
import idlebough.core.crop.VarietyTypes;
import idlebough.core.judge.Working;
import java.time.Month;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Ripe windows, the year's harvest and the order of wishes, worked by hand. */
class HarvestTest {
    private static Harvest.Ripe ripe(String variety, int trees, int from, int to) {
        return new Harvest.Ripe(
                Shipped.variety(variety),
                trees,
                14.0 * trees,
                new RipeWindow(
                        from,
                        to,
                        true,
                        Working.of("x").from(Shipped.variety(variety).chillSource())));
    }

    /** Order of ripening at one place: common practice. */
    @ParameterizedTest
    @CsvSource({
        "apple-yellow-transparent apple-discovery apple-james-grieve apple-cox apple-bramley",
        "apple-gravenstein apple-gala apple-mcintosh apple-golden apple-rome apple-granny",
        "cherry-burlat cherry-bing cherry-lapins cherry-regina",
        "pear-clapp pear-bosc pear-comice pear-winter-nelis",
        "peach-redhaven peach-elberta",
        "jplum-methley jplum-santa-rosa jplum-friar jplum-elephant-heart",
        "plum-czar plum-victoria plum-stanley",
        "almond-nonpareil almond-carmel almond-mission",
        "avocado-bacon avocado-pinkerton"
    })
    void ripenInTheOrderOfTheTrade(String keys) {
        assertThat(Stream.of(keys.split(" "))
                        .map(key -> RipeWindow.of(Shipped.variety(key), Optional.empty(), 42))
                        .map(window -> Math.floorMod(window.from() - 120, 365))
                        .toList())
                .isSorted();
    }

    @Test
    void towardsThePoleLaterAndSouthHalfAYearOn() {
        Variety cox = Shipped.variety("apple-cox");
        RipeWindow here = RipeWindow.of(cox, Optional.empty(), 48);
        assertThat(here.first()).hasMonth(Month.SEPTEMBER).hasDayOfMonth(25);
        assertThat(here.month()).isEqualTo(Month.OCTOBER);
        // three days a degree, by hand
        assertThat(RipeWindow.of(cox, Optional.empty(), 50).from()).isEqualTo(here.from() + 6);
        assertThat(RipeWindow.of(cox, Optional.empty(), -48).first().getMonth()).isEqualTo(Month.MARCH);
        Variety valencia = Shipped.variety("orange-valencia");
        assertThat(RipeWindow.of(valencia, Optional.empty(), 38).from())
                .as("an evergreen holds its fruit")
                .isEqualTo(RipeWindow.of(valencia, Optional.empty(), 34).from());
        RipeWindow hamlin = RipeWindow.of(Shipped.variety("orange-hamlin"), Optional.empty(), 34);
        assertThat(hamlin.to()).as("over the new year").isLessThan(hamlin.from());
        assertThat(hamlin.covers(1)).isTrue();
        assertThat(hamlin.covers(52)).isTrue();
        assertThat(hamlin.covers(30)).isFalse();
    }

    @Test
    void theGapIsTheLongestStretchWithoutOwnFruit() {
        // Week 31 to 32 and 40 to 41, and twenty weeks of store after: by hand weeks 62 − 52 = 10 to 30 are bare.
        Harvest harvest = Harvest.of(List.of(ripe("peach-elberta", 1, 211, 224), ripe("apple-golden", 1, 274, 287)));
        assertThat(harvest.inHand(41)).isTrue();
        assertThat(harvest.inHand(41 + 20 - 52)).isTrue();
        assertThat(harvest.gap()).contains(new Harvest.Weeks(10, 30));
        assertThat(harvest.gap().orElseThrow().length()).isEqualTo(21);
        assertThat(Harvest.fills(
                        ripe("loquat-tanaka", 1, 121, 160), harvest.gap().orElseThrow()))
                .isTrue();
        assertThat(Harvest.fills(ripe("apple-anna", 1, 161, 162), harvest.gap().orElseThrow()))
                .isFalse();
        assertThat(Harvest.of(List.of()).gap()).isEmpty();
    }

    @Test
    void aGlutIsMoreThanAHouseholdEatsAndAFairShare() {
        assertThat(Harvest.of(List.of(ripe("apple-golden", 3, 274, 287))).glut())
                .as("three trees")
                .isEmpty();
        Harvest.Glut glut = Harvest.of(List.of(
                        ripe("apple-golden", 3, 274, 287),
                        ripe("apple-cox", 2, 268, 276),
                        ripe("peach-elberta", 4, 211, 224)))
                .glut()
                .orElseThrow();
        assertThat(glut.trees()).isEqualTo(5);
        assertThat(glut.weeks()).isEqualTo(new Harvest.Weeks(40, 40));
        assertThat(Harvest.of(List.of(
                                ripe("apple-golden", 4, 274, 280),
                                ripe("peach-elberta", 4, 211, 217),
                                ripe("cherry-bing", 4, 180, 187)))
                        .glut())
                .as("four of twelve are a third only")
                .isEmpty();
    }

    @Test
    void wishesOrderAndExcludeNothing() {
        Wishes wishes = new Wishes(Optional.of(Month.OCTOBER), Optional.of(Wishes.Use.KEEP), true, false, false);
        Variety liberty = Shipped.variety("apple-liberty");
        Variety golden = Shipped.variety("apple-golden");
        RipeWindow october = ripe("apple-golden", 1, 274, 287).window();
        RipeWindow june = ripe("apple-golden", 1, 160, 170).window();
        assertThat(wishes.count()).isEqualTo(3);
        assertThat(wishes.met(golden, october)).as("ripe and keeps, but scab").isEqualTo(2);
        assertThat(wishes.met(liberty, october)).as("scab hardly touches it").isEqualTo(3);
        assertThat(wishes.met(liberty, june)).isEqualTo(2);
        Wishes easy = new Wishes(Optional.empty(), Optional.empty(), false, false, true);
        assertThat(easy.met(Shipped.variety("quince-vranja"), june))
                .as("a quince wants little")
                .isEqualTo(1);
        assertThat(easy.met(Shipped.variety("peach-redhaven"), june))
                .as("a peach wants much")
                .isZero();
        assertThat(Catalogue.shipped().crops())
                .allSatisfy(crop -> assertThat(Effort.of(crop).grade()).isBetween(1, 3));
        assertThat(Wishes.NONE.count()).isZero();
    }

    @Test
    void everyFactHasItsOrigin() {
        assertThat(Catalogue.shipped().varieties())
                .allSatisfy(v -> assertThat(VarietyFacts.of(v)).isNotEmpty().allSatisfy(fact -> {
                    assertThat(fact.source().citation()).isNotBlank();
                    assertThat(fact.name()).isNotBlank();
                }));
        assertThat(VarietyFacts.of(Shipped.variety("cherry-bing")))
                .filteredOn(fact -> fact.name().equals("S alleles"))
                .singleElement()
                .satisfies(fact -> assertThat(fact.value().pattern())
                        .as("group III: Crane & Brown 1937")
                        .isEqualTo("3/4, incompatibility group III"));
    }

    /** A column that holds one number for all says nothing. */
    @Test
    void noColumnIsFilledByOneNumber() {
        Map<String, Long> ripe = Catalogue.shipped().varieties().stream()
                .collect(Collectors.groupingBy(v -> v.habit().ripening().from().toString(), Collectors.counting()));
        assertThat(ripe.values().stream().max(Comparator.naturalOrder()).orElseThrow())
                .isLessThan(20);
        assertThat(Catalogue.shipped().varieties())
                .filteredOn(v -> v.habit().ripening().afterBloom().isPresent())
                .hasSizeGreaterThan(60)
                .allSatisfy(v -> {
                    var span = v.habit().ripening().afterBloom().orElseThrow();
                    assertThat(span.high()).as(v.key()).isGreaterThan(span.low());
                });
        assertThat(Catalogue.shipped().varieties())
                .filteredOn(v -> !v.type().isEmpty())
                .allSatisfy(v ->
                        assertThat(VarietyTypes.words(v.crop().key(), v.type())).isPresent());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "crop|rose|“rose” is no crop",
                "name||needs a name",
                "chill|many|is no number",
                "chill|900-600|from the smaller",
                "chill|5000|must lie between 0 and 3000",
                "chill_unit|days|h, cp or utah",
                "bloom|G|a letter from A",
                "ploidy|7|Ploidy is",
                "s|5,9|written as 5/9",
                "self|2|between 0 and 1",
                "type|C|is no type of apple",
                "ripe|13|a month of the north",
                "ripe|09-31/10-05|a month of the north",
                "ills|scab:4|is no ill",
                "cold_c|-80|between -60 and 5"
            })
    void aBadCellIsNamedWithWhatIsWanted(String column, String value, String sentence) {
        Map<String, String> cells = Map.of("crop", "apple", "name", "Own", "ripe", "9", "chill", "800");
        Map<String, idlebough.core.crop.Crop> crops = Catalogue.shipped().crops().stream()
                .collect(Collectors.toMap(idlebough.core.crop.Crop::key, crop -> crop));
        assertThat(VarietyCells.read(c -> cells.getOrDefault(c, ""), Set.of(), crops)
                        .name())
                .isEqualTo("Own");
        assertThat(org.assertj.core.api.Assertions.catchThrowableOfType(
                        BadCell.class,
                        () -> VarietyCells.read(
                                c -> c.equals(column)
                                        ? Optional.ofNullable(value).orElse("")
                                        : cells.getOrDefault(c, ""),
                                Set.of(),
                                crops)))
                .satisfies(bad -> {
                    assertThat(bad.column()).isEqualTo(column);
                    assertThat(bad).hasMessageContaining(sentence);
                });
    }

    /** Logistic rise of the yield (project choice), against an independent program. */
    @Test
    void yieldsOfTheYears() {
        Vectors.joined("yield_curve").forEach(row -> {
            double most = Double.parseDouble(row.get("ymax"));
            double first = Double.parseDouble(row.get("t0"));
            double full = Double.parseDouble(row.get("tf"));
            int year = Integer.parseInt(row.get("t"));
            assertThat(Cropping.yearly(most, first, full, year))
                    .isCloseTo(Double.parseDouble(row.get("out:year_yield")), withinPercentage(0.01));
            double sum = IntStream.rangeClosed(1, year)
                    .mapToDouble(each -> Cropping.yearly(most, first, full, each))
                    .sum();
            assertThat(sum).isCloseTo(Double.parseDouble(row.get("out:cumulative")), withinPercentage(0.01));
        });
    }

    /** MM106 40 to 60 kg, M27 5 to 7, first crops in year 3 and 2: RHS (Baker 1980). */
    @Test
    void whatATreeBringsByItsStock() {
        Crop apple = Shipped.crop("apple");
        Cropping mm106 = Cropping.of(apple, Optional.of(Shipped.stock("mm106"))).orElseThrow();
        assertThat(mm106.kg().low()).isEqualTo(40);
        assertThat(mm106.kg().high()).isEqualTo(60);
        assertThat(mm106.first()).isEqualTo(3);
        assertThat(mm106.in(2)).isZero();
        assertThat(mm106.in(20)).isBetween(45.0, 50.0);
        assertThat(Cropping.of(apple, Optional.of(Shipped.stock("m27")))
                        .orElseThrow()
                        .kg()
                        .high())
                .isEqualTo(7);
        assertThat(Cropping.of(apple, Optional.of(Shipped.stock("bud9")))
                        .orElseThrow()
                        .kg()
                        .middle())
                .as("between M27 and M9, which it stands between in size")
                .isBetween(6.0, 20.0);
        assertThat(Catalogue.shipped().crops())
                .allSatisfy(
                        crop -> assertThat(Cropping.of(crop, Optional.empty())).isPresent());
        Harvest two = Harvest.of(List.of(ripe("peach-elberta", 1, 211, 224), ripe("apple-golden", 1, 211, 217)));
        assertThat(two.kg()).isEqualTo(28);
        assertThat(two.kg(31)).as("half of the peaches, all of the apples").isEqualTo(21);
    }
}
