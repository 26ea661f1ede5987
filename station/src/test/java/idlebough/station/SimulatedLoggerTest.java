package idlebough.station;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.winter.LiveCheck;
import idlebough.core.winter.LiveReading;
import idlebough.core.winter.MadeWeather;
import idlebough.core.winter.WeatherGenerator;
import idlebough.core.winter.WholeDays;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.List;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** A logger with its faults, and whether the checks of live readings find them. */
class SimulatedLoggerTest {
    private static final Instant NOW = Instant.parse("2026-03-10T12:00:00Z");
    private static final Instant BEFORE = Instant.parse("2026-03-06T23:00:00Z");
    private final MadeWeather weather = new MadeWeather(
            new WeatherGenerator(
                    7, new WeatherGenerator.Year(10, 9, 15, 11), new WeatherGenerator.Anomalies(0.7, 3, 0.7, 0.3)),
            42,
            800);
    private final Clock clock = Clock.fixed(NOW, ZoneOffset.UTC);
    private final SimulatedLogger logger =
            new SimulatedLogger(weather, LocalDate.of(2025, 1, 1), ZoneOffset.ofHours(1), clock);

    private List<LiveCheck.Fault> faults() {
        return LiveCheck.check(List.of(), logger.after(BEFORE), NOW).stream()
                .map(LiveCheck.Checked::fault)
                .distinct()
                .toList();
    }

    @Test
    void aSoundLoggerGivesWholeDaysAndNoFaults() {
        List<LiveReading> readings = logger.after(BEFORE);
        assertThat(readings).hasSize(2 * 85);
        assertThat(readings.get(0).at()).isEqualTo(BEFORE.plusSeconds(1800));
        assertThat(faults()).containsExactly(LiveCheck.Fault.NONE);
        WholeDays days = WholeDays.live(logger.after(BEFORE.minusSeconds(1)), ZoneId.of("Europe/Berlin"));
        assertThat(days.days())
                .extracting(d -> d.date().getDayOfMonth())
                .as("7 to 9 March; the tenth is not over")
                .containsExactly(7, 8, 9);
        assertThat(WholeDays.beside(readings, days.days(), ZoneId.of("Europe/Berlin")))
                .hasSize(3);
    }

    @Test
    void itsFaultsAreFound() {
        logger.turn(SimulatedLogger.Fault.STUCK, true, NOW.minus(Duration.ofHours(30)));
        assertThat(faults()).contains(LiveCheck.Fault.STUCK);
        logger.turn(SimulatedLogger.Fault.STUCK, false, NOW.minus(Duration.ofHours(12)));
        logger.turn(SimulatedLogger.Fault.CLOCK_JUMP, true, NOW.minus(Duration.ofHours(6)));
        assertThat(faults()).contains(LiveCheck.Fault.CLOCK);
        logger.turn(SimulatedLogger.Fault.CLOCK_JUMP, false, NOW.minus(Duration.ofHours(5)));
        logger.turn(SimulatedLogger.Fault.DROP_OUT, true, NOW.minus(Duration.ofHours(4)));
        assertThat(logger.after(NOW.minus(Duration.ofHours(4)))).isEmpty();
    }

    @Test
    void whatNoThermometerReadsIsMarked() {
        LiveReading good = logger.after(NOW.minus(Duration.ofHours(1))).get(0);
        Instant at = good.at();
        List<LiveReading> news = List.of(
                good,
                new LiveReading(at.plusSeconds(600), 85.0, null, null, null, null),
                new LiveReading(at.plusSeconds(1200), good.celsius() + 16, null, null, null, null),
                new LiveReading(at.plusSeconds(1300), null, null, null, null, null),
                new LiveReading(NOW.plus(Duration.ofDays(700)), good.celsius(), null, null, null, null),
                new LiveReading(at.plusSeconds(1800), good.celsius() + 1, null, null, null, null));
        assertThat(LiveCheck.check(List.of(), news, NOW))
                .extracting(LiveCheck.Checked::fault)
                .containsExactly(
                        LiveCheck.Fault.NONE,
                        LiveCheck.Fault.BEYOND,
                        LiveCheck.Fault.STEP,
                        LiveCheck.Fault.EMPTY,
                        LiveCheck.Fault.CLOCK,
                        LiveCheck.Fault.NONE);
    }

    @Test
    void itServesAndIsSwitchedOverLoopback() throws Exception {
        try (LoggerServer server = new LoggerServer("mast", logger, 0, clock)) {
            HttpClient client = HttpClient.newHttpClient();
            String body = client.send(
                            HttpRequest.newBuilder(URI.create(server.address() + "?after=2026-03-10T08:00:00Z"))
                                    .build(),
                            HttpResponse.BodyHandlers.ofString())
                    .body();
            StationMessage message = JsonMapper.shared().readValue(body, StationMessage.class);
            assertThat(message.readings()).hasSize(8);
            assertThat(message.readings()).isEqualTo(logger.after(Instant.parse("2026-03-10T08:00:00Z")));
            assertThat(client.send(
                                    HttpRequest.newBuilder(server.address().resolve("/faults?fault=NONE&on=true"))
                                            .POST(HttpRequest.BodyPublishers.noBody())
                                            .build(),
                                    HttpResponse.BodyHandlers.discarding())
                            .statusCode())
                    .isEqualTo(400);
        }
    }
}
