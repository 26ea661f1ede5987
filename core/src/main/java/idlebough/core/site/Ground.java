package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.List;
import java.util.Optional;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * The lie of the ground: a plane through spot heights by least squares, and the bumps over it; or a fall and a
 * direction
 * as they were given.
 *
 * <p>Shadows and figures use the plane. Cold air uses {@link #height}, which adds to the plane what the spots stand
 * above
 * or below it, weighted by the inverse square of their distance (Shepard 1968).
 *
 * @param east rise per metre to the plan's east
 * @param north rise per metre to the plan's north
 * @param level of the plane at the origin, m
 * @param spots the measured heights, empty when fall and direction were given
 * @param misfits of the spots from the plane, m, in the order of the spots
 */
public record Ground(double east, double north, double level, List<Spot> spots, List<Double> misfits) {
    /** A measured height, m over any one level. */
    public record Spot(Point place, double height) {}

    /** Flat ground. */
    public static final Ground LEVEL = new Ground(0, 0, 0, List.of(), List.of());

    /**
     * @param percent fall in metres per hundred
     * @param aspect true bearing towards which it falls
     * @param rotation true bearing of the plan's y axis
     */
    public static Ground falling(double percent, double aspect, double rotation) {
        double towards = Math.toRadians(aspect - rotation);
        return new Ground(
                -percent / 100 * Math.sin(towards), -percent / 100 * Math.cos(towards), 0, List.of(), List.of());
    }

    /** The plane through at least three spots that do not stand in one line; none when they are fewer or do. */
    public static Optional<Ground> through(List<Spot> spots) {
        if (spots.size() < 3) {
            return Optional.empty();
        }
        double[][] rows = new double[spots.size()][];
        double[] heights = new double[spots.size()];
        for (int i = 0; i < rows.length; i++) {
            rows[i] = new double[] {
                1, spots.get(i).place().x(), spots.get(i).place().y()
            };
            heights[i] = spots.get(i).height();
        }
        QRDecomposition solved = new QRDecomposition(new Array2DRowRealMatrix(rows), 1e-9);
        if (!solved.getSolver().isNonSingular() || inOneLine(spots)) {
            return Optional.empty();
        }
        RealVector plane = solved.getSolver().solve(new ArrayRealVector(heights));
        List<Double> misfits = spots.stream()
                .map(spot -> spot.height()
                        - plane.getEntry(0)
                        - plane.getEntry(1) * spot.place().x()
                        - plane.getEntry(2) * spot.place().y())
                .toList();
        return Optional.of(new Ground(
                plane.getEntry(1), plane.getEntry(2), plane.getEntry(0), List.copyOf(spots), List.copyOf(misfits)));
    }

    private static boolean inOneLine(List<Spot> spots) {
        var hull = Shapes.FACTORY
                .createMultiPointFromCoords(spots.stream()
                        .map(s -> Shapes.coordinate(s.place()))
                        .toArray(org.locationtech.jts.geom.Coordinate[]::new))
                .convexHull();
        return hull.getDimension() < 2 || hull.getArea() < 0.001 * hull.getLength() * hull.getLength();
    }

    /** Fall in metres per hundred. */
    public double slope() {
        return 100 * Math.hypot(east, north);
    }

    /** Plan bearing towards which it falls, degrees; 0 on level ground. */
    public double aspect() {
        return slope() < 1e-9 ? 0 : (Math.toDegrees(Math.atan2(-east, -north)) + 360) % 360;
    }

    /** Plan bearing across the fall, 0 to 180 degrees: rows that run so hold water and soil. */
    public double across() {
        return (aspect() + 90) % 180;
    }

    /** Rise along a plan bearing, as a tangent; negative where it falls. */
    public double rise(double bearing) {
        double turn = Math.toRadians(bearing);
        return east * Math.sin(turn) + north * Math.cos(turn);
    }

    /** Height of the surface, m. */
    public double height(Point at) {
        double plane = level + east * at.x() + north * at.y();
        double weights = 0;
        double bumps = 0;
        for (int i = 0; i < spots.size(); i++) {
            double d = spots.get(i).place().distance(at);
            if (d < 0.01) {
                return spots.get(i).height();
            }
            weights += 1 / (d * d);
            bumps += misfits.get(i) / (d * d);
        }
        return weights == 0 ? plane : plane + bumps / weights;
    }

    /** Root mean square of the misfits, m; 0 without spots. */
    public double roughness() {
        return misfits.isEmpty()
                ? 0
                : Math.sqrt(misfits.stream().mapToDouble(m -> m * m).average().orElse(0));
    }

    /** How the fall comes about. */
    public Working working() {
        if (spots.isEmpty()) {
            return Working.of("The fall as it was given, {}", Amount.of(slope(), Quantity.SLOPE))
                    .step("Three spot heights or more would measure it.")
                    .from(Source.measured("given by you"));
        }
        return Working.of("How {} comes about", Amount.of(slope(), Quantity.SLOPE))
                .step("A plane laid through {} spot heights by least squares", Amount.count(spots.size()))
                .step(
                        "rises {} to the plan’s east and {} to its north in a hundred",
                        Amount.of(100 * east, Quantity.SLOPE),
                        Amount.of(100 * north, Quantity.SLOPE))
                .step("√ of the sum of their squares = {}", Amount.of(slope(), Quantity.SLOPE))
                .step("The spots stand {} off the plane, in the mean", Amount.fine(roughness()))
                .sensitive("Most sensitive to the spots furthest from the middle.")
                .from(Source.published("least squares plane, any book of adjustment", Certainty.SURE));
    }
}
