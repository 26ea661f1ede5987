package idlebough.app.planting;

import idlebough.app.daybook.Measure;
import idlebough.app.exchange.CardPrinter;
import idlebough.app.layout.Tree;
import idlebough.app.layout.TreeState;
import idlebough.app.layout.WayChoice;
import idlebough.app.plan.Ids;
import idlebough.app.plan.LostRace;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.plan.TreeView;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Stage;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Way;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.crop.Form;
import idlebough.core.planting.PlantingRules;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingWays;
import idlebough.core.site.Footing;
import idlebough.core.site.Mound;
import idlebough.core.winter.WinterWays;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

/** How wide, how deep, how high, which way round; and what was really done. */
@Controller
@RequestMapping("/orchards/{orchard}")
public class PlantingController {
    /** The ways of the whole orchard, in the order of the work. */
    private static final List<Way> ALL =
            Stream.concat(WinterWays.ALL.stream(), PlantingWays.ALL.stream()).toList();

    private final Pages pages;
    private final CardPrinter printer;

    PlantingController(Pages pages, CardPrinter printer) {
        this.pages = pages;
        this.printer = printer;
    }

    /** One way as the page offers it. @param here the school that holds, @param own whether chosen for this tree alone */
    public record Offered(Way way, Way.School here, boolean own) {}

