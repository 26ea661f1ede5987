package idlebough.core.site;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import org.locationtech.jts.geom.Envelope;

/**
 * The shadows of one moment on the plan.
 *
 * <p>What: a building, wall, fence or hedge is a straight-sided block over its footprint, flat on top; a tree is a
 * spheroid on a bare stem of a quarter of its height. Ground is taken as a plane. How: the shadow of a block is its
 * footprint, its footprint moved along the shadow, and the strips that its edges sweep; that of a spheroid is an
 * ellipse.
 * Limits: roofs have no ridge, eaves do not overhang, and ground beyond the plot falls as the plot does.
 *
 * @param casts one for each feature that throws a shadow now
 * @see SunMap
 */
public record Shade(List<Cast> casts) {
    /** Share of the direct sun that a bare crown takes: from memory, weak, 0.35 to 0.6. */
    public static final double BARE_CROWN = 0.5;

    private static final double STEM = 0.25;
    private static final double FAR = 1e9;
    private static final Envelope EVERYWHERE = new Envelope(-FAR, FAR, -FAR, FAR);
    private static final int ELLIPSE = 20;

    /**
     * What stands behind the shadow, ready to be cast again and again.
     */
    record Block(String id, double[] xs, double[] ys, double height, double crown, boolean sheds) {
        /** Whether its shadow can fall into a box at all; a quick answer that is never wrongly no. */
        boolean mayReach(Envelope box, double perMetre, double ux, double uy) {
            double reach = height * perMetre;
            Envelope shadow = new Envelope();
            for (int i = 0; i < xs.length; i++) {
                shadow.expandToInclude(xs[i], ys[i]);
                shadow.expandToInclude(xs[i] + reach * ux, ys[i] + reach * uy);
            }
            shadow.expandBy(crown);
            return shadow.intersects(box);
        }
    }

    /** The shadow of one feature. */
    public static final class Cast {
        private final String id;
        private final double opacity;
        private final List<double[]> patches;

        private Cast(String id, double opacity, List<double[]> patches) {
            this.id = id;
            this.opacity = opacity;
            this.patches = patches;
        }

        /** Of the feature. */
        public String id() {
            return id;
        }

        /** Share of the light that it takes, 0 to 1. */
        public double opacity() {
            return opacity;
        }

        /** Rings of plan metres; together they cover the shadow, and may overlap. */
        public List<List<Point>> rings() {
            return patches.stream().map(Cast::ring).toList();
        }

        private static List<Point> ring(double[] patch) {
            List<Point> ring = new ArrayList<>();
            for (int i = 0; i < patch.length; i += 2) {
                ring.add(new Point(patch[i], patch[i + 1]));
            }
            return ring;
        }

        /** The same rings as figures, x and y by turns, for the loops of this room. */
        List<double[]> patches() {
            return patches;
        }

        boolean covers(double x, double y) {
            for (double[] ring : patches) {
                if (inside(ring, x, y)) {
                    return true;
                }
            }
            return false;
        }
    }

    /** The features that can throw a shadow. */
    static List<Block> blocks(List<Feature> features) {
        List<Block> blocks = new ArrayList<>();
        for (Feature feature : features) {
            if (!feature.kind().casts() || !feature.isClosed() || feature.stands() <= 0) {
                continue;
            }
            boolean tree = feature.kind() == Feature.Kind.TREE;
            boolean sheds = (tree || feature.kind() == Feature.Kind.HEDGE) && !feature.evergreen();
            List<Point> ring =
                    tree ? feature.points() : Shapes.ring(feature.footprint().union());
            blocks.add(new Block(
                    feature.id(),
                    ring.stream().mapToDouble(Point::x).toArray(),
                    ring.stream().mapToDouble(Point::y).toArray(),
                    feature.stands(),
                    tree ? feature.size().crown().orElse(feature.stands() * 0.7) : 0,
                    sheds));
        }
        return blocks;
    }

    /**
     * @param rotation true bearing of the plan's y axis
     * @param leafless whether trees and hedges that shed are bare
     */
    public static Shade of(List<Feature> features, SunPath.Sun sun, Ground ground, double rotation, boolean leafless) {
        return cast(blocks(features), sun, ground, rotation, leafless);
    }

