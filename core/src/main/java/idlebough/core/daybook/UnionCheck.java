package idlebough.core.daybook;

import static idlebough.core.judge.Amount.fine;
import static idlebough.core.measure.Quantity.FINE_LENGTH;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Working;
import idlebough.core.planting.PlantingSection;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;

/**
 * A union measured again after planting, held against the settling forecast.
 *
 * @param weeks since planting
 * @param expected and its low and high, m above the board
 */
public record UnionCheck(double weeks, double measured, double expected, double low, double high) {
    public static final Rule UNION = Rule.of("daybook.union");
    public static final Rule FORECAST = Rule.of("daybook.forecast");
    private static final RuleTable TABLE = RuleTable.of("daybook");
    private static final double READING = TABLE.value("reading");
    private static final double DAYS_A_WEEK = 7;

    /**
     * @param asPlanted union above the board measured on the day, m
     * @param section that the tree was planted to
     */
    public static UnionCheck of(
            PlantingSection section, LocalDate planted, double asPlanted, LocalDate day, double measured) {
        double weeks = ChronoUnit.DAYS.between(planted, day) / DAYS_A_WEEK;
        return new UnionCheck(
                weeks,
                measured,
                asPlanted - section.settling().after(weeks),
                asPlanted - section.settlingHigh().after(weeks) - READING,
                asPlanted - section.settlingLow().after(weeks) + READING);
    }

    public Working working() {
        return Working.of("How {} to {} come about", fine(low), fine(high))
                .step(
                        "measured on the planting day, less what the soil of its pit lets it sink in {} weeks",
                        Amount.count(weeks))
                .step("expected {}, and half a centimetre either way for the reading", fine(expected))
                .sensitive("Most sensitive to the first measurement.")
                .from(TABLE.source("forecast"));
    }

    /**
     * Does the union stand high enough for its stock, and did it sink as far as the soil explains?
     *
     * @param unionMin what the stock wants, m
     */
    public List<Finding> judge(String tree, String label, double unionMin) {
        return List.of(union(tree, label, unionMin), forecast(tree, label));
    }

    private Rule.Draft about(Rule rule, String tree, String label) {
        return rule.about(Subject.tree(tree))
                .with("tree", label)
                .with("measured", fine(measured))
                .with("weeks", Amount.count(weeks))
                .remedies(List.of(new DaybookRemedy.MeasureUnion(
                        Sentences.of("daybook").say("remedy.measure-again", Map.of("tree", label)), tree)));
    }

    private Finding union(String tree, String label, double unionMin) {
        Measured value = Measured.of(measured, READING, FINE_LENGTH);
        Limit least = TABLE.limit("union", unionMin, FINE_LENGTH, Limit.Side.AT_LEAST);
        Rule.Draft draft = about(UNION, tree, label);
        return (Standing.of(value, least) == Standing.SOUND ? draft : draft.variant("lift")).judge(value, least);
    }

    private Finding forecast(String tree, String label) {
        double beyond = Math.max(low - measured, measured - high);
        Rule.Draft draft = about(FORECAST, tree, label).with("low", fine(low)).with("high", fine(high));
        return (measured > high ? draft.variant("higher") : draft)
                .judge(Measured.exactly(beyond, FINE_LENGTH), TABLE.atMost("forecast", FINE_LENGTH));
    }
}
