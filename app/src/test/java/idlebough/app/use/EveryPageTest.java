package idlebough.app.use;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import idlebough.app.Running;
import java.util.List;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Every main page of both demos, wide and on a phone: nothing serious for axe, no script error, nothing wider than the
 * window, the window itself does not scroll beside the page inside it, and nothing jumps while it loads.
 */
@Tag("long")
@ExtendWith({Running.class, Browser.class})
class EveryPageTest {
    private static final List<String> PAGES = List.of(
            "site",
            "site?layer=sun",
            "site/draw",
            "site/edit",
            "site/pits/new",
            "winters",
            "winters/load",
            "winters/springs",
            "varieties",
            "varieties/compare?v=apple-cox&v=apple-golden&v=fig-celeste&v=orange-hamlin&v=plum-stanley",
            "catalogue",
            "catalogue/varieties/apple-cox",
            "partners",
            "rootstocks",
            "layout",
            "layout/pegs",
            "layout/files",
            "layout?shade=true",
            "water",
            "planting",
            "planting?above=true",
            "planting/deliveries",
            "planting/unions",
            "planting/print",
            "planting/bill",
            "ways",
            "ways?crop=apple",
            "almanac",
            "daybook",
            "doubts",
            "find?q=a",
            "history");
    /** Pages that go to the ground with the grower. */
    private static final List<String> FIELD =
            List.of("layout/pegs", "planting", "planting/deliveries", "planting/unions", "almanac", "daybook");
    /** The least height of what a thumb must meet, CSS pixels (WCAG 2.1, 2.5.5). */
    private static final String SMALL = """
            [...document.querySelectorAll('main button, main a.act, main input, main select, main textarea, main summary')]
              .filter((e) => e.offsetParent && e.type !== 'hidden' && !e.ariaHidden && e.getBoundingClientRect().height < 43.5
                && !e.closest('.visually-hidden') && !e.labels?.length)
              .map((e) => e.outerHTML.slice(0, 90) + ' ' + e.getBoundingClientRect().height)""";

    /** Good by the web vitals; goal of the house. */
    private static final double JUMP = 0.05;

    @ParameterizedTest
    @CsvSource({"Quillane, 1280, 800", "Quillane, 390, 844", "Ninth, 1280, 800", "Ninth, 390, 844"})
    void isCalm(String orchard, int width, int height) {
        try (Browser.Tab tab = new Browser.Tab(width, height)) {
            Page page = tab.page;
            page.addInitScript("window.jumped = 0; new PerformanceObserver((list) => list.getEntries().forEach("
                    + "(e) => { window.jumped += e.hadRecentInput ? 0 : e.value; }))"
                    + ".observe({ type: 'layout-shift', buffered: true });");
            page.navigate(Running.base() + "/sign-in");
            page.click("#demo");
            check(tab, "home", width);
            Walk.open(page, orchard);
            String base = Walk.base(page);
            for (String path : PAGES) {
                page.navigate(base + path);
                check(tab, path, width);
                if (width < 820 && FIELD.contains(path)) {
                    assertThat(page.evaluate("() => " + SMALL))
                            .as("targets of %s", path)
                            .isEqualTo(List.of());
                }
            }
        }
    }

    private static void check(Browser.Tab tab, String path, int width) {
        Page page = tab.page;
        page.waitForLoadState();
        tab.calm(path + " at " + width);
        assertThat(number(page, "document.documentElement.scrollWidth - innerWidth"))
                .as("%s at %s is not wider than the window", path, width)
                .isZero();
        if (width > 820 && page.locator("main.spread").count() > 0) {
            assertThat(number(page, "document.documentElement.scrollHeight - innerHeight"))
                    .as("%s scrolls once", path)
                    .isZero();
        }
        assertThat(number(page, "window.jumped"))
                .as("%s at %s stands still", path, width)
                .isLessThan(JUMP);
    }

    private static double number(Page page, String what) {
        return ((Number) page.evaluate("() => " + what)).doubleValue();
    }
}
