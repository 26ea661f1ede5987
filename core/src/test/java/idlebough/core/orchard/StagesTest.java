package idlebough.core.orchard;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Gardens;
import idlebough.core.Shipped;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.layout.Crowns;
import idlebough.core.layout.LayoutRules;
import idlebough.core.layout.PlanYears;
import idlebough.core.layout.PlanYield;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import idlebough.core.rootstock.RootstockRules;
import idlebough.core.site.Feature;
import idlebough.core.site.Footing;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.site.SiteStage;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
import idlebough.core.variety.Choice;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the stages of one small orchard say: that each asks the right rules of the right things. */
class StagesTest {
    private static final LocalDate PLANTING = LocalDate.of(2027, 3, 20);
    /** Drains as apples want it. */
    private static final double GOOD = 40;
    /** A tenth of what any crop wants. */
    private static final double WET = 2;

    private static Orchard orchard(SoilPit... pits) {
        return Orchard.empty(44, PLANTING)
                .with(Site.empty(44).with(Plot.rectangle(30, 20)).withPits(List.of(pits)))
                .withChoices(List.of(new Choice("c", "apple-cox", Optional.of("mm106"), 1)));
    }

    private static Tree tree(Footing footing, Tree.State state) {
        return new Tree(
                "t",
                "A1",
                new Point(12, 10),
                new Tree.Kind("apple-cox", Optional.of("mm106")),
                new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.13), 0.02),
                footing,
                new Tree.Life(state, Optional.empty()),
                Optional.of("c"));
    }

    private static SiteStage site(Orchard orchard) {
        return Evaluation.of(orchard).site();
    }

    private static List<String> rules(Findings findings) {
        return findings.all().stream().map(finding -> finding.rule().id()).toList();
    }

    @Test
    void nothingIsBegunInAnEmptyOrchardAndNothingIsSaid() {
        List<Stage> stages = Evaluation.of(Orchard.empty(44, PLANTING)).stages();
        assertThat(stages).hasSize(10);
        assertThat(stages.get(0).begun()).isFalse();
        assertThat(stages)
                .filteredOn(stage -> stage.judged().count(Standing.STOP) > 0)
                .isEmpty();
        assertThat(Evaluation.of(orchard()).site().begun()).isTrue();
    }

    /** Apples want pH 5.5 to 7 (common practice). */
    @Test
    void theGroundIsAskedForTheCropsThatAreWishedFor() {
        SiteStage limy = site(orchard(Shipped.pit(GOOD, 8.2, Texture.LOAM)));
        assertThat(limy.crops()).containsExactly(Shipped.crop("apple"));
        assertThat(limy.soilCare().sulphur()).isTrue();
        assertThat(limy.soilCare().lime()).isFalse();
        SiteStage sour = site(orchard(Shipped.pit(GOOD, 4.2, Texture.LOAM)));
        assertThat(sour.soilCare().lime()).isTrue();
        assertThat(sour.soilCare().sulphur()).isFalse();
        SiteStage fair = site(orchard(Shipped.pit(GOOD, 6.3, Texture.LOAM), Shipped.pit(GOOD)));
        assertThat(fair.soilCare().lime()).isFalse();
        assertThat(fair.soilCare().sulphur()).isFalse();
        assertThat(fair.soilCare().rip()).isFalse();
        assertThat(fair.pits()).hasSize(2);
        SoilPit panned = new SoilPit(
                "q", "2", new Point(2, 2), Texture.LOAM, 0.2, List.of(), Shipped.panned(0.4), SoilPit.Analysis.NONE);
        assertThat(site(orchard(panned)).soilCare().rip()).isTrue();
    }

    /**
     * The soil is said of the pit while no tree has a place, then of the tree on its stock, once; a mound is judged.
     */
    @Test
    void slowSoilIsSaidOnceAndTheMoundIsJudgedByItsHeight() {
        SoilPit wet = Shipped.pit(WET, 6.3, Texture.CLAY);
        assertThat(site(orchard(wet)).judged().worst(Subject.pit("p"))).isEqualTo(Standing.STOP);
        Orchard planned = orchard(wet).withTrees(List.of(tree(Footing.GRADE, Tree.State.PLANNED)));
        Evaluation onGrade = Evaluation.of(planned);
        assertThat(onGrade.site().pitOf("t")).contains(wet);
        assertThat(rules(onGrade.site().judged()))
                .contains("site.sun", "site.ph")
                .doesNotContain("site.drainage");
        assertThat(rules(onGrade.varieties().judged())).doesNotContain("variety.drainage");
        assertThat(onGrade.rootstocks().judged().worst(Subject.tree("t"))).isEqualTo(Standing.STOP);
        assertThat(onGrade.stopsOf("t"))
                .extracting(finding -> finding.rule().id())
                .contains("rootstock.drainage", "pollination.partner");
        Evaluation low = onGrade.with(planned.withTrees(List.of(tree(Footing.LOW_MOUND, Tree.State.PLANNED))));
        assertThat(low.rootstocks().judged().about(Subject.tree("t")))
                .singleElement()
                .satisfies(finding -> {
                    assertThat(finding.rule()).isEqualTo(RootstockRules.MOUND);
                    assertThat(finding.standing()).isEqualTo(Standing.STOP);
                });
        Evaluation raised = low.with(planned.withTrees(List.of(tree(Footing.DRAINED, Tree.State.PLANNED))));
        assertThat(raised.rootstocks().judged().worst(Subject.tree("t"))).isEqualTo(Standing.SOUND);
        assertThat(rules(raised.site().judged()))
                .as("a mound does not silence the rest of the soil")
                .contains("site.ph");
        Evaluation standing = raised.with(planned.withTrees(List.of(tree(Footing.GRADE, Tree.State.PLANTED))));
        assertThat(rules(standing.rootstocks().judged()))
                .as("an old tree has shown that it lives")
                .doesNotContain("rootstock.drainage");
        assertThat(standing.stopsOf("t")).isEmpty();
    }

    /** An untested pit beside a slow one says nothing, and hides nothing. */
    @Test
    void anUntestedPitHidesNoStop() {
        SoilPit untested = Shipped.untested(Texture.LOAM, 0.2);
        Evaluation both = Evaluation.of(orchard(untested, Shipped.pit(WET)));
        assertThat(both.varieties().judged().worst(Subject.variety("apple-cox")))
                .isEqualTo(Standing.STOP);
        assertThat(both.rootstocks().judged().worst(Subject.choice("c"))).isEqualTo(Standing.STOP);
    }

    @Test
    void theKeyFigureOfAPitIsHowItDrains() {
        assertThat(site(orchard(Shipped.pit(GOOD))).keyFigures())
                .singleElement()
                .satisfies(figure -> {
                    assertThat(figure.key()).isEqualTo("site.drains");
                    assertThat(figure.subject()).isEqualTo(Subject.pit("p"));
                    assertThat(figure.value().orElseThrow()).isCloseTo(GOOD, org.assertj.core.data.Offset.offset(0.01));
                });
        SoilPit untested = Shipped.untested(Texture.LOAM, 0.2);
        assertThat(site(orchard(untested)).keyFigures())
                .singleElement()
                .extracting(KeyFigure::value)
                .isEqualTo(Optional.empty());
    }

    @Test
    void aTreeToPlantIsJudgedInEveryRoomThatConcernsItAndAStandingOneIsNot() {
        Orchard orchard = orchard(Shipped.pit(GOOD, 6.3, Texture.LOAM))
                .withTrees(List.of(tree(Footing.GRADE, Tree.State.PLANNED)));
        Evaluation planned = Evaluation.of(orchard);
        Subject tree = Subject.tree("t");
        for (Stage stage : List.of(planned.partners(), planned.layout(), planned.planting())) {
            assertThat(stage.begun()).as(stage.room().key()).isTrue();
            assertThat(stage.judged().about(tree)).as(stage.room().key()).isNotEmpty();
        }
        assertThat(planned.planting().keyFigures())
                .extracting(KeyFigure::key)
                .contains("planting.union", "planting.depth");
        assertThat(planned.layout().trees()).hasSize(1);
        assertThat(planned.partners().judged().about(tree))
                .as("one apple that rejects its own pollen stands alone")
                .extracting(Finding::standing)
                .contains(Standing.STOP);
        Evaluation stands = planned.with(orchard.withTrees(List.of(tree(Footing.GRADE, Tree.State.PLANTED))));
        assertThat(stands.planting().keyFigures()).isEmpty();
        assertThat(stands.layout().judged().about(tree))
                .as("it still takes its room")
                .isNotEmpty();
    }

    private static Tree at(String id, String variety, double x) {
        return new Tree(
                id,
                id,
                new Point(x, 10),
                new Tree.Kind(variety, Optional.of("mm106")),
                new NurseryTree(Form.BARE, 0.45, 0.25, Optional.of(0.13), 0.02),
                Footing.GRADE,
                Tree.Life.PLANNED,
                variety.equals("apple-cox") ? Optional.of("c") : Optional.empty());
    }

    private static Evaluation with(Tree... trees) {
        return Evaluation.of(orchard(Shipped.pit(GOOD, 6.3, Texture.LOAM)).withTrees(List.of(trees)));
    }

    /** When two crowns touch, half of the one and half of the other make the distance between their stems. */
    @Test
    void crownsTouchWhenTheirHalvesMakeTheDistance() {
        Evaluation near = with(at("a", "apple-cox", 10), at("b", "apple-cox", 12.5));
        PlannedTree a = near.layout().tree("a");
        PlannedTree b = near.layout().tree("b");
        double year = Crowns.yearOfTouch(a, b);
        assertThat((a.crown(year) + b.crown(year)) / 2).isCloseTo(2.5, within(1e-4));
        assertThat(year).isBetween(2.0, 15.0);
        assertThat(Crowns.room(a, b)).isCloseTo(2.5 - a.size().spread(), within(1e-9));
        assertThat(near.layout().nearest(a)).contains(b);
        Evaluation far = with(at("a", "apple-cox", 3), at("b", "apple-cox", 27));
        assertThat(Crowns.yearOfTouch(far.layout().tree("a"), far.layout().tree("b")))
                .isInfinite();
        assertThat(Crowns.yearOfTouch(a, b)).as("closer ones touch sooner").isGreaterThan(touch(2));
    }

    private static double touch(double apart) {
        Evaluation two = with(at("a", "apple-cox", 10), at("b", "apple-cox", 10 + apart));
        return Crowns.yearOfTouch(two.layout().tree("a"), two.layout().tree("b"));
    }

    /**
     * Why a tree sets too little: each reason where it holds (common practice; S-alleles and ploidy of the catalogue).
     */
    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "apple-cox; apple-cox; 13; Trees of the same variety are one plant to each other.",
                "apple-cox; apple-bramley; 13; b ‘Bramley's Seedling’ is triploid and gives no pollen.",
                "cherry-bing; cherry-napoleon; 13; It refuses the pollen of b ‘Napoleon’: they share their S alleles (3/4).",
                "cherry-bing; sour-montmorency; 13; b ‘Montmorency’ is a weak donor for it",
                "apple-boskoop; apple-northern-spy; 9; needs two diploid varieties",
                "apple-cox; apple-james-grieve; 28; b ‘James Grieve’ stands 27.0",
                "apple-cox; peach-redhaven; 13; No other tree of its kind is planned."
            })
    void whyATreeSetsTooLittle(String lonely, String other, double x, String why) {
        Evaluation two = with(at("a", lonely, 1), at("b", other, x));
        String reason = two.partners().judged().about(Subject.tree("a")).stream()
                .filter(finding -> finding.standing() == Standing.STOP)
                .findFirst()
                .orElseThrow()
                .reason()
                .in(new Display(UnitSystem.METRIC, Locale.UK));
        assertThat(reason).contains(why);
    }

    /** A tree over the fence gives pollen as well as one of the plan's; one that nobody can name is a hope. */
    @Test
    void anExistingTreeOfAKnownVarietyIsAPartner() {
        Orchard alone = orchard(Shipped.pit(GOOD, 6.3, Texture.LOAM))
                .withTrees(List.of(tree(Footing.GRADE, Tree.State.PLANNED)));
        Subject tree = Subject.tree("t");
        assertThat(Evaluation.of(alone).partners().judged().worst(tree)).isEqualTo(Standing.STOP);
        Evaluation beside = Evaluation.of(alone.with(alone.site().withFeatures(List.of(old("apple-james-grieve")))));
        assertThat(beside.partners().judged().worst(tree)).isEqualTo(Standing.SOUND);
        assertThat(beside.partners().web().trees())
                .extracting(flowering -> flowering.id())
                .doesNotContain("old");
        Evaluation unknown = Evaluation.of(alone.with(alone.site().withFeatures(List.of(old("apple")))));
        assertThat(unknown.partners().judged().worst(tree)).isEqualTo(Standing.DOUBTFUL);
    }

    private static Feature old(String about) {
        return new Feature(
                "old",
                Feature.Kind.TREE,
                "",
                List.of(new Point(8, 1)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.of(about));
    }

    /** A 12 × 12 m plot holds several M27 and hardly a standard: 1.9 m against 7.5 m wide (RHS, Baker). */
    @Test
    void whatAnotherStockWouldBe() {
        Orchard small = Orchard.empty(44, PLANTING)
                .with(Site.empty(44).with(Plot.rectangle(12, 12)))
                .withChoices(List.of(new Choice("c", "apple-cox", Optional.of("mm106"), 6)));
        Evaluation plan = Evaluation.of(small);
        PlotFill.Wish rows = new PlotFill.Wish(RowFill.Pattern.SQUARE, 1, 1.2, Optional.empty());
        Choice choice = small.choices().get(0);
        StockTrial dwarf =
                StockTrial.of(plan, choice, Shipped.stock("m27"), rows).orElseThrow();
        StockTrial tall =
                StockTrial.of(plan, choice, Shipped.stock("m25"), rows).orElseThrow();
        assertThat(dwarf.placed()).isEqualTo(6);
        assertThat(tall.placed()).isBetween(1, 2);
        assertThat(dwarf.kg().orElseThrow()).as("six of 5 to 7 kg").isEqualTo(36);
        assertThat(StockTrial.of(Evaluation.of(Orchard.empty(44, PLANTING)), choice, Shipped.stock("m27"), rows))
                .isEmpty();
    }

    /** Nothing before the first crop, half way up in the middle, 40 to 60 kg in full on MM106 (RHS, Baker). */
    @Test
    void whatThePlanBringsThroughTheYears() {
        Evaluation one = Evaluation.of(orchard(Shipped.pit(GOOD, 6.3, Texture.LOAM))
                .withTrees(List.of(tree(Footing.GRADE, Tree.State.PLANNED))));
        assertThat(PlanYield.of(one.stands(), one.layout(), 2).inYear()).isZero();
        assertThat(PlanYield.of(one.stands(), one.layout(), 5.5).inYear()).isEqualTo(25);
        assertThat(PlanYield.of(one.stands(), one.layout(), 20).full()).isEqualTo(50);
        assertThat(PlanYield.of(one.stands(), one.layout(), 20).inYear()).isBetween(47.5, 50.0);
    }

    /** Two MM106 trees 3 m apart, the one a filler: it goes when they meet, and nobody calls them crowded. */
    @Test
    void aFillerGoesWhenCrownsMeet() {
        Tree stays = tree(Footing.GRADE, Tree.State.PLANNED);
        Tree goes = new Tree(
                "filler",
                "F1",
                new Point(stays.place().x() + 3, stays.place().y()),
                stays.kind(),
                stays.nursery(),
                stays.footing(),
                new Tree.Life(Tree.State.PLANNED, Optional.empty(), true),
                Optional.empty());
        Evaluation two =
                Evaluation.of(orchard(Shipped.pit(GOOD, 6.3, Texture.LOAM)).withTrees(List.of(stays, goes)));
        var filler = two.layout().tree("filler");
        double out = two.layout().outIn(filler).orElseThrow();
        assertThat(filler.crown(out)).as("both half way to each other").isCloseTo(3, within(1e-6));
        assertThat(two.layout().findings()).noneMatch(finding -> finding.rule().equals(LayoutRules.CROWDED));
        PlanYears before = PlanYears.of(two.stands(), two.layout(), out - 0.1);
        PlanYears after = PlanYears.of(two.stands(), two.layout(), out + 0.1);
        assertThat(before.gone()).isEmpty();
        assertThat(after.gone()).containsExactly(filler);
        assertThat(PlanYield.of(two.stands(), two.layout(), 20).inYear())
                .isLessThan(51)
                .isGreaterThan(47);
        assertThat(PlanYears.of(two.stands(), two.layout(), 45).old())
                .as("kept thirty-five years or so: RHS (Baker)")
                .hasSize(1);
    }

    /** A lemon outdoors at −12 °C dies, in a pot under cover it lives, with a peg or without: common practice. */
    @Test
    void aPotTakesTheColdAndTheSoilAway() {
        Map<String, String> garden = Gardens.all()
                .filter(row -> row.get("garden").equals("maritime"))
                .findFirst()
                .orElseThrow();
        Orchard cold = Gardens.evaluation(garden).orchard();
        Orchard outdoors = cold.with(cold.site().with(Plot.rectangle(30, 20)).withPits(List.of(Shipped.pit(WET))))
                .withChoices(List.of(new Choice("c", "lemon-lisbon", Optional.of("trifoliate"), 1)));
        Evaluation ground = Evaluation.of(outdoors);
        assertThat(ground.varieties().verdict("lemon-lisbon").standing()).contains(Standing.STOP);
        assertThat(rules(ground.rootstocks().judged())).contains("rootstock.drainage");
        Tree peg = new Tree(
                "t",
                "A1",
                new Point(12, 10),
                new Tree.Kind("lemon-lisbon", Optional.of("trifoliate")),
                new NurseryTree(Form.CONTAINER, 0.35, 0.3, Optional.of(0.13), 0.02),
                Footing.GRADE,
                Tree.Life.PLANNED,
                Optional.of("c"));
        for (List<Tree> trees : List.of(List.<Tree>of(), List.of(peg))) {
            Evaluation pot = ground.with(outdoors.withTrees(trees)
                    .withChoices(List.of(
                            new Choice("c", "lemon-lisbon", Optional.of("trifoliate"), 1, true, Optional.empty()))));
            assertThat(pot.varieties().verdict("lemon-lisbon").findings())
                    .extracting(finding -> finding.rule().id())
                    .contains("variety.pot")
                    .doesNotContain("variety.cold", "variety.drainage");
            assertThat(rules(pot.rootstocks().judged())).doesNotContain("rootstock.drainage", "rootstock.salt");
        }
    }
}
