package idlebough.core.planting;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Table;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Where a whip is headed on planting day, from {@code planting/heading.csv}.
 *
 * @param low and high: m above the ground
 * @param then what follows
 */
record Heading(double low, double high, Phrase then) {
    private static final Map<String, Heading> ALL = Table.rows("planting/heading.csv").stream()
            .map(row -> Map.entry(
                    row.get("crop"),
                    new Heading(Table.number(row, "low"), Table.number(row, "high"), Phrase.of(row.get("then")))))
            .collect(Collectors.toUnmodifiableMap(Map.Entry::getKey, Map.Entry::getValue));

    /** Empty for a crop that is not headed. @param crop its key */
    static Optional<Heading> of(String crop) {
        return Optional.ofNullable(ALL.get(crop));
    }
}
