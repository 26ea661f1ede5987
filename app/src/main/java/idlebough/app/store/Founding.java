package idlebough.app.store;

import java.time.Clock;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Stores a new orchard with its first two rows and its owner. */
@Service
public class Founding {
    private final OrchardMapper orchards;
    private final RowMapper rows;
    private final JsonMapper json;
    private final Clock clock;

    Founding(OrchardMapper orchards, RowMapper rows, JsonMapper json, Clock clock) {
        this.orchards = orchards;
        this.rows = rows;
        this.json = json;
        this.clock = clock;
    }

    /** @param scope the new orchard's id, and who will own it */
    @Transactional
    public void found(Scope scope, String name, String zone, SiteRow site, SettingsRow settings) {
        orchards.create(scope.orchard(), name, zone, clock.instant());
        orchards.found(scope.orchard(), scope.account());
        for (Row row : List.of(site, settings)) {
            Kind kind = Kind.of(row);
            rows.insert(
                    scope,
                    kind,
                    Right.PLAN,
                    json.writeValueAsString(List.of(kind.shape().json(row))));
        }
    }
}
