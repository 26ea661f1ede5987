package idlebough.app.layout;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.PegRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.SettingsRow;
import idlebough.app.store.TreeRow;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.orchard.Evaluation;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.variety.Choice;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.stream.Collectors;

/** Takes away the trees still only planned and places the chosen ones anew, as edits of one change. */
public final class LayoutFill {
    private final Plan plan;
    private final PlotFill fill;
    private final boolean anew;

    private LayoutFill(Plan plan, PlotFill fill, boolean anew) {
        this.plan = plan;
        this.fill = fill;
        this.anew = anew;
    }

    /**
     * Which trees are placed.
     *
     * @param anew whether those that are planned and not set by hand are laid out again
     * @param only id of the one choice whose missing trees are placed; empty for all
     */
    public record Trees(boolean anew, Optional<String> only) {
        public static final Trees ANEW = new Trees(true, Optional.empty());
        public static final Trees MISSING = new Trees(false, Optional.empty());

        public static Trees only(String choice) {
            return new Trees(false, Optional.of(choice));
        }
    }

    /** @param plan with a boundary */
    public static LayoutFill of(Plan plan, PlotFill.Wish wish, Trees of) {
        Asked asked = Asked.of(plan, of);
        Evaluation evaluation = plan.evaluation();
        return new LayoutFill(
                plan,
                PlotFill.of(
                        evaluation.site().plot().orElseThrow(),
                        wish.on(evaluation.site().terrain().ground()),
                        asked.choices(),
                        evaluation.rootstocks(),
                        asked.standing(),
                        evaluation.site().terrain().features()),
                of.anew());
    }

    /** In which direction the rows hold most trees, the best first. */
    public static List<PlotFill.Direction> directions(Plan plan, PlotFill.Wish wish, Trees of, BooleanSupplier goOn) {
        Asked asked = Asked.of(plan, of);
        Evaluation evaluation = plan.evaluation();
        return PlotFill.directions(
                evaluation.site().plot().orElseThrow(),
                wish,
                asked.choices(),
                evaluation.rootstocks(),
                asked.standing(),
                evaluation.site().terrain().features(),
                goOn);
    }

    /** What is asked of the core. */
    private record Asked(List<Choice> choices, PlotFill.Standing standing) {
        static Asked of(Plan plan, Trees of) {
            Evaluation evaluation = plan.evaluation();
            Set<String> replaced = plan.rows().trees().stream()
                    .filter(tree -> of.anew() && isReplaced(plan, tree))
                    .map(TreeRow::id)
                    .collect(Collectors.toSet());
            List<Stand> kept = evaluation.stands().stream()
                    .filter(stand -> !replaced.contains(stand.id()))
                    .toList();
            Map<String, Integer> placedOf = new HashMap<>();
            kept.forEach(stand -> stand.tree().choice().ifPresent(choice -> placedOf.merge(choice, 1, Integer::sum)));
            return new Asked(
                    evaluation.varieties().choices().stream()
                            .filter(choice -> of.only().map(choice.id()::equals).orElse(true))
                            .toList(),
                    new PlotFill.Standing(
                            kept.stream()
                                    .map(stand -> evaluation.layout().tree(stand.id()))
                                    .toList(),
                            placedOf));
        }
    }

    /** Whether a filling takes a tree away: it is only planned, and its place was not set by hand. */
    private static boolean isReplaced(Plan plan, TreeRow tree) {
        return tree.life().state() == Tree.State.PLANNED
                && plan.rows().peg(tree.pegId()).map(peg -> !peg.byHand()).orElse(true);
    }

    public static PlotFill.Wish wish(SettingsRow.RowsOfTrees rows) {
        return new PlotFill.Wish(rows.pattern(), rows.margin(), rows.alley(), Optional.ofNullable(rows.bearing()));
    }

    public int placed() {
        return fill.placed().size();
    }

    /** How many found no place. */
    public int left() {
        return fill.wanted() - fill.placed().size();
    }

    /** How many found a place and what the others want for; empty where all found one. */
    public List<Phrase> told() {
        if (left() == 0) {
            return List.of();
        }
        List<Phrase> told = new ArrayList<>();
        told.add(Phrase.of("{} of {} found a place.", Amount.count(placed()), Amount.count(fill.wanted())));
        costs(told);
        return told;
    }

