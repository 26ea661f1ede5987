package idlebough.core.assortment;

import idlebough.core.crop.Cropping;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.rootstock.StockOffer;
import idlebough.core.variety.RipeWindow;
import idlebough.core.variety.VarietyVerdict;
import java.time.Month;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A variety on a stock that nothing stops here.
 *
 * @param area that its crown covers full grown, m²
 * @param kg a year at full crop; 0 where that is not told
 * @param months in which it is ripe or in store
 * @param doubts what speaks against the variety
 * @param mound whether the ground is so slow that it wants a mound
 * @param poor how many things speak against the stock, the mound among them
 */
public record Candidate(
        Variety variety,
        Rootstock stock,
        double area,
        double kg,
        Set<Month> months,
        List<Finding> doubts,
        boolean mound,
        long poor) {
    private static final int WEEK = 7;

    static Candidate of(VarietyVerdict verdict, StockOffer offer, RipeWindow window) {
        Variety variety = verdict.variety();
        double spread = offer.size().spread();
        return new Candidate(
                variety,
                offer.stock(),
                spread * spread,
                Cropping.of(variety.crop(), Optional.of(offer.stock()))
                        .map(cropping -> cropping.kg().middle())
                        .orElse(0.0),
                months(variety, window),
                verdict.raised().findings().stream()
                        .filter(finding -> !finding.isSound())
                        .toList(),
                offer.standing(StockOffer.Aspect.WET) == Standing.STOP,
                against(offer));
    }

    /** What speaks against a stock; slow soil, of which a mound lifts it, among it. */
    static long against(StockOffer offer) {
        return offer.doubts() + (offer.standing(StockOffer.Aspect.WET) == Standing.STOP ? 1 : 0);
    }

    private static Set<Month> months(Variety variety, RipeWindow window) {
        long store = variety.habit()
                .ripening()
                .keepsWeeks()
                .map(weeks -> Math.round(weeks * WEEK))
                .orElse(0L);
        Set<Month> months = EnumSet.noneOf(Month.class);
        for (long day = 0; day < window.days() + store; day++) {
            months.add(window.first().plusDays(day).getMonth());
        }
        return months;
    }

    /** Whether anything but the ground that a mound mends speaks against it. */
    boolean doubted() {
        return !doubts.isEmpty() || poor > (mound ? 1 : 0);
    }

    /** How many things speak against it. */
    long against() {
        return doubts.size() + poor;
    }
}
