package idlebough.core.judge;

import java.util.HashMap;
import java.util.Map;

/**
 * The schools chosen in an orchard, for crops over them, and for single trees over both.
 *
 * @param ofOrchard key of the school by key of the way
 * @param ofCrops the same for crops, by their keys
 * @param ofTrees the same for single trees, by their ids
 */
public record Ways(
        Map<String, String> ofOrchard,
        Map<String, Map<String, String>> ofCrops,
        Map<String, Map<String, String>> ofTrees) {
    public static final Ways USUAL = new Ways(Map.of(), Map.of(), Map.of());

    /** Of an orchard and single trees. */
    public Ways(Map<String, String> ofOrchard, Map<String, Map<String, String>> ofTrees) {
        this(ofOrchard, Map.of(), ofTrees);
    }

    /** The school that holds for the orchard. */
    public Way.School of(Way way) {
        return way.choose(ofOrchard.get(way.key()));
    }

    /** What holds for a crop, by key of the way: its own over the orchard's. */
    public Map<String, String> ofCrop(String crop) {
        return over(ofOrchard, ofCrops.get(crop));
    }

    /** What holds for a tree, by key of the way: its own over its crop's over the orchard's. */
    public Map<String, String> of(String tree, String crop) {
        return over(ofCrop(crop), ofTrees.get(tree));
    }

    private static Map<String, String> over(Map<String, String> all, Map<String, String> own) {
        if (own == null) {
            return all;
        }
        Map<String, String> both = new HashMap<>(all);
        both.putAll(own);
        return both;
    }

    /** Whether a crop has a school of its own in a matter. */
    public boolean isOfCrop(String crop, Way way) {
        return ofCrops.getOrDefault(crop, Map.of()).containsKey(way.key());
    }

    /** Whether a tree has a school of its own in a matter. */
    public boolean isOwn(String tree, Way way) {
        return ofTrees.getOrDefault(tree, Map.of()).containsKey(way.key());
    }
}
