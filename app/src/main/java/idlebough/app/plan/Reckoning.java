package idlebough.app.plan;

import idlebough.app.daybook.Measure;
import idlebough.app.layout.Peg;
import idlebough.app.layout.Tree;
import idlebough.app.layout.WayChoice;
import idlebough.app.site.Drawn;
import idlebough.app.site.Site;
import idlebough.app.site.SiteText;
import idlebough.app.variety.Choice;
import idlebough.app.variety.OwnFigure;
import idlebough.app.winter.BloomSeen;
import idlebough.core.almanac.Almanac;
import idlebough.core.almanac.Task;
import idlebough.core.crop.Crop;
import idlebough.core.daybook.UnionCheck;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.irrigation.ReferenceEt;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.layout.LayoutRules;
import idlebough.core.layout.PlannedTree;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.planting.PlantingRules;
import idlebough.core.planting.PlantingSection;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.crop.Rootstock;
import idlebough.core.rootstock.RootstockRules;
import idlebough.core.rootstock.Rootstocks;
import idlebough.core.site.ColdAir;
import idlebough.core.site.DrainageClass;
import idlebough.core.site.Feature;
import idlebough.core.site.Footing;
import idlebough.core.site.Ground;
import idlebough.core.site.GroundRules;
import idlebough.core.site.Microclimate;
import idlebough.core.site.PitZones;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SiteRules;
import idlebough.core.site.SoilPit;
import idlebough.core.site.SunHours;
import idlebough.core.site.SunMap;
import idlebough.core.site.SunYear;
import idlebough.core.site.Texture;
import idlebough.core.variety.Varieties;
import idlebough.core.crop.Variety;
import idlebough.core.variety.VarietySprings;
import idlebough.core.variety.VarietyVerdict;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.FrostDates;
import idlebough.core.winter.WinterLedger;
import idlebough.core.winter.WinterRules;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * One plan reckoned through all ten rooms, in the order of the work: the chain. Each part is computed once, when first
 * asked for. It only hands records to the core and gathers what comes back.
 */
public final class Reckoning {
    private final Plan plan;
    private final WinterLedger winters;
    private final SunYear sunYear;
    /** Parts that the places of trees do not touch. */
    private static final Set<String> PEGLESS =
            Set.of("plot", "pits", "features", "ground", "cold", "zones", "sunMap", "crops", "climate", "verdicts");

    private final Map<String, Object> parts = new HashMap<>();

    Reckoning(Plan plan, WinterLedger winters, SunYear sunYear) {
        this.plan = plan;
        this.winters = winters;
        this.sunYear = sunYear;
    }

    /** The same orchard with pegs elsewhere, as in the middle of a drag: what does not depend on them is taken over. */
    public Reckoning moved(Plan elsewhere) {
        Reckoning moved = new Reckoning(elsewhere, winters, sunYear);
        cold();
        synchronized (this) {
            parts.forEach((name, part) -> {
                if (PEGLESS.contains(name)) {
                    moved.parts.put(name, part);
                }
            });
        }
        return moved;
    }

    public Plan plan() {
        return plan;
    }

    public WinterLedger winters() {
        return winters;
    }

    @SuppressWarnings("unchecked")
    private synchronized <T> T part(String name, Supplier<T> reckon) {
        if (!parts.containsKey(name)) {
            parts.put(name, reckon.get());
        }
        return (T) parts.get(name);
    }

    // Site

    /** Null while no boundary is drawn. */
    public Plot plot() {
        return part(
                "plot",
                () -> plan.site().corners().isBlank()
                        ? null
                        : Plot.of(SiteText.points(plan.site().corners())));
    }

    public List<SoilPit> pits() {
        return part(
                "pits",
                () -> plan.pits().stream()
                        .map(row -> SiteText.pit(row, plan.fillings()))
                        .toList());
    }

    public List<Feature> features() {
        return part("features", () -> plan.drawn().stream().map(Drawn::feature).toList());
    }

    public SunYear sunYear() {
        return sunYear;
    }

    /** The lie of the ground: through three spot heights or more, else as given, else level. */
    public Ground ground() {
        return part("ground", () -> {
            Ground measured = Ground.through(features().stream()
                    .filter(f -> f.kind() == Feature.Kind.SPOT && f.height() != null)
                    .map(f -> new Ground.Spot(f.points().get(0), f.height()))
                    .toList());
            Site site = plan.site();
            return measured != null
                    ? measured
                    : site.slope() == null || site.aspect() == null
                            ? Ground.LEVEL
                            : Ground.falling(site.slope(), site.aspect(), site.rotation());
        });
    }

