package idlebough.app.layout;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.Plan;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.layout.Tally;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Feature;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Filling the plot: what it would place is told first, then it is done as one change. */
@Controller
@RequestMapping("/orchards/{orchard}/layout/fill")
public class FillController {
    /** Directions told of. */
    private static final int FEW = 3;

    private static final long PATIENCE = TimeUnit.SECONDS.toNanos(4);
    private final Pages pages;
    private final LayoutPage layout;
    private final Edits edits;

    FillController(Pages pages, LayoutPage layout, Edits edits) {
        this.pages = pages;
        this.layout = layout;
        this.edits = edits;
    }

    /**
     * @param ask “look” for what it would place, “turn” for the best directions of the rows; else it is done
     * @param only id of the one choice whose trees are placed; empty for all
     */
    @PostMapping
    String fill(
            Scope scope,
            Reader say,
            Model model,
            FormStamp stamp,
            @RequestParam(defaultValue = "") String ask,
            @RequestParam(defaultValue = "") String only,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Fields fields = new Fields(typed, say.display());
        PlotFill.Wish wish = only.isEmpty()
                ? wish(plan, fields)
                : LayoutFill.wish(plan.rows().settings().rows());
        LayoutFill.Trees of = fields.ticked("anew")
                ? LayoutFill.Trees.ANEW
                : only.isEmpty() ? LayoutFill.Trees.MISSING : LayoutFill.Trees.only(only);
        if (!fields.wrong() && ask.isEmpty()) {
            int[] left = {0};
            edits.apply(scope, stamp.change("Filled the plot"), now -> filled(now, wish, of, stamp.revision(), left));
            return "redirect:/orchards/" + scope.orchard() + "/layout" + (left[0] > 0 ? "?short=true" : "");
        }
        PlanView again = pages.open(model, scope, StagePage.LAYOUT);
        List<Point> ghosts = new ArrayList<>();
        if (!fields.wrong() && ask.equals("look")) {
            LayoutFill fill = LayoutFill.of(again.stored(), wish, of);
            ghosts.addAll(fill.places());
            model.addAttribute("would", fill.would().stream().map(say::of).toList());
        } else if (!fields.wrong()) {
            long until = System.nanoTime() + PATIENCE;
            // Where all have a place, it is asked how they would stand otherwise.
            boolean none = Tally.of(
                            again.evaluation().varieties().choices(),
                            again.evaluation().stands())
                    .stream()
                    .allMatch(tally -> tally.missing() <= 0);
            model.addAttribute(
                    "across", PlotFill.acrossSlope(again.terrain().ground()).orElse(null));
            model.addAttribute(
                    "directions",
                    LayoutFill.directions(
                                    again.stored(),
                                    wish,
                                    none ? LayoutFill.Trees.ANEW : of,
                                    () -> System.nanoTime() < until)
                            .stream()
                            .limit(FEW)
                            .toList());
        }
        LayoutPage.Look first = LayoutPage.Look.FIRST;
        layout.show(model, again, say, new LayoutPage.Look(first.tree(), first.year(), ghosts), fields);
        return "layout/layout";
    }

    private static PlotFill.Wish wish(PlanView plan, Fields fields) {
        RowFill.Pattern pattern = fields.choice("pattern", RowFill.Pattern.class);
        double margin = fields.required("margin", Quantity.LENGTH, 0, 100);
        double alley = fields.required("alley", Quantity.LENGTH, 0, 30);
        Double bearing = fields.optional("bearing", Quantity.BEARING, 0, 180);
        Optional<Feature> along = plan.terrain().site().features().stream()
                .filter(feature ->
                        pattern == RowFill.Pattern.ALONG && feature.id().equals(fields.value("along")))
                .findFirst();
        if (plan.plot() == null) {
            fields.complain("margin", "There is no boundary yet; describe the ground on the Site first.");
        }
        if (plan.rows().choices().isEmpty()) {
            fields.complain("margin", "No variety is chosen yet; choose some on Varieties first.");
        }
        if (pattern == RowFill.Pattern.ALONG && along.isEmpty()) {
            fields.complain("along", "Say along what they are to stand; draw it on the Site first if it is not there.");
        }
        if (pattern == RowFill.Pattern.CONTOUR
                && PlotFill.acrossSlope(plan.terrain().ground()).isEmpty()) {
            fields.complain(
                    "pattern",
                    "The ground hardly falls, or nobody has said how; enter heights on the Site, or take straight rows.");
        }
        PlotFill.Mixing mixing = fields.value("mixing").isBlank()
                ? PlotFill.Mixing.PARTNERS
                : fields.choice("mixing", PlotFill.Mixing.class);
        PlotFill.Wish wish = new PlotFill.Wish(pattern, margin, alley, Optional.ofNullable(bearing)).mixed(mixing);
        return along.map(wish::along).orElse(wish);
    }

    /** The rows as they are wished, and the trees in them: one change. */
    private static List<Edit> filled(Plan now, PlotFill.Wish wish, LayoutFill.Trees of, long base, int[] left) {
        LayoutFill fill = LayoutFill.of(now, wish, of);
        left[0] = fill.left();
        List<Edit> all = new ArrayList<>();
        // A wall to stand along is asked for each time: what the rows are wished like stays.
        if (wish.along().isEmpty()) {
            all.add(LayoutFill.settings(now.rows().settings(), base, wish));
        }
        all.addAll(fill.edits(base));
        return all;
    }
}
