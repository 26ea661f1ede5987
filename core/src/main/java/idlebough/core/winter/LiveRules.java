package idlebough.core.winter;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Quantity;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** The findings of a station that gives readings by itself: does it speak, does it move, does its clock go right. */
public final class LiveRules {
    public static final String SILENT = "winter.station-silent";
    public static final String STUCK = "winter.station-stuck";
    public static final String CLOCK = "winter.station-clock";
    private static final double MINUTE = 1.0 / 60;

    private LiveRules() {}

    /**
     * @param last sound reading; null for none yet
     * @param stuck and clock: readings of the last days that were marked so
     */
    public static List<Finding> judge(String name, Instant last, Instant now, long stuck, long clock) {
        List<Finding> findings = new ArrayList<>();
        double hours = last == null ? Double.NaN : Duration.between(last, now).toMinutes() / 60.0;
        double limit = LiveCheck.SILENT.toHours();
        Standing silent =
                last == null ? Standing.DOUBTFUL : Standing.of(hours, MINUTE, limit, MINUTE, Standing.Wanted.AT_MOST);
        findings.add(new Finding(
                SILENT,
                "station",
                silent,
                last == null
                        ? Phrase.of("{} has not said anything yet.", name)
                        : silent == Standing.SOUND
                                ? Phrase.of("{} speaks.", name)
                                : Phrase.of("{} has been silent for {}.", name, Amount.of(hours, Quantity.HOURS)),
                Phrase.of(
                        "A gap of more than three hours is not bridged and the day is lost. Look at its battery, its cable and its address."),
                last == null ? null : Amount.of(hours, Quantity.HOURS),
                Amount.of(limit, Quantity.HOURS),
                List.of(),
                Source.ownChoice("six hours without a reading")));
        if (stuck > 0) {
            findings.add(marked(
                    STUCK,
                    Phrase.of("{} says the same again and again.", name),
                    "No air keeps its temperature to the tenth for twelve hours; {} readings were kept and not reckoned with. Look whether the sensor is wet, iced or loose.",
                    stuck,
                    "persistence check of automatic stations"));
        }
        if (clock > 0) {
            findings.add(marked(
                    CLOCK,
                    Phrase.of("The clock of {} jumped.", name),
                    "{} readings were stamped before earlier ones or in the time to come, and were not reckoned with. Set its clock to UTC.",
                    clock,
                    "time check of automatic stations"));
        }
        return findings;
    }

    /** Readings that failed a check: within what is not known until somebody has looked at the sensor. */
    private static Finding marked(String rule, Phrase headline, String reason, long readings, String practice) {
        return new Finding(
                rule,
                "station",
                Standing.DOUBTFUL,
                headline,
                Phrase.of(reason, Amount.count(readings)),
                Amount.count(readings),
                Amount.count(0),
                List.of(),
                Source.practice(practice));
    }
}
