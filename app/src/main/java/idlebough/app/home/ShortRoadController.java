package idlebough.app.home;

import idlebough.app.store.Scope;
import idlebough.app.web.Fields;
import idlebough.app.web.Pages;
import idlebough.app.web.Pick;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Quantity;
import idlebough.core.orchard.ShortRoad;
import idlebough.core.planting.PlantingSection;
import idlebough.core.site.Texture;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** One old tree, room for two: answered on one page, with no boundary drawn and nothing filled. */
@Controller
@RequestMapping("/orchards/{orchard}/short")
public class ShortRoadController {
    private static final double USUAL_CROWN = 6;
    private static final List<Texture> FELT =
            List.of(Texture.SAND, Texture.SANDY_LOAM, Texture.LOAM, Texture.CLAY_LOAM, Texture.CLAY);
    private final Pages pages;

    ShortRoadController(Pages pages) {
        this.pages = pages;
    }

    @GetMapping
    String show(Scope scope, Reader reader, Model model, @RequestParam Map<String, String> typed) {
        PlanView plan = pages.open(model, scope, null);
        model.addAttribute("back", "short");
        Catalogue catalogue = plan.evaluation().varieties().catalogue();
        Fields fields = new Fields(typed, reader.display());
        Crop crop = catalogue
                .findCrop(fields.value("crop"))
                .or(() -> plan.chosen().stream().map(Variety::crop).findFirst())
                .orElseGet(() -> catalogue.findCrop("apple").orElseThrow());
        List<Rootstock> stocks = catalogue.rootstocksFor(crop);
        if (fields.value("crown").isBlank()) {
            fields.put("crown", USUAL_CROWN, Quantity.LENGTH);
        }
        double crown = fields.required("crown", Quantity.LENGTH, 0.5, 30);
        Optional<Variety> old = catalogue
                .findVariety(fields.value("old"))
                .filter(variety -> variety.crop().equals(crop));
        Optional<Rootstock> stock = stocks.stream()
                .filter(each -> each.key().equals(fields.value("stock")))
                .findFirst()
                .or(() -> stocks.stream().skip(stocks.size() / 2).findFirst());
        Texture texture = FELT.stream()
                .filter(each -> each.name().equals(fields.value("texture")))
                .findFirst()
                .orElse(Texture.LOAM);
        model.addAttribute("crops", Pick.of(catalogue.crops(), Crop::key, Crop::name));
        model.addAttribute("crop", crop);
        model.addAttribute(
                "olds",
                Pick.of(
                        "unknown " + crop.name(),
                        catalogue.varieties().stream()
                                .filter(variety -> variety.crop().equals(crop))
                                .toList(),
                        Variety::key,
                        Variety::name));
        model.addAttribute("stocks", Pick.of(stocks, Rootstock::key, each -> "on " + each.name()));
        model.addAttribute("stock", stock.map(Rootstock::key).orElse(""));
        model.addAttribute("textures", Pick.of(FELT, Texture::name, Texture::label));
        model.addAttribute("texture", texture.name());
        model.addAttribute("fields", fields);
        ShortRoad road = fields.wrong()
                ? null
                : ShortRoad.of(
                        plan.evaluation(),
                        new ShortRoad.Asked(
                                crop,
                                old,
                                crown,
                                stock,
                                texture,
                                plan.site().where().latitude()));
        model.addAttribute("road", road);
        if (road != null) {
            model.addAttribute("best", best(road));
            model.addAttribute("far", far(road));
            // The same figures as on the planting page; what is to be carted is not asked for here.
            model.addAttribute("high", high(road.section()));
        }
        model.addAttribute("drawing", road == null ? null : ShortDrawing.of(road));
        return "home/short";
    }

    private static List<Figure> best(ShortRoad road) {
        return road.pairs().stream()
                .limit(1)
                .map(pair -> Figure.of(
                        "set",
                        "Least set of the first two",
                        Amount.of(pair.least(), Quantity.SCORE),
                        pair.serves() ? "a good one" : "a thin one",
                        () -> road.setWorking(pair)))
                .toList();
    }

    private static List<Figure> far(ShortRoad road) {
        return List.of(
                Figure.of(
                        "from-old",
                        "From the old stem, at least",
                        Amount.metres(road.fromOld()),
                        "so that crowns do not meet",
                        road::fromOldWorking),
                Figure.of(
                        "between",
                        "Between the two",
                        Amount.metres(road.between()),
                        "full grown",
                        road::betweenWorking),
                Figure.of(
                        "reach",
                        "Partners no further than",
                        Amount.metres(road.reach()),
                        "to serve well",
                        road::reachWorking));
    }

    private static List<Figure> high(PlantingSection section) {
        List<Figure> figures = new ArrayList<>();
        if (section.hasUnion()) {
            figures.add(new Figure(
                    "union",
                    Phrase.of("Union above the board, planting day"),
                    Amount.fine(section.unionToday()),
                    Phrase.of("settles to {}", Amount.fine(section.unionAtLast())),
                    section::heightWorking));
        }
        figures.add(Figure.of(
                "flare", "Flare above the board", Amount.fine(section.raise()), "never below", section::raiseWorking));
        figures.add(Figure.of(
                "depth", "Dig, no deeper than", Amount.cm(section.depth()), "firm base", section::depthWorking));
        figures.add(Figure.of("width", "Dig, so wide", Amount.cm(section.width()), "", section::widthWorking));
        return figures;
    }
}
