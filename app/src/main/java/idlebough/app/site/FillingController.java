package idlebough.app.site;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.PitRow;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteText;
import idlebough.app.store.TestRow;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.measure.Display;
import idlebough.core.measure.Entry;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Spoken;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.DrainageTest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The drainage test, in the field: a clock that runs on the server's record of when the hole was filled, so a locked
 * phone
 * or a closed page loses nothing; or readings typed afterwards.
 */
@Controller
@RequestMapping("/orchards/{orchard}/site/pits/{pit}/tests/{test}")
public class FillingController {
    /** A reading may come late from a phone without signal, but not from the future. */
    private static final Duration AHEAD = Duration.ofMinutes(2);

    private final Pages pages;
    private final Edits edits;
    private final Clock clock;

    FillingController(Pages pages, Edits edits, Clock clock) {
        this.pages = pages;
        this.edits = edits;
        this.clock = clock;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @PathVariable String pit, @PathVariable String test) {
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        PitRow row = pit(plan, pit);
        Fields fields;
        if (test.equals("new")) {
            List<TestRow> others = plan.rows().testsOf(pit);
            TestRow last = others.isEmpty() ? null : others.get(others.size() - 1);
            fields = Fields.blank(reader.display())
                    .put("label", last == null ? "1" : last.label())
                    .put(
                            "shape",
                            last == null ? TestRow.Shape.CYLINDER : last.hole().shape())
                    .put(
                            "a",
                            last == null
                                    ? Double.valueOf(0.3)
                                    : Double.valueOf(last.hole().a()),
                            Quantity.SHORT_LENGTH)
                    .put("b", last == null ? null : last.hole().b(), Quantity.SHORT_LENGTH)
                    .put(
                            "depth",
                            last == null
                                    ? Double.valueOf(0.4)
                                    : Double.valueOf(last.hole().depth()),
                            Quantity.SHORT_LENGTH)
                    .put("secondFilling", last == null ? "" : "true");
        } else {
            fields = form(find(plan, pit, test), reader.display());
        }
        return page(model, plan, row, test, fields);
    }

    private static PitRow pit(PlanView plan, String id) {
        return plan.rows().pit(id).orElseThrow(NotFound::new);
    }

    private static TestRow find(PlanView plan, String pit, String id) {
        return plan.rows().test(id).filter(row -> row.pitId().equals(pit)).orElseThrow(NotFound::new);
    }

    private static String page(Model model, PlanView plan, PitRow pit, String test, Fields fields) {
        model.addAttribute("pitRow", pit);
        model.addAttribute("testId", test);
        model.addAttribute("fields", fields);
        model.addAttribute("shapes", TestRow.Shape.values());
        TestRow row = plan.rows().test(test).orElse(null);
        model.addAttribute("row", row);
        model.addAttribute(
                "others",
                plan.rows().testsOf(pit.id()).stream()
                        .filter(f -> !f.id().equals(test))
                        .toList());
        model.addAttribute("sifted", row == null ? null : row.test().sift());
        DrainageRate rate = row == null ? null : row.test().rate();
        model.addAttribute("figures", rate == null ? List.of() : figures(rate, row));
        model.addAttribute("curves", row == null ? null : HoleCurves.of(row));
        return "site/test";
    }

    private static List<Figure> figures(DrainageRate rate, TestRow row) {
        List<Figure> figures = new ArrayList<>(List.of(
                Figure.of(
                        "rate",
                        "This hole drains, in a 12-inch hole",
                        Amount.of(rate.normalisedMmPerHour(), Quantity.DRAINAGE),
                        rate.drainageClass().word(),
                        rate::working),
                Figure.of(
                        "raw",
                        "Fall of the level, as read",
                        Amount.of(rate.rawMmPerHour(), Quantity.DRAINAGE),
                        rate.rawClass().word(),
                        rate::working),
                Figure.of(
                        "empty",
                        "or: empty after",
                        Amount.of(rate.hoursToEmpty(), Quantity.HOURS),
                        "the same test",
                        rate::working)));
        if (row.filling().glazed()) {
            figures.add(Figure.of(
                    "glazed",
                    "if only the bottom drained",
                    Amount.of(rate.ifGlazed(), Quantity.DRAINAGE),
                    "at most",
                    rate::working));
        }
        return figures;
    }

    private static Fields form(TestRow row, Display display) {
        StringBuilder readings = new StringBuilder();
        SiteText.readings(row.readings())
                .forEach(r -> readings.append(display.plain(r.minutes(), r.minutes() == Math.rint(r.minutes()) ? 0 : 1)
                                .replace('\u2212', '-'))
                        .append("; ")
                        .append(display.field(r.down(), Quantity.SHORT_LENGTH))
                        .append('\n'));
        return Fields.blank(display)
                .put("label", row.label())
                .put("shape", row.hole().shape())
                .put("a", row.hole().a(), Quantity.SHORT_LENGTH)
                .put("b", row.hole().b(), Quantity.SHORT_LENGTH)
                .put("depth", row.hole().depth(), Quantity.SHORT_LENGTH)
                .put("secondFilling", row.filling().secondFilling() ? "true" : "")
                .put("glazed", row.filling().glazed() ? "true" : "")
                .put("waterEntered", row.filling().waterEntered() ? "true" : "")
                .put("waterDepth", row.filling().waterDepth(), Quantity.SHORT_LENGTH)
                .put("readings", readings);
    }

