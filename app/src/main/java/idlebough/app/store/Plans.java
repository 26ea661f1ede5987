package idlebough.app.store;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.core.orchard.Evaluation;
import idlebough.core.winter.Stations;
import idlebough.core.winter.Weather;
import idlebough.core.winter.Wetness;
import java.time.Month;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/**
 * Opens plans. Membership is asked of the database on every call; what is kept between calls is what was committed at
 * the
 * orchard's newest revision, one for each orchard, bounded by weight. Requests that ask for one plan at once share it.
 */
@Service
public class Plans {
    /** Bytes of heap that a row, and a day of weather, take with all that is computed over them; measured roughly. */
    private static final int ROW = 3_000;

    private static final int DAY = 600;
    private static final int LEAST = 200_000;

    private final OrchardMapper orchards;
    private final RowMapper rows;
    private final WeatherMapper weather;
    private final WeatherStore store;
    private final Cache<String, Plan.Stored> newest = Caffeine.newBuilder()
            .maximumWeight(Runtime.getRuntime().maxMemory() / 3)
            .weigher((String orchard, Plan.Stored stored) -> LEAST
                    + ROW * stored.rows().size()
                    + DAY * stored.evaluation().orchard().weather().record().size())
            .build();

    Plans(OrchardMapper orchards, RowMapper rows, WeatherMapper weather, WeatherStore store) {
        this.orchards = orchards;
        this.rows = rows;
        this.weather = weather;
        this.store = store;
    }

    /** @throws NotFound when there is no such orchard for this account, whoever else may have it */
    @Transactional(readOnly = true)
    public Plan open(Scope scope) {
        Head head = orchards.find(scope);
        if (head == null) {
            throw new NotFound();
        }
        return new Plan(
                head,
                newest.asMap()
                        .compute(head.id(), (id, known) -> isNew(known, head) ? known : load(scope, head, known)));
    }

    /** As it stands inside the running transaction, which holds the orchard's lock. */
    Plan locked(Scope scope, Head head) {
        Plan.Stored known = newest.getIfPresent(head.id());
        return new Plan(head, isNew(known, head) ? known : load(scope, head, known));
    }

    private static boolean isNew(Plan.Stored known, Head head) {
        return known != null && known.revision() >= head.revision() && known.weatherStamp() >= head.weatherStamp();
    }

    private Plan.Stored load(Scope scope, Head head, Plan.Stored known) {
        Map<Kind, List<Row>> loaded = new EnumMap<>(Kind.class);
        for (Kind kind : Kind.values()) {
            loaded.put(
                    kind,
                    rows.all(scope, kind).stream().map(kind.shape()::ofColumns).toList());
        }
        Rows all = Rows.of(loaded);
        boolean sameWeather = known != null && known.weatherStamp() == head.weatherStamp();
        return sameWeather ? with(head, known, all) : withWeather(scope, head, known, all);
    }

    /** The chain over other rows, the weather as it was. */
    Plan.Stored with(Head head, Plan.Stored known, Rows all) {
        Weather same = known.evaluation().orchard().weather();
        return new Plan.Stored(
                head.revision(),
                head.weatherStamp(),
                all,
                known.stations(),
                known.borrowed(),
                known.evaluation().with(OrchardOfRows.of(all, same)));
    }

    /** The chain over the weather as it is now. @param known null for none */
    Plan.Stored withWeather(Scope scope, Head head, Plan.Stored known, Rows all) {
        Stations.Joined joined = store.joined(scope);
        List<WeatherMapper.Station> stations = weather.stations(scope);
        Weather now = new Weather(
                joined.record(), stations.stream().anyMatch(WeatherMapper.Station::standIn), wetness(scope));
        var orchard = OrchardOfRows.of(all, now);
        return new Plan.Stored(
                head.revision(),
                head.weatherStamp(),
                all,
                stations,
                joined.borrowed(),
                known == null ? Evaluation.of(orchard) : known.evaluation().with(orchard));
    }

    private Wetness wetness(Scope scope) {
        return new Wetness(weather.wetness(scope).stream()
                .collect(Collectors.toMap(
                        wet -> Month.of(wet.month()),
                        wet -> new Wetness.OfMonth(wet.days(), wet.rainy(), wet.humid(), wet.humidity()))));
    }

    /** Keeps what the running transaction has made, once it is committed. */
    void keep(String orchard, Plan.Stored made) {
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                newest.asMap()
                        .merge(orchard, made, (known, mine) -> mine.revision() >= known.revision() ? mine : known);
            }
        });
    }
}
