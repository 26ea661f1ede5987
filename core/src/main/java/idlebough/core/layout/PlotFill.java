package idlebough.core.layout;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.RuleTable;
import idlebough.core.rootstock.RootstockStage;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.variety.Choice;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BooleanSupplier;

/**
 * A plot filled with the chosen trees, row by row. Each variety has its own pitch: what is of one width stands on a
 * lattice, what is not in rows of its neighbours' half widths. Varieties of like size alternate along the rows, so that
 * partners stand near each other; trees that keep their place keep their room. Every place is one that {@link
 * LayoutRules} find sound.
 *
 * @param placed in the order of the rows
 * @param wanted how many trees there were to place
 * @param costs which rule cost how many places; empty where all were placed
 */
public record PlotFill(List<Placed> placed, int wanted, List<Cost> costs) {
    private static final RuleTable TABLE = RuleTable.of("layout");
    private static final double SAME_WIDTH = 0.05;
    /** Patterns that are no lattice. */
    private static final Set<RowFill.Pattern> IN_ROWS = EnumSet.of(RowFill.Pattern.DOUBLE, RowFill.Pattern.CONTOUR);

    private static final int FEW_SIDES = 12;
    private static final double TURN = 10;
    private static final double HALF_TURN = 180;
    /** Widths within this of each other are of like size. */
    private static final double LIKE = 1.15;

    /** Which variety comes next in the rows. */
    public enum Mixing {
        PARTNERS("by turns, so that partners stand near each other"),
        ROWS("each variety in rows of its own"),
        BLOCKS("each variety together");
        private final String words;

