package idlebough.app.tree;

import idlebough.app.web.Svg;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/** Draws a tree in elevation from its figures, its foot at 0, 0: the one way in which the program does it. */
public final class TreeDrawing {
    private static final long SPREAD = 0x9E3779B97F4A7C15L;
    private static final double WALL = 2.5;
    private static final double COURSE = 0.18;
    private static final double POST = 2;
    private static final double BEFORE_LEAVES = 4;
    private static final double SMALL_UNION = 3.4;
    private static final double HATCHED_UNION = 5;
    private static final double CLEAR = 0.16;
    private final TreeFigure tree;
    private final Growth growth;
    private final Pen pen;
    private final Random random;

    private TreeDrawing(TreeFigure tree, double scale) {
        this.tree = tree;
        random = new Random((tree.seed() + 31L * tree.form().ordinal()) * SPREAD);
        growth = Growth.of(tree, random);
        pen = new Pen(scale, random);
    }

    /** @param scale page units to the metre */
    public static List<Stroke> of(TreeFigure tree, double scale) {
        TreeDrawing drawing = new TreeDrawing(tree, scale);
        drawing.draw();
        return drawing.pen.strokes();
    }

    private void draw() {
        wires();
        roots();
        growth.limbs().stream()
                .sorted(Comparator.comparingDouble(limb -> limb.points()[0][2]))
                .forEach(limb -> pen.wood(limb.points(), "tr-wood"));
        pen.flush();
        if (!tree.leafless()) {
            if (tree.form() == TreeForm.HEDGE) {
                pen.face(tree.size().width(), CLEAR, tree.size().height(), tree.leaf());
            } else {
                pen.crown(growth.tufts(), tree.leaf());
                stemBeforeLeaves();
            }
        } else if (tree.form().nursery()) {
            buds();
        }
        union();
    }

    private void wires() {
        double[] wires = growth.wires();
        if (wires.length == 0) {
            return;
        }
        double half = Math.max(tree.size().width(), 1) / 2 + 0.12;
        if (tree.form() == TreeForm.FAN) {
            for (double y = 0; y < WALL; y += COURSE) {
                pen.metres("tr-wall", 0.5, "M# #L# #", -half, y, half, y);
            }
            pen.metres("tr-wall", 0.9, "M# #L# #L# #L# #", -half, 0, -half, WALL, half, WALL, half, 0);
        } else {
            for (double x : new double[] {-half, half}) {
                pen.metres(
                        "tr-post",
                        0.8,
                        "M# #L# #L# #L# #Z",
                        x - 0.045,
                        0,
                        x - 0.045,
                        POST,
                        x + 0.045,
                        POST,
                        x + 0.045,
                        0);
            }
        }
        for (double y : wires) {
            pen.metres("tr-wire", 0.6, "M# #L# #", -half, y, half, y);
        }
    }

    private void roots() {
        double half = tree.below().width() / 2;
        double deep = tree.below().depth();
        switch (tree.below().roots()) {
            case BARE -> bareRoots(half, deep);
            case POT -> {
                double foot = half * 0.82;
                pen.metres("tr-pot", 1.1, "M# #L# #L# #L# #Z", -half, 0, -foot, -deep, foot, -deep, half, 0);
                for (int i = 0; i < 16; i++) {
                    double x = foot * 0.86 * ((i + 0.5) / 8 - 1);
                    double bend = x * 0.35 + (random.nextDouble() - 0.5) * half * 0.3;
                    pen.metres("tr-fine", 0.65, "M# #Q# # # #", bend * 0.2, -0.01, bend, -deep * 0.5, x, -deep * 0.93);
                }
                pen.metres("tr-rim", 1.1, "M# #L# #L# #L# #Z", -half, 0, half, 0, half, -0.02, -half, -0.02);
            }
            case BURLAP -> ball(half, deep);
            case HIDDEN -> {
                // In the ground: nothing of them is seen.
            }
        }
    }

    private void bareRoots(double half, double deep) {
        double stem = tree.size().stem();
        for (int i = 0; i < 9; i++) {
            double angle = 118 + 124 * (i + 0.5) / 9 + (random.nextDouble() - 0.5) * 10;
            double steep = Math.max(0.42, Math.abs(Math.cos(Math.toRadians(angle))));
            double length = Math.min(deep / steep * (0.8 + 0.3 * random.nextDouble()), half * 1.24);
            Limb.Way way = new Limb.Way(angle, length, angle < 180 ? 22 : -22, 7, 7);
            Limb root = Limb.grow(random, 0, 0.01, way, stem * 0.5, stem * 0.1);
            pen.wood(root.points(), "tr-stock");
            for (double share : new double[] {0.4, 0.65, 0.85}) {
                double[] at = root.at(share);
                Limb.Way fine = Limb.Way.of(root.end() + (random.nextDouble() - 0.5) * 90, length * 0.28, 10);
                pen.wood(Limb.grow(random, at[0], at[1], fine, 0.004, 0.002).points(), "tr-stock");
            }
        }
        pen.flush();
    }

