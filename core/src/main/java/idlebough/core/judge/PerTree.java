package idlebough.core.judge;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;

/**
 * Something computed for each tree from an input of its own, when it is first asked for. Made over an earlier one, it
 * takes over every value whose input is the same: a change of one tree costs one tree.
 *
 * <p>Thread-safe; every value is computed once.
 *
 * @param <I> all that a value depends on; equal inputs must give equal values
 */
public final class PerTree<I, V> {
    private final Map<String, I> inputs;
    private final Function<List<I>, List<V>> compute;
    private final boolean together;
    private final Map<String, V> values = new ConcurrentHashMap<>();

    private PerTree(Map<String, I> inputs, Function<List<I>, List<V>> compute, boolean together) {
        this.inputs = inputs;
        this.compute = compute;
        this.together = together;
    }

    /**
     * @param inputs by tree, in the order in which values are to come
     * @param before values of an earlier evaluation with the same function; null for none
     */
    public static <I, V> PerTree<I, V> of(Map<String, I> inputs, Function<I, V> compute, PerTree<I, V> before) {
        return new PerTree<I, V>(inputs, list -> List.of(compute.apply(list.get(0))), false).over(before);
    }

    /**
     * The same where many values are found faster together: the first question answers for all that are missing.
     *
     * @param compute values in the order of the inputs
     */
    public static <I, V> PerTree<I, V> ofAll(
            Map<String, I> inputs, Function<List<I>, List<V>> compute, PerTree<I, V> before) {
        return new PerTree<>(inputs, compute, true).over(before);
    }

    private PerTree<I, V> over(PerTree<I, V> before) {
        if (before != null) {
            inputs.forEach((tree, input) -> {
                V known = before.values.get(tree);
                if (known != null && input.equals(before.inputs.get(tree))) {
                    values.put(tree, known);
                }
            });
        }
        return this;
    }

    /** @throws IllegalArgumentException when there is no such tree */
    public V of(String tree) {
        return find(tree).orElseThrow(() -> new IllegalArgumentException("No tree " + tree + " is known here."));
    }

    public Optional<V> find(String tree) {
        V known = values.get(tree);
        if (known != null) {
            return Optional.of(known);
        }
        I input = inputs.get(tree);
        if (input == null) {
            return Optional.empty();
        }
        if (together) {
            computeMissing();
            return Optional.of(values.get(tree));
        }
        return Optional.of(values.computeIfAbsent(
                tree, same -> compute.apply(List.of(input)).get(0)));
    }

    private synchronized void computeMissing() {
        List<String> missing = inputs.keySet().stream()
                .filter(tree -> !values.containsKey(tree))
                .toList();
        if (!missing.isEmpty()) {
            List<V> found = compute.apply(missing.stream().map(inputs::get).toList());
            for (int i = 0; i < missing.size(); i++) {
                values.put(missing.get(i), found.get(i));
            }
        }
    }

    /** Trees in their order. */
    public Collection<String> trees() {
        return Collections.unmodifiableSet(inputs.keySet());
    }

    /** Every tree's value, in the order of the trees. */
    public Map<String, V> all() {
        Map<String, V> all = new LinkedHashMap<>();
        inputs.keySet().forEach(tree -> all.put(tree, of(tree)));
        return all;
    }
}
