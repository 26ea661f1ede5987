package idlebough.app.jobs;

import idlebough.app.store.LoadMapper;
import idlebough.app.store.Purge;
import java.time.Clock;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Configuration;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** What is to be cleared away by itself: orchards that were taken away and can be had back no more,
 * files that nobody stored. */
@Component
public class Housekeeping {
    private static final Logger LOG = LoggerFactory.getLogger(Housekeeping.class);
    private static final Duration LONGEST = Duration.ofHours(2);
    private static final Duration FILES_KEPT = Duration.ofMinutes(30);
    private static final Duration HOURLY = Duration.ofMinutes(50);
    private final Purge purge;
    private final LoadMapper loads;
    private final OneAtATime jobs;
    private final Clock clock;

    Housekeeping(Purge purge, LoadMapper loads, OneAtATime jobs, Clock clock) {
        this.purge = purge;
        this.loads = loads;
        this.jobs = jobs;
        this.clock = clock;
    }

    @Configuration
    @EnableScheduling
    static class Timed {}

    @Scheduled(initialDelayString = "PT2M", fixedDelayString = "PT1H")
    void hourly() {
        jobs.alone("housekeeping", LONGEST, HOURLY, this::clear);
    }

    /** Once, now. */
    public void clear() {
        loads.letGo(clock.instant().minus(FILES_KEPT));
        int gone = purge.takenAwayBefore(clock.instant().minus(Purge.KEPT));
        if (gone > 0) {
            LOG.info("{} orchards that were taken away over {} days ago are deleted", gone, Purge.KEPT.toDays());
        }
    }
}
