package idlebough.app.site;

import idlebough.app.plan.Changes;
import idlebough.app.plan.Ids;
import idlebough.app.plan.LostRace;
import idlebough.app.plan.NotFound;
import idlebough.app.plan.PlanReader;
import idlebough.app.plan.Reckoning;
import idlebough.app.plan.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.core.crop.Crops;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Drawable;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Drawing the ground: the boundary and everything on it, by mouse, touch, keys or typed figures. */
@Controller
@RequestMapping("/orchards/{orchard}/site")
public class DrawController {
    private static final String BOUNDARY = "boundary";
    private final Pages pages;
    private final PlanReader reader;
    private final FeatureMapper features;
    private final SiteMapper sites;
    private final ShadeView shades;

    DrawController(Pages pages, PlanReader reader, FeatureMapper features, SiteMapper sites, ShadeView shades) {
        this.pages = pages;
        this.reader = reader;
        this.features = features;
        this.sites = sites;
        this.shades = shades;
    }

    @GetMapping("/draw")
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(required = false) String feature,
            @RequestParam(required = false) String fresh) {
        Reckoning plan = SiteController.open(pages, scope, say, model, false);
        Feature.Kind drawing = kind(fresh);
        model.addAttribute("drawing", drawing);
        Drawn picked = plan.plan().drawn().stream()
                .filter(d -> d.id().equals(feature))
                .findFirst()
                .orElse(null);
        return page(model, plan, picked, BOUNDARY.equals(feature), picked == null ? null : form(picked, say.display()));
    }

    private static Feature.Kind kind(String name) {
        return Arrays.stream(Feature.Kind.values())
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElse(null);
    }

    private static String page(Model model, Reckoning plan, Drawn picked, boolean boundary, Fields fields) {
        model.addAttribute("picked", picked);
        model.addAttribute("boundary", boundary);
        model.addAttribute("fields", fields);
        model.addAttribute("kinds", Feature.Kind.values());
        model.addAttribute("materials", Feature.Material.values());
        model.addAttribute("crops", Crops.all());
        model.addAttribute("drawn", plan.plan().drawn());
        model.addAttribute(
                "handles",
                picked != null ? picked.points() : boundary ? plan.plan().site().corners() : "");
        return "site/draw";
    }

    private static Fields form(Drawn row, Display display) {
        return Fields.blank(display)
                .put("name", row.name())
                .put("height", row.height(), row.kind() == Feature.Kind.SPOT ? Quantity.TAPE : Quantity.LENGTH)
                .put("width", row.width(), Quantity.LENGTH)
                .put("crown", row.crown(), Quantity.LENGTH)
                .put("evergreen", row.evergreen() ? "true" : "")
                .put("material", row.material())
                .put("clearance", row.clearance(), Quantity.LENGTH)
                .put("about", row.about())
                .put("flow", row.flow(), Quantity.FLOW)
                .put("pressure", row.pressure(), Quantity.PRESSURE)
                .put("corners", Places.text(SiteText.points(row.points()), display))
                .put("version", row.version());
    }

    private Drawn find(Scope scope, String id) {
        Drawn row = features.find(scope, id);
        if (row == null || row.deleted()) {
            throw new NotFound();
        }
        return row;
    }

    /** A new feature: its kind and where it was drawn, or typed. */
    @PostMapping("/features")
    String add(
            Scope scope,
            Reader say,
            Model model,
            HttpServletResponse response,
            @RequestParam String kind,
            @RequestParam(defaultValue = "") String points,
            @RequestParam Map<String, String> typed) {
        Reckoning plan = pages.reckon(scope);
        Feature.Kind of = kind(kind);
        if (of == null) {
            throw new IllegalArgumentException("no kind " + kind);
        }
        Fields fields = new Fields(typed, say.display());
        List<Point> places = points.isBlank() ? Places.read(fields, "corners") : points(points);
        String complaint = fields.wrong() ? fields.complaint("corners") : Drawable.complaint(of, places);
        if (complaint != null) {
            return refused(scope, say, model, response, complaint, of, null, places);
        }
        Drawn row = new Drawn(
                Ids.next(),
                scope.orchard(),
                of,
                "",
                SiteText.corners(places),
                of == Feature.Kind.SPOT ? null : of.usualHeight(),
                null,
                of == Feature.Kind.TREE ? Double.valueOf(5) : null,
                false,
                of == Feature.Kind.WALL
                        ? Feature.Material.MASONRY
                        : of == Feature.Kind.FENCE ? Feature.Material.BOARDS : null,
                of.usualClearance(),
                of == Feature.Kind.ZONE && !plan.pits().isEmpty()
                        ? plan.pits().get(0).id()
                        : null,
                null,
                null,
                0,
                false);
        pages.changes().make(scope, "Drew " + article(of.words()), pen -> pen.add(row));
        return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + row.id();
    }

    private static String article(String words) {
        return ("aeiou".indexOf(words.charAt(0)) >= 0 ? "an " : "a ") + words;
    }

    /** What could not be stored stays on the sheet, dashed, with the sentence that says why. */
    private String refused(
            Scope scope,
            Reader say,
            Model model,
            HttpServletResponse response,
            String complaint,
            Feature.Kind drawing,
            Drawn picked,
            List<Point> places) {
        response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
        Reckoning plan = SiteController.open(pages, scope, say, model, false);
        model.addAttribute("complaint", complaint);
        model.addAttribute("drawing", picked == null ? drawing : null);
        Sheet sheet = (Sheet) model.getAttribute("sheet");
        if (sheet != null && !places.isEmpty()) {
            model.addAttribute("mine", GroundDrawing.line(places, sheet));
            model.addAttribute("minePoints", SiteText.corners(places));
        }
        Fields fields = picked == null
                ? Fields.blank(say.display()).put("corners", Places.text(places, say.display()))
                : form(picked, say.display()).put("corners", Places.text(places, say.display()));
        return page(model, plan, picked, false, fields);
    }

    @PostMapping("/features/{feature}")
    String save(
            Scope scope,
            Reader say,
            Model model,
            HttpServletResponse response,
            @PathVariable String feature,
            @RequestParam Map<String, String> typed) {
        Drawn before = find(scope, feature);
        Fields fields = new Fields(typed, say.display());
        Feature.Kind kind = before.kind();
        List<Point> places = Places.read(fields, "corners");
        String complaint = fields.complaint("corners") == null ? Drawable.complaint(kind, places) : null;
        if (complaint != null) {
            fields.complain("corners", complaint);
        }
        boolean spot = kind == Feature.Kind.SPOT;
        Drawn after = new Drawn(
                before.id(),
                scope.orchard(),
                kind,
                fields.value("name").strip().length() > 80
                        ? fields.value("name").strip().substring(0, 80)
                        : fields.value("name").strip(),
                SiteText.corners(places),
                fields.optional("height", spot ? Quantity.TAPE : Quantity.LENGTH, spot ? -450 : 0.1, spot ? 6000 : 100),
                fields.optional("width", Quantity.LENGTH, 0.05, 100),
                fields.optional("crown", Quantity.LENGTH, 0.3, 60),
                fields.ticked("evergreen"),
                fields.value("material").isBlank() ? null : fields.choice("material", Feature.Material.class),
                fields.optional("clearance", Quantity.LENGTH, 0, 100),
                fields.value("about").matches("[0-9a-z-]{1,40}") ? fields.value("about") : null,
                fields.optional("flow", Quantity.FLOW, 0, 100_000),
                fields.optional("pressure", Quantity.PRESSURE, 0, 5000),
                fields.version(),
                false);
        if (!fields.wrong()) {
            try {
                pages.changes().make(scope, "Changed " + after.title(), pen -> pen.save(after));
                return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + feature;
            } catch (LostRace raced) {
                response.setStatus(HttpStatus.CONFLICT.value());
                fields.against(form(find(scope, feature), say.display()));
            }
        }
        Reckoning plan = SiteController.open(pages, scope, say, model, false);
        return page(model, plan, find(scope, feature), false, fields);
    }

    /** Only its place: what a drag or an arrow key sends. */
    @PostMapping("/features/{feature}/shape")
    String shape(
            Scope scope,
            Reader say,
            Model model,
            HttpServletResponse response,
            @PathVariable String feature,
            @RequestParam String points,
            @RequestParam int version) {
        boolean boundary = feature.equals(BOUNDARY);
        List<Point> places = points(points);
        if (boundary) {
            return corners(scope, say, model, response, places, version);
        }
        Drawn before = find(scope, feature);
        String complaint = Drawable.complaint(before.kind(), places);
        if (complaint != null) {
            return refused(scope, say, model, response, complaint, null, before, places);
        }
        Drawn after = pages.changes().with(before, Map.of("points", SiteText.corners(places), "version", version));
        try {
            pages.changes().make(scope, "Moved " + before.title(), pen -> pen.save(after));
        } catch (LostRace raced) {
            return raced(scope, say, model, response, find(scope, feature), places);
        }
        return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + feature;
    }

    /** The second to save sees what stands there now, and keeps what was drawn. */
    private String raced(
            Scope scope, Reader say, Model model, HttpServletResponse response, Drawn now, List<Point> places) {
        String page = refused(
                scope,
                say,
                model,
                response,
                "Someone else moved " + now.title()
                        + " meanwhile. What stands there now is drawn in ink, yours is dashed; save yours or leave it.",
                null,
                now,
                places);
        response.setStatus(HttpStatus.CONFLICT.value());
        return page;
    }

    private String corners(
            Scope scope, Reader say, Model model, HttpServletResponse response, List<Point> places, int version) {
        Reckoning plan = pages.reckon(scope);
        String complaint = Plot.complaint(places);
        if (complaint == null) {
            Site after = pages.changes()
                    .with(plan.plan().site(), Map.of("corners", SiteText.corners(places), "version", version));
            try {
                pages.changes().make(scope, "Moved the boundary", pen -> pen.save(after));
                return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + BOUNDARY;
            } catch (LostRace raced) {
                complaint =
                        "Someone else changed the ground meanwhile. What stands there now is drawn in ink, yours is dashed; save yours or leave it.";
                response.setStatus(HttpStatus.CONFLICT.value());
            }
        } else {
            response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
        }
        int status = response.getStatus();
        refused(scope, say, model, response, complaint, null, null, places);
        response.setStatus(status);
        Reckoning now = pages.reckon(scope);
        return page(model, now, null, true, null);
    }

    /** Several at once: moved by so much, or taken out. */
    @PostMapping("/features/together")
    String together(
            Scope scope,
            @RequestParam String ids,
            @RequestParam(defaultValue = "0") double dx,
            @RequestParam(defaultValue = "0") double dy,
            @RequestParam(defaultValue = "false") boolean remove) {
        if (!Double.isFinite(dx) || !Double.isFinite(dy) || Math.abs(dx) > 20_000 || Math.abs(dy) > 20_000) {
            throw new IllegalArgumentException("moved off the earth");
        }
        List<Drawn> rows =
                Arrays.stream(ids.split(",")).map(id -> find(scope, id)).toList();
        String what = rows.size() == 1 ? rows.get(0).title() : rows.size() + " features";
        Changes changes = pages.changes();
        changes.make(
                scope,
                (remove ? "Took out " : "Moved ") + what,
                pen -> rows.forEach(row -> {
                    if (remove) {
                        pen.remove(row);
                    } else {
                        List<Point> moved = SiteText.points(row.points()).stream()
                                .map(p -> new Point(p.x() + dx, p.y() + dy))
                                .toList();
                        pen.save(changes.with(row, Map.of("points", SiteText.corners(moved))));
                    }
                }));
        return "redirect:/orchards/" + scope.orchard() + "/site/draw"
                + (remove || rows.size() > 1 ? "" : "?feature=" + rows.get(0).id());
    }

    /** The shadows while something is dragged: reckoned, not stored. */
    @GetMapping("/try")
    String tryOut(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam String feature,
            @RequestParam String points,
            @RequestParam(required = false) Integer day,
            @RequestParam(required = false) Integer minute) {
        Reckoning stored = pages.reckon(scope);
        Drawn row = stored.plan().drawn().stream()
                .filter(d -> d.id().equals(feature))
                .findFirst()
                .orElseThrow(NotFound::new);
        List<Point> places = points(points);
        if (stored.plot() == null || Drawable.complaint(row.kind(), places) != null) {
            throw new NotFound();
        }
        Reckoning plan = reader.reckon(stored.plan()
                .withDrawn(pages.changes().with(row, Map.of("points", SiteText.corners(places)))));
        shades.put(model, plan, SiteController.sheet(stored.plot()), day, minute);
        return "site/layers :: shade";
    }

    /** Points as the sheet sends them: {@code x y;x y}, metres. */
    private static List<Point> points(String text) {
        if (text.length() > 20_000 || !text.matches("(-?\\d{1,6}(\\.\\d{1,6})? -?\\d{1,6}(\\.\\d{1,6})?(;|$))+")) {
            throw new IllegalArgumentException("no points");
        }
        return SiteText.points(text.endsWith(";") ? text.substring(0, text.length() - 1) : text);
    }
}
