package idlebough.app.tree;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * How each form grows: wood, and masses of leaves at its tips; then stretched to exactly the stated height and width, so
 * that the drawing agrees with the figure. Every factor here is a matter of looks.
 */
final class Growth {
    private static final double[] ESPALIER_WIRES = {0.45, 0.9, 1.35, 1.8};
    private static final double[] FAN_WIRES = {0.3, 0.6, 0.9, 1.2, 1.5, 1.8, 2.1};
    /** Masses of a dome turn by the golden angle, which spreads them evenly. */
    private static final double GOLDEN = 137.5;

    private static final int OLD = 10;
    private final Random random;
    private final double age;
    private final double height;
    private final double width;
    private final double stem;
    private final List<Limb> limbs = new ArrayList<>();
    private final List<double[]> tufts = new ArrayList<>();
    private double[] wires = {};

    private Growth(TreeFigure tree, Random random) {
        this.random = random;
        age = tree.age();
        height = tree.size().height();
        width = tree.size().width();
        stem = tree.size().stem();
    }

    static Growth of(TreeFigure tree, Random random) {
        Growth growth = new Growth(tree, random);
        growth.grow(tree.form());
        if (!tree.form().tied()) {
            growth.fit(tree.form() == TreeForm.WHIP);
        }
        return growth;
    }

    List<Limb> limbs() {
        return limbs;
    }

    /** Masses of leaves: x, y and radius. */
    List<double[]> tufts() {
        return tufts;
    }

    /** Heights of the wires that it is tied to. */
    double[] wires() {
        return wires;
    }

    private void grow(TreeForm form) {
        switch (form) {
            case WHIP -> add(Limb.grow(random, 0, 0, new Limb.Way(1, height, 0, 1.2, 10), stem, stem * 0.35));
            case MAIDEN -> maiden();
            case HEADED -> headed();
            case LEADER -> leader();
            case MODIFIED -> modified();
            case BUSH -> vase(new double[] {-68, -38, -8, 26, 62}, 0.17, -0.35, 0.075);
            case OPEN -> vase(new double[] {-62, -40, 38, 63}, 0.16, -0.55, 0.05);
            case ROUND -> round();
            case WEEPING -> weeping();
            case STOOL -> stool();
            case ESPALIER -> espalier();
            case FAN -> fan();
            case HEDGE -> hedge();
            case STANDARD -> standard();
        }
    }

    private Limb add(Limb limb) {
        limbs.add(limb);
        return limb;
    }

    private Limb trunk(double length, double thin, double wobble, int pieces) {
        return add(Limb.grow(random, 0, 0, new Limb.Way(0, length, 0, wobble, pieces), stem, stem * thin));
    }

    private static int side(int i) {
        return i % 2 == 1 ? 1 : -1;
    }

    private double between(double least, double spread) {
        return least + spread * random.nextDouble();
    }

    /**
     * Shoots along a limb, to one side and the other; each carries leaves.
     *
     * @param from share of the limb that is bare
     * @param tuft radius, m
     * @param again how often shoots carry shoots
     */
    private void shoots(Limb limb, double from, int count, double length, double spread, double tuft, int again) {
        for (int i = 0; i < count; i++) {
            double share = from + (1 - from) * (i + 0.5) / count;
            double[] at = limb.at(share);
            double angle = limb.end() * 0.55 + side(i) * (spread + (random.nextDouble() - 0.5) * 20);
            double long1 = length * (1.05 - 0.45 * share) * between(0.8, 0.4);
            Limb shoot = add(Limb.grow(
                    random,
                    at[0],
                    at[1],
                    Limb.Way.of(angle, long1, -side(i) * spread * 0.35),
                    at[2] * 0.55,
                    at[2] * 0.2));
            if (again > 0) {
                shoots(shoot, 0.4, 3, length * 0.5, spread * 0.9, tuft * 0.8, again - 1);
            }
            leaves(shoot, tuft);
        }
    }

