package idlebough.app.use;

import static idlebough.app.use.Walk.demo;
import static idlebough.app.use.Walk.press;
import static idlebough.app.use.Walk.text;
import static idlebough.app.use.Walk.touch;
import static idlebough.app.use.Walk.undo;
import static idlebough.app.use.Walk.wider;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import com.microsoft.playwright.options.KeyboardModifier;
import com.microsoft.playwright.options.LoadState;
import idlebough.app.Running;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** Trees put, moved and named by the real interface: by a tap, by tapes, by keys, by touch. */
@ExtendWith({Running.class, Browser.class})
class LayoutWalkTest {
    @Test
    void oneTreeByATapAndByTapes() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            String base = layout(page);
            int trees = page.locator("#plan .tree").count();
            page.locator("summary:has-text('Put one tree')").click();
            tab.calm("putting a tree");
            page.fill("#fromP", "3");
            page.fill("#fromQ", "4");
            press(page, "Put it there");
            assertThat(text(page, "#figures")).contains("cannot meet");
            assertThat(page.inputValue("#fromP")).isEqualTo("3");
            page.fill("#fromP", "34");
            page.fill("#fromQ", "49.5");
            press(page, "Put it there");
            assertThat(page.locator("#plan .tree").count()).isEqualTo(trees + 1);
            assertThat(text(page, "details.row-f.key")).contains("34.00");
            page.locator("summary:has-text('Put one tree')").click();
            page.fill("#east", "-40");
            page.fill("#north", "10");
            press(page, "Put it there");
            assertThat(text(page, "#figures")).contains("outside the boundary");
            page.locator("#put-here").click();
            BoundingBox plan = page.locator("#plan").boundingBox();
            page.mouse().click(plan.x + plan.width * 0.3, plan.y + plan.height * 0.62);
            page.waitForURL("**/layout?tree=*");
            assertThat(page.locator("#plan .tree").count()).isEqualTo(trees + 2);
            undo(page);
            undo(page);
            page.navigate(base + "layout");
            assertThat(page.locator("#plan .tree").count()).isEqualTo(trees);
        }
    }

    @Test
    void aNudgeKeepsTheFocusAndSaysWhereItStands() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            layout(page);
            page.evaluate("() => (window.stays = true)");
            Locator tree = page.locator("#plan .tree:has-text('C5')");
            double x = Double.parseDouble(tree.getAttribute("data-x"));
            tree.focus();
            page.keyboard().press("ArrowRight");
            page.waitForFunction("() => document.getElementById('spoken').textContent.includes('east')");
            assertThat(page.evaluate("() => window.stays")).as("no reload").isEqualTo(true);
            assertThat((String) page.evaluate("() => document.activeElement.textContent"))
                    .contains("C5");
            assertThat(text(page, "#spoken")).startsWith("C5 stands ");
            assertThat(Double.parseDouble(
                            page.locator("#plan .tree:has-text('C5')").getAttribute("data-x")))
                    .isCloseTo(x + 0.1, org.assertj.core.data.Offset.offset(0.002));
            undo(page);
        }
    }

    @Test
    void withoutScriptsAFormMovesAndNamesIt() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            layout(page);
            page.locator("summary:has-text('Place and tag of')").click();
            page.fill("#tag", "C5");
            press(page, "Store its place and tag");
            assertThat(text(page, "#figures")).contains("Another tree is called C5");
            page.fill("#tag", "Gate");
            String north = page.inputValue("#toNorth");
            page.fill("#toEast", "36");
            press(page, "Store its place and tag");
            assertThat(text(page, "#figures")).contains("Gate: tape from P").contains("36.00");
            page.locator("summary:has-text('Place and tag of')").click();
            assertThat(page.inputValue("#toNorth")).isEqualTo(north);
            undo(page);
        }
    }

    /** With Shift held trees are chosen on the plan, and moved together. */
    @Test
    void severalAreChosenOnThePlanAndShifted() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            layout(page);
            Locator first = page.locator("#plan .tree:has-text('C12')");
            double x = Double.parseDouble(first.getAttribute("data-x"));
            first.click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
            page.locator("#plan .tree:has-text('C13')")
                    .click(new Locator.ClickOptions().setModifiers(List.of(KeyboardModifier.SHIFT)));
            assertThat(page.inputValue("#several")).isEqualTo("C12, C13");
            tab.calm("several trees");
            page.fill("#shiftEast", "0");
            page.fill("#shiftNorth", "-2");
            press(page, "Shift them");
            page.waitForLoadState(LoadState.NETWORKIDLE);
            assertThat(Double.parseDouble(
                            page.locator("#plan .tree:has-text('C12')").getAttribute("data-x")))
                    .isEqualTo(x);
            undo(page);
            page.locator("summary:has-text('Several trees')").click();
            page.fill("#several", "C12, Nobody");
            press(page, "In one line, evenly");
            assertThat(text(page, "#figures")).contains("No tree is called Nobody");
            assertThat(page.inputValue("#several")).isEqualTo("C12, Nobody");
        }
    }

    @Test
    void theFillIsToldBeforeItIsDone() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            String base = layout(page);
            int trees = page.locator("#plan .tree").count();
            page.fill("#margin", "a lot");
            press(page, "See what it would place");
            assertThat(text(page, "#figures")).contains("is not a figure");
            assertThat(page.inputValue("#margin")).isEqualTo("a lot");
            page.fill("#margin", "3");
            page.check("[name=anew]");
            press(page, "See what it would place");
            assertThat(text(page, "#figures")).contains("It would place");
            assertThat(page.locator(".ghosts circle").count()).isPositive();
            assertThat(page.locator("#plan .tree").count())
                    .as("nothing is done")
                    .isEqualTo(trees);
            tab.calm("what a fill would do");
            press(page, "Look for the best direction");
            assertThat(text(page, "#figures")).contains("Rows that run to").contains("trees in");
            page.navigate(base + "layout");
            assertThat(page.locator("#plan .tree").count()).isEqualTo(trees);
        }
    }

    /** By real touch: a drag moves a tree, a second finger turns it into a pinch and the tree goes back. */
    @Test
    void byTouchOnAPhone() {
        try (Browser.Tab tab = Browser.Tab.touched(390, 844)) {
            Page page = tab.page;
            layout(page);
            assertThat(wider(page)).as("no wider than the phone").isZero();
            page.locator("#plan").scrollIntoViewIfNeeded();
            CDPSession touch = page.context().newCDPSession(page);
            Locator tree = page.locator("#plan .tree:has-text('C3')");
            String before = tree.getAttribute("transform");
            BoundingBox box = tree.boundingBox();
            double x = box.x + box.width / 2;
            double y = box.y + box.height / 2;
            touch(touch, "touchStart", x, y);
            touch(touch, "touchMove", x + 8, y + 8);
            touch(touch, "touchMove", x + 12, y + 12);
            assertThat(tree.getAttribute("transform")).as("follows the finger").isNotEqualTo(before);
            String whole = page.getAttribute("#plan", "viewBox");
            touch(touch, "touchStart", x + 12, y + 12, x + 60, y + 60);
            touch(touch, "touchMove", x + 2, y + 2, x + 90, y + 90);
            touch(touch, "touchMove", x - 8, y - 8, x + 120, y + 120);
            touch(touch, "touchEnd");
            page.waitForFunction("(whole) => document.getElementById('plan').getAttribute('viewBox') !== whole", whole);
            assertThat(tree.getAttribute("transform")).as("goes back").isEqualTo(before);
        }
    }

    @Test
    void crownsGrowWhileTheYearIsMovedAndThrowShade() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            String base = layout(page);
            page.evaluate("() => (window.stays = true)");
            String small = page.locator("#plan defs").last().innerHTML();
            page.evaluate("() => { const y = document.getElementById('year'); y.value = 20;"
                    + " y.dispatchEvent(new Event('input', { bubbles: true })); }");
            page.waitForFunction("() => document.getElementById('plan').dataset.year === '20'");
            assertThat(page.locator("#plan defs").last().innerHTML()).isNotEqualTo(small);
            assertThat(text(page, "#live")).contains("brings in year 20");
            assertThat(page.evaluate("() => window.stays")).as("no reload").isEqualTo(true);
            page.navigate(base + "layout?shade=true&year=20&month=6&hour=18");
            assertThat(text(page, "#figures")).contains("21 June, 18:00").contains("with the crowns of year 20");
            assertThat(page.locator("#shade path").count()).isGreaterThan(20);
            tab.calm("the shade of the orchard");
        }
    }

    @Test
    void aFillerIsMadeAndLetStay() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            layout(page);
            page.locator("button:has-text('is a filler')").click();
            page.locator("button:has-text('Let B5 stay')").click();
            assertThat(page.locator("button:has-text('B5 is a filler')").count())
                    .isEqualTo(1);
        }
    }

    /** On a phone: a tape is chosen, a peg is ticked off, a check tells which peg is out. */
    @Test
    void pegsAreTickedOffAndChecked() {
        try (Browser.Tab tab = Browser.Tab.touched(390, 844)) {
            Page page = tab.page;
            String base = layout(page);
            page.navigate(base + "layout/pegs");
            assertThat(wider(page)).as("no wider than the phone").isZero();
            press(page, "20.0 m");
            assertThat(text(page, "#figures")).contains("pairs of points");
            page.locator("button.box").first().click();
            assertThat(text(page, "p.lead")).contains("1 of");
            page.locator("tr.done button.box").first().click();
            assertThat(text(page, "p.lead")).contains("0 of");
            check(page, "B2", "B3", "far");
            assertThat(text(page, "#checks")).contains("is not a figure");
            assertThat(page.inputValue("#measured")).isEqualTo("far");
            check(page, "B2", "B3", "9");
            check(page, "B2", "B4", "14");
            assertThat(text(page, "#checks")).contains("Peg B2 has probably moved");
            tab.calm("pegs checked");
            page.locator("#checks button:has-text('Take back')").first().click();
            page.locator("#checks button:has-text('Take back')").first().click();
            assertThat(text(page, "#checks")).doesNotContain("has probably moved");
            press(page, "30.0 m");
        }
    }

    private static void check(Page page, String from, String to, String measured) {
        page.selectOption("#from", new com.microsoft.playwright.options.SelectOption().setLabel(from));
        page.selectOption("#to", new com.microsoft.playwright.options.SelectOption().setLabel(to));
        page.fill("#measured", measured);
        press(page, "Check it");
    }

    @Test
    void treesGoOutAndComeBackChanged(@TempDir Path files) throws IOException {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            String base = layout(page);
            page.navigate(base + "layout/files");
            Path csv = files.resolve("trees.csv");
            page.waitForDownload(() -> page.locator("a:has-text('CSV')").click())
                    .saveAs(csv);
            page.setInputFiles("#file", csv);
            press(page, "See what it would change");
            assertThat(text(page, "#figures")).contains("nothing would change");
            String text = Files.readString(csv);
            Files.writeString(csv, text + "New 1,Discovery,M9,30,25,,,,,,\r\nNew 2,Nonesuch,,33,25,,,,,,\r\n");
            page.setInputFiles("#file", csv);
            press(page, "See what it would change");
            assertThat(text(page, "#figures")).contains("New 1").contains("is called “Nonesuch”");
            tab.calm("what a file would change");
            press(page, "Take it over");
            assertThat(page.locator("#plan .tree:has-text('New 1')").count()).isEqualTo(1);
            undo(page);
        }
    }

    private static String layout(Page page) {
        String base = demo(page, "Quillane");
        page.navigate(base + "layout");
        return base;
    }
}
