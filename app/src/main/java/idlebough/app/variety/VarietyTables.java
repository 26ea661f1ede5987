package idlebough.app.variety;

import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import idlebough.core.variety.RipeWindow;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The shortlist and the comparison as CSV: points for decimals, ISO dates, °C. */
@Controller
@RequestMapping(path = "/orchards/{orchard}/varieties", produces = "text/csv;charset=UTF-8")
public class VarietyTables {
    private static final Display PLAIN = new Display(UnitSystem.METRIC, Locale.ROOT);
    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setRecordSeparator("\n")
            .setHeader(
                    "key",
                    "crop",
                    "variety",
                    "standing",
                    "reason",
                    "chill_need",
                    "chill_unit",
                    "winters_of_ten",
                    "ripe_from",
                    "ripe_to",
                    "ripe_by",
                    "keeps_weeks",
                    "uses")
            .get();

    private final Pages pages;

    VarietyTables(Pages pages) {
        this.pages = pages;
    }

    @GetMapping("/shortlist.csv")
    @ResponseBody
    String shortlist(Scope scope, @RequestParam Map<String, String> asked) {
        PlanView plan = pages.plan(scope);
        VarietyStage stage = plan.evaluation().varieties();
        return table(stage, Shortlist.of(stage, asked, Set.of()).listed());
    }

    @GetMapping("/compare.csv")
    @ResponseBody
    String compare(Scope scope, @RequestParam(defaultValue = "") List<String> v) {
        VarietyStage stage = pages.plan(scope).evaluation().varieties();
        return table(
                stage,
                v.stream()
                        .distinct()
                        .filter(key -> stage.catalogue().findVariety(key).isPresent())
                        .limit(Comparison.MOST)
                        .map(stage::verdict)
                        .toList());
    }

    private static String table(VarietyStage stage, List<VarietyVerdict> verdicts) {
        StringWriter text = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(text, FORMAT)) {
            for (VarietyVerdict verdict : verdicts) {
                Variety variety = verdict.variety();
                RipeWindow window = stage.ripe(variety);
                csv.printRecord(
                        variety.key(),
                        variety.crop().name(),
                        variety.name(),
                        verdict.words(),
                        verdict.worst()
                                .map(Finding::headline)
                                .map(said -> said.in(PLAIN))
                                .orElse(""),
                        Math.round(variety.chillNeed()),
                        variety.chillNeed() > 0 ? variety.chillModel().unit() : "",
                        verdict.match()
                                .map(match -> String.valueOf(match.ofTen()))
                                .orElse(""),
                        window.first().toString().substring(5),
                        window.last().toString().substring(5),
                        window.byBloom() ? "bloom" : "latitude",
                        variety.habit()
                                .ripening()
                                .keepsWeeks()
                                .map(Math::round)
                                .map(String::valueOf)
                                .orElse(""),
                        variety.uses());
            }
        } catch (IOException never) {
            throw new UncheckedIOException(never);
        }
        return text.toString();
    }
}
