package idlebough.app.layout;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.Scope;
import idlebough.app.store.SettingsRow;
import idlebough.app.web.BadInput;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.GroundDrawing;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanSketch;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.layout.BaseLine;
import idlebough.core.layout.Crowns;
import idlebough.core.layout.PlanYield;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.layout.TwoTapes;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.UnitSystem;
import idlebough.core.orchard.Evaluation;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    static final double WIDTH = 726;
    static final double HEIGHT = 660;
    private static final double FAR = 20_000;
    private static final int LAST_YEAR = 40;
    private static final String FIRST_YEAR_SHOWN = "7";
    private static final double YARD = 0.9144;
    private static final double SKETCH_WIDTH = 800;
    private static final double SKETCH_HEIGHT = 460;
    private final Pages pages;
    private final Edits edits;

    LayoutController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /** One line of the pegging list. */
    public record PegLine(TreeView tree, TwoTapes tapes) {}

    @GetMapping
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = FIRST_YEAR_SHOWN) int year,
            @RequestParam(name = "short", defaultValue = "false") boolean shortOf) {
        PlanView plan = pages.open(model, scope, StagePage.LAYOUT);
        page(model, plan, say, tree, Math.max(0, Math.min(LAST_YEAR, year)));
        SettingsRow.RowsOfTrees rows = plan.rows().settings().rows();
        model.addAttribute(
                "fields",
                Fields.blank(say.display())
                        .put("pattern", rows.pattern())
                        .put("margin", rows.margin(), Quantity.LENGTH)
                        .put("alley", rows.alley(), Quantity.LENGTH)
                        .put("bearing", rows.bearing(), Quantity.BEARING));
        model.addAttribute(
                "shortTold",
                shortOf && plan.plot() != null
                        ? LayoutFill.of(plan.stored(), LayoutFill.wish(rows)).told().stream()
                                .map(say::of)
                                .collect(Collectors.joining(" "))
                        : null);
        return "layout/layout";
    }

    private void page(Model model, PlanView plan, Reader say, String tree, int year) {
        live(model, plan, tree, year);
        if (plan.plot() != null) {
            Sheet sheet = Sheet.of(plan.plot(), WIDTH, HEIGHT);
            TreeView picked = (TreeView) model.getAttribute("picked");
            model.addAttribute("marks", GroundDrawing.of(plan, sheet, say));
            model.addAttribute("drawing", LayoutDrawing.of(plan, sheet, picked, year));
        }
        model.addAttribute("inRow", spacing(plan, say));
        model.addAttribute("patterns", RowFill.Pattern.values());
    }

    private static String spacing(PlanView plan, Reader say) {
        DoubleSummaryStatistics widths = PlotFill.inRow(
                plan.evaluation().varieties().choices(), plan.evaluation().rootstocks());
        String own = widths.getCount() == 0
                ? ""
                : "Each variety stands at its own width, "
                        + (widths.getMax() - widths.getMin() < 0.05
                                ? say.length(widths.getMax())
                                : say.length(widths.getMin()) + " to " + say.length(widths.getMax()))
                        + ". ";
        return own + "Trees in the ground and those that you set by hand keep their places; the other planned ones are"
                + " laid out anew.";
    }

    /** The left page: what follows a drag. */
    private void live(Model model, PlanView plan, String tree, int year) {
        Plot plot = plan.plot();
        TreeView picked = plan.treeOrFirst(tree);
        model.addAttribute("plot", plot);
        model.addAttribute("sheet", plot == null ? null : Sheet.of(plot, WIDTH, HEIGHT));
        model.addAttribute("year", year);
        model.addAttribute(
                "brings",
                PlanYield.of(plan.evaluation().stands(), plan.rows().settings().plantingDate(), year));
        model.addAttribute("picked", picked);
        model.addAttribute("doubts", plan.doubts(Room.LAYOUT).size());
        if (plot != null && picked != null) {
            model.addAttribute("figures", figures(plan, picked, year));
            pages.about(model, plan, Room.LAYOUT, picked.subject());
        }
    }

    private static List<Figure> figures(PlanView plan, TreeView picked, int year) {
        BaseLine base = BaseLine.of(plan.plot());
        TwoTapes tapes = base.tapes(picked.planned().place());
        PlannedTree tree = picked.planned();
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "tapes-p",
                Phrase.of("{}: tape from P", picked.label()),
                Amount.of(tapes.fromP(), Quantity.TAPE),
                Phrase.of("± {}", Amount.fine(tapes.expectedError())),
                () -> tapes.working(base.length())));
        figures.add(new Figure(
                "tapes-q",
                Phrase.of("tape from Q"),
                Amount.of(tapes.fromQ(), Quantity.TAPE),
                Phrase.of(tapes.good() ? "good angle" : "weak angle"),
                () -> tapes.working(base.length())));
        figures.add(new Figure(
                "crown",
                Phrase.of("Crown in year {}", Amount.count(year)),
                Amount.metres(tree.crown(year)),
                Phrase.of("full {}", Amount.metres(tree.size().spread())),
                () -> picked.stock() == null ? null : TreeSize.working(picked.variety(), picked.stock())));
        plan.evaluation()
                .layout()
                .nearest(tree)
                .ifPresent(other -> figures.add(new Figure(
                        "room",
                        Phrase.of("Left to {} when both are full grown", other.label()),
                        Amount.metres(Crowns.room(tree, other)),
                        meets(Crowns.yearOfTouch(tree, other)),
                        () -> Crowns.roomWorking(tree, other))));
        figures.add(new Figure(
                "edge",
                Phrase.of("To the boundary"),
                Amount.metres(plan.plot().distanceToBoundary(tree.place())),
                Phrase.of(""),
                () -> Crowns.edgeWorking(plan.plot(), tree)));
        return figures;
    }

    private static Phrase meets(double year) {
        return Double.isInfinite(year)
                ? Phrase.of("never meet")
                : Phrase.of("meet in year {}", Amount.count(Math.ceil(year)));
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
            @RequestParam(defaultValue = FIRST_YEAR_SHOWN) int year) {
        PlanView stored = pages.plan(scope);
        Stand stand = stored.evaluation().stand(tree).orElseThrow(NotFound::new);
        if (stored.plot() == null || !Double.isFinite(x) || !Double.isFinite(y)) {
            throw new NotFound();
        }
        PlanView plan = stored.as(moved(stored.evaluation(), stand, new Point(x, y)));
        model.addAttribute("plan", plan);
        model.addAttribute("base", "/orchards/" + scope.orchard());
        live(model, plan, tree, year);
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
            @RequestParam(defaultValue = FIRST_YEAR_SHOWN) int year) {
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

    @PostMapping("/fill")
    String fill(Scope scope, Reader say, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Fields fields = new Fields(typed, say.display());
        RowFill.Pattern pattern = fields.choice("pattern", RowFill.Pattern.class);
        double margin = fields.required("margin", Quantity.LENGTH, 0, 100);
        double alley = fields.required("alley", Quantity.LENGTH, 0, 30);
        Double bearing = fields.optional("bearing", Quantity.BEARING, 0, 180);
        if (plan.plot() == null) {
            fields.complain("margin", "There is no boundary yet; describe the ground on the Site first.");
        }
        if (plan.rows().choices().isEmpty()) {
            fields.complain("margin", "No variety is chosen yet; choose some on Varieties first.");
        }
        if (!fields.wrong()) {
            PlotFill.Wish wish = new PlotFill.Wish(pattern, margin, alley, Optional.ofNullable(bearing));
            int[] left = {0};
            edits.apply(scope, stamp.change("Filled the plot"), now -> filled(now, wish, stamp.revision(), left));
            return "redirect:/orchards/" + scope.orchard() + "/layout" + (left[0] > 0 ? "?short=true" : "");
        }
        PlanView again = pages.open(model, scope, StagePage.LAYOUT);
        page(model, again, say, null, Integer.parseInt(FIRST_YEAR_SHOWN));
        model.addAttribute("fields", fields);
        return "layout/layout";
    }

    /** The rows as they are wished, and the trees in them: one change. */
    private static List<Edit> filled(Plan now, PlotFill.Wish wish, long base, int[] left) {
        LayoutFill fill = LayoutFill.of(now, wish);
        left[0] = fill.left();
        List<Edit> all = new ArrayList<>();
        all.add(LayoutFill.settings(now.rows().settings(), base, wish));
        all.addAll(fill.edits(base));
        return all;
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

    @GetMapping("/pegs")
    String pegs(Scope scope, Reader say, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.LAYOUT);
        if (plan.plot() == null) {
            throw new NotFound();
        }
        BaseLine line = BaseLine.of(plan.plot());
        model.addAttribute("baseline", line);
        model.addAttribute("square", line.square(say.display().system() == UnitSystem.US ? YARD : 1));
        model.addAttribute(
                "sketch",
                PlanSketch.named(plan, say, SKETCH_WIDTH, SKETCH_HEIGHT).orElseThrow());
        model.addAttribute(
                "pegs",
                plan.trees().stream()
                        .map(tree -> new PegLine(tree, line.tapes(tree.planned().place())))
                        .toList());
        return "layout/pegs";
    }
}
