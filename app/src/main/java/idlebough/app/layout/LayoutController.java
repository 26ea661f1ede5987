package idlebough.app.layout;

import idlebough.app.plan.LostRace;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.plan.TreeView;
import idlebough.app.site.GroundDrawing;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.Stage;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.layout.LayoutRules;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.RowFill;
import idlebough.core.layout.TwoTapes;
import idlebough.core.measure.Quantity;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
    private final Pages pages;
    private final LayoutService service;

    LayoutController(Pages pages, LayoutService service) {
        this.pages = pages;
        this.service = service;
    }

    /** One tree on the plan, page units. */
    public record Crown(TreeView tree, double x, double y, double now, double full, String standing, boolean here) {}

    /** One line of the pegging list. */
    public record PegLine(TreeView tree, TwoTapes tapes) {}

    @GetMapping
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = "7") int year) {
        Reckoning plan = pages.open(model, scope, Stage.LAYOUT);
        fill(model, plan, tree, Math.max(0, Math.min(40, year)));
        model.addAttribute(
                "marks",
                plan.plot() == null ? List.of() : GroundDrawing.of(plan, Sheet.of(plan.plot(), 726, 660), say));
        model.addAttribute("inRow", LayoutService.inRow(plan));
        model.addAttribute("patterns", RowFill.Pattern.values());
        PlanSettings settings = plan.plan().settings();
        model.addAttribute(
                "fields",
                Fields.blank(say.display())
                        .put("pattern", settings.pattern())
                        .put("margin", settings.margin(), Quantity.LENGTH)
                        .put("alley", settings.alley(), Quantity.LENGTH)
                        .put("bearing", settings.bearing(), Quantity.BEARING)
                        .put("version", settings.version()));
        return "layout/layout";
    }

    private void fill(Model model, Reckoning plan, String tree, int year) {
        Plot plot = plan.plot();
        TreeView picked = pages.tree(plan, tree);
        Sheet sheet = plot == null ? null : Sheet.of(plot, 726, 660);
        model.addAttribute("plot", plot);
        model.addAttribute("sheet", sheet);
        model.addAttribute("year", year);
        model.addAttribute("picked", picked);
        if (sheet == null) {
            return;
        }
        List<Crown> crowns = plan.trees().stream()
                .map(t -> {
                    Point at = t.planned().place();
                    String standing = plan.doubts("layout").stream()
                            .filter(f -> f.subject().equals("tree:" + t.id()))
                            .map(f -> f.standing().name().toLowerCase(java.util.Locale.ROOT))
                            .findFirst()
                            .orElse("sound");
                    return new Crown(
                            t,
                            sheet.x(at.x()),
                            sheet.y(at.y()),
                            sheet.size(t.planned().crown(year)) / 2,
                            sheet.size(t.planned().size().spread()) / 2,
                            standing,
                            picked != null && t.id().equals(picked.id()));
                })
                .toList();
        model.addAttribute("crowns", crowns);
        model.addAttribute("p", base(plot)[0]);
        model.addAttribute("q", base(plot)[1]);
        if (picked != null) {
            model.addAttribute("figures", figures(plan, picked, year));
            model.addAttribute("about", pages.about(plan, Stage.LAYOUT.room(), "tree:" + picked.id()));
        }
    }

    /** The base line: the two ends of the lowest side, by their southing. */
    static Point[] base(Plot plot) {
        List<Point> corners = plot.corners();
        int best = 0;
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            double low = a.y() + b.y() - 0.01 * a.distance(b);
            if (low < lowest && a.distance(b) > 3) {
                lowest = low;
                best = i;
            }
        }
        Point a = corners.get(best);
        Point b = corners.get((best + 1) % corners.size());
        return a.x() <= b.x() ? new Point[] {a, b} : new Point[] {b, a};
    }

    private static List<Figure> figures(Reckoning plan, TreeView picked, int year) {
        Point[] pq = base(plan.plot());
        TwoTapes tapes = TwoTapes.of(pq[0], pq[1], picked.planned().place());
        PlannedTree tree = picked.planned();
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "tapes-p",
                Phrase.of("{}: tape from P", picked.label()),
                Amount.of(tapes.fromP(), Quantity.TAPE),
                Phrase.of("± {}", Amount.fine(tapes.expectedError())),
                () -> tapes.working(pq[0].distance(pq[1]))));
        figures.add(new Figure(
                "tapes-q",
                Phrase.of("tape from Q"),
                Amount.of(tapes.fromQ(), Quantity.TAPE),
                Phrase.of(tapes.good() ? "good angle" : "weak angle"),
                () -> tapes.working(pq[0].distance(pq[1]))));
        figures.add(new Figure(
                "crown",
                Phrase.of("Crown in year {}", Amount.count(year)),
                Amount.metres(tree.crown(year)),
                Phrase.of("full {}", Amount.metres(tree.size().spread())),
                () -> picked.stock() == null ? null : TreeSize.working(picked.variety(), picked.stock())));
        LayoutRules.nearest(tree, plan.trees().stream().map(TreeView::planned).toList())
                .ifPresent(other -> {
                    double touch = LayoutRules.yearOfTouch(tree, other);
                    figures.add(new Figure(
                            "room",
                            Phrase.of("Left to {} when both are full grown", other.label()),
                            Amount.metres(LayoutRules.room(tree, other)),
                            Double.isInfinite(touch)
                                    ? Phrase.of("never meet")
                                    : Phrase.of("meet in year {}", Amount.count(Math.ceil(touch))),
                            () -> LayoutRules.roomWorking(tree, other)));
                });
        figures.add(new Figure(
                "edge",
                Phrase.of("To the boundary"),
                Amount.metres(plan.plot().distanceToBoundary(tree.place())),
                Phrase.of(""),
                () -> LayoutRules.edgeWorking(plan.plot(), tree)));
        return figures;
    }

    /** The left page while a tree is dragged: reckoned, not stored. */
    @GetMapping("/try")
    String tryOut(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam String tree,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(defaultValue = "7") int year) {
        Reckoning stored = pages.reckon(scope);
        TreeView moved = stored.tree(tree);
        if (moved == null || stored.plot() == null || !Double.isFinite(x) || !Double.isFinite(y)) {
            throw new NotFound();
        }
        Reckoning plan = stored.moved(stored.plan().withPegAt(moved.peg().id(), x, y));
        model.addAttribute("plan", plan);
        model.addAttribute("base", "/orchards/" + scope.orchard());
        model.addAttribute("findings", pages.shown(plan, plan.doubts(Stage.LAYOUT.room())));
        fill(model, plan, tree, year);
        return "layout/layout :: live";
    }

    @PostMapping("/move")
    String move(
            Scope scope,
            @RequestParam String tree,
            @RequestParam double x,
            @RequestParam double y,
            @RequestParam(defaultValue = "7") int year) {
        Reckoning plan = pages.reckon(scope);
        TreeView moved = plan.tree(tree);
        if (moved == null
                || !Double.isFinite(x)
                || !Double.isFinite(y)
                || Math.abs(x) > 20_000
                || Math.abs(y) > 20_000) {
            throw new NotFound();
        }
        pages.changes()
                .make(
                        scope,
                        "Moved " + moved.label(),
                        pen -> pen.save(pages.changes().with(moved.peg(), Map.of("x", x, "y", y))));
        return "redirect:/orchards/" + scope.orchard() + "/layout?tree=" + tree + "&year=" + year;
    }

    @PostMapping("/fill")
    String fill(Scope scope, Reader say, Model model, @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Fields fields = new Fields(typed, say.display());
        RowFill.Pattern pattern = fields.choice("pattern", RowFill.Pattern.class);
        double margin = fields.required("margin", Quantity.LENGTH, 0, 100);
        double alley = fields.required("alley", Quantity.LENGTH, 0, 30);
        Double bearing = fields.optional("bearing", Quantity.BEARING, 0, 180);
        if (plan.plot() == null) {
            fields.complain("margin", "There is no boundary yet; describe the ground on the Site first.");
        }
        if (plan.plan().choices().isEmpty()) {
            fields.complain("margin", "No variety is chosen yet; choose some on Varieties first.");
        }
        if (!fields.wrong()) {
            Map<String, Object> changed =
                    new java.util.HashMap<>(Map.of("pattern", pattern, "margin", margin, "alley", alley));
            changed.put("bearing", bearing);
            changed.put("version", fields.version());
            try {
                pages.changes()
                        .make(
                                scope,
                                "Set spacing and margin",
                                pen -> pen.save(pages.changes().with(plan.plan().settings(), changed)));
                LayoutService.Filled filled = service.fill(scope, pages.reckon(scope));
                return "redirect:/orchards/" + scope.orchard() + "/layout"
                        + (filled.placed() < filled.wanted() ? "?short=" + (filled.wanted() - filled.placed()) : "");
            } catch (LostRace raced) {
                fields.complain("margin", "Someone else changed the spacing meanwhile; look at it and fill again.");
            }
        }
        Reckoning again = pages.open(model, scope, Stage.LAYOUT);
        fill(model, again, null, 7);
        model.addAttribute("inRow", LayoutService.inRow(again));
        model.addAttribute("patterns", RowFill.Pattern.values());
        model.addAttribute("fields", fields);
        return "layout/layout";
    }

    @PostMapping("/remove")
    String remove(Scope scope, @RequestParam String tree) {
        Reckoning plan = pages.reckon(scope);
        TreeView gone = plan.tree(tree);
        if (gone == null) {
            throw new NotFound();
        }
        pages.changes().make(scope, "Took out " + gone.label(), pen -> {
            pen.remove(gone.row());
            pen.remove(gone.peg());
        });
        return "redirect:/orchards/" + scope.orchard() + "/layout";
    }

    @GetMapping("/pegs")
    String pegs(Scope scope, Reader say, Model model) {
        Reckoning plan = pages.open(model, scope, Stage.LAYOUT);
        if (plan.plot() == null) {
            throw new NotFound();
        }
        Point[] pq = base(plan.plot());
        model.addAttribute("p", pq[0]);
        model.addAttribute("q", pq[1]);
        model.addAttribute("length", pq[0].distance(pq[1]));
        model.addAttribute(
                "pegs",
                plan.trees().stream()
                        .map(t -> new PegLine(
                                t, TwoTapes.of(pq[0], pq[1], t.planned().place())))
                        .toList());
        return "layout/pegs";
    }
}
