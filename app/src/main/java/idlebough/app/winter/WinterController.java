package idlebough.app.winter;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.StationWatch;
import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.FrostDates;
import idlebough.core.winter.HardinessZone;
import idlebough.core.winter.Lapse;
import idlebough.core.winter.Quantile;
import idlebough.core.winter.SafeChill;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Trend;
import idlebough.core.winter.Winter;
import idlebough.core.winter.WinterLedger;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the winters here give. */
@Controller
@RequestMapping("/orchards/{orchard}/winters")
public class WinterController {
    private static final double LEFT = 60;
    private static final double RIGHT = 640;
    private static final double TOP = 60;
    private static final double BOTTOM = 590;
    /** Where the words of a level begin, and how wide a letter of them is. */
    private static final double WORDS = 71;

    private static final double LETTER = 7.2;
    private static final double CLOSE = 18;
    private static final int NAMED = 3;
    private final Pages pages;
    private final Edits edits;
    private final StationWatch watch;

    WinterController(Pages pages, Edits edits, StationWatch watch) {
        this.pages = pages;
        this.edits = edits;
        this.watch = watch;
    }

    /** One winter's line on the sketch. */
    public record Curve(int year, String points, boolean picked, double endY, double total) {}

    /**
     * A level across the sketch.
     *
     * @param x where its words begin
     */
    public record Level(String words, double x, double y, boolean need) {}

