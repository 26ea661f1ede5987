package idlebough.core.planting;

import static idlebough.core.judge.Amount.metres;

import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;

/**
 * A shade screen: cloth of half shade on a ring of mesh, open to the east in both hemispheres, since it is the
 * afternoon sun that burns (common practice).
 *
 * @param height m
 */
public record Screen(double height) {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double ACROSS = TABLE.value("screen-across");
    private static final double SHARE = TABLE.value("screen-share");

    /** As tall as the tree, within what stands without guys. @param tall m */
    static Screen of(double tall) {
        return new Screen(Math.min(TABLE.value("screen-highest"), tall));
    }

    /** Of the cloth, m. */
    public double length() {
        return SHARE * Math.PI * ACROSS;
    }

    /** Of the cloth, m². */
    public double area() {
        return length() * height;
    }

    public Working working() {
        return Working.of("How {} comes about", Amount.of(area(), Quantity.AREA))
                .step(
                        "a ring of mesh {} across; cloth of 50 % on three quarters of it, open to the east",
                        metres(ACROSS))
                .step("{} long × {} high", metres(length()), metres(height))
                .step("three posts hold it")
                .sensitive("Most sensitive to how tall the tree came.")
                .from(TABLE.source("screen-share"));
    }
}
