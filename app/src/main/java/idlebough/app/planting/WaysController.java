package idlebough.app.planting;

import idlebough.app.store.Edit;
import idlebough.app.store.Edits;
import idlebough.app.store.NotFound;
import idlebough.app.store.Plan;
import idlebough.app.store.RowKey;
import idlebough.app.store.Scope;
import idlebough.app.store.WayRow;
import idlebough.app.web.FormStamp;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.core.crop.Crop;
import idlebough.core.judge.Way;
import idlebough.core.judge.Ways;
import idlebough.core.planting.PlantingWays;
import idlebough.core.site.Stand;
import idlebough.core.winter.WinterWays;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Stream;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Where good growers disagree: one school for the orchard, for a crop, or for one tree. */
@Controller
@RequestMapping("/orchards/{orchard}/ways")
public class WaysController {
    private static final List<Way> ALL =
            Stream.concat(WinterWays.ALL.stream(), PlantingWays.ALL.stream()).toList();

    private final Pages pages;
    private final Edits edits;

    WaysController(Pages pages, Edits edits) {
        this.pages = pages;
        this.edits = edits;
    }

    /**
     * One way as the page offers it.
     *
     * @param here the school that holds
     * @param usual the one that would hold if nobody chose
     * @param own whether chosen for this tree or this crop alone
     */
    public record Offered(Way way, Way.School here, Way.School usual, boolean own) {
        /** Of the whole orchard. */
        private static Offered of(Way way, Ways ways) {
            return new Offered(way, ways.of(way), way.usualSchool(), false);
        }

        /** Of a crop, or of a tree of that crop. @param chosen key of the school by key of the way */
        private static Offered of(Way way, Map<String, String> chosen, String crop, boolean own) {
            return new Offered(way, way.choose(chosen.get(way.key()), crop), way.usualFor(crop), own);
        }

        /** What follows from it, in words. */
        public String moves() {
            return PlantingWays.moves(way);
        }

        public boolean changed() {
            return !here.equals(usual);
        }
    }

    /** Ways of one part of the work. */
    public record Part(String title, List<Offered> ways) {
        /** The schools that hold and are not the usual ones. */
        public long changed() {
            return ways.stream().filter(Offered::changed).count();
        }
    }

    @GetMapping
    String ways(Scope scope, Reader reader, Model model, @RequestParam(defaultValue = "") String crop) {
        PlanView plan = pages.open(model, scope, null);
        List<Crop> crops =
                plan.evaluation().stands().stream().map(Stand::crop).distinct().toList();
        Crop of = crops.stream()
                .filter(each -> each.key().equals(crop))
                .findFirst()
                .orElse(null);
        model.addAttribute("crops", crops);
        model.addAttribute("crop", of);
        model.addAttribute("parts", parts(plan, of));
        return "planting/ways";
    }

    private static List<Part> parts(PlanView plan, Crop crop) {
        Ways ways = plan.evaluation().orchard().ways();
        // A crop stands in the orchard's winters; only the ways of planting are its own.
        return grouped((crop == null ? ALL : PlantingWays.ALL)
                .stream()
                        .map(way -> crop == null
                                ? Offered.of(way, ways)
                                : Offered.of(way, ways.ofCrop(crop.key()), crop.key(), ways.isOfCrop(crop.key(), way)))
                        .toList());
    }

    /** The ways of one tree. */
    static List<Part> parts(PlanView plan, Stand tree) {
        Ways ways = plan.evaluation().orchard().ways();
        Map<String, String> holding = ways.of(tree.id(), tree.crop().key());
        return grouped(PlantingWays.ALL.stream()
                .map(way -> Offered.of(way, holding, tree.crop().key(), ways.isOwn(tree.id(), way)))
                .toList());
    }

    private static List<Part> grouped(List<Offered> ways) {
        Map<String, List<Offered>> parts = new LinkedHashMap<>();
        ways.forEach(each -> parts.computeIfAbsent(
                        Objects.requireNonNullElse(PlantingWays.part(each.way()), "Winters"), part -> new ArrayList<>())
                .add(each));
        return parts.entrySet().stream()
                .map(part -> new Part(part.getKey(), part.getValue()))
                .toList();
    }

    /** One school for the orchard, for a crop, or for one tree; an empty choice gives a crop or tree back to them. */
    @PostMapping
    String way(
            Scope scope,
            FormStamp stamp,
            @RequestParam String way,
            @RequestParam(defaultValue = "") String choice,
            @RequestParam(defaultValue = "") String tree,
            @RequestParam(defaultValue = "") String crop,
            @RequestParam(defaultValue = "0") int weeks) {
        boolean some = !tree.isBlank() || !crop.isBlank();
        Way chosen = (some ? PlantingWays.ALL : ALL)
                .stream()
                        .filter(w -> w.key().equals(way) && (some && choice.isBlank() || w.offers(choice)))
                        .findFirst()
                        .orElseThrow(NotFound::new);
        PlanView plan = pages.plan(scope);
        String whose = whose(plan, tree, crop);
        edits.apply(
                scope,
                stamp.change(chosen.title() + ": "
                        + (choice.isBlank()
                                ? "as the others"
                                : chosen.choose(choice).name()) + whose),
                now -> taken(now, tree, crop, way, choice, stamp.revision()));
        return "redirect:/orchards/" + scope.orchard()
                + (tree.isBlank()
                        ? "/ways" + (crop.isBlank() ? "" : "?crop=" + crop) + "#" + way
                        : "/planting?tree=" + tree + "&weeks=" + weeks);
    }

    private static String whose(PlanView plan, String tree, String crop) {
        if (!tree.isBlank()) {
            return " (" + plan.tree(tree).label() + ")";
        }
        return crop.isBlank()
                ? ""
                : " ("
                        + plan.evaluation().stands().stream()
                                .map(Stand::crop)
                                .filter(each -> each.key().equals(crop))
                                .findFirst()
                                .orElseThrow(NotFound::new)
                                .name()
                        + ")";
    }

    private static List<Edit> taken(Plan now, String tree, String crop, String way, String choice, long base) {
        String ofTree = tree.isBlank() ? null : tree;
        String ofCrop = crop.isBlank() || ofTree != null ? null : crop;
        return now.rows().ways().stream()
                .filter(row -> row.wayKey().equals(way)
                        && Objects.equals(row.treeId(), ofTree)
                        && Objects.equals(row.cropKey(), ofCrop))
                .findFirst()
                .map(row -> List.of(
                        choice.isBlank() ? Edit.remove(row, base) : Edit.change(row, base, Map.of("choice", choice))))
                .orElseGet(() -> choice.isBlank()
                        ? List.of()
                        : List.of(Edit.add(new WayRow(RowKey.fresh(now.head().id()), ofTree, way, choice, ofCrop))));
    }
}
