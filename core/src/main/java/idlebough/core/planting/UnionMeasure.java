package idlebough.core.planting;

import java.time.LocalDate;

/**
 * A union as it stood one day.
 *
 * @param height above the board, m
 */
public record UnionMeasure(String tree, LocalDate day, double height, Kind kind) {
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
}
