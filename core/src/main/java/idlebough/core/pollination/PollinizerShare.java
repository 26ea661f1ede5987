package idlebough.core.pollination;

import idlebough.core.crop.Variety;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A block of one variety and the trees of others that serve it: in orchards one tree in nine is a pollinizer, at every
 * third place of every third row (common practice; Free 1993; Delaplane & Mayer 2000).
 *
 * @param first tree of the block
 * @param trees of the variety that have a place
 * @param donors different trees that serve one of them best of their variety
 */
public record PollinizerShare(Variety variety, Flowering first, int trees, int donors) {
    /** Trees for each pollinizer, itself counted. */
    private static final int ONE_IN = 9;

    private static final int EVERY = 3;

    /** Of every variety whose trees have places, in their order. */
    static List<PollinizerShare> of(Collection<Neighbourhood> neighbourhoods) {
        Map<String, List<Neighbourhood>> blocks = new LinkedHashMap<>();
        neighbourhoods.stream()
                .filter(around ->
                        around.tree().place().isPresent() && !around.tree().graft())
                .forEach(
                        around -> blocks.computeIfAbsent(around.tree().variety().key(), key -> new ArrayList<>())
                                .add(around));
        return blocks.values().stream().map(PollinizerShare::of).toList();
    }

    private static PollinizerShare of(List<Neighbourhood> block) {
        Flowering first = block.get(0).tree();
        Set<String> donors = new HashSet<>();
        block.forEach(around -> around.giving().stream()
                .filter(link ->
                        !link.partner().variety().key().equals(first.variety().key()))
                .forEach(link -> donors.add(link.partner().id())));
        return new PollinizerShare(first.variety(), first, block.size(), donors.size());
    }

    /** Pollinizers among all trees of the block and themselves, 0 to 1. */
    double share() {
        return (double) donors / (trees + donors);
    }

    /** How many more it wants for one in nine. */
    int wanting() {
        return Math.max(0, (trees + ONE_IN - 2) / (ONE_IN - 1) - donors);
    }

    /** @param row and place: from 1 */
    public record Place(int row, int place) {}

    /**
     * Where the pollinizers of a block stand: rows min(2 + 3k, rows), places alike, so that no tree is more than one
     * row and one place away from one.
     *
     * @param rows and trees in each, at least 1
     */
    public static List<Place> grid(int rows, int trees) {
        List<Place> places = new ArrayList<>();
        for (int row : thirds(rows)) {
            for (int place : thirds(trees)) {
                places.add(new Place(row, place));
            }
        }
        return List.copyOf(places);
    }

    private static Set<Integer> thirds(int n) {
        Set<Integer> places = new java.util.LinkedHashSet<>();
        for (int k = 0; k < (n + EVERY - 1) / EVERY; k++) {
            places.add(Math.min(2 + EVERY * k, n));
        }
        return places;
    }
}
