package idlebough.app.home;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** The first page, the list of doubts, and what is done with whole orchards. */
@ExtendWith(Running.class)
class HomeTest {
    private Visitor grower;
    private String base;

    @BeforeEach
    void found() {
        grower = Visitor.signedUp("home" + System.nanoTime());
        base = grower.founds("My ground", "42.3");
    }

    private String home() {
        return grower.get("/").body();
    }

    @Test
    void aNewOrchardStandsOnItsCardWithWhatIsToBeDoneFirst() {
        assertThat(home())
                .contains("My ground")
                .contains("42.3° N")
                .contains("no ground drawn yet")
                .contains("This week");
        assertThat(grower.get(base + "/doubts").body()).contains("before the order");
    }

    @Test
    void aLatitudeAsPeopleWriteIt() {
        assertThat(grower.founds("Down there", "36.8 S")).startsWith("/orchards/");
        assertThat(home()).contains("36.8° S");
        String again = grower.post("/orchards", Map.of("name", "Nowhere", "latitude", "far north", "timeZone", "UTC"))
                .body();
        assertThat(again)
                .contains("write it like 42.3 N")
                .contains("value=\"Nowhere\"")
                .contains("value=\"far north\"");
    }

    @Test
    void renamedCopiedTakenAwayAndBroughtBack() {
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "2"));
        grower.post(base + "/rename", Map.of("name", "Upper field"));
        assertThat(home()).contains("Upper field").doesNotContain("My ground");
        grower.post(base + "/rename", Map.of("name", " "));
        assertThat(home()).contains("Upper field").contains("keeps its name");
        assertThat(grower.get(base + "/history").body()).contains("Called it Upper field");
        grower.post(base + "/undo", Map.of());
        assertThat(home()).as("turned back like everything else").contains("My ground");
        grower.post(base + "/redo", Map.of());
        assertThat(grower.post(base + "/rename", Map.of("name", "Lower field", "_revision", "0"))
                        .statusCode())
                .as("from a page that is older than the name")
                .isEqualTo(409);
        grower.post(base + "/copy", Map.of());
        Matcher copy = Pattern.compile("(/orchards/[0-9a-f-]{36})/site\"[^>]*>Copy of Upper field")
                .matcher(home());
        assertThat(copy.find()).isTrue();
        assertThat(copy.group(1)).isNotEqualTo(base);
        assertThat(grower.get(copy.group(1) + "/rootstocks").body()).contains("Cox");
        grower.post(base + "/delete", Map.of());
        assertThat(grower.get(base + "/site").statusCode()).isEqualTo(404);
        assertThat(home()).contains("Bring back Upper field");
        Visitor stranger = Visitor.signedUp("stranger" + System.nanoTime());
        assertThat(stranger.post(base + "/restore", Map.of()).statusCode()).isEqualTo(404);
        grower.post(base + "/restore", Map.of());
        assertThat(grower.get(base + "/site").body()).contains("Upper field");
    }

    @Test
    void aTaskIsTickedOffOnTheFirstPageAndThatCanBeUndone() {
        LocalDate soon = LocalDate.now(ZoneOffset.UTC).plusDays(20);
        grower.post(base + "/almanac", Map.of("plantingDate", soon.toString()));
        assertThat(home()).contains("Dig the pits").contains("days late");
        grower.post(base + "/almanac/done", Map.of("task", "soil-test", "back", "home"));
        assertThat(home()).doesNotContain("Done: Dig the pits, test the soil and its drainage\"");
        assertThat(grower.get(base + "/almanac").body()).contains("Not done: Dig the pits");
        grower.post(base + "/undo", Map.of());
        assertThat(home()).contains("Done: Dig the pits, test the soil and its drainage\"");
        assertThat(grower.post(base + "/almanac/done", Map.of("task", "nothing"))
                        .statusCode())
                .isEqualTo(404);
    }

    /** One old tree, room for two: answered with nothing drawn. */
    @Test
    void theShortRoadAnswersFromNothing() {
        String road =
                grower.get(base + "/short?crop=apple&old=apple-bramley&crown=7").body();
        assertThat(road)
                .contains("Which two")
                .contains("How far")
                .contains("How high")
                .contains("Want ");
        String wrong = grower.get(base + "/short?crown=wide").body();
        assertThat(wrong).contains("value=\"wide\"").contains("class=\"wrong\"");
    }

    @Test
    void theCardsOfAllTreesAreOnePaper() throws IOException {
        assertThat(grower.get(base + "/planting/cards.pdf").statusCode())
                .as("no trees yet")
                .isEqualTo(404);
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "5"));
        grower.post(
                base + "/site/edit",
                Map.of("name", "Mine", "timeZone", "UTC", "latitude", "42.3", "corners", "0; 0\n30; 0\n30; 30\n0; 30"));
        grower.post(base + "/layout/fill", Map.of("pattern", "SQUARE", "margin", "3", "alley", "2", "bearing", ""));
        for (String paper : List.of("A4", "Letter")) {
            for (int per : new int[] {1, 2, 4}) {
                byte[] pdf = grower.bytes(base + "/planting/cards.pdf?per=" + per + "&paper=" + paper);
                assertThat(new String(pdf, 0, 5, StandardCharsets.ISO_8859_1)).isEqualTo("%PDF-");
                try (PDDocument document = Loader.loadPDF(pdf)) {
                    assertThat(document.getNumberOfPages())
                            .as("five cards, %s to a page of %s", per, paper)
                            .isEqualTo((5 + per - 1) / per);
                }
            }
        }
    }

    /** A tree, a variety, a pit, a page, a figure: by the beginning of what it is called. */
    @Test
    void findsWhatIsCalledSo() {
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "1"));
        assertThat(grower.get(base + "/find?list=true&q=cox").body())
                .contains("apple, chosen")
                .contains("varieties?variety=apple-cox");
        assertThat(grower.get(base + "/find?list=true&q=alma").body()).contains(base + "/almanac");
        assertThat(grower.get(base + "/find?list=true&q=creme").body()).contains("Nothing is called so");
        assertThat(grower.get(base + "/find?q=ways").body()).contains("href=\"" + base + "/ways\"");
    }

    @Test
    void theOrderHasAClosingDate() {
        String wrong = grower.post(base + "/almanac/order", Map.of("orderCloses", "soon-ish"))
                .body();
        assertThat(wrong).contains("soon-ish").contains("wrong");
        LocalDate closes = LocalDate.now(ZoneOffset.UTC).plusDays(12);
        grower.post(base + "/almanac/order", Map.of("orderCloses", closes.toString()));
        assertThat(grower.get(base + "/doubts").body()).contains("12 days");
    }

    @Test
    void doubtsAreFilteredByGateRoomAndPickedLine() {
        assertThat(grower.get(base + "/doubts").body())
                .contains("Nothing is judged yet")
                .contains("Not judged yet");
        grower.post(base + "/varieties/apple-cox", Map.of("wanted", "2"));
        grower.post(
                base + "/site/edit",
                Map.of(
                        "name",
                        "My ground",
                        "timeZone",
                        "UTC",
                        "latitude",
                        "42.3",
                        "corners",
                        "0; 0\n20; 0\n20; 20\n0; 20"));
        grower.post(base + "/layout/fill", Map.of("pattern", "SQUARE", "margin", "3", "alley", "2", "bearing", ""));
        String all = grower.get(base + "/doubts").body();
        assertThat(all).contains("before the order").contains("Not sound yet");
        assertThat(grower.get(base + "/doubts?gate=WATCH").body()).contains("elsewhere");
        assertThat(grower.get(base + "/doubts?room=site&tree=none&row=Z&at=x").statusCode())
                .isEqualTo(200);
    }
}
