package idlebough.app.web;

import idlebough.core.measure.UnitSystem;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;

/**
 * A drawing to scale: the one place where metres become page units (x to the right, y down).
 *
 * @param width and height of the page, units
 * @param scale units per metre
 * @param left and bottom: page position of the origin
 */
public record Sheet(double width, double height, double scale, double left, double bottom) {

    private static final double[] METRES = {0.1, 0.2, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000};
    private static final double RIM = 70;
    private static final double FOOT = 0.3048;
    /** Three and six inches, then feet; in metres. */
    private static final double[] FEET = DoubleStream.of(
                    0.25, 0.5, 1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000, 5000)
            .map(feet -> feet * FOOT)
            .toArray();

    private static final double LEAST_BAR = 60;

    /** A plot fitted with a rim for what is written round it. */
    public static Sheet of(Plot plot, double width, double height) {
        return of(plot, width, height, RIM);
    }

    /** @param rim left free all round, units */
    public static Sheet of(Plot plot, double width, double height, double rim) {
        double scale = Math.min(
                (width - 2 * rim) / Math.max(1, plot.east() - plot.west()),
                (height - 2 * rim - 10) / Math.max(1, plot.north() - plot.south()));
        double left = (width - scale * (plot.east() - plot.west())) / 2 - scale * plot.west();
        double bottom = height - (height - scale * (plot.north() - plot.south())) / 2 + scale * plot.south() - 6;
        return new Sheet(width, height, scale, left, bottom);
    }

    public double x(double metres) {
        return left + scale * metres;
    }

    public double y(double metres) {
        return bottom - scale * metres;
    }

    /** Moves what is drawn round 0 to a place, as SVG wants it. */
    public String at(Point place) {
        return Svg.translate(x(place.x()), y(place.y()));
    }

    /** A scale bar from 0, with strokes at both ends. */
    public String barPath(double metres) {
        return Svg.path("M0 0v8m0 -4h#m0 -4v8", size(metres));
    }

    public double size(double metres) {
        return scale * metres;
    }

    public String points(List<Point> points) {
        return points.stream()
                .map(p -> String.format(Locale.ROOT, "%.1f,%.1f", x(p.x()), y(p.y())))
                .collect(Collectors.joining(" "));
    }

    /** A length, round in the reader's units, that is 60 to 200 units long on this sheet: the scale bar, m. */
    public double bar(UnitSystem system) {
        double[] bars = system == UnitSystem.US ? FEET : METRES;
        for (double length : bars) {
            if (length * scale >= LEAST_BAR) {
                return length;
            }
        }
        return bars[bars.length - 1];
    }
}
