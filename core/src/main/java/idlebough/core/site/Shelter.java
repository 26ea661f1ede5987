package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.List;
import org.locationtech.jts.geom.Geometry;

/**
 * How much of a wind reaches a place, 1 in the open: what hedges and walls upwind leave of it, by their distance in
 * multiples of their height.
 *
 * <p>Figures: open windbreaks (hedges, trees in line) and closed ones (walls, buildings), after Caborn 1957 and
 * Heisler &
 * DeWalle 1988 as they circulate in extension sheets; from memory, fair. Shelter is of speed at 1 to 2 m above the
 * ground.
 *
 */
public final class Shelter {
    public static final Source SOURCE =
            Source.published("Caborn 1957; Heisler & DeWalle 1988 (windbreaks)", Certainty.FAIR);

    /** A place is called sheltered when at most this share of the wind's speed is left. */
    public static final double SHELTERED = 0.7;

    /** Shelter reaches this many heights downwind as figures go on labels. */
    public static final int REACH = 10;

    private static final double[] HEIGHTS = {0, 2, 5, 10, 15, 20, 30};
    private static final double[] OPEN_BREAK = {0.5, 0.4, 0.35, 0.55, 0.7, 0.85, 1};
    private static final double[] CLOSED_BREAK = {0.3, 0.4, 0.6, 0.9, 0.97, 1, 1};

    private record Break(Geometry footprint, double height, boolean closed) {}

    private final List<Break> breaks;
    private final double windFrom;
    private final double rotation;

    /**
     * @param windFrom true bearing from which it blows
     * @param rotation true bearing of the plan's y axis
     */
    public Shelter(List<Feature> features, double windFrom, double rotation) {
        this.breaks = features.stream()
                .filter(f -> f.kind().casts() && f.kind() != Feature.Kind.TREE && f.isClosed())
                .map(f -> new Break(f.footprint(), f.stands(), f.kind() != Feature.Kind.HEDGE))
                .toList();
        this.windFrom = windFrom;
        this.rotation = rotation;
    }

    public static double left(double heights, boolean closed) {
        double[] table = closed ? CLOSED_BREAK : OPEN_BREAK;
        for (int i = 1; i < HEIGHTS.length; i++) {
            if (heights <= HEIGHTS[i]) {
                double share = (heights - HEIGHTS[i - 1]) / (HEIGHTS[i] - HEIGHTS[i - 1]);
                return table[i - 1] + share * (table[i] - table[i - 1]);
            }
        }
        return 1;
    }

    /** Share of the wind's speed that is left at a place, 0 to 1. */
    public double at(Point place) {
        double bearing = Math.toRadians(windFrom - rotation);
        double least = 1;
        for (Break each : breaks) {
            double reach = 30 * each.height();
            Geometry upwind = Shapes.line(List.of(
                    place, new Point(place.x() + reach * Math.sin(bearing), place.y() + reach * Math.cos(bearing))));
            if (!upwind.getEnvelopeInternal().intersects(each.footprint().getEnvelopeInternal())) {
                continue;
            }
            Geometry met = upwind.intersection(each.footprint());
            if (!met.isEmpty()) {
                least = Math.min(least, left(met.distance(Shapes.point(place)) / each.height(), each.closed()));
            }
        }
        return least;
    }

    /** Share of the plot, 0 to 1, that is sheltered; on a grid of about 400 places. */
    public double share(Plot plot) {
        double step = Math.sqrt((plot.east() - plot.west()) * (plot.north() - plot.south()) / 400);
        int all = 0;
        int sheltered = 0;
        for (double x = plot.west() + step / 2; x < plot.east(); x += step) {
            for (double y = plot.south() + step / 2; y < plot.north(); y += step) {
                Point at = new Point(x, y);
                if (plot.holds(at)) {
                    all++;
                    sheltered += at(at) <= SHELTERED ? 1 : 0;
                }
            }
        }
        return all == 0 ? 0 : (double) sheltered / all;
    }

    /** How the share of the wind at a place comes about. */
    public Working workingAt(Point place) {
        return Working.of("How {} comes about", Amount.of(100 * at(place), Quantity.PERCENT))
                .step(
                        "A line upwind, {} true, to the first hedge, wall or building",
                        Amount.of(windFrom, Quantity.BEARING))
                .step("what that leaves of the wind by its distance in heights; the best of several counts")
                .step("more than {} is open: fruit drops, twigs rub", Amount.of(100 * SHELTERED, Quantity.PERCENT))
                .sensitive("Most sensitive to the height and the density of the break.")
                .from(SOURCE);
    }

    public Working working(double share) {
        return Working.of("How {} comes about", Amount.of(100 * share, Quantity.PERCENT))
                .step(
                        "From every place a line upwind, {} true, to the first hedge, wall or building",
                        Amount.of(windFrom, Quantity.BEARING))
                .step("behind a hedge half of the wind’s speed is left at 10 heights, behind a wall nine tenths")
                .step(
                        "sheltered means at most {} left: {} of the plot",
                        Amount.of(100 * SHELTERED, Quantity.PERCENT),
                        Amount.of(100 * share, Quantity.PERCENT))
                .sensitive("Most sensitive to the height and the density of the break.")
                .from(SOURCE);
    }
}
