package idlebough.core.assortment;

import java.time.Month;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What a grower would like of a whole assortment.
 *
 * @param crops keys of the crops wanted and how much each matters, 1 to 3
 * @param months in which own fruit, ripe or in store, is wanted
 * @param trees that may be planted at most, those that must be kept among them
 * @param area that their crowns may cover at most, m²; empty where only the number counts
 * @param safety winters of ten that must satisfy a variety's chill, 0 to 10
 * @param noSprays whether only what its crop's ills hardly touch may stand
 * @param seed by which ties are broken: the same wish and seed give the same proposals
 */
public record AssortmentWish(
        Map<String, Integer> crops,
        Set<Month> months,
        int trees,
        Optional<Double> area,
        int safety,
        boolean noSprays,
        long seed) {
    public AssortmentWish {
        crops = Map.copyOf(crops);
        months = Set.copyOf(months);
    }
}
