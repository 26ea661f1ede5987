package idlebough.core.pollination;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.OwnEntry;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.pollination.PartnerRepairs.Repair;
import idlebough.core.pollination.PartnerRepairs.Spare;
import idlebough.core.site.Point;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.SpringHours;
import idlebough.core.winter.StationRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What mends a plan, what a loss costs, and the common days of each spring, against cases worked by hand. */
class PartnerRepairsTest {
    private static PartnerWeb web(String... varietiesAndPlaces) {
        List<Flowering> trees = new ArrayList<>();
        for (String each : varietiesAndPlaces) {
            String[] part = each.split("@");
            trees.add(new Flowering(
                    Subject.tree("t" + trees.size()),
                    "T" + trees.size(),
                    Shipped.variety(part[0]),
                    Optional.of(new Point(Double.parseDouble(part[1]), 0))));
        }
        return PartnerWeb.of(trees);
    }

    private static List<Variety> candidates(String... keys) {
        return Stream.of(keys).map(Shipped::variety).toList();
    }

    /** Bing, Napoleon and Lambert are one group, III (Crane & Brown 1937): a Van serves all three. */
    @Test
    void oneVanMendsAWholeGroup() {
        PartnerWeb web = web("cherry-bing@0", "cherry-napoleon@6", "cherry-lambert@12");
        PartnerRepairs repairs = new PartnerRepairs(web, candidates("cherry-lambert", "cherry-van"));
        assertThat(repairs.lonely()).hasSize(3);
        assertThat(repairs.fewest()).singleElement().satisfies(repair -> {
            assertThat(repair.variety().key()).isEqualTo("cherry-van");
            assertThat(repair.mends()).hasSize(3);
        });
    }

    /** A triploid wants two, of two varieties (de Nettancourt 1977). */
    @Test
    void aTriploidGetsTwo() {
        PartnerRepairs repairs = new PartnerRepairs(
                web("apple-bramley@0"), candidates("apple-boskoop", "apple-cox", "apple-james-grieve"));
        assertThat(repairs.fewest())
                .extracting(repair -> repair.variety().key())
                .containsExactlyInAnyOrder("apple-cox", "apple-james-grieve");
    }

    /** Two lonely trees a hundred metres apart need one each: pollen is not carried so far. */
    @Test
    void farApartEachGetsItsOwn() {
        PartnerRepairs repairs = new PartnerRepairs(
                web("cherry-bing@0", "cherry-lambert@100"), candidates("cherry-van", "cherry-regina"));
        assertThat(repairs.fewest()).hasSize(2);
    }

    @Test
    void theFewestAreTakenFromThosePreferred() {
        // Neither Idared 3/7 nor Golden Delicious 2/3 shares an allele with Cox 5/9: the first of the order is taken.
        PartnerRepairs repairs = new PartnerRepairs(web("apple-cox@0"), candidates("apple-idared", "apple-golden"));
        assertThat(repairs.fewest())
                .extracting(repair -> repair.variety().key())
                .containsExactly("apple-idared");
    }

    /** Black Tartarian’s clones differ and its alleles are left open: what is known to fit goes before it. */
    @Test
    void whatIsSureGoesBeforeWhatIsPreferred() {
        assertThat(new PartnerRepairs(web("cherry-bing@0"), candidates("cherry-tartarian", "cherry-van")).fewest())
                .singleElement()
                .satisfies(repair -> {
                    assertThat(repair.variety().key()).isEqualTo("cherry-van");
                    assertThat(repair.surely()).isTrue();
                });
    }

    @Test
    void whatIsServedNeedsNothingAndNothingHelpsWithoutAFit() {
        assertThat(new PartnerRepairs(web("cherry-bing@0", "cherry-van@6"), candidates("cherry-regina")).lonely())
                .isEmpty();
        assertThat(new PartnerRepairs(web("cherry-bing@0"), candidates("cherry-lambert", "plum-stanley")).fewest())
                .isEmpty();
        assertThat(new PartnerRepairs(web("fig-celeste@0"), candidates("fig-mission")).lonely())
                .as("a common fig needs no pollen")
                .isEmpty();
    }

    /** A branch of Van on the one Bing serves both of group III; a plum bears no branch of a cherry (common practice). */
    @Test
    void aBranchDoesWhereTheKindsTake() {
        PartnerWeb web = web("cherry-bing@0", "cherry-lambert@6");
        PartnerRepairs repairs = new PartnerRepairs(web, candidates("cherry-van"));
        Repair repair = repairs.fewest().get(0);
        Flowering bing = web.trees().get(0);
        assertThat(repairs.instead(repair, List.of()).branchOn()).contains(bing);
        Flowering branch =
                new Flowering(bing.subject(), "branch", Shipped.variety("cherry-van"), bing.place(), 0.8, true);
        PartnerWeb after = PartnerWeb.of(
                Stream.concat(web.trees().stream(), Stream.of(branch)).toList());
        assertThat(repair.mends())
                .hasSize(2)
                .allSatisfy(tree -> assertThat(after.setOf(tree)).isGreaterThanOrEqualTo(PartnerScore.GOOD));
        assertThat(after.setOf(branch))
                .as("it is served by the tree that bears it")
                .isGreaterThan(0.5);
        PartnerRepairs sour = new PartnerRepairs(web("plum-jefferson@0"), candidates("plum-victoria", "cherry-van"));
        assertThat(sour.fewest())
                .allSatisfy(each -> assertThat(each.variety().key()).isEqualTo("plum-victoria"));
    }

