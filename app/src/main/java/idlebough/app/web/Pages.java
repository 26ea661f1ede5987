package idlebough.app.web;

import idlebough.app.plan.Changes;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.OrchardMapper;
import idlebough.app.plan.PlanReader;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.plan.TreeView;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import java.util.Arrays;
import java.util.List;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** What every page of an orchard has: the header, the line with its pegs, what moved, and the room's findings. */
@Component
public class Pages {
    private static final int SHOWN = 40;
    private final PlanReader reader;
    private final OrchardMapper orchards;
    private final Changes changes;

    Pages(PlanReader reader, OrchardMapper orchards, Changes changes) {
        this.reader = reader;
        this.orchards = orchards;
        this.changes = changes;
    }

    public Changes changes() {
        return changes;
    }

    /** One finding with its buttons. */
    public record Shown(Finding finding, List<Acts.Act> acts) {}

    /** What moved because of the last change. */
    public record Because(String set, String cause, List<OrchardMapper.Moved> moved) {}

    public Reckoning reckon(Scope scope) {
        return reader.reckon(scope);
    }

    /** Opens a stage's page. */
    public Reckoning open(Model model, Scope scope, Stage here) {
        Reckoning plan = reader.reckon(scope);
        model.addAttribute("plan", plan);
        model.addAttribute("orchard", plan.plan().orchard());
        model.addAttribute("site", plan.plan().site());
        model.addAttribute("base", "/orchards/" + scope.orchard());
        model.addAttribute("here", here);
        List<Stage.Peg> line = Arrays.stream(Stage.values())
                .map(stage -> stage.peg(plan, here))
                .toList();
        model.addAttribute("line", line);
        model.addAttribute(
                "stops",
                line.stream()
                        .filter(peg -> peg.look().equals("stop"))
                        .mapToLong(peg -> plan.count(peg.stage().room(), Standing.STOP))
                        .sum());
        model.addAttribute(
                "doubtful",
                line.stream()
                        .filter(peg -> !peg.look().equals("hollow"))
                        .mapToLong(peg -> plan.count(peg.stage().room(), Standing.DOUBTFUL))
                        .sum());
        // Whatever rests on the winters says so while they are made; on Winters itself it stands beside the station.
        model.addAttribute(
                "madeWinters",
                plan.plan().standIn()
                        && (here == Stage.VARIETIES
                                || here == Stage.PARTNERS
                                || here == Stage.WATER
                                || here == Stage.ALMANAC));
        model.addAttribute("because", because(scope));
        if (here != null) {
            model.addAttribute("findings", shown(plan, plan.doubts(here.room())));
            model.addAttribute(
                    "sound",
                    here == Stage.VARIETIES
                            ? List.of()
                            : shown(
                                    plan,
                                    plan.findings(here.room()).stream()
                                            .filter(Finding::isSound)
                                            .toList()));
        }
        return plan;
    }

    private Because because(Scope scope) {
        OrchardMapper.ChangeSet last =
                orchards.sets(scope, 1).stream().findFirst().orElse(null);
        if (last == null || last.seen()) {
            return null;
        }
        List<OrchardMapper.Moved> moved = orchards.moved(scope, last.id());
        return moved.isEmpty() ? null : new Because(last.id(), last.cause(), moved);
    }

    public List<Shown> shown(Reckoning plan, List<Finding> findings) {
        Acts acts = new Acts(plan);
        return findings.stream()
                .limit(SHOWN)
                .map(finding -> new Shown(finding, acts.of(finding)))
                .toList();
    }

    /** Those of a room about one subject, not sound, then those about the rest. */
    public List<Shown> about(Reckoning plan, String room, String subject) {
        return shown(
                plan,
                plan.doubts(room).stream()
                        .filter(finding -> finding.subject().equals(subject))
                        .toList());
    }

    public Acts acts(Reckoning plan) {
        return new Acts(plan);
    }

    /** The tree asked for, or the first, or null when there are none. */
    public TreeView tree(Reckoning plan, String id) {
        if (id == null || id.isBlank()) {
            return plan.trees().stream()
                    .filter(TreeView::toPlant)
                    .findFirst()
                    .or(() -> plan.trees().stream().findFirst())
                    .orElse(null);
        }
        TreeView found = plan.tree(id);
        if (found == null) {
            throw new NotFound();
        }
        return found;
    }
}
