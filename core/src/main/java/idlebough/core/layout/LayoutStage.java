package idlebough.core.layout;

import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Lazy;
import idlebough.core.judge.PerTree;
import idlebough.core.judge.Room;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import idlebough.core.pollination.Neighbourhood;
import idlebough.core.pollination.PollinationStage;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.Microclimate;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SiteStage;
import idlebough.core.site.Stand;
import idlebough.core.site.Terrain;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/** Where each tree stands, and whether it fits, for one orchard. */
public final class LayoutStage implements Stage {
    private static final RuleTable RULES = RuleTable.of("layout");
    private static final Set<Feature.Kind> WALLS =
            EnumSet.of(Feature.Kind.WALL, Feature.Kind.FENCE, Feature.Kind.BUILDING);
    private static final double RIGHT = 90;
    private final Input input;
    private final Map<String, PlannedTree> trees;
    private final Set<String> toPlant;
    private final Crowns crowns;
    private final PerTree<Point, Microclimate> microclimates;
    private final PerTree<Judged, List<Finding>> ofTrees;
    private final Lazy<Findings> findings = Lazy.of(this::judge);

    /**
     * What this stage depends on.
     *
     * @param plan the trees
     * @param coldest night of the record, °C; empty without a whole winter
     */
    public record Input(Trees plan, Terrain terrain, Map<String, Neighbourhood> partners, OptionalDouble coldest) {}

    /**
     * The trees of a plan.
     *
     * @param stands every tree that stands or will stand
     * @param sizes full grown, by their ids
     * @param planting date of the plan
     * @param rows their bearing, degrees; empty for that of the plot's longest side
     * @param pegs what was measured between them
     */
    public record Trees(
            List<Stand> stands,
            Map<String, TreeSize> sizes,
            LocalDate planting,
            Optional<Double> rows,
            List<PegCheck> pegs) {}

    /** All that one tree's findings depend on, beside the terrain. */
    private record Judged(
            PlannedTree tree,
            Optional<Rootstock> stock,
            Optional<PlannedTree> nearest,
            Optional<Neighbourhood> partners,
            OptionalDouble coldest) {}

    private LayoutStage(Input input, LayoutStage before) {
        this.input = input;
        Trees plan = input.plan();
        trees = new LinkedHashMap<>(2 * plan.stands().size());
        plan.stands().forEach(stand -> {
            PlannedTree then = before == null ? null : before.trees.get(stand.id());
            TreeSize size = plan.sizes().get(stand.id());
            PlannedTree now = PlannedTree.of(stand, plan.planting(), size, size.flat() ? lie(stand.place()) : 0);
            trees.put(stand.id(), now.equals(then) ? then : now);
        });
        toPlant = plan.stands().stream().filter(Stand::toPlant).map(Stand::id).collect(Collectors.toUnmodifiableSet());
        crowns = Crowns.of(List.copyOf(trees.values()), before == null ? null : before.crowns);
        LayoutStage same = before != null && before.input.terrain() == input.terrain() ? before : null;
        Map<String, Optional<Rootstock>> stocks = new HashMap<>(2 * trees.size());
        plan.stands().forEach(stand -> stocks.put(stand.id(), stand.stock()));
        Map<String, Point> places = new LinkedHashMap<>(2 * trees.size());
        Map<String, Judged> judged = new LinkedHashMap<>(2 * trees.size());
        trees.forEach((id, tree) -> {
            places.put(id, tree.place());
            judged.put(
                    id,
                    new Judged(
                            tree,
                            stocks.getOrDefault(id, Optional.empty()),
                            crowns.nearest(tree),
                            Optional.ofNullable(input.partners().get(id)),
                            input.coldest()));
        });
        microclimates = PerTree.of(places, input.terrain()::microclimate, same == null ? null : same.microclimates);
        ofTrees = PerTree.of(judged, this::judge, same == null ? null : same.ofTrees);
    }

