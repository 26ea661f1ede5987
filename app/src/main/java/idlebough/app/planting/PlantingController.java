package idlebough.app.planting;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.MeasureRow;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.TreeRow;
import idlebough.app.store.WayRow;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.crop.Form;
import idlebough.core.crop.LabelSigns;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Way;
import idlebough.core.judge.Ways;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingWays;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.site.Footing;
import idlebough.core.site.Mound;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.winter.WinterWays;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
    /** The ways of the whole orchard, in the order of the work. */
    private static final List<Way> ALL =
            Stream.concat(WinterWays.ALL.stream(), PlantingWays.ALL.stream()).toList();

    private final Pages pages;
    private final Edits edits;
    private final CardPrinter printer;
    private final Clock clock;

    PlantingController(Pages pages, Edits edits, CardPrinter printer, Clock clock) {
        this.pages = pages;
        this.edits = edits;
        this.printer = printer;
        this.clock = clock;
    }

    /**
     * One way as the page offers it. @param here the school that holds, @param own whether chosen for this tree alone
     */
    public record Offered(Way way, Way.School here, boolean own) {}

    @GetMapping("/planting")
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = "0") int weeks) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        TreeView picked = plan.treeOrFirst(tree);
        section(model, plan, reader, picked, weeks);
        model.addAttribute(
                "fields",
                Fields.blank(reader.display())
                        .put("day", earlier(plan.rows().settings().plantingDate(), today(plan))));
        return "planting/planting";
    }

    private void section(Model model, PlanView plan, Reader say, TreeView picked, int weeks) {
        model.addAttribute("picked", picked);
        if (picked == null) {
            return;
        }
        model.addAttribute("figures", figures(picked));
        model.addAttribute("unionWords", union(picked, say));
        model.addAttribute("soilWords", soil(picked));
        model.addAttribute(
                "drawing",
                SectionDrawing.of(
                        picked.section(), Optional.ofNullable(picked.pit()), Math.max(0, Math.min(weeks, 208))));
        model.addAttribute("weeks", weeks);
        model.addAttribute("ways", offered(plan, picked.id()));
        pages.about(model, plan, StagePage.PLANTING.room(), picked.subject());
        model.addAttribute(
                "stoppedBy",
                pages.shown(
                        plan,
                        picked.stops().stream()
                                .filter(stop -> !stop.room().equals(Room.PLANTING.key()))
                                .toList()));
        model.addAttribute(
                "asPlanted",
                plan.evaluation().daybook().unions().asPlanted(picked.id()).orElse(null));
        model.addAttribute(
                "index",
                plan.evaluation().stands().stream().map(Stand::id).toList().indexOf(picked.id()) + 1);
    }

    private static String union(TreeView tree, Reader say) {
        Double measured = tree.row().nursery().unionAboveFlare();
        if (measured != null) {
            return "Union " + say.fine(measured) + " above the flare, measured on the tree.";
        }
        return tree.toPlant()
                ? "Union not measured yet."
                : "Union " + say.fine(tree.section().setting().tree().union()) + " above the flare, assumed.";
    }

    /** What it stands in; on what it is set only where nothing stops it. */
    private static String soil(TreeView tree) {
        if (tree.pit() == null) {
            return "No soil pit: loam is taken.";
        }
        return "Soil of pit " + tree.pit().label()
                + (tree.stops().isEmpty() || tree.footing().raised()
                        ? ", " + tree.footing().words()
                        : "") + ".";
    }

    private static List<Offered> offered(PlanView plan, String tree) {
        Ways ways = plan.evaluation().orchard().ways();
        if (tree == null) {
            return ALL.stream()
                    .map(way -> new Offered(way, ways.of(way), false))
                    .toList();
        }
        // A tree stands in the orchard's winters; only the ways of planting are its own.
        Map<String, String> holding = ways.of(tree);
        return PlantingWays.ALL.stream()
                .map(way -> new Offered(way, way.choose(holding.get(way.key())), ways.isOwn(tree, way)))
                .toList();
    }

    static List<Figure> figures(TreeView tree) {
        PlantingSection s = tree.section();
        List<Figure> figures = new ArrayList<>();
        if (s.hasUnion()) {
            figures.add(Figure.of(
                    "union",
                    s.measured() ? "Union above the board, measured" : "Union above the board, planting day",
                    Amount.fine(s.unionToday()),
                    "",
                    s::heightWorking));
            figures.add(new Figure(
                    "settled",
                    Phrase.of("In the end, when it has settled"),
                    Amount.fine(s.unionAtLast()),
                    Phrase.of(
                            "{} to {}",
                            Amount.fine(s.unionToday() - s.settlingHigh().total()),
                            Amount.fine(s.unionToday() - s.settlingLow().total())),
                    s::heightWorking));
        }
        figures.add(Figure.of(
                "flare",
                "Flare above the board",
                Amount.fine(s.raise()),
                s.raise() < 0 ? "below it" : "proud",
                s::raiseWorking));
        if (tree.footing() != Footing.GRADE) {
            Mound mound = Mound.of(tree.footing().height());
            figures.add(new Figure(
                    "mound",
                    Phrase.of("Mound, settled"),
                    Amount.cm(mound.height()),
                    Phrase.of("{} placed", Amount.of(1000 * mound.placed(), Quantity.EARTH)),
                    mound::working));
        }
        figures.add(Figure.of("depth", "Dig depth", Amount.cm(s.depth()), "no deeper", s::depthWorking));
        figures.add(new Figure(
                "width",
                Phrase.of("Dig width"),
                Amount.cm(s.width()),
                Phrase.of(
                        "{} × ball",
                        Amount.decimal(s.width() / s.setting().tree().ballDiameter())),
                s::widthWorking));
        figures.add(new Figure(
                "spoil",
                Phrase.of("Soil out, loose"),
                Amount.litres(s.spoil()),
                Phrase.of("{} barrows", Amount.decimal(s.barrows())),
                s::spoilWorking));
        figures.add(Figure.of("compost", "Compost", Amount.litres(s.compost()), "in the hole", s::compostWorking));
        figures.add(new Figure(
                "mulch",
                Phrase.of(
                        "Mulch ring {}, {} deep, {} clear",
                        Amount.cm(s.mulchRing()),
                        Amount.cm(s.mulchDepth()),
                        Amount.cm(s.mulchClear())),
                Amount.litres(s.mulchLitres()),
                Phrase.of("coarse"),
                s::mulchWorking));
        figures.add(Figure.of(
                "lift",
                "To lift",
                Amount.of(s.setting().tree().weight(), Quantity.MASS),
                s.lift().words(),
                s::liftWorking));
        return figures;
    }

    /** One school for the orchard, or for one tree. */
    @PostMapping("/ways")
    String way(
            Scope scope,
            FormStamp stamp,
            @RequestParam String way,
            @RequestParam String choice,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = "0") int weeks) {
        String of = tree == null || tree.isBlank() ? null : tree;
        Way chosen = (of == null ? ALL : PlantingWays.ALL)
                .stream()
                        .filter(w -> w.key().equals(way) && w.offers(choice))
                        .findFirst()
                        .orElseThrow(NotFound::new);
        String whose = of == null ? "" : " (" + pages.plan(scope).tree(of).label() + ")";
        edits.apply(
                scope,
                stamp.change(chosen.title() + ": " + chosen.choose(choice).name() + whose),
                now -> List.of(taken(now, of, way, choice, stamp.revision())));
        return "redirect:/orchards/" + scope.orchard()
                + (of == null ? "/ways" : "/planting?tree=" + of + "&weeks=" + weeks);
    }

    @GetMapping("/ways")
    String ways(Scope scope, Reader reader, Model model) {
        PlanView plan = pages.open(model, scope, null);
        model.addAttribute("ways", offered(plan, null));
        return "planting/ways";
    }

    private static Edit taken(Plan now, String tree, String way, String choice, long base) {
        return now.rows().ways().stream()
                .filter(row -> row.wayKey().equals(way) && Objects.equals(row.treeId(), tree))
                .findFirst()
                .map(row -> Edit.change(row, base, Map.of("choice", choice)))
                .orElseGet(() -> Edit.add(new WayRow(RowKey.fresh(now.head().id()), tree, way, choice)));
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
        section(model, plan, reader, tree, 0);
        model.addAttribute("nursery", NurseryDrawing.of(tree));
        model.addAttribute("fields", fields);
        model.addAttribute("signs", LabelSigns.of(tree.variety().crop()));
        model.addAttribute("forms", Form.values());
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
        changed.put("ballDiameter", fields.required("ballDiameter", Quantity.SHORT_LENGTH, 0.05, 3));
        changed.put("ballHeight", fields.required("ballHeight", Quantity.SHORT_LENGTH, 0.05, 2));
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
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.PLANTING);
            section(model, again, reader, again.tree(tree), 0);
            model.addAttribute("fields", fields);
            return "planting/planting";
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

    /** The printed card of one tree. */
    @GetMapping("/planting/{tree}/card.pdf")
    ResponseEntity<byte[]> card(
            Scope scope, Reader reader, @PathVariable String tree, @RequestParam(defaultValue = "A4") String paper) {
        PlanView plan = pages.plan(scope);
        TreeView picked = plan.tree(tree);
        return pdf(
                "planting-card-" + picked.label(),
                cards(plan, List.of(picked), reader, CardPrinter.Paper.of(paper, 1)));
    }

    /** The cards of all trees that are to be planted. */
    @GetMapping("/planting/cards.pdf")
    ResponseEntity<byte[]> cards(
            Scope scope,
            Reader reader,
            @RequestParam(defaultValue = "A4") String paper,
            @RequestParam(defaultValue = "1") int per) {
        PlanView plan = pages.plan(scope);
        List<TreeView> toPlant = plan.trees().stream().filter(TreeView::toPlant).toList();
        if (toPlant.isEmpty()) {
            throw new NotFound();
        }
        return pdf("planting-cards", cards(plan, toPlant, reader, CardPrinter.Paper.of(paper, per)));
    }

    private byte[] cards(PlanView plan, List<TreeView> trees, Reader reader, CardPrinter.Paper paper) {
        return printer.cards(
                plan.head().name(),
                trees.stream().map(tree -> card(plan, tree)).toList(),
                reader,
                plan.rows().settings().plantingDate(),
                paper);
    }

    private static CardPrinter.Card card(PlanView plan, TreeView tree) {
        List<Phrase> doubts = new ArrayList<>();
        tree.stops().forEach(stop -> doubts.add(Phrase.of("Stop. {}", stop.headline())));
        plan.judged(Room.PLANTING).about(tree.subject()).stream()
                .filter(f -> f.standing() == Standing.DOUBTFUL)
                .forEach(f -> doubts.add(f.headline()));
        return new CardPrinter.Card(
                tree, figures(tree), SectionDrawing.of(tree.section(), Optional.ofNullable(tree.pit()), 0), doubts);
    }

    private static ResponseEntity<byte[]> pdf(String name, byte[] pdf) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
