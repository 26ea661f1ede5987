package idlebough.core.site;

import static idlebough.core.measure.Quantity.HOURS;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** The findings of places on the plan: sun, cold air, and ground for which no pit speaks. */
public final class GroundRules {
    public static final String SUN_RULE = "site.sun";
    public static final String COLD_RULE = "site.cold-pocket";
    public static final String NO_PIT_RULE = "site.pit-missing";

    /** Crops whose blossom opens before the frosts are over (common practice). */
    private static final Set<String> EARLY = Set.of("almond", "apricot", "peach", "japanese-plum");

    private static final double EARLY_STANDS = 0.3;
    private static final double OTHERS_STAND = 1.0;

    private GroundRules() {}

    /**
     * Does a place get the sun that a crop wants?
     *
     * @param subject what the finding is about, as in {@link Finding}
     * @param label what stands there, in words
     */
    public static Finding sun(String subject, String label, Crop crop, SunHours hours) {
        double wanted = crop.sunHours();
        double got = hours.season();
        Standing standing =
                Standing.of(got, hours.halfWidth(), wanted, Certainty.SURE.halfWidth(wanted), Standing.Wanted.AT_LEAST);
        return new Finding(
                SUN_RULE,
                subject,
                standing,
                Phrase.of(
                        standing == Standing.SOUND ? "{} gets the sun it wants." : "{} stands in too much shade.",
                        label),
                Phrase.of(
                        "{} of direct sun a day while in leaf, give or take {}; {} wants {}.",
                        Amount.of(got, HOURS),
                        Amount.of(hours.halfWidth(), HOURS),
                        crop.withArticle(),
                        Amount.of(wanted, HOURS)),
                Amount.of(got, HOURS),
                Amount.of(wanted, HOURS),
                List.of(Remedy.of("site.layer", Phrase.of("See where the sun is"), Map.of("layer", "sun"))),
                Source.practice("pome and stone fruit 6 to 8 h or more, citrus 8 h, figs half a day"));
    }

    /** Does cold air stand where a tree stands? Null where it runs off. */
    public static Finding cold(String subject, String label, Crop crop, Point place, ColdAir cold) {
        double depth = cold.depthAt(place);
        if (depth <= ColdAir.LEAST) {
            return null;
        }
        boolean early = EARLY.contains(crop.key());
        double limit = early ? EARLY_STANDS : OTHERS_STAND;
        Standing standing = Standing.of(
                depth,
                Certainty.WEAK.halfWidth(depth),
                limit,
                Certainty.WEAK.halfWidth(limit),
                Standing.Wanted.AT_MOST);
        return new Finding(
                COLD_RULE,
                subject,
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "{} stands at the rim of a frost pocket."
                                : "{} stands in a frost pocket.",
                        label),
                Phrase.of(
                        "On still nights cold air can stand {} deep here; {} blooms {} and puts up with about {}.",
                        Amount.cm(depth),
                        crop.withArticle(),
                        early ? "early" : "late enough",
                        Amount.cm(limit)),
                Amount.cm(depth),
                Amount.cm(limit),
                List.of(Remedy.of("site.layer", Phrase.of("See the cold air and its gap"), Map.of("layer", "cold"))),
                Source.practice("a frost pocket rules out early bloomers; gaps of 2 to 3 m let the cold out"));
    }

    /** Is there ground so far from every pit that none speaks for it? */
    public static Finding pits(PitZones zones) {
        if (zones.furthest() == null) {
            return null;
        }
        Standing standing = Standing.of(
                zones.distance(),
                0.5,
                PitZones.REACH,
                Certainty.WEAK.halfWidth(PitZones.REACH),
                Standing.Wanted.AT_MOST);
        return new Finding(
                NO_PIT_RULE,
                "site",
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "The pits speak for all of the ground."
                                : "No pit speaks for part of the ground."),
                Phrase.of(
                        "The furthest place is {} from its nearest pit; soil changes within {} or so.",
                        Amount.metres(zones.distance()),
                        Amount.metres(PitZones.REACH)),
                Amount.metres(zones.distance()),
                Amount.metres(PitZones.REACH),
                List.of(Remedy.of(
                        "site.dig",
                        Phrase.of("Dig a pit there"),
                        Map.of(
                                "x",
                                        String.format(
                                                Locale.ROOT,
                                                "%.1f",
                                                zones.furthest().x()),
                                "y",
                                        String.format(
                                                Locale.ROOT,
                                                "%.1f",
                                                zones.furthest().y())))),
                Source.ownChoice("three holes to a block; a pit speaks for about 40 m"));
    }
}
