package idlebough.app.winter;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.app.store.Edits;
import idlebough.app.store.Ids;
import idlebough.app.store.LoadMapper;
import idlebough.app.store.Scope;
import idlebough.app.store.WeatherStore;
import idlebough.core.winter.Column;
import idlebough.core.winter.ColumnUnit;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import jakarta.annotation.PreDestroy;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.support.TransactionTemplate;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/**
 * Takes a weather file in two steps: read and shown as understood first, stored only when the grower says so. Both run
 * beside the request, so that they can be watched and stopped. The file and how far it is are kept in the database, so
 * that any instance answers for it; what was read is kept by the instance that read it, and another reads it anew.
 */
@Service
public class LoadService {
    private static final Logger LOG = LoggerFactory.getLogger(LoadService.class);
    private static final Duration KEPT = Duration.ofMinutes(30);
    /** The progress page asks four times a second; a browser that has gone asks no more. */
    private static final Duration WITHOUT_BROWSER = Duration.ofMinutes(1);
    /** Whoever works on a file and is not heard for so long has died. */
    private static final Duration SILENT = Duration.ofSeconds(15);

    private static final Duration TOLD = Duration.ofMillis(400);
    private static final Duration BUDGET = Duration.ofSeconds(90);
    /** Bytes that a read day takes, roughly, and all of them together may take. */
    private static final int DAY = 300;

    private static final long MOST = 200_000_000;
    private static final TypeReference<TreeMap<String, String>> TYPED = new TypeReference<>() {};

    private final LoadMapper rows;
    private final WeatherStore weather;
    private final Edits edits;
    private final JsonMapper json;
    private final Clock clock;
    private final TransactionTemplate apart;
    private final ExecutorService works = Executors.newFixedThreadPool(2, work -> {
        Thread thread = new Thread(work, "weather-file");
        thread.setDaemon(true);
        return thread;
    });
    private final Cache<String, Load> here = Caffeine.newBuilder()
            .expireAfterAccess(KEPT)
            .maximumWeight(MOST)
            .weigher((String ticket, Load load) -> load.weight())
            .build();

