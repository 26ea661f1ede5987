package idlebough.core.judge;

import java.util.List;
import java.util.Optional;

/**
 * One judgement. All judgement in the program comes out of this record.
 *
 * @param rule which leads to the class, the sentences and the test
 * @param subject what it is about
 * @param standing sound, doubtful or stop
 * @param headline what is the matter, one bold sentence
 * @param reason why, with the measured value and the limit, one sentence
 * @param held the value judged and what was wanted; empty where nothing could be measured
 * @param remedies what would put it right, at most three are shown
 * @param source of the rule
 */
public record Finding(
        Rule rule,
        Subject subject,
        Standing standing,
        Phrase headline,
        Phrase reason,
        Optional<Held> held,
        List<Remedy> remedies,
        Source source) {

    /** A value held against its limit. */
    public record Held(Measured measured, Limit limit) {
        /** The distance from the limit, in the base unit; positive on the good side. */
        public double margin() {
            return limit.side() == Limit.Side.AT_LEAST
                    ? measured.value() - limit.value()
                    : limit.value() - measured.value();
        }
    }

    public String room() {
        return rule.room();
    }

    public boolean isSound() {
        return standing == Standing.SOUND;
    }
}
