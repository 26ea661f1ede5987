package idlebough.app.use;

import static idlebough.app.use.Walk.backToMetres;
import static idlebough.app.use.Walk.demo;
import static idlebough.app.use.Walk.inFeet;
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
import com.microsoft.playwright.options.LoadState;
import idlebough.app.Running;
import java.io.IOException;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Planting by the real interface: a delivery on the phone, the tree lifted in its hole, ways, a tree that moves. */
@ExtendWith({Running.class, Browser.class})
class PlantingWalkTest {
    private static final int DELIVERED = 14;

    /** Fourteen trees come, are looked at on a phone, and their cards are one file. */
    @Test
    void aDeliveryOnThePhone() throws IOException {
        try (Browser.Tab tab = Browser.Tab.touched(390, 844)) {
            Page page = tab.page;
            String base = demo(page, "Quillane");
            page.navigate(base + "planting/deliveries");
            assertThat(wider(page)).as("no wider than the phone").isZero();
            tab.calm("deliveries");
            int trees = page.locator(".came li").count();
            assertThat(trees).isGreaterThanOrEqualTo(DELIVERED);
            for (int i = 0; i < DELIVERED; i++) {
                page.locator(".came input").nth(i).check();
            }
            page.selectOption("#keptAs", "HEELED");
            press(page, "They have come");
            assertThat(page.locator(".came li:has-text('came ')").count()).isEqualTo(DELIVERED);
            page.locator(".came a.act").first().click();
            page.waitForLoadState();
            assertThat(wider(page)).as("no wider than the phone").isZero();
            tab.calm("a tree that came");
            page.selectOption("#label", "VARIETY");
            page.selectOption("#bark", "TIP");
            page.fill("#union", "tall");
            press(page, "Keep what I saw");
            assertThat(text(page, "main")).contains("is not a figure");
            assertThat(page.inputValue("#union")).isEqualTo("tall");
            assertThat(page.inputValue("#label")).isEqualTo("VARIETY");
            page.fill("#union", "14");
            press(page, "Keep what I saw");
            assertThat(text(page, "#verdict"))
                    .contains("Accept it, and mend it.")
                    .contains("names no stock");
            assertThat(page.inputValue("#claim")).contains("The label names no rootstock.");
            String first = page.url();
            page.locator("a:has-text('Next: ')").click();
            page.waitForLoadState();
            assertThat(page.url()).isNotEqualTo(first);
            assertThat(text(page, "#verdict")).contains("Nothing that was looked at");
            byte[] cards = page.context()
                    .request()
                    .get(base + "planting/cards.pdf?per=4")
                    .body();
            try (PDDocument file = Loader.loadPDF(cards)) {
                assertThat(file.getNumberOfPages()).isEqualTo((trees + 3) / 4);
            }
            page.navigate(base + "planting");
            undo(page);
            undo(page);
            page.navigate(base + "planting/deliveries");
            assertThat(page.locator(".came li:has-text('came ')").count()).isZero();
        }
    }

    private static double raise(Page page) {
        return Double.parseDouble(page.getAttribute("#section", "aria-valuenow"));
    }

