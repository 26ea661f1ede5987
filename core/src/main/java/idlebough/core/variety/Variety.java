package idlebough.core.variety;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.winter.ChillModel;
import java.time.Month;

/**
 * One variety of the catalogue.
 *
 * @param key stable text
 * @param chillNeed in the unit of {@code chillModel}, in which it was found; 0 for evergreens
 * @param chillCertainty of that need
 * @param bloomGroup A (earliest) to F within the crop, or flower type A or B of avocado; 0 where bloom does not matter
 * @param ploidy 2, 3, 4 or 6
 * @param alleles S alleles as {@code 5/9}, mutants {@code 3/4:P}; empty when not known
 * @param selfFruitful 0 sets nothing alone, 1 a full crop
 * @param givesPollen whether its pollen can serve another
 * @param vigour factor on the crop's size: 0.7 weak, 1, 1.2 strong
 * @param ripeNorth month in which it ripens in the northern hemisphere
 * @param coldCelsius its own cold limit, or the crop's
 * @param overridden whether this orchard replaced the shipped chill need by its own figure
 */
public record Variety(
        String key,
        Crop crop,
        String name,
        double chillNeed,
        ChillModel chillModel,
        Certainty chillCertainty,
        char bloomGroup,
        int ploidy,
        String alleles,
        double selfFruitful,
        boolean givesPollen,
        double vigour,
        Month ripeNorth,
        double coldCelsius,
        String uses,
        String origin,
        boolean overridden) {

    /** “plum, Stanley” */
    public String label() {
        return crop.name() + " ‘" + name + "’";
    }

    public boolean triploid() {
        return ploidy == 3;
    }

    /** The month in which it ripens at a latitude. */
    public Month ripe(double latitude) {
        return latitude < 0 ? ripeNorth.plus(6) : ripeNorth;
    }

    public Source chillSource() {
        return overridden ? Source.measured("your own figure") : Source.published(origin, chillCertainty);
    }

    /** With this orchard's own chill need in place of the shipped one, in the same unit. */
    public Variety withChill(double need) {
        return withChill(need, Certainty.SURE, true);
    }

    /** The same with a chill need that is known a grade less surely. */
    Variety lessSure() {
        return withChill(chillNeed, chillCertainty.dropped(), overridden);
    }

    private Variety withChill(double need, Certainty certainty, boolean own) {
        return new Variety(
                key,
                crop,
                name,
                need,
                chillModel,
                certainty,
                bloomGroup,
                ploidy,
                alleles,
                selfFruitful,
                givesPollen,
                vigour,
                ripeNorth,
                coldCelsius,
                uses,
                origin,
                own);
    }
}
