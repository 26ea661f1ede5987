package idlebough.core.daybook;

import static idlebough.core.judge.Amount.fine;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
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
    public static final String RULE = "daybook.union";
    private static final double READING = 0.005;
    private static final Source SOURCE =
            Source.practice("after a month or two measure the union again; disturbed soil settles 1 to 2.5 cm");

    /**
     * @param asPlanted union above the board measured on the day, m
     * @param section that the tree was planted to
     */
    public static UnionCheck of(
            PlantingSection section, LocalDate planted, double asPlanted, LocalDate day, double measured) {
        double weeks = ChronoUnit.DAYS.between(planted, day) / 7.0;
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
                .from(SOURCE);
    }

    /** Sank more than the soil explains: doubtful; below the stock's least: stop. */
    public Finding judge(String treeId, String label, double unionMin) {
        Standing least = Standing.of(measured, READING, unionMin, 0, Standing.Wanted.AT_LEAST);
        Standing forecast = measured >= low && measured <= high ? Standing.SOUND : Standing.DOUBTFUL;
        Standing standing = least.worse(forecast);
        Phrase headline = standing == Standing.SOUND
                ? Phrase.of("{} settles as reckoned.", label)
                : least == Standing.STOP
                        ? Phrase.of("The union of {} has sunk too low.", label)
                        : measured < low
                                ? Phrase.of("{} sank more than reckoned.", label)
                                : measured > high
                                        ? Phrase.of("{} stands higher than reckoned.", label)
                                        : Phrase.of("The union of {} is near its least height.", label);
        return new Finding(
                RULE,
                "tree:" + treeId,
                standing,
                headline,
                Phrase.of(
                        "Measured {} after {} weeks; between {} and {} was reckoned, at least {} is wanted. {}",
                        fine(measured),
                        Amount.count(weeks),
                        fine(low),
                        fine(high),
                        fine(unionMin),
                        least == Standing.SOUND
                                ? ""
                                : "Lift the tree in the next dormant season, and clear soil and mulch from the union now."),
                fine(measured),
                fine(unionMin),
                List.of(Remedy.of("daybook.measure", Phrase.of("Measure {} again", label), Map.of("tree", treeId))),
                SOURCE);
    }
}