    private void ball(double half, double deep) {
        double middle = -deep * 0.48;
        double up = deep * 0.52;
        pen.metres(
                "tr-burlap",
                1.2,
                "M# #C# # # # # #S# # # #Z",
                -half * 0.5,
                0.03,
                -half * 1.15,
                -deep * 0.1,
                -half * 1.1,
                -deep,
                0,
                -deep,
                half * 1.15,
                -deep * 0.1,
                half * 0.5,
                0.03);
        // The weave, within the ball that the outline rounds.
        for (double x = -half * 0.85; x < half * 0.9; x += 0.055) {
            double reach = up * 0.92 * Math.sqrt(Math.max(0, 1 - x * x / half / half));
            double lean = x + Math.signum(x) * -0.05;
            pen.metres("tr-fine", 0.45, "M# #Q# # # #", lean, middle + reach, x * 1.1, middle, lean, middle - reach);
        }
        pen.metres(
                "tr-line",
                1,
                "M# #Q# # # #M# #Q# # # #",
                -half * 0.9,
                -deep * 0.36,
                0,
                -deep * 0.5,
                half * 0.9,
                -deep * 0.36,
                -half * 0.72,
                -deep * 0.7,
                0,
                -deep * 0.86,
                half * 0.72,
                -deep * 0.7);
    }

    private void buds() {
        Limb trunk = growth.limbs().get(0);
        StringBuilder d = new StringBuilder();
        for (int k = 2; k < 16; k++) {
            double[] at = trunk.at(k / 16.0);
            int side = k % 2 == 1 ? 1 : -1;
            double edge = (at[0] + side * at[2] / 2) * pen.scale();
            d.append(Svg.path("M# #l# #", edge, -at[1] * pen.scale(), side * 2, -2.4));
        }
        pen.draw("tr-line", d, 1);
    }

    /** The stem stays in front of the lowest leaves. */
    private void stemBeforeLeaves() {
        if (tree.form().tied() || tree.form() == TreeForm.STOOL || tree.size().stem() * pen.scale() <= BEFORE_LEAVES) {
            return;
        }
        double[][] trunk = growth.limbs().get(0).points();
        pen.wood(Arrays.copyOf(trunk, (int) Math.ceil(trunk.length * 0.45)), "tr-wood");
    }

    /** The stock below is darker; the bud grew out on one side, there the stem bulges; opposite is the healed cut. */
    private void union() {
        double u = tree.union().height();
        if (u <= 0) {
            return;
        }
        double thick = Math.max(tree.size().stem(), 0.01);
        double pixels = thick * pen.scale();
        int side = tree.union().side();
        if (pixels < SMALL_UNION) {
            pen.draw(
                    "tr-line",
                    Svg.path("M# #L# #", -2.2 * side, -u * pen.scale() + 1.2, 2.2 * side, -u * pen.scale() - 1.2),
                    1.3);
            return;
        }
        double w = thick * 0.56;
        double left = side < 0 ? 1.75 : 1.25;
        double right = side > 0 ? 1.75 : 1.25;
        pen.metres(
                "tr-wood",
                1.1,
                "M# #L# #Q# # # #L# #Q# # # #L# #Z",
                -w * 1.1,
                0,
                -w,
                u * 0.8,
                -w * left,
                u,
                -w * 0.9,
                u + thick * 1.1,
                w * 0.9,
                u + thick * 1.1,
                w * right,
                u,
                w,
                u * 0.8,
                w * 1.1,
                0);
        pen.metres(
                "tr-stock",
                1.1,
                "M# #L# #Q# # # #L# #Q# # # #L# #Z",
                -w * 1.1,
                0,
                -w,
                u * 0.8,
                -w * 1.25,
                u,
                -w * 1.05,
                u + (side < 0 ? -thick * 0.25 : thick * 0.5),
                w * 1.05,
                u + (side > 0 ? -thick * 0.25 : thick * 0.5),
                w * 1.25,
                u,
                w,
                u * 0.8,
                w * 1.1,
                0);
        if (pixels > HATCHED_UNION) {
            for (double y = u * 0.1; y < u * 0.85; y += 3 / pen.scale()) {
                pen.metres("tr-line", 0.55, "M# #L# #", w, y, w * 0.1, y - 1 / pen.scale());
            }
        }
    }
}
