package idlebough.core.site;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.DOSE;
import static idlebough.core.measure.Quantity.DRAINAGE;
import static idlebough.core.measure.Quantity.PERCENT;
import static idlebough.core.measure.Quantity.SALINITY;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Table;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;

/** The findings of this room: does this soil let the water away fast enough for this crop, and is its pH right. */
public final class SiteRules {
    public static final String DRAINAGE_RULE = "site.drainage";
    public static final String PH_RULE = "site.ph";
    public static final String NO_TEST_RULE = "site.no-test";
    public static final String WATER_TABLE_RULE = "site.water-table";
    public static final String WET_RULE = "site.wet-ground";
    public static final String PAN_RULE = "site.pan";
    public static final String SALT_RULE = "site.salt";
    public static final String REPLANT_RULE = "site.replant";
    private static final double ROOTS_NEED = 0.6;
    private static final double REPLANT_YEARS = 5;
    private static final Map<String, CSVRecord> SALT = Table.rows("site/salt.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), row -> row));
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

    /** Depth of ground that does not stand in water which a crop wants, m (common practice, water.md 2.3). */
    public static double dryDepthWanted(Crop crop) {
        return crop.wetRank() >= 5 ? 1.2 : 0.9;
    }

    /**
     * All that a pit says for the crops for which it speaks. What is the same for all of them is said once: the pan, and
     * wet ground for the crop that stands it worst.
     */
    public static List<Finding> judge(SoilPit pit, Collection<Crop> crops) {
        List<Finding> found = new ArrayList<>();
        for (Crop crop : crops) {
            found.add(drainage(pit, crop));
            found.addAll(Stream.of(ph(pit, crop), salt(pit, crop), replant(pit, crop))
                    .filter(Objects::nonNull)
                    .toList());
        }
        crops.stream()
                .max(Comparator.comparingInt(Crop::wetRank))
                .ifPresent(worst -> found.addAll(Stream.of(wetGround(pit, worst), pan(pit, worst))
                        .filter(Objects::nonNull)
                        .toList()));
        return found;
    }

    /** Does the ground stand in water within the crop's roots? Null when neither mottles nor water were met. */
    public static Finding wetGround(SoilPit pit, Crop crop) {
        Double wet = pit.profile().wetFrom();
        if (wet == null) {
            return null;
        }
        double wanted = dryDepthWanted(crop);
        Standing standing = Standing.of(wet, 0.05, wanted, Certainty.FAIR.halfWidth(wanted), Standing.Wanted.AT_LEAST);
        Footing footing = footing(crop, pit.rate());
        for (Footing higher : Footing.values()) {
            footing = footing.height() < wanted - wet && higher.height() > footing.height() ? higher : footing;
        }
        List<Remedy> remedies = new ArrayList<>();
        if (standing != Standing.SOUND && footing != Footing.GRADE) {
            remedies.add(onFooting(pit, crop, footing));
        }
        remedies.add(whatToDo(pit, crop));
        boolean water =
                pit.profile().waterAt() != null && wet.equals(pit.profile().waterAt());
        return new Finding(
                WET_RULE,
                "pit:" + pit.id(),
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "The ground at pit {} is dry deep enough for {}."
                                : "The ground at pit {} stands in water too near the roots of {}.",
                        pit.label(),
                        crop.withArticle()),
                Phrase.of(
                        water
                                ? "Water stood {} down; {} of ground without it is wanted."
                                : "Grey mottles begin {} down, the mark of water that stands there for weeks; {} of ground without them is wanted.",
                        Amount.cm(wet),
                        Amount.cm(wanted)),
                Amount.cm(wet),
                Amount.cm(wanted),
                remedies,
                Source.practice("fruit trees 0.9 to 1 m, cherry, peach, apricot 1.2 m above mottles"));
    }

