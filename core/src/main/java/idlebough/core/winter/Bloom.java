package idlebough.core.winter;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Optional;

/**
 * When a variety blooms in one spring, by its {@link BloomClock}.
 *
 * <p>What it is worth: a district's mean date comes out within a week, a single spring within about a week, two in mild
 * places; never to the hour. Open bloom lasts 4 to 18 days: warm springs compress it, cool ones stretch it.
 *
 * @param flowering empty when the need is not reached by the end of the spring
 * @see FrostKill
 * @see SequentialBloom
 */
public record Bloom(SpringHours spring, BloomClock clock, Optional<Open> flowering) {
    private static final int SHORTEST = 4;
    private static final int LONGEST = 18;

    /**
     * @param first day with open flowers, inclusive
     * @param end day with the last petals, inclusive
     */
    public record Open(LocalDateTime full, LocalDate first, LocalDate end) {}

    public static Bloom of(SpringHours spring, BloomClock clock) {
        double[] forced = spring.forced(clock.half());
        int full = reached(forced, clock.need());
        if (full < 0) {
            return new Bloom(spring, clock, Optional.empty());
        }
        SeasonHours hours = spring.hours();
        int end = reached(forced, clock.end() * clock.need());
        LocalDate begins =
                hours.at(reached(forced, clock.first() * clock.need())).toLocalDate();
        LocalDate least = begins.plusDays(SHORTEST - 1);
        LocalDate most = begins.plusDays(LONGEST - 1);
        LocalDate ends = end < 0 ? most : hours.at(end).toLocalDate();
        ends = ends.isBefore(least) ? least : ends.isAfter(most) ? most : ends;
        return new Bloom(spring, clock, Optional.of(new Open(hours.at(full), begins, ends)));
    }

    /** The first hour at whose end so much is reached; −1 for none. */
    static int reached(double[] sums, double much) {
        int low = 0;
        int high = sums.length;
        while (low < high) {
            int middle = (low + high) >>> 1;
            if (sums[middle] >= much) {
                high = middle;
            } else {
                low = middle + 1;
            }
        }
        return low == sums.length ? -1 : low;
    }

    /** The day on which a share of the need is reached; empty when it is not by the end of the spring. */
    public Optional<LocalDate> reaches(double share) {
        int hour = reached(spring.forced(clock.half()), share * clock.need());
        return hour < 0 ? Optional.empty() : Optional.of(spring.hours().at(hour).toLocalDate());
    }

    public int year() {
        return spring.year();
    }

    /** The day of full bloom. */
    public Optional<LocalDate> full() {
        return flowering.map(open -> open.full().toLocalDate());
    }

    /** Whether it is known if it bloomed: it did, or the spring was seen to its end. */
    public boolean known() {
        return flowering.isPresent() || spring.whole();
    }
}
