package idlebough.app.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.FeatureRow;
import idlebough.app.store.Rows;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteText;
import idlebough.app.store.TestRow;
import idlebough.app.web.PlanView;
import idlebough.core.site.Feature;
import idlebough.core.site.Texture;
import java.io.ByteArrayInputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The ground drawn, taped, loaded, tested and printed, over HTTP on the real application. */
@ExtendWith(Running.class)
class GroundTest {
    private static int growers;
    private Visitor grower;
    private Scope scope;
    private String base;

    @BeforeEach
    void aPlot() {
        String name = "surveyor" + growers++;
        grower = Visitor.signedUp(name);
        base = found("Test ground");
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
    }

    private String found(String name) {
        String at = grower.founds(name, "42.3");
        grower.post(at + "/site/edit", ground("east", "30", "north", "20"));
        return at;
    }

    private static Map<String, String> ground(String... changed) {
        Map<String, String> fields =
                new HashMap<>(Map.of("name", "Test ground", "timeZone", "UTC", "latitude", "42.3", "corners", ""));
        for (int i = 0; i < changed.length; i += 2) {
            fields.put(changed[i], changed[i + 1]);
        }
        return fields;
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private FeatureRow draw(Feature.Kind kind, String points) {
        assertThat(grower.post(base + "/site/features", Map.of("kind", kind.name(), "points", points))
                        .statusCode())
                .isEqualTo(302);
        List<FeatureRow> all = plan().rows().features();
        return all.get(all.size() - 1);
    }

    private static String said(HttpResponse<String> answer) {
        return answer.body().replace("&#39;", "'").replace('\u00a0', ' ');
    }

    /** What is bad is said, and what stood there stands. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            quoteCharacter = '"',
            value = {
                "0; 0#10; 10#10; 0#0; 10|The boundary crosses itself",
                "0; 0#10; 0#20; 0|less than one square metre",
                "0; 0#30; 0#98.4; 65.6#0; 20|If it was measured in feet",
                "0; 0#10; 0|at least three corners",
                "0; 0#ten; 5#5; 5|Line 2"
            })
    void cornersThatMakeNoPlot(String corners, String sentence) {
        HttpResponse<String> answer = grower.post(base + "/site/edit", ground("corners", corners.replace('#', '\n')));
        assertThat(said(answer)).contains(sentence).contains(corners.split("#")[1]);
        assertThat(plan().plot().area()).isEqualTo(600);
    }

    @Test
    void anOddCornerThatIsRightCanBeTicked() {
        String far = "0; 0\n30; 0\n98.4; 65.6\n0; 20";
        grower.post(base + "/site/edit", ground("corners", far, "surely", "true"));
        assertThat(plan().plot().corners()).hasSize(4);
        assertThat(plan().plot().area()).isGreaterThan(1500);
        grower.post(base + "/site/edit", ground("corners", "0; 0\n30; 0\n98.4 ft; 65.6 ft\n0; 20"));
        assertThat(plan().plot().area()).as("in feet it is the rectangle").isCloseTo(600, within(1.0));
    }

    private static String polygon(String rings) {
        return "{\"type\":\"Polygon\",\"coordinates\":[" + rings + "]}";
    }

    private static byte[] walk(int points, double latitude, double longitude) {
        StringBuilder gpx = new StringBuilder("<?xml version=\"1.0\"?><gpx version=\"1.1\"><trk><trkseg>");
        double[][] corners = {{0, 0}, {60, 0}, {60, 40}, {0, 40}, {0.5, 0.5}};
        IntStream.range(0, points).forEach(i -> {
            int side = 4 * i / points;
            double t = 4.0 * i / points - side;
            double x = corners[side][0] + t * (corners[side + 1][0] - corners[side][0]);
            double y = corners[side][1] + t * (corners[side + 1][1] - corners[side][1]);
            gpx.append(String.format(
                    Locale.ROOT,
                    "<trkpt lat=\"%.7f\" lon=\"%.7f\"/>",
                    latitude + y / 111_000,
                    longitude + x / 111_320 / Math.cos(Math.toRadians(latitude))));
        });
        return gpx.append("</trkseg></trk></gpx>").toString().getBytes(StandardCharsets.UTF_8);
    }

    private static Map<String, byte[]> bad() {
        Map<String, byte[]> files = new java.util.LinkedHashMap<>();
        String ring = "[[9.4,42.3],[9.401,42.3],[9.401,42.301],[9.4,42.301]";
        files.put(
                "has a hole",
                text(polygon(
                        ring + ",[9.4,42.3]],[[9.4002,42.3002],[9.4004,42.3002],[9.4004,42.3004],[9.4002,42.3002]]")));
        files.put("was not closed", text(polygon(ring + "]")));
        files.put("seem to be swapped", text(polygon("[[42.3,9.4],[42.3,9.401],[42.301,9.401],[42.3,9.4]]")));
        files.put(
                "The boundary crosses itself",
                text(polygon("[[9.4,42.3],[9.401,42.301],[9.401,42.3],[9.4,42.301],[9.4,42.3]]")));
        files.put(
                "brings a document type of its own",
                text("<?xml version=\"1.0\"?><!DOCTYPE gpx [<!ENTITY x SYSTEM "
                        + "\"file:///etc/passwd\">]><gpx><trk><trkseg><trkpt lat=\"1\" "
                        + "lon=\"1\">&x;</trkpt></trkseg></trk></gpx>"));
        files.put("breaks off or is broken", text("{\"type\":\"Polygon\",\"coordinates\":[[[9.4"));
        files.put("neither GeoJSON nor GPX", text("PK\u0003\u0004 a spreadsheet"));
        files.put("This file is empty", new byte[0]);
        files.put("There is no polygon in this file", text("{\"type\":\"Point\",\"coordinates\":[9,42]}"));
        files.put(
                "There are 2 track points",
                text("<gpx><trk><trkseg><trkpt lat=\"42\" lon=\"9\"/><trkpt lat=\"42\" "
                        + "lon=\"9.1\"/></trkseg></trk></gpx>"));
        files.put("has no place", text("<gpx><trk><trkseg><trkpt lat=\"north\" lon=\"9\"/></trkseg></trk></gpx>"));
        files.put("but the orchard was described at 42.30", walk(200, -36.8, 171.2));
        files.put("lies beyond the polar circle", walk(200, 71, 25));
        files.put("less than one square metre", text(polygon("[[9.4,42.3],[9.401,42.3],[9.402,42.3],[9.4,42.3]]")));
        files.put("larger than 20 MB", new byte[25_000_000]);
        return files;
    }

    private static byte[] text(String words) {
        return words.getBytes(StandardCharsets.UTF_8);
    }

    @Test
    void badFilesGetASentenceAndNothingIsLost() {
        Rows before = plan().rows();
        bad().forEach((sentence, file) -> {
            HttpResponse<String> answer =
                    grower.upload(base + "/site/boundary", Map.of("tolerance", "1.5"), "b.gpx", file);
            assertThat(answer.statusCode()).as(sentence).isEqualTo(200);
            assertThat(said(answer)).as(sentence).contains(sentence);
        });
        HttpResponse<String> huge =
                grower.upload(base + "/site/boundary", Map.of("tolerance", "1.5"), "b.gpx", new byte[50_000_000]);
        assertThat(huge.statusCode()).isEqualTo(413);
        assertThat(huge.body()).contains("larger than 40 MB").contains("Nothing was stored");
        assertThat(plan().rows()).isSameAs(before);
    }

    @Test
    void aTrackOfAHundredThousandPointsAndOneOverTheDateLine() {
        HttpResponse<String> long100k = grower.upload(
                base + "/site/boundary", Map.of("tolerance", "1.5"), "walk.gpx", walk(100_000, 42.3, 9.4));
        assertThat(said(long100k)).contains("0.23").contains("100000").contains("closing error");
        String fiji = found("Over the line");
        grower.post(fiji + "/site/edit", ground("latitude", "-17.2", "east", "30", "north", "20"));
        HttpResponse<String> over = grower.upload(
                fiji + "/site/boundary", Map.of("tolerance", "1.5"), "walk.gpx", walk(400, -17.2, 179.9998));
        assertThat(said(over)).contains("0.23").contains("corners");
    }

    @Test
    void theGroundGoesOutAndComesBack() {
        grower.post(
                base + "/site/tapes",
                Map.of(
                        "ring", "A B C D",
                        "tapes", "A B 30.02\nB C 20.01\nC D 29.98\nD A 20\nA C 36.05\nB D 36.06",
                        "bearing", "90",
                        "take", "true"));
        assertThat(plan().site().boundary().tapes()).contains("36.05");
        draw(Feature.Kind.BUILDING, "5 5;9 5;9 9;5 9");
        String json = grower.get(base + "/site/site.geojson").body();
        assertThat(json).contains("\"boundary\"").contains("\"building\"").contains("height_m");
        double area = plan().plot().area();
        base = found("Second ground");
        HttpResponse<String> look = grower.upload(
                base + "/site/boundary",
                Map.of("tolerance", "1.5"),
                "site.geojson",
                json.getBytes(StandardCharsets.UTF_8));
        Map<String, String> take = new HashMap<>();
        java.util.regex.Matcher hidden = java.util.regex.Pattern.compile(
                        "name=\"(corners|latitude|longitude|tapes)\"\\s+value=\"([^\"]*)\"")
                .matcher(look.body());
        while (hidden.find()) {
            take.put(hidden.group(1), hidden.group(2).replace("&quot;", "\""));
        }
        assertThat(grower.post(base + "/site/boundary/take", take).statusCode()).isEqualTo(302);
        scope = new Scope(base.substring("/orchards/".length()), scope.account());
        assertThat(plan().plot().area()).isCloseTo(area, within(0.01));
        assertThat(plan().site().boundary().tapes()).contains("36.05").contains("A B 30.02");
        assertThat(said(grower.get(base + "/site/tapes"))).contains("A B 30.02");
    }

    @Test
    void tapesThatCannotMeetAreSaidAndKept() {
        HttpResponse<String> answer = grower.post(
                base + "/site/tapes",
                Map.of(
                        "ring",
                        "A B C D",
                        "tapes",
                        "A B 10\nB C 5\nA C 20\nC D 9\nD A 9",
                        "bearing",
                        "90",
                        "take",
                        "true"));
        assertThat(said(answer))
                .contains("cannot meet: A–C is longer than both together")
                .contains("A B 10");
        assertThat(said(grower.post(
                        base + "/site/tapes", Map.of("ring", "A B C", "tapes", "A B ten", "bearing", "90"))))
                .contains("is not a tape");
        assertThat(plan().plot().area()).isEqualTo(600);
    }

    /** Undone one by one, every row is what it was; done again, what it became. */
    @Test
    void undoAndRedoGiveBackEveryByte() {
        List<String> states = new ArrayList<>();
        states.add(rows());
        FeatureRow house = draw(Feature.Kind.BUILDING, "5 5;9 5;9 9;5 9");
        states.add(rows());
        grower.post(base + "/site/features/" + house.id() + "/shape", Map.of("points", "5.123 5;9 5;9 9.5;5 9"));
        states.add(rows());
        FeatureRow hedge = draw(Feature.Kind.HEDGE, "0 1;30 1");
        states.add(rows());
        grower.post(
                base + "/site/features/together",
                Map.of("ids", house.id() + "," + hedge.id(), "dx", "1.25", "dy", "-0.5"));
        states.add(rows());
        grower.post(base + "/site/features/together", Map.of("ids", house.id() + "," + hedge.id(), "remove", "true"));
        states.add(rows());
        grower.post(base + "/site/features/boundary/shape", Map.of("points", "0 0;30 0;31 21;0 20"));
        states.add(rows());
        for (int i = states.size() - 2; i >= 0; i--) {
            grower.post(base + "/undo", Map.of());
            assertThat(rows()).as("undone to %s", i).isEqualTo(states.get(i));
        }
        for (int i = 1; i < states.size(); i++) {
            grower.post(base + "/redo", Map.of());
            assertThat(rows()).as("done again to %s", i).isEqualTo(states.get(i));
        }
        grower.post(base + "/redo", Map.of());
        assertThat(rows()).as("nothing more to do again").isEqualTo(states.get(states.size() - 1));
        grower.post(base + "/undo", Map.of());
        draw(Feature.Kind.WELL, "3 3");
        grower.post(base + "/redo", Map.of());
        assertThat(plan().site().boundary().corners())
                .as("a new change ends redo")
                .isEqualTo("0 0;30 0;30 20;0 20");
    }

    /** Everything drawn, without the counters of saves. */
    private String rows() {
        Rows rows = plan().rows();
        return (rows.site() + "\n" + rows.features()).replaceAll("version=\\d+", "");
    }

    @Test
    void theSecondToSaveSeesBothAndLosesNothing() {
        FeatureRow house = draw(Feature.Kind.BUILDING, "5 5;9 5;9 9;5 9");
        String at = base + "/site/features/" + house.id();
        String seen = String.valueOf(plan().revision());
        assertThat(grower.post(at + "/shape", Map.of("points", "6 5;9 5;9 9;5 9"))
                        .statusCode())
                .isEqualTo(302);
        HttpResponse<String> second =
                grower.post(at + "/shape", Map.of("points", "4 5;9 5;9 9;5 9", "_revision", seen));
        assertThat(second.statusCode()).isEqualTo(409);
        assertThat(said(second))
                .contains("Someone else changed this meanwhile")
                .contains("6 5;9 5;9 9;5 9")
                .contains("value=\"4 5;9 5;9 9;5 9\"");
        assertThat(plan().rows().features().get(0).points()).isEqualTo("6 5;9 5;9 9;5 9");
        grower.post(at + "/shape", Map.of("points", "4 5;9 5;9 9;5 9"));
        assertThat(plan().rows().features().get(0).points())
                .as("saved knowingly")
                .isEqualTo("4 5;9 5;9 9;5 9");
        HttpResponse<String> form =
                grower.post(at, Map.of("name", "Shed", "corners", "4; 5\n9; 5\n9; 9", "_revision", seen));
        assertThat(form.statusCode()).isEqualTo(409);
        assertThat(said(form)).contains("Save mine").contains("value=\"Shed\"");
    }

    @Test
    void whatCannotBeDrawnStaysOnTheSheet() {
        HttpResponse<String> crossed =
                grower.post(base + "/site/features", Map.of("kind", "BUILDING", "points", "0 0;5 5;5 0;0 5"));
        assertThat(crossed.statusCode()).isEqualTo(422);
        assertThat(said(crossed)).contains("crosses itself").contains("class=\"mine\"");
        assertThat(said(grower.post(base + "/site/features", Map.of("kind", "WALL", "points", "", "corners", "1; 1"))))
                .contains("at least two points");
        assertThat(plan().rows().features()).isEmpty();
        assertThat(grower.post(base + "/site/features", Map.of("kind", "PYLON", "points", "1 1"))
                        .statusCode())
                .isEqualTo(400);
        HttpResponse<String> boundary =
                grower.post(base + "/site/features/boundary/shape", Map.of("points", "0 0;9 9;9 0;0 9"));
        assertThat(boundary.statusCode()).isEqualTo(422);
        assertThat(plan().plot().area()).isEqualTo(600);
    }

    private String pit() {
        grower.post(
                base + "/site/pits/new",
                Map.of("label", "1", "x", "3", "y", "4", "texture", "CLAY", "topsoil", "30", "ph", "6.5"));
        return base + "/site/pits/" + plan().pits().get(0).id();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ph|14|must lie between",
                "topsoil||fill this in",
                "texture|MUD|choose one",
                "texture|JAR|three heights are wanted",
                "jarAll|90|needs all three heights",
                "layer0|20|must end below"
            })
    void aPitThatCannotBe(String field, String typed, String sentence) {
        Map<String, String> fields = new HashMap<>(
                Map.of("label", "1", "x", "3", "y", "4", "texture", "CLAY", "topsoil", "30", "layerTexture0", "CLAY"));
        fields.put(field, typed == null ? "" : typed);
        assertThat(said(grower.post(base + "/site/pits/new", fields))).contains(sentence);
        assertThat(plan().pits()).isEmpty();
    }

