package idlebough.core.judge;

/**
 * Where a figure or a rule comes from.
 *
 * @param kind published, common practice, measured by the grower, or chosen by this project
 * @param citation author, year and table; or the trade saying
 * @param certainty how far it may be trusted
 */
public record Source(Kind kind, String citation, Certainty certainty) {

    /** What sort of authority stands behind it. */
    public enum Kind {
        PUBLISHED("published, from memory"),
        COMMON_PRACTICE("common practice"),
        MEASURED("measured"),
        OWN_CHOICE("our choice");
        private final String word;

        Kind(String word) {
            this.word = word;
        }

        public String word() {
            return word;
        }
    }

    public static Source published(String citation, Certainty certainty) {
        return new Source(Kind.PUBLISHED, citation, certainty);
    }

    public static Source practice(String citation) {
        return new Source(Kind.COMMON_PRACTICE, citation, Certainty.FAIR);
    }

    public static Source measured(String citation) {
        return new Source(Kind.MEASURED, citation, Certainty.SURE);
    }

    /** One line for under a working. */
    public String line() {
        return citation + " (" + kind.word() + ", " + certainty.word() + ")";
    }
}
