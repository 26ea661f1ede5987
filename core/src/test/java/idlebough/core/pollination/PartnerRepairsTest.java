package idlebough.core.pollination;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import idlebough.core.pollination.PartnerRepairs.Repair;
import idlebough.core.site.Point;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.SpringHours;
import idlebough.core.winter.StationRecord;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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
