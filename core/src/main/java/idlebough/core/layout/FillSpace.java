package idlebough.core.layout;

import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.PlaceIndex;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.variety.Choice;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.IntStream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.linearref.LengthIndexedLine;

/**
 * Where a plot lets trees stand: inside, off its boundary, clear of what is drawn on it and of the trees that keep
 * their
 * place. Each of these can be left out, to see what it costs.
 *
 * @see PlotFill
 */
final class FillSpace {
    /** Steps in which a row is looked along where a place is not free, m. */
    private static final double STEP = 0.25;

    private static final double SLACK = 1e-6;
    private static final int STARTS = 16;
    private static final int COARSE_STARTS = 3;
    private static final int LATTICES = 10;
    private static final int COARSE_LATTICES = 4;
    private final Plot plot;
    private final PlotFill.Wish wish;
    private final boolean margin;
    private final List<PlannedTree> standing;
    private final PlaceIndex<PlannedTree> index;
    private final double widestStanding;
    private final FeatureIndex features;
    private final Optional<String> leftOut;
    private final int starts;
    private final Map<Double, Inset> insets = new ConcurrentHashMap<>();

    /** A tree that wants a place. */
    record Seat(Choice choice, Clearance.Grown tree) {
        double spread() {
            return tree.size().spread();
        }

        double depth() {
            return tree.size().depth();
        }
    }

    private FillSpace(
            Plot plot,
            PlotFill.Wish wish,
            boolean margin,
            List<PlannedTree> standing,
            FeatureIndex features,
            Optional<String> leftOut,
            int starts) {
        this.plot = plot;
        this.wish = wish;
        this.margin = margin;
        this.standing = standing;
        this.features = features;
        this.leftOut = leftOut;
        this.starts = starts;
        index = PlaceIndex.of(standing, PlannedTree::place);
        widestStanding = standing.stream()
                .mapToDouble(tree -> tree.size().spread())
                .max()
                .orElse(0);
    }

    static FillSpace of(Plot plot, PlotFill.Wish wish, List<PlannedTree> standing, FeatureIndex features) {
        return new FillSpace(plot, wish, true, standing, features, Optional.empty(), STARTS);
    }

    PlotFill.Wish wish() {
        return wish;
    }

    /** The same looked at from fewer first rows: less work, for comparing. */
    FillSpace coarse() {
        return new FillSpace(plot, wish, margin, standing, features, leftOut, COARSE_STARTS);
    }

    FillSpace withoutMargin() {
        return new FillSpace(plot, wish, false, standing, features, leftOut, starts);
    }

    FillSpace withoutStanding() {
        return new FillSpace(plot, wish, margin, List.of(), features, leftOut, starts);
    }

    FillSpace withoutAlley() {
        return new FillSpace(plot, wish.close(), margin, standing, features, leftOut, starts);
    }

    FillSpace without(Feature feature) {
        return new FillSpace(plot, wish, margin, standing, features, Optional.of(feature.id()), starts);
    }

    private double bearing() {
        return wish.bearing().orElseGet(plot::longestSideBearing);
    }

    private double fromBoundary(Seat seat) {
        return margin
                // What stands along a wall or fence is as near the boundary as that is.
                ? Math.max(
                        wish.along().isPresent() ? 0 : wish.margin(),
                        LayoutRules.fromBoundary(seat.tree().size()))
                : 0;
    }

    private boolean free(Point at, Seat seat) {
        return insets.computeIfAbsent(fromBoundary(seat), metres -> new Inset(plot, metres))
                        .holds(at)
                && leavesRoom(at, seat)
                && Clearance.blocking(at, seat.tree(), features)
                        .filter(feature -> !leftOut.equals(Optional.of(feature.id())))
                        .isEmpty();
    }

    /** Whether standing trees leave room for another. */
    private boolean leavesRoom(Point at, Seat seat) {
        return index.near(at, (widestStanding + seat.spread()) / 2)
                .allMatch(tree -> tree.place().distance(at)
                        >= tree.reach(at) + seat.tree().size().reach(tree.bearingOf(at) - bearing()));
    }

