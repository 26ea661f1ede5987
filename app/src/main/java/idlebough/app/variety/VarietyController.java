package idlebough.app.variety;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.OwnFigureRow;
import idlebough.app.store.PinRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Room;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.Effort;
import idlebough.core.variety.Pot;
import idlebough.core.variety.VarietyFacts;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What will do here, what will not, and why. */
@Controller
@RequestMapping("/orchards/{orchard}/varieties")
public class VarietyController {
    private final Pages pages;
    private final Edits edits;

    VarietyController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam Map<String, String> asked) {
        return show(scope, reader, model, asked, asked.get("variety"));
    }

    private String show(Scope scope, Reader reader, Model model, Map<String, String> asked, String variety) {
        PlanView plan = pages.open(model, scope, StagePage.VARIETIES);
        VarietyStage stage = plan.evaluation().varieties();
        Set<String> pins = plan.rows().pins().stream().map(PinRow::varietyKey).collect(Collectors.toSet());
        Shortlist shortlist = Shortlist.of(stage, asked, pins);
        List<VarietyVerdict> listed = shortlist.listed();
        VarietyVerdict picked =
                variety != null && stage.catalogue().findVariety(variety).isPresent()
                        ? stage.verdict(variety)
                        : listed.stream()
                                .filter(v -> stage.chosen().contains(v.variety().key()))
                                .findFirst()
                                .or(() -> listed.stream().findFirst())
                                .orElseGet(() -> stage.verdicts().get(0));
        model.addAttribute("crops", stage.catalogue().crops());
        model.addAttribute("shortlist", shortlist);
        model.addAttribute("picked", picked);
        model.addAttribute("window", stage.ripe(picked.variety()));
        model.addAttribute("facts", VarietyFacts.of(picked.variety()));
        model.addAttribute("sub", sub(picked.variety()));
        pages.about(model, plan, Room.VARIETY, Subject.variety(picked.variety().key()));
        model.addAttribute(
                "about",
                pages.shown(
                        plan,
                        picked.findings().stream().filter(f -> !f.isSound()).toList()));
        model.addAttribute(
                "forIt",
                pages.shown(
                        plan,
                        picked.findings().stream().filter(Finding::isSound).toList()));
        model.addAttribute("missing", stage.missing().orElse(null));
        model.addAttribute("pins", pins);
        model.addAttribute("pot", Pot.of(picked.variety().crop()).orElse(null));
        model.addAttribute(
                "potted",
                plan.rows()
                        .choiceOf(picked.variety().key())
                        .filter(ChoiceRow::inPot)
                        .isPresent());
        model.addAttribute("effort", Effort.of(picked.variety().crop()));
        model.addAttribute("choices", byVariety(plan));
        model.addAttribute("strips", ChillStrip.of(plan, listed, picked));
        model.addAttribute("year", HarvestDrawing.of(stage, reader.display()));
        model.addAttribute("own", reader.display().field(picked.variety().chillNeed(), Quantity.COUNT));
        return "variety/varieties";
    }

    /** Up to five side by side. */
    @GetMapping("/compare")
    String compare(Scope scope, Reader reader, Model model, @RequestParam(defaultValue = "") List<String> v) {
        PlanView plan = pages.open(model, scope, StagePage.VARIETIES);
        VarietyStage stage = plan.evaluation().varieties();
        List<VarietyVerdict> compared = v.stream()
                .distinct()
                .filter(key -> stage.catalogue().findVariety(key).isPresent())
                .limit(Comparison.MOST)
                .map(stage::verdict)
                .toList();
        model.addAttribute("tooMany", v.size() > Comparison.MOST);
        model.addAttribute("choices", byVariety(plan));
        model.addAttribute("comparison", Comparison.of(plan, reader, compared));
        return "variety/compare";
    }

    private static Map<String, Integer> byVariety(PlanView plan) {
        Map<String, Integer> wanted = new LinkedHashMap<>();
        plan.rows().choices().forEach(choice -> wanted.merge(choice.varietyKey(), choice.wanted(), Integer::sum));
        return wanted;
    }

    private static String sub(Variety variety) {
        String company = variety.selfFruitful() >= 1
                ? "Crops alone."
                : variety.triploid() ? "Triploid: gives no pollen, needs two partners." : "Wants a partner.";
        return variety.uses() + ". " + company + (variety.chillNeed() > 0 ? "" : " No chill needed.");
    }

    @PostMapping("/{variety}")
    String choose(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String variety,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Variety chosen = variety(plan, variety);
        Fields fields = new Fields(typed, reader.display());
        double wanted = fields.required("wanted", Quantity.COUNT, 0, 500);
        if (fields.wrong()) {
            model.addAttribute("wantedTrouble", fields.complaint("wanted"));
            model.addAttribute("wantedTyped", fields.value("wanted"));
            return show(scope, reader, model, Map.of(), variety);
        }
        int count = (int) Math.round(wanted);
        edits.apply(
                scope,
                stamp.change(count == 0 ? "Left out " + chosen.label() : "Chose " + count + " " + chosen.label()),
                now -> chosen(now, variety, count, stamp.revision()));
        String back = typed.getOrDefault("back", "");
        return "redirect:/orchards/" + scope.orchard()
                + (back.matches("/partners\\?tree=[0-9a-f-]{36}") ? back : "/varieties?variety=" + variety);
    }

    /** None wanted takes the choice away; the first wanted makes it. */
    private static List<Edit> chosen(Plan now, String variety, int count, long base) {
        Optional<ChoiceRow> before = now.rows().choiceOf(variety);
        if (count == 0) {
            return before.map(row -> Edit.remove(row, base)).stream().toList();
        }
        return List.of(before.map(row -> Edit.change(row, base, Map.of("wanted", count)))
                .orElseGet(() -> Edit.add(new ChoiceRow(RowKey.fresh(now.head().id()), variety, null, count))));
    }

    /** In a pot that goes under cover, or in the ground. */
    @PostMapping("/{variety}/pot")
    String pot(Scope scope, FormStamp stamp, @PathVariable String variety, @RequestParam boolean on) {
        Variety of = variety(pages.plan(scope), variety);
        if (Pot.of(of.crop()).isEmpty()) {
            throw new NotFound();
        }
        edits.apply(
                scope,
                stamp.change(on ? "Put " + of.label() + " in a pot" : "Put " + of.label() + " in the ground"),
                now -> List.of(now.rows()
                        .choiceOf(variety)
                        .map(row -> Edit.change(row, stamp.revision(), Map.of("inPot", on)))
                        .orElseGet(() ->
                                Edit.add(new ChoiceRow(RowKey.fresh(scope.orchard()), variety, null, 1, on, null)))));
        return "redirect:/orchards/" + scope.orchard() + "/varieties?variety=" + variety;
    }

    /** Keeps it at the head of the shortlist, or no longer. */
    @PostMapping("/{variety}/pin")
    String pin(Scope scope, FormStamp stamp, @PathVariable String variety, @RequestParam boolean on) {
        Variety of = variety(pages.plan(scope), variety);
        edits.apply(scope, stamp.change((on ? "Pinned " : "Unpinned ") + of.label()), now -> {
            Optional<PinRow> before = now.rows().pins().stream()
                    .filter(row -> row.varietyKey().equals(variety))
                    .findFirst();
            return on
                    ? before.isPresent()
                            ? List.of()
                            : List.of(Edit.add(new PinRow(RowKey.fresh(scope.orchard()), variety)))
                    : before.map(row -> Edit.remove(row, stamp.revision())).stream()
                            .toList();
        });
        return "redirect:/orchards/" + scope.orchard() + "/varieties?variety=" + variety;
    }

    private static Variety variety(PlanView plan, String key) {
        return plan.evaluation().varieties().catalogue().findVariety(key).orElseThrow(NotFound::new);
    }

    /** The orchard's own chill need over the shipped one; empty gives the shipped one back. */
    @PostMapping("/{variety}/own")
    String own(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String variety,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Variety of = variety(plan, variety);
        Fields fields = new Fields(typed, reader.display());
        Double need = fields.optional("need", Quantity.COUNT, 1, 3000);
        if (fields.wrong()) {
            model.addAttribute("ownTrouble", fields.complaint("need"));
            model.addAttribute("ownTyped", fields.value("need"));
            return show(scope, reader, model, Map.of(), variety);
        }
        edits.apply(
                scope,
                stamp.change("Own chill need of " + of.label()),
                now -> own(now, variety, need, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard() + "/varieties?variety=" + variety;
    }

    private static List<Edit> own(Plan now, String variety, Double need, long base) {
        Optional<OwnFigureRow> before = now.rows().ownFigures().stream()
                .filter(row -> row.varietyKey().equals(variety))
                .findFirst();
        if (need == null) {
            return before.map(row -> Edit.remove(row, base)).stream().toList();
        }
        return List.of(before.map(row -> Edit.change(row, base, Map.of("chillNeed", need)))
                .orElseGet(
                        () -> Edit.add(new OwnFigureRow(RowKey.fresh(now.head().id()), variety, need))));
    }
}
