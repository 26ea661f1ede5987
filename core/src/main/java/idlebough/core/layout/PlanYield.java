package idlebough.core.layout;

import idlebough.core.crop.Cropping;
import idlebough.core.site.Stand;
import java.time.LocalDate;
import java.util.Collection;

/**
 * What all trees of a plan bring in one year and at full crop, kg; frost and resting years are not in it.
 *
 * @see Cropping
 */
public record PlanYield(double inYear, double full) {

    /**
     * @param planting date of the plan
     * @param year after it
     */
    public static PlanYield of(Collection<Stand> stands, LocalDate planting, double year) {
        double now = 0;
        double full = 0;
        for (Stand stand : stands) {
            Cropping brings = Cropping.of(stand.crop(), stand.stock()).orElse(null);
            if (brings != null) {
                now += brings.in(PlannedTree.of(stand, planting).age() + year);
                full += brings.kg().middle();
            }
        }
        return new PlanYield(now, full);
    }
}
