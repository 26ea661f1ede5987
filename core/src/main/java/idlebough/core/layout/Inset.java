package idlebough.core.layout;

import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.algorithm.locate.PointOnGeometryLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import org.locationtech.jts.geom.Location;

/**
 * The part of a plot that keeps a margin from its boundary, asked of many places: most are told at once from two
 * polygons
 * drawn in, a hand wider and a hand narrower than the margin; only those between them are measured.
 */
final class Inset {
    private static final double SLACK = 1e-6;
    /** More than what the arcs of a polygon drawn in are rounded by, as a share of the margin. */
    private static final double ROUNDED = 0.02;

    private static final double LEAST = 0.01;
    private final Plot plot;
    private final double margin;
    private final PointOnGeometryLocator surely;
    private final PointOnGeometryLocator perhaps;

    /** @param margin m, not negative */
    Inset(Plot plot, double margin) {
        this.plot = plot;
        this.margin = margin;
        Coordinate[] ring = new Coordinate[plot.corners().size() + 1];
        for (int i = 0; i < ring.length; i++) {
            Point corner = plot.corners().get(i % plot.corners().size());
            ring[i] = new Coordinate(corner.x(), corner.y());
        }
        Geometry area = new GeometryFactory().createPolygon(ring);
        double hand = Math.max(LEAST, margin * ROUNDED);
        surely = locator(area.buffer(-margin - hand));
        perhaps = locator(area.buffer(hand - margin));
    }

    private static PointOnGeometryLocator locator(Geometry area) {
        return area.isEmpty() ? at -> Location.EXTERIOR : new IndexedPointInAreaLocator(area);
    }

    /** Whether a place is inside and at least the margin from every edge, to a thousandth of a millimetre. */
    boolean holds(Point at) {
        Coordinate place = new Coordinate(at.x(), at.y());
        if (surely.locate(place) == Location.INTERIOR) {
            return true;
        }
        if (perhaps.locate(place) == Location.EXTERIOR) {
            return false;
        }
        double edge = plot.distanceToBoundary(at);
        return (plot.holds(at) || edge <= SLACK) && edge >= margin - SLACK;
    }
}
