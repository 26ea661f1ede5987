package idlebough.app.site;

import idlebough.app.store.TestRow;
import idlebough.app.web.Svg;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.FallCurve;
import idlebough.core.site.TestHole;
import java.util.List;

/**
 * How the level falls in time: as read, as it would in this hole, and as the same soil would let it fall in a barrel
 * and
 * in a V of the same width. Page units of a chart 560 wide and 300 high.
 *
 * @param hours the chart's width in time
 * @param read the readings
 * @param own the curve of this hole
 * @param barrel and vee: the same soil in other holes
 */
public record HoleCurves(
        double hours,
        double depth,
        List<Dot> read,
        String own,
        String barrel,
        String vee,
        double barrelHours,
        double veeHours) {
    private static final double WIDE = 560;
    private static final double HIGH = 300;
    private static final double ROOM = 1.05;

    /** A reading on the chart. */
    public record Dot(double x, double y) {}

    /** Null without a rate. */
    static HoleCurves of(TestRow row) {
        DrainageTest test = row.test();
        DrainageRate rate = test.rate();
        if (rate == null || rate.kMmPerHour() <= 0) {
            return null;
        }
        double depth = row.hole().depth();
        double k = FallCurve.metresPerHour(rate);
        FallCurve barrel = FallCurve.full(new TestHole.Cylinder(row.hole().a()), depth, k);
        FallCurve vee = FallCurve.full(new TestHole.Taper(row.hole().a(), 0, depth), depth, k);
        double hours = ROOM * Math.max(rate.hoursToEmpty(), Math.max(barrel.hours(), vee.hours()));
        List<Dot> read = test.sift().used().stream()
                .map(r -> new Dot(r.minutes() / 60 / hours * WIDE, r.down() / depth * HIGH))
                .toList();
        return new HoleCurves(
                hours,
                depth,
                read,
                path(FallCurve.of(test), hours, depth),
                path(barrel, hours, depth),
                path(vee, hours, depth),
                barrel.hours(),
                vee.hours());
    }

    private static String path(FallCurve curve, double hours, double depth) {
        StringBuilder path = new StringBuilder();
        curve.points()
                .forEach(moment -> path.append(Svg.path(
                        path.isEmpty() ? "M# #" : "L# #",
                        moment.hours() / hours * WIDE,
                        moment.down() / depth * HIGH)));
        return path.toString();
    }
}
