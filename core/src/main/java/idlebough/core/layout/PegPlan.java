package idlebough.core.layout;

import idlebough.core.measure.Unit;
import idlebough.core.measure.UnitSystem;
import idlebough.core.site.Feature;
import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * From where every peg is taped with tapes of one length: pairs of fixed points, so few that the stakes seldom move,
 * and
 * such that both tapes reach and cross well; where no fixed points do, from pegs that are set already (plane
 * surveying, as
 * in Bannister & Raymond).
 *
 * @param tape length of the tapes, m
 * @param stations in the order in which they are walked
 * @param beyond trees that no tape of this length reaches
 */
public record PegPlan(double tape, List<Station> stations, List<PlannedTree> beyond) {
    /** Lengths of tapes that people have, m. */
    private static final Map<UnitSystem, List<Double>> TAPES = Map.of(
            UnitSystem.METRIC,
            List.of(8.0, 20.0, 30.0, 50.0),
            UnitSystem.US,
            Stream.of(25, 66, 100, 165).map(Unit.FOOT::toBase).toList());

    private static final int USUAL = 2;
    /** Stakes nearer to each other than this make no base, m. */
    private static final double SHORTEST = 2;

    private static final int MOST_FIXED = 40;
    private static final int MOST_MARKS = 200;
    /** Marks on a side, as a share of the tape: two tapes of it cross well in front of them. */
    private static final double MARKS_APART = 0.6;

    private static final int NEARBY = 12;
    /** Stakes square to a side: how far off it, as a share of the tape, and at most, m. */
    private static final double SQUARE_OFF = 0.4;

    private static final double MOST_OFF = 10;
    private static final int MOST_SQUARES = 120;

    /**
     * A point that is there before the pegs, a mark on a side of the plot, or a peg that is set already.
     *
     * @param mark how it is found, where it is a mark on a side
     * @param error with which it stands, m, one standard deviation
     */
    public record Fixed(String name, Optional<Mark> mark, Point at, double error) {
        Fixed(String name, Point at, double error) {
            this(name, Optional.empty(), at, error);
        }
    }

    /**
     * @param metres from one corner on the line to the next
     * @param off square to that line, into the plot, m; 0 on the line
     */
    public record Mark(String from, String to, double metres, double off) {}

    /**
     * What is taped from one pair of points.
     *
     * @param pegs in the order in which they are walked
     */
    public record Station(Fixed p, Fixed q, List<Peg> pegs) {
        public double base() {
            return p.at().distance(q.at());
        }
    }

    /**
     * One peg from its station.
     *
     * @param tapes on the level
     * @param slopeP and slopeQ: the same along the ground, m
     * @param error of its place, with that of the points it is taped from, m
     */
    public record Peg(PlannedTree tree, TwoTapes tapes, double slopeP, double slopeQ, double error) {
        /** Whether the ground makes a tape longer than the level by a centimetre or more. */
        public boolean slopes() {
            return slopeP - tapes.fromP() >= 0.01 || slopeQ - tapes.fromQ() >= 0.01;
        }
    }

    /** A pair of points and the trees that it reaches. */
    private record Pair(Fixed p, Fixed q, List<PlannedTree> reached, double meanError) {}

    /** Lengths of tapes that are sold, m. */
    public static List<Double> tapes(UnitSystem system) {
        return TAPES.get(system);
    }

    /** The one that most people have, m. */
    public static double usualTape(UnitSystem system) {
        return tapes(system).get(USUAL);
    }

    /** Whether tapes of such a length are sold anywhere. */
    public static boolean isTape(double metres) {
        return TAPES.values().stream().anyMatch(lengths -> lengths.contains(metres));
    }

    /**
     * @param plot its corners are fixed points, the ends of its base line P and Q
     * @param features of which corners of buildings, wells and gates are fixed points
     * @param tape m, positive
     */
    public static PegPlan of(Plot plot, List<Feature> features, Ground ground, List<PlannedTree> trees, double tape) {
        List<Fixed> fixed = new ArrayList<>(fixed(plot, features));
        Set<PlannedTree> left = new LinkedHashSet<>(trees);
        List<Station> stations = new ArrayList<>();
        for (boolean weak : new boolean[] {false, true}) {
            take(fixed, left, stations, ground, tape, weak);
            if (!left.isEmpty() && !weak) {
                fixed.addAll(marks(plot, fixed, tape));
                take(fixed, left, stations, ground, tape, false);
            }
            chain(fixed, left, stations, ground, tape, weak);
            if (!left.isEmpty() && !weak) {
                List<Fixed> square = squares(plot, fixed, tape);
                square.addAll(fixed);
                take(square, left, stations, ground, tape, false);
            }
        }
        return new PegPlan(tape, stations, List.copyOf(left));
    }

