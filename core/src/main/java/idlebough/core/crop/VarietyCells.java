package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import java.time.DateTimeException;
import java.time.Month;
import java.time.MonthDay;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;

/**
 * A variety from the cells of its row, the shipped ones and the grower's own alike; {@code variety/varieties.csv} says
 * what the columns hold.
 */
public final class VarietyCells {
    /** In the order of the table. */
    public static final List<String> COLUMNS = List.of(
            "key",
            "crop",
            "name",
            "chill",
            "chill_unit",
            "chill_sure",
            "bloom",
            "bloom_days",
            "bloom_months",
            "ploidy",
            "s",
            "s_pollen",
            "self",
            "pollen",
            "type",
            "vigour",
            "ripe",
            "ripe_lat",
            "after_bloom",
            "keeps",
            "cold_c",
            "ills",
            "uses",
            "sport_of",
            "origin");

    private static final int DIPLOID = 2;
    private static final String RIPE = "Ripe is a month of the north, 1 to 12, or its days as 09-20/10-05.";
    private static final Set<Integer> PLOIDIES = Set.of(2, 3, 4, 5, 6, 8, 9, 22);

    private VarietyCells() {}

    /**
     * @param cells gives the cell of a column, trimmed, empty where nothing is told
     * @param own columns that the grower told
     * @throws BadCell with a sentence for the grower
     */
    public static Variety read(UnaryOperator<String> cells, Set<String> own, Map<String, Crop> crops) {
        Cells cell = new Cells(cells);
        Crop crop = crops.get(cell.text("crop"));
        if (crop == null) {
            throw new BadCell("crop", "“" + cell.text("crop") + "” is no crop of the catalogue.");
        }
        return new Variety(
                cell.text("key"),
                crop,
                cell.named(),
                chill(cell, crop),
                blossom(cell, crop),
                new Variety.Habit(
                        cell.number("vigour", 0.3, 2).orElse(1.0),
                        ripening(cell),
                        cell.number("cold_c", -60, 5).orElse(crop.coldCelsius())),
                cell.ills(),
                cell.text("uses"),
                cell.text("origin"),
                Set.copyOf(own));
    }

    private static Variety.Blossom blossom(Cells cell, Crop crop) {
        String group = cell.text("bloom");
        if (!group.matches("[A-F]?")) {
            throw new BadCell("bloom", "Bloom is a letter from A, the earliest, to F.");
        }
        int ploidy = cell.number("ploidy", 2, 22).map(Double::intValue).orElse(DIPLOID);
        if (!PLOIDIES.contains(ploidy)) {
            throw new BadCell("ploidy", "Ploidy is 2, 3, 4, 6 or another that is known of fruit trees.");
        }
        String alleles = cell.text("s");
        if (!alleles.matches("|[0-9A-Za-z]{1,4}(:[PS])?(/[0-9A-Za-z]{1,4}(:[PS])?){1,5}")) {
            throw new BadCell("s", "S alleles are written as 5/9, or 3/4:P for a mutant in the pollen.");
        }
        if (!cell.text("s_pollen").matches("|[0-9A-Za-z]{1,4}(/[0-9A-Za-z]{1,4}){0,5}")) {
            throw new BadCell("s_pollen", "The alleles that the pollen shows are written as 1 or 1/2.");
        }
        if (!cell.text("pollen").matches("[01]?")) {
            throw new BadCell("pollen", "Pollen is 1, good, or 0, none that serves.");
        }
        String type = cell.text("type");
        if (!type.isEmpty() && VarietyTypes.words(crop.key(), type).isEmpty()) {
            throw new BadCell("type", "“" + type + "” is no type of " + crop.name() + ".");
        }
        return new Variety.Blossom(
                group.isEmpty() ? 0 : group.charAt(0),
                cell.number("bloom_days", -60, 60),
                ploidy,
                alleles,
                cell.text("s_pollen"),
                cell.number("self", 0, 1).orElse(crop.bloom().selfFruitful()),
                !cell.text("pollen").equals("0"),
                type,
                months(cell),
                cell.text("sport_of"));
    }

    private static Optional<Variety.Months> months(Cells cell) {
        if (cell.text("bloom_months").isEmpty()) {
            return Optional.empty();
        }
        Ripening.Span span = cell.span("bloom_months", 1, 12);
        return Optional.of(new Variety.Months(Month.of((int) span.low()), Month.of((int) span.high())));
    }

    /** Its own need, or the range of what its crop’s varieties ask for, weakly. */
    private static Variety.ChillNeed chill(Cells cell, Crop crop) {
        if (cell.text("chill").isEmpty()) {
            double low = crop.climate().chillLow();
            double high = crop.climate().chillHigh();
            return new Variety.ChillNeed((low + high) / 2, low, high, ChillModel.HOURS, Certainty.WEAK, false);
        }
        Ripening.Span span = cell.span("chill", 0, 3000);
        String unit = cell.text("chill_unit");
        ChillModel model = unit.isEmpty() ? ChillModel.HOURS : model(unit);
        return new Variety.ChillNeed(
                span.middle(), span.low(), span.high(), model, Certainty.of(cell.text("chill_sure")), false);
    }

    private static ChillModel model(String unit) {
        try {
            return ChillModel.ofCode(unit);
        } catch (IllegalArgumentException unknown) {
            throw new BadCell("chill_unit", "The unit of chill is h, cp or utah.");
        }
    }

    private static Ripening ripening(Cells cell) {
        String ripe = cell.text("ripe");
        Optional<Ripening.Span> after =
                cell.text("after_bloom").isEmpty() ? Optional.empty() : Optional.of(cell.span("after_bloom", 20, 450));
        Optional<Double> keeps = cell.number("keeps", 0, 60);
        try {
            if (ripe.matches("[0-9]{1,2}")) {
                Month month = Month.of(Integer.parseInt(ripe));
                return new Ripening(
                        MonthDay.of(month, 1), MonthDay.of(month, month.minLength()), Optional.empty(), after, keeps);
            }
            String[] ends = ripe.split("/", -1);
            if (ends.length == 2) {
                return new Ripening(
                        MonthDay.parse("--" + ends[0]),
                        MonthDay.parse("--" + ends[1]),
                        cell.number("ripe_lat", 0, 66),
                        after,
                        keeps);
            }
        } catch (DateTimeException unreadable) {
            throw new BadCell("ripe", RIPE);
        }
        throw new BadCell("ripe", RIPE);
    }
}
