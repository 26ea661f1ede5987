package idlebough.app.planting;

import idlebough.app.exchange.PdfPrinter;
import idlebough.app.web.Reader;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;

/** Prints a planting card: one page, A4 or Letter, black ink, the section to scale. */
@Component
public class CardPrinter {
    private final PdfPrinter printer;

    CardPrinter(PdfPrinter printer) {
        this.printer = printer;
    }

    public byte[] card(
            String orchard,
            TreeView tree,
            List<Figure> figures,
            SectionDrawing drawing,
            List<Phrase> doubts,
            Reader say,
            LocalDate day,
            boolean letter) {
        Context context = new Context();
        context.setVariable("orchard", orchard);
        context.setVariable("tree", tree);
        context.setVariable("figures", figures);
        context.setVariable("drawing", drawing);
        context.setVariable("doubts", doubts);
        context.setVariable("say", say);
        context.setVariable("day", day);
        context.setVariable("paper", letter ? "letter" : "a4");
        return printer.print("planting/card", context);
    }
}
