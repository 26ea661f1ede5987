package idlebough.app.use;

import static idlebough.app.use.Walk.base;
import static idlebough.app.use.Walk.open;
import static idlebough.app.use.Walk.press;
import static idlebough.app.use.Walk.text;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import idlebough.app.Running;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is done every day: looking in, ticking off, finding, going about by keys, writing a day, changing units. */
@ExtendWith({Running.class, Browser.class})
class EveryDayWalkTest {
    private static Page demo(Browser.Tab tab) {
        tab.page.navigate(Running.base() + "/sign-in");
        tab.page.click("#demo");
        return tab.page;
    }

    @Test
    void aWrongPasswordKeepsTheName() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            page.navigate(Running.base() + "/sign-in");
            page.fill("#name", "Forgetful");
            page.fill("#password", "not this one");
            press(page, "Sign in");
            assertThat(text(page, "main")).contains("do not fit together");
            assertThat(page.inputValue("#name")).isEqualTo("Forgetful");
            page.navigate(Running.base() + "/sign-in");
            assertThat(page.inputValue("#name")).as("for one page").isEmpty();
        }
    }

    /** The morning: what is late is ticked off where it stands, named in undo, and comes back. */
    @ParameterizedTest
    @CsvSource({"1280, 800", "390, 844"})
    void aLateTaskIsTickedOffAndUndone(int width, int height) {
        try (Browser.Tab tab = new Browser.Tab(width, height)) {
            Page page = demo(tab);
            Locator late = page.locator(".due li:has-text('Guards on')");
            assertThat(late.textContent()).contains("days late");
            late.locator("button.tick").focus();
            assertThat(page.locator(".plansk .lit").count())
                    .as("its five trees are lit")
                    .isEqualTo(5);
            late.locator("button.tick").click();
            page.waitForURL(Running.base() + "/");
            assertThat(page.locator(".due li:has-text('Guards on')").count()).isZero();
            open(page, "Quillane");
            assertThat(text(page, ".foot")).contains("Undo: Done: Guards on");
            page.waitForLoadState();
            page.keyboard().press("u");
            page.locator(".told:has-text('Undid')").waitFor();
            page.navigate(Running.base() + "/");
            assertThat(page.locator(".due li:has-text('Guards on')").count()).isEqualTo(1);
        }
    }

    /** Every key of the help. */
    @Test
    void aboutByKeys() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = demo(tab);
            open(page, "Quillane");
            String[] pages = {
                "site",
                "winters",
                "varieties",
                "partners",
                "rootstocks",
                "layout",
                "water",
                "planting",
                "almanac",
                "daybook"
            };
            for (int i = 0; i < pages.length; i++) {
                page.keyboard().press(String.valueOf((i + 1) % 10));
                page.waitForURL("**/" + pages[i]);
            }
            for (String path : new String[] {
                "site",
                "winters",
                "varieties",
                "partners",
                "rootstocks",
                "layout",
                "water",
                "planting",
                "daybook",
                "doubts"
            }) {
                page.navigate(base(page) + path);
                if (path.equals("site")) {
                    // It opens at the worst pit, which is the last of the demo.
                    page.locator(".steps a").first().click();
                    page.waitForURL("**pit=**");
                }
                String begin = page.url();
                page.keyboard().press("j");
                page.waitForURL(url -> !url.equals(begin));
                String first = page.url();
                assertThat(first).as("j on %s", path).contains("/" + path + "?");
                page.keyboard().press("j");
                page.waitForURL(url -> !url.equals(first));
                page.keyboard().press("k");
                page.waitForURL(url -> url.equals(first));
            }
            page.navigate(base(page) + "planting");
            page.keyboard().press("=");
            page.locator("details.row-f[open] .work").first().waitFor();
            page.keyboard().press("?");
            assertThat(text(page, "#keys")).contains("next and previous tree").contains("undoes the last change");
            tab.calm("the keys");
            page.keyboard().press("Escape");
            assertThat(page.locator("#keys[open]").count()).isZero();
            page.click("button[data-open=keys]");
            page.locator("#keys .close").click();
            page.keyboard().press("/");
            page.keyboard().type("stan");
            page.locator("#finder [role=option]:has-text('Stanley')").first().waitFor();
            tab.calm("the finder");
            page.keyboard().press("ArrowDown");
            page.keyboard().press("Enter");
            page.waitForURL("**/planting?tree=*");
            assertThat(text(page, "h1")).contains("Stanley");
            page.navigate(base(page) + "doubts");
            page.keyboard().press(".");
            page.waitForURL(url -> !url.endsWith("/doubts"));
        }
    }

    @Test
    void theUnitsSwitchKeepsWhatWasHalfFilledIn() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = demo(tab);
            open(page, "Ninth");
            page.navigate(base(page) + "site/pits/new?x=3&y=4");
            page.fill("#topsoil", "25");
            page.fill("#ph", "6.5");
            page.selectOption("#texture", "CLAY");
            page.check("[name=worms]");
            page.click(".seg button[value=US]");
            page.locator(".seg .on[value=US]").waitFor();
            assertThat(page.url()).contains("site/pits/new?x=3&y=4");
            assertThat(page.inputValue("#topsoil"))
                    .as("with the unit in which it was typed")
                    .isEqualTo("25 cm");
            assertThat(page.inputValue("#ph")).isEqualTo("6.5");
            assertThat(page.inputValue("#texture")).isEqualTo("CLAY");
            assertThat(page.isChecked("[name=worms]")).isTrue();
            page.click(".seg button[value=METRIC]");
            page.locator(".seg .on[value=METRIC]").waitFor();
            assertThat(page.inputValue("#topsoil")).isEqualTo("25 cm");
            page.reload();
            assertThat(page.inputValue("#topsoil")).as("once").isEmpty();
        }
    }

    @Test
    void aDayIsSaidOrChosen() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = demo(tab);
            open(page, "Ninth");
            page.navigate(base(page) + "almanac");
            String before = page.inputValue("#plantingDate");
            page.fill("#plantingDate", "the day after");
            page.locator("#planting-date button:has-text('Set')").click();
            assertThat(text(page, "#plantingDate-wrong"))
                    .contains("the day after")
                    .contains("in 2 weeks");
            assertThat(page.inputValue("#plantingDate")).isEqualTo("the day after");
            page.locator("#planting-date [type=date]")
                    .evaluate("e => { e.value = '2027-09-18'; e.dispatchEvent(new Event('change')); }");
            assertThat(page.inputValue("#plantingDate")).matches("18 Sept? 2027");
            page.locator("#planting-date button:has-text('Set')").click();
            page.locator(".moved, .foot:has-text('Plant on 18 Sep 2027')")
                    .first()
                    .waitFor();
            page.keyboard().press("u");
            page.locator(".told:has-text('Undid')").waitFor();
            assertThat(page.inputValue("#plantingDate")).isEqualTo(before);
        }
    }

    /** One old tree, room for two: from an empty account, counted. At most three fields and five clicks (project choice). */
    @Test
    void theShortRoad() {
        try (Browser.Tab tab = new Browser.Tab(390, 844)) {
            Page page = tab.page;
            page.navigate(Running.base() + "/sign-up");
            page.fill("#name", "oldtree");
            page.fill("#person", "T. Oake");
            page.fill("#password", "long enough now");
            press(page, "Make it");
            page.fill("main .fresh #name", "Behind the house");
            page.fill("#latitude", "36.8 S");
            press(page, "Begin");
            page.navigate(base(page) + "site");
            page.locator("a:has-text('The short road')").click();
            page.selectOption("select[name=old]", "apple-bramley");
            page.locator("tr.on b").first().waitFor();
            assertThat(text(page, "#figures"))
                    .contains("Which two")
                    .contains("From the old stem")
                    .contains("Union above the board");
            tab.calm("the short road on a phone");
        }
    }

    /** Each gate begins with its stops, and the tree that is stopped lies red on the plan. */
    @Test
    void theListOfDoubtsBeginsWithTheStops() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = demo(tab);
            open(page, "Quillane");
            page.click("a.doubts");
            assertThat(text(page, "h1")).contains("Not sound yet");
            page.selectOption("select[name=gate]", "HOLE");
            page.waitForURL("**gate=HOLE**");
            assertThat(page.locator(".knot tr").first().locator(".st-stop").count())
                    .isEqualTo(1);
            page.locator(".knot a:has-text('P1 stands too wet')").click();
            page.locator(".sheet h2:has-text('P1 stands too wet')").waitFor();
            assertThat(page.locator(".plansk .sk-stop .ring.on").count()).isEqualTo(1);
        }
    }

    /** What is settled leaves the list; undo stands in its place, and brings it back. */
    @Test
    void whatIsSettledLeavesTheList() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = demo(tab);
            open(page, "Quillane");
            page.navigate(base(page) + "doubts");
            Locator row = page.locator(".knot tr:has(form button)").first();
            String words = row.locator("b").first().innerText();
            row.locator("form button").first().click();
            page.locator(".leaving").waitFor();
            assertThat(page.url()).contains("/doubts");
            assertThat(text(page, ".leaving")).contains(words);
            assertThat(page.locator(".knot tr:not(.leaving) b").allInnerTexts()).doesNotContain(words);
            page.locator(".leaving button").click();
            page.locator(".knot tr:not(.leaving) b").first().waitFor();
            assertThat(page.locator(".knot tr:not(.leaving) b").allInnerTexts()).contains(words);
        }
    }
}
