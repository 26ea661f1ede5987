package idlebough.core.site;

import java.util.List;
import java.util.Optional;

/** Whether points make a feature of a kind. */
public final class Drawable {
    private static final double FAR = 20_000;
    private static final double SHORTEST = 0.05;
    private static final double SMALLEST = 0.05;

    private Drawable() {}

    /** Why these points make no such feature, if they make none. */
    public static Optional<String> complaint(Feature.Kind kind, List<Point> points) {
        Feature.Shape shape = kind.shape();
        if (points.size() < shape.least()) {
            return Optional.of("A " + kind.words() + " needs "
                    + (shape == Feature.Shape.POINT
                            ? "a place"
                            : "at least " + (shape == Feature.Shape.LINE ? "two" : "three") + " points")
                    + (points.isEmpty() ? "; none is given." : "; there are " + points.size() + "."));
        }
        if (points.stream()
                .anyMatch(p -> !Double.isFinite(p.x())
                        || !Double.isFinite(p.y())
                        || Math.abs(p.x()) > FAR
                        || Math.abs(p.y()) > FAR)) {
            return Optional.of("A point lies more than 20 km from the origin.");
        }
        if (shape == Feature.Shape.POINT && points.size() > 1) {
            return Optional.of("A " + kind.words() + " has one place; there are " + points.size() + ".");
        }
        if (shape == Feature.Shape.LINE && Shapes.line(points).getLength() < SHORTEST) {
            return Optional.of("This line has no length.");
        }
        if (shape == Feature.Shape.AREA) {
            if (Shapes.polygon(points).convexHull().getArea() < SMALLEST) {
                return Optional.of("This encloses nothing.");
            }
            if (!Shapes.polygon(points).isValid()) {
                return Optional.of(
                        "The outline crosses itself; give its corners in the order in which you would walk them.");
            }
        }
        return Optional.empty();
    }
}
