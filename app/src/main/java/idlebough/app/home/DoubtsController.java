package idlebough.app.home;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Scope;
import idlebough.app.web.Buttons;
import idlebough.app.web.LimitScale;
import idlebough.app.web.Pages;
import idlebough.app.web.Pick;
import idlebough.app.web.PlanSketch;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.almanac.Gate;
import idlebough.core.almanac.Gates;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Stage;
import idlebough.core.orchard.Doubts;
import idlebough.core.site.Stand;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** All that is not sound, on one string: first what cannot be undone later. */
@Controller
@RequestMapping("/orchards/{orchard}/doubts")
public class DoubtsController {
    private static final double SMALL = 168;
    private static final double LARGE = 400;
    private static final double PLAN_WIDTH = 430;
    private static final double PLAN_HEIGHT = 390;
    private final Pages pages;
    private final Clock clock;

    DoubtsController(Pages pages, Clock clock) {
        this.pages = pages;
        this.clock = clock;
    }

    /**
     * What is looked at.
     *
     * @param gate name of a gate; empty for all, as the others
     * @param row first letter of a label
     * @param tree id
     * @param room key
     */
    public record Wanted(String gate, String row, String tree, String room) {
        private boolean holds(Doubts.Doubt doubt, PlanView plan) {
            return (gate.isEmpty() || doubt.gate().name().equals(gate))
                    && (room.isEmpty() || doubt.room().key().equals(room))
                    && (tree.isEmpty() || doubt.trees().contains(tree))
                    && (row.isEmpty()
                            || doubt.trees().stream()
                                    .anyMatch(id -> rowOf(plan, id).equals(row)));
        }

        private static String rowOf(PlanView plan, String tree) {
            return plan.evaluation()
                    .stand(tree)
                    .map(stand -> row(stand.label()))
                    .orElse("");
        }

        static String row(String label) {
            return label.replaceAll("[ 0-9].*", "");
        }
    }

    /**
     * One line.
     *
     * @param key by which it is picked
     * @param scale empty where nothing was measured
     */
    public record Line(String key, Doubts.Doubt doubt, Optional<LimitScale> scale, List<Buttons.Button> buttons) {
        public Finding finding() {
            return doubt.finding();
        }

        /** Last part of the address of its stage. */
        public String path() {
            return StagePage.of(doubt.room()).path();
        }

        public String room() {
            return StagePage.of(doubt.room()).title();
        }
    }

    /**
     * A knot of the string with what hangs below it.
     *
     * @param days until it is passed; empty where it has no day
     * @param passed whether the order is sent, or the day is over
     */
    public record Knot(Gate gate, Optional<LocalDate> day, Optional<Long> days, boolean passed, List<Line> lines) {}

    /** Trees of a choice that have no place, or that stand without being wanted. */
    public record Count(String variety, String key, int trees) {}

