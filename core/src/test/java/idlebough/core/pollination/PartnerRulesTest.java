package idlebough.core.pollination;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Who serves whom, by facts of the trade and of the genes. */
class PartnerRulesTest {
    private static PartnerWeb web(String... varietiesAndPlaces) {
        List<Flowering> trees = new ArrayList<>();
        for (int i = 0; i < varietiesAndPlaces.length; i++) {
            String[] part = varietiesAndPlaces[i].split("@");
            trees.add(new Flowering(
                    Subject.tree("t" + i),
                    "T" + i,
                    Shipped.variety(part[0]),
                    part.length == 1 ? Optional.empty() : Optional.of(new Point(Double.parseDouble(part[1]), 0))));
        }
        return PartnerWeb.of(trees);
    }

    private static Standing standing(PartnerWeb web, String id) {
        return PartnerRules.judge(web.neighbourhoods().get(id))
                .map(Finding::standing)
                .orElse(null);
    }

    @ParameterizedTest
    @CsvSource({
        "cherry-bing, cherry-napoleon, 0",
        "cherry-bing, cherry-van, 0.7",
        "cherry-bing, cherry-stella, 0.7",
        "cherry-stella, cherry-bing, 0",
        "cherry-stella, cherry-stella, 1",
        "pear-seckel, pear-packham, 0.7",
        "pear-seckel, pear-bosc, 1",
        "almond-nonpareil, almond-mission, 1",
        "plum-stanley, jplum-burbank, 0",
        "cherry-bing, plum-stanley, 0",
        "apple-cox, apple-james-grieve, 0.7",
        "apple-golden, apple-boskoop, 0.7",
        "apple-cox, apple-anna, 0.8",
        "cherry-bing, sour-montmorency, 0.8",
        "sour-montmorency, cherry-bing, 0",
        "avocado-fuerte, avocado-mexicola, 1",
        // sporophytic, Mehlenbacher 1997: Barcelona 1/2 shows 1, Ennis 1/11 shows 1, Butler 2/3 shows 3, Daviana 3/11
        // shows 3
        "hazel-barcelona, hazel-ennis, 0",
        "hazel-ennis, hazel-barcelona, 0",
        "hazel-barcelona, hazel-butler, 1",
        "hazel-butler, hazel-barcelona, 1",
        "hazel-butler, hazel-daviana, 0",
        "hazel-daviana, hazel-butler, 0",
        "hazel-barcelona, hazel-daviana, 1",
        // field trials: the two gages refuse each other both ways (Crane & Lawrence 1929)
        "plum-coe, plum-jefferson, 0",
        "plum-jefferson, plum-coe, 0",
        "plum-jefferson, plum-denniston, 0.8",
        // an Asian pear serves a European one in bloom with it; alleles of the two are numbered apart
        "pear-winter-nelis, asian-nijisseiki, 0.8",
        "asian-nijisseiki, pear-winter-nelis, 0.8",
        // walnut: pollen of Franquette comes when Chandler’s late female flowers are open, not the other way round
        "walnut-hartley, walnut-chandler, 1",
        "walnut-chandler, walnut-hartley, 0.3",
        "walnut-hartley, walnut-amigo, 1",
        "avocado-fuerte, avocado-fuerte, 0",
        // inter-incompatible groups II and III (Crane & Brown 1937); Seckel and Louise Bonne fail in old field tests
        "cherry-bing, cherry-lambert, 0",
        "cherry-van, cherry-regina, 0",
        "cherry-bing, cherry-rainier, 0.7",
        "pear-seckel, pear-louise, 0",
        "asian-nijisseiki, asian-kikusui, 0",
        // one allele in common (Matsumoto 2014; Kester et al. 1994)
        "apple-gala, apple-golden, 0.7",
        "almond-nonpareil, almond-carmel, 0.7",
        "almond-marcona, almond-nonpareil, 1",
        // across the crop's border: common practice
        "apple-cox, crab-dolgo, 0.8",
        "plum-jefferson, damson-merryweather, 0.8",
        "peach-hale, nectarine-fantasia, 0.8",
        "plum-jefferson, jplum-shiro, 0"
    })
    void genes(String receiver, String partner, double expected) {
        assertThat(Pairing.genes(Shipped.variety(receiver), Shipped.variety(partner)))
                .isEqualTo(expected);
    }

