package idlebough.core.crop;

import static idlebough.core.judge.Table.number;

import idlebough.core.judge.Table;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/** The shipped crops, from {@code crop/crops.csv}, where the sources are named. */
public final class Crops {
    private static final Map<String, Crop> BY_KEY = read();

    private Crops() {}

    /** A crop by its stable key; {@link IllegalArgumentException} when there is none. */
    public static Crop of(String key) {
        Crop crop = BY_KEY.get(key);
        if (crop == null) {
            throw new IllegalArgumentException("No crop is called " + key + ".");
        }
        return crop;
    }

    public static Collection<Crop> all() {
        return BY_KEY.values();
    }

    private static Map<String, Crop> read() {
        Map<String, Crop> crops = new LinkedHashMap<>();
        for (CSVRecord row : Table.rows("crop/crops.csv")) {
            crops.put(
                    row.get("key"),
                    new Crop(
                            row.get("key"),
                            row.get("name"),
                            Crop.Kind.valueOf(row.get("kind")),
                            Integer.parseInt(row.get("wet_rank")),
                            number(row, "ph_low"),
                            number(row, "ph_high"),
                            number(row, "sun_h"),
                            number(row, "cold_c"),
                            Integer.parseInt(row.get("bloom_days")),
                            Crop.Vector.valueOf(row.get("vector")),
                            number(row, "self"),
                            number(row, "spread_m"),
                            number(row, "height_m"),
                            row.get("evergreen").equals("1"),
                            Integer.parseInt(row.get("first_crop"))));
        }
        return Collections.unmodifiableMap(crops);
    }
}
