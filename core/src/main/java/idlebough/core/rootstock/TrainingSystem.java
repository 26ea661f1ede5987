package idlebough.core.rootstock;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Table;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A way of training and the spacing that goes with it ({@code rootstock/systems.csv}).
 *
 * @param usual in the row and between the rows, m; no rows where it stands at a wall
 * @param name also its key
 * @param size factors on the size model; empty where the spacing is fixed, whatever the tree
 * @param fixed the tree as wires or a wall keep it; zero where it stands free
 * @param suits stocks, by their factor, and kinds of fruit
 */
public record TrainingSystem(String name, Usual usual, Optional<Size> size, Fixed fixed, Suits suits, String words) {
    private static final List<TrainingSystem> ALL = Table.rows("rootstock/systems.csv").stream()
            .map(row -> new TrainingSystem(
                    row.get("system"),
                    new Usual(
                            Table.number(row, "in_low"),
                            Table.number(row, "in_high"),
                            Table.number(row, "rows_low"),
                            Table.number(row, "rows_high")),
                    row.get("width").isEmpty()
                            ? Optional.empty()
                            : Optional.of(new Size(Table.number(row, "width"), Table.number(row, "height"))),
                    row.get("tall").isEmpty()
                            ? new Fixed(0, 0)
                            : new Fixed(Table.number(row, "tall"), Table.number(row, "deep")),
                    new Suits(
                            Table.number(row, "f_low"),
                            Table.number(row, "f_high"),
                            Stream.of(row.get("kinds").split(";"))
                                    .map(Crop.Kind::valueOf)
                                    .collect(Collectors.toUnmodifiableSet())),
                    row.get("words")))
            .toList();

    /** Metres. */
    public record Usual(double inLow, double inHigh, double rowsLow, double rowsHigh) {}

    /** Factors. */
    public record Size(double width, double height) {}

    /** Metres: how tall, and how far off its wires or wall it reaches from side to side. */
    public record Fixed(double tall, double deep) {}

    /** @param low and high: factors of stocks */
    public record Suits(double low, double high, Set<Crop.Kind> kinds) {}

    /**
     * One tree in a system.
     *
     * @param inRow and rows: m from stem to stem; rows 0 at a wall
     * @param height m; empty where wires or a wall say it
     */
    public record Spaced(TrainingSystem system, double inRow, double rows, Optional<Double> height) {}

    /**
     * The ways in which a variety on a stock is usually trained, each with its spacing: by the size model where it
     * says, kept within what is usual, else the middle of the usual.
     */
    public static List<Spaced> of(Variety variety, Rootstock stock) {
        return of(variety, stock, Habit.USUAL);
    }

    /** @param habit of the tree; only its soil matters */
    public static List<Spaced> of(Variety variety, Rootstock stock, Habit habit) {
        double factor = stock.factor(variety.crop());
        TreeSize size = TreeSize.of(variety, Optional.of(stock), habit.free());
        return ALL.stream()
                .filter(system -> system.suits.kinds().contains(variety.crop().kind())
                        && factor >= system.suits.low()
                        && factor <= system.suits.high())
                .map(system -> system.spaced(size))
                .toList();
    }

    /** Whether a kind of fruit is trained so at all, whatever its stock. */
    public boolean takes(Variety variety) {
        return suits.kinds().contains(variety.crop().kind());
    }

    /** Empty when there is none of that name. */
    public static Optional<TrainingSystem> named(String name) {
        return ALL.stream().filter(system -> system.name.equals(name)).findFirst();
    }

    /** Whether wires or a wall keep it in one plane. */
    public boolean flat() {
        return size.isEmpty();
    }

    /** A free-standing tree of a size in this training. */
    TreeSize shape(TreeSize free) {
        return size.map(by -> new TreeSize(free.spread() * by.width(), free.height() * by.height()))
                .orElseGet(() -> new TreeSize((usual.inLow() + usual.inHigh()) / 2, fixed.tall(), fixed.deep()));
    }

    private Spaced spaced(TreeSize tree) {
        double middle = (usual.inLow() + usual.inHigh()) / 2;
        double inRow = size.map(by -> Math.max(usual.inLow(), Math.min(usual.inHigh(), tree.spread() * by.width())))
                .orElse(middle);
        // Narrow in the row is narrow between the rows.
        double share =
                usual.inHigh() == usual.inLow() ? 0.5 : (inRow - usual.inLow()) / (usual.inHigh() - usual.inLow());
        return new Spaced(
                this,
                inRow,
                usual.rowsLow() + share * (usual.rowsHigh() - usual.rowsLow()),
                size.map(by -> tree.height() * by.height()));
    }
}
