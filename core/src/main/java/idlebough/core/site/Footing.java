package idlebough.core.site;

/**
 * What the tree is set on: the remedies for slow soil, mildest first (common practice).
 *
 * @see Mound
 */
public enum Footing {
    GRADE(0, "on the grade, slightly proud"),
    LOW_MOUND(0.15, "on a low mound"),
    MOUND(0.30, "on a mound"),
    TALL_MOUND(0.50, "on a tall mound");

    private final double height;
    private final String words;

    Footing(double height, String words) {
        this.height = height;
        this.words = words;
    }

    /** Height after settling, m. */
    public double height() {
        return height;
    }

    public String words() {
        return words;
    }
}