    @Test
    void aPitWithAllThatWasSeen() {
        Map<String, String> fields = new HashMap<>(Map.of(
                "label", "1", "x", "3", "y", "4", "texture", "JAR", "topsoil", "25 cm", "jarSand", "40", "jarSilt",
                "80", "jarAll", "100", "mottles", "45"));
        fields.putAll(Map.of(
                "layer0",
                "60",
                "layerTexture0",
                "CLAY",
                "layerColour0",
                "GREY",
                "layerMottled0",
                "true",
                "beforeKind",
                "STONE",
                "yearsSince",
                "2",
                "fizzes",
                "true",
                "salt",
                "2.1",
                "worms",
                "true"));
        grower.post(base + "/site/pits/new", fields);
        var pit = plan().pits().get(0);
        assertThat(pit.texture()).isEqualTo(Texture.LOAM);
        assertThat(pit.profile().layers())
                .singleElement()
                .satisfies(l -> assertThat(l.mottled()).isTrue());
        assertThat(pit.profile().wetFrom()).contains(0.45);
        String again = grower.get(base + "/site/pits/" + pit.id()).body();
        assertThat(again).contains("value=\"60\"").contains("sand 40");
        assertThat(said(grower.get(base + "/site/pits/" + pit.id() + "/answers?crop=peach")))
                .contains("Roots of a peach should stand")
                .contains("barrows");
        fields.putAll(Map.of("texture", "FEEL", "ribbon", "LONG", "paste", "NEITHER", "ball", "yes"));
        grower.post(base + "/site/pits/" + pit.id(), fields);
        assertThat(plan().pits().get(0).texture()).isEqualTo(Texture.CLAY);
    }

