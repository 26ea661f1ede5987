package idlebough.app.site;

import idlebough.app.site.Layers.Layer;
import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteRow;
import idlebough.app.store.SiteText;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.GroundDrawing;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.ShadeView;
import idlebough.app.web.Sheet;
import idlebough.app.web.StagePage;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.judge.Subject;
import idlebough.core.layout.OrchardShade;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.site.ColdAir;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Shelter;
import idlebough.core.site.SoilPit;
import idlebough.core.site.SunHours;
import idlebough.core.site.SunMap;
import idlebough.core.site.WhatToDo;
import idlebough.core.site.Windbreak;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * The spread of the ground: its figures and findings, and the plot with its layers; and the form of what is not drawn.
 */
@Controller
@RequestMapping("/orchards/{orchard}/site")
public class SiteController {
    private static final double SHEET_WIDTH = 726;
    /** What the profile of a pit leaves for the plot. */
    private static final double BESIDE_PROFILE = 580;

    /** The tools stand below the plot. */
    private static final double SHEET_HEIGHT = 610;

    /** Years after planting whose crowns may lie on the sun. */
    private static final List<Integer> CROWNS = List.of(1, 5, 10, 20);

    private final Pages pages;
    private final Edits edits;
    private final ShadeView shades;

    SiteController(Pages pages, Edits edits, ShadeView shades) {
        this.pages = pages;
        this.edits = edits;
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
            @RequestParam(required = false) Integer crowns,
            @RequestParam(required = false) String at,
            @RequestParam(required = false) Integer day,
            @RequestParam(required = false) Integer minute) {
        Layer chosen = Layer.of(layer);
        PlanView plan = open(pages, scope, reader, model, chosen == Layer.NONE || chosen == Layer.SOIL);
        model.addAttribute("layer", chosen);
        model.addAttribute("spreadCss", "tooled over-" + chosen.key());
        model.addAttribute("layers", Layer.values());
        SoilPit seen = plan.pits().stream()
                .filter(p -> p.id().equals(pit))
                .findFirst()
                .orElse(plan.pits().stream()
                        .min(Comparator.comparingDouble(p ->
                                p.rate().map(DrainageRate::normalisedMmPerHour).orElse(Double.MAX_VALUE)))
                        .orElse(null));
        model.addAttribute("pit", seen);
        model.addAttribute("profile", seen == null ? null : ProfileDrawing.of(seen));
        // The water is judged for each tree with its stock; here it is only shown.
        model.addAttribute(
                "rooted",
                pages.shown(
                        plan,
                        plan.doubts(Room.ROOTSTOCK).stream()
                                .filter(finding -> finding.subject().kind() == Subject.Kind.TREE)
                                .toList()));
        model.addAttribute("figures", List.of());
        if (plan.plot() == null) {
            return "site/site";
        }
        Sheet sheet = (Sheet) model.getAttribute("sheet");
        Point cross = cross(at, plan);
        model.addAttribute("cross", cross);
        switch (chosen) {
            case SUN -> sun(model, plan, sheet, reader, new SunAsked(month, crowns, cross));
            case SHADOW -> shades.put(model, plan, sheet, plan.terrain().site().features(), day, minute);
            case COLD -> {
                ColdAir cold = plan.terrain().cold().orElseThrow();
                model.addAttribute("hatches", Layers.cold(cold, sheet, reader));
                model.addAttribute("arrows", Layers.runs(plan.plot(), cold, sheet));
                model.addAttribute("figures", Layers.coldFigures(plan, cross));
            }
            case WIND -> {
                model.addAttribute("figures", Layers.windFigures(plan));
                Collection<Crop> wished = plan.evaluation().site().crops();
                model.addAttribute(
                        "breaks",
                        Windbreak.fit(wished, plan.evaluation().winters().coldest()));
                model.addAttribute("harmful", Windbreak.harmful(wished));
                Double storm = plan.site().winds().stormWind();
                if (storm != null) {
                    Shelter shelter = new Shelter(
                            plan.terrain().site().features(),
                            storm,
                            plan.site().where().rotation());
                    model.addAttribute("hatches", List.of(Layers.lee(plan.plot(), shelter, sheet)));
                }
            }
            default -> {
                if (seen != null) {
                    model.addAttribute("figures", figures(seen));
                    model.addAttribute("row", plan.rows().pit(seen.id()).orElse(null));
                    model.addAttribute("rejected", rejected(plan, seen.id()));
                    model.addAttribute("answers", answers(plan, seen));
                }
                if (chosen == Layer.SOIL) {
                    model.addAttribute(
                            "zones", plan.terrain().zones().orElseThrow().zones());
                    model.addAttribute("drains", drains(plan.pits()));
                }
            }
        }
        return "site/site";
    }