        Mixing(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * How it is to be filled.
     *
     * @param margin from the boundary, m; a crown's own half width is kept anyhow
     * @param alley between the crowns of two rows, m
     * @param bearing of the rows, degrees; empty along the plot's longest side
     * @param along the feature along which they stand in that pattern; empty in the others
     * @param ground along whose slope bent rows run level
     */
    public record Wish(
            RowFill.Pattern pattern,
            double margin,
            double alley,
            Optional<Double> bearing,
            Optional<Feature> along,
            Mixing mixing,
            Ground ground) {
        /** In straight rows on level ground, varieties by turns. */
        public Wish(RowFill.Pattern pattern, double margin, double alley, Optional<Double> bearing) {
            this(pattern, margin, alley, bearing, Optional.empty(), Mixing.PARTNERS, Ground.LEVEL);
        }

        /** The same at another bearing. */
        public Wish to(double degrees) {
            return new Wish(pattern, margin, alley, Optional.of(degrees), along, mixing, ground);
        }

        /** The same on ground that falls. */
        public Wish on(Ground slope) {
            return new Wish(pattern, margin, alley, bearing, along, mixing, slope);
        }

        /** The same along something. */
        public Wish along(Feature feature) {
            return new Wish(pattern, margin, alley, bearing, Optional.of(feature), mixing, ground);
        }

        public Wish mixed(Mixing other) {
            return new Wish(pattern, margin, alley, bearing, along, other, ground);
        }

        Wish close() {
            return new Wish(pattern, margin, 0, bearing, along, mixing, ground);
        }
    }

    /** @param rows that are begun when the rows run to a bearing, degrees */
    public record Direction(double bearing, int placed, int rows) {}

    /** A tree of a choice at a place. */
    public record Placed(Choice choice, RowFill.Place place) {}

    /**
     * @param what in words, as the subject of “costs”
     * @param trees that would find a place without it
     */
    public record Cost(Phrase what, int trees) {}

    /**
     * What is there already.
     *
     * @param kept trees that keep their place
     * @param placedOf how many of each choice's trees are among them, by its id
     */
    public record Standing(List<PlannedTree> kept, Map<String, Integer> placedOf) {}

    public static PlotFill of(
            Plot plot,
            Wish wish,
            List<Choice> choices,
            RootstockStage stocks,
            Standing standing,
            FeatureIndex features) {
        List<FillSpace.Seat> seats = seats(choices, stocks, standing, wish.mixing());
        FillSpace space = FillSpace.of(plot, wish, standing.kept(), features);
        List<Placed> placed = placed(space, seats);
        return new PlotFill(
                placed, seats.size(), placed.size() == seats.size() ? List.of() : costs(space.coarse(), seats));
    }

    /**
     * Directions of the rows, that in which most trees find a place first, of equals that with the fewest and so the
     * longest rows.
     *
     * @param goOn asked before every direction; when it says no, the best until then is the answer
     */
    public static List<Direction> directions(
            Plot plot,
            Wish wish,
            List<Choice> choices,
            RootstockStage stocks,
            Standing standing,
            FeatureIndex features,
            BooleanSupplier goOn) {
        List<FillSpace.Seat> seats = seats(choices, stocks, standing, wish.mixing());
        List<Direction> found = new ArrayList<>();
        for (double bearing : bearings(plot)) {
            if (!found.isEmpty() && !goOn.getAsBoolean()) {
                break;
            }
            List<Placed> placed = placed(
                    FillSpace.of(plot, wish.to(bearing), standing.kept(), features)
                            .coarse(),
                    seats);
            found.add(new Direction(bearing, placed.size(), FillSpace.rowsOf(placed)));
        }
        found.sort(Comparator.comparingInt(Direction::placed)
                .reversed()
                .thenComparingInt(Direction::rows)
                .thenComparingDouble(Direction::bearing));
        return found;
    }

    /** The direction across the slope, degrees; empty where the ground hardly falls. */
    public static Optional<Double> acrossSlope(Ground ground) {
        return ground.slope() < TABLE.value("sloping") ? Optional.empty() : Optional.of(ground.across());
    }

    /** Along every side of the plot, and every few degrees. */
    private static Set<Double> bearings(Plot plot) {
        Set<Double> bearings = new LinkedHashSet<>();
        List<Point> corners = plot.corners();
        if (corners.size() <= FEW_SIDES) {
            for (int i = 0; i < corners.size(); i++) {
                Point a = corners.get(i);
                Point b = corners.get((i + 1) % corners.size());
                double bearing = Math.toDegrees(Math.atan2(b.x() - a.x(), b.y() - a.y()));
                bearings.add((double) Math.floorMod(Math.round(bearing), (long) HALF_TURN));
            }
        }
        for (double bearing = 0; bearing < HALF_TURN; bearing += TURN) {
            bearings.add(bearing);
        }
        return bearings;
    }

    private static List<Placed> placed(FillSpace space, List<FillSpace.Seat> seats) {
        if (seats.isEmpty()) {
            return List.of();
        }
        if (space.wish().along().isPresent()) {
            return space.along(seats, space.wish().along().get());
        }
        if (IN_ROWS.contains(space.wish().pattern())) {
            return space.rows(seats);
        }
        double widest = widest(seats);
        boolean uniform = seats.stream().allMatch(seat -> widest - seat.spread() < SAME_WIDTH);
        return uniform ? space.lattice(seats, widest) : space.rows(seats);
    }

    /** What each rule costs: how many more find a place without it, both looked at alike. */
    private static List<Cost> costs(FillSpace space, List<FillSpace.Seat> seats) {
        int placed = placed(space, seats).size();
        List<Cost> costs = new ArrayList<>();
        cost(Phrase.of("the distance from the boundary"), space.withoutMargin(), seats, placed)
                .ifPresent(costs::add);
        cost(Phrase.of("room for the trees that keep their place"), space.withoutStanding(), seats, placed)
                .ifPresent(costs::add);
        if (space.wish().alley() > 0) {
            cost(Phrase.of("the alley of {}", Amount.metres(space.wish().alley())), space.withoutAlley(), seats, placed)
                    .ifPresent(costs::add);
        }
        for (Feature feature : space.blocking(seats)) {
            String name = feature.name().isBlank() ? "the " + feature.kind().words() : "“" + feature.name() + "”";
            cost(Phrase.of("{}", name), space.without(feature), seats, placed).ifPresent(costs::add);
        }
        costs.sort(Comparator.comparingInt(Cost::trees).reversed());
        return List.copyOf(costs);
    }

    private static Optional<Cost> cost(Phrase what, FillSpace without, List<FillSpace.Seat> seats, int placed) {
        int more = placed(without, seats).size() - placed;
        return more > 0 ? Optional.of(new Cost(what, more)) : Optional.empty();
    }

    /** The widths at which the chosen trees stand in the row, m. */
    public static DoubleSummaryStatistics inRow(List<Choice> choices, RootstockStage stocks) {
        return choices.stream()
                .filter(choice -> !choice.pot())
                .mapToDouble(choice -> stocks.size(choice).spread())
                .summaryStatistics();
    }

    private static double widest(List<FillSpace.Seat> seats) {
        return seats.stream().mapToDouble(FillSpace.Seat::spread).max().orElseThrow();
    }

    /** Every tree that has still to find a place, the widest first; among those of like size as they are mixed. */
    private static List<FillSpace.Seat> seats(
            List<Choice> choices, RootstockStage stocks, Standing standing, Mixing mixing) {
        List<FillSpace.Seat> of = new ArrayList<>();
        for (Choice choice : choices) {
            if (choice.pot()) {
                continue;
            }
            TreeSize size = stocks.size(choice);
            of.add(new FillSpace.Seat(
                    choice, new Clearance.Grown(stocks.variety(choice).crop().key(), size)));
        }
        of.sort(Comparator.comparingDouble(FillSpace.Seat::spread).reversed());
        List<FillSpace.Seat> seats = new ArrayList<>();
        for (int from = 0; from < of.size(); ) {
            int to = from;
            while (to < of.size() && of.get(to).spread() * LIKE >= of.get(from).spread()) {
                to++;
            }
            List<FillSpace.Seat> alike = of.subList(from, to);
            seats.addAll(mixing == Mixing.PARTNERS ? inTurn(alike, standing) : oneByOne(alike, standing));
            from = to;
        }
        return seats;
    }

    private static int missing(FillSpace.Seat seat, Standing standing) {
        return Math.max(
                0,
                seat.choice().wanted()
                        - standing.placedOf().getOrDefault(seat.choice().id(), 0));
    }

    private static List<FillSpace.Seat> oneByOne(List<FillSpace.Seat> alike, Standing standing) {
        return alike.stream()
                .flatMap(seat -> Collections.nCopies(missing(seat, standing), seat).stream())
                .toList();
    }

    private static List<FillSpace.Seat> inTurn(List<FillSpace.Seat> alike, Standing standing) {
        Map<String, Integer> left = new HashMap<>();
        alike.forEach(seat -> left.put(seat.choice().id(), missing(seat, standing)));
        List<FillSpace.Seat> order = new ArrayList<>();
        boolean any = true;
        while (any) {
            any = false;
            for (FillSpace.Seat seat : alike) {
                if (left.get(seat.choice().id()) > 0) {
                    left.merge(seat.choice().id(), -1, Integer::sum);
                    order.add(seat);
                    any = true;
                }
            }
        }
        return order;
    }
}
