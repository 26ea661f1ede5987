package idlebough.core.site;

import static idlebough.core.measure.Quantity.TAPE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.hipparchus.exception.MathRuntimeException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.optim.nonlinear.vector.leastsquares.MultivariateJacobianFunction;
import org.hipparchus.util.Pair;

/**
 * A plot measured with tapes alone: sides and diagonals between corners become coordinates.
 *
 * <p>How: corners are found one after the other from two tapes each (trilateration, Bannister & Raymond), trying both
 * sides of the line and keeping the ring that fits the spare tapes best; then all tapes are adjusted together by least
 * squares (Levenberg–Marquardt). With two spare tapes or more, each is left out in turn; when the rest then agree, that
 * tape is the doubtful one (the idea of Baarda 1968). Limits: up to {@value #MOST} corners.
 *
 * @param corners in the order of the ring, first corner at the origin and the first side along +x; empty with a
 * complaint
 * @param lines each tape as read and as the corners now stand
 * @param spare tapes more than were needed; with none nothing checks anything
 * @param misclosure root of the mean square by which the tapes disagree, over the spare ones, m; 0 without spare tapes
 * @param doubtful the tape to read again, where one is
 * @param suspects the tapes any one of which may be the wrong one, when it cannot be told which
 * @param complaint a sentence when there is no answer
 */
