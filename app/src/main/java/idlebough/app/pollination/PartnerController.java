package idlebough.app.pollination;

import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Stage;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.crop.Variety;
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

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String tree,
            @RequestParam(required = false) String mend) {
        Reckoning plan = pages.open(model, scope, Stage.PARTNERS);
        List<PartnerWeb.Flowering> all = plan.web().trees();
        PartnerWeb.Flowering picked = tree == null
                ? all.stream()
                        .filter(t -> t.variety().selfFruitful() < 1)
                        .findFirst()
                        .or(() -> all.stream().findFirst())
                        .orElse(null)
                : all.stream().filter(t -> t.id().equals(tree)).findFirst().orElseThrow(NotFound::new);
        model.addAttribute("trees", all);
        model.addAttribute("picked", picked);
        if (picked != null) {
            List<PartnerWeb.Link> links = plan.web().partnersOf(picked);
            model.addAttribute("links", links.stream().limit(12).toList());
            model.addAttribute("more", Math.max(0, links.size() - 12));
            model.addAttribute("set", plan.web().setOf(picked));
            model.addAttribute("setWorking", plan.web().setWorking(picked));
            model.addAttribute(
                    "would",
                    mend == null
                            ? null
                            : PartnerWeb.wouldServe(picked).stream()
                                    .map(link -> plan.verdict(
                                            link.partner().variety().key()))
                                    .sorted(Comparator.comparingDouble(v -> v.rank()))
                                    .limit(8)
                                    .toList());
            model.addAttribute("about", pages.about(plan, Stage.PARTNERS.room(), "tree:" + picked.id()));
            model.addAttribute("bars", bars(plan, picked, links));
        }
        return "pollination/partners";
    }

    private static List<Bar> bars(Reckoning plan, PartnerWeb.Flowering picked, List<PartnerWeb.Link> links) {
        List<Bar> bars = new ArrayList<>();
        List<Variety> varieties = plan.web().trees().stream()
                .map(PartnerWeb.Flowering::variety)
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
                    plan.web().trees().stream()
                            .filter(t -> t.variety().key().equals(v.key()))
                            .limit(5)
                            .map(t -> t.label().split(" ‘")[0])
                            .toList());
            boolean serves = links.stream()
                    .anyMatch(link -> link.partner().variety().key().equals(v.key())
                            && link.score().value() >= 0.2);
            String first = plan.web().trees().stream()
                    .filter(t -> t.variety().key().equals(v.key()))
                    .map(PartnerWeb.Flowering::id)
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
