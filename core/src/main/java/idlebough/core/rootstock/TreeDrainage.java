package idlebough.core.rootstock;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Limit;
import idlebough.core.judge.RuleTable;
import idlebough.core.measure.Quantity;
import idlebough.core.site.WantedDrainage;
import java.util.Optional;

/**
 * The one drainage limit of a tree: the mean of what its crop and what its stock ask, mm/h in a 12-inch hole; the crop's
 * alone on its own roots or while no stock is chosen (project choice on the order of wet feet of Rowe & Beardsell 1973
 * and the tolerances judged from Rom & Carlson 1987).
 *
 * @see WantedDrainage
 */
public final class TreeDrainage {
    private static final RuleTable TABLE = RuleTable.of("rootstock");

    private TreeDrainage() {}

    public static Limit limit(Crop crop, Optional<Rootstock> stock) {
        Limit ofCrop = WantedDrainage.rate(crop);
        return grafted(stock)
                .map(worked -> TABLE.limit(
                        "drainage", (ofCrop.value() + ofStock(worked)) / 2, Quantity.DRAINAGE, Limit.Side.AT_LEAST))
                .orElse(ofCrop);
    }

    /** Empty on own roots. */
    static Optional<Rootstock> grafted(Optional<Rootstock> stock) {
        return stock.filter(worked -> !worked.ownRooted());
    }

    /** What a stock alone asks by its tolerance of wet soil, 0 to 3; mm/h. */
    static double ofStock(Rootstock stock) {
        return TABLE.value("wet." + stock.wet());
    }
}