    static Shade cast(List<Block> blocks, SunPath.Sun sun, Ground ground, double rotation, boolean leafless) {
        return cast(blocks, sun, ground, rotation, leafless, EVERYWHERE);
    }

    /** Only the shadows that may fall into a box. */
    static Shade cast(
            List<Block> blocks, SunPath.Sun sun, Ground ground, double rotation, boolean leafless, Envelope box) {
        double bearing = sun.azimuth() - rotation + 180;
        OptionalDouble length = SunPath.shadowPerMetre(sun.elevation(), ground.rise(bearing));
        if (length.isEmpty()) {
            return new Shade(List.of());
        }
        double perMetre = length.getAsDouble();
        double ux = Math.sin(Math.toRadians(bearing));
        double uy = Math.cos(Math.toRadians(bearing));
        List<Cast> casts = new ArrayList<>(blocks.size());
        for (Block block : blocks) {
            if (!block.mayReach(box, perMetre, ux, uy)) {
                continue;
            }
            double opacity = block.sheds() && leafless ? BARE_CROWN : 1;
            casts.add(new Cast(
                    block.id(),
                    opacity,
                    block.crown() > 0 ? ellipse(block, perMetre, ux, uy) : prism(block, perMetre, ux, uy)));
        }
        return new Shade(casts);
    }

    private static List<double[]> prism(Block block, double perMetre, double ux, double uy) {
        int n = block.xs().length;
        double dx = block.height() * perMetre * ux;
        double dy = block.height() * perMetre * uy;
        List<double[]> patches = new ArrayList<>(n + 2);
        double[] base = new double[2 * n];
        double[] top = new double[2 * n];
        for (int i = 0; i < n; i++) {
            double x = block.xs()[i];
            double y = block.ys()[i];
            base[2 * i] = x;
            base[2 * i + 1] = y;
            top[2 * i] = x + dx;
            top[2 * i + 1] = y + dy;
            double nx = block.xs()[(i + 1) % n];
            double ny = block.ys()[(i + 1) % n];
            patches.add(new double[] {x, y, nx, ny, nx + dx, ny + dy, x + dx, y + dy});
        }
        patches.add(base);
        patches.add(top);
        return patches;
    }

    private static List<double[]> ellipse(Block block, double perMetre, double ux, double uy) {
        double stem = STEM * block.height();
        double half = (block.height() - stem) / 2;
        double middle = (block.height() + stem) / 2 * perMetre;
        double across = block.crown() / 2;
        double along = Math.hypot(across, half * perMetre);
        double[] ring = new double[2 * ELLIPSE];
        for (int i = 0; i < ELLIPSE; i++) {
            double turn = 2 * Math.PI * i / ELLIPSE;
            double a = middle + along * Math.cos(turn);
            double c = across * Math.sin(turn);
            ring[2 * i] = block.xs()[0] + a * ux + c * uy;
            ring[2 * i + 1] = block.ys()[0] + a * uy - c * ux;
        }
        return List.of(ring);
    }

    /** Share of the direct sun that reaches a place: 1 in the open, 0 behind a wall. */
    public double light(Point at) {
        double light = 1;
        for (Cast cast : casts) {
            if (cast.covers(at.x(), at.y())) {
                light *= 1 - cast.opacity();
            }
        }
        return light;
    }

    /** Even–odd rule. */
    static boolean inside(double[] ring, double x, double y) {
        boolean in = false;
        int n = ring.length / 2;
        for (int i = 0, j = n - 1; i < n; j = i++) {
            double yi = ring[2 * i + 1];
            double yj = ring[2 * j + 1];
            if ((yi > y) != (yj > y) && x < (ring[2 * j] - ring[2 * i]) * (y - yi) / (yj - yi) + ring[2 * i]) {
                in = !in;
            }
        }
        return in;
    }

    @Override
    public String toString() {
        return String.format(Locale.ROOT, "Shade of %d", casts.size());
    }
}
