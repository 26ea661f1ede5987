package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.PriorityQueue;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.prep.PreparedGeometry;
import org.locationtech.jts.geom.prep.PreparedGeometryFactory;

/**
 * Where cold air runs to on a still, clear night, and where it is dammed. Cold air drains like slow water (common
 * practice): it runs down the surface, fills hollows, and stands behind what is closed until it spills.
 *
 * <p>How: walls, hedges, board fences and buildings are set on the surface as dams, a gate is a gap of
 * {@value #GATE} m; then the surface is filled from its rim inwards (priority flood, Barnes, Lehman & Mulla 2014).
 * What was filled is the depth of the pool. Limits: a pool's depth is what could stand there at most; wind mixes it
 * away,
 * and a thin hedge leaks.
 *
 * @param west and south: the grid's corner, plan metres
 * @param cell side of a cell, m
 * @param depth of standing cold air by cell, row by row from the south-west, m; 0 off the plot
 * @param pools deepest first
 */
public record ColdAir(
        Ground ground,
        double west,
        double south,
        double cell,
        int columns,
        int rows,
        double[] depth,
        List<Pool> pools) {
    /** Width of a gate, and of the gap that lets cold air out, m (2 to 3 m, common practice). */
    public static final double GATE = 2.5;

    /** Cold air shallower than this is not told, m. */
    public static final double LEAST = 0.2;

    private static final double SMALLEST = 6;

    /**
     * One place where cold air stands.
     *
     * @param area m²
     * @param deepest m
     * @param lowest the place of its deepest point
     * @param gap where to let it out; none in a hollow that nothing dams
     */
    public record Pool(double area, double deepest, Point lowest, Optional<Gap> gap) {}

    /** @param dam id of the feature to open */
    public record Gap(String dam, Point place) {}

    public static ColdAir of(Plot plot, List<Feature> features, Ground ground) {
        double cell = Math.max(1, Math.sqrt(plot.area()) / 120);
        Envelope all = Shapes.polygon(plot.corners()).getEnvelopeInternal();
        all.expandBy(4 * cell);
        int columns = (int) Math.ceil(all.getWidth() / cell);
        int rows = (int) Math.ceil(all.getHeight() / cell);
        return new Filling(plot, features, ground, all.getMinX(), all.getMinY(), cell, columns, rows).result();
    }

    /** Depth of standing cold air at a place, m. */
    public double depthAt(Point place) {
        int column = (int) Math.floor((place.x() - west) / cell);
        int row = (int) Math.floor((place.y() - south) / cell);
        return column < 0 || row < 0 || column >= columns || row >= rows ? 0 : depth[row * columns + column];
    }

    /** How a pool's depth comes about. */
    public Working working(Pool pool) {
        return Working.of("How {} comes about", Amount.cm(pool.deepest()))
                .step("The surface on a grid of {}, with walls, hedges and houses set on it as dams", Amount.cm(cell))
                .step("filled from its rim inwards until it spills; a gate is a gap of {}", Amount.metres(GATE))
                .step(
                        "{} is filled, {} at the deepest",
                        Amount.of(pool.area(), Quantity.AREA),
                        Amount.cm(pool.deepest()))
                .sensitive("The most that could stand here: wind mixes it away, and a thin hedge leaks.")
                .from(Source.practice("cold air drains like slow water; filling: Barnes, Lehman & Mulla 2014"));
    }

    /** Plan bearing in which cold air runs from a place; null where it stands or the ground is level. */
    public Double runsTo(Point place) {
        if (depthAt(place) > LEAST) {
            return null;
        }
        double d = cell;
        double east =
                ground.height(new Point(place.x() + d, place.y())) - ground.height(new Point(place.x() - d, place.y()));
        double north =
                ground.height(new Point(place.x(), place.y() + d)) - ground.height(new Point(place.x(), place.y() - d));
        return Math.hypot(east, north) < 0.005 * 2 * d ? null : (Math.toDegrees(Math.atan2(-east, -north)) + 360) % 360;
    }

    private static final class Filling {
        private final Ground ground;
        private final double west;
        private final double south;
        private final double cell;
        private final int columns;
        private final int rows;
        private final double[] bare;
        private final double[] dammed;
        private final String[] dam;
        private final boolean[] inside;

        Filling(
                Plot plot,
                List<Feature> features,
                Ground ground,
                double west,
                double south,
                double cell,
                int columns,
                int rows) {
            this.ground = ground;
            this.west = west;
            this.south = south;
            this.cell = cell;
            this.columns = columns;
            this.rows = rows;
            this.bare = new double[columns * rows];
            this.inside = new boolean[columns * rows];
            this.dam = new String[columns * rows];
            PreparedGeometry ring = PreparedGeometryFactory.prepare(Shapes.polygon(plot.corners()));
            for (int i = 0; i < bare.length; i++) {
                bare[i] = ground.height(middle(i));
                inside[i] = ring.contains(Shapes.point(middle(i)));
            }
            this.dammed = bare.clone();
            List<Feature> gates =
                    features.stream().filter(f -> f.kind() == Feature.Kind.GATE).toList();
            features.stream()
                    .filter(f -> f.kind().casts() && f.kind() != Feature.Kind.TREE && f.isClosed())
                    .forEach(f -> raise(f, gates));
        }

        private Point middle(int at) {
            return new Point(west + (at % columns + 0.5) * cell, south + (at / columns + 0.5) * cell);
        }

        private void raise(Feature feature, List<Feature> gates) {
            // Wide enough that no diagonal step of the flood slips through between two cells.
            Geometry stands = feature.footprint().buffer(0.71 * cell);
            PreparedGeometry wall = PreparedGeometryFactory.prepare(stands);
            Envelope box = stands.getEnvelopeInternal();
            for (int i = 0; i < bare.length; i++) {
                Point at = middle(i);
                if (box.contains(at.x(), at.y())
                        && wall.contains(Shapes.point(at))
                        && gates.stream().noneMatch(g -> g.points().get(0).distance(at) < GATE / 2 + cell)) {
                    double top = bare[i] + feature.stands();
                    if (top > dammed[i]) {
                        dammed[i] = top;
                        dam[i] = feature.id();
                    }
                }
            }
        }

        ColdAir result() {
            double[] level = flood();
            double[] depth = new double[bare.length];
            for (int i = 0; i < depth.length; i++) {
                depth[i] = inside[i] && dam[i] == null ? Math.max(0, level[i] - bare[i]) : 0;
            }
            return new ColdAir(ground, west, south, cell, columns, rows, depth, pools(depth));
        }

        private double[] flood() {
            double[] level = new double[bare.length];
            Arrays.fill(level, Double.NaN);
            PriorityQueue<Integer> rim = new PriorityQueue<>(Comparator.comparingDouble(i -> level[i]));
            for (int i = 0; i < level.length; i++) {
                int column = i % columns;
                int row = i / columns;
                if (column == 0 || row == 0 || column == columns - 1 || row == rows - 1) {
                    level[i] = dammed[i];
                    rim.add(i);
                }
            }
            while (!rim.isEmpty()) {
                int from = rim.poll();
                for (int next : around(from)) {
                    if (Double.isNaN(level[next])) {
                        level[next] = Math.max(dammed[next], level[from]);
                        rim.add(next);
                    }
                }
            }
            return level;
        }

        private List<Integer> around(int at) {
            List<Integer> found = new ArrayList<>(8);
            int column = at % columns;
            int row = at / columns;
            for (int dr = -1; dr <= 1; dr++) {
                for (int dc = -1; dc <= 1; dc++) {
                    int c = column + dc;
                    int r = row + dr;
                    if ((dr != 0 || dc != 0) && c >= 0 && r >= 0 && c < columns && r < rows) {
                        found.add(r * columns + c);
                    }
                }
            }
            return found;
        }

        private List<Pool> pools(double[] depth) {
            boolean[] seen = new boolean[depth.length];
            List<Pool> pools = new ArrayList<>();
            for (int start = 0; start < depth.length; start++) {
                if (!seen[start] && depth[start] > LEAST) {
                    Pool pool = pool(start, depth, seen);
                    if (pool.area() >= SMALLEST) {
                        pools.add(pool);
                    }
                }
            }
            pools.sort(Comparator.comparingDouble(Pool::deepest).reversed());
            return List.copyOf(pools);
        }

        private Pool pool(int start, double[] depth, boolean[] seen) {
            Deque<Integer> open = new ArrayDeque<>(List.of(start));
            seen[start] = true;
            int cells = 0;
            int deepest = start;
            int gap = -1;
            while (!open.isEmpty()) {
                int at = open.poll();
                cells++;
                deepest = depth[at] > depth[deepest] ? at : deepest;
                for (int next : around(at)) {
                    if (dam[next] != null && (gap < 0 || bare[next] < bare[gap])) {
                        gap = next;
                    } else if (!seen[next] && depth[next] > LEAST) {
                        seen[next] = true;
                        open.add(next);
                    }
                }
            }
            // A dam that stands higher up than the pool is deep does not hold it: then it is a hollow.
            boolean held = gap >= 0 && bare[gap] < bare[deepest] + depth[deepest];
            return new Pool(
                    cells * cell * cell,
                    depth[deepest],
                    middle(deepest),
                    held ? Optional.of(new Gap(dam[gap], middle(gap))) : Optional.empty());
        }
    }
}
