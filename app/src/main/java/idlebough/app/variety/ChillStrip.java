package idlebough.app.variety;

import idlebough.app.web.PlanView;
import idlebough.app.web.Svg;
import idlebough.core.variety.VarietyVerdict;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * One row of the sketch: what each winter gave as ticks, against the need; page units.
 *
 * @param bandLow and bandHigh: how far the need itself is known
 */
public record ChillStrip(
        VarietyVerdict verdict, String ticks, boolean here, double y, double bandLow, double bandHigh) {
    private static final int CHOSEN = 10;
    private static final int MOST = 12;
    private static final double LEFT = 190;
    private static final double WIDE = 500;
    private static final double MOST_TIMES = 2.2;

    /** The chosen ones first, then those at the head of the list; the picked one is always there. */
    static List<ChillStrip> of(PlanView plan, List<VarietyVerdict> listed, VarietyVerdict picked) {
        List<VarietyVerdict> shown = new ArrayList<>(listed.stream()
                .filter(v -> v.match().isPresent()
                        && plan.evaluation()
                                .varieties()
                                .chosen()
                                .contains(v.variety().key()))
                .limit(CHOSEN)
                .toList());
        listed.stream()
                .filter(v -> v.match().isPresent() && !shown.contains(v))
                .limit(MOST - shown.size())
                .forEach(shown::add);
        if (picked.match().isPresent() && !shown.contains(picked)) {
            if (shown.size() == MOST) {
                shown.remove(MOST - 1);
            }
            shown.add(picked);
        }
        List<ChillStrip> strips = new ArrayList<>();
        for (int i = 0; i < shown.size(); i++) {
            VarietyVerdict v = shown.get(i);
            double need = v.variety().chillNeed();
            double y = 96 + 30.0 * i;
            String ticks = Arrays.stream(plan.winters().totals(v.variety().chillModel()))
                    .mapToObj(total -> Svg.path("M# #v14", across(total / need), y - 12))
                    .collect(Collectors.joining());
            strips.add(new ChillStrip(
                    v,
                    ticks,
                    v.equals(picked),
                    y,
                    across(1 - v.needHalfWidth() / need),
                    across(1 + v.needHalfWidth() / need)));
        }
        return strips;
    }

    /** Share of the need to a place on the sketch. */
    private static double across(double share) {
        return LEFT + WIDE * Math.max(0, Math.min(MOST_TIMES, share)) / MOST_TIMES;
    }
}