    /** @param before whose answers are taken over where nothing that they depend on changed; null for none */
    public static LayoutStage of(
            Trees plan, SiteStage site, WinterStage winters, PollinationStage partners, LayoutStage before) {
        Input input = new Input(plan, site.terrain(), partners.web().neighbourhoods(), winters.coldest());
        return before != null && before.input.equals(input) ? before : new LayoutStage(input, before);
    }

    /** Along a wall, fence or building beside it, else along the rows. */
    private double lie(Point place) {
        return input.terrain().features().near(place, RULES.value("wall-near")).stream()
                .filter(placed -> WALLS.contains(placed.feature().kind())
                        && placed.distance(place) <= RULES.value("wall-near")
                        && placed.edgeNearest(place).distance(place) > 0)
                .min(Comparator.comparingDouble(placed -> placed.distance(place)))
                .map(placed -> placed.edgeNearest(place))
                .map(near -> Math.toDegrees(Math.atan2(place.x() - near.x(), place.y() - near.y())) + RIGHT)
                .or(input.plan()::rows)
                .or(() -> input.terrain().site().plot().map(Plot::longestSideBearing))
                .orElse(0.0);
    }

    @Override
    public Room room() {
        return Room.LAYOUT;
    }

    @Override
    public boolean begun() {
        return !trees.isEmpty();
    }

    /** Every tree that stands or will stand, in the order of the pegs. */
    public List<PlannedTree> trees() {
        return List.copyOf(trees.values());
    }

    /** @throws IllegalArgumentException when there is no such tree */
    public PlannedTree tree(String id) {
        return Optional.ofNullable(trees.get(id))
                .orElseThrow(() -> new IllegalArgumentException("No tree " + id + " is laid out."));
    }

    /** The tree whose crown comes nearest to another's; empty for a lone tree. */
    public Optional<PlannedTree> nearest(PlannedTree tree) {
        return crowns.nearest(tree);
    }

    /** The year after planting in which a filler goes: when its crown meets another. Empty for trees to stay. */
    public OptionalDouble outIn(PlannedTree tree) {
        return tree.filler()
                ? nearest(tree)
                        .map(other -> OptionalDouble.of(Crowns.yearOfTouch(tree, other)))
                        .orElse(OptionalDouble.empty())
                : OptionalDouble.empty();
    }

    public Microclimate microclimateOf(String tree) {
        return microclimates.of(tree);
    }

    @Override
    public Findings judged() {
        return findings.get();
    }

    private Findings judge() {
        List<List<Finding>> found = new ArrayList<>(ofTrees.all().values());
        found.add(PegChecks.judge(input.plan().pegs(), trees));
        return Findings.of(found);
    }

    private List<Finding> judge(Judged judged) {
        PlannedTree tree = judged.tree();
        Terrain terrain = input.terrain();
        List<Finding> found = new ArrayList<>();
        // Of a tree that stands and one to be planted, it is the one to be planted that can give way.
        judged.nearest().filter(other -> tree.age() == 0 || other.age() > 0).ifPresent(other -> {
            if (tree.filler()) {
                LayoutRules.filler(tree, other, judged.stock()).ifPresent(found::add);
            } else {
                found.add(LayoutRules.crowded(tree, other));
            }
        });
        terrain.site().plot().ifPresent(plot -> found.add(LayoutRules.boundary(plot, tree)));
        judged.partners().flatMap(around -> LayoutRules.reach(tree, around)).ifPresent(found::add);
        found.addAll(LayoutRules.clearances(tree, terrain.features()));
        if (judged.coldest().isPresent()) {
            LayoutRules.coldPlace(tree, judged.coldest().getAsDouble(), microclimateOf(tree.id()))
                    .ifPresent(found::add);
        }
        return found;
    }

    @Override
    public List<KeyFigure> keyFigures() {
        List<KeyFigure> figures = new ArrayList<>();
        figures.add(KeyFigure.of("layout.trees", Subject.ORCHARD, Amount.count(trees.size())));
        trees.values().stream()
                .filter(tree -> toPlant.contains(tree.id()))
                .forEach(tree -> figures.add(KeyFigure.of(
                        "layout.crown", tree.subject(), Amount.of(tree.size().spread(), Quantity.LENGTH))));
        return figures;
    }
}
