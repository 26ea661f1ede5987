package idlebough.app.rootstock;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.Scope;
import idlebough.app.store.SettingsRow;
import idlebough.app.store.TreeRow;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Cropping;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import idlebough.core.layout.PlotFill;
import idlebough.core.orchard.StockTrial;
import idlebough.core.rootstock.Habit;
import idlebough.core.rootstock.StockFacts;
import idlebough.core.rootstock.StockOffer;
import idlebough.core.rootstock.StockOffers;
import idlebough.core.rootstock.TrainingSystem;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Tree;
import idlebough.core.variety.Choice;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
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
    /** Beyond so many trees filling the plot takes seconds, and the layout says it. */
    private static final int MOST_TRIED = 120;

    private static final List<Integer> YEARS = List.of(3, 7, 15, 0);
    private final Pages pages;
    private final Edits edits;

    RootstockController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /** A choice with its names. */
    public record Named(ChoiceRow choice, Variety variety, Rootstock stock) {}

    /**
     * What is looked at.
     *
     * @param choice id; null for the first that has no stock yet
     * @param stock key of the one that stands in the row; null for the one that is picked, else the one chosen
     * @param year in the ground; 0 full grown
     * @param bare winter wood
     */
    private record Look(String choice, String stock, int year, boolean bare) {
        StockDrawing.Moment moment() {
            return new StockDrawing.Moment(YEARS.contains(year) ? year : 0, bare);
        }
    }

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String choice,
            @RequestParam(required = false) String stock,
            @RequestParam(defaultValue = "0") int year,
            @RequestParam(defaultValue = "false") boolean bare) {
        Look look = new Look(choice, stock, year, bare);
        PlanView plan = pages.open(model, scope, StagePage.ROOTSTOCKS);
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        List<Named> choices =
                plan.rows().choices().stream().map(c -> named(catalogue, c)).toList();
        Named picked = look.choice() == null
                ? choices.stream()
                        .filter(c -> c.stock() == null)
                        .findFirst()
                        .or(() -> choices.stream().findFirst())
                        .orElse(null)
                : choices.stream()
                        .filter(c -> c.choice().id().equals(look.choice()))
                        .findFirst()
                        .orElseThrow(NotFound::new);
        model.addAttribute("choices", choices);
        model.addAttribute("picked", picked);
        if (picked != null) {
            offer(plan, reader, model, picked, look);
            pages.about(
                    model,
                    plan,
                    StagePage.ROOTSTOCKS.room(),
                    new Subject(Subject.Kind.CHOICE, picked.choice().id()));
        }
        return "rootstock/rootstocks";
    }

    private static void offer(PlanView plan, Reader reader, Model model, Named picked, Look look) {
        Choice choice = plan.evaluation().varieties().choices().stream()
                .filter(each -> each.id().equals(picked.choice().id()))
                .findFirst()
                .orElseThrow(NotFound::new);
        StockOffers offers = plan.evaluation().rootstocks().offers(choice);
        List<StockOffer> ranked = offers.ranked();
        String chosen = picked.stock() == null ? "" : picked.stock().key();
        StockOffer shown = Optional.ofNullable(look.stock())
                .flatMap(offers::of)
                .or(() -> ranked.stream().findFirst())
                .or(() -> offers.of(chosen))
                .orElse(offers.offers().get(0));
        StockDrawing.Moment moment = look.moment();
        model.addAttribute("lines", StockLine.all(offers, shown, chosen));
        model.addAttribute("heads", StockLine.heads(offers));
        model.addAttribute("shown", shown);
        model.addAttribute("facts", StockFacts.of(picked.variety().crop(), shown.stock()));
        Habit habit = offers.here().habit();
        model.addAttribute("systems", TrainingSystem.of(picked.variety(), shown.stock(), habit));
        model.addAttribute("training", picked.choice().training());
        SettingsRow.RowsOfTrees rows = plan.rows().settings().rows();
        model.addAttribute(
                "trial",
                Optional.of(plan.evaluation())
                        .filter(evaluation -> evaluation.stands().size() <= MOST_TRIED)
                        .flatMap(evaluation -> StockTrial.of(
                                evaluation,
                                choice,
                                shown.stock(),
                                new PlotFill.Wish(
                                        rows.pattern(),
                                        rows.margin(),
                                        rows.alley(),
                                        Optional.ofNullable(rows.bearing()))))
                        .orElse(null));
        model.addAttribute(
                "yieldWorking",
                Cropping.of(picked.variety().crop(), Optional.of(shown.stock()))
                        .map(Cropping::working)
                        .orElse(null));
        model.addAttribute("chosen", chosen);
        model.addAttribute("words", new StockWords(offers, reader));
        model.addAttribute("pick", ranked.stream().findFirst().orElse(null));
        model.addAttribute("next", ranked.stream().skip(1).findFirst().orElse(null));
        model.addAttribute("ranking", offers.ranking());
        model.addAttribute("working", TreeSize.working(picked.variety(), shown.stock(), habit));
        model.addAttribute("sketch", StockDrawing.of(offers, shown, moment));
        model.addAttribute("moment", moment);
        model.addAttribute("kept", moment.kept());
        model.addAttribute("years", YEARS);
        long open = without(
                        plan,
                        plan.evaluation().varieties().catalogue(),
                        picked.variety().crop())
                .stream()
                .filter(row -> !row.id().equals(picked.choice().id()))
                .count();
        model.addAttribute("others", open == 0 ? 0 : open + 1);
        model.addAttribute("evergreen", picked.variety().crop().evergreen());
    }

    private static Named named(Catalogue catalogue, ChoiceRow row) {
        String stock = row.rootstockKey();
        return new Named(
                row,
                catalogue.variety(row.varietyKey()),
                stock == null ? null : catalogue.findRootstock(stock).orElse(null));
    }

    @PostMapping
    String choose(
            Scope scope,
            FormStamp stamp,
            @RequestParam String choice,
            @RequestParam String stock,
            @RequestParam(defaultValue = "false") boolean all) {
        PlanView plan = pages.plan(scope);
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        ChoiceRow before = plan.rows().choice(choice).orElseThrow(NotFound::new);
        Variety variety = catalogue.variety(before.varietyKey());
        Rootstock chosen = catalogue
                .findRootstock(stock)
                .filter(of -> of.crops().contains(variety.crop().key()))
                .orElseThrow(NotFound::new);
        if (all) {
            List<ChoiceRow> others = without(plan, catalogue, variety.crop());
            edits.apply(
                    scope,
                    stamp.change(variety.crop().name() + " trees on " + chosen.name()),
                    now -> Stream.concat(
                                    Stream.of(before),
                                    others.stream().filter(other -> !other.id().equals(choice)))
                            .flatMap(row -> grafted(now, row, stock, stamp.revision()).stream())
                            .toList());
        } else {
            edits.apply(
                    scope,
                    stamp.change(variety.name() + " on " + chosen.name()),
                    now -> grafted(now, before, stock, stamp.revision()));
        }
        return "redirect:/orchards/" + scope.orchard() + "/rootstocks?choice=" + choice;
    }

    /** @param training name of a system; empty for an ordinary bush or open tree */
    @PostMapping("/training")
    String train(
            Scope scope,
            FormStamp stamp,
            @RequestParam String choice,
            @RequestParam(defaultValue = "") String training) {
        PlanView plan = pages.plan(scope);
        ChoiceRow row = plan.rows().choice(choice).orElseThrow(NotFound::new);
        Variety variety = plan.evaluation().varieties().catalogue().variety(row.varietyKey());
        Map<String, Object> changed = new HashMap<>();
        changed.put(
                "training",
                training.isEmpty()
                        ? null
                        : TrainingSystem.named(training)
                                .filter(system -> system.takes(variety))
                                .orElseThrow(NotFound::new)
                                .name());
        edits.apply(
                scope,
                stamp.change(training.isEmpty() ? variety.name() + " left free" : variety.name() + " as " + training),
                now -> List.of(Edit.change(row, stamp.revision(), changed)));
        return "redirect:/orchards/" + scope.orchard() + "/rootstocks?choice=" + choice;
    }

    /** Choices of a crop that have no stock yet. */
    private static List<ChoiceRow> without(PlanView plan, Catalogue catalogue, Crop crop) {
        return plan.rows().choices().stream()
                .filter(row -> row.rootstockKey() == null)
                .filter(row -> catalogue.variety(row.varietyKey()).crop().equals(crop))
                .toList();
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