    @Test
    void theClockOutlivesThePage() {
        String pit = pit();
        Map<String, String> hole =
                new HashMap<>(Map.of("label", "1", "shape", "CYLINDER", "a", "30", "depth", "40", "begin", "true"));
        String test = grower.post(pit + "/tests/new", hole)
                .headers()
                .firstValue("location")
                .orElseThrow();
        test = test.replaceAll("^https?://[^/]+", "");
        TestRow row = plan().rows().tests().get(0);
        assertThat(row.begunAt()).isNotNull();
        assertThat(grower.get(test).body())
                .contains("data-begun=\"" + row.begunAt().toEpochMilli() + "\"");
        long begun = row.begunAt().toEpochMilli();
        for (int twice = 0; twice < 2; twice++) {
            // A phone that found its signal late sends what it kept, perhaps twice.
            assertThat(grower.post(test + "/reading", Map.of("taken", "" + (begun + 60_000), "down", "5.5 cm"))
                            .statusCode())
                    .isEqualTo(200);
        }
        assertThat(SiteText.readings(plan().rows().tests().get(0).readings()))
                .singleElement()
                .satisfies(r -> {
                    assertThat(r.minutes()).isEqualTo(1);
                    assertThat(r.down()).isEqualTo(0.055);
                });
        HttpResponse<String> ahead =
                grower.post(test + "/reading", Map.of("taken", "" + (begun + 9_000_000), "down", "7"));
        assertThat(ahead.statusCode()).isEqualTo(422);
        assertThat(ahead.body()).contains("ahead of the time");
        assertThat(grower.post(test + "/reading", Map.of("taken", "" + begun, "down", "deep"))
                        .body())
                .contains("is not a figure");
        Map<String, String> impossible = new HashMap<>(hole);
        impossible.remove("begin");
        impossible.putAll(
                Map.of("readings", "0; 5\n60; 11\n50; 12\n120; 9\n180; 55\n240; 20", "secondFilling", "true"));
        grower.post(test, impossible);
        assertThat(said(grower.get(test)))
                .contains("a time not after the one before")
                .contains("the water rose")
                .contains("below the bottom of the hole");
        assertThat(plan().pits().get(0).rate().orElseThrow().rawMmPerHour()).isCloseTo(150 / 4.0, within(1e-6));
    }