    @PostMapping
    String save(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String pit,
            @PathVariable String test,
            @RequestParam Map<String, String> typed) {
        PlanView seen = pages.plan(scope);
        PitRow of = pit(seen, pit);
        boolean fresh = test.equals("new");
        TestRow before = fresh ? null : find(seen, pit, test);
        Fields fields = new Fields(typed, reader.display());
        TestRow row = read(fields, scope, pit, before);
        if (!fields.wrong()) {
            String id = edits
                    .apply(
                            scope,
                            stamp.change("Tested pit " + of.label() + ", " + row.title()),
                            now -> List.of(fresh ? Edit.add(row) : Edit.save(row, stamp.revision())))
                    .rowIds()
                    .stream()
                    .findFirst()
                    .orElse(test);
            return "redirect:/orchards/" + scope.orchard() + "/site/pits/" + pit + "/tests/" + id;
        }
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        return page(model, plan, of, test, fields);
    }

    private TestRow read(Fields fields, Scope scope, String pit, TestRow before) {
        TestRow.Shape shape = fields.choice("shape", TestRow.Shape.class);
        double a = fields.required("a", Quantity.SHORT_LENGTH, 0.05, 3);
        Double b = shape == TestRow.Shape.CYLINDER ? null : fields.optional("b", Quantity.SHORT_LENGTH, 0, 3);
        if (shape == TestRow.Shape.BOX && b == null) {
            fields.complain("b", "A rectangular hole has two widths.");
        }
        if (shape == TestRow.Shape.TAPER && b != null && b > a) {
            fields.complain("b", "This hole should be narrower at the bottom than at the top.");
        }
        Instant begun = before == null ? null : before.begunAt();
        return new TestRow(
                before == null ? RowKey.fresh(scope.orchard()) : before.key(),
                pit,
                fields.words("label", 20),
                new TestRow.Hole(shape, a, b, fields.required("depth", Quantity.SHORT_LENGTH, 0.05, 3)),
                new TestRow.Filling(
                        fields.ticked("secondFilling"),
                        fields.ticked("glazed"),
                        fields.ticked("waterEntered"),
                        fields.optional("waterDepth", Quantity.SHORT_LENGTH, 0, 5)),
                fields.ticked("begin") ? clock.instant() : begun,
                SiteText.readings(readings(fields)));
    }

    private static List<DrainageTest.Reading> readings(Fields fields) {
        Display display = fields.display();
        List<DrainageTest.Reading> readings = new ArrayList<>();
        int line = 0;
        for (String text : fields.value("readings").split("\\R")) {
            line++;
            if (text.isBlank()) {
                continue;
            }
            String[] pair = text.contains(";") ? text.split(";") : text.strip().split("[\\t ]+", 2);
            Entry minutes = Spoken.read(pair[0], Quantity.DECIMAL, display.system(), display.locale());
            Entry down = pair.length == 2
                    ? Spoken.read(pair[1], Quantity.SHORT_LENGTH, display.system(), display.locale())
                    : Entry.wrong("");
            if (minutes.value().isEmpty() || down.value().isEmpty()) {
                fields.complain(
                        "readings",
                        "Line " + line + ", “" + text.strip()
                                + "”, is not a reading; write minutes and the distance down from the stick, like "
                                + "60; 11.5.");
                return List.of();
            }
            readings.add(
                    new DrainageTest.Reading(minutes.value().get(), down.value().get()));
        }
        return readings;
    }

    /**
     * One reading from the field, with the moment at which it was taken. A phone that had no signal sends it later;
     * sent
     * twice it is stored once.
     *
     * @param taken milliseconds since 1970 by the phone
     */
    @PostMapping("/reading")
    ResponseEntity<String> reading(
            Scope scope,
            Reader reader,
            @PathVariable String pit,
            @PathVariable String test,
            @RequestParam long taken,
            @RequestParam String down) {
        TestRow row = find(pages.plan(scope), pit, test);
        Instant when = Instant.ofEpochMilli(taken);
        Entry level = Spoken.read(
                down,
                Quantity.SHORT_LENGTH,
                reader.display().system(),
                reader.display().locale());
        String complaint = row.begunAt() == null
                ? "Start the clock first."
                : level.value().isEmpty()
                        ? level.complaint().orElse("How far below the stick does the water stand?")
                        : when.isAfter(clock.instant().plus(AHEAD)) ? "The phone’s clock is ahead of the time." : null;
        if (complaint != null) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_ENTITY).body(complaint);
        }
        double minutes = Math.round(Duration.between(row.begunAt(), when).toMillis() / 6000.0) / 10.0;
        DrainageTest.Reading next =
                new DrainageTest.Reading(Math.max(0, minutes), level.value().orElseThrow());
        edits.apply(scope, Edits.Change.of("Read " + row.title()), now -> appended(now, test, next));
        return ResponseEntity.ok("stored");
    }

    /** The readings as they stand under the lock, and one more; two phones at one hole lose nothing. */
    private static List<Edit> appended(Plan now, String test, DrainageTest.Reading next) {
        TestRow row = now.rows().test(test).orElseThrow(NotFound::new);
        List<DrainageTest.Reading> readings = new ArrayList<>(SiteText.readings(row.readings()));
        if (readings.contains(next)) {
            return List.of();
        }
        readings.add(next);
        return List.of(Edit.change(row, now.revision(), Map.of("readings", SiteText.readings(readings))));
    }

    @PostMapping("/remove")
    String remove(Scope scope, FormStamp stamp, @PathVariable String pit, @PathVariable String test) {
        TestRow row = find(pages.plan(scope), pit, test);
        edits.apply(
                scope,
                stamp.change("Took out the test of " + row.title()),
                now -> List.of(Edit.remove(row, stamp.revision())));
        return "redirect:/orchards/" + scope.orchard() + "/site/pits/" + pit;
    }
}
