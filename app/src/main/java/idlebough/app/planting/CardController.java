package idlebough.app.planting;

import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Room;
import idlebough.core.judge.Standing;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is printed for the planting day. */
@Controller
@RequestMapping("/orchards/{orchard}")
public class CardController {
    private final Pages pages;
    private final CardPrinter printer;

    CardController(Pages pages, CardPrinter printer) {
        this.pages = pages;
        this.printer = printer;
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

    private byte[] cards(PlanView plan, List<TreeView> trees, Reader reader, CardPrinter.Paper paper) {
        return printer.cards(
                plan.head().name(),
                trees.stream().map(tree -> card(plan, tree)).toList(),
                reader,
                plan.rows().settings().plantingDate(),
                paper);
    }

    private static CardPrinter.Card card(PlanView plan, TreeView tree) {
        List<Phrase> doubts = new ArrayList<>();
        tree.stops().forEach(stop -> doubts.add(Phrase.of("Stop. {}", stop.headline())));
        plan.judged(Room.PLANTING).about(tree.subject()).stream()
                .filter(f -> f.standing() == Standing.DOUBTFUL)
                .forEach(f -> doubts.add(f.headline()));
        List<Figure> figures = new ArrayList<>(PlantingPage.figures(tree));
        figures.addAll(PlantingPage.beside(plan, tree));
        return new CardPrinter.Card(
                tree, figures, SectionDrawing.of(tree.section(), Optional.ofNullable(tree.pit()), 0, tree), doubts);
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
