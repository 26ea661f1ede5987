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
import com.microsoft.playwright.options.Media;
import idlebough.app.Running;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** From an empty plan to a chosen set with partners, by the real interface. */
@ExtendWith({Running.class, Browser.class})
class CompanyWalkTest {
    /** A lone Bing finds out that it wants a partner, gets one by one press, and a second look finds it served. */
    @Test
    void fromNothingToAPartneredSet() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            page.navigate(Running.base() + "/sign-up");
            page.fill("#name", "company");
            page.fill("#person", "P. Leach");
            page.fill("#password", "long enough now");
            press(page, "Make it");
            page.fill("#name", "Leach ground");
            page.fill("#latitude", "42.3");
            page.selectOption("#timeZone", "UTC");
            press(page, "Begin");
            String base = base(page);
            page.navigate(base + "varieties?q=bing");
            page.fill("#wanted", "1");
            press(page, "Choose");
            page.navigate(base + "partners");
            assertThat(text(page, "#figures"))
                    .contains("has no partner that serves it")
                    .contains("The fewest that mend it");
            tab.calm("partners of a lone tree");
            Locator add = page.locator("button:has-text('Add it')").first();
            String named = add.getAttribute("aria-label").replaceFirst(".*: ", "");
            add.click();
            page.waitForURL("**/partners?tree=*");
            assertThat(text(page, "#figures"))
                    .doesNotContain("The fewest that mend it")
                    .contains(named)
                    .containsAnyOf("open", "half");
            // A row of one's own with a bad one beside it.
            page.navigate(base + "catalogue");
            page.fill("#rows-varieties", "name,crop,ripe\nGrandmother,sweet-cherry,7\nUncle,sweet-cherry,soon\n");
            page.locator("form[action$='varieties/load'] button").click();
            assertThat(text(page, "main")).contains("One row was stored").contains("a month of the north");
            assertThat(page.inputValue("#rows-varieties"))
                    .contains("Uncle,sweet-cherry,soon")
                    .doesNotContain("Grand");
            tab.calm("a table with a bad row");
            page.navigate(base + "varieties?q=grandmother");
            assertThat(text(page, "h1")).isEqualTo("Grandmother, sweet cherry");
        }
    }

    /** A branch goes on a tree and off again; the web on the plan shows where the picked one's pollen comes from. */
    @Test
    void aBranchGoesOnAndOff() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            String base = demo(page, "Quillane");
            page.navigate(base + "partners?show=plan");
            assertThat(page.locator("a .knot.here").count()).isEqualTo(1);
            assertThat(page.locator("path.d-common").getAttribute("d")).contains("M");
            tab.calm("the web on the plan");
            page.locator("summary:has-text('Branches of other varieties')").click();
            page.selectOption("select[aria-label='Variety of the branch']", "apple-liberty");
            press(page, "Graft a branch of it");
            assertThat(text(page, "table.partners")).contains("branch ‘Liberty’");
            press(page, "Take off ‘Liberty’");
            assertThat(text(page, "table.partners")).doesNotContain("Liberty");
        }
    }

    /** In the southern garden in feet on a phone: wishes, reasons, five side by side, out as a table and on paper. */
    @Test
    void onAPhoneInTheSouth() {
        try (Browser.Tab tab = new Browser.Tab(390, 844)) {
            Page page = tab.page;
            inFeet(page, "Ninth");
            String base = base(page);
            page.navigate(base + "varieties?month=2&use=FRESH&soon=1");
            assertThat(text(page, ".shortlist")).contains("of 3").contains("doubtful");
            assertThat(page.locator(".shortlist .why").first().textContent()).isNotBlank();
            assertThat(wider(page)).as("no wider than the phone").isZero();
            for (int i = 0; i < 3; i++) {
                page.locator(".shortlist input[name=v]").nth(i).check();
            }
            press(page, "Compare those ticked");
            assertThat(text(page, "h1")).isEqualTo("3 varieties, side by side");
            assertThat(text(page, "#figures")).containsAnyOf("Partner:", "Crops alone", "No partner");
            tab.calm("side by side on a phone");
            assertThat(wider(page)).isZero();
            String csv = page.request()
                    .get(page.locator("a:has-text('As CSV')")
                            .getAttribute("href")
                            .replaceFirst("^/", Running.base() + "/"))
                    .text();
            assertThat(csv.lines()).hasSize(4);
            assertThat(csv).startsWith("key,crop,variety,standing,reason");
            page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.PRINT));
            assertThat(page.locator(".siderow").first().isVisible()).isTrue();
            assertThat(page.locator(".foot").first().isVisible())
                    .as("no buttons on paper")
                    .isFalse();
            page.emulateMedia(new Page.EmulateMediaOptions().setMedia(Media.SCREEN));
            page.navigate(base + "partners");
            assertThat(wider(page)).isZero();
            backToMetres(page);
        }
    }
}
