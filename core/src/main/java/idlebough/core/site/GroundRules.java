package idlebough.core.site;

import static idlebough.core.measure.Quantity.HOURS;
import static idlebough.core.measure.Quantity.LENGTH;
import static idlebough.core.measure.Quantity.SHORT_LENGTH;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Subject;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** The findings of places on the plan: sun, cold air, and ground for which no pit speaks. */
public final class GroundRules {
    public static final Rule SUN_RULE = Rule.of("site.sun");
    public static final Rule COLD_RULE = Rule.of("site.cold-pocket");
    public static final Rule NO_PIT_RULE = Rule.of("site.pit-missing");
    private static final RuleTable TABLE = RuleTable.of("site");
    private static final Sentences WORDS = Sentences.of("site");
    /** Crops whose blossom opens before the frosts are over (common practice). */
    private static final Set<String> EARLY = Set.of("almond", "apricot", "peach", "japanese-plum");

    private GroundRules() {}

    /**
     * Does a place get the sun that a crop wants?
     *
     * @param tree its name in words
     */
    public static Finding sun(Subject subject, String tree, Variety variety, SunHours hours) {
        Crop crop = variety.crop();
        SunWanted wanted = SunWanted.of(variety, Optional.of(hours.afternoon()));
        return SUN_RULE.about(subject)
                .variant(wanted.variant())
                .with("variety", variety.name())
                .with("after", Amount.of(hours.afternoon(), HOURS))
                .with("tree", tree)
                .with("crop", crop.withArticle())
                .together(crop.key())
                .remedies(List.of(seeLayer(SiteRemedy.Layer.SUN)))
                .judge(Measured.of(hours.season(), hours.halfWidth(), HOURS), wanted.limit());
    }

    /** Does cold air stand where a tree stands? Empty where it runs off. */
    public static Optional<Finding> cold(Subject subject, String tree, Crop crop, Point place, ColdAir cold) {
        double depth = cold.depthAt(place);
        if (depth <= ColdAir.LEAST) {
            return Optional.empty();
        }
        String bloom = EARLY.contains(crop.key()) ? "early" : "others";
        return Optional.of(COLD_RULE
                .about(subject)
                .with("tree", tree)
                .with("crop", crop.withArticle())
                .variant(bloom)
                .together(crop.key())
                .remedies(List.of(seeLayer(SiteRemedy.Layer.COLD)))
                .judge(
                        Measured.of(depth, TABLE.value("cold-depth-share") * depth, SHORT_LENGTH),
                        TABLE.atMost("cold-pocket." + bloom, SHORT_LENGTH)));
    }

    /** Is there ground so far from every pit that none speaks for it? Empty without pits. */
    public static Optional<Finding> pits(PitZones zones) {
        return zones.furthest()
                .map(place -> NO_PIT_RULE
                        .about(Subject.ORCHARD)
                        .remedies(List.of(new SiteRemedy.DigPit(WORDS.say("remedy.dig", Map.of()), place)))
                        .judge(
                                Measured.of(zones.distance(), TABLE.value("place-reading"), LENGTH),
                                TABLE.atMost("pit-reach", LENGTH)));
    }

    /** Leads to the plan with a layer over it. */
    public static SiteRemedy seeLayer(SiteRemedy.Layer layer) {
        return new SiteRemedy.SeeLayer(WORDS.say("remedy.layer." + layer.key(), Map.of()), layer);
    }
}
