package idlebough.core.planting;

import java.time.LocalDate;

/**
 * A union as it stood one day.
 *
 * @param height above the board, m
 * @param beside what else was seen of the tree
 */
public record UnionMeasure(String tree, LocalDate day, double height, Kind kind, Beside beside) {
    /** Nothing else was looked at. */
    public UnionMeasure(String tree, LocalDate day, double height, Kind kind) {
        this(tree, day, height, kind, Beside.NOT_SEEN);
    }

    /** On the planting day, or a look after settling. */
    public enum Kind {
        AS_PLANTED("planting day"),
        CHECK("check");
        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** What stands and lies beside it. */
    public record Beside(Tie tie, Mulch mulch) {
        public static final Beside NOT_SEEN = new Beside(Tie.NOT_SEEN, Mulch.NOT_SEEN);
    }

    /** How its tie holds. */
    public enum Tie {
        NOT_SEEN("not looked at"),
        OFF("off, or never tied"),
        FREE("on, with a finger of slack"),
        TIGHT("on, tight"),
        BITES("cutting into the bark");
        private final String words;

        Tie(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Where its mulch lies. */
    public enum Mulch {
        NOT_SEEN("not looked at"),
        CLEAR("clear of the stem"),
        TOUCHES("against the stem");
        private final String words;

        Mulch(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }
}