    @Test
    void peachesAndFigsNeedNobody() {
        assertThat(standing(web("peach-redhaven@0"), "t0")).isEqualTo(Standing.SOUND);
        assertThat(standing(web("fig-brown-turkey@0"), "t0"))
                .as("no pollen is carried to a common fig")
                .isNull();
    }

    @Test
    void aLoneAppleStopsAndAFarPartnerDoesNotMendIt() {
        assertThat(standing(web("apple-cox@0"), "t0")).isEqualTo(Standing.STOP);
        assertThat(standing(web("apple-cox@0", "apple-golden@10"), "t0")).isEqualTo(Standing.SOUND);
        assertThat(standing(web("apple-cox@0", "apple-golden@90"), "t0")).isEqualTo(Standing.STOP);
    }

    @Test
    void aPartnerThatBloomsAtAnotherTimeIsNone() {
        // large growers have interplanted pollinizers whose bloom did not meet the crop's
        PartnerWeb web = web("apple-anna@0", "apple-northern-spy@5");
        assertThat(standing(web, "t0")).isNotEqualTo(Standing.SOUND);
        assertThat(web.partnersOf(web.trees().get(0)).get(0).score().bloom().days())
                .isZero();
    }

    @Test
    void withoutPegsThePairIsTakenAsNear() {
        PartnerWeb web = web("pear-comice", "pear-bosc");
        assertThat(web.partnersOf(web.trees().get(0)).get(0).score().apart()).isZero();
        assertThat(standing(web, "t0")).isNotEqualTo(Standing.STOP);
    }

    @Test
    void theBestPartnersComeFirstAndEachVarietyCountsOnce() {
        PartnerWeb web =
                web("apple-cox@0", "apple-golden@5", "apple-golden@6", "apple-james-grieve@5", "apple-bramley@3");
        Flowering cox = web.trees().get(0);
        List<Neighbourhood.Link> links = web.partnersOf(cox);
        assertThat(links).hasSize(4);
        assertThat(links.get(0).partner().variety().key()).isEqualTo("apple-golden");
        assertThat(links.get(links.size() - 1).partner().variety().key())
                .as("a triploid gives nothing")
                .isEqualTo("apple-bramley");
        assertThat(web.setOf(cox)).isLessThanOrEqualTo(1);
        assertThat(web.setWorking(cox).steps()).hasSizeGreaterThanOrEqualTo(4);
        assertThat(links.get(0).score().working("A", "B").steps()).hasSize(6);
    }

    @Test
    void windCarriesTwiceAsFar() {
        assertThat(PartnerScore.distance(idlebough.core.crop.Crop.Vector.WIND, 30))
                .isEqualTo(1);
        assertThat(PartnerScore.distance(idlebough.core.crop.Crop.Vector.INSECT, 30))
                .isCloseTo(Math.exp(-1), org.assertj.core.data.Offset.offset(1e-12));
    }

    /** De Nettancourt 1977: two diploids share alleles or they do not; a triploid and the male-sterile give nothing. */
    @Test
    void refusalIsMutualBetweenDiploidsAndTheBarrenServeNobody() {
        List<Variety> all = List.copyOf(Catalogue.shipped().varieties());
        for (Variety one : all) {
            for (Variety other : all) {
                if (!one.givesPollen()) {
                    assertThat(Pairing.of(other, one).serves())
                            .as("%s from %s", other.key(), one.key())
                            .isFalse();
                }
                boolean plain = one.ploidy() == 2
                        && other.ploidy() == 2
                        && !(one.alleles() + other.alleles()).contains(":")
                        && one.crop().equals(other.crop())
                        && !List.of("hazel", "walnut").contains(one.crop().key());
                if (plain) {
                    assertThat(Pairing.genes(one, other))
                            .as("%s and %s", one.key(), other.key())
                            .isEqualTo(Pairing.genes(other, one));
                }
            }
        }
    }

