package idlebough.core.crop;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Table;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * What a tree brings through its years: nothing before its first crop, then a logistic rise to the full one (project
 * choice on {@code crop/yields.csv}). Frost and resting years are not in it.
 *
 * @param first and full: years in the ground
 * @param kg at full crop
 * @param life years that it is kept
 */
public record Cropping(int first, int full, Ripening.Span kg, Ripening.Span life) {
    private static final Source SOURCE =
            Source.practice("RHS (Baker 1980), Westwood 1993, UC ANR 3485, by crop and stock");
    private static final double ODDS = 19;
    private static final Map<String, List<Row>> ROWS = Table.rows("crop/yields.csv").stream()
            .map(row -> new Row(
                    row.get("crop"),
                    Table.number(row, "f"),
                    new Cropping(
                            Integer.parseInt(row.get("first")),
                            Integer.parseInt(row.get("full")),
                            new Ripening.Span(Table.number(row, "kg_low"), Table.number(row, "kg_high")),
                            new Ripening.Span(Table.number(row, "life_low"), Table.number(row, "life_high")))))
            .collect(Collectors.groupingBy(Row::crop));

    private record Row(String crop, double factor, Cropping cropping) {}

    /**
     * @param stock empty while none is chosen: then the strongest that is told of the crop is taken
     * @return empty where nothing is told of the crop
     */
    public static Optional<Cropping> of(Crop crop, Optional<Rootstock> stock) {
        List<Row> rows = ROWS.getOrDefault(crop.key(), List.of());
        return stock.map(chosen -> rows.stream()
                        .min(Comparator.comparingDouble(row -> Math.abs(Math.log(row.factor() / chosen.factor(crop)))))
                        .map(row -> row.cropping().on(chosen, chosen.factor(crop) / row.factor())))
                .orElseGet(() -> rows.stream()
                        .max(Comparator.comparingDouble(Row::factor))
                        .map(Row::cropping));
    }

    /** What is told of one stock, laid on another of so many times its size. */
    private Cropping on(Rootstock stock, double size) {
        double area = size * size;
        return new Cropping(
                stock.firstCrop(),
                Math.max(stock.firstCrop() + 1, full + stock.firstCrop() - first),
                new Ripening.Span(kg.low() * area, kg.high() * area),
                stock.traits().life().orElse(life));
    }

    /** In a year in the ground, kg, middle of what is told. */
    public double in(double year) {
        return yearly(kg.middle(), first, full, year);
    }

    /**
     * Y = 0 before the first crop, then Ymax / (1 + e^(−r (t − tm))): a twentieth at the first, the rest but one at the full.
     *
     * @param most at full crop
     * @param first and full: years
     */
    public static double yearly(double most, double first, double full, double year) {
        if (year < first) {
            return 0;
        }
        double rate = 2 * Math.log(ODDS) / (full - first);
        return most / (1 + Math.exp(-rate * (year - (first + full) / 2)));
    }

    public Working working() {
        return Working.of("How {} comes about", Amount.of(kg.middle(), Quantity.MASS))
                .step(
                        "{} to {} at full crop, by the crop and the square of the stock’s size",
                        Amount.of(kg.low(), Quantity.MASS),
                        Amount.of(kg.high(), Quantity.MASS))
                .step("first crop in year {}, a full one in year {}", Amount.count(first), Amount.count(full))
                .sensitive("Most sensitive to frost, to resting years and to how it is pruned; none of them is in it.")
                .from(SOURCE);
    }
}
