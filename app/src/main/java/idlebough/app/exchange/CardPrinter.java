package idlebough.app.exchange;

import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import idlebough.app.plan.TreeView;
import idlebough.app.planting.SectionDrawing;
import idlebough.app.web.Reader;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.util.List;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Prints a planting card: one page, A4 or Letter, black ink, the section to scale. */
@Component
public class CardPrinter {
    private static final String READING = "/print-fonts/AtkinsonHyperlegible_400Regular.ttf";
    private static final String FIGURES = "/print-fonts/400Regular/BarlowSemiCondensed_400Regular.ttf";
    private static final String STRONG = "/print-fonts/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf";
    private final TemplateEngine templates;

    CardPrinter(TemplateEngine templates) {
        this.templates = templates;
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
        String page = templates.process("planting/card", context);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFastMode();
            builder.useSVGDrawer(new BatikSVGDrawer());
            builder.useFont(() -> font(READING), "Hyper");
            builder.useFont(() -> font(FIGURES), "Field", 400, PdfRendererBuilder.FontStyle.NORMAL, true);
            builder.useFont(() -> font(STRONG), "Field", 600, PdfRendererBuilder.FontStyle.NORMAL, true);
            builder.withHtmlContent(page, null);
            builder.toStream(out);
            builder.run();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
        return out.toByteArray();
    }

    private static InputStream font(String name) {
        return CardPrinter.class.getResourceAsStream(name);
    }
}
