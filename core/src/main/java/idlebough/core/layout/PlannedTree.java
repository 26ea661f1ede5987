package idlebough.core.layout;

import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * One tree with its place, as this room sees it.
 *
 * @param size full grown
 * @param rate yearly approach to full size
 * @param ownRooted whether there is no stock that could be smaller
 * @param age years in the ground at the planting date of the plan; 0 for those to be planted, more for old ones
 */
public record PlannedTree(
        Subject subject,
        String label,
        Variety variety,
        Point place,
        TreeSize size,
        double rate,
        boolean ownRooted,
        double age) {
    private static final double DAYS_A_YEAR = 365.25;

    /** @param planting date of the plan */
    public static PlannedTree of(Stand stand, LocalDate planting) {
        double age = stand.tree()
                .life()
                .plantedOn()
                .map(planted -> Math.max(0, ChronoUnit.DAYS.between(planted, planting) / DAYS_A_YEAR))
                .orElse(0.0);
        return new PlannedTree(
                stand.subject(),
                stand.label(),
                stand.variety(),
                stand.place(),
                TreeSize.of(stand.variety(), stand.stock()),
                TreeSize.growth(stand.stock()),
                stand.stock().map(Rootstock::ownRooted).orElse(false),
                age);
    }

    public String id() {
        return subject.id();
    }

    /** Width of the crown so many years after the planting date, m. */
    public double crown(double year) {
        return size.spreadAfter(age + year, rate);
    }
}
