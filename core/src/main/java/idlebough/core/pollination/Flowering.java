package idlebough.core.pollination;

import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import idlebough.core.site.Point;
import java.util.Optional;

/**
 * One tree of the plan as this room sees it.
 *
 * @param subject a tree, or a choice that has no place yet
 * @param label in words
 * @param place empty while it has none; then it is taken as within reach of all
 * @param reliability that it stands and flowers when it is wanted, 0 to 1; a tree over the fence can be felled
 * @param graft whether it is a branch on a tree of another variety
 */
public record Flowering(
        Subject subject, String label, Variety variety, Optional<Point> place, double reliability, boolean graft) {

    /** A tree of one's own. */
    public Flowering(Subject subject, String label, Variety variety, Optional<Point> place) {
        this(subject, label, variety, place, 1);
    }

    /** A tree, not a branch on one. */
    public Flowering(Subject subject, String label, Variety variety, Optional<Point> place, double reliability) {
        this(subject, label, variety, place, reliability, false);
    }

    /** Its tree's, and of a branch its variety's too. */
    public String id() {
        return graft ? subject.id() + "~" + variety.key() : subject.id();
    }

    /** Its label without the variety, for a tree with a place. */
    String peg() {
        int name = label.indexOf(" ‘");
        return name < 0 ? label : label.substring(0, name);
    }

    /** m; 0 when one of the two has no place yet. */
    public double distance(Flowering other) {
        return place.isEmpty() || other.place.isEmpty() ? 0 : place.get().distance(other.place.get());
    }
}
