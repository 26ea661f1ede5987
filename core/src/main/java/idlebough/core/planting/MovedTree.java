package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Solids;

/**
 * A standing tree that is dug up and set elsewhere (common practice): how large its ball is, what that weighs, and
 * whether it is dared.
 *
 * @param years in the ground
 * @param radius of the ball from the stem, m
 * @param depth of the ball, m
 * @param crown half width of the tree, m; its roots reach at least as far
 */
public record MovedTree(double years, double radius, double depth, double crown) {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double TAPER = 0.8;
    private static final Source SOURCE =
            Source.published("balls: ANSI Z60.1, from memory; years in place are common practice", Certainty.WEAK);

    /** Whether it is dared; no share of success is told, since nobody counted. */
    public enum Dared {
        WELL("goes well"),
        DARED("is dared"),
        NO("does not go");
        private final String words;

        Dared(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /**
     * @param stem thickness, m
     * @param machine whether a machine lifts it, so that the ball may be ten stems and more across
     */
    public static MovedTree of(double years, double stem, double crown, boolean machine) {
        double byHand = Math.min(
                TABLE.value("move-radius.most"),
                Math.max(TABLE.value("move-radius.least"), TABLE.value("move-stems") * stem / 2));
        double wide = Math.max(byHand, TABLE.value("move-stems.machine") * stem / 2);
        return new MovedTree(years, machine ? wide : byHand, TABLE.value("move-depth"), Math.max(crown, byHand));
    }

    public Dared dared() {
        return years <= TABLE.value("move-years.well")
                ? Dared.WELL
                : years <= TABLE.value("move-years.dared") ? Dared.DARED : Dared.NO;
    }

    public double litres() {
        return 1000 * Solids.frustum(2 * radius, TAPER * 2 * radius, depth);
    }

    /** As moist soil, kg; low and high. */
    public double lightest() {
        return litres() * TABLE.value("move-density.low");
    }

    public double heaviest() {
        return litres() * TABLE.value("move-density.high");
    }

    public Lift lift() {
        return Lift.of(heaviest());
    }

    /** Share of the ground that its roots hold, which goes along, 0 to 1. */
    public double rootsKept() {
        return Math.min(1, radius * radius / (crown * crown));
    }

    public Working working() {
        return Working.of(
                        "How {} to {} come about",
                        Amount.of(lightest(), Quantity.MASS),
                        Amount.of(heaviest(), Quantity.MASS))
                .step(
                        "a ball cut {} from the stem, {} deep, narrower below: {}",
                        cm(radius),
                        cm(depth),
                        Amount.litres(litres()))
                .step(
                        "× {} to {} kg a litre of moist soil",
                        Amount.of(TABLE.value("move-density.low"), Quantity.SCORE),
                        Amount.of(TABLE.value("move-density.high"), Quantity.SCORE))
                .step(
                        "its roots reach {} or further: {} of their ground goes along",
                        cm(crown),
                        Amount.of(100 * rootsKept(), Quantity.PERCENT))
                .sensitive("Most sensitive to the radius, which counts twice.")
                .from(SOURCE);
    }
}
