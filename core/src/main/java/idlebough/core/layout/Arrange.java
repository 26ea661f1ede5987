package idlebough.core.layout;

import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Several places moved together; each list comes back in the order in which it was given. */
public final class Arrange {
    private Arrange() {}

    public static Point middle(List<Point> places) {
        return new Point(
                places.stream().mapToDouble(Point::x).average().orElseThrow(),
                places.stream().mapToDouble(Point::y).average().orElseThrow());
    }

    /** @param east and north: m */
    public static List<Point> shifted(List<Point> places, double east, double north) {
        return places.stream()
                .map(at -> new Point(at.x() + east, at.y() + north))
                .toList();
    }

    /** About their middle. @param degrees clockwise */
    public static List<Point> turned(List<Point> places, double degrees) {
        Point about = middle(places);
        double cos = Math.cos(Math.toRadians(degrees));
        double sin = Math.sin(Math.toRadians(degrees));
        return places.stream()
                .map(at -> {
                    double dx = at.x() - about.x();
                    double dy = at.y() - about.y();
                    return new Point(about.x() + dx * cos + dy * sin, about.y() - dx * sin + dy * cos);
                })
                .toList();
    }

    /**
     * On the straight line that passes them most closely (total least squares, Pearson 1901), the outermost where they
     * are and the others at even distances between, in their order along it.
     */
    public static List<Point> aligned(List<Point> places) {
        Point about = middle(places);
        double xx = 0;
        double xy = 0;
        double yy = 0;
        for (Point at : places) {
            double dx = at.x() - about.x();
            double dy = at.y() - about.y();
            xx += dx * dx;
            xy += dx * dy;
            yy += dy * dy;
        }
        double turn = Math.atan2(2 * xy, xx - yy) / 2;
        List<Double> along = places.stream()
                .map(at -> (at.x() - about.x()) * Math.cos(turn) + (at.y() - about.y()) * Math.sin(turn))
                .toList();
        List<Integer> order = IntStream.range(0, places.size())
                .boxed()
                .sorted(Comparator.comparingDouble(along::get))
                .toList();
        double first = along.get(order.get(0));
        double last = along.get(order.get(order.size() - 1));
        List<Point> aligned = new ArrayList<>(places);
        for (int i = 0; i < order.size(); i++) {
            double at = order.size() == 1 ? first : first + (last - first) * i / (order.size() - 1);
            aligned.set(order.get(i), new Point(about.x() + at * Math.cos(turn), about.y() + at * Math.sin(turn)));
        }
        return aligned;
    }
}