    /** Null while no boundary is drawn. */
    public SunMap sunMap() {
        return part("sunMap", () -> {
            if (plot() == null) {
                return null;
            }
            // About ten thousand cells at most, and none finer than a foot is of use.
            double cell = Math.max(
                    0.3, Math.sqrt((plot().east() - plot().west()) * (plot().north() - plot().south()) / 8000));
            return SunMap.of(plot(), features(), sunYear, ground(), plan.site().rotation(), cell);
        });
    }

    public SunHours sunAt(Point place) {
        return SunHours.at(place, features(), sunYear, ground(), plan.site().rotation());
    }

    /** The sun of every tree to be planted, by its id. */
    public Map<String, SunHours> sunOfTrees() {
        return part("sunOfTrees", () -> {
            List<TreeView> toPlant = trees().stream().filter(TreeView::toPlant).toList();
            List<SunHours> hours = SunHours.at(
                    toPlant.stream().map(t -> t.planned().place()).toList(),
                    features(),
                    sunYear,
                    ground(),
                    plan.site().rotation());
            Map<String, SunHours> byTree = new LinkedHashMap<>();
            for (int i = 0; i < hours.size(); i++) {
                byTree.put(toPlant.get(i).id(), hours.get(i));
            }
            return byTree;
        });
    }

    /** Null while no boundary is drawn. */
    public ColdAir cold() {
        return part("cold", () -> plot() == null ? null : ColdAir.of(plot(), features(), ground()));
    }

    /** What makes the cold nights of a place other than the station's; nothing while no boundary is drawn. */
    public Microclimate microclimate(Point place) {
        return plot() == null
                ? new Microclimate(List.of())
                : Microclimate.at(
                        place,
                        plot(),
                        features(),
                        cold(),
                        plan.site().latitude(),
                        plan.site().rotation());
    }

    /** Null while no boundary is drawn. */
    public PitZones zones() {
        return part("zones", () -> plot() == null ? null : PitZones.of(plot(), pits(), features()));
    }

    /** The crops that matter here: those of the trees and choices. */
    public List<Crop> crops() {
        return part("crops", () -> {
            Set<Crop> crops = new LinkedHashSet<>();
            plan.choices()
                    .forEach(choice -> crops.add(variety(choice.varietyKey()).crop()));
            plan.trees().forEach(tree -> crops.add(variety(tree.varietyKey()).crop()));
            return List.copyOf(crops);
        });
    }

    /** The pit that speaks for a place: of the zone drawn round it, else the nearest. */
    public SoilPit pitFor(Point place) {
        return PitZones.pitFor(place, pits(), features());
    }

    // Winters, varieties

    /** A variety with this orchard's own figures laid over the shipped ones. */
    public Variety variety(String key) {
        Variety shipped = Varieties.of(key);
        return plan.ownFigures().stream()
                .filter(own -> own.varietyKey().equals(key))
                .findFirst()
                .map(OwnFigure::chillNeed)
                .map(shipped::withChill)
                .orElse(shipped);
    }

    /** When a variety would have bloomed in each spring of the record, and what frost would have taken. */
    public VarietySprings springs(Variety variety) {
        return springs(variety, Exposure.SCREEN);
    }

    /** The same where the nights are other than at the station. */
    public VarietySprings springs(Variety variety, Exposure exposure) {
        return part(
                "springs." + exposure + "." + variety.key(),
                () -> VarietySprings.of(
                        variety,
                        plan.weather().at(exposure),
                        plan.site().latitude(),
                        plan.bloomSeen().stream()
                                .filter(b -> b.varietyKey().equals(variety.key()))
                                .map(BloomSeen::seenOn)
                                .toList()));
    }

    /** Nights at or below a threshold, °C. */
    public FrostDates frost(double threshold) {
        return part(
                "frost." + threshold,
                () -> FrostDates.of(plan.weather(), plan.site().latitude(), threshold));
    }

    /** Every variety of the catalogue judged for this site, best first. */
    public List<VarietyVerdict> verdicts() {
        return part(
                "verdicts",
                () -> Varieties.all().stream()
                        .map(shipped -> VarietyVerdict.of(variety(shipped.key()), winters, pits()))
                        .sorted(Comparator.comparingDouble(VarietyVerdict::rank)
                                .thenComparing(verdict -> verdict.variety().label()))
                        .toList());
    }

