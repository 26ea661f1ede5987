package idlebough.core.judge;

import java.util.List;

/**
 * One judgement. All judgement in the program comes out of this record.
 *
 * @param rule stable id, {@code room.what}, which leads to the class and the test
 * @param subject what it is about: {@code tree:ID}, {@code pit:ID}, {@code choice:ID} or a room's name
 * @param standing sound, doubtful or stop
 * @param headline what is the matter, one bold sentence
 * @param reason why, with the measured value and the limit, one sentence
 * @param measured the value judged, may be null where nothing could be measured
 * @param limit what was wanted, may be null
 * @param remedies what would put it right, at most three are shown
 * @param source of the rule
 */
public record Finding(
        String rule,
        String subject,
        Standing standing,
        Phrase headline,
        Phrase reason,
        Amount measured,
        Amount limit,
        List<Remedy> remedies,
        Source source) {

    /** The distance from the limit, in the base unit; null when either is missing. */
    public Double margin() {
        return measured == null || limit == null || measured.value() == null || limit.value() == null
                ? null
                : measured.value() - limit.value();
    }

    public String room() {
        return rule.substring(0, rule.indexOf('.'));
    }

    public boolean isSound() {
        return standing == Standing.SOUND;
    }
}
