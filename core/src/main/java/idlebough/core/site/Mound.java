package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;

/**
 * A round mound with a flat top. Geometry: frustum of a cone; sizes: common practice.
 *
 * @param top diameter of the flat top, m
 * @param height after settling, m
 * @param run side slope, run over rise
 * @param settles share by which the placed soil sinks, below 1
 */
public record Mound(double top, double height, double run, double settles) {
    private static final double USUAL_TOP = 1.2;
    private static final double USUAL_RUN = 2;
    private static final double USUAL_SETTLING = 0.15;

    /** The usual mound of a height. */
    public static Mound of(double height) {
        return new Mound(USUAL_TOP, height, USUAL_RUN, USUAL_SETTLING);
    }

    /** One whose foot is as wide as the grown crown; never narrower on top than usual. @param crown m across */
    public static Mound under(double crown, double height) {
        return new Mound(Math.max(USUAL_TOP, crown - 2 * USUAL_RUN * height), height, USUAL_RUN, USUAL_SETTLING);
    }

    /** Diameter at the foot, m. */
    public double base() {
        return top + 2 * run * height;
    }

    /** Area covered, m². */
    public double footprint() {
        return Math.PI * base() * base() / 4;
    }

    /** Area of the sloping side, m². */
    public double side() {
        return Math.PI * (top + base()) / 2 * height * Math.sqrt(1 + run * run);
    }

    /** After settling, m³. */
    public double settled() {
        double rt = top / 2;
        double rb = base() / 2;
        return Math.PI * height / 3 * (rt * rt + rt * rb + rb * rb);
    }

    /** What must lie there on the day, m³. */
    public double placed() {
        return settled() / (1 - settles);
    }

    /** To be built to this height so that the wanted one remains, m. */
    public double builtHeight() {
        return height / (1 - settles);
    }

    public Working working() {
        return Working.of("How {} comes about", Amount.of(1000 * placed(), Quantity.EARTH))
                .step(
                        "A mound {} high after settling, flat top {} across, sides {} to 1",
                        Amount.cm(height),
                        Amount.metres(top),
                        Amount.decimal(run))
                .step("foot {} across", Amount.metres(base()))
                .step("{} when it has settled", Amount.of(1000 * settled(), Quantity.EARTH))
                .step(
                        "÷ (1 − {}) = {} to be placed, built {} high",
                        Amount.of(settles, Quantity.SCORE),
                        Amount.of(1000 * placed(), Quantity.EARTH),
                        Amount.cm(builtHeight()))
                .sensitive("Most sensitive to the height: the volume grows with more than its square.")
                .from(Source.practice("mound of soil like the native soil; frustum of a cone"));
    }
}
