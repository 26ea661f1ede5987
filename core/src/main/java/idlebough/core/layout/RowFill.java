package idlebough.core.layout;

import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;

/**
 * Places of a planting pattern inside a plot: a lattice through an anchor at a bearing, points kept when inside and at
 * least the margin from every edge (10⁻⁶ m slack). Numbering: rows from the first row pitch on, places along the
 * row.
 */
public final class RowFill {
    private static final double HEX_PITCH = 0.8660254037844386;

    private RowFill() {}

    /** How rows stand to each other. */
    public enum Pattern {
        SQUARE("square: places face each other"),
        TRIANGLE("triangle: each row shifted by half a space"),
        DOUBLE("double rows: pairs shifted by half a space, an alley between the pairs"),
        CONTOUR("bent rows: level along the slope, with even alleys"),
        ALONG("along a wall, fence or path");
        private final String words;

        Pattern(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** @param row counted from 0, @param place in the row counted from 0 */
    public record Place(int row, int place, Point at) {}

    /**
     * @param margin from the boundary to a stem, m
     * @param anchor a point of the lattice
     * @param bearing of the rows, degrees clockwise from north
     * @param inRow from stem to stem, m; must be positive
     * @param rowPitch from row to row, m; must be positive
     */
    public static List<Place> lattice(
            Plot plot, double margin, Point anchor, double bearing, Pattern pattern, double inRow, double rowPitch) {
        return lattice(plot, new Inset(plot, margin), anchor, bearing, pattern, inRow, rowPitch);
    }

    private static List<Place> lattice(
            Plot plot, Inset inset, Point anchor, double bearing, Pattern pattern, double inRow, double rowPitch) {
        double angle = Math.toRadians(bearing);
        double ux = Math.sin(angle);
        double uy = Math.cos(angle);
        double vx = Math.sin(angle + Math.PI / 2);
        double vy = Math.cos(angle + Math.PI / 2);
        double iLow = Double.POSITIVE_INFINITY;
        double iHigh = Double.NEGATIVE_INFINITY;
        double jLow = Double.POSITIVE_INFINITY;
        double jHigh = Double.NEGATIVE_INFINITY;
        for (Point corner : plot.corners()) {
            double dx = corner.x() - anchor.x();
            double dy = corner.y() - anchor.y();
            double along = (dx * ux + dy * uy) / inRow;
            double across = (dx * vx + dy * vy) / rowPitch;
            iLow = Math.min(iLow, along);
            iHigh = Math.max(iHigh, along);
            jLow = Math.min(jLow, across);
            jHigh = Math.max(jHigh, across);
        }
        List<Place> places = new ArrayList<>();
        int row = 0;
        for (int j = (int) Math.floor(jLow) - 1; j <= Math.ceil(jHigh) + 1; j++) {
            double shift = pattern == Pattern.TRIANGLE && Math.floorMod(j, 2) == 1 ? 0.5 : 0;
            int place = 0;
            for (int i = (int) Math.floor(iLow) - 1; i <= Math.ceil(iHigh) + 1; i++) {
                Point at = new Point(
                        anchor.x() + (i + shift) * inRow * ux + j * rowPitch * vx,
                        anchor.y() + (i + shift) * inRow * uy + j * rowPitch * vy);
                if (inset.holds(at)) {
                    places.add(new Place(row, place++, at));
                }
            }
            if (place > 0) {
                row++;
            }
        }
        return places;
    }

    /** The row pitch of equal triangles. */
    public static double hexPitch(double spacing) {
        return HEX_PITCH * spacing;
    }

    /**
     * The fill that holds most trees among so many by so many positions of the lattice, of those places that are free;
     * the first of equals.
     *
     * @param steps positions each way
     * @param free whether a place may be taken
     */
    public static List<Place> best(
            Plot plot,
            double margin,
            double bearing,
            Pattern pattern,
            double inRow,
            double rowPitch,
            int steps,
            Predicate<Point> free) {
        List<Place> best = List.of();
        Inset inset = new Inset(plot, margin);
        double angle = Math.toRadians(bearing);
        for (int a = 0; a < steps; a++) {
            for (int b = 0; b < steps; b++) {
                double along = inRow * a / steps;
                double across = rowPitch * b / steps;
                Point anchor = new Point(
                        plot.corners().get(0).x() + along * Math.sin(angle) + across * Math.cos(angle),
                        plot.corners().get(0).y() + along * Math.cos(angle) - across * Math.sin(angle));
                List<Place> all = lattice(plot, inset, anchor, bearing, pattern, inRow, rowPitch);
                if (all.size() > best.size()) {
                    List<Place> found =
                            all.stream().filter(place -> free.test(place.at())).toList();
                    best = found.size() > best.size() ? found : best;
                }
            }
        }
        return best;
    }

    /** A1, A2 … B1: the label of a place. */
    public static String label(int row, int place) {
        StringBuilder letters = new StringBuilder();
        for (int r = row; r >= 0; r = r / 26 - 1) {
            letters.insert(0, (char) ('A' + r % 26));
        }
        return letters.append(place + 1).toString();
    }
}
