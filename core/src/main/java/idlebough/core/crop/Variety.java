package idlebough.core.crop;

import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import java.time.Month;

/**
 * One variety of the catalogue.
 *
 * @param key stable text
 * @param chill its chilling requirement
 * @param blossom its genes and its flower
 * @param habit how it grows and when it ripens
 * @param uses in words
 * @param origin where its figures come from
 */
public record Variety(
        String key, Crop crop, String name, ChillNeed chill, Blossom blossom, Habit habit, String uses, String origin) {

    /**
     * A chilling requirement.
     *
     * @param amount in the unit of {@code model}; 0 for evergreens
     * @param model in which it was found; totals never convert
     * @param own whether the orchard replaced the shipped figure by its own
     */
    public record ChillNeed(double amount, ChillModel model, Certainty certainty, boolean own) {
        /** In the unit of the need; the grower's own figure counts as sure. */
        public double halfWidth() {
            return (own ? Certainty.SURE : certainty).halfWidth(amount);
        }
    }

    /**
     * @param group A (earliest) to F within the crop, or flower type A or B of avocado; 0 where bloom does not matter
     * @param ploidy 2, 3, 4 or 6
     * @param alleles S alleles as {@code 5/9}, mutants {@code 3/4:P}; empty when not known
     * @param selfFruitful 0 sets nothing alone, 1 a full crop
     * @param givesPollen whether its pollen can serve another
     */
    public record Blossom(char group, int ploidy, String alleles, double selfFruitful, boolean givesPollen) {}

    /**
     * @param vigour factor on the crop's size: 0.7 weak, 1, 1.2 strong
     * @param ripeNorth month in which it ripens in the northern hemisphere
     * @param coldCelsius its own cold limit, or the crop's, °C
     */
    public record Habit(double vigour, Month ripeNorth, double coldCelsius) {}

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
        return overridden() ? Source.measured("your own figure") : Source.published(origin, chill.certainty());
    }

    /** With this orchard's own chill need in place of the shipped one, in the same unit. */
    public Variety withChill(double need) {
        return with(new ChillNeed(need, chill.model(), Certainty.SURE, true));
    }

    /** The same with a chill need that is known a grade less surely. */
    public Variety lessSure() {
        return with(
                new ChillNeed(chill.amount(), chill.model(), chill.certainty().dropped(), chill.own()));
    }

    private Variety with(ChillNeed need) {
        return new Variety(key, crop, name, need, blossom, habit, uses, origin);
    }
}
