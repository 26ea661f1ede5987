package idlebough.core.pollination;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.ItemBoundable;
import org.locationtech.jts.index.strtree.ItemDistance;
import org.locationtech.jts.index.strtree.STRtree;

/**
 * The trees of one variety, and which of them stands nearest to another tree; by a JTS STR-tree, so that a search costs
 * the logarithm of their number. Immutable.
 *
 * <p>A branch, or a tree over the fence, is worth less than a tree of one's own and must not hide it: the nearest of
 * each worth is told.
 */
final class NearestOfVariety {
    private final List<Flowering> trees;
    private final List<Alike> alike;

    NearestOfVariety(List<Flowering> trees) {
        this.trees = List.copyOf(trees);
        Map<Double, List<Flowering>> byWorth = new TreeMap<>(Comparator.reverseOrder());
        trees.forEach(tree -> byWorth.computeIfAbsent(tree.reliability(), worth -> new ArrayList<>())
                .add(tree));
        alike = byWorth.values().stream().map(Alike::new).toList();
    }

    List<Flowering> trees() {
        return trees;
    }

    /** Other trees than this one, the nearest of each worth. One without a place yet counts as standing beside it. */
    List<Flowering> nearestTo(Flowering tree) {
        return alike.stream().flatMap(each -> each.nearestTo(tree).stream()).toList();
    }

    /** The same when one of them is lost. */
    List<Flowering> nextTo(Flowering tree, Flowering lost) {
        return alike.stream().flatMap(each -> each.nextTo(tree, lost).stream()).toList();
    }

    /** Those of one worth. */
    private static final class Alike {
        private final List<Flowering> trees;
        private final Optional<Flowering> withoutPlace;
        private final STRtree index = new STRtree();
        private final boolean any;

        Alike(List<Flowering> trees) {
            this.trees = trees;
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

        Optional<Flowering> nearestTo(Flowering tree) {
            if (withoutPlace.isPresent() && !withoutPlace.get().id().equals(tree.id())) {
                return withoutPlace;
            }
            if (tree.place().isEmpty()) {
                return trees.stream()
                        .filter(other -> !other.id().equals(tree.id()))
                        .findFirst();
            }
            if (!any) {
                return Optional.empty();
            }
            Flowering nearest = (Flowering) index.nearestNeighbour(envelope(tree), tree, new ToOthers());
            return nearest.id().equals(tree.id()) ? Optional.empty() : Optional.of(nearest);
        }

        Optional<Flowering> nextTo(Flowering tree, Flowering lost) {
            return trees.stream()
                    .filter(other ->
                            !other.id().equals(tree.id()) && !other.id().equals(lost.id()))
                    .min(Comparator.comparingDouble(tree::distance));
        }
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
