package idlebough.app.daybook;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.MeasureRow;
import idlebough.app.store.NoteRow;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.Svg;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Findings;
import idlebough.core.judge.Room;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.UnionMeasure;
import idlebough.core.planting.Unions;
import idlebough.core.site.Tree;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What happened: notes, and the union measured again. */
@Controller
@RequestMapping("/orchards/{orchard}/daybook")
public class DaybookController {
    private static final double WEEKS_SHOWN = 26;
    private final Pages pages;
    private final Edits edits;
    private final Clock clock;

    DaybookController(Pages pages, Edits edits, Clock clock) {
        this.pages = pages;
        this.edits = edits;
        this.clock = clock;
    }

    /** One measured union on the sketch; page units. */
    public record Mark(double x, double y, UnionMeasure measure) {
        public String at() {
            return Svg.translate(x, y);
        }
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) String tree) {
        PlanView plan = pages.open(model, scope, StagePage.DAYBOOK);
        LocalDate today = today(plan);
        return page(
                model,
                plan,
                tree,
                Fields.blank(reader.display()).put("notedOn", today).put("measuredOn", today));
    }

    private LocalDate today(PlanView plan) {
        return LocalDate.now(clock.withZone(plan.head().zone()));
    }

    private String page(Model model, PlanView plan, String tree, Fields fields) {
        Unions unions = plan.evaluation().daybook().unions();
        TreeView picked = tree == null ? first(plan, unions) : plan.tree(tree);
        model.addAttribute("picked", picked);
        model.addAttribute("fields", fields);
        if (picked != null) {
            Tree.State is = picked.row().life().state();
            model.addAttribute(
                    "states",
                    Arrays.stream(Tree.State.values())
                            .filter(state -> state == is || is.mayBecome(state))
                            .toList());
            model.addAttribute(
                    "notes",
                    plan.rows().notes().stream()
                            .filter(n -> n.treeId().equals(picked.id()))
                            .sorted(Comparator.comparing(NoteRow::notedOn).reversed())
                            .toList());
            model.addAttribute("measures", unions.of(picked.id()));
            model.addAttribute("ties", UnionMeasure.Tie.values());
            model.addAttribute("mulches", UnionMeasure.Mulch.values());
            pages.about(model, plan, StagePage.DAYBOOK.room(), picked.subject());
            model.addAttribute(
                    "check", plan.evaluation().daybook().checkOf(picked.id()).orElse(null));
            sketch(model, plan, picked);
        }
        return "daybook/daybook";
    }

    /** The planted tree of which the worst is said, else the first one; null without a tree. */
    private static TreeView first(PlanView plan, Unions unions) {
        Findings judged = plan.judged(Room.DAYBOOK);
        return plan.evaluation().stands().stream()
                .filter(stand -> unions.asPlanted(stand.id()).isPresent())
                .min(Comparator.comparing(stand -> judged.worst(stand.subject()), Comparator.reverseOrder()))
                .map(stand -> plan.tree(stand.id()))
                .orElseGet(() -> plan.treeOrFirst(null));
    }

    private static void sketch(Model model, PlanView plan, TreeView tree) {
        Unions unions = plan.evaluation().daybook().unions();
        UnionMeasure planted = unions.asPlanted(tree.id()).orElse(null);
        if (planted == null) {
            return;
        }
        List<UnionMeasure> measured = unions.of(tree.id());
        double top = planted.height() + 0.03;
        double bottom = Math.min(
                        0,
                        measured.stream()
                                .mapToDouble(UnionMeasure::height)
                                .min()
                                .orElse(0))
                - 0.02;
        double weeks = Math.max(
                WEEKS_SHOWN,
                measured.stream()
                                .mapToDouble(m -> ChronoUnit.DAYS.between(planted.day(), m.day()) / 7.0)
                                .max()
                                .orElse(0)
                        + 2);
        StringBuilder band = new StringBuilder();
        StringBuilder line = new StringBuilder();
        List<String> back = new ArrayList<>();
        for (double w = 0; w <= weeks; w += weeks / 52) {
            double x = x(w, weeks);
            line.append(xy(x, y(planted.height() - tree.section().settling().after(w), bottom, top)));
            band.append(xy(x, y(planted.height() - tree.section().settlingLow().after(w) + 0.005, bottom, top)));
            back.add(0, xy(x, y(planted.height() - tree.section().settlingHigh().after(w) - 0.005, bottom, top)));
        }
        model.addAttribute("band", band + String.join("", back));
        model.addAttribute("forecast", line.toString());
        model.addAttribute(
                "marks",
                measured.stream()
                        .map(m -> new Mark(
                                x(Math.max(0, ChronoUnit.DAYS.between(planted.day(), m.day()) / 7.0), weeks),
                                y(m.height(), bottom, top),
                                m))
                        .toList());
        model.addAttribute("boardY", y(0, bottom, top));
        model.addAttribute(
                "leastY",
                tree.section().hasUnion() ? Double.valueOf(y(tree.section().unionMin(), bottom, top)) : null);
        model.addAttribute("eightX", x(8, weeks));
    }

    private static double x(double week, double weeks) {
        return 80 + 570 * week / weeks;
    }

    private static double y(double height, double bottom, double top) {
        return 570 - 470 * (height - bottom) / (top - bottom);
    }

    private static String xy(double x, double y) {
        return String.format(Locale.ROOT, "%.1f,%.1f ", x, y);
    }

    @PostMapping("/note")
    String note(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @RequestParam String tree,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        TreeView picked = plan.tree(tree);
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.past("notedOn", today(plan));
        String words = fields.words("words", 2000);
        if (fields.wrong()) {
            return page(
                    model, pages.open(model, scope, StagePage.DAYBOOK), tree, fields.put("measuredOn", today(plan)));
        }
        edits.apply(
                scope,
                stamp.change("Noted on " + picked.label()),
                now -> List.of(Edit.add(new NoteRow(RowKey.fresh(scope.orchard()), tree, day, words))));
        return "redirect:/orchards/" + scope.orchard() + "/daybook?tree=" + tree;
    }

    @PostMapping("/measure")
    String measure(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @RequestParam String tree,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        TreeView picked = plan.tree(tree);
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.past("measuredOn", today(plan));
        double height = fields.required("height", Quantity.FINE_LENGTH, -0.5, 2);
        UnionMeasure planted =
                plan.evaluation().daybook().unions().asPlanted(tree).orElse(null);
        if (planted != null && day != null && day.isBefore(planted.day())) {
            fields.complain(
                    "measuredOn", "It was planted on " + reader.date(planted.day()) + "; this day lies before.");
        }
        MeasureRow.Beside beside = new MeasureRow.Beside(
                fields.typed("tie") ? fields.choice("tie", UnionMeasure.Tie.class) : null,
                fields.typed("mulch") ? fields.choice("mulch", UnionMeasure.Mulch.class) : null);
        if (fields.wrong()) {
            return page(model, pages.open(model, scope, StagePage.DAYBOOK), tree, fields.put("notedOn", today(plan)));
        }
        UnionMeasure.Kind kind = planted == null ? UnionMeasure.Kind.AS_PLANTED : UnionMeasure.Kind.CHECK;
        edits.apply(
                scope,
                stamp.change("Measured the union of " + picked.label()),
                now -> List.of(
                        Edit.add(new MeasureRow(RowKey.fresh(scope.orchard()), tree, day, height, kind, beside))));
        return "redirect:/orchards/" + scope.orchard() + "/daybook?tree=" + tree;
    }

    /** Dead, moved away, ordered; what it cannot become is said and left. */
    @PostMapping("/state")
    String state(
            Scope scope,
            RedirectAttributes told,
            FormStamp stamp,
            @RequestParam String tree,
            @RequestParam Tree.State state) {
        TreeView picked = pages.plan(scope).tree(tree);
        Tree.State is = picked.row().life().state();
        if (is != state && !is.mayBecome(state)) {
            told.addFlashAttribute(
                    "told",
                    picked.label() + " is " + is.words() + "; it cannot become " + state.words()
                            + ". The history takes back what was said by mistake.");
            return "redirect:/orchards/" + scope.orchard() + "/daybook?tree=" + tree;
        }
        edits.apply(
                scope,
                stamp.change(picked.label() + " is " + state.words()),
                now -> List.of(Edit.change(picked.row(), stamp.revision(), Map.of("state", state))));
        return "redirect:/orchards/" + scope.orchard() + "/daybook" + (state.stands() ? "?tree=" + tree : "");
    }
}
