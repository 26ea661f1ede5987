package idlebough.app.rootstock;

import idlebough.app.layout.Tree;
import idlebough.app.layout.TreeState;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.variety.Choice;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Stage;
import idlebough.core.judge.Working;
import idlebough.core.crop.Rootstock;
import idlebough.core.rootstock.Rootstocks;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.crop.Variety;
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
    private static final double OVERLAP = 0.62;
    private final Pages pages;

    RootstockController(Pages pages) {
        this.pages = pages;
    }

    /** One stock offered for a variety. */
    public record Offer(Rootstock stock, TreeSize size, Rootstocks.Misfit misfit, boolean chosen, Working working) {}

    /** A silhouette beside a person of 1.7 m; page units. */
    public record Shape(Offer offer, double x, double crownWidth, double crownHeight, double treeHeight) {}

    /** A choice with its names. */
    public record Named(Choice choice, Variety variety, Rootstock stock) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) String choice) {
        Reckoning plan = pages.open(model, scope, Stage.ROOTSTOCKS);
        List<Named> choices = plan.plan().choices().stream()
                .map(c -> new Named(c, plan.variety(c.varietyKey()), plan.stock(c)))
                .toList();
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
            List<Offer> offers = Rootstocks.forCrop(variety.crop().key()).stream()
                    .map(stock -> new Offer(
                            stock,
                            TreeSize.of(variety, stock),
                            Rootstocks.misfit(variety, stock),
                            stock.equals(picked.stock()),
                            TreeSize.working(variety, stock)))
                    .toList();
            model.addAttribute("offers", offers);
            model.addAttribute(
                    "about",
                    pages.about(
                            plan,
                            Stage.ROOTSTOCKS.room(),
                            "choice:" + picked.choice().id()));
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
        }
        return "rootstock/rootstocks";
    }

    @PostMapping
    String choose(Scope scope, @RequestParam String choice, @RequestParam String stock) {
        Reckoning plan = pages.reckon(scope);
        Choice before = plan.plan().choices().stream()
                .filter(c -> c.id().equals(choice))
                .findFirst()
                .orElseThrow(NotFound::new);
        Rootstock chosen = Rootstocks.find(stock);
        Variety variety = plan.variety(before.varietyKey());
        if (chosen == null || !chosen.crops().contains(variety.crop().key())) {
            throw new NotFound();
        }
        pages.changes().make(scope, variety.name() + " on " + chosen.name(), pen -> {
            pen.save(pages.changes().with(before, Map.of("rootstockKey", stock)));
            // Trees of this choice that are not yet in the ground follow it.
            for (Tree tree : plan.plan().trees()) {
                if (choice.equals(tree.choiceId()) && tree.state() == TreeState.PLANNED) {
                    pen.save(pages.changes().with(tree, Map.of("rootstockKey", stock)));
                }
            }
        });
        return "redirect:/orchards/" + scope.orchard() + "/rootstocks?choice=" + choice;
    }
}