    /** Features that keep a tree off some place of its lattice. */
    List<Feature> blocking(List<Seat> seats) {
        Seat widest = seats.get(0);
        Map<String, Feature> found = new LinkedHashMap<>();
        for (Point at : points(widest.spread())) {
            Clearance.blocking(at, widest.tree(), features)
                    .ifPresent(feature -> found.putIfAbsent(feature.id(), feature));
        }
        return List.copyOf(found.values());
    }

    private List<Point> points(double pitch) {
        return RowFill.lattice(plot, 0, plot.corners().get(0), bearing(), RowFill.Pattern.SQUARE, pitch, pitch).stream()
                .map(RowFill.Place::at)
                .toList();
    }

    /** Trees of one width on a lattice. */
    List<PlotFill.Placed> lattice(List<Seat> seats, double spread) {
        boolean closed = wish.pattern() == RowFill.Pattern.TRIANGLE
                && wish.alley() == 0
                && !seats.get(0).tree().size().flat();
        List<RowFill.Place> places = RowFill.best(
                plot,
                fromBoundary(seats.get(0)),
                bearing(),
                wish.pattern(),
                spread,
                closed ? RowFill.hexPitch(spread) : seats.get(0).depth() + wish.alley(),
                starts == STARTS ? LATTICES : COARSE_LATTICES,
                place -> free(place, seats.get(0)));
        List<PlotFill.Placed> placed = new ArrayList<>();
        Choice ofRow = null;
        int row = -1;
        for (RowFill.Place place : places) {
            if (placed.size() == seats.size()) {
                break;
            }
            Choice next = seats.get(placed.size()).choice();
            if (place.row() != row) {
                row = place.row();
                ofRow = next;
            }
            if (wish.mixing() != PlotFill.Mixing.ROWS || next.equals(ofRow)) {
                placed.add(new PlotFill.Placed(next, place));
            }
        }
        return placed;
    }

    /**
     * Trees of several widths in rows: along a row the next stands as soon as half of both widths and the ground allow;
     * the next row an alley beyond half of both rows' widest. Of the places of the first row that are tried the one
     * that places most
     * trees, in fewest rows.
     */
    List<PlotFill.Placed> rows(List<Seat> seats) {
        Courses courses = wish.pattern() == RowFill.Pattern.CONTOUR
                ? ContourRows.of(plot, wish.ground())
                : Courses.straight(plot, bearing());
        double pitch = seats.get(0).depth() + wish.alley();
        List<List<PlotFill.Placed>> found = IntStream.range(0, starts)
                .parallel()
                .mapToObj(i -> rows(seats, courses, courses.low() + pitch * i / starts))
                .toList();
        // The first of equals, so that the answer does not depend on who was ready first.
        List<PlotFill.Placed> best = found.get(0);
        for (List<PlotFill.Placed> other : found) {
            best = other.size() > best.size() || other.size() == best.size() && rowsOf(other) < rowsOf(best)
                    ? other
                    : best;
        }
        return best;
    }

    static int rowsOf(List<PlotFill.Placed> placed) {
        return placed.isEmpty() ? 0 : placed.get(placed.size() - 1).place().row() + 1;
    }

