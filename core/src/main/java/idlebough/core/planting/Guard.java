package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.metres;

import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;

/**
 * A ring of mesh round the stem against animals (heights: UK forestry practice, from memory; the rest is common
 * practice).
 *
 * @param height above the ground, m
 * @param across its diameter, m
 * @param posts that hold it
 */
public record Guard(double height, double across, int posts) {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double ROE = TABLE.value("guard.roe");
    private static final double DEER = TABLE.value("guard.deer");

    /** @param height above the ground, m; @param stem thickness, m */
    static Guard of(double height, double stem) {
        boolean browsers = height >= ROE - 1e-9;
        return new Guard(
                height,
                browsers
                        ? TABLE.value("guard-across.browsers")
                        : Math.max(TABLE.value("guard-across.usual"), stem + TABLE.value("guard-off")),
                height >= DEER - 1e-9 ? 3 : browsers ? 2 : 0);
    }

    /** Opening of its mesh at most, m. */
    public double opening() {
        return posts == 0 ? TABLE.value("mesh-wide") : TABLE.value("guard-opening.browsers");
    }

    /** Length to cut from the roll, with its overlap, m. */
    public double length() {
        return PlantingSection.mesh(across, TABLE.value("guard-overlap"));
    }

    /** Width of the roll: what stands above the ground and what is let into it, m. */
    public double roll() {
        return height + TABLE.value("guard-buried");
    }

    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", metres(length()))
                .step("π × {} across, off the bark all round, for years of growth", cm(across))
                .step("+ {} where its ends overlap", cm(TABLE.value("guard-overlap")))
                .step("{} above the ground, {} let into it", cm(height), cm(TABLE.value("guard-buried")))
                .step("openings of {} at most", Amount.fine(opening()));
        if (posts > 0) {
            steps.step("{} posts that reach its top", Amount.count(posts));
        }
        return steps.sensitive("Most sensitive to which animals come: look for droppings and bitten bark.")
                .from(TABLE.source("guard.roe"));
    }
}
