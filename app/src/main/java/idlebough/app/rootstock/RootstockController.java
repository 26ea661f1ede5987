package idlebough.app.rootstock;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.Scope;
import idlebough.app.store.TreeRow;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.Svg;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Misfit;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Working;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Tree;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** On what roots, how big, how far apart. */
@Controller
@RequestMapping("/orchards/{orchard}/rootstocks")
public class RootstockController {
    private static final double GROUND = 560;
    /** Above the ground, m (common practice). */
    private static final double POST = 1.5;

    private static final double OVERLAP = 0.62;
    private final Pages pages;
    private final Edits edits;

    RootstockController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /** One stock offered for a variety. */
    public record Offer(Rootstock stock, TreeSize size, Misfit misfit, boolean chosen, Working working) {}

    /** A silhouette beside a person of 1.7 m; page units. */
    public record Shape(Offer offer, double x, double crownWidth, double crownHeight, double treeHeight) {
        private static final double STEM = 0.4;
        private static final double BESIDE = 8;

        public double crownY() {
            return GROUND - treeHeight + crownHeight / 2;
        }

        public String stem() {
            return Svg.path("M# #V#", x, GROUND, GROUND - treeHeight * STEM);
        }

        /** The post that stays for life. @param metre page units */
        public String post(double metre) {
            return Svg.path("M# #V#", x + BESIDE, GROUND, GROUND - POST * metre);
        }
    }

    /** Somebody 1.7 m tall, standing at 0. @param metre page units */
    private static String person(double metre) {
        return Svg.path(
                "M0 #V#L# 0M0 #L# 0M# #L0 #L# #",
                -1.45 * metre,
                -0.8 * metre,
                -0.18 * metre,
                -0.8 * metre,
                0.18 * metre,
                -0.3 * metre,
                -0.95 * metre,
                -1.3 * metre,
                0.3 * metre,
                -0.95 * metre);
    }

    /** A choice with its names. */
    public record Named(ChoiceRow choice, Variety variety, Rootstock stock) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) String choice) {
        PlanView plan = pages.open(model, scope, StagePage.ROOTSTOCKS);
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        List<Named> choices =
                plan.rows().choices().stream().map(c -> named(catalogue, c)).toList();
        Named picked = choice == null
                ? choices.stream()
                        .filter(c -> c.stock() == null)
                        .findFirst()
                        .or(() -> choices.stream().findFirst())
                        .orElse(null)
                : choices.stream()
                        .filter(c -> c.choice().id().equals(choice))
                        .findFirst()
                        .orElseThrow(NotFound::new);
        model.addAttribute("choices", choices);
        model.addAttribute("picked", picked);
        if (picked != null) {
            Variety variety = picked.variety();
            List<Offer> offers = catalogue.rootstocksFor(variety.crop()).stream()
                    .map(stock -> new Offer(
                            stock,
                            TreeSize.of(variety, stock),
                            catalogue.misfit(variety, stock).orElse(null),
                            stock.equals(picked.stock()),
                            TreeSize.working(variety, stock)))
                    .toList();
            model.addAttribute("offers", offers);
            pages.about(
                    model,
                    plan,
                    StagePage.ROOTSTOCKS.room(),
                    new Subject(Subject.Kind.CHOICE, picked.choice().id()));
            // Crowns may overlap in the drawing: their outlines are compared, not planted.
            double width = OVERLAP
                            * offers.stream()
                                    .mapToDouble(o -> o.size().spread())
                                    .sum()
                    + 3;
            double height =
                    offers.stream().mapToDouble(o -> o.size().height()).max().orElse(2);
            double scale = Math.min(640 / width, 420 / height);
            List<Shape> shapes = new ArrayList<>();
            double x = 50 + 1.2 * scale;
            for (Offer offer : offers) {
                double w = offer.size().spread() * scale;
                shapes.add(new Shape(
                        offer,
                        x + w / 2,
                        w,
                        0.78 * offer.size().height() * scale,
                        offer.size().height() * scale));
                x += OVERLAP * w;
            }
            model.addAttribute("shapes", shapes);
            model.addAttribute("metre", scale);
            model.addAttribute("person", person(scale));
        }
        return "rootstock/rootstocks";
    }

    private static Named named(Catalogue catalogue, ChoiceRow row) {
        String stock = row.rootstockKey();
        return new Named(
                row,
                catalogue.variety(row.varietyKey()),
                stock == null ? null : catalogue.findRootstock(stock).orElse(null));
    }

    @PostMapping
    String choose(Scope scope, FormStamp stamp, @RequestParam String choice, @RequestParam String stock) {
        PlanView plan = pages.plan(scope);
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        ChoiceRow before = plan.rows().choice(choice).orElseThrow(NotFound::new);
        Variety variety = catalogue.variety(before.varietyKey());
        Rootstock chosen = catalogue
                .findRootstock(stock)
                .filter(of -> of.crops().contains(variety.crop().key()))
                .orElseThrow(NotFound::new);
        edits.apply(
                scope,
                stamp.change(variety.name() + " on " + chosen.name()),
                now -> grafted(now, before, stock, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/rootstocks?choice=" + choice;
    }

    /** The choice, and its trees that are not yet in the ground. */
    private static List<Edit> grafted(Plan now, ChoiceRow choice, String stock, long base) {
        List<Edit> all = new ArrayList<>();
        all.add(Edit.change(choice, base, Map.of("rootstockKey", stock)));
        for (TreeRow tree : now.rows().trees()) {
            if (choice.id().equals(tree.choiceId()) && tree.life().state() == Tree.State.PLANNED) {
                all.add(Edit.change(tree, now.revision(), Map.of("rootstockKey", stock)));
            }
        }
        return all;
    }
}
