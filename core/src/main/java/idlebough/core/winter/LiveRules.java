package idlebough.core.winter;

import static idlebough.core.measure.Quantity.COUNT;
import static idlebough.core.measure.Quantity.HOURS;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** The findings of a station that gives readings by itself: does it speak, does it move, does its clock go right. */
public final class LiveRules {
    public static final Rule SILENT = Rule.of("winter.station-silent");
    public static final Rule STUCK = Rule.of("winter.station-stuck");
    public static final Rule CLOCK = Rule.of("winter.station-clock");
    private static final RuleTable TABLE = RuleTable.of("winter");

    private LiveRules() {}

    /**
     * @param last sound reading; null for none yet
     * @param stuck and clock: readings of the last days that were marked so
     */
    public static List<Finding> judge(String name, Instant last, Instant now, long stuck, long clock) {
        List<Finding> findings = new ArrayList<>();
        Rule.Draft silent = about(SILENT, name);
        findings.add(
                last == null
                        ? silent.variant("never").stands(Standing.DOUBTFUL, TABLE.source("station-silent"))
                        : silent.judge(
                                Measured.of(
                                        Duration.between(last, now).toMinutes() / 60.0,
                                        TABLE.value("station-minute"),
                                        HOURS),
                                TABLE.atMost("station-silent", HOURS)));
        marked(findings, STUCK, "station-stuck", name, stuck);
        marked(findings, CLOCK, "station-clock", name, clock);
        return findings;
    }

    private static Rule.Draft about(Rule rule, String name) {
        return rule.about(Subject.station(name)).with("station", name);
    }

    /** Readings that failed a check: within what is not known until somebody has looked at the sensor. */
    private static void marked(List<Finding> findings, Rule rule, String row, String name, long readings) {
        if (readings > 0) {
            findings.add(about(rule, name).judge(Measured.exactly(readings, COUNT), TABLE.atMost(row, COUNT)));
        }
    }
}
