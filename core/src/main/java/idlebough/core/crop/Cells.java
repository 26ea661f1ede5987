package idlebough.core.crop;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** The cells of one row of the catalogue, the shipped ones and the grower's own alike. */
final class Cells {
    private static final int MOST_ILL = 3;
    private final UnaryOperator<String> cells;

    /** @param cells gives the cell of a column, trimmed, empty where nothing is told */
    Cells(UnaryOperator<String> cells) {
        this.cells = cells;
    }

    String text(String column) {
        return cells.apply(column);
    }

    boolean isEmpty(String column) {
        return text(column).isEmpty();
    }

    /** @throws BadCell when there is none */
    String named() {
        if (isEmpty("name")) {
            throw new BadCell("name", "It needs a name.");
        }
        return text("name");
    }

    Optional<Double> number(String column, double least, double most) {
        return isEmpty(column) ? Optional.empty() : Optional.of(within(text(column), column, least, most));
    }

    /** A whole number; the usual one where the cell is empty. */
    int whole(String column, int least, int most, int usual) {
        double value = number(column, least, most).orElse((double) usual);
        if (value != Math.rint(value)) {
            throw new BadCell(column, "A whole number is wanted.");
        }
        return (int) value;
    }

    /** “600-800” or one figure. */
    Ripening.Span span(String column, double least, double most) {
        String[] ends = text(column).split("[-–]", -1);
        if (ends.length > 2) {
            throw new BadCell(column, "One figure or a range as 600-800 is wanted.");
        }
        double low = within(ends[0].strip(), column, least, most);
        double high = within(ends[ends.length - 1].strip(), column, least, most);
        if (high < low) {
            throw new BadCell(column, "The range runs from the smaller figure to the larger.");
        }
        return new Ripening.Span(low, high);
    }

    /** “scab:2;mildew:1”. */
    Map<String, Integer> ills() {
        Map<String, Integer> ills = new LinkedHashMap<>();
        for (String each : isEmpty("ills") ? new String[0] : text("ills").split(";")) {
            String[] part = each.strip().split(":", -1);
            if (part.length != 2
                    || !part[1].matches("[0-" + MOST_ILL + "]")
                    || VarietyTypes.ill(part[0]).isEmpty()) {
                throw new BadCell("ills", "“" + each + "” is no ill of the list with 0 to 3, as scab:2.");
            }
            ills.put(part[0], Integer.valueOf(part[1]));
        }
        return Collections.unmodifiableMap(ills);
    }

    private static double within(String text, String column, double least, double most) {
        double value;
        try {
            value = Double.parseDouble(text);
        } catch (NumberFormatException unreadable) {
            throw new BadCell(column, "“" + text + "” is no number.");
        }
        if (!(value >= least && value <= most)) {
            throw new BadCell(column, "“" + text + "” must lie between " + plain(least) + " and " + plain(most) + ".");
        }
        return value;
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
