package idlebough.core.variety;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Table;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How much work a crop asks for in a year beside picking ({@code variety/effort.csv}).
 *
 * @param grade 1 little, 2 some, 3 much
 * @param words what it is
 */
public record Effort(int grade, String words) {
    private static final Map<String, Effort> BY_CROP = Table.rows("variety/effort.csv").stream()
            .collect(Collectors.toUnmodifiableMap(
                    row -> row.get("crop"), row -> new Effort(Integer.parseInt(row.get("effort")), row.get("words"))));

    /** @throws IllegalStateException when the table forgot a crop */
    public static Effort of(Crop crop) {
        Effort known = BY_CROP.get(crop.key());
        if (known == null) {
            throw new IllegalStateException("No effort is told of " + crop.name() + ".");
        }
        return known;
    }
}
