package idlebough.core.site;

/**
 * The shape of a drainage-test hole. Water leaves through the bottom and the walls alike, so the same soil gives other
 * readings in another hole; {@link #infiltrated} takes the hole out of the reading.
 *
 * <p>How: the inverse auger-hole equation −A dh/dt = K·W (van Hoorn 1979; Ritzema 1994, ILRI Publ. 16) integrated for
 * each shape. All lengths in metres, all levels are depths of water above the bottom.
 */
public sealed interface TestHole {

    /** I = ∫(A/W) dh from the lower to the higher level, m; the rate through the walls is I over the time. */
    double infiltrated(double higher, double lower);

    /** Straight sides, round: “barrel”. */
    record Cylinder(double diameter) implements TestHole {
        @Override
        public double infiltrated(double higher, double lower) {
            double half = diameter / 4;
            return half * Math.log((higher + half) / (lower + half));
        }
    }

    /** Straight sides, rectangular. */
    record Box(double length, double width) implements TestHole {
        @Override
        public double infiltrated(double higher, double lower) {
            double m = length * width / (2 * (length + width));
            return m * Math.log((higher + m) / (lower + m));
        }
    }

    /** Narrower at the bottom; bottom 0 is a V. */
    record Taper(double top, double bottom, double depth) implements TestHole {
        @Override
        public double infiltrated(double higher, double lower) {
            double rb = bottom / 2;
            double s = (top / 2 - rb) / depth;
            double c = Math.sqrt(1 + s * s);
            if (rb == 0) {
                return (higher - lower) * s / c;
            }
            if (s == 0) {
                return new Cylinder(bottom).infiltrated(higher, lower);
            }
            double b = rb * Math.sqrt(1 - s / c);
            double u0 = rb + s * higher;
            double u1 = rb + s * lower;
            return (u0 - u1 + b / 2 * Math.log((u0 - b) * (u1 + b) / ((u0 + b) * (u1 - b)))) / c;
        }
    }
}
