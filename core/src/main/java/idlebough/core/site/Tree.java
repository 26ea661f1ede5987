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
 * @param ground what it is set on and the hole that is dug for it
 * @param choice id of the choice that it belongs to; empty for a tree that was there before
 * @see Stand
 */
public record Tree(
        String id,
        String label,
        Point place,
        Kind kind,
        NurseryTree nursery,
        Ground ground,
        Life life,
        Optional<String> choice) {

    /** In the hole that the program proposes. */
    public Tree(
            String id,
            String label,
            Point place,
            Kind kind,
            NurseryTree nursery,
            Footing footing,
            Life life,
            Optional<String> choice) {
        this(id, label, place, kind, nursery, new Ground(footing, Hole.PROPOSED), life, choice);
    }

    public Footing footing() {
        return ground.footing();
    }

    /** What it is set on, and in what. */
    public record Ground(Footing footing, Hole hole) {}

    /**
     * The hole as the grower wants it or has dug it, m; empty where the program's is taken.
     *
     * @param depth below the board
     * @param width at the top
     * @param bottom width at the bottom
     * @param refill loose soil that was put back under the ball or the roots
     * @param raise how far above the board the flare is set
     * @param clear of mulch round the stem
     * @param filled what goes in, if not what the ways say
     */
    public record Hole(
            Optional<Double> depth,
            Optional<Double> width,
            Optional<Double> bottom,
            Optional<Double> refill,
            Optional<Double> raise,
            Optional<Double> clear,
            Filled filled) {
        public static final Hole PROPOSED =
                new Hole(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        /** With the tree where the program sets it, filled by the ways. */
        public Hole(Optional<Double> depth, Optional<Double> width, Optional<Double> bottom, Optional<Double> refill) {
            this(depth, width, bottom, refill, Optional.empty(), Optional.empty(), Filled.BY_THE_WAYS);
        }

        /** The same with the flare so far above the board, m. */
        public Hole raisedTo(double metres) {
            return new Hole(depth, width, bottom, refill, Optional.of(metres), clear, filled);
        }

        /** The same with so much bare ground round the stem, m. */
        public Hole clearOf(double metres) {
            return new Hole(depth, width, bottom, refill, raise, Optional.of(metres), filled);
        }

        /** The same, otherwise filled. */
        public Hole filledWith(Filled other) {
            return new Hole(depth, width, bottom, refill, raise, clear, other);
        }

        /** Whether its depth, or how high the tree stands in it, is the grower's own. */
        public boolean dug() {
            return depth.isPresent() || refill.isPresent() || raise.isPresent();
        }

        public boolean own() {
            return !equals(PROPOSED);
        }
    }

    /** What people put into a hole; all but the first are refused by every school, or by nearly all. */
    public enum Filled {
        BY_THE_WAYS("what the ways say"),
        SAND("sand mixed in"),
        GRAVEL("gravel or stones at the bottom"),
        COMPOST("compost or potting mix alone"),
        UPSIDE_DOWN("the subsoil on top");
        private final String words;

        Filled(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

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
