package idlebough.core.rootstock;

import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.Optional;

/**
 * Full size of a tree and the spacing that follows: W = S0 · stock · variety · soil · system, in-row = W · k,
 * between
 * rows = W + alley (project choice on common practice; RHS, Westwood 1993, UC ANR 3485). Give or take a fifth.
 *
 * @param spread full-grown width, m; along its wires or wall if it is kept flat
 * @param height full-grown, m
 * @param depth from side to side across its wires or wall, m; the spread if it stands free
 */
public record TreeSize(double spread, double height, double depth) {
    private static final RuleTable TABLE = RuleTable.of("rootstock");
    /** Young trees are this wide when they come, m. */
    public static final double YOUNG = TABLE.value("young-spread");

    /** Standing free. */
    public TreeSize(double spread, double height) {
        this(spread, height, spread);
    }

    /** The general form, with every factor given. */
    public static TreeSize of(
            double spread0,
            double height0,
            double stock,
            double variety,
            double soil,
            double systemWidth,
            double systemHeight) {
        return new TreeSize(
                spread0 * stock * variety * soil * systemWidth, height0 * stock * variety * soil * systemHeight);
    }

    /** An ordinary bush or open tree in ordinary soil. */
    public static TreeSize of(Variety variety, Rootstock stock) {
        return of(variety, Optional.of(stock));
    }

    /** @param stock empty while none is chosen: then the crop's full size is taken */
    public static TreeSize of(Variety variety, Optional<Rootstock> stock) {
        return of(variety, stock, Habit.USUAL);
    }

    /** @param stock empty while none is chosen: then the crop's full size is taken */
    public static TreeSize of(Variety variety, Optional<Rootstock> stock, Habit habit) {
        TreeSize free = of(
                variety.crop().spreadMetres(),
                variety.crop().heightMetres(),
                stock.map(chosen -> chosen.factor(variety.crop())).orElse(1.0),
                variety.vigour(),
                habit.soil(),
                1,
                1);
        return habit.training().map(training -> training.shape(free)).orElse(free);
    }

    /** Whether it is kept in one plane. */
    public boolean flat() {
        return depth < spread;
    }

    /** Yearly approach to full size; of a vigorous stock while none is chosen. */
    public static double growth(Optional<Rootstock> stock) {
        return stock.map(chosen -> chosen.vigour().growth()).orElse(TABLE.value("seedling-growth"));
    }

    /**
     * How far it reaches from the stem in a direction, m: an ellipse seen from above.
     *
     * @param off degrees between the direction and its wires or wall
     */
    public double reach(double off) {
        if (!flat()) {
            return spread / 2;
        }
        double angle = Math.toRadians(off);
        return spread / 2 * depth / 2 / Math.hypot(depth / 2 * Math.cos(angle), spread / 2 * Math.sin(angle));
    }

    /** Ground under the crown, m²: an ellipse. */
    public double covers() {
        return Math.PI / 4 * spread * depth;
    }

    /** As it is so many years after planting. */
    public TreeSize after(double years, double rate) {
        double wide = spreadAfter(years, rate);
        return new TreeSize(wide, heightAfter(years, rate), Math.min(depth, wide));
    }

    /** From one stem to the next in the row, m. */
    public double inRow(double overlap) {
        return spread * overlap;
    }

    /** From row to row, m. */
    public double betweenRows(double alley) {
        return spread + alley;
    }

    /**
     * Width of the crown in a year: monomolecular D = D∞ − (D∞ − D0)e^(−kt).
     *
     * @param years in the ground
     * @param rate k, per year
     */
    public double spreadAfter(double years, double rate) {
        return monomolecular(spread, Math.min(YOUNG, spread), rate, years);
    }

    /** Height in a year, by the same curve. */
    public double heightAfter(double years, double rate) {
        return monomolecular(height, Math.min(TABLE.value("young-height"), height), rate, years);
    }

    public static double monomolecular(double full, double start, double rate, double years) {
        return full - (full - start) * Math.exp(-rate * years);
    }

    /** The year in which the crown first reaches a width; infinite when it never does. */
    public double yearOf(double width, double rate) {
        double start = Math.min(YOUNG, spread);
        if (width <= start) {
            return 0;
        }
        return width >= spread ? Double.POSITIVE_INFINITY : Math.log((spread - start) / (spread - width)) / rate;
    }

    public static Working working(Variety variety, Rootstock stock, Habit habit) {
        TreeSize size = of(variety, Optional.of(stock), habit);
        Working.Builder steps = Working.of("How {} comes about", Amount.metres(size.spread()))
                .step(
                        "{} grows {} wide on a stock that leaves the full size",
                        variety.crop().withArticle(),
                        Amount.metres(variety.crop().spreadMetres()))
                .step(
                        "× {} for {} ({} to {})",
                        Amount.of(stock.factor(variety.crop()), Quantity.SCORE),
                        stock.name(),
                        Amount.of(stock.vigour().low(), Quantity.SCORE),
                        Amount.of(stock.vigour().high(), Quantity.SCORE))
                .step("× {} for the vigour of ‘{}’", Amount.of(variety.vigour(), Quantity.SCORE), variety.name())
                .step("× {} for the soil, by the water that it holds", Amount.of(habit.soil(), Quantity.SCORE));
        habit.training()
                .ifPresent(training -> training.size()
                        .ifPresentOrElse(
                                by -> steps.step(
                                        "× {} trained as {}", Amount.of(by.width(), Quantity.SCORE), training.name()),
                                () -> steps.step(
                                        "kept to {} along its wires, trained as {}",
                                        Amount.metres(size.spread()),
                                        training.name())));
        return steps.step("= {}, give or take a fifth", Amount.metres(size.spread()))
                .sensitive("Most sensitive to the stock, then to soil and pruning.")
                .from(TABLE.source("size-uncertain"));
    }
}
