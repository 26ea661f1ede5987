package idlebough.core.planting;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/** All measured unions of an orchard, by tree. Immutable; equal when the measures are. */
public final class Unions {
    public static final Unions NONE = new Unions(List.of());
    private final List<UnionMeasure> measures;
    private final Map<String, List<UnionMeasure>> byTree;

    /** @param measures in the order in which they were entered */
    public Unions(List<UnionMeasure> measures) {
        this.measures = List.copyOf(measures);
        byTree = measures.stream().collect(Collectors.groupingBy(UnionMeasure::tree));
    }

    public List<UnionMeasure> of(String tree) {
        return byTree.getOrDefault(tree, List.of());
    }

    public boolean isEmpty() {
        return measures.isEmpty();
    }

    /** The union on the planting day, as it was entered last; empty when it was not measured. */
    public Optional<UnionMeasure> asPlanted(String tree) {
        return last(tree, UnionMeasure.Kind.AS_PLANTED);
    }

    /** The newest look after settling; empty without one, or where nothing is known of the planting day. */
    public Optional<UnionMeasure> check(String tree) {
        return asPlanted(tree).flatMap(planted -> last(tree, UnionMeasure.Kind.CHECK));
    }

    private Optional<UnionMeasure> last(String tree, UnionMeasure.Kind kind) {
        return of(tree).stream().filter(measure -> measure.kind() == kind).reduce((first, second) -> second);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Unions unions && unions.measures.equals(measures);
    }

    @Override
    public int hashCode() {
        return measures.hashCode();
    }
}
