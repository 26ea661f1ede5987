package idlebough.app.pollination;

import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.GroundDrawing;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.StagePage;
import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.pollination.BloomTimes;
import idlebough.core.pollination.CommonBloom;
import idlebough.core.pollination.Flowering;
import idlebough.core.pollination.Neighbourhood.Link;
import idlebough.core.pollination.PartnerLosses;
import idlebough.core.pollination.PartnerRepairs;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.pollination.PollinizerShare;
import idlebough.core.site.Stand;
import idlebough.core.variety.VarietySprings;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import idlebough.core.winter.Exposure;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
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
    private static final int SHOWN = 12;
    private static final double UNKNOWN = RuleTable.of("pollination").value("genes.unknown");
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
     * @param genes in a word
     * @param days together in the mean; a dash where none can be
     * @param ofTen springs with the wanted number of common days; empty where bloom is read by groups
     */
    public record TwoWays(Link link, String genes, String days, String ofTen, String words) {
        private static final double SERVES = PartnerScore.THIN;
        private static final String NONE = "–";

        static TwoWays of(PartnerWeb web, Flowering tree, Link link, int common, Reader say) {
            Flowering partner = link.partner();
            double back = web.link(partner, tree).score().value();
            boolean can = link.score().genes() > 0 && link.score().pollen() > 0;
            CommonBloom bloom = link.score().bloom();
            return new TwoWays(
                    link,
                    genes(tree, link.score(), partner),
                    can
                            ? bloom.springs()
                                    .map(springs -> say.display().plain(springs.meanDays(), 1))
                                    .orElse(String.valueOf(bloom.days()))
                            : NONE,
                    can
                            ? bloom.springs()
                                    .map(springs -> String.valueOf(springs.ofTen(common)))
                                    .orElse("estimate")
                            : "0",
                    says(tree, partner, link.score().value()) + "; " + says(partner, tree, back) + ".");
        }

        private static String genes(Flowering tree, PartnerScore score, Flowering partner) {
            if (tree.variety().key().equals(partner.variety().key())) {
                return score.genes() > 0 ? "own" : "same";
            }
            if (score.pollen() == 0) {
                return "no pollen";
            }
            return score.genes() == 0
                    ? "refused"
                    : score.genes() >= 1 ? "open" : score.genes() == UNKNOWN ? "not known" : "half";
        }

        private static String says(Flowering receiver, Flowering donor, double value) {
            return receiver.label()
                    + (value >= SERVES ? " is served by " : value > 0 ? " gets little from " : " gets nothing from ")
                    + donor.label();
        }
    }

    /**
     * A repair, and how it may be done without another tree.
     *
     * @param instead of it
     */
    public record Mending(PartnerRepairs.Repair repair, PartnerRepairs.Instead instead) {}

    /** A block of trees as the grower asks for it, and where its pollinizers stand. */
    public record Block(int rows, int trees, List<PollinizerShare.Place> places) {
        private static final int MOST = 60;

        static Block of(String rows, String trees) {
            return rows.matches("[1-9][0-9]?") && trees.matches("[1-9][0-9]?")
                    ? of(Math.min(MOST, Integer.parseInt(rows)), Math.min(MOST, Integer.parseInt(trees)))
                    : of(9, 12);
        }

        private static Block of(int rows, int trees) {
            return new Block(rows, trees, PollinizerShare.grid(rows, trees));
        }

        public boolean holds(int row, int place) {
            return places.contains(new PollinizerShare.Place(row, place));
        }

        public double percent() {
            return 100.0 * places.size() / rows / trees;
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
            @RequestParam(required = false) String partner,
            @RequestParam(required = false) String mend,
            @RequestParam(defaultValue = "") String days,
            @RequestParam(defaultValue = "") String show,
            @RequestParam(defaultValue = "") String blockRows,
            @RequestParam(defaultValue = "") String blockTrees) {
        PlanView plan = pages.open(model, scope, StagePage.PARTNERS);
        PartnerWeb web = plan.evaluation().partners().web();
        model.addAttribute("plot", plan.plot());
        boolean onPlan = show.equals("plan") && plan.plot() != null;
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
            int common = commonDays(days);
            List<Link> links = web.partnersOf(picked);
            List<TwoWays> ways = links.stream()
                    .limit(SHOWN)
                    .map(link -> TwoWays.of(web, picked, link, common, reader))
                    .toList();
            TwoWays compared = ways.stream()
                    .filter(way -> way.link().partner().id().equals(partner))
                    .findFirst()
                    .or(() -> ways.stream()
                            .filter(way -> !way.link()
                                    .partner()
                                    .variety()
                                    .key()
                                    .equals(picked.variety().key()))
                            .findFirst())
                    .orElse(null);
            model.addAttribute("common", common);
            model.addAttribute("links", ways);
            model.addAttribute("compared", compared);
            model.addAttribute("more", Math.max(0, links.size() - SHOWN));
            VarietyStage varieties = plan.evaluation().varieties();
            model.addAttribute("sub", sub(picked));
            model.addAttribute("set", web.setOf(picked));
            model.addAttribute("setWorking", web.setWorking(picked));
            model.addAttribute("losses", PartnerLosses.of(web));
            PartnerRepairs repairs = new PartnerRepairs(web, mayBePlanted(varieties));
            model.addAttribute("lonely", repairs.lonely());
            model.addAttribute("repairs", mendings(repairs, spares(plan, web)));
            model.addAttribute("grafts", grafts(plan, picked));
            model.addAttribute("block", Block.of(blockRows, blockTrees));
            model.addAttribute("show", onPlan ? "plan" : "bloom");
            if (onPlan) {
                Sheet sheet = Sheet.of(plan.plot(), 726, 660);
                model.addAttribute("sheet", sheet);
                model.addAttribute("marks", GroundDrawing.of(plan, sheet, reader));
                model.addAttribute("map", PartnerMap.of(web, picked, sheet));
            }
            model.addAttribute("choices", wanted(plan));
            model.addAttribute(
                    "dust",
                    varieties
                            .springs(picked.variety(), Exposure.SCREEN)
                            .flatMap(VarietySprings::middle)
                            .orElse(null));
            model.addAttribute(
                    "bloom",
                    BloomDrawing.of(
                                    web.trees(),
                                    picked,
                                    Optional.ofNullable(compared)
                                            .map(way -> way.link().partner().variety()),
                                    BloomTimes.at(varieties))
                            .orElse(null));
            model.addAttribute(
                    "would",
                    mend == null
                            ? null
                            : web.wouldServe(picked, varieties.catalogue()).stream()
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

    private static List<Mending> mendings(PartnerRepairs repairs, List<PartnerRepairs.Spare> spares) {
        return repairs.lonely().isEmpty()
                ? List.of()
                : repairs.fewest().stream()
                        .map(repair -> new Mending(repair, repairs.instead(repair, spares)))
                        .toList();
    }

    /** Choices of which several are wanted, then planned trees whose variety has another tree in the plan. */
    private static List<PartnerRepairs.Spare> spares(PlanView plan, PartnerWeb web) {
        Map<String, Long> trees = web.trees().stream()
                .filter(tree -> !tree.graft())
                .collect(Collectors.groupingBy(tree -> tree.variety().key(), Collectors.counting()));
        List<PartnerRepairs.Spare> spares = new ArrayList<>();
        web.trees().forEach(tree -> {
            if (tree.subject().kind() == Subject.Kind.CHOICE) {
                plan.rows()
                        .choice(tree.id())
                        .filter(choice -> choice.wanted() > 1)
                        .ifPresent(choice -> spares.add(new PartnerRepairs.Spare(tree, true)));
            } else if (!tree.graft()
                    && trees.get(tree.variety().key()) > 1
                    && plan.tree(tree.id()).toPlant()) {
                spares.add(new PartnerRepairs.Spare(tree, false));
            }
        });
        return spares;
    }

    /** What can be grafted on the picked tree, and what is. */
    private static Grafts grafts(PlanView plan, Flowering picked) {
        if (picked.subject().kind() != Subject.Kind.TREE) {
            return null;
        }
        Stand stand = plan.evaluation().stand(picked.subject().id()).orElseThrow(NotFound::new);
        return new Grafts(
                stand,
                plan.evaluation().varieties().catalogue().varieties().stream()
                        .filter(variety ->
                                variety.crop().like().equals(stand.crop().like())
                                        && !variety.equals(stand.variety())
                                        && !stand.grafts().contains(variety))
                        .toList());
    }

    /** @param offered varieties that take on it */
    public record Grafts(Stand stand, List<Variety> offered) {}

    private static int commonDays(String typed) {
        return typed.matches("[1-9]|1[0-4]")
                ? Integer.parseInt(typed)
                : (int) RuleTable.of("pollination").value("common-days");
    }

    /** Those that are not stopped by this site, the best for it first. */
    private static List<Variety> mayBePlanted(VarietyStage varieties) {
        return varieties.verdicts().stream()
                .filter(verdict -> verdict.standing().orElse(Standing.SOUND) != Standing.STOP)
                .map(VarietyVerdict::variety)
                .toList();
    }

    private static Map<String, Integer> wanted(PlanView plan) {
        Map<String, Integer> wanted = new HashMap<>();
        plan.rows().choices().forEach(choice -> wanted.merge(choice.varietyKey(), choice.wanted(), Integer::sum));
        return wanted;
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