    private void leaves(Limb limb, double radius) {
        for (double share : new double[] {0.55, 1}) {
            double[] at = limb.at(share);
            tufts.add(new double[] {at[0], at[1], radius * (share < 1 ? 0.8 : 1) * between(0.85, 0.3)});
        }
    }

    private void maiden() {
        Limb trunk = trunk(height, 0.3, 1.2, 10);
        for (int i = 0; i < 7; i++) {
            double[] at = trunk.at(0.36 + 0.075 * i);
            Limb.Way way = Limb.Way.of(side(i) * 58, width * (0.62 - 0.055 * i), -side(i) * 26)
                    .wobbling(3);
            Limb feather = add(Limb.grow(random, at[0], at[1], way, at[2] * 0.5, at[2] * 0.25));
            leaves(feather, width * 0.05);
        }
        leaves(trunk, width * 0.05);
    }

    private void headed() {
        Limb trunk = trunk(height * 0.85, 0.4, 1.5, 10);
        for (int i = 0; i < 6; i++) {
            double[] at = trunk.at(0.45 + 0.09 * i);
            Limb.Way way = Limb.Way.of(side(i) * 55, width * (0.55 - 0.04 * i), -side(i) * 20)
                    .wobbling(4);
            Limb limb = add(Limb.grow(random, at[0], at[1], way, at[2] * 0.55, at[2] * 0.3));
            shoots(limb, 0.25, 5, width * 0.2, 42, width * 0.05, 0);
            leaves(limb, width * 0.055);
        }
        shoots(trunk, 0.75, 3, width * 0.16, 30, width * 0.05, 0);
        leaves(trunk, width * 0.055);
    }

    private void leader() {
        Limb trunk = trunk(height * 0.96, 0.16, 1.2, 12);
        int tiers = (int) Math.max(3, Math.min(7, Math.round(height * 1.7)));
        for (int i = 0; i < tiers; i++) {
            for (int side : new int[] {-1, 1}) {
                double share = 0.17 + 0.74 * (i + (side > 0 ? 0.4 : 0)) / tiers;
                double[] at = trunk.at(share);
                Limb.Way way = Limb.Way.of(
                                side * (76 - 30 * share), width * 0.5 * Math.pow(1.1 - share, 0.85), -side * 14)
                        .wobbling(3);
                Limb limb = add(Limb.grow(random, at[0], at[1], way, at[2] * 0.5, at[2] * 0.16));
                shoots(limb, 0.25, 5, width * 0.1, 34, width * 0.05, 0);
                leaves(limb, width * 0.05);
            }
        }
        shoots(trunk, 0.72, 4, width * 0.09, 30, width * 0.045, 0);
        leaves(trunk, width * 0.04);
    }

    private void modified() {
        Limb trunk = trunk(height * 0.62, 0.45, 2, 10);
        for (int i = 0; i < 6; i++) {
            double[] at = trunk.at(Math.min(1, 0.3 + 0.115 * i));
            Limb.Way way = Limb.Way.of(side(i) * (52 - 3 * i), height * (0.42 - 0.012 * i), -side(i) * 36)
                    .wobbling(4);
            Limb limb = add(Limb.grow(random, at[0], at[1], way, at[2] * 0.55, at[2] * 0.2));
            shoots(limb, 0.3, 5, width * 0.2, 46, width * 0.085, 0);
        }
        double[] top = trunk.tip();
        for (double angle : new double[] {-16, 14}) {
            Limb limb = add(Limb.grow(
                    random, top[0], top[1], Limb.Way.of(angle, height * 0.34, -angle), stem * 0.4, stem * 0.15));
            shoots(limb, 0.25, 5, width * 0.17, 46, width * 0.08, 0);
        }
    }