    /** By mouse: too deep is said while it is dragged, and stored when it is let go; by key half a centimetre. */
    @Test
    void theTreeIsLiftedByMouseAndKey() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            demo(page, "Quillane");
            page.navigate(Walk.base(page) + "planting");
            double planned = raise(page);
            page.evaluate("() => (window.stays = true)");
            BoundingBox tree = page.locator("#lifted").boundingBox();
            BoundingBox drawing = page.locator("#section").boundingBox();
            double x = tree.x + tree.width / 2;
            double y = drawing.y + drawing.height * 0.45;
            page.mouse().move(x, y);
            page.mouse().down();
            page.mouse().move(x, y + 60);
            page.locator("#live:has-text('sinks below ground')").waitFor();
            assertThat(raise(page)).isLessThan(planned - 0.05);
            page.mouse().up();
            page.waitForFunction(
                    "(before) => Number(document.getElementById('section').dataset.raise) < before - 0.05", planned);
            assertThat(page.evaluate("() => window.stays")).as("no reload").isEqualTo(true);
            assertThat(text(page, "#figures")).contains("Your own hole");
            double lowered = raise(page);
            page.locator("#section").focus();
            page.keyboard().press("ArrowUp");
            page.keyboard().press("ArrowUp");
            page.waitForFunction(
                    "(before) => Math.abs(Number(document.getElementById('section').dataset.raise) - before - 0.01) < 1e-6",
                    lowered);
            undo(page);
            undo(page);
            page.navigate(Walk.base(page) + "planting");
            assertThat(raise(page)).isEqualTo(planned);
        }
    }

    @Test
    void theTreeIsLiftedByAFinger() {
        try (Browser.Tab tab = Browser.Tab.touched(390, 844)) {
            Page page = tab.page;
            demo(page, "Quillane");
            page.navigate(Walk.base(page) + "planting");
            assertThat(wider(page)).as("no wider than the phone").isZero();
            double planned = raise(page);
            page.locator("#section").scrollIntoViewIfNeeded();
            BoundingBox tree = page.locator("#lifted").boundingBox();
            BoundingBox drawing = page.locator("#section").boundingBox();
            double x = tree.x + tree.width / 2;
            double y = drawing.y + drawing.height * 0.45;
            CDPSession touch = page.context().newCDPSession(page);
            touch(touch, "touchStart", x, y);
            touch(touch, "touchMove", x, y - 10);
            touch(touch, "touchMove", x, y - 30);
            page.waitForFunction(
                    "(before) => Number(document.getElementById('section').getAttribute('aria-valuenow')) > before + 0.02",
                    planned);
            touch(touch, "touchEnd");
            page.waitForFunction(
                    "(before) => Number(document.getElementById('section').dataset.raise) > before + 0.02", planned);
            undo(page);
        }
    }

    @Test
    void aWayIsSwitchedAndWhatMovedIsRead() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            String base = demo(page, "Quillane");
            page.navigate(base + "ways");
            tab.calm("ways");
            page.locator("summary:has-text('How wide to dig')").click();
            page.locator("details.way:has-text('How wide to dig') button:has-text('three balls')")
                    .click();
            page.waitForLoadState(LoadState.NETWORKIDLE);
            page.locator("details.moved summary, #moved summary, summary:has-text('moved')")
                    .first()
                    .click();
            assertThat(text(page, "main")).contains("hole width");
            page.navigate(base + "planting?above=true");
            tab.calm("from above");
            assertThat(text(page, "#figures")).contains("3.0 × ball");
            undo(page);
            page.navigate(base + "planting");
            assertThat(text(page, "#figures")).doesNotContain("3.0 × ball");
        }
    }

    /** In the south and in feet: a tree that stands is asked about, and what does not go is said. */
    @Test
    void aTreeIsMovedInTheSouthInFeet() {
        try (Browser.Tab tab = new Browser.Tab(1280, 900)) {
            Page page = tab.page;
            inFeet(page, "Ninth");
            String base = Walk.base(page);
            page.navigate(base + "planting");
            Locator planted = page.locator("#tree option");
            assertThat(planted.count()).isPositive();
            String tree = page.getAttribute("#section", "data-tree");
            page.navigate(base + "planting/" + tree + "/moving?years=2&stem=1.2");
            tab.calm("moving a tree");
            assertThat(text(page, "#figures"))
                    .contains("It goes well.")
                    .contains("in")
                    .contains("lb")
                    .contains("faces north");
            page.fill("#years", "7");
            press(page, "Reckon");
            assertThat(text(page, "#figures")).contains("It does not go.");
            page.fill("#years", "long");
            press(page, "Reckon");
            assertThat(text(page, "#figures")).contains("is not a figure");
            assertThat(page.inputValue("#years")).isEqualTo("long");
            backToMetres(page);
        }
    }
}
