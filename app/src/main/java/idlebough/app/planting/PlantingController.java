package idlebough.app.planting;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.MeasureRow;
import idlebough.app.store.NotFound;
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
import idlebough.core.crop.Form;
import idlebough.core.crop.LabelSigns;
import idlebough.core.crop.PotClass;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.site.Footing;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** How wide, how deep, how high, which way round; and what was really done. */
@Controller
@RequestMapping("/orchards/{orchard}")
public class PlantingController {
    private static final List<String> HOLE =
            List.of("holeDepth", "holeWidth", "holeBottom", "holeRefill", "holeRaise", "holeClear");
    /** No flare is set further from the board, m. */
    private static final double HIGHEST = 1;

    private final Pages pages;
    private final Edits edits;
    private final PlantingPage planting;
    private final Clock clock;

    PlantingController(Pages pages, Edits edits, PlantingPage planting, Clock clock) {
        this.pages = pages;
        this.edits = edits;
        this.planting = planting;
        this.clock = clock;
    }

    @GetMapping("/planting")
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = "0") int weeks,
            @RequestParam(defaultValue = "false") boolean above) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        return page(model, plan, reader, PlantingPage.Look.of(tree, weeks, above), Fields.blank(reader.display()));
    }

    /** @param fields what was typed; the rest is filled with what is stored */
    private String page(Model model, PlanView plan, Reader reader, PlantingPage.Look look, Fields fields) {
        planting.show(model, plan, reader, look);
        TreeView picked = (TreeView) model.getAttribute("picked");
        if (!fields.typed("day")) {
            fields.put("day", earlier(plan.rows().settings().plantingDate(), today(plan)));
        }
        if (picked != null) {
            Fields stored = hole(picked.row(), reader.display());
            Stream.concat(HOLE.stream(), Stream.of("holeFilled"))
                    .filter(name -> !fields.typed(name))
                    .forEach(name -> fields.put(name, stored.value(name)));
        }
        model.addAttribute("fillings", Tree.Filled.values());
        model.addAttribute("fields", fields);
        return "planting/planting";
    }

    private static Fields hole(TreeRow row, Display display) {
        TreeRow.Hole hole = row.hole();
        return Fields.blank(display)
                .put("holeDepth", hole.holeDepth(), Quantity.SHORT_LENGTH)
                .put("holeWidth", hole.holeWidth(), Quantity.SHORT_LENGTH)
                .put("holeBottom", hole.holeBottom(), Quantity.SHORT_LENGTH)
                .put("holeRefill", hole.holeRefill(), Quantity.SHORT_LENGTH)
                .put("holeRaise", hole.holeRaise(), Quantity.FINE_LENGTH)
                .put("holeClear", hole.holeClear(), Quantity.SHORT_LENGTH)
                .put("holeFilled", hole.holeFilled() == null ? Tree.Filled.BY_THE_WAYS : hole.holeFilled());
    }

    /** Figures and drawing while the tree is lifted or lowered: evaluated, not stored. @param raise m */
    @GetMapping("/planting/try")
    String tryOut(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(defaultValue = "") String tree,
            @RequestParam(defaultValue = "NaN") double raise,
            @RequestParam(defaultValue = "0") int weeks) {
        PlanView stored = pages.plan(scope);
        Stand stand = stored.evaluation().stand(tree).orElseThrow(NotFound::new);
        if (!stand.toPlant() || !(Math.abs(raise) <= HIGHEST)) {
            throw new NotFound();
        }
        Tree of = stand.tree();
        PlanView plan = stored.as(stored.evaluation()
                .with(stored.evaluation()
                        .orchard()
                        .with(new Tree(
                                of.id(),
                                of.label(),
                                of.place(),
                                of.kind(),
                                of.nursery(),
                                new Tree.Ground(of.footing(), of.ground().hole().raisedTo(raise)),
                                of.life(),
                                of.choice()))));
        model.addAttribute("plan", plan);
        model.addAttribute("base", "/orchards/" + scope.orchard());
        planting.live(model, plan, reader, PlantingPage.Look.of(tree, weeks, false));
        return "planting/tried";
    }

    /**
     * The hole as the grower wants it; what is left empty is the program's.
     *
     * @param raise flare above the board as it was dragged, m; empty where the form was sent
     */
    @PostMapping("/planting/{tree}/hole")
    String own(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String tree,
            @RequestParam(required = false) Double raise,
            @RequestParam(defaultValue = "0") int weeks,
            @RequestParam Map<String, String> typed) {
        TreeView picked = pages.plan(scope).tree(tree);
        if (!picked.toPlant()) {
            throw new NotFound();
        }
        Map<String, Object> changed = new HashMap<>();
        Fields fields = new Fields(typed, reader.display());
        if (raise != null && Math.abs(raise) <= HIGHEST) {
            changed.put("holeRaise", raise);
        } else {
            changed.put("holeDepth", fields.optional("holeDepth", Quantity.SHORT_LENGTH, 0.05, 2));
            changed.put("holeWidth", fields.optional("holeWidth", Quantity.SHORT_LENGTH, 0.1, 5));
            changed.put("holeBottom", fields.optional("holeBottom", Quantity.SHORT_LENGTH, 0, 5));
            changed.put("holeRefill", fields.optional("holeRefill", Quantity.SHORT_LENGTH, 0, 2));
            changed.put("holeRaise", fields.optional("holeRaise", Quantity.FINE_LENGTH, -HIGHEST, HIGHEST));
            changed.put("holeClear", fields.optional("holeClear", Quantity.SHORT_LENGTH, 0, 1));
            changed.put(
                    "holeFilled", fields.typed("holeFilled") ? fields.choice("holeFilled", Tree.Filled.class) : null);
        }
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.PLANTING);
            return page(model, again, reader, PlantingPage.Look.of(tree, weeks, false), fields);
        }
        edits.apply(
                scope,
                stamp.change("Hole of " + picked.label()),
                now -> List.of(Edit.change(picked.row(), stamp.revision(), changed)));
        return "redirect:/orchards/" + scope.orchard() + "/planting?tree=" + tree + "&weeks=" + weeks;
    }

    /** Every tree to be planted of one crop, for which one pit speaks, on a mound or on the grade. */
    @PostMapping("/planting/footing")
    String footing(
            Scope scope,
            FormStamp stamp,
            @RequestParam Footing footing,
            @RequestParam(defaultValue = "") String pit,
            @RequestParam(defaultValue = "") String crop,
            @RequestParam(required = false) String tree) {
        PlanView plan = pages.plan(scope);
        List<TreeView> trees = tree != null ? List.of(plan.tree(tree)) : plan.toPlant(pit, crop);
        if (trees.isEmpty()) {
            throw new NotFound();
        }
        edits.apply(
                scope,
                stamp.change(trees.size() + (trees.size() == 1 ? " tree " : " trees ") + footing.words()),
                now -> trees.stream()
                        .map(t -> Edit.change(t.row(), stamp.revision(), Map.of("footing", footing)))
                        .toList());
        return "redirect:/orchards/" + scope.orchard() + "/planting?tree="
                + trees.get(0).id();
    }

    @GetMapping("/planting/{tree}")
    String edit(Scope scope, Reader reader, Model model, @PathVariable String tree) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        TreeView picked = plan.tree(tree);
        return measuring(model, plan, reader, picked, form(picked.row(), reader.display()));
    }

    private String measuring(Model model, PlanView plan, Reader reader, TreeView tree, Fields fields) {
        planting.show(model, plan, reader, PlantingPage.Look.of(tree.id(), 0, false));
        model.addAttribute("nursery", NurseryDrawing.of(tree));
        model.addAttribute("fields", fields);
        model.addAttribute("signs", LabelSigns.of(tree.variety().crop()));
        model.addAttribute("forms", Form.values());
        model.addAttribute("pots", PotClass.ALL);
        model.addAttribute("footings", Footing.values());
        return "planting/tree";
    }

    private static Fields form(TreeRow row, Display display) {
        return Fields.blank(display)
                .put("form", row.nursery().form())
                .put("ballDiameter", row.nursery().ballDiameter(), Quantity.SHORT_LENGTH)
                .put("ballHeight", row.nursery().ballHeight(), Quantity.SHORT_LENGTH)
                .put("union", row.nursery().unionAboveFlare(), Quantity.FINE_LENGTH)
                .put("stem", row.nursery().stem(), Quantity.FINE_LENGTH)
                .put("footing", row.footing() == null ? "GRADE" : row.footing());
    }

    @PostMapping("/planting/{tree}")
    String save(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String tree,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        TreeView picked = plan.tree(tree);
        Fields fields = new Fields(typed, reader.display());
        Map<String, Object> changed = new HashMap<>();
        changed.put("form", fields.choice("form", Form.class));
        Optional<PotClass> pot = PotClass.named(fields.value("pot"));
        if (pot.isPresent()) {
            // A class by its name stands for both measures of a pot.
            changed.put("form", Form.CONTAINER);
            changed.put("ballDiameter", pot.get().across());
            changed.put(
                    "ballHeight",
                    PotClass.fromFlare(
                            pot.get().height(),
                            0,
                            picked.nursery().arrival().flareDepth().orElse(0.0)));
        } else {
            changed.put("ballDiameter", fields.required("ballDiameter", Quantity.SHORT_LENGTH, 0.05, 3));
            changed.put("ballHeight", fields.required("ballHeight", Quantity.SHORT_LENGTH, 0.05, 2));
        }
        changed.put("unionAboveFlare", fields.optional("union", Quantity.FINE_LENGTH, 0, 1));
        changed.put("stem", fields.required("stem", Quantity.FINE_LENGTH, 0.003, 0.5));
        changed.put("footing", fields.choice("footing", Footing.class));
        if (!fields.wrong()) {
            boolean all = fields.ticked("all");
            edits.apply(
                    scope,
                    stamp.change("Measured " + picked.label()),
                    now -> measured(plan, picked, changed, all, stamp.revision()));
            return "redirect:/orchards/" + scope.orchard() + "/planting?tree=" + tree;
        }
        PlanView again = pages.open(model, scope, StagePage.PLANTING);
        return measuring(model, again, reader, again.tree(tree), fields);
    }

    /** This tree, and the shape alone of the others of its variety that are still to be planted. */
    private static List<Edit> measured(
            PlanView plan, TreeView picked, Map<String, Object> changed, boolean all, long base) {
        List<Edit> edits = new ArrayList<>();
        edits.add(Edit.change(picked.row(), base, changed));
        if (all) {
            Map<String, Object> shape = new HashMap<>(changed);
            shape.remove("unionAboveFlare");
            shape.remove("footing");
            plan.trees().stream()
                    .filter(t -> t.toPlant()
                            && !t.id().equals(picked.id())
                            && t.variety().equals(picked.variety()))
                    .forEach(t -> edits.add(Edit.change(t.row(), base, shape)));
        }
        return edits;
    }

    /** The tree is in the ground; its union was measured over the board. */
    @PostMapping("/planting/{tree}/planted")
    String planted(
            Scope scope,
            Reader reader,
            Model model,
            RedirectAttributes told,
            FormStamp stamp,
            @PathVariable String tree,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        TreeView picked = plan.tree(tree);
        if (!picked.toPlant() && !edits.isApplied(scope, stamp.change("Planted " + picked.label()))) {
            told.addFlashAttribute(
                    "told",
                    picked.label() + " is " + picked.row().life().state().words()
                            + " already; nothing was changed. A later measure belongs into the daybook.");
            return "redirect:/orchards/" + scope.orchard() + "/daybook?tree=" + tree;
        }
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.past("day", today(plan));
        Double height = picked.section().hasUnion()
                ? Double.valueOf(fields.required("height", Quantity.FINE_LENGTH, -0.5, 2))
                : fields.optional("height", Quantity.FINE_LENGTH, -0.5, 2);
        if (PlantingPage.wallsAsked(picked.section()) && !fields.ticked("walls")) {
            fields.complain(
                    "walls",
                    "Look at the walls first: a polished wall in heavy soil acts as a pot. Break it all round.");
        }
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.PLANTING);
            return page(model, again, reader, PlantingPage.Look.of(tree, 0, false), fields);
        }
        edits.apply(
                scope,
                stamp.change("Planted " + picked.label()),
                now -> inGround(picked.row(), day, height, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/planting?tree=" + tree;
    }

    private static LocalDate earlier(LocalDate a, LocalDate b) {
        return a.isBefore(b) ? a : b;
    }

    private LocalDate today(PlanView plan) {
        return LocalDate.now(clock.withZone(plan.head().zone()));
    }

    private static List<Edit> inGround(TreeRow row, LocalDate day, Double height, long base) {
        List<Edit> all = new ArrayList<>();
        all.add(Edit.change(row, base, Map.of("state", Tree.State.PLANTED, "plantedOn", day)));
        if (height != null) {
            RowKey key = RowKey.fresh(row.key().orchardId());
            all.add(Edit.add(new MeasureRow(key, row.id(), day, height, UnionMeasure.Kind.AS_PLANTED)));
        }
        return all;
    }
}