    public VarietyVerdict verdict(String key) {
        return verdicts().stream()
                .filter(verdict -> verdict.variety().key().equals(key))
                .findFirst()
                .orElseThrow(NotFound::new);
    }

    public Rootstock stock(Choice choice) {
        return choice.rootstockKey() == null ? null : Rootstocks.find(choice.rootstockKey());
    }

    /** The pits that speak for a choice's trees; all of them while none has a place. */
    private List<SoilPit> pitsOf(Choice choice) {
        List<SoilPit> pits = trees().stream()
                .filter(tree -> choice.id().equals(tree.row().choiceId())
                        && tree.footing() == Footing.GRADE
                        && tree.pit() != null)
                .map(TreeView::pit)
                .distinct()
                .toList();
        return trees().stream().anyMatch(tree -> choice.id().equals(tree.row().choiceId())) ? pits : pits();
    }

    // Partners

    public PartnerWeb web() {
        return part("web", () -> {
            List<PartnerWeb.Flowering> flowering = new ArrayList<>();
            trees().forEach(tree -> flowering.add(new PartnerWeb.Flowering(
                    tree.id(),
                    tree.label() + " ‘" + tree.variety().name() + "’",
                    tree.variety(),
                    tree.planned().place())));
            // Chosen but not yet given a peg: taken as near to all.
            plan.choices().stream()
                    .filter(choice ->
                            plan.trees().stream().noneMatch(tree -> choice.id().equals(tree.choiceId())))
                    .forEach(choice -> flowering.add(new PartnerWeb.Flowering(
                            choice.id(),
                            "‘" + variety(choice.varietyKey()).name() + "’",
                            variety(choice.varietyKey()),
                            null)));
            return new PartnerWeb(flowering);
        });
    }

    // Layout

    /** Trees that stand or will stand, in the order of their pegs. */
    public List<TreeView> trees() {
        return part("trees", () -> {
            Map<String, Peg> pegs = plan.pegs().stream().collect(Collectors.toMap(Peg::id, peg -> peg));
            List<String> order = plan.pegs().stream().map(Peg::id).toList();
            return plan.trees().stream()
                    .filter(tree -> tree.state().stands() && pegs.containsKey(tree.pegId()))
                    .sorted(Comparator.comparingInt(tree -> order.indexOf(tree.pegId())))
                    .map(tree -> view(tree, pegs.get(tree.pegId())))
                    .toList();
        });
    }

    public TreeView tree(String id) {
        return trees().stream().filter(tree -> tree.id().equals(id)).findFirst().orElse(null);
    }

    private TreeView view(Tree row, Peg peg) {
        Variety variety = variety(row.varietyKey());
        Rootstock stock = row.rootstockKey() == null ? null : Rootstocks.find(row.rootstockKey());
        Point place = new Point(peg.x(), peg.y());
        SoilPit pit = pitFor(place);
        Footing footing = row.footing() != null ? row.footing() : Footing.GRADE;
        double age = row.plantedOn() == null
                ? 0
                : Math.max(
                        0,
                        ChronoUnit.DAYS.between(row.plantedOn(), plan.settings().plantingDate()) / 365.25);
        PlannedTree planned = new PlannedTree(row.id(), peg.label(), variety, stock, place, age);
        NurseryTree nursery =
                new NurseryTree(row.form(), row.ballDiameter(), row.ballHeight(), row.unionAboveFlare(), row.stem());
        Texture texture = pit == null ? Texture.LOAM : pit.texture();
        PlantingSection section = PlantingSection.of(new PlantingSection.Setting(
                nursery,
                stock,
                texture,
                footing,
                waysOf(row.id()),
                plan.site().stormWind(),
                plan.site().latitude()));
        boolean fast = pit != null && pit.rate() != null && pit.rate().drainageClass() == DrainageClass.DROUGHTY;
        LocalDate planting =
                row.plantedOn() != null ? row.plantedOn() : plan.settings().plantingDate();
        double[] after = climateAfter(planting);
        FirstSeason season = FirstSeason.of(new FirstSeason.Setting(
                planting, row.form() == Form.BARE ? 0 : nursery.litres(), 0.5, texture, after[0], after[1], fast));
        return new TreeView(row, peg, variety, stock, pit, footing, planned, section, season);
    }

