package idlebough.core.crop;

import static idlebough.core.judge.Table.number;

import idlebough.core.judge.Table;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
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
    private static final String SPORT = "sport_of";
    private static final Catalogue SHIPPED = read();
    private final Shelf shelf;
    private final Map<String, Double> ownChill;
    private final List<OwnEntry> own;
    private final Map<String, Variety> varieties;
    private final Map<String, Rootstock> rootstocks;
    private final Map<String, List<Rootstock>> stocksByCrop = new LinkedHashMap<>();

    /** What is shipped and never changes while the program runs; varieties and stocks also as their cells. */
    private record Shelf(
            Map<String, Crop> crops,
            Map<String, Variety> varieties,
            Map<String, Map<String, String>> varietyCells,
            Map<String, Rootstock> rootstocks,
            Map<String, Map<String, String>> stockCells,
            Map<String, Misfit> misfits) {}

    private Catalogue(Shelf shelf, Map<String, Double> ownChill, List<OwnEntry> own) {
        this.shelf = shelf;
        this.ownChill = Map.copyOf(ownChill);
        this.own = List.copyOf(own);
        Map<String, Variety> all = new LinkedHashMap<>(shelf.varieties());
        Map<String, Rootstock> stocks = new LinkedHashMap<>(shelf.rootstocks());
        for (OwnEntry entry : own) {
            if (entry.what() == OwnEntry.What.VARIETY) {
                all.put(entry.key(), variety(laid(entry), entry.cells().keySet(), shelf.crops()));
            } else {
                stocks.put(entry.key(), rootstock(laid(entry), shelf.crops()));
            }
        }
        ownChill.forEach((key, need) -> all.computeIfPresent(key, (same, shipped) -> shipped.withChill(need)));
        varieties = Collections.unmodifiableMap(all);
        rootstocks = Collections.unmodifiableMap(stocks);
        rootstocks
                .values()
                .forEach(stock -> stock.crops()
                        .forEach(crop -> stocksByCrop
                                .computeIfAbsent(crop, key -> new ArrayList<>())
                                .add(stock)));
    }

    /** What an own row is laid over: the shipped one of its key, else that of which it is a sport; null for none. */
    private Map<String, String> base(OwnEntry entry) {
        Map<String, String> shipped =
                (entry.what() == OwnEntry.What.VARIETY ? shelf.varietyCells() : shelf.stockCells()).get(entry.key());
        return shipped != null || entry.what() == OwnEntry.What.ROOTSTOCK
                ? shipped
                : shelf.varietyCells().get(parent(entry));
    }

    /** Key of the shipped variety of which a row is a sport, told by its key or its name; empty for none. */
    private String parent(OwnEntry entry) {
        String told = entry.cells().getOrDefault(SPORT, "");
        return shelf.varietyCells().containsKey(told)
                ? told
                : shelf.varieties().values().stream()
                        .filter(variety -> variety.name().equalsIgnoreCase(told))
                        .map(Variety::key)
                        .findFirst()
                        .orElse("");
    }

    /** The cells of an own row, over those of the shipped one where it has one. */
    private Map<String, String> laid(OwnEntry entry) {
        Map<String, String> below = base(entry);
        Map<String, String> cells = new LinkedHashMap<>(below == null ? Map.of() : below);
        cells.putAll(entry.cells());
        if (cells.containsKey(SPORT)) {
            cells.put(SPORT, parent(entry));
        }
        cells.put("key", entry.key());
        return cells;
    }

    /** The catalogue as it is shipped. */
    public static Catalogue shipped() {
        return SHIPPED;
    }

    /** The shipped rows with an orchard's own chill needs over them, by variety key, in each variety's own unit. */
    public static Catalogue withChill(Map<String, Double> ownChill) {
        return with(ownChill, List.of());
    }

    /**
     * The shipped rows with an orchard's own over and beside them.
     *
     * @throws BadCell when an own row cannot be read
     */
    public static Catalogue with(Map<String, Double> ownChill, List<OwnEntry> own) {
        return ownChill.isEmpty() && own.isEmpty() ? SHIPPED : new Catalogue(SHIPPED.shelf, ownChill, own);
    }

    /** The rows that the orchard made its own. */
    public List<OwnEntry> own() {
        return own;
    }

    /** Cells of a variety or stock as it is shipped; empty for one of the grower's own. */
    public static Map<String, String> shippedCells(OwnEntry.What what, String key) {
        return (what == OwnEntry.What.VARIETY ? SHIPPED.shelf.varietyCells() : SHIPPED.shelf.stockCells())
                .getOrDefault(key, Map.of());
    }

    /** Cells of a variety or stock as this orchard has it; empty when there is none. */
    public Map<String, String> cells(OwnEntry.What what, String key) {
        return own.stream()
                .filter(entry -> entry.what() == what && entry.key().equals(key))
                .findFirst()
                .map(entry -> laid(entry))
                .orElseGet(() -> shippedCells(what, key));
    }

    /**
     * Reads a row as it would stand, so that it can be said what is wrong with it.
     *
     * @throws BadCell with a sentence for the grower
     */
    public void check(OwnEntry entry) {
        Map<String, String> cells = laid(entry);
        String told = entry.cells().getOrDefault(SPORT, "");
        if (!told.isEmpty() && parent(entry).isEmpty()) {
            throw new BadCell(SPORT, "“" + told + "” is no variety that the catalogue ships.");
        }
        if (entry.what() == OwnEntry.What.VARIETY) {
            variety(cells, entry.cells().keySet(), shelf.crops());
        } else {
            rootstock(cells, shelf.crops());
        }
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
        return Optional.ofNullable(rootstocks.get(key));
    }

    /** @throws IllegalArgumentException when there is no such stock */
    public Rootstock rootstock(String key) {
        return findRootstock(key)
                .orElseThrow(() -> new IllegalArgumentException("No rootstock is called " + key + "."));
    }

    public Collection<Rootstock> rootstocks() {
        return rootstocks.values();
    }

    /** Stocks that take a crop, smallest tree first as in the table; also those that fit some variety poorly. */
    public List<Rootstock> rootstocksFor(Crop crop) {
        return stocksByCrop.getOrDefault(crop.key(), List.of());
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
        return other instanceof Catalogue catalogue
                && catalogue.shelf == shelf
                && catalogue.ownChill.equals(ownChill)
                && catalogue.own.equals(own);
    }

    @Override
    public int hashCode() {
        return Objects.hash(ownChill, own);
    }

    private static Catalogue read() {
        Map<String, Crop> crops = crops(Table.rows("crop/crops.csv"));
        Map<String, Map<String, String>> varietyCells = cells(Table.rows("variety/varieties.csv"));
        Map<String, Map<String, String>> stockCells = cells(Table.rows("rootstock/rootstocks.csv"));
        Map<String, Variety> varieties = new LinkedHashMap<>();
        varietyCells.forEach((key, row) -> varieties.put(key, variety(row, Set.of(), crops)));
        Map<String, Rootstock> stocks = new LinkedHashMap<>();
        stockCells.forEach((key, row) -> stocks.put(key, rootstock(row, crops)));
        return new Catalogue(
                new Shelf(
                        crops,
                        varieties,
                        varietyCells,
                        stocks,
                        stockCells,
                        misfits(Table.rows("rootstock/graft_fit.csv"))),
                Map.of(),
                List.of());
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

    private static Map<String, Map<String, String>> cells(List<CSVRecord> rows) {
        Map<String, Map<String, String>> cells = new LinkedHashMap<>();
        rows.forEach(row -> cells.put(row.get("key"), row.toMap()));
        return Collections.unmodifiableMap(cells);
    }

    private static Variety variety(Map<String, String> row, Set<String> own, Map<String, Crop> crops) {
        return VarietyCells.read(column -> row.getOrDefault(column, ""), own, crops);
    }

    private static Rootstock rootstock(Map<String, String> row, Map<String, Crop> crops) {
        return RootstockCells.read(column -> row.getOrDefault(column, ""), crops.keySet());
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
