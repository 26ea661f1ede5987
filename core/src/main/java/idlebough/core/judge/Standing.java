package idlebough.core.judge;

/**
 * How a matter stands. Doubtful means: within what we do not know.
 */
public enum Standing {
    SOUND,
    DOUBTFUL,
    STOP;

    public Standing worse(Standing other) {
        return ordinal() >= other.ordinal() ? this : other;
    }

    /**
     * The one comparison of the whole program. The value and the limit are bands; when they do not touch, the matter is
     * sound or a stop, and when they touch it is doubtful. A band's half-width comes from a record's own interval or from
     * the certainty of its source.
     *
     * @param value the measured value
     * @param valueHalfWidth its half-width, same unit, not negative
     * @param limit what is wanted
     * @param limitHalfWidth its half-width, same unit, not negative
     * @param wanted which side of the limit is the good one
     */
    public static Standing of(double value, double valueHalfWidth, double limit, double limitHalfWidth, Wanted wanted) {
        double clear = wanted == Wanted.AT_LEAST ? value - limit : limit - value;
        double band = valueHalfWidth + limitHalfWidth;
        if (clear >= 0 && band == 0 || clear > band) {
            return SOUND;
        }
        return clear < -band ? STOP : DOUBTFUL;
    }

    /** Which side of a limit is the good one. */
    public enum Wanted {
        AT_LEAST,
        AT_MOST
    }
}
