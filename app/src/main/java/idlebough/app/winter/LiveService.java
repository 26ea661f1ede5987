package idlebough.app.winter;

import idlebough.app.store.Edits;
import idlebough.app.store.InOneGo;
import idlebough.app.store.LiveMapper;
import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.store.WeatherStore;
import idlebough.core.winter.LiveCheck;
import idlebough.core.winter.LiveReading;
import idlebough.core.winter.WholeDays;
import java.nio.charset.StandardCharsets;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** Readings that come in by themselves: checked, kept with their faults, and made into days once a day is over. */
@Service
public class LiveService {
    private static final DateTimeFormatter UTC =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm:ss.SSS").withZone(ZoneOffset.UTC);
    /** As far back as a check must look, and a day may begin. */
    private static final Duration BEFORE = Duration.ofDays(3);

    /** How far back a station that is new is asked. */
    private static final Duration NEW = Duration.ofDays(60);

    private static final int MOST = 20_000;
    private static final SecureRandom RANDOM = new SecureRandom();
    private final LiveMapper live;
    private final WeatherStore weather;
    private final Edits edits;
    private final Clock clock;
    private final JsonMapper json;

    LiveService(LiveMapper live, WeatherStore weather, Edits edits, Clock clock, JsonMapper json) {
        this.live = live;
        this.weather = weather;
        this.edits = edits;
        this.clock = clock;
        this.json = json;
    }

    /** One reading on its way in. */
    private record NewReading(
            String at, Double celsius, Double humidity, Double wind, Double rain, Double watts, String fault) {}

    /** @param kept how many were new and sound; doubted: new, kept and marked, or not to be placed */
    public record Taken(int kept, int doubted) {}

    /**
     * The moment after which a station's readings are still wanted: its last sound one, its last day, or not long ago.
     */
    public Instant wanted(Scope scope, String station) {
        Instant last = live.lastSound(scope, station);
        if (last != null) {
            return last;
        }
        LocalDate day = live.lastDay(scope, station);
        return day == null
                ? clock.instant().minus(NEW)
                : day.atStartOfDay(ZoneOffset.UTC).toInstant();
    }

    /**
     * Takes readings in; what was taken once and comes again changes nothing.
     *
     * @param news in the order in which they came
     */
    @InOneGo
    public Taken take(Scope scope, String station, ZoneId zone, List<LiveReading> news) {
        edits.inTurn(scope);
        Instant now = clock.instant();
        Instant first = news.stream()
                .map(LiveReading::at)
                .min(Instant::compareTo)
                .orElse(now)
                .minus(BEFORE);
        List<LiveCheck.Checked> before = stored(scope, station, first);
        Set<LiveReading> known = before.stream().map(LiveCheck.Checked::reading).collect(Collectors.toSet());
        List<LiveReading> unknown =
                news.stream().filter(reading -> !known.contains(reading)).toList();
        List<LiveCheck.Checked> checked = LiveCheck.check(before, unknown, now);
        live.addReadings(
                scope,
                station,
                json.writeValueAsString(checked.stream().map(LiveService::row).toList()));
        live.heard(scope, station, now, null);
        int kept = (int)
                checked.stream().filter(c -> c.fault() == LiveCheck.Fault.NONE).count();
        if (kept > 0) {
            days(scope, station, zone, first);
        }
        return new Taken(kept, unknown.size() - kept);
    }

    private static NewReading row(LiveCheck.Checked checked) {
        LiveReading r = checked.reading();
        return new NewReading(
                UTC.format(r.at()),
                r.celsius(),
                r.humidity(),
                r.wind(),
                r.rain(),
                r.watts(),
                checked.fault().name());
    }

    /** Oldest first. */
    private List<LiveCheck.Checked> stored(Scope scope, String station, Instant after) {
        List<LiveCheck.Checked> stored = new ArrayList<>();
        for (LiveMapper.Reading r : live.readings(scope, station, after, MOST)) {
            stored.add(new LiveCheck.Checked(
                    new LiveReading(r.at(), r.celsius(), r.humidity(), r.wind(), r.rain(), r.watts()),
                    LiveCheck.Fault.valueOf(r.fault())));
        }
        Collections.reverse(stored);
        return stored;
    }

    /** The days that are whole now and were not stored yet. */
    private void days(Scope scope, String station, ZoneId zone, Instant after) {
        List<LiveReading> good = stored(scope, station, after).stream()
                .filter(c -> c.fault() == LiveCheck.Fault.NONE)
                .map(LiveCheck.Checked::reading)
                .toList();
        WholeDays whole = WholeDays.live(good, zone);
        if (weather.lacks(scope, station, whole.days())) {
            edits.weather(
                    scope,
                    "The station gave a whole day",
                    () -> weather.live(scope, station, whole, WholeDays.beside(good, whole.days(), zone)));
        }
    }

    /** Whose key this is; null when it is nobody's. */
    public LiveMapper.Feed feed(String key) {
        return live.byKey(WeatherStore.sha256(key.getBytes(StandardCharsets.UTF_8)));
    }

    /** @return a new key with which the station may send; it is told once and only its hash is kept */
    @InOneGo
    public String newKey(Scope scope, String station) {
        byte[] bytes = new byte[24];
        RANDOM.nextBytes(bytes);
        String key = HexFormat.of().formatHex(bytes);
        if (live.setPush(scope, station, WeatherStore.sha256(key.getBytes(StandardCharsets.UTF_8))) == 0) {
            throw new NotFound();
        }
        return key;
    }

    /** No key opens it any more. */
    @InOneGo
    public void endKey(Scope scope, String station) {
        if (live.setPush(scope, station, null) == 0) {
            throw new NotFound();
        }
    }

    /** @param url null to ask it no more */
    @InOneGo
    public void ask(Scope scope, String station, String url) {
        if (live.setPull(scope, station, url) == 0) {
            throw new NotFound();
        }
    }

    @InOneGo
    public void failed(Scope scope, String station, String trouble) {
        live.heard(scope, station, null, trouble.length() > 300 ? trouble.substring(0, 300) : trouble);
    }
}
