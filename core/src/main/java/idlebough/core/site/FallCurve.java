package idlebough.core.site;

import java.util.ArrayList;
import java.util.List;

/**
 * How the level of a hole falls in time in a soil of one rate, by the inverse auger hole method (van Hoorn 1979).
 *
 * @param points hours since the hole was full, and the depth of the level below the stick, m
 */
public record FallCurve(List<Moment> points) {
    private static final int STEPS = 40;

    /** @param down from the stick, m */
    public record Moment(double hours, double down) {}

    /**
     * Of a hole that is full when the clock starts.
     *
     * @param metresPerHour through all wetted surface
     */
    public static FallCurve full(TestHole hole, double depth, double metresPerHour) {
        return from(hole, depth, metresPerHour, 0, 0);
    }

    /** Of a test's own hole, from its first reading that is used; the test must have a rate. */
    public static FallCurve of(DrainageTest test) {
        double k = metresPerHour(test.rate());
        DrainageTest.Reading first = test.sift().used().get(0);
        double before = first.minutes() / 60 - test.hole().infiltrated(test.depth(), test.depth() - first.down()) / k;
        return from(test.hole(), test.depth(), k, before, first.down());
    }

    public static double metresPerHour(DrainageRate rate) {
        return rate.kMmPerHour() / 1000;
    }

    private static FallCurve from(TestHole hole, double depth, double k, double offset, double from) {
        List<Moment> points = new ArrayList<>();
        for (int i = 0; i <= STEPS; i++) {
            double level = (depth - from) * (1 - (double) i / STEPS);
            points.add(new Moment(offset + hole.infiltrated(depth, level) / k, depth - level));
        }
        return new FallCurve(List.copyOf(points));
    }

    /** Hours until the hole is empty. */
    public double hours() {
        return points.get(points.size() - 1).hours();
    }
}