    /** Mean temperature and reference ET of the eight weeks after a day, over all years of the record; mild guesses without one. */
    private double[] climateAfter(LocalDate day) {
        Map<MonthDay, double[]> byDay = part("climate", () -> {
            Map<MonthDay, double[]> sums = new HashMap<>();
            for (DailyExtremes extremes : plan.weather().days()) {
                double[] sum = sums.computeIfAbsent(MonthDay.from(extremes.date()), key -> new double[3]);
                sum[0] += extremes.minimum();
                sum[1] += extremes.maximum();
                sum[2]++;
            }
            return sums;
        });
        double low = 0;
        double high = 0;
        int n = 0;
        for (int i = 0; i < 56; i++) {
            double[] sum = byDay.get(MonthDay.from(day.plusDays(i)));
            if (sum != null) {
                low += sum[0] / sum[2];
                high += sum[1] / sum[2];
                n++;
            }
        }
        if (n == 0) {
            return new double[] {15, 3};
        }
        return new double[] {
            (low + high) / 2 / n,
            ReferenceEt.hargreaves(plan.site().latitude(), day.plusDays(28).getDayOfYear(), high / n, low / n)
        };
    }

    /** The schools that hold for a tree: its own over the orchard's. */
    public Map<String, String> waysOf(String treeId) {
        Map<String, String> ways = new LinkedHashMap<>();
        plan.ways().stream().filter(way -> way.treeId() == null).forEach(way -> ways.put(way.wayKey(), way.choice()));
        plan.ways().stream()
                .filter(way -> treeId != null && treeId.equals(way.treeId()))
                .map(WayChoice.class::cast)
                .forEach(way -> ways.put(way.wayKey(), way.choice()));
        return ways;
    }

    // Almanac, daybook

    public List<Task> tasks() {
        return part("tasks", () -> {
            List<TreeView> toPlant = trees().stream().filter(TreeView::toPlant).toList();
            List<Almanac.Entry> entries = toPlant.stream()
                    .map(tree -> new Almanac.Entry(
                            tree.label(),
                            tree.stock(),
                            tree.footing(),
                            tree.row().form() == Form.BARE,
                            tree.season()))
                    .toList();
            boolean limy = pits().stream()
                    .anyMatch(pit -> pit.ph() != null && crops().stream().anyMatch(crop -> pit.ph() > crop.phHigh()));
            boolean sour = pits().stream()
                    .anyMatch(pit -> pit.ph() != null && crops().stream().anyMatch(crop -> pit.ph() < crop.phLow()));
            return Almanac.of(new Almanac.Setting(
                    plan.settings().plantingDate(),
                    plan.site().latitude(),
                    limy,
                    sour,
                    pits().stream().anyMatch(pit -> pit.pan() != null),
                    entries));
        });
    }

    public List<Measure> measuresOf(String treeId) {
        return plan.measures().stream()
                .filter(measure -> measure.treeId().equals(treeId))
                .toList();
    }

    /** The first union height measured on the planting day, or null. */
    public Measure asPlanted(String treeId) {
        return measuresOf(treeId).stream()
                .filter(measure -> measure.kind() == Measure.Kind.AS_PLANTED)
                .reduce((first, last) -> last)
                .orElse(null);
    }

    /** The newest check against the settling forecast, or null. */
    public UnionCheck check(TreeView tree) {
        Measure planted = asPlanted(tree.id());
        Measure last = measuresOf(tree.id()).stream()
                .filter(measure -> measure.kind() == Measure.Kind.CHECK)
                .reduce((first, second) -> second)
                .orElse(null);
        return planted == null || last == null
                ? null
                : UnionCheck.of(
                        tree.section(), planted.measuredOn(), planted.height(), last.measuredOn(), last.height());
    }

    // Findings

