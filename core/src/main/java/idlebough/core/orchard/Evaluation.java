package idlebough.core.orchard;

import idlebough.core.almanac.AlmanacStage;
import idlebough.core.almanac.Gates;
import idlebough.core.crop.Crop;
import idlebough.core.daybook.DaybookStage;
import idlebough.core.irrigation.IrrigationStage;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Standing;
import idlebough.core.layout.LayoutStage;
import idlebough.core.planting.PlantingStage;
import idlebough.core.planting.PlantingWays;
import idlebough.core.pollination.PollinationStage;
import idlebough.core.rootstock.RootstockStage;
import idlebough.core.rootstock.TreeSizes;
import idlebough.core.site.SiteStage;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.variety.VarietyStage;
import idlebough.core.winter.WinterStage;
import idlebough.core.winter.WinterWays;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/**
 * One orchard through all ten stages, in the order of the work: the chain. Each stage is made of its own input and the
 * stages before it; what it answers is computed when it is first asked for, once.
 *
 * <p>{@link #with} keeps every stage whose inputs did not change, and inside a stage every tree whose inputs did not,
 * so
 * that a drag in two thousand trees and a what-if are cheap. An evaluation never holds on to an earlier one.
 * Thread-safe.
 */
public final class Evaluation {
    private final Orchard orchard;
    private final Map<String, Stand> stands = new LinkedHashMap<>();
    private final SiteStage site;
    private final WinterStage winters;
    private final VarietyStage varieties;
    private final PollinationStage partners;
    private final Lazy<RootstockStage> rootstocks;
    private final LayoutStage layout;
    private final Lazy<IrrigationStage> water;
    private final Lazy<PlantingStage> planting;
    private final Lazy<AlmanacStage> almanac;
    private final Lazy<DaybookStage> daybook;

    private Evaluation(Orchard orchard, Optional<Evaluation> before) {
        this.orchard = orchard;
        List<Stand> trees = stands(before);
        LocalDate day = orchard.settings().planting();
        site = SiteStage.of(
                new SiteStage.Input(orchard.site(), trees, wishedCrops()),
                before.map(e -> e.site).orElse(null));
        winters = WinterStage.of(
                new WinterStage.Input(
                        orchard.weather(),
                        orchard.site().location().latitude(),
                        orchard.settings().model(),
                        orchard.ways().of(WinterWays.UTAH).value() == 1),
                before.map(e -> e.winters).orElse(null));
        varieties = VarietyStage.of(
                new VarietyStage.Input(
                        orchard.catalogue(),
                        orchard.choices(),
                        trees,
                        orchard.observations().blooms(),
                        site,
                        winters),
                before.map(e -> e.varieties).orElse(null));
        partners = PollinationStage.of(
                trees,
                orchard.site().features(),
                orchard.site().plot(),
                placedChoices(),
                varieties,
                before.map(e -> e.partners).orElse(null));
        RootstockStage.Input stocks =
                new RootstockStage.Input(orchard.catalogue(), orchard.choices(), trees, site, winters);
        rootstocks = since(before, e -> e.rootstocks, then -> RootstockStage.of(stocks, then));
        layout = LayoutStage.of(
                new LayoutStage.Trees(
                        trees,
                        TreeSizes.of(trees, orchard.choices(), site),
                        day,
                        orchard.settings().rows(),
                        orchard.observations().pegs()),
                site,
                winters,
                partners,
                before.map(e -> e.layout).orElse(null));
        water = since(
                before, e -> e.water, then -> IrrigationStage.of(trees, day, site, winters, PlantingWays.MULCH, then));
        PlantingStage.Input soil = new PlantingStage.Input(
                site,
                winters,
                varieties,
                day,
                orchard.ways(),
                orchard.observations().unions());
        planting = since(before, e -> e.planting, then -> PlantingStage.of(trees, soil, then));
        almanac = since(
                before,
                e -> e.almanac,
                then -> AlmanacStage.of(
                        new AlmanacStage.Input(
                                trees,
                                Gates.of(orchard.settings().order(), day),
                                orchard.observations().done(),
                                site,
                                winters,
                                varieties,
                                water.get(),
                                planting.get(),
                                orchard.observations().unions()),
                        then));
        daybook = since(
                before,
                e -> e.daybook,
                then -> DaybookStage.of(
                        new DaybookStage.Input(
                                trees,
                                planting.get(),
                                orchard.observations().unions(),
                                orchard.observations().notes()),
                        then));
    }

