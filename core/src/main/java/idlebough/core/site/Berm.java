package idlebough.core.site;

/**
 * A long mound for a row, with rounded ends. Geometry: prism and the two halves of a frustum; sizes: common practice
 * (common practice).
 *
 * @param crest length of the flat top from tip to tip, at least its width, m
 * @param top width of the flat top, m
 * @param height after settling, m
 * @param run side slope, run over rise
 * @param settles share by which the placed soil sinks, below 1
 */
public record Berm(double crest, double top, double height, double run, double settles) {
    private static final double FLAT = 1.0;
    private static final double RUN = 3;
    /** Share by which placed soil usually sinks (common practice). */
    private static final double USUAL_SETTLING = 0.15;

    /** A metre flat on top, sides 1 : 3. @param crest m */
    public static Berm usual(double crest, double height) {
        return new Berm(crest, FLAT, height, RUN, USUAL_SETTLING);
    }

    /**
     * Under a row of trees, beyond its first and last by half a metre; a metre flat on top at least.
     *
     * @param length from first to last, m
     * @param foot as wide as it is wanted there, m
     */
    public static Berm ofRow(double length, double height, double foot) {
        double top = Math.max(FLAT, foot - 2 * RUN * height);
        return new Berm(length + top, top, height, RUN, USUAL_SETTLING);
    }

    public double baseWidth() {
        return top + 2 * run * height;
    }

    public double baseLength() {
        return crest + 2 * run * height;
    }

    private double straight() {
        return crest - top;
    }

    /** Area covered, m². */
    public double footprint() {
        return straight() * baseWidth() + Math.PI * baseWidth() * baseWidth() / 4;
    }

    /** After settling, m³. */
    public double settled() {
        double rt = top / 2;
        double rb = baseWidth() / 2;
        return straight() * height * (top + baseWidth()) / 2 + Math.PI * height / 3 * (rt * rt + rt * rb + rb * rb);
    }

    /** What must lie there on the day, m³. */
    public double placed() {
        return settled() / (1 - settles);
    }
}
