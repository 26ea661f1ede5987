package idlebough.core.site;

import static idlebough.core.measure.Quantity.DRAINAGE;
import static idlebough.core.measure.Quantity.HOURS;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.util.List;

/**
 * What a drainage test says, with the hole taken out of it.
 *
 * @param rawMmPerHour fall of the level per hour, as read; depends on the hole
 * @param kMmPerHour rate through all wetted surface, K
 * @param normalisedMmPerHour R12 = 3K: the fall per hour in a 12 × 12 inch hole half full; the one rate that is judged
 * @param halfWidth of the normalised rate: half the spread between the intervals, at least ten per cent, and
 *     twenty-five on a first filling or in a glazed hole
 * @param hoursToEmpty from full to empty
 */
public record DrainageRate(
        double rawMmPerHour, double kMmPerHour, double normalisedMmPerHour, double halfWidth, double hoursToEmpty) {

    public static final Source SOURCE =
            Source.published("van Hoorn 1979; Ritzema 1994, ILRI Publ. 16 (inverse auger hole)", Certainty.FAIR);
    private static final double MM_PER_INCH = 25.4;

    static DrainageRate of(TestHole hole, double depth, List<DrainageTest.Reading> used, boolean trusted) {
        DrainageTest.Reading first = used.get(0);
        DrainageTest.Reading last = used.get(used.size() - 1);
        double hours = (last.minutes() - first.minutes()) / 60;
        double higher = depth - first.down();
        double lower = depth - last.down();
        double raw = (higher - lower) / hours * 1000;
        double k = hole.infiltrated(higher, lower) / hours * 1000;
        double low = Double.POSITIVE_INFINITY;
        double high = 0;
        for (int i = 1; i < used.size(); i++) {
            double each = hole.infiltrated(
                            depth - used.get(i - 1).down(), depth - used.get(i).down())
                    / (used.get(i).minutes() - used.get(i - 1).minutes())
                    * 60_000;
            low = Math.min(low, each);
            high = Math.max(high, each);
        }
        double least = (trusted ? Certainty.FAIR : Certainty.WEAK).halfWidth(3 * k);
        double half = Math.max(least, 3 * (high - low) / 2);
        double empty = k == 0 ? Double.POSITIVE_INFINITY : hole.infiltrated(depth, 0) * 1000 / k;
        return new DrainageRate(raw, k, 3 * k, half, empty);
    }

    public DrainageClass drainageClass() {
        return DrainageClass.of(normalisedMmPerHour / MM_PER_INCH);
    }

    public DrainageClass rawClass() {
        return DrainageClass.of(rawMmPerHour / MM_PER_INCH);
    }

    /**
     * The same readings if the walls were sealed by the spade and water left through the bottom alone: then the
     * soil's own
     * rate is the fall itself, mm/h in a 12-inch hole (van Hoorn 1979; Ritzema 1994, ILRI Publ. 16: inverse auger
     * hole).
     */
    public double ifGlazed() {
        return 3 * rawMmPerHour;
    }

    public Working working() {
        return Working.of("How {} comes about", Amount.of(normalisedMmPerHour, DRAINAGE))
                .step("{} fall of the level, as read; this depends on the hole", Amount.of(rawMmPerHour, DRAINAGE))
                .step(
                        "{} through bottom and walls alike, the shape of the hole taken out",
                        Amount.of(kMmPerHour, DRAINAGE))
                .step(
                        "× 3 = {}: the same soil in a hole of 12 by 12 inches, half full, for which the limits "
                                + "are written",
                        Amount.of(normalisedMmPerHour, DRAINAGE))
                .step("give or take {}, from how far the readings agree", Amount.of(halfWidth, DRAINAGE))
                .step("A full hole would be empty after {}", Amount.of(hoursToEmpty, HOURS))
                .sensitive("Most sensitive to smeared sides and to soil that was dry before the first filling.")
                .from(SOURCE);
    }
}
