package idlebough.app.winter;

import idlebough.app.jobs.OneAtATime;
import idlebough.app.store.LiveMapper;
import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.time.Duration;
import java.time.ZoneId;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/** Asks every station that is to be asked, again and again. */
@Component
public class LivePuller {
    private static final Logger LOG = LoggerFactory.getLogger(LivePuller.class);
    /** Longer than all of them take when none answers. */
    private static final Duration ASKING = Duration.ofMinutes(30);

    private final LiveMapper live;
    private final LiveService service;
    private final StationAddresses addresses;
    private final OneAtATime jobs;
    private final long seconds;
    private final HttpClient client = HttpClient.newBuilder()
            .connectTimeout(Duration.ofSeconds(5))
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private final ScheduledExecutorService timer = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "stations");
        thread.setDaemon(true);
        return thread;
    });

    LivePuller(
            LiveMapper live,
            LiveService service,
            StationAddresses addresses,
            OneAtATime jobs,
            @Value("${bough.station-seconds:300}") long seconds) {
        this.live = live;
        this.service = service;
        this.addresses = addresses;
        this.jobs = jobs;
        this.seconds = seconds;
    }

    /** Zero seconds: never by itself. */
    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        if (seconds > 0) {
            Duration period = Duration.ofSeconds(seconds);
            every(() -> jobs.alone("stations", ASKING, period.multipliedBy(9).dividedBy(10), this::pull), 2);
        }
    }

    /** Something else that is to be done as often, such as the sending of a simulated station. */
    public void every(Runnable work, long firstAfterSeconds) {
        if (seconds > 0) {
            timer.scheduleWithFixedDelay(
                    () -> {
                        try {
                            work.run();
                        } catch (RuntimeException trouble) {
                            LOG.error("A station could not be heard", trouble);
                        }
                    },
                    firstAfterSeconds,
                    seconds,
                    TimeUnit.SECONDS);
        }
    }

    /** Asks all of them once; one that fails keeps none of the others waiting for more than its time-outs. */
    public void pull() {
        for (LiveMapper.Feed feed : live.toPull()) {
            String complaint = addresses.complaint(feed.pullUrl());
            if (complaint != null) {
                service.failed(feed.scope(), feed.station(), complaint);
                continue;
            }
            try {
                service.take(
                        feed.scope(),
                        feed.station(),
                        ZoneId.of(feed.timeZone()),
                        new HttpStation(client, URI.create(feed.pullUrl()))
                                .after(service.wanted(feed.scope(), feed.station())));
            } catch (IOException trouble) {
                service.failed(
                        feed.scope(),
                        feed.station(),
                        "It was asked and gave nothing: "
                                + (trouble.getMessage() == null ? "no answer" : trouble.getMessage()) + ".");
            }
        }
    }

    @PreDestroy
    void close() {
        timer.shutdownNow();
    }
}
