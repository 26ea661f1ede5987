package idlebough.core.judge;

/** How far a figure from a source may be trusted; gives the half-width of a band where the record has none. */
public enum Certainty {
    SURE(0.05, "sure"),
    FAIR(0.10, "fair"),
    WEAK(0.25, "weak");

    private final double share;
    private final String word;

    Certainty(double share, String word) {
        this.share = share;
        this.word = word;
    }

    /** The half-width as a share of the figure: 0.05, 0.10 or 0.25. */
    public double share() {
        return share;
    }

    public String word() {
        return word;
    }

    public double halfWidth(double figure) {
        return Math.abs(figure) * share;
    }

    /** One grade less certain; weak stays weak. */
    public Certainty dropped() {
        return this == SURE ? FAIR : WEAK;
    }

    /** From the letters of the shipped tables: H or SURE, M or FAIR, L or WEAK. */
    public static Certainty of(String letter) {
        return switch (letter.strip().toUpperCase(java.util.Locale.ROOT)) {
            case "H", "A", "SURE" -> SURE;
            case "M", "B", "FAIR" -> FAIR;
            default -> WEAK;
        };
    }
}
