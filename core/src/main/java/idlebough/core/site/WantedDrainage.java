package idlebough.core.site;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Limit;
import idlebough.core.judge.RuleTable;
import idlebough.core.measure.Quantity;
import java.util.EnumSet;
import java.util.Optional;

/**
 * What crops ask of the water in the ground, and what a tree is set on where they do not get it. The judge of a pit, the
 * judge of a tree and the button that builds a mound read the same rows of {@code site/rules.csv}.
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

    /**
     * By how much a tree must be lifted out of slow soil.
     *
     * @param row of {@code site/rules.csv} that says so; empty on the grade
     * @param drain whether the water has nowhere to go, so that a drain is wanted beside it
     */
    public record Lift(String row, boolean drain) {
        static final Lift NONE = new Lift("", false);

        /** Of a mound, berm or bed after settling, m; 0 on the grade. */
        public double height() {
            return row.isEmpty() ? 0 : TABLE.value(row);
        }

        /** What a mound must come up to. */
        public Limit limit() {
            return TABLE.atLeast(row, Quantity.SHORT_LENGTH);
        }
    }

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
     * How far out of the soil a rate lifts what wants a better one (extension classes of drainage).
     *
     * @param wanted mm/h in a 12-inch hole
     */
    public static Lift lift(double wanted, DrainageRate rate) {
        if (rate.normalisedMmPerHour() >= wanted - 1e-9) {
            return Lift.NONE;
        }
        return switch (rate.drainageClass()) {
            case IMPERMEABLE -> new Lift("lift.shut", true);
            case VERY_SLOW -> new Lift("lift.very-slow", true);
            case SLOW ->
                new Lift(wanted <= TABLE.value("drainage.middle") + 1e-9 ? "lift.slow.middle" : "lift.slow", false);
            default -> Lift.NONE;
        };
    }

    private static Lift liftFor(Crop crop, Optional<DrainageRate> rate) {
        return rate.map(there -> lift(rate(crop).value(), there)).orElse(Lift.NONE);
    }

    /**
     * What to set a tree of a crop on.
     *
     * @param rate of the pit that speaks for the place, empty when not tested
     */
    public static Footing footing(Crop crop, Optional<DrainageRate> rate) {
        return footing(liftFor(crop, rate), 0);
    }

    /** The lowest footing that lifts a tree out of slow soil and off ground that stands in water from a depth on, m. */
    public static Footing footing(Crop crop, Optional<DrainageRate> rate, double wetFrom) {
        Lift lift = liftFor(crop, rate);
        return footing(lift, dryDepth(crop).value() - wetFrom);
    }

    /**
     * The lowest footing that does; the one with a drain where none is high enough.
     *
     * @param lacking of dry ground, m; not positive where there is enough
     */
    public static Footing footing(Lift lift, double lacking) {
        for (Footing footing : EnumSet.range(Footing.GRADE, Footing.DRAINED)) {
            if (footing.height() >= Math.max(lift.height(), lacking) - 1e-9 && (footing.drained() || !lift.drain())) {
                return footing;
            }
        }
        return Footing.DRAINED;
    }
}
