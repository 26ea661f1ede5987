package idlebough.core.site;

import java.util.ArrayList;
import java.util.List;

/**
 * One drainage test: a hole, and the water's distance below the stick laid across it, read again and again.
 *
 * @param hole its shape
 * @param depth of the hole below the stick, m
 * @param secondFilling whether the hole had been filled and emptied before; a first filling reads too fast
 * @param glazed whether its walls were smeared and not scratched open
 * @param waterEntered water came in by itself: a water table, and no rate
 * @param readings in the order in which they were written down
 */
public record DrainageTest(
        TestHole hole,
        double depth,
        boolean secondFilling,
        boolean glazed,
        boolean waterEntered,
        List<Reading> readings) {

    /** With scratched walls. */
    public DrainageTest(
            TestHole hole, double depth, boolean secondFilling, boolean waterEntered, List<Reading> readings) {
        this(hole, depth, secondFilling, false, waterEntered, readings);
    }

    /**
     * @param minutes since the filling
     * @param down distance of the water below the stick, m
     */
    public record Reading(double minutes, double down) {}

    /** A reading that cannot be, kept but not used. */
    public record Rejected(int index, Reading reading, String why) {}

    /**
     * The readings that can be used, in order, and the others with the reason.
     */
    public record Sifted(List<Reading> used, List<Rejected> rejected) {}

    /**
     * Sets aside readings that cannot be: out of order in time, water rising, level above the stick or below the
     * bottom.
     */
    public Sifted sift() {
        List<Reading> used = new ArrayList<>();
        List<Rejected> rejected = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            Reading reading = readings.get(i);
            Reading before = used.isEmpty() ? null : used.get(used.size() - 1);
            String why = null;
            if (reading.minutes() < 0) {
                why = "a time before the filling";
            } else if (reading.down() < 0) {
                why = "water above the stick";
            } else if (reading.down() > depth + 1e-9) {
                why = "water below the bottom of the hole";
            } else if (before != null && reading.minutes() <= before.minutes()) {
                why = "a time not after the one before";
            } else if (before != null && before.down() >= depth - 1e-9) {
                why = "the hole was empty before";
            } else if (before != null && reading.down() < before.down() - 1e-9) {
                why = "the water rose: rain, a hose, or a water table";
            }
            if (why == null) {
                used.add(reading);
            } else {
                rejected.add(new Rejected(i, reading, why));
            }
        }
        return new Sifted(List.copyOf(used), List.copyOf(rejected));
    }

    /** The rate, or null when fewer than two readings can be used, nothing drained, or water entered. */
    public DrainageRate rate() {
        List<Reading> used = sift().used();
        return waterEntered || used.size() < 2 ? null : DrainageRate.of(hole, depth, used, secondFilling && !glazed);
    }
}
