package idlebough.core.site;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Limit;
import idlebough.core.judge.RuleTable;
import idlebough.core.measure.Quantity;

/**
 * What crops ask of the water in the ground, and what a tree is set on where they do not get it. The judge of a pit and
 * the button that builds a mound read the same rows of {@code site/rules.csv}.
 *
 * @see SiteRules
 */
public final class WantedDrainage {
    private static final RuleTable TABLE = RuleTable.of("site");
    /**
     * Ranks of wet feet: up to this one stands them well, the next is in the middle, from the one after they are
     * tender.
     */
    private static final int HARDY = 2;

    private static final int MIDDLE = 3;
    private static final int STANDS_THEM_WORST = 5;

    private WantedDrainage() {}

    /** The rate a crop wants, mm/h in a 12-inch hole. */
    public static Limit rate(Crop crop) {
        String row = crop.wetRank() <= HARDY
                ? "drainage.hardy"
                : crop.wetRank() == MIDDLE ? "drainage.middle" : "drainage.tender";
        return TABLE.atLeast(row, Quantity.DRAINAGE);
    }

    /** Depth of ground that does not stand in water which a crop wants, m. */
    public static Limit dryDepth(Crop crop) {
        return TABLE.atLeast(
                crop.wetRank() >= STANDS_THEM_WORST ? "dry-depth.tender" : "dry-depth.most", Quantity.SHORT_LENGTH);
    }

    /**
     * What to set a tree on.
     *
     * @param rate of the pit that speaks for the place, null when not tested
     */
    public static Footing footing(Crop crop, DrainageRate rate) {
        if (rate == null || rate.normalisedMmPerHour() >= rate(crop).value() - 1e-9) {
            return Footing.GRADE;
        }
        return switch (rate.drainageClass()) {
            case IMPERMEABLE -> Footing.TALL_MOUND;
            case VERY_SLOW -> crop.wetRank() <= HARDY ? Footing.MOUND : Footing.TALL_MOUND;
            case SLOW -> crop.wetRank() <= MIDDLE ? Footing.LOW_MOUND : Footing.MOUND;
            default -> Footing.GRADE;
        };
    }

    /** The lowest footing that lifts a tree out of slow soil and off ground that stands in water from a depth on, m. */
    public static Footing footing(Crop crop, DrainageRate rate, double wetFrom) {
        Footing footing = footing(crop, rate);
        double lacking = dryDepth(crop).value() - wetFrom;
        for (Footing higher : Footing.values()) {
            if (footing.height() < lacking && higher.height() > footing.height()) {
                footing = higher;
            }
        }
        return footing;
    }
}
