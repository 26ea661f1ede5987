package idlebough.app.layout;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.PegCheckRow;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanSketch;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.StagePage;
import idlebough.app.web.Svg;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Finding;
import idlebough.core.layout.BaseLine;
import idlebough.core.layout.PegChecks;
import idlebough.core.layout.PegPlan;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.RowMarks;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.UnitSystem;
import idlebough.core.site.Berm;
import idlebough.core.site.Mound;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The pegs in the ground: what is taped from where, which stand, and whether they stand right. */
@Controller
@RequestMapping("/orchards/{orchard}/layout/pegs")
public class PegsController {
    private static final double YARD = 0.9144;
    private static final double SKETCH_WIDTH = 800;
    private static final double SKETCH_HEIGHT = 460;
    private static final double BESIDE = 6;
    /** Letters after P and Q, of which none looks like a figure. */
    private static final List<String> LETTERS =
            List.of("R", "S", "T", "U", "V", "W", "X", "Y", "Z", "RR", "SS", "TT", "UU", "VV", "WW", "XX", "YY", "ZZ");

    private static final double FARTHEST = 500;
    private final Pages pages;
    private final Edits edits;

    PegsController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /** One peg of the list with its tree. */
    public record PegLine(PegPlan.Peg peg, TreeView tree) {}

    /**
     * A point that is taped from.
     *
     * @param letter on the sketch; the tag where it is a peg
     * @param what stands there, in words; empty for the ends of the base line and for pegs
     * @param at and textAt: where it is on the sketch
     */
    public record Stake(String letter, String what, String at, String textAt) {
        /** “R, House corner 2”. */
        public String words() {
            return what.isEmpty() ? letter : letter + " (" + what + ")";
        }
    }

    /** What is taped from one pair of points. */
    public record StationLines(PegPlan.Station station, Stake p, Stake q, List<PegLine> lines) {}

    /** One check with the tags of its pegs. */
    public record CheckLine(String id, String from, String to, double metres) {}

