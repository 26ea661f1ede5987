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

/** Prints planting cards, one or several to a page, A4 or Letter, black ink, the section to scale. */
@Component
public class CardPrinter {
    private static final int A4 = 360;
    private static final int LETTER = 300;
    private static final int HALF = 225;
    private static final int LINE = 24;
    private final PdfPrinter printer;

    CardPrinter(PdfPrinter printer) {
        this.printer = printer;
    }

    /** One tree. @param doubts what is the matter with it, in words */
    public record Card(TreeView tree, List<Figure> figures, SectionDrawing drawing, List<Phrase> doubts) {}

    /** @param perPage 1, 2 or 4; at four to a page without the drawing */
    public record Paper(boolean letter, int perPage) {
        static Paper of(String name, int perPage) {
            return new Paper(name.equals("Letter"), perPage == 2 || perPage == 4 ? perPage : 1);
        }

        public String css() {
            return "per" + perPage;
        }

        /** Of the drawing, px of the print, so that a card with so many lines of doubts keeps to its page. */
        public int sketchHeight(int doubts) {
            int whole = perPage == 1 ? letter ? LETTER : A4 : HALF;
            return perPage == 1 ? Math.max(HALF, whole - LINE * doubts) : whole;
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
}
