package idlebough.core.site;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.EnumMap;
import java.util.Map;
import java.util.NavigableMap;
import java.util.Optional;
import java.util.TreeMap;
import org.apache.commons.csv.CSVRecord;

/**
 * What brings the pH of the top 15 to 18 cm to where it is wanted: elemental sulphur down, ground limestone up. Dose =
 * table at the present pH − table at the wanted one, ÷ purity; straight between the table's rows; from {@code
 * site/amendments.csv}, where the sources are named.
 *
 * @param gramsPerSquareMetre of the product; none outside the table, where only a laboratory's buffer test will tell
 */
public record Amendment(Kind kind, Optional<Double> gramsPerSquareMetre, double from, double to) {
    private static final double SQUARE_METRE = 10_000;

    /** What is spread. */
    public enum Kind {
        SULPHUR("elemental sulphur", 12, 50),
        LIME("ground limestone", 6, 250);
        private final String words;
        private final int monthsAhead;
        private final int cautious;

        Kind(String words, int monthsAhead, int cautious) {
            this.words = words;
            this.monthsAhead = monthsAhead;
            this.cautious = cautious;
        }

        public String words() {
            return words;
        }

        /** Months before planting at which it must be worked in. */
        public int monthsAhead() {
            return monthsAhead;
        }

        public int cautious() {
            return cautious;
        }
    }

    private static final Map<Kind, Map<String, NavigableMap<Double, Double>>> TABLES = read();

    /**
     * @param group of the table: for sulphur SAND, LOAM, CLAY; for lime SAND, SANDY_LOAM, LOAM, SILT_LOAM, CLAY_LOAM
     * @param purity share of the product that acts, above 0 to 1
     */
    public static Amendment of(Kind kind, String group, double now, double wanted, double purity) {
        NavigableMap<Double, Double> table = TABLES.get(kind).get(group);
        Optional<Double> dose =
                at(table, now).flatMap(here -> at(table, wanted).map(there -> Math.max(0, here - there) / purity));
        return new Amendment(kind, dose, now, wanted);
    }

    /** For a texture, which says the row of the table. */
    public static Amendment of(Texture texture, double now, double wanted) {
        Kind kind = now > wanted ? Kind.SULPHUR : Kind.LIME;
        return of(kind, group(kind, texture), now, wanted, 1);
    }

    static String group(Kind kind, Texture texture) {
        if (kind == Kind.SULPHUR) {
            return texture.traits().group().toUpperCase(java.util.Locale.ROOT);
        }
        return switch (texture) {
            case SAND, LOAMY_SAND -> "SAND";
            case SANDY_LOAM, SANDY_CLAY_LOAM -> "SANDY_LOAM";
            case LOAM -> "LOAM";
            case SILT_LOAM, SILT -> "SILT_LOAM";
            default -> "CLAY_LOAM";
        };
    }

    private static Optional<Double> at(NavigableMap<Double, Double> table, double ph) {
        // Beyond the end at which nothing is needed the dose is nothing; beyond the other only a laboratory knows.
        boolean nothingIsLow = table.firstEntry().getValue() == 0;
        if (nothingIsLow ? ph <= table.firstKey() : ph >= table.lastKey()) {
            return Optional.of(0.0);
        }
        Map.Entry<Double, Double> below = table.floorEntry(ph + 1e-9);
        Map.Entry<Double, Double> above = table.ceilingEntry(ph - 1e-9);
        if (below == null || above == null) {
            return Optional.empty();
        }
        if (below.getKey().equals(above.getKey())) {
            return Optional.of(below.getValue());
        }
        double share = (ph - below.getKey()) / (above.getKey() - below.getKey());
        return Optional.of(below.getValue() + share * (above.getValue() - below.getValue()));
    }

    private static Map<Kind, Map<String, NavigableMap<Double, Double>>> read() {
        Map<Kind, Map<String, NavigableMap<Double, Double>>> tables = new EnumMap<>(Kind.class);
        for (CSVRecord row : Table.rows("site/amendments.csv")) {
            tables.computeIfAbsent(Kind.valueOf(row.get("kind")), k -> new java.util.HashMap<>())
                    .computeIfAbsent(row.get("group"), g -> new TreeMap<>())
                    .put(Table.number(row, "ph"), Table.number(row, "g_m2"));
        }
        return tables;
    }

    /** Grams for a round bed of a diameter, m. */
    public Optional<Double> gramsFor(double diameter) {
        return gramsPerSquareMetre.map(grams -> onBed(grams, diameter));
    }

    private static double onBed(double grams, double diameter) {
        return grams * Math.PI * diameter * diameter / 4;
    }

    public Working working(Texture texture) {
        Working.Builder working = Working.of(
                "From pH {} to {} in {}",
                Amount.of(from, Quantity.DECIMAL),
                Amount.of(to, Quantity.DECIMAL),
                texture.label());
        gramsPerSquareMetre.ifPresentOrElse(
                grams -> working.step(
                                "{} of {} to the hectare, for the top 15 to 18 cm",
                                Amount.of(grams * SQUARE_METRE / 1000, Quantity.MASS),
                                kind.words())
                        .step("{} on a round bed of 2 m", Amount.of(onBed(grams, 2) / 1000, Quantity.SMALL_MASS))
                        .step(
                                "worked in {} months ahead; a new test before planting",
                                Amount.count(kind.monthsAhead())),
                () -> working.step(
                        "The table ends before pH {}: only a laboratory’s buffer test will tell.",
                        Amount.decimal(from)));
        return working.sensitive("Most sensitive to the texture: clay takes three times what sand takes.")
                .from(Source.published(
                        kind == Kind.SULPHUR
                                ? "Western Fertilizer Handbook and extension sheets"
                                : "extension lime tables",
                        Certainty.FAIR));
    }
}