public record TapeSurvey(
        List<Point> corners,
        List<MeasuredTape> lines,
        int spare,
        double misclosure,
        Optional<Doubt> doubtful,
        List<Tape> suspects,
        Optional<String> complaint) {
    /** The most corners that are tried. */
    public static final int MOST = 14;

    /** What one person with a cloth tape must expect, m (20 to 30 mm, common practice). */
    public static final double EXPECTED = 0.03;

    private static final Source SOURCE =
            Source.published("least squares of distances; Bannister & Raymond, Surveying", Certainty.SURE);

    /**
     * One tape, level.
     *
     * @param length m
     */
    public record Tape(String from, String to, double length) {
        public String name() {
            return from + "–" + to;
        }
    }

    /**
     * @param adjusted its length between the corners as they now stand, m
     */
    public record MeasuredTape(Tape tape, double adjusted) {
        /** What the adjustment adds to the reading, m. */
        public double correction() {
            return adjusted - tape.length();
        }
    }

    /**
     * A tape that the others contradict.
     *
     * @param others what they say it should read, m
     */
    public record Doubt(Tape tape, double others) {
        public double off() {
            return tape.length() - others;
        }

        /** The kind of slip that it looks like, in words, or an empty string. */
        public String slip() {
            double off = Math.abs(off());
            double whole = Math.rint(off);
            if (whole >= 1 && Math.abs(off - whole) < 0.06) {
                return "It looks like " + (whole == 1 ? "a metre" : Math.round(whole) + " metres") + " miscounted.";
            }
            double digits = Math.rint(off * 10) / 10;
            return digits >= 0.1 && Math.abs(off - digits) < 0.02 && off < 1 ? "It looks like a misread digit." : "";
        }
    }

    /**
     * @param ring the corners' names in the order of the ring
     * @param tapes level lengths
     * @param clockwise which way round the ring goes, seen from above
     */
    public static TapeSurvey of(List<String> ring, List<Tape> tapes, boolean clockwise) {
        Optional<String> complaint = complaint(ring, tapes);
        if (complaint.isPresent()) {
            return none(complaint.get());
        }
        Solver solver = new Solver(ring, tapes, clockwise);
        Point[] corners = solver.solve(-1);
        if (corners == null) {
            return none("These tapes do not fix every corner: each needs two tapes to corners that are fixed "
                    + "already, so measure one more diagonal.");
        }
        int spare = tapes.size() - (2 * ring.size() - 3);
        double squares = solver.squares(corners, -1);
        double misclosure = spare > 0 ? Math.sqrt(squares / spare) : 0;
        List<Doubt> doubts = spare >= 2 && misclosure > EXPECTED * 1.5 ? doubts(solver, ring, tapes, spare) : List.of();
        List<MeasuredTape> lines = tapes.stream()
                .map(tape -> new MeasuredTape(
                        tape, corners[ring.indexOf(tape.from())].distance(corners[ring.indexOf(tape.to())])))
                .toList();
        if (spare == 0) {
            // Nothing checks them, but tapes that do not meet are wrong all the same.
            MeasuredTape worst = lines.stream()
                    .max(Comparator.comparingDouble(line -> Math.abs(line.correction())))
                    .orElseThrow();
            if (Math.abs(worst.correction()) > 3 * EXPECTED) {
                return none("These tapes do not meet: to close the ring "
                        + worst.tape().name() + " and others would have"
                        + " to be changed by up to " + Math.round(100 * Math.abs(worst.correction()))
                        + " cm. Read them again, and measure one more diagonal: it tells which is wrong.");
            }
        }
        return new TapeSurvey(
                List.of(corners),
                lines,
                spare,
                misclosure,
                doubts.size() == 1 ? Optional.of(doubts.get(0)) : Optional.empty(),
                doubts.size() > 1 ? doubts.stream().map(Doubt::tape).toList() : List.of(),
                Optional.empty());
    }

    private static TapeSurvey none(String complaint) {
        return new TapeSurvey(List.of(), List.of(), 0, 0, Optional.empty(), List.of(), Optional.of(complaint));
    }

    /** Every tape without which the others agree; one alone is the wrong one, of several it cannot be told. */
    private static List<Doubt> doubts(Solver solver, List<String> ring, List<Tape> tapes, int spare) {
        Map<Doubt, Double> rests = new LinkedHashMap<>();
        double best = Double.POSITIVE_INFINITY;
        for (int out = 0; out < tapes.size(); out++) {
            Point[] without = solver.solve(out);
            if (without != null) {
                Tape tape = tapes.get(out);
                double rest = Math.sqrt(solver.squares(without, out) / (spare - 1));
                best = Math.min(best, rest);
                rests.put(
                        new Doubt(tape, without[ring.indexOf(tape.from())].distance(without[ring.indexOf(tape.to())])),
                        rest);
            }
        }
        double agree = Math.min(2 * EXPECTED, 1.5 * best + 0.01);
        return rests.entrySet().stream()
                .filter(e -> e.getValue() <= agree)
                .map(Map.Entry::getKey)
                .toList();
    }

    private static Optional<String> complaint(List<String> ring, List<Tape> tapes) {
        int n = ring.size();
        if (n < 3) {
            return Optional.of("A ring needs three corners at least; " + n + " are named.");
        }
        if (n > MOST) {
            return Optional.of("At most " + MOST + " corners can be taped together; there are " + n
                    + ". Measure in two parts, or walk it with a phone.");
        }
        for (Tape tape : tapes) {
            if (!ring.contains(tape.from()) || !ring.contains(tape.to())) {
                return Optional.of("Tape " + tape.name() + " leads to a corner that is not in the ring "
                        + String.join(" ", ring) + ".");
            }
            if (tape.from().equals(tape.to()) || !(tape.length() > 0)) {
                return Optional.of("Tape " + tape.name() + " has no length.");
            }
        }
        for (int a = 0; a < n; a++) {
            for (int b = a + 1; b < n; b++) {
                for (int c = b + 1; c < n; c++) {
                    Optional<String> apart = cannotMeet(tapes, ring.get(a), ring.get(b), ring.get(c));
                    if (apart.isPresent()) {
                        return apart;
                    }
                }
            }
        }
        int needed = 2 * n - 3;
        return tapes.size() < needed
                ? Optional.of(n + " corners need " + needed + " tapes at least, all sides and " + (n - 3)
                        + (n - 3 == 1 ? " diagonal" : " diagonals") + "; there are " + tapes.size()
                        + ". One more would check them.")
                : Optional.empty();
    }

    private static Optional<String> cannotMeet(List<Tape> tapes, String a, String b, String c) {
        List<Optional<Tape>> found = List.of(between(tapes, a, b), between(tapes, b, c), between(tapes, a, c));
        if (found.stream().anyMatch(Optional::isEmpty)) {
            return Optional.empty();
        }
        List<Tape> sides = found.stream()
                .flatMap(Optional::stream)
                .sorted(Comparator.comparingDouble(Tape::length).reversed())
                .toList();
        Tape longest = sides.get(0);
        Tape one = sides.get(1);
        Tape other = sides.get(2);
        return longest.length() > one.length() + other.length() + 3 * EXPECTED
                ? Optional.of("Tapes " + one.name() + " and " + other.name() + " cannot meet: " + longest.name()
                        + " is longer than both together.")
                : Optional.empty();
    }

    private static Optional<Tape> between(List<Tape> tapes, String a, String b) {
        return tapes.stream()
                .filter(t -> t.from().equals(a) && t.to().equals(b) || t.from().equals(b) && t.to().equals(a))
                .findFirst();
    }

    /** The ring laid on the plan: the first corner at a place, the first side along a plan bearing. */
    public List<Point> placed(Point first, double bearing) {
        Point a = corners.get(0);
        Point b = corners.get(1);
        double now = Math.atan2(b.x() - a.x(), b.y() - a.y());
        double turn = Math.toRadians(bearing) - now;
        return corners.stream()
                .map(p -> new Point(
                        first.x() + (p.x() - a.x()) * Math.cos(turn) + (p.y() - a.y()) * Math.sin(turn),
                        first.y() - (p.x() - a.x()) * Math.sin(turn) + (p.y() - a.y()) * Math.cos(turn)))
                .toList();
    }

    public Working working() {
        Working.Builder working = Working.of("How the corners come about")
                .step(
                        "{} tapes for {} corners: {} were needed, {} to spare",
                        Amount.count(lines.size()),
                        Amount.count(corners.size()),
                        Amount.count(2 * corners.size() - 3),
                        Amount.count(spare));
        for (MeasuredTape line : lines) {
            working.step(
                    "{}: {} read, {} between the corners as they now stand",
                    line.tape().name(),
                    Amount.of(line.tape().length(), TAPE),
                    Amount.of(line.adjusted(), TAPE));
        }
        return working.step("The tapes disagree by {} in the mean of the spare ones", Amount.fine(misclosure))
                .step("{} is what one person with a cloth tape must expect", Amount.fine(EXPECTED))
                .sensitive("Most sensitive to long diagonals and to a tape that sags or climbs.")
                .from(SOURCE);
    }

    /** One ring and its tapes, solved with all of them or with one left out. */
    private static final class Solver {
        private final int n;
        private final boolean clockwise;
        private final int[][] ends;
        private final double[] lengths;

        Solver(List<String> ring, List<Tape> tapes, boolean clockwise) {
            this.n = ring.size();
            this.clockwise = clockwise;
            this.ends = tapes.stream()
                    .map(t -> new int[] {ring.indexOf(t.from()), ring.indexOf(t.to())})
                    .toArray(int[][]::new);
            this.lengths = tapes.stream().mapToDouble(Tape::length).toArray();
        }

        /** Null when the corners are not fixed. */
        Point[] solve(int leftOut) {
            Best best = new Best();
            Map<Integer, Double> fromFirst = tapesOf(0, leftOut);
            for (Map.Entry<Integer, Double> base : fromFirst.entrySet()) {
                Point[] placed = new Point[n];
                placed[0] = new Point(0, 0);
                placed[base.getKey()] = new Point(base.getValue(), 0);
                place(placed, leftOut, best);
                if (best.corners != null) {
                    break;
                }
            }
            if (best.corners == null) {
                return null;
            }
            return upright(adjusted(best.corners, leftOut));
        }

        private static final class Best {
            private Point[] corners;
            private double misfit = Double.POSITIVE_INFINITY;
            private double area;
        }

        private Map<Integer, Double> tapesOf(int corner, int leftOut) {
            Map<Integer, Double> found = new HashMap<>();
            for (int t = 0; t < ends.length; t++) {
                if (t != leftOut && ends[t][0] == corner) {
                    found.putIfAbsent(ends[t][1], lengths[t]);
                } else if (t != leftOut && ends[t][1] == corner) {
                    found.putIfAbsent(ends[t][0], lengths[t]);
                }
            }
            return found;
        }

        /** Places the corner with the most tapes to placed ones, on either side of its widest base, and goes on. */
        private void place(Point[] placed, int leftOut, Best best) {
            int next = -1;
            int most = 1;
            for (int i = 0; i < n; i++) {
                if (placed[i] == null) {
                    int known = (int) tapesOf(i, leftOut).keySet().stream()
                            .filter(k -> placed[k] != null)
                            .count();
                    if (known > most) {
                        most = known;
                        next = i;
                    }
                }
            }
            if (next < 0) {
                for (Point point : placed) {
                    if (point == null) {
                        return;
                    }
                }
                weigh(placed, leftOut, best);
                return;
            }
            Map<Integer, Double> tapes = tapesOf(next, leftOut);
            List<Integer> known =
                    tapes.keySet().stream().filter(k -> placed[k] != null).toList();
            int a = known.get(0);
            int b = known.get(1);
            for (int i : known) {
                for (int j : known) {
                    if (placed[i].distance(placed[j]) > placed[a].distance(placed[b])) {
                        a = i;
                        b = j;
                    }
                }
            }
            for (int side : new int[] {1, -1}) {
                placed[next] = apex(placed[a], placed[b], tapes.get(a), tapes.get(b), side);
                if (misfit(placed, leftOut) < best.misfit + 1 || best.corners == null) {
                    place(placed, leftOut, best);
                }
                placed[next] = null;
            }
        }

        private static Point apex(Point a, Point b, double fromA, double fromB, int side) {
            double base = Math.max(1e-6, a.distance(b));
            double along = (fromA * fromA - fromB * fromB + base * base) / (2 * base);
            double off = side * Math.sqrt(Math.max(0, fromA * fromA - along * along));
            double ux = (b.x() - a.x()) / base;
            double uy = (b.y() - a.y()) / base;
            return new Point(a.x() + along * ux - off * uy, a.y() + along * uy + off * ux);
        }

        /** Sum of the absolute misfits of the tapes between placed corners. */
        private double misfit(Point[] placed, int leftOut) {
            double sum = 0;
            for (int t = 0; t < ends.length; t++) {
                if (t != leftOut && placed[ends[t][0]] != null && placed[ends[t][1]] != null) {
                    sum += Math.abs(placed[ends[t][0]].distance(placed[ends[t][1]]) - lengths[t]);
                }
            }
            return sum;
        }

        private void weigh(Point[] placed, int leftOut, Best best) {
            List<Point> ring = List.of(placed);
            double misfit = misfit(placed, leftOut) + (Plot.complaint(ring).isEmpty() ? 0 : 1000);
            double area = Math.abs(signedArea(placed));
            if (misfit < best.misfit - 0.005 || misfit < best.misfit + 0.005 && area > best.area) {
                best.corners = placed.clone();
                best.misfit = misfit;
                best.area = area;
            }
        }

        private static double signedArea(Point[] ring) {
            double twice = 0;
            for (int i = 0; i < ring.length; i++) {
                Point p = ring[i];
                Point q = ring[(i + 1) % ring.length];
                twice += p.x() * q.y() - q.x() * p.y();
            }
            return twice / 2;
        }

        private Point[] adjusted(Point[] start, int leftOut) {
            int used = lengths.length - (leftOut >= 0 ? 1 : 0);
            double[] target = new double[used];
            int[][] pair = new int[used][];
            int k = 0;
            for (int t = 0; t < lengths.length; t++) {
                if (t != leftOut) {
                    target[k] = lengths[t];
                    pair[k++] = ends[t];
                }
            }
            double[] guess = new double[2 * n];
            for (int i = 0; i < n; i++) {
                guess[2 * i] = start[i].x();
                guess[2 * i + 1] = start[i].y();
            }
            MultivariateJacobianFunction distances = at -> {
                double[] value = new double[used];
                double[][] slope = new double[used][2 * n];
                for (int i = 0; i < used; i++) {
                    int a = pair[i][0];
                    int b = pair[i][1];
                    double dx = at.getEntry(2 * b) - at.getEntry(2 * a);
                    double dy = at.getEntry(2 * b + 1) - at.getEntry(2 * a + 1);
                    double d = Math.max(1e-9, Math.hypot(dx, dy));
                    value[i] = d;
                    slope[i][2 * a] = -dx / d;
                    slope[i][2 * b] = dx / d;
                    slope[i][2 * a + 1] = -dy / d;
                    slope[i][2 * b + 1] = dy / d;
                }
                return new Pair<>(new ArrayRealVector(value, false), new Array2DRowRealMatrix(slope, false));
            };
            try {
                double[] found = new LevenbergMarquardtOptimizer()
                        .optimize(new LeastSquaresBuilder()
                                .start(guess)
                                .model(distances)
                                .target(target)
                                .maxEvaluations(400)
                                .maxIterations(400)
                                .build())
                        .getPoint()
                        .toArray();
                Point[] corners = new Point[n];
                for (int i = 0; i < n; i++) {
                    corners[i] = new Point(found[2 * i], found[2 * i + 1]);
                }
                return corners;
            } catch (MathRuntimeException unsettled) {
                // The tapes contradict each other so badly that no rest is found; the trilaterated ring shows it.
                return start;
            }
        }

        /** Turned so that the first side runs along +x, and mirrored when the ring goes the other way round. */
        private Point[] upright(Point[] ring) {
            boolean mirror = signedArea(ring) > 0 == clockwise;
            double turn = Math.atan2(ring[1].y() - ring[0].y(), ring[1].x() - ring[0].x());
            List<Point> turned = new ArrayList<>();
            for (Point p : ring) {
                double dx = p.x() - ring[0].x();
                double dy = p.y() - ring[0].y();
                double x = dx * Math.cos(turn) + dy * Math.sin(turn);
                double y = dy * Math.cos(turn) - dx * Math.sin(turn);
                turned.add(new Point(x, mirror ? -y : y));
            }
            return turned.toArray(Point[]::new);
        }

        double squares(Point[] corners, int leftOut) {
            double sum = 0;
            for (int t = 0; t < ends.length; t++) {
                if (t != leftOut) {
                    double off = corners[ends[t][0]].distance(corners[ends[t][1]]) - lengths[t];
                    sum += off * off;
                }
            }
            return sum;
        }
    }
}
