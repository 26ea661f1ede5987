package idlebough.core.site;

import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Polygon;
import org.locationtech.jts.operation.buffer.BufferOp;
import org.locationtech.jts.operation.buffer.BufferParameters;

/** Between points of a plan and JTS. */
public final class Shapes {
    static final GeometryFactory FACTORY = new GeometryFactory();

    private Shapes() {}

    static Coordinate coordinate(Point point) {
        return new Coordinate(point.x(), point.y());
    }

    public static org.locationtech.jts.geom.Point point(Point point) {
        return FACTORY.createPoint(coordinate(point));
    }

    public static LineString line(List<Point> points) {
        return FACTORY.createLineString(points.stream().map(Shapes::coordinate).toArray(Coordinate[]::new));
    }

    /** @param ring corners in order, the first not repeated */
    public static Polygon polygon(List<Point> ring) {
        return FACTORY.createPolygon(Stream.concat(ring.stream(), ring.stream().limit(1))
                .map(Shapes::coordinate)
                .toArray(Coordinate[]::new));
    }

    /** A line made as wide as it is, with square ends that stop at its ends. */
    static Geometry strip(List<Point> points, double width) {
        BufferParameters flat = new BufferParameters(
                4, BufferParameters.CAP_FLAT, BufferParameters.JOIN_MITRE, BufferParameters.DEFAULT_MITRE_LIMIT);
        return BufferOp.bufferOp(line(points), width / 2, flat);
    }

    /** The corners of a geometry's outer ring, the end not repeated. */
    static List<Point> ring(Geometry geometry) {
        Coordinate[] all = geometry instanceof Polygon polygon
                ? polygon.getExteriorRing().getCoordinates()
                : geometry.getCoordinates();
        int n = all.length > 1 && all[0].equals2D(all[all.length - 1]) ? all.length - 1 : all.length;
        return Arrays.stream(all).limit(n).map(c -> new Point(c.x, c.y)).toList();
    }
}
