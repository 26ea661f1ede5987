package idlebough.app.assortment;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.Right;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.assortment.AssortmentWish;
import idlebough.core.assortment.Proposal;
import idlebough.core.assortment.SetWorth;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.Choice;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Whole sets of variety and stock, proposed from wishes. */
@Controller
@RequestMapping("/orchards/{orchard}/assortment")
public class AssortmentController {
    private static final String CROP = "crop-";
    private static final int MOST_WEIGHT = 3;
    private static final int USUAL_TREES = 8;
    private static final int USUAL_SAFETY = 8;
    private static final int MOST_PICKS = 60;

    private final Pages pages;
    private final Edits edits;
    private final ProposalRuns runs;

    AssortmentController(Pages pages, Edits edits, ProposalRuns runs) {
        this.pages = pages;
        this.edits = edits;
        this.runs = runs;
    }

    /**
     * A crop of the form.
     *
     * @param weight 0 not wanted to 3 above all
     * @param grows whether anything of it may stand here
     */
    public record Wished(Crop crop, int weight, boolean grows) {}

    /** A month of the form. */
    public record MonthBox(int number, String name, boolean ticked) {}

    /** A set as it is shown. */
    public record Shown(Proposal proposal, List<String> said, HarvestStrip strip, Working worth) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.VARIETIES);
        Optional<ProposalRuns.Run> run = runs.last(scope.orchard());
        Fields fields = run.map(last -> of(last, reader))
                .orElseGet(() -> Fields.blank(reader.display())
                        .put("trees", USUAL_TREES)
                        .put("safety", USUAL_SAFETY)
                        .put("seed", 1)
                        .put("keep", plan.rows().choices().isEmpty() ? "" : "1"));
        Map<String, Integer> weights = run.map(last -> last.wish().crops())
                .orElseGet(() -> plan.rows().choices().stream()
                        .map(choice -> plan.evaluation().varieties().catalogue().variety(choice.varietyKey()))
                        .collect(Collectors.toMap(variety -> variety.crop().key(), variety -> 2, (a, b) -> a)));
        return page(
                model,
                plan,
                fields,
                weights,
                run.map(last -> last.wish().months()).orElse(Set.of()),
                run,
                reader);
    }

    private static Fields of(ProposalRuns.Run run, Reader reader) {
        AssortmentWish wish = run.wish();
        return Fields.blank(reader.display())
                .put("trees", wish.trees())
                .put("area", wish.area().orElse(null), Quantity.AREA)
                .put("safety", wish.safety())
                .put("sprays", wish.noSprays() ? "1" : "")
                .put("keep", run.kept().isEmpty() ? "" : "1")
                .put("seed", wish.seed());
    }

    private static String page(
            Model model,
            PlanView plan,
            Fields fields,
            Map<String, Integer> weights,
            Set<Month> months,
            Optional<ProposalRuns.Run> run,
            Reader reader) {
        Set<String> grows = plan.evaluation().varieties().verdicts().stream()
                .filter(verdict -> verdict.raised().standing().orElse(Standing.SOUND) != Standing.STOP)
                .map(verdict -> verdict.variety().crop().key())
                .collect(Collectors.toSet());
        model.addAttribute(
                "crops",
                plan.evaluation().varieties().catalogue().crops().stream()
                        .map(crop -> new Wished(crop, weights.getOrDefault(crop.key(), 0), grows.contains(crop.key())))
                        .toList());
        model.addAttribute(
                "months",
                java.util.stream.Stream.of(Month.values())
                        .map(month -> new MonthBox(
                                month.getValue(),
                                month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
                                months.contains(month)))
                        .toList());
        model.addAttribute("fields", fields);
        model.addAttribute("run", run.orElse(null));
        model.addAttribute("module", "assortment");
        boolean none = run.map(last -> last.proposals().isEmpty()).orElse(true);
        model.addAttribute("spreadCss", none ? "wishesfirst" : "");
        model.addAttribute(
                "proposals",
                run.map(last -> last.proposals().stream()
                                .map(proposal -> new Shown(
                                        proposal,
                                        proposal.said(last.wish()).stream()
                                                .map(reader::of)
                                                .toList(),
                                        HarvestStrip.of(
                                                proposal, plan.evaluation().varieties()),
                                        SetWorth.of(proposal, last.wish()).working()))
                                .toList())
                        .orElse(List.of()));
        return "assortment/assortment";
    }

    @PostMapping
    String search(Scope scope, Reader reader, Model model, @RequestParam MultiValueMap<String, String> typed) {
        PlanView plan = pages.plan(scope, Right.PLAN);
        Fields fields = new Fields(typed.toSingleValueMap(), reader.display());
        Map<String, Integer> weights = new LinkedHashMap<>();
        plan.evaluation()
                .varieties()
                .catalogue()
                .crops()
                .forEach(crop -> weight(fields, crop).ifPresent(weight -> weights.put(crop.key(), weight)));
        Set<Month> months = EnumSet.noneOf(Month.class);
        typed.getOrDefault("month", List.of()).stream()
                .filter(month -> month.matches("[1-9]|1[0-2]"))
                .forEach(month -> months.add(Month.of(Integer.parseInt(month))));
        double trees = fields.required("trees", Quantity.COUNT, 1, 60);
        Double area = fields.optional("area", Quantity.AREA, 1, 100_000);
        double safety = fields.required("safety", Quantity.COUNT, 0, 10);
        double seed = fields.required("seed", Quantity.COUNT, 0, 1_000_000);
        if (weights.isEmpty()) {
            fields.complain("crops", "Say of one crop at least that you want it.");
        }
        if (fields.wrong()) {
            return page(
                    model,
                    pages.open(model, scope, StagePage.VARIETIES),
                    fields,
                    weights,
                    months,
                    Optional.empty(),
                    reader);
        }
        runs.start(
                scope.orchard(),
                plan.evaluation(),
                new AssortmentWish(
                        weights,
                        months,
                        (int) Math.round(trees),
                        Optional.ofNullable(area),
                        (int) Math.round(safety),
                        fields.ticked("sprays"),
                        Math.round(seed)),
                fields.ticked("keep") ? plan.evaluation().varieties().choices() : List.of());
        return "redirect:/orchards/" + scope.orchard() + "/assortment";
    }

    private static Optional<Integer> weight(Fields fields, Crop crop) {
        String typed = fields.value(CROP + crop.key());
        return typed.matches("[1-" + MOST_WEIGHT + "]") ? Optional.of(Integer.valueOf(typed)) : Optional.empty();
    }

    @PostMapping("/stop")
    String stop(Scope scope) {
        pages.plan(scope, Right.PLAN);
        runs.stop(scope.orchard());
        return "redirect:/orchards/" + scope.orchard() + "/assortment";
    }

    /** How far the search is. */
    public record Progress(boolean running, int percent, int found) {}

    @GetMapping("/progress")
    @ResponseBody
    Progress progress(Scope scope) {
        pages.plan(scope);
        return runs.last(scope.orchard())
                .map(run -> new Progress(
                        run.running(),
                        run.percent(),
                        run.proposals().stream().mapToInt(Proposal::score).sum()))
                .orElseGet(() -> new Progress(false, 100, 0));
    }

    /** A set, or what was ticked of it, as one change. */
    @PostMapping("/take")
    String take(Scope scope, FormStamp stamp, @RequestParam(defaultValue = "") List<String> pick) {
        PlanView plan = pages.plan(scope);
        List<Choice> picks =
                pick.stream().limit(MOST_PICKS).map(each -> read(plan, each)).toList();
        if (picks.isEmpty()) {
            return "redirect:/orchards/" + scope.orchard() + "/assortment";
        }
        int trees = picks.stream().mapToInt(Choice::wanted).sum();
        edits.apply(
                scope,
                stamp.change("Took over " + trees + (trees == 1 ? " tree" : " trees") + " of a proposed set"),
                now -> taken(now, picks, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/varieties?variety="
                + picks.get(0).variety();
    }

    /** {@code variety/stock/trees} */
    private static Choice read(PlanView plan, String typed) {
        String[] part = typed.split("/");
        var catalogue = plan.evaluation().varieties().catalogue();
        boolean known = part.length == 3
                && catalogue.findVariety(part[0]).isPresent()
                && catalogue.findRootstock(part[1]).isPresent()
                && part[2].matches("[1-9][0-9]?");
        if (!known) {
            throw new NotFound();
        }
        return new Choice("", part[0], Optional.of(part[1]), Integer.parseInt(part[2]));
    }

    private static List<Edit> taken(Plan now, List<Choice> picks, long base) {
        List<Edit> all = new ArrayList<>();
        picks.forEach(pick -> {
            Optional<ChoiceRow> before = now.rows().choiceOf(pick.variety());
            all.add(before.map(row -> Edit.change(
                            row,
                            base,
                            Map.of(
                                    "wanted",
                                    row.wanted() + pick.wanted(),
                                    "rootstockKey",
                                    row.rootstockKey() == null ? pick.stock().orElseThrow() : row.rootstockKey())))
                    .orElseGet(() -> Edit.add(new ChoiceRow(
                            RowKey.fresh(now.head().id()),
                            pick.variety(),
                            pick.stock().orElseThrow(),
                            pick.wanted()))));
        });
        return all;
    }
}