    /** A stage that is made when it is first asked for, over what the one before it had found by now. */
    private static <S> Lazy<S> since(
            Optional<Evaluation> before, Function<Evaluation, Lazy<S>> stage, UnaryOperator<S> make) {
        S then = before.flatMap(e -> stage.apply(e).ifKnown()).orElse(null);
        return Lazy.of(() -> make.apply(then));
    }

    public static Evaluation of(Orchard orchard) {
        return new Evaluation(orchard, Optional.empty());
    }

    /** The same chain over an orchard that differs in parts: what did not change is taken over. */
    public Evaluation with(Orchard changed) {
        return changed.equals(orchard) ? this : new Evaluation(changed, Optional.of(this));
    }

    private List<Stand> stands(Optional<Evaluation> before) {
        boolean sameCatalogue = before.map(e -> e.orchard.catalogue().equals(orchard.catalogue()))
                .orElse(false);
        for (Tree tree : orchard.trees()) {
            if (tree.life().state().stands()) {
                Stand then = sameCatalogue ? before.orElseThrow().stands.get(tree.id()) : null;
                stands.put(
                        tree.id(),
                        then != null && then.tree().equals(tree) ? then : Stand.of(tree, orchard.catalogue()));
            }
        }
        return List.copyOf(stands.values());
    }

    private Set<Crop> wishedCrops() {
        Set<Crop> crops = new LinkedHashSet<>();
        orchard.choices()
                .forEach(choice ->
                        crops.add(orchard.catalogue().variety(choice.variety()).crop()));
        return crops;
    }

    private Set<String> placedChoices() {
        Set<String> placed = new LinkedHashSet<>();
        orchard.trees().forEach(tree -> tree.choice().ifPresent(placed::add));
        return placed;
    }

    public Orchard orchard() {
        return orchard;
    }

    /** Every tree that stands or will stand, in the order of the pegs. */
    public List<Stand> stands() {
        return List.copyOf(stands.values());
    }

    /** Empty when no such tree stands. */
    public Optional<Stand> stand(String tree) {
        return Optional.ofNullable(stands.get(tree));
    }

    /**
     * What must be mended before a tree is planted, from every room: its own stops and those of the soil of its place.
     * Empty for one that stands.
     */
    public List<Finding> stopsOf(String tree) {
        Stand stand = stands.get(tree);
        if (stand == null || !stand.toPlant()) {
            return List.of();
        }
        return Stream.concat(
                        site.soilOf(stand).stream(),
                        stages().stream().flatMap(stage -> stage.judged().about(stand.subject()).stream()))
                .filter(finding -> finding.standing() == Standing.STOP)
                .toList();
    }

    public SiteStage site() {
        return site;
    }

    public WinterStage winters() {
        return winters;
    }

    public VarietyStage varieties() {
        return varieties;
    }

    public PollinationStage partners() {
        return partners;
    }

    public RootstockStage rootstocks() {
        return rootstocks.get();
    }

    public LayoutStage layout() {
        return layout;
    }

    public IrrigationStage water() {
        return water.get();
    }

    public PlantingStage planting() {
        return planting.get();
    }

    public AlmanacStage almanac() {
        return almanac.get();
    }

    public DaybookStage daybook() {
        return daybook.get();
    }

    /** The ten, in the order of the work. */
    public List<Stage> stages() {
        return List.of(
                site, winters, varieties, partners, rootstocks(), layout, water(), planting(), almanac(), daybook());
    }

    public Stage stage(Room room) {
        return stages().get(room.ordinal());
    }
}
