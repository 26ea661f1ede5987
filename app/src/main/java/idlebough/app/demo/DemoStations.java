package idlebough.app.demo;

import idlebough.app.account.AccountController;
import idlebough.app.account.AccountService;
import idlebough.app.store.Account;
import idlebough.app.store.LiveMapper;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Scope;
import idlebough.app.winter.LivePuller;
import idlebough.app.winter.LiveService;
import idlebough.app.winter.StationAddresses;
import idlebough.core.winter.MadeWeather;
import idlebough.core.winter.WeatherGenerator;
import idlebough.station.LoggerPush;
import idlebough.station.LoggerServer;
import idlebough.station.SimulatedLogger;
import idlebough.station.SimulatedStation;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.URI;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Set;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.annotation.Profile;
import org.springframework.context.event.EventListener;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/**
 * The made-up masts of the two demo orchards: their past as a file, their present as readings. The one is asked over
 * loopback, the other sends.
 */
@Component
@Profile("demo")
public class DemoStations {
    static final SimulatedStation RISE = new SimulatedStation(
            "Rise mast",
            new MadeWeather(
                    new WeatherGenerator(
                            4230,
                            new WeatherGenerator.Year(9.6, 11.2, 20, 11),
                            new WeatherGenerator.Anomalies(0.72, 3.4, 0.8, 0.35)),
                    42.3,
                    780),
            LocalDate.of(2002, 9, 1),
            Set.of(LocalDate.of(2009, 1, 14), LocalDate.of(2009, 1, 15), LocalDate.of(2016, 12, 3)));
    static final SimulatedStation TERRACE = new SimulatedStation(
            "Terrace mast",
            new MadeWeather(
                    new WeatherGenerator(
                            3680,
                            new WeatherGenerator.Year(15.2, 4.6, 200, 8),
                            new WeatherGenerator.Anomalies(0.65, 2.2, 0.5, 0.2)),
                    -36.8,
                    1100),
            LocalDate.of(2003, 1, 1),
            Set.of());
    private static final Logger LOG = LoggerFactory.getLogger(DemoStations.class);
    private final AccountService accounts;
    private final OrchardMapper orchards;
    private final LiveMapper live;
    private final LiveService service;
    private final LivePuller puller;
    private final StationAddresses addresses;
    private final WebServerApplicationContext web;
    private final Clock clock;
    private LoggerServer server;

    DemoStations(
            AccountService accounts,
            OrchardMapper orchards,
            LiveMapper live,
            LiveService service,
            LivePuller puller,
            StationAddresses addresses,
            WebServerApplicationContext web,
            Clock clock) {
        this.accounts = accounts;
        this.orchards = orchards;
        this.live = live;
        this.service = service;
        this.puller = puller;
        this.addresses = addresses;
        this.web = web;
        this.clock = clock;
    }

    private static SimulatedLogger logger(SimulatedStation station, int hoursAhead, Clock clock) {
        return new SimulatedLogger(station.weather(), station.begin(), ZoneOffset.ofHours(hoursAhead), clock);
    }

    /** Before the first asking: each start has a free port and a new key of its own. */
    @EventListener(ApplicationReadyEvent.class)
    @Order(0)
    void begin() throws IOException {
        Account maren = accounts.find(AccountController.DEMO);
        if (maren == null) {
            return;
        }
        server = new LoggerServer(RISE.name(), logger(RISE, 1, clock), 0, clock);
        addresses.allow(server.address());
        orchards.mine(maren.id()).forEach(orchard -> {
            Scope scope = new Scope(orchard.id(), maren.id());
            live.links(scope).forEach(link -> connect(scope, link));
        });
    }

    private void connect(Scope scope, LiveMapper.Link link) {
        if (link.name().equals(RISE.name())) {
            service.ask(scope, link.id(), server.address().toString());
        } else if (link.name().equals(TERRACE.name())) {
            LoggerPush push = new LoggerPush(
                    link.name(),
                    logger(TERRACE, 12, clock),
                    URI.create("http://127.0.0.1:" + web.getWebServer().getPort() + "/readings"),
                    service.newKey(scope, link.id()),
                    service.wanted(scope, link.id()));
            puller.every(() -> send(push), 4);
        }
    }

    private static void send(LoggerPush push) {
        try {
            push.send();
        } catch (IOException trouble) {
            LOG.info("The simulated mast could not send: {}", trouble.getMessage());
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    @PreDestroy
    void close() {
        if (server != null) {
            server.close();
        }
    }
}
