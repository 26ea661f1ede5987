package idlebough.app.use;

import static idlebough.app.use.Walk.backToMetres;
import static idlebough.app.use.Walk.base;
import static idlebough.app.use.Walk.demo;
import static idlebough.app.use.Walk.inFeet;
import static idlebough.app.use.Walk.press;
import static idlebough.app.use.Walk.text;
import static idlebough.app.use.Walk.wider;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import idlebough.app.Running;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Whole sets from wishes, by the real interface: looked for, stopped, taken in part, undone. */
@ExtendWith({Running.class, Browser.class})
class AssortmentWalkTest {
    @Test
    void aSetIsTakenInPartAndUndone() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            String base = demo(page, "Quillane");
            page.navigate(base + "assortment");
            tab.calm("wishes for a set");
            page.fill("#trees", "three");
            press(page, "Look for sets");
            assertThat(text(page, "#figures")).contains("is not a figure");
            assertThat(page.inputValue("#trees")).isEqualTo("three");
            wishFor(page, "hazel", "medlar");
            page.fill("#trees", "3");
            page.uncheck("[name=keep]");
            press(page, "Look for sets");
            page.waitForSelector(".set");
            page.waitForFunction("() => !document.getElementById('progress')");
            Locator first = page.locator(".set").first();
            assertThat(first.locator("h2").textContent()).contains("Set 1").contains("tree");
            assertThat(first.textContent()).contains("medlar").contains("hazel");
            tab.calm("sets");
            // All of it but the medlar.
            Locator ticks = first.locator("li:has-text('medlar') input");
            for (int i = 0; i < ticks.count(); i++) {
                ticks.nth(i).uncheck();
            }
            first.locator("button").click();
            page.waitForURL("**/varieties?variety=hazel-*");
            page.navigate(base + "rootstocks");
            assertThat(text(page, "#figures")).contains("hazel").doesNotContain("medlar");
            page.locator("button:has-text('Undo'), a:has-text('Undo')").first().click();
            page.navigate(base + "rootstocks");
            assertThat(text(page, "#figures")).doesNotContain("hazel");
        }
    }

    /** On a phone in the south, in feet: a long search is stopped, and what was found stands. */
    @Test
    void aSearchIsStoppedOnAPhone() {
        try (Browser.Tab tab = new Browser.Tab(390, 844)) {
            Page page = tab.page;
            inFeet(page, "Ninth");
            String base = base(page);
            page.navigate(base + "assortment");
            page.evaluate("() => document.querySelectorAll('.wishlist select').forEach((s) => (s.value = '2'))");
            page.fill("#trees", "24");
            page.fill("#area", "6000");
            press(page, "Look for sets");
            page.waitForSelector(".set");
            assertThat(text(page, ".set h2")).contains("ft²").contains("lb");
            press(page, "Stop, and take the best so far");
            page.waitForFunction("() => !document.getElementById('progress')");
            assertThat(text(page, ".sets")).contains("you stopped the search");
            assertThat(wider(page)).as("no wider than the phone").isZero();
            backToMetres(page);
        }
    }

    private static void wishFor(Page page, String... crops) {
        page.evaluate("() => document.querySelectorAll('.wishlist select').forEach((s) => (s.value = '0'))");
        for (String crop : crops) {
            page.selectOption("[name='crop-" + crop + "']", "2");
        }
    }
}
