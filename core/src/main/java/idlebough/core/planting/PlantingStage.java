package idlebough.core.planting;

import idlebough.core.crop.Form;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.PerTree;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Ways;
import idlebough.core.measure.Quantity;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.Point;
import idlebough.core.site.Shelter;
import idlebough.core.site.Site;
import idlebough.core.site.SiteStage;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Stand;
import idlebough.core.site.Texture;
import idlebough.core.variety.VarietyStage;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** How wide, how deep and how high each tree is planted, for one orchard. */
public final class PlantingStage implements Stage {
    private static final double PERCENT = 100;
    private static final double HALF_TURN = 180;
    private final List<Stand> stands;
    private final SiteStage site;
    private final Map<String, Judged> judged;
    private final PerTree<PlantingSection.Setting, PlantingSection> sections;
    private final PerTree<Judged, List<Finding>> ofTrees;
    private final PerTree<Judged, List<KeyFigure>> figures;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /**
     * All that one tree's findings depend on.
     *
     * @param asPlanted union above the board on the planting day, m; empty when it was not measured
     * @param checked whether it was measured again since, so that the daybook judges it
     * @param season of a tree to be planted; empty for one that stands
     */
    private record Judged(
            Stand stand,
            PlantingSection.Setting setting,
            Optional<Double> asPlanted,
            boolean checked,
            Optional<Season> season) {}

    /** When a tree is planted, and when it may be. */
    private record Season(LocalDate day, Optional<PlantingSeason> suits, Optional<Dormancy> dormancy) {}

    private PlantingStage(List<Stand> stands, SiteStage site, Map<String, Judged> judged, PlantingStage before) {
        this.stands = stands;
        this.site = site;
        this.judged = judged;
        Map<String, PlantingSection.Setting> settings = new LinkedHashMap<>(2 * judged.size());
        judged.forEach((id, each) -> settings.put(id, each.setting()));
        sections = PerTree.of(settings, PlantingSection::of, before == null ? null : before.sections);
        ofTrees = PerTree.of(judged, this::judge, before == null ? null : before.ofTrees);
        figures = PerTree.of(judged, this::figures, before == null ? null : before.figures);
    }

    /**
     * What this stage depends on beside the trees.
     *
     * @param day on which the planned trees go in
     * @param unions what was measured of their unions
     */
    public record Input(
            SiteStage site, WinterStage winters, VarietyStage varieties, LocalDate day, Ways ways, Unions unions) {
        private Dormancy dormancy(Variety variety) {
            return Dormancy.of(
                    varieties.springs(variety, Exposure.SCREEN),
                    site.site().location().latitude() < 0);
        }
    }

    private static boolean needsDormancy(Stand stand) {
        return stand.toPlant()
                && stand.tree().nursery().form() == Form.BARE
                && !stand.crop().evergreen();
    }

    /**
     * @param stands every tree that stands or will stand
     * @param before whose answers are taken over where nothing that they depend on changed; null for none
     */
    public static PlantingStage of(List<Stand> stands, Input input, PlantingStage before) {
        SiteStage site = input.site();
        Ways ways = input.ways();
        Unions unions = input.unions();
        Map<String, Season> seasons = new HashMap<>();
        Site ground = site.site();
        Optional<Shelter> shelter = ground.winds()
                .storm()
                .map(from ->
                        new Shelter(ground.features(), from, ground.location().rotation()));
        double downhill =
                (site.terrain().ground().aspect() + ground.location().rotation() + 2 * HALF_TURN) % (2 * HALF_TURN);
        List<Point> views = ground.features().stream()
                .filter(feature -> feature.kind() == Feature.Kind.VIEW)
                .map(feature -> feature.points().get(0))
                .toList();
        double slope = site.terrain().ground().slope() / PERCENT;
        // What is around a place is looked for again only where the place or the ground changed.
        Function<Stand, PlantingSection.Around> around = stand -> Optional.ofNullable(before)
                .filter(same -> same.site.site().equals(ground))
                .map(same -> same.judged.get(stand.id()))
                .filter(same -> same.stand().place().equals(stand.place()))
                .map(same -> same.setting().around())
                .orElseGet(() -> new PlantingSection.Around(
                        ground.winds().storm(),
                        shelter.map(lee -> lee.at(stand.place())).orElse(1.0),
                        view(views, stand.place(), ground),
                        downhill));
        Map<String, PlantingSection.Soil> soils = new HashMap<>();
        Map<String, Judged> judged = new LinkedHashMap<>(2 * stands.size());
        for (Stand stand : stands) {
            String id = stand.id();
            Optional<SoilPit> pit = site.pitOf(id);
            judged.put(
                    id,
                    PerTree.earlier(
                            before == null ? null : before.judged.get(id),
                            new Judged(
                                    stand,
                                    new PlantingSection.Setting(
                                            stand.tree().nursery(),
                                            stand.stock(),
                                            soils.computeIfAbsent(
                                                    pit.map(SoilPit::id).orElse(""), same -> soil(pit, slope)),
                                            stand.tree().ground(),
                                            ways.of(id, stand.crop().key()),
                                            around.apply(stand),
                                            ground.location().latitude(),
                                            new PlantingSection.Grown(
                                                    stand.crop().key(),
                                                    TreeSize.of(stand.variety(), stand.stock())
                                                            .spread())),
                                    unions.asPlanted(id).map(UnionMeasure::height),
                                    unions.check(id).isPresent(),
                                    stand.toPlant() ? Optional.of(season(stand, input, seasons)) : Optional.empty())));
        }
        return before != null && before.judged.equals(judged)
                ? before
                : new PlantingStage(stands, site, judged, before);
    }

