package idlebough.app.account;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.IdleBough;
import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.store.AccountMapper;
import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import javax.sql.DataSource;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.web.util.HtmlUtils;

/** Sessions outlive what they ran on, and what was typed outlives the session. */
@ExtendWith(Running.class)
class SessionsTest {
    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");
    private static final Pattern KEPT = Pattern.compile("name=\"_kept\" value=\"([^\"]+)\"");
    private static final String[] OURS = {"Sec-Fetch-Site", "same-origin"};

    private static String token(String page) {
        Matcher token = TOKEN.matcher(page);
        assertThat(token.find()).isTrue();
        return URLEncoder.encode(token.group(1), StandardCharsets.UTF_8);
    }

    private static String kept(String page) {
        Matcher kept = KEPT.matcher(page);
        assertThat(kept.find()).isTrue();
        return HtmlUtils.htmlUnescape(kept.group(1));
    }

    @Test
    void aSessionGoesOnAtAnotherInstance() {
        Visitor grower = Visitor.signedUp("wanderer");
        String token = token(grower.get("/account").body());
        try (ConfigurableApplicationContext other = IdleBough.run(Running.database(), false, Running.settings())) {
            grower.at("http://127.0.0.1:" + other.getEnvironment().getProperty("local.server.port"));
            assertThat(grower.get("/account").body()).contains("value=\"wanderer\"");
            assertThat(grower.sent("/account", "person=Walker&units=US&locale=en-US&_csrf=" + token)
                            .statusCode())
                    .as("a form of the one, sent to the other")
                    .isEqualTo(302);
        }
        assertThat(grower.at(Running.base()).get("/account").body())
                .as("seen at the first one's next request")
                .contains("value=\"Walker\"");
    }

    /** What the issue of a lost session is: an evening's words, sent after the session had ended. */
    @Test
    void whatWasTypedIsLaidBeforeWhoeverSignsIn() {
        Visitor grower = Visitor.signedUp("late");
        String base = grower.founds("Evening ground", "47");
        String edit = "11111111-2222-4333-8444-555555555555";
        String form = "_edit=" + edit + "&_revision=0&name=Frost+%26+fog%2C+the+%22low%22+corner&_csrf="
                + token(grower.get("/").body());
        grower.forget();
        HttpResponse<String> asked = grower.sent(base + "/rename", form, OURS);
        assertThat(asked.statusCode()).isEqualTo(401);
        assertThat(asked.body()).contains("Nothing of it is lost");
        Map<String, String> again =
                new HashMap<>(Map.of("name", "late", "password", "not this", "_kept", kept(asked.body())));
        HttpResponse<String> wrong = grower.post("/sign-in", again);
        assertThat(wrong.body()).contains("do not fit together");
        again.putAll(Map.of("password", "long enough", "_kept", kept(wrong.body())));
        HttpResponse<String> laid = grower.post("/sign-in", again);
        assertThat(laid.statusCode()).isEqualTo(200);
        assertThat(laid.body())
                .contains("action=\"" + base + "/rename\"")
                .contains("Frost &amp; fog, the &quot;low&quot; corner")
                .contains("value=\"" + edit + "\"");
        assertThat(grower.sent(base + "/rename", form.replaceAll("_csrf=.*", "_csrf=" + token(laid.body())), OURS)
                        .statusCode())
                .isEqualTo(302);
        assertThat(grower.get("/").body()).contains("Frost &amp; fog");
    }

    @Test
    void whatAnotherSiteSendsIsLaidBeforeNobody() {
        Visitor grower = Visitor.signedUp("target");
        String base = grower.founds("Target ground", "47");
        for (String[] from : new String[][] {
            {"Sec-Fetch-Site", "cross-site"},
            {"Sec-Fetch-Site", "same-site"},
            {"Origin", "https://elsewhere.example"},
            {}
        }) {
            HttpResponse<String> signedIn = grower.sent(base + "/delete", "_csrf=x", from);
            assertThat(signedIn.statusCode()).isEqualTo(403);
            HttpResponse<String> nobody = new Visitor().sent(base + "/delete", "_csrf=x", from);
            assertThat(nobody.body()).doesNotContain("_kept");
        }
        assertThat(grower.get(base + "/site").statusCode()).isEqualTo(200);
    }

    @Test
    void aTokenEndsWithItsSessionAndNoneCanBePlanted() {
        Visitor one = Visitor.signedUp("tokenone");
        Visitor two = Visitor.signedUp("tokentwo");
        String foreign = token(two.get("/account").body());
        assertThat(one.sent("/account", "person=X&units=US&locale=en-US&_csrf=" + foreign)
                        .statusCode())
                .isEqualTo(403);
        String planted = "0.0";
        assertThat(new Visitor()
                        .sent(
                                "/sign-in",
                                "name=tokenone&password=long+enough&_csrf=" + planted,
                                "Cookie",
                                "bough-form=" + planted)
                        .statusCode())
                .isEqualTo(403);
    }

    /** Looking costs no write; nothing that proves anybody lies in the table. */
    @Test
    void lookingIsNoWriting() {
        Visitor grower = Visitor.signedUp("looker");
        JdbcTemplate database = new JdbcTemplate(Running.bean(DataSource.class));
        String stored = "select group_concat(concat(s.LAST_ACCESS_TIME, hex(a.ATTRIBUTE_BYTES))) from SPRING_SESSION s "
                + "join SPRING_SESSION_ATTRIBUTES a on a.SESSION_PRIMARY_ID = s.PRIMARY_ID where s.PRINCIPAL_NAME = 'looker'";
        String before = database.queryForObject(stored, String.class);
        for (String page : new String[] {"/", "/account", "/words"}) {
            assertThat(grower.get(page).statusCode()).isLessThan(400);
        }
        assertThat(database.queryForObject(stored, String.class)).isEqualTo(before);
        byte[] hash = Running.bean(AccountMapper.class)
                .bySignIn("looker")
                .passwordHash()
                .getBytes(StandardCharsets.US_ASCII);
        assertThat(before)
                .doesNotContain(java.util.HexFormat.of().withUpperCase().formatHex(hash));
        new Visitor().post("/sign-in", Map.of("name", "nobody at all", "password", "no"));
        assertThat(database.queryForObject(
                        "select count(*) from SPRING_SESSION where PRINCIPAL_NAME is null", Integer.class))
                .as("strangers leave nothing")
                .isZero();
    }

    @Test
    void headersAndNames() {
        HttpResponse<String> page = new Visitor().get("/sign-in");
        assertThat(page.headers().firstValue("permissions-policy").orElse("")).contains("camera=()");
        assertThat(page.headers().firstValue("cross-origin-opener-policy")).hasValue("same-origin");
        assertThat(page.headers().firstValue("x-content-type-options")).hasValue("nosniff");
        Visitor grower = Visitor.signedUp("relative");
        assertThat(grower.post("/account/units", Map.of("units", "US", "back", "/account"))
                        .headers()
                        .firstValue("location"))
                .as("no address that a request could name")
                .hasValue("/account");
    }
}
