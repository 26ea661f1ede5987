package idlebough.core.variety;

import java.util.Optional;

/**
 * So many trees of one variety on one stock that the grower wants.
 *
 * @param variety key of the catalogue
 * @param stock key of the catalogue; empty while none is chosen
 * @param pot whether they stand in pots that go under cover
 */
public record Choice(String id, String variety, Optional<String> stock, int wanted, boolean pot) {
    /** In the ground. */
    public Choice(String id, String variety, Optional<String> stock, int wanted) {
        this(id, variety, stock, wanted, false);
    }
}
