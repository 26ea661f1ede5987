package idlebough.app.store;

import java.time.Clock;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Makes a second orchard of one: every row and the weather, without members and history. */
@Service
public class Copying {
    private final OrchardMapper orchards;
    private final RowMapper rows;
    private final WeatherMapper weather;
    private final Plans plans;
    private final JsonMapper json;
    private final Clock clock;

    Copying(OrchardMapper orchards, RowMapper rows, WeatherMapper weather, Plans plans, JsonMapper json, Clock clock) {
        this.orchards = orchards;
        this.rows = rows;
        this.weather = weather;
        this.plans = plans;
        this.json = json;
        this.clock = clock;
    }

    /**
     * @return the id of the copy, which belongs to who asked
     * @throws NotFound when there is no such orchard for this account
     */
    @Transactional
    public String copy(Scope scope, String name) {
        Plan plan = plans.open(scope);
        Scope copy = new Scope(Ids.next(), scope.account());
        orchards.create(copy.orchard(), name, plan.head().timeZone(), clock.instant());
        orchards.found(copy.orchard(), scope.account());
        Map<String, String> ids = new HashMap<>(Map.of(scope.orchard(), copy.orchard()));
        // Its own row is there already, under the new name.
        Set<Kind> kinds = EnumSet.complementOf(EnumSet.of(Kind.ORCHARD));
        for (Kind kind : kinds) {
            plan.rows().of(kind).forEach(row -> ids.put(row.id(), Ids.next()));
        }
        for (Kind kind : kinds) {
            List<Map<String, Object>> copies = plan.rows().of(kind).stream()
                    .map(row -> renamed(kind.shape().json(row), ids))
                    .toList();
            if (!copies.isEmpty()) {
                rows.insert(copy, kind, Right.PLAN, json.writeValueAsString(copies));
            }
        }
        for (WeatherMapper.Station station : weather.stations(scope)) {
            String id = Ids.next();
            weather.copyStation(scope, copy, station.id(), id);
            weather.copyFiles(scope, copy, station.id(), id);
            weather.copyDays(scope, copy, station.id(), id);
            weather.copyBeside(scope, copy, station.id(), id);
        }
        return copy.orchard();
    }

    /** Every id that names a row of the old orchard names its copy. */
    private static Map<String, Object> renamed(Map<String, Object> fields, Map<String, String> ids) {
        Map<String, Object> renamed = new LinkedHashMap<>();
        fields.forEach((field, value) ->
                renamed.put(field, value instanceof String text && ids.containsKey(text) ? ids.get(text) : value));
        renamed.put("version", 0);
        return renamed;
    }
}
