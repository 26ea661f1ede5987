package idlebough.app.use;

import static idlebough.app.use.Walk.base;
import static idlebough.app.use.Walk.open;
import static idlebough.app.use.Walk.press;
import static idlebough.app.use.Walk.text;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.LoadState;
import idlebough.app.Running;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/**
 * Records in, put right, watched and stopped; warmer winters; the springs with the grower's own dates. In a browser.
 */
@ExtendWith({Running.class, Browser.class})
class WinterWalkTest {
    private static void ground(Page page, String name) {
        page.navigate(Running.base() + "/sign-up");
        page.fill("#name", name);
        page.fill("#person", "T. Oake");
        page.fill("#password", "long enough now");
        press(page, "Make it");
        page.fill("#name", "Cold ground");
        page.fill("#latitude", "47.5");
        page.selectOption("#timeZone", "Europe/Berlin");
        press(page, "Begin");
    }

    /** Headings in a language that the program does not know, °F without saying so, days before months. */
    @Test
    void aFileIsPutRightBeforeItIsStored(@TempDir Path files) throws IOException {
        StringBuilder rows = new StringBuilder("nap;also;felso;eso\n");
        for (LocalDate day = LocalDate.of(2015, 9, 1); day.getYear() < 2018; day = day.plusDays(1)) {
            rows.append(String.format(
                    "%02d/%02d/%d;%d;%d;1%n",
                    Math.min(12, day.getDayOfMonth()), day.getMonthValue(), day.getYear(), 30, 41));
        }
        Path csv = Files.writeString(files.resolve("nap.csv"), rows);
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            ground(page, "corrector");
            page.navigate(base(page) + "winters/load");
            page.setInputFiles("#file", csv);
            press(page, "Look at it");
            page.locator("h1:has-text('Which column is which')").waitFor();
            tab.calm("a table without known headings");
            page.selectOption("select[name=column0]", "DATE");
            page.selectOption("select[name=column1]", "MINIMUM");
            page.selectOption("select[name=column2]", "MAXIMUM");
            page.selectOption("select[name=column3]", "RAIN");
            press(page, "Read it so");
            page.locator("h1:has-text('days in nap.csv')").waitFor();
            assertThat(text(page, "main")).contains("30.0 °C to 41.0 °C").contains("Days with rain");
            page.selectOption("select[name=unit1]", "FAHRENHEIT");
            page.selectOption("select[name=unit2]", "FAHRENHEIT");
            page.selectOption("select[name=order]", "MONTH_FIRST");
            press(page, "Read it so");
            page.locator("main:has-text('1.1 °C to 5.0 °C')").first().waitFor();
            assertThat(page.inputValue("select[name=order]")).isEqualTo("MONTH_FIRST");
            page.selectOption("select[name=order]", "DAY_FIRST");
            press(page, "Read it so");
            page.locator("main:has-text('1 Sep 2015')").first().waitFor();
            tab.calm("the preview put right");
            page.fill("#station", "Hill mast");
            press(page, "Store these days");
            page.waitForURL("**/winters");
            page.navigate(base(page) + "winters/load");
            assertThat(text(page, "main"))
                    .contains("1. Hill mast")
                    .contains("nap.csv")
                    .contains("rain");
            tab.calm("stations");
        }
    }

    /** Thirty years of hours: watched, stopped, and then let through. */
    @Test
    void aLongFileIsWatchedAndMayBeStopped(@TempDir Path files) throws IOException {
        StringBuilder rows = new StringBuilder("timestamp,temperature,humidity\n");
        for (LocalDateTime hour = LocalDateTime.of(1994, 1, 1, 0, 0); hour.getYear() < 2024; hour = hour.plusHours(1)) {
            double celsius = 9
                    - 10 * Math.cos(2 * Math.PI * (hour.getDayOfYear() - 18) / 365.25)
                    + 5 * Math.sin(2 * Math.PI * (hour.getHour() - 8) / 24);
            rows.append(hour).append(String.format(Locale.ROOT, ",%.1f,70%n", celsius));
        }
        Path csv = Files.writeString(files.resolve("hours.csv"), rows);
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            ground(page, "watcher");
            page.navigate(base(page) + "winters/load");
            page.setInputFiles("#file", csv);
            press(page, "Look at it");
            // A fast machine may have read it before the page came; then there is nothing left to stop.
            page.locator("#progress, #into").first().waitFor();
            if (page.locator("#progress").count() > 0) {
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Stop"))
                        .click();
                page.locator("main:has-text('stopped, as you said'), #into")
                        .first()
                        .waitFor();
                page.navigate(base(page) + "winters/load");
                page.setInputFiles("#file", csv);
                press(page, "Look at it");
            }
            page.locator("#into").waitFor();
            assertThat(text(page, "main")).contains("Days measured by the hour");
            press(page, "Store these days");
            page.waitForURL("**/winters");
            assertThat(text(page, "#figures")).contains("29 whole ones").contains("lies between");
            tab.calm("winters of hours");
        }
    }

    @Test
    void warmerWintersAndTheSpringsInTheSouth() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            page.navigate(Running.base() + "/sign-in");
            page.click("#demo");
            open(page, "Ninth Terrace");
            page.navigate(base(page) + "winters");
            page.locator("#warmer input[name=kelvin]")
                    .evaluate("e => { e.value = 3; e.dispatchEvent(new Event('input', {bubbles: true})); }");
            page.locator("#warmer-answer:has-text('3.0')").waitFor();
            assertThat(text(page, "#warmer-answer"))
                    .contains("Nine of ten reach")
                    .contains("satisfy");
            tab.calm("warmer winters");
            page.locator("h1").click();
            page.keyboard().press("j");
            page.waitForURL("**winter=2003");
            page.keyboard().press("j");
            page.waitForURL("**winter=2004");
            page.locator(".row-f:has-text('The winter of 2004')").first().waitFor();
            page.keyboard().press("k");
            page.waitForURL("**winter=2003");
            // The address stays the same: wait for what is said.
            page.selectOption("#chill", "LOW_CHILL");
            page.locator(".row-f.key:has-text('low-chill units')").waitFor();
            // The new page listens only when its scripts have run.
            page.waitForLoadState(LoadState.NETWORKIDLE);
            page.selectOption("#chill", "PORTIONS");
            page.locator(".row-f.key:has-text('portions')").waitFor();
            page.navigate(base(page) + "winters/springs?variety=peach-desert-gold");
            assertThat(text(page, ".sk")).contains("May").contains("Sep");
            tab.calm("springs in the south");
            String need = page.locator("details.row-f:has-text('Warmth that counts') .n")
                    .first()
                    .innerText();
            page.fill("#seenOn", "2020-08-20");
            press(page, "Write it down");
            page.locator("#figures:has-text('your dates')").waitFor();
            assertThat(page.locator("details.row-f:has-text('Warmth that counts') .n")
                            .first()
                            .innerText())
                    .isNotEqualTo(need);
            press(page, "take it back");
            page.locator("#figures:has-text('estimate')").waitFor();
            page.navigate(base(page) + "winters/load");
            tab.calm("loading temperatures");
            page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName("Live readings"))
                    .first()
                    .click();
            press(page, "Make another key");
            page.locator("#figures code").first().waitFor();
            page.fill("#pullUrl", "http://192.0.2.7/readings");
            press(page, "Ask it there");
            page.locator("#figures:has-text('may not fetch from 192.0.2.7:80')").waitFor();
            assertThat(page.inputValue("#pullUrl")).as("what was typed is kept").isEqualTo("http://192.0.2.7/readings");
            tab.calm("a station");
            page.setViewportSize(390, 844);
            assertThat(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue())
                    .as("nothing sticks out sideways on a phone")
                    .isLessThanOrEqualTo(390);
        }
    }
}
