package idlebough.app.site;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.PitRow;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.SiteText;
import idlebough.app.web.BadInput;
import idlebough.app.web.Fields;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Amendment;
import idlebough.core.site.FeelTest;
import idlebough.core.site.JarTest;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import idlebough.core.site.WhatToDo;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Soil pits: what was seen in them, and what can be done about it. */
@Controller
@RequestMapping("/orchards/{orchard}/site/pits/{pit}")
public class PitController {
    /** Two pits nearer than this are one, m. */
    private static final double SAME_PLACE = 0.3;

    private static final int LAYERS = 4;
    private final Pages pages;
    private final Edits edits;

    PitController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    @GetMapping
    String show(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String pit,
            @RequestParam(required = false) Double x,
            @RequestParam(required = false) Double y) {
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        if (!pit.equals("new")) {
            return form(model, plan, pit, form(find(plan, pit), reader.display()));
        }
        Plot plot = plan.plot();
        return form(
                model,
                plan,
                pit,
                Fields.blank(reader.display())
                        .put("label", plan.pits().size() + 1)
                        .put("x", x != null ? x : plot == null ? 0 : (plot.west() + plot.east()) / 2, Quantity.LENGTH)
                        .put("y", y != null ? y : plot == null ? 0 : (plot.south() + plot.north()) / 2, Quantity.LENGTH)
                        .put("texture", "LOAM"));
    }

    private static PitRow find(PlanView plan, String id) {
        return plan.rows().pit(id).orElseThrow(NotFound::new);
    }

    private static String form(Model model, PlanView plan, String pit, Fields fields) {
        model.addAttribute("pitId", pit);
        model.addAttribute("fields", fields);
        model.addAttribute("textures", Texture.values());
        model.addAttribute("colours", SoilPit.Colour.values());
        model.addAttribute("kinds", Crop.Kind.values());
        model.addAttribute("ribbons", FeelTest.Ribbon.values());
        model.addAttribute("pastes", FeelTest.Paste.values());
        model.addAttribute("rows", LAYERS);
        model.addAttribute("fillings", plan.rows().testsOf(pit));
        model.addAttribute(
                "jar",
                plan.rows().pit(pit).map(row -> SiteText.jar(row.soil().jar())).orElse(null));
        return "site/pit";
    }

    private static Fields form(PitRow row, Display display) {
        Fields fields = Fields.blank(display)
                .put("label", row.label())
                .put("x", row.place().x(), Quantity.LENGTH)
                .put("y", row.place().y(), Quantity.LENGTH)
                .put("texture", row.soil().texture())
                .put("topsoil", row.soil().topsoil(), Quantity.SHORT_LENGTH)
                .put("pan", row.soil().pan(), Quantity.SHORT_LENGTH)
                .put("ph", row.chemistry().ph(), Quantity.DECIMAL)
                .put("mottles", row.water().mottles(), Quantity.SHORT_LENGTH)
                .put("waterAt", row.water().waterAt(), Quantity.SHORT_LENGTH)
                .put("salt", row.chemistry().salt(), Quantity.SALINITY)
                .put("organic", row.chemistry().organic(), Quantity.SLOPE)
                .put("fizzes", row.chemistry().fizzes() ? "true" : "")
                .put("beforeKind", row.before().beforeKind())
                .put("yearsSince", row.before().yearsSince(), Quantity.COUNT)
                .put("died", row.before().died() ? "true" : "")
                .put("bottom", row.seen().bottom(), Quantity.SHORT_LENGTH)
                .put("worms", row.seen().worms() ? "true" : "")
                .put("colour", row.soil().colour())
                .put("note", row.seen().note());
        JarTest jar = SiteText.jar(row.soil().jar());
        if (jar != null) {
            fields.put("jarSand", jar.sand(), Quantity.DECIMAL)
                    .put("jarSilt", jar.withSilt(), Quantity.DECIMAL)
                    .put("jarAll", jar.all(), Quantity.DECIMAL);
        }
        List<SoilPit.Layer> layers = SiteText.layers(row.soil().layers());
        for (int i = 0; i < layers.size(); i++) {
            SoilPit.Layer layer = layers.get(i);
            fields.put("layer" + i, layer.bottom(), Quantity.SHORT_LENGTH)
                    .put("layerTexture" + i, layer.texture())
                    .put("layerColour" + i, layer.colour().orElse(null))
                    .put("layerMottled" + i, layer.mottled() ? "true" : "")
                    .put("layerRoots" + i, layer.roots() ? "true" : "");
        }
        return fields;
    }

