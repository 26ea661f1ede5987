package idlebough.app.use;

import static idlebough.app.use.Walk.base;
import static idlebough.app.use.Walk.press;
import static idlebough.app.use.Walk.text;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import idlebough.app.Running;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** Walking the ground in a browser: with the mouse, with keys alone, and on a phone in the field. */
@ExtendWith({Running.class, Browser.class})
class SiteWalkTest {
    private static int walkers;

    /** A grower of their own with a plot of thirty metres by twenty. */
    private static void plot(Page page) {
        page.navigate(Running.base() + "/sign-up");
        page.fill("#name", "drawer" + walkers++);
        page.fill("#person", "T. Oake");
        page.fill("#password", "long enough now");
        press(page, "Make it");
        page.fill("#name", "A plot");
        page.fill("#latitude", "42.3");
        page.selectOption("#timeZone", "UTC");
        press(page, "Begin");
        page.navigate(base(page) + "site/edit");
        page.fill("#east", "30");
        page.fill("#north", "20");
        press(page, "Save");
        page.waitForURL("**/site");
    }

    private static void drag(Page page, Locator what, double dx, double dy) {
        BoundingBox box = what.boundingBox();
        double x = box.x + box.width / 2;
        double y = box.y + box.height / 2;
        page.mouse().move(x, y);
        page.mouse().down();
        page.mouse().move(x + dx, y + dy, new com.microsoft.playwright.Mouse.MoveOptions().setSteps(6));
        page.mouse().up();
    }

    @Test
    void withTheMouse() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            plot(page);
            page.navigate(base(page) + "site/draw");
            page.selectOption("#fresh", "BUILDING");
            press(page, "Draw one");
            page.waitForURL("**fresh=BUILDING");
            BoundingBox sketch = page.locator("#sketch").boundingBox();
            for (double[] at : new double[][] {{300, 300}, {380, 300}, {380, 240}, {300, 240}}) {
                page.mouse().click(sketch.x + at[0], sketch.y + at[1]);
                page.waitForTimeout(450);
            }
            page.locator("#sketch").press("f");
            page.waitForURL("**feature=*");
            page.fill("input[name=name]", "Barn");
            page.fill("input[name=height]", "6");
            press(page, "Save");
            page.waitForURL("**feature=*");
            page.locator(".featlist:has-text('Barn')").waitFor();
            assertThat(text(page, ".featlist")).contains("building, 6.0 m");
            Locator barn = page.locator(".feat.on");
            String before = barn.getAttribute("data-points");
            drag(page, page.locator(".handle:not(.mid)").first(), -60, 30);
            page.waitForCondition(() -> !before.equals(page.locator(".feat.on").getAttribute("data-points")));
            String pulled = page.locator(".feat.on").getAttribute("data-points");
            page.locator("#undo button").click();
            page.waitForURL("**/site/draw");
            assertThat(page.locator(".feat.g-building").getAttribute("data-points"))
                    .isEqualTo(before);
            page.locator("#redo button").click();
            page.locator(".feat.g-building[data-points='" + pulled + "']").waitFor();
            tab.calm("drawing");
            page.navigate(base(page) + "site?layer=shadow");
            String shadow = page.locator("#shade path").first().getAttribute("d");
            page.locator("input[name=minute]")
                    .evaluate("e => { e.value = 540; e.dispatchEvent(new Event('input', {bubbles: true})); }");
            page.locator("#shade-words:has-text('09:00')").waitFor();
            assertThat(page.locator("#shade path").first().getAttribute("d")).isNotEqualTo(shadow);
            for (String layer : List.of("sun", "cold", "wind", "soil", "none")) {
                page.navigate(base(page) + "site?layer=" + layer);
                tab.calm("layer " + layer);
            }
            page.navigate(base(page) + "site?layer=sun");
            String sun = text(page, ".row-f.key .n");
            page.mouse().click(sketch.x + 340, sketch.y + 225);
            page.waitForURL("**at=*");
            assertThat(text(page, ".row-f.key .n"))
                    .as("beside the barn there is less")
                    .isNotEqualTo(sun);
        }
    }

    @Test
    void withKeysAlone() {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            plot(page);
            page.navigate(base(page) + "site/draw?fresh=HEDGE");
            page.locator("#sketch").focus();
            page.keyboard().press("Enter");
            for (int i = 0; i < 6; i++) {
                page.keyboard().press("Shift+ArrowRight");
            }
            page.keyboard().press("Enter");
            page.keyboard().press("Enter");
            page.waitForURL("**feature=*");
            String[] ends = page.locator(".feat.on").getAttribute("data-points").split("[ ;]");
            assertThat(Double.parseDouble(ends[2]) - Double.parseDouble(ends[0]))
                    .isEqualTo(6, org.assertj.core.data.Offset.offset(0.01));
            page.locator(".feat.on").focus();
            page.keyboard().press("ArrowUp");
            page.keyboard().press("ArrowUp");
            String before = ends[1];
            page.waitForCondition(() -> Math.abs(Double.parseDouble(page.locator(".feat.on")
                                    .getAttribute("data-points")
                                    .split("[ ;]")[1])
                            - Double.parseDouble(before)
                            - 0.2)
                    < 0.01);
            page.keyboard().press("u");
            page.waitForURL("**/site/draw");
            page.locator(".feat.g-hedge").focus();
            page.keyboard().press("Delete");
            page.locator(".feat.g-hedge")
                    .waitFor(new Locator.WaitForOptions()
                            .setState(com.microsoft.playwright.options.WaitForSelectorState.DETACHED));
            tab.calm("drawing by keys");
        }
    }

    @Test
    void aPitAndItsTestOnAPhone() {
        try (Browser.Tab tab = new Browser.Tab(390, 844)) {
            Page page = tab.page;
            plot(page);
            page.navigate(base(page) + "site/pits/new");
            assertThat(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue())
                    .as("nothing sticks out sideways")
                    .isLessThanOrEqualTo(390);
            page.fill("#topsoil", "25");
            press(page, "Save and test the drainage");
            page.waitForURL("**/tests/new");
            press(page, "It is full: start the clock");
            page.locator(".clock").waitFor();
            tab.calm("the clock");
            page.fill("#down", "5");
            press(page, "Read now");
            page.locator("#readings:has-text('; 5')").waitFor();
            // No signal in the field: the reading waits on the phone, the page may be closed, and is sent later.
            page.waitForTimeout(7000);
            tab.context.setOffline(true);
            page.fill("#down", "5.4");
            press(page, "Read now");
            page.locator("#unsent:has-text('1 reading waits')").waitFor();
            String here = page.url();
            page.navigate("about:blank");
            tab.context.setOffline(false);
            page.navigate(here);
            page.locator("#readings:has-text('5.4')").waitFor();
            assertThat(page.locator(".clock").innerText())
                    .as("the clock ran on")
                    .matches("\\d+:\\d\\d");
            assertThat(text(page, "#figures")).contains("in a 12-inch hole");
            assertThat(((Number) page.evaluate("document.documentElement.scrollWidth")).intValue())
                    .isLessThanOrEqualTo(390);
        }
    }
}
