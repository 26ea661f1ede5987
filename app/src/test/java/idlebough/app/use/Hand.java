package idlebough.app.use;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;

/**
 * A grower's hand on a page, which counts what it does: with the mouse, with keys alone, or with a thumb.
 *
 * <p>Minutes are estimated with the keystroke-level model (Card, Moran & Newell 1983: pointing 1.1 s, a press 0.2 s, a key
 * 0.28 s, moving between keys and mouse 0.4 s, one thought 1.35 s before each act), and eight seconds to look at every new
 * page (project choice).
 */
final class Hand {
    private static final double POINT = 1.1;
    private static final double PRESS = 0.2;
    private static final double KEY = 0.28;
    private static final double HOME = 0.4;
    private static final double THOUGHT = 1.35;
    private static final double LOOK = 8;
    /** More stops than any page has. */
    private static final int STOPS = 500;

    private final Page page;
    private final With with;
    private int clicks;
    private int fields;
    private int letters;
    private int pages;

    /** How it acts. */
    enum With {
        MOUSE,
        KEYS,
        THUMB
    }

    Hand(Page page, With with) {
        this.page = page;
        this.with = with;
        page.onLoad(loaded -> pages++);
    }

    int clicks() {
        return clicks;
    }

    int fields() {
        return fields;
    }

    double minutes() {
        double acts = clicks * (THOUGHT + POINT + PRESS) + fields * (THOUGHT + POINT + PRESS + HOME) + letters * KEY;
        return (acts + pages * LOOK) / 60;
    }

    void press(String button) {
        act(page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(button).setExact(true))
                .first());
    }

    void follow(String link) {
        act(page.getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName(link).setExact(true))
                .first());
    }

    /** One link or button by what it looks like. */
    void act(Locator target) {
        clicks++;
        target.waitFor();
        switch (with) {
            case MOUSE -> target.click();
            case THUMB -> target.tap();
            case KEYS -> {
                reach(target);
                page.keyboard().press("Enter");
            }
        }
        page.waitForLoadState();
    }

    void type(String selector, String words) {
        fields++;
        letters += words.length();
        Locator field = page.locator(selector).first();
        if (with == With.KEYS) {
            reach(field);
            page.keyboard().press("Control+a");
            page.keyboard().type(words);
        } else {
            field.fill(words);
        }
    }

    void choose(String selector, String option) {
        fields++;
        letters++;
        Locator select = page.locator(selector).first();
        if (with == With.KEYS) {
            reach(select);
            page.keyboard().type(option);
            page.keyboard().press("Enter");
            page.waitForLoadState();
        } else {
            select.selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(option));
        }
    }

    /** Twelve figures out of the clipboard, into the first of a row of fields. */
    void paste(String selector, String words) {
        fields++;
        page.locator(selector)
                .evaluate(
                        "(field, words) => { const data = new DataTransfer(); data.setData('text', words);"
                                + " field.dispatchEvent(new ClipboardEvent('paste', { clipboardData: data, bubbles: true,"
                                + " cancelable: true })); }",
                        words);
    }

    /** The dialog of the system, in which a file takes two clicks. */
    void file(String selector, Path file) {
        clicks += 3;
        page.setInputFiles(selector, file);
    }

    /** With the Tab key alone, as far as it takes. */
    private void reach(Locator target) {
        for (int stop = 0; stop < STOPS; stop++) {
            if ((boolean) target.evaluate("it => document.activeElement === it")) {
                return;
            }
            page.keyboard().press("Tab");
        }
        throw new AssertionError("No Tab leads to " + target + " on " + page.url());
    }

    @Override
    public String toString() {
        return String.format(
                java.util.Locale.ROOT,
                "%s: %d clicks, %d fields, %d pages, about %.1f minutes",
                with.name().toLowerCase(java.util.Locale.ROOT),
                clicks,
                fields,
                pages,
                minutes());
    }
}