    @GetMapping("/planting")
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = "0") int weeks) {
        Reckoning plan = pages.open(model, scope, Stage.PLANTING);
        TreeView picked = pages.tree(plan, tree);
        section(model, plan, picked, weeks);
        model.addAttribute(
                "fields",
                Fields.blank(reader.display()).put("day", plan.plan().settings().plantingDate()));
        return "planting/planting";
    }

    private void section(Model model, Reckoning plan, TreeView picked, int weeks) {
        model.addAttribute("picked", picked);
        if (picked == null) {
            return;
        }
        model.addAttribute("figures", figures(picked));
        model.addAttribute(
                "drawing", SectionDrawing.of(picked.section(), picked.pit(), Math.max(0, Math.min(weeks, 208))));
        model.addAttribute("weeks", weeks);
        model.addAttribute("ways", offered(plan, picked.id()));
        model.addAttribute("about", pages.about(plan, Stage.PLANTING.room(), "tree:" + picked.id()));
        model.addAttribute("asPlanted", plan.asPlanted(picked.id()));
        model.addAttribute("index", plan.trees().indexOf(picked) + 1);
    }

    private static List<Offered> offered(Reckoning plan, String tree) {
        Map<String, String> holding = plan.waysOf(tree);
        // A tree stands in the orchard's winters; only the ways of planting are its own.
        return (tree == null ? ALL : PlantingWays.ALL)
                .stream()
                        .map(way -> new Offered(
                                way,
                                way.choose(holding.get(way.key())),
                                plan.plan().ways().stream()
                                        .anyMatch(w -> tree != null
                                                && tree.equals(w.treeId())
                                                && w.wayKey().equals(way.key()))))
                        .toList();
    }

    static List<Figure> figures(TreeView tree) {
        PlantingSection s = tree.section();
        List<Figure> figures = new ArrayList<>();
        if (s.hasUnion()) {
            figures.add(Figure.of(
                    "union", "Union above the board, planting day", Amount.fine(s.unionToday()), "", s::heightWorking));
        }
        figures.add(Figure.of("flare", "Flare above the board", Amount.fine(s.raise()), "proud", s::raiseWorking));
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
            @RequestParam String way,
            @RequestParam String choice,
            @RequestParam(required = false) String tree,
            @RequestParam(defaultValue = "0") int weeks) {
        Reckoning plan = pages.reckon(scope);
        Way chosen = (tree == null || tree.isBlank() ? ALL : PlantingWays.ALL)
                .stream()
                        .filter(w -> w.key().equals(way) && w.offers(choice))
                        .findFirst()
                        .orElseThrow(NotFound::new);
        String of = tree == null || tree.isBlank() ? null : tree;
        if (of != null && plan.tree(of) == null) {
            throw new NotFound();
        }
        WayChoice before = plan.plan().ways().stream()
                .filter(w -> w.wayKey().equals(way) && java.util.Objects.equals(w.treeId(), of))
                .findFirst()
                .orElse(null);
        pages.changes()
                .make(
                        scope,
                        chosen.title() + ": " + chosen.choose(choice).name()
                                + (of == null ? "" : " (" + plan.tree(of).label() + ")"),
                        pen -> {
                            if (before == null) {
                                pen.add(new WayChoice(Ids.next(), scope.orchard(), of, way, choice, 0, false));
                            } else {
                                pen.save(pages.changes().with(before, Map.of("choice", choice)));
                            }
                        });
        return "redirect:/orchards/" + scope.orchard()
                + (of == null ? "/ways" : "/planting?tree=" + of + "&weeks=" + weeks);
    }

    @GetMapping("/ways")
    String ways(Scope scope, Reader reader, Model model) {
        Reckoning plan = pages.open(model, scope, null);
        model.addAttribute("ways", offered(plan, null));
        return "planting/ways";
    }

    /** Every tree to be planted of one crop, for which one pit speaks, on a mound or on the grade. */
    @PostMapping("/planting/footing")
    String footing(
            Scope scope,
            @RequestParam Footing footing,
            @RequestParam(required = false) String pit,
            @RequestParam(required = false) String crop,
            @RequestParam(required = false) String tree) {
        Reckoning plan = pages.reckon(scope);
        List<TreeView> trees = tree != null
                ? plan.trees().stream().filter(t -> t.id().equals(tree)).toList()
                : pages.acts(plan).trees(pit, crop);
        if (trees.isEmpty()) {
            throw new NotFound();
        }
        pages.changes()
                .make(
                        scope,
                        trees.size() + (trees.size() == 1 ? " tree " : " trees ") + footing.words(),
                        pen -> trees.forEach(t -> pen.save(pages.changes().with(t.row(), Map.of("footing", footing)))));
        return "redirect:/orchards/" + scope.orchard() + "/planting?tree="
                + trees.get(0).id();
    }

    @GetMapping("/planting/{tree}")
    String edit(Scope scope, Reader reader, Model model, @PathVariable String tree) {
        Reckoning plan = pages.open(model, scope, Stage.PLANTING);
        TreeView picked = pages.tree(plan, tree);
        section(model, plan, picked, 0);
        model.addAttribute("fields", form(picked.row(), reader.display()));
        model.addAttribute("forms", Form.values());
        model.addAttribute("footings", Footing.values());
        return "planting/tree";
    }

    private static Fields form(Tree row, Display display) {
        return Fields.blank(display)
                .put("form", row.form())
                .put("ballDiameter", row.ballDiameter(), Quantity.SHORT_LENGTH)
                .put("ballHeight", row.ballHeight(), Quantity.SHORT_LENGTH)
                .put("union", row.unionAboveFlare(), Quantity.FINE_LENGTH)
                .put("stem", row.stem(), Quantity.FINE_LENGTH)
                .put("footing", row.footing() == null ? "GRADE" : row.footing())
                .put("version", row.version());
    }

    @PostMapping("/planting/{tree}")
    String save(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String tree,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        TreeView picked = pages.tree(plan, tree);
        Fields fields = new Fields(typed, reader.display());
        Map<String, Object> changed = new HashMap<>();
        changed.put("form", fields.choice("form", Form.class));
        changed.put("ballDiameter", fields.required("ballDiameter", Quantity.SHORT_LENGTH, 0.05, 3));
        changed.put("ballHeight", fields.required("ballHeight", Quantity.SHORT_LENGTH, 0.05, 2));
        changed.put("unionAboveFlare", fields.optional("union", Quantity.FINE_LENGTH, 0, 1));
        changed.put("stem", fields.required("stem", Quantity.FINE_LENGTH, 0.003, 0.5));
        changed.put("footing", fields.choice("footing", Footing.class));
        changed.put("version", fields.version());
        if (!fields.wrong()) {
            try {
                pages.changes().make(scope, "Measured " + picked.label(), pen -> {
                    pen.save(pages.changes().with(picked.row(), changed));
                    if (fields.ticked("all")) {
                        Map<String, Object> shape = new HashMap<>(changed);
                        shape.remove("version");
                        shape.remove("unionAboveFlare");
                        shape.remove("footing");
                        plan.trees().stream()
                                .filter(t -> t.toPlant()
                                        && !t.id().equals(tree)
                                        && t.variety().equals(picked.variety()))
                                .forEach(t -> pen.save(pages.changes().with(t.row(), shape)));
                    }
                });
                return "redirect:/orchards/" + scope.orchard() + "/planting?tree=" + tree;
            } catch (LostRace raced) {
                fields.against(form((Tree) raced.current(), reader.display()));
            }
        }
        Reckoning again = pages.open(model, scope, Stage.PLANTING);
        section(model, again, pages.tree(again, tree), 0);
        model.addAttribute("fields", fields);
        model.addAttribute("forms", Form.values());
        model.addAttribute("footings", Footing.values());
        return "planting/tree";
    }

    /** The tree is in the ground; its union was measured over the board. */
    @PostMapping("/planting/{tree}/planted")
    String planted(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String tree,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        TreeView picked = pages.tree(plan, tree);
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.date("day");
        Double height = picked.section().hasUnion()
                ? Double.valueOf(fields.required("height", Quantity.FINE_LENGTH, -0.5, 2))
                : fields.optional("height", Quantity.FINE_LENGTH, -0.5, 2);
        if (fields.wrong()) {
            Reckoning again = pages.open(model, scope, Stage.PLANTING);
            section(model, again, pages.tree(again, tree), 0);
            model.addAttribute("fields", fields);
            return "planting/planting";
        }
        pages.changes().make(scope, "Planted " + picked.label(), pen -> {
            pen.save(pages.changes().with(picked.row(), Map.of("state", TreeState.PLANTED, "plantedOn", day)));
            if (height != null) {
                pen.add(new Measure(Ids.next(), scope.orchard(), tree, day, height, Measure.Kind.AS_PLANTED, 0, false));
            }
        });
        return "redirect:/orchards/" + scope.orchard() + "/planting?tree=" + tree;
    }

    /** The printed card of one tree. */
    @GetMapping("/planting/{tree}/card.pdf")
    ResponseEntity<byte[]> card(
            Scope scope, Reader reader, @PathVariable String tree, @RequestParam(defaultValue = "A4") String paper) {
        Reckoning plan = pages.reckon(scope);
        TreeView picked = pages.tree(plan, tree);
        List<Phrase> doubts = PlantingRules.judge(picked.id(), picked.label(), picked.section()).stream()
                .filter(f -> !f.isSound())
                .map(f -> f.headline())
                .toList();
        byte[] pdf = printer.card(
                plan.plan().orchard().name(),
                picked,
                figures(picked),
                SectionDrawing.of(picked.section(), picked.pit(), 0),
                doubts,
                reader,
                plan.plan().settings().plantingDate(),
                paper.equals("Letter"));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename("planting-card-" + picked.label() + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
