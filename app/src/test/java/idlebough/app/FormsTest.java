package idlebough.app;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import idlebough.app.account.AccountService;
import idlebough.app.store.JournalMapper;
import idlebough.app.store.Scope;
import idlebough.app.web.PlanView;
import idlebough.app.web.TreeView;
import java.net.http.HttpResponse;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Every form: a sentence beside the field that is wrong, what was typed kept, nothing stored; and what is right,
 * stored.
 */
@ExtendWith(Running.class)
class FormsTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    @BeforeEach
    void anOrchardOfOnesOwn() {
        String name = "grower" + growers++;
        grower = Visitor.signedUp(name);
        HttpResponse<String> made =
                grower.post("/orchards", Map.of("name", "My ground", "latitude", "42,3", "timeZone", "UTC"));
        assertThat(made.statusCode()).isEqualTo(302);
        base = made.headers().firstValue("location").orElseThrow().replaceAll(".*(/orchards/[^/]+)/.*", "$1");
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private static Map<String, String> ground(String... changed) {
        Map<String, String> fields = new HashMap<>(Map.of(
                "name",
                "My ground",
                "timeZone",
                "UTC",
                "latitude",
                "42.3",
                "corners",
                "",
                "east",
                "30",
                "north",
                "20"));
        for (int i = 0; i < changed.length; i += 2) {
            fields.put(changed[i], changed[i + 1]);
        }
        return fields;
    }

    /** A described ground, two varieties that serve each other, on stocks, laid out. */
    private void planted() {
        assertThat(grower.post(base + "/site/edit", ground()).statusCode()).isEqualTo(302);
        for (String variety : List.of("apple-cox", "apple-james-grieve")) {
            assertThat(grower.post(base + "/varieties/" + variety, Map.of("wanted", "2"))
                            .statusCode())
                    .isEqualTo(302);
        }
        plan().rows()
                .choices()
                .forEach(choice -> assertThat(
                                grower.post(base + "/rootstocks", Map.of("choice", choice.id(), "stock", "m26"))
                                        .statusCode())
                        .isEqualTo(302));
        assertThat(grower.post(
                                base + "/layout/fill",
                                Map.of("pattern", "SQUARE", "margin", "3", "alley", "2", "bearing", ""))
                        .statusCode())
                .isEqualTo(302);
        assertThat(plan().trees()).hasSize(4);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "latitude|95|must lie between",
                "latitude|north|is not a figure",
                "longitude|200|must lie between",
                "slope|-3|must lie between",
                "aspect|400|must lie between",
                "stormWind|WSW|is not a figure",
                "timeZone|Atlantis/Sunken|IANA list",
                "east|0|must lie between",
                "elevation|12 kg|does not measure this",
                "name|''|fill this in"
            })
    void aGroundThatCannotBe(String field, String typed, String sentence) {
        HttpResponse<String> answer = grower.post(base + "/site/edit", ground(field, typed));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(sentence).contains("role=\"alert\"");
        assertThat(answer.body()).as("what was typed is kept").contains("value=\"" + typed.strip());
        assertThat(plan().plot()).as("nothing stored").isNull();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0; 0#10; 10#10; 0#0; 12|crosses itself",
                "0; 0#5; 5|three corners",
                "0; 0#0.2; 0#0.2; 0.2|less than one square metre",
                "0; 0#ten; 5#1; 1|Line 2",
                "0; 0#50000; 0#0; 9|20 km"
            })
    void cornersThatMakeNoPlot(String corners, String sentence) {
        HttpResponse<String> answer = grower.post(
                base + "/site/edit", ground("east", "", "north", "", "corners", corners.replace('#', '\n')));
        assertThat(answer.body()).contains(sentence);
        assertThat(plan().plot()).isNull();
    }

    @Test
    void cornersOneALineOrARectangle() {
        grower.post(
                base + "/site/edit", ground("east", "", "north", "", "corners", "0; 0\n20 m; 0\n20; 1000 cm\n\n0; 10"));
        assertThat(plan().plot().area()).isEqualTo(200);
        grower.post(base + "/site/edit", ground("version", "1"));
        assertThat(plan().plot().area()).isEqualTo(600);
    }

    @Test
    void theSecondToSaveTheGroundSeesWhatStandsThereNow() {
        String seen = String.valueOf(plan().revision());
        grower.post(base + "/site/edit", ground("slope", "4"));
        HttpResponse<String> second = grower.post(base + "/site/edit", ground("slope", "7", "_revision", seen));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(second.body())
                .contains("Someone else changed this meanwhile")
                .contains("4.0 %")
                .contains("7.0 %")
                .contains("name=\"slope\" value=\"7\"")
                .contains("name=\"_revision\" value=\"" + plan().revision() + "\"");
        assertThat(plan().site().fall().slope()).isEqualTo(4);
        grower.post(base + "/site/edit", ground("slope", "7"));
        assertThat(plan().site().fall().slope()).as("saved again, knowingly").isEqualTo(7);
    }

    @Test
    void aSecondClickMakesNoSecondOrchardAndNoSecondPit() {
        Map<String, String> twice =
                Map.of("id", UUID.randomUUID().toString(), "name", "Twice", "latitude", "42", "timeZone", "UTC");
        String first =
                grower.post("/orchards", twice).headers().firstValue("location").orElseThrow();
        assertThat(grower.post("/orchards", twice).headers().firstValue("location"))
                .contains(first);
        Map<String, String> pit = Map.of(
                "_edit",
                UUID.randomUUID().toString(),
                "label",
                "1",
                "x",
                "3",
                "y",
                "4",
                "texture",
                "CLAY",
                "topsoil",
                "20");
        String dug = grower.post(base + "/site/pits/new", pit)
                .headers()
                .firstValue("location")
                .orElseThrow();
        assertThat(grower.post(base + "/site/pits/new", pit).headers().firstValue("location"))
                .contains(dug);
        assertThat(plan().rows().pits()).hasSize(1);
    }

    @Test
    void howManyTreesIsAFigure() {
        HttpResponse<String> answer = grower.post(base + "/varieties/apple-cox", Map.of("wanted", "many"));
        assertThat(answer.body()).contains("is not a figure").contains("value=\"many\"");
        assertThat(plan().rows().choices()).isEmpty();
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "3"));
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "5"));
        assertThat(plan().rows().choices())
                .singleElement()
                .satisfies(choice -> assertThat(choice.wanted()).isEqualTo(5));
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "0"));
        assertThat(plan().rows().choices()).isEmpty();
    }

    @Test
    void anOwnChillNeedIsLaidOverTheShippedOneAndTakenBack() {
        assertThat(grower.post(base + "/varieties/apple-cox/own", Map.of("need", "a lot"))
                        .body())
                .contains("is not a figure")
                .contains("value=\"a lot\"");
        grower.post(base + "/varieties/apple-cox/own", Map.of("need", "777"));
        assertThat(plan().evaluation()
                        .varieties()
                        .catalogue()
                        .variety("apple-cox")
                        .chillNeed())
                .isEqualTo(777);
        grower.post(base + "/varieties/apple-cox/own", Map.of("need", ""));
        assertThat(plan().evaluation()
                        .varieties()
                        .catalogue()
                        .variety("apple-cox")
                        .overridden())
                .isFalse();
    }

    @Test
    void aStockOfAnotherCropIsRefused() {
        planted();
        String choice = plan().rows().choices().get(0).id();
        assertThat(grower.post(base + "/rootstocks", Map.of("choice", choice, "stock", "quince-a"))
                        .statusCode())
                .isEqualTo(404);
        grower.post(base + "/rootstocks", Map.of("choice", choice, "stock", "m9"));
        assertThat(plan().trees())
                .as("planned trees follow their choice")
                .filteredOn(t -> choice.equals(t.row().choiceId()))
                .allMatch(t -> t.stock().key().equals("m9"));
    }

    @Test
    void fillingNeedsAGroundAndVarieties() {
        HttpResponse<String> answer = grower.post(
                base + "/layout/fill", Map.of("pattern", "SQUARE", "margin", "3", "alley", "2", "bearing", ""));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(plan().trees()).isEmpty();
        grower.post(base + "/site/edit", ground());
        assertThat(grower.post(
                                base + "/layout/fill",
                                Map.of("pattern", "SQUARE", "margin", "3", "alley", "2", "bearing", ""))
                        .body())
                .contains("No variety is chosen yet");
        assertThat(grower.post(
                                base + "/layout/fill",
                                Map.of("pattern", "SQUARE", "margin", "wide", "alley", "2", "bearing", ""))
                        .body())
                .contains("is not a figure")
                .contains("value=\"wide\"");
    }

    @Test
    void theDragAnswersWithTheFindingsOfThatPlaceAndStoresNothing() {
        planted();
        TreeView tree = plan().trees().get(0);
        HttpResponse<String> off = grower.get(base + "/layout/try?tree=" + tree.id() + "&x=-9&y=-9");
        assertThat(off.statusCode()).isEqualTo(200);
        assertThat(off.body()).contains("stands off the plot").doesNotContain("<html");
        assertThat(plan().trees().get(0).peg().x()).isEqualTo(tree.peg().x());
        assertThat(grower.get(base + "/layout/try?tree=" + tree.id() + "&x=NaN&y=1")
                        .statusCode())
                .isEqualTo(404);
        grower.post(base + "/layout/move", Map.of("tree", tree.id(), "x", "9.25", "y", "8"));
        assertThat(plan().tree(tree.id()).peg().x()).isEqualTo(9.25);
        assertThat(grower.post(base + "/undo", Map.of()).statusCode()).isEqualTo(302);
        assertThat(plan().tree(tree.id()).peg().x()).isEqualTo(tree.peg().x());
        grower.post(base + "/layout/remove", Map.of("tree", tree.id()));
        assertThat(plan().trees()).hasSize(3);
    }

    @Test
    void whatIsMeasuredOnTheTreeMovesItsHeights() {
        planted();
        TreeView tree = plan().trees().get(0);
        Map<String, String> fields = new HashMap<>(Map.of(
                "form",
                "CONTAINER",
                "ballDiameter",
                "38",
                "ballHeight",
                "1 ft",
                "union",
                "14",
                "stem",
                "2",
                "footing",
                "LOW_MOUND"));
        fields.put("ballHeight", "three");
        assertThat(grower.post(base + "/planting/" + tree.id(), fields).body())
                .contains("is not a figure")
                .contains("value=\"three\"");
        fields.put("ballHeight", "1 ft");
        grower.post(base + "/planting/" + tree.id(), fields);
        TreeView measured = plan().tree(tree.id());
        assertThat(measured.row().nursery().ballHeight()).isCloseTo(0.3048, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(measured.section().unionToday()).isGreaterThan(0.14);
        assertThat(grower.get(base + "/planting?tree=" + tree.id()).body())
                .contains("What moved")
                .contains("Mound</dfn>, ");
    }

    @Test
    void aWayForOneTreeAndForTheOrchard() {
        planted();
        String tree = plan().trees().get(0).id();
        double before = plan().tree(tree).section().width();
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "wide"));
        assertThat(plan().tree(tree).section().width())
                .isCloseTo(1.5 * before, org.assertj.core.data.Offset.offset(1e-9));
        grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "narrow", "tree", tree));
        assertThat(plan().tree(tree).section().width())
                .isCloseTo(0.75 * before, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(plan().trees().get(1).section().width()).isGreaterThan(before);
        assertThat(grower.post(base + "/ways", Map.of("way", "planting.width", "choice", "huge"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void plantedMeasuredNotedAndDead() {
        planted();
        TreeView tree = plan().trees().get(0);
        assertThat(grower.post(base + "/planting/" + tree.id() + "/planted", Map.of("day", "soon", "height", "17"))
                        .body())
                .contains("day of the calendar")
                .contains("value=\"17\"");
        assertThat(grower.post(base + "/planting/" + tree.id() + "/planted", Map.of("day", "2026-03-20", "height", ""))
                        .body())
                .contains("fill this in");
        grower.post(base + "/planting/" + tree.id() + "/planted", Map.of("day", "2026-03-20", "height", "15,5"));
        assertThat(plan().evaluation()
                        .daybook()
                        .unions()
                        .asPlanted(tree.id())
                        .orElseThrow()
                        .height())
                .isCloseTo(0.155, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(grower.post(
                                base + "/daybook/measure",
                                Map.of("tree", tree.id(), "measuredOn", "2026-03-01", "height", "15"))
                        .body())
                .contains("this day lies before");
        grower.post(base + "/daybook/measure", Map.of("tree", tree.id(), "measuredOn", "2026-05-20", "height", "3"));
        assertThat(grower.get(base + "/daybook?tree=" + tree.id()).body()).contains("has sunk too low");
        assertThat(grower.post(base + "/daybook/note", Map.of("tree", tree.id(), "notedOn", "2026-05-20", "words", " "))
                        .body())
                .contains("fill this in");
        grower.post(
                base + "/daybook/note",
                Map.of("tree", tree.id(), "notedOn", "2026-05-20", "words", "<b>leafed</b> out"));
        assertThat(grower.get(base + "/daybook?tree=" + tree.id()).body())
                .contains("&lt;b&gt;leafed")
                .doesNotContain("<b>leafed");
        assertThat(grower.get(base + "/daybook?tree=" + tree.id()).body())
                .contains(">planted</option>", ">dead</option>")
                .doesNotContain(">ordered</option>");
        grower.post(base + "/daybook/state", Map.of("tree", tree.id(), "state", "PLANNED"));
        assertThat(grower.get(base + "/daybook?tree=" + tree.id()).body()).contains("it cannot become planned");
        long measures = plan().rows().measures().size();
        grower.post(base + "/planting/" + tree.id() + "/planted", Map.of("day", "2026-04-01", "height", "9"));
        assertThat(grower.get(base + "/daybook?tree=" + tree.id()).body()).contains("is planted already");
        assertThat(plan().rows().measures()).as("planted once").hasSize((int) measures);
        grower.post(base + "/daybook/state", Map.of("tree", tree.id(), "state", "DEAD"));
        assertThat(plan().trees()).hasSize(3);
        assertThat(plan().rows().pegs()).as("a dead tree leaves its peg").hasSize(4);
    }

    @Test
    void thePlantingDateShiftsTheCalendarAndKeepsItsIdentifiers() {
        planted();
        assertThat(grower.post(base + "/almanac", Map.of("plantingDate", "spring"))
                        .body())
                .contains("day of the calendar");
        grower.post(base + "/almanac", Map.of("plantingDate", "2028-03-10"));
        ICalendar first =
                Biweekly.parse(grower.get(base + "/almanac/almanac.ics").body()).first();
        grower.post(base + "/almanac", Map.of("plantingDate", "2028-03-17"));
        ICalendar second =
                Biweekly.parse(grower.get(base + "/almanac/almanac.ics").body()).first();
        assertThat(uids(second)).isEqualTo(uids(first)).hasSizeGreaterThan(15);
        assertThat(planting(second).getDateStart().getValue().getTime()
                        - planting(first).getDateStart().getValue().getTime())
                .isEqualTo(7L * 24 * 3600 * 1000);
    }

    private static Set<String> uids(ICalendar calendar) {
        Set<String> uids = new HashSet<>();
        calendar.getEvents()
                .forEach(
                        event -> assertThat(uids.add(event.getUid().getValue())).isTrue());
        return uids;
    }

    private static VEvent planting(ICalendar calendar) {
        return calendar.getEvents().stream()
                .filter(event -> event.getUid().getValue().startsWith("plant@"))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aFootingByTheRemedyReachesEveryTreeOfThatCropAtThatPit() {
        planted();
        grower.post(
                base + "/site/pits/new", Map.of("label", "1", "x", "3", "y", "4", "texture", "CLAY", "topsoil", "20"));
        grower.post(
                base + "/site/pits/" + plan().pits().get(0).id() + "/tests/new",
                Map.of(
                        "label",
                        "1",
                        "shape",
                        "CYLINDER",
                        "a",
                        "30",
                        "depth",
                        "40",
                        "readings",
                        "0; 5\n60; 6\n120; 7",
                        "secondFilling",
                        "true"));
        assertThat(grower.get(base + "/site").body())
                .contains("stand too wet at pit 1")
                .contains("/planting/footing");
        String pit = plan().pits().get(0).id();
        grower.post(base + "/planting/footing", Map.of("pit", pit, "crop", "apple", "footing", "TALL_MOUND"));
        assertThat(plan().trees()).allMatch(tree -> tree.footing() == idlebough.core.site.Footing.TALL_MOUND);
        assertThat(grower.get(base + "/site").body()).doesNotContain("stand too wet at pit");
        assertThat(grower.get(base + "/almanac").body()).contains("Build the mounds");
        assertThat(grower.post(base + "/planting/footing", Map.of("pit", pit, "crop", "peach", "footing", "MOUND"))
                        .statusCode())
                .isEqualTo(404);
    }

    @Test
    void whatMovedIsShownUntilItIsSeenAndKeptInTheHistory() {
        planted();
        grower.post(base + "/ways", Map.of("way", "planting.mulch", "choice", "deep"));
        String page = grower.get(base + "/water").body();
        assertThat(page).contains("What moved").contains("How deep to mulch");
        grower.post(
                base + "/seen",
                Map.of(
                        "set",
                        Running.bean(JournalMapper.class)
                                .sets(scope, 1, 0)
                                .get(0)
                                .id()));
        assertThat(grower.get(base + "/water").body()).doesNotContain("What moved");
        assertThat(grower.get(base + "/history").body())
                .contains("How deep to mulch: 15 cm (6 in)")
                .contains("mulch");
    }

    @Test
    void unitsAndDecimalSignAreThePersons() {
        planted();
        grower.post("/account", Map.of("person", "T. Oake", "units", "US", "locale", "de-DE"));
        String page = grower.get(base + "/planting").body();
        assertThat(page).containsPattern("\\d,\\d\u00a0in");
        assertThat(grower.post("/account", Map.of("person", "", "units", "CUBITS", "locale", "de-DE"))
                        .body())
                .contains("fill this in");
        assertThat(grower.post("/account/units", Map.of("units", "METRIC", "back", "//elsewhere"))
                        .headers()
                        .firstValue("location")
                        .orElse(""))
                .doesNotContain("elsewhere");
    }

    @Test
    void aSignInNameIsTakenOnce() {
        Visitor other = new Visitor();
        Map<String, String> fields = Map.of(
                "name", "GROWER0", "person", "N", "password", "long enough", "units", "METRIC", "locale", "en-GB");
        assertThat(other.post("/sign-up", fields).body())
                .contains("signs in by this name already")
                .contains("value=\"GROWER0\"")
                .doesNotContain("long enough");
    }

    /** What came back as a fault of ours once: each is an address or a sign that nobody means. */
    @ParameterizedTest
    @CsvSource({
        "/orchards/%C3%A9/site, 404",
        "/orchards/x/site, 404",
        "{base}/varieties?variety=%ff%fe, 400",
        "{base}/history?page=99999999, 200",
        "{base}/history?page=-3, 200",
        "{base}/find?q=a%00b, 400",
        "{base}/rootstocks?year=abc, 404",
        "{base}/rootstocks?choice=%C3%A9, 404",
        "{base}/layout/try?tree=&x=1&y=1, 404",
        "{base}/almanac?year=-5, 200",
        "/error, 200"
    })
    void whatNobodyMeansIsNoFaultOfOurs(String path, int status) {
        assertThat(grower.get(path.replace("{base}", base)).statusCode())
                .as(path)
                .isEqualTo(status);
    }

    /** Bells and halves of pairs would break PDF, SVG and calendars for good (XML 1.0, 2.2). */
    @Test
    void signsThatNoPaperHoldsAreRefusedAtTheDoor() {
        HttpResponse<String> answer = grower.post(base + "/rename", Map.of("name", "Upper\u0007 field"));
        assertThat(answer.statusCode()).isEqualTo(400);
        assertThat(answer.body()).contains("a sign in it that no page can show");
    }

    @Test
    void aTableIsNoJson() {
        assertThat(grower.asked(base + "/winters/frost.csv", "Accept", "application/json")
                        .statusCode())
                .isEqualTo(406);
    }

    /** Ids are ASCII; nothing else names anything. */
    @Test
    void anIdOfOtherLettersNamesNothing() {
        assertThat(grower.get(base + "/winters/load/%D9%A1%D9%A2").statusCode()).isEqualTo(404);
        assertThat(grower.post(base + "/history/undo", Map.of("set", "\u0661")).statusCode())
                .isEqualTo(404);
    }

    /** A head that holds what was typed breaks at eight thousand letters. */
    @Test
    void aWayBackIsAPageOfOurs() {
        for (String back : new String[] {"x".repeat(10_000), "site/../../x", "//elsewhere.example"}) {
            assertThat(grower.post(base + "/undo", Map.of("back", back))
                            .headers()
                            .firstValue("location")
                            .orElseThrow())
                    .endsWith("/site");
            assertThat(grower.post("/account/units", Map.of("units", "METRIC", "back", "/" + back))
                            .statusCode())
                    .isEqualTo(302);
        }
    }

    @Test
    void partsWithoutABoundaryAreNotRead() {
        HttpResponse<String> answer =
                grower.sent(base + "/winters/load", "nothing", "Content-Type", "multipart/form-data");
        assertThat(answer.statusCode()).isEqualTo(400);
    }
}
