package idlebough.core.judge;

import java.util.HashMap;
import java.util.Map;

/**
 * The schools chosen in an orchard, and for single trees over them.
 *
 * @param ofOrchard key of the school by key of the way
 * @param ofTrees the same for single trees, by their ids
 */
public record Ways(Map<String, String> ofOrchard, Map<String, Map<String, String>> ofTrees) {
    public static final Ways USUAL = new Ways(Map.of(), Map.of());

    /** The school that holds for the orchard. */
    public Way.School of(Way way) {
        return way.choose(ofOrchard.get(way.key()));
    }

    /** What holds for a tree, by key of the way: its own over the orchard's. */
    public Map<String, String> of(String tree) {
        Map<String, String> own = ofTrees.get(tree);
        if (own == null) {
            return ofOrchard;
        }
        Map<String, String> all = new HashMap<>(ofOrchard);
        all.putAll(own);
        return all;
    }

    /** Whether a tree has a school of its own in a matter. */
    public boolean isOwn(String tree, Way way) {
        return ofTrees.getOrDefault(tree, Map.of()).containsKey(way.key());
    }
}
