package idlebough.core.judge;

import idlebough.core.measure.Quantity;

/**
 * What is wanted of a value. All that a rule needs beside the two bands is a property of its limit, so that {@link
 * Standing#of} alone decides.
 *
 * @param value in the base unit of the quantity
 * @param halfWidth of its band, same unit, not negative
 * @param side which side of it is the good one
 * @param temper how strictly it is meant
 * @param source where it comes from
 */
public record Limit(double value, double halfWidth, Quantity quantity, Side side, Temper temper, Source source) {

    /** Which side of a limit is the good one. */
    public enum Side {
        AT_LEAST,
        AT_MOST
    }

    /**
     * How strictly a limit is meant.
     *
     * @param meetingIsSound a value that just meets it is sound, though the bands touch: where the program or the
     * grower
     *     chose the value to meet it, or where the source says “from here on”
     * @param neverStop the matter can be mended later, so it is doubtful at worst
     */
    public record Temper(boolean meetingIsSound, boolean neverStop) {
        public static final Temper STRICT = new Temper(false, false);
    }

    public static Limit atLeast(double value, double halfWidth, Quantity quantity, Source source) {
        return new Limit(value, halfWidth, quantity, Side.AT_LEAST, Temper.STRICT, source);
    }

    public static Limit atMost(double value, double halfWidth, Quantity quantity, Source source) {
        return new Limit(value, halfWidth, quantity, Side.AT_MOST, Temper.STRICT, source);
    }

    /** The same limit, of which just meeting it is sound. */
    public Limit meetingIsSound() {
        return new Limit(value, halfWidth, quantity, side, new Temper(true, temper.neverStop()), source);
    }

    /** The same limit, doubtful at worst. */
    /** The same, told by another source. */
    public Limit from(Source other) {
        return new Limit(value, halfWidth, quantity, side, temper, other);
    }

    public Limit neverStop() {
        return new Limit(value, halfWidth, quantity, side, new Temper(temper.meetingIsSound(), true), source);
    }

    public Amount amount() {
        return Amount.of(value, quantity);
    }
}
