package idlebough.app.planting;

import idlebough.app.store.ArrivalRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.LabelSigns;
import idlebough.core.crop.PotClass;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.Delivery;
import idlebough.core.planting.PlantingWays;
import java.time.Clock;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Trees as they come: a whole delivery at once, each looked at on the phone, and what is done with it. */
@Controller
@RequestMapping("/orchards/{orchard}/planting")
public class DeliveryController {
    /** When the first tree goes in. */
    private static final LocalTime BEGINS = LocalTime.of(9, 0);

    private static final double SHORTEST_SOAK = 2;
    private static final double LONGEST_SOAK = 6;
    private static final int MINUTES = 60;
    private final Pages pages;
    private final PlantingPage planting;
    private final Edits edits;
    private final Clock clock;

    DeliveryController(Pages pages, PlantingPage planting, Edits edits, Clock clock) {
        this.pages = pages;
        this.planting = planting;
        this.edits = edits;
        this.clock = clock;
    }

    /**
     * One tree of the list.
     *
     * @param delivery empty while nobody looked
     * @param out days out of the ground on planting day; empty for a ball
     */
    public record Came(TreeView tree, Optional<Delivery> delivery, Optional<Long> out) {
        public Arrival arrival() {
            return tree.nursery().arrival();
        }
    }

    /** Trees of one variety. */
    public record Lot(String title, List<Came> trees) {
        public long looked() {
            return trees.stream().filter(each -> each.arrival().looked()).count();
        }
    }

    @GetMapping("/deliveries")
    String list(Scope scope, Reader say, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        return list(model, plan, Fields.blank(say.display()).put("arrivedOn", today(plan)));
    }

    private String list(Model model, PlanView plan, Fields fields) {
        LocalDate day = plan.rows().settings().plantingDate();
        Map<String, List<Came>> lots = new TreeMap<>();
        plan.trees().stream()
                .filter(TreeView::toPlant)
                .forEach(tree -> lots.computeIfAbsent(tree.variety().label(), of -> new ArrayList<>())
                        .add(came(tree, day)));
        model.addAttribute(
                "lots",
                lots.entrySet().stream()
                        .map(lot -> new Lot(lot.getKey(), lot.getValue()))
                        .toList());
        model.addAttribute("day", day);
        model.addAttribute("soak", soak(plan));
        model.addAttribute("hardening", Delivery.hardening());
        model.addAttribute("places", Arrival.Place.values());
        model.addAttribute("fields", fields);
        return "planting/deliveries";
    }

    private static Came came(TreeView tree, LocalDate day) {
        return new Came(
                tree,
                tree.nursery().arrival().looked() ? Optional.of(Delivery.of(tree.nursery())) : Optional.empty(),
                Delivery.outOfGround(tree.nursery(), day));
    }

    /** When bare roots go into water on planting day, by the orchard's way; empty where none are to plant. */
    private static Optional<String> soak(PlanView plan) {
        boolean bare = plan.trees().stream()
                .anyMatch(tree -> tree.toPlant() && tree.nursery().form() == Form.BARE);
        if (!bare) {
            return Optional.empty();
        }
        double hours = plan.evaluation().orchard().ways().of(PlantingWays.SOAK).value();
        if (hours < 1) {
            return Optional.of(Math.round(hours * MINUTES) + " minutes before each goes in");
        }
        boolean usual = hours >= SHORTEST_SOAK && hours <= LONGEST_SOAK;
        return Optional.of(
                usual
                        ? "between " + BEGINS.minusHours((long) LONGEST_SOAK) + " and "
                                + BEGINS.minusHours((long) SHORTEST_SOAK) + ", if the first goes in at " + BEGINS
                        : "at " + BEGINS.minusMinutes(Math.round(hours * MINUTES)) + " the day before, out by "
                                + BEGINS);
    }

    /** Several came at once: when, since when out of the ground, and where they wait. What each is like is seen later. */
    @PostMapping("/deliveries")
    String came(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @RequestParam(defaultValue = "") List<String> trees,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Fields fields = new Fields(typed, say.display());
        ArrivalRow.Came came = dates(fields, plan);
        ArrivalRow.Kept kept = kept(fields);
        if (trees.isEmpty()) {
            fields.complain("trees", "Choose which trees have come.");
        }
        if (fields.wrong()) {
            return list(model, pages.open(model, scope, StagePage.PLANTING), fields);
        }
        Set<String> known = plan.trees().stream()
                .filter(TreeView::toPlant)
                .map(TreeView::id)
                .collect(Collectors.toSet());
        List<String> these = trees.stream().filter(known::contains).toList();
        edits.apply(
                scope,
                stamp.change(these.size() + (these.size() == 1 ? " tree" : " trees") + " came"),
                now -> these.stream()
                        .map(tree -> written(now, tree, came, kept, stamp.revision()))
                        .toList());
        return "redirect:/orchards/" + scope.orchard() + "/planting/deliveries";
    }

