package idlebough.core.site;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.DRAINAGE;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The findings of this room: does this soil let the water away fast enough for this crop, and is its pH right. */
public final class SiteRules {
    public static final String DRAINAGE_RULE = "site.drainage";
    public static final String PH_RULE = "site.ph";
    public static final String NO_TEST_RULE = "site.no-test";
    public static final String WATER_TABLE_RULE = "site.water-table";
    private static final Source WET_FEET = Source.practice(
            "one inch an hour is safe; pear stands less, apple is in the middle (order: Rowe & Beardsell 1973)");

    private SiteRules() {}

    /** The rate a crop wants, mm/h, before its wet feet matter. */
    public static double wantedRate(Crop crop) {
        return crop.wetRank() <= 2 ? 12.7 : crop.wetRank() == 3 ? 19 : 25.4;
    }

    /**
     * What to set a tree on.
     *
     * @param rate of the pit that speaks for the place, null when not tested
     */
    public static Footing footing(Crop crop, DrainageRate rate) {
        if (rate == null || rate.normalisedMmPerHour() >= wantedRate(crop) - 1e-9) {
            return Footing.GRADE;
        }
        return switch (rate.drainageClass()) {
            case IMPERMEABLE -> Footing.TALL_MOUND;
            case VERY_SLOW -> crop.wetRank() <= 2 ? Footing.MOUND : Footing.TALL_MOUND;
            case SLOW -> crop.wetRank() <= 3 ? Footing.LOW_MOUND : Footing.MOUND;
            default -> Footing.GRADE;
        };
    }

    /** Does the water get away fast enough here for this crop? */
    public static Finding drainage(SoilPit pit, Crop crop) {
        String subject = "pit:" + pit.id();
        if (pit.test() != null && pit.test().waterEntered()) {
            return new Finding(
                    WATER_TABLE_RULE,
                    subject,
                    Standing.STOP,
                    Phrase.of("Water stands in pit {}.", pit.label()),
                    Phrase.of(
                            "Water came into the hole by itself, so the roots of {} would stand in it; there is no rate to judge.",
                            crop.withArticle()),
                    null,
                    null,
                    List.of(testAgain(pit)),
                    Source.practice("water entering the hole means a water table"));
        }
        DrainageRate rate = pit.rate();
        double wanted = wantedRate(crop);
        if (rate == null) {
            return new Finding(
                    NO_TEST_RULE,
                    subject,
                    Standing.DOUBTFUL,
                    Phrase.of("Pit {} has no drainage rate yet.", pit.label()),
                    Phrase.of(
                            "{} wants {}; only a test with two readings of a second filling will tell.",
                            capital(crop.withArticle()),
                            Amount.of(wanted, DRAINAGE)),
                    null,
                    Amount.of(wanted, DRAINAGE),
                    List.of(testAgain(pit)),
                    WET_FEET);
        }
        Standing standing = Standing.of(
                rate.normalisedMmPerHour(),
                rate.halfWidth(),
                wanted,
                Certainty.FAIR.halfWidth(wanted),
                Standing.Wanted.AT_LEAST);
        Footing footing = footing(crop, rate);
        List<Remedy> remedies = new ArrayList<>();
        if (footing != Footing.GRADE) {
            remedies.add(Remedy.of(
                    "plan.footing",
                    Phrase.of(
                            "Put {} here {}, {} high",
                            crop.withArticle(),
                            footing.words(),
                            Amount.cm(footing.height())),
                    Map.of("pit", pit.id(), "crop", crop.key(), "footing", footing.name())));
        }
        remedies.add(testAgain(pit));
        Phrase headline = standing == Standing.SOUND
                ? Phrase.of("The soil at pit {} lets the water away.", pit.label())
                : Phrase.of("Slow soil for {} at pit {}.", crop.withArticle(), pit.label());
        return new Finding(
                DRAINAGE_RULE,
                subject,
                standing,
                headline,
                Phrase.of(
                        "It drains {} in a 12-inch hole, give or take {}; {} is wanted. {}: {}.",
                        Amount.of(rate.normalisedMmPerHour(), DRAINAGE),
                        Amount.of(rate.halfWidth(), DRAINAGE),
                        Amount.of(wanted, DRAINAGE),
                        capital(rate.drainageClass().word()),
                        rate.drainageClass().meaning()),
                Amount.of(rate.normalisedMmPerHour(), DRAINAGE),
                Amount.of(wanted, DRAINAGE),
                remedies,
                WET_FEET);
    }

    /** Is the pH within what the crop wants? Null when it was not measured. */
    public static Finding ph(SoilPit pit, Crop crop) {
        if (pit.ph() == null) {
            return null;
        }
        boolean low = pit.ph() < (crop.phLow() + crop.phHigh()) / 2;
        double limit = low ? crop.phLow() : crop.phHigh();
        Standing standing =
                Standing.of(pit.ph(), 0.1, limit, 0.3, low ? Standing.Wanted.AT_LEAST : Standing.Wanted.AT_MOST);
        boolean inside = low ? pit.ph() >= limit : pit.ph() <= limit;
        return new Finding(
                PH_RULE,
                "pit:" + pit.id(),
                inside ? Standing.SOUND : standing,
                inside
                        ? Phrase.of("The pH at pit {} suits {}.", pit.label(), crop.withArticle())
                        : Phrase.of("Pit {} is {} for {}.", pit.label(), low ? "sour" : "limy", crop.withArticle()),
                inside
                        ? Phrase.of(
                                "pH {}; {} to {} is wanted.",
                                Amount.of(pit.ph(), DECIMAL),
                                Amount.of(crop.phLow(), DECIMAL),
                                Amount.of(crop.phHigh(), DECIMAL))
                        : Phrase.of(
                                "pH {}; {} to {} is wanted. {}",
                                Amount.of(pit.ph(), DECIMAL),
                                Amount.of(crop.phLow(), DECIMAL),
                                Amount.of(crop.phHigh(), DECIMAL),
                                low
                                        ? "Lime needs 3 to 6 months."
                                        : "Sulphur needs a year, and is hopeless where vinegar fizzes."),
                Amount.of(pit.ph(), DECIMAL),
                Amount.of(limit, DECIMAL),
                List.of(testAgain(pit)),
                Source.practice("most temperate fruit and citrus pH 6 to 7"));
    }

    private static Remedy testAgain(SoilPit pit) {
        return Remedy.of("site.pit", Phrase.of("Enter a test of pit {}", pit.label()), Map.of("pit", pit.id()));
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
