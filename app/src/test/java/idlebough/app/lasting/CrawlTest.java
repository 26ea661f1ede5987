package idlebough.app.lasting;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.store.Edits;
import idlebough.app.store.Head;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Role;
import idlebough.app.store.Scope;
import java.net.http.HttpResponse;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Every page that a link leads to opens, in both systems of units, for those who may change and for those who look. */
@Tag("long")
@ExtendWith(Running.class)
class CrawlTest {
    private static final Pattern LINK = Pattern.compile("href=\"(/(?!css|js|vendor|sign|favicon)[^\"#]*)");
    private static final int MOST = 8000;

    @ParameterizedTest
    @CsvSource({"OWNER,METRIC", "OWNER,US", "READER,METRIC"})
    void everyLinkLeadsSomewhere(String role, String units) {
        Visitor visitor = visitor(role);
        visitor.post("/account/units", Map.of("units", units, "back", "/"));
        Set<String> seen = new HashSet<>();
        Deque<String> next = new ArrayDeque<>(List.of("/", "/account"));
        while (!next.isEmpty()) {
            String path = next.poll();
            if (!seen.add(path)) {
                continue;
            }
            HttpResponse<String> page = visitor.get(path);
            assertThat(page.statusCode()).as("%s, %s: %s", role, units, path).isEqualTo(200);
            if (page.headers().firstValue("content-type").orElse("").startsWith("text/html")) {
                assertThat(page.body()).as(path).doesNotContainPattern(">[^<]*(\bNaN\b|null (cm|m|°)|[$][{])");
                Matcher link = LINK.matcher(page.body());
                while (link.find()) {
                    next.add(link.group(1).replace("&amp;", "&"));
                }
            }
        }
        assertThat(seen).hasSizeBetween(100, MOST);
    }

    private static Visitor visitor(String role) {
        if (role.equals("OWNER")) {
            Visitor owner = new Visitor();
            owner.post("/demo", Map.of());
            return owner;
        }
        Visitor reader = Visitor.signedUp("crawler");
        AccountService accounts = Running.bean(AccountService.class);
        String maren = accounts.find(AccountController.DEMO).id();
        for (Head orchard : Running.bean(OrchardMapper.class).mine(maren)) {
            Running.bean(Edits.class)
                    .admit(
                            new Scope(orchard.id(), maren),
                            accounts.find("crawler").id(),
                            Role.READER);
        }
        return reader;
    }
}
