package idlebough.app.site;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.FeatureRow;
import idlebough.app.store.NotFound;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteText;
import idlebough.app.web.BadInput;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.GroundDrawing;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.ShadeView;
import idlebough.app.web.Sheet;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.site.Drawable;
import idlebough.core.site.Feature;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
    private static final Double USUAL_CROWN = 5.0;
    private final Pages pages;
    private final Edits edits;
    private final ShadeView shades;

    DrawController(Pages pages, Edits edits, ShadeView shades) {
        this.pages = pages;
        this.edits = edits;
        this.shades = shades;
    }

    @GetMapping("/draw")
    String show(
            Scope scope,
            Reader say,
            Model model,
            @RequestParam(required = false) String feature,
            @RequestParam(required = false) String fresh) {
        PlanView plan = SiteController.open(pages, scope, say, model, false);
        Feature.Kind drawing = kind(fresh);
        model.addAttribute("drawing", drawing);
        FeatureRow picked =
                feature == null ? null : plan.rows().feature(feature).orElse(null);
        return page(model, plan, picked, BOUNDARY.equals(feature), picked == null ? null : form(picked, say.display()));
    }

    private static Feature.Kind kind(String name) {
        return Arrays.stream(Feature.Kind.values())
                .filter(k -> k.name().equals(name))
                .findFirst()
                .orElse(null);
    }

    private static String page(Model model, PlanView plan, FeatureRow picked, boolean boundary, Fields fields) {
        model.addAttribute("back", "site/draw");
        model.addAttribute("picked", picked);
        model.addAttribute("boundary", boundary);
        model.addAttribute("fields", fields);
        model.addAttribute("kinds", Feature.Kind.values());
        model.addAttribute("materials", Feature.Material.values());
        model.addAttribute("crops", plan.evaluation().varieties().catalogue().crops());
        model.addAttribute(
                "varieties", plan.evaluation().varieties().catalogue().varieties());
        model.addAttribute("drawn", plan.rows().features());
        model.addAttribute(
                "handles",
                picked != null
                        ? picked.points()
                        : boundary ? plan.site().boundary().corners() : "");
        return "site/draw";
    }

    private static Fields form(FeatureRow row, Display display) {
        return Fields.blank(display)
                .put("name", row.name())
                .put("height", row.body().height(), row.kind() == Feature.Kind.SPOT ? Quantity.TAPE : Quantity.LENGTH)
                .put("width", row.body().width(), Quantity.LENGTH)
                .put("crown", row.body().crown(), Quantity.LENGTH)
                .put("evergreen", row.body().evergreen() ? "true" : "")
                .put("material", row.material())
                .put("clearance", row.body().clearance(), Quantity.LENGTH)
                .put("about", row.about())
                .put("flow", row.supply().flow(), Quantity.FLOW)
                .put("pressure", row.supply().pressure(), Quantity.PRESSURE)
                .put("corners", Places.text(SiteText.points(row.points()), display));
    }

    private static FeatureRow find(PlanView plan, String id) {
        return plan.rows().feature(id).orElseThrow(NotFound::new);
    }

    /** A new feature: its kind and where it was drawn, or typed. */
    @PostMapping("/features")
    String add(
            Scope scope,
            Reader say,
            Model model,
            HttpServletResponse response,
            FormStamp stamp,
            @RequestParam String kind,
            @RequestParam(defaultValue = "") String points,
            @RequestParam Map<String, String> typed) {
        PlanView plan = pages.plan(scope);
        Feature.Kind of = kind(kind);
        if (of == null) {
            throw new BadInput("no kind " + kind);
        }
        Fields fields = new Fields(typed, say.display());
        List<Point> places = points.isBlank() ? Places.read(fields, "corners") : points(points);
        String complaint = fields.wrong()
                ? fields.complaint("corners")
                : Drawable.complaint(of, places).orElse(null);
        if (complaint != null) {
            return refused(scope, say, model, response, complaint, of, null, places);
        }
        String pit = of == Feature.Kind.ZONE && !plan.pits().isEmpty()
                ? plan.pits().get(0).id()
                : null;
        FeatureRow row = fresh(scope.orchard(), of, places, pit);
        String id = edits.apply(scope, stamp.change("Drew " + article(of.words())), now -> List.of(Edit.add(row)))
                .rowIds()
                .get(0);
        return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + id;
    }

    private static FeatureRow fresh(String orchard, Feature.Kind kind, List<Point> places, String about) {
        Double crown = kind == Feature.Kind.TREE ? USUAL_CROWN : null;
        Double height = kind == Feature.Kind.SPOT ? null : kind.usualHeight().orElse(null);
        Feature.Material material = switch (kind) {
            case WALL -> Feature.Material.MASONRY;
            case FENCE -> Feature.Material.BOARDS;
            default -> null;
        };
        return new FeatureRow(
                RowKey.fresh(orchard),
                kind,
                "",
                SiteText.corners(places),
                new FeatureRow.Body(
                        height, null, crown, false, kind.usualClearance().orElse(null)),
                material,
                about,
                new FeatureRow.Supply(null, null));
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
            FeatureRow picked,
            List<Point> places) {
        response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
        PlanView plan = SiteController.open(pages, scope, say, model, false);
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
            FormStamp stamp,
            @PathVariable String feature,
            @RequestParam Map<String, String> typed) {
        FeatureRow before = find(pages.plan(scope), feature);
        Fields fields = new Fields(typed, say.display());
        FeatureRow after = read(fields, before);
        if (!fields.wrong()) {
            edits.apply(
                    scope,
                    stamp.change("Changed " + after.title()),
                    now -> List.of(Edit.save(after, stamp.revision())));
            return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + feature;
        }
        PlanView plan = SiteController.open(pages, scope, say, model, false);
        return page(model, plan, find(plan, feature), false, fields);
    }

    private static FeatureRow read(Fields fields, FeatureRow before) {
        Feature.Kind kind = before.kind();
        List<Point> places = Places.read(fields, "corners");
        if (fields.complaint("corners") == null) {
            Drawable.complaint(kind, places).ifPresent(complaint -> fields.complain("corners", complaint));
        }
        boolean spot = kind == Feature.Kind.SPOT;
        String name = fields.atMost("name", 80);
        Quantity high = spot ? Quantity.TAPE : Quantity.LENGTH;
        return new FeatureRow(
                before.key(),
                kind,
                name == null ? "" : name,
                SiteText.corners(places),
                new FeatureRow.Body(
                        fields.optional("height", high, spot ? -450 : 0.1, spot ? 6000 : 100),
                        fields.optional("width", Quantity.LENGTH, 0.05, 100),
                        fields.optional("crown", Quantity.LENGTH, 0.3, 60),
                        fields.ticked("evergreen"),
                        fields.optional("clearance", Quantity.LENGTH, 0, 100)),
                fields.value("material").isBlank() ? null : fields.choice("material", Feature.Material.class),
                fields.value("about").matches("[0-9a-z-]{1,40}") ? fields.value("about") : null,
                new FeatureRow.Supply(
                        fields.optional("flow", Quantity.FLOW, 0, 100_000),
                        fields.optional("pressure", Quantity.PRESSURE, 0, 5000)));
    }

    /** Only its place: what a drag or an arrow key sends. */
    @PostMapping("/features/{feature}/shape")
    String shape(
            Scope scope,
            Reader say,
            Model model,
            HttpServletResponse response,
            FormStamp stamp,
            @PathVariable String feature,
            @RequestParam String points) {
        List<Point> places = points(points);
        if (feature.equals(BOUNDARY)) {
            return corners(scope, say, model, response, stamp, places);
        }
        FeatureRow before = find(pages.plan(scope), feature);
        Optional<String> complaint = Drawable.complaint(before.kind(), places);
        if (complaint.isPresent()) {
            return refused(scope, say, model, response, complaint.get(), null, before, places);
        }
        edits.apply(
                scope,
                stamp.change("Moved " + before.title()),
                now -> List.of(Edit.change(before, stamp.revision(), Map.of("points", SiteText.corners(places)))));
        return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + feature;
    }

    private String corners(
            Scope scope, Reader say, Model model, HttpServletResponse response, FormStamp stamp, List<Point> places) {
        Optional<String> complaint = Plot.complaint(places);
        if (complaint.isPresent()) {
            refused(scope, say, model, response, complaint.get(), null, null, places);
            return page(model, pages.plan(scope), null, true, null);
        }
        edits.apply(
                scope,
                stamp.change("Moved the boundary"),
                now -> List.of(
                        Edit.change(now.rows().site(), stamp.revision(), Map.of("corners", SiteText.corners(places)))));
        return "redirect:/orchards/" + scope.orchard() + "/site/draw?feature=" + BOUNDARY;
    }

    /** Several at once: moved by so much, or taken out. */
    @PostMapping("/features/together")
    String together(
            Scope scope,
            FormStamp stamp,
            @RequestParam String ids,
            @RequestParam(defaultValue = "0") double dx,
            @RequestParam(defaultValue = "0") double dy,
            @RequestParam(defaultValue = "false") boolean remove) {
        if (!Double.isFinite(dx) || !Double.isFinite(dy) || Math.abs(dx) > 20_000 || Math.abs(dy) > 20_000) {
            throw new BadInput("moved off the earth");
        }
        PlanView plan = pages.plan(scope);
        List<FeatureRow> rows =
                Arrays.stream(ids.split(",")).map(id -> find(plan, id)).toList();
        String what = rows.size() == 1 ? rows.get(0).title() : rows.size() + " features";
        edits.apply(
                scope,
                stamp.change((remove ? "Took out " : "Moved ") + what),
                now -> rows.stream()
                        .map(row -> remove
                                ? Edit.remove(row, stamp.revision())
                                : Edit.change(row, stamp.revision(), Map.of("points", shifted(row, dx, dy))))
                        .toList());
        return "redirect:/orchards/" + scope.orchard() + "/site/draw"
                + (remove || rows.size() > 1 ? "" : "?feature=" + rows.get(0).id());
    }

    private static String shifted(FeatureRow row, double dx, double dy) {
        return SiteText.corners(SiteText.points(row.points()).stream()
                .map(p -> new Point(p.x() + dx, p.y() + dy))
                .toList());
    }

    /** The shadows while something is dragged: computed, not stored. */
    @GetMapping("/try")
    String tryOut(
            Scope scope,
            Reader reader,
            Model model,
            @RequestParam String feature,
            @RequestParam String points,
            @RequestParam(required = false) Integer day,
            @RequestParam(required = false) Integer minute) {
        PlanView stored = pages.plan(scope);
        FeatureRow row = find(stored, feature);
        List<Point> places = points(points);
        if (stored.plot() == null || Drawable.complaint(row.kind(), places).isPresent()) {
            throw new NotFound();
        }
        Evaluation evaluation = stored.evaluation();
        Orchard orchard = evaluation.orchard();
        List<Feature> features = orchard.site().features().stream()
                .map(f -> f.id().equals(feature) ? f.at(places) : f)
                .toList();
        PlanView plan = stored.as(evaluation.with(orchard.with(orchard.site().withFeatures(features))));
        shades.put(
                model,
                plan,
                SiteController.sheet(stored.plot()),
                plan.terrain().site().features(),
                day,
                minute);
        return "site/layers :: shade";
    }

    /** Points as the sheet sends them: {@code x y;x y}, metres. */
    private static List<Point> points(String text) {
        if (text.length() > 20_000 || !text.matches("(-?\\d{1,6}(\\.\\d{1,6})? -?\\d{1,6}(\\.\\d{1,6})?(;|$))+")) {
            throw new BadInput("no points");
        }
        return SiteText.points(text.endsWith(";") ? text.substring(0, text.length() - 1) : text);
    }
}
