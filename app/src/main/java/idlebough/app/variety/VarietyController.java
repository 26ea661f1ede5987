package idlebough.app.variety;

import idlebough.app.plan.Ids;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Stage;
import idlebough.core.crop.Crops;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.Varieties;
import idlebough.core.crop.Variety;
import idlebough.core.variety.VarietyVerdict;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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
    private final ChoiceMapper choices;
    private final OwnFigureMapper ownFigures;

    VarietyController(Pages pages, ChoiceMapper choices, OwnFigureMapper ownFigures) {
        this.pages = pages;
        this.choices = choices;
        this.ownFigures = ownFigures;
    }

    /** One row of the sketch: the winters as ticks against the need. */
    public record Strip(
            VarietyVerdict verdict, List<Double> ticks, boolean here, double y, double bandLow, double bandHigh) {}

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String crop,
            @RequestParam(required = false) String variety) {
        Reckoning plan = pages.open(model, scope, Stage.VARIETIES);
        boolean known = Crops.all().stream().anyMatch(c -> c.key().equals(crop));
        List<VarietyVerdict> listed = plan.verdicts().stream()
                .filter(v -> !known || v.variety().crop().key().equals(crop))
                .toList();
        VarietyVerdict picked = variety != null && Varieties.find(variety) != null
                ? plan.verdict(variety)
                : listed.stream()
                        .filter(v -> plan.chosen().contains(v.variety().key()))
                        .findFirst()
                        .orElse(listed.get(0));
        model.addAttribute("crops", Crops.all());
        model.addAttribute("crop", known ? crop : "");
        model.addAttribute("listed", listed);
        model.addAttribute("picked", picked);
        model.addAttribute(
                "ripe",
                picked.variety().ripe(plan.plan().site().latitude()).getDisplayName(TextStyle.FULL, Locale.ENGLISH));
        model.addAttribute("about", pages.shown(plan, picked.findings()));
        model.addAttribute("choices", byVariety(plan));
        model.addAttribute("strips", strips(plan, listed, picked));
        model.addAttribute("harvest", harvest(plan));
        model.addAttribute("own", reader.display().field(picked.variety().chillNeed(), Quantity.COUNT));
        return "variety/varieties";
    }

    private static Map<String, Integer> byVariety(Reckoning plan) {
        Map<String, Integer> wanted = new LinkedHashMap<>();
        plan.plan().choices().forEach(choice -> wanted.merge(choice.varietyKey(), choice.wanted(), Integer::sum));
        return wanted;
    }

    private static List<Strip> strips(Reckoning plan, List<VarietyVerdict> listed, VarietyVerdict picked) {
        List<VarietyVerdict> shown = new ArrayList<>(listed.stream()
                .filter(v ->
                        v.match() != null && plan.chosen().contains(v.variety().key()))
                .limit(12)
                .toList());
        listed.stream()
                .filter(v -> v.match() != null && !shown.contains(v))
                .limit(Math.max(0, 14 - shown.size()))
                .forEach(shown::add);
        if (picked.match() != null && !shown.contains(picked)) {
            shown.set(shown.size() - 1, picked);
        }
        List<Strip> strips = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            VarietyVerdict v = shown.get(i);
            double need = v.variety().chillNeed();
            List<Double> ticks = Arrays.stream(plan.winters().totals(v.variety().chillModel()))
                    .map(total -> across(total / need))
                    .boxed()
                    .toList();
            strips.add(new Strip(
                    v,
                    ticks,
                    v.equals(picked),
                    96 + 30.0 * i,
                    across(1 - v.needHalfWidth() / need),
                    across(1 + v.needHalfWidth() / need)));
        }
        return strips;
    }

    /** Share of the need to a place on the sketch: 0 to 2.2 times between 190 and 690. */
    private static double across(double share) {
        return 190 + 500 * Math.max(0, Math.min(2.2, share)) / 2.2;
    }

    /** Chosen varieties by the month in which they ripen here. */
    private static Map<String, List<Variety>> harvest(Reckoning plan) {
        Map<String, List<Variety>> months = new LinkedHashMap<>();
        for (java.time.Month month : java.time.Month.values()) {
            months.put(
                    month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
                    plan.chosen().stream()
                            .map(plan::variety)
                            .filter(v -> v.ripe(plan.plan().site().latitude()) == month)
                            .toList());
        }
        return months;
    }

    @PostMapping("/{variety}")
    String choose(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String variety,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Variety chosen = shipped(variety);
        Fields fields = new Fields(typed, reader.display());
        double wanted = fields.required("wanted", Quantity.COUNT, 0, 500);
        if (fields.wrong()) {
            model.addAttribute("wantedTrouble", fields.complaint("wanted"));
            model.addAttribute("wantedTyped", fields.value("wanted"));
            return show(scope, reader, model, null, variety);
        }
        Choice before = plan.plan().choices().stream()
                .filter(c -> c.varietyKey().equals(variety))
                .findFirst()
                .orElse(null);
        int count = (int) Math.round(wanted);
        Choice after = count == 0
                ? null
                : before == null
                        ? new Choice(Ids.next(), scope.orchard(), variety, null, count, 0, false)
                        : pages.changes().with(before, Map.of("wanted", count));
        pages.changes()
                .make(
                        scope,
                        count == 0 ? "Left out " + chosen.label() : "Chose " + count + " " + chosen.label(),
                        pen -> pen.put(before, after));
        String back = typed.getOrDefault("back", "");
        return "redirect:/orchards/" + scope.orchard()
                + (back.matches("/partners\\?tree=[0-9a-f-]{36}") ? back : "/varieties?variety=" + variety);
    }

    private static Variety shipped(String key) {
        Variety found = Varieties.find(key);
        if (found == null) {
            throw new NotFound();
        }
        return found;
    }

    /** The orchard's own chill need over the shipped one; empty gives the shipped one back. */
    @PostMapping("/{variety}/own")
    String own(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String variety,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Variety shipped = shipped(variety);
        Fields fields = new Fields(typed, reader.display());
        Double need = fields.optional("need", Quantity.COUNT, 1, 3000);
        if (fields.wrong()) {
            model.addAttribute("ownTrouble", fields.complaint("need"));
            model.addAttribute("ownTyped", fields.value("need"));
            return show(scope, reader, model, null, variety);
        }
        OwnFigure before = plan.plan().ownFigures().stream()
                .filter(o -> o.varietyKey().equals(variety))
                .findFirst()
                .orElse(null);
        OwnFigure after = need == null
                ? null
                : before == null
                        ? new OwnFigure(Ids.next(), scope.orchard(), variety, need, 0, false)
                        : pages.changes().with(before, Map.of("chillNeed", need));
        pages.changes().make(scope, "Own chill need of " + shipped.label(), pen -> pen.put(before, after));
        return "redirect:/orchards/" + scope.orchard() + "/varieties?variety=" + variety;
    }
}