    /** Of two Lamberts one may become the Van; the only Lambert of another Bing's pair may not, if that leaves it idle. */
    @Test
    void whatCanBeSparedChanges() {
        PartnerWeb web = web("cherry-bing@0", "cherry-lambert@6", "cherry-lambert@9");
        PartnerRepairs repairs = new PartnerRepairs(web, candidates("cherry-van"));
        Repair repair = repairs.fewest().get(0);
        Spare second = new Spare(web.trees().get(2), false);
        List<Flowering> others = List.of(web.trees().get(0), web.trees().get(1));
        Repair ofOthers = new Repair(repair.variety(), repair.beside(), others, true);
        assertThat(repairs.instead(ofOthers, List.of(second)).inPlaceOf()).contains(second);
        PartnerWeb pair = web("cherry-bing@0", "cherry-van@6", "cherry-lambert@200");
        PartnerRepairs lone = new PartnerRepairs(pair, candidates("cherry-rainier"));
        Spare van = new Spare(pair.trees().get(1), false);
        assertThat(lone.instead(lone.fewest().get(0), List.of(van)).inPlaceOf())
                .as("without the Van, which is 190 m from Lambert, it would still have none")
                .isEmpty();
    }

    /** An apple of unknown variety at hand is a hope and not a partner; over the fence half of it (project choice). */
    @Test
    void aTreeWithoutANameIsAHope() {
        Flowering cox = web("apple-cox@0").trees().get(0);
        Flowering unnamed = new Flowering(
                Subject.feature("u"), "old apple", Variety.unknown(cox.variety().crop()), Optional.of(new Point(8, 0)));
        Flowering theirs = new Flowering(unnamed.subject(), unnamed.label(), unnamed.variety(), unnamed.place(), 0.5);
        Flowering far =
                new Flowering(unnamed.subject(), unnamed.label(), unnamed.variety(), Optional.of(new Point(90, 0)));
        assertThat(standing(cox, unnamed)).isEqualTo(Standing.DOUBTFUL);
        assertThat(standing(cox, theirs)).isEqualTo(Standing.DOUBTFUL);
        assertThat(standing(cox, far)).as("beyond 30 m none").isEqualTo(Standing.STOP);
    }

    private static Standing standing(Flowering tree, Flowering other) {
        return PartnerRules.judge(PartnerWeb.of(List.of(tree, other)).around(tree))
                .orElseThrow()
                .standing();
    }

    /** A colour sport carries its parent's alleles: to each other they are one plant (Broothaerts 2003). */
    @Test
    void aSportIsItsParent() {
        Catalogue catalogue = Catalogue.with(
                Map.of(),
                List.of(new OwnEntry(
                        OwnEntry.What.VARIETY, "own-red", Map.of("name", "Red sport", "sport_of", "apple-cox"))));
        Variety red = catalogue.variety("own-red");
        assertThat(red.alleles()).isEqualTo("5/9");
        assertThat(Pairing.genes(red, Shipped.variety("apple-cox"))).isZero();
        assertThat(Pairing.genes(Shipped.variety("apple-cox"), red)).isZero();
        assertThat(Pairing.genes(red, Shipped.variety("apple-golden"))).isEqualTo(1);
    }

    /** A branch near by hides no whole tree further off. */
    @Test
    void addingABranchNeverMakesPartnersFewer() {
        Random random = new Random(13);
        List<String> apples = List.of("apple-cox", "apple-golden", "apple-james-grieve", "apple-bramley");
        for (int round = 0; round < 40; round++) {
            String[] places = IntStream.range(0, 5)
                    .mapToObj(i -> apples.get(random.nextInt(4)) + "@" + random.nextInt(60))
                    .toArray(String[]::new);
            PartnerWeb web = web(places);
            Flowering bearer = web.trees().get(random.nextInt(5));
            Flowering branch = new Flowering(
                    bearer.subject(),
                    "branch",
                    Shipped.variety(apples.get(random.nextInt(4))),
                    bearer.place(),
                    0.8,
                    true);
            PartnerWeb after = PartnerWeb.of(
                    Stream.concat(web.trees().stream(), Stream.of(branch)).toList());
            assertThat(web.trees())
                    .allSatisfy(tree -> assertThat(after.setOf(tree)).isGreaterThanOrEqualTo(web.setOf(tree)));
        }
    }

