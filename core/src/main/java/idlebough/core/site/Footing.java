package idlebough.core.site;

/**
 * What the tree is set on: the remedies for slow soil, mildest first (common practice).
 *
 * @see Mound
 */
public enum Footing {
    GRADE(0, false, "on the grade, slightly proud"),
    LOW_MOUND(0.15, false, "on a low mound"),
    MOUND(0.30, false, "on a mound"),
    TALL_MOUND(0.60, false, "on a tall mound"),
    DRAINED(0.60, true, "on a tall mound with a drain"),
    /** Dear: taken by hand where old trees stood or roots rot, never proposed. */
    HIGH_BERM(0.90, false, "on a high berm");

    private final double height;
    private final boolean drained;
    private final String words;

    Footing(double height, boolean drained, String words) {
        this.height = height;
        this.drained = drained;
        this.words = words;
    }

    /** Height after settling, m. */
    public double height() {
        return height;
    }

    /** Whether a drain takes the water away from under it. */
    public boolean drained() {
        return drained;
    }

    public boolean raised() {
        return height > 0;
    }

    public String words() {
        return words;
    }
}
