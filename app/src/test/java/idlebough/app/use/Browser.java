package idlebough.app.use;

import static org.assertj.core.api.Assertions.assertThat;

import com.deque.html.axecore.args.AxeRuleOptions;
import com.deque.html.axecore.args.AxeRunOptions;
import com.deque.html.axecore.playwright.AxeBuilder;
import com.deque.html.axecore.results.Rule;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** One Chromium for the whole run; every test has a fresh context. */
public final class Browser implements BeforeAllCallback {
    private static com.microsoft.playwright.Browser browser;

    private record Closing(Playwright playwright) implements ExtensionContext.Store.CloseableResource, AutoCloseable {
        @Override
        public void close() {
            playwright.close();
        }
    }

    @Override
    public synchronized void beforeAll(ExtensionContext extension) {
        if (browser == null) {
            Playwright playwright = Playwright.create(
                    new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
            browser = playwright
                    .chromium()
                    .launch(new BrowserType.LaunchOptions()
                            .setExecutablePath(Path.of("/usr/bin/chromium"))
                            .setHeadless(true)
                            .setArgs(List.of(
                                    "--no-sandbox",
                                    "--disable-gpu",
                                    "--disable-quic",
                                    "--no-first-run",
                                    "--disable-background-networking",
                                    "--disable-component-update",
                                    "--disable-sync")));
            extension.getRoot().getStore(ExtensionContext.Namespace.GLOBAL).put("chromium", new Closing(playwright));
        }
    }

    /** A page on which every script error fails the test that calls {@link #calm}. */
    static final class Tab implements AutoCloseable {
        final BrowserContext context;
        final Page page;
        private final List<String> errors = new ArrayList<>();

        Tab(int width, int height) {
            this(width, height, false);
        }

        /** A screen for thumbs. */
        static Tab touched(int width, int height) {
            return new Tab(width, height, true);
        }

        private Tab(int width, int height, boolean touch) {
            context = browser.newContext(new com.microsoft.playwright.Browser.NewContextOptions()
                    .setViewportSize(width, height)
                    .setHasTouch(touch)
                    .setIsMobile(touch)
                    .setLocale("en-GB"));
            page = context.newPage();
            page.setDefaultTimeout(15_000);
            page.onPageError(errors::add);
            page.onConsoleMessage(message -> {
                if (message.type().equals("error")) {
                    errors.add(message.text());
                }
            });
        }

        /** A rule that axe itself leaves out unless it is asked for. */
        private static AxeRunOptions moreRules() {
            AxeRuleOptions on = new AxeRuleOptions();
            on.setEnabled(true);
            AxeRunOptions options = new AxeRunOptions();
            options.setRules(Map.of("label-content-name-mismatch", on));
            return options;
        }

        /** Nothing serious or critical for axe, and no script error. */
        void calm(String where) {
            List<Rule> serious = new AxeBuilder(page)
                    .options(moreRules()).analyze().getViolations().stream()
                            .filter(rule -> List.of("serious", "critical").contains(rule.getImpact()))
                            .toList();
            assertThat(serious)
                    .as(
                            "axe on %s: %s",
                            where,
                            serious.stream()
                                    .map(r -> r.getId() + " "
                                            + r.getNodes().stream()
                                                    .limit(3)
                                                    .map(n -> n.getHtml())
                                                    .toList())
                                    .toList())
                    .isEmpty();
            assertThat(errors).as("script errors on %s", where).isEmpty();
        }

        @Override
        public void close() {
            context.close();
        }
    }
}