    private void costs(List<Phrase> told) {
        fill.costs()
                .forEach(cost ->
                        told.add(Phrase.of("Without {} {} more would.", cost.what(), Amount.count(cost.trees()))));
        told.add(
                fill.costs().isEmpty()
                        ? Phrase.of("The plot is full: choose fewer trees, or smaller stocks.")
                        : Phrase.of("Else choose fewer trees, or smaller stocks."));
    }

    /** @param base the revision from which the page was made */
    public List<Edit> edits(long base) {
        List<Edit> edits = new ArrayList<>();
        Set<String> freed = new HashSet<>();
        for (TreeRow tree : plan.rows().trees()) {
            if (anew && isReplaced(plan, tree)) {
                edits.add(Edit.remove(tree, base));
                freed.add(tree.pegId());
            }
        }
        Set<String> used = new HashSet<>();
        for (PegRow peg : plan.rows().pegs()) {
            if (freed.contains(peg.id())) {
                edits.add(Edit.remove(peg, base));
            } else {
                used.add(peg.label());
            }
        }
        int next = 0;
        int rows = rowsOf(used);
        for (PlotFill.Placed placed : fill.placed()) {
            RowFill.Place place = placed.place();
            String label = RowFill.label(rows + place.row(), place.place());
            while (!used.add(label)) {
                label = "N" + ++next;
            }
            PegRow peg = new PegRow(
                    RowKey.fresh(plan.head().id()),
                    label,
                    place.at().x(),
                    place.at().y(),
                    false);
            edits.add(Edit.add(peg));
            ChoiceRow choice = plan.rows().choice(placed.choice().id()).orElseThrow();
            edits.add(Edit.add(planned(plan, peg, choice)));
        }
        return edits;
    }

    /** How many rows have a letter already, so that new ones go on from there. */
    private static int rowsOf(Set<String> labels) {
        int rows = 0;
        while (labels.contains(RowFill.label(rows, 0))) {
            rows++;
        }
        return rows;
    }

    /** Where the trees would stand. */
    public List<Point> places() {
        return fill.placed().stream().map(placed -> placed.place().at()).toList();
    }

    /** What it would do, before it does it. */
    public List<Phrase> would() {
        List<Phrase> would = new ArrayList<>();
        if (fill.wanted() == 0) {
            would.add(Phrase.of("Every tree that is wanted has a place."));
        } else if (left() == 0) {
            would.add(Phrase.of("It would place all {}, as the rings show.", Amount.count(placed())));
        } else {
            would.add(Phrase.of(
                    "It would place {}, as the rings show; {} would find no place.",
                    Amount.count(placed()),
                    Amount.count(left())));
            costs(would);
        }
        return would;
    }

    /** A tree of a choice as it is usually bought. */
    public static TreeRow planned(Plan plan, PegRow peg, ChoiceRow choice) {
        return planned(plan, RowKey.fresh(plan.head().id()), peg, choice);
    }

    /** A tree of a choice as it is usually bought, with its key. */
    static TreeRow planned(Plan plan, RowKey key, PegRow peg, ChoiceRow choice) {
        Variety variety = plan.evaluation().varieties().catalogue().variety(choice.varietyKey());
        NurseryTree usual = NurseryTree.usual(
                variety,
                Optional.ofNullable(choice.rootstockKey())
                        .flatMap(plan.evaluation().varieties().catalogue()::findRootstock));
        return new TreeRow(
                key,
                peg.id(),
                choice.id(),
                new TreeRow.What(choice.varietyKey(), choice.rootstockKey()),
                new TreeRow.Nursery(
                        usual.form(),
                        usual.ballDiameter(),
                        usual.ballHeight(),
                        usual.unionAboveFlare().orElse(null),
                        usual.stem()),
                null,
                new TreeRow.Life(Tree.State.PLANNED, null));
    }

    /** The settings of the rows as an edit. */
    public static Edit settings(SettingsRow row, long base, PlotFill.Wish wish) {
        Map<String, Object> fields = new LinkedHashMap<>();
        fields.put("pattern", wish.pattern());
        fields.put("margin", wish.margin());
        fields.put("alley", wish.alley());
        fields.put("bearing", wish.bearing().orElse(null));
        return Edit.change(row, base, fields);
    }
}
