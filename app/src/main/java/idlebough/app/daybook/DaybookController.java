package idlebough.app.daybook;

import idlebough.app.layout.TreeState;
import idlebough.app.plan.Ids;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.plan.TreeView;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Stage;
import idlebough.core.measure.Quantity;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
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

/** What happened: notes, and the union measured again. */
@Controller
@RequestMapping("/orchards/{orchard}/daybook")
public class DaybookController {
    private static final double WEEKS_SHOWN = 26;
    private final Pages pages;
    private final Clock clock;

    DaybookController(Pages pages, Clock clock) {
        this.pages = pages;
        this.clock = clock;
    }

    /** One measured union on the sketch; page units. */
    public record Mark(double x, double y, Measure measure) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) String tree) {
        Reckoning plan = pages.open(model, scope, Stage.DAYBOOK);
        String today = today(plan).toString();
        return page(
                model,
                plan,
                tree,
                Fields.blank(reader.display()).put("notedOn", today).put("measuredOn", today));
    }

    private LocalDate today(Reckoning plan) {
        return LocalDate.now(clock.withZone(ZoneId.of(plan.plan().orchard().timeZone())));
    }

    private String page(Model model, Reckoning plan, String tree, Fields fields) {
        TreeView picked = tree == null
                ? plan.trees().stream()
                        .filter(t -> plan.asPlanted(t.id()) != null)
                        .findFirst()
                        .orElseGet(() -> pages.tree(plan, null))
                : pages.tree(plan, tree);
        model.addAttribute("picked", picked);
        model.addAttribute("fields", fields);
        model.addAttribute("states", TreeState.values());
        if (picked != null) {
            model.addAttribute(
                    "notes",
                    plan.plan().notes().stream()
                            .filter(n -> n.treeId().equals(picked.id()))
                            .sorted(Comparator.comparing(Note::notedOn).reversed())
                            .toList());
            model.addAttribute("measures", plan.measuresOf(picked.id()));
            model.addAttribute("about", pages.about(plan, Stage.DAYBOOK.room(), "tree:" + picked.id()));
            model.addAttribute("check", plan.check(picked));
            sketch(model, plan, picked);
        }
        return "daybook/daybook";
    }

    private static void sketch(Model model, Reckoning plan, TreeView tree) {
        Measure planted = plan.asPlanted(tree.id());
        if (planted == null) {
            return;
        }
        double top = planted.height() + 0.03;
        double bottom = Math.min(
                        0,
                        plan.measuresOf(tree.id()).stream()
                                .mapToDouble(Measure::height)
                                .min()
                                .orElse(0))
                - 0.02;
        double weeks = Math.max(
                WEEKS_SHOWN,
                plan.measuresOf(tree.id()).stream()
                                .mapToDouble(m -> ChronoUnit.DAYS.between(planted.measuredOn(), m.measuredOn()) / 7.0)
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
                plan.measuresOf(tree.id()).stream()
                        .map(m -> new Mark(
                                x(
                                        Math.max(
                                                0, ChronoUnit.DAYS.between(planted.measuredOn(), m.measuredOn()) / 7.0),
                                        weeks),
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
            @RequestParam String tree,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        TreeView picked = pages.tree(plan, tree);
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.date("notedOn");
        String words = fields.words("words", 2000);
        if (fields.wrong()) {
            return page(model, pages.open(model, scope, Stage.DAYBOOK), tree, fields.put("measuredOn", today(plan)));
        }
        pages.changes()
                .make(
                        scope,
                        "Noted on " + picked.label(),
                        pen -> pen.add(new Note(Ids.next(), scope.orchard(), tree, day, words, 0, false)));
        return "redirect:/orchards/" + scope.orchard() + "/daybook?tree=" + tree;
    }

    @PostMapping("/measure")
    String measure(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam String tree,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        TreeView picked = pages.tree(plan, tree);
        Fields fields = new Fields(typed, reader.display());
        LocalDate day = fields.date("measuredOn");
        double height = fields.required("height", Quantity.FINE_LENGTH, -0.5, 2);
        Measure planted = plan.asPlanted(tree);
        if (planted != null && day != null && day.isBefore(planted.measuredOn())) {
            fields.complain(
                    "measuredOn", "It was planted on " + reader.date(planted.measuredOn()) + "; this day lies before.");
        }
        if (fields.wrong()) {
            return page(model, pages.open(model, scope, Stage.DAYBOOK), tree, fields.put("notedOn", today(plan)));
        }
        Measure.Kind kind = planted == null ? Measure.Kind.AS_PLANTED : Measure.Kind.CHECK;
        pages.changes()
                .make(
                        scope,
                        "Measured the union of " + picked.label(),
                        pen -> pen.add(new Measure(Ids.next(), scope.orchard(), tree, day, height, kind, 0, false)));
        return "redirect:/orchards/" + scope.orchard() + "/daybook?tree=" + tree;
    }

    /** Dead, moved away, ordered. */
    @PostMapping("/state")
    String state(Scope scope, @RequestParam String tree, @RequestParam TreeState state) {
        Reckoning plan = pages.reckon(scope);
        TreeView picked = pages.tree(plan, tree);
        pages.changes()
                .make(
                        scope,
                        picked.label() + " is " + state.words(),
                        pen -> pen.save(pages.changes().with(picked.row(), Map.of("state", state))));
        return "redirect:/orchards/" + scope.orchard() + "/daybook" + (state.stands() ? "?tree=" + tree : "");
    }
}
