package idlebough.app.planting;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.Scope;
import idlebough.app.web.PlanView;
import idlebough.core.crop.Arrival;
import idlebough.core.judge.Standing;
import idlebough.core.planting.PlantingRules;
import idlebough.core.planting.PlantingSection;
import idlebough.core.site.Stand;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Planting by its forms: own holes, ways by crop, trees as they come, many unions, what is printed. */
@ExtendWith(Running.class)
class PlantingFormsTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    /** A plot of 40 m by 30 m in the south with three apples and two plums laid out on it. */
    @BeforeEach
    void aPlotWithTrees() {
        String name = "planter" + growers++;
        grower = Visitor.signedUp(name);
        base = grower.foundsPlot();
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
        wants("apple-cox", "3", "m26");
        wants("plum-stanley", "2", "st-julien");
        grower.post(base + "/layout/fill", Map.of("pattern", "SQUARE", "margin", "2", "alley", "2", "bearing", ""));
    }

    private void wants(String variety, String wanted, String stock) {
        grower.post(base + "/varieties/" + variety, Map.of("wanted", wanted));
        String choice = plan().rows().choiceOf(variety).orElseThrow().id();
        grower.post(base + "/rootstocks", Map.of("choice", choice, "stock", stock));
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private List<Stand> stands(String crop) {
        return plan().evaluation().stands().stream()
                .filter(stand -> stand.crop().key().equals(crop))
                .toList();
    }

    private PlantingSection section(String tree) {
        return plan().evaluation().planting().sectionOf(tree);
    }

    private HttpResponse<String> looks(String tree, String... fields) {
        Map<String, String> sent = new HashMap<>(Map.of(
                "arrivedOn", "2026-03-01",
                "label", "BOTH",
                "bark", "TIP",
                "branches", "GOOD",
                "roots", "GOOD",
                "joint", "FIRM",
                "union", "13"));
        for (int i = 0; i < fields.length; i += 2) {
            sent.put(fields[i], fields[i + 1]);
        }
        return grower.post(base + "/planting/" + tree + "/arrival", sent);
    }

    @Test
    void aHoleOfMyOwnIsTakenJudgedAndGivenBack() {
        String tree = stands("apple").get(0).id();
        double usual = section(tree).depth();
        grower.post(
                base + "/planting/" + tree + "/hole", Map.of("holeDepth", "60", "holeWidth", "90", "holeBottom", "20"));
        PlantingSection own = section(tree);
        assertThat(own.depth()).isCloseTo(0.6, within(1e-9));
        assertThat(own.width()).isCloseTo(0.9, within(1e-9));
        assertThat(plan()
                        .evaluation()
                        .planting()
                        .judged()
                        .about(plan().evaluation().stand(tree).orElseThrow().subject())
                        .stream()
                        .map(finding -> finding.rule()))
                .contains(PlantingRules.BELOW, PlantingRules.V_SHAPE);
        assertThat(grower.get(base + "/planting?tree=" + tree).body())
                .contains("value=\"60\"")
                .contains("is a V");

        grower.post(base + "/planting/" + tree + "/hole", Map.of("raise", "0.02"));
        assertThat(section(tree).raise()).isCloseTo(0.02, within(1e-9));
        grower.post(base + "/planting/" + tree + "/hole", Map.of("holeDepth", "", "holeWidth", ""));
        assertThat(section(tree).depth()).isCloseTo(usual, within(1e-9));
    }

    /** What lies against the stem and what goes in is said of one tree, judged, and given up by the remedy. */
    @Test
    void mulchAndFillOfMyOwnAreJudgedAndGivenBack() {
        String tree = stands("apple").get(0).id();
        grower.post(base + "/planting/" + tree + "/hole", Map.of("holeClear", "2", "holeFilled", "UPSIDE_DOWN"));
        assertThat(section(tree).mulchClear()).isCloseTo(0.02, within(1e-9));
        assertThat(grower.get(base + "/planting?tree=" + tree).body())
                .contains("lies against the stem")
                .contains("on top round")
                .contains("Take the hole that is proposed");
        grower.post(base + "/planting/" + tree + "/hole", Map.of());
        assertThat(section(tree).mulchClear()).isCloseTo(0.12, within(1e-9));
        assertThat(grower.get(base + "/planting?tree=" + tree).body()).doesNotContain("lies against the stem");
    }

    /** A card keeps to its page, on either paper, also on a mound that is out of season and doubted. */
    @ParameterizedTest
    @CsvSource({"A4", "Letter"})
    void aCardKeepsToItsPage(String paper) throws IOException {
        grower.post(
                base + "/planting/footing",
                Map.of("footing", "TALL_MOUND", "tree", stands("apple").get(0).id()));
        long trees =
                plan().evaluation().stands().stream().filter(Stand::toPlant).count();
        try (PDDocument file = Loader.loadPDF(grower.bytes(base + "/planting/cards.pdf?paper=" + paper))) {
            assertThat(file.getNumberOfPages()).isEqualTo((int) trees);
        }
    }

    /** The bill names what the trees want, on the page and as CSV. */
    @Test
    void whatToBring() {
        assertThat(grower.get(base + "/planting/bill").body()).contains("mesh for guards", "coarse wood chips");
        assertThat(grower.get(base + "/planting/bill.csv").body())
                .startsWith("amount,what,trees")
                .contains("water in on the day");
    }

    /** A tie that cuts in is a stop, until it is off; what is typed wrongly stays. */
    @Test
    void aTieIsSeenAndTakenOff() {
        String tree = stands("apple").get(0).id();
        grower.post(
                base + "/planting/" + tree + "/planted", Map.of("day", "2026-03-02", "height", "18", "walls", "true"));
        String daybook = base + "/daybook?tree=" + tree;
        Map<String, String> look =
                new HashMap<>(Map.of("tree", tree, "measuredOn", "2026-05-02", "height", "high", "tie", "BITES"));
        assertThat(grower.post(base + "/daybook/measure", look).body())
                .contains("is not a figure")
                .containsPattern("value=\"BITES\"\\s+selected");
        look.put("height", "17");
        grower.post(base + "/daybook/measure", look);
        assertThat(grower.get(daybook).body()).contains("A tie cuts into");
        look.putAll(Map.of("measuredOn", "2026-05-03", "tie", "OFF", "mulch", "CLEAR"));
        grower.post(base + "/daybook/measure", look);
        assertThat(grower.get(daybook).body()).doesNotContain("A tie cuts into");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "holeClear | 300 | must lie between",
                "holeDepth | deep | is not a figure",
                "holeWidth | 9000 | must lie between",
                "holeRaise | -400 | must lie between"
            })
    void aHoleThatCannotBeIsRefusedInWords(String field, String typed, String said) {
        String tree = stands("apple").get(0).id();
        HttpResponse<String> answer = grower.post(base + "/planting/" + tree + "/hole", Map.of(field, typed));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(said).contains("value=\"" + typed + "\"");
        assertThat(plan().evaluation()
                        .stand(tree)
                        .orElseThrow()
                        .tree()
                        .ground()
                        .hole()
                        .own())
                .isFalse();
    }

    /** A drag only asks. */
    @Test
    void liftingAsksAndStoresNothing() {
        String tree = stands("apple").get(0).id();
        HttpResponse<String> answer = grower.get(base + "/planting/try?tree=" + tree + "&raise=-0.1");
        assertThat(answer.body()).contains("sinks below ground").contains("data-raise=\"-0.1\"");
        assertThat(section(tree).raise()).isPositive();
        assertThat(grower.get(base + "/planting/try?tree=" + tree + "&raise=NaN")
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aWayForOneCropOverTheOrchardAndUnderATree() {
        String plum = stands("plum").get(0).id();
        String apple = stands("apple").get(0).id();
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "wide"));
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "narrow", "crop", "plum"));
        assertThat(section(apple).width()).isCloseTo(3 * 0.45, within(1e-9));
        assertThat(section(plum).width()).isCloseTo(1.5 * 0.45, within(1e-9));
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "double", "tree", plum));
        assertThat(section(plum).width()).isCloseTo(2 * 0.45, within(1e-9));
        assertThat(grower.get(base + "/ways?crop=plum").body()).contains("for European plum");
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "", "tree", plum));
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "", "crop", "plum"));
        assertThat(section(plum).width()).as("as the orchard again").isCloseTo(3 * 0.45, within(1e-9));
        assertThat(grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "sideways"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void aDeliveryIsEnteredAtOnceAndOneIsCorrectedLater() {
        List<Stand> apples = stands("apple");
        assertThat(grower.post(base + "/planting/deliveries", Map.of("arrivedOn", "2026-03-01"))
                        .body())
                .contains("Choose which trees have come");
        looks(apples.get(0).id(), "all", "true", "roots", "TORN");
        assertThat(stands("apple"))
                .allMatch(stand -> stand.tree().nursery().arrival().seen().roots() == Arrival.Roots.TORN);
        assertThat(stands("apple").stream()
                        .filter(stand ->
                                stand.tree().nursery().unionAboveFlare().isPresent()))
                .as("each has its own union")
                .hasSize(1);
        assertThat(stands("plum"))
                .noneMatch(stand -> stand.tree().nursery().arrival().looked());

        looks(apples.get(1).id(), "bark", "DEAD");
        assertThat(plan().evaluation().planting().judged().about(apples.get(1).subject()).stream()
                        .filter(finding -> finding.rule() == PlantingRules.DELIVERY)
                        .map(finding -> finding.standing()))
                .containsExactly(Standing.STOP);
        String page = grower.get(base + "/planting/" + apples.get(1).id() + "/arrival")
                .body();
        assertThat(page)
                .contains("Refuse it.")
                .contains("The tree came dead.")
                .contains("22 Mar 2026")
                .as("a second look in three weeks");
        assertThat(grower.get(base + "/planting/deliveries").body())
                .contains("refuse it")
                .contains("3 of 3 came");
    }

    /** The flare lies 8 cm down in a pot of 41: the hole is dug for the 33 below it, not for the pot. */
    @Test
    void aDeepPotIsNotPlannedTooDeep() {
        String tree = stands("apple").get(0).id();
        grower.post(
                base + "/planting/" + tree,
                Map.of("form", "CONTAINER", "pot", "#15", "stem", "2", "footing", "GRADE", "union", "13"));
        assertThat(section(tree).depth() + section(tree).raise()).isCloseTo(0.41, within(1e-9));
        looks(tree, "flareDepth", "8", "stem", "3,1");
        assertThat(section(tree).depth() + section(tree).raise()).isCloseTo(0.33, within(1e-9));
        assertThat(section(tree).setting().tree().stem()).isCloseTo(0.031, within(1e-9));
        assertThat(grower.get(base + "/planting?tree=" + tree).body()).contains("too deep in its pot");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "arrivedOn | soon | is no day of the calendar",
                "liftedOn | 2026-03-05 | later than the arrival",
                "height | 90000 | must lie between",
                "union | high | is not a figure"
            })
    void whatCannotHaveBeenSeenIsSaid(String field, String typed, String said) {
        String tree = stands("apple").get(0).id();
        HttpResponse<String> answer = looks(tree, field, typed);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(said).contains(typed);
        assertThat(stands("apple").get(0).tree().nursery().arrival().looked()).isFalse();
    }

    @Test
    void manyUnionsAtOnce() {
        List<Stand> apples = stands("apple");
        Map<String, String> typed = new HashMap<>();
        typed.put("u-" + apples.get(0).id(), "12,5");
        typed.put("u-" + apples.get(1).id(), "tall");
        HttpResponse<String> answer = grower.post(base + "/planting/unions", typed);
        assertThat(answer.body()).contains("is not a figure").contains("12,5");
        typed.put("u-" + apples.get(1).id(), "9");
        assertThat(grower.post(base + "/planting/unions", typed).statusCode()).isEqualTo(302);
        assertThat(stands("apple").get(0).tree().nursery().unionAboveFlare().orElseThrow())
                .isCloseTo(0.125, within(1e-9));
        assertThat(stands("apple").get(1).tree().nursery().unionAboveFlare().orElseThrow())
                .isCloseTo(0.09, within(1e-9));
        assertThat(stands("apple").get(2).tree().nursery().unionAboveFlare()).isEmpty();
    }

    private String pdf(String path) throws java.io.IOException {
        try (PDDocument file = Loader.loadPDF(grower.bytes(base + path))) {
            return new PDFTextStripper().getText(file);
        }
    }

    @Test
    void labelsCardsAndTheDayArePrinted() throws java.io.IOException {
        String tag = stands("apple").get(0).label();
        assertThat(pdf("/planting/labels.pdf?size=SMALL"))
                .contains(tag)
                .contains("Cox's Orange Pippin")
                .contains("M26");
        assertThat(pdf("/planting/labels.pdf?size=LARGE&trees=planned&paper=Letter"))
                .contains(tag);
        assertThat(pdf("/planting/cards.pdf?per=4"))
                .contains("Turn the bud side")
                .contains("S");
        String tree = stands("apple").get(0).id();
        grower.post(
                base + "/planting/" + tree + "/planted", Map.of("day", "2026-07-10", "height", "15", "walls", "true"));
        assertThat(pdf("/planting/report.pdf?day=2026-07-10")).contains(tag).contains("15.0");
        assertThat(grower.get(base + "/planting/labels.pdf?trees=nobody").statusCode())
                .isEqualTo(404);
    }

    @Test
    void aTreeThatStandsIsMovedOrNot() {
        String tree = stands("apple").get(0).id();
        grower.post(
                base + "/planting/" + tree + "/planted", Map.of("day", "2026-07-10", "height", "15", "walls", "true"));
        assertThat(grower.get(base + "/planting/" + tree + "/moving").body())
                .contains("It goes well")
                .contains("faces north")
                .as("in the south the sunny side is north");
        assertThat(grower.get(base + "/planting/" + tree + "/moving?years=6&stem=9")
                        .body())
                .contains("It does not go");
        assertThat(grower.get(base + "/planting/" + tree + "/moving?years=ages&stem=9")
                        .body())
                .contains("is not a figure");
    }

    /** In heavy soil nobody plants without a look at the walls. */
    @Test
    void polishedWallsAreAskedAbout() {
        grower.post(
                base + "/site/pits/new",
                Map.of("label", "1", "x", "20", "y", "15", "texture", "CLAY", "topsoil", "20"));
        String tree = stands("apple").get(0).id();
        HttpResponse<String> answer =
                grower.post(base + "/planting/" + tree + "/planted", Map.of("day", "2026-07-10", "height", "15"));
        assertThat(answer.body()).contains("Look at the walls first").contains("value=\"15\"");
        assertThat(plan().tree(tree).toPlant()).isTrue();
    }
}
