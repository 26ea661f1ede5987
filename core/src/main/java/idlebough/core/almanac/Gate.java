package idlebough.core.almanac;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Rule;
import idlebough.core.judge.Table;
import java.util.Map;
import java.util.stream.Collectors;

/** A moment after which something cannot be undone, in the order in which they come; {@code almanac/gates.csv}. */
public enum Gate {
    ORDER("before the order"),
    HOLE("before the hole"),
    PLANTING("before planting"),
    WINTER("any winter"),
    WATCH("watch");

    private record Pair(Gate planned, Gate standing) {}

    private static final Map<String, Pair> GATES = Table.rows("almanac/gates.csv").stream()
            .collect(Collectors.toUnmodifiableMap(
                    row -> row.get("rule"),
                    row -> new Pair(valueOf(row.get("planned")), valueOf(row.get("standing")))));

    private final String words;

    Gate(String words) {
        this.words = words;
    }

    public String words() {
        return words;
    }

    /**
     * The moment before which a finding is to be settled.
     *
     * @param standing whether it is about a tree that is in the ground
     * @throws IllegalStateException when the table does not know the rule
     */
    public static Gate of(Finding finding, boolean standing) {
        return of(finding.rule(), standing);
    }

    static Gate of(Rule rule, boolean standing) {
        Pair pair = GATES.get(rule.id());
        if (pair == null) {
            throw new IllegalStateException("No gate is known for the rule " + rule.id() + ".");
        }
        return standing ? pair.standing() : pair.planned();
    }
}
