package idlebough.core.winter;

import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.special.Gamma;

/**
 * How many standard deviations below the mean of a few winters the true tenth percentile may lie: the factor of a
 * one-sided tolerance limit for a normal sample (Natrella 1963, NBS Handbook 91, section 2-5 and table A-7).
 *
 * <p>How: the mean less k standard deviations is at or below the percentile with a probability that is an integral over
 * the chi distribution of the standard deviation (a noncentral t); k is found by halving. Accurate to about 1e−6.
 */
final class Tolerance {
    private static final NormalDistribution NORMAL = new NormalDistribution();
    private static final int STEPS = 240;
    private static final int HALVINGS = 36;
    private static final double MOST = 64;

    /** Records of most stations are no longer; their factors are computed once. */
    private static final int USUAL = 45;

    private static final double SHARE = 0.9;
    private static final double[] LOW = table(SHARE);
    private static final double[] HIGH = table(1 - SHARE);

    private Tolerance() {}

    private static double[] table(double confidence) {
        double[] factors = new double[USUAL + 1];
        for (int n = 2; n <= USUAL; n++) {
            factors[n] = factor(n, SHARE, confidence);
        }
        return factors;
    }

    /** For the level that nine of ten lie above: mean − k·s is at or below it with 90 % confidence. */
    static double low(int n) {
        return n <= USUAL ? LOW[n] : factor(n, SHARE, SHARE);
    }

    /** As {@link #low}, above it with 90 % confidence. */
    static double high(int n) {
        return n <= USUAL ? HIGH[n] : factor(n, SHARE, 1 - SHARE);
    }

    /**
     * @param n winters, at least 2
     * @param share of winters that lie above the percentile, 0.9 for safe chill
     * @param confidence that mean − k·s is at or below it
     */
    static double factor(int n, double share, double confidence) {
        double z = NORMAL.inverseCumulativeProbability(share);
        double low = -MOST;
        double high = MOST;
        for (int i = 0; i < HALVINGS; i++) {
            double middle = (low + high) / 2;
            if (below(n, z, middle) < confidence) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** The chance that the mean less k standard deviations of n normal values is at or below z of their own below. */
    private static double below(int n, double z, double k) {
        int freedom = n - 1;
        double root = Math.sqrt(n);
        double from = Math.max(0, 1 - 8 / Math.sqrt(2.0 * freedom));
        double to = 1 + 8 / Math.sqrt(2.0 * freedom);
        double constant = Math.log(2) + freedom / 2.0 * Math.log(freedom / 2.0) - Gamma.logGamma(freedom / 2.0);
        double step = (to - from) / STEPS;
        double sum = 0;
        for (int i = 0; i <= STEPS; i++) {
            double s = from + i * step;
            double density = s <= 0 ? 0 : Math.exp(constant + (freedom - 1) * Math.log(s) - freedom * s * s / 2);
            if (s <= 0 && freedom == 1) {
                density = Math.exp(constant);
            }
            double weight = i == 0 || i == STEPS ? 1 : i % 2 == 1 ? 4 : 2;
            sum += weight * density * NORMAL.cumulativeProbability(root * (k * s - z));
        }
        return sum * step / 3;
    }
}
