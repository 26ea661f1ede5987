package idlebough.app.planting;

import com.google.zxing.WriterException;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import com.google.zxing.qrcode.encoder.ByteMatrix;
import com.google.zxing.qrcode.encoder.Encoder;
import idlebough.app.exchange.PdfPrinter;
import idlebough.app.web.Reader;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Figure;
import idlebough.core.judge.Phrase;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Component;
import org.thymeleaf.context.Context;

/** Prints planting cards, one or several to a page, A4 or Letter, black ink, the section to scale. */
@Component
public class CardPrinter {
    private static final int WHOLE = 218;
    private static final int HALF = 225;
    private final PdfPrinter printer;

    CardPrinter(PdfPrinter printer) {
        this.printer = printer;
    }

    /** One tree. @param doubts what is the matter with it, in words, @param steps what is done, in order */
    public record Card(
            TreeView tree, List<Figure> figures, SectionDrawing drawing, List<Phrase> doubts, List<Phrase> steps) {
        /** The steps in two columns. */
        public List<List<Phrase>> halves() {
            int half = (steps.size() + 1) / 2;
            return List.of(steps.subList(0, half), steps.subList(half, steps.size()));
        }
    }

    /** @param perPage 1, 2 or 4; at four to a page without the drawing */
    public record Paper(boolean letter, int perPage) {
        static Paper of(String name, int perPage) {
            return new Paper(name.equals("Letter"), perPage == 2 || perPage == 4 ? perPage : 1);
        }

        public String css() {
            return "per" + perPage;
        }

        /** Of the drawing beside the figures, px of the print. */
        public int sketchHeight() {
            return perPage == 1 ? WHOLE : HALF;
        }

        /** Whether a page ends after the card of this number, counted from 1. */
        public boolean ends(int number, int of) {
            return number % perPage == 0 && number < of;
        }
    }

    public byte[] cards(String orchard, List<Card> cards, Reader say, LocalDate day, Paper paper) {
        Context context = new Context();
        context.setVariable("orchard", orchard);
        context.setVariable("cards", cards);
        context.setVariable("say", say);
        context.setVariable("day", day);
        context.setVariable("paper", paper);
        return printer.print("planting/card", context);
    }

    /** Labels that stand outdoors; printed on film or under a clear cover. */
    public enum Label {
        SMALL("70 × 25 mm, for a tag", 70, 25),
        MIDDLE("100 × 40 mm, for a stake", 100, 40),
        LARGE("180 × 60 mm, for the head of a row", 180, 60);
        private final String words;
        private final int wide;
        private final int high;

        Label(String words, int wide, int high) {
            this.words = words;
            this.wide = wide;
            this.high = high;
        }

        public String words() {
            return words;
        }

        /** mm. */
        public int wide() {
            return wide;
        }

        public int high() {
            return high;
        }

        /** Side of its code, mm. */
        public int code() {
            return high - 6;
        }
    }

    /** One label. @param code path of its code, one unit a cell; @param cells how many it is wide */
    public record Tag(TreeView tree, String code, int cells) {}

    /**
     * One tree of a day's report.
     *
     * @param planned union or flare above the board, m
     * @param measured the same as it was measured; empty where it was not
     */
    public record Planted(TreeView tree, double planned, Optional<Double> measured, List<Phrase> doubts) {}

    /** @param address to which the code of a tree leads; its id follows */
    public byte[] labels(String orchard, List<TreeView> trees, String address, Reader say, Label size, boolean letter) {
        Context context = new Context();
        context.setVariable("orchard", orchard);
        context.setVariable(
                "tags",
                trees.stream().map(tree -> tag(tree, address + tree.id())).toList());
        context.setVariable("say", say);
        context.setVariable("size", size);
        context.setVariable("letter", letter);
        return printer.print("planting/labels", context);
    }

    private static Tag tag(TreeView tree, String address) {
        ByteMatrix cells = code(address);
        StringBuilder path = new StringBuilder();
        for (int y = 0; y < cells.getHeight(); y++) {
            for (int x = 0; x < cells.getWidth(); x++) {
                if (cells.get(x, y) == 1) {
                    path.append('M').append(x).append(' ').append(y).append("h1v1h-1z");
                }
            }
        }
        return new Tag(tree, path.toString(), cells.getWidth());
    }

    private static ByteMatrix code(String address) {
        try {
            return Encoder.encode(address, ErrorCorrectionLevel.M).getMatrix();
        } catch (WriterException tooLong) {
            throw new IllegalStateException("An address does not fit a code.", tooLong);
        }
    }

    public byte[] report(String orchard, LocalDate day, List<Planted> trees, Reader say, boolean letter) {
        Context context = new Context();
        context.setVariable("orchard", orchard);
        context.setVariable("day", day);
        context.setVariable("trees", trees);
        context.setVariable("say", say);
        context.setVariable("letter", letter);
        return printer.print("planting/report", context);
    }
}
