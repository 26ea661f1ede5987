package idlebough.app.home;

import idlebough.app.web.Svg;
import idlebough.core.orchard.ShortRoad;
import java.util.List;

/**
 * The old tree and the two new ones from above, to scale, page units.
 *
 * @param y of the old stem and of the middle between the two
 * @param r of a new crown, full grown
 */
public record ShortDrawing(double oldX, double oldR, double newX, double y, double r, List<Place> fresh) {
    private static final double WIDTH = 726;
    private static final double HEIGHT = 660;
    private static final double RIM = 40;

    /** A new stem. */
    public record Place(double x, double y) {
        public String cross() {
            return Svg.path("M# #h14m-7 -7v14", x - 7, y);
        }
    }

    static ShortDrawing of(ShortRoad road) {
        double spread = road.size().spread();
        double half = road.between() / 2;
        // The two stand one above the other, each as far from the old stem as it must.
        double across = Math.sqrt(Math.max(0, road.fromOld() * road.fromOld() - half * half));
        double wide = road.asked().oldCrown() / 2 + across + spread / 2;
        double high = Math.max(road.asked().oldCrown(), road.between() + spread);
        double scale = Math.min((WIDTH - 2 * RIM) / wide, (HEIGHT - 2 * RIM) / high);
        double oldX = RIM + road.asked().oldCrown() / 2 * scale;
        double newX = oldX + across * scale;
        double y = HEIGHT / 2;
        return new ShortDrawing(
                oldX,
                road.asked().oldCrown() / 2 * scale,
                newX,
                y,
                spread / 2 * scale,
                List.of(new Place(newX, y - half * scale), new Place(newX, y + half * scale)));
    }

    /** The string from the old stem to the upper new one. */
    public String measure() {
        return Svg.path("M# #L# #", oldX, y, newX, fresh.get(0).y());
    }

    public double measureX() {
        return (oldX + newX) / 2;
    }

    public double measureY() {
        return (y + fresh.get(0).y()) / 2 - 12;
    }

    /** The measure between the two. */
    public String apart() {
        return Svg.path("M# #V#", newX, fresh.get(0).y(), fresh.get(1).y());
    }
}
