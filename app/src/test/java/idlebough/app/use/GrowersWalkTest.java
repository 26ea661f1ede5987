package idlebough.app.use;

import static idlebough.app.use.Walk.open;
import static idlebough.app.use.Walk.press;
import static idlebough.app.use.Walk.text;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import idlebough.app.Running;
import idlebough.core.winter.WeatherGenerator;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** The issue's own story, in a browser: from an empty program to a printed card. */
@ExtendWith({Running.class, Browser.class})
class GrowersWalkTest {
    private static final List<String> STAGES = List.of(
            "site",
            "winters",
            "varieties",
            "partners",
            "rootstocks",
            "layout",
            "water",
            "planting",
            "almanac",
            "daybook");

    private static void openDemo(Page page, String orchard) {
        page.navigate(Running.base() + "/sign-in");
        page.click("#demo");
        open(page, orchard);
    }

    private static void go(Page page, String stage) {
        page.navigate(page.url().replaceAll("(/orchards/[^/]+/).*", "$1" + stage));
    }

    @Test
    void fromAnEmptyProgramToAPrintedCard(@TempDir Path files) throws IOException {
        Path csv = files.resolve("winters.csv");
        String days = new WeatherGenerator(
                        99,
                        new WeatherGenerator.Year(9.5, 11, 20, 11),
                        new WeatherGenerator.Anomalies(0.7, 3.2, 0.7, 0.3))
                .days(LocalDate.of(2004, 9, 1), LocalDate.of(2026, 10, 1)).stream()
                        .map(d -> String.format(Locale.ROOT, "%s;%.1f;%.1f", d.date(), d.minimum(), d.maximum())
                                .replace('.', ','))
                        .collect(Collectors.joining("\n"));
        Files.writeString(csv, "Datum;Tmin;Tmax\n" + days + "\n2026-10-02;12,0;5,0\n");
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            page.navigate(Running.base() + "/sign-in");
            tab.calm("sign-in");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Make an account"))
                    .click();
            page.fill("#name", "walker");
            page.fill("#person", "T. Oake");
            page.fill("#password", "short");
            press(page, "Make it");
            assertThat(text(page, "main")).contains("at least ten letters");
            assertThat(page.inputValue("#name")).as("what was typed is kept").isEqualTo("walker");
            tab.calm("sign-up with a complaint");
            page.fill("#password", "long enough now");
            press(page, "Make it");

            page.fill("#name", "Walker's ground");
            page.fill("#latitude", "42,3");
            page.selectOption("#timeZone", "UTC");
            press(page, "Begin");
            page.fill("#east", "30 m");
            page.fill("#north", "2000 cm");
            page.fill("#stormWind", "250");
            press(page, "Save");
            assertThat(text(page, "#figures")).contains("0.060 ha").contains("sunny side is south");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Dig a pit"))
                    .click();
            page.selectOption("#texture", "LOAM");
            page.fill("#topsoil", "30");
            page.fill("#ph", "6.5");
            press(page, "Save and test the drainage");
            page.check("input[name=secondFilling]");
            page.fill("#readings", "0; 5\nsixty; 11");
            press(page, "Save the readings");
            assertThat(text(page, "#figures")).contains("Line 2").contains("is not a reading");
            page.fill("#readings", "0; 5\n60; 11.5\n120; 17");
            press(page, "Save the readings");
            assertThat(text(page, "#figures")).contains("in a 12-inch hole");
            page.locator("details.row-f summary").first().click();
            assertThat(page.locator("details.row-f[open] .work").first().innerText())
                    .contains("inverse auger hole");

            go(page, "winters/load");
            page.setInputFiles("#file", csv);
            press(page, "Look at it");
            assertThat(text(page, "main"))
                    .contains("Nothing is stored yet")
                    .contains("is above the maximum")
                    .contains("Line ");
            tab.calm("the preview");
            page.fill("#station", "Hill mast");
            press(page, "Store these days");
            assertThat(text(page, "#figures")).contains("22 whole ones").contains("Reached in nine winters of ten");

            for (String variety : List.of("apple-cox", "apple-james-grieve")) {
                go(page, "varieties?variety=" + variety);
                page.fill("#wanted", "2");
                press(page, "Choose");
            }
            go(page, "partners");
            assertThat(text(page, "#figures")).contains("James Grieve");
            for (int i = 0; i < 2; i++) {
                go(page, "rootstocks");
                page.locator(".stocks")
                        .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName("MM106"))
                        .click();
                press(page, "Take MM106");
            }
            go(page, "layout");
            press(page, "Fill the plot");
            assertThat(text(page, "h1")).isEqualTo("Layout, 4 trees");
            Locator tree = page.locator(".tree").first();
            double x = Double.parseDouble(tree.getAttribute("data-x"));
            tree.focus();
            page.keyboard().press("Shift+ArrowRight");
            page.waitForURL("**/layout?tree=*");
            assertThat(Double.parseDouble(page.locator(".tree").first().getAttribute("data-x")))
                    .isCloseTo(x + 1, org.assertj.core.data.Offset.offset(0.01));
            go(page, "planting");
            String before = page.locator("details.row-f.key .n").first().innerText();
            String width = page.locator("details.row-f:has-text('Dig width') .n")
                    .first()
                    .innerText();
            page.locator("details.ways-part:has-text('How wide to dig') > summary")
                    .click();
            page.locator("details.ways-part details.row-f:has-text('How wide to dig') > summary")
                    .click();
            press(page, "three balls");
            assertThat(page.locator("details.row-f:has-text('Dig width') .n")
                            .first()
                            .innerText())
                    .isNotEqualTo(width);
            assertThat(page.locator("details.row-f.key .n").first().innerText()).isEqualTo(before);
            assertThat(text(page, ".moved")).contains("How wide to dig").contains("hole width");
            for (String paper : List.of("", "?paper=Letter")) {
                String card = page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Print card, A4"))
                                .getAttribute("href")
                        + paper;
                APIResponse pdf = page.context().request().get(Running.base() + card);
                assertThat(pdf.status()).isEqualTo(200);
                assertThat(new String(pdf.body(), 0, 5, java.nio.charset.StandardCharsets.ISO_8859_1))
                        .isEqualTo("%PDF-");
            }
            page.fill("#height", "17");
            if (page.locator("[name=walls]").count() > 0) {
                page.check("[name=walls]");
            }
            press(page, "It is planted");
            assertThat(text(page, "#as-planted")).contains("17.0 cm");
            APIResponse calendar = page.context()
                    .request()
                    .get(page.url().replaceAll("(/orchards/[^/]+/).*", "$1almanac/almanac.ics"));
            assertThat(calendar.text()).contains("BEGIN:VCALENDAR").contains("Plant\\, water in");
            for (String stage : STAGES) {
                go(page, stage);
                tab.calm(stage);
            }
            press(page, "Sign out");
            assertThat(page.url()).contains("/sign-in");
        }
    }

    @Test
    void theSouthernYardIsMirroredAndReadsInFeet() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            openDemo(page, "Ninth Terrace");
            assertThat(text(page, "#figures")).contains("The sunny side is north");
            press(page, "ft · gal");
            go(page, "planting");
            assertThat(text(page, ".sk")).contains("faces S");
            assertThat(page.locator("details.row-f > summary .n").allInnerTexts())
                    .anyMatch(figure -> figure.endsWith("in"))
                    .anyMatch(figure -> figure.endsWith("gal"))
                    .noneMatch(figure -> figure.contains("cm") || figure.endsWith("L"));
            go(page, "winters");
            assertThat(text(page, ".sk")).contains("May").contains("Sep").doesNotContain("Dec");
            go(page, "layout");
            assertThat(text(page, "#figures")).contains(" ft");
            go(page, "almanac");
            assertThat(text(page, "#figures")).contains("Guards on");
            for (String stage : STAGES) {
                go(page, stage);
                tab.calm("southern " + stage);
            }
            for (String other :
                    List.of("site/edit", "site/pits/new", "layout/pegs", "ways", "history", "winters/load")) {
                go(page, other);
                tab.calm("southern " + other);
            }
            go(page, "planting");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Enter what you measured on it"))
                    .click();
            tab.calm("the tree as it came");
            for (String own : List.of("/", "/account")) {
                page.navigate(Running.base() + own);
                tab.calm(own);
            }
            press(page, "m · L");
        }
    }

    @Test
    void thePlantingPageOnAPhone() {
        try (Browser.Tab tab = new Browser.Tab(390, 844)) {
            Page page = tab.page;
            openDemo(page, "Quillane Rise");
            go(page, "planting");
            assertThat(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue())
                    .as("nothing sticks out sideways")
                    .isLessThanOrEqualTo(390);
            assertThat(page.locator(".sk").boundingBox().y)
                    .as("the sketch comes first")
                    .isLessThan(page.locator("#figures").boundingBox().y);
            tab.calm("planting on a phone");
        }
    }

    @Test
    void aDragMovesTheFindingsAndUndoBringsItBack() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            openDemo(page, "Quillane Rise");
            go(page, "layout");
            page.locator(".tree[data-here=true]").waitFor();
            String id = page.locator(".tree[data-here=true]").getAttribute("data-tree");
            String from = page.locator(".tree[data-here=true]").getAttribute("data-x");
            var box = page.locator(".tree[data-here=true]").boundingBox();
            page.mouse().move(box.x + box.width / 2, box.y + box.height / 2);
            page.mouse().down();
            page.mouse()
                    .move(
                            box.x + box.width / 2,
                            box.y - 400,
                            new com.microsoft.playwright.Mouse.MoveOptions().setSteps(8));
            page.locator("#live:has-text('stands off the plot')").waitFor();
            page.mouse().up();
            page.waitForURL("**/layout?tree=" + id + "*");
            assertThat(text(page, "#live")).contains("stands off the plot");
            page.keyboard().press("u");
            page.waitForURL("**/layout");
            assertThat(Double.parseDouble(
                            page.locator(".tree[data-tree='" + id + "']").getAttribute("data-x")))
                    .isCloseTo(Double.parseDouble(from), org.assertj.core.data.Offset.offset(0.001));
            tab.calm("layout");
        }
    }
}
