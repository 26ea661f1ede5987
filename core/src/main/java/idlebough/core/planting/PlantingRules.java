package idlebough.core.planting;

import static idlebough.core.judge.Amount.fine;
import static idlebough.core.measure.Quantity.FINE_LENGTH;
import static idlebough.core.measure.Quantity.MASS;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Way;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The findings of this room: will flare and union stand right after settling, and who lifts the tree. */
public final class PlantingRules {
    public static final Rule FLARE_BURIED = Rule.of("planting.flare-buried");
    public static final Rule FLARE_HIGH = Rule.of("planting.flare-high");
    public static final Rule UNION_LOW = Rule.of("planting.union-low");
    public static final Rule UNION_BELOW_MULCH = Rule.of("planting.union-below-mulch");
    public static final Rule UNION_NOT_MEASURED = Rule.of("planting.union-not-measured");
    public static final Rule LIFT = Rule.of("planting.lift");
    public static final Rule AS_PLANTED = Rule.of("planting.as-planted");
    public static final Rule AS_PLANTED_HEIGHT = Rule.of("planting.as-planted-height");
    public static final Rule AS_PLANTED_PROUD = Rule.of("planting.as-planted-proud");
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final Sentences WORDS = Sentences.of("planting");
    /** How well a stick across the hole is read, m. */
    private static final double READING = TABLE.value("reading");

    private final String id;
    private final String label;
    private final PlantingSection section;

    private PlantingRules(String id, String label, PlantingSection section) {
        this.id = id;
        this.label = label;
        this.section = section;
    }

    /** A tree that has still to be planted. @param id of the tree, @param label as it stands on the peg */
    public static List<Finding> judge(String id, String label, PlantingSection section) {
        PlantingRules rules = new PlantingRules(id, label, section);
        List<Finding> findings = new ArrayList<>();
        findings.add(rules.flareBuried());
        rules.flareHigh().ifPresent(findings::add);
        if (section.hasUnion()) {
            if (section.setting().tree().unionAboveFlare() == null) {
                findings.add(rules.unionNotMeasured());
            }
            findings.add(rules.unionLow());
            findings.add(rules.unionBelowMulch());
        }
        rules.lift().ifPresent(findings::add);
        return findings;
    }

    private Rule.Draft about(Rule rule) {
        return rule.about(Subject.tree(id)).with("tree", label);
    }

    private Finding flareBuried() {
        return about(FLARE_BURIED)
                .remedies(List.of(way(PlantingWays.BASE, "firm", "remedy.firm")))
                .judge(
                        Measured.of(section.flareAtLast(), section.settlingHalfWidth(), FINE_LENGTH),
                        TABLE.atLeast("flare-buried", FINE_LENGTH));
    }

    /** Empty where the flare is not too high: that is no news. */
    private Optional<Finding> flareHigh() {
        String row = section.setting().texture().traits().heavy() ? "flare-high.heavy" : "flare-high.usual";
        Measured measured = Measured.of(section.flareAtLast(), section.settlingHalfWidth(), FINE_LENGTH);
        Limit most = TABLE.atMost(row, FINE_LENGTH);
        return Standing.of(measured, most) == Standing.SOUND
                ? Optional.empty()
                : Optional.of(about(FLARE_HIGH)
                        .with("union", fine(section.setting().tree().union()))
                        .remedies(List.of(enterTree()))
                        .judge(measured, most));
    }

    private Finding unionNotMeasured() {
        return about(UNION_NOT_MEASURED)
                .with("usual", fine(section.setting().tree().union()))
                .remedies(List.of(enterTree()))
                .stands(Standing.DOUBTFUL, TABLE.source("union-not-measured"));
    }

    private double unionHalfWidth() {
        return Math.hypot(section.settlingHalfWidth(), READING);
    }

    private Limit leastUnion() {
        return TABLE.limit("union-low", section.unionMin(), FINE_LENGTH, Limit.Side.AT_LEAST);
    }

    private Finding unionLow() {
        return about(UNION_LOW)
                .remedies(List.of(enterTree()))
                .judge(Measured.of(section.unionAtLast(), unionHalfWidth(), FINE_LENGTH), leastUnion());
    }

    private Finding unionBelowMulch() {
        List<Remedy> remedies = new ArrayList<>();
        if (section.mulchDepth() > TABLE.value("thin-mulch")) {
            remedies.add(way(PlantingWays.MULCH, "thin", "remedy.thin"));
        }
        remedies.add(enterTree());
        return about(UNION_BELOW_MULCH)
                .with("union", fine(section.unionAtLast()))
                .with("mulch", fine(section.mulchDepth()))
                .remedies(remedies)
                .judge(
                        Measured.of(section.unionAtLast() - section.mulchDepth(), unionHalfWidth(), FINE_LENGTH),
                        TABLE.atLeast("union-below-mulch", FINE_LENGTH));
    }

    /** Empty for what one person may lift. */
    private Optional<Finding> lift() {
        Measured weight = Measured.exactly(section.setting().tree().weight(), MASS);
        Limit most = TABLE.atMost("lift", MASS);
        return Standing.of(weight, most) == Standing.SOUND
                ? Optional.empty()
                : Optional.of(about(LIFT)
                        .with("who", section.lift().words())
                        .remedies(List.of(enterTree()))
                        .judge(weight, most));
    }

    /**
     * A tree that is in the ground: against what was planned, and against the limits of flare and union.
     *
     * @param measured union above the board on the day, m
     */
    public static List<Finding> asPlanted(String id, String label, PlantingSection section, double measured) {
        return new PlantingRules(id, label, section).asPlanted(measured);
    }

    private List<Finding> asPlanted(double measured) {
        double planned = section.unionToday();
        double off = measured - planned;
        double atLast = measured - section.settling().total();
        double union = section.setting().tree().union();
        List<Finding> findings = new ArrayList<>();
        findings.add(asPlanted(AS_PLANTED, measured, atLast)
                .with("off", fine(Math.abs(off)))
                .judge(Measured.exactly(off, FINE_LENGTH), TABLE.atLeast("as-planted", FINE_LENGTH)));
        // The flare counts as well: where it must not be buried the union stands its own height above it.
        findings.add(asPlanted(AS_PLANTED_HEIGHT, measured, atLast)
                .judge(
                        Measured.of(atLast, READING + section.settlingHalfWidth(), FINE_LENGTH),
                        TABLE.limit(
                                "as-planted-height",
                                Math.max(section.unionMin(), union),
                                FINE_LENGTH,
                                Limit.Side.AT_LEAST)));
        Finding proud = asPlanted(AS_PLANTED_PROUD, measured, atLast)
                .judge(Measured.exactly(off, FINE_LENGTH), TABLE.atMost("as-planted-proud", FINE_LENGTH));
        if (!proud.isSound()) {
            findings.add(proud);
        }
        return findings;
    }

    private Rule.Draft asPlanted(Rule rule, double measured, double atLast) {
        return about(rule)
                .with("today", fine(measured))
                .with("planned", fine(section.unionToday()))
                .with("union", fine(atLast))
                .with("flare", fine(atLast - section.setting().tree().union()))
                .remedies(List.of(
                        new PlantingRemedy.MeasureAgain(WORDS.say("remedy.measure-again", Map.of("tree", label)), id)));
    }

    private Remedy enterTree() {
        return new PlantingRemedy.EnterTree(WORDS.say("remedy.enter", Map.of("tree", label)), id);
    }

    private Remedy way(Way way, String school, String words) {
        return new Remedy.TakeWay(WORDS.say(words, Map.of()), way, school, Optional.of(id));
    }
}
