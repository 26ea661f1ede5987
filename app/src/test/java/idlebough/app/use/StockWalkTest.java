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
import com.microsoft.playwright.options.AriaRole;
import idlebough.app.Running;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Another stock and another training, by the real interface: trees, years to crop and spacing move with it. */
@ExtendWith({Running.class, Browser.class})
class StockWalkTest {
    @Test
    void anotherStockMovesTreesYearsAndSpacing() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            String base = demo(page, "Quillane");
            page.navigate(base + "rootstocks");
            look(page, "M27");
            String small = seen(page);
            String drawnSmall = page.locator("#right svg").first().innerHTML();
            look(page, "MM111");
            assertThat(seen(page)).isNotEqualTo(small);
            assertThat(page.locator("#right svg").first().innerHTML()).isNotEqualTo(drawnSmall);
            assertThat(years(page)).as("a strong stock keeps one waiting").isGreaterThan(2);
            tab.calm("a stock looked at");
        }
    }

    @Test
    void aSpindleStandsCloserAndIsLeftFreeAgain() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            String base = demo(page, "Quillane");
            page.navigate(base + "rootstocks");
            String free = width(page);
            train(page, "espalier");
            assertThat(text(page, "#figures")).contains("Trained as espalier");
            assertThat(width(page)).as("kept by its wires").isNotEqualTo(free);
            tab.calm("an espalier");
            page.navigate(base + "layout");
            assertThat(page.locator("#plan defs g[transform]").count())
                    .as("drawn flat")
                    .isPositive();
            page.navigate(base + "rootstocks");
            page.locator("summary:has-text('Trained as')").click();
            press(page, "Leave it an ordinary tree");
            assertThat(width(page)).isEqualTo(free);
        }
    }

    @Test
    void onAPhoneInFeet() {
        try (Browser.Tab tab = new Browser.Tab(390, 844)) {
            Page page = tab.page;
            inFeet(page, "Ninth");
            page.navigate(base(page) + "rootstocks");
            assertThat(width(page)).contains("ft");
            assertThat(wider(page)).as("no wider than the phone").isZero();
            backToMetres(page);
        }
    }

    private static void look(Page page, String stock) {
        page.locator(".stocks")
                .getByRole(
                        AriaRole.LINK,
                        new Locator.GetByRoleOptions().setName(stock).setExact(true))
                .click();
        page.waitForURL("**stock=" + stock.toLowerCase(java.util.Locale.ROOT));
    }

    private static void train(Page page, String system) {
        page.locator("summary:has-text('Train it')").click();
        page.locator("form:has(input[value='" + system + "']) button").click();
    }

    private static String width(Page page) {
        return page.locator("details.row-f.key .n").first().textContent();
    }

    private static int years(Page page) {
        return Integer.parseInt(
                page.locator(".stocks tr.on td.r").last().textContent().trim());
    }

    /** Width, what finds room, and the years to the first crop. */
    private static String seen(Page page) {
        return width(page) + " " + page.locator("#left p.hint").first().textContent() + " " + years(page);
    }
}
