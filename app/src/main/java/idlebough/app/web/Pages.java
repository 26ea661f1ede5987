package idlebough.app.web;

import idlebough.app.store.ChangeSet;
import idlebough.app.store.Edits;
import idlebough.app.store.JournalMapper;
import idlebough.app.store.NotAllowed;
import idlebough.app.store.Plans;
import idlebough.app.store.Right;
import idlebough.app.store.Scope;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;
import org.springframework.web.context.request.RequestAttributes;
import org.springframework.web.context.request.RequestContextHolder;

/** What every page of an orchard has: the header, the line with its pegs, what moved, and the room's findings. */
@Component
public class Pages {
    private static final int SHOWN = 40;
    /** Stages whose answers rest on the winters, and say so while those are synthetic; Winters itself says it. */
    private static final Set<StagePage> ON_WINTERS =
            Set.of(StagePage.VARIETIES, StagePage.PARTNERS, StagePage.WATER, StagePage.ALMANAC);

    private final Plans plans;
    private final JournalMapper journal;
    private final Edits edits;
    private final Clock clock;

    Pages(Plans plans, JournalMapper journal, Edits edits, Clock clock) {
        this.plans = plans;
        this.journal = journal;
        this.edits = edits;
        this.clock = clock;
    }

    /** One finding with its buttons. */
    public record Shown(Finding finding, List<Buttons.Button> buttons) {}

    /** What moved because of the last change. */
    public record Because(String set, String cause, List<MovedLine> moved) {
        /** How many lines follow the first. */
        public int more() {
            return moved.size() - 1;
        }
    }

    /** What undo would undo and redo would do again, in words; null where there is nothing. */
    public record Turns(String undo, String redo) {}

    /** A plan of which a page tells beside others: its forms carry their own stamps. */
    public PlanView beside(Scope scope) {
        return new PlanView(plans.open(scope));
    }

    public PlanView plan(Scope scope) {
        PlanView plan = beside(scope);
        RequestAttributes request = RequestContextHolder.getRequestAttributes();
        if (request != null) {
            request.setAttribute(StampedForms.SHOWN, plan.revision(), RequestAttributes.SCOPE_REQUEST);
        }
        return plan;
    }

    /** @throws NotAllowed when the role does not allow it; for work that no edit stands for */
    public PlanView plan(Scope scope, Right right) {
        PlanView plan = plan(scope);
        if (!plan.head().role().may(right)) {
            throw new NotAllowed(plan.head().role(), right);
        }
        return plan;
    }

    /** A page of the orchard to which a form may lead back. */
    public static String back(String page) {
        return page.matches("[a-z]{1,30}(/[a-z]{1,30})?") ? page : "site";
    }

    /** Opens the page of a stage, or one that belongs to none. */
    public PlanView open(Model model, Scope scope, StagePage here) {
        PlanView plan = plan(scope);
        model.addAttribute("plan", plan);
        model.addAttribute("orchard", plan.head());
        model.addAttribute("site", plan.site());
        model.addAttribute("base", "/orchards/" + scope.orchard());
        model.addAttribute("here", here);
        model.addAttribute("mayPlan", plan.head().role().may(Right.PLAN));
        model.addAttribute("mayRecord", plan.head().role().may(Right.RECORD));
        model.addAttribute("rights", rights(plan));
        model.addAttribute("back", here == null ? "history" : here.path());
        line(model, plan, here);
        model.addAttribute("synthetic", plan.synthetic() && ON_WINTERS.contains(here));
        model.addAttribute("because", because(scope, plan));
        model.addAttribute("turns", turns(scope));
        model.addAttribute("keys", PageKeys.of(here));
        if (here != null) {
            model.addAttribute("findings", shown(plan, plan.doubts(here.room())));
            model.addAttribute(
                    "sound",
                    here == StagePage.VARIETIES
                            ? List.of()
                            : shown(plan, plan.judged(here.room()).sound()));
            model.addAttribute(
                    "soundCount",
                    here == StagePage.VARIETIES
                            ? 0
                            : plan.judged(here.room()).sound().size());
        }
        return plan;
    }

    /** The class name by which the style sheet hides forms that this role may not send; empty for who plans. */
    private static String rights(PlanView plan) {
        return plan.head().role().may(Right.PLAN) ? "" : plan.head().role().may(Right.RECORD) ? "records" : "looks";
    }

    private int late(PlanView plan) {
        return plan.evaluation()
                .almanac()
                .late(LocalDate.now(clock.withZone(plan.head().zone())))
                .size();
    }

    private void line(Model model, PlanView plan, StagePage here) {
        int stops = 0;
        int doubtful = 0;
        for (Stage stage : plan.evaluation().stages()) {
            if (stage.begun()) {
                stops += stage.judged().count(Standing.STOP);
                doubtful += stage.judged().count(Standing.DOUBTFUL);
            }
        }
        model.addAttribute("line", pegs(plan, here));
        model.addAttribute("stops", stops);
        model.addAttribute("doubtful", doubtful);
    }

    /** The ten pegs as they hang. @param here null for a page that belongs to none */
    public List<StagePage.Peg> pegs(PlanView plan, StagePage here) {
        return plan.evaluation().stages().stream()
                .map(stage ->
                        StagePage.of(stage.room()).peg(stage, stage.room() == Room.ALMANAC ? late(plan) : 0, here))
                .toList();
    }

    private Because because(Scope scope, PlanView plan) {
        ChangeSet last = journal.sets(scope, 1, 0).stream().findFirst().orElse(null);
        if (last == null || last.seen()) {
            return null;
        }
        List<MovedLine> moved = MovedLine.all(journal.moved(scope, List.of(last.id())), plan);
        return moved.isEmpty() ? null : new Because(last.id(), last.cause(), moved);
    }

    private Turns turns(Scope scope) {
        ChangeSet last = journal.lastOwn(scope);
        Optional<ChangeSet> undone = edits.lastUndoing(scope);
        return new Turns(
                last == null ? null : last.cause(), undone.map(Edits::cause).orElse(null));
    }

    public List<Shown> shown(PlanView plan, List<Finding> findings) {
        Buttons buttons = new Buttons(plan);
        return findings.stream()
                .limit(SHOWN)
                .map(finding -> new Shown(finding, buttons.of(finding)))
                .toList();
    }

    /** Puts what is not sound in a room on the page: that of one subject first, then the other lines. */
    public void about(Model model, PlanView plan, Room room, Subject subject) {
        model.addAttribute(
                "about",
                shown(
                        plan,
                        plan.judged(room).about(subject).stream()
                                .filter(finding -> !finding.isSound())
                                .toList()));
        model.addAttribute(
                "elsewhere",
                shown(
                        plan,
                        plan.doubts(room).stream()
                                .filter(finding -> !finding.subject().equals(subject))
                                .toList()));
    }
}
