package idlebough.app.planting;

import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.Dormancy;
import idlebough.core.planting.MovedTree;
import idlebough.core.winter.Exposure;
import java.time.Clock;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A tree that stands in the wrong place: whether and how it is moved. */
@Controller
@RequestMapping("/orchards/{orchard}/planting/{tree}/moving")
public class MovingController {
    private static final double YEAR = 365.25;
    private static final double MOST_YEARS = 80;
    private final Pages pages;
    private final PlantingPage planting;
    private final Clock clock;

    MovingController(Pages pages, PlantingPage planting, Clock clock) {
        this.pages = pages;
        this.planting = planting;
        this.clock = clock;
    }

    @GetMapping
    String show(
            Scope scope,
            Reader say,
            Model model,
            @PathVariable String tree,
            @RequestParam(defaultValue = "false") boolean machine,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        TreeView of = plan.tree(tree);
        planting.show(model, plan, say, PlantingPage.Look.of(tree, 0, false));
        Fields fields = new Fields(typed, say.display());
        double known = years(plan, of);
        if (!fields.typed("years")) {
            fields.put("years", known, Quantity.SCORE);
        }
        if (!fields.typed("stem")) {
            fields.put("stem", of.nursery().stem(), Quantity.FINE_LENGTH);
        }
        double years = fields.required("years", Quantity.SCORE, 0, MOST_YEARS);
        double stem = fields.required("stem", Quantity.FINE_LENGTH, 0.003, 1);
        model.addAttribute("fields", fields);
        model.addAttribute("machine", machine);
        if (!fields.wrong()) {
            MovedTree moved = MovedTree.of(years, stem, of.planned().crown(0) / 2, machine);
            model.addAttribute("move", moved);
            model.addAttribute("moveFigures", figures(moved));
        }
        model.addAttribute("southern", plan.site().where().latitude() < 0);
        model.addAttribute(
                "sleeps",
                of.variety().crop().evergreen()
                        ? null
                        : Dormancy.of(
                                plan.evaluation().varieties().springs(of.variety(), Exposure.SCREEN),
                                plan.site().where().latitude() < 0));
        return "planting/moving";
    }

    private double years(PlanView plan, TreeView tree) {
        LocalDate planted = tree.row().life().plantedOn();
        return planted == null
                ? 0
                : Math.max(
                        0,
                        ChronoUnit.DAYS.between(
                                        planted,
                                        LocalDate.now(clock.withZone(plan.head().zone())))
                                / YEAR);
    }

    private static List<Figure> figures(MovedTree moved) {
        List<Figure> figures = new ArrayList<>();
        figures.add(new Figure(
                "ball-radius",
                Phrase.of("Cut round it, from the stem"),
                Amount.cm(moved.radius()),
                Phrase.of("{} deep", Amount.cm(moved.depth())),
                moved::working));
        figures.add(new Figure(
                "ball-weight",
                Phrase.of("The ball weighs"),
                Amount.of(moved.heaviest(), Quantity.MASS),
                Phrase.of("or from {}", Amount.of(moved.lightest(), Quantity.MASS)),
                moved::working));
        figures.add(new Figure(
                "roots-kept",
                Phrase.of("Ground of its roots that goes along"),
                Amount.of(100 * moved.rootsKept(), Quantity.PERCENT),
                Phrase.of("the top is cut to it"),
                moved::working));
        return figures;
    }
}
