package idlebough.core.winter;

import static idlebough.core.measure.Quantity.DECIMAL;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Working;
import java.util.Arrays;

/**
 * Safe winter chill: the level reached in nine winters of ten, the 10th percentile over whole winters (Luedeling, Zhang
 * & Girvetz 2009, PLoS ONE 4:e6166), type 7.
 *
 * @param value the percentile; NaN with fewer than ten winters, where only the least and the median are said
 * @param winters how many whole winters it rests on
 * @param lowerBound the order statistic below the true percentile with 90 % confidence; NaN when there are too few
 *     winters for one (fewer than 22)
 */
public record SafeChill(
        ChillModel model, double value, int winters, double least, double median, double lowerBound, double[] totals) {
    private static final double SHARE = 0.1;
    private static final double CONFIDENCE = 0.9;

    public static SafeChill of(ChillModel model, double[] totals) {
        int n = totals.length;
        if (n == 0) {
            return new SafeChill(model, Double.NaN, 0, Double.NaN, Double.NaN, Double.NaN, totals);
        }
        double[] sorted = totals.clone();
        Arrays.sort(sorted);
        int rank = rankBelow(n, CONFIDENCE);
        return new SafeChill(
                model,
                n < 10 ? Double.NaN : Quantile.of(sorted, SHARE),
                n,
                sorted[0],
                Quantile.of(sorted, 0.5),
                rank == 0 ? Double.NaN : sorted[rank - 1],
                sorted);
    }

    /**
     * Greatest rank whose order statistic lies at or below the true 10th percentile with this confidence; 0 for none.
     */
    static int rankBelow(int n, double confidence) {
        double tail = 1;
        double term = Math.pow(1 - SHARE, n);
        int rank = 0;
        for (int r = 1; r <= n; r++) {
            tail -= term;
            if (tail < confidence - 1e-12) {
                break;
            }
            rank = r;
            term *= (double) (n - r + 1) / r * SHARE / (1 - SHARE);
        }
        return rank;
    }

    /**
     * Between which levels the true one lies, each bound with 90 % confidence, if the winters scatter normally: it
     * widens
     * honestly when they are few, and says nothing with one.
     *
     * @param low and high: NaN with fewer than two winters
     */
    public record Interval(double low, double high) {}

    /** See {@link Tolerance} for how. */
    public Interval interval() {
        if (winters < 2) {
            return new Interval(Double.NaN, Double.NaN);
        }
        double mean = Arrays.stream(totals).average().orElseThrow();
        double squares = Arrays.stream(totals).map(t -> (t - mean) * (t - mean)).sum();
        double deviation = Math.sqrt(squares / (winters - 1));
        double low = mean - Tolerance.low(winters) * deviation;
        return new Interval(model.mayFall() ? low : Math.max(0, low), mean - Tolerance.high(winters) * deviation);
    }

    /** For synthetic winters: the interval of the same winters a degree colder and a degree warmer as well. */
    public Interval interval(WinterLedger ledger) {
        Interval own = interval();
        if (ledger.colder().isEmpty() || winters < 2) {
            return own;
        }
        Interval colder = of(model, ledger.colder().orElseThrow().totals(model)).interval();
        Interval warmer = of(model, ledger.warmer().orElseThrow().totals(model)).interval();
        return new Interval(
                Math.min(own.low(), Math.min(colder.low(), warmer.low())),
                Math.max(own.high(), Math.max(colder.high(), warmer.high())));
    }

    /** How much a figure from so many winters says. */
    public String trust() {
        if (winters >= 20) {
            return "a full statement";
        }
        return winters >= 10
                ? "indicative: fewer than 20 winters"
                : winters >= 5
                        ? "least and median only: fewer than 10 winters"
                        : winters >= 1 ? "too few winters to say" : "no whole winter yet";
    }

    public Working working() {
        return working(null);
    }

    /** @param trend said as well, when it is not null */
    public Working working(Trend trend) {
        Working.Builder steps = Working.of("How {} comes about", Amount.of(value, DECIMAL))
                .step("{} whole winters, each summed by the {}", Amount.count(winters), model.label())
                .step("least {}, median {}", Amount.of(least, DECIMAL), Amount.of(median, DECIMAL));
        if (Double.isNaN(value)) {
            steps.step("with fewer than ten winters no tenth percentile is said");
        } else {
            int k = (int) Math.floor((winters - 1) * SHARE);
            double share = (winters - 1) * SHARE - k;
            steps.step(
                    "sorted, the tenth percentile (type 7 of Hyndman & Fan 1996) lies {} of the way from {} to {}: {}",
                    Amount.of(share, DECIMAL),
                    Amount.of(totals[k], DECIMAL),
                    Amount.of(totals[Math.min(k + 1, winters - 1)], DECIMAL),
                    Amount.of(value, DECIMAL));
            if (Double.isNaN(lowerBound)) {
                steps.step("under 22 winters even the worst one seen is no lower bound with 90 % confidence");
            } else {
                steps.step("with 90 % confidence the true level is not below {}", Amount.of(lowerBound, DECIMAL));
            }
        }
        Interval interval = interval();
        if (!Double.isNaN(interval.low())) {
            double mean = Arrays.stream(totals).average().orElseThrow();
            steps.step(
                    "if they scatter normally about {}, the level of nine in ten lies between {} and {}, each "
                            + "with 90 % confidence: a tolerance limit for {} winters (Natrella 1963)",
                    Amount.of(mean, DECIMAL),
                    Amount.of(interval.low(), DECIMAL),
                    Amount.of(interval.high(), DECIMAL),
                    Amount.count(winters));
        }
        if (trend != null) {
            steps.step(
                    "a straight line through the years by least squares moves it by {} in ten years, give or "
                            + "take {}, twice the standard error",
                    Amount.of(10 * trend.perYear(), DECIMAL),
                    Amount.of(10 * trend.halfWidth(), DECIMAL));
        }
        return steps.sensitive("Most sensitive to the two or three mildest winters, and to the season's first day.")
                .from(model.source());
    }
}
