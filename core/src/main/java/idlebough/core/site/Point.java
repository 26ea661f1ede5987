package idlebough.core.site;

/** A place on the plan: metres east and north of the plot's origin. */
public record Point(double x, double y) {
    public double distance(Point other) {
        return Math.hypot(x - other.x, y - other.y);
    }
}
