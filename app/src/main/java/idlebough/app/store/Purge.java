package idlebough.app.store;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;

/** Deletes for good, each orchard in one transaction. */
@Service
public class Purge {
    /** For so long an orchard that was taken away can be had back. */
    public static final Duration KEPT = Duration.ofDays(30);

    private static final List<String> OF_SETS = List.of("change_entry", "figure_moved", "moved");
    private static final List<String> OF_STATIONS =
            List.of("weather_beside", "weather_day", "weather_reading", "weather_file");
    /** Those that refer to others first. */
    private static final List<String> OF_ORCHARD = List.of(
            "weather_load",
            "union_measure",
            "note",
            "drainage_test",
            "bloom_seen",
            "task_done",
            "feature",
            "tree",
            "peg",
            "soil_pit",
            "variety_choice",
            "variety_own",
            "variety_pin",
            "peg_check",
            "arrival",
            "own_entry",
            "way_choice",
            "plan",
            "site",
            "station",
            "change_set",
            "membership");

    private final PurgeMapper rows;
    private final TransactionTemplate transaction;

    Purge(PurgeMapper rows, TransactionTemplate transaction) {
        this.rows = rows;
        this.transaction = transaction;
    }

    /** @return how many orchards are deleted */
    public int takenAwayBefore(Instant at) {
        List<String> gone = rows.takenAwayBefore(at);
        gone.forEach(orchard -> transaction.executeWithoutResult(begun -> orchard(orchard)));
        return gone.size();
    }

    private void orchard(String orchard) {
        OF_SETS.forEach(table -> rows.ofSets(table, orchard));
        OF_STATIONS.forEach(table -> rows.ofStations(table, orchard));
        OF_ORCHARD.forEach(table -> rows.ofOrchard(table, orchard));
        rows.orchard(orchard);
    }

    /** An account with all orchards that it owns; its name leaves the histories of others. */
    public void account(String account) {
        transaction.executeWithoutResult(begun -> {
            rows.ownedBy(account).forEach(this::orchard);
            rows.loads(account);
            rows.memberships(account);
            rows.forget(account);
        });
    }
}