    /** All findings of a room, sound ones too, worst first. */
    public List<Finding> findings(String room) {
        return part("findings." + room, () -> {
            List<Finding> found = new ArrayList<>();
            switch (room) {
                case "site" -> site(found);
                case "winter" -> {
                    if (plan.standIn()) {
                        found.add(WinterRules.standIn());
                    }
                    found.addAll(WinterRules.judge(winters));
                    Finding below =
                            WinterRules.belowNought(winters, plan.settings().chillModel());
                    if (below != null) {
                        found.add(below);
                    }
                }
                case "variety" ->
                    chosen().forEach(key -> verdict(key).findings().stream()
                            .filter(finding -> !(finding.rule().equals("variety.drainage") && onMounds(key)))
                            .forEach(found::add));
                case "pollination" -> found.addAll(web().findings());
                case "rootstock" ->
                    plan.choices()
                            .forEach(choice -> found.addAll(RootstockRules.judge(
                                    "choice:" + choice.id(),
                                    variety(choice.varietyKey()),
                                    stock(choice),
                                    pitsOf(choice))));
                case "layout" -> {
                    List<PlannedTree> planned =
                            trees().stream().map(TreeView::planned).toList();
                    found.addAll(LayoutRules.judge(plot(), planned, web()));
                    found.addAll(LayoutRules.clearances(planned, features()));
                    if (!winters.usable().isEmpty() && plot() != null) {
                        double coldest = Arrays.stream(winters.lowest()).min().orElseThrow();
                        planned.forEach(tree -> LayoutRules.coldPlace(tree, coldest, microclimate(tree.place()))
                                .ifPresent(found::add));
                    }
                }
                case "irrigation" ->
                    trees().stream()
                            .filter(TreeView::toPlant)
                            .forEach(tree -> found.addAll(tree.season().findings("tree:" + tree.id(), tree.label())));
                case "planting" -> planting(found);
                case "daybook" ->
                    trees().forEach(tree -> {
                        UnionCheck check = check(tree);
                        if (check != null && tree.section().hasUnion()) {
                            found.add(check.judge(
                                    tree.id(), tree.label(), tree.section().unionMin()));
                        }
                    });
                default -> {}
            }
            found.sort(Comparator.comparing(Finding::standing).reversed());
            return List.copyOf(found);
        });
    }

    private void site(List<Finding> found) {
        // Where trees have places each is judged by the pit that speaks for it; before that every crop by every pit.
        Map<SoilPit, Set<Crop>> asked = new LinkedHashMap<>();
        if (trees().isEmpty()) {
            pits().forEach(pit -> asked.put(pit, new LinkedHashSet<>(crops())));
        } else {
            trees().stream()
                    .filter(tree -> tree.toPlant() && tree.pit() != null && tree.footing() == Footing.GRADE)
                    .forEach(tree -> asked.computeIfAbsent(tree.pit(), pit -> new LinkedHashSet<>())
                            .add(tree.variety().crop()));
        }
        asked.forEach((pit, crops) -> found.addAll(SiteRules.judge(pit, crops)));
        if (plot() == null) {
            return;
        }
        Finding missing = GroundRules.pits(zones());
        if (missing != null) {
            found.add(missing);
        }
        for (TreeView tree : trees()) {
            if (tree.toPlant()) {
                Crop crop = tree.variety().crop();
                String subject = "tree:" + tree.id();
                found.add(GroundRules.sun(
                        subject, tree.label(), crop, sunOfTrees().get(tree.id())));
                Finding cold = GroundRules.cold(
                        subject, tree.label(), crop, tree.planned().place(), cold());
                if (cold != null) {
                    found.add(cold);
                }
            }
        }
    }

    private void planting(List<Finding> found) {
        for (TreeView tree : trees()) {
            if (tree.toPlant()) {
                found.addAll(PlantingRules.judge(tree.id(), tree.label(), tree.section()));
            } else if (tree.section().hasUnion() && asPlanted(tree.id()) != null && check(tree) == null) {
                found.add(PlantingRules.asPlanted(
                        tree.id(),
                        tree.label(),
                        tree.section(),
                        asPlanted(tree.id()).height()));
            }
        }
    }

    /** Whether every tree of a variety is set on a mound, so that the soil below no longer decides. */
    private boolean onMounds(String variety) {
        List<TreeView> of = trees().stream()
                .filter(tree -> tree.variety().key().equals(variety))
                .toList();
        return !of.isEmpty() && of.stream().allMatch(tree -> tree.footing() != Footing.GRADE);
    }

    /** Keys of the varieties chosen or planted. */
    public Set<String> chosen() {
        Set<String> keys = new LinkedHashSet<>();
        plan.choices().forEach(choice -> keys.add(choice.varietyKey()));
        plan.trees().stream().filter(tree -> tree.state().stands()).forEach(tree -> keys.add(tree.varietyKey()));
        return keys;
    }

    /** Those of a room that are not sound. */
    public List<Finding> doubts(String room) {
        return findings(room).stream().filter(finding -> !finding.isSound()).toList();
    }

    public long count(String room, Standing standing) {
        return findings(room).stream()
                .filter(finding -> finding.standing() == standing)
                .count();
    }
}