    private static Season season(Stand stand, Input input, Map<String, Season> known) {
        Map<String, String> ways = input.ways().of(stand.id(), stand.crop().key());
        Form form = stand.tree().nursery().form();
        String like = stand.variety().key() + " " + form
                + Stream.of(PlantingWays.POTS, PlantingWays.CITRUS, PlantingWays.AVOCADO)
                        .map(way -> ways.get(way.key()))
                        .toList();
        return known.computeIfAbsent(like, same -> {
            Optional<Dormancy> dormancy =
                    needsDormancy(stand) ? Optional.of(input.dormancy(stand.variety())) : Optional.empty();
            return new Season(
                    input.day(), PlantingSeason.of(stand.crop(), form, input.winters(), dormancy, ways), dormancy);
        });
    }

    /** The bearing of the nearest view point, true, degrees. */
    private static Optional<Double> view(List<Point> views, Point place, Site site) {
        return views.stream()
                .min(Comparator.comparingDouble(place::distance))
                .map(at -> (Math.toDegrees(Math.atan2(at.x() - place.x(), at.y() - place.y()))
                                + site.location().rotation()
                                + 2 * HALF_TURN)
                        % (2 * HALF_TURN));
    }

    /** When a tree may go in; empty where no record tells, and for one that stands. */
    public Optional<PlantingSeason> seasonOf(String tree) {
        return judged.get(tree).season().flatMap(Season::suits);
    }

    /** Shade where its way says so, or where it goes in out of season. */
    public Optional<Screen> screenOf(String tree) {
        PlantingSection section = sectionOf(tree);
        return section.screen()
                .or(() -> late(tree) > PlantingSteps.LATE
                        ? Optional.of(Screen.of(section.setting().tree().height()))
                        : Optional.empty());
    }

    /** Days by which a planned tree goes in outside its season. */
    private long late(String tree) {
        return judged.get(tree)
                .season()
                .flatMap(season -> season.suits().map(suits -> suits.outside(season.day())))
                .orElse(0L);
    }

    /** What is done with a tree on the day, in order. @throws IllegalArgumentException when there is no such tree */
    public List<Phrase> stepsOf(String tree) {
        return PlantingSteps.of(sectionOf(tree), judged.get(tree).season().map(Season::day), late(tree));
    }

    private static PlantingSection.Soil soil(Optional<SoilPit> pit, double slope) {
        return pit.map(known -> PlantingSection.Soil.of(known, slope))
                .orElse(new PlantingSection.Soil(Texture.LOAM, false, slope));
    }

    @Override
    public Room room() {
        return Room.PLANTING;
    }

    @Override
    public boolean begun() {
        return !stands.isEmpty();
    }

    /** As it is planned. @throws IllegalArgumentException when there is no such tree */
    public PlantingSection sectionOf(String tree) {
        return sections.of(tree);
    }

    /**
     * The section as the tree stands in the ground where that was measured, else as it is planned.
     *
     * @throws IllegalArgumentException when there is no such tree
     */
    public PlantingSection shownOf(String tree) {
        PlantingSection planned = sectionOf(tree);
        return judged.get(tree).asPlanted().map(planned::asMeasured).orElse(planned);
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        return Findings.of(ofTrees.all().values());
    }

    private List<Finding> judge(Judged each) {
        Stand stand = each.stand();
        PlantingSection section = sectionOf(stand.id());
        if (stand.toPlant()) {
            List<Finding> found = new ArrayList<>(PlantingRules.judge(stand.id(), stand.label(), section));
            Season season = each.season().orElseThrow();
            season.suits()
                    .ifPresent(suits -> found.addAll(
                            PlantingRules.season(stand.id(), stand.label(), suits, season.dormancy(), season.day())));
            found.addAll(PlantingRules.arrival(
                    stand.id(), stand.label(), stand.tree().nursery(), season.day()));
            return found;
        }
        return !each.checked()
                ? each.asPlanted()
                        .map(height -> PlantingRules.asPlanted(stand.id(), stand.label(), section, height))
                        .orElse(List.of())
                : List.of();
    }

    @Override
    public List<KeyFigure> keyFigures() {
        List<KeyFigure> all = new ArrayList<>();
        stands.stream().filter(Stand::toPlant).forEach(stand -> all.addAll(figures.of(stand.id())));
        return all;
    }

    private List<KeyFigure> figures(Judged each) {
        Stand stand = each.stand();
        PlantingSection section = sectionOf(stand.id());
        List<KeyFigure> own = new ArrayList<>();
        if (section.hasUnion()) {
            own.add(KeyFigure.of(
                    "planting.union", stand.subject(), Amount.of(section.unionToday(), Quantity.FINE_LENGTH)));
        }
        own.add(KeyFigure.of("planting.width", stand.subject(), Amount.cm(section.width())));
        own.add(KeyFigure.of("planting.depth", stand.subject(), Amount.cm(section.depth())));
        own.add(KeyFigure.of(
                "planting.mound", stand.subject(), Amount.cm(stand.footing().height())));
        own.add(KeyFigure.of("planting.mulch", stand.subject(), Amount.litres(section.mulchLitres())));
        own.add(KeyFigure.of("planting.compost", stand.subject(), Amount.litres(section.compost())));
        return List.copyOf(own);
    }
}
