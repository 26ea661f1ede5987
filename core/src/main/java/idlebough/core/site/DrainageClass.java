package idlebough.core.site;

/**
 * Drainage classes for fruit trees by the hole-normalised rate, inches per hour (extension practice). A
 * rate on a limit belongs to the better-drained class, except exactly 4, which is fast.
 */
public enum DrainageClass {
    IMPERMEABLE(0, "shut", "a pan, packing or a water table: another spot, or a drain and a tall mound"),
    VERY_SLOW(0.1, "very slow", "a mound of 45 to 60 cm and a drain; tolerant stocks only"),
    SLOW(0.5, "slow", "a mound, berm or bed of 30 to 45 cm"),
    IDEAL(1, "good", "plant on the grade, slightly proud"),
    FAST(3, "fast", "good; water more often"),
    DROUGHTY(4, "dries fast", "mulch, and short frequent watering");

    private static final double SLACK = 1e-9;
    private final double from;
    private final String word;
    private final String meaning;

    DrainageClass(double from, String word, String meaning) {
        this.from = from;
        this.word = word;
        this.meaning = meaning;
    }

    public static DrainageClass of(double inchesPerHour) {
        if (inchesPerHour > 4 + SLACK) {
            return DROUGHTY;
        }
        DrainageClass found = IMPERMEABLE;
        for (DrainageClass candidate : values()) {
            if (candidate != DROUGHTY && inchesPerHour >= candidate.from - SLACK) {
                found = candidate;
            }
        }
        return found;
    }

    public String word() {
        return word;
    }

    public String meaning() {
        return meaning;
    }
}
