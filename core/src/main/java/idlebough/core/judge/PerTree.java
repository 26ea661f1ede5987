package idlebough.core.judge;

import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * Something computed for each tree from an input of its own, when it is first asked for. Made over an earlier one, it
 * shares the cell of every tree whose input is the same: a change of one tree costs one tree, and an answer that either
 * finds is known to both.
 *
 * <p>Thread-safe; every value is computed once.
 *
 * @param <I> all that a value depends on; equal inputs must give equal values
 */
public final class PerTree<I, V> {
    private final Map<String, Cell<I, V>> cells;
    private final Function<List<I>, List<V>> compute;
    private final boolean together;

    /** What is known of one tree. */
    private static final class Cell<I, V> {
        private final I input;
        private volatile V value;

        Cell(I input) {
            this.input = input;
        }
    }

    private PerTree(Map<String, I> inputs, Function<List<I>, List<V>> compute, boolean together, PerTree<I, V> before) {
        this.compute = compute;
        this.together = together;
        cells = new LinkedHashMap<>(2 * inputs.size());
        inputs.forEach((tree, input) -> {
            Cell<I, V> then = before == null ? null : before.cells.get(tree);
            cells.put(tree, then != null && then.input.equals(input) ? then : new Cell<>(input));
        });
    }

    /**
     * @param inputs by tree, in the order in which values are to come
     * @param before values of an earlier evaluation with the same function; null for none
     */
    public static <I, V> PerTree<I, V> of(Map<String, I> inputs, Function<I, V> compute, PerTree<I, V> before) {
        return new PerTree<I, V>(inputs, list -> List.of(compute.apply(list.get(0))), false, before);
    }

    /**
     * The same where many values are found faster together: the first question answers for all that are missing.
     *
     * @param compute values in the order of the inputs
     */
    public static <I, V> PerTree<I, V> ofAll(
            Map<String, I> inputs, Function<List<I>, List<V>> compute, PerTree<I, V> before) {
        return new PerTree<>(inputs, compute, true, before);
    }

    /** @throws IllegalArgumentException when there is no such tree */
    public V of(String tree) {
        return find(tree).orElseThrow(() -> new IllegalArgumentException("No tree " + tree + " is known here."));
    }

    public Optional<V> find(String tree) {
        return Optional.ofNullable(cells.get(tree)).map(this::value);
    }

    private V value(Cell<I, V> cell) {
        if (cell.value == null) {
            if (together) {
                computeMissing();
            } else {
                synchronized (cell) {
                    if (cell.value == null) {
                        cell.value = compute.apply(List.of(cell.input)).get(0);
                    }
                }
            }
        }
        return cell.value;
    }

    private synchronized void computeMissing() {
        List<Cell<I, V>> missing =
                cells.values().stream().filter(cell -> cell.value == null).toList();
        if (!missing.isEmpty()) {
            List<V> found =
                    compute.apply(missing.stream().map(cell -> cell.input).toList());
            for (int i = 0; i < missing.size(); i++) {
                missing.get(i).value = found.get(i);
            }
        }
    }

    /** The earlier of two that are equal, so that what is compared again is seen to be the same at once. */
    public static <T> T earlier(T then, T now) {
        return now.equals(then) ? then : now;
    }

    /** Trees in their order. */
    public Collection<String> trees() {
        return Collections.unmodifiableSet(cells.keySet());
    }

    /** Every tree's value, in the order of the trees. */
    public Map<String, V> all() {
        Map<String, V> all = new LinkedHashMap<>(2 * cells.size());
        cells.forEach((tree, cell) -> all.put(tree, value(cell)));
        return all;
    }
}
