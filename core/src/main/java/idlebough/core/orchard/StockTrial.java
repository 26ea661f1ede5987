package idlebough.core.orchard;

import idlebough.core.crop.Cropping;
import idlebough.core.crop.Rootstock;
import idlebough.core.irrigation.GrownThirst;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.PlotFill;
import idlebough.core.variety.Choice;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a choice would be on another stock: how many of its trees find room beside all the others, and what they bring.
 *
 * @param placed of those that are wanted
 * @param kg a year of those placed, at full crop; empty where that is not told of the crop
 * @param thirst of one of them; empty where that is not told of the crop
 */
public record StockTrial(int placed, int wanted, Optional<Double> kg, Optional<GrownThirst> thirst) {

    /**
     * @param choice one of the plan's
     * @param rows how the plot is filled
     * @return empty while no boundary is drawn
     */
    public static Optional<StockTrial> of(Evaluation plan, Choice choice, Rootstock stock, PlotFill.Wish rows) {
        Choice other = choice.on(stock.key());
        return plan.site().plot().map(plot -> {
            List<PlannedTree> others = plan.stands().stream()
                    .filter(stand -> !stand.toPlant()
                            || stand.tree().choice().filter(choice.id()::equals).isEmpty())
                    .map(stand -> plan.layout().tree(stand.id()))
                    .toList();
            int standing = (int) plan.stands().stream()
                    .filter(stand -> !stand.toPlant()
                            && stand.tree().choice().filter(choice.id()::equals).isPresent())
                    .count();
            PlotFill fill = PlotFill.of(
                    plot,
                    rows.on(plan.site().terrain().ground()),
                    List.of(other),
                    plan.rootstocks(),
                    new PlotFill.Standing(others, Map.of(choice.id(), standing)),
                    plan.site().terrain().features());
            return new StockTrial(
                    fill.placed().size(),
                    fill.wanted(),
                    Cropping.of(plan.rootstocks().variety(other).crop(), Optional.of(stock))
                            .map(brings -> brings.kg().middle() * fill.placed().size()),
                    GrownThirst.of(
                            plan.rootstocks().variety(other).crop(),
                            plan.rootstocks().size(other),
                            plan.winters()));
        });
    }
}
