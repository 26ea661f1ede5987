package idlebough.core.pollination;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.ItemBoundable;
import org.locationtech.jts.index.strtree.ItemDistance;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * The trees of one variety, and which of them stands nearest to another tree; by a JTS STR-tree, so that a search costs
 * the logarithm of their number. Immutable.
 */
final class NearestOfVariety {
    private final List<Flowering> trees;
    private final Optional<Flowering> withoutPlace;
    private final STRtree index = new STRtree();
    private final boolean any;

    NearestOfVariety(List<Flowering> trees) {
        this.trees = List.copyOf(trees);
        withoutPlace = trees.stream().filter(tree -> tree.place().isEmpty()).findFirst();
        List<Flowering> placed =
                trees.stream().filter(tree -> tree.place().isPresent()).toList();
        any = !placed.isEmpty();
        placed.forEach(tree -> index.insert(envelope(tree), tree));
        index.build();
    }

    private static Envelope envelope(Flowering tree) {
        return new Envelope(
                tree.place().orElseThrow().x(),
                tree.place().orElseThrow().x(),
                tree.place().orElseThrow().y(),
                tree.place().orElseThrow().y());
    }

    List<Flowering> trees() {
        return trees;
    }

    /** Another tree than this one; empty when there is none. One without a place yet counts as standing beside it. */
    Optional<Flowering> nearestTo(Flowering tree) {
        if (withoutPlace.isPresent() && !withoutPlace.get().id().equals(tree.id())) {
            return withoutPlace;
        }
        if (tree.place().isEmpty()) {
            return trees.stream().filter(other -> !other.id().equals(tree.id())).findFirst();
        }
        if (!any) {
            return Optional.empty();
        }
        Flowering nearest = (Flowering) index.nearestNeighbour(envelope(tree), tree, new ToOthers());
        return nearest.id().equals(tree.id()) ? Optional.empty() : Optional.of(nearest);
    }

    /** The nearest other tree when one of them is lost; empty when there is none. */
    Optional<Flowering> nextTo(Flowering tree, Flowering lost) {
        return trees.stream()
                .filter(other -> !other.id().equals(tree.id()) && !other.id().equals(lost.id()))
                .min(Comparator.comparingDouble(tree::distance));
    }

    /** To itself a tree is as far as can be. */
    private static final class ToOthers implements ItemDistance {
        @Override
        public double distance(ItemBoundable a, ItemBoundable b) {
            Flowering one = (Flowering) a.getItem();
            Flowering other = (Flowering) b.getItem();
            return one.id().equals(other.id()) ? Double.MAX_VALUE : one.distance(other);
        }
    }
}
