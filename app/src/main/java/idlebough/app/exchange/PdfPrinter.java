package idlebough.app.exchange;

import com.openhtmltopdf.extend.FSStream;
import com.openhtmltopdf.outputdevice.helper.BaseRendererBuilder;
import com.openhtmltopdf.pdfboxout.PdfRendererBuilder;
import com.openhtmltopdf.svgsupport.BatikSVGDrawer;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;
import org.thymeleaf.TemplateEngine;
import org.thymeleaf.context.Context;

/** Turns a page of ours into a PDF, with our own faces in it. */
@Component
public class PdfPrinter {
    private static final String READING = "/print-fonts/AtkinsonHyperlegible_400Regular.ttf";
    private static final String FIGURES = "/print-fonts/400Regular/BarlowSemiCondensed_400Regular.ttf";
    private static final String STRONG = "/print-fonts/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf";
    private static final Map<String, String> FACES = Map.of("face:figures", FIGURES, "face:strong", STRONG);
    private final TemplateEngine templates;

    /** A shipped face as the printer's library reads it. */
    private record Face(String name) implements FSStream {
        @Override
        public InputStream getStream() {
            return font(name);
        }

        @Override
        public Reader getReader() {
            return new InputStreamReader(font(name), StandardCharsets.UTF_8);
        }
    }

    PdfPrinter(TemplateEngine templates) {
        this.templates = templates;
    }

    /** A part of a page, by its name, as text. */
    public String fill(String template, String part, Context context) {
        return templates.process(template, Set.of(part), context);
    }

    public byte[] print(String template, Context context) {
        String page = templates.process(template, context);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            PdfRendererBuilder builder = new PdfRendererBuilder();
            builder.useFastMode();
            builder.useSVGDrawer(new BatikSVGDrawer());
            builder.useFont(() -> font(READING), "Hyper");
            builder.useFont(() -> font(FIGURES), "Field", 400, BaseRendererBuilder.FontStyle.NORMAL, true);
            builder.useFont(() -> font(STRONG), "Field", 600, BaseRendererBuilder.FontStyle.NORMAL, true);
            // Drawings know only the faces that the page's style names.
            builder.useProtocolsStreamImplementation(url -> new Face(FACES.get(url)), "face");
            builder.withHtmlContent(page, null);
            builder.toStream(out);
            builder.run();
        } catch (IOException unwritable) {
            throw new UncheckedIOException(unwritable);
        }
        return out.toByteArray();
    }

    private static InputStream font(String name) {
        return PdfPrinter.class.getResourceAsStream(name);
    }
}
