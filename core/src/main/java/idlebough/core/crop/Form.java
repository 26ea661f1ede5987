package idlebough.core.crop;

/** How a tree is bought; decides how much its ball sinks and what it weighs. */
public enum Form {
    BARE("bare-root", 0, 0, 0),
    CONTAINER("container", 0.05, 0.03, 0.10),
    FIELD("field ball", 0.01, 0.005, 0.02);
    private final String words;
    private final double sinks;
    private final double low;
    private final double high;

    Form(String words, double sinks, double low, double high) {
        this.words = words;
        this.sinks = sinks;
        this.low = low;
        this.high = high;
    }

    public String words() {
        return words;
    }

    /** Share of its height by which the ball itself sinks. */
    public double sinks() {
        return sinks;
    }

    public double sinksLow() {
        return low;
    }

    public double sinksHigh() {
        return high;
    }
}
