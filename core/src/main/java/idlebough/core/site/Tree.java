package idlebough.core.site;

import idlebough.core.crop.NurseryTree;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A tree that stands or will stand on the ground.
 *
 * @param id the caller's identifier
 * @param label as it stands on its peg
 * @param place plan metres
 * @param kind which variety on which stock
 * @param nursery the tree as it comes
 * @param footing what it is set on
 * @param choice id of the choice that it belongs to; empty for a tree that was there before
 * @see Stand
 */
public record Tree(
        String id,
        String label,
        Point place,
        Kind kind,
        NurseryTree nursery,
        Footing footing,
        Life life,
        Optional<String> choice) {

    /**
     * @param variety key of the catalogue
     * @param stock key of the catalogue; empty while none is chosen
     * @param grafts keys of other varieties that it bears as branches
     */
    public record Kind(String variety, Optional<String> stock, List<String> grafts) {
        /** Of one variety. */
        public Kind(String variety, Optional<String> stock) {
            this(variety, stock, List.of());
        }
    }

    /**
     * @param plantedOn empty while it is not in the ground, or nobody knows since when
     * @param filler whether it is taken out when its crown meets its neighbours'
     */
    public record Life(State state, Optional<LocalDate> plantedOn, boolean filler) {
        public static final Life PLANNED = new Life(State.PLANNED, Optional.empty());

        /** To stay. */
        public Life(State state, Optional<LocalDate> plantedOn) {
            this(state, plantedOn, false);
        }
    }

    /** Where a tree is in its life. */
    public enum State {
        PLANNED("planned"),
        ORDERED("ordered"),
        PLANTED("planted"),
        DEAD("dead"),
        MOVED("moved away");
        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        /** Whether it takes up its place. */
        public boolean stands() {
            return this != DEAD && this != MOVED;
        }

        /** Whether a tree may come from this to that; into the ground it comes with a day and a height, by planting. */
        public boolean mayBecome(State next) {
            return switch (this) {
                case PLANNED -> next == ORDERED;
                case ORDERED -> next == PLANNED || next == DEAD;
                case PLANTED -> next == DEAD || next == MOVED;
                case DEAD, MOVED -> false;
            };
        }

        /** Whether it has still to be planted. */
        public boolean toPlant() {
            return this == PLANNED || this == ORDERED;
        }
    }
}
