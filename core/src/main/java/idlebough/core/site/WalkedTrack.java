package idlebough.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.util.GeometryFixer;
import org.locationtech.jts.simplify.DouglasPeuckerSimplifier;

/**
 * A boundary walked with a phone: closed, made simple, and how well it closes.
 *
 * @param corners what is left, the end not repeated
 * @param read points in the track
 * @param closingError from the last point to the first, m
 * @param complaint a sentence when it makes no plot
 */
public record WalkedTrack(List<Point> corners, int read, double closingError, Optional<String> complaint) {
    private static final double STANDING_STILL = 0.5;
    /** Seven hours at four points a second; more is no walk round a plot. */
    private static final int MOST = 100_000;
    /** Loops are cut off rings of so many corners at most: the work grows with the square of their crossings. */
    private static final int MOST_TANGLED = 200;

    private static final double COARSEST = 20;

    /**
     * @param track in the order walked, plan metres
     * @param tolerance corners that stand less than this off the line between their neighbours are left out, m
     * (Douglas &
     *     Peucker 1973)
     */
    public static WalkedTrack of(List<Point> track, double tolerance) {
        if (track.size() < 3) {
            return new WalkedTrack(
                    List.of(),
                    track.size(),
                    0,
                    Optional.of("The track has " + track.size() + (track.size() == 1 ? " point" : " points")
                            + "; a boundary needs three at least."));
        }
        double closing = track.get(0).distance(track.get(track.size() - 1));
        List<Point> moving = new ArrayList<>();
        for (Point point : track) {
            if (moving.isEmpty() || point.distance(moving.get(moving.size() - 1)) >= STANDING_STILL) {
                moving.add(point);
            }
        }
        if (moving.size() > MOST) {
            return new WalkedTrack(
                    List.of(),
                    track.size(),
                    closing,
                    Optional.of("The track has " + moving.size() + " places where you moved on; at most " + MOST
                            + " are read. Thin it, or walk it again with a point every second."));
        }
        if (moving.size() > 3 && moving.get(0).distance(moving.get(moving.size() - 1)) < STANDING_STILL) {
            moving.remove(moving.size() - 1);
        }
        if (moving.size() < 3) {
            return new WalkedTrack(
                    List.of(), track.size(), closing, Optional.of("The track hardly moves; it encloses nothing."));
        }
        List<Point> corners = untangled(moving, tolerance);
        if (corners.size() < 3) {
            return new WalkedTrack(
                    List.of(),
                    track.size(),
                    closing,
                    Optional.of("This boundary encloses less than one square metre."));
        }
        return new WalkedTrack(corners, track.size(), closing, Plot.complaint(corners));
    }

    private static List<Point> simple(List<Point> moving, double tolerance) {
        return Shapes.ring(DouglasPeuckerSimplifier.simplify(Shapes.line(moving), tolerance));
    }

    /**
     * A shaky hand makes small loops: they are cut off when what is left is all but the whole. A very shaky one is looked
     * at more coarsely first.
     */
    private static List<Point> untangled(List<Point> moving, double tolerance) {
        List<Point> corners = simple(moving, tolerance);
        if (corners.size() < 4 || Plot.complaint(corners).isEmpty()) {
            return corners;
        }
        double coarser = Math.max(tolerance, STANDING_STILL);
        while (corners.size() > MOST_TANGLED && coarser < COARSEST) {
            coarser *= 2;
            corners = simple(moving, coarser);
        }
        if (corners.size() > MOST_TANGLED) {
            return corners;
        }
        Geometry fixed = GeometryFixer.fix(Shapes.polygon(corners));
        Geometry largest = fixed;
        for (int i = 0; i < fixed.getNumGeometries(); i++) {
            if (i == 0 || fixed.getGeometryN(i).getArea() > largest.getArea()) {
                largest = fixed.getGeometryN(i);
            }
        }
        return largest.getArea() > 0.95 * fixed.getArea() && largest.getNumPoints() > 3
                ? Shapes.ring(largest)
                : corners;
    }
}
