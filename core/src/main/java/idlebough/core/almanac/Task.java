package idlebough.core.almanac;

import idlebough.core.judge.Phrase;
import java.time.LocalDate;

/**
 * One dated thing to do.
 *
 * @param key stable within a plan, for calendars that are loaded again
 * @param from first day, inclusive
 * @param to last day, inclusive
 * @param what to do
 * @param why in one sentence
 */
public record Task(String key, LocalDate from, LocalDate to, Phrase what, Phrase why) {
    /** Whether its last day is over. All tasks are for trees that have still to be planted, so it is late then. */
    public boolean isLate(LocalDate today) {
        return to.isBefore(today);
    }
}
