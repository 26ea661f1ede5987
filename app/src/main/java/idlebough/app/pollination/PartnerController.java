package idlebough.app.pollination;

import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.crop.Variety;
import idlebough.core.pollination.Flowering;
import idlebough.core.pollination.Neighbourhood.Link;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.variety.VarietyStage;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who pollinates whom, and near enough. */
@Controller
@RequestMapping("/orchards/{orchard}/partners")
public class PartnerController {
    private static final double PER_DAY = 13;
    private final Pages pages;

    PartnerController(Pages pages) {
        this.pages = pages;
    }

    /** One variety's open bloom by its group. @param tree id of its first tree */
    public record Bar(
            Variety variety,
            String tree,
            String labels,
            double x,
            double width,
            double y,
            boolean here,
            boolean serves) {}

    /**
     * A partner, and what each of the two gets from the other, in words.
     *
     * @param link what the tree gets
     */
    public record TwoWays(Link link, String words) {
        private static final double SERVES = PartnerScore.THIN;

        static TwoWays of(PartnerWeb web, Flowering tree, Link link) {
            Flowering partner = link.partner();
            double back = web.link(partner, tree).score().value();
            return new TwoWays(
                    link, says(tree, partner, link.score().value()) + "; " + says(partner, tree, back) + ".");
        }

        private static String says(Flowering receiver, Flowering donor, double value) {
            return receiver.label()
                    + (value >= SERVES ? " is served by " : value > 0 ? " gets little from " : " gets nothing from ")
                    + donor.label();
        }
    }

    private static String sub(Flowering picked) {
        Variety variety = picked.variety();
        String pollen = variety.selfFruitful() >= 1
                ? ", crops with its own pollen."
                : variety.triploid() ? ", triploid: gives no pollen." : ", rejects most of its own pollen.";
        return variety.label() + pollen + (picked.place().isEmpty() ? " No peg yet: taken as near to all." : "");
    }

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(required = false) String mend) {
        PlanView plan = pages.open(model, scope, StagePage.PARTNERS);
        PartnerWeb web = plan.evaluation().partners().web();
        List<Flowering> all = web.trees();
        Flowering picked = tree == null
                ? all.stream()
                        .filter(t -> t.variety().selfFruitful() < 1)
                        .findFirst()
                        .or(() -> all.stream().findFirst())
                        .orElse(null)
                : all.stream().filter(t -> t.id().equals(tree)).findFirst().orElseThrow(NotFound::new);
        model.addAttribute("trees", all);
        model.addAttribute("picked", picked);
        if (picked != null) {
            List<Link> links = web.partnersOf(picked);
            model.addAttribute(
                    "links",
                    links.stream()
                            .limit(12)
                            .map(link -> TwoWays.of(web, picked, link))
                            .toList());
            model.addAttribute("more", Math.max(0, links.size() - 12));
            VarietyStage varieties = plan.evaluation().varieties();
            model.addAttribute("sub", sub(picked));
            model.addAttribute("set", web.setOf(picked));
            model.addAttribute("setWorking", web.setWorking(picked));
            model.addAttribute(
                    "would",
                    mend == null
                            ? null
                            : PartnerWeb.wouldServe(picked, varieties.catalogue()).stream()
                                    .map(link -> varieties.verdict(
                                            link.partner().variety().key()))
                                    .sorted(Comparator.comparingDouble(v -> v.rank()))
                                    .limit(8)
                                    .toList());
            pages.about(model, plan, StagePage.PARTNERS.room(), picked.subject());
            model.addAttribute("bars", bars(web, picked, links));
        }
        return "pollination/partners";
    }

    private static List<Bar> bars(PartnerWeb web, Flowering picked, List<Link> links) {
        List<Bar> bars = new ArrayList<>();
        List<Variety> varieties = web.trees().stream()
                .map(Flowering::variety)
                .filter(v -> v.bloomGroup() != 0)
                .distinct()
                .sorted(Comparator.comparing(
                                (Variety v) -> !v.crop().equals(picked.variety().crop()))
                        .thenComparing(v -> v.crop().name())
                        .thenComparing(Variety::bloomGroup))
                .limit(16)
                .toList();
        for (int i = 0; i < varieties.size(); i++) {
            Variety v = varieties.get(i);
            String labels = String.join(
                    " ",
                    web.trees().stream()
                            .filter(t -> t.variety().key().equals(v.key()))
                            .limit(5)
                            .map(t -> t.label().split(" ‘")[0])
                            .toList());
            boolean serves = links.stream()
                    .anyMatch(link -> link.partner().variety().key().equals(v.key())
                            && link.score().value() >= 0.2);
            String first = web.trees().stream()
                    .filter(t -> t.variety().key().equals(v.key()))
                    .map(Flowering::id)
                    .findFirst()
                    .orElseThrow();
            bars.add(new Bar(
                    v,
                    first,
                    labels,
                    250 + PER_DAY * 3 * (v.bloomGroup() - 'A'),
                    PER_DAY * v.crop().bloomDays(),
                    92 + 33.0 * i,
                    v.key().equals(picked.variety().key()),
                    serves));
        }
        return bars;
    }
}
