package idlebough.core.rootstock;

import static idlebough.core.judge.Table.number;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.Table;
import idlebough.core.variety.Variety;
import java.util.Collection;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/** The shipped rootstocks and which variety fits on which. */
public final class Rootstocks {
    private static final Map<String, Rootstock> BY_KEY = read();
    private static final Map<String, Misfit> MISFITS = readMisfits();

    private Rootstocks() {}

    /** Why a variety does not do on a stock of its own crop. */
    public record Misfit(boolean fails, String words) {}

    /** Null when there is none of that key. */
    public static Rootstock find(String key) {
        return BY_KEY.get(key);
    }

    public static Collection<Rootstock> all() {
        return BY_KEY.values();
    }

    /** Stocks that take the variety's crop, smallest tree first as in the table; also those that fit poorly. */
    public static List<Rootstock> forCrop(String crop) {
        return BY_KEY.values().stream()
                .filter(stock -> stock.crops().contains(crop))
                .toList();
    }

    /** Null when the graft is good. */
    public static Misfit misfit(Variety variety, Rootstock stock) {
        if (!stock.crops().contains(variety.crop().key())) {
            return new Misfit(
                    true, stock.name() + " does not take " + variety.crop().withArticle());
        }
        return MISFITS.get(variety.key() + "/" + stock.key());
    }

    private static Map<String, Rootstock> read() {
        Map<String, Rootstock> stocks = new LinkedHashMap<>();
        for (CSVRecord row : Table.rows("rootstock/rootstocks.csv")) {
            Rootstock.Support support = switch (row.get("support")) {
                case "P" -> Rootstock.Support.PERMANENT;
                case "T" -> Rootstock.Support.TEMPORARY;
                default -> Rootstock.Support.NONE;
            };
            stocks.put(
                    row.get("key"),
                    new Rootstock(
                            row.get("key"),
                            row.get("name"),
                            Set.of(row.get("crops").split(";")),
                            number(row, "f"),
                            number(row, "f_low"),
                            number(row, "f_high"),
                            Integer.parseInt(row.get("first_crop")),
                            support,
                            Integer.parseInt(row.get("wet")),
                            Integer.parseInt(row.get("drought")),
                            Integer.parseInt(row.get("cold")),
                            Integer.parseInt(row.get("lime")),
                            Integer.parseInt(row.get("salt")),
                            number(row, "union_min"),
                            number(row, "union_max"),
                            row.get("own").equals("1"),
                            number(row, "k"),
                            row.get("points"),
                            Certainty.of(row.get("sure"))));
        }
        return Collections.unmodifiableMap(stocks);
    }

    private static Map<String, Misfit> readMisfits() {
        Map<String, Misfit> misfits = new HashMap<>();
        for (CSVRecord row : Table.rows("rootstock/graft_fit.csv")) {
            misfits.put(
                    row.get("variety") + "/" + row.get("stock"),
                    new Misfit(row.get("fit").equals("NO"), row.get("words")));
        }
        return Collections.unmodifiableMap(misfits);
    }
}
