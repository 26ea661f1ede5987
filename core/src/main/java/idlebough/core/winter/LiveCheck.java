package idlebough.core.winter;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/**
 * The checks that every live reading passes before it counts: range, step, persistence and clock, after the checks of
 * WMO-No. 8 for automatic stations (from memory; the limits are common practice). A reading that fails is kept, marked
 * and not counted.
 */
public final class LiveCheck {
    /** No air warms or cools by so much from one reading to the next, K. */
    public static final double STEP = 15;
    /** A sensor that says the same to the last digit for so long is stuck. */
    public static final Duration STUCK = Duration.ofHours(12);
    /** A clock may run ahead by so much. */
    public static final Duration AHEAD = Duration.ofMinutes(10);
    /** Longer without a reading and the station is silent. */
    public static final Duration SILENT = Duration.ofHours(6);

    private static final Duration NEAR = Duration.ofHours(3);

    private LiveCheck() {}

    /** What is the matter with a reading. */
    public enum Fault {
        NONE("kept"),
        EMPTY("no temperature in it"),
        BEYOND("beyond −60 to 60 °C"),
        STEP("a step of more than 15 K"),
        STUCK("the same for twelve hours"),
        CLOCK("its clock is wrong");
        private final String words;

        Fault(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    public record Checked(LiveReading reading, Fault fault) {}

    /**
     * @param before readings of the last day that were checked already, oldest first
     * @param news in the order in which they came
     * @param received when they came
     */
    public static List<Checked> check(List<Checked> before, List<LiveReading> news, Instant received) {
        List<Checked> all = new ArrayList<>(before);
        for (LiveReading reading : news) {
            all.add(new Checked(reading, fault(all, reading, received)));
        }
        return List.copyOf(all.subList(before.size(), all.size()));
    }

    private static Fault fault(List<Checked> before, LiveReading reading, Instant received) {
        if (reading.celsius() == null) {
            return Fault.EMPTY;
        }
        if (TableRows.isBeyond(reading.celsius())) {
            return Fault.BEYOND;
        }
        if (reading.at().isAfter(received.plus(AHEAD))) {
            return Fault.CLOCK;
        }
        Instant since = reading.at();
        boolean same = true;
        LiveReading last = null;
        for (int i = before.size() - 1; i >= 0; i--) {
            LiveReading earlier = before.get(i).reading();
            Fault fault = before.get(i).fault();
            if (fault == Fault.CLOCK || earlier.celsius() == null) {
                continue;
            }
            if (!earlier.at().isBefore(reading.at())) {
                return Fault.CLOCK;
            }
            if (last == null && fault == Fault.NONE) {
                last = earlier;
            }
            same &= earlier.celsius().equals(reading.celsius());
            if (same) {
                since = earlier.at();
            } else if (last != null) {
                break;
            }
        }
        if (!Duration.between(since, reading.at()).minus(STUCK).isNegative()) {
            return Fault.STUCK;
        }
        return last != null
                        && Duration.between(last.at(), reading.at()).compareTo(NEAR) <= 0
                        && Math.abs(last.celsius() - reading.celsius()) > STEP
                ? Fault.STEP
                : Fault.NONE;
    }
}
