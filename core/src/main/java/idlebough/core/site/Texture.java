package idlebough.core.site;

import static idlebough.core.judge.Table.number;

import idlebough.core.judge.Table;
import java.util.EnumMap;
import java.util.Map;
import org.apache.commons.csv.CSVRecord;

/** The twelve texture classes of the USDA triangle (Soil Survey Manual, Handbook 18), and what each brings with it. */
public enum Texture {
    SAND,
    LOAMY_SAND,
    SANDY_LOAM,
    LOAM,
    SILT_LOAM,
    SILT,
    SANDY_CLAY_LOAM,
    CLAY_LOAM,
    SILTY_CLAY_LOAM,
    SANDY_CLAY,
    SILTY_CLAY,
    CLAY;

    private static final double SLACK = 1e-9;

    /**
     * What a texture brings with it; sources in {@code site/textures.csv}.
     *
     * @param waterHeld mm of available water per metre of depth
     * @param swell share by which it grows when dug
     * @param settle share of its depth by which disturbed soil of this kind sinks
     * @param proud how far the flare is set above the board, m
     * @param group of the tables of lime and sulphur
     * @param heavy whether water leaves it slowly by nature
     */
    public record Traits(
            String name, double waterHeld, double swell, Spread settle, Spread proud, String group, boolean heavy) {}

    /** A usual value between the least and the most that are told of it. */
    public record Spread(double usual, double low, double high) {
        private static Spread of(CSVRecord row, String usual, String low, String high) {
            return new Spread(number(row, usual), number(row, low), number(row, high));
        }
    }

    private static final Map<Texture, Traits> TRAITS = read();

    public Traits traits() {
        return TRAITS.get(this);
    }

    public String label() {
        return traits().name();
    }

    /**
     * The class of a soil.
     *
     * @param sand silt and clay in percent by mass of the fine earth
     * @return null when a part is negative or the sum is further than 1 from 100
     */
    public static Texture of(double sand, double silt, double clay) {
        double sum = sand + silt + clay;
        if (sand < 0 || silt < 0 || clay < 0 || Math.abs(sum - 100) > 1 + SLACK) {
            return null;
        }
        double s = sand * 100 / sum;
        double z = silt * 100 / sum;
        double c = clay * 100 / sum;
        if (!atLeast(z + 1.5 * c, 15)) {
            return SAND;
        }
        if (!atLeast(z + 2 * c, 30)) {
            return LOAMY_SAND;
        }
        if (atLeast(c, 40)) {
            return atLeast(z, 40) ? SILTY_CLAY : atMost(s, 45) ? CLAY : SANDY_CLAY;
        }
        if (atLeast(c, 35) && !atMost(s, 45)) {
            return SANDY_CLAY;
        }
        if (atLeast(c, 27)) {
            return atMost(s, 20) ? SILTY_CLAY_LOAM : atMost(s, 45) ? CLAY_LOAM : SANDY_CLAY_LOAM;
        }
        if (atLeast(z, 80) && !atLeast(c, 12)) {
            return SILT;
        }
        if (atLeast(z, 50)) {
            return SILT_LOAM;
        }
        if (atLeast(c, 20) && !atLeast(z, 28) && !atMost(s, 45)) {
            return SANDY_CLAY_LOAM;
        }
        return atLeast(c, 7) && atLeast(z, 28) && atMost(s, 52) ? LOAM : SANDY_LOAM;
    }

    private static boolean atLeast(double value, double limit) {
        return value >= limit - SLACK;
    }

    private static boolean atMost(double value, double limit) {
        return value <= limit + SLACK;
    }

    private static Map<Texture, Traits> read() {
        Map<Texture, Traits> traits = new EnumMap<>(Texture.class);
        for (CSVRecord row : Table.rows("site/textures.csv")) {
            traits.put(
                    valueOf(row.get("key")),
                    new Traits(
                            row.get("name"),
                            number(row, "awc_mm_m"),
                            number(row, "swell"),
                            Spread.of(row, "settle", "settle_low", "settle_high"),
                            Spread.of(row, "proud_m", "proud_low_m", "proud_high_m"),
                            row.get("group"),
                            row.get("heavy").equals("1")));
        }
        return traits;
    }
}
