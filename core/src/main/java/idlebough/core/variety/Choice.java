package idlebough.core.variety;

import java.util.Optional;

/**
 * So many trees of one variety on one stock that the grower wants.
 *
 * @param variety key of the catalogue
 * @param stock key of the catalogue; empty while none is chosen
 * @param pot whether they stand in pots that go under cover
 * @param training name of the system; empty for an ordinary bush or open tree
 */
public record Choice(
        String id, String variety, Optional<String> stock, int wanted, boolean pot, Optional<String> training) {
    /** In the ground, as an ordinary bush or open tree. */
    public Choice(String id, String variety, Optional<String> stock, int wanted) {
        this(id, variety, stock, wanted, false, Optional.empty());
    }

    /** The same on another stock. */
    public Choice on(String other) {
        return new Choice(id, variety, Optional.of(other), wanted, pot, training);
    }
}
