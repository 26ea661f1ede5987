package idlebough.core.site;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.PerTree;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** What this ground is, for one orchard: the terrain, the pits, and what they mean for the trees on it. */
public final class SiteStage implements Stage {
    private final Map<Soil, List<Finding>> soils = new ConcurrentHashMap<>();
    private final Input input;
    private final Terrain terrain;
    private final PerTree<Point, Optional<SoilPit>> pits;
    private final PerTree<Point, SunHours> sun;
    private final PerTree<Stand, List<Finding>> ofTrees;
    private final Lazy<Findings> findings = Lazy.of(this::judge);
    private final Lazy<Set<Crop>> crops = Lazy.of(this::findCrops);

    /**
     * What this stage depends on.
     *
     * @param stands every tree that stands or will stand
     * @param wished crops of the choices
     */
    public record Input(Site site, List<Stand> stands, Set<Crop> wished) {}

    private SiteStage(Input input, SiteStage before) {
        this.input = input;
        terrain = Terrain.of(input.site(), before == null ? null : before.terrain);
        SiteStage same = before != null && before.terrain == terrain ? before : null;
        Map<String, Point> places = new LinkedHashMap<>(2 * input.stands().size());
        Map<String, Point> toPlant = new LinkedHashMap<>(2 * input.stands().size());
        Map<String, Stand> judged = new LinkedHashMap<>(2 * input.stands().size());
        for (Stand stand : input.stands()) {
            places.put(stand.id(), stand.place());
            if (stand.toPlant()) {
                toPlant.put(stand.id(), stand.place());
                judged.put(stand.id(), stand);
            }
        }
        pits = PerTree.of(places, terrain::pitFor, same == null ? null : same.pits);
        sun = PerTree.ofAll(toPlant, terrain::sunAt, same == null ? null : same.sun);
        ofTrees = PerTree.of(judged, this::judge, same == null ? null : same.ofTrees);
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static SiteStage of(Input input, SiteStage before) {
        return before != null && before.input.equals(input) ? before : new SiteStage(input, before);
    }

    @Override
    public Room room() {
        return Room.SITE;
    }

    @Override
    public boolean begun() {
        return input.site().plot().isPresent();
    }

    public Site site() {
        return input.site();
    }

    public Terrain terrain() {
        return terrain;
    }

    public Optional<Plot> plot() {
        return input.site().plot();
    }

    public List<SoilPit> pits() {
        return input.site().pits();
    }

    /** The pit that speaks for a tree's place; empty without pits. */
    public Optional<SoilPit> pitOf(String tree) {
        return pits.of(tree);
    }

    /** Sun at the place of a tree that has still to be planted. */
    public SunHours sunOf(String tree) {
        return sun.of(tree);
    }

    /** The crops that matter here: those wished for and those that stand. */
    public Set<Crop> crops() {
        return crops.get();
    }

    private Set<Crop> findCrops() {
        Set<Crop> crops = new LinkedHashSet<>(input.wished());
        input.stands().forEach(stand -> crops.add(stand.crop()));
        return crops;
    }

    /** What the pH of the pits asks for, for the crops here. */
    public SoilCare soilCare() {
        boolean sulphur = false;
        boolean limy = false;
        boolean lime = false;
        for (SoilPit pit : pits()) {
            for (Crop crop : pit.ph().isEmpty() ? Set.<Crop>of() : crops()) {
                double ph = pit.ph().orElseThrow();
                boolean above = ph > crop.phHigh();
                boolean hopeless = above
                        && (pit.analysis().fizzes()
                                || Amendment.of(pit.texture(), ph, crop.phHigh())
                                        .gramsPerSquareMetre()
                                        .isEmpty());
                sulphur |= above && !hopeless;
                limy |= hopeless;
                lime |= ph < crop.phLow();
            }
        }
        boolean tested =
                !pits().isEmpty() && pits().stream().allMatch(pit -> pit.rate().isPresent());
        return new SoilCare(sulphur, limy, lime, hasPan(), tested);
    }

    /**
     * What is done to the soil long before planting.
     *
     * @param sulphur whether some pit is too alkaline and sulphur brings it there
     * @param limy whether some pit is too alkaline and it does not: free lime, or beyond the tables
     * @param lime whether some pit is too acid
     * @param rip whether a pan was met
     * @param tested whether pits are dug and the drainage of each is known
     */
    public record SoilCare(boolean sulphur, boolean limy, boolean lime, boolean rip, boolean tested) {}

    private boolean hasPan() {
        return pits().stream().anyMatch(pit -> pit.pan().isPresent());
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        List<List<Finding>> found = new ArrayList<>();
        asked().forEach((pit, crops) -> {
            found.add(SiteRules.judge(pit, crops));
            if (input.stands().isEmpty()) {
                found.add(crops.keySet().stream()
                        .filter(crop -> pit.rate().isPresent())
                        .map(crop -> SiteRules.drainage(pit, crop))
                        .toList());
            }
        });
        terrain.zones().flatMap(GroundRules::pits).ifPresent(missing -> found.add(List.of(missing)));
        if (begun()) {
            found.addAll(ofTrees.all().values());
        }
        return Findings.of(found);
    }

    /**
     * Where trees have places each pit is asked for the crops that will stand on it, on the lowest footing of each;
     * before that every pit for every crop.
     */
    private Map<SoilPit, Map<Crop, Footing>> asked() {
        Map<SoilPit, Map<Crop, Footing>> asked = new LinkedHashMap<>();
        if (input.stands().isEmpty()) {
            Map<Crop, Footing> all = new LinkedHashMap<>();
            crops().forEach(crop -> all.put(crop, Footing.GRADE));
            pits().forEach(pit -> asked.put(pit, all));
            return asked;
        }
        for (Stand stand : input.stands()) {
            if (stand.toPlant()) {
                pitOf(stand.id())
                        .ifPresent(pit -> asked.computeIfAbsent(pit, same -> new LinkedHashMap<>())
                                .merge(stand.crop(), stand.footing(), (a, b) -> a.compareTo(b) <= 0 ? a : b));
            }
        }
        return asked;
    }

    /** What the soil of its place says to one tree; empty without a pit. */
    public List<Finding> soilOf(Stand stand) {
        return pitOf(stand.id())
                .map(pit -> soils.computeIfAbsent(
                        new Soil(pit.id(), stand.crop().key(), stand.footing()),
                        same -> SiteRules.judge(pit, Map.of(stand.crop(), stand.footing()))))
                .orElse(List.of());
    }

    /** What the findings of a tree's soil depend on. */
    private record Soil(String pit, String crop, Footing footing) {}

    private List<Finding> judge(Stand stand) {
        List<Finding> found = new ArrayList<>();
        found.add(GroundRules.sun(stand.subject(), stand.label(), stand.variety(), sunOf(stand.id())));
        terrain.cold()
                .flatMap(cold -> GroundRules.cold(stand.subject(), stand.label(), stand.crop(), stand.place(), cold))
                .ifPresent(found::add);
        return found;
    }

    @Override
    public List<KeyFigure> keyFigures() {
        return pits().stream()
                .map(pit -> KeyFigure.of(
                        "site.drains",
                        Subject.pit(pit.id()),
                        new Amount(
                                pit.rate()
                                        .map(DrainageRate::normalisedMmPerHour)
                                        .orElse(null),
                                Quantity.DRAINAGE)))
                .toList();
    }
}
