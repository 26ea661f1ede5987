package idlebough.app.use;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import idlebough.app.Running;

/** What every walk through the interface does again and again. */
final class Walk {
    private Walk() {}

    /** Presses the first button of exactly this name. */
    static void press(Page page, String name) {
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true))
                .first()
                .click();
    }

    /** Signs in to the demo and opens one of its orchards; its address, with the slash after it. */
    static String demo(Page page, String orchard) {
        page.navigate(Running.base() + "/sign-in");
        page.click("#demo");
        open(page, orchard);
        return base(page);
    }

    /** Opens one orchard from the first page. */
    static void open(Page page, String orchard) {
        page.locator(".card h2 a", new Page.LocatorOptions().setHasText(orchard))
                .first()
                .click();
    }

    /** What stands there, with plain spaces. */
    static String text(Page page, String selector) {
        return page.textContent(selector).replace('\u00a0', ' ');
    }

    /** The orchard's address, with the slash after it. */
    static String base(Page page) {
        return page.url().replaceAll("(/orchards/[^/]+/).*", "$1");
    }

    /** The demo as a phone in feet sees it. */
    static void inFeet(Page page, String orchard) {
        page.navigate(Running.base() + "/sign-in");
        page.click("#demo");
        open(page, orchard);
        page.locator(".units button:has-text('ft'), button:has-text('ft · gal')")
                .first()
                .click();
    }

    /** The next walk is in metres, as the demo begins. */
    static void backToMetres(Page page) {
        page.locator("form.seg button:has-text('m')").first().click();
    }

    /** By how much the page is wider than its window, px. */
    static int wider(Page page) {
        return ((Number) page.evaluate("() => document.documentElement.scrollWidth - innerWidth")).intValue();
    }

    /** Takes back what was done last. */
    static void undo(Page page) {
        page.locator("button:has-text('Undo'), a:has-text('Undo')").first().click();
        page.waitForLoadState();
    }

    /** A real touch. @param at x and y of each finger, px */
    static void touch(CDPSession session, String kind, double... at) {
        JsonArray points = new JsonArray();
        for (int i = 0; i < at.length; i += 2) {
            JsonObject point = new JsonObject();
            point.addProperty("x", at[i]);
            point.addProperty("y", at[i + 1]);
            point.addProperty("id", i / 2);
            points.add(point);
        }
        JsonObject event = new JsonObject();
        event.addProperty("type", kind);
        event.add("touchPoints", points);
        session.send("Input.dispatchTouchEvent", event);
    }
}
