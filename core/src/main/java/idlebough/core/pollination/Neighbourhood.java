package idlebough.core.pollination;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * A tree and the tree of every variety that serves it best: all that its set depends on. Of trees of one worth the
 * nearest is the best.
 *
 * @param nearest one for each variety
 */
public record Neighbourhood(Flowering tree, List<Link> nearest) {

    /** A partner and what it is worth to the tree. */
    public record Link(Flowering partner, PartnerScore score) {
        static final Comparator<Link> BEST_FIRST = Comparator.comparingDouble(
                        (Link link) -> -link.score().value())
                .thenComparingDouble(link -> link.score().apart());
    }

    /** What it gets from itself and all partners, counting each variety once, by its best tree; 0 to 1. */
    public double set() {
        return PartnerScore.together(
                tree.variety().selfFruitful(),
                nearest.stream().map(link -> link.score().value()).toList());
    }

    /** The same if every bloom group were told one step wrong. */
    double worseSet() {
        return PartnerScore.together(
                tree.variety().selfFruitful(),
                nearest.stream()
                        .map(link -> link.score().oneStepWorse(tree.variety()))
                        .toList());
    }

    /** The same if every partner of which nobody knows the variety were the best that there is. */
    double betterSet() {
        return PartnerScore.together(
                tree.variety().selfFruitful(),
                nearest.stream()
                        .map(link -> link.partner().variety().isNamed()
                                ? link.score().value()
                                : link.score().distance() * link.score().reliability())
                        .toList());
    }

    /** Those that are worth counting, the best first. */
    public List<Link> giving() {
        return nearest.stream()
                .filter(link -> link.score().value() >= PartnerScore.THIN)
                .sorted(Link.BEST_FIRST)
                .toList();
    }

    /** The nearest partner that would serve but for the distance; empty when none would. */
    public Optional<Link> nearestServing() {
        return nearest.stream()
                .filter(link -> link.score().pairing().serves())
                .min(Comparator.comparingDouble(link -> link.score().apart()));
    }
}
