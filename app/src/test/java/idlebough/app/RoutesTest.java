package idlebough.app;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.store.Account;
import idlebough.app.store.Edits;
import idlebough.app.store.Kind;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Right;
import idlebough.app.store.Role;
import idlebough.app.store.Scope;
import idlebough.app.store.TestRow;
import idlebough.app.web.PlanView;
import idlebough.core.site.Stand;
import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
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
    private static final Set<String> OPEN =
            Set.of("/sign-in", "/sign-in/again", "/sign-up", "/strength", "/demo", "/readings", "/alive");
    private static final String NONE = "01900000-0000-7000-8000-000000000000";

    private static final Map<String, String> VARIETY =
            Map.of("variety", "apple-cox", "kind", "varieties", "entry", "apple-cox");

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
                ? "?tree=" + NONE + "&x=1&y=1&raise=0.1&feature=" + NONE + "&points=1%201;2%202"
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
            } else if (route.method() == RequestMethod.POST) {
                assertThat(answer.statusCode()).as(route.toString()).isEqualTo(401);
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
        PlanView plan = Running.plan(demo);
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
        assertThat(Running.plan(demo).revision())
                .as("a stranger changed nothing")
                .isEqualTo(plan.revision());
    }

    @Test
    void theOwnerGetsAnAnswerFromEveryRoute() {
        Visitor owner = new Visitor();
        owner.post("/demo", Map.of());
        Scope demo = demo();
        PlanView plan = Running.plan(demo);
        for (Route route : routes(ids(plan))) {
            if (route.path().endsWith("/undo")
                    || route.path().endsWith("/remove")
                    || route.path().endsWith("/delete")
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

    private static Map<String, String> ids(PlanView plan) {
        TestRow filling = plan.rows().tests().get(0);
        Map<String, String> ids = new HashMap<>(VARIETY);
        ids.putAll(Map.of(
                "orchard",
                plan.head().id(),
                "tree",
                plan.trees().get(0).id(),
                "pit",
                filling.pitId(),
                "test",
                filling.id(),
                "feature",
                plan.rows().features().get(0).id(),
                "station",
                plan.station() == null ? NONE : plan.station().id(),
                "variety",
                "apple-cox"));
        return ids;
    }

    static Scope demo() {
        Account maren = Running.bean(AccountService.class).find(AccountController.DEMO);
        return new Scope(
                Running.bean(OrchardMapper.class).mine(maren.id()).get(0).id(), maren.id());
    }

    /** What a route asks of whoever posts to it. @param right LOOK, RECORD or PLAN */
    private record Asked(String path, String right, Map<String, String> fields) {
        static List<Asked> all() throws IOException {
            try (InputStream file = RoutesTest.class.getResourceAsStream("rights.csv")) {
                return new String(file.readAllBytes(), StandardCharsets.UTF_8)
                        .lines()
                        .skip(1)
                        .map(line -> line.split(";", 3))
                        .map(part -> new Asked(part[0], part[1], fields(part[2])))
                        .toList();
            }
        }

        private static Map<String, String> fields(String text) {
            Map<String, String> fields = new LinkedHashMap<>();
            for (String pair : text.split("&")) {
                String[] part = pair.split("=", 2);
                if (part.length == 2) {
                    fields.put(part[0], part[1].replace("\\n", "\n"));
                }
            }
            return fields;
        }

        Asked with(Map<String, String> ids) {
            Map<String, String> filled = new LinkedHashMap<>();
            fields.forEach((name, value) -> filled.put(fill(name, ids), fill(value, ids)));
            return new Asked(fill(path, ids), right, filled);
        }

        private static String fill(String text, Map<String, String> ids) {
            return Pattern.compile("\\{(\\w+)}").matcher(text).replaceAll(id -> ids.getOrDefault(id.group(1), NONE));
        }
    }

    /** The roles are those of the house: helper records, partner plans, reader looks (project choice). */
    @Test
    void everyRouteKeepsToTheRightsOfEveryRole() throws IOException {
        List<Asked> asked = Asked.all();
        Set<String> posted = new HashSet<>();
        Running.bean(RequestMappingHandlerMapping.class).getHandlerMethods().forEach((info, method) -> {
            if (info.getMethodsCondition().getMethods().contains(RequestMethod.POST)) {
                info.getPatternValues().stream()
                        // Taking the whole orchard away is tried in HomeTest.
                        .filter(path -> path.startsWith("/orchards/{orchard}") && !path.endsWith("}/delete"))
                        .forEach(posted::add);
            }
        });
        assertThat(asked.stream().map(Asked::path))
                .as("every route has its right")
                .containsAll(posted);
        Scope demo = demo();
        Visitor owner = new Visitor();
        owner.post("/demo", Map.of());
        Map<String, Visitor> visitors = new LinkedHashMap<>();
        visitors.put("nobody", new Visitor());
        visitors.put("passer-by", Visitor.signedUp("passer-by"));
        for (Role role : List.of(Role.READER, Role.HELPER, Role.PARTNER)) {
            visitors.put(role.name(), Visitor.signedUp("as " + role.word()));
            String account =
                    Running.bean(AccountService.class).find("as " + role.word()).id();
            Running.bean(Edits.class).admit(demo, account, role);
        }
        visitors.put("OWNER", owner);
        String station = Running.plan(demo).station().id();
        for (Asked each : asked) {
            // Whoever came before may have taken it out; what is asked of must be there.
            Map<String, String> ids = more(Running.plan(demo));
            ids.put("station", station);
            Asked route = each.with(ids);
            visitors.forEach((who, visitor) -> {
                int status = send(visitor, route).statusCode();
                assertThat(status).as("%s as %s", each.path(), who).isLessThan(500);
                switch (who) {
                    case "nobody" -> assertThat(status).as(each.path()).isEqualTo(401);
                    case "passer-by" -> assertThat(status).as(each.path()).isEqualTo(404);
                    default ->
                        assertThat(status == 403)
                                .as("%s as %s is refused: %s", each.path(), who, status)
                                .isEqualTo(!may(who, each.right()));
                }
            });
        }
        for (Role role : List.of(Role.READER, Role.HELPER, Role.PARTNER)) {
            assertThat(visitors.get(role.name())
                            .get("/orchards/" + demo.orchard() + "/site")
                            .statusCode())
                    .isEqualTo(200);
        }
    }

    private static HttpResponse<String> send(Visitor visitor, Asked route) {
        String file = route.fields().get("file");
        return file == null
                ? visitor.post(route.path(), route.fields())
                : visitor.upload(route.path(), Map.of(), "file", file.getBytes(StandardCharsets.UTF_8));
    }

    private static boolean may(String who, String right) {
        return switch (right) {
            case "LOOK" -> true;
            case "RECORD" -> !who.equals("READER");
            default -> who.equals("PARTNER") || who.equals("OWNER");
        };
    }

    private static Map<String, String> more(PlanView plan) {
        Map<String, String> ids = new HashMap<>(ids(plan));
        plan.evaluation().stands().stream()
                .filter(Stand::toPlant)
                .findFirst()
                .ifPresent(stand -> ids.put("tree", stand.id()));
        plan.evaluation().stands().stream()
                .filter(stand -> !stand.id().equals(ids.get("tree")))
                .findFirst()
                .ifPresent(stand -> ids.put("tree2", stand.id()));
        plan.rows().pegChecks().stream().findFirst().ifPresent(check -> ids.put("check", check.id()));
        ids.put("choice", plan.rows().choices().get(0).id());
        ids.put(
                "seen",
                plan.rows().blooms().isEmpty()
                        ? NONE
                        : plan.rows().blooms().get(0).id());
        return ids;
    }

    /** HOUSE: one fragment tells who may; every statement on an orchard's data holds it. */
    @Test
    void everyStatementOnAnOrchardAsksTheRights() {
        Set<String> apart = Set.of(
                "idlebough.app.store.OrchardMapper.create",
                "idlebough.app.store.OrchardMapper.found",
                "idlebough.app.store.OrchardMapper.mine",
                // A station has no account: its key, or the clock, leads to its orchard and its owner.
                "idlebough.app.store.LoadMapper.letGo",
                // Its own file, by a worker that was let in already, while the members are locked.
                "idlebough.app.store.LoadMapper.tell",
                "idlebough.app.store.LiveMapper.byKey",
                "idlebough.app.store.LiveMapper.toPull");
        for (Object entry :
                Running.bean(SqlSessionFactory.class).getConfiguration().getMappedStatements()) {
            if (!(entry instanceof MappedStatement statement)
                    || statement.getId().startsWith("idlebough.app.store.AccountMapper.")
                    || statement.getId().startsWith("idlebough.app.store.PurgeMapper.")
                    || apart.contains(statement.getId())) {
                continue;
            }
            BoundSql sql = statement.getBoundSql(Map.of(
                    "days",
                    List.of(),
                    "sets",
                    List.of("s"),
                    "ids",
                    List.of("i"),
                    "kind",
                    Kind.PEG,
                    "right",
                    Right.PLAN,
                    "scope",
                    new Scope(NONE, "a"),
                    "account",
                    "a"));
            assertThat(sql.getSql().replaceAll("\\s+", " "))
                    .as(statement.getId())
                    .contains("join membership m on m.orchard_id =")
                    .containsAnyOf("m.account_id = ?", "m.account_id =")
                    .contains("and m.role in ('OWNER'");
        }
    }

    @Test
    void fiveWrongPasswordsAreEnough() {
        Visitor guesser = new Visitor();
        for (int i = 0; i < 5; i++) {
            assertThat(guesser.post("/sign-in", Map.of("name", "held", "password", "no"))
                            .body())
                    .contains("do not fit together")
                    .contains("value=\"held\"");
        }
        HttpResponse<String> held = guesser.post("/sign-in", Map.of("name", "held", "password", "no"));
        assertThat(held.statusCode()).isEqualTo(429);
        assertThat(held.body()).contains("Too many wrong passwords");
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
    void theAddressOfAFormEnteredAgainIsItsPage() {
        Visitor owner = new Visitor();
        owner.post("/demo", Map.of());
        String orchard = "/orchards/" + demo().orchard();
        Map.of(
                        orchard + "/undo",
                        orchard + "/history",
                        orchard + "/layout/fill",
                        orchard + "/layout",
                        orchard + "/almanac/order",
                        orchard + "/almanac",
                        orchard + "/copy",
                        "/",
                        "/account/units",
                        "/account",
                        "/orchards",
                        "/")
                .forEach((form, page) -> {
                    HttpResponse<String> answer = owner.get(form);
                    assertThat(answer.statusCode()).as(form).isEqualTo(302);
                    assertThat(answer.headers().firstValue("location").orElseThrow())
                            .as(form)
                            .endsWith(page);
                });
        assertThat(owner.get("/orchards/" + demo().orchard() + "/layout").statusCode())
                .isEqualTo(200);
        assertThat(owner.get("/nowhere").statusCode()).isEqualTo(404);
    }
}