    @PostMapping
    String save(
            Scope scope,
            Reader reader,
            Model model,
            FormStamp stamp,
            @PathVariable String pit,
            @RequestParam Map<String, String> typed) {
        PlanView seen = pages.plan(scope);
        boolean fresh = pit.equals("new");
        RowKey key = fresh ? RowKey.fresh(scope.orchard()) : find(seen, pit).key();
        Fields fields = new Fields(typed, reader.display());
        PitRow row = read(fields, key);
        Edits.Change change = stamp.change((fresh ? "Dug pit " : "Changed pit ") + row.label());
        seen.pits().stream()
                .filter(other -> !edits.isApplied(scope, change))
                .filter(other -> !other.id().equals(key.id())
                        && other.place()
                                        .distance(new Point(
                                                row.place().x(), row.place().y()))
                                < SAME_PLACE)
                .findFirst()
                .ifPresent(other -> fields.complain(
                        "x",
                        "Pit " + other.label() + " is at this very place; add what you found to it, or say where this"
                                + " one was dug."));
        if (!fields.wrong()) {
            String id = edits
                    .apply(scope, change, now -> List.of(fresh ? Edit.add(row) : Edit.save(row, stamp.revision())))
                    .rowIds()
                    .stream()
                    .findFirst()
                    .orElse(pit);
            return fields.ticked("test")
                    ? "redirect:/orchards/" + scope.orchard() + "/site/pits/" + id + "/tests/new"
                    : "redirect:/orchards/" + scope.orchard() + "/site?pit=" + id;
        }
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        return form(model, plan, pit, fields);
    }

    private static PitRow read(Fields fields, RowKey key) {
        double topsoil = fields.required("topsoil", Quantity.SHORT_LENGTH, 0, 3);
        JarTest jar = jar(fields);
        String heights = jar == null
                ? null
                : SiteText.number(jar.sand()) + " " + SiteText.number(jar.withSilt()) + " "
                        + SiteText.number(jar.all());
        return new PitRow(
                key,
                fields.words("label", 20),
                new PitRow.Place(
                        fields.required("x", Quantity.LENGTH, -20_000, 20_000),
                        fields.required("y", Quantity.LENGTH, -20_000, 20_000)),
                new PitRow.Soil(
                        texture(fields, jar),
                        topsoil,
                        fields.optional("pan", Quantity.SHORT_LENGTH, 0.01, 5),
                        SiteText.layersText(layers(fields, topsoil)),
                        fields.value("colour").isBlank() ? null : fields.choice("colour", SoilPit.Colour.class),
                        heights),
                new PitRow.Chemistry(
                        fields.optional("ph", Quantity.DECIMAL, 2, 11),
                        fields.optional("salt", Quantity.SALINITY, 0, 100),
                        fields.optional("organic", Quantity.SLOPE, 0, 100),
                        fields.ticked("fizzes")),
                new PitRow.Water(
                        fields.optional("mottles", Quantity.SHORT_LENGTH, 0, 5),
                        fields.optional("waterAt", Quantity.SHORT_LENGTH, 0, 5)),
                new PitRow.Before(
                        fields.value("beforeKind").isBlank() ? null : fields.choice("beforeKind", Crop.Kind.class),
                        fields.optional("yearsSince", Quantity.COUNT, 0, 200),
                        fields.ticked("died")),
                new PitRow.Seen(
                        fields.optional("bottom", Quantity.SHORT_LENGTH, 0.05, 5),
                        fields.ticked("worms"),
                        fields.atMost("note", 500)));
    }

    private static Phrase asked(WhatToDo what) {
        String crop = what.crop().withArticle();
        return what.needed() == 0
                ? Phrase.of("The water gets away: roots of {} need not be lifted. Mildest first.", crop)
                : Phrase.of(
                        what.drain()
                                ? "Roots of {} should stand {} higher than the ground does, and a drain is wanted. "
                                        + "Mildest first."
                                : "Roots of {} should stand {} higher than the ground does. Mildest first.",
                        crop,
                        Amount.cm(what.needed()));
    }

    /** The jar, when all three heights are given; a complaint when they cannot be. */
    private static JarTest jar(Fields fields) {
        Double sand = fields.optional("jarSand", Quantity.DECIMAL, 0, 1000);
        Double silt = fields.optional("jarSilt", Quantity.DECIMAL, 0, 1000);
        Double all = fields.optional("jarAll", Quantity.DECIMAL, 0, 1000);
        if (sand == null && silt == null && all == null) {
            return null;
        }
        if (sand == null || silt == null || all == null) {
            fields.complain("jarAll", "A jar needs all three heights.");
            return null;
        }
        JarTest jar = new JarTest(sand, silt, all);
        if (jar.complaint().isPresent()) {
            fields.complain("jarAll", jar.complaint().get());
        }
        return jar;
    }

