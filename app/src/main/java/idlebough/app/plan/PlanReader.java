package idlebough.app.plan;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.app.daybook.MeasureMapper;
import idlebough.app.daybook.NoteMapper;
import idlebough.app.layout.PegMapper;
import idlebough.app.layout.PlanMapper;
import idlebough.app.layout.TreeMapper;
import idlebough.app.layout.WayMapper;
import idlebough.app.site.FeatureMapper;
import idlebough.app.site.FillingMapper;
import idlebough.app.site.PitMapper;
import idlebough.app.site.Site;
import idlebough.app.site.SiteMapper;
import idlebough.app.variety.ChoiceMapper;
import idlebough.app.variety.OwnFigureMapper;
import idlebough.app.winter.BloomSeenMapper;
import idlebough.app.winter.WeatherMapper;
import idlebough.app.winter.WeatherService;
import idlebough.core.site.SunYear;
import idlebough.core.winter.Stations;
import idlebough.core.winter.WinterLedger;
import java.util.Objects;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Loads a plan and reckons it. Membership is asked of the database on every call; what is kept between calls is keyed by
 * the orchard's revision, so it can never be stale.
 */
@Service
public class PlanReader {
    private final OrchardMapper orchards;
    private final SiteMapper sites;
    private final PlanMapper plans;
    private final PitMapper pits;
    private final FillingMapper fillings;
    private final FeatureMapper features;
    private final ChoiceMapper choices;
    private final OwnFigureMapper ownFigures;
    private final BloomSeenMapper bloomSeen;
    private final WayMapper ways;
    private final PegMapper pegs;
    private final TreeMapper trees;
    private final MeasureMapper measures;
    private final NoteMapper notes;
    private final WeatherMapper weather;
    private final WeatherService service;
    private final Cache<String, Reckoning> reckonings =
            Caffeine.newBuilder().maximumSize(200).build();
    private final Cache<String, Stations.Joined> records =
            Caffeine.newBuilder().maximumSize(50).build();
    private final Cache<Double, SunYear> suns =
            Caffeine.newBuilder().maximumSize(50).build();
    private final Cache<String, WinterLedger> ledgers =
            Caffeine.newBuilder().maximumSize(50).build();

    PlanReader(
            OrchardMapper orchards,
            SiteMapper sites,
            PlanMapper plans,
            PitMapper pits,
            FillingMapper fillings,
            FeatureMapper features,
            ChoiceMapper choices,
            OwnFigureMapper ownFigures,
            BloomSeenMapper bloomSeen,
            WayMapper ways,
            PegMapper pegs,
            TreeMapper trees,
            MeasureMapper measures,
            NoteMapper notes,
            WeatherMapper weather,
            WeatherService service) {
        this.service = service;
        this.orchards = orchards;
        this.sites = sites;
        this.plans = plans;
        this.pits = pits;
        this.fillings = fillings;
        this.features = features;
        this.choices = choices;
        this.ownFigures = ownFigures;
        this.bloomSeen = bloomSeen;
        this.ways = ways;
        this.pegs = pegs;
        this.trees = trees;
        this.measures = measures;
        this.notes = notes;
        this.weather = weather;
    }

    /** @throws NotFound when there is no such orchard for this account, whoever else may have it */
    @Transactional(readOnly = true)
    public Reckoning reckon(Scope scope) {
        Orchard orchard = orchards.find(scope);
        if (orchard == null) {
            throw new NotFound();
        }
        String revision = orchard.id() + "/" + orchard.revision() + "/" + orchard.weatherStamp() + "/" + orchard.role()
                + "/" + orchard.name();
        Reckoning known = reckonings.getIfPresent(revision);
        if (known == null) {
            Stations.Joined record = records.get(weatherKey(orchard), key -> service.joined(scope));
            known = reckon(load(scope, orchard, record));
            reckonings.put(revision, known);
        }
        return known;
    }

    /** For a plan that is not stored, such as the middle of a drag. */
    public Reckoning reckon(Plan plan) {
        return new Reckoning(plan, ledgers.get(ledgerKey(plan), key -> ledger(plan)), sun(plan));
    }

    /**
     * As it stands inside the running transaction. Reads the caches but puts nothing into them: what is not committed may
     * yet be rolled back, and its stamps be given again.
     */
    Reckoning fresh(Scope scope) {
        Orchard orchard = Objects.requireNonNull(orchards.find(scope));
        Stations.Joined record = records.getIfPresent(weatherKey(orchard));
        Plan plan = load(scope, orchard, record == null ? service.joined(scope) : record);
        WinterLedger ledger = ledgers.getIfPresent(ledgerKey(plan));
        return new Reckoning(plan, ledger == null ? ledger(plan) : ledger, sun(plan));
    }

    /** The sun depends on nothing but the latitude. */
    private SunYear sun(Plan plan) {
        return suns.get(plan.site().latitude(), SunYear::of);
    }

    private static String weatherKey(Orchard orchard) {
        return orchard.id() + "/" + orchard.weatherStamp();
    }

    private static WinterLedger ledger(Plan plan) {
        return WinterLedger.of(plan.weather(), plan.site().latitude(), plan.counting());
    }

    private static String ledgerKey(Plan plan) {
        return weatherKey(plan.orchard()) + "/" + plan.site().latitude() + "/" + plan.counting();
    }

    private Plan load(Scope scope, Orchard orchard, Stations.Joined joined) {
        Site site = sites.all(scope).get(0);
        return new Plan(
                orchard,
                site,
                plans.all(scope).get(0),
                pits.all(scope),
                fillings.all(scope),
                features.all(scope),
                choices.all(scope),
                ownFigures.all(scope),
                bloomSeen.all(scope),
                ways.all(scope),
                pegs.all(scope),
                trees.all(scope),
                measures.all(scope),
                notes.all(scope),
                joined.record(),
                weather.stations(scope),
                joined.lent());
    }
}
