package idlebough.app.tree;

import idlebough.app.web.Svg;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * Draws wood and leaves. Only here are pixels: the pen has one weight at every scale, and detail follows the pixels, so
 * that a small tree is no blot and a large one is not empty. Light comes from the upper left.
 */
final class Pen {
    private static final double LEAST = 0.25;
    private static final double TWIG = 2.2;
    private static final double HATCHED = 3.6;
    private static final double THICK = 9;
    private static final double FARTHEST = 20;
    private static final int MANY = 60;
    private static final double WIDER = 1.2;
    private static final double FAR = 34;
    private static final double NEAR = 60;
    private static final double LIGHT = 0.95;
    private final double scale;
    private final Random random;
    private final List<Stroke> strokes = new ArrayList<>();
    private final Map<Double, StringBuilder> twigs = new TreeMap<>();

    Pen(double scale, Random random) {
        this.scale = scale;
        this.random = random;
    }

    List<Stroke> strokes() {
        flush();
        return List.copyOf(strokes);
    }

    double scale() {
        return scale;
    }

    void draw(String css, CharSequence d, double width) {
        if (!d.isEmpty()) {
            strokes.add(new Stroke(css, d.toString(), width));
        }
    }

    /** In metres, y up; each {@code #} of the pattern takes the next number, x and y in turns. */
    void metres(String css, double width, String pattern, double... places) {
        double[] pixels = new double[places.length];
        for (int i = 0; i < places.length; i++) {
            pixels[i] = scale * (i % 2 == 0 ? places[i] : -places[i]);
        }
        draw(css, Svg.path(pattern, pixels), width);
    }

    /** Twigs of one width go into one path. */
    void flush() {
        twigs.forEach((width, d) -> strokes.add(new Stroke("tr-line", d.toString(), width)));
        twigs.clear();
    }

    private StringBuilder to(StringBuilder d, String step, double x, double y) {
        return d.append(step).append(Svg.number(x)).append(' ').append(Svg.number(y));
    }

    private StringBuilder spot(StringBuilder d, String step, double[] at) {
        return to(d, step, at[0] * scale, -at[1] * scale);
    }

    void wood(double[][] limb, String css) {
        double pixels = limb[0][2] * scale;
        if (pixels < LEAST) {
            return;
        }
        if (pixels < TWIG) {
            double width = Math.max(0.55, Math.ceil(pixels * 3) / 4);
            StringBuilder d = twigs.computeIfAbsent(width, w -> new StringBuilder());
            int step = pixels < 1 ? 2 : 1;
            for (int i = 0; i < limb.length; i++) {
                if (i % step == 0 || i == limb.length - 1) {
                    spot(d, i == 0 ? "M" : "L", limb[i]);
                }
            }
            return;
        }
        flush();
        double[][] left = edge(limb, 1);
        double[][] right = edge(limb, -1);
        StringBuilder body = new StringBuilder();
        StringBuilder line = new StringBuilder();
        for (int i = 0; i < left.length; i++) {
            spot(body, i == 0 ? "M" : "L", left[i]);
            spot(line, i == 0 ? "M" : "L", left[i]);
        }
        for (int i = right.length - 1; i >= 0; i--) {
            spot(body, "L", right[i]);
        }
        for (int i = 0; i < right.length; i++) {
            spot(line, i == 0 ? "M" : "L", right[i]);
        }
        draw(css, body.append('Z'), 0);
        draw("tr-line", line, pixels > THICK ? 1.2 : 0.85);
        if (pixels > HATCHED) {
            hatch(limb, left, right);
        }
    }

    private static double[][] edge(double[][] limb, int side) {
        double[][] edge = new double[limb.length][];
        for (int i = 0; i < limb.length; i++) {
            double[] before = limb[Math.max(0, i - 1)];
            double[] after = limb[Math.min(limb.length - 1, i + 1)];
            double length = Math.max(1e-9, Math.hypot(after[0] - before[0], after[1] - before[1]));
            double half = side * limb[i][2] / 2 / length;
            edge[i] =
                    new double[] {limb[i][0] - (after[1] - before[1]) * half, limb[i][1] + (after[0] - before[0]) * half
                    };
        }
        return edge;
    }

    /** On the shade side, three pixels apart. */
    private void hatch(double[][] limb, double[][] left, double[][] right) {
        StringBuilder d = new StringBuilder();
        for (int i = 0; i < limb.length - 1; i++) {
            double length = Math.hypot(limb[i + 1][0] - limb[i][0], limb[i + 1][1] - limb[i][1]) * scale;
            int count = (int) Math.max(1, Math.round(length / 3));
            for (int k = 0; k < count; k++) {
                double share = (double) k / count;
                double rx = right[i][0] + (right[i + 1][0] - right[i][0]) * share;
                double ry = right[i][1] + (right[i + 1][1] - right[i][1]) * share;
                double lx = left[i][0] + (left[i + 1][0] - left[i][0]) * share;
                double ly = left[i][1] + (left[i + 1][1] - left[i][1]) * share;
                double in = 0.3 + 0.25 * random.nextDouble();
                to(d, "M", rx * scale, -ry * scale);
                to(d, "L", (rx + (lx - rx) * in) * scale, -(ry + (ly - ry) * in) * scale - 1);
            }
        }
        draw("tr-line", d, 0.6);
    }