    /** As chosen, or as the jar or the fingers say. */
    private static Texture texture(Fields fields, JarTest jar) {
        return switch (fields.value("texture")) {
            case "JAR" -> {
                if (jar == null || jar.complaint().isPresent() || jar.texture() == null) {
                    fields.complain("texture", "The jar’s three heights are wanted for this.");
                    yield Texture.LOAM;
                }
                yield jar.texture();
            }
            case "FEEL" -> {
                if (fields.value("ball").equals("no")) {
                    yield Texture.SAND;
                }
                FeelTest.Ribbon ribbon = fields.choice("ribbon", FeelTest.Ribbon.class);
                FeelTest.Paste paste = fields.choice("paste", FeelTest.Paste.class);
                yield ribbon == null || paste == null ? Texture.LOAM : new FeelTest(true, ribbon, paste).texture();
            }
            default -> fields.choice("texture", Texture.class);
        };
    }

    private static List<SoilPit.Layer> layers(Fields fields, double topsoil) {
        List<SoilPit.Layer> layers = new ArrayList<>();
        double above = topsoil;
        for (int i = 0; i < LAYERS; i++) {
            Double bottom = fields.optional("layer" + i, Quantity.SHORT_LENGTH, 0.01, 5);
            if (bottom == null) {
                continue;
            }
            if (bottom <= above) {
                fields.complain("layer" + i, "Each layer must end below the one above it.");
            }
            Texture texture = fields.choice("layerTexture" + i, Texture.class);
            SoilPit.Colour colour = fields.value("layerColour" + i).isBlank()
                    ? null
                    : fields.choice("layerColour" + i, SoilPit.Colour.class);
            if (texture != null) {
                layers.add(new SoilPit.Layer(
                        bottom,
                        texture,
                        Optional.ofNullable(colour),
                        fields.ticked("layerMottled" + i),
                        fields.ticked("layerRoots" + i)));
            }
            above = bottom;
        }
        return layers;
    }

    @PostMapping("/remove")
    String remove(Scope scope, FormStamp stamp, @PathVariable String pit) {
        PitRow row = find(pages.plan(scope), pit);
        edits.apply(
                scope,
                stamp.change("Filled in pit " + row.label()),
                now -> List.of(Edit.remove(row, stamp.revision())));
        return "redirect:/orchards/" + scope.orchard() + "/site";
    }

    /** Moved by drawing. */
    @PostMapping("/move")
    String move(
            Scope scope, FormStamp stamp, @PathVariable String pit, @RequestParam double x, @RequestParam double y) {
        PitRow row = find(pages.plan(scope), pit);
        if (!Double.isFinite(x) || !Double.isFinite(y) || Math.abs(x) > 20_000 || Math.abs(y) > 20_000) {
            throw new BadInput("pit off the earth");
        }
        edits.apply(
                scope,
                stamp.change("Moved pit " + row.label()),
                now -> List.of(Edit.change(row, stamp.revision(), Map.of("x", x, "y", y))));
        return "redirect:/orchards/" + scope.orchard() + "/site/draw";
    }

    @GetMapping("/answers")
    String answers(
            Scope scope,
            Reader reader,
            Model model,
            @PathVariable String pit,
            @RequestParam(defaultValue = "apple") String crop) {
        PlanView plan = SiteController.open(pages, scope, reader, model, false);
        SoilPit seen =
                plan.pits().stream().filter(p -> p.id().equals(pit)).findFirst().orElseThrow(NotFound::new);
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        Crop of = catalogue.findCrop(crop).orElseThrow(NotFound::new);
        model.addAttribute("pit", seen);
        model.addAttribute("crops", catalogue.crops());
        model.addAttribute("crop", of);
        WhatToDo what = WhatToDo.of(of, seen);
        model.addAttribute("what", what);
        model.addAttribute("asked", asked(what));
        model.addAttribute("drawing", AnswerDrawing.of(what.advised().heap(), seen));
        model.addAttribute(
                "amendment",
                seen.ph()
                        .filter(ph -> ph < of.phLow() || ph > of.phHigh())
                        .map(ph -> Amendment.of(seen.texture(), ph, ph < of.phLow() ? of.phLow() : of.phHigh()))
                        .orElse(null));
        return "site/answers";
    }
}
