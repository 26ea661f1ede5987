package idlebough.app.store;

import idlebough.core.crop.Form;
import idlebough.core.site.Footing;
import idlebough.core.site.Tree;
import java.time.LocalDate;
import java.util.List;

/**
 * A tree, planned or standing, at a peg.
 *
 * @param choiceId null for a tree that was there before
 */
public record TreeRow(
        RowKey key, String pegId, String choiceId, What what, Nursery nursery, Footing footing, Life life, Hole hole)
        implements Row {

    /** In the hole that the program proposes. */
    public TreeRow(RowKey key, String pegId, String choiceId, What what, Nursery nursery, Footing footing, Life life) {
        this(key, pegId, choiceId, what, nursery, footing, life, Hole.PROPOSED);
    }

    /** As the grower wants it or has dug it, m; null where the program's is taken. */
    public record Hole(
            Double holeDepth,
            Double holeWidth,
            Double holeBottom,
            Double holeRefill,
            Double holeRaise,
            Double holeClear,
            Tree.Filled holeFilled) {
        static final Hole PROPOSED = new Hole(null, null, null, null, null, null, null);
    }

    /**
     * @param rootstockKey null while none is chosen
     * @param grafts keys of other varieties that it bears as branches, with commas between; null for none
     */
    public record What(String varietyKey, String rootstockKey, String grafts) {
        /** Of one variety. */
        public What(String varietyKey, String rootstockKey) {
            this(varietyKey, rootstockKey, null);
        }

        /** Keys of the varieties that it bears as branches. */
        public List<String> branches() {
            return grafts == null || grafts.isEmpty() ? List.of() : List.of(grafts.split(","));
        }
    }

    /**
     * As it comes, m.
     *
     * @param unionAboveFlare null while not measured
     */
    public record Nursery(Form form, double ballDiameter, double ballHeight, Double unionAboveFlare, double stem) {}

    /** @param plantedOn null while it is not in the ground */
    /** @param filler whether it is taken out when its crown meets its neighbours' */
    public record Life(Tree.State state, LocalDate plantedOn, boolean filler) {
        /** To stay. */
        public Life(Tree.State state, LocalDate plantedOn) {
            this(state, plantedOn, false);
        }
    }
}
