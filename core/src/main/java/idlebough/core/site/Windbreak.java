package idlebough.core.site;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Table;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A tree for a windbreak ({@code site/windbreaks.csv}): it goes in well before the fruit trees, fast, tall, strong,
 * modest in water and no host of the crop's pests (common practice).
 *
 * @param growth m a year when young
 * @param height at which it is usually kept or stands, m
 * @param thirst 1 little to 3 much
 * @param coldCelsius wood usually safe to
 * @param hosts keys of crops whose pests or diseases it carries
 */
public record Windbreak(
        String name,
        double growth,
        double height,
        int thirst,
        boolean evergreen,
        double coldCelsius,
        Set<String> hosts,
        String words,
        Certainty certainty) {
    private static final int MUCH = 3;
    private static final List<Windbreak> ALL = Table.rows("site/windbreaks.csv").stream()
            .map(row -> new Windbreak(
                    row.get("name"),
                    Table.number(row, "growth"),
                    Table.number(row, "height"),
                    Integer.parseInt(row.get("thirst")),
                    row.get("evergreen").equals("1"),
                    Table.number(row, "cold_c"),
                    row.get("hosts").isEmpty()
                            ? Set.of()
                            : Set.of(row.get("hosts").split(";")),
                    row.get("words"),
                    Certainty.of(row.get("sure"))))
            .toList();

    /**
     * Those that stand the winters and carry nothing to the crops wished for, the modest in water first, then the fast.
     *
     * @param coldest night of all whole winters, °C; empty without a record
     */
    public static List<Windbreak> fit(Collection<Crop> wished, OptionalDouble coldest) {
        return ALL.stream()
                .filter(tree -> coldest.isEmpty() || tree.coldCelsius <= coldest.getAsDouble())
                .filter(tree -> wished.stream().noneMatch(crop -> tree.hosts.contains(crop.key())))
                .sorted(Comparator.comparing((Windbreak tree) -> tree.thirst == MUCH)
                        .thenComparing(
                                Comparator.comparingDouble(Windbreak::growth).reversed()))
                .toList();
    }

    /** Those that would carry something to the crops wished for. */
    public static List<Windbreak> harmful(Collection<Crop> wished) {
        return ALL.stream()
                .filter(tree -> wished.stream().anyMatch(crop -> tree.hosts.contains(crop.key())))
                .toList();
    }

    /** Of water, in a word. */
    public String drinks() {
        return thirst == 1 ? "little" : thirst == MUCH ? "much" : "some";
    }
}
