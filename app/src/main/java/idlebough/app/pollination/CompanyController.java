package idlebough.app.pollination;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.TreeRow;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.core.crop.Variety;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Company for a lonely tree without another one: a branch grafted on, or a planned tree that becomes another. */
@Controller
@RequestMapping("/orchards/{orchard}/partners")
public class CompanyController {
    /** More branches than these nobody keeps apart, common practice. */
    private static final int MOST_BRANCHES = 6;

    private final Pages pages;
    private final Edits edits;

    CompanyController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /** A branch of another variety of its kind on a tree, or off it again. */
    @PostMapping("/{tree}/branch")
    String branch(
            Scope scope,
            FormStamp stamp,
            @PathVariable String tree,
            @RequestParam String variety,
            @RequestParam(defaultValue = "false") boolean off) {
        PlanView plan = pages.plan(scope);
        TreeRow row = plan.rows().tree(tree).orElseThrow(NotFound::new);
        Variety branch = variety(plan, variety);
        Variety own = variety(plan, row.what().varietyKey());
        List<String> keys = new ArrayList<>(row.what().branches());
        boolean takes = own.crop().like().equals(branch.crop().like())
                && !own.key().equals(variety)
                && keys.size() < MOST_BRANCHES;
        if (!off && !takes) {
            throw new NotFound();
        }
        keys.remove(variety);
        if (!off) {
            keys.add(variety);
        }
        Map<String, Object> changed = new HashMap<>();
        changed.put("grafts", keys.isEmpty() ? null : String.join(",", keys));
        edits.apply(
                scope,
                stamp.change((off ? "Took off a branch of " : "Grafted a branch of ") + branch.label() + " on "
                        + plan.tree(tree).label()),
                now -> List.of(Edit.change(row, stamp.revision(), changed)));
        return "redirect:/orchards/" + scope.orchard() + "/partners?tree=" + tree;
    }

    /** One planned tree, or one of those that are wanted, becomes another variety. */
    @PostMapping("/swap")
    String swap(
            Scope scope,
            FormStamp stamp,
            @RequestParam String variety,
            @RequestParam String of,
            @RequestParam(defaultValue = "") String tree) {
        PlanView plan = pages.plan(scope);
        Variety other = variety(plan, variety);
        Variety before = variety(plan, of);
        edits.apply(
                scope,
                stamp.change("Changed one " + before.label() + " into " + other.label()),
                now -> swapped(now, before, other, tree, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/partners" + (tree.isEmpty() ? "" : "?tree=" + tree);
    }

    private static List<Edit> swapped(Plan now, Variety before, Variety other, String tree, long base) {
        List<Edit> edits = new ArrayList<>();
        Optional<TreeRow> placed = now.rows()
                .tree(tree)
                .filter(row ->
                        row.life().state().toPlant() && row.what().varietyKey().equals(before.key()));
        if (!tree.isEmpty() && placed.isEmpty()) {
            throw new NotFound();
        }
        Optional<ChoiceRow> fewer = placed.isPresent()
                ? Optional.ofNullable(placed.get().choiceId()).flatMap(now.rows()::choice)
                : now.rows().choiceOf(before.key());
        Optional<ChoiceRow> known = now.rows().choiceOf(other.key());
        ChoiceRow more =
                known.orElseGet(() -> new ChoiceRow(RowKey.fresh(now.head().id()), other.key(), null, 1));
        edits.add(known.isPresent() ? Edit.change(more, base, Map.of("wanted", more.wanted() + 1)) : Edit.add(more));
        placed.ifPresent(row -> {
            Map<String, Object> changed = new HashMap<>();
            changed.put("varietyKey", other.key());
            changed.put("choiceId", more.id());
            changed.put("rootstockKey", keeps(now, row, other));
            edits.add(Edit.change(row, base, changed));
        });
        fewer.ifPresent(row -> edits.add(
                row.wanted() > 1
                        ? Edit.change(row, base, Map.of("wanted", row.wanted() - 1))
                        : Edit.remove(row, base)));
        return edits;
    }

    /** Its stock where the other variety takes on it, else none. */
    private static String keeps(Plan now, TreeRow row, Variety other) {
        var catalogue = now.evaluation().varieties().catalogue();
        return Optional.ofNullable(row.what().rootstockKey())
                .filter(key -> catalogue
                        .findRootstock(key)
                        .filter(stock -> catalogue.misfit(other, stock).isEmpty())
                        .isPresent())
                .orElse(null);
    }

    private static Variety variety(PlanView plan, String key) {
        return plan.evaluation().varieties().catalogue().findVariety(key).orElseThrow(NotFound::new);
    }
}
