package idlebough.core.variety;

import static idlebough.core.judge.Table.number;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Crops;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Table;
import idlebough.core.winter.ChillModel;
import java.time.Month;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/** The shipped catalogue of varieties; read-only, an orchard's own figures are laid over it. */
public final class Varieties {
    private static final Map<String, Variety> BY_KEY = read();

    private Varieties() {}

    /** Null when the catalogue has no such key. */
    public static Variety find(String key) {
        return BY_KEY.get(key);
    }

    /** @throws IllegalArgumentException when the catalogue has no such key */
    public static Variety of(String key) {
        Variety found = find(key);
        if (found == null) {
            throw new IllegalArgumentException("No variety is called " + key + ".");
        }
        return found;
    }

    public static Collection<Variety> all() {
        return BY_KEY.values();
    }

    private static Map<String, Variety> read() {
        Map<String, Variety> varieties = new LinkedHashMap<>();
        for (CSVRecord row : Table.rows("variety/varieties.csv")) {
            Crop crop = Crops.of(row.get("crop"));
            Double cold = number(row, "cold_c");
            String bloom = row.get("bloom");
            varieties.put(
                    row.get("key"),
                    new Variety(
                            row.get("key"),
                            crop,
                            row.get("name"),
                            number(row, "chill"),
                            ChillModel.ofCode(row.get("chill_unit")),
                            Certainty.of(row.get("chill_sure")),
                            bloom.isEmpty() ? 0 : bloom.charAt(0),
                            Integer.parseInt(row.get("ploidy")),
                            row.get("s"),
                            number(row, "self"),
                            row.get("pollen").equals("1"),
                            number(row, "vigour"),
                            Month.of(Integer.parseInt(row.get("ripe"))),
                            cold == null ? crop.coldCelsius() : cold,
                            row.get("uses"),
                            row.get("origin"),
                            false));
        }
        return Collections.unmodifiableMap(varieties);
    }
}