    /** A month on the time axis. */
    public record Tick(String words, double x) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) Integer winter) {
        PlanView plan = pages.open(model, scope, StagePage.WINTERS);
        ChillModel chill = plan.rows().settings().chillModel();
        List<Winter> usable = plan.winters().usable();
        model.addAttribute("stations", pages.shown(plan, watch.doubts(scope)));
        model.addAttribute("models", ChillModel.values());
        model.addAttribute("chill", chill);
        model.addAttribute("usable", usable);
        model.addAttribute("picked", winter);
        if (!usable.isEmpty()) {
            SafeChill safe = SafeChill.of(chill, plan.winters().totals(chill));
            model.addAttribute("safe", safe);
            model.addAttribute("reaches", WinterWords.reaches(safe, safe.interval(plan.winters()), plan.synthetic()));
            model.addAttribute("exposures", Exposure.values());
            model.addAttribute("figures", figures(plan, chill, safe));
            sketch(model, plan, chill, safe, winter);
            model.addAttribute(
                    "soFar",
                    soFar(plan, chill).map(now -> WinterWords.soFar(now, chill)).orElse(null));
            model.addAttribute(
                    "notes",
                    usable.stream().collect(Collectors.toMap(Winter::year, each -> WinterWords.note(each, chill))));
            model.addAttribute("one", one(plan, chill, winter));
            model.addAttribute(
                    "spreads",
                    Arrays.stream(ChillModel.values())
                            .map(m -> spread(m, usable, plan.winters().totals(m)))
                            .toList());
            model.addAttribute("frosts", List.of(plan.frost(0), plan.frost(-2), plan.frost(-4)));
        }
        return "winter/winters";
    }

    /** The picked winter among the others; empty when none is picked or it was left out. */
    private static List<Figure> one(PlanView plan, ChillModel chill, Integer year) {
        Winter picked = plan.winters().usable().stream()
                .filter(w -> year != null && w.year() == year)
                .findFirst()
                .orElse(null);
        if (picked == null) {
            return List.of();
        }
        double total = picked.totals().get(chill);
        long milder = Arrays.stream(plan.winters().totals(chill))
                .filter(other -> other < total)
                .count();
        return List.of(new Figure(
                "one",
                Phrase.of("The winter of {}", picked.year()),
                Amount.of(total, chill == ChillModel.PORTIONS ? Quantity.DECIMAL : Quantity.COUNT),
                Phrase.of(
                        "{} of {} were milder",
                        Amount.count(milder),
                        Amount.count(plan.winters().usable().size())),
                () -> picked.working(chill, plan.winters().season())));
    }

    /** This winter until the record's end, against the others on the same day. */
    public record SoFar(LocalDate day, double total, double median, double least) {}

    private static Optional<SoFar> soFar(PlanView plan, ChillModel chill) {
        WinterLedger.Running running = plan.winters().running();
        if (running == null) {
            return Optional.empty();
        }
        int days = running.daily().get(chill).size();
        double[] others = plan.winters().usable().stream()
                .mapToDouble(w -> w.daily().get(chill).get(days - 1))
                .toArray();
        return Optional.of(new SoFar(
                running.until(),
                running.daily().get(chill).get(days - 1),
                Quantile.of(others, 0.5),
                Quantile.of(others, 0)));
    }

    /**
     * One model's winters in a row of the table.
     *
     * @param trend in ten years; null with fewer than five winters
     */
    public record Spread(
            ChillModel model,
            double least,
            double tenth,
            double median,
            double ninth,
            Trend trend,
            Supplier<Working> working) {}

    private static Spread spread(ChillModel model, List<Winter> usable, double[] totals) {
        Trend trend = totals.length < 5
                ? null
                : Trend.of(usable.stream().mapToInt(Winter::year).toArray(), totals);
        return new Spread(
                model,
                Quantile.of(totals, 0),
                Quantile.of(totals, 0.1),
                Quantile.of(totals, 0.5),
                Quantile.of(totals, 0.9),
                trend,
                () -> SafeChill.of(model, totals).working(trend));
    }

    /** One variety, now and in warmer winters. */
    public record Warmed(Variety variety, ChillMatch now, ChillMatch then) {}

    /** A frost threshold in both. */
    public record Frosts(FrostDates now, FrostDates then) {}

    /**
     * What other winters would give: warmer ones, higher ground, another place for the trees. Every minimum and
     * maximum is
     * moved and everything computed anew.
     *
     * @param metres how much higher the trees stand than the station
     */
    @GetMapping("/warmer")
    String warmer(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(defaultValue = "0") double kelvin,
            @RequestParam(defaultValue = "0") double metres,
            @RequestParam(defaultValue = "") String place) {
        PlanView plan = pages.plan(scope);
        if (plan.winters().usable().isEmpty()) {
            throw new NotFound();
        }
        double by = Double.isFinite(kelvin) ? Math.max(-5, Math.min(5, kelvin)) : 0;
        double up = Double.isFinite(metres) ? Math.max(-1000, Math.min(1000, metres)) : 0;
        Exposure exposure = Exposure.named(place);
        ChillModel chill = plan.rows().settings().chillModel();
        double latitude = plan.site().where().latitude();
        StationRecord record = plan.record().warmedBy(by + Lapse.between(0, up)).at(exposure);
        WinterLedger then = WinterLedger.of(
                record,
                latitude,
                new WinterLedger.Counting(plan.evaluation().winters().utahOwnStart(), false));
        model.addAttribute("kelvin", by);
        model.addAttribute("metres", up);
        model.addAttribute("place", exposure);
        model.addAttribute("chill", chill);
        model.addAttribute("now", SafeChill.of(chill, plan.winters().totals(chill)));
        model.addAttribute("then", SafeChill.of(chill, then.totals(chill)));
        model.addAttribute("coldNow", mean(plan.winters().lowest()));
        model.addAttribute("coldThen", mean(then.lowest()));
        model.addAttribute("zoneNow", HardinessZone.of(mean(plan.winters().lowest())));
        model.addAttribute("zoneThen", HardinessZone.of(mean(then.lowest())));
        model.addAttribute(
                "frosts",
                Stream.of(0, -2, -4)
                        .map(t -> new Frosts(plan.frost(t), FrostDates.of(record, latitude, t)))
                        .toList());
        model.addAttribute(
                "warmed",
                plan.chosen().stream()
                        .filter(v -> v.chillNeed() > 0)
                        .map(v -> new Warmed(
                                v,
                                ChillMatch.of(v.chillNeed(), plan.winters().totals(v.chillModel())),
                                ChillMatch.of(v.chillNeed(), then.totals(v.chillModel()))))
                        .toList());
        return "winter/warmer :: answer";
    }

    private static double mean(double[] values) {
        return Arrays.stream(values).average().orElseThrow();
    }

    private static List<Figure> figures(PlanView plan, ChillModel chill, SafeChill safe) {
        List<Figure> figures = new ArrayList<>();
        Quantity shown = chill == ChillModel.PORTIONS ? Quantity.DECIMAL : Quantity.COUNT;
        // Fewer than ten winters cannot say what nine of ten reach.
        if (!Double.isNaN(safe.value())) {
            figures.add(Figure.of(
                    "safe",
                    "Reached in nine winters of ten",
                    Amount.of(safe.value(), shown),
                    chill.unit(),
                    safe::working));
        }
        figures.add(
                Figure.of("median", "A median winter", Amount.of(safe.median(), shown), chill.unit(), safe::working));
        figures.add(Figure.of(
                "least",
                "The mildest of " + safe.winters(),
                Amount.of(safe.least(), shown),
                chill.unit(),
                safe::working));
        double lowest = Arrays.stream(plan.winters().lowest()).min().orElseThrow();
        double mean = Arrays.stream(plan.winters().lowest()).average().orElseThrow();
        figures.add(Figure.of(
                "lowest",
                "Coldest night",
                Amount.of(lowest, Quantity.TEMPERATURE),
                "in all",
                plan.winters()::lowestWorking));
        figures.add(Figure.of(
                "mean-lowest",
                "Coldest night of a winter, on average",
                Amount.of(mean, Quantity.TEMPERATURE),
                "zone " + HardinessZone.of(mean),
                plan.winters()::lowestWorking));
        double free = plan.frost(0).length(0.5);
        if (!Double.isNaN(free)) {
            figures.add(Figure.of(
                    "frost-free",
                    "Days without frost, in every other year",
                    Amount.of(free, Quantity.COUNT),
                    "days",
                    plan.frost(0)::working));
        }
        return figures;
    }

    private static void sketch(Model model, PlanView plan, ChillModel chill, SafeChill safe, Integer picked) {
        List<Variety> needs = plan.chosen().stream()
                .filter(v -> v.chillNeed() > 0 && v.chillModel() == chill)
                .toList();
        double most = Math.max(
                        Arrays.stream(safe.totals()).max().orElse(1),
                        needs.stream().mapToDouble(Variety::chillNeed).max().orElse(0))
                * 1.05;
        double least = Math.min(
                0,
                plan.winters().usable().stream()
                        .flatMap(w -> w.daily().get(chill).stream())
                        .mapToDouble(Double::doubleValue)
                        .min()
                        .orElse(0));
        int days = plan.winters().usable().stream()
                .mapToInt(w -> w.daily().get(chill).size())
                .max()
                .orElse(151);
        List<Curve> lines = new ArrayList<>();
        for (Winter winter : plan.winters().usable()) {
            List<Double> daily = winter.daily().get(chill);
            StringBuilder points = new StringBuilder();
            for (int i = 0; i < daily.size(); i += 2) {
                points.append(String.format(Locale.ROOT, "%.1f,%.1f ", x(i, days), y(daily.get(i), least, most)));
            }
            points.append(String.format(
                    Locale.ROOT, "%.1f,%.1f", x(daily.size() - 1, days), y(daily.get(daily.size() - 1), least, most)));
            lines.add(new Curve(
                    winter.year(),
                    points.toString(),
                    picked != null && winter.year() == picked,
                    y(winter.totals().get(chill), least, most),
                    winter.totals().get(chill)));
        }
        WinterLedger.Running running = plan.winters().running();
        if (running != null) {
            List<Double> daily = running.daily().get(chill);
            StringBuilder points = new StringBuilder();
            for (int i = 0; i < daily.size(); i++) {
                points.append(String.format(Locale.ROOT, "%.1f,%.1f ", x(i, days), y(daily.get(i), least, most)));
            }
            model.addAttribute(
                    "now",
                    new Curve(
                            running.year(),
                            points.toString().strip(),
                            true,
                            y(daily.get(daily.size() - 1), least, most),
                            x(daily.size() - 1, days)));
        }
        model.addAttribute("lines", lines);
        model.addAttribute("levels", levels(needs, safe, least, most));
        model.addAttribute("elsewhere", elsewhere(plan, chill));
        List<Tick> across = new ArrayList<>();
        LocalDate first = plan.winters().season().first(2001);
        for (int month = 0; month < 6; month++) {
            LocalDate day = first.plusMonths(month);
            across.add(new Tick(
                    day.getMonth().getDisplayName(java.time.format.TextStyle.SHORT, Locale.ENGLISH),
                    x((int) (day.toEpochDay() - first.toEpochDay()), days)));
        }
        model.addAttribute("months", across);
        double step = List.of(5d, 10d, 20d, 50d, 100d, 200d, 500d, 1000d).stream()
                .filter(s -> (most - least) / s <= 9)
                .findFirst()
                .orElse(2000d);
        List<Tick> up = new ArrayList<>();
        for (double value = Math.ceil(least / step) * step; value <= most; value += step) {
            up.add(new Tick(String.valueOf(Math.round(value)), y(value, least, most)));
        }
        model.addAttribute("scale", up);
    }

    /** Varieties of the same need share a level; the highest comes first. */
    private static List<Level> levels(List<Variety> needs, SafeChill safe, double least, double most) {
        Map<Double, List<String>> together = new TreeMap<>(Comparator.reverseOrder());
        needs.forEach(v -> together.computeIfAbsent(v.chillNeed(), need -> new ArrayList<>())
                .add(v.name()));
        List<Level> levels = new ArrayList<>();
        for (Map.Entry<Double, List<String>> level : together.entrySet()) {
            List<String> names = level.getValue();
            String words = String.join(", ", names.subList(0, Math.min(NAMED, names.size())))
                    + (names.size() > NAMED ? " and " + (names.size() - NAMED) + " more" : "")
                    + (names.size() > 1 ? " need " : " needs ")
                    + Math.round(level.getKey());
            levels.add(new Level(words, WORDS, y(level.getKey(), least, most), true));
        }
        if (!Double.isNaN(safe.value())) {
            String words = "nine of ten: " + Math.round(safe.value());
            double y = y(safe.value(), least, most);
            boolean free = levels.stream().allMatch(level -> Math.abs(level.y() - y) > CLOSE);
            levels.add(new Level(words, free ? WORDS : RIGHT - LETTER * words.length() - 20, y, false));
        }
        return levels;
    }

    /** Needs of chosen varieties that are known in another unit, and so not on this drawing. */
    public record Elsewhere(ChillModel model, long needs) {}

    private static List<Elsewhere> elsewhere(PlanView plan, ChillModel chill) {
        return Arrays.stream(ChillModel.values())
                .filter(model -> model != chill)
                .map(model -> new Elsewhere(
                        model,
                        plan.chosen().stream()
                                .filter(v -> v.chillNeed() > 0 && v.chillModel() == model)
                                .count()))
                .filter(other -> other.needs() > 0)
                .toList();
    }

    private static double x(int day, int days) {
        return LEFT + (RIGHT - LEFT) * day / Math.max(1, days - 1);
    }

    private static double y(double value, double least, double most) {
        return BOTTOM - (BOTTOM - TOP) * (value - least) / (most - least);
    }

    @PostMapping
    String model(Scope scope, FormStamp stamp, @RequestParam ChillModel chill) {
        edits.apply(
                scope,
                stamp.change("Counts the winters in " + chill.unit()),
                now -> List.of(Edit.change(now.rows().settings(), stamp.revision(), Map.of("chillModel", chill))));
        return "redirect:/orchards/" + scope.orchard() + "/winters";
    }
}
