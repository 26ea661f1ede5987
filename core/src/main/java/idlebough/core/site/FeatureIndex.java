package idlebough.core.site;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.index.strtree.STRtree;
import org.locationtech.jts.operation.distance.DistanceOp;

/** The features of a ground with their outlines made once, found by place through a JTS STR-tree. Thread-safe. */
public final class FeatureIndex {
    private final STRtree index = new STRtree();
    private final boolean empty;
    private final double widest;

    /**
     * A feature with its outline.
     *
     * @param rank in the order of the features
     */
    public record Placed(Feature feature, Geometry geometry, int rank) {
        public double distance(Point place) {
            return geometry.distance(Shapes.point(place));
        }

        /** To the box around it, m: never more than the distance. */
        public double boxDistance(Point place) {
            return geometry.getEnvelopeInternal().distance(new Envelope(place.x(), place.x(), place.y(), place.y()));
        }

        /** The point of its line, or of the edge of its area, that is nearest to a place. */
        public Point edgeNearest(Point place) {
            Geometry edge = geometry.getDimension() == 2 ? geometry.getBoundary() : geometry;
            Coordinate near = DistanceOp.nearestPoints(edge, Shapes.point(place))[0];
            return new Point(near.x, near.y);
        }
    }

    public FeatureIndex(List<Feature> features) {
        double reach = 0;
        for (int i = 0; i < features.size(); i++) {
            Feature feature = features.get(i);
            Placed placed = new Placed(feature, feature.geometry(), i);
            index.insert(placed.geometry().getEnvelopeInternal(), placed);
            double crown = feature.size().crown().orElse(0.0) / 2;
            reach = Math.max(reach, Math.max(feature.stands(), feature.keepsClear() + crown) + feature.thick());
        }
        index.build();
        empty = features.isEmpty();
        widest = reach;
    }

    /** How far at most a feature reaches: by its height, or by its clearance and crown, m. */
    public double widest() {
        return widest;
    }

    /** Those within a distance, and some more near it, in the order of the features. */
    public List<Placed> near(Point place, double distance) {
        List<Placed> found = new ArrayList<>();
        if (!empty) {
            Envelope box = new Envelope(
                    place.x() - distance, place.x() + distance, place.y() - distance, place.y() + distance);
            index.query(box, item -> found.add((Placed) item));
            found.sort(Comparator.comparingInt(Placed::rank));
        }
        return found;
    }
}
