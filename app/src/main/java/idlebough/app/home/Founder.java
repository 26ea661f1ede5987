package idlebough.app.home;

import idlebough.app.store.Founding;
import idlebough.app.store.Ids;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.SettingsRow;
import idlebough.app.store.SiteRow;
import idlebough.core.crop.ChillModel;
import idlebough.core.layout.RowFill;
import idlebough.core.measure.UnitSystem;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Map;
import org.springframework.dao.DuplicateKeyException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Founds an orchard with an empty site and a plan for the next planting season. */
@Service
public class Founder {
    /** Dormant season: the coming March in the north, August in the south. */
    private static final int NORTH = 3;

    private static final int SOUTH = 8;
    private static final int MIDDLE_OF_MONTH = 15;
    private static final int NOTICE_DAYS = 14;
    private static final double FOOT = 0.3048;
    private static final Map<UnitSystem, Double> MARGIN = Map.of(UnitSystem.METRIC, 3.0, UnitSystem.US, 10 * FOOT);
    private static final Map<UnitSystem, Double> ALLEY = Map.of(UnitSystem.METRIC, 2.0, UnitSystem.US, 7 * FOOT);
    private final Founding founding;
    private final Clock clock;

    Founder(Founding founding, Clock clock) {
        this.founding = founding;
        this.clock = clock;
    }

    /**
     * @param zone of the IANA list
     * @return its id
     */
    @Transactional
    public String found(String account, String name, double latitude, String zone) {
        String id = Ids.next();
        found(new Scope(id, account), name, latitude, zone, UnitSystem.METRIC);
        return id;
    }

    /**
     * @param scope the new orchard's id, and who founds it
     * @param units in which its first distances are round
     * @throws DuplicateKeyException when there is an orchard of this id
     */
    @Transactional
    public void found(Scope scope, String name, double latitude, String zone, UnitSystem units) {
        String id = scope.orchard();
        LocalDate today = LocalDate.now(clock.withZone(ZoneId.of(zone)));
        LocalDate planting = LocalDate.of(today.getYear(), latitude < 0 ? SOUTH : NORTH, MIDDLE_OF_MONTH);
        boolean late = planting.isBefore(today.plusDays(NOTICE_DAYS));
        founding.found(
                scope,
                name,
                zone,
                new SiteRow(
                        RowKey.fresh(id),
                        new SiteRow.Where(latitude, null, null, 0, null),
                        new SiteRow.Fall(null, null),
                        new SiteRow.Winds(null, null),
                        new SiteRow.Boundary("", null),
                        new SiteRow.Animals(0, 0, 0, 0, 0),
                        new SiteRow.Water(null)),
                new SettingsRow(
                        RowKey.fresh(id),
                        late ? planting.plusYears(1) : planting,
                        ChillModel.PORTIONS,
                        new SettingsRow.RowsOfTrees(
                                RowFill.Pattern.TRIANGLE, MARGIN.get(units), ALLEY.get(units), null, null),
                        new SettingsRow.Order(null, null)));
    }
}
