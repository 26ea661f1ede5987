package idlebough.app.layout;

import idlebough.app.plan.Changes;
import idlebough.app.plan.Ids;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.plan.TreeView;
import idlebough.app.variety.Choice;
import idlebough.core.layout.LayoutRules;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.RowFill;
import idlebough.core.crop.Form;
import idlebough.core.crop.Rootstock;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.crop.Variety;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Fills the plot with the chosen trees, row by row. */
@Service
public class LayoutService {
    private final Changes changes;

    LayoutService(Changes changes) {
        this.changes = changes;
    }

    /** How many were wanted and how many found a place. */
    public record Filled(int wanted, int placed) {}

    /** The spacing that the widest of the chosen trees asks for, m. */
    public static double inRow(Reckoning plan) {
        return plan.plan().choices().stream()
                .mapToDouble(choice -> size(plan, choice).spread())
                .max()
                .orElse(5);
    }

    public static TreeSize size(Reckoning plan, Choice choice) {
        Variety variety = plan.variety(choice.varietyKey());
        Rootstock stock = plan.stock(choice);
        return stock == null
                ? TreeSize.of(
                        variety.crop().spreadMetres(), variety.crop().heightMetres(), 1, variety.vigour(), 1, 1, 1)
                : TreeSize.of(variety, stock);
    }

    /**
     * Takes away the trees still only planned and places the chosen ones anew. Trees in the ground keep their place, and
     * places too near to them are left free. Varieties alternate along the rows, so that partners stand near each other.
     */
    public Filled fill(Scope scope, Reckoning plan) {
        PlanSettings settings = plan.plan().settings();
        double inRow = inRow(plan);
        // Rows W + alley apart; without an alley a triangle closes up to equal sides.
        boolean closed = settings.pattern() == RowFill.Pattern.TRIANGLE && settings.alley() == 0;
        double pitch = closed ? RowFill.hexPitch(inRow) : inRow + settings.alley();
        double bearing =
                settings.bearing() != null ? settings.bearing() : plan.plot().longestSideBearing();
        List<RowFill.Place> places =
                RowFill.best(plan.plot(), settings.margin(), bearing, settings.pattern(), inRow, pitch);
        List<PlannedTree> standing = plan.trees().stream()
                .filter(tree -> tree.row().state() != TreeState.PLANNED)
                .map(TreeView::planned)
                .toList();
        List<RowFill.Place> free = places.stream()
                .filter(place -> standing.stream()
                        .allMatch(tree -> tree.place().distance(place.at())
                                >= (tree.size().spread() + inRow) / 2))
                .filter(place -> LayoutRules.clear(place.at(), inRow, plan.features()))
                .toList();
        Deque<Choice> order = order(plan.plan().choices());
        int wanted = order.size();
        int placed = Math.min(wanted, free.size());
        changes.make(scope, "Filled the plot with " + placed + " trees", pen -> {
            Set<String> used = new HashSet<>();
            Set<String> freed = new HashSet<>();
            for (Tree tree : plan.plan().trees()) {
                if (tree.state() == TreeState.PLANNED) {
                    pen.remove(tree);
                    freed.add(tree.pegId());
                }
            }
            plan.plan().pegs().forEach(peg -> {
                if (freed.contains(peg.id())) {
                    pen.remove(peg);
                } else {
                    used.add(peg.label());
                }
            });
            int next = 0;
            for (RowFill.Place place : free.subList(0, placed)) {
                Choice choice = order.poll();
                String label = RowFill.label(place.row(), place.place());
                while (!used.add(label)) {
                    label = "N" + ++next;
                }
                Peg peg = new Peg(
                        Ids.next(),
                        scope.orchard(),
                        label,
                        place.at().x(),
                        place.at().y(),
                        0,
                        false);
                pen.add(peg);
                pen.add(planned(scope, peg.id(), choice, plan.variety(choice.varietyKey())));
            }
        });
        return new Filled(wanted, placed);
    }

    /** A tree as it is usually bought: evergreens and figs in a 25-litre pot, the others bare-root. */
    public static Tree planned(Scope scope, String pegId, Choice choice, Variety variety) {
        boolean pot = variety.crop().evergreen()
                || choice.rootstockKey() != null && choice.rootstockKey().endsWith("-own");
        return new Tree(
                Ids.next(),
                scope.orchard(),
                pegId,
                choice.id(),
                choice.varietyKey(),
                choice.rootstockKey(),
                TreeState.PLANNED,
                pot ? Form.CONTAINER : Form.BARE,
                pot ? 0.385 : 0.45,
                pot ? 0.305 : 0.25,
                null,
                0.02,
                null,
                null,
                0,
                false);
    }

    private static Deque<Choice> order(List<Choice> choices) {
        Map<String, Integer> left = new HashMap<>();
        choices.forEach(choice -> left.put(choice.id(), choice.wanted()));
        List<Choice> order = new ArrayList<>();
        boolean any = true;
        while (any) {
            any = false;
            for (Choice choice : choices) {
                if (left.get(choice.id()) > 0) {
                    left.merge(choice.id(), -1, Integer::sum);
                    order.add(choice);
                    any = true;
                }
            }
        }
        return new ArrayDeque<>(order);
    }
}