    private void vase(double[] angles, double stemShare, double bend, double tuft) {
        Limb trunk = trunk(Math.min(0.75, height * (stemShare + 0.06)), 0.85, 2, 7);
        boolean grown = age > 1;
        double[] top = trunk.tip();
        for (double angle : angles) {
            Limb.Way way = new Limb.Way(angle, height * 0.86, angle * bend, 4, 9);
            Limb limb = add(Limb.grow(random, top[0], top[1] - 0.02, way, stem * 0.58, stem * 0.16));
            shoots(
                    limb,
                    0.3,
                    grown ? 7 : 2,
                    width * (grown ? 0.16 : 0.3),
                    40,
                    width * tuft * (grown ? 1 : 1.6),
                    age > 5 ? 1 : 0);
            leaves(limb, width * tuft);
        }
    }

    private void dome(double cx, double cy, double rx, double ry, int count, double radius) {
        for (int i = 0; i < count; i++) {
            double angle = Math.toRadians(i * GOLDEN);
            double out = Math.sqrt((i + 0.5) / count);
            tufts.add(new double[] {
                cx + rx * (out + (random.nextDouble() - 0.5) * 0.14) * Math.cos(angle),
                cy + ry * (out + (random.nextDouble() - 0.5) * 0.14) * Math.sin(angle),
                radius * between(0.75, 0.5)
            });
        }
    }

    private void round() {
        Limb trunk = trunk(height * 0.22, 0.8, 2, 7);
        double[] top = trunk.tip();
        for (double angle : new double[] {-58, -28, 4, 30, 60}) {
            Limb.Way way = Limb.Way.of(angle, Math.min(height, width) * 0.36, -angle * 0.3);
            add(Limb.grow(random, top[0], top[1], way, stem * 0.5, stem * 0.2));
        }
        dome(0, height * 0.56, width * 0.38, height * 0.35, 34, width * 0.1);
    }

    private void weeping() {
        Limb trunk = trunk(height * 0.34, 0.75, 3, 7);
        double[] top = trunk.tip();
        for (double angle : new double[] {-62, -34, -8, 22, 50, 70}) {
            Limb.Way way = Limb.Way.of(angle, height * (0.46 - Math.abs(angle) * 0.001), -angle * 0.35)
                    .wobbling(6);
            Limb limb = add(Limb.grow(random, top[0], top[1], way, stem * 0.5, stem * 0.18));
            if (age > 1) {
                shoots(limb, 0.4, 3, height * 0.12, 40, width * 0.07, 0);
            } else {
                leaves(limb, width * 0.17);
            }
        }
        if (age > 1) {
            dome(-width * 0.03, height * 0.68, width * 0.36, height * 0.22, 17, width * 0.1);
        }
    }

    private void stool() {
        for (double angle : new double[] {-48, -27, -9, 10, 30, 52}) {
            Limb.Way way = Limb.Way.of(angle, height * 0.86, -angle * 0.45).wobbling(6);
            Limb limb = add(Limb.grow(random, angle * 0.0035 * width / 3, 0, way, stem * 0.75, stem * 0.3));
            shoots(limb, 0.42, age > 1 ? 5 : 1, height * 0.22, 44, width * 0.06, 0);
            leaves(limb, width * 0.055);
        }
    }

    private void espalier() {
        wires = ESPALIER_WIRES;
        trunk(Math.min(height, wires[wires.length - 1]), 0.5, 0.6, 10);
        for (int i = 0; i < wires.length && wires[i] <= height - 0.1; i++) {
            double length = width / 2 * (age < 4 ? 1 - 0.22 * i : 1);
            for (int side : new int[] {-1, 1}) {
                Limb.Way way = new Limb.Way(side * 82, length, side * 8, 1.2, 9);
                Limb arm = add(Limb.grow(random, 0, wires[i] - 0.04, way, stem * 0.42, stem * 0.16));
                int spurs = (int) Math.max(2, Math.round(length / 0.2));
                for (int k = 1; k <= spurs; k++) {
                    double[] at = arm.at((double) k / spurs);
                    tufts.add(new double[] {at[0], at[1] + 0.04, 0.075 * between(0.8, 0.5)});
                }
            }
        }
    }