    LoadService(
            LoadMapper rows,
            WeatherStore weather,
            Edits edits,
            JsonMapper json,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.rows = rows;
        this.weather = weather;
        this.edits = edits;
        this.json = json;
        this.clock = clock;
        // How far it is must be seen while the storing is not committed yet.
        apart = new TransactionTemplate(transactions);
        apart.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    /** How far a file is. */
    public enum State {
        READING,
        READ,
        STORING,
        STORED,
        STOPPED,
        FAILED,
        TOO_LONG;

        boolean busy() {
            return this == READING || this == STORING;
        }
    }

    /** One file on its way in. */
    public static final class Load {
        private final String ticket;
        private final String name;
        private final int turn;
        private final WeatherFile.Wish wish;
        private final CompletableFuture<Void> done = new CompletableFuture<>();
        private volatile State state;
        private volatile WeatherFile.Reading reading;
        private volatile int percent;

        private Load(LoadMapper.Row row, int turn, State state, WeatherFile.Wish wish) {
            this.ticket = row.id();
            this.name = row.name();
            this.turn = turn;
            this.state = state;
            this.wish = wish;
            this.percent = row.percent();
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
            return percent;
        }

        private int weight() {
            return 1000 + (reading == null ? 0 : DAY * reading.days().size());
        }
    }

    /** Empty while another file of the account is worked on. */
    public Optional<Load> begin(Scope scope, String name, byte[] content, ZoneId zone) {
        Instant now = clock.instant();
        rows.letGo(now.minus(KEPT));
        if (rows.busy(scope, now.minus(SILENT)) > 0) {
            return Optional.empty();
        }
        String ticket = Ids.next();
        rows.add(scope, ticket, name, packed(content), now);
        return Optional.ofNullable(rows.find(scope, ticket)).map(row -> read(scope, row, Map.of(), zone));
    }

    /** Empty when it has waited too long, or is someone else's. */
    public Optional<Load> find(Scope scope, String ticket, ZoneId zone) {
        LoadMapper.Row row = rows.find(scope, ticket);
        if (row == null) {
            return Optional.empty();
        }
        rows.asked(scope, ticket, clock.instant());
        Load known = here.getIfPresent(ticket);
        if (known != null && known.turn == row.turn()) {
            return Optional.of(known);
        }
        State state = State.valueOf(row.state());
        Map<String, String> typed = json.readValue(row.wish(), TYPED);
        boolean heard = row.toldAt().isAfter(clock.instant().minus(SILENT));
        if (state == State.READ) {
            // Read by another instance: read here too, as it was read there.
            Load again = new Load(row, row.turn(), State.READING, wish(typed));
            start(scope, again, () -> again.reading = reading(scope, again, zone), State.READ);
            return Optional.of(again);
        }
        if (state.busy() && !heard) {
            // Whoever worked on it has died. Storing is one transaction, and what is stored already is not stored
            // twice.
            return Optional.of(read(scope, row, typed, zone));
        }
        return Optional.of(new Load(row, row.turn(), state, wish(typed)));
    }

    /** Reads it anew, when it is wished otherwise than it was read last. */
    public Load again(Scope scope, Load load, Map<String, String> typed, ZoneId zone) {
        LoadMapper.Row row = rows.find(scope, load.ticket);
        boolean other =
                !load.state.busy() && load.state != State.STORED && !wish(typed).equals(load.wish);
        return other && row != null ? read(scope, row, typed, zone) : load;
    }

    private Load read(Scope scope, LoadMapper.Row row, Map<String, String> typed, ZoneId zone) {
        return turn(scope, row, State.READING, typed)
                .map(load -> {
                    start(scope, load, () -> load.reading = reading(scope, load, zone), State.READ);
                    return load;
                })
                .orElseGet(() -> new Load(row, row.turn(), State.READING, wish(typed)));
    }

    private WeatherFile.Reading reading(Scope scope, Load load, ZoneId zone) {
        return WeatherFile.read(content(scope, load), load.wish, zone, watch(scope, load));
    }

    private byte[] content(Scope scope, Load load) {
        byte[] packed = rows.content(scope, load.ticket).stream().findFirst().orElseThrow(Watch.Stopped::new);
        try (InputStream content = new GZIPInputStream(new ByteArrayInputStream(packed))) {
            return content.readAllBytes();
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
    }

    /** A table takes a tenth of its room so, and on its way no sign in it is doubled. */
    private static byte[] packed(byte[] content) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream(content.length / 8 + 100);
        try (OutputStream into = new GZIPOutputStream(packed) {
            {
                def.setLevel(Deflater.BEST_SPEED);
            }
        }) {
            into.write(content);
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return packed.toByteArray();
    }

    /** Stores what was read. */
    public Load store(Scope scope, Load load, String stationId, String stationName) {
        LoadMapper.Row row = rows.find(scope, load.ticket);
        if (row == null || load.state != State.READ || load.reading.complaint().isPresent()) {
            return load;
        }
        WeatherFile.Reading read = load.reading;
        Map<String, String> typed = json.readValue(row.wish(), TYPED);
        return turn(scope, row, State.STORING, typed)
                .map(storing -> {
                    storing.reading = read;
                    start(
                            scope,
                            storing,
                            () -> edits.weather(
                                    scope,
                                    "Loaded " + storing.name,
                                    () -> weather.store(
                                            scope,
                                            stationId,
                                            stationName,
                                            storing.name,
                                            content(scope, storing),
                                            read,
                                            watch(scope, storing))),
                            State.STORED);
                    return storing;
                })
                .orElse(load);
    }

    /** The next piece of work on a file; empty when another began one just now. */
    private Optional<Load> turn(Scope scope, LoadMapper.Row row, State state, Map<String, String> typed) {
        int begun =
                rows.begin(scope, row.id(), row.turn(), state.name(), json.writeValueAsString(typed), clock.instant());
        return begun == 1 ? Optional.of(new Load(row, row.turn() + 1, state, wish(typed))) : Optional.empty();
    }

    /** Tells the database how far it is, and ends the work when it is stopped, watched by nobody, or over its time. */
    private Watch watch(Scope scope, Load load) {
        Instant begun = clock.instant();
        Instant[] told = {begun};
        return share -> {
            load.percent = (int) Math.round(100 * share);
            Instant now = clock.instant();
            if (now.isAfter(begun.plus(BUDGET)) && load.state == State.READING) {
                throw new TooLong();
            }
            if (now.isAfter(told[0].plus(TOLD))) {
                told[0] = now;
                // What is read for nobody is let go; what was said to be stored is stored.
                Instant asked = load.state == State.READING ? now.minus(WITHOUT_BROWSER) : Instant.EPOCH;
                Integer wanted =
                        apart.execute(status -> rows.tell(scope, load.ticket, load.turn, load.percent, now, asked));
                if (wanted == null || wanted == 0) {
                    throw new Watch.Stopped();
                }
            }
        };
    }

    /** The budget is used up. */
    private static final class TooLong extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** Stops what is going on, wherever it goes on; nothing half done stays. */
    public void stop(Scope scope, Load load) {
        rows.stop(scope, load.ticket);
    }

    private void start(Scope scope, Load load, Runnable work, State after) {
        here.put(load.ticket, load);
        works.submit(() -> {
            State ended = after;
            try {
                work.run();
                load.percent = 100;
            } catch (Watch.Stopped stopped) {
                ended = State.STOPPED;
            } catch (TooLong budget) {
                ended = State.TOO_LONG;
            } catch (RuntimeException | OutOfMemoryError trouble) {
                LOG.error("A weather file could not be taken", trouble);
                ended = State.FAILED;
            }
            try {
                rows.end(scope, load.ticket, load.turn, ended.name(), clock.instant());
            } catch (RuntimeException down) {
                LOG.warn("How a weather file ended could not be kept: {}", down.getMessage());
            }
            load.state = ended;
            load.done.complete(null);
            // Weighed anew, with what was read.
            here.asMap().replace(load.ticket, load, load);
        });
    }

    /** Waits a little, so that a small file is answered at once. */
    public void await(Load load, Duration most) {
        if (!load.state.busy()) {
            return;
        }
        try {
            load.done.get(most.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException still) {
            // It goes on beside; the page that follows shows how far it is.
        } catch (InterruptedException interrupted) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException trouble) {
            throw new IllegalStateException(trouble);
        }
    }

    /** What the preview's selects say. */
    private static WeatherFile.Wish wish(Map<String, String> typed) {
        Map<Integer, Column> columns = new HashMap<>();
        Map<Integer, ColumnUnit> units = new HashMap<>();
        typed.forEach((name, value) -> {
            if (name.matches("column\\d{1,3}")) {
                columns.put(Integer.valueOf(name.substring(6)), Column.named(value));
            } else if (name.matches("unit\\d{1,3}") && ColumnUnit.of(value) != null) {
                units.put(Integer.valueOf(name.substring(4)), ColumnUnit.of(value));
            }
        });
        return new WeatherFile.Wish(
                columns,
                units,
                Arrays.stream(WeatherFile.DateOrder.values())
                        .filter(o -> o.name().equals(typed.get("order")))
                        .findFirst(),
                Arrays.stream(WeatherFile.TimeScale.values())
                        .filter(s -> s.name().equals(typed.get("scale")))
                        .findFirst()
                        .orElse(WeatherFile.TimeScale.STANDARD),
                typed.containsKey("nextMorning"));
    }

    @PreDestroy
    void close() {
        works.shutdownNow();
    }
}