    /**
     * Of which sun is asked.
     *
     * @param month 1 to 12; 0 for those in leaf, 13 for the bare ones
     * @param crowns years after planting, with whose crowns it is; null without the planned trees
     */
    private record SunAsked(int month, Integer crowns, Point cross) {
        List<Feature> casting(PlanView plan) {
            return crowns == null
                    ? plan.terrain().site().features()
                    : OrchardShade.all(
                            plan.terrain(),
                            plan.evaluation().layout().trees(),
                            Math.max(0, Math.min(CROWNS.get(CROWNS.size() - 1), crowns)));
        }
    }

    private static void sun(Model model, PlanView plan, Sheet sheet, Reader reader, SunAsked asked) {
        int month = asked.month();
        List<Integer> months = month >= 1 && month <= 12
                ? List.of(month)
                : month == 13
                        ? plan.terrain().sunYear().leafless()
                        : plan.terrain().sunYear().season();
        model.addAttribute("month", month);
        List<Feature> casting = asked.casting(plan);
        SunMap map = (asked.crowns() == null
                        ? plan.terrain().sunMap()
                        : plan.terrain().sunMap(casting))
                .orElseThrow();
        SunHours here = plan.terrain().sunAt(List.of(asked.cross()), casting).get(0);
        model.addAttribute("crowns", asked.crowns());
        model.addAttribute("crownYears", CROWNS);
        model.addAttribute("hatches", Layers.sun(map, months, sheet, reader));
        model.addAttribute("figures", Layers.sunFigures(map, here));
        model.addAttribute("bars", Layers.bars(here));
        model.addAttribute("cropSun", Layers.crops(plan, map));
    }

    /** The place asked about: the one in the address, or the middle of the plot. */
    private static Point cross(String at, PlanView plan) {
        if (at != null && at.matches("-?\\d{1,5}(\\.\\d{1,3})?,-?\\d{1,5}(\\.\\d{1,3})?")) {
            String[] pair = at.split(",");
            return new Point(Double.parseDouble(pair[0]), Double.parseDouble(pair[1]));
        }
        Plot plot = plan.plot();
        return new Point((plot.west() + plot.east()) / 2, (plot.south() + plot.north()) / 2);
    }

    /** Readings that are kept but not used, in words, of all fillings of a pit. */
    static List<String> rejected(PlanView plan, String pit) {
        return plan.rows().testsOf(pit).stream()
                .flatMap(f -> f.test().sift().rejected().stream()
                        .map(r -> "Reading " + (r.index() + 1) + " of " + f.title() + " is kept but not used: "
                                + r.why() + "."))
                .toList();
    }

    private static List<CropAnswer> answers(PlanView plan, SoilPit pit) {
        return plan.evaluation().site().crops().stream()
                .map(crop -> WhatToDo.of(crop, pit))
                .map(what -> new CropAnswer(what, what.advised()))
                .toList();
    }

    /** Opens the page with the plot on its sheet. */
    static PlanView open(Pages pages, Scope scope, Reader reader, Model model, boolean profile) {
        PlanView plan = pages.open(model, scope, StagePage.SITE);
        Plot plot = plan.plot();
        Sheet sheet = plot == null
                ? null
                : Sheet.of(plot, profile && !plan.pits().isEmpty() ? BESIDE_PROFILE : SHEET_WIDTH, SHEET_HEIGHT);
        model.addAttribute("plot", plot);
        model.addAttribute("sheet", sheet);
        model.addAttribute("trees", sheet == null ? "" : GroundDrawing.trees(plan, sheet));
        model.addAttribute("marks", sheet == null ? List.of() : GroundDrawing.of(plan, sheet, reader));
        return plan;
    }

    /** The sheet of every page of this room that has no profile beside it. */
    static Sheet sheet(Plot plot) {
        return Sheet.of(plot, SHEET_WIDTH, SHEET_HEIGHT);
    }

    /** How the zone of each pit is hatched. */
    private static List<String> drains(List<SoilPit> pits) {
        return pits.stream()
                .map(pit -> pit.rate().map(rate -> rate.drainageClass().name()).orElse("UNKNOWN"))
                .map(hatch -> "url(#h-" + hatch + ")")
                .toList();
    }

