package idlebough.core.variety;

import static idlebough.core.measure.Quantity.DECIMAL;

import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.WinterLedger;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Will this variety do here? A finding for each thing that is known.
 *
 * @param match empty without winters enough, or for an evergreen
 * @param findings every one, sound ones too
 * @param judged whether winters are known, so that something sound may be called sound
 * @see VarietyRules
 */
public record VarietyVerdict(Variety variety, Optional<ChillMatch> match, List<Finding> findings, boolean judged) {
    private static final double PERCENT_OF_ONE = 100;
    private static final int RANKS = 10;
    private static final int NOT_JUDGED = 5;

    public static VarietyVerdict of(Variety known, Evidence evidence) {
        // A need known only in hours is a grade less sure in mild places, where hours mislead (project choice).
        boolean hours = known.chillModel() == ChillModel.HOURS || known.chillModel() == ChillModel.HOURS_BELOW;
        Variety variety = hours && evidence.winters().isMild() && !known.overridden() ? known.lessSure() : known;
        return new VarietyVerdict(
                variety,
                VarietyRules.match(variety, evidence.winters()),
                VarietyRules.judge(variety, evidence),
                !evidence.winters().usable().isEmpty());
    }

    /** As it would stand where slow soil does not matter: its place and stock judge that, or it stands on a mound. */
    public VarietyVerdict raised() {
        return new VarietyVerdict(
                variety,
                match,
                findings.stream()
                        .filter(finding -> !VarietyRules.DRAINAGE.equals(finding.rule()))
                        .toList(),
                judged);
    }

    /** The same in a pot that goes under cover. */
    VarietyVerdict in(Pot pot, WinterLedger winters) {
        List<Finding> left = new ArrayList<>(
                findings.stream().filter(finding -> !Pot.shelters(finding)).toList());
        pot.judge(variety, winters).ifPresent(left::add);
        return new VarietyVerdict(variety, match, List.copyOf(left), judged);
    }

    /** How the worst of them stands; empty, not judged, where no winter is known and nothing else speaks against it. */
    public Optional<Standing> standing() {
        Standing worst = findings.stream().map(Finding::standing).reduce(Standing.SOUND, Standing::worse);
        return worst == Standing.SOUND && !judged ? Optional.empty() : Optional.of(worst);
    }

    /** Its standing in words. */
    public String words() {
        return standing().map(Standing::word).orElse("not judged");
    }

    /** Its place among the standings: 0 sound, 1 not judged, 2 doubtful, 3 stopped. */
    public int step() {
        return standing()
                .map(worst -> worst == Standing.SOUND ? 0 : worst == Standing.DOUBTFUL ? 2 : 3)
                .orElse(1);
    }

    /** What speaks most against it; empty when nothing does. */
    public Optional<Finding> worst() {
        return findings.stream()
                .filter(finding -> !finding.isSound())
                .min(Comparator.comparing(
                        Finding::standing, Comparator.comparing(standing -> standing != Standing.STOP)));
    }

    /** For ranking: worst standing first counts against, then the share of winters. */
    public double rank() {
        return standing().map(s -> s.ordinal() * RANKS).orElse(NOT_JUDGED)
                - match.map(ChillMatch::share).orElse(1.0);
    }

    /** How the share of winters comes about. */
    public Working working() {
        return match.map(this::working)
                .orElseGet(() -> Working.of("Chill of {}", variety.name())
                        .step("An evergreen, or no winters known: no chill is counted.")
                        .from(variety.chillSource()));
    }

    private Working working(ChillMatch met) {
        return Working.of("How {} of ten comes about", Amount.count(met.ofTen()))
                .step(
                        "{} needs {} {}",
                        variety.name(),
                        Amount.of(variety.chillNeed(), DECIMAL),
                        variety.chillModel().unit())
                .step(
                        "{} of {} whole winters reached it: {}",
                        Amount.count(met.met()),
                        Amount.count(met.winters()),
                        Amount.of(met.share() * PERCENT_OF_ONE, Quantity.PERCENT))
                .step(
                        "Wilson 90 % interval {} to {}",
                        Amount.of(met.low() * PERCENT_OF_ONE, Quantity.PERCENT),
                        Amount.of(met.high() * PERCENT_OF_ONE, Quantity.PERCENT))
                .step(
                        "the need itself is {}: give or take {}",
                        variety.chillCertainty().word(),
                        Amount.of(variety.chillCertainty().halfWidth(variety.chillNeed()), DECIMAL))
                .sensitive("Most sensitive to the need, which is the least certain figure here.")
                .from(variety.chillSource());
    }

    /** The need's half-width, in the unit of the need. */
    public double needHalfWidth() {
        return variety.chill().halfWidth();
    }
}
