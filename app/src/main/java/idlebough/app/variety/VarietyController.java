package idlebough.app.variety;

import idlebough.app.store.ChoiceRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.OwnFigureRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.Svg;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Room;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
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

    /** One row of the sketch: the winters as ticks against the need. */
    public record Strip(
            VarietyVerdict verdict, String ticks, boolean here, double y, double bandLow, double bandHigh) {}

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String crop,
            @RequestParam(required = false) String variety) {
        PlanView plan = pages.open(model, scope, StagePage.VARIETIES);
        VarietyStage stage = plan.evaluation().varieties();
        Catalogue catalogue = stage.catalogue();
        boolean known = crop != null && catalogue.findCrop(crop).isPresent();
        List<VarietyVerdict> listed = stage.verdicts().stream()
                .filter(v -> !known || v.variety().crop().key().equals(crop))
                .toList();
        VarietyVerdict picked =
                variety != null && catalogue.findVariety(variety).isPresent()
                        ? stage.verdict(variety)
                        : listed.stream()
                                .filter(v -> stage.chosen().contains(v.variety().key()))
                                .findFirst()
                                .orElse(listed.get(0));
        model.addAttribute("crops", catalogue.crops());
        model.addAttribute("crop", known ? crop : "");
        model.addAttribute("listed", listed);
        model.addAttribute("picked", picked);
        model.addAttribute("sub", sub(picked.variety(), plan.site().where().latitude()));
        pages.about(model, plan, Room.VARIETY, Subject.variety(picked.variety().key()));
        model.addAttribute("about", pages.shown(plan, picked.findings()));
        model.addAttribute("missing", stage.missing().orElse(null));
        model.addAttribute("choices", byVariety(plan));
        model.addAttribute("strips", strips(plan, listed, picked));
        model.addAttribute("harvest", harvest(plan));
        model.addAttribute("own", reader.display().field(picked.variety().chillNeed(), Quantity.COUNT));
        return "variety/varieties";
    }

    private static Map<String, Integer> byVariety(PlanView plan) {
        Map<String, Integer> wanted = new LinkedHashMap<>();
        plan.rows().choices().forEach(choice -> wanted.merge(choice.varietyKey(), choice.wanted(), Integer::sum));
        return wanted;
    }

    private static List<Strip> strips(PlanView plan, List<VarietyVerdict> listed, VarietyVerdict picked) {
        List<VarietyVerdict> shown = new ArrayList<>(listed.stream()
                .filter(v -> v.match().isPresent()
                        && plan.evaluation()
                                .varieties()
                                .chosen()
                                .contains(v.variety().key()))
                .limit(12)
                .toList());
        listed.stream()
                .filter(v -> v.match().isPresent() && !shown.contains(v))
                .limit(Math.max(0, 14 - shown.size()))
                .forEach(shown::add);
        if (picked.match().isPresent() && !shown.contains(picked)) {
            shown.set(shown.size() - 1, picked);
        }
        List<Strip> strips = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            VarietyVerdict v = shown.get(i);
            double need = v.variety().chillNeed();
            double y = 96 + 30.0 * i;
            String ticks = Arrays.stream(plan.winters().totals(v.variety().chillModel()))
                    .mapToObj(total -> Svg.path("M# #v14", across(total / need), y - 12))
                    .collect(Collectors.joining());
            strips.add(new Strip(
                    v,
                    ticks,
                    v.equals(picked),
                    y,
                    across(1 - v.needHalfWidth() / need),
                    across(1 + v.needHalfWidth() / need)));
        }
        return strips;
    }

    private static String sub(Variety variety, double latitude) {
        String company = variety.selfFruitful() >= 1
                ? "Crops alone."
                : variety.triploid() ? "Triploid: gives no pollen, needs two partners." : "Wants a partner.";
        return "Ripe in " + variety.ripe(latitude).getDisplayName(TextStyle.FULL, Locale.ENGLISH) + "; "
                + variety.uses() + ". " + company + (variety.chillNeed() > 0 ? "" : " Evergreen: no chill needed.");
    }

    /** Share of the need to a place on the sketch: 0 to 2.2 times between 190 and 690. */
    private static double across(double share) {
        return 190 + 500 * Math.max(0, Math.min(2.2, share)) / 2.2;
    }

    /** Chosen varieties by the month in which they ripen here. */
    private static Map<String, List<Variety>> harvest(PlanView plan) {
        Map<String, List<Variety>> months = new LinkedHashMap<>();
        for (java.time.Month month : java.time.Month.values()) {
            months.put(
                    month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
                    plan.chosen().stream()
                            .filter(v -> v.ripe(plan.site().where().latitude()) == month)
                            .toList());
        }
        return months;
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
            return show(scope, reader, model, null, variety);
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
            return show(scope, reader, model, null, variety);
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
