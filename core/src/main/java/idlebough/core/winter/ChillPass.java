package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * All models over the same hours in one pass. Says the same as each model's own {@link ChillState}; five of them share
 * their look at the temperature, so together they cost little more than one.
 */
public final class ChillPass {
    private ChillPass() {}

    /**
     * @param hours whole days of 24 temperatures, °C
     * @return running total at the end of each day, per model
     */
    public static Map<ChillModel, List<Double>> daily(double[] hours) {
        int days = hours.length / 24;
        double[][] totals = new double[ChillModel.values().length][days];
        DynamicChill dynamic = new DynamicChill();
        double utah = 0;
        double below = 0;
        double between = 0;
        double carolina = 0;
        double low = 0;
        double positive = 0;
        for (int day = 0; day < days; day++) {
            double today = 0;
            for (int h = 24 * day; h < 24 * day + 24; h++) {
                double celsius = hours[h];
                dynamic.accept(celsius);
                int upper = UnitTable.upper(celsius);
                int lower = UnitTable.lower(celsius);
                today += UnitTable.UTAH.in(upper);
                double cool = UnitTable.BELOW_SEVEN.in(upper);
                below += cool;
                between += cool * UnitTable.FROM_ZERO.in(lower);
                carolina += UnitTable.CAROLINA.in(lower);
                low += UnitTable.LOW_CHILL.in(lower);
            }
            utah += today;
            positive += Math.max(0, today);
            totals[ChillModel.PORTIONS.ordinal()][day] = dynamic.total();
            totals[ChillModel.UTAH.ordinal()][day] = utah;
            totals[ChillModel.HOURS.ordinal()][day] = between;
            totals[ChillModel.HOURS_BELOW.ordinal()][day] = below;
            totals[ChillModel.POSITIVE.ordinal()][day] = positive;
            totals[ChillModel.CAROLINA.ordinal()][day] = carolina;
            totals[ChillModel.LOW_CHILL.ordinal()][day] = low;
        }
        Map<ChillModel, List<Double>> daily = new EnumMap<>(ChillModel.class);
        for (ChillModel model : ChillModel.values()) {
            List<Double> of = new ArrayList<>(days);
            for (double total : totals[model.ordinal()]) {
                of.add(total);
            }
            daily.put(model, Collections.unmodifiableList(of));
        }
        return daily;
    }
}
