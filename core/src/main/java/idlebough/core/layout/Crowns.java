package idlebough.core.layout;

import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import idlebough.core.site.PlaceIndex;
import idlebough.core.site.Plot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Crowns beside each other through the years: which comes nearest, how much room is left, when two touch. The nearest
 * is
 * found by an index over all trees.
 */
public final class Crowns {
    private static final RuleTable TABLE = RuleTable.of("layout");
    private static final double LAST_YEAR = 100;
    private static final int HALVINGS = 50;
    private static final int FEW = 16;
    private static final double SLACK = 1e-6;
    private final List<PlannedTree> trees;
    private final PlaceIndex<PlannedTree> index;
    private final double widest;
    private final Map<String, Optional<PlannedTree>> nearest;

    private Crowns(List<PlannedTree> trees, Crowns before) {
        this.trees = trees;
        index = PlaceIndex.of(trees, PlannedTree::place);
        widest = trees.stream().mapToDouble(tree -> tree.size().spread()).max().orElse(0);
        nearest = new HashMap<>(2 * trees.size());
        Optional<List<PlannedTree>> moved = Optional.ofNullable(before).flatMap(then -> moved(then.trees, trees));
        Set<String> ids =
                moved.stream().flatMap(List::stream).map(PlannedTree::id).collect(Collectors.toUnmodifiableSet());
        for (PlannedTree tree : trees) {
            nearest.put(
                    tree.id(),
                    moved.filter(few -> !ids.contains(tree.id()))
                            .flatMap(few -> stays(tree, before.nearest.get(tree.id()), few, ids))
                            .or(() -> search(tree)));
        }
    }

    /** @param before in which what is the same is not searched for again; null for none */
    public static Crowns of(List<PlannedTree> trees, Crowns before) {
        return new Crowns(List.copyOf(trees), before);
    }

    /** Trees that are not as they were; empty when they are many, or not the same trees in the same order. */
    private static Optional<List<PlannedTree>> moved(List<PlannedTree> before, List<PlannedTree> now) {
        if (before.size() != now.size()) {
            return Optional.empty();
        }
        List<PlannedTree> moved = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            if (!before.get(i).id().equals(now.get(i).id()) || moved.size() > FEW) {
                return Optional.empty();
            }
            if (!before.get(i).equals(now.get(i))) {
                moved.add(now.get(i));
            }
        }
        return Optional.of(moved);
    }

    /** The neighbour of before, if it is where it was and none that moved has come as near. */
    private static Optional<PlannedTree> stays(
            PlannedTree tree, Optional<PlannedTree> then, List<PlannedTree> moved, Set<String> ids) {
        return then.filter(neighbour -> !ids.contains(neighbour.id())
                && moved.stream().allMatch(other -> room(tree, other) > room(tree, neighbour) + SLACK));
    }

    /** The tree whose crown comes nearest when both are full grown; empty for a lone tree. */
    public Optional<PlannedTree> nearest(PlannedTree tree) {
        return nearest.get(tree.id());
    }

    private Optional<PlannedTree> search(PlannedTree tree) {
        // The least room is the least distance less what both reach; added to the widest it is never negative.
        return index.nearest(
                tree.place(),
                // Trees to stay do not ask after those that go when they meet.
                other -> !other.id().equals(tree.id()) && (tree.filler() || !other.filler()),
                other -> widest - tree.reach(other.place()) - other.reach(tree.place()));
    }

    /** What is left between two full-grown crowns, m; negative when they meet. */
    public static double room(PlannedTree a, PlannedTree b) {
        return a.place().distance(b.place()) - a.reach(b.place()) - b.reach(a.place());
    }

    /** The year after planting in which two crowns touch, or infinity. */
    public static double yearOfTouch(PlannedTree a, PlannedTree b) {
        double apart = a.place().distance(b.place());
        double low = 0;
        double high = LAST_YEAR;
        if (reaching(a, b, high) < apart) {
            return Double.POSITIVE_INFINITY;
        }
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (reaching(a, b, middle) < apart) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return high;
    }

    /** What two trees reach towards each other in a year, m. */
    private static double reaching(PlannedTree a, PlannedTree b, double year) {
        return a.reach(a.after(year), b.place()) + b.reach(b.after(year), a.place());
    }

    /** How the room between two full-grown crowns comes about. */
    public static Working roomWorking(PlannedTree a, PlannedTree b) {
        double year = yearOfTouch(a, b);
        Working.Builder steps = Working.of("How {} comes about", Amount.metres(room(a, b)))
                .step(
                        "{} between the stems of {} and {}",
                        Amount.metres(a.place().distance(b.place())),
                        a.label(),
                        b.label())
                .step(
                        "− {} and {}, which they reach towards each other when full grown",
                        Amount.metres(a.reach(b.place())),
                        Amount.metres(b.reach(a.place())));
        if (!Double.isInfinite(year)) {
            steps.step("growing towards full size, they touch in year {}", Amount.count(Math.ceil(year)));
        }
        return steps.sensitive("Most sensitive to the widths, which are told to a fifth.")
                .from(TABLE.source("crowded"));
    }

    /** How the distance to the boundary comes about. */
    public static Working edgeWorking(Plot plot, PlannedTree tree) {
        return Working.of("How {} comes about", Amount.metres(plot.distanceToBoundary(tree.place())))
                .step("square off the nearest boundary line to the stem")
                .step(
                        "half the full-grown width is {}",
                        Amount.metres(tree.size().depth() / 2))
                .sensitive("Most sensitive to how well the boundary was measured; local law may ask for more.")
                .from(TABLE.source("boundary"));
    }
}
