package idlebough.app.site;

import idlebough.app.plan.Ids;
import idlebough.app.plan.LostRace;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
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
 * The drainage test, in the field: a clock that runs on the server's record of when the hole was filled, so a locked phone
 * or a closed page loses nothing; or readings typed afterwards.
 */
@Controller
@RequestMapping("/orchards/{orchard}/site/pits/{pit}/tests/{test}")
public class FillingController {
    /** A reading may come late from a phone without signal, but not from the future. */
    private static final Duration AHEAD = Duration.ofMinutes(2);

    private final Pages pages;
    private final PitMapper pits;
    private final FillingMapper fillings;
    private final Clock clock;

    FillingController(Pages pages, PitMapper pits, FillingMapper fillings, Clock clock) {
        this.pages = pages;
        this.pits = pits;
        this.fillings = fillings;
        this.clock = clock;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @PathVariable String pit, @PathVariable String test) {
        Reckoning plan = SiteController.open(pages, scope, reader, model, false);
        Pit row = pit(scope, pit);
        Fields fields;
        if (test.equals("new")) {
            List<Filling> others = plan.plan().fillings().stream()
                    .filter(f -> f.pitId().equals(pit))
                    .toList();
            Filling last = others.isEmpty() ? null : others.get(others.size() - 1);
            fields = Fields.blank(reader.display())
                    .put("label", last == null ? "1" : last.label())
                    .put("shape", last == null ? Filling.Shape.CYLINDER : last.shape())
                    .put("a", last == null ? Double.valueOf(0.3) : Double.valueOf(last.a()), Quantity.SHORT_LENGTH)
                    .put("b", last == null ? null : last.b(), Quantity.SHORT_LENGTH)
                    .put(
                            "depth",
                            last == null ? Double.valueOf(0.4) : Double.valueOf(last.depth()),
                            Quantity.SHORT_LENGTH)
                    .put("secondFilling", last == null ? "" : "true");
        } else {
            fields = form(find(scope, pit, test), reader.display());
        }
        return page(model, plan, row, test, fields);
    }

    private Pit pit(Scope scope, String id) {
        Pit row = pits.find(scope, id);
        if (row == null || row.deleted()) {
            throw new NotFound();
        }
        return row;
    }

    private Filling find(Scope scope, String pit, String id) {
        Filling row = fillings.find(scope, id);
        if (row == null || row.deleted() || !row.pitId().equals(pit)) {
            throw new NotFound();
        }
        return row;
    }

    private static String page(Model model, Reckoning plan, Pit pit, String test, Fields fields) {
        model.addAttribute("pitRow", pit);
        model.addAttribute("testId", test);
        model.addAttribute("fields", fields);
        model.addAttribute("shapes", Filling.Shape.values());
        Filling row = plan.plan().fillings().stream()
                .filter(f -> f.id().equals(test))
                .findFirst()
                .orElse(null);
        model.addAttribute("row", row);
        model.addAttribute(
                "others",
                plan.plan().fillings().stream()
                        .filter(f -> f.pitId().equals(pit.id()) && !f.id().equals(test))
                        .toList());
        model.addAttribute("sifted", row == null ? null : row.test().sift());
        DrainageRate rate = row == null ? null : row.test().rate();
        model.addAttribute("figures", rate == null ? List.of() : figures(rate, row));
        model.addAttribute("curves", row == null ? null : HoleCurves.of(row));
        return "site/test";
    }

    private static List<Figure> figures(DrainageRate rate, Filling row) {
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
        if (row.glazed()) {
            figures.add(Figure.of(
                    "glazed",
                    "if only the bottom drained",
                    Amount.of(rate.ifGlazed(), Quantity.DRAINAGE),
                    "at most",
                    rate::working));
        }
        return figures;
    }

    private static Fields form(Filling row, Display display) {
        StringBuilder readings = new StringBuilder();
        SiteText.readings(row.readings())
                .forEach(r -> readings.append(display.plain(r.minutes(), r.minutes() == Math.rint(r.minutes()) ? 0 : 1)
                                .replace('\u2212', '-'))
                        .append("; ")
                        .append(display.field(r.down(), Quantity.SHORT_LENGTH))
                        .append('\n'));
        return Fields.blank(display)
                .put("label", row.label())
                .put("shape", row.shape())
                .put("a", row.a(), Quantity.SHORT_LENGTH)
                .put("b", row.b(), Quantity.SHORT_LENGTH)
                .put("depth", row.depth(), Quantity.SHORT_LENGTH)
                .put("secondFilling", row.secondFilling() ? "true" : "")
                .put("glazed", row.glazed() ? "true" : "")
                .put("waterEntered", row.waterEntered() ? "true" : "")
                .put("waterDepth", row.waterDepth(), Quantity.SHORT_LENGTH)
                .put("readings", readings)
                .put("version", row.version());
    }

