package idlebough.app;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.account.Account;
import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.plan.OrchardMapper;
import idlebough.app.plan.PlanReader;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.site.Filling;
import java.net.http.HttpResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.apache.ibatis.mapping.BoundSql;
import org.apache.ibatis.mapping.MappedStatement;
import org.apache.ibatis.session.SqlSessionFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every mapped route as nobody, as a stranger and as the owner; and every statement for its membership. */
@ExtendWith(Running.class)
class RoutesTest {
    private static final Set<String> OPEN = Set.of("/sign-in", "/sign-up", "/demo", "/readings");
    private static final String NONE = "01900000-0000-7000-8000-000000000000";

    private static final Map<String, String> VARIETY = Map.of("variety", "apple-cox");

    private record Route(RequestMethod method, String path) {}

    /** What stands in the place of each variable of a path; one that is nobody's for those not given. */
    private static List<Route> routes(Map<String, String> ids) {
        List<Route> routes = new ArrayList<>();
        Running.bean(RequestMappingHandlerMapping.class).getHandlerMethods().forEach((info, method) -> {
            if (method.getBeanType().getPackageName().startsWith("idlebough")) {
                for (String pattern : info.getPatternValues()) {
                    String path = Pattern.compile("\\{(\\w+)}")
                            .matcher(pattern)
                            .replaceAll(name -> ids.getOrDefault(name.group(1), NONE));
                    info.getMethodsCondition().getMethods().forEach(verb -> routes.add(new Route(verb, path)));
                }
            }
        });
        assertThat(routes).hasSizeGreaterThan(40);
        return routes;
    }

    private static HttpResponse<String> ask(Visitor visitor, Route route) {
        return route.method() == RequestMethod.GET
                ? visitor.get(route.path() + query(route))
                : visitor.post(route.path(), Map.of());
    }

    private static String query(Route route) {
        return route.path().endsWith("/try")
                ? "?tree=" + NONE + "&x=1&y=1&feature=" + NONE + "&points=1%201;2%202"
                : route.path().endsWith("/springs.csv") ? "?variety=apple-cox" : "";
    }

    @Test
    void nobodySeesOnlyTheDoor() {
        Visitor nobody = new Visitor();
        for (Route route : routes(VARIETY)) {
            // The demo's button signs in; whoever pressed it is somebody.
            HttpResponse<String> answer = ask(OPEN.contains(route.path()) ? new Visitor() : nobody, route);
            if (OPEN.contains(route.path())) {
                assertThat(answer.statusCode()).as(route.toString()).isLessThan(500);
            } else {
                assertThat(answer.statusCode()).as(route.toString()).isEqualTo(302);
                assertThat(answer.headers().firstValue("location").orElse(""))
                        .as(route.toString())
                        .endsWith("/sign-in");
            }
        }
    }

    @Test
    void aStrangersAddressIsTheSameAsNone() {
        Scope demo = demo();
        Reckoning plan = Running.bean(PlanReader.class).reckon(demo);
        Visitor stranger = Visitor.signedUp("stranger");
        List<Route> theirs = routes(ids(plan));
        List<Route> none = routes(VARIETY);
        for (int i = 0; i < theirs.size(); i++) {
            if (!theirs.get(i).path().contains(demo.orchard())) {
                continue;
            }
            HttpResponse<String> answer = ask(stranger, theirs.get(i));
            HttpResponse<String> nowhere = ask(stranger, none.get(i));
            assertThat(answer.statusCode())
                    .as(theirs.get(i).toString())
                    .isEqualTo(nowhere.statusCode())
                    .isBetween(400, 404);
            if (theirs.get(i).method() == RequestMethod.GET) {
                assertThat(answer.statusCode()).as(theirs.get(i).toString()).isEqualTo(404);
                assertThat(answer.body()).isEqualTo(nowhere.body());
            }
        }
        assertThat(Running.bean(PlanReader.class).reckon(demo).plan().orchard().revision())
                .as("a stranger changed nothing")
                .isEqualTo(plan.plan().orchard().revision());
    }

