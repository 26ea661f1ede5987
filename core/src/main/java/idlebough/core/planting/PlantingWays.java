package idlebough.core.planting;

import idlebough.core.judge.Table;
import idlebough.core.judge.Way;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The matters of this room on which good growers disagree, from {@code planting/ways.csv} and
 * {@code planting/schools.csv}: the units of the values stand there.
 */
public final class PlantingWays {
    private static final Map<String, String> PARTS = column("part");
    private static final Map<String, String> MOVES = column("moves");

    /** In the order of the work. */
    public static final List<Way> ALL = read();

    public static final Way WIDTH = of("width");
    public static final Way MIX = of("mix");
    public static final Way FIRMING = of("firming");
    public static final Way BASE = of("base");
    public static final Way MULCH = of("mulch");
    public static final Way RING = of("ring");
    public static final Way PIT = of("pit");
    public static final Way TOOL = of("tool");
    public static final Way SOD = of("sod");
    public static final Way SUBSOIL = of("subsoil");
    public static final Way MESH = of("mesh");
    public static final Way SOAK = of("soak");
    public static final Way ROOTS = of("roots");
    public static final Way LEVEL = of("level");
    public static final Way TURNING = of("turning");
    public static final Way RIM = of("rim");
    public static final Way BED_FILL = of("bed-fill");
    public static final Way BASIN = of("basin");
    public static final Way STAKE = of("stake");
    public static final Way STAKE_LENGTH = of("stake-length");
    public static final Way STAKE_WHEN = of("stake-when");
    public static final Way TIE = of("tie");
    public static final Way TIE_TIME = of("tie-time");
    public static final Way STAKE_PLACE = of("stake-place");
    public static final Way GUARD = of("guard");
    public static final Way MOUND = of("mound");
    public static final Way STEM = of("stem");
    public static final Way CANE = of("cane");
    public static final Way ADDITIVES = of("additives");
    public static final Way MULCH_KIND = of("mulch-kind");
    public static final Way COMPOST_TOP = of("compost-top");
    public static final Way FIRST_FEED = of("first-feed");
    public static final Way FIRST_FRUIT = of("first-fruit");
    public static final Way PRUNING = of("pruning");
    public static final Way WOUND = of("wound");
    public static final Way POTS = of("pots");
    public static final Way CITRUS = of("citrus");
    public static final Way AVOCADO = of("avocado");

    private PlantingWays() {}

    private static Map<String, String> column(String name) {
        return Table.rows("planting/ways.csv").stream()
                .collect(Collectors.toUnmodifiableMap(row -> row.get("key"), row -> row.get(name)));
    }

    private static List<Way> read() {
        Map<String, List<Way.School>> schools = Table.rows("planting/schools.csv").stream()
                .collect(Collectors.groupingBy(
                        row -> row.get("way"),
                        LinkedHashMap::new,
                        Collectors.mapping(
                                row -> new Way.School(
                                        row.get("key"),
                                        row.get("name"),
                                        row.get("reason"),
                                        Double.parseDouble(row.get("value"))),
                                Collectors.toList())));
        return Table.rows("planting/ways.csv").stream()
                .map(row -> new Way(
                        row.get("key"),
                        row.get("title"),
                        List.copyOf(schools.get(row.get("key"))),
                        row.get("usual"),
                        row.get("why"),
                        ofCrops(row.get("crops"))))
                .toList();
    }

    /** “orange=eight;lemon=eight”: the school that is usual for each. */
    private static Map<String, String> ofCrops(String cell) {
        return cell.isEmpty()
                ? Map.of()
                : Arrays.stream(cell.split(";"))
                        .map(each -> each.split("="))
                        .collect(Collectors.toUnmodifiableMap(each -> each[0], each -> each[1]));
    }

    private static Way of(String matter) {
        return ALL.stream()
                .filter(way -> way.key().equals("planting." + matter))
                .findFirst()
                .orElseThrow();
    }

    /** The part of the work to which a way belongs, as it stands over its ways. */
    public static String part(Way way) {
        return PARTS.get(way.key());
    }

    /** What follows from a way, in words; empty for a way of another room. */
    public static String moves(Way way) {
        return MOVES.getOrDefault(way.key(), "");
    }
}
