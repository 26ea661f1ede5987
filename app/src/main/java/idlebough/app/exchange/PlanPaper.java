package idlebough.app.exchange;

import idlebough.app.store.NotFound;
import idlebough.app.store.Scope;
import idlebough.app.web.GroundDrawing;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.core.layout.PlannedTree;
import idlebough.core.site.Plot;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;

/** The plan on paper to a stated scale, as PDF and SVG, with its title block: the ground alone, or with every tree. */
@Component
public class PlanPaper {
    private static final int[] SCALES = {20, 50, 100, 200, 250, 500, 1000, 2000, 5000, 10_000, 20_000, 50_000};
    /** Drawing units to a millimetre of paper. */
    private static final double UNITS = 4;

    private static final double RIM = 12;
    private static final double TITLE = 26;
    private final Pages pages;
    private final PdfPrinter printer;
    private final Clock clock;

    PlanPaper(Pages pages, PdfPrinter printer, Clock clock) {
        this.pages = pages;
        this.printer = printer;
        this.clock = clock;
    }

    /**
     * A tree on the paper.
     *
     * @param at its place; now and full: radii along and across its plane; turn of it
     */
    public record Crown(String label, String at, String turn, String along, String across) {
        static Crown of(PlannedTree tree, Sheet sheet) {
            return new Crown(
                    tree.label(),
                    sheet.at(tree.place()),
                    "rotate(" + Svg.number(tree.size().flat() ? tree.lie() - 90 : 0) + ")",
                    Svg.number(sheet.size(tree.size().spread()) / 2),
                    Svg.number(sheet.size(tree.size().depth()) / 2));
        }
    }

    /**
     * A landscape page.
     *
     * @param wide and high: of the paper, mm
     */
    private record Paper(String name, double wide, double high) {
        static Paper of(String name) {
            return "Letter".equals(name) ? new Paper("letter", 279.4, 215.9) : new Paper("A4", 297, 210);
        }
    }

    private Context context(Scope scope, Reader say, String paperName, boolean trees) {
        PlanView plan = pages.plan(scope);
        Plot plot = plan.plot();
        if (plot == null) {
            throw new NotFound();
        }
        Paper paper = Paper.of(paperName);
        double roomWide = paper.wide() - 2 * RIM - 16;
        double roomHigh = paper.high() - 2 * RIM - TITLE - 16;
        double east = plot.east() - plot.west();
        double north = plot.north() - plot.south();
        int scale = SCALES[SCALES.length - 1];
        for (int candidate : SCALES) {
            if (1000 * east / candidate <= roomWide && 1000 * north / candidate <= roomHigh) {
                scale = candidate;
                break;
            }
        }
        double perMetre = UNITS * 1000 / scale;
        double middleX = UNITS * paper.wide() / 2;
        double middleY = UNITS * (paper.high() - TITLE) / 2;
        Sheet sheet = new Sheet(
                UNITS * paper.wide(),
                UNITS * paper.high(),
                perMetre,
                middleX - perMetre * (plot.west() + plot.east()) / 2,
                middleY + perMetre * (plot.south() + plot.north()) / 2);
        Context context = new Context();
        context.setVariable("paper", paper);
        context.setVariable("scale", scale);
        context.setVariable("sheet", sheet);
        context.setVariable("plan", plan);
        context.setVariable("site", plan.site());
        context.setVariable("orchard", plan.head());
        context.setVariable("plot", plot);
        context.setVariable("marks", GroundDrawing.of(plan, sheet, say));
        context.setVariable(
                "crowns",
                trees
                        ? plan.evaluation().layout().trees().stream()
                                .map(tree -> Crown.of(tree, sheet))
                                .toList()
                        : List.of());
        context.setVariable("what", trees ? "plan of the trees" : "site plan");
        context.setVariable("say", say);
        context.setVariable("day", LocalDate.now(clock.withZone(plan.head().zone())));
        return context;
    }

    /** @param trees whether they are drawn, full grown, with their tags */
    public ResponseEntity<byte[]> pdf(Scope scope, Reader say, String paper, boolean trees) {
        return file(
                printer.print("site/paper", context(scope, say, paper, trees)),
                MediaType.APPLICATION_PDF,
                name(trees) + ".pdf");
    }

    /** @param trees whether they are drawn, full grown, with their tags */
    public ResponseEntity<byte[]> svg(Scope scope, Reader say, String paper, boolean trees) {
        String drawing = printer.fill("site/paper", "sheet", context(scope, say, paper, trees));
        return file(
                ("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n" + drawing.strip()).getBytes(StandardCharsets.UTF_8),
                MediaType.parseMediaType("image/svg+xml"),
                name(trees) + ".svg");
    }

    private static String name(boolean trees) {
        return trees ? "plan" : "site-plan";
    }

    private static ResponseEntity<byte[]> file(byte[] body, MediaType type, String name) {
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, "inline; filename=\"" + name + "\"")
                .body(body);
    }
}
