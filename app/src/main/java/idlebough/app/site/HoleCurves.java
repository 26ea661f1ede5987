package idlebough.app.site;

import idlebough.core.site.DrainageRate;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.TestHole;
import java.util.List;
import java.util.Locale;

/**
 * How the level falls in time: as read, as it would in this hole, and as the same soil would let it fall in a barrel and in
 * a V of the same width. Page units of a chart 560 wide and 300 high.
 *
 * @param hours the chart's width in time
 * @param read the readings as points
 * @param own the curve of this hole
 * @param barrel and vee: the same soil in other holes
 */
public record HoleCurves(
        double hours,
        double depth,
        List<double[]> read,
        String own,
        String barrel,
        String vee,
        double barrelHours,
        double veeHours) {
    private static final double WIDE = 560;
    private static final double HIGH = 300;

    /** Null without a rate. */
    static HoleCurves of(Filling row) {
        DrainageTest test = row.test();
        DrainageRate rate = test.rate();
        if (rate == null || rate.kMmPerHour() <= 0) {
            return null;
        }
        double k = rate.kMmPerHour() / 1000;
        TestHole barrel = new TestHole.Cylinder(row.a());
        TestHole vee = new TestHole.Taper(row.a(), 0, row.depth());
        double barrelHours = barrel.infiltrated(row.depth(), 0) / k;
        double veeHours = vee.infiltrated(row.depth(), 0) / k;
        double hours = 1.05 * Math.max(rate.hoursToEmpty(), Math.max(barrelHours, veeHours));
        List<double[]> read = test.sift().used().stream()
                .map(r -> new double[] {r.minutes() / 60 / hours * WIDE, r.down() / row.depth() * HIGH})
                .toList();
        return new HoleCurves(
                hours,
                row.depth(),
                read,
                curve(
                        test.hole(),
                        row.depth(),
                        k,
                        hours,
                        start(test, k),
                        test.sift().used().get(0).down()),
                curve(barrel, row.depth(), k, hours, 0, 0),
                curve(vee, row.depth(), k, hours, 0, 0),
                barrelHours,
                veeHours);
    }

    /** Hours before the full hole's zero at which the first reading's level is passed. */
    private static double start(DrainageTest test, double k) {
        DrainageTest.Reading first = test.sift().used().get(0);
        return first.minutes() / 60 - test.hole().infiltrated(test.depth(), test.depth() - first.down()) / k;
    }

    private static String curve(TestHole hole, double depth, double k, double hours, double offset, double from) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i <= 40; i++) {
            double level = (depth - from) * (1 - i / 40.0);
            double at = offset + hole.infiltrated(depth, level) / k;
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(String.format(Locale.ROOT, "%.1f %.1f", at / hours * WIDE, (depth - level) / depth * HIGH));
        }
        return path.toString();
    }
}
