package idlebough.core.pollination;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.List;

/**
 * How much one tree serves another: score = bloom × genes × distance × pollen × reliability (project choice on common
 * practice). Directional: receiver ← partner.
 *
 * @param apart m between the stems
 * @param distance what is left of it at that distance, 0 to 1
 * @param reliability that the partner stands and flowers, 0 to 1
 */
public record PartnerScore(Pairing pairing, double apart, double distance, double reliability) {
    private static final RuleTable TABLE = RuleTable.of("pollination");
    /** From here on a tree sets a crop. */
    public static final double GOOD = TABLE.value("partner");
    /** Below this a partner is not counted. */
    public static final double THIN = TABLE.value("thin");

    public static PartnerScore of(Variety receiver, Variety partner, double apart, double reliability) {
        return of(receiver, Pairing.of(receiver, partner), apart, reliability);
    }

    static PartnerScore of(Variety receiver, Pairing pairing, double apart, double reliability) {
        return new PartnerScore(pairing, apart, distance(receiver.crop().vector(), apart), reliability);
    }

    public double value() {
        return pairing.value() * distance * reliability;
    }

    public CommonBloom bloom() {
        return pairing.bloom();
    }

    public double genes() {
        return pairing.genes();
    }

    public double pollen() {
        return pairing.pollen();
    }

    /** The same pair if the bloom groups were one step further apart than told. */
    public double oneStepWorse(Variety receiver) {
        return pairing.oneStepWorse(receiver).value() * distance * reliability;
    }

    /** 1 within reach, then falling off exponentially by the reach: insect 15 m, wind 30 m. */
    public static double distance(Crop.Vector vector, double apart) {
        double reach = reach(vector);
        return apart <= reach ? 1 : Math.exp(-(apart - reach) / reach);
    }

    /** Distance within which a partner counts fully, m. */
    public static double reach(Crop.Vector vector) {
        return TABLE.value(vector == Crop.Vector.WIND ? "reach.wind" : "reach.insect");
    }

    /** 1 − (1 − self)·Π(1 − s): what a tree gets from itself and all its partners together. */
    public static double together(double self, List<Double> scores) {
        double missing = 1 - self;
        for (double score : scores) {
            missing *= 1 - score;
        }
        return 1 - missing;
    }

    public Working working(String receiver, String partner) {
        Working.Builder steps = Working.of("How {} comes about", Amount.of(value(), Quantity.SCORE))
                .step("{} taking pollen from {}", receiver, partner);
        bloom().springs()
                .ifPresent(springs -> steps.step(
                        "open together {} days in the mean of {} springs, {} days in the worst",
                        Amount.decimal(springs.meanDays()),
                        Amount.count(springs.years().size()),
                        Amount.count(springs.years().stream()
                                .mapToInt(SpringsTogether.Year::days)
                                .min()
                                .orElse(0))));
        return steps.step(
                        "common bloom {} days: {}",
                        Amount.count(bloom().days()),
                        Amount.of(bloom().score(), Quantity.SCORE))
                .step("× genes {} (1 full, 0.7 half, 0.8 not known, 0 refused)", Amount.of(genes(), Quantity.SCORE))
                .step("× distance {}: {}", Amount.metres(apart), Amount.of(distance, Quantity.SCORE))
                .step("× pollen {}", Amount.of(pollen(), Quantity.SCORE))
                .step("× sure to stand {}", Amount.of(reliability, Quantity.SCORE))
                .sensitive("Most sensitive to bloom: the order of the varieties is told to one step only.")
                .from(TABLE.source("partner"));
    }
}
