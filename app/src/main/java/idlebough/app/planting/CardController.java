package idlebough.app.planting;

import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.judge.Standing;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.UnionMeasure;
import jakarta.servlet.http.HttpServletRequest;
import java.net.URI;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** What is printed for the planting day. */
@Controller
@RequestMapping("/orchards/{orchard}")
public class CardController {
    private static final Set<String> DECIDED = Set.of("soil-warmth");
    private static final Set<String> ROOMY = Set.of("settled", "low-side", "basin");
    /** So many cards are made while one waits. */
    private static final int FEW = 40;

    /** So many cards on a page are small. */
    private static final int SMALL = 4;

    /** So many of the last planting days are offered. */
    private static final int LATELY = 12;

    private final Pages pages;
    private final CardPrinter printer;
    private final CardRuns runs;
    private final Clock clock;

    CardController(Pages pages, CardPrinter printer, CardRuns runs, Clock clock) {
        this.pages = pages;
        this.printer = printer;
        this.runs = runs;
        this.clock = clock;
    }

    /** What can be printed for the day. */
    @GetMapping("/planting/print")
    String print(Scope scope, Reader say, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        model.addAttribute(
                "toPlant", plan.trees().stream().filter(TreeView::toPlant).count());
        model.addAttribute(
                "standing", plan.trees().stream().filter(TreeView::planted).count());
        model.addAttribute(
                "days",
                plan.trees().stream()
                        .map(tree -> tree.row().life().plantedOn())
                        .filter(Objects::nonNull)
                        .distinct()
                        .sorted(Comparator.reverseOrder())
                        .limit(LATELY)
                        .toList());
        model.addAttribute("sizes", CardPrinter.Label.values());
        return "planting/print";
    }

    /** A label for every tree that stands or will. @param trees empty for all, “planned” or “standing” for those */
    @GetMapping("/planting/labels.pdf")
    ResponseEntity<byte[]> labels(
            Scope scope,
            Reader say,
            HttpServletRequest request,
            @RequestParam(defaultValue = "") String trees,
            @RequestParam(defaultValue = "MIDDLE") CardPrinter.Label size,
            @RequestParam(defaultValue = "A4") String paper) {
        PlanView plan = pages.plan(scope);
        List<TreeView> labelled = plan.trees().stream()
                .filter(tree -> trees.isEmpty()
                        || (trees.equals("planned") ? tree.toPlant() : trees.equals("standing") && tree.planted()))
                .toList();
        if (labelled.isEmpty()) {
            throw new NotFound();
        }
        String address = ServletUriComponentsBuilder.fromContextPath(request)
                .path("/orchards/" + scope.orchard() + "/planting?tree=")
                .toUriString();
        return pdf("labels", printer.labels(plan.head().name(), labelled, address, say, size, paper.equals("Letter")));
    }

    /** What was planted on a day: as planned and as it stands. */
    @GetMapping("/planting/report.pdf")
    ResponseEntity<byte[]> report(
            Scope scope,
            Reader say,
            @RequestParam(required = false) LocalDate day,
            @RequestParam(defaultValue = "A4") String paper) {
        PlanView plan = pages.plan(scope);
        LocalDate of = day == null ? LocalDate.now(clock.withZone(plan.head().zone())) : day;
        List<CardPrinter.Planted> planted = plan.trees().stream()
                .filter(tree -> of.equals(tree.row().life().plantedOn()))
                .map(tree -> planted(plan, tree))
                .toList();
        return pdf("planted-" + of, printer.report(plan.head().name(), of, planted, say, paper.equals("Letter")));
    }

    private static CardPrinter.Planted planted(PlanView plan, TreeView tree) {
        PlantingSection planned = plan.evaluation().planting().sectionOf(tree.id());
        Optional<Double> measured =
                plan.evaluation().daybook().unions().asPlanted(tree.id()).map(UnionMeasure::height);
        return new CardPrinter.Planted(
                tree,
                planned.hasUnion() ? planned.unionToday() : planned.raise(),
                measured,
                plan.judged(Room.PLANTING).about(tree.subject()).stream()
                        .filter(finding -> !finding.isSound())
                        .map(Finding::headline)
                        .toList());
    }

    /** The printed card of one tree. */
    @GetMapping("/planting/{tree}/card.pdf")
    ResponseEntity<byte[]> card(
            Scope scope, Reader reader, @PathVariable String tree, @RequestParam(defaultValue = "A4") String paper) {
        PlanView plan = pages.plan(scope);
        TreeView picked = plan.tree(tree);
        return pdf(
                "planting-card-" + picked.label(),
                cards(plan, List.of(picked), reader, CardPrinter.Paper.of(paper, 1)));
    }

