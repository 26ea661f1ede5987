package idlebough.core.layout;

import static idlebough.core.measure.Quantity.TAPE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Point;

/**
 * Finding a peg with two tapes from two fixed points P and Q (plane surveying, as in Bannister & Raymond).
 *
 * @param fromP and fromQ: tape readings on the level, m
 * @param apex angle between the tapes at the peg, degrees
 * @param expectedError of the peg's place, m, one standard deviation
 * @param right whether the peg lies to the right when looking from P to Q
 */
public record TwoTapes(double fromP, double fromQ, double apex, double expectedError, boolean right) {
    /** A tape pulled by one person: 2 cm (common practice 2–3). */
    public static final double TAPE_SIGMA = 0.02;

    private static final double WEAK_BELOW = 30;
    private static final double WEAK_ABOVE = 150;
    private static final Source SOURCE =
            Source.published("plane surveying, Bannister & Raymond; tape error is common practice", Certainty.SURE);

    public static TwoTapes of(Point p, Point q, Point peg) {
        double base = p.distance(q);
        double ux = (q.x() - p.x()) / base;
        double uy = (q.y() - p.y()) / base;
        double x = (peg.x() - p.x()) * ux + (peg.y() - p.y()) * uy;
        double y = -(peg.x() - p.x()) * uy + (peg.y() - p.y()) * ux;
        double a = Math.hypot(x, y);
        double c = Math.hypot(x - base, y);
        double cosine = a == 0 || c == 0 ? 1 : (a * a + c * c - base * base) / (2 * a * c);
        double apex = Math.toDegrees(Math.acos(Math.max(-1, Math.min(1, cosine))));
        return new TwoTapes(a, c, apex, error(base, a, c, x, Math.abs(y), TAPE_SIGMA, TAPE_SIGMA, 0)[2], y < 0);
    }

    /** A peg's place from its tapes. @param east metres along the base from P, @param north metres off it */
    public record Fix(double east, double north, double sigmaEast, double sigmaNorth, double sigma) {}

    /** @param side 1 left of the base looking from P to Q, −1 right */
    public static Fix fix(double base, double a, double c, int side, double sigmaA, double sigmaC, double sigmaBase) {
        double x = (a * a - c * c + base * base) / (2 * base);
        double y = Math.sqrt(Math.max(0, a * a - x * x));
        double[] errors = error(base, a, c, x, y, sigmaA, sigmaC, sigmaBase);
        return new Fix(x, side * y, errors[0], errors[1], errors[2]);
    }

    private static double[] error(double b, double a, double c, double x, double y, double sa, double sc, double sb) {
        double ex = Math.sqrt(sq(a / b * sa) + sq(c / b * sc) + sq((b - x) / b * sb));
        double ey = Math.sqrt(sq(a * (b - x) * sa) + sq(c * x * sc) + sq(x * (b - x) * sb)) / (b * y);
        return new double[] {ex, ey, Math.hypot(ex, ey)};
    }

    private static double sq(double value) {
        return value * value;
    }

    /** Whether the tapes cross at a good angle. */
    public boolean good() {
        return apex >= WEAK_BELOW && apex <= WEAK_ABOVE;
    }

    public Working working(double base) {
        return Working.of("How {} and {} come about", Amount.of(fromP, TAPE), Amount.of(fromQ, TAPE))
                .step("base line P to Q {}", Amount.of(base, TAPE))
                .step("Pythagoras from each end on the level")
                .step(
                        "the tapes cross at {}: {}",
                        Amount.of(apex, Quantity.BEARING),
                        good() ? "a good angle" : "a weak angle, tape from a third point as a check")
                .step("each tape true to {}, so the peg to {}", Amount.fine(TAPE_SIGMA), Amount.fine(expectedError))
                .sensitive("Most sensitive to a tape that is not level, and near the base line to both tapes.")
                .from(SOURCE);
    }
}
