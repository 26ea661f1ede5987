package idlebough.core.crop;

import idlebough.core.judge.Table;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * How to tell before paying whether a label is true, by leaf, bark, thorn and scent ({@code crop/labels.csv}).
 * Varieties of one crop are told by their fruit alone.
 *
 * @param right what the crop shows
 * @param wrong what is sold or grown in its place, most often the stock that came through
 */
public record LabelSigns(String right, String wrong) {
    private static final Map<String, LabelSigns> BY_CROP = Table.rows("crop/labels.csv").stream()
            .collect(Collectors.toUnmodifiableMap(
                    row -> row.get("crop"), row -> new LabelSigns(row.get("true"), row.get("false"))));

    /** @throws IllegalStateException when the table forgot a crop */
    public static LabelSigns of(Crop crop) {
        LabelSigns known = BY_CROP.get(crop.key());
        if (known == null) {
            throw new IllegalStateException("No signs are told of " + crop.name() + ".");
        }
        return known;
    }
}
