package idlebough.core.assortment;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Gardens;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.orchard.Evaluation;
import idlebough.core.pollination.BloomTimes;
import idlebough.core.pollination.Flowering;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.pollination.PartnerWeb;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Proposed sets on made gardens of seven climates, held against a checker that knows nothing of the solver. */
class ProposalSearchTest {
    private static final List<String> CROPS =
            List.of("apple", "pear", "plum", "sweet-cherry", "peach", "fig", "orange", "avocado", "almond", "hazel");

    static Stream<Map<String, String>> gardens() {
        return Gardens.all();
    }

    private static Map<String, String> garden(String name) {
        return Gardens.all()
                .filter(row -> row.get("garden").equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static List<Proposal> proposals(Evaluation evaluation, AssortmentWish wish) {
        return new ProposalSearch(
                        Candidates.of(evaluation.varieties(), evaluation.rootstocks(), List.of(), wish, List.of()),
                        wish)
                .run(() -> false, found -> {});
    }

    /** The first alone: as soon as a second is told, the search is let go. */
    private static List<Proposal> first(Evaluation evaluation, AssortmentWish wish) {
        List<List<Proposal>> told = new ArrayList<>();
        return new ProposalSearch(
                        Candidates.of(evaluation.varieties(), evaluation.rootstocks(), List.of(), wish, List.of()),
                        wish)
                .run(() -> !told.isEmpty() && told.get(told.size() - 1).size() > 1, told::add);
    }

    private static AssortmentWish wish(Map<String, Integer> crops, int trees, Double area) {
        return new AssortmentWish(crops, Set.of(Month.SEPTEMBER), trees, Optional.ofNullable(area), 8, false, 1);
    }

    @ParameterizedTest
    @MethodSource("gardens")
    void noHardRuleIsEverBroken(Map<String, String> garden) {
        Evaluation evaluation = Gardens.evaluation(garden);
        Random random = new Random(garden.get("garden").hashCode());
        Map<String, Integer> crops = new TreeMap<>();
        CROPS.stream().filter(crop -> random.nextBoolean()).forEach(crop -> crops.put(crop, 1 + random.nextInt(3)));
        AssortmentWish wish = new AssortmentWish(
                crops,
                Set.of(Month.JULY, Month.of(1 + random.nextInt(12))),
                4 + random.nextInt(12),
                random.nextBoolean() ? Optional.empty() : Optional.of(40 + 200 * random.nextDouble()),
                random.nextInt(11),
                random.nextInt(3) == 0,
                random.nextLong());
        List<Proposal> proposals = proposals(evaluation, wish);
        assertThat(proposals).allSatisfy(proposal -> check(evaluation, wish, proposal));
        assertThat(proposals.stream().map(Proposal::varieties)).doesNotHaveDuplicates();
        assertThat(proposals(evaluation, wish))
                .as("the same wish, the same sets")
                .isEqualTo(proposals);
    }

    /** Everything from the rooms before, nothing from the solver. */
    private static void check(Evaluation evaluation, AssortmentWish wish, Proposal proposal) {
        assertThat(proposal.trees()).isBetween(1, wish.trees());
        wish.area().ifPresent(area -> assertThat(proposal.area()).isLessThanOrEqualTo(area));
        List<Flowering> trees = new ArrayList<>();
        for (Proposal.Pick pick : proposal.picks()) {
            Variety variety = pick.candidate().variety();
            var verdict = evaluation.varieties().verdict(variety.key());
            assertThat(wish.crops()).containsKey(variety.crop().key());
            assertThat(verdict.raised().standing()).isNotEqualTo(Optional.of(Standing.STOP));
            verdict.match().ifPresent(match -> assertThat(match.ofTen()).isGreaterThanOrEqualTo(wish.safety()));
            assertThat(evaluation
                            .varieties()
                            .catalogue()
                            .misfit(variety, pick.candidate().stock()))
                    .isEmpty();
            if (wish.noSprays()) {
                assertThat(variety.ills().values()).allMatch(grade -> grade <= 1);
            }
            trees.add(new Flowering(Subject.variety(variety.key()), variety.name(), variety, Optional.empty()));
        }
        PartnerWeb web = PartnerWeb.of(trees, BloomTimes.at(evaluation.varieties()), null);
        trees.stream()
                .filter(tree -> tree.variety().crop().vector() != Crop.Vector.NONE)
                .forEach(tree -> {
                    assertThat(web.setOf(tree)).as(tree.label()).isGreaterThanOrEqualTo(PartnerScore.GOOD);
                    if (tree.variety().triploid()) {
                        assertThat(web.around(tree).giving()).hasSizeGreaterThanOrEqualTo(2);
                    }
                });
    }

    @Test
    void moreRoomIsNeverWorthLess() {
        Evaluation evaluation = Gardens.evaluation(garden("maritime"));
        int before = Integer.MIN_VALUE;
        for (double area : new double[] {5, 12, 20, 30, 60, 120}) {
            AssortmentWish wish = wish(Map.of("plum", 2, "medlar", 1, "quince", 3), 6, area);
            List<Proposal> found = first(evaluation, wish);
            int score = found.isEmpty() ? 0 : found.get(0).score();
            found.forEach(set -> assertThat(SetWorth.of(set, wish).total())
                    .as("its parts add up")
                    .isEqualTo(set.score()));
            assertThat(score).as("on %s m²", area).isGreaterThanOrEqualTo(before);
            before = score;
        }
        assertThat(before).as("three crops wished for, all there").isGreaterThanOrEqualTo(600);
    }

    /** A cherry that rejects its own pollen never comes alone, however little room there is (Crane & Brown 1937). */
    @Test
    void nothingLonelyIsProposed() {
        Evaluation evaluation = Gardens.evaluation(garden("mediterranean"));
        assertThat(proposals(evaluation, wish(Map.of("sweet-cherry", 3), 1, null)))
                .isNotEmpty()
                .allSatisfy(proposal -> assertThat(
                                proposal.picks().get(0).candidate().variety().selfFruitful())
                        .isGreaterThanOrEqualTo(0.5));
        assertThat(proposals(evaluation, wish(Map.of("almond", 3), 1, null)))
                .allSatisfy(proposal -> assertThat(
                                proposal.picks().get(0).candidate().variety().selfFruitful())
                        .isGreaterThanOrEqualTo(0.5));
    }

    @Test
    void whatCannotStandIsNotProposedAndThatIsSaid() {
        Evaluation evaluation = Gardens.evaluation(garden("boreal"));
        AssortmentWish wish = wish(Map.of("orange", 3, "apple", 1), 5, null);
        List<Proposal> proposals = proposals(evaluation, wish);
        assertThat(proposals).isNotEmpty().allSatisfy(proposal -> {
            assertThat(proposal.picks())
                    .allMatch(pick -> pick.candidate().variety().crop().key().equals("apple"));
            assertThat(proposal.said(wish))
                    .anyMatch(phrase -> phrase.arguments().contains("orange"));
        });
    }

    @Test
    void stoppedItTellsTheBestSoFar() {
        Evaluation evaluation = Gardens.evaluation(garden("maritime"));
        AssortmentWish wish = wish(Map.of("apple", 3, "pear", 3, "plum", 3, "hazel", 2), 20, null);
        List<List<Proposal>> told = new ArrayList<>();
        List<Proposal> found = new ProposalSearch(
                        Candidates.of(evaluation.varieties(), evaluation.rootstocks(), List.of(), wish, List.of()),
                        wish)
                .run(() -> !told.isEmpty(), told::add);
        assertThat(found).hasSize(1);
        assertThat(found.get(0).ended()).isEqualTo(Proposal.Ended.STOPPED);
        check(evaluation, wish, found.get(0));
    }
}