    private ArrivalRow.Came dates(Fields fields, PlanView plan) {
        LocalDate arrived = fields.past("arrivedOn", today(plan));
        LocalDate lifted = fields.value("liftedOn").isBlank() ? null : fields.past("liftedOn", today(plan));
        if (arrived != null && lifted != null && lifted.isAfter(arrived)) {
            fields.complain("liftedOn", "It was lifted before it came: this day is later than the arrival.");
        }
        return new ArrivalRow.Came(arrived, lifted);
    }

    private static ArrivalRow.Kept kept(Fields fields) {
        Arrival.Place place = fields.value("keptAs").isBlank() ? null : fields.choice("keptAs", Arrival.Place.class);
        return new ArrivalRow.Kept(place, fields.value("keptUntil").isBlank() ? null : fields.date("keptUntil"));
    }

    private static Edit written(Plan now, String tree, ArrivalRow.Came came, ArrivalRow.Kept kept, long base) {
        return now.rows()
                .arrivalOf(tree)
                .map(row -> {
                    Map<String, Object> changed = new HashMap<>();
                    changed.put("arrivedOn", came.arrivedOn());
                    changed.put("liftedOn", came.liftedOn());
                    changed.put("keptAs", kept.keptAs());
                    changed.put("keptUntil", kept.keptUntil());
                    return Edit.change(row, base, changed);
                })
                .orElseGet(() -> Edit.add(new ArrivalRow(
                        RowKey.fresh(now.head().id()),
                        tree,
                        came,
                        new ArrivalRow.Seen(
                                Arrival.Label.NOT_SEEN,
                                Arrival.Bark.NOT_SEEN,
                                Arrival.Branches.NOT_SEEN,
                                Arrival.Roots.NOT_SEEN,
                                Arrival.Joint.NOT_SEEN),
                        new ArrivalRow.Measured(null, null),
                        kept)));
    }

    /** Unions of all grafted trees to be planted, as one form. */
    @GetMapping("/unions")
    String unions(Scope scope, Reader say, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        Fields fields = Fields.blank(say.display());
        grafted(plan)
                .forEach(tree -> fields.put(field(tree), tree.row().nursery().unionAboveFlare(), Quantity.FINE_LENGTH));
        return unions(model, plan, fields);
    }

    private static String unions(Model model, PlanView plan, Fields fields) {
        model.addAttribute("rows", grafted(plan));
        model.addAttribute("fields", fields);
        return "planting/unions";
    }

    private static String field(TreeView tree) {
        return "u-" + tree.id();
    }

    private static List<TreeView> grafted(PlanView plan) {
        return plan.trees().stream()
                .filter(tree -> tree.toPlant() && tree.section().hasUnion())
                .toList();
    }

    @PostMapping("/unions")
    String unions(Scope scope, Reader say, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Fields fields = new Fields(typed, say.display());
        // What is shown is rounded: a figure that nobody changed stays as it was measured.
        Fields stood = Fields.blank(say.display());
        Map<TreeView, Double> measured = new LinkedHashMap<>();
        for (TreeView tree : grafted(plan)) {
            Double before = tree.row().nursery().unionAboveFlare();
            stood.put(field(tree), before, Quantity.FINE_LENGTH);
            if (fields.typed(field(tree))) {
                boolean same = stood.value(field(tree)).equals(fields.value(field(tree)));
                measured.put(tree, same ? before : fields.optional(field(tree), Quantity.FINE_LENGTH, 0, 1));
            }
        }
        if (fields.wrong()) {
            return unions(model, pages.open(model, scope, StagePage.PLANTING), fields);
        }
        edits.apply(
                scope,
                stamp.change("Measured " + measured.size() + (measured.size() == 1 ? " union" : " unions")),
                now -> measured.entrySet().stream()
                        .map(each -> {
                            Map<String, Object> own = new HashMap<>();
                            own.put("unionAboveFlare", each.getValue());
                            return Edit.change(each.getKey().row(), stamp.revision(), own);
                        })
                        .toList());
        return "redirect:/orchards/" + scope.orchard() + "/planting/unions";
    }

