package idlebough.app.site;

import idlebough.app.plan.Ids;
import idlebough.app.plan.LostRace;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.Stage;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.measure.Display;
import idlebough.core.measure.Entry;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Spoken;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The ground: its shape, its slope and winds, and what its soil does with water. */
@Controller
@RequestMapping("/orchards/{orchard}/site")
public class SiteController {
    private static final double SHEET_WIDTH = 726;
    /** What the profile of a pit leaves for the plot. */
    private static final double BESIDE_PROFILE = 580;

    private static final double SHEET_HEIGHT = 660;
    private final Pages pages;
    private final SiteMapper sites;
    private final PitMapper pits;

    SiteController(Pages pages, SiteMapper sites, PitMapper pits) {
        this.pages = pages;
        this.sites = sites;
        this.pits = pits;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam(required = false) String pit) {
        Reckoning plan = draw(scope, model);
        SoilPit chosen = plan.pits().stream()
                .filter(p -> p.id().equals(pit))
                .findFirst()
                .orElse(plan.pits().stream()
                        .min(Comparator.comparingDouble(p ->
                                p.rate() == null ? Double.MAX_VALUE : p.rate().normalisedMmPerHour()))
                        .orElse(null));
        model.addAttribute("pit", chosen);
        model.addAttribute("figures", chosen == null ? List.of() : figures(chosen));
        model.addAttribute(
                "rejected",
                chosen == null || chosen.test() == null
                        ? List.of()
                        : chosen.test().sift().rejected());
        return "site/site";
    }

    private Reckoning draw(Scope scope, Model model) {
        Reckoning plan = pages.open(model, scope, Stage.SITE);
        Plot plot = plan.plot();
        model.addAttribute("plot", plot);
        model.addAttribute(
                "sheet",
                plot == null
                        ? null
                        : Sheet.of(plot, plan.pits().isEmpty() ? SHEET_WIDTH : BESIDE_PROFILE, SHEET_HEIGHT));
        return plan;
    }

    private static List<Figure> figures(SoilPit pit) {
        List<Figure> figures = new ArrayList<>();
        DrainageRate rate = pit.rate();
        if (rate != null) {
            figures.add(Figure.of(
                    "rate",
                    "Pit " + pit.label() + " drains, in a 12-inch hole",
                    Amount.of(rate.normalisedMmPerHour(), Quantity.DRAINAGE),
                    rate.drainageClass().word(),
                    rate::working));
            figures.add(Figure.of(
                    "raw",
                    "Fall of the level, as read",
                    Amount.of(rate.rawMmPerHour(), Quantity.DRAINAGE),
                    rate.rawClass().word(),
                    rate::working));
            figures.add(Figure.of(
                    "empty",
                    "A full hole is empty after",
                    Amount.of(rate.hoursToEmpty(), Quantity.HOURS),
                    "",
                    rate::working));
        }
        return figures;
    }

    @GetMapping("/edit")
    String edit(Scope scope, Reader reader, Model model) {
        Reckoning plan = draw(scope, model);
        model.addAttribute("fields", form(plan, reader.display()));
        return "site/edit";
    }

    private static Fields form(Reckoning plan, Display display) {
        Site site = plan.plan().site();
        StringBuilder corners = new StringBuilder();
        SiteText.points(site.corners())
                .forEach(p -> corners.append(display.field(p.x(), Quantity.LENGTH))
                        .append("; ")
                        .append(display.field(p.y(), Quantity.LENGTH))
                        .append('\n'));
        return Fields.blank(display)
                .put("name", plan.plan().orchard().name())
                .put("timeZone", plan.plan().orchard().timeZone())
                .put("latitude", site.latitude(), Quantity.DEGREES)
                .put("longitude", site.longitude(), Quantity.DEGREES)
                .put("elevation", site.elevation(), Quantity.ELEVATION)
                .put("rotation", site.rotation(), Quantity.BEARING)
                .put("declination", site.declination(), Quantity.BEARING)
                .put("slope", site.slope(), Quantity.SLOPE)
                .put("aspect", site.aspect(), Quantity.BEARING)
                .put("prevailingWind", site.prevailingWind(), Quantity.BEARING)
                .put("stormWind", site.stormWind(), Quantity.BEARING)
                .put("corners", corners)
                .put("version", site.version());
    }