    /** Where the marks of a crown go: one to a cell, so that they make no blots and a light page. */
    private final class Foliage {
        private final StringBuilder open = new StringBuilder();
        private final StringBuilder solid = new StringBuilder();
        private final StringBuilder leafy = new StringBuilder();
        private final Set<Long> taken = new HashSet<>();
        private final Leaf leaf;
        private final double cell;

        Foliage(Leaf leaf, double cell) {
            this.leaf = leaf;
            this.cell = cell;
        }

        void put(double x, double y, double angle, double length) {
            if (!taken.add(Math.round(x / cell) * 65_536 + Math.round(y / cell))) {
                return;
            }
            double turn = (random.nextDouble() - 0.5) * 0.7;
            switch (leaf) {
                case TICK -> {
                    double way = angle * 0.5 + turn * 2.6;
                    to(open, "M", x, y);
                    to(open, "l", Math.cos(way) * length * 0.8, Math.sin(way) * length * 0.8);
                }
                case SCALLOP -> {
                    double way = angle + turn * 1.6;
                    double c = Math.cos(way) * length;
                    double s = Math.sin(way) * length;
                    to(open, "M", x - s * 0.6, y + c * 0.6);
                    to(open, "q", c * 0.9 + s * 0.6, s * 0.9 - c * 0.6);
                    to(open, " ", s * 1.2, -c * 1.2);
                }
                case LANCE -> {
                    if (length < 4.2) {
                        double way = angle * 0.5 + 0.8 + turn * 1.6;
                        to(open, "M", x, y);
                        to(open, "q", Math.cos(way - 0.4) * length * 0.7, Math.sin(way - 0.4) * length * 0.7);
                        to(open, " ", Math.cos(way) * length * 1.35, Math.sin(way) * length * 1.35);
                    } else {
                        blade(open, x, y, angle * 0.55 + Math.PI / 2 * 0.45 + turn, length * 1.5, 0.16);
                    }
                }
                case DOT -> {
                    if (scale < FAR) {
                        double w = length * 0.42;
                        to(solid, "M", x - w, y);
                        to(solid, "q", w, -w * 1.5);
                        to(solid, " ", 2 * w, 0);
                        to(solid, "q", -w, w * 1.5);
                        to(solid, " ", -2 * w, 0);
                    } else {
                        blade(
                                random.nextDouble() < 0.3 ? solid : leafy,
                                x,
                                y,
                                angle * 0.6 + 0.5 + turn * 2.6,
                                length * 1.25,
                                0.42);
                    }
                }
                case HANGING ->
                    blade(leafy, x, y, Math.PI / 2 + (x > 0 ? -0.27 : 0.27) + turn * 1.3, length * 1.7, 0.3);
                case LOBE -> {
                    for (double lobe : new double[] {-0.85, 0, 0.85}) {
                        blade(leafy, x, y, angle + lobe + turn * 0.5, length * (lobe == 0 ? 1.6 : 1.15), 0.28);
                    }
                }
            }
        }

        private void blade(StringBuilder d, double x, double y, double way, double length, double broad) {
            double u = Math.cos(way) * length;
            double v = Math.sin(way) * length;
            to(d, "M", x, y);
            to(d, "q", u * 0.5 - v * broad, v * 0.5 + u * broad);
            to(d, " ", u, v);
            to(d, "q", -u * 0.5 + v * broad, -v * 0.5 - u * broad);
            to(d, " ", -u, -v);
        }
    }

    /** @param tufts x, y and radius of each mass, m */
    void crown(List<double[]> tufts, Leaf leaf) {
        if (tufts.isEmpty()) {
            return;
        }
        // So small, half of the masses are as good as all, and half as heavy on a page of many trees.
        int step = scale < FARTHEST && tufts.size() > MANY ? 2 : 1;
        double wider = step == 1 ? 1 : WIDER;
        List<double[]> masses = IntStream.range(0, tufts.size())
                .filter(i -> i % step == 0)
                .mapToObj(tufts::get)
                .map(at -> new double[] {at[0] * scale, -at[1] * scale, at[2] * scale * wider})
                .sorted(Comparator.comparingDouble(at -> at[1]))
                .toList();
        // A dot of a round pen is a disc: a fifth of the letters of two arcs. Discs of one size are one path.
        Map<Double, StringBuilder> wash = new TreeMap<>();
        for (double[] mass : masses) {
            double size = Math.max(1, Math.rint(4 * mass[2]) / 2);
            to(wash.computeIfAbsent(size, same -> new StringBuilder()), "M", mass[0], mass[1])
                    .append("h0");
        }
        wash.forEach((size, dots) -> draw("tr-wash", dots, size));
        double sparse = scale < FARTHEST ? 2.1 : scale < FAR ? 1.5 : scale < NEAR ? 1.15 : 1;
        double mean = masses.stream().mapToDouble(mass -> mass[2]).average().orElse(1);
        double most = leaf == Leaf.DOT ? 9.5 : 7.5;
        double length = Math.max(1.8, Math.min(Math.min(most, mean * 0.95), scale * leaf.metres()));
        Foliage foliage = new Foliage(leaf, length * 0.5 * sparse);
        for (double[] mass : masses) {
            mark(masses, mass, foliage, length, sparse * length * leaf.apart());
        }
        draw("tr-blade", foliage.leafy, sparse > 1 ? 0.5 : 0.6);
        draw("tr-line", foliage.open, sparse > 1.2 ? 0.65 : 0.75);
        draw("tr-solid", foliage.solid, 0);
    }

