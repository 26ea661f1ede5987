package idlebough.core.layout;

import idlebough.core.judge.RuleTable;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.List;
import java.util.Optional;

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

    /** The longer leg of the smallest 3-4-5 that is laid out, in metres or yards. */
    static final double SQUARE_LEG = 4;

    private static final double LARGEST_SQUARE = 3;
    private static final double PACE = RuleTable.of("layout").value("pace");

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

    /** A pace of most people, m. */
    public double pace() {
        return PACE;
    }

    /** How many paces it is about; they are out by a tenth and set no peg. */
    public long paces() {
        return Math.round(length() / PACE);
    }

    /**
     * A right angle at P by three lengths of 3, 4 and 5 units (Euclid I.48), as large as the base line and two people
     * with
     * tapes allow.
     *
     * @param along the base line, m
     * @param across square to it, m
     * @param diagonal between their ends, m
     */
    public record Square(double along, double across, double diagonal) {}

    /** @param unit of the tapes, m: a metre or a yard */
    public Square square(double unit) {
        double times = Math.max(1, Math.min(LARGEST_SQUARE, Math.floor(length() / (SQUARE_LEG * unit))));
        return new Square(SQUARE_LEG * times * unit, 3 * times * unit, 5 * times * unit);
    }

    /**
     * Where two tapes meet.
     *
     * @param fromP and fromQ: m on the level
     * @param right whether the place lies to the right when looking from P to Q
     * @return empty where tapes of these lengths cannot meet
     */
    public Optional<Point> meet(double fromP, double fromQ, boolean right) {
        double base = length();
        if (fromP + fromQ < base || Math.abs(fromP - fromQ) > base) {
            return Optional.empty();
        }
        TwoTapes.Fix fix = TwoTapes.fix(base, fromP, fromQ, right ? -1 : 1, 0, 0, 0);
        return Optional.of(at(fix.east(), fix.north()));
    }

    /** @param along the base line from P, @param across to the left of it, m */
    private Point at(double along, double across) {
        double ux = (q.x() - p.x()) / length();
        double uy = (q.y() - p.y()) / length();
        return new Point(p.x() + along * ux - across * uy, p.y() + along * uy + across * ux);
    }

    public TwoTapes tapes(Point peg) {
        return TwoTapes.of(p, q, peg);
    }
}