    /** Takes the pair that reaches most, again and again. */
    private static void take(
            List<Fixed> fixed,
            Set<PlannedTree> left,
            List<Station> stations,
            Ground ground,
            double tape,
            boolean weak) {
        Optional<Pair> best = best(fixed, left, tape, weak);
        while (best.isPresent()) {
            stations.add(station(best.get(), ground));
            best.get().reached().forEach(left::remove);
            best = best(fixed, left, tape, weak);
        }
    }

    /** Marks on the sides of the plot, so near to each other that tapes reach in from two of them. */
    private static List<Fixed> marks(Plot plot, List<Fixed> fixed, double tape) {
        List<Fixed> marks = new ArrayList<>();
        List<Point> corners = plot.corners();
        double step = tape * MARKS_APART;
        for (int i = 0; i < corners.size() && marks.size() < MOST_MARKS; i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            double length = a.distance(b);
            int bays = 0;
            for (double at = step; at < length - SHORTEST; at += step) {
                double share = at / length;
                Point point = new Point(a.x() + (b.x() - a.x()) * share, a.y() + (b.y() - a.y()) * share);
                String from = name(fixed, a);
                String to = name(fixed, b);
                marks.add(new Fixed(
                        from + "-" + to + " " + ++bays,
                        Optional.of(new Mark(from, to, at, 0)),
                        point,
                        TwoTapes.TAPE_SIGMA * Math.sqrt(bays)));
            }
        }
        return marks;
    }

    /**
     * Stakes square to the sides of the plot: what stands close to a side is crossed well from one of them and a point
     * of that side, where two points of the side cross it badly.
     */
    private static List<Fixed> squares(Plot plot, List<Fixed> fixed, double tape) {
        List<Fixed> square = new ArrayList<>();
        List<Point> corners = plot.corners();
        double off = Math.min(MOST_OFF, tape * SQUARE_OFF);
        double step = Math.min(MOST_OFF, tape * MARKS_APART);
        for (int i = 0; i < corners.size(); i++) {
            Point a = corners.get(i);
            Point b = corners.get((i + 1) % corners.size());
            double length = a.distance(b);
            for (double at = 0; at < length && square.size() < MOST_SQUARES; at += step) {
                for (int side : new int[] {1, -1}) {
                    Point point = new Point(
                            a.x() + ((b.x() - a.x()) * at - side * (b.y() - a.y()) * off) / length,
                            a.y() + ((b.y() - a.y()) * at + side * (b.x() - a.x()) * off) / length);
                    if (plot.holds(point)) {
                        String from = name(fixed, a);
                        String to = name(fixed, b);
                        square.add(new Fixed(
                                from + "-" + to + " square " + (square.size() + 1),
                                Optional.of(new Mark(from, to, at, off)),
                                point,
                                Math.hypot(
                                        Math.sqrt(1 + at / tape) * TwoTapes.TAPE_SIGMA,
                                        off / BaseLine.SQUARE_LEG * TwoTapes.TAPE_SIGMA)));
                    }
                }
            }
        }
        return square;
    }

    private static String name(List<Fixed> fixed, Point corner) {
        return fixed.stream()
                .filter(point -> point.at().equals(corner))
                .map(Fixed::name)
                .findFirst()
                .orElse("the corner");
    }

    /** Goes on from pegs that are set, as long as that reaches more. */
    private static void chain(
            List<Fixed> fixed,
            Set<PlannedTree> left,
            List<Station> stations,
            Ground ground,
            double tape,
            boolean weak) {
        List<Fixed> all = new ArrayList<>(fixed);
        stations.forEach(station -> station.pegs()
                .forEach(peg -> all.add(
                        new Fixed("peg " + peg.tree().label(), peg.tree().place(), peg.error()))));
        Map<PlannedTree, Double> off = new HashMap<>();
        left.forEach(tree -> off.put(tree, nearest(all, tree.place())));
        boolean more = true;
        while (more && !left.isEmpty()) {
            more = false;
            List<PlannedTree> nearestFirst = new ArrayList<>(left);
            nearestFirst.sort(Comparator.comparingDouble(off::get));
            for (PlannedTree tree : nearestFirst) {
                if (off.get(tree) > tape) {
                    break;
                }
                Optional<Pair> best = best(around(all, tree, tape), about(left, tree, tape), tape, weak);
                if (best.isPresent()) {
                    Station station = station(best.get(), ground);
                    stations.add(station);
                    best.get().reached().forEach(left::remove);
                    List<Fixed> fresh = station.pegs().stream()
                            .map(peg -> new Fixed(
                                    "peg " + peg.tree().label(), peg.tree().place(), peg.error()))
                            .toList();
                    all.addAll(fresh);
                    left.forEach(other -> off.merge(other, nearest(fresh, other.place()), Math::min));
                    more = true;
                    break;
                }
            }
        }
    }

