package idlebough.app.site;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteRow;
import idlebough.app.store.SiteText;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.core.measure.Display;
import idlebough.core.measure.Entry;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Spoken;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SlopeTape;
import idlebough.core.site.TapeSurvey;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import tools.jackson.databind.json.JsonMapper;

/** The boundary by tapes between its corners: looked at first, taken when it is right. */
@Controller
@RequestMapping("/orchards/{orchard}/site/tapes")
public class SurveyController {
    private static final List<String> KEPT =
            List.of("ring", "tapes", "clockwise", "bearing", "compass", "east", "north");
    private final Pages pages;
    private final Edits edits;
    private final JsonMapper json;

    SurveyController(Pages pages, Edits edits, JsonMapper json) {
        this.pages = pages;
        this.edits = edits;
        this.json = json;
    }

    /** One tape on the drawing, page units. */
    public record Drawn(TapeSurvey.MeasuredTape line, double x1, double y1, double x2, double y2, boolean doubtful) {}

    @GetMapping
    String show(Scope scope, Reader reader, Model model) {
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        Fields fields = Fields.blank(reader.display());
        String stored = plan.site().boundary().tapes();
        if (stored == null) {
            fields.put("ring", "A B C D")
                    .put("tapes", "")
                    .put("clockwise", "true")
                    .put("bearing", "90")
                    .put("east", "0")
                    .put("north", "0");
        } else {
            json.readValue(stored, Map.class).forEach((name, value) -> fields.put(String.valueOf(name), value));
        }
        model.addAttribute("fields", fields);
        return "site/tapes";
    }

    @PostMapping
    String look(Scope scope, Reader reader, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        SiteRow.Where site = plan.site().where();
        Fields fields = new Fields(typed, reader.display());
        List<String> ring = Arrays.stream(fields.value("ring").strip().split("[\\s,;]+"))
                .filter(name -> !name.isBlank())
                .distinct()
                .toList();
        List<TapeSurvey.Tape> tapes = tapes(fields);
        Double bearing = fields.optional("bearing", Quantity.BEARING, 0, 360);
        Double east = fields.optional("east", Quantity.LENGTH, -20_000, 20_000);
        Double north = fields.optional("north", Quantity.LENGTH, -20_000, 20_000);
        TapeSurvey survey = fields.wrong() ? null : TapeSurvey.of(ring, tapes, fields.ticked("clockwise"));
        List<Point> corners = List.of();
        if (survey != null && survey.complaint().isPresent()) {
            fields.complain("tapes", survey.complaint().get());
        } else if (survey != null) {
            double reads = bearing == null ? 90 : bearing;
            double trueBearing =
                    fields.ticked("compass") && site.declination() != null ? reads + site.declination() : reads;
            corners = survey.placed(
                    new Point(east == null ? 0 : east, north == null ? 0 : north), trueBearing - site.rotation());
            Plot.complaint(corners).ifPresent(complaint -> fields.complain("tapes", complaint));
        }
        if (fields.ticked("take") && !fields.wrong()) {
            Map<String, String> kept = new LinkedHashMap<>();
            KEPT.forEach(name -> kept.put(name, fields.value(name)));
            Map<String, Object> changed = new LinkedHashMap<>();
            changed.put("corners", SiteText.corners(corners));
            changed.put("tapes", json.writeValueAsString(kept));
            edits.apply(
                    scope,
                    stamp.change("Took the boundary from the tapes"),
                    now -> List.of(Edit.change(now.rows().site(), stamp.revision(), changed)));
            return "redirect:/orchards/" + scope.orchard() + "/site";
        }
        SiteController.open(pages, scope, reader, model, false);
        model.addAttribute("fields", fields);
        if (survey != null && survey.complaint().isEmpty()) {
            draw(model, survey, ring, corners);
        }
        return "site/tapes";
    }

    private static void draw(Model model, TapeSurvey survey, List<String> ring, List<Point> corners) {
        double west = corners.stream().mapToDouble(Point::x).min().orElse(0);
        double east = corners.stream().mapToDouble(Point::x).max().orElse(1);
        double south = corners.stream().mapToDouble(Point::y).min().orElse(0);
        double north = corners.stream().mapToDouble(Point::y).max().orElse(1);
        double scale = Math.min(560 / Math.max(1, east - west), 500 / Math.max(1, north - south));
        Sheet sheet = new Sheet(726, 660, scale, 363 - scale * (east + west) / 2, 330 + scale * (north + south) / 2);
        model.addAttribute("survey", survey);
        model.addAttribute("ring", ring);
        model.addAttribute("corners", corners);
        model.addAttribute("taped", sheet);
        model.addAttribute(
                "area", Plot.complaint(corners).isEmpty() ? Plot.of(corners).area() : null);
        model.addAttribute(
                "lines",
                survey.lines().stream()
                        .map(line -> {
                            Point a = corners.get(ring.indexOf(line.tape().from()));
                            Point b = corners.get(ring.indexOf(line.tape().to()));
                            return new Drawn(
                                    line,
                                    sheet.x(a.x()),
                                    sheet.y(a.y()),
                                    sheet.x(b.x()),
                                    sheet.y(b.y()),
                                    survey.doubtful()
                                            .filter(doubt -> doubt.tape().equals(line.tape()))
                                            .isPresent());
                        })
                        .toList());
    }

    /** {@code A B 12.35}, and the difference of height where the tape climbed: {@code A B 12.35; 1.2}. */
    private static List<TapeSurvey.Tape> tapes(Fields fields) {
        Display display = fields.display();
        List<TapeSurvey.Tape> tapes = new ArrayList<>();
        int number = 0;
        for (String text : fields.value("tapes").split("\\R")) {
            number++;
            if (text.isBlank()) {
                continue;
            }
            String[] part = text.strip().split("[\\s–-]+", 3);
            String[] figures = part.length == 3 ? part[2].split(";", 2) : new String[0];
            Entry length = part.length == 3
                    ? Spoken.read(figures[0], Quantity.TAPE, display.system(), display.locale())
                    : Entry.empty();
            Entry drop = figures.length == 2
                    ? Spoken.read(figures[1], Quantity.TAPE, display.system(), display.locale())
                    : Entry.of(0);
            double reads = length.value().orElse(0.0);
            if (reads <= 0 || drop.value().isEmpty()) {
                fields.complain(
                        "tapes",
                        "Line " + number + ", “" + text.strip()
                                + "”, is not a tape; write two corners and the length, like A B 12.35. Where the "
                                + "tape climbed, add a semicolon and the difference of height.");
                return List.of();
            }
            double climb = drop.value().get();
            if (Math.abs(climb) >= reads) {
                fields.complain("tapes", "Line " + number + ": a tape cannot climb more than its own length.");
                return List.of();
            }
            tapes.add(new TapeSurvey.Tape(
                    part[0], part[1], SlopeTape.read(reads, climb).horizontal()));
        }
        return tapes;
    }
}
