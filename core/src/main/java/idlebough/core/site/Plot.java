package idlebough.core.site;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.locationtech.jts.algorithm.Distance;
import org.locationtech.jts.algorithm.RayCrossingCounter;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.valid.IsValidOp;

/**
 * The ground: one ring of corners in local metres, x east and y north.
 */
public final class Plot {
    private static final GeometryFactory GEOMETRY = new GeometryFactory();
    private static final double ODD = 2.8;
    private final List<Point> corners;
    private final Coordinate[] ring;
    private final Polygon polygon;

    private Plot(List<Point> corners) {
        this.corners = List.copyOf(corners);
        ring = Stream.concat(corners.stream(), corners.stream().limit(1))
                .map(corner -> new Coordinate(corner.x(), corner.y()))
                .toArray(Coordinate[]::new);
        this.polygon = GEOMETRY.createPolygon(ring);
    }

    /** @throws IllegalArgumentException with a sentence for the grower, as {@link #complaint} gives it */
    public static Plot of(List<Point> corners) {
        complaint(corners).ifPresent(complaint -> {
            throw new IllegalArgumentException(complaint);
        });
        return new Plot(corners);
    }

    public static Plot rectangle(double east, double north) {
        return of(List.of(new Point(0, 0), new Point(east, 0), new Point(east, north), new Point(0, north)));
    }

    /** Why these corners make no plot, if they make none. */
    public static Optional<String> complaint(List<Point> corners) {
        if (corners.size() < 3) {
            return Optional.of("A plot needs at least three corners; there are " + corners.size() + ".");
        }
        if (corners.stream()
                .anyMatch(c -> !Double.isFinite(c.x())
                        || !Double.isFinite(c.y())
                        || Math.abs(c.x()) > 20_000
                        || Math.abs(c.y()) > 20_000)) {
            return Optional.of(
                    "A corner lies more than 20 km from the origin; the corners are metres east and north of it.");
        }
        Plot plot = new Plot(corners);
        if (plot.polygon.convexHull().getArea() < 1) {
            return Optional.of("These corners enclose less than one square metre.");
        }
        if (!new IsValidOp(plot.polygon).isValid()) {
            return Optional.of(
                    "The boundary crosses itself; give the corners in the order in which you would walk them.");
        }
        if (plot.area() < 1) {
            return Optional.of("These corners enclose less than one square metre.");
        }
        return Optional.empty();
    }

    /**
     * The corner that was perhaps read in feet and written as metres: about 3.28 times as far from the others' middle
     * as
     * they are in the mean. Its index.
     */
    public static OptionalInt oddCorner(List<Point> corners) {
        if (corners.size() < 4) {
            return OptionalInt.empty();
        }
        for (int i = 0; i < corners.size(); i++) {
            int index = i;
            List<Point> others = java.util.stream.IntStream.range(0, corners.size())
                    .filter(j -> j != index)
                    .mapToObj(corners::get)
                    .toList();
            Point middle = new Point(
                    others.stream().mapToDouble(Point::x).average().orElse(0),
                    others.stream().mapToDouble(Point::y).average().orElse(0));
            double reach =
                    others.stream().mapToDouble(o -> o.distance(middle)).max().orElse(0);
            if (corners.get(i).distance(middle) > ODD * reach) {
                return OptionalInt.of(i);
            }
        }
        return OptionalInt.empty();
    }

    public List<Point> corners() {
        return corners;
    }

    /** m². */
    public double area() {
        return polygon.getArea();
    }

    public boolean holds(Point point) {
        return RayCrossingCounter.locatePointInRing(Shapes.coordinate(point), ring) != Location.EXTERIOR;
    }

    /** Distance to the nearest boundary line, m, from inside or outside. */
    public double distanceToBoundary(Point point) {
        Coordinate at = Shapes.coordinate(point);
        double nearest = Double.POSITIVE_INFINITY;
        for (int i = 0; i + 1 < ring.length; i++) {
            nearest = Math.min(nearest, Distance.pointToSegment(at, ring[i], ring[i + 1]));
        }
        return nearest;
    }

    public double west() {
        return box().getMinX();
    }

    public double east() {
        return box().getMaxX();
    }

    public double south() {
        return box().getMinY();
    }

    public double north() {
        return box().getMaxY();
    }

    private Envelope box() {
        return polygon.getEnvelopeInternal();
    }

    /** The bearing of the longest side, degrees clockwise from north, 0 to 180: the natural direction of the rows. */
    public double longestSideBearing() {
        double best = -1;
        double bearing = 90;
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            if (a.distance(b) > best + 1e-9) {
                best = a.distance(b);
                bearing = (Math.toDegrees(Math.atan2(b.x() - a.x(), b.y() - a.y())) + 360) % 180;
            }
        }
        return bearing;
    }

    /** Plots are equal when their corners are. */
    @Override
    public boolean equals(Object other) {
        return other instanceof Plot plot && plot.corners.equals(corners);
    }

    @Override
    public int hashCode() {
        return corners.hashCode();
    }
}