    @Test
    void anotherTreeNeverMakesAnyonesPartnersFewer() {
        Random random = new Random(13);
        List<Variety> all = List.copyOf(Catalogue.shipped().varieties());
        List<Flowering> trees = new ArrayList<>();
        PartnerWeb before = PartnerWeb.of(trees);
        for (int i = 0; i < 60; i++) {
            trees.add(new Flowering(
                    Subject.tree("t" + i),
                    "T" + i,
                    all.get(random.nextInt(40)),
                    Optional.of(new Point(random.nextDouble() * 60, random.nextDouble() * 60))));
            PartnerWeb after = PartnerWeb.of(trees);
            for (Flowering tree : before.trees()) {
                assertThat(after.around(tree).giving())
                        .hasSizeGreaterThanOrEqualTo(
                                before.around(tree).giving().size());
                assertThat(after.setOf(tree)).isGreaterThanOrEqualTo(before.setOf(tree) - 1e-12);
            }
            before = after;
        }
    }

    @Test
    void whatWouldMendIsGoodAndOfAnotherVariety() {
        for (String variety : List.of("apple-cox", "pear-comice", "cherry-bing", "jplum-burbank", "almond-nonpareil")) {
            Flowering tree = new Flowering(Subject.tree("x"), "X", Shipped.variety(variety), Optional.empty());
            assertThat(PartnerWeb.of(List.of(tree)).wouldServe(tree, Catalogue.shipped()))
                    .as(variety)
                    .isNotEmpty()
                    .allSatisfy(link -> {
                        assertThat(link.score().value()).isGreaterThanOrEqualTo(PartnerScore.GOOD);
                        assertThat(link.partner().variety().key()).isNotEqualTo(variety);
                    });
        }
    }

    /** The index gives what looking at all trees gives, and a moved tree gives what a new web gives. */
    @Test
    void theNearestOfEachVarietyIsTheBestOfIt() {
        Random random = new Random(11);
        List<String> keys = List.of(
                "apple-cox",
                "apple-golden",
                "apple-bramley",
                "pear-comice",
                "pear-packham",
                "cherry-bing",
                "cherry-stella",
                "sour-montmorency");
        List<Flowering> trees = new ArrayList<>();
        for (int i = 0; i < 200; i++) {
            trees.add(new Flowering(
                    Subject.tree("t" + i),
                    "T" + i,
                    Shipped.variety(keys.get(random.nextInt(keys.size()))),
                    Optional.of(new Point(random.nextDouble() * 100, random.nextDouble() * 60))));
        }
        PartnerWeb web = PartnerWeb.of(trees);
        for (int round = 0; round < 5; round++) {
            for (Flowering tree : trees) {
                java.util.Set<String> seen = new java.util.HashSet<>();
                List<Double> best = web.partnersOf(tree).stream()
                        .filter(link -> seen.add(link.partner().variety().key()))
                        .map(link -> link.score().value())
                        .toList();
                assertThat(web.setOf(tree))
                        .as("seed 11, round %s, %s", round, tree.id())
                        .isCloseTo(
                                PartnerScore.together(tree.variety().selfFruitful(), best),
                                org.assertj.core.data.Offset.offset(1e-9));
            }
            int moved = random.nextInt(trees.size());
            Flowering before = trees.get(moved);
            trees.set(
                    moved,
                    new Flowering(
                            before.subject(),
                            before.label(),
                            before.variety(),
                            Optional.of(new Point(random.nextDouble() * 100, random.nextDouble() * 60))));
            web = PartnerWeb.of(trees, BloomTimes.NONE, web);
            assertThat(web.neighbourhoods())
                    .as("seed 11, round %s", round)
                    .isEqualTo(PartnerWeb.of(trees).neighbourhoods());
        }
    }
}
