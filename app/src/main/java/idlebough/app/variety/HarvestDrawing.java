package idlebough.app.variety;

import idlebough.app.web.Svg;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.variety.Harvest;
import idlebough.core.variety.VarietyStage;
import idlebough.core.variety.VarietyVerdict;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * The year's harvest as a strip of weeks, its gap and its glut, and what would fill the gap; page units.
 *
 * @param total of a year at full crop, in words
 * @param bars what is picked in each week at full crop
 * @param hand path along the weeks with fruit of one's own
 * @param gap in words; empty for none
 * @param glut in words; empty for none
 * @param fills varieties that are not stopped here and are ripe or in store in the middle of the gap
 */
public record HarvestDrawing(
        String total,
        List<Bar> bars,
        List<Named> months,
        String hand,
        String gap,
        double gapFrom,
        double gapTo,
        String glut,
        List<VarietyVerdict> fills) {
    private static final double LEFT = 24;
    private static final double WEEK = 13;
    private static final double HIGH = 58;
    private static final int WEEKS = 52;
    private static final int MOST_FILLS = 4;
    private static final int ANY_YEAR = 2001;

    /** @param title names and weeks for who points at it */
    public record Bar(double x, double high, String title) {}

    /** A month's name where it begins. */
    public record Named(String name, double x) {}

    static HarvestDrawing of(VarietyStage stage, Display display) {
        Harvest harvest = stage.harvest();
        double most = 1;
        for (int week = 1; week <= WEEKS; week++) {
            most = Math.max(most, harvest.kg(week));
        }
        List<Bar> bars = new ArrayList<>();
        StringBuilder hand = new StringBuilder();
        for (int week = 1; week <= WEEKS; week++) {
            int ripe = harvest.ripe(week);
            if (ripe > 0) {
                bars.add(new Bar(x(week), HIGH * harvest.kg(week) / most, title(harvest, week, ripe, display)));
            }
            if (harvest.inHand(week)) {
                hand.append(Svg.path("M# 0h#", x(week), WEEK));
            }
        }
        List<Named> months = new ArrayList<>();
        for (Month month : Month.values()) {
            months.add(new Named(
                    month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
                    LEFT + WEEK * (LocalDate.of(ANY_YEAR, month, 1).getDayOfYear() - 1) / 7.0));
        }
        return new HarvestDrawing(
                display.text(harvest.kg(), Quantity.MASS),
                bars,
                months,
                hand.toString(),
                harvest.gap()
                        .map(gap -> "nothing of your own, weeks " + gap.from() + " to " + gap.to())
                        .orElse(""),
                harvest.gap().map(gap -> x(gap.from())).orElse(0.0),
                harvest.gap()
                        .map(gap -> gap.to() < gap.from() ? x(WEEKS + 1) : x(gap.to() + 1))
                        .orElse(0.0),
                harvest.glut()
                        .map(glut -> display.text(harvest.kg(glut.weeks().from()), Quantity.MASS) + " in week "
                                + glut.weeks().from() + ", " + glut.trees() + " of "
                                + harvest.trees() + " trees at once")
                        .orElse(""),
                harvest.gap().map(gap -> fills(stage, gap)).orElse(List.of()));
    }

    private static String title(Harvest harvest, int week, int ripe, Display display) {
        return "Week " + week + ", " + display.text(harvest.kg(week), Quantity.MASS) + ", " + ripe
                + (ripe == 1 ? " tree: " : " trees: ")
                + harvest.crops().stream()
                        .filter(crop -> crop.window().covers(week))
                        .map(crop -> crop.variety().name())
                        .collect(Collectors.joining(", "));
    }

    private static List<VarietyVerdict> fills(VarietyStage stage, Harvest.Weeks gap) {
        List<String> crops =
                stage.chosenVarieties().stream().map(v -> v.crop().like()).toList();
        return stage.verdicts().stream()
                .filter(v -> v.standing().orElse(Standing.DOUBTFUL) != Standing.STOP)
                .filter(v -> !stage.chosen().contains(v.variety().key()))
                .filter(v -> Harvest.fills(new Harvest.Ripe(v.variety(), 1, 0, stage.ripe(v.variety())), gap))
                .sorted(Comparator.comparingInt(VarietyVerdict::step).thenComparing(v -> !serves(v.variety(), crops)))
                .limit(MOST_FILLS)
                .toList();
    }

    private static boolean serves(Variety variety, List<String> crops) {
        return variety.givesPollen() && crops.contains(variety.crop().like());
    }

    private static double x(int week) {
        return LEFT + WEEK * (week - 1);
    }
}