    /** Does a pan stop the roots? Null when none was met. */
    public static Finding pan(SoilPit pit, Crop crop) {
        if (pit.pan() == null) {
            return null;
        }
        Standing standing = Standing.of(
                pit.pan(), 0.05, ROOTS_NEED, Certainty.WEAK.halfWidth(ROOTS_NEED), Standing.Wanted.AT_LEAST);
        return new Finding(
                PAN_RULE,
                "pit:" + pit.id(),
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "The pan at pit {} lies deep enough for {}."
                                : "A pan stops the roots of {} at pit {}.",
                        standing == Standing.SOUND ? pit.label() : crop.withArticle(),
                        standing == Standing.SOUND ? crop.withArticle() : pit.label()),
                Phrase.of(
                        "It was met {} down; {} of open soil is wanted. Ripping takes 3 to 9 months and dry ground.",
                        Amount.cm(pit.pan()),
                        Amount.cm(ROOTS_NEED)),
                Amount.cm(pit.pan()),
                Amount.cm(ROOTS_NEED),
                List.of(whatToDo(pit, crop)),
                Source.practice("most feeding roots live in the top 45 cm; rip a pan 60 to 100 cm deep"));
    }

    /** Is the soil too salty? Null when it was not measured or the crop's threshold is not known. */
    public static Finding salt(SoilPit pit, Crop crop) {
        CSVRecord row = SALT.get(crop.key());
        Double salt = pit.profile().salt();
        if (salt == null || row == null) {
            return null;
        }
        double limit = Table.number(row, "a");
        Certainty sure = Certainty.of(row.get("sure"));
        Standing standing = Standing.of(
                salt, Certainty.FAIR.halfWidth(salt), limit, sure.halfWidth(limit), Standing.Wanted.AT_MOST);
        double lost = Math.max(0, Table.number(row, "b") * (salt - limit));
        return new Finding(
                SALT_RULE,
                "pit:" + pit.id(),
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "The salt at pit {} does {} no harm."
                                : "The soil at pit {} is salty for {}.",
                        pit.label(),
                        crop.withArticle()),
                Phrase.of(
                        "It conducts {}; from {} on the crop falls off, here by about {}. A tolerant stock and deep leaching come first.",
                        Amount.of(salt, SALINITY),
                        Amount.of(limit, SALINITY),
                        Amount.of(Math.min(100, lost), PERCENT)),
                Amount.of(salt, SALINITY),
                Amount.of(limit, SALINITY),
                List.of(testAgain(pit)),
                Source.published("Maas & Hoffman 1977", sure));
    }

    /** Did the same kind of fruit stand here? Null when it did not, or what grew here is not known. */
    public static Finding replant(SoilPit pit, Crop crop) {
        SoilPit.Profile seen = pit.profile();
        if (seen.before() != crop.kind() || seen.before() == Crop.Kind.OTHER) {
            return null;
        }
        double years = seen.yearsSince() == null ? 0 : seen.yearsSince();
        // How long the trouble lasts is poorly known, one year to nine; a death here takes away the doubt.
        double half = seen.died() ? Certainty.WEAK.halfWidth(REPLANT_YEARS) : REPLANT_YEARS - 1;
        Standing standing = Standing.of(years, 0.5, REPLANT_YEARS, half, Standing.Wanted.AT_LEAST);
        String kind = crop.kind().name().toLowerCase(Locale.ROOT);
        return new Finding(
                REPLANT_RULE,
                "pit:" + pit.id(),
                standing,
                Phrase.of(
                        standing == Standing.SOUND
                                ? "The {} fruit that stood at pit {} is long gone."
                                : "{} fruit after {} fruit at pit {}: replant trouble.",
                        standing == Standing.SOUND ? kind : capital(kind),
                        standing == Standing.SOUND ? pit.label() : kind,
                        pit.label()),
                Phrase.of(
                        "{} since {} were taken out; young trees of the same kind often stand still for {} or so. Plant between the old rows, change the soil of the hole, or take another kind and a strong stock.",
                        seen.yearsSince() == null
                                ? "It is not known how long it is"
                                : "It is " + Math.round(years) + (Math.round(years) == 1 ? " year" : " years"),
                        seen.died() ? "trees that died" : "the old ones",
                        "five years"),
                Amount.count(years),
                Amount.count(REPLANT_YEARS),
                List.of(testAgain(pit)),
                Source.practice("specific replant trouble: pome after pome, stone after stone, citrus after citrus"));
    }

    private static Remedy onFooting(SoilPit pit, Crop crop, Footing footing) {
        return Remedy.of(
                "plan.footing",
                Phrase.of("Put {} here {}, {} high", crop.withArticle(), footing.words(), Amount.cm(footing.height())),
                Map.of("pit", pit.id(), "crop", crop.key(), "footing", footing.name()));
    }

    private static Remedy whatToDo(SoilPit pit, Crop crop) {
        return Remedy.of(
                "site.answers", Phrase.of("See what can be done"), Map.of("pit", pit.id(), "crop", crop.key()));
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
            remedies.add(onFooting(pit, crop, footing));
            remedies.add(whatToDo(pit, crop));
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
                                adjusting(pit, limit)),
                Amount.of(pit.ph(), DECIMAL),
                Amount.of(limit, DECIMAL),
                List.of(testAgain(pit)),
                Source.practice("most temperate fruit and citrus pH 6 to 7"));
    }

    /** What to spread, how much and when; as words, since the amounts have units of their own. */
    private static Phrase adjusting(SoilPit pit, double wanted) {
        if (pit.ph() > wanted && pit.profile().fizzes()) {
            return Phrase.of(
                    "Vinegar fizzes here: free lime makes sulphur hopeless, so take a stock that stands lime.");
        }
        Amendment amendment = Amendment.of(pit.texture(), pit.ph(), wanted);
        if (amendment.gramsPerSquareMetre() == null) {
            return Phrase.of("That is beyond the tables; ask a laboratory for a buffer test.");
        }
        return Phrase.of(
                "{} of {} brings it there, worked in {} months ahead{}",
                Amount.of(amendment.gramsPerSquareMetre(), DOSE),
                amendment.kind().words(),
                Amount.count(amendment.kind().monthsAhead()),
                amendment.kind() == Amendment.Kind.SULPHUR ? "; hopeless where vinegar fizzes." : ".");
    }

    private static Remedy testAgain(SoilPit pit) {
        return Remedy.of("site.pit", Phrase.of("Enter a test of pit {}", pit.label()), Map.of("pit", pit.id()));
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
