package idlebough.app.tree;

/**
 * What a tree is drawn from. The same figures give the same tree.
 *
 * @param age years in the ground
 * @param below what is seen of its roots
 * @param leafless in winter, unless it is evergreen
 * @param seed which of the shapes of its form
 */
public record TreeFigure(
        TreeForm form, Leaf leaf, double age, Size size, Union union, Below below, boolean leafless, int seed) {

    /** Metres; the stem where it leaves the ground. */
    public record Size(double height, double width, double stem) {
        private static final double YOUNG_STEM = 0.018;
        private static final double A_YEAR = 0.0105;
        private static final double USUAL = 4.2;
        private static final double MOST = 1.2;

        /** With a stem as thick as it usually is: about a centimetre a year, less on a small tree (common practice). */
        public static Size of(double height, double width, double age) {
            return new Size(height, width, YOUNG_STEM + A_YEAR * age * Math.min(MOST, height / USUAL));
        }
    }

    /**
     * @param height above the flare, m; 0 for a tree on its own roots
     * @param side 1 where the bud grew out to the right, −1 to the left
     */
    public record Union(double height, int side) {
        public static final Union NONE = new Union(0, 1);
    }

    /**
     * @param roots how it came
     * @param width and depth: of the ball or the bare roots, m
     */
    public record Below(Roots roots, double width, double depth) {
        /** In the ground, which hides them. */
        public static final Below HIDDEN = new Below(Roots.HIDDEN, 0, 0);
    }

    /** How a tree comes. */
    public enum Roots {
        BARE,
        POT,
        BURLAP,
        HIDDEN
    }
}