    /** A tree over the fence counts by half (project choice): a full partner there is a thin one. */
    @Test
    void aNeighboursTreeIsHalfAPartner() {
        Flowering bing =
                new Flowering(Subject.tree("b"), "B", Shipped.variety("cherry-bing"), Optional.of(new Point(0, 0)));
        Flowering theirs = new Flowering(
                Subject.feature("n"),
                "over the fence",
                Shipped.variety("cherry-regina"),
                Optional.of(new Point(5, 0)),
                0.5);
        Flowering ours = new Flowering(Subject.tree("o"), "O", theirs.variety(), theirs.place());
        assertThat(PartnerWeb.of(List.of(bing, theirs)).setOf(bing))
                .isEqualTo(PartnerWeb.of(List.of(bing, ours)).setOf(bing) / 2);
    }

    /** Lost, the Van leaves both trees of group III idle; it keeps one of them itself. */
    @Test
    void whatHangsOnOneTree() {
        PartnerWeb web = web("cherry-bing@0", "cherry-van@6", "cherry-napoleon@12");
        assertThat(PartnerLosses.of(web)).singleElement().satisfies(loss -> {
            assertThat(loss.tree().variety().key()).isEqualTo("cherry-van");
            assertThat(loss.idle()).extracting(Flowering::id).containsExactly("t0", "t2");
        });
        assertThat(PartnerLosses.of(web("cherry-bing@0", "cherry-van@6", "cherry-van@-6", "cherry-bing@12")))
                .as("every tree has a second partner")
                .isEmpty();
    }

    /** Springs alike: with the same clock all days are common, and a colder spring makes nobody miss itself. */
    @Test
    void daysTogetherInEachSpring() {
        List<SpringHours> springs = springs();
        VarietySprings cox = of("apple-cox", springs);
        SpringsTogether own = SpringsTogether.of(cox, cox).orElseThrow();
        assertThat(own.years())
                .hasSize(8)
                .allSatisfy(year ->
                        assertThat(year.days()).isEqualTo(year.receiverDays()).isBetween(4, 18));
        assertThat(own.ofTen(1)).isEqualTo(10);
        assertThat(own.atLeast(19)).isZero();
        // By hand: the overlap of two spans of days, both ends counted.
        VarietySprings spy = of("apple-northern-spy", springs);
        SpringsTogether pair = SpringsTogether.of(cox, spy).orElseThrow();
        for (int i = 0; i < pair.years().size(); i++) {
            var one = cox.blooms().get(i).flowering().orElseThrow();
            var other = spy.blooms().get(i).flowering().orElseThrow();
            long days = one.first()
                    .datesUntil(one.end().plusDays(1))
                    .filter(day -> !day.isBefore(other.first()) && !day.isAfter(other.end()))
                    .count();
            assertThat(pair.years().get(i).days()).isEqualTo((int) days);
        }
        assertThat(pair.meanDays()).isLessThan(own.meanDays());
        assertThat(SpringsTogether.of(of("apple-cox", springs.subList(0, 4)), spy))
                .as("four springs tell no share")
                .isEmpty();
    }

    private static VarietySprings of(String variety, List<SpringHours> springs) {
        return VarietySprings.of(Shipped.variety(variety), springs, List.of()).orElseThrow();
    }

    private static List<SpringHours> springs() {
        LocalDate from = LocalDate.of(2001, 11, 1);
        List<DailyExtremes> days = new ArrayList<>();
        for (LocalDate day = from; day.isBefore(from.plusYears(8)); day = day.plusDays(1)) {
            boolean cold = day.getMonthValue() >= 11 || day.getMonthValue() <= 3;
            days.add(DailyExtremes.measured(day, cold ? 1 : 4 + day.getYear() % 3, cold ? 8 : 18));
        }
        return SpringHours.of(new StationRecord(days), 45);
    }

    @Test
    void everyRepairMendsWhatItSaysWhenItIsPlanted() {
        PartnerWeb web = web("apple-cox@0", "cherry-bing@5", "pear-comice@10", "jplum-burbank@15");
        for (Repair repair :
                new PartnerRepairs(web, List.copyOf(Catalogue.shipped().varieties())).fewest()) {
            List<Flowering> with = new ArrayList<>(web.trees());
            with.add(new Flowering(
                    Subject.tree("new"),
                    "new",
                    repair.variety(),
                    repair.beside().place()));
            PartnerWeb after = PartnerWeb.of(with);
            assertThat(repair.mends())
                    .isNotEmpty()
                    .allSatisfy(tree -> assertThat(after.setOf(tree)).isGreaterThanOrEqualTo(PartnerScore.GOOD));
        }
    }
}
