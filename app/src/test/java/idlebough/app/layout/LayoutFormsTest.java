package idlebough.app.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Scope;
import idlebough.app.web.PlanView;
import idlebough.core.layout.BaseLine;
import idlebough.core.layout.TwoTapes;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The forms of the layout without a browser: trees put, moved, named, wanted; fills; pegs; files; what is typed wrongly. */
@ExtendWith(Running.class)
class LayoutFormsTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    /** A plot of 40 m by 30 m and three apples on M9 wanted, none with a place. */
    @BeforeEach
    void aPlotAndAWish() {
        String name = "pegger" + growers++;
        grower = Visitor.signedUp(name);
        base = grower.foundsPlot();
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "3"));
        grower.post(base + "/rootstocks", Map.of("choice", choice().id(), "stock", "m9"));
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private ChoiceRow choice() {
        return plan().rows().choiceOf("apple-cox").orElseThrow();
    }

    private List<Stand> stands() {
        return plan().evaluation().stands();
    }

    private HttpResponse<String> puts(String... fields) {
        Map<String, String> sent = new HashMap<>(Map.of("choice", choice().id()));
        for (int i = 0; i < fields.length; i += 2) {
            sent.put(fields[i], fields[i + 1]);
        }
        return grower.post(base + "/layout/put", sent);
    }

    @Test
    void oneTreeEastAndNorthOfP() {
        assertThat(puts("east", "12,5", "north", "7").statusCode()).isEqualTo(302);
        Stand tree = stands().get(0);
        Point p = BaseLine.of(plan().plot()).p();
        assertThat(tree.place().x() - p.x()).as("a decimal comma").isCloseTo(12.5, within(1e-9));
        assertThat(tree.place().y() - p.y()).isCloseTo(7, within(1e-9));
        assertThat(tree.label()).isEqualTo("Cox's 1");
        assertThat(choice().wanted()).as("three were wanted, and still are").isEqualTo(3);
    }

    /** Tapes read where it is to stand bring it there, on either side of the base line. */
    @ParameterizedTest
    @CsvSource({"9, 12", "31, 20", "20, 4"})
    void oneTreeByTwoTapes(double x, double y) {
        TwoTapes tapes = BaseLine.of(plan().plot()).tapes(new Point(x, y));
        puts(
                "fromP",
                String.valueOf(tapes.fromP()),
                "fromQ",
                String.valueOf(tapes.fromQ()),
                "side",
                tapes.right() ? "right" : "left");
        assertThat(stands().get(0).place().distance(new Point(x, y))).isLessThan(1e-6);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "east=&north=3 | Please fill this in",
                "east=five&north=3 | is not a figure",
                "east=-9&north=3 | outside the boundary",
                "east=500000&north=3 | must lie between",
                "fromP=3&fromQ=4&side=left | cannot meet",
                "fromP=20&fromQ= | Please fill this in",
                "fromP=25&fromQ=25&side=right | outside the boundary"
            })
    void whatIsTypedWronglyIsSaidAndNothingIsStored(String typed, String said) {
        Map<String, String> fields = new HashMap<>(Map.of("choice", choice().id()));
        for (String pair : typed.split("&")) {
            String[] part = pair.split("=", -1);
            fields.put(part[0], part[1]);
        }
        HttpResponse<String> answer = grower.post(base + "/layout/put", fields);
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(said);
        fields.values().stream()
                .filter(value -> value.matches("[0-9a-z-]{1,6}"))
                .forEach(value ->
                        assertThat(answer.body()).as("what was typed stays").contains(value));
        assertThat(stands()).isEmpty();
    }

    @Test
    void twoOnOnePegAreRefused() {
        puts("east", "10", "north", "10");
        assertThat(puts("east", "10.2", "north", "10").body()).contains("stands there already");
        assertThat(stands()).hasSize(1);
        assertThat(puts("east", "10.4", "north", "10").statusCode()).isEqualTo(302);
        assertThat(stands()).extracting(Stand::label).containsExactly("Cox's 1", "Cox's 2");
    }

    @Test
    void aFourthIsWantedWhenItIsPutAndTakenOutAgain() {
        for (int i = 0; i < 4; i++) {
            puts("east", String.valueOf(6 + 6 * i), "north", "10");
        }
        assertThat(choice().wanted()).isEqualTo(4);
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "2"));
        assertThat(grower.get(base + "/layout").body()).contains("4 of 2").contains("Take out 2");
        grower.post(base + "/layout/fewer", Map.of("choice", choice().id()));
        assertThat(stands()).as("the last go first").extracting(Stand::label).containsExactly("Cox's 1", "Cox's 2");
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "9"));
        grower.post(base + "/layout/want", Map.of("choice", choice().id()));
        assertThat(choice().wanted()).isEqualTo(2);
    }

    @Test
    void aFormThatNobodyChangedMovesNothing() {
        puts("x", "10.123456", "y", "11.654321");
        Stand before = stands().get(0);
        String page = grower.get(base + "/layout").body();
        Map<String, String> fields = Map.of(
                "tree",
                before.id(),
                "tag",
                "Gate",
                "toEast",
                valueOf(page, "toEast"),
                "toNorth",
                valueOf(page, "toNorth"));
        assertThat(grower.post(base + "/layout/place", fields).statusCode()).isEqualTo(302);
        assertThat(stands().get(0).place()).as("to the last digit").isEqualTo(before.place());
        assertThat(stands().get(0).label()).isEqualTo("Gate");
    }

    private static String valueOf(String page, String field) {
        String from = page.substring(page.indexOf("id=\"" + field + "\""));
        from = from.substring(from.indexOf("value=\"") + 7);
        return from.substring(0, from.indexOf('"'));
    }

    @Test
    void aTagIsOneTreesAlone() {
        puts("east", "10", "north", "10");
        puts("east", "20", "north", "10");
        Stand second = stands().get(1);
        Map<String, String> fields =
                new HashMap<>(Map.of("tree", second.id(), "tag", "Cox's 1", "toEast", "20", "toNorth", "10"));
        assertThat(grower.post(base + "/layout/place", fields).body()).contains("Another tree is called");
        fields.put("tag", "a tag far too long");
        assertThat(grower.post(base + "/layout/place", fields).body()).contains("At most 12 letters");
        fields.put("tag", "Plum");
        fields.put("toNorth", "99");
        assertThat(grower.post(base + "/layout/place", fields).body()).contains("outside the boundary");
        assertThat(stands().get(1)).isEqualTo(second);
    }

    @Test
    void aFillLeavesWhatHasAPlaceUnlessItIsToldOtherwise() {
        puts("east", "20", "north", "15");
        Point hand = stands().get(0).place();
        Map<String, String> rows = Map.of("pattern", "SQUARE", "margin", "2", "alley", "1", "bearing", "");
        HttpResponse<String> told = grower.post(base + "/layout/fill", with(rows, "ask", "look"));
        assertThat(told.body()).contains("It would place all 2");
        assertThat(stands()).as("nothing is done").hasSize(1);
        grower.post(base + "/layout/fill", rows);
        assertThat(stands()).hasSize(3);
        assertThat(stands().get(0).place()).isEqualTo(hand);
        List<Point> before = stands().stream().map(Stand::place).toList();
        grower.post(base + "/layout/fill", with(rows, "bearing", "45"));
        assertThat(stands().stream().map(Stand::place)).as("all had a place").isEqualTo(before);
        grower.post(base + "/layout/fill", with(with(rows, "bearing", "45"), "anew", "true"));
        assertThat(stands().stream().map(Stand::place))
                .contains(hand)
                .isNotEqualTo(before)
                .hasSize(3);
    }

    private static Map<String, String> with(Map<String, String> fields, String name, String value) {
        Map<String, String> more = new HashMap<>(fields);
        more.put(name, value);
        return more;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SQUARE | wide | 1 | | is not a figure",
                "SQUARE | 2 | 1000 | | must lie between",
                "SQUARE | 2 | 1 | 200 | must lie between",
                "ALONG | 2 | 1 | | Say along what they are to stand"
            })
    void aWrongFillIsSaid(String pattern, String margin, String alley, String bearing, String said) {
        HttpResponse<String> answer = grower.post(
                base + "/layout/fill",
                Map.of(
                        "pattern",
                        pattern,
                        "margin",
                        margin,
                        "alley",
                        alley,
                        "bearing",
                        bearing == null ? "" : bearing));
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body()).contains(said);
        assertThat(stands()).isEmpty();
    }

    @Test
    void pegsAreSetCheckedAndTakenUp() {
        puts("east", "10", "north", "10");
        puts("east", "15", "north", "10");
        String a = stands().get(0).id();
        String b = stands().get(1).id();
        grower.post(base + "/layout/pegs/set", Map.of("tree", a, "on", "true"));
        assertThat(plan().tree(a).peg().setOut()).isTrue();
        assertThat(grower.get(base + "/layout/pegs").body()).contains("1 of 2 pegs set");
        grower.post(base + "/layout/pegs/check", Map.of("from", a, "to", b, "measured", "5,02"));
        assertThat(grower.get(base + "/layout/pegs").body()).contains("stand as far apart as the plan says");
        grower.post(base + "/layout/pegs/check", Map.of("from", b, "to", a, "measured", "6"));
        assertThat(grower.get(base + "/layout/pegs").body()).contains("of the pegs");
        assertThat(grower.post(base + "/layout/pegs/check", Map.of("from", a, "to", a, "measured", "5"))
                        .body())
                .contains("from one peg to another one");
        assertThat(grower.post(base + "/layout/pegs/tape", Map.of("tape", "17")).statusCode())
                .as("such a tape is not sold")
                .isEqualTo(404);
        plan().rows()
                .pegChecks()
                .forEach(check -> grower.post(base + "/layout/pegs/check/remove", Map.of("check", check.id())));
        assertThat(plan().rows().pegChecks()).isEmpty();
    }

    @Test
    void aFileIsToldBeforeItIsTakenAndUndoneAsOne() {
        puts("east", "10", "north", "10");
        byte[] file = "tag,variety,stock,x_m,y_m\nA1,Discovery,M9,5,5\nA2,Discovery,M9,9,5\nA3,Nonesuch,,12,5\n"
                .getBytes(StandardCharsets.UTF_8);
        HttpResponse<String> told = grower.upload(base + "/layout/files", Map.of(), "trees.csv", file);
        assertThat(told.body()).contains("A1").contains("is called “Nonesuch”").contains("not in the file");
        assertThat(stands()).hasSize(1);
        long revision = plan().revision();
        grower.post(
                base + "/layout/files/take",
                Map.of("text", new String(file, StandardCharsets.UTF_8), "takeOut", "true"));
        assertThat(stands()).extracting(Stand::label).containsExactlyInAnyOrder("A1", "A2");
        assertThat(plan().rows().choiceOf("apple-discovery").orElseThrow().wanted())
                .isEqualTo(2);
        assertThat(plan().revision()).isGreaterThan(revision);
        grower.post(base + "/undo", Map.of("back", "layout"));
        assertThat(stands()).extracting(Stand::label).containsExactly("Cox's 1");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | This file is empty",
                "not a table | there is none called",
                "'{\"features\": [' | broken near line"
            })
    void filesThatAreNoneAreSaid(String text, String said) {
        assertThat(grower.upload(base + "/layout/files", Map.of(), "x.csv", text.getBytes(StandardCharsets.UTF_8))
                        .body())
                .contains(said);
    }

    @Test
    void trainingIsChosenAndLeftAgainAndNoFruitIsTrainedAsItCannotBe() {
        puts("east", "20", "north", "15");
        String id = choice().id();
        assertThat(grower.post(base + "/rootstocks/training", Map.of("choice", id, "training", "espalier"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(plan().evaluation()
                        .layout()
                        .tree(stands().get(0).id())
                        .size()
                        .flat())
                .isTrue();
        assertThat(grower.post(base + "/rootstocks/training", Map.of("choice", id, "training", "fan"))
                        .statusCode())
                .as("fans are for stone fruit")
                .isEqualTo(404);
        grower.post(base + "/rootstocks/training", Map.of("choice", id, "training", ""));
        assertThat(plan().evaluation()
                        .layout()
                        .tree(stands().get(0).id())
                        .size()
                        .flat())
                .isFalse();
    }

    /** In feet and inches, and back: the place is the same place. */
    @Test
    void inFeetTheSamePlaceComesBack() {
        puts("east", "10", "north", "10");
        Point before = stands().get(0).place();
        grower.post("/account/units", Map.of("units", "US", "back", base + "/layout"));
        String page = grower.get(base + "/layout").body();
        grower.post(
                base + "/layout/place",
                Map.of(
                        "tree",
                        stands().get(0).id(),
                        "tag",
                        "Cox's 1",
                        "toEast",
                        valueOf(page, "toEast"),
                        "toNorth",
                        valueOf(page, "toNorth")));
        assertThat(stands().get(0).place()).isEqualTo(before);
        assertThat(grower.get(base + "/layout/pegs").body().replace('\u00a0', ' '))
                .contains(">100 ft<")
                .contains("131 ft 3 in");
    }

    private HttpResponse<String> several(String work, String trees, String... fields) {
        Map<String, String> sent = new HashMap<>(Map.of("work", work, "several", trees));
        for (int i = 0; i < fields.length; i += 2) {
            sent.put(fields[i], fields[i + 1]);
        }
        return grower.post(base + "/layout/several", sent);
    }

    private List<Point> places() {
        return stands().stream().map(Stand::place).toList();
    }

    @Test
    void severalAreShiftedTurnedAlignedAndPutAgain() {
        puts("east", "10", "north", "10");
        puts("east", "14", "north", "10.6");
        puts("east", "19", "north", "10");
        List<Point> before = places();
        assertThat(several("SHIFT", "Cox's 1-3", "shiftEast", "1", "shiftNorth", "0,5")
                        .statusCode())
                .isEqualTo(302);
        assertThat(places().get(2).x() - before.get(2).x()).isCloseTo(1, within(1e-9));
        assertThat(places().get(2).y() - before.get(2).y()).isCloseTo(0.5, within(1e-9));

        several("ALIGN", "Cox's 1, Cox's 2; Cox's 3");
        List<Point> line = places();
        assertThat(line.get(0).distance(line.get(2)))
                .as("straight, and the middle one in the middle")
                .isCloseTo(2 * line.get(0).distance(line.get(1)), within(1e-6));

        several("TURN", "Cox's 1-3", "turn", "90");
        assertThat(places().get(0).y() - places().get(2).y())
                .as("west became north")
                .isCloseTo(9, within(0.1));

        several("COPY", "Cox's 1-3", "shiftEast", "6", "shiftNorth", "0");
        assertThat(stands()).extracting(Stand::label).contains("Cox's 1b", "Cox's 2b", "Cox's 3b");
        assertThat(choice().wanted()).as("six stand, so six are wanted").isEqualTo(6);
        grower.post(base + "/undo", Map.of());
        assertThat(stands()).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SHIFT | Pear 9 | 1 | No tree is called Pear 9",
                "SHIFT | , | 1 | Name the trees",
                "SHIFT | Cox's 1-3 | 900 | outside the boundary",
                "SHIFT | Cox's 1 | 4 | stands already",
                "SHIFT | Cox's 1 | far | is not a figure",
                "ALIGN | Cox's 1, Cox's 2 | 1 | three trees or more",
                "TURN | Cox's 1-3 | 1 | Please fill this in"
            })
    void whatSeveralCannotDoIsSaidAndNothingMoves(String work, String trees, String east, String said) {
        puts("east", "10", "north", "10");
        puts("east", "14", "north", "10");
        puts("east", "19", "north", "10");
        List<Point> before = places();
        HttpResponse<String> answer = several(work, trees, "shiftEast", east, "shiftNorth", "0");
        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.body().replace('\u00a0', ' ')).contains(said);
        assertThat(answer.body().replace("&#39;", "'"))
                .as("what was typed stays")
                .contains(trees);
        assertThat(places()).isEqualTo(before);
    }
}
