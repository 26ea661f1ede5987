package idlebough.core.judge;

/**
 * How a matter stands. Doubtful means: within what we do not know.
 *
 * @see Limit
 */
public enum Standing {
    SOUND("sound"),
    DOUBTFUL("doubtful"),
    STOP("stop");

    /** Slack of the comparison, as a share of the larger figure: rounding is no reason for a doubt. */
    private static final double SLACK = 1e-9;

    private final String word;

    Standing(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }

    public Standing worse(Standing other) {
        return ordinal() >= other.ordinal() ? this : other;
    }

    public boolean isWorseThan(Standing other) {
        return ordinal() > other.ordinal();
    }

    /**
     * The one comparison of the whole program. The value and the limit are bands; when they do not touch, the matter is
     * sound or a stop, and when they touch it is doubtful. What a limit says of meeting it and of the worst is part
     * of the
     * limit.
     */
    public static Standing of(Measured measured, Limit limit) {
        double clear = limit.side() == Limit.Side.AT_LEAST
                ? measured.value() - limit.value()
                : limit.value() - measured.value();
        double slack = SLACK * Math.max(1, Math.max(Math.abs(measured.value()), Math.abs(limit.value())));
        double band = measured.halfWidth() + limit.halfWidth();
        if (clear > band + slack
                || clear >= -slack && (band == 0 || limit.temper().meetingIsSound())) {
            return SOUND;
        }
        return clear < -band - slack && !limit.temper().neverStop() ? STOP : DOUBTFUL;
    }
}
