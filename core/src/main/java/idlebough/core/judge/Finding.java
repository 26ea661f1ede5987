package idlebough.core.judge;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * One judgement. All judgement in the program comes out of this record.
 *
 * @param rule which leads to the class, the sentences and the test
 * @param subject what it is about
 * @param standing sound, doubtful or stop
 * @param said in words
 * @param held the value judged and what was wanted; empty where nothing could be measured
 * @param remedies what would put it right, at most three are shown
 * @param source of the rule
 * @param together what makes it one line with others; empty where it always stands alone
 */
public record Finding(
        Rule rule,
        Subject subject,
        Standing standing,
        Said said,
        Optional<Held> held,
        List<Remedy> remedies,
        Source source,
        Optional<Together> together) {

    /**
     * @param headline what is the matter, one bold sentence
     * @param reason why, with the measured value and the limit, one sentence
     */
    public record Said(Phrase headline, Phrase reason) {}

    /** A value held against its limit. */
    public record Held(Measured measured, Limit limit) {
        /** The distance from the limit, in the base unit; positive on the good side. */
        public double margin() {
            return limit.side() == Limit.Side.AT_LEAST
                    ? measured.value() - limit.value()
                    : limit.value() - measured.value();
        }
    }

    public Phrase headline() {
        return said.headline();
    }

    public Phrase reason() {
        return said.reason();
    }

    public String room() {
        return rule.room();
    }

    public boolean isSound() {
        return standing == Standing.SOUND;
    }

    /**
     * Several that belong together as one: all are named in the headline, and the reason is that of the worst of them.
     *
     * @param same at least one, all with the same {@link Together#key}
     */
    static Finding line(List<Finding> same) {
        Finding worst = same.stream()
                .min(Comparator.comparingDouble(
                        finding -> finding.held().map(Held::margin).orElse(0.0)))
                .orElseThrow();
        if (same.size() == 1) {
            return worst;
        }
        Together of = worst.together.orElseThrow();
        List<String> names = same.stream()
                .map(finding -> finding.together.orElseThrow().name())
                .toList();
        return new Finding(
                worst.rule,
                worst.subject,
                worst.standing,
                new Said(
                        of.headline(worst.room(), names),
                        worst.held.isPresent() ? Phrase.of("{}: {}", of.name(), worst.reason()) : worst.reason()),
                worst.held,
                worst.remedies,
                worst.source,
                worst.together);
    }
}
