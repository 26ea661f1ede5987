package idlebough.core.layout;

import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.List;

/**
 * The side of a plot from whose two ends every peg is found: the lowest one on the plan, so that two people look at the
 * plot from it; of sides that lie alike the longer.
 *
 * @param p its western end
 * @param q its eastern end
 */
public record BaseLine(Point p, Point q) {
    /** A shorter side is no base line, m. */
    private static final double SHORTEST = 3;

    private static final double LARGEST_SQUARE = 3;

    /** A metre of length outweighs a centimetre of height. */
    private static final double LENGTH_COUNTS = 0.01;

    public static BaseLine of(Plot plot) {
        List<Point> corners = plot.corners();
        int best = 0;
        double lowest = Double.POSITIVE_INFINITY;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            double low = a.y() + b.y() - LENGTH_COUNTS * a.distance(b);
            if (low < lowest && a.distance(b) > SHORTEST) {
                lowest = low;
                best = i;
            }
        }
        Point a = corners.get(best);
        Point b = corners.get((best + 1) % corners.size());
        return a.x() <= b.x() ? new BaseLine(a, b) : new BaseLine(b, a);
    }

    public double length() {
        return p.distance(q);
    }

    /**
     * A right angle at P by three lengths of 3, 4 and 5 units (Euclid I.48), as large as the base line and two people with
     * tapes allow.
     *
     * @param along the base line, m
     * @param across square to it, m
     * @param diagonal between their ends, m
     */
    public record Square(double along, double across, double diagonal) {}

    /** @param unit of the tapes, m: a metre or a yard */
    public Square square(double unit) {
        double times = Math.max(1, Math.min(LARGEST_SQUARE, Math.floor(length() / (4 * unit))));
        return new Square(4 * times * unit, 3 * times * unit, 5 * times * unit);
    }

    public TwoTapes tapes(Point peg) {
        return TwoTapes.of(p, q, peg);
    }
}