    @PostMapping("/edit")
    String save(Scope scope, Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Site before = plan.plan().site();
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", 120);
        String zone = fields.value("timeZone").strip();
        if (!java.time.ZoneId.getAvailableZoneIds().contains(zone)) {
            fields.complain(
                    "timeZone",
                    "“" + zone + "” is not a time zone of the IANA list; write it like Europe/Lisbon or UTC.");
        }
        double latitude = fields.required("latitude", Quantity.DEGREES, -66, 66);
        Double longitude = fields.optional("longitude", Quantity.DEGREES, -180, 180);
        Double elevation = fields.optional("elevation", Quantity.ELEVATION, -450, 6000);
        Double rotation = fields.optional("rotation", Quantity.BEARING, 0, 360);
        Double declination = fields.optional("declination", Quantity.BEARING, -90, 90);
        Double slope = fields.optional("slope", Quantity.SLOPE, 0, 100);
        Double aspect = fields.optional("aspect", Quantity.BEARING, 0, 360);
        Double prevailing = fields.optional("prevailingWind", Quantity.BEARING, 0, 360);
        Double storm = fields.optional("stormWind", Quantity.BEARING, 0, 360);
        List<Point> corners = corners(fields, reader.display());
        if (!fields.wrong()) {
            Site after = new Site(
                    before.id(),
                    scope.orchard(),
                    latitude,
                    longitude,
                    elevation,
                    rotation == null ? 0 : rotation,
                    declination,
                    slope,
                    aspect,
                    prevailing,
                    storm,
                    SiteText.corners(corners),
                    fields.version());
            try {
                pages.changes().rename(scope, name, zone);
                pages.changes().make(scope, "Described the ground", pen -> pen.save(after));
                return "redirect:/orchards/" + scope.orchard() + "/site";
            } catch (LostRace raced) {
                fields.against(form(pages.reckon(scope), reader.display()));
            }
        }
        draw(scope, model);
        model.addAttribute("fields", fields);
        return "site/edit";
    }

    /** Corners one a line, or the two sides of a rectangle. */
    private static List<Point> corners(Fields fields, Display display) {
        List<Point> corners = new ArrayList<>();
        if (fields.ticked("east") || fields.ticked("north")) {
            double east = fields.required("east", Quantity.LENGTH, 1, 20_000);
            double north = fields.required("north", Quantity.LENGTH, 1, 20_000);
            return List.of(new Point(0, 0), new Point(east, 0), new Point(east, north), new Point(0, north));
        }
        int line = 0;
        for (String text : fields.value("corners").split("\\R")) {
            line++;
            if (text.isBlank()) {
                continue;
            }
            String[] pair = text.contains(";") ? text.split(";") : text.strip().split("[\\t ]+");
            Entry x = pair.length == 2
                    ? Spoken.read(pair[0], Quantity.LENGTH, display.system(), display.locale())
                    : Entry.wrong("");
            Entry y = pair.length == 2
                    ? Spoken.read(pair[1], Quantity.LENGTH, display.system(), display.locale())
                    : Entry.wrong("");
            if (x.value() == null || y.value() == null) {
                fields.complain(
                        "corners",
                        "Line " + line + ", “" + text.strip()
                                + "”, is not a corner; write east and north of the origin with a semicolon between, like 12.5; 30.");
                return List.of();
            }
            corners.add(new Point(x.value(), y.value()));
        }
        String complaint = corners.isEmpty() ? null : Plot.complaint(corners);
        if (complaint != null) {
            fields.complain("corners", complaint);
        }
        return corners;
    }

    @GetMapping("/pits/{pit}")
    String pit(Scope scope, Reader reader, Model model, @PathVariable String pit) {
        Reckoning plan = draw(scope, model);
        Fields fields;
        if (pit.equals("new")) {
            Plot plot = plan.plot();
            fields = Fields.blank(reader.display())
                    .put("label", plan.pits().size() + 1)
                    .put("x", plot == null ? 0 : (plot.west() + plot.east()) / 2, Quantity.LENGTH)
                    .put("y", plot == null ? 0 : (plot.south() + plot.north()) / 2, Quantity.LENGTH)
                    .put("texture", "LOAM")
                    .put("secondFilling", "true");
        } else {
            Pit row = pits.find(scope, pit);
            if (row == null || row.deleted()) {
                throw new NotFound();
            }
            fields = form(row, reader.display());
        }
        return pitForm(model, pit, fields);
    }

    private static String pitForm(Model model, String pit, Fields fields) {
        model.addAttribute("pitId", pit);
        model.addAttribute("fields", fields);
        model.addAttribute("textures", Texture.values());
        return "site/pit";
    }

