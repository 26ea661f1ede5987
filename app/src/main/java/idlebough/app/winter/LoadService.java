package idlebough.app.winter;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.app.store.Edits;
import idlebough.app.store.Ids;
import idlebough.app.store.Scope;
import idlebough.app.store.WeatherStore;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import jakarta.annotation.PreDestroy;
import java.time.Duration;
import java.time.ZoneId;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;

/**
 * Takes a weather file in two steps: read and shown as understood first, stored only when the grower says so. Both run
 * beside the request, so that they can be watched and stopped.
 */
@Service
public class LoadService {
    private static final Logger LOG = LoggerFactory.getLogger(LoadService.class);
    private static final Duration KEPT = Duration.ofMinutes(30);
    private final WeatherStore weather;
    private final Edits edits;
    private final ExecutorService works = Executors.newFixedThreadPool(2, work -> {
        Thread thread = new Thread(work, "weather-file");
        thread.setDaemon(true);
        return thread;
    });
    private final Cache<String, Load> loads = Caffeine.newBuilder()
            .expireAfterAccess(KEPT)
            .maximumWeight(400_000_000)
            .weigher((String key, Load load) -> load.content.length + 1)
            .build();

    LoadService(WeatherStore weather, Edits edits) {
        this.weather = weather;
        this.edits = edits;
    }

    /** How far a file is. */
    public enum State {
        READING,
        READ,
        STORING,
        STORED,
        STOPPED,
        FAILED
    }

    /** One file on its way in. */
    public static final class Load {
        private final String ticket;
        private final String name;
        private final byte[] content;
        private volatile State state = State.READING;
        private volatile WeatherFile.Wish wish = WeatherFile.Wish.NONE;
        private volatile WeatherFile.Reading reading;
        private volatile double share;
        private volatile boolean stop;
        private Future<?> work;

        private Load(String ticket, String name, byte[] content) {
            this.ticket = ticket;
            this.name = name;
            this.content = content;
        }

        public String ticket() {
            return ticket;
        }

        public String name() {
            return name;
        }

        public State state() {
            return state;
        }

        /** Null until it is read. */
        public WeatherFile.Reading reading() {
            return reading;
        }

        public WeatherFile.Wish wish() {
            return wish;
        }

        public int percent() {
            return (int) Math.round(100 * share);
        }

        public boolean busy() {
            return state == State.READING || state == State.STORING;
        }

        private void at(double done) {
            share = done;
            if (stop) {
                throw new Watch.Stopped();
            }
        }
    }

    private static String key(Scope scope, String ticket) {
        return scope.orchard() + scope.account() + ticket;
    }

    /** Null when it has waited too long, or is someone else's. */
    public Load find(Scope scope, String ticket) {
        return loads.getIfPresent(key(scope, ticket));
    }

    /** Keeps a file and begins to read it. */
    public Load begin(Scope scope, String name, byte[] content, ZoneId zone) {
        Load load = new Load(Ids.next(), name, content);
        loads.put(key(scope, load.ticket), load);
        read(load, WeatherFile.Wish.NONE, zone);
        return load;
    }

    /** Reads it anew, when it is wished otherwise than it was read last. */
    public synchronized void again(Load load, WeatherFile.Wish wish, ZoneId zone) {
        if (!load.busy() && load.state != State.STORED && !wish.equals(load.wish)) {
            read(load, wish, zone);
        }
    }

    private void read(Load load, WeatherFile.Wish wish, ZoneId zone) {
        load.wish = wish;
        start(
                load,
                State.READING,
                State.READ,
                () -> load.reading = WeatherFile.read(load.content, wish, zone, load::at));
    }

    /** Stores what was read. */
    public synchronized void store(Scope scope, Load load, String stationId, String stationName) {
        if (load.state == State.READ && load.reading.complaint().isEmpty()) {
            start(
                    load,
                    State.STORING,
                    State.STORED,
                    () -> edits.weather(
                            scope,
                            "Loaded " + load.name,
                            () -> weather.store(
                                    scope, stationId, stationName, load.name, load.content, load.reading, load::at)));
        }
    }

    /** Stops what is going on; nothing half done stays. */
    public void stop(Load load) {
        load.stop = true;
    }

    private void start(Load load, State during, State after, Runnable work) {
        load.state = during;
        load.share = 0;
        load.stop = false;
        load.work = works.submit(() -> {
            try {
                work.run();
                load.share = 1;
                load.state = after;
            } catch (Watch.Stopped stopped) {
                load.state = State.STOPPED;
            } catch (RuntimeException | OutOfMemoryError trouble) {
                LOG.error("A weather file could not be taken", trouble);
                load.state = State.FAILED;
            }
        });
    }

    /** Waits a little, so that a small file is answered at once. */
    public void await(Load load, Duration most) {
        try {
            load.work.get(most.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException still) {
            // It goes on beside; the page that follows shows how far it is.
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        } catch (java.util.concurrent.ExecutionException trouble) {
            throw new IllegalStateException(trouble);
        }
    }

    @PreDestroy
    void close() {
        works.shutdownNow();
    }
}
