package idlebough.core.variety;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
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
import idlebough.core.measure.Quantity;
import idlebough.core.site.SiteRules;
import idlebough.core.site.SoilPit;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.WinterLedger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Will this variety do here? One finding for each of chill, cold, and the soil of the best pit.
 *
 * @param match empty without winters, or for an evergreen
 * @param findings every one, sound ones too
 */
public record VarietyVerdict(Variety variety, Optional<ChillMatch> match, List<Finding> findings) {
    public static final Rule CHILL_RULE = Rule.of("variety.chill");
    public static final Rule COLD_RULE = Rule.of("variety.cold");
    public static final Rule DRAINAGE_RULE = Rule.of("variety.drainage");
    private static final RuleTable TABLE = RuleTable.of("variety");
    private static final double PERCENT_OF_ONE = 100;
    /** More than half of the winters is never unknown: then the share says nothing at all. */
    private static final double MOST_UNKNOWN = 0.5;

    /**
     * @param pits of the site, may be empty; the variety is judged by the one that suits it best, since it may be
     * planted there
     */
    public static VarietyVerdict of(Variety known, WinterLedger winters, List<SoilPit> pits) {
        // A need known only in hours is a grade less sure in mild places, where hours mislead (project choice).
        boolean hours = known.chillModel() == ChillModel.HOURS || known.chillModel() == ChillModel.HOURS_BELOW;
        Variety variety = hours && winters.isMild() && !known.overridden() ? known.lessSure() : known;
        List<Finding> findings = new ArrayList<>();
        ChillMatch match = null;
        if (!winters.usable().isEmpty()) {
            if (variety.chillNeed() > 0) {
                match = ChillMatch.of(variety.chillNeed(), winters.totals(variety.chillModel()));
                findings.add(chill(variety, match, winters));
            }
            findings.add(cold(variety, winters));
        }
        pits.stream()
                .map(pit -> SiteRules.drainage(pit, variety.crop()))
                .min((a, b) -> a.standing().compareTo(b.standing()))
                .filter(best -> best.held().isPresent())
                .ifPresent(best -> findings.add(about(variety, best)));
        pits.stream()
                .flatMap(pit -> SiteRules.ph(pit, variety.crop()).stream())
                .min((a, b) -> a.standing().compareTo(b.standing()))
                .ifPresent(best -> findings.add(about(variety, best)));
        return new VarietyVerdict(variety, Optional.ofNullable(match), List.copyOf(findings));
    }

    /** What a pit says of a crop, said of the variety that is judged by it. */
    private static Finding about(Variety variety, Finding found) {
        return new Finding(
                Rule.of("variety." + found.rule().id().substring(found.room().length() + 1)),
                Subject.variety(variety.key()),
                found.standing(),
                found.headline(),
                found.reason(),
                found.held(),
                found.remedies(),
                found.source());
    }

    private static Finding chill(Variety variety, ChillMatch match, WinterLedger winters) {
        return CHILL_RULE
                .about(Subject.variety(variety.key()))
                .with("ofTen", Amount.count(match.ofTen()))
                .with("variety", variety.name())
                .with("need", Amount.count(variety.chillNeed()))
                .with("unit", variety.chillModel().unit())
                .with("certainty", variety.chillCertainty().word())
                .with("met", Amount.count(match.met()))
                .with("winters", Amount.count(match.winters()))
                .remedies(List.of(seeOthers("remedy.less-chill", variety)))
                .judge(
                        Measured.of(
                                match.share() * PERCENT_OF_ONE,
                                shareHalfWidth(variety, match, winters) * PERCENT_OF_ONE,
                                Quantity.PERCENT),
                        new Limit(
                                TABLE.value("chill") * PERCENT_OF_ONE,
                                0,
                                Quantity.PERCENT,
                                Limit.Side.AT_LEAST,
                                Limit.Temper.STRICT,
                                variety.chillSource()));
    }

    /**
     * What is not known of the share of winters that satisfy a need: the need's own uncertainty carried into winters,
     * the
     * shortness of the record, and for synthetic winters a degree by which they may be off as a whole.
     *
     * <p>A share of 1 cannot be told apart from 0.9 by a short record alone; when the need at its highest is met every
     * time, it can, and nothing is unknown.
     */
    private static double shareHalfWidth(Variety variety, ChillMatch match, WinterLedger winters) {
        double need = variety.chillNeed();
        double half = variety.chillCertainty().halfWidth(need);
        double[] totals = winters.totals(variety.chillModel());
        boolean met = share(need + half, totals) == 1
                && winters.warmer()
                        .map(warmer -> share(need + half, warmer.totals(variety.chillModel())) == 1)
                        .orElse(true);
        if (met) {
            return 0;
        }
        double byNeed = (share(need - half, totals) - share(need + half, totals)) / 2;
        double bySample = (match.high() - match.low()) / 2;
        double byMeans = winters.colder().isEmpty()
                ? 0
                : Math.abs(share(need, winters.colder().orElseThrow().totals(variety.chillModel()))
                                - share(need, winters.warmer().orElseThrow().totals(variety.chillModel())))
                        / 2;
        return Math.min(byNeed + bySample + byMeans, MOST_UNKNOWN);
    }

    private static double share(double need, double[] totals) {
        return ChillMatch.of(need, totals).share();
    }

    private static Finding cold(Variety variety, WinterLedger winters) {
        double coldest = Arrays.stream(winters.lowest()).min().orElseThrow();
        double reading = TABLE.value("screen") + (winters.colder().isEmpty() ? 0 : WinterLedger.MEANS_KELVIN);
        return COLD_RULE
                .about(Subject.variety(variety.key()))
                .with("variety", variety.name())
                .with("winters", Amount.count(winters.usable().size()))
                .with("crop", variety.crop().withArticle())
                .remedies(List.of(seeOthers("remedy.hardier", variety)))
                .judge(
                        Measured.of(coldest, reading, TEMPERATURE),
                        TABLE.limit("cold", variety.coldCelsius(), TEMPERATURE, Limit.Side.AT_LEAST));
    }

    private static VarietyRemedy seeOthers(String label, Variety variety) {
        return new VarietyRemedy.SeeOthers(
                Sentences.of("variety").say(label, Map.of("crop", variety.crop().name())),
                variety.crop().key());
    }

    public Standing standing() {
        return findings.stream().map(Finding::standing).reduce(Standing.SOUND, Standing::worse);
    }

    /** For ranking: worst standing first counts against, then the share of winters. */
    public double rank() {
        return standing().ordinal() * 10 - match.map(ChillMatch::share).orElse(1.0);
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
