package idlebough.app.layout;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.PegRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.TreeRow;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.layout.Arrange;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.TagList;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Several trees at once: shifted, turned, put into one line, or the same again beside them. */
@Controller
@RequestMapping("/orchards/{orchard}/layout")
public class SeveralController {
    private static final double FAR = 20_000;
    private static final int LONGEST_LIST = 4000;
    /** A tag ends in a letter where the same trees stand again. */
    private static final int LETTERS = 26;

    private final Pages pages;
    private final LayoutPage layout;
    private final Edits edits;

    SeveralController(Pages pages, LayoutPage layout, Edits edits) {
        this.pages = pages;
        this.layout = layout;
        this.edits = edits;
    }

    /** What is done with them. */
    public enum Work {
        SHIFT("Shifted"),
        TURN("Turned"),
        ALIGN("Aligned"),
        COPY("Put again");
        private final String done;

        Work(String done) {
            this.done = done;
        }
    }

    @PostMapping("/several")
    String several(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @RequestParam Work work,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        if (plan.plot() == null) {
            throw new NotFound();
        }
        Fields fields = new Fields(typed, say.display());
        List<Stand> trees = asked(fields, plan, work);
        List<Point> to = fields.wrong() ? List.of() : places(fields, trees, work);
        if (!fields.wrong()) {
            complain(fields, say, plan, work == Work.COPY ? List.of() : trees, to);
        }
        if (fields.wrong()) {
            PlanView again = pages.open(model, scope, StagePage.LAYOUT);
            LayoutPage.Look first = LayoutPage.Look.FIRST;
            layout.show(model, again, say, new LayoutPage.Look(null, first.year(), List.of()), fields);
            return "layout/layout";
        }
        edits.apply(
                scope,
                stamp.change(work.done + " " + trees.size() + (trees.size() == 1 ? " tree" : " trees")),
                now -> work == Work.COPY
                        ? copies(now, trees, to, stamp.revision())
                        : moves(now, trees, to, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/layout?tree="
                + trees.get(0).id();
    }

    private static List<Stand> asked(Fields fields, PlanView plan, Work work) {
        String typed = fields.words("several", LONGEST_LIST);
        TagList tags = TagList.of(typed, plan.evaluation().stands());
        String planted = tags.trees().stream()
                .filter(stand -> work != Work.COPY && !stand.toPlant())
                .map(Stand::label)
                .collect(Collectors.joining(", "));
        if (!typed.isBlank() && tags.trees().isEmpty() && tags.unknown().isEmpty()) {
            fields.complain("several", "Name the trees by their tags.");
        } else if (!tags.unknown().isEmpty()) {
            fields.complain("several", "No tree is called " + String.join(", ", tags.unknown()) + ".");
        } else if (!planted.isEmpty()) {
            fields.complain("several", "In the ground already: " + planted + ". Leave them out.");
        } else if (!typed.isBlank() && work == Work.ALIGN && tags.trees().size() < 3) {
            fields.complain("several", "A line is drawn through three trees or more.");
        } else if (work == Work.COPY
                && tags.trees().stream().anyMatch(stand -> stand.tree().choice().isEmpty())) {
            fields.complain("several", "One of them was never chosen on Varieties, so none like it can be put.");
        }
        return tags.trees();
    }

    private static List<Point> places(Fields fields, List<Stand> trees, Work work) {
        List<Point> now = trees.stream().map(Stand::place).toList();
        return switch (work) {
            case ALIGN -> Arrange.aligned(now);
            case TURN -> {
                double turn = fields.required("turn", Quantity.BEARING, -360, 360);
                yield fields.wrong() ? List.of() : Arrange.turned(now, turn);
            }
            case SHIFT, COPY -> {
                double east = fields.required("shiftEast", Quantity.TAPE, -FAR, FAR);
                double north = fields.required("shiftNorth", Quantity.TAPE, -FAR, FAR);
                yield fields.wrong() ? List.of() : Arrange.shifted(now, east, north);
            }
        };
    }

    /** Nothing is put beyond the boundary or on another tree. @param moved those that leave their places */
    private static void complain(Fields fields, Reader say, PlanView plan, List<Stand> moved, List<Point> to) {
        Plot plot = plan.plot();
        to.stream()
                .filter(at -> !plot.holds(at))
                .max((a, b) -> Double.compare(plot.distanceToBoundary(a), plot.distanceToBoundary(b)))
                .ifPresent(at -> fields.complain(
                        "several",
                        "One would stand " + say.length(plot.distanceToBoundary(at)) + " outside the boundary."));
        Set<String> leaving = moved.stream().map(Stand::id).collect(Collectors.toSet());
        plan.evaluation().stands().stream()
                .filter(stand -> !leaving.contains(stand.id())
                        && to.stream().anyMatch(at -> at.distance(stand.place()) < PlannedTree.ONE_PEG))
                .findFirst()
                .ifPresent(stand ->
                        fields.complain("several", "One would stand where " + stand.title() + " stands already."));
    }

    private static List<Edit> moves(Plan now, List<Stand> trees, List<Point> to, long base) {
        List<Edit> all = new ArrayList<>();
        for (int i = 0; i < trees.size(); i++) {
            Point at = to.get(i);
            TreeRow tree = now.rows().tree(trees.get(i).id()).orElseThrow(NotFound::new);
            now.rows()
                    .peg(tree.pegId())
                    .ifPresent(
                            peg -> all.add(Edit.change(peg, base, Map.of("x", at.x(), "y", at.y(), "byHand", true))));
        }
        return all;
    }

    private static List<Edit> copies(Plan now, List<Stand> trees, List<Point> to, long base) {
        Set<String> used = now.rows().pegs().stream().map(PegRow::label).collect(Collectors.toCollection(HashSet::new));
        Map<String, Integer> more = new HashMap<>();
        List<Edit> all = new ArrayList<>();
        for (int i = 0; i < trees.size(); i++) {
            Point at = to.get(i);
            ChoiceRow choice = now.rows()
                    .choice(trees.get(i).tree().choice().orElseThrow(NotFound::new))
                    .orElseThrow(NotFound::new);
            String tag = free(used, trees.get(i).label());
            PegRow peg = new PegRow(RowKey.fresh(now.head().id()), tag, at.x(), at.y(), true);
            all.add(Edit.add(peg));
            all.add(Edit.add(LayoutFill.planned(now, RowKey.fresh(now.head().id()), peg, choice)));
            more.merge(choice.id(), 1, Integer::sum);
        }
        more.forEach((id, trees2) -> {
            ChoiceRow choice = now.rows().choice(id).orElseThrow(NotFound::new);
            long placed = now.rows().trees().stream()
                    .filter(tree -> Objects.equals(tree.choiceId(), id)
                            && tree.life().state().stands())
                    .count();
            if (placed + trees2 > choice.wanted()) {
                all.add(Edit.change(choice, base, Map.of("wanted", (int) (placed + trees2))));
            }
        });
        return all;
    }

    /** “A1b” beside “A1”: the first letter that is free. */
    private static String free(Set<String> used, String label) {
        String head = label.substring(0, Math.min(label.length(), PegRow.LONGEST_LABEL - 3));
        for (int i = 1; ; i++) {
            String tag = head + (char) ('a' + i % LETTERS) + (i < LETTERS ? "" : i / LETTERS);
            if (used.add(tag)) {
                return tag;
            }
        }
    }
}
