package idlebough.core.layout;

import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Shapes;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.linearref.LengthIndexedLine;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * Rows that bend with the ground: one runs level through the middle of the plot, the others keep their distance from
 * it, so that an alley is as wide at its end as at its beginning (common practice: one key line is levelled out, the
 * rest are laid parallel to it).
 */
final class ContourRows implements Courses {
    private static final double STEP = 1;
    /** The fall is read over so much ground, so that a single bump does not turn the row, m. */
    private static final double REACH = 3;
    /** Less fall than this has no direction: the row goes straight on. */
    private static final double LEVEL = 0.002;

    private static final double SMOOTH = 0.05;
    /** The line goes beyond the plot, so that rows beside it have something to follow. */
    private static final double BEYOND = 1.5;

    private final Geometry key;
    private final double low;
    private final double high;

    private ContourRows(Geometry key, double low, double high) {
        this.key = key;
        this.low = low;
        this.high = high;
    }

    static ContourRows of(Plot plot, Ground ground) {
        Coordinate middle = Shapes.polygon(plot.corners()).getInteriorPoint().getCoordinate();
        Point start = new Point(middle.x, middle.y);
        double far = plot.corners().stream().mapToDouble(start::distance).max().orElseThrow();
        Deque<Point> line = new ArrayDeque<>();
        line.add(start);
        double across = Math.toRadians(ground.across());
        walk(ground, start, across, far).forEach(line::addLast);
        walk(ground, start, across + Math.PI, far).forEach(line::addFirst);
        Geometry key = DouglasPeuckerSimplifier.simplify(Shapes.line(List.copyOf(line)), SMOOTH);
        double reach = plot.corners().stream()
                .mapToDouble(corner -> key.distance(Shapes.point(corner)))
                .max()
                .orElseThrow();
        return new ContourRows(key, -reach, reach);
    }

    /** Level on from a place, until it has left the plot or come round. @param heading radians clockwise from north */
    private static List<Point> walk(Ground ground, Point start, double heading, double far) {
        List<Point> walked = new ArrayList<>();
        Point at = start;
        double towards = heading;
        for (double gone = 0; gone < 4 * far && at.distance(start) < BEYOND * far; gone += STEP) {
            double half = level(ground, at, towards);
            towards = level(ground, on(at, half, STEP / 2), half);
            at = on(at, towards, STEP);
            walked.add(at);
            if (gone > 2 * REACH && at.distance(start) < REACH) {
                break;
            }
        }
        return walked;
    }

    private static Point on(Point from, double heading, double metres) {
        return new Point(from.x() + metres * Math.sin(heading), from.y() + metres * Math.cos(heading));
    }

    /** The direction in which the ground neither rises nor falls, of the two that nearer to the one until now. */
    private static double level(Ground ground, Point at, double until) {
        double east =
                (ground.height(new Point(at.x() + REACH, at.y())) - ground.height(new Point(at.x() - REACH, at.y())))
                        / (2 * REACH);
        double north =
                (ground.height(new Point(at.x(), at.y() + REACH)) - ground.height(new Point(at.x(), at.y() - REACH)))
                        / (2 * REACH);
        if (Math.hypot(east, north) < LEVEL) {
            return until;
        }
        double across = Math.atan2(-north, east);
        return Math.cos(across - until) >= 0 ? across : across + Math.PI;
    }

    @Override
    public double low() {
        return low;
    }

    @Override
    public double high() {
        return high;
    }

    @Override
    public Course at(double across) {
        return new Bent(key, new LengthIndexedLine(key), across);
    }

    private record Bent(Geometry key, LengthIndexedLine line, double across) implements Course {
        @Override
        public double from() {
            return 0;
        }

        @Override
        public double to() {
            return line.getEndIndex();
        }

        @Override
        public Optional<Point> at(double along) {
            // To the right of the line is further across, as with straight rows.
            Coordinate side = line.extractPoint(along, -across);
            Point at = new Point(side.x, side.y);
            // On the inner side of a bend a row so far off would fold over itself.
            return key.distance(Shapes.point(at)) < Math.abs(across) - SMOOTH ? Optional.empty() : Optional.of(at);
        }
    }
}