    /** The points nearest to a tree, within the tape. */
    private static List<Fixed> around(List<Fixed> all, PlannedTree tree, double tape) {
        return all.stream()
                .filter(point -> point.at().distance(tree.place()) <= tape)
                .sorted(Comparator.comparingDouble(point -> point.at().distance(tree.place())))
                .limit(NEARBY)
                .toList();
    }

    private static List<PlannedTree> about(Set<PlannedTree> left, PlannedTree tree, double tape) {
        return left.stream()
                .filter(other -> other.place().distance(tree.place()) <= tape)
                .toList();
    }

    private static double nearest(List<Fixed> points, Point to) {
        return points.stream()
                .mapToDouble(point -> point.at().distance(to))
                .min()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private static List<Fixed> fixed(Plot plot, List<Feature> features) {
        List<Fixed> fixed = new ArrayList<>();
        BaseLine base = BaseLine.of(plot);
        fixed.add(new Fixed("P", base.p(), 0));
        fixed.add(new Fixed("Q", base.q(), 0));
        int corner = 0;
        for (Point at : plot.corners()) {
            if (!at.equals(base.p()) && !at.equals(base.q())) {
                fixed.add(new Fixed("corner " + ++corner, at, 0));
            }
        }
        for (Feature feature : features) {
            String name = feature.name().isBlank() ? feature.kind().words() : feature.name();
            if (feature.kind() == Feature.Kind.BUILDING) {
                int at = 0;
                for (Point point : feature.points()) {
                    fixed.add(new Fixed(name + ", corner " + ++at, point, 0));
                }
            } else if (feature.kind() == Feature.Kind.WELL) {
                fixed.add(new Fixed(name, feature.points().get(0), 0));
            }
        }
        return fixed.subList(0, Math.min(MOST_FIXED, fixed.size()));
    }

    /** The pair that reaches most trees, of equals the one that sets them best. */
    private static Optional<Pair> best(List<Fixed> points, Iterable<PlannedTree> trees, double tape, boolean weak) {
        Pair best = null;
        for (int i = 0; i < points.size(); i++) {
            for (int j = i + 1; j < points.size(); j++) {
                Pair pair = pair(points.get(i), points.get(j), trees, tape, weak);
                if (!pair.reached().isEmpty()
                        && (best == null
                                || pair.reached().size() > best.reached().size()
                                || pair.reached().size() == best.reached().size()
                                        && pair.meanError() < best.meanError())) {
                    best = pair;
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static Pair pair(Fixed p, Fixed q, Iterable<PlannedTree> trees, double tape, boolean weak) {
        List<PlannedTree> reached = new ArrayList<>();
        double errors = 0;
        double base = p.at().distance(q.at());
        if (base >= SHORTEST && base <= 2 * tape) {
            for (PlannedTree tree : trees) {
                if (tree.place().distance(p.at()) <= tape && tree.place().distance(q.at()) <= tape) {
                    TwoTapes tapes = TwoTapes.of(p.at(), q.at(), tree.place());
                    if ((weak || tapes.good()) && Double.isFinite(tapes.expectedError())) {
                        reached.add(tree);
                        errors += tapes.expectedError();
                    }
                }
            }
        }
        return new Pair(p, q, reached, reached.isEmpty() ? 0 : errors / reached.size());
    }

    private static Station station(Pair pair, Ground ground) {
        Fixed p = pair.p();
        Fixed q = pair.q();
        List<Peg> pegs = new ArrayList<>();
        List<PlannedTree> left = new ArrayList<>(pair.reached());
        Point at = p.at();
        while (!left.isEmpty()) {
            Point from = at;
            PlannedTree next = left.stream()
                    .min(Comparator.comparingDouble(tree -> tree.place().distance(from)))
                    .orElseThrow();
            left.remove(next);
            TwoTapes tapes = TwoTapes.of(p.at(), q.at(), next.place());
            pegs.add(new Peg(
                    next,
                    tapes,
                    along(ground, p.at(), next.place()),
                    along(ground, q.at(), next.place()),
                    Math.hypot(tapes.expectedError(), Math.max(p.error(), q.error()))));
            at = next.place();
        }
        return new Station(p, q, pegs);
    }

    /** Along the ground between two places, m. */
    static double along(Ground ground, Point a, Point b) {
        return Math.hypot(a.distance(b), ground.height(b) - ground.height(a));
    }
}