    static List<Figure> figures(SoilPit pit) {
        List<Figure> figures = new ArrayList<>();
        pit.rate().ifPresent(rate -> {
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
        });
        figures.add(new Figure(
                "held",
                Phrase.of("Water held where roots can go"),
                Amount.of(pit.waterHeld() / 1000, Quantity.RAIN),
                Phrase.of("in {}", Amount.cm(pit.rootable())),
                pit::heldWorking));
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
        PlanView plan = pages.plan(scope);
        if (plan.plot() == null) {
            throw new NotFound();
        }
        shades.put(model, plan, sheet(plan.plot()), plan.terrain().site().features(), day, minute);
        return "site/layers :: shade";
    }

    @GetMapping("/edit")
    String edit(Scope scope, Reader reader, Model model) {
        PlanView plan = open(pages, scope, reader, model, false);
        model.addAttribute("fields", form(plan, reader.display()));
        return "site/edit";
    }

    private static Fields form(PlanView plan, Display display) {
        SiteRow site = plan.site();
        return Fields.blank(display)
                .put("name", plan.head().name())
                .put("timeZone", plan.head().timeZone())
                .put("latitude", site.where().latitude(), Quantity.DEGREES)
                .put("longitude", site.where().longitude(), Quantity.DEGREES)
                .put("elevation", site.where().elevation(), Quantity.ELEVATION)
                .put("rotation", site.where().rotation(), Quantity.BEARING)
                .put("declination", site.where().declination(), Quantity.BEARING)
                .put("slope", site.fall().slope(), Quantity.SLOPE)
                .put("aspect", site.fall().aspect(), Quantity.BEARING)
                .put("prevailingWind", site.winds().prevailingWind(), Quantity.BEARING)
                .put("stormWind", site.winds().stormWind(), Quantity.BEARING)
                .put("waterSalt", site.water().waterSalt(), Quantity.SALINITY)
                .put("corners", Places.text(SiteText.points(site.boundary().corners()), display))
                .put("deer", site.animals().deer())
                .put("rabbits", site.animals().rabbits())
                .put("voles", site.animals().voles())
                .put("gophers", site.animals().gophers())
                .put("birds", site.animals().birds());
    }

    @PostMapping("/edit")
    String save(Scope scope, Reader reader, Model model, FormStamp stamp, @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        SiteRow before = plan.site();
        Fields fields = new Fields(typed, reader.display());
        String name = fields.words("name", 120);
        String zone = fields.zone("timeZone");
        double latitude = fields.required("latitude", Quantity.DEGREES, -66, 66);
        Double longitude = fields.optional("longitude", Quantity.DEGREES, -180, 180);
        Double elevation = fields.optional("elevation", Quantity.ELEVATION, -450, 6000);
        Double rotation = fields.optional("rotation", Quantity.BEARING, 0, 360);
        Double declination = fields.optional("declination", Quantity.BEARING, -90, 90);
        Double slope = fields.optional("slope", Quantity.SLOPE, 0, 100);
        Double aspect = fields.optional("aspect", Quantity.BEARING, 0, 360);
        Double prevailing = fields.optional("prevailingWind", Quantity.BEARING, 0, 360);
        Double storm = fields.optional("stormWind", Quantity.BEARING, 0, 360);
        Double salt = fields.optional("waterSalt", Quantity.SALINITY, 0, 20);
        List<Point> corners = Places.corners(fields);
        if (!fields.wrong()) {
            SiteRow after = new SiteRow(
                    before.key(),
                    new SiteRow.Where(latitude, longitude, elevation, rotation == null ? 0 : rotation, declination),
                    new SiteRow.Fall(slope, aspect),
                    new SiteRow.Winds(prevailing, storm),
                    new SiteRow.Boundary(
                            SiteText.corners(corners), before.boundary().tapes()),
                    new SiteRow.Animals(
                            pressure(fields, "deer"),
                            pressure(fields, "rabbits"),
                            pressure(fields, "voles"),
                            pressure(fields, "gophers"),
                            pressure(fields, "birds")),
                    new SiteRow.Water(salt));
            edits.apply(
                    scope,
                    stamp.change("Described the ground"),
                    now -> List.of(
                            Edit.change(now.rows().orchard(), stamp.revision(), Map.of("name", name, "timeZone", zone)),
                            Edit.save(after, stamp.revision())));
            return "redirect:/orchards/" + scope.orchard() + "/site";
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
