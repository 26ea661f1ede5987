package idlebough.app.planting;

import idlebough.app.store.Scope;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StagePage;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import idlebough.core.planting.Lift;
import idlebough.core.planting.PlantingBill;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;

/** What is brought to the place for the trees that are still to be planted. */
@Controller
@RequestMapping("/orchards/{orchard}/planting")
public class BillController {
    private final Pages pages;

    BillController(Pages pages) {
        this.pages = pages;
    }

    @GetMapping("/bill")
    String bill(Scope scope, Reader say, Model model) {
        PlanView plan = pages.open(model, scope, StagePage.PLANTING);
        List<PlantingBill.Tree> trees = trees(plan);
        model.addAttribute("trees", trees);
        model.addAttribute(
                "figures",
                PlantingBill.of(trees).stream()
                        .map(line -> new Figure(
                                line.key(),
                                line.what(),
                                line.amount(),
                                line.trees().size() == trees.size()
                                        ? Phrase.of("all")
                                        : Phrase.of(
                                                "for {}",
                                                Amount.count(line.trees().size())),
                                line.working()))
                        .toList());
        model.addAttribute(
                "heavy",
                PlantingBill.toLift(trees).entrySet().stream()
                        .filter(each -> each.getKey() != Lift.ONE)
                        .toList());
        return "planting/bill";
    }

    private static List<PlantingBill.Tree> trees(PlanView plan) {
        return plan.trees().stream()
                .filter(TreeView::toPlant)
                .map(tree -> new PlantingBill.Tree(
                        tree.label(),
                        tree.section(),
                        plan.evaluation().planting().screenOf(tree.id()),
                        plan.evaluation().water().seasonOf(tree.id()).wateringIn()))
                .toList();
    }

    /** The same as CSV (RFC 4180), for a shop or a spreadsheet; amounts as they are read. */
    @GetMapping("/bill.csv")
    ResponseEntity<byte[]> csv(Scope scope, Reader say) {
        StringBuilder out = new StringBuilder();
        CSVFormat format =
                CSVFormat.RFC4180.builder().setHeader("amount", "what", "trees").get();
        try (CSVPrinter printer = new CSVPrinter(out, format)) {
            for (PlantingBill.Line line : PlantingBill.of(trees(pages.plan(scope)))) {
                printer.printRecord(say.of(line.amount()), say.of(line.what()), String.join(" ", line.trees()));
            }
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("what-to-bring.csv")
                                .build()
                                .toString())
                .body(out.toString().getBytes(StandardCharsets.UTF_8));
    }
}
