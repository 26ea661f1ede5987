package idlebough.app.use;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import idlebough.app.Running;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Each form of each page: pressed twice, left with Back and sent again, refreshed. It counts once, and nothing breaks. */
@Tag("long")
@ExtendWith({Running.class, Browser.class})
class EveryFormTest {
    private static final List<String> PAGES = List.of(
            "site",
            "site/edit",
            "site/pits/new",
            "winters",
            "varieties",
            "rootstocks",
            "layout",
            "water",
            "planting",
            "planting/deliveries",
            "planting/unions",
            "ways",
            "almanac",
            "daybook",
            "doubts");
    /** Forms that change the plan; not those of the page's head and foot, and none that takes a file. */
    private static final String FORMS = "main form[method=post]:not([enctype]):not([action$='/seen']):has(button)";

    private static final String UNDONE = "[name=_edit]";

    @ParameterizedTest
    @ValueSource(strings = {"Quillane", "Ninth"})
    void countsOnce(String orchard) {
        try (Browser.Tab tab = new Browser.Tab(1280, 800)) {
            Page page = tab.page;
            page.navigate(Running.base() + "/sign-in");
            page.click("#demo");
            String base = copyOf(page, orchard);
            int tried = 0;
            for (String path : PAGES) {
                page.navigate(base + path);
                for (int i : kinds(page)) {
                    page.navigate(base + path);
                    if (i < page.locator(FORMS).count()) {
                        twice(page, base, path, i);
                        tried++;
                    }
                }
            }
            assertThat(tried).as("forms that were tried").isGreaterThan(25);
        }
    }

    /** One form of each kind: of the many that ask the same of another row or school the first. */
    private static List<Integer> kinds(Page page) {
        Set<String> known = new HashSet<>();
        List<Integer> kinds = new ArrayList<>();
        List<?> forms = (List<?>) page.locator(FORMS)
                .evaluateAll("forms => forms.map(f => f.getAttribute('action').replace(/[0-9a-f-]{36}/g, '') + ' '"
                        + " + [...new FormData(f).keys()].join())");
        for (int i = 0; i < forms.size(); i++) {
            if (known.add(forms.get(i).toString())) {
                kinds.add(i);
            }
        }
        return kinds;
    }

    /** A copy, so that other tests find the demo as it was. */
    private static String copyOf(Page page, String orchard) {
        Locator card =
                page.locator(".card:has(h2 a:has-text('" + orchard + "'))").first();
        card.locator("details:has(button:has-text('Copy it')) > summary").click();
        card.locator("button:has-text('Copy it')").click();
        Walk.open(page, "Copy of " + orchard);
        return Walk.base(page);
    }

    private static void twice(Page page, String base, String path, int at) {
        Locator form = page.locator(FORMS).nth(at);
        String what = path + ", form " + at + ", " + form.getAttribute("action");
        form.evaluate(
                "form => { for (let d = form.closest('details'); d; d = d.parentElement.closest('details')) d.open = true; }");
        long before = changes(page, base);
        String edit =
                form.locator(UNDONE).count() == 0 ? "" : form.locator(UNDONE).inputValue();
        Locator button = form.locator("button:visible").first();
        if (button.count() == 0) {
            return;
        }
        button.dblclick(new Locator.DblclickOptions().setNoWaitAfter(true));
        settle(page);
        fine(page, what + ", pressed twice");
        assertThat(changes(page, base) - before)
                .as("%s, pressed twice, counts", what)
                .isLessThanOrEqualTo(1);
        page.reload();
        fine(page, what + ", refreshed");
        assertThat(changes(page, base) - before)
                .as("%s, refreshed, counts", what)
                .isLessThanOrEqualTo(1);
        page.goBack();
        Locator again = page.locator(FORMS).nth(at);
        if (again.count() > 0
                && again.locator(UNDONE).count() > 0
                && again.locator(UNDONE).inputValue().equals(edit)) {
            again.evaluate("form => form.requestSubmit()");
            settle(page);
            fine(page, what + ", sent again after Back");
            assertThat(changes(page, base) - before)
                    .as("%s, sent again after Back, counts", what)
                    .isLessThanOrEqualTo(1);
        }
    }

    /** Both answers of two presses have come, or the first was given up for the second. */
    private static void settle(Page page) {
        page.waitForTimeout(60);
        page.waitForLoadState(LoadState.NETWORKIDLE);
        page.locator("main").waitFor();
    }

    private static long changes(Page page, String base) {
        return Running.changes(base.replaceAll(".*/orchards/([^/]+)/.*", "$1"));
    }

    private static void fine(Page page, String what) {
        assertThat(page.locator("main").count()).as(what).isPositive();
        assertThat(page.textContent("body"))
                .as(what)
                .doesNotContain("went wrong on our side")
                .doesNotContain("incident");
    }
}
