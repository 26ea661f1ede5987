package idlebough.core.variety;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.SiteRules;
import idlebough.core.site.SoilPit;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.ChillModel;
import idlebough.core.winter.WinterLedger;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;

/**
 * Will this variety do here? One finding for each of chill, cold, and the soil of the best pit.
 *
 * @param match null without winters, or for an evergreen
 * @param findings every one, sound ones too
 */
public record VarietyVerdict(Variety variety, ChillMatch match, List<Finding> findings) {
    public static final String CHILL_RULE = "variety.chill";
    public static final String COLD_RULE = "variety.cold";
    private static final double WANTED_SHARE = 0.9;

    /**
     * @param pits of the site, may be empty; the variety is judged by the one that suits it best, since it may be planted there
     */
    public static VarietyVerdict of(Variety known, WinterLedger winters, List<SoilPit> pits) {
        // A need known only in hours is a grade less sure in mild places, where hours mislead (winter.md 4).
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
                .filter(best -> best.measured() != null)
                .ifPresent(best -> findings.add(about(variety, best)));
        pits.stream()
                .map(pit -> SiteRules.ph(pit, variety.crop()))
                .filter(f -> f != null)
                .min((a, b) -> a.standing().compareTo(b.standing()))
                .ifPresent(best -> findings.add(about(variety, best)));
        return new VarietyVerdict(variety, match, List.copyOf(findings));
    }

    private static Finding about(Variety variety, Finding found) {
        return new Finding(
                "variety." + found.rule().substring(found.rule().indexOf('.') + 1),
                "variety:" + variety.key(),
                found.standing(),
                found.headline(),
                found.reason(),
                found.measured(),
                found.limit(),
                found.remedies(),
                found.source());
    }

    private static Finding chill(Variety variety, ChillMatch match, WinterLedger winters) {
        // The need's own uncertainty, carried into winters: the shares met by a need as much lower and higher as its
        // source allows.
        double[] totals = winters.totals(variety.chillModel());
        double half = variety.chillCertainty().halfWidth(variety.chillNeed());
        double byNeed = (ChillMatch.of(variety.chillNeed() - half, totals).share()
                        - ChillMatch.of(variety.chillNeed() + half, totals).share())
                / 2;
        double bySample = (match.high() - match.low()) / 2;
        // Made winters may be a degree off as a whole, and that moves all of them together.
        double byMeans = winters.colder() == null
                ? 0
                : Math.abs(ChillMatch.of(variety.chillNeed(), winters.colder().totals(variety.chillModel()))
                                        .share()
                                - ChillMatch.of(
                                                variety.chillNeed(),
                                                winters.warmer().totals(variety.chillModel()))
                                        .share())
                        / 2;
        // A share of 1 or 0 cannot be told apart from 0.9 by a short record alone; when the need at its highest is met
        // (or at its lowest fails) every time, it can.
        boolean clear = ChillMatch.of(variety.chillNeed() + half, totals).share() == 1
                && (winters.warmer() == null
                        || ChillMatch.of(
                                                variety.chillNeed() + half,
                                                winters.warmer().totals(variety.chillModel()))
                                        .share()
                                == 1);
        Standing standing = clear
                ? Standing.SOUND
                : Standing.of(
                        match.share(),
                        Math.min(byNeed + bySample + byMeans, 0.5),
                        WANTED_SHARE,
                        0,
                        Standing.Wanted.AT_LEAST);
        String unit = variety.chillModel().unit();
        return new Finding(
                CHILL_RULE,
                "variety:" + variety.key(),
                standing,
                standing == Standing.SOUND
                        ? Phrase.of("{} winters of ten are cold enough.", Amount.count(match.ofTen()))
                        : Phrase.of(
                                "{} winters of ten are cold enough for {}.",
                                Amount.count(match.ofTen()),
                                variety.name()),
                Phrase.of(
                        "It needs {} {} ({}); {} of {} winters here gave that. Nine of ten are wanted. Too little chill, and it leafs and blooms late, weakly and unevenly.",
                        Amount.count(variety.chillNeed()),
                        unit,
                        variety.chillCertainty().word(),
                        Amount.count(match.met()),
                        Amount.count(match.winters())),
                Amount.of(match.share() * 100, Quantity.PERCENT),
                Amount.of(WANTED_SHARE * 100, Quantity.PERCENT),
                List.of(Remedy.of(
                        "variety.like",
                        Phrase.of("Show {} that need less", variety.crop().name()),
                        Map.of("crop", variety.crop().key()))),
                variety.chillSource());
    }

    private static Finding cold(Variety variety, WinterLedger winters) {
        double coldest = Arrays.stream(winters.lowest()).min().orElseThrow();
        // Limits of hardened wood are told to a few degrees only: three kelvin of our own choice, one for the screen.
        Standing standing = Standing.of(
                coldest,
                winters.colder() == null ? 1 : 1 + WinterLedger.MEANS_KELVIN,
                variety.coldCelsius(),
                3,
                Standing.Wanted.AT_LEAST);
        return new Finding(
                COLD_RULE,
                "variety:" + variety.key(),
                standing,
                standing == Standing.SOUND
                        ? Phrase.of("It stands the cold here.")
                        : Phrase.of("The coldest night may kill {}.", variety.name()),
                Phrase.of(
                        "{} was the lowest in {} winters; wood of {} is usually safe to {}. Match the tree to the extreme, not the average.",
                        Amount.of(coldest, TEMPERATURE),
                        Amount.count(winters.usable().size()),
                        variety.crop().withArticle(),
                        Amount.of(variety.coldCelsius(), TEMPERATURE)),
                Amount.of(coldest, TEMPERATURE),
                Amount.of(variety.coldCelsius(), TEMPERATURE),
                List.of(Remedy.of(
                        "variety.like",
                        Phrase.of("Show hardier {}", variety.crop().name()),
                        Map.of("crop", variety.crop().key()))),
                Source.practice("usual deep-winter limits of hardened wood"));
    }

    public Standing standing() {
        return findings.stream().map(Finding::standing).reduce(Standing.SOUND, Standing::worse);
    }

    /** For ranking: worst standing first counts against, then the share of winters. */
    public double rank() {
        return standing().ordinal() * 10 - (match == null ? 1 : match.share());
    }

    /** How the share of winters comes about. */
    public Working working() {
        if (match == null) {
            return Working.of("Chill of {}", variety.name())
                    .step("An evergreen, or no winters known: no chill is reckoned.")
                    .from(variety.chillSource());
        }
        return Working.of("How {} of ten comes about", Amount.count(match.ofTen()))
                .step(
                        "{} needs {} {}",
                        variety.name(),
                        Amount.of(variety.chillNeed(), DECIMAL),
                        variety.chillModel().unit())
                .step(
                        "{} of {} whole winters reached it: {}",
                        Amount.count(match.met()),
                        Amount.count(match.winters()),
                        Amount.of(match.share() * 100, Quantity.PERCENT))
                .step(
                        "Wilson 90 % interval {} to {}",
                        Amount.of(match.low() * 100, Quantity.PERCENT), Amount.of(match.high() * 100, Quantity.PERCENT))
                .step(
                        "the need itself is {}: give or take {}",
                        variety.chillCertainty().word(),
                        Amount.of(variety.chillCertainty().halfWidth(variety.chillNeed()), DECIMAL))
                .sensitive("Most sensitive to the need, which is the least certain figure here.")
                .from(variety.chillSource());
    }

    /** The need's half-width, in the unit of the need. */
    public double needHalfWidth() {
        return (variety.overridden() ? Certainty.SURE : variety.chillCertainty()).halfWidth(variety.chillNeed());
    }
}
