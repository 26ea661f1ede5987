package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import java.time.DateTimeException;
import java.time.Month;
import java.time.MonthDay;
import java.util.Collections;
import java.util.LinkedHashMap;
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
            "origin");

    private static final int DIPLOID = 2;
    private static final Set<Integer> PLOIDIES = Set.of(2, 3, 4, 5, 6, 8, 9, 22);
    private static final int MOST_ILL = 3;

    private VarietyCells() {}

    /** A cell that cannot be read. */
    public static final class BadCell extends IllegalArgumentException {
        private static final long serialVersionUID = 1;
        private final String column;

        BadCell(String column, String sentence) {
            super(sentence);
            this.column = column;
        }

        public String column() {
            return column;
        }
    }

    /**
     * @param cell gives the cell of a column, trimmed, empty where nothing is told
     * @throws BadCell with a sentence for the grower
     */
    public static Variety read(UnaryOperator<String> cell, Map<String, Crop> crops) {
        Crop crop = crops.get(cell.apply("crop"));
        if (crop == null) {
            throw new BadCell("crop", "“" + cell.apply("crop") + "” is no crop of the catalogue.");
        }
        if (cell.apply("name").isEmpty()) {
            throw new BadCell("name", "A variety needs a name.");
        }
        return new Variety(
                cell.apply("key"),
                crop,
                cell.apply("name"),
                chill(cell, crop),
                blossom(cell, crop),
                new Variety.Habit(
                        number(cell, "vigour", 0.3, 2).orElse(1.0),
                        ripening(cell),
                        number(cell, "cold_c", -60, 5).orElse(crop.coldCelsius())),
                ills(cell.apply("ills")),
                cell.apply("uses"),
                cell.apply("origin"));
    }

    private static Variety.Blossom blossom(UnaryOperator<String> cell, Crop crop) {
        String group = cell.apply("bloom");
        if (!group.matches("[A-F]?")) {
            throw new BadCell("bloom", "Bloom is a letter from A, the earliest, to F.");
        }
        int ploidy = number(cell, "ploidy", 2, 22).map(Double::intValue).orElse(DIPLOID);
        if (!PLOIDIES.contains(ploidy)) {
            throw new BadCell("ploidy", "Ploidy is 2, 3, 4, 6 or another that is known of fruit trees.");
        }
        String alleles = cell.apply("s");
        if (!alleles.matches("|[0-9A-Za-z]{1,4}(:[PS])?(/[0-9A-Za-z]{1,4}(:[PS])?){1,5}")) {
            throw new BadCell("s", "S alleles are written as 5/9, or 3/4:P for a mutant in the pollen.");
        }
        if (!cell.apply("s_pollen").matches("|[0-9A-Za-z]{1,4}(/[0-9A-Za-z]{1,4}){0,5}")) {
            throw new BadCell("s_pollen", "The alleles that the pollen shows are written as 1 or 1/2.");
        }
        if (!cell.apply("pollen").matches("[01]?")) {
            throw new BadCell("pollen", "Pollen is 1, good, or 0, none that serves.");
        }
        String type = cell.apply("type");
        if (!type.isEmpty() && VarietyTypes.words(crop.key(), type).isEmpty()) {
            throw new BadCell("type", "“" + type + "” is no type of " + crop.name() + ".");
        }
        return new Variety.Blossom(
                group.isEmpty() ? 0 : group.charAt(0),
                number(cell, "bloom_days", -60, 60),
                ploidy,
                alleles,
                cell.apply("s_pollen"),
                number(cell, "self", 0, 1).orElse(crop.bloom().selfFruitful()),
                !cell.apply("pollen").equals("0"),
                type);
    }

    /** Its own need, or the range of what its crop’s varieties ask for, weakly. */
    private static Variety.ChillNeed chill(UnaryOperator<String> cell, Crop crop) {
        if (cell.apply("chill").isEmpty()) {
            double low = crop.climate().chillLow();
            double high = crop.climate().chillHigh();
            return new Variety.ChillNeed((low + high) / 2, low, high, ChillModel.HOURS, Certainty.WEAK, false);
        }
        Ripening.Span span = span(cell, "chill", 0, 3000);
        String unit = cell.apply("chill_unit");
        ChillModel model = unit.isEmpty() ? ChillModel.HOURS : model(unit);
        return new Variety.ChillNeed(
                span.middle(), span.low(), span.high(), model, Certainty.of(cell.apply("chill_sure")), false);
    }

    private static ChillModel model(String unit) {
        try {
            return ChillModel.ofCode(unit);
        } catch (IllegalArgumentException unknown) {
            throw new BadCell("chill_unit", "The unit of chill is h, cp or utah.");
        }
    }

    private static Ripening ripening(UnaryOperator<String> cell) {
        String ripe = cell.apply("ripe");
        Optional<Ripening.Span> after = cell.apply("after_bloom").isEmpty()
                ? Optional.empty()
                : Optional.of(span(cell, "after_bloom", 20, 450));
        Optional<Double> keeps = number(cell, "keeps", 0, 60);
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
                        number(cell, "ripe_lat", 0, 66),
                        after,
                        keeps);
            }
        } catch (DateTimeException unreadable) {
            throw new BadCell("ripe", RIPE);
        }
        throw new BadCell("ripe", RIPE);
    }

    private static final String RIPE = "Ripe is a month of the north, 1 to 12, or its days as 09-20/10-05.";

    private static Map<String, Integer> ills(String cell) {
        Map<String, Integer> ills = new LinkedHashMap<>();
        for (String each : cell.isEmpty() ? new String[0] : cell.split(";")) {
            String[] part = each.split(":", -1);
            if (part.length != 2
                    || !part[1].matches("[0-" + MOST_ILL + "]")
                    || VarietyTypes.ill(part[0]).isEmpty()) {
                throw new BadCell("ills", "“" + each + "” is no ill of the list with 0 to 3, as scab:2.");
            }
            ills.put(part[0], Integer.valueOf(part[1]));
        }
        return Collections.unmodifiableMap(ills);
    }

    /** “600-800” or one figure. */
    private static Ripening.Span span(UnaryOperator<String> cell, String column, double least, double most) {
        String[] ends = cell.apply(column).split("[-–]", -1);
        if (ends.length > 2) {
            throw new BadCell(column, "One figure or a range as 600-800 is wanted.");
        }
        double low = within(ends[0].strip(), column, least, most);
        double high = within(ends[ends.length - 1].strip(), column, least, most);
        if (high < low) {
            throw new BadCell(column, "The range runs from the smaller figure to the larger.");
        }
        return new Ripening.Span(low, high);
    }

    private static Optional<Double> number(UnaryOperator<String> cell, String column, double least, double most) {
        String text = cell.apply(column);
        return text.isEmpty() ? Optional.empty() : Optional.of(within(text, column, least, most));
    }

    private static double within(String text, String column, double least, double most) {
        try {
            double value = Double.parseDouble(text);
            if (value >= least && value <= most) {
                return value;
            }
        } catch (NumberFormatException unreadable) {
            throw new BadCell(column, "“" + text + "” is no number.");
        }
        throw new BadCell(column, "“" + text + "” must lie between " + plain(least) + " and " + plain(most) + ".");
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? String.valueOf((long) number) : String.valueOf(number);
    }
}