    @GetMapping
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(defaultValue = "") String gate,
            @RequestParam(defaultValue = "") String row,
            @RequestParam(defaultValue = "") String tree,
            @RequestParam(defaultValue = "") String room,
            @RequestParam(defaultValue = "") String at) {
        PlanView plan = pages.open(model, scope, null);
        model.addAttribute("back", "doubts");
        model.addAttribute("returnTo", "doubts");
        model.addAttribute("spreadCss", "wideleft");
        Wanted wanted = new Wanted(gate, row, tree, room);
        LocalDate today = LocalDate.now(clock.withZone(plan.head().zone()));
        List<Doubts.Doubt> all = Doubts.of(plan.evaluation());
        List<Doubts.Doubt> shown =
                all.stream().filter(doubt -> wanted.holds(doubt, plan)).toList();
        Buttons buttons = new Buttons(plan);
        List<Knot> knots = knots(plan, shown, today, buttons, say);
        Line picked = knots.stream()
                .flatMap(knot -> knot.lines().stream())
                .filter(line -> line.key().equals(at))
                .findFirst()
                .or(() -> knots.stream().flatMap(knot -> knot.lines().stream()).findFirst())
                .orElse(null);
        model.addAttribute("wanted", wanted);
        model.addAttribute("gates", Pick.of("every gate", List.of(Gate.values()), Gate::name, Gate::words));
        model.addAttribute(
                "rooms",
                Pick.of(
                        "every stage",
                        List.of(StagePage.values()),
                        page -> page.room().key(),
                        StagePage::title));
        model.addAttribute("rows", Pick.of("every row", rows(plan), letter -> letter, letter -> "row " + letter));
        model.addAttribute("trees", Pick.of("every tree", plan.evaluation().stands(), Stand::id, Stand::title));
        model.addAttribute("knots", knots);
        model.addAttribute("hidden", all.size() - shown.size());
        model.addAttribute("picked", picked);
        model.addAttribute(
                "large",
                picked == null
                        ? null
                        : picked.finding()
                                .held()
                                .map(held -> LimitScale.of(held, LARGE, say))
                                .orElse(null));
        model.addAttribute(
                "sketch",
                PlanSketch.of(
                                plan,
                                say,
                                picked == null ? Set.of() : picked.doubt().trees(),
                                PLAN_WIDTH,
                                PLAN_HEIGHT)
                        .orElse(null));
        model.addAttribute("late", plan.evaluation().almanac().late(today));
        model.addAttribute("today", today);
        List<Stage> hollow = plan.evaluation().stages().stream()
                .filter(stage -> !stage.begun() || stage.missing().isPresent())
                .toList();
        model.addAttribute(
                "hollow",
                hollow.stream().map(stage -> StagePage.of(stage.room())).toList());
        boolean judged = hollow.size() < StagePage.values().length;
        model.addAttribute(
                "heading", !all.isEmpty() ? "Not sound yet" : judged ? "All sound" : "Nothing is judged yet");
        model.addAttribute("ahead", ahead(plan.evaluation().almanac().gates(), today));
        model.addAttribute("homeless", counts(plan, 1));
        model.addAttribute("unwanted", counts(plan, -1));
        return "home/doubts";
    }

    /** The gates that are still to come, with nothing hanging before them. */
    private static List<Knot> ahead(Gates gates, LocalDate today) {
        return Stream.of(Gate.values())
                .flatMap(gate -> gates.dayOf(gate).stream()
                        .filter(day -> !day.isBefore(today))
                        .map(day -> new Knot(
                                gate,
                                Optional.of(day),
                                Optional.of(ChronoUnit.DAYS.between(today, day)),
                                false,
                                List.of())))
                .toList();
    }

    private static Set<String> rows(PlanView plan) {
        return plan.evaluation().stands().stream()
                .map(stand -> Wanted.row(stand.label()))
                .filter(row -> !row.isEmpty())
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static List<Knot> knots(
            PlanView plan, List<Doubts.Doubt> shown, LocalDate today, Buttons buttons, Reader say) {
        Gates gates = plan.evaluation().almanac().gates();
        List<Knot> knots = new ArrayList<>();
        for (Gate gate : Gate.values()) {
            List<Line> lines = shown.stream()
                    .filter(doubt -> doubt.gate() == gate)
                    .map(doubt -> line(doubt, buttons, say))
                    .toList();
            if (!lines.isEmpty()) {
                Optional<LocalDate> day = gates.dayOf(gate);
                boolean passed = gate == Gate.ORDER && gates.order().sent().isPresent()
                        || day.filter(today::isAfter).isPresent();
                knots.add(new Knot(gate, day, day.map(then -> ChronoUnit.DAYS.between(today, then)), passed, lines));
            }
        }
        return knots;
    }

    private static Line line(Doubts.Doubt doubt, Buttons buttons, Reader say) {
        Finding finding = doubt.finding();
        String key = finding.rule().id() + " " + finding.subject().id() + " "
                + finding.standing().word();
        return new Line(key, doubt, finding.held().map(held -> LimitScale.of(held, SMALL, say)), buttons.of(finding));
    }

    /** @param sign 1 for choices of which more are wanted than have a place, −1 for the other way round */
    private static List<Count> counts(PlanView plan, int sign) {
        List<Count> counts = new ArrayList<>();
        for (ChoiceRow choice : plan.rows().choices()) {
            long placed = plan.evaluation().stands().stream()
                    .filter(stand -> stand.tree()
                            .choice()
                            .filter(id -> Objects.equals(id, choice.id()))
                            .isPresent())
                    .filter(stand -> sign > 0 || stand.toPlant())
                    .count();
            int over = sign * (int) (choice.wanted() - placed);
            if (over > 0) {
                Variety variety = plan.evaluation().varieties().catalogue().variety(choice.varietyKey());
                counts.add(new Count(variety.label(), variety.key(), over));
            }
        }
        return counts;
    }
}
