package idlebough.app.assortment;

import idlebough.app.web.Svg;
import idlebough.core.assortment.Proposal;
import idlebough.core.variety.Harvest;
import idlebough.core.variety.VarietyStage;
import java.util.ArrayList;
import java.util.List;

/**
 * What a proposed set brings week by week, page units of a strip 520 wide and 40 high.
 *
 * @param bars path of what is picked in each week at full crop
 * @param hand path of the weeks with own fruit
 */
public record HarvestStrip(String bars, String hand) {
    private static final double WEEK = 10;
    private static final double HIGH = 28;
    private static final int WEEKS = 52;

    static HarvestStrip of(Proposal proposal, VarietyStage stage) {
        List<Harvest.Ripe> crops = new ArrayList<>();
        proposal.picks()
                .forEach(pick -> crops.add(new Harvest.Ripe(
                        pick.candidate().variety(),
                        pick.trees(),
                        pick.trees() * pick.candidate().kg(),
                        stage.ripe(pick.candidate().variety()))));
        Harvest harvest = Harvest.of(crops);
        double most = 1;
        for (int week = 1; week <= WEEKS; week++) {
            most = Math.max(most, harvest.kg(week));
        }
        StringBuilder bars = new StringBuilder();
        StringBuilder hand = new StringBuilder();
        for (int week = 1; week <= WEEKS; week++) {
            double high = HIGH * harvest.kg(week) / most;
            if (high > 0) {
                bars.append(Svg.path("M# #v#h#v#z", WEEK * (week - 1), HIGH, -high, WEEK - 1, high));
            }
            if (harvest.inHand(week)) {
                hand.append(Svg.path("M# 34h#", WEEK * (week - 1), WEEK));
            }
        }
        return new HarvestStrip(bars.toString(), hand.toString());
    }
}