    /** The cards of all trees that are to be planted. */
    @GetMapping("/planting/cards.pdf")
    ResponseEntity<byte[]> cards(
            Scope scope,
            Reader reader,
            @RequestParam(defaultValue = "A4") String paper,
            @RequestParam(defaultValue = "1") int per) {
        PlanView plan = pages.plan(scope);
        List<TreeView> toPlant = plan.trees().stream().filter(TreeView::toPlant).toList();
        if (toPlant.isEmpty()) {
            throw new NotFound();
        }
        return pdf("planting-cards", cards(plan, toPlant, reader, CardPrinter.Paper.of(paper, per)));
    }

    /** The cards of many trees: made in the background, with its progress. */
    @PostMapping("/planting/cards")
    String many(
            Scope scope,
            Reader reader,
            @RequestParam(defaultValue = "A4") String paper,
            @RequestParam(defaultValue = "1") int per) {
        PlanView plan = pages.plan(scope);
        List<TreeView> toPlant = plan.trees().stream().filter(TreeView::toPlant).toList();
        if (toPlant.size() <= FEW) {
            return "redirect:/orchards/" + scope.orchard() + "/planting/cards.pdf?paper=" + paper + "&per=" + per;
        }
        CardPrinter.Paper on = CardPrinter.Paper.of(paper, per);
        runs.start(
                whose(scope),
                toPlant.stream()
                        .map(tree -> card(plan, tree, on.perPage() == SMALL))
                        .toList(),
                few -> printer.cards(
                        plan.head().name(), few, reader, plan.rows().settings().plantingDate(), on));
        return "redirect:/orchards/" + scope.orchard() + "/planting/cards";
    }

    private static String whose(Scope scope) {
        return scope.orchard() + " " + scope.account();
    }

    @GetMapping("/planting/cards")
    String progress(Scope scope, Reader say, Model model) {
        pages.plan(scope);
        CardRuns.Run run = runs.last(whose(scope)).orElse(null);
        if (run == null) {
            return "redirect:/orchards/" + scope.orchard() + "/planting/print";
        }
        pages.open(model, scope, StagePage.PLANTING);
        model.addAttribute("module", "planting");
        model.addAttribute("run", run);
        return "planting/printing";
    }

    /** @param percent of the whole file */
    public record Progress(boolean running, int percent, int done, int cards) {}

    @GetMapping("/planting/cards/progress")
    @ResponseBody
    Progress far(Scope scope) {
        pages.plan(scope);
        return runs.last(whose(scope))
                .map(run -> new Progress(run.running(), run.percent(), run.done(), run.cards()))
                .orElse(new Progress(false, 0, 0, 0));
    }

    @GetMapping("/planting/cards/file.pdf")
    ResponseEntity<byte[]> file(Scope scope) {
        pages.plan(scope);
        return runs.last(whose(scope))
                .flatMap(CardRuns.Run::file)
                .map(file -> pdf("planting-cards", file))
                .orElseGet(() -> ResponseEntity.status(HttpStatus.FOUND)
                        .location(URI.create("/orchards/" + scope.orchard() + "/planting/print"))
                        .build());
    }

    private byte[] cards(PlanView plan, List<TreeView> trees, Reader reader, CardPrinter.Paper paper) {
        return printer.cards(
                plan.head().name(),
                trees.stream()
                        .map(tree -> card(plan, tree, paper.perPage() == SMALL))
                        .toList(),
                reader,
                plan.rows().settings().plantingDate(),
                paper);
    }

    private static CardPrinter.Card card(PlanView plan, TreeView tree, boolean small) {
        List<Phrase> doubts = new ArrayList<>();
        tree.stops().forEach(stop -> doubts.add(Phrase.of("Stop. {}", stop.headline())));
        plan.judged(Room.PLANTING).about(tree.subject()).stream()
                .filter(f -> f.standing() == Standing.DOUBTFUL)
                .forEach(f -> doubts.add(f.headline()));
        List<Figure> figures = new ArrayList<>(PlantingPage.figures(tree));
        figures.addAll(PlantingPage.beside(plan, tree));
        // What was decided before the day is left to the page; a small card holds what the hands need.
        figures.removeIf(figure -> DECIDED.contains(figure.key()) || small && ROOMY.contains(figure.key()));
        return new CardPrinter.Card(
                tree,
                figures,
                SectionDrawing.of(tree.section(), Optional.ofNullable(tree.pit()), 0, tree),
                doubts,
                plan.evaluation().planting().stepsOf(tree.id()));
    }

    private static ResponseEntity<byte[]> pdf(String name, byte[] pdf) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }
}
