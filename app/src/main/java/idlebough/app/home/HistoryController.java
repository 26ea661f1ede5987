package idlebough.app.home;

import idlebough.app.store.ChangeSet;
import idlebough.app.store.Edits;
import idlebough.app.store.FigureMoved;
import idlebough.app.store.JournalMapper;
import idlebough.app.store.LostRace;
import idlebough.app.store.Right;
import idlebough.app.store.Scope;
import idlebough.app.web.MovedLine;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** What was changed, what moved because of it, and turning it back. */
@Controller
@RequestMapping("/orchards/{orchard}")
public class HistoryController {
    private static final int PAGE = 30;
    private static final int LAST = 100_000;
    private static final String RACED =
            "Someone changed one of its rows since, so it was left as it is. The history says what came later.";
    private final Pages pages;
    private final Edits edits;
    private final JournalMapper journal;

    HistoryController(Pages pages, Edits edits, JournalMapper journal) {
        this.pages = pages;
        this.edits = edits;
        this.journal = journal;
    }

    /**
     * One line of the history.
     *
     * @param stuck why it cannot be turned back; null where it can
     */
    public record Line(ChangeSet set, List<MovedLine> moved, String stuck) {}

    @GetMapping("/history")
    String history(Scope scope, Reader reader, Model model, @RequestParam(defaultValue = "0") int page) {
        PlanView plan = pages.open(model, scope, null);
        int at = Math.max(0, Math.min(page, LAST));
        List<ChangeSet> sets = journal.sets(scope, PAGE + 1, at * PAGE);
        List<ChangeSet> shown = sets.subList(0, Math.min(PAGE, sets.size()));
        Map<String, String> stuck = edits.stuck(scope, shown);
        Map<String, List<FigureMoved>> moved = shown.isEmpty()
                ? Map.of()
                : journal.moved(scope, shown.stream().map(ChangeSet::id).toList()).stream()
                        .collect(Collectors.groupingBy(FigureMoved::setId));
        model.addAttribute(
                "lines",
                shown.stream()
                        .map(set -> new Line(
                                set, MovedLine.all(moved.getOrDefault(set.id(), List.of()), plan), stuck.get(set.id())))
                        .toList());
        model.addAttribute("page", at);
        model.addAttribute("older", sets.size() > PAGE);
        return "home/history";
    }

    @PostMapping("/undo")
    String undo(Scope scope, RedirectAttributes told, @RequestParam(defaultValue = "site") String back) {
        return turn(scope, told, back, "Undid", () -> edits.undo(scope));
    }

    @PostMapping("/redo")
    String redo(Scope scope, RedirectAttributes told, @RequestParam(defaultValue = "site") String back) {
        return turn(scope, told, back, "Did again", () -> edits.redo(scope));
    }

    /** One set of the history. */
    @PostMapping("/history/undo")
    String undoSet(Scope scope, RedirectAttributes told, @RequestParam String set) {
        return turn(scope, told, "history", "Undid", () -> Optional.of(edits.undo(scope, set)));
    }

    /** Turns something back or forth. */
    private interface Turn {
        Optional<String> cause();
    }

    private String turn(Scope scope, RedirectAttributes told, String back, String did, Turn turn) {
        try {
            told.addFlashAttribute(
                    "told", turn.cause().map(cause -> did + ": " + cause + ".").orElse("There was nothing to turn."));
        } catch (LostRace raced) {
            told.addFlashAttribute("told", RACED);
        }
        return "redirect:/orchards/" + scope.orchard() + "/" + Pages.back(back);
    }

    @PostMapping("/seen")
    String seen(Scope scope, @RequestParam String set, @RequestParam(defaultValue = "site") String back) {
        if (pages.plan(scope).head().role().may(Right.RECORD)) {
            journal.markSeen(scope, set);
        }
        return "redirect:/orchards/" + scope.orchard() + "/" + Pages.back(back);
    }
}
