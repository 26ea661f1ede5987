package idlebough.app.winter;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.app.Running;
import idlebough.app.Visitor;
import idlebough.app.account.AccountService;
import idlebough.app.store.Scope;
import idlebough.app.web.PlanView;
import idlebough.core.winter.MadeWeather;
import idlebough.core.winter.WeatherGenerator;
import idlebough.station.LoggerPush;
import idlebough.station.LoggerServer;
import idlebough.station.SimulatedLogger;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A station that gives readings by itself, with its faults: asked, and sending with its key. */
@ExtendWith(Running.class)
class LiveStationTest {
    private static int growers;
    private final Instant now = Instant.now().truncatedTo(ChronoUnit.HOURS);
    private final Instant begin = now.minus(Duration.ofDays(5)).truncatedTo(ChronoUnit.DAYS);
    private final SimulatedLogger logger = new SimulatedLogger(
            new MadeWeather(
                    new WeatherGenerator(
                            3, new WeatherGenerator.Year(9, 9, 15, 11), new WeatherGenerator.Anomalies(0.7, 3, 0.7, 0)),
                    42,
                    700),
            LocalDate.of(2025, 1, 1),
            ZoneOffset.UTC,
            Clock.fixed(now, ZoneOffset.UTC));
    private Visitor grower;
    private Scope scope;
    private String live;

    @BeforeEach
    void aStationWithOneOldDay() {
        String name = "listener" + growers++;
        grower = Visitor.signedUp(name);
        String base = grower.founds("Mast field", "42");
        scope = new Scope(
                base.substring("/orchards/".length()),
                Running.bean(AccountService.class).find(name).id());
        LocalDate old = LocalDate.ofInstant(begin, ZoneOffset.UTC).minusDays(1);
        Matcher ticket = Pattern.compile("/winters/load/([0-9a-f-]{36})")
                .matcher(grower.upload(
                                base + "/winters/load",
                                Map.of(),
                                "a.csv",
                                ("date,tmin,tmax\n" + old + ",1,9\n").getBytes(StandardCharsets.UTF_8))
                        .body());
        assertThat(ticket.find()).isTrue();
        grower.post(base + "/winters/load/" + ticket.group(1), Map.of("station", "Field mast"));
        live = base + "/winters/stations/" + plan().station().id() + "/live";
    }

    private PlanView plan() {
        return Running.plan(scope);
    }

    private String page() {
        return grower.get(live).body().replace("&#39;", "'").replace('\u00a0', ' ');
    }

    private String key() {
        Matcher key = Pattern.compile("<code>([0-9a-f]{48})</code>")
                .matcher(grower.post(live.replace("/live", "/key"), Map.of()).body());
        assertThat(key.find()).isTrue();
        return key.group(1);
    }

    private static int send(String key, String body) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(Running.base() + "/readings"))
                                .header("Authorization", "Bearer " + key)
                                .POST(HttpRequest.BodyPublishers.ofString(body))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    @Test
    void itSendsWithItsKeyAndOnlyWholeSoundDaysCount() throws Exception {
        // A day and a half in the middle the sensor stands still.
        logger.turn(SimulatedLogger.Fault.STUCK, true, begin.plus(Duration.ofHours(50)));
        logger.turn(SimulatedLogger.Fault.STUCK, false, begin.plus(Duration.ofHours(90)));
        assertThat(page()).contains("It gives nothing by itself yet");
        String key = key();
        LoggerPush push = new LoggerPush(
                "Field mast", logger, URI.create(Running.base() + "/readings"), key, begin.minusSeconds(1));
        assertThat(push.send()).isEqualTo(202);
        assertThat(push.send()).as("nothing new").isEqualTo(204);
        LocalDate first = LocalDate.ofInstant(begin, ZoneOffset.UTC);
        assertThat(plan().record().on(first)).isNotNull();
        assertThat(plan().record().hasHours(first)).isTrue();
        assertThat(plan().record().on(first.plusDays(3)))
                .as("a day on which the sensor stood still")
                .isNull();
        assertThat(page())
                .contains("says the same again and again")
                .contains("the same for twelve hours")
                .contains("Temperature now");
        int days = plan().record().size();
        new LoggerPush("Field mast", logger, URI.create(Running.base() + "/readings"), key, begin.minusSeconds(1))
                .send();
        assertThat(plan().record().size())
                .as("the same readings twice change nothing")
                .isEqualTo(days);
        assertThat(send("0".repeat(48), "{\"readings\":[]}")).isEqualTo(401);
        assertThat(send(key, "{\"readings\":[{\"celsius\":3}]}")).isEqualTo(400);
        assertThat(send(key, "not json")).isEqualTo(400);
        grower.post(live.replace("/live", "/key/end"), Map.of());
        assertThat(send(key, "{\"readings\":[]}")).isEqualTo(401);
    }

    @Test
    void itIsAskedWhereThisServerMayAsk() throws Exception {
        assertThat(grower.post(live.replace("/live", "/ask"), Map.of("pullUrl", "http://127.0.0.1:1/readings"))
                        .body())
                .contains("may not fetch from 127.0.0.1:1");
        logger.turn(SimulatedLogger.Fault.CLOCK_JUMP, true, now.minus(Duration.ofHours(9)));
        logger.turn(SimulatedLogger.Fault.CLOCK_JUMP, false, now.minus(Duration.ofHours(8)));
        logger.turn(SimulatedLogger.Fault.DROP_OUT, true, now.minus(Duration.ofHours(7)));
        try (LoggerServer server = new LoggerServer("Field mast", logger, 0, Clock.fixed(now, ZoneOffset.UTC))) {
            Running.bean(StationAddresses.class).allow(server.address());
            grower.post(
                    live.replace("/live", "/ask"),
                    Map.of("pullUrl", server.address().toString()));
            Running.bean(LivePuller.class).pull();
            assertThat(plan().record().on(LocalDate.ofInstant(begin, ZoneOffset.UTC)))
                    .isNotNull();
            assertThat(page()).contains("The clock of Field mast jumped").contains("has been silent for");
            assertThat(grower.get(live.replaceAll("/stations.*", "")).body()).contains("has been silent for");
        }
        Running.bean(LivePuller.class).pull();
        assertThat(page()).contains("It was asked and gave nothing");
        grower.post(live.replace("/live", "/ask"), Map.of("pullUrl", ""));
    }
}
