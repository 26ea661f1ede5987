package idlebough.core.rootstock;

import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.util.Optional;

/**
 * Full size of a tree and the spacing that follows: W = S0 · stock · variety · soil · system, in-row = W · k, between
 * rows = W + alley (project choice on common practice; RHS, Westwood 1993, UC ANR 3485). Give or take a fifth.
 *
 * @param spread full-grown width, m
 * @param height full-grown, m
 */
public record TreeSize(double spread, double height) {
    private static final RuleTable TABLE = RuleTable.of("rootstock");
    /** Young trees are this wide when they come, m. */
    public static final double YOUNG = TABLE.value("young-spread");

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
        return of(
                variety.crop().spreadMetres(),
                variety.crop().heightMetres(),
                stock.map(chosen -> chosen.factor(variety.crop())).orElse(1.0),
                variety.vigour(),
                1,
                1,
                1);
    }

    /** Yearly approach to full size; of a vigorous stock while none is chosen. */
    public static double growth(Optional<Rootstock> stock) {
        return stock.map(chosen -> chosen.vigour().growth()).orElse(TABLE.value("seedling-growth"));
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

    public static Working working(Variety variety, Rootstock stock) {
        TreeSize size = of(variety, stock);
        return Working.of("How {} comes about", Amount.metres(size.spread()))
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
                .step("= {}, give or take a fifth", Amount.metres(size.spread()))
                .sensitive("Most sensitive to the stock, then to soil and pruning.")
                .from(TABLE.source("size-uncertain"));
    }
}
