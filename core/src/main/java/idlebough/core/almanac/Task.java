package idlebough.core.almanac;

import idlebough.core.judge.Phrase;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;

/**
 * One dated thing to do.
 *
 * @param key stable within a plan, for calendars that are loaded again
 * @param from first day, inclusive
 * @param to last day, inclusive
 * @param what to do
 * @param why in one sentence
 * @param work what it takes
 * @param lapses the day from which it is of no use any more; empty where it waits until it is done
 * @param done the day on which it was done; empty while it was not
 */
public record Task(
        String key,
        LocalDate from,
        LocalDate to,
        Phrase what,
        Phrase why,
        Work work,
        Optional<LocalDate> lapses,
        Optional<LocalDate> done) {

    /**
     * @param minutes of one pair of hands, from {@code almanac/minutes.csv}
     * @param trees ids of those that it concerns; empty where it concerns the whole plan
     */
    public record Work(int minutes, List<String> trees) {}

    private static final Pattern WEEKLY = Pattern.compile(Almanac.WEEK + "\\d+(-\\d{4}-\\d\\d-\\d\\d)?");

    /** The day for which all is done, and which other days follow. */
    public boolean isPlanting() {
        return key.equals("plant");
    }

    /** One of the weeks of watering after planting. */
    public boolean isWeekly() {
        return WEEKLY.matcher(key).matches();
    }

    /** Small and often: without words of its own where there is little room. */
    public boolean isSmall() {
        return key.startsWith("ties-");
    }

    /** The first of those weeks. */
    public boolean isFirstWeek() {
        return isWeekly() && key.matches(Almanac.WEEK + "1(-.*)?");
    }

    /** When it is thought of: its first day; today while it may be done or is late; its last day once it has lapsed. */
    public LocalDate due(LocalDate today) {
        return done.orElse(from.isAfter(today) ? from : isOpen(today) ? today : to);
    }

    /** Whether it can still be done and is not. */
    public boolean isOpen(LocalDate today) {
        return done.isEmpty() && lapses.filter(day -> !today.isBefore(day)).isEmpty();
    }

    /** Whether its last day is over and it is still open. */
    public boolean isLate(LocalDate today) {
        return isOpen(today) && to.isBefore(today);
    }

    /** The same, done on a day, if that day belongs to it: an old tick does not count for a plan that was put off. */
    Task doneOn(Optional<LocalDate> day) {
        return new Task(
                key, from, to, what, why, work, lapses, day.filter(done -> !done.isBefore(from.minusMonths(6))));
    }
}
