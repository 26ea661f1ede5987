package idlebough.core.layout;

import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
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
 * @param lie bearing of the wires or wall that a flat tree is kept to, degrees; 0 for one that stands free
 * @param filler whether it is taken out when its crown meets its neighbours'
 */
public record PlannedTree(
        Subject subject,
        String label,
        Variety variety,
        Point place,
        TreeSize size,
        double rate,
        boolean ownRooted,
        double age,
        double lie,
        boolean filler) {
    private static final double DAYS_A_YEAR = 365.25;
    /** Nearer to each other than this two trees stand on one peg, m. */
    public static final double ONE_PEG = RuleTable.of("layout").value("one-peg");

    /** One to stay. */
    public PlannedTree(
            Subject subject,
            String label,
            Variety variety,
            Point place,
            TreeSize size,
            double rate,
            boolean ownRooted,
            double age,
            double lie) {
        this(subject, label, variety, place, size, rate, ownRooted, age, lie, false);
    }

    /** @param planting date of the plan */
    public static PlannedTree of(Stand stand, LocalDate planting, TreeSize size, double lie) {
        return new PlannedTree(
                stand.subject(),
                stand.label(),
                stand.variety(),
                stand.place(),
                size,
                TreeSize.growth(stand.stock()),
                stand.stock().map(Rootstock::ownRooted).orElse(false),
                age(stand, planting),
                lie,
                stand.tree().life().filler());
    }

    /** Years in the ground at a date; 0 for one that is not planted yet. */
    static double age(Stand stand, LocalDate at) {
        return stand.tree()
                .life()
                .plantedOn()
                .map(planted -> Math.max(0, ChronoUnit.DAYS.between(planted, at) / DAYS_A_YEAR))
                .orElse(0.0);
    }

    public String id() {
        return subject.id();
    }

    /** Width of the crown so many years after the planting date, m. */
    public double crown(double year) {
        return size.spreadAfter(age + year, rate);
    }

    /** As it is so many years after the planting date. */
    public TreeSize after(double year) {
        return size.after(age + year, rate);
    }

    /** How far it reaches towards a place when full grown, m. */
    public double reach(Point to) {
        return reach(size, to);
    }

    /** How far it reaches towards a place when it is of a size, m. */
    double reach(TreeSize then, Point to) {
        return then.flat() ? then.reach(bearing(place, to) - lie) : then.spread() / 2;
    }

    /** Bearing at which a place is seen from it, degrees. */
    double bearingOf(Point to) {
        return bearing(place, to);
    }

    private static double bearing(Point from, Point to) {
        return Math.toDegrees(Math.atan2(to.x() - from.x(), to.y() - from.y()));
    }
}
