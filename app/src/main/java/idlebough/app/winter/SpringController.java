package idlebough.app.winter;

import idlebough.app.store.BloomRow;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.Svg;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.FrostKill;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The springs: winters as rows with chill, bloom and frost of one variety, and the grower's own bloom dates. */
@Controller
@RequestMapping("/orchards/{orchard}/winters/springs")
public class SpringController {
    private static final double LEFT = 66;
    private static final double RIGHT = 700;
    private static final double TOP = 70;
    private static final double HIGH = 520;
    private static final int MOST = 30;
    private static final double SHOWN = 0.1;
    private final Pages pages;
    private final Edits edits;

    SpringController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /**
     * One winter's row on the sketch, page units.
     *
     * @param frosts path of a tick for each night at 0 °C or below
     * @param chillTo where the chill is met; null when never
     * @param bloomFrom and bloomTo: open bloom; null when never
     * @param hit where the worst night stands; null when none was felt
     */
    public record Strip(
            int year,
            double y,
            double high,
            String frosts,
            Double chillTo,
            Double bloomFrom,
            Double bloomTo,
            Double hit) {
        /** From the left edge to where the chill is met, and a stroke there. */
        public String chillPath() {
            return Svg.path("M# #H#m0 -4v8", LEFT, y + high / 2 - 1, chillTo);
        }

        /** A cross at the worst night. */
        public String hitPath() {
            return Svg.path("M# #l10 9m0 -9l-10 9", hit - 5, y + high / 2 - 5);
        }
    }

    /**
     * One spring in the table, in words.
     *
     * @param felt whether a night took half of the blossom
     */
    public record SpringRow(int year, String chill, String bloom, String night, String killed, boolean felt) {
        private static final String NONE = "–";

        static SpringRow of(Bloom bloom, Optional<FrostKill.Spring> frost, Variety variety, Reader say) {
            Optional<LocalDateTime> met = bloom.spring().chillMet(variety.chillModel(), variety.chillNeed());
            boolean late = bloom.flowering().isPresent()
                    && met.map(hour ->
                                    hour.isAfter(bloom.flowering().orElseThrow().full()))
                            .orElse(true);
            Optional<FrostKill.Night> night = frost.flatMap(FrostKill.Spring::night);
            return new SpringRow(
                    bloom.year(),
                    variety.chillNeed() <= 0
                            ? NONE
                            : met.map(hour -> say.shortDate(hour.toLocalDate())).orElse("never"),
                    bloom.full().map(say::shortDate).orElse(NONE) + (late ? ", late and straggling" : ""),
                    night.map(n -> say.shortDate(n.date()) + ", " + say.text(n.minimum(), "TEMPERATURE"))
                            .orElse(NONE),
                    night.map(n -> say.text(100 * frost.orElseThrow().worst(), "PERCENT"))
                            .orElse(NONE),
                    frost.map(f -> f.worst() >= VarietySprings.FELT).orElse(false));
        }
    }

