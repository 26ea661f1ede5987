package idlebough.core.site;

import idlebough.core.judge.Lazy;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

/**
 * What follows from the ground alone, whatever trees stand on it: fall, sun, cold air, and which pit speaks where. Each
 * part is computed when it is first asked for.
 */
public final class Terrain {
    /** Cells of the sun map: about ten thousand at most, and none finer than a foot is of use. */
    private static final double MOST_CELLS = 8000;

    private static final double FINEST_CELL = 0.3;
    private final Site site;
    private final Lazy<Ground> ground = Lazy.of(this::findGround);
    private final Lazy<SunYear> sunYear;
    private final Lazy<Optional<SunMap>> sunMap = Lazy.of(this::findSunMap);
    private final Lazy<Optional<SunHours>> sunniest = Lazy.of(() -> sunMap().map(map -> sunAt(map.sunniest())));
    private final Lazy<Optional<ColdAir>> cold = Lazy.of(this::findCold);
    private final Lazy<Optional<PitZones>> zones = Lazy.of(this::findZones);
    private final Lazy<FeatureIndex> features;
    private final Lazy<List<Zone>> drawnZones = Lazy.of(this::findDrawnZones);

    /** Ground that was drawn round a pit. */
    private record Zone(PreparedGeometry ground, SoilPit pit) {}

    private Terrain(Site site, Terrain before) {
        this.site = site;
        Lazy<SunYear> known = before != null
                        && before.site.location().latitude() == site.location().latitude()
                ? before.sunYear
                : null;
        sunYear =
                known != null ? known : Lazy.of(() -> SunYear.of(site.location().latitude()));
        features = before != null && before.site.features().equals(site.features())
                ? before.features
                : Lazy.of(() -> new FeatureIndex(site.features()));
    }

    /** @param before whose parts are taken over where they depend on nothing that changed; null for none */
    static Terrain of(Site site, Terrain before) {
        return before != null && before.site.equals(site) ? before : new Terrain(site, before);
    }

    public Site site() {
        return site;
    }

    /** The lie of the ground: through three spot heights or more, else as told, else level. */
    public Ground ground() {
        return ground.get();
    }

    private Ground findGround() {
        Optional<Ground> measured = Ground.through(site.features().stream()
                .filter(f -> f.kind() == Feature.Kind.SPOT && f.size().height().isPresent())
                .map(f -> new Ground.Spot(f.points().get(0), f.size().height().orElseThrow()))
                .toList());
        return measured.or(() -> site.fall()
                        .map(told -> Ground.falling(
                                told.slope(), told.aspect(), site.location().rotation())))
                .orElse(Ground.LEVEL);
    }

    public SunYear sunYear() {
        return sunYear.get();
    }

    /** Empty while no boundary is drawn. */
    public Optional<SunMap> sunMap() {
        return sunMap.get();
    }

    private Optional<SunMap> findSunMap() {
        return sunMap(site.features());
    }

    /** With other things that cast shade than those drawn; empty while no boundary is drawn. */
    public Optional<SunMap> sunMap(List<Feature> casting) {
        return site.plot().map(plot -> {
            double box = (plot.east() - plot.west()) * (plot.north() - plot.south());
            double cell = Math.max(FINEST_CELL, Math.sqrt(box / MOST_CELLS));
            return SunMap.of(plot, casting, sunYear(), ground(), site.location().rotation(), cell);
        });
    }

    /** The sun of the sunniest place of the plot; empty while no boundary is drawn. */
    public Optional<SunHours> sunniest() {
        return sunniest.get();
    }

    public SunHours sunAt(Point place) {
        return sunAt(List.of(place)).get(0);
    }

    /** Of many places at once, in their order; each place's hours are the same as if it were asked alone. */
    public List<SunHours> sunAt(List<Point> places) {
        return sunAt(places, site.features());
    }

    /** With other things that cast shade than those drawn. */
    public List<SunHours> sunAt(List<Point> places, List<Feature> casting) {
        return SunHours.at(places, casting, sunYear(), ground(), site.location().rotation());
    }

    /** Empty while no boundary is drawn. */
    public Optional<ColdAir> cold() {
        return cold.get();
    }

    private Optional<ColdAir> findCold() {
        return site.plot().map(plot -> ColdAir.of(plot, site.features(), ground()));
    }

    /** What makes the cold nights of a place other than the station's; nothing while no boundary is drawn. */
    public Microclimate microclimate(Point place) {
        return site.plot()
                .map(plot -> Microclimate.at(
                        place,
                        new Microclimate.Surroundings(
                                plot,
                                features.get().near(place, Microclimate.reach(features.get())).stream()
                                        .map(FeatureIndex.Placed::feature)
                                        .toList(),
                                cold().orElseThrow()),
                        site.location()))
                .orElse(Microclimate.NONE);
    }

    public FeatureIndex features() {
        return features.get();
    }

    /** Empty while no boundary is drawn. */
    public Optional<PitZones> zones() {
        return zones.get();
    }

    private Optional<PitZones> findZones() {
        return site.plot().map(plot -> PitZones.of(plot, site.pits(), site.features()));
    }

    /** The pit that speaks for a place: of a zone drawn round it, else the nearest; empty without pits. */
    public Optional<SoilPit> pitFor(Point place) {
        return drawnZones.get().stream()
                .filter(zone -> zone.ground().covers(Shapes.point(place)))
                .map(Zone::pit)
                .findFirst()
                .or(() -> site.pits().stream()
                        .min(Comparator.comparingDouble(pit -> pit.place().distance(place))));
    }

    private List<Zone> findDrawnZones() {
        Map<String, SoilPit> pits = site.pits().stream().collect(Collectors.toMap(SoilPit::id, Function.identity()));
        return site.features().stream()
                .filter(feature -> feature.kind() == Feature.Kind.ZONE
                        && feature.about().filter(pits::containsKey).isPresent())
                .map(feature -> new Zone(
                        PreparedGeometryFactory.prepare(feature.geometry()),
                        pits.get(feature.about().orElseThrow())))
                .toList();
    }
}