    @PostMapping
    String save(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String pit,
            @PathVariable String test,
            @RequestParam Map<String, String> typed) {
        pages.reckon(scope);
        Pit of = pit(scope, pit);
        boolean fresh = test.equals("new");
        Filling before = fresh ? null : find(scope, pit, test);
        Fields fields = new Fields(typed, reader.display());
        Filling row = read(fields, scope, pit, before);
        if (!fields.wrong()) {
            Filling begun =
                    fields.ticked("begin") ? pages.changes().with(row, Map.of("begunAt", clock.instant())) : row;
            try {
                pages.changes()
                        .make(scope, "Tested pit " + of.label() + ", " + row.title(), pen -> pen.put(before, begun));
                return "redirect:/orchards/" + scope.orchard() + "/site/pits/" + pit + "/tests/" + row.id();
            } catch (LostRace raced) {
                fields.against(form(find(scope, pit, test), reader.display()));
            }
        }
        Reckoning plan = SiteController.open(pages, scope, reader, model, false);
        return page(model, plan, of, test, fields);
    }

    private Filling read(Fields fields, Scope scope, String pit, Filling before) {
        Filling.Shape shape = fields.choice("shape", Filling.Shape.class);
        double a = fields.required("a", Quantity.SHORT_LENGTH, 0.05, 3);
        Double b = shape == Filling.Shape.CYLINDER ? null : fields.optional("b", Quantity.SHORT_LENGTH, 0, 3);
        if (shape == Filling.Shape.BOX && b == null) {
            fields.complain("b", "A rectangular hole has two widths.");
        }
        if (shape == Filling.Shape.TAPER && b != null && b > a) {
            fields.complain("b", "This hole should be narrower at the bottom than at the top.");
        }
        return new Filling(
                before == null ? Ids.next() : before.id(),
                scope.orchard(),
                pit,
                fields.words("label", 20),
                shape,
                a,
                b,
                fields.required("depth", Quantity.SHORT_LENGTH, 0.05, 3),
                fields.ticked("secondFilling"),
                fields.ticked("glazed"),
                fields.ticked("waterEntered"),
                fields.optional("waterDepth", Quantity.SHORT_LENGTH, 0, 5),
                before == null ? null : before.begunAt(),
                SiteText.readings(readings(fields)),
                fields.version(),
                false);
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
            if (minutes.value() == null || down.value() == null) {
                fields.complain(
                        "readings",
                        "Line " + line + ", “" + text.strip()
                                + "”, is not a reading; write minutes and the distance down from the stick, like 60; 11.5.");
                return List.of();
            }
            readings.add(new DrainageTest.Reading(minutes.value(), down.value()));
        }
        return readings;
    }

    /**
     * One reading from the field, with the moment at which it was taken. A phone that had no signal sends it later; sent
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
        Filling row = find(scope, pit, test);
        Instant when = Instant.ofEpochMilli(taken);
        Entry level = Spoken.read(
                down,
                Quantity.SHORT_LENGTH,
                reader.display().system(),
                reader.display().locale());
        String complaint = row.begunAt() == null
                ? "Start the clock first."
                : level.value() == null
                        ? level.isWrong() ? level.complaint() : "How far below the stick does the water stand?"
                        : when.isAfter(clock.instant().plus(AHEAD)) ? "The phone’s clock is ahead of the time." : null;
        if (complaint != null) {
            return ResponseEntity.status(HttpStatus.UNPROCESSABLE_ENTITY).body(complaint);
        }
        double minutes = Math.round(Duration.between(row.begunAt(), when).toMillis() / 6000.0) / 10.0;
        List<DrainageTest.Reading> readings = new ArrayList<>(SiteText.readings(row.readings()));
        DrainageTest.Reading next = new DrainageTest.Reading(Math.max(0, minutes), level.value());
        if (!readings.contains(next)) {
            readings.add(next);
            pages.changes()
                    .make(
                            scope,
                            "Read " + row.title(),
                            pen -> pen.save(
                                    pages.changes().with(row, Map.of("readings", SiteText.readings(readings)))));
        }
        return ResponseEntity.ok("stored");
    }

    @PostMapping("/remove")
    String remove(Scope scope, @PathVariable String pit, @PathVariable String test) {
        Filling row = find(scope, pit, test);
        pages.changes().make(scope, "Took out the test of " + row.title(), pen -> pen.remove(row));
        return "redirect:/orchards/" + scope.orchard() + "/site/pits/" + pit;
    }
}
