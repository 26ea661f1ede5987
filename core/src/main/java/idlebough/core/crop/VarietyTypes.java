package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/** What the words of the variety table mean, and where its columns come from. */
public final class VarietyTypes {
    private static final Map<String, String> TYPES = Table.rows("variety/types.csv").stream()
            .collect(Collectors.toUnmodifiableMap(
                    row -> row.get("crop") + "/" + row.get("type"), row -> row.get("words")));
    private static final Map<String, CSVRecord> ILLS = Table.rows("variety/ills.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("ill"), row -> row));
    private static final Map<String, CSVRecord> ORIGINS = Table.rows("variety/origins.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("column") + "/" + row.get("about"), row -> row));

    /** Weather that feeds an ill. */
    public enum Weather {
        WET_SPRING,
        HUMID_SUMMER,
        NONE
    }

    /** @param words as growers call it */
    public record Ill(String words, Weather weather) {}

    private VarietyTypes() {}

    /** “type A: female in the morning, …”; empty when the crop knows no such type. */
    public static Optional<String> words(String crop, String type) {
        return Optional.ofNullable(TYPES.get(crop + "/" + type));
    }

    /** Empty for one that is not in the list. */
    public static Optional<Ill> ill(String key) {
        return Optional.ofNullable(ILLS.get(key))
                .map(row -> new Ill(row.get("words"), Weather.valueOf(row.get("weather"))));
    }

    /** Where a value of a column comes from: the grower, what is told of the variety, of its crop, of all. */
    public static Source origin(String column, Variety variety) {
        if (variety.own().contains(column)) {
            return Source.measured("your own entry");
        }
        CSVRecord row = Optional.ofNullable(ORIGINS.get(column + "/" + variety.key()))
                .or(() -> Optional.ofNullable(
                        ORIGINS.get(column + "/" + variety.crop().key())))
                .or(() -> Optional.ofNullable(ORIGINS.get(column + "/*")))
                .orElseThrow(() -> new IllegalStateException("No origin is told of " + column + "."));
        return new Source(
                row.get("kind").equals("PRACTICE") ? Source.Kind.COMMON_PRACTICE : Source.Kind.PUBLISHED,
                row.get("origin"),
                Certainty.of(row.get("sure")));
    }
}
