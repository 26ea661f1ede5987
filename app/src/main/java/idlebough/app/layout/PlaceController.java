package idlebough.app.layout;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.PegRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.TreeRow;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.layout.BaseLine;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.Tally;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * One tree at a time: put by a tap, by east and north or by two tapes; moved and named by a form; wanted more or
 * less.
 */
@Controller
@RequestMapping("/orchards/{orchard}/layout")
public class PlaceController {
    private static final double FAR = 20_000;
    private static final double LONGEST_TAPE = 500;
    private final Pages pages;
    private final LayoutPage layout;
    private final Edits edits;

    PlaceController(Pages pages, LayoutPage layout, Edits edits) {
        this.pages = pages;
        this.layout = layout;
        this.edits = edits;
    }

    /** One tree of a choice: at x and y of the plan, or east and north of P, or where two tapes from P and Q meet. */
    @PostMapping("/put")
    String put(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @RequestParam String choice,
            @RequestParam(required = false) Double x,
            @RequestParam(required = false) Double y,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        ChoiceRow row = plan.rows().choice(choice).orElseThrow(NotFound::new);
        if (plan.plot() == null) {
            throw new NotFound();
        }
        Fields fields = new Fields(typed, say.display());
        Optional<Point> at = x != null && y != null && Math.abs(x) <= FAR && Math.abs(y) <= FAR
                ? Optional.of(new Point(x, y))
                : told(fields, BaseLine.of(plan.plot()));
        at.ifPresent(point -> complain(fields, say, plan, point, null));
        if (at.isEmpty() || fields.wrong()) {
            return again(scope, say, model, fields, null);
        }
        RowKey tree = RowKey.fresh(scope.orchard());
        edits.apply(scope, stamp.change("Put a tree"), now -> put(now, row, at.get(), tree, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/layout?tree=" + tree.id();
    }

    private static Optional<Point> told(Fields fields, BaseLine line) {
        if (!fields.value("fromP").isBlank() || !fields.value("fromQ").isBlank()) {
            double fromP = fields.required("fromP", Quantity.TAPE, 0, LONGEST_TAPE);
            double fromQ = fields.required("fromQ", Quantity.TAPE, 0, LONGEST_TAPE);
            if (fields.wrong()) {
                return Optional.empty();
            }
            Optional<Point> met = line.meet(fromP, fromQ, fields.value("side").equals("right"));
            if (met.isEmpty()) {
                fields.complain(
                        "fromP",
                        "Tapes of these lengths cannot meet: P and Q are "
                                + fields.display().text(line.length(), Quantity.TAPE) + " apart.");
            }
            return met;
        }
        double east = fields.required("east", Quantity.TAPE, -FAR, FAR);
        double north = fields.required("north", Quantity.TAPE, -FAR, FAR);
        return fields.wrong()
                ? Optional.empty()
                : Optional.of(new Point(line.p().x() + east, line.p().y() + north));
    }

    /** @param but the tree that is itself moved; null for none */
    private static void complain(Fields fields, Reader say, PlanView plan, Point at, String but) {
        String field = but != null ? "toEast" : fields.value("fromP").isBlank() ? "east" : "fromP";
        Plot plot = plan.plot();
        if (!plot.holds(at) && plot.distanceToBoundary(at) > PlannedTree.ONE_PEG) {
            fields.complain(field, "That is " + say.length(plot.distanceToBoundary(at)) + " outside the boundary.");
        }
        plan.evaluation().stands().stream()
                .filter(stand -> !stand.id().equals(but) && stand.place().distance(at) < PlannedTree.ONE_PEG)
                .findFirst()
                .ifPresent(stand -> fields.complain(field, stand.title() + " stands there already."));
    }

    private String again(Scope scope, Reader say, Model model, Fields fields, String tree) {
        PlanView plan = pages.open(model, scope, StagePage.LAYOUT);
        LayoutPage.Look first = LayoutPage.Look.FIRST;
        layout.show(model, plan, say, new LayoutPage.Look(tree, first.year(), List.of()), fields);
        return "layout/layout";
    }

    /** The tree with its peg; more of them are wanted if all that were have a place. */
    private static List<Edit> put(Plan now, ChoiceRow choice, Point at, RowKey tree, long base) {
        PegRow peg = new PegRow(RowKey.fresh(now.head().id()), tag(now, choice), at.x(), at.y(), true);
        List<Edit> all = new ArrayList<>();
        all.add(Edit.add(peg));
        all.add(Edit.add(LayoutFill.planned(now, tree, peg, choice)));
        int placed = (int) now.rows().trees().stream()
                .filter(other -> choice.id().equals(other.choiceId())
                        && other.life().state().stands())
                .count();
        if (placed + 1 > choice.wanted()) {
            all.add(Edit.change(choice, base, Map.of("wanted", placed + 1)));
        }
        return all;
    }

    /** “Cox's 2”: the first word of the variety, and the first number that is free. */
    private static String tag(Plan now, ChoiceRow choice) {
        Set<String> used = now.rows().pegs().stream().map(PegRow::label).collect(Collectors.toSet());
        String name = now.evaluation()
                .varieties()
                .catalogue()
                .variety(choice.varietyKey())
                .name()
                .split(" ")[0];
        String word = name.substring(0, Math.min(name.length(), PegRow.LONGEST_LABEL - 4));
        int number = 1;
        while (used.contains(word + " " + number)) {
            number++;
        }
        return word + " " + number;
    }

    /** Where a tree stands and what its tag is, as a form. */
    @PostMapping("/place")
    String place(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @RequestParam String tree,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        TreeView of = plan.tree(tree);
        if (plan.plot() == null) {
            throw new NotFound();
        }
        Fields fields = new Fields(typed, say.display());
        String tag = fields.words("tag", PegRow.LONGEST_LABEL);
        if (plan.trees().stream()
                .anyMatch(other -> !other.id().equals(tree) && other.label().equals(tag))) {
            fields.complain("tag", "Another tree is called " + tag + ".");
        }
        Point p = BaseLine.of(plan.plot()).p();
        Point now = of.planned().place();
        double east = fields.required("toEast", Quantity.TAPE, -FAR, FAR);
        double north = fields.required("toNorth", Quantity.TAPE, -FAR, FAR);
        // What is shown is rounded: a figure that nobody changed moves nothing.
        Fields stood = LayoutPage.place(Fields.blank(say.display()), plan, of);
        Point to = new Point(
                stood.value("toEast").equals(fields.value("toEast")) ? now.x() : p.x() + east,
                stood.value("toNorth").equals(fields.value("toNorth")) ? now.y() : p.y() + north);
        if (!fields.wrong() && !to.equals(now)) {
            complain(fields, say, plan, to, tree);
        }
        if (fields.wrong()) {
            return again(scope, say, model, fields, tree);
        }
        Map<String, Object> changed = new HashMap<>();
        changed.put("label", tag);
        if (!to.equals(now)) {
            changed.put("x", to.x());
            changed.put("y", to.y());
            changed.put("byHand", true);
        }
        edits.apply(
                scope,
                stamp.change("Placed " + tag),
                rows -> List.of(Edit.change(of.peg(), stamp.revision(), changed)));
        return "redirect:/orchards/" + scope.orchard() + "/layout?tree=" + tree;
    }

    /** Whether a planned tree goes when its crown meets its neighbours'. */
    @PostMapping("/filler")
    String filler(Scope scope, FormStamp stamp, @RequestParam String tree, @RequestParam boolean on) {
        TreeView of = pages.plan(scope).tree(tree);
        edits.apply(
                scope,
                stamp.change(on ? of.label() + " as a filler" : of.label() + " to stay"),
                now -> List.of(Edit.change(of.row(), stamp.revision(), Map.of("filler", on))));
        return "redirect:/orchards/" + scope.orchard() + "/layout?tree=" + tree;
    }

    /** As many are wanted as have a place. */
    @PostMapping("/want")
    String want(Scope scope, FormStamp stamp, @RequestParam String choice) {
        PlanView plan = pages.plan(scope);
        ChoiceRow row = plan.rows().choice(choice).orElseThrow(NotFound::new);
        int placed = tally(plan.stored(), choice).placed();
        edits.apply(
                scope,
                stamp.change("Wanted " + placed + " trees"),
                now -> List.of(Edit.change(row, stamp.revision(), Map.of("wanted", placed))));
        return "redirect:/orchards/" + scope.orchard() + "/layout";
    }

    /** Takes out those that are planned beyond what is wanted, the last first. */
    @PostMapping("/fewer")
    String fewer(Scope scope, FormStamp stamp, @RequestParam String choice) {
        PlanView plan = pages.plan(scope);
        plan.rows().choice(choice).orElseThrow(NotFound::new);
        edits.apply(scope, stamp.change("Took out what is not wanted"), now -> fewer(now, choice, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/layout";
    }

    private static List<Edit> fewer(Plan now, String choice, long base) {
        int beyond = -tally(now, choice).missing();
        List<Stand> planned = now.evaluation().stands().stream()
                .filter(stand -> stand.tree().life().state() == Tree.State.PLANNED
                        && stand.tree().choice().filter(choice::equals).isPresent())
                .toList();
        List<Edit> all = new ArrayList<>();
        for (int i = planned.size() - 1; i >= Math.max(0, planned.size() - beyond); i--) {
            TreeRow tree = now.rows().tree(planned.get(i).id()).orElseThrow();
            all.add(Edit.remove(tree, base));
            now.rows().peg(tree.pegId()).ifPresent(peg -> all.add(Edit.remove(peg, base)));
        }
        return all;
    }

    private static Tally tally(Plan plan, String choice) {
        return Tally.of(
                        plan.evaluation().varieties().choices(),
                        plan.evaluation().stands())
                .stream()
                .filter(each -> each.choice().id().equals(choice))
                .findFirst()
                .orElseThrow(NotFound::new);
    }
}