    private static Fields form(Pit row, Display display) {
        StringBuilder readings = new StringBuilder();
        SiteText.readings(row.readings())
                .forEach(r -> readings.append(display.plain(r.minutes(), r.minutes() == Math.rint(r.minutes()) ? 0 : 1))
                        .append("; ")
                        .append(display.field(r.down(), Quantity.SHORT_LENGTH))
                        .append('\n'));
        return Fields.blank(display)
                .put("label", row.label())
                .put("x", row.x(), Quantity.LENGTH)
                .put("y", row.y(), Quantity.LENGTH)
                .put("texture", row.texture())
                .put("topsoil", row.topsoil(), Quantity.SHORT_LENGTH)
                .put("pan", row.pan(), Quantity.SHORT_LENGTH)
                .put("ph", row.ph(), Quantity.DECIMAL)
                .put("holeDiameter", row.holeDiameter(), Quantity.SHORT_LENGTH)
                .put("holeDepth", row.holeDepth(), Quantity.SHORT_LENGTH)
                .put("secondFilling", row.secondFilling() ? "true" : "")
                .put("waterEntered", row.waterEntered() ? "true" : "")
                .put("readings", readings)
                .put("version", row.version());
    }

    @PostMapping("/pits/{pit}")
    String savePit(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String pit,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Fields fields = new Fields(typed, reader.display());
        String label = fields.words("label", 20);
        double x = fields.required("x", Quantity.LENGTH, -20_000, 20_000);
        double y = fields.required("y", Quantity.LENGTH, -20_000, 20_000);
        Texture texture = fields.choice("texture", Texture.class);
        double topsoil = fields.required("topsoil", Quantity.SHORT_LENGTH, 0, 3);
        Double pan = fields.optional("pan", Quantity.SHORT_LENGTH, 0.01, 5);
        Double ph = fields.optional("ph", Quantity.DECIMAL, 2, 11);
        Double diameter = fields.optional("holeDiameter", Quantity.SHORT_LENGTH, 0.05, 2);
        Double depth = fields.optional("holeDepth", Quantity.SHORT_LENGTH, 0.05, 2);
        List<DrainageTest.Reading> readings = readings(fields, reader.display());
        if (!readings.isEmpty() && diameter == null) {
            fields.complain("holeDiameter", "The width of the hole decides how fast its level falls; measure it.");
        }
        if (!readings.isEmpty() && depth == null) {
            fields.complain("holeDepth", "The depth of the hole below the stick is needed with the readings.");
        }
        if (!fields.wrong()) {
            boolean fresh = pit.equals("new");
            Pit row = new Pit(
                    fresh ? Ids.next() : pit,
                    scope.orchard(),
                    label,
                    x,
                    y,
                    texture,
                    topsoil,
                    pan,
                    ph,
                    diameter,
                    depth,
                    fields.ticked("secondFilling"),
                    fields.ticked("waterEntered"),
                    SiteText.readings(readings),
                    fields.version(),
                    false);
            try {
                pages.changes().make(scope, (fresh ? "Dug pit " : "Changed pit ") + label, pen -> {
                    if (fresh) {
                        pen.add(row);
                    } else {
                        pen.save(row);
                    }
                });
                return "redirect:/orchards/" + scope.orchard() + "/site?pit=" + row.id();
            } catch (LostRace raced) {
                fields.against(form((Pit) raced.current(), reader.display()));
            }
        }
        draw(scope, model);
        return pitForm(model, pit, fields);
    }

    @PostMapping("/pits/{pit}/remove")
    String removePit(Scope scope, @PathVariable String pit) {
        pages.reckon(scope);
        Pit row = pits.find(scope, pit);
        if (row == null || row.deleted()) {
            throw new NotFound();
        }
        pages.changes().make(scope, "Filled in pit " + row.label(), pen -> pen.remove(row));
        return "redirect:/orchards/" + scope.orchard() + "/site";
    }

    /** Minutes and distance below the stick, one reading a line. */
    private static List<DrainageTest.Reading> readings(Fields fields, Display display) {
        List<DrainageTest.Reading> readings = new ArrayList<>();
        int line = 0;
        for (String text : fields.value("readings").split("\\R")) {
            line++;
            if (text.isBlank()) {
                continue;
            }
            String[] pair = text.contains(";") ? text.split(";") : text.strip().split("[\\t ]+", 2);
            Entry minutes = pair.length == 2
                    ? Spoken.read(pair[0], Quantity.DECIMAL, display.system(), display.locale())
                    : Entry.wrong("");
            Entry down = pair.length == 2
                    ? Spoken.read(pair[1], Quantity.SHORT_LENGTH, display.system(), display.locale())
                    : Entry.wrong("");
            if (minutes.value() == null || down.value() == null) {
                fields.complain(
                        "readings",
                        "Line " + line + ", “" + text.strip()
                                + "”, is not a reading; write minutes and the water's distance below the stick, like 60; 12.");
                return List.of();
            }
            readings.add(new DrainageTest.Reading(minutes.value(), down.value()));
        }
        return readings;
    }
}
