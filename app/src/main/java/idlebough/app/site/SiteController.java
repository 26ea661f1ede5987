package idlebough.app.site;

import idlebough.app.plan.LostRace;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.site.Layers.Layer;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.Stage;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Shelter;
import idlebough.core.site.SoilPit;
import idlebough.core.site.WhatToDo;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The spread of the ground: its figures and findings, and the plot with its layers; and the form of what is not drawn. */
@Controller
@RequestMapping("/orchards/{orchard}/site")
public class SiteController {
    private static final double SHEET_WIDTH = 726;
    /** What the profile of a pit leaves for the plot. */
    private static final double BESIDE_PROFILE = 580;

    /** The tools stand below the plot. */
    private static final double SHEET_HEIGHT = 610;

    private final Pages pages;
    private final ShadeView shades;

    SiteController(Pages pages, ShadeView shades) {
        this.pages = pages;
        this.shades = shades;
    }

    /** What can be done for one crop at the chosen pit. */
    public record CropAnswer(WhatToDo what, WhatToDo.Option advised) {}

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) String pit,
            @RequestParam(defaultValue = "none") String layer,
            @RequestParam(defaultValue = "0") int month,
            @RequestParam(required = false) String at,
            @RequestParam(required = false) Integer day,
            @RequestParam(required = false) Integer minute) {
        Layer chosen = Layer.of(layer);
        Reckoning plan = open(pages, scope, reader, model, chosen == Layer.NONE || chosen == Layer.SOIL);
        model.addAttribute("layer", chosen);
        model.addAttribute("layers", Layer.values());
        SoilPit seen = plan.pits().stream()
                .filter(p -> p.id().equals(pit))
                .findFirst()
                .orElse(plan.pits().stream()
                        .min(Comparator.comparingDouble(p ->
                                p.rate() == null ? Double.MAX_VALUE : p.rate().normalisedMmPerHour()))
                        .orElse(null));
        model.addAttribute("pit", seen);
        model.addAttribute("figures", List.of());
        if (plan.plot() == null) {
            return "site/site";
        }
        Sheet sheet = (Sheet) model.getAttribute("sheet");
        Point cross = cross(at, plan);
        model.addAttribute("cross", cross);
        switch (chosen) {
            case SUN -> sun(model, plan, sheet, reader, month, cross);
            case SHADOW -> shades.put(model, plan, sheet, day, minute);
            case COLD -> {
                model.addAttribute("hatches", Layers.cold(plan.cold(), sheet, reader));
                model.addAttribute("arrows", Layers.runs(plan.plot(), plan.cold(), sheet));
                model.addAttribute("figures", Layers.coldFigures(plan, cross));
            }
            case WIND -> {
                model.addAttribute("figures", Layers.windFigures(plan));
                Double storm = plan.plan().site().stormWind();
                if (storm != null) {
                    Shelter shelter = new Shelter(
                            plan.features(), storm, plan.plan().site().rotation());
                    model.addAttribute("hatches", List.of(Layers.lee(plan.plot(), shelter, sheet)));
                }
            }
            default -> {
                if (seen != null) {
                    model.addAttribute("figures", figures(seen));
                    model.addAttribute("row", row(plan, seen.id()));
                    model.addAttribute("rejected", rejected(plan, seen.id()));
                    model.addAttribute("answers", answers(plan, seen));
                }
                if (chosen == Layer.SOIL) {
                    model.addAttribute("zones", plan.zones().zones());
                }
            }
        }
        return "site/site";
    }

    private static void sun(Model model, Reckoning plan, Sheet sheet, Reader reader, int month, Point cross) {
        List<Integer> months = month >= 1 && month <= 12
                ? List.of(month)
                : month == 13 ? plan.sunYear().leafless() : plan.sunYear().season();
        model.addAttribute("month", month);
        model.addAttribute("hatches", Layers.sun(plan.sunMap(), months, sheet, reader));
        model.addAttribute("figures", Layers.sunFigures(plan, cross));
        model.addAttribute("bars", Layers.bars(plan.sunAt(cross)));
        model.addAttribute("cropSun", Layers.crops(plan));
    }

    /** The place asked about: the one in the address, or the middle of the plot. */
    private static Point cross(String at, Reckoning plan) {
        if (at != null && at.matches("-?\\d{1,5}(\\.\\d{1,3})?,-?\\d{1,5}(\\.\\d{1,3})?")) {
            String[] pair = at.split(",");
            return new Point(Double.parseDouble(pair[0]), Double.parseDouble(pair[1]));
        }
        Plot plot = plan.plot();
        return new Point((plot.west() + plot.east()) / 2, (plot.south() + plot.north()) / 2);
    }

    static Pit row(Reckoning plan, String id) {
        return plan.plan().pits().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElse(null);
    }

    /** Readings that are kept but not used, in words, of all fillings of a pit. */
    static List<String> rejected(Reckoning plan, String pit) {
        return plan.plan().fillings().stream()
                .filter(f -> f.pitId().equals(pit))
                .flatMap(f -> f.test().sift().rejected().stream()
                        .map(r -> "Reading " + (r.index() + 1) + " of " + f.title() + " is kept but not used: "
                                + r.why() + "."))
                .toList();
    }

    private static List<CropAnswer> answers(Reckoning plan, SoilPit pit) {
        return plan.crops().stream()
                .map(crop -> WhatToDo.of(crop, pit))
                .map(what -> new CropAnswer(what, what.advised()))
                .toList();
    }

    /** Opens the page with the plot on its sheet. */
    static Reckoning open(Pages pages, Scope scope, Reader reader, Model model, boolean profile) {
        Reckoning plan = pages.open(model, scope, Stage.SITE);
        Plot plot = plan.plot();
        Sheet sheet = plot == null
                ? null
                : Sheet.of(plot, profile && !plan.pits().isEmpty() ? BESIDE_PROFILE : SHEET_WIDTH, SHEET_HEIGHT);
        model.addAttribute("plot", plot);
        model.addAttribute("sheet", sheet);
        model.addAttribute("marks", sheet == null ? List.of() : GroundDrawing.of(plan, sheet, reader));
        return plan;
    }

    /** The sheet of every page of this room that has no profile beside it. */
    static Sheet sheet(Plot plot) {
        return Sheet.of(plot, SHEET_WIDTH, SHEET_HEIGHT);
    }

    static List<Figure> figures(SoilPit pit) {
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
                    "the same test",
                    rate::working));
        }
        figures.add(new Figure(
                "held",
                Phrase.of("Water held where roots can go"),
                Amount.of(pit.waterHeld() / 1000, Quantity.RAIN),
                Phrase.of("in {}", Amount.cm(pit.rootable())),
                () -> PitFigures.held(pit)));
        return figures;
    }

    /** The shadows of another moment, while the slider moves. */
    @GetMapping("/shadows")
    String shadows(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam(required = false) Integer day,
            @RequestParam(required = false) Integer minute) {
        Reckoning plan = pages.reckon(scope);
        if (plan.plot() == null) {
            throw new idlebough.app.plan.NotFound();
        }
        shades.put(model, plan, sheet(plan.plot()), day, minute);
        return "site/layers :: shade";
    }

    @GetMapping("/edit")
    String edit(Scope scope, Reader reader, Model model) {
        Reckoning plan = open(pages, scope, reader, model, false);
        model.addAttribute("fields", form(plan, reader.display()));
        return "site/edit";
    }

    private static Fields form(Reckoning plan, Display display) {
        Site site = plan.plan().site();
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
                .put("corners", Places.text(SiteText.points(site.corners()), display))
                .put("deer", site.deer())
                .put("rabbits", site.rabbits())
                .put("voles", site.voles())
                .put("gophers", site.gophers())
                .put("birds", site.birds())
                .put("version", site.version());
    }

    @PostMapping("/edit")
    String save(Scope scope, Reader reader, Model model, @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Site before = plan.plan().site();
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", 120);
        String zone = fields.value("timeZone").strip();
        if (!ZoneId.getAvailableZoneIds().contains(zone)) {
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
        List<Point> corners = Places.corners(fields);
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
                    before.tapes(),
                    pressure(fields, "deer"),
                    pressure(fields, "rabbits"),
                    pressure(fields, "voles"),
                    pressure(fields, "gophers"),
                    pressure(fields, "birds"),
                    fields.version());
            try {
                pages.changes().rename(scope, name, zone);
                pages.changes().make(scope, "Described the ground", pen -> pen.save(after));
                return "redirect:/orchards/" + scope.orchard() + "/site";
            } catch (LostRace raced) {
                fields.against(form(pages.reckon(scope), reader.display()));
            }
        }
        open(pages, scope, reader, model, false);
        model.addAttribute("fields", fields);
        return "site/edit";
    }

    private static int pressure(Fields fields, String animal) {
        String typed = fields.value(animal);
        return typed.matches("[0-2]") ? Integer.parseInt(typed) : 0;
    }
}
