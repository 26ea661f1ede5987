package idlebough.core.crop;

import static idlebough.core.judge.Table.number;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.Table;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;

/**
 * Crops, varieties and rootstocks with an orchard's own figures laid over the shipped ones. A value: it is handed to
 * whoever needs it, and two catalogues are equal when the same figures are laid over the same shipped rows.
 *
 * <p>Rows and their sources: {@code crop/crops.csv}, {@code variety/varieties.csv}, {@code rootstock/rootstocks.csv},
 * {@code rootstock/graft_fit.csv}.
 */
public final class Catalogue {
    private static final Catalogue SHIPPED = read();
    private final Shelf shelf;
    private final Map<String, Double> ownChill;
    private final Map<String, Variety> varieties;

    /** What is shipped and never changes while the program runs. */
    private record Shelf(
            Map<String, Crop> crops,
            Map<String, Variety> varieties,
            Map<String, Rootstock> rootstocks,
            Map<String, Misfit> misfits,
            Map<String, List<Rootstock>> stocksByCrop) {}

    private Catalogue(Shelf shelf, Map<String, Double> ownChill) {
        this.shelf = shelf;
        this.ownChill = Map.copyOf(ownChill);
        Map<String, Variety> all = new LinkedHashMap<>(shelf.varieties());
        ownChill.forEach((key, need) -> all.computeIfPresent(key, (same, shipped) -> shipped.withChill(need)));
        this.varieties = Collections.unmodifiableMap(all);
    }

    /** The catalogue as it is shipped. */
    public static Catalogue shipped() {
        return SHIPPED;
    }

    /** The shipped rows with an orchard's own chill needs over them, by variety key, in each variety's own unit. */
    public static Catalogue withChill(Map<String, Double> ownChill) {
        return ownChill.isEmpty() ? SHIPPED : new Catalogue(SHIPPED.shelf, ownChill);
    }

    public Optional<Variety> findVariety(String key) {
        return Optional.ofNullable(varieties.get(key));
    }

    /** @throws IllegalArgumentException when there is no such variety */
    public Variety variety(String key) {
        return findVariety(key).orElseThrow(() -> new IllegalArgumentException("No variety is called " + key + "."));
    }

    /** In the order of the table. */
    public Collection<Variety> varieties() {
        return varieties.values();
    }

    public Optional<Crop> findCrop(String key) {
        return Optional.ofNullable(shelf.crops().get(key));
    }

    /** @throws IllegalArgumentException when there is no such crop */
    public Crop crop(String key) {
        return findCrop(key).orElseThrow(() -> new IllegalArgumentException("No crop is called " + key + "."));
    }

    public Collection<Crop> crops() {
        return shelf.crops().values();
    }

    public Optional<Rootstock> findRootstock(String key) {
        return Optional.ofNullable(shelf.rootstocks().get(key));
    }

    /** @throws IllegalArgumentException when there is no such stock */
    public Rootstock rootstock(String key) {
        return findRootstock(key)
                .orElseThrow(() -> new IllegalArgumentException("No rootstock is called " + key + "."));
    }

    public Collection<Rootstock> rootstocks() {
        return shelf.rootstocks().values();
    }

    /** Stocks that take a crop, smallest tree first as in the table; also those that fit some variety poorly. */
    public List<Rootstock> rootstocksFor(Crop crop) {
        return shelf.stocksByCrop().getOrDefault(crop.key(), List.of());
    }

    /** Why a variety does not do on a stock; empty when the graft is good. */
    public Optional<Misfit> misfit(Variety variety, Rootstock stock) {
        return stock.crops().contains(variety.crop().key())
                ? Optional.ofNullable(shelf.misfits().get(variety.key() + "/" + stock.key()))
                : Optional.of(new Misfit(
                        true, stock.name() + " does not take " + variety.crop().withArticle()));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Catalogue catalogue && catalogue.shelf == shelf && catalogue.ownChill.equals(ownChill);
    }

    @Override
    public int hashCode() {
        return ownChill.hashCode();
    }

    private static Catalogue read() {
        Map<String, Crop> crops = crops(Table.rows("crop/crops.csv"));
        Map<String, Rootstock> stocks = rootstocks(Table.rows("rootstock/rootstocks.csv"));
        Map<String, List<Rootstock>> byCrop = new LinkedHashMap<>();
        stocks.values()
                .forEach(stock -> stock.crops()
                        .forEach(crop -> byCrop.computeIfAbsent(crop, key -> new ArrayList<>())
                                .add(stock)));
        return new Catalogue(
                new Shelf(
                        crops,
                        varieties(Table.rows("variety/varieties.csv"), crops),
                        stocks,
                        misfits(Table.rows("rootstock/graft_fit.csv")),
                        byCrop),
                Map.of());
    }

