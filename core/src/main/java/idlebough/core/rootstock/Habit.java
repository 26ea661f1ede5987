package idlebough.core.rootstock;

import idlebough.core.judge.RuleTable;
import idlebough.core.site.SoilPit;
import java.util.Collection;
import java.util.Optional;

/**
 * What soil and training make of a tree's size.
 *
 * @param soil factor: 0.85 poor or dry, 1.15 deep and rich, else 1
 * @param training empty for an ordinary bush or open tree
 */
public record Habit(double soil, Optional<TrainingSystem> training) {
    private static final RuleTable TABLE = RuleTable.of("rootstock");
    private static final double MM = 1000;
    /** An ordinary tree in ordinary soil. */
    public static final Habit USUAL = new Habit(1, Optional.empty());

    /**
     * @param pits in which it may stand; the best of them speaks, so that a tree is rather thought too large
     */
    public static Habit of(Collection<SoilPit> pits, Optional<TrainingSystem> training) {
        return new Habit(pits.stream().mapToDouble(Habit::factor).max().orElse(1), training);
    }

    /** What the soil of a pit makes of a tree's size, by the water that it holds for roots. */
    public static double factor(SoilPit pit) {
        double held = pit.waterHeld() / MM;
        return held < TABLE.value("soil.poor")
                ? TABLE.value("soil.poor.factor")
                : held >= TABLE.value("soil.rich") ? TABLE.value("soil.rich.factor") : 1;
    }

    /** The same, standing free. */
    Habit free() {
        return new Habit(soil, Optional.empty());
    }
}
