package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A rootstock from the cells of its row, the shipped ones and the grower's own alike; {@code rootstock/rootstocks.csv}
 * says what the columns hold.
 */
public final class RootstockCells {
    /** In the order of the table. */
    public static final List<String> COLUMNS = List.of(
            "key",
            "name",
            "crops",
            "f",
            "f_low",
            "f_high",
            "f_for",
            "first_crop",
            "support",
            "wet",
            "drought",
            "cold",
            "lime",
            "salt",
            "union_min",
            "union_max",
            "own",
            "level",
            "k",
            "cold_c",
            "life",
            "ills",
            "suckers",
            "anchorage",
            "points",
            "sure",
            "deep",
            "roots",
            "replant");

    private static final int GOOD = 3;
    private static final int DEEP = 2;
    private static final int FAIR = 1;
    private static final int USUAL_CROP = 4;
    /** What is told of the size of a tree by one figure holds to a tenth (project choice). */
    private static final double BAND = 0.1;

    private static final double USUAL_LEAST = 0.05;
    private static final double USUAL_MOST = 0.10;
    private static final double USUAL_GROWTH = 0.25;

    private RootstockCells() {}

    /**
     * @param cells gives the cell of a column, trimmed, empty where nothing is told
     * @param crops keys of the crops that are known
     * @throws BadCell with a sentence for the grower
     */
    public static Rootstock read(UnaryOperator<String> cells, Set<String> crops) {
        Cells cell = new Cells(cells);
        boolean own = yes(cell, "own");
        return new Rootstock(
                cell.text("key"),
                cell.named(),
                takes(cell, crops),
                vigour(cell, crops),
                support(cell),
                new Rootstock.Tolerance(
                        cell.whole("wet", 0, GOOD, FAIR),
                        cell.whole("drought", 0, GOOD, FAIR),
                        cell.whole("cold", 0, GOOD, FAIR),
                        cell.whole("lime", 0, GOOD, FAIR),
                        cell.whole("salt", 0, GOOD, 0)),
                new Rootstock.Union(
                        own ? 0 : cell.number("union_min", 0, 1).orElse(USUAL_LEAST),
                        own ? 0 : cell.number("union_max", 0, 1).orElse(USUAL_MOST),
                        own,
                        yes(cell, "level"),
                        cell.number("deep", 0, 1).orElse(0.0)),
                new Rootstock.Traits(
                        cell.number("cold_c", -40, 10),
                        cell.isEmpty("life") ? Optional.empty() : Optional.of(cell.span("life", 1, 500)),
                        cell.ills(),
                        grade(cell, "suckers", GOOD),
                        grade(cell, "anchorage", GOOD),
                        grade(cell, "roots", DEEP),
                        grade(cell, "replant", GOOD)),
                new Rootstock.Told(cell.text("points"), Certainty.of(cell.text("sure"))));
    }

    private static Optional<Integer> grade(Cells cell, String column, int most) {
        return cell.isEmpty(column) ? Optional.empty() : Optional.of(cell.whole(column, 0, most, 0));
    }

    private static boolean yes(Cells cell, String column) {
        if (!cell.text(column).matches("[01]?")) {
            throw new BadCell(column, "1 stands for yes, 0 for no.");
        }
        return cell.text(column).equals("1");
    }

    private static Set<String> takes(Cells cell, Set<String> crops) {
        Set<String> taken = Set.of(cell.text("crops").strip().split("\\s*;\\s*"));
        for (String crop : taken) {
            if (!crops.contains(crop)) {
                throw new BadCell("crops", "“" + crop + "” is no crop of the catalogue; write it like apple;crab.");
            }
        }
        return taken;
    }

    private static Rootstock.Vigour vigour(Cells cell, Set<String> crops) {
        double factor = cell.number("f", 0.1, 2)
                .orElseThrow(() -> new BadCell(
                        "f", "How large a tree it makes is wanted: 1 for the full size of its crop, 0.5 for half."));
        double low = cell.number("f_low", 0.1, 2).orElse(factor * (1 - BAND));
        double high = cell.number("f_high", 0.1, 2).orElse(factor * (1 + BAND));
        if (low > factor || high < factor) {
            throw new BadCell("f", "The size must lie between its least and its most.");
        }
        return new Rootstock.Vigour(
                factor,
                low,
                high,
                byCrop(cell.text("f_for"), crops),
                cell.number("k", 0.02, 1).orElse(USUAL_GROWTH),
                cell.whole("first_crop", 1, 20, USUAL_CROP));
    }

    /** “peach:0.75;apricot:0.75”. */
    private static Map<String, Double> byCrop(String text, Set<String> crops) {
        Map<String, Double> factors = new LinkedHashMap<>();
        for (String each : text.isEmpty() ? new String[0] : text.split(";")) {
            String[] part = each.strip().split(":", -1);
            if (part.length != 2 || !crops.contains(part[0]) || !part[1].matches("[0-2](\\.[0-9]{1,3})?")) {
                throw new BadCell("f_for", "“" + each + "” is no crop with its size, as peach:0.75.");
            }
            factors.put(part[0], Double.valueOf(part[1]));
        }
        return Collections.unmodifiableMap(factors);
    }

    private static Rootstock.Support support(Cells cell) {
        return switch (cell.text("support")) {
            case "P" -> Rootstock.Support.PERMANENT;
            case "T" -> Rootstock.Support.TEMPORARY;
            case "N", "" -> Rootstock.Support.NONE;
            default -> throw new BadCell("support", "A stake for life is P, for two to five years T, none N.");
        };
    }
}