    @GetMapping
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(required = false) String variety,
            @RequestParam(defaultValue = "") String place) {
        PlanView plan = pages.open(model, scope, StagePage.WINTERS);
        List<Variety> known =
                plan.chosen().stream().filter(VarietySprings::known).toList();
        Variety picked = known.stream()
                .filter(v -> v.key().equals(variety))
                .findFirst()
                .orElse(known.isEmpty() ? null : known.get(0));
        model.addAttribute("known", known);
        model.addAttribute("picked", picked);
        model.addAttribute("fields", Fields.blank(say.display()));
        if (picked != null) {
            fill(model, plan, say, picked, Exposure.named(place));
        }
        return "winter/springs";
    }

    private static void fill(Model model, PlanView plan, Reader say, Variety picked, Exposure place) {
        VarietySprings springs =
                plan.evaluation().varieties().springs(picked, place).orElseThrow(NotFound::new);
        model.addAttribute("place", place);
        model.addAttribute("exposures", Exposure.values());
        List<SpringRow> lines = new ArrayList<>();
        for (int i = 0; i < springs.blooms().size(); i++) {
            Bloom bloom = springs.blooms().get(i);
            lines.add(SpringRow.of(
                    bloom,
                    springs.frosts().isEmpty()
                            ? Optional.empty()
                            : Optional.of(springs.frosts().get(i)),
                    picked,
                    say));
        }
        model.addAttribute(
                "about",
                springs.middle().map(middle -> about(middle, plan, say)).orElse(""));
        model.addAttribute("springs", springs);
        model.addAttribute("lines", lines);
        model.addAttribute("figures", figures(springs));
        model.addAttribute(
                "seen",
                plan.rows().blooms().stream()
                        .filter(b -> b.varietyKey().equals(picked.key()))
                        .toList());
        draw(model, springs, picked);
    }

    private static String about(LocalDate middle, PlanView plan, Reader say) {
        return "Full bloom in a median spring about " + say.shortDate(middle) + "; a single spring may be "
                + Math.round(plan.evaluation().winters().singleSpring()) + " days off.";
    }

    private static List<Figure> figures(VarietySprings springs) {
        List<Figure> figures = new ArrayList<>();
        long bloomed =
                springs.blooms().stream().filter(b -> b.full().isPresent()).count();
        if (!springs.frosts().isEmpty()) {
            figures.add(new Figure(
                    "hit",
                    Phrase.of("Springs in which frost took half the blossom"),
                    Amount.count(springs.hit(VarietySprings.FELT)),
                    Phrase.of("of {}", Amount.count(springs.frosts().size())),
                    springs::frostWorking));
            figures.add(new Figure(
                    "nipped",
                    Phrase.of("in which it took a tenth or more"),
                    Amount.count(springs.hit(SHOWN)),
                    Phrase.of("of {}", Amount.count(springs.frosts().size())),
                    springs::frostWorking));
            figures.add(new Figure(
                    "killed",
                    Phrase.of("in which it took nine tenths or more"),
                    Amount.count(springs.hit(0.9)),
                    Phrase.of("of {}", Amount.count(springs.frosts().size())),
                    springs::frostWorking));
        }
        figures.add(new Figure(
                "bloomed",
                Phrase.of("Springs in which it bloomed"),
                Amount.count(bloomed),
                Phrase.of("of {}", Amount.count(springs.blooms().size())),
                springs::needWorking));
        figures.add(new Figure(
                "heat",
                Phrase.of("Warmth that counts, to full bloom"),
                Amount.of(springs.clock().need(), Quantity.HEAT),
                Phrase.of(springs.fit().isEmpty() ? "estimate" : "your dates"),
                springs::needWorking));
        springs.fit()
                .filter(fit -> fit.dates().size() > 1)
                .ifPresent(fit -> figures.add(new Figure(
                        "residual",
                        Phrase.of("Largest miss of your dates"),
                        Amount.count(fit.largestMiss()),
                        Phrase.of("days"),
                        springs::needWorking)));
        return figures;
    }

    private static void draw(Model model, VarietySprings springs, Variety variety) {
        List<Bloom> shown = springs.blooms().stream()
                .skip(Math.max(0, springs.blooms().size() - MOST))
                .toList();
        if (shown.isEmpty()) {
            return;
        }
        double high = Math.min(26, HIGH / shown.size());
        int days = shown.stream()
                .mapToInt(b -> b.spring().hours().days().size())
                .max()
                .orElse(1);
        List<Strip> strips = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            Bloom bloom = shown.get(i);
            LocalDate first = bloom.spring().hours().first();
            double y = TOP + i * high;
            StringBuilder frosts = new StringBuilder();
            for (int day = 0; day < bloom.spring().hours().days().size(); day++) {
                if (bloom.spring().hours().days().get(day).minimum() <= 0) {
                    frosts.append(String.format(
                            Locale.ROOT, "M%.1f %.1fv%.1f", x(day, days), y + high - 4, -Math.min(6, high / 3)));
                }
            }
            Optional<FrostKill.Night> hit = springs.frosts().stream()
                    .filter(f -> f.year() == bloom.year() && f.worst() >= SHOWN)
                    .flatMap(f -> f.night().stream())
                    .findFirst();
            strips.add(new Strip(
                    bloom.year(),
                    y,
                    high,
                    frosts.toString(),
                    bloom.spring()
                            .chillMet(variety.chillModel(), variety.chillNeed())
                            .map(met -> x(since(first, met.toLocalDate()), days))
                            .orElse(null),
                    bloom.flowering()
                            .map(open -> x(since(first, open.first()), days))
                            .orElse(null),
                    bloom.flowering()
                            .map(open -> x(since(first, open.end()) + 1, days))
                            .orElse(null),
                    hit.map(night -> x(since(first, night.date()), days)).orElse(null)));
        }
        model.addAttribute("strips", strips);
        List<WinterController.Tick> months = new ArrayList<>();
        LocalDate first = shown.get(0).spring().hours().first();
        for (LocalDate month = first; since(first, month) < days; month = month.plusMonths(1)) {
            months.add(new WinterController.Tick(
                    month.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH),
                    x(since(first, month), days)));
        }
        model.addAttribute("months", months);
    }

    private static int since(LocalDate first, LocalDate day) {
        return (int) (day.toEpochDay() - first.toEpochDay());
    }

    private static double x(int day, int days) {
        return LEFT + (RIGHT - LEFT) * day / days;
    }

    @PostMapping
    String add(Scope scope, Reader say, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Fields fields = new Fields(typed, say.display());
        Variety variety = plan.chosen(fields.value("variety"));
        LocalDate day = fields.date("seenOn");
        if (!fields.wrong()) {
            edits.apply(
                    scope,
                    stamp.change("Saw " + variety.name() + " in bloom"),
                    now -> List.of(Edit.add(new BloomRow(RowKey.fresh(scope.orchard()), variety.key(), day))));
            return "redirect:/orchards/" + scope.orchard() + "/winters/springs?variety=" + variety.key();
        }
        PlanView open = pages.open(model, scope, StagePage.WINTERS);
        model.addAttribute(
                "known", open.chosen().stream().filter(VarietySprings::known).toList());
        model.addAttribute("picked", variety);
        model.addAttribute("fields", fields);
        fill(model, open, say, variety, Exposure.SCREEN);
        return "winter/springs";
    }

    @PostMapping("/{seen}/remove")
    String remove(Scope scope, FormStamp stamp, @PathVariable("seen") String id) {
        BloomRow row = pages.plan(scope).rows().blooms().stream()
                .filter(bloom -> bloom.id().equals(id))
                .findFirst()
                .orElseThrow(NotFound::new);
        edits.apply(scope, stamp.change("Took back a bloom date"), now -> List.of(Edit.remove(row, stamp.revision())));
        return "redirect:/orchards/" + scope.orchard() + "/winters/springs?variety=" + row.varietyKey();
    }
}
