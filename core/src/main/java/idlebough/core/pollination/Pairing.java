package idlebough.core.pollination;

import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
import java.util.Set;

/**
 * What the pollen of one variety is worth to another, wherever the two stand. Directional: receiver ← partner.
 *
 * @param genes 1 full, 0.7 half, 0 none, 0.8 not known
 * @param pollen 1 when it has good pollen, 0.3 of a sour cherry for a sweet one, 0 for none
 * @see PollenTable
 * @see PartnerScore
 */
public record Pairing(CommonBloom bloom, double genes, double pollen) {
    private static final RuleTable TABLE = RuleTable.of("pollination");
    /** Above triploid the alleles are not read singly: polyploid plums and sour cherries. */
    private static final int MOST_PLOIDY = 3;

    private static final String AVOCADO = "avocado";
    private static final String SOUR = "sour-cherry";
    private static final Set<String> CHERRIES = Set.of(SOUR, "sweet-cherry");

    public static Pairing of(Variety receiver, Variety partner) {
        CommonBloom bloom = receiver.bloomGroup() == 0
                        || partner.bloomGroup() == 0
                        || receiver.crop().key().equals(AVOCADO)
                ? new CommonBloom(receiver.crop().bloomDays(), 1)
                : CommonBloom.ofGroups(
                        receiver.bloomGroup(),
                        partner.bloomGroup(),
                        receiver.crop().bloomDays());
        return new Pairing(bloom, genes(receiver, partner), pollen(receiver, partner));
    }

    private static double pollen(Variety receiver, Variety partner) {
        if (!partner.givesPollen()) {
            return 0;
        }
        boolean weak =
                partner.crop().key().equals(SOUR) && !receiver.crop().key().equals(SOUR);
        return weak ? TABLE.value("pollen.sour-on-sweet") : 1;
    }

    /** What is left of it before distance and reliability. */
    public double value() {
        return bloom.score() * genes * pollen;
    }

    public boolean serves() {
        return value() > 0;
    }

    /** The same pair if the bloom groups were one step further apart than told. */
    public Pairing oneStepWorse(Variety receiver) {
        int total = receiver.crop().bloomDays();
        int step = CommonBloom.daysPerGroup();
        CommonBloom worse = bloom.days() >= total && receiver.bloomGroup() == 0
                ? bloom
                : CommonBloom.ofGroups('A', (char) ('A' + (total - bloom.days()) / step + 1), total);
        return new Pairing(worse, genes, pollen);
    }

    /** Whether two varieties are of kinds that are looked at together. */
    public static boolean related(Variety a, Variety b) {
        return a.crop().like().equals(b.crop().like())
                || CHERRIES.contains(a.crop().key())
                        && CHERRIES.contains(b.crop().key());
    }

    /** May the pollen of one serve the other at all, and how well? */
    public static double genes(Variety receiver, Variety partner) {
        if (!serves(partner.crop().like(), receiver.crop().like())) {
            return 0;
        }
        if (receiver.key().equals(partner.key())) {
            return receiver.selfFruitful() >= 1 ? 1 : 0;
        }
        if (receiver.crop().key().equals(AVOCADO)) {
            return receiver.bloomGroup() == partner.bloomGroup() ? 0 : 1;
        }
        boolean read = receiver.ploidy() <= MOST_PLOIDY && partner.ploidy() <= MOST_PLOIDY;
        if (!read || receiver.alleles().isEmpty() || partner.alleles().isEmpty()) {
            return TABLE.value("genes.unknown");
        }
        return classed(SAlleles.of(receiver.alleles()).accepts(SAlleles.of(partner.alleles())));
    }

    /** By the share of pollen accepted: 1 full, 0.7 part, 0 none. */
    public static double classed(double acceptedFraction) {
        return acceptedFraction >= 1 ? 1 : acceptedFraction > 0 ? TABLE.value("genes.half") : 0;
    }

    private static boolean serves(String donor, String receiver) {
        return donor.equals(receiver) || donor.equals(SOUR) && receiver.equals("sweet-cherry");
    }
}