    @GetMapping
    String pegs(Scope scope, Reader say, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.LAYOUT);
        show(model, plan, say, Fields.blank(say.display()));
        return "layout/pegs";
    }

    private void show(Model model, PlanView plan, Reader say, Fields fields) {
        if (plan.plot() == null) {
            throw new NotFound();
        }
        BaseLine line = BaseLine.of(plan.plot());
        Double chosen = plan.rows().settings().rows().tape();
        UnitSystem units = say.display().system();
        double tape = chosen == null ? PegPlan.usualTape(units) : chosen;
        List<TreeView> toPlant = plan.trees().stream().filter(TreeView::toPlant).toList();
        PegPlan pegs = PegPlan.of(
                plan.plot(),
                plan.terrain().site().features(),
                plan.terrain().ground(),
                toPlant.stream().map(TreeView::planned).toList(),
                tape);
        Map<String, TreeView> trees = new LinkedHashMap<>();
        toPlant.forEach(tree -> trees.put(tree.id(), tree));
        model.addAttribute("fields", fields);
        model.addAttribute("baseline", line);
        model.addAttribute("square", line.square(units == UnitSystem.US ? YARD : 1));
        model.addAttribute("tape", tape);
        model.addAttribute("tapes", PegPlan.tapes(units));
        model.addAttribute("beyond", pegs.beyond());
        PlanSketch sketch =
                PlanSketch.named(plan, say, SKETCH_WIDTH, SKETCH_HEIGHT).orElseThrow();
        Map<PegPlan.Fixed, Stake> stakes = stakes(pegs, sketch.sheet(), say);
        model.addAttribute("stakes", stakes.values());
        model.addAttribute(
                "stations",
                pegs.stations().stream()
                        .map(station -> new StationLines(
                                station,
                                stakes.get(station.p()),
                                stakes.get(station.q()),
                                station.pegs().stream()
                                        .map(peg -> new PegLine(
                                                peg, trees.get(peg.tree().id())))
                                        .toList()))
                        .toList());
        List<RowMarks> marks = RowMarks.of(
                toPlant.stream().map(TreeView::planned).toList(), plan.terrain().ground());
        model.addAttribute("marks", marks);
        model.addAttribute("ridges", ridges(plan, marks));
        model.addAttribute(
                "ripping", marks.stream().mapToDouble(RowMarks::length).sum());
        model.addAttribute("pegtrees", plan.trees());
        model.addAttribute("toPeg", toPlant.size());
        model.addAttribute(
                "setOut", toPlant.stream().filter(tree -> tree.peg().setOut()).count());
        Map<String, PlannedTree> planned = new LinkedHashMap<>();
        plan.evaluation().layout().trees().forEach(tree -> planned.put(tree.id(), tree));
        List<Finding> checked =
                PegChecks.judge(plan.evaluation().orchard().observations().pegs(), planned);
        model.addAttribute("checked", pages.shown(plan, checked));
        model.addAttribute(
                "checks",
                plan.rows().pegChecks().stream()
                        .filter(check ->
                                planned.containsKey(check.fromTreeId()) && planned.containsKey(check.toTreeId()))
                        .map(check -> new CheckLine(
                                check.id(),
                                planned.get(check.fromTreeId()).label(),
                                planned.get(check.toTreeId()).label(),
                                check.metres()))
                        .toList());
        model.addAttribute("sketch", sketch);
    }

    /**
     * A row whose trees stand on mounds, as one ridge.
     *
     * @param placed soil that lies there on the day, m³
     */
    public record Ridge(String row, double height, double wide, double placed) {}

    private static List<Ridge> ridges(PlanView plan, List<RowMarks> rows) {
        return rows.stream()
                .flatMap(row -> {
                    double height = row.marks().stream()
                            .mapToDouble(mark ->
                                    plan.tree(mark.tree().id()).footing().height())
                            .max()
                            .orElse(0);
                    double foot = row.marks().stream()
                            .flatMap(mark -> plan.tree(mark.tree().id()).section().mound().stream())
                            .mapToDouble(Mound::base)
                            .max()
                            .orElse(0);
                    Berm berm = Berm.ofRow(row.length(), height, foot);
                    return height > 0
                            ? Stream.of(new Ridge(row.name(), height, berm.baseWidth(), berm.placed()))
                            : Stream.empty();
                })
                .toList();
    }

    /** Letters for the points that are taped from, P and Q those of the base line. */
    private static Map<PegPlan.Fixed, Stake> stakes(PegPlan pegs, Sheet sheet, Reader say) {
        Map<PegPlan.Fixed, Stake> stakes = new LinkedHashMap<>();
        int[] letters = {0};
        pegs.stations().stream()
                .flatMap(station -> Stream.of(station.p(), station.q()))
                .forEach(fixed -> stakes.computeIfAbsent(fixed, point -> {
                    boolean named = point.name().length() == 1 || point.name().startsWith("peg ");
                    String letter = named ? point.name() : LETTERS.get(letters[0]++ % LETTERS.size());
                    return new Stake(
                            letter,
                            named ? "" : what(point, say),
                            sheet.at(point.at()),
                            Svg.translate(
                                    sheet.x(point.at().x()) + BESIDE,
                                    sheet.y(point.at().y()) - BESIDE));
                }));
        return stakes;
    }

    private static String what(PegPlan.Fixed point, Reader say) {
        return point.mark()
                .map(mark -> say.tape(mark.metres()) + " from " + mark.from() + " on the line to " + mark.to()
                        + (mark.off() > 0 ? ", then " + say.tape(mark.off()) + " square to it by 3-4-5" : ""))
                .orElse(point.name());
    }

    /** How long the tapes are. */
    @PostMapping("/tape")
    String tape(Scope scope, FormStamp stamp, @RequestParam double tape) {
        if (!PegPlan.isTape(tape)) {
            throw new NotFound();
        }
        edits.apply(
                scope,
                stamp.change("Chose the tapes"),
                now -> List.of(Edit.change(now.rows().settings(), stamp.revision(), Map.of("tape", tape))));
        return back(scope);
    }

    /** A peg stands in the ground, or no longer. */
    @PostMapping("/set")
    String set(Scope scope, FormStamp stamp, @RequestParam String tree, @RequestParam boolean on) {
        TreeView of = pages.plan(scope).tree(tree);
        edits.apply(
                scope,
                stamp.change(on ? "Set peg " + of.label() : "Took up peg " + of.label()),
                now -> List.of(Edit.change(of.peg(), stamp.revision(), Map.of("setOut", on))));
        return back(scope) + "#peg-" + tree;
    }

    /** What was measured between two pegs. */
    @PostMapping("/check")
    String check(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @RequestParam String from,
            @RequestParam String to,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        plan.tree(from);
        plan.tree(to);
        Fields fields = new Fields(typed, say.display());
        double metres = fields.required("measured", Quantity.TAPE, 0, FARTHEST);
        if (from.equals(to)) {
            fields.complain("measured", "A check goes from one peg to another one.");
        }
        if (fields.wrong()) {
            show(model, pages.open(model, scope, StagePage.LAYOUT), say, fields);
            return "layout/pegs";
        }
        edits.apply(
                scope,
                stamp.change("Checked pegs"),
                now -> List.of(Edit.add(new PegCheckRow(RowKey.fresh(scope.orchard()), from, to, metres))));
        return back(scope) + "#checks";
    }

    @PostMapping("/check/remove")
    String unchecked(Scope scope, FormStamp stamp, @RequestParam String check) {
        edits.apply(
                scope,
                stamp.change("Took back a check"),
                now -> List.of(Edit.remove(
                        now.rows().pegChecks().stream()
                                .filter(row -> row.id().equals(check))
                                .findFirst()
                                .orElseThrow(NotFound::new),
                        stamp.revision())));
        return back(scope) + "#checks";
    }

    private static String back(Scope scope) {
        return "redirect:/orchards/" + scope.orchard() + "/layout/pegs";
    }
}