    private void mark(List<double[]> masses, double[] mass, Foliage foliage, double length, double step) {
        double x = mass[0];
        double y = mass[1];
        double r = mass[2];
        int count = (int) Math.max(5, Math.round(2 * Math.PI * r / step));
        if (r < 2.3 * length && foliage.leaf == Leaf.SCALLOP) {
            for (int k = 0; k < count; k++) {
                double angle = 2 * Math.PI * random.nextDouble();
                double out = r * Math.sqrt(random.nextDouble());
                foliage.put(
                        x + Math.cos(angle) * out,
                        y + Math.sin(angle) * out,
                        angle + (random.nextDouble() - 0.5) * 2,
                        length * (0.8 + 0.5 * random.nextDouble()));
            }
            return;
        }
        for (int k = 0; k < count; k++) {
            double angle = 2 * Math.PI * (k + random.nextDouble() * 0.5) / count;
            double rimX = x + Math.cos(angle) * r;
            double rimY = y + Math.sin(angle) * r;
            if (!covered(masses, mass, rimX, rimY)) {
                foliage.put(
                        x + Math.cos(angle) * (r - length * 0.45),
                        y + Math.sin(angle) * (r - length * 0.45),
                        angle,
                        length * (0.85 + 0.3 * random.nextDouble()));
            } else if (Math.cos(angle - LIGHT) > 0.35 && random.nextDouble() < 0.42) {
                foliage.put(rimX, rimY, angle, length * 0.8);
            }
        }
        boolean dense = foliage.leaf == Leaf.DOT || foliage.leaf == Leaf.HANGING;
        for (double ring : dense ? new double[] {0.78, 0.5, 0.2} : new double[] {0.66}) {
            int inner = (int) Math.round(count * ring * (foliage.leaf == Leaf.DOT ? 1 : 0.8));
            for (int k = 0; k < inner; k++) {
                double angle = 2 * Math.PI * (k + random.nextDouble()) / inner;
                double chance =
                        0.16 + 0.5 * Math.max(0, Math.cos(angle - LIGHT)) + (foliage.leaf == Leaf.DOT ? 0.12 : 0);
                if (random.nextDouble() < chance) {
                    foliage.put(x + Math.cos(angle) * r * ring, y + Math.sin(angle) * r * ring, angle, length * 0.8);
                }
            }
        }
    }

    private static boolean covered(List<double[]> masses, double[] own, double x, double y) {
        for (double[] other : masses) {
            if (other != own && Math.hypot(x - other[0], y - other[1]) < other[2] * 0.9) {
                return true;
            }
        }
        return false;
    }

    /** A clipped face: marks on a grid, denser at its edges and low on the right. */
    void face(double width, double low, double top, Leaf leaf) {
        double half = width / 2;
        metres("tr-leaf", 0, "M# #L# #L# #L# #Z", -half, low, -half * 0.97, top, half * 0.97, top, half, low);
        double length = Math.max(2.2, Math.min(8, scale * 0.08));
        double step = Math.max(4.2, length * (scale > FAR ? 0.95 : 1.25));
        Foliage foliage = new Foliage(leaf, length * 0.5);
        for (double y = low * scale; y < top * scale; y += step) {
            for (double x = -half * scale; x < half * scale; x += step) {
                double edge = Math.min(
                        Math.min(x + half * scale, half * scale - x), Math.min(top * scale - y, y - low * scale));
                double right = (x + half * scale) / (width * scale);
                double chance = edge < step ? 0.96 : 0.32 + (scale > FAR ? 0.5 : 0.35) * right * (1 - y / top / scale);
                if (random.nextDouble() < chance) {
                    double at = Math.max(-half * scale + length, x + random.nextDouble() * step);
                    double up = Math.min(top * scale - length * 0.6, y + random.nextDouble() * step * 0.8);
                    foliage.put(Math.min(half * scale - length, at), -up, random.nextDouble() * 2 * Math.PI, length);
                }
            }
        }
        draw("tr-blade", foliage.leafy, 0.6);
        draw("tr-line", foliage.open, 0.7);
        draw("tr-solid", foliage.solid, 0);
        metres("tr-line", 1, "M# #L# #L# #L# #", -half, low, -half * 0.97, top, half * 0.97, top, half, low);
    }
}
