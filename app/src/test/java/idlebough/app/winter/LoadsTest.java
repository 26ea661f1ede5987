package idlebough.app.winter;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.IdleBough;
import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.store.LoadMapper;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Scope;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;

/** A file on its way in belongs to no instance, and takes no more than its share. */
@ExtendWith(Running.class)
class LoadsTest {
    private static final Pattern TICKET = Pattern.compile("/winters/load/([0-9a-f-]{36})");
    private final JdbcTemplate database = new JdbcTemplate(Running.bean(DataSource.class));
    private Visitor grower;
    private String base;

    @BeforeEach
    void found() {
        grower = Visitor.signedUp("loads" + System.nanoTime());
        base = grower.founds("Loads", "47");
    }

    private static byte[] days() {
        return IntStream.range(0, 400)
                .mapToObj(day -> LocalDate.of(2020, 1, 1).plusDays(day) + "," + day % 9 + "," + (day % 9 + 8))
                .collect(Collectors.joining("\n", "date,tmin,tmax\n", "\n"))
                .getBytes(StandardCharsets.UTF_8);
    }

    private String ticket(HttpResponse<String> page) {
        Matcher ticket = TICKET.matcher(page.body());
        assertThat(ticket.find()).as(page.body()).isTrue();
        return ticket.group(1);
    }

    @Test
    void anotherInstanceGoesOnWithIt() {
        String ticket = ticket(grower.upload(base + "/winters/load", Map.of(), "days.csv", days()));
        try (ConfigurableApplicationContext other = IdleBough.run(Running.database(), false, Running.settings())) {
            grower.at("http://127.0.0.1:" + other.getEnvironment().getProperty("local.server.port"));
            HttpResponse<String> page = grower.get(base + "/winters/load/" + ticket);
            assertThat(page.body()).contains("400 days in days.csv");
            grower.post(base + "/winters/load/" + ticket, Map.of("station", "Mast"));
            grower.at(Running.base());
            assertThat(grower.get(base + "/winters/load/" + ticket + "/progress")
                            .body())
                    .contains("STORED");
            assertThat(grower.post(base + "/winters/load/" + ticket, Map.of("station", "Mast"))
                            .statusCode())
                    .as("said twice, at both")
                    .isEqualTo(302);
        }
        assertThat(grower.get(base + "/winters").body()).contains("Mast");
        assertThat(database.queryForObject(
                        "select count(*) from weather_day d join station s on s.id = d.station_id where s.orchard_id = ?",
                        Integer.class,
                        base.substring(base.lastIndexOf('/') + 1)))
                .isEqualTo(400);
    }

    /** What an instance that died had begun is begun anew by whoever is asked next. */
    @Test
    void whoeverDiedIsReplaced() {
        String ticket = ticket(grower.upload(base + "/winters/load", Map.of(), "days.csv", days()));
        for (String state : new String[] {"READING", "STORING"}) {
            database.update(
                    "update weather_load set state = ?, turn = turn + 1, told_at = now(3) where id = ?", state, ticket);
            assertThat(grower.get(base + "/winters/load/" + ticket + "/progress")
                            .body())
                    .as("another is at it")
                    .contains(state);
            assertThat(grower.upload(base + "/winters/load", Map.of(), "more.csv", days())
                            .body())
                    .contains("Another file of yours is read just now");
            database.update("update weather_load set told_at = now(3) - interval 1 minute where id = ?", ticket);
            assertThat(grower.get(base + "/winters/load/" + ticket).body()).contains("400 days in days.csv");
        }
    }

    @Test
    void nobodyElseSeesIt() {
        String ticket = ticket(grower.upload(base + "/winters/load", Map.of(), "days.csv", days()));
        Visitor other = Visitor.signedUp("otherloads" + System.nanoTime());
        String own = other.founds("Own", "47");
        assertThat(other.get(base + "/winters/load/" + ticket).statusCode()).isEqualTo(404);
        assertThat(other.get(own + "/winters/load/" + ticket).body()).contains("was let go");
    }

    /** Whoever stores holds the orchard; how far it is must be told all the same. */
    @Test
    void itIsToldHowFarItIsWhileTheOrchardIsHeld() {
        String ticket = ticket(grower.upload(base + "/winters/load", Map.of(), "days.csv", days()));
        Map<String, Object> row = database.queryForMap("select * from weather_load where id = ?", ticket);
        Scope scope = new Scope((String) row.get("orchard_id"), (String) row.get("account_id"));
        Instant now = Instant.now();
        int told = Running.bean(TransactionTemplate.class).execute(held -> {
            Running.bean(OrchardMapper.class).lock(scope);
            TransactionTemplate apart = new TransactionTemplate(Running.bean(PlatformTransactionManager.class));
            apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
            apart.setTimeout(5);
            return apart.execute(beside -> Running.bean(LoadMapper.class)
                    .tell(scope, ticket, (Integer) row.get("turn"), 40, now, Instant.EPOCH));
        });
        assertThat(told).isOne();
    }
}
