package idlebough.app.winter;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.app.plan.Ids;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.OrchardMapper;
import idlebough.app.plan.Scope;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.TemperatureFile;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.Duration;
import java.util.HexFormat;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes a temperature file in two steps: shown as understood first, stored only when the grower says so. */
@Service
public class WeatherService {
    private static final int BATCH = 1000;
    private final WeatherMapper weather;
    private final OrchardMapper orchards;
    private final Clock clock;
    private final Cache<String, Waiting> waiting = Caffeine.newBuilder()
            .expireAfterWrite(Duration.ofMinutes(30))
            .maximumWeight(200_000_000)
            .weigher((String key, Waiting file) -> file.content().length)
            .build();

    /** A file that was shown and not yet stored. */
    public record Waiting(String name, byte[] content) {}

    WeatherService(WeatherMapper weather, OrchardMapper orchards, Clock clock) {
        this.weather = weather;
        this.orchards = orchards;
        this.clock = clock;
    }

    /** @return the ticket under which the file waits */
    public String hold(Scope scope, String name, byte[] content) {
        String ticket = Ids.next();
        waiting.put(scope.orchard() + scope.account() + ticket, new Waiting(name, content));
        return ticket;
    }

    /** Null when it has waited too long. */
    public Waiting held(Scope scope, String ticket) {
        return waiting.getIfPresent(scope.orchard() + scope.account() + ticket);
    }

    /** @return how many days were new; loading the same file twice changes nothing */
    @Transactional
    public int store(
            Scope scope, String stationName, String fileName, byte[] content, TemperatureFile.Reading reading) {
        if (orchards.lock(scope) == null) {
            throw new NotFound();
        }
        WeatherMapper.Station station = weather.station(scope);
        String stationId = station == null ? Ids.next() : station.id();
        if (station == null) {
            weather.addStation(scope, stationId, stationName);
        } else if (station.standIn()) {
            // Measured days take the place of made ones; the two never mix.
            weather.clearDays(scope, stationId);
            weather.markStation(scope, stationId, stationName, false);
        }
        String file = Ids.next();
        if (weather.addFile(scope, file, stationId, fileName, sha256(content), content, clock.instant()) == 0) {
            return 0;
        }
        int added = 0;
        List<DailyExtremes> days = reading.days();
        for (int from = 0; from < days.size(); from += BATCH) {
            added += weather.addDays(scope, stationId, file, days.subList(from, Math.min(days.size(), from + BATCH)));
        }
        orchards.bumpWeather(scope);
        return added;
    }

    /**
     * Stores days made from monthly means, in the place of those made before.
     *
     * @return false when a measured record is there already; then nothing is changed
     */
    @Transactional
    public boolean standIn(Scope scope, String name, List<DailyExtremes> days, byte[] typed) {
        if (orchards.lock(scope) == null) {
            throw new NotFound();
        }
        WeatherMapper.Station station = weather.station(scope);
        if (station != null && !station.standIn() && !weather.days(scope).isEmpty()) {
            return false;
        }
        String id = station == null ? Ids.next() : station.id();
        if (station == null) {
            weather.addStation(scope, id, name);
        } else {
            weather.clearDays(scope, id);
        }
        weather.markStation(scope, id, name, true);
        String file = Ids.next();
        byte[] kept = (new String(typed, java.nio.charset.StandardCharsets.UTF_8) + "\n" + file)
                .getBytes(java.nio.charset.StandardCharsets.UTF_8);
        weather.addFile(scope, file, id, "monthly means", sha256(kept), kept, clock.instant());
        for (int from = 0; from < days.size(); from += BATCH) {
            weather.addDays(scope, id, file, days.subList(from, Math.min(days.size(), from + BATCH)));
        }
        orchards.bumpWeather(scope);
        return true;
    }

    /** Stores by how much the orchard differs from its station; every stored day stays as measured. */
    @Transactional
    public void offset(Scope scope, Double elevation, double kelvin) {
        if (orchards.lock(scope) == null) {
            throw new NotFound();
        }
        WeatherMapper.Station station = weather.station(scope);
        if (station == null) {
            throw new NotFound();
        }
        weather.correctStation(scope, station.id(), elevation, kelvin);
        orchards.bumpWeather(scope);
    }

    private static String sha256(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }
}
