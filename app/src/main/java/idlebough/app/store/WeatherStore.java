package idlebough.app.store;

import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.DayWeather;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Stations;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import idlebough.core.winter.WholeDays;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import tools.jackson.databind.json.JsonMapper;

/** What the stations measured, stored as given and put together when it is read. */
@Service
public class WeatherStore {
    private static final int BATCH = 2000;
    private final WeatherMapper weather;
    private final OrchardMapper orchards;
    private final Clock clock;
    private final JsonMapper json;

    WeatherStore(WeatherMapper weather, OrchardMapper orchards, Clock clock, JsonMapper json) {
        this.json = json;
        this.weather = weather;
        this.orchards = orchards;
        this.clock = clock;
    }

    /** The record of the orchard's own place, from all its stations. */
    public Stations.Joined joined(Scope scope) {
        Map<String, List<DailyExtremes>> days = new HashMap<>();
        Map<String, Map<LocalDate, double[]>> hours = new HashMap<>();
        for (WeatherMapper.Day day : weather.days(scope)) {
            days.computeIfAbsent(day.stationId(), id -> new ArrayList<>()).add(day.extremes());
            double[] celsius = day.celsius();
            if (celsius != null) {
                hours.computeIfAbsent(day.stationId(), id -> new HashMap<>()).put(day.day(), celsius);
            }
        }
        return Stations.join(weather.stations(scope).stream()
                .map(station -> new Stations.Placed(
                        station.name(),
                        new StationRecord(
                                days.getOrDefault(station.id(), List.of()), hours.getOrDefault(station.id(), Map.of())),
                        station.offsetKelvin()))
                .toList());
    }

    /**
     * Stores what a file held.
     *
     * @param stationId null for a station that is new
     * @return how many days were new; loading the same file twice changes nothing
     * @throws Watch.Stopped when it is no longer wanted; then nothing is stored
     */
    @InOneGo
    public int store(
            Scope scope,
            String stationId,
            String stationName,
            String fileName,
            byte[] content,
            WeatherFile.Reading reading,
            Watch watch) {
        String sha256 = sha256(content);
        if (weather.filesLike(scope, sha256) > 0) {
            return 0;
        }
        String station = station(scope, stationId, stationName);
        String file = Ids.next();
        if (weather.addFile(scope, file, station, fileName, sha256, content, clock.instant()) == 0) {
            return 0;
        }
        watch.at(0.2);
        int added = days(scope, station, file, reading.days(), reading.hours(), watch);
        for (int from = 0; from < reading.weather().size(); from += BATCH) {
            weather.addBeside(
                    scope,
                    station,
                    file,
                    json.writeValueAsString(
                            reading
                                    .weather()
                                    .subList(from, Math.min(reading.weather().size(), from + BATCH))
                                    .stream()
                                    .map(WeatherMapper.Beside::of)
                                    .toList()));
            watch.at(0.8 + 0.2 * from / reading.weather().size());
        }
        orchards.bumpWeather(scope);
        return added;
    }

    private int days(
            Scope scope,
            String station,
            String file,
            List<DailyExtremes> days,
            Map<LocalDate, double[]> hours,
            Watch watch) {
        int added = 0;
        for (int from = 0; from < days.size(); from += BATCH) {
            added += weather.addDays(
                    scope,
                    station,
                    file,
                    json.writeValueAsString(days.subList(from, Math.min(days.size(), from + BATCH)).stream()
                            .map(day -> WeatherMapper.NewDay.of(day, hours.get(day.date())))
                            .toList()));
            watch.at(0.2 + 0.6 * from / days.size());
        }
        return added;
    }

    /** Whether one of these days is not stored yet. */
    public boolean lacks(Scope scope, String station, List<DailyExtremes> days) {
        if (days.isEmpty()) {
            return false;
        }
        List<LocalDate> known = weather.since(scope, station, days.get(0).date());
        return days.stream().anyMatch(day -> !known.contains(day.date()));
    }