    private List<PlotFill.Placed> rows(List<Seat> seats, Courses courses, double first) {
        List<PlotFill.Placed> placed = new ArrayList<>();
        int row = 0;
        int rowBefore = 0;
        for (double across = first; across <= courses.high() && placed.size() < seats.size(); ) {
            int before = placed.size();
            boolean paired = wish.pattern() == RowFill.Pattern.DOUBLE && row % 2 == 1;
            boolean shifted = paired || wish.pattern() == RowFill.Pattern.TRIANGLE && row % 2 == 1;
            boolean bent = wish.pattern() == RowFill.Pattern.CONTOUR;
            Courses.Course course = courses.at(across);
            double along = course.from() + (shifted ? seats.get(before).spread() / 2 : 0);
            while (along <= course.to() && placed.size() < seats.size() && goesOn(seats, before, placed.size())) {
                Seat seat = seats.get(placed.size());
                // Where a row bends, its own trees come nearer to each other than along it.
                List<PlotFill.Placed> near = bent
                        ? placed.subList(rowBefore, placed.size())
                        : paired ? placed.subList(rowBefore, before) : List.of();
                int begun = rowBefore;
                Optional<Point> at =
                        course.at(along).filter(place -> free(place, seat) && clears(place, seat, near, seats, begun));
                if (at.isPresent()) {
                    placed.add(new PlotFill.Placed(
                            seat.choice(), new RowFill.Place(row, placed.size() - before, at.get())));
                    double next = placed.size() < seats.size()
                            ? (seat.spread() + seats.get(placed.size()).spread()) / 2
                            : 0;
                    along += bent ? Math.max(STEP, next / 2) : next;
                } else {
                    along += STEP;
                }
            }
            if (placed.size() == before) {
                across += STEP;
            } else if (placed.size() < seats.size()) {
                double widest = seats.subList(before, placed.size()).stream()
                        .mapToDouble(Seat::depth)
                        .max()
                        .orElseThrow();
                double next = (widest + seats.get(placed.size()).depth()) / 2;
                boolean pair = wish.pattern() == RowFill.Pattern.DOUBLE && row % 2 == 0;
                across += pair ? RowFill.hexPitch(next) : next + wish.alley();
                rowBefore = before;
                row++;
            }
        }
        return placed;
    }

    /** Whether the row may take its next tree: any, or only one of the variety with which it began. */
    private boolean goesOn(List<Seat> seats, int begun, int next) {
        return wish.mixing() != PlotFill.Mixing.ROWS
                || seats.get(next).choice().equals(seats.get(begun).choice());
    }

    /** Whether trees that were placed just before leave room. */
    private static boolean clears(
            Point at, Seat seat, List<PlotFill.Placed> partners, List<Seat> seats, int firstOfThem) {
        for (int i = 0; i < partners.size(); i++) {
            double both = (seat.spread() + seats.get(firstOfThem + i).spread()) / 2;
            if (partners.get(i).place().at().distance(at) < both - SLACK) {
                return false;
            }
        }
        return true;
    }

    /** Trees along a feature, on the side on which more find a place. */
    List<PlotFill.Placed> along(List<Seat> seats, Feature feature) {
        Geometry drawn = feature.geometry();
        Geometry line = drawn.getDimension() == 2 ? drawn.getBoundary() : drawn;
        if (line.getLength() == 0) {
            return List.of();
        }
        LengthIndexedLine course = new LengthIndexedLine(line);
        List<PlotFill.Placed> left = along(seats, feature, course, 1);
        List<PlotFill.Placed> right = along(seats, feature, course, -1);
        return right.size() > left.size() ? right : left;
    }

    private List<PlotFill.Placed> along(List<Seat> seats, Feature feature, LengthIndexedLine course, int side) {
        List<PlotFill.Placed> placed = new ArrayList<>();
        double at = course.getStartIndex();
        while (at <= course.getEndIndex() && placed.size() < seats.size()) {
            Seat seat = seats.get(placed.size());
            Coordinate stem = course.extractPoint(at, side * off(seat, feature));
            Point place = new Point(stem.x, stem.y);
            if (free(place, seat) && clears(place, seat, placed, seats, 0)) {
                placed.add(new PlotFill.Placed(seat.choice(), new RowFill.Place(0, placed.size(), place)));
                at += seat.spread() / 2;
            } else {
                at += STEP;
            }
        }
        return placed;
    }

    /** How far off a feature's line a tree stands: clearly as far as is wanted of it. */
    private static double off(Seat seat, Feature feature) {
        return Clearance.wanted(seat.tree(), feature)
                .map(limit -> limit.value()
                        + limit.halfWidth()
                        + Clearance.measured(0).halfWidth())
                .orElse(feature.thick() / 2 + seat.depth() / 2);
    }
}
