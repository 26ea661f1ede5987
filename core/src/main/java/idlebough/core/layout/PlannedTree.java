package idlebough.core.layout;

import idlebough.core.rootstock.Rootstock;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Point;
import idlebough.core.variety.Variety;

/**
 * One tree with its place, as this room sees it.
 *
 * @param stock may be null when not chosen; then the crop's full size is reckoned with
 * @param age years in the ground at the planting date of the plan; 0 for those to be planted, more for old ones
 */
public record PlannedTree(String id, String label, Variety variety, Rootstock stock, Point place, double age) {
    private static final double VIGOROUS = 0.17;

    public TreeSize size() {
        return stock == null
                ? TreeSize.of(
                        variety.crop().spreadMetres(), variety.crop().heightMetres(), 1, variety.vigour(), 1, 1, 1)
                : TreeSize.of(variety, stock);
    }

    public double rate() {
        return stock == null ? VIGOROUS : stock.growth();
    }

    /** Width of the crown so many years after the planting date, m. */
    public double crown(double year) {
        return size().spreadAfter(age + year, rate());
    }
}