    private void fan() {
        wires = FAN_WIRES;
        trunk(0.32, 0.8, 1, 7);
        int ribs = (int) Math.max(4, Math.min(10, Math.round(age * 0.9 + 4)));
        for (int i = 0; i < ribs; i++) {
            double angle = -80 + 160.0 * i / (ribs - 1);
            double sine = Math.abs(Math.sin(Math.toRadians(angle)));
            double reach = Math.abs(angle) > 50
                    ? width / 2
                    : height * 0.88 / Math.max(0.8, Math.cos(Math.toRadians(angle))) * 0.96;
            Limb.Way way = new Limb.Way(angle, Math.min(reach, width / 2 / Math.max(0.3, sine)), 0, 1.4, 9);
            Limb rib = add(Limb.grow(random, 0, 0.3, way, stem * 0.42, stem * 0.14));
            for (int k = 3; k <= 9; k++) {
                double[] at = rib.at(k / 9.0);
                if (at[1] < height) {
                    tufts.add(new double[] {
                        at[0] + (random.nextDouble() - 0.5) * 0.08, at[1] + 0.03, 0.08 * between(0.8, 0.5)
                    });
                }
            }
        }
    }

    private void hedge() {
        int stems = (int) Math.max(2, Math.round(width / 1.2));
        for (int i = 0; i < stems; i++) {
            double x = -width / 2 + width * (i + 0.5) / stems;
            add(Limb.grow(random, x, 0, new Limb.Way(0, 0.5, 0, 2, 7), stem * 0.7, stem * 0.5));
        }
    }

    private void standard() {
        Limb trunk = add(Limb.grow(random, 0, 0, new Limb.Way(-3, height * 0.25, 8, 3, 8), stem, stem * 0.8));
        trunk.points()[0][2] *= 1.5;
        trunk.points()[1][2] *= 1.16;
        double[] top = trunk.tip();
        boolean old = age > OLD;
        double[] angles = old ? new double[] {-76, -52, -24, 6, 34, 60, 80} : new double[] {-48, -16, 18, 50};
        for (int i = 0; i < angles.length; i++) {
            double angle = angles[i];
            double length = height * (old ? 0.5 - Math.abs(angle) * 0.0004 : 0.44);
            Limb limb = add(Limb.grow(
                    random,
                    top[0] + angle * 0.0012 * stem * 4,
                    top[1] - (Math.abs(angle) > 70 ? height * 0.04 : 0),
                    new Limb.Way(angle, length, -angle * 0.42, old ? 12 : 5, 11),
                    stem * (0.46 - 0.035 * Math.abs(i - 3)),
                    stem * 0.08));
            shoots(limb, 0.3, old ? 8 : 5, height * 0.17, 50, old ? width * 0.036 : width * 0.06, old ? 1 : 0);
        }
    }

    /** Stretched in turns, for a mass that is moved grows or shrinks a little with it. */
    private void fit(boolean slim) {
        for (int turn = 0; turn < 4; turn++) {
            double low = -0.01;
            double high = 0.01;
            double top = 0;
            for (Limb limb : limbs) {
                for (double[] at : limb.points()) {
                    low = Math.min(low, at[0]);
                    high = Math.max(high, at[0]);
                    top = Math.max(top, at[1]);
                }
            }
            for (double[] at : tufts) {
                low = Math.min(low, at[0] - at[2]);
                high = Math.max(high, at[0] + at[2]);
                top = Math.max(top, at[1] + at[2]);
            }
            double left = slim ? 1 : width / 2 / -low;
            double right = slim ? 1 : width / 2 / high;
            double up = height / top;
            for (Limb limb : limbs) {
                for (double[] at : limb.points()) {
                    at[0] *= at[0] < 0 ? left : right;
                    at[1] *= up;
                }
            }
            for (double[] at : tufts) {
                at[0] *= at[0] < 0 ? left : right;
                at[1] *= up;
                at[2] *= Math.sqrt(Math.min(left, right) * up);
            }
        }
    }
}
