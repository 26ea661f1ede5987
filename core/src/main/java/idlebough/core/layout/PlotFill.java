package idlebough.core.layout;

import idlebough.core.rootstock.RootstockStage;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.PlaceIndex;
import idlebough.core.site.Plot;
import idlebough.core.variety.Choice;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * A plot filled with the chosen trees, row by row. Varieties alternate along the rows, so that partners stand near each
 * other; trees in the ground keep their place and their room. Every place is one that {@link LayoutRules} find sound.
 *
 * @param placed in the order of the rows
 * @param wanted how many trees there were to place
 */
public record PlotFill(List<Placed> placed, int wanted) {
    private static final double NO_CHOICE = 5;

    /**
     * How it is to be filled.
     *
     * @param margin from the boundary, m; a crown's own half width is kept anyhow
     * @param alley between the crowns of two rows, m
     * @param bearing of the rows, degrees; empty along the plot's longest side
     */
    public record Wish(RowFill.Pattern pattern, double margin, double alley, Optional<Double> bearing) {}

    /** A tree of a choice at a place. */
    public record Placed(Choice choice, RowFill.Place place) {}

    /** @param standing trees that keep their place */
    public static PlotFill of(
            Plot plot,
            Wish wish,
            List<Choice> choices,
            RootstockStage stocks,
            List<PlannedTree> standing,
            FeatureIndex features) {
        double inRow = inRow(choices, stocks);
        TreeSize size = new TreeSize(
                inRow,
                choices.stream().mapToDouble(c -> stocks.size(c).height()).max().orElse(0));
        List<RowFill.Place> free = RowFill.best(
                        plot,
                        Math.max(wish.margin(), LayoutRules.fromBoundary(inRow)),
                        wish.bearing().orElseGet(plot::longestSideBearing),
                        wish.pattern(),
                        inRow,
                        pitch(wish, inRow))
                .stream()
                .filter(new Room(standing, inRow)::isLeft)
                .filter(place -> Clearance.clear(place.at(), size, features))
                .toList();
        List<Choice> order = inTurn(choices);
        List<Placed> placed = new ArrayList<>();
        for (int i = 0; i < Math.min(order.size(), free.size()); i++) {
            placed.add(new Placed(order.get(i), free.get(i)));
        }
        return new PlotFill(List.copyOf(placed), order.size());
    }

    /** The spacing that the widest of the chosen trees asks for, m. */
    public static double inRow(List<Choice> choices, RootstockStage stocks) {
        return choices.stream()
                .mapToDouble(choice -> stocks.size(choice).spread())
                .max()
                .orElse(NO_CHOICE);
    }

    /** Rows stand a crown and the alley apart; without an alley a triangle closes up to equal sides. */
    private static double pitch(Wish wish, double inRow) {
        boolean closed = wish.pattern() == RowFill.Pattern.TRIANGLE && wish.alley() == 0;
        return closed ? RowFill.hexPitch(inRow) : inRow + wish.alley();
    }

    /** Whether standing trees leave room for another. */
    private static final class Room {
        private final PlaceIndex<PlannedTree> standing;
        private final double widest;
        private final double spread;

        Room(List<PlannedTree> standing, double spread) {
            this.standing = PlaceIndex.of(standing, PlannedTree::place);
            this.spread = spread;
            widest = standing.stream()
                    .mapToDouble(tree -> tree.size().spread())
                    .max()
                    .orElse(0);
        }

        boolean isLeft(RowFill.Place place) {
            return standing.nearest(
                            place.at(),
                            tree -> true,
                            tree -> (widest - tree.size().spread()) / 2)
                    .map(tree ->
                            tree.place().distance(place.at()) >= (tree.size().spread() + spread) / 2)
                    .orElse(true);
        }
    }

    /** One of each choice by turns, until all are placed. */
    private static List<Choice> inTurn(List<Choice> choices) {
        Map<String, Integer> left = new HashMap<>();
        choices.forEach(choice -> left.put(choice.id(), choice.wanted()));
        List<Choice> order = new ArrayList<>();
        boolean any = true;
        while (any) {
            any = false;
            for (Choice choice : choices) {
                if (left.get(choice.id()) > 0) {
                    left.merge(choice.id(), -1, Integer::sum);
                    order.add(choice);
                    any = true;
                }
            }
        }
        return order;
    }
}