    /** Stores days that a station gave by itself, all of one station under one name. */
    @InOneGo
    public void live(Scope scope, String station, WholeDays whole, List<DayWeather> beside) {
        byte[] name = ("live " + station).getBytes(StandardCharsets.UTF_8);
        String file = Ids.next();
        if (weather.addFile(scope, file, station, "live readings", sha256(name), name, clock.instant()) == 0) {
            file = weather.fileOf(scope, station, sha256(name));
        }
        days(scope, station, file, whole.days(), whole.hours(), Watch.NONE);
        weather.addBeside(
                scope,
                station,
                file,
                json.writeValueAsString(
                        beside.stream().map(WeatherMapper.Beside::of).toList()));
        orchards.bumpWeather(scope);
    }

    /** The station that a file goes to; measured days take the place of made ones, the two never mix. */
    private String station(Scope scope, String wanted, String name) {
        if (orchards.lock(scope) == null) {
            throw new NotFound();
        }
        List<WeatherMapper.Station> stations = weather.stations(scope);
        for (WeatherMapper.Station station : stations) {
            if (station.standIn()) {
                weather.clearDays(scope, station.id());
                weather.markStation(scope, station.id(), name, false);
                return station.id();
            }
            if (station.id().equals(wanted)) {
                return wanted;
            }
        }
        if (wanted != null) {
            throw new NotFound();
        }
        String id = Ids.next();
        weather.addStation(scope, id, name, stations.size() + 1);
        return id;
    }

    /**
     * Stores days made from monthly means, in the place of those made before.
     *
     * @return false when a measured record is there already; then nothing is changed
     */
    @InOneGo
    public boolean standIn(Scope scope, String name, List<DailyExtremes> days, byte[] typed) {
        if (orchards.lock(scope) == null) {
            throw new NotFound();
        }
        List<WeatherMapper.Station> stations = weather.stations(scope);
        WeatherMapper.Station station = stations.isEmpty() ? null : stations.get(0);
        if (station != null && !station.standIn() && !weather.days(scope).isEmpty()) {
            return false;
        }
        String id = station == null ? Ids.next() : station.id();
        if (station == null) {
            weather.addStation(scope, id, name, 1);
        } else {
            weather.clearDays(scope, id);
        }
        weather.markStation(scope, id, name, true);
        String file = Ids.next();
        byte[] kept = (new String(typed, StandardCharsets.UTF_8) + "\n" + file).getBytes(StandardCharsets.UTF_8);
        weather.addFile(scope, file, id, "monthly means", sha256(kept), kept, clock.instant());
        days(scope, id, file, days, Map.of(), Watch.NONE);
        orchards.bumpWeather(scope);
        return true;
    }

    /** Stores by how much the orchard differs from a station; every stored day stays as measured. */
    @InOneGo
    public void offset(Scope scope, String station, Double elevation, double kelvin) {
        change(scope, () -> weather.correctStation(scope, station, elevation, kelvin));
    }

    /** Puts a station first; the others keep their order. */
    @InOneGo
    public void first(Scope scope, String station) {
        change(scope, () -> {
            int place = 2;
            int found = 0;
            for (WeatherMapper.Station each : weather.stations(scope)) {
                boolean wanted = each.id().equals(station);
                found += weather.placeStation(scope, each.id(), wanted ? 1 : place) * (wanted ? 1 : 0);
                place += wanted ? 0 : 1;
            }
            return found;
        });
    }

    /** Takes a station away or brings it back. */
    @InOneGo
    public void remove(Scope scope, String station, boolean away) {
        change(scope, () -> weather.removeStation(scope, station, away));
    }

    /** Something that touches one station. */
    private interface Touch {
        int rows();
    }

    private void change(Scope scope, Touch touch) {
        if (orchards.lock(scope) == null || touch.rows() == 0) {
            throw new NotFound();
        }
        orchards.bumpWeather(scope);
    }

    public static String sha256(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException never) {
            throw new IllegalStateException(never);
        }
    }
}