    @Test
    void printedToScaleOnBothPapers() throws Exception {
        draw(Feature.Kind.BUILDING, "5 5;9 5;9 9;5 9");
        for (String paper : List.of("A4", "Letter")) {
            byte[] pdf = grower.bytes(base + "/site/plan.pdf?paper=" + paper);
            try (PDDocument document = Loader.loadPDF(pdf)) {
                assertThat(document.getNumberOfPages()).as(paper).isEqualTo(1);
                assertThat(document.getPage(0).getMediaBox().getWidth() / 72 * 25.4)
                        .isCloseTo(paper.equals("A4") ? 297 : 279.4, within(0.5));
            }
        }
        String svg = grower.get(base + "/site/plan.svg").body();
        var root = DocumentBuilderFactory.newInstance()
                .newDocumentBuilder()
                .parse(new ByteArrayInputStream(svg.getBytes(StandardCharsets.UTF_8)))
                .getDocumentElement();
        assertThat(root.getAttribute("width")).isEqualTo("297.0mm");
        // 30 by 20 m fit an A4 page at 1:200, so the side of 30 m is 150 mm, 600 drawing units.
        assertThat(svg).contains("1 : 200");
        String[] points = ((org.w3c.dom.Element)
                        root.getElementsByTagName("polygon").item(0))
                .getAttribute("points")
                .split(" ");
        double wide = Double.parseDouble(points[1].split(",")[0])
                - Double.parseDouble(points[0].split(",")[0]);
        assertThat(wide).isCloseTo(600, within(0.2));
    }

    /** A pit may be dug before anybody drew a boundary: it is seen on Site all the same. */
    @Test
    void aPitBeforeTheBoundaryIsShown() {
        Visitor early = Visitor.signedUp("earlydigger");
        String at = early.founds("No boundary yet", "42");
        early.post(
                at + "/site/pits/new",
                Map.of("label", "1", "x", "3", "y", "4", "texture", "CLAY", "topsoil", "20", "ph", "6.4"));
        assertThat(early.get(at + "/site").body())
                .contains("Begin with the boundary", "Pit <b>1</b>", "Test the drainage");
    }
}
