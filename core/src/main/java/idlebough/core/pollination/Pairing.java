package idlebough.core.pollination;

import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Table;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;

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

    private static final String SOUR = "sour-cherry";
    private static final String WALNUT = "walnut";
    private static final String HAZEL = "hazel";
    private static final Set<String> CHERRIES = Set.of(SOUR, "sweet-cherry");
    private static final Set<String> PEARS = Set.of("pear", "asian-pear");
    /** Pairs of which field trials say that neither sets with the other, whatever is known of their alleles. */
    private static final Set<String> REFUSALS = Table.rows("pollination/refusals.csv").stream()
            .flatMap(row -> Stream.of(row.get("one") + "/" + row.get("other"), row.get("other") + "/" + row.get("one")))
            .collect(Collectors.toUnmodifiableSet());

    /** By bloom groups alone. */
    public static Pairing of(Variety receiver, Variety partner) {
        return of(receiver, partner, BloomTimes.NONE);
    }

    /** By the springs where both are known, else by bloom groups. */
    public static Pairing of(Variety receiver, Variety partner, BloomTimes times) {
        return new Pairing(bloom(receiver, partner, times), genes(receiver, partner), pollen(receiver, partner));
    }

    private static CommonBloom bloom(Variety receiver, Variety partner, BloomTimes times) {
        int usual = receiver.crop().bloomDays();
        if (!partner.isNamed()) {
            return CommonBloom.untold(usual);
        }
        // The walnut's clock tells its female flowers; when pollen meets them its type tells.
        if (receiver.crop().key().equals(WALNUT)) {
            return CommonBloom.whole(usual);
        }
        return times.of(receiver)
                .flatMap(here -> times.of(partner).flatMap(there -> SpringsTogether.of(here, there)))
                .map(CommonBloom::ofSprings)
                .orElseGet(() -> receiver.bloomGroup() == 0 || partner.bloomGroup() == 0
                        ? CommonBloom.whole(usual)
                        : CommonBloom.ofGroups(receiver.bloomGroup(), partner.bloomGroup(), usual));
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

    /** The same pair if they bloomed one group further apart than told; where no group is told nothing is lost. */
    public Pairing oneStepWorse(Variety receiver) {
        boolean untold = bloom.springs().isEmpty() && receiver.bloomGroup() == 0;
        return untold ? this : new Pairing(bloom.oneStepApart(), genes, pollen);
    }

    /** Whether two varieties are of kinds that are looked at together. */
    public static boolean related(Variety a, Variety b) {
        String one = a.crop().like();
        String other = b.crop().like();
        return one.equals(other)
                || CHERRIES.contains(one) && CHERRIES.contains(other)
                || PEARS.contains(one) && PEARS.contains(other);
    }

    /** May the pollen of one serve the other at all, and how well? */
    public static double genes(Variety receiver, Variety partner) {
        if (!serves(partner.crop().like(), receiver.crop().like())) {
            return 0;
        }
        if (receiver.genes().equals(partner.genes())) {
            return receiver.selfFruitful() >= 1 ? 1 : 0;
        }
        if (REFUSALS.contains(receiver.genes() + "/" + partner.genes())) {
            return 0;
        }
        return switch (receiver.crop().key()) {
            case "avocado" ->
                receiver.type().isEmpty() || partner.type().isEmpty()
                        ? TABLE.value("genes.unknown")
                        : receiver.type().equals(partner.type()) ? 0 : 1;
            case WALNUT -> walnut(receiver, partner);
            case HAZEL -> hazel(receiver, partner);
            default -> gametophytic(receiver, partner);
        };
    }

    /** The rose family's fruits; polyploids, and species whose alleles are numbered apart, are not read. */
    private static double gametophytic(Variety receiver, Variety partner) {
        boolean read = receiver.ploidy() <= MOST_PLOIDY
                && partner.ploidy() <= MOST_PLOIDY
                && receiver.crop().like().equals(partner.crop().like());
        if (!read || receiver.alleles().isEmpty() || partner.alleles().isEmpty()) {
            return TABLE.value("genes.unknown");
        }
        return classed(SAlleles.of(receiver.alleles()).accepts(SAlleles.of(partner.alleles())));
    }

    /** Sporophytic: all that the pollen shows is refused by a stigma that has any of it. */
    private static double hazel(Variety receiver, Variety partner) {
        if (receiver.alleles().isEmpty() || partner.blossom().shown().isEmpty()) {
            return TABLE.value("genes.unknown");
        }
        return SAlleles.of(receiver.alleles())
                        .refusesSporophytic(SAlleles.of(partner.blossom().shown()))
                ? 0
                : 1;
    }

    /**
     * Whether the pollen of one comes when the female flowers of the other are open: of the other type it does; of the
     * same type a later kind's pollen meets earlier flowers if pollen comes first, and an earlier kind's meets later
     * ones if it comes last.
     */
    private static double walnut(Variety receiver, Variety partner) {
        if (receiver.type().isEmpty()
                || partner.type().isEmpty()
                || receiver.bloomGroup() == 0
                || partner.bloomGroup() == 0) {
            return TABLE.value("genes.unknown");
        }
        boolean pollenFirst = partner.type().equals("protandrous");
        int later = partner.bloomGroup() - receiver.bloomGroup();
        if (!receiver.type().equals(partner.type())) {
            return Math.abs(later) <= 1 ? 1 : TABLE.value("walnut.off");
        }
        int towards = pollenFirst ? later : -later;
        return towards == 1 || towards == 2 ? 1 : TABLE.value("walnut.off");
    }

    /** By the share of pollen accepted: 1 full, 0.7 part, 0 none. */
    public static double classed(double acceptedFraction) {
        return acceptedFraction >= 1 ? 1 : acceptedFraction > 0 ? TABLE.value("genes.half") : 0;
    }

    private static boolean serves(String donor, String receiver) {
        return donor.equals(receiver)
                || donor.equals(SOUR) && receiver.equals("sweet-cherry")
                || PEARS.contains(donor) && PEARS.contains(receiver);
    }
}
