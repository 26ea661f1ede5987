package idlebough.core.judge;

/**
 * What a finding or a figure is about.
 *
 * @param id of the tree, pit, choice or variety; empty for the whole orchard
 */
public record Subject(Kind kind, String id) {
    public static final Subject ORCHARD = new Subject(Kind.ORCHARD, "");

    /** The kinds of subjects. */
    public enum Kind {
        TREE,
        PIT,
        CHOICE,
        VARIETY,
        STATION,
        FEATURE,
        ORCHARD
    }

    public static Subject tree(String id) {
        return new Subject(Kind.TREE, id);
    }

    public static Subject pit(String id) {
        return new Subject(Kind.PIT, id);
    }

    public static Subject choice(String id) {
        return new Subject(Kind.CHOICE, id);
    }

    public static Subject variety(String key) {
        return new Subject(Kind.VARIETY, key);
    }

    /** An existing tree that is drawn on the ground. */
    public static Subject feature(String id) {
        return new Subject(Kind.FEATURE, id);
    }

    public static Subject station(String id) {
        return new Subject(Kind.STATION, id);
    }

    public boolean isTree(String tree) {
        return kind == Kind.TREE && id.equals(tree);
    }
}
