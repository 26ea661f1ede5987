package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import java.time.Month;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One variety of the catalogue.
 *
 * @param key stable text
 * @param chill its chilling requirement
 * @param blossom its genes and its flower
 * @param habit how it grows and when it ripens
 * @param ills how badly the crop's main ills hurt it, 0 hardly to 3 badly; those not told are absent
 * @param uses in words
 * @param origin where its figures come from
 * @param own columns of its row that the grower told in place of the shipped ones, or of a row of their own
 */
public record Variety(
        String key,
        Crop crop,
        String name,
        ChillNeed chill,
        Blossom blossom,
        Habit habit,
        Map<String, Integer> ills,
        String uses,
        String origin,
        Set<String> own) {
    private static final String UNKNOWN = "unknown-";

    /**
     * A chilling requirement.
     *
     * @param amount in the unit of {@code model}; 0 for evergreens
     * @param low and high: the range in which lists and trials put it; both the amount where one figure is told
     * @param model in which it was found; totals never convert
     * @param own whether the orchard replaced the shipped figure by its own
     */
    public record ChillNeed(
            double amount, double low, double high, ChillModel model, Certainty certainty, boolean own) {

        /** One figure without a range. */
        public static ChillNeed of(double amount, ChillModel model, Certainty certainty, boolean own) {
            return new ChillNeed(amount, amount, amount, model, certainty, own);
        }

        /** In the unit of the need; the grower's own figure counts as sure, a range that is told is never narrowed. */
        public double halfWidth() {
            return Math.max((high - low) / 2, (own ? Certainty.SURE : certainty).halfWidth(amount));
        }
    }

    /**
     * @param group A (earliest) to F within the crop; 0 where bloom does not matter or is not told
     * @param days days of full bloom after letter C of its crop, negative before it; empty where only a letter is told
     * @param ploidy 2, 3, 4 or 6
     * @param alleles S alleles as {@code 5/9}, mutants {@code 3/4:P}; empty when not known
     * @param shown the alleles that the pollen of a sporophytic crop shows, as {@code 1}; empty when not known
     * @param selfFruitful 0 sets nothing alone, 1 a full crop
     * @param givesPollen whether its pollen can serve another
     * @param type key of {@code variety/types.csv} within its crop; empty for none
     * @param months of the north in which it blooms, where they are told of the variety alone
     * @param sportOf key of the variety of which it is a bud sport and whose genes it carries; empty for none
     */
    public record Blossom(
            char group,
            Optional<Double> days,
            int ploidy,
            String alleles,
            String shown,
            double selfFruitful,
            boolean givesPollen,
            String type,
            Optional<Months> months,
            String sportOf) {}

    /** Both inclusive. */
    public record Months(Month from, Month to) {}

    /**
     * @param vigour factor on the crop's size: 0.7 weak, 1, 1.2 strong
     * @param ripening when it ripens
     * @param coldCelsius its own cold limit, or the crop's, °C
     */
    public record Habit(double vigour, Ripening ripening, double coldCelsius) {
        /** Month in which most of it ripens in the northern hemisphere. */
        public Month ripeNorth() {
            return ripening.middle();
        }
    }

    /** Of a tree of which nobody knows the variety: what its crop tells, and no more. */
    public static Variety unknown(Crop crop) {
        return new Variety(
                UNKNOWN + crop.key(),
                crop,
                "variety not known",
                ChillNeed.of(0, ChillModel.PORTIONS, Certainty.WEAK, false),
                new Blossom(
                        (char) 0,
                        Optional.empty(),
                        2,
                        "",
                        "",
                        crop.bloom().selfFruitful(),
                        true,
                        "",
                        Optional.empty(),
                        ""),
                new Habit(1, Ripening.ANY, crop.coldCelsius()),
                Map.of(),
                "",
                "",
                Set.of());
    }

    /** Whether its name is known. */
    public boolean isNamed() {
        return !key.startsWith(UNKNOWN);
    }

    /** Key of the variety whose genes it carries: its own, or that of which it is a sport. */
    public String genes() {
        return blossom.sportOf().isEmpty() ? key : blossom.sportOf();
    }

    /** “plum ‘Stanley’” */
    public String label() {
        return crop.name() + " ‘" + name + "’";
    }

    public double chillNeed() {
        return chill.amount();
    }

    public ChillModel chillModel() {
        return chill.model();
    }

    public Certainty chillCertainty() {
        return chill.certainty();
    }

    /** Whether this orchard replaced the shipped chill need by its own figure. */
    public boolean overridden() {
        return chill.own();
    }

    public char bloomGroup() {
        return blossom.group();
    }

    public int ploidy() {
        return blossom.ploidy();
    }

    public String alleles() {
        return blossom.alleles();
    }

    public double selfFruitful() {
        return blossom.selfFruitful();
    }

    public boolean givesPollen() {
        return blossom.givesPollen();
    }

    /** What its crop is told apart by; empty for none. */
    public String type() {
        return blossom.type();
    }

    public double vigour() {
        return habit.vigour();
    }

    public double coldCelsius() {
        return habit.coldCelsius();
    }

    public boolean triploid() {
        return blossom.ploidy() == 3;
    }

    /** The month in which it ripens at a latitude, south negative. */
    public Month ripe(double latitude) {
        return latitude < 0 ? habit.ripeNorth().plus(6) : habit.ripeNorth();
    }

    public Source chillSource() {
        return overridden() || own.contains("chill")
                ? Source.measured("your own figure")
                : Source.published(origin, chill.certainty());
    }

    /** With this orchard's own chill need in place of the shipped one, in the same unit. */
    public Variety withChill(double need) {
        return with(ChillNeed.of(need, chill.model(), Certainty.SURE, true));
    }

    /** The same with a chill need that is known a grade less surely. */
    public Variety lessSure() {
        return with(new ChillNeed(
                chill.amount(),
                chill.low(),
                chill.high(),
                chill.model(),
                chill.certainty().dropped(),
                chill.own()));
    }

    private Variety with(ChillNeed need) {
        return new Variety(key, crop, name, need, blossom, habit, ills, uses, origin, own);
    }
}
