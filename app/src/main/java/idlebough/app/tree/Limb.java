package idlebough.app.tree;

import java.util.Random;

/** A piece of wood: points from its foot on, with its thickness there; metres, y up. */
final class Limb {
    private final double[][] points;
    private double end;

    private Limb(int pieces) {
        points = new double[pieces + 1][];
    }

    /**
     * How a limb grows.
     *
     * @param angle from straight up, degrees, right positive
     * @param bend what it turns over its length, degrees
     * @param wobble of each piece, degrees
     */
    record Way(double angle, double length, double bend, double wobble, int pieces) {
        static Way straight(double length, double wobble) {
            return new Way(0, length, 0, wobble, 10);
        }

        static Way of(double angle, double length, double bend) {
            return new Way(angle, length, bend, 5, 7);
        }

        Way wobbling(double degrees) {
            return new Way(angle, length, bend, degrees, pieces);
        }

        Way of(int other) {
            return new Way(angle, length, bend, wobble, other);
        }
    }

    /** @param thick and thin: at its foot and at its tip, m */
    static Limb grow(Random random, double x, double y, Way way, double thick, double thin) {
        Limb limb = new Limb(way.pieces());
        double angle = way.angle();
        double east = x;
        double up = y;
        limb.points[0] = new double[] {x, y, thick};
        for (int i = 1; i <= way.pieces(); i++) {
            angle += way.bend() / way.pieces() + (random.nextDouble() - 0.5) * way.wobble() * 2;
            east += Math.sin(Math.toRadians(angle)) * way.length() / way.pieces();
            up += Math.cos(Math.toRadians(angle)) * way.length() / way.pieces();
            limb.points[i] = new double[] {east, up, thick + (thin - thick) * i / way.pieces()};
        }
        limb.end = angle;
        return limb;
    }

    /** x, y and thickness at a share of its length. */
    double[] at(double share) {
        double place = share * (points.length - 1);
        int i = Math.min(points.length - 2, (int) place);
        double rest = place - i;
        double[] found = new double[3];
        for (int k = 0; k < 3; k++) {
            found[k] = points[i][k] + (points[i + 1][k] - points[i][k]) * rest;
        }
        return found;
    }

    double[][] points() {
        return points;
    }

    double[] tip() {
        return points[points.length - 1];
    }

    /** The way it looks at its tip, degrees from straight up. */
    double end() {
        return end;
    }
}