    private static Map<String, Crop> crops(List<CSVRecord> rows) {
        Map<String, Crop> crops = new LinkedHashMap<>();
        for (CSVRecord row : rows) {
            crops.put(
                    row.get("key"),
                    new Crop(
                            row.get("key"),
                            row.get("name"),
                            Crop.Kind.valueOf(row.get("kind")),
                            new Crop.Ground(
                                    Integer.parseInt(row.get("wet_rank")),
                                    number(row, "ph_low"),
                                    number(row, "ph_high")),
                            new Crop.Climate(
                                    number(row, "sun_h"),
                                    number(row, "cold_c"),
                                    number(row, "chill_low"),
                                    number(row, "chill_high")),
                            new Crop.Bloom(
                                    Integer.parseInt(row.get("bloom_days")),
                                    Crop.Vector.valueOf(row.get("vector")),
                                    number(row, "self"),
                                    row.get("like").isEmpty() ? row.get("key") : row.get("like")),
                            new Crop.Size(number(row, "spread_m"), number(row, "height_m")),
                            new Crop.Life(row.get("evergreen").equals("1"), Integer.parseInt(row.get("first_crop")))));
        }
        return Collections.unmodifiableMap(crops);
    }

    private static Map<String, Variety> varieties(List<CSVRecord> rows, Map<String, Crop> crops) {
        Map<String, Variety> varieties = new LinkedHashMap<>();
        for (CSVRecord row : rows) {
            Variety variety = VarietyCells.read(row::get, crops);
            varieties.put(variety.key(), variety);
        }
        return Collections.unmodifiableMap(varieties);
    }

    private static Map<String, Rootstock> rootstocks(List<CSVRecord> rows) {
        Map<String, Rootstock> stocks = new LinkedHashMap<>();
        for (CSVRecord row : rows) {
            stocks.put(
                    row.get("key"),
                    new Rootstock(
                            row.get("key"),
                            row.get("name"),
                            Set.of(row.get("crops").split(";")),
                            new Rootstock.Vigour(
                                    number(row, "f"),
                                    number(row, "f_low"),
                                    number(row, "f_high"),
                                    byCrop(row.get("f_for")),
                                    number(row, "k"),
                                    Integer.parseInt(row.get("first_crop"))),
                            support(row.get("support")),
                            new Rootstock.Tolerance(
                                    Integer.parseInt(row.get("wet")),
                                    Integer.parseInt(row.get("drought")),
                                    Integer.parseInt(row.get("cold")),
                                    Integer.parseInt(row.get("lime")),
                                    Integer.parseInt(row.get("salt"))),
                            new Rootstock.Union(
                                    number(row, "union_min"),
                                    number(row, "union_max"),
                                    row.get("own").equals("1"),
                                    row.get("level").equals("1")),
                            new Rootstock.Told(row.get("points"), Certainty.of(row.get("sure")))));
        }
        return Collections.unmodifiableMap(stocks);
    }

    /** “peach:0.75;apricot:0.75”. */
    private static Map<String, Double> byCrop(String cell) {
        Map<String, Double> factors = new LinkedHashMap<>();
        for (String each : cell.isEmpty() ? new String[0] : cell.split(";")) {
            String[] part = each.split(":");
            factors.put(part[0], Double.valueOf(part[1]));
        }
        return Collections.unmodifiableMap(factors);
    }

    private static Rootstock.Support support(String letter) {
        return switch (letter) {
            case "P" -> Rootstock.Support.PERMANENT;
            case "T" -> Rootstock.Support.TEMPORARY;
            default -> Rootstock.Support.NONE;
        };
    }

    private static Map<String, Misfit> misfits(List<CSVRecord> rows) {
        Map<String, Misfit> misfits = new LinkedHashMap<>();
        for (CSVRecord row : rows) {
            misfits.put(
                    row.get("variety") + "/" + row.get("stock"),
                    new Misfit(row.get("fit").equals("NO"), row.get("words")));
        }
        return Collections.unmodifiableMap(misfits);
    }
}
