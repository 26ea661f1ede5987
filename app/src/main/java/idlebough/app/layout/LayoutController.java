package idlebough.app.layout;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.store.SettingsRow;
import idlebough.app.web.BadInput;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.ShadeView;
import idlebough.app.web.Sheet;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.layout.OrchardShade;
import idlebough.core.layout.PlannedTree;
import idlebough.core.measure.Quantity;
import idlebough.core.orchard.Evaluation;
import idlebough.core.site.Feature;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.time.LocalDate;
import java.time.Month;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where each tree stands, and how to find the place with two tapes. */
@Controller
@RequestMapping("/orchards/{orchard}/layout")
public class LayoutController {
    private static final double FAR = 20_000;
    private static final int HALF_TURN = 180;
    /** A year without a leap day. */
    private static final int COMMON = 2027;

    private static final int MIDDLE = 21;
    private final Pages pages;
    private final LayoutPage layout;
    private final Edits edits;
    private final ShadeView shades;

    /**
     * Of which moment shadows are shown.
     *
     * @param shade whether they are
     * @param month 1 to 12; null for today
     * @param hour by the orchard's clock; null for noon
     */
    public record Light(Boolean shade, Integer month, Integer hour) {
        boolean on() {
            return Boolean.TRUE.equals(shade);
        }

        int monthKept() {
            return Math.max(1, Math.min(12, month));
        }
    }

    LayoutController(Pages pages, LayoutPage layout, Edits edits, ShadeView shades) {
        this.shades = shades;
        this.pages = pages;
        this.layout = layout;
        this.edits = edits;
    }

    @GetMapping
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = LayoutPage.FIRST_YEAR_SHOWN) int year,
            @RequestParam(required = false) Integer bearing,
            Light light,
            @RequestParam(name = "short", defaultValue = "false") boolean shortOf) {
        PlanView plan = pages.open(model, scope, StagePage.LAYOUT);
        Fields fields = Fields.blank(say.display());
        if (bearing != null) {
            fields.put("bearing", (double) Math.floorMod(bearing, HALF_TURN), Quantity.BEARING);
        }
        layout.show(model, plan, say, LayoutPage.Look.of(tree, year), fields);
        model.addAttribute("shaded", light.on() && plan.plot() != null);
        if (light.on() && plan.plot() != null) {
            shade(model, plan, light, LayoutPage.Look.of(tree, year).year());
        }
        SettingsRow.RowsOfTrees rows = plan.rows().settings().rows();
        model.addAttribute(
                "shortTold",
                shortOf && plan.plot() != null
                        ? LayoutFill.of(plan.stored(), LayoutFill.wish(rows), LayoutFill.Trees.MISSING).told().stream()
                                .map(say::of)
                                .collect(Collectors.joining(" "))
                        : null);
        return "layout/layout";
    }

    /** The shadows of a moment with the trees of a year, and what they take from beds and houses. */
    private void shade(Model model, PlanView plan, Light light, int year) {
        Collection<PlannedTree> trees = plan.evaluation().layout().trees();
        shades.put(
                model,
                plan,
                Sheet.of(plan.plot(), LayoutPage.WIDTH, LayoutPage.HEIGHT),
                OrchardShade.all(plan.terrain(), trees, year),
                light.month() == null
                        ? null
                        : LocalDate.of(COMMON, light.monthKept(), MIDDLE).getDayOfYear(),
                light.hour() == null ? null : light.hour() * 60);
        model.addAttribute("light", light);
        model.addAttribute(
                "lost",
                OrchardShade.lost(plan.terrain(), trees, year).stream()
                        .map(LayoutController::figure)
                        .toList());
        model.addAttribute("months", Month.values());
    }

    private static Figure figure(OrchardShade.Lost lost) {
        Feature feature = lost.feature();
        return new Figure(
                "lost-" + feature.id(),
                Phrase.of("Sun on {}", feature.name().isBlank() ? feature.kind().words() : feature.name()),
                Amount.of(lost.after(), Quantity.HOURS),
                Phrase.of("a day in leaf, {} without the trees", Amount.of(lost.before(), Quantity.HOURS)),
                lost::working);
    }

    /** The left page while a tree is dragged: evaluated, not stored. */
    @GetMapping("/try")
    String tryOut(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam String tree,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(defaultValue = LayoutPage.FIRST_YEAR_SHOWN) int year) {
        PlanView stored = pages.plan(scope);
        Stand stand = stored.evaluation().stand(tree).orElseThrow(NotFound::new);
        if (stored.plot() == null || !Double.isFinite(x) || !Double.isFinite(y)) {
            throw new NotFound();
        }
        PlanView plan = stored.as(moved(stored.evaluation(), stand, new Point(x, y)));
        model.addAttribute("plan", plan);
        model.addAttribute("base", "/orchards/" + scope.orchard());
        layout.live(model, plan, say, LayoutPage.Look.of(tree, year), true);
        return "layout/layout :: live";
    }

    private static Evaluation moved(Evaluation evaluation, Stand stand, Point to) {
        Tree tree = stand.tree();
        return evaluation.with(evaluation
                .orchard()
                .with(new Tree(
                        tree.id(),
                        tree.label(),
                        to,
                        tree.kind(),
                        tree.nursery(),
                        tree.footing(),
                        tree.life(),
                        tree.choice())));
    }

    @PostMapping("/move")
    String move(
            Scope scope,
            FormStamp stamp,
            @RequestParam String tree,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(defaultValue = LayoutPage.FIRST_YEAR_SHOWN) int year) {
        if (!(Math.abs(x) <= FAR) || !(Math.abs(y) <= FAR)) {
            throw new BadInput("tree off the earth");
        }
        TreeView moved = pages.plan(scope).tree(tree);
        edits.apply(
                scope,
                stamp.change("Moved " + moved.label()),
                now -> List.of(Edit.change(moved.peg(), stamp.revision(), Map.of("x", x, "y", y, "byHand", true))));
        return "redirect:/orchards/" + scope.orchard() + "/layout?tree=" + tree + "&year=" + year;
    }

    @PostMapping("/remove")
    String remove(Scope scope, FormStamp stamp, @RequestParam String tree) {
        TreeView gone = pages.plan(scope).tree(tree);
        edits.apply(
                scope,
                stamp.change("Took out " + gone.label()),
                now -> List.of(Edit.remove(gone.row(), stamp.revision()), Edit.remove(gone.peg(), stamp.revision())));
        return "redirect:/orchards/" + scope.orchard() + "/layout";
    }
}
