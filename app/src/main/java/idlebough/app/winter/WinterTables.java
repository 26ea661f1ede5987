package idlebough.app.winter;

import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.FrostDates;
import idlebough.core.winter.FrostKill;
import idlebough.core.winter.Quantile;
import idlebough.core.winter.Trend;
import idlebough.core.winter.Winter;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/**
 * Every table of this room as CSV for other programs: points for decimals, ISO dates, °C, nothing where nothing is
 * known.
 */
@Controller
@RequestMapping(path = "/orchards/{orchard}/winters", produces = "text/csv;charset=UTF-8")
public class WinterTables {
    /** What stands in for a measurement is never called one. */
    private static final String MADE = "synthetic";

    private final Pages pages;

    WinterTables(Pages pages) {
        this.pages = pages;
    }

    private static String table(List<String> names, List<List<Object>> rows) {
        StringWriter text = new StringWriter();
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setRecordSeparator("\n")
                .setHeader(names.toArray(String[]::new))
                .get();
        try (CSVPrinter csv = new CSVPrinter(text, format)) {
            for (List<Object> row : rows) {
                csv.printRecord(row);
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString();
    }

    private static String tenth(double value) {
        return Double.isNaN(value) ? "" : String.format(Locale.ROOT, "%.1f", value);
    }

    private static List<Object> row(Object... cells) {
        List<Object> row = new ArrayList<>();
        for (Object cell : cells) {
            row.add(cell == null ? "" : cell);
        }
        return row;
    }

    @GetMapping("/winters.csv")
    @ResponseBody
    String winters(Scope scope) {
        PlanView plan = pages.plan(scope);
        List<String> names = new ArrayList<>(List.of("winter", "status", "missing_days", "neighbour_days"));
        for (ChillModel each : ChillModel.values()) {
            names.add(each.name().toLowerCase(Locale.ROOT));
        }
        names.addAll(List.of("utah_from", "lowest_c"));
        List<List<Object>> rows = new ArrayList<>();
        for (Winter winter : plan.winters().winters()) {
            List<Object> row = row(
                    winter.year(),
                    plan.synthetic() && winter.usable() ? MADE : winter.status().words(),
                    winter.missingDays(),
                    winter.neighbourDays());
            for (ChillModel each : ChillModel.values()) {
                row.add(winter.usable() ? tenth(winter.totals().get(each)) : "");
            }
            row.add(winter.utahFrom().map(Object::toString).orElse(""));
            row.add(tenth(winter.lowest()));
            rows.add(row);
        }
        return table(names, rows);
    }

    @GetMapping("/models.csv")
    @ResponseBody
    String models(Scope scope) {
        PlanView plan = pages.plan(scope);
        int[] years = plan.winters().usable().stream().mapToInt(Winter::year).toArray();
        List<List<Object>> rows = new ArrayList<>();
        for (ChillModel model : ChillModel.values()) {
            double[] totals = plan.winters().totals(model);
            if (totals.length > 0) {
                Trend trend = totals.length < 5 ? null : Trend.of(years, totals);
                rows.add(row(
                        model.name().toLowerCase(Locale.ROOT),
                        model.unit(),
                        totals.length,
                        tenth(Quantile.of(totals, 0)),
                        tenth(Quantile.of(totals, 0.1)),
                        tenth(Quantile.of(totals, 0.5)),
                        tenth(Quantile.of(totals, 0.9)),
                        trend == null ? "" : String.format(Locale.ROOT, "%.3f", trend.perYear())));
            }
        }
        return table(List.of("model", "unit", "winters", "least", "p10", "median", "p90", "trend_per_year"), rows);
    }

    @GetMapping("/frost.csv")
    @ResponseBody
    String frost(Scope scope) {
        PlanView plan = pages.plan(scope);
        List<List<Object>> rows = new ArrayList<>();
        for (double threshold : new double[] {0, -2, -4}) {
            FrostDates frost = plan.frost(threshold);
            rows.add(row(
                    tenth(threshold),
                    frost.years(),
                    monthDay(frost.spring(0.9)),
                    monthDay(frost.spring(0.5)),
                    monthDay(frost.spring(0.1)),
                    monthDay(frost.autumn(0.1)),
                    monthDay(frost.autumn(0.5)),
                    monthDay(frost.autumn(0.9)),
                    tenth(frost.length(0.9)),
                    tenth(frost.length(0.5))));
        }
        return table(
                List.of(
                        "at_or_below_c",
                        "years",
                        "last_p90",
                        "last_p50",
                        "last_p10",
                        "first_p10",
                        "first_p50",
                        "first_p90",
                        "free_days_p90",
                        "free_days_p50"),
                rows);
    }

    private static String monthDay(Optional<java.time.LocalDate> day) {
        return day.map(d -> d.toString().substring(5)).orElse("");
    }

    @GetMapping("/springs.csv")
    @ResponseBody
    String springs(
            Scope scope,
            @RequestParam(defaultValue = "") String variety,
            @RequestParam(defaultValue = "") String place) {
        PlanView plan = pages.plan(scope);
        Variety picked = plan.chosen(variety);
        VarietySprings springs = plan.evaluation()
                .varieties()
                .springs(picked, Exposure.named(place))
                .orElseThrow(NotFound::new);
        List<List<Object>> rows = new ArrayList<>();
        for (int i = 0; i < springs.blooms().size(); i++) {
            Bloom bloom = springs.blooms().get(i);
            Optional<FrostKill.Spring> frost = springs.frosts().isEmpty()
                    ? Optional.empty()
                    : Optional.of(springs.frosts().get(i));
            Optional<FrostKill.Night> night = frost.flatMap(FrostKill.Spring::night);
            rows.add(row(
                    bloom.year(),
                    bloom.spring()
                            .chillMet(picked.chillModel(), picked.chillNeed())
                            .orElse(null),
                    bloom.flowering().map(Bloom.Open::first).orElse(null),
                    bloom.full().orElse(null),
                    bloom.flowering().map(Bloom.Open::end).orElse(null),
                    night.map(FrostKill.Night::date).orElse(null),
                    night.map(n -> tenth(n.minimum())).orElse(null),
                    night.map(n -> String.format(
                                    Locale.ROOT, "%.3f", frost.orElseThrow().worst()))
                            .orElse(null)));
        }
        return table(
                List.of(
                        "spring",
                        "chill_met",
                        "first_bloom",
                        "full_bloom",
                        "end_of_bloom",
                        "worst_night",
                        "minimum_c",
                        "share_killed"),
                rows);
    }

    /** The record as it is computed with: all stations together, corrected for this place. */
    @GetMapping("/days.csv")
    @ResponseBody
    String days(Scope scope) {
        List<List<Object>> rows = new ArrayList<>();
        PlanView plan = pages.plan(scope);
        for (DailyExtremes day : plan.record().days()) {
            rows.add(row(
                    day.date(),
                    String.format(Locale.ROOT, "%.2f", day.minimum()),
                    String.format(Locale.ROOT, "%.2f", day.maximum()),
                    plan.synthetic() ? MADE : day.origin().name().toLowerCase(Locale.ROOT)));
        }
        return table(List.of("date", "tmin", "tmax", "origin"), rows);
    }
}