    @Test
    void theOwnerGetsAnAnswerFromEveryRoute() {
        Visitor owner = new Visitor();
        owner.post("/demo", Map.of());
        Scope demo = demo();
        Reckoning plan = Running.bean(PlanReader.class).reckon(demo);
        for (Route route : routes(ids(plan))) {
            if (route.path().endsWith("/undo")
                    || route.path().endsWith("/remove")
                    || route.path().equals("/demo")) {
                continue;
            }
            HttpResponse<String> answer = ask(owner, route);
            assertThat(answer.statusCode())
                    .as("%s: %s", route, answer.body().length() < 3000 ? answer.body() : "")
                    .isLessThan(500);
            if (route.method() == RequestMethod.GET && !route.path().endsWith("/try")) {
                assertThat(answer.statusCode()).as(route.toString()).isIn(200, 302);
                assertThat(answer.headers()
                                .firstValue("content-security-policy")
                                .orElse(""))
                        .contains("script-src 'self'");
            }
            assertThat(answer.body()).doesNotContain("at idlebough.").doesNotContain("Exception");
        }
    }

    private static Map<String, String> ids(Reckoning plan) {
        Filling filling = plan.plan().fillings().get(0);
        return Map.of(
                "orchard",
                plan.plan().orchard().id(),
                "tree",
                plan.trees().get(0).id(),
                "pit",
                filling.pitId(),
                "test",
                filling.id(),
                "feature",
                plan.plan().drawn().get(0).id(),
                "station",
                plan.plan().station().id(),
                "variety",
                "apple-cox");
    }

    private static Scope demo() {
        Account maren = Running.bean(AccountService.class).find(AccountController.DEMO);
        return new Scope(
                Running.bean(OrchardMapper.class).mine(maren.id()).get(0).id(), maren.id());
    }

    @Test
    void everyStatementOnAnOrchardJoinsMembership() {
        Set<String> founding =
                Set.of("idlebough.app.plan.OrchardMapper.create", "idlebough.app.plan.OrchardMapper.join");
        for (Object entry :
                Running.bean(SqlSessionFactory.class).getConfiguration().getMappedStatements()) {
            if (!(entry instanceof MappedStatement statement)
                    || statement.getId().startsWith("idlebough.app.account.")
                    || founding.contains(statement.getId())) {
                continue;
            }
            BoundSql sql = statement.getBoundSql(Map.of(
                    "days", List.of(), "row", Map.of("deleted", false), "scope", new Scope("o", "a"), "account", "a"));
            assertThat(sql.getSql())
                    .as(statement.getId())
                    .contains("membership m")
                    .contains("account_id");
        }
    }

    @Test
    void fiveWrongPasswordsAreEnough() {
        Visitor guesser = new Visitor();
        for (int i = 0; i < 5; i++) {
            assertThat(guesser.post("/sign-in", Map.of("name", "held", "password", "no"))
                            .headers()
                            .firstValue("location")
                            .orElse(""))
                    .endsWith("?wrong");
        }
        assertThat(guesser.post("/sign-in", Map.of("name", "held", "password", "no"))
                        .headers()
                        .firstValue("location")
                        .orElse(""))
                .endsWith("?held");
    }

    @Test
    void aFormWithoutItsTokenIsRefused() throws Exception {
        var answer = java.net.http.HttpClient.newHttpClient()
                .send(
                        java.net.http.HttpRequest.newBuilder(java.net.URI.create(Running.base() + "/sign-up"))
                                .POST(java.net.http.HttpRequest.BodyPublishers.noBody())
                                .build(),
                        HttpResponse.BodyHandlers.ofString());
        assertThat(answer.statusCode()).isEqualTo(403);
    }

    @Test
    void anAddressAskedForInTheWrongWayIsAPageOfOurs() {
        Visitor owner = new Visitor();
        owner.post("/demo", Map.of());
        HttpResponse<String> answer = owner.get("/orchards/" + demo().orchard() + "/undo");
        assertThat(answer.statusCode()).isEqualTo(405);
        assertThat(answer.body()).contains("not asked for in this way");
        assertThat(owner.get("/nowhere").statusCode()).isEqualTo(404);
    }
}
