package idlebough.core.pollination;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.Variety;
import java.util.List;

/**
 * How much one tree serves another: score = bloom × genes × distance × pollen × reliability (project choice on common
 * practice; layout.md 1.10). Directional: receiver ← partner.
 *
 * @param genes 1 full, 0.7 half, 0 none, 0.8 not known
 * @param apart m
 */
public record PartnerScore(
        CommonBloom bloom, double genes, double distance, double apart, double pollen, double reliability) {
    public static final double GOOD = 0.5;
    public static final double THIN = 0.2;
    private static final Source SOURCE = Source.ownChoice(
            "score of bloom, genes, distance and pollen; insect partner within 15 m, at most 30 m is common practice");

    public double value() {
        return bloom.score() * genes * distance * pollen * reliability;
    }

    /** The same pair if the bloom groups were one step further apart than told. */
    public double oneStepWorse(Variety receiver) {
        int total = receiver.crop().bloomDays();
        CommonBloom worse = bloom.days() >= total && receiver.bloomGroup() == 0
                ? bloom
                : CommonBloom.ofGroups('A', (char) ('A' + (total - bloom.days()) / 3 + 1), total);
        return worse.score() * genes * distance * pollen * reliability;
    }

    /** @param apart m between the stems */
    public static PartnerScore of(Variety receiver, Variety partner, double apart, double reliability) {
        CommonBloom bloom = receiver.bloomGroup() == 0
                        || partner.bloomGroup() == 0
                        || receiver.crop().key().equals("avocado")
                ? new CommonBloom(receiver.crop().bloomDays(), 1)
                : CommonBloom.ofGroups(
                        receiver.bloomGroup(),
                        partner.bloomGroup(),
                        receiver.crop().bloomDays());
        return new PartnerScore(
                bloom,
                genes(receiver, partner),
                distance(receiver.crop().vector(), apart),
                apart,
                partner.givesPollen() ? 1 : 0,
                reliability);
    }

    /** 1 within reach, then falling off exponentially: insect 15 m and 15 m, wind 30 m and 30 m. */
    public static double distance(Crop.Vector vector, double apart) {
        double reach = reach(vector);
        return apart <= reach ? 1 : Math.exp(-(apart - reach) / reach);
    }

    /** Distance within which a partner counts fully, m. */
    public static double reach(Crop.Vector vector) {
        return vector == Crop.Vector.WIND ? 30 : 15;
    }

    /** May the pollen of one serve the other at all, and how well? */
    public static double genes(Variety receiver, Variety partner) {
        if (!serves(partner.crop().key(), receiver.crop().key())) {
            return 0;
        }
        if (receiver.key().equals(partner.key())) {
            return receiver.selfFruitful() >= 1 ? 1 : 0;
        }
        if (receiver.crop().key().equals("avocado")) {
            return receiver.bloomGroup() == partner.bloomGroup() ? 0 : 1;
        }
        boolean diploids = receiver.ploidy() <= 3 && partner.ploidy() <= 3;
        if (!diploids || receiver.alleles().isEmpty() || partner.alleles().isEmpty()) {
            return 0.8;
        }
        return classed(SAlleles.of(receiver.alleles()).accepts(SAlleles.of(partner.alleles())));
    }

    /** C of the score: 1 full, 0.7 part, 0 none. */
    public static double classed(double acceptedFraction) {
        return acceptedFraction >= 1 ? 1 : acceptedFraction > 0 ? 0.7 : 0;
    }

    private static boolean serves(String donor, String receiver) {
        return donor.equals(receiver) || donor.equals("sour-cherry") && receiver.equals("sweet-cherry");
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
        return Working.of("How {} comes about", Amount.of(value(), Quantity.SCORE))
                .step("{} taking pollen from {}", receiver, partner)
                .step("common bloom {} days: {}", Amount.count(bloom.days()), Amount.of(bloom.score(), Quantity.SCORE))
                .step("× genes {} (1 full, 0.7 half, 0.8 not known, 0 refused)", Amount.of(genes, Quantity.SCORE))
                .step("× distance {}: {}", Amount.metres(apart), Amount.of(distance, Quantity.SCORE))
                .step("× pollen {}", Amount.of(pollen, Quantity.SCORE))
                .step("× sure to stand {}", Amount.of(reliability, Quantity.SCORE))
                .sensitive("Most sensitive to bloom: the groups are told to one step only.")
                .from(SOURCE);
    }
}