    @GetMapping("/{tree}/arrival")
    String look(Scope scope, Reader say, Model model, @PathVariable String tree) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        TreeView of = plan.tree(tree);
        return look(model, plan, say, of, stored(plan, say, of));
    }

    private String look(Model model, PlanView plan, Reader say, TreeView tree, Fields fields) {
        planting.show(model, plan, say, PlantingPage.Look.of(tree.id(), 0, false));
        model.addAttribute("nursery", NurseryDrawing.of(tree));
        model.addAttribute("spreadCss", "form-first");
        model.addAttribute("fields", fields);
        model.addAttribute("looked", tree.nursery().arrival().looked());
        Delivery delivery = Delivery.of(tree.nursery());
        model.addAttribute("delivery", delivery);
        model.addAttribute("claim", claim(tree, delivery, say));
        model.addAttribute("labels", Arrival.Label.values());
        model.addAttribute("barks", Arrival.Bark.values());
        model.addAttribute("branches", Arrival.Branches.values());
        model.addAttribute("roots", roots(tree.nursery().form()));
        model.addAttribute("joints", Arrival.Joint.values());
        model.addAttribute("places", Arrival.Place.values());
        model.addAttribute("signs", LabelSigns.of(tree.variety().crop()));
        model.addAttribute("next", next(plan, tree));
        model.addAttribute("bare", tree.nursery().form() == Form.BARE);
        return "planting/arrival";
    }

    /** What the nursery is written. */
    private static String claim(TreeView tree, Delivery delivery, Reader say) {
        return tree.variety().label()
                + (tree.stock() == null ? "" : " on " + tree.stock().name())
                + tree.nursery()
                        .arrival()
                        .day()
                        .map(day -> ", came " + say.date(day))
                        .orElse("") + ". "
                + delivery.claims().stream().map(say::of).collect(Collectors.joining(" "))
                + (delivery.verdict() == Delivery.Verdict.REFUSE
                        ? " Please replace it, or give its price back."
                        : " Please note this; we mend what can be mended.");
    }

    /** What roots can be like, by how the tree comes. */
    private static List<Arrival.Roots> roots(Form form) {
        Set<Arrival.Roots> not = form == Form.BARE
                ? Set.of(Arrival.Roots.LIGHT, Arrival.Roots.MODERATE, Arrival.Roots.HEAVY)
                : Set.of(Arrival.Roots.TORN);
        return List.of(Arrival.Roots.values()).stream()
                .filter(each -> !not.contains(each))
                .toList();
    }

    /** The next tree that came and has not been looked at, else one that may come; null when all were. */
    private static TreeView next(PlanView plan, TreeView but) {
        return plan.trees().stream()
                .filter(tree -> tree.toPlant()
                        && !tree.id().equals(but.id())
                        && tree.nursery().arrival().seen().equals(Arrival.Seen.NOTHING))
                .min(Comparator.comparing(tree -> !tree.nursery().arrival().looked()))
                .orElse(null);
    }

    private Fields stored(PlanView plan, Reader say, TreeView tree) {
        Fields fields = Fields.blank(say.display())
                .put("union", tree.row().nursery().unionAboveFlare(), Quantity.FINE_LENGTH)
                .put("stem", tree.row().nursery().stem(), Quantity.FINE_LENGTH);
        Optional<ArrivalRow> row = plan.rows().arrivalOf(tree.id());
        if (row.isEmpty()) {
            return fields.put("arrivedOn", today(plan));
        }
        ArrivalRow seen = row.get();
        fields.put("arrivedOn", seen.came().arrivedOn())
                .put("label", seen.seen().label())
                .put("bark", seen.seen().bark())
                .put("branches", seen.seen().branches())
                .put("roots", seen.seen().roots())
                .put("joint", seen.seen().joint())
                .put("flareDepth", seen.measured().flareDepth(), Quantity.FINE_LENGTH)
                .put("height", seen.measured().height(), Quantity.SHORT_LENGTH);
        if (seen.came().liftedOn() != null) {
            fields.put("liftedOn", seen.came().liftedOn());
        }
        if (seen.kept().keptAs() != null) {
            fields.put("keptAs", seen.kept().keptAs());
        }
        if (seen.kept().keptUntil() != null) {
            fields.put("keptUntil", seen.kept().keptUntil());
        }
        return fields;
    }

    /** What was seen of one tree; of the others of its variety the same, as long as nobody looked at them. */
    @PostMapping("/{tree}/arrival")
    String looked(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @PathVariable String tree,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        TreeView of = plan.tree(tree);
        if (!of.toPlant()) {
            throw new NotFound();
        }
        Fields fields = new Fields(typed, say.display());
        ArrivalRow.Came came = dates(fields, plan);
        ArrivalRow.Kept kept = kept(fields);
        ArrivalRow.Seen seen = new ArrivalRow.Seen(
                fields.choice("label", Arrival.Label.class),
                fields.choice("bark", Arrival.Bark.class),
                fields.choice("branches", Arrival.Branches.class),
                fields.choice("roots", Arrival.Roots.class),
                fields.choice("joint", Arrival.Joint.class));
        ArrivalRow.Measured measured = new ArrivalRow.Measured(
                fields.optional("flareDepth", Quantity.FINE_LENGTH, 0, 0.5),
                fields.optional("height", Quantity.SHORT_LENGTH, 0.1, 8));
        Double union = fields.optional("union", Quantity.FINE_LENGTH, 0, 1);
        Fields stood = stored(plan, say, of);
        // What is shown is rounded: a thickness that nobody changed stays as it was.
        boolean thick = fields.typed("stem") && !fields.value("stem").equals(stood.value("stem"));
        Double stem = thick ? fields.optional("stem", Quantity.FINE_LENGTH, 0.003, 0.5) : null;
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.PLANTING);
            return look(model, again, say, again.tree(tree), fields);
        }
        List<TreeView> like = new ArrayList<>(List.of(of));
        if (fields.ticked("all")) {
            plan.trees().stream()
                    .filter(other -> other.toPlant()
                            && !other.id().equals(tree)
                            && other.variety().equals(of.variety())
                            && other.nursery().arrival().seen().equals(Arrival.Seen.NOTHING))
                    .forEach(like::add);
        }
        edits.apply(
                scope,
                stamp.change(
                        "Looked at " + of.label() + (like.size() > 1 ? " and " + (like.size() - 1) + " like it" : "")),
                now -> {
                    List<Edit> all = new ArrayList<>();
                    like.forEach(each -> all.add(seen(
                            now,
                            new ArrivalRow(RowKey.fresh(scope.orchard()), each.id(), came, seen, measured, kept),
                            stamp.revision())));
                    Map<String, Object> own = new HashMap<>();
                    own.put("unionAboveFlare", union);
                    own.putAll(shape(of, stem, measured.flareDepth()));
                    all.add(Edit.change(of.row(), stamp.revision(), own));
                    like.stream().skip(1).forEach(each -> {
                        Map<String, Object> same = shape(each, stem, measured.flareDepth());
                        if (!same.isEmpty()) {
                            all.add(Edit.change(each.row(), stamp.revision(), same));
                        }
                    });
                    return all;
                });
        return "redirect:/orchards/" + scope.orchard() + "/planting/" + tree + "/arrival";
    }

    /** What a look changes of the tree's measures. @param stem and flareDepth: m, null where nobody measured */
    private static Map<String, Object> shape(TreeView tree, Double stem, Double flareDepth) {
        Map<String, Object> shape = new HashMap<>();
        if (stem != null) {
            shape.put("stem", stem);
        }
        if (tree.nursery().form() == Form.CONTAINER) {
            double stands = tree.row().nursery().ballHeight();
            double below = PotClass.fromFlare(
                    stands, tree.nursery().arrival().flareDepth().orElse(0.0), flareDepth == null ? 0 : flareDepth);
            if (below != stands) {
                shape.put("ballHeight", below);
            }
        }
        return shape;
    }

    private static Edit seen(Plan now, ArrivalRow fresh, long base) {
        return now.rows()
                .arrivalOf(fresh.treeId())
                .map(row -> Edit.save(
                        new ArrivalRow(
                                row.key(), row.treeId(), fresh.came(), fresh.seen(), fresh.measured(), fresh.kept()),
                        base))
                .orElseGet(() -> Edit.add(fresh));
    }

    private LocalDate today(PlanView plan) {
        return LocalDate.now(clock.withZone(plan.head().zone()));
    }
}
