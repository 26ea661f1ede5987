package idlebough.core.pollination;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The trees of a plan on which others hang: lost, they leave them without a partner. */
public final class PartnerLosses {
    private PartnerLosses() {}

    /**
     * @param tree that may be lost; it may stand over the fence
     * @param idle the trees that set a crop now and would not without it
     */
    public record Loss(Flowering tree, List<Flowering> idle) {}

    /** The tree on which most hang first; none where every tree has a second partner. */
    public static List<Loss> of(PartnerWeb web) {
        Map<String, List<Flowering>> idle = new LinkedHashMap<>();
        Map<String, Flowering> partners = new LinkedHashMap<>();
        web.neighbourhoods().values().stream()
                .filter(around -> serves(around))
                .forEach(around -> around.giving().forEach(link -> {
                    if (!serves(web.without(around, link.partner()))) {
                        partners.put(link.partner().id(), link.partner());
                        idle.computeIfAbsent(link.partner().id(), id -> new ArrayList<>())
                                .add(around.tree());
                    }
                }));
        return idle.entrySet().stream()
                .map(each -> new Loss(partners.get(each.getKey()), List.copyOf(each.getValue())))
                .sorted(Comparator.comparingInt((Loss loss) -> -loss.idle().size()))
                .toList();
    }

    private static boolean serves(Neighbourhood around) {
        return around.set() >= PartnerScore.GOOD;
    }
}
