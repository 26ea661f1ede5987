package idlebough.core.site;

import static idlebough.core.measure.Quantity.COUNT;
import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.DOSE;
import static idlebough.core.measure.Quantity.DRAINAGE;
import static idlebough.core.measure.Quantity.PERCENT;
import static idlebough.core.measure.Quantity.SALINITY;
import static idlebough.core.measure.Quantity.SHORT_LENGTH;

import idlebough.core.crop.Crop;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Table;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVRecord;

/**
 * The findings of pits: does this soil let the water away fast enough for this crop, and are pH, salt and depth right.
 */
public final class SiteRules {
    public static final Rule DRAINAGE_RULE = Rule.of("site.drainage");
    public static final Rule PH_RULE = Rule.of("site.ph");
    public static final Rule NO_TEST_RULE = Rule.of("site.no-test");
    public static final Rule WATER_TABLE_RULE = Rule.of("site.water-table");
    public static final Rule WET_RULE = Rule.of("site.wet-ground");
    public static final Rule PAN_RULE = Rule.of("site.pan");
    public static final Rule SALT_RULE = Rule.of("site.salt");
    public static final Rule REPLANT_RULE = Rule.of("site.replant");
    private static final RuleTable TABLE = RuleTable.of("site");
    private static final Sentences WORDS = Sentences.of("site");
    private static final Map<String, CSVRecord> SALT = Table.rows("site/salt.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), row -> row));

    private SiteRules() {}

    /**
     * All that a pit says for the crops for which it speaks, each on the lowest footing on which its trees are set. What
     * is the same for all of them is said once, for the crop that it hits hardest: a missing test, water in the hole, wet
     * ground, the pan. How fast the water leaves is judged for each tree with its stock, in the room of the stocks.
     */
    public static List<Finding> judge(SoilPit pit, Map<Crop, Footing> crops) {
        List<Finding> found = new ArrayList<>();
        worst(crops, (crop, footing) -> tested(pit, crop, footing)).ifPresent(found::add);
        crops.keySet()
                .forEach(crop -> Stream.of(ph(pit, crop), salt(pit, crop), replant(pit, crop))
                        .flatMap(Optional::stream)
                        .forEach(found::add));
        worst(crops, (crop, footing) -> wetGround(pit, crop, footing)).ifPresent(found::add);
        worst(crops, (crop, footing) -> pan(pit, crop, footing)).ifPresent(found::add);
        return found;
    }

    private static Optional<Finding> worst(
            Map<Crop, Footing> crops, BiFunction<Crop, Footing, Optional<Finding>> rule) {
        return crops.entrySet().stream()
                .flatMap(each -> rule.apply(each.getKey(), each.getValue()).stream())
                .min(Comparator.comparing(Finding::standing)
                        .reversed()
                        .thenComparing(finding ->
                                finding.held().map(Finding.Held::margin).orElse(0.0)));
    }

    private static Rule.Draft about(Rule rule, SoilPit pit, Crop crop) {
        return rule.about(Subject.pit(pit.id()))
                .with("pit", pit.label())
                .with("crop", crop.withArticle())
                .with("Crop", capital(crop.withArticle()));
    }

    /** Is there a rate to judge by? Empty where there is one. */
    private static Optional<Finding> tested(SoilPit pit, Crop crop, Footing footing) {
        if (pit.test().filter(DrainageTest::waterEntered).isPresent()) {
            return Optional.of(about(WATER_TABLE_RULE, pit, crop)
                    .variant(footing.drained() ? "drained" : "")
                    .remedies(List.of(enterTest(pit)))
                    .stands(footing.drained() ? Standing.DOUBTFUL : Standing.STOP, TABLE.source("water-table")));
        }
        return pit.rate().isPresent()
                ? Optional.empty()
                : Optional.of(about(NO_TEST_RULE, pit, crop)
                        .with("limit", WantedDrainage.rate(crop).amount())
                        .remedies(List.of(enterTest(pit)))
                        .stands(Standing.DOUBTFUL, TABLE.source("no-test")));
    }

    /** Does the water get away fast enough here for this crop, on a stock as wet-hardy as itself? */
    public static Finding drainage(SoilPit pit, Crop crop) {
        return tested(pit, crop, Footing.GRADE)
                .orElseGet(() -> rated(pit, crop, pit.rate().orElseThrow()));
    }

    private static Finding rated(SoilPit pit, Crop crop, DrainageRate rate) {
        Limit wanted = WantedDrainage.rate(crop);
        Footing footing = WantedDrainage.footing(crop, pit.rate());
        List<Remedy> remedies = new ArrayList<>();
        if (footing != Footing.GRADE) {
            remedies.add(setOn(pit, crop, footing));
            remedies.add(whatToDo(pit, crop));
        }
        remedies.add(enterTest(pit));
        return about(DRAINAGE_RULE, pit, crop)
                .with("class", capital(rate.drainageClass().word()))
                .with("meaning", Phrase.of(rate.drainageClass().meaning()))
                .remedies(remedies)
                .judge(Measured.of(rate.normalisedMmPerHour(), rate.halfWidth(), DRAINAGE), wanted);
    }

    /** Does the ground stand in water within the crop's roots? Empty when neither mottles nor water were met. */
    public static Optional<Finding> wetGround(SoilPit pit, Crop crop, Footing on) {
        return pit.profile().wetFrom().map(wet -> wetGround(pit, crop, on, wet));
    }

    private static Finding wetGround(SoilPit pit, Crop crop, Footing on, double wet) {
        Measured measured = depth(wet + on.height());
        Limit wanted = WantedDrainage.dryDepth(crop);
        Footing footing = WantedDrainage.footing(crop, pit.rate(), wet);
        boolean water = pit.profile().waterAt().filter(at -> at == wet).isPresent();
        List<Remedy> remedies = new ArrayList<>();
        if (Standing.of(measured, wanted) != Standing.SOUND && footing.compareTo(on) > 0) {
            remedies.add(setOn(pit, crop, footing));
        }
        remedies.add(whatToDo(pit, crop));
        return about(WET_RULE, pit, crop)
                .variant((water ? "water" : "mottles") + (on.raised() ? ".raised" : ""))
                .with("down", Amount.of(wet, SHORT_LENGTH))
                .with("height", Amount.cm(on.height()))
                .remedies(remedies)
                .judge(measured, wanted);
    }

    /** Does a pan stop the roots? Empty when none was met. */
    public static Optional<Finding> pan(SoilPit pit, Crop crop, Footing on) {
        return pit.pan()
                .map(down -> about(PAN_RULE, pit, crop)
                        .variant(on.raised() ? "raised" : "")
                        .with("down", Amount.of(down, SHORT_LENGTH))
                        .with("height", Amount.cm(on.height()))
                        .remedies(List.of(whatToDo(pit, crop)))
                        .judge(depth(down + on.height()), TABLE.atLeast("pan", SHORT_LENGTH)));
    }

    private static Measured depth(double metres) {
        return Measured.of(metres, TABLE.value("depth-reading"), SHORT_LENGTH);
    }

    /**
     * Is the soil too salty? Empty when it was not measured or the crop's threshold is not known (Maas & Hoffman
     * 1977).
     */
    public static Optional<Finding> salt(SoilPit pit, Crop crop) {
        return Optional.ofNullable(SALT.get(crop.key()))
                .flatMap(row -> pit.analysis().inTime().map(salt -> salt(pit, crop, row, salt)));
    }

    private static Finding salt(SoilPit pit, Crop crop, CSVRecord row, double salt) {
        Certainty sure = Certainty.of(row.get("sure"));
        double threshold = Table.number(row, "a");
        double lost = Math.max(0, Table.number(row, "b") * (salt - threshold));
        return about(SALT_RULE, pit, crop)
                .variant(pit.analysis().byWater() ? "water" : "")
                .with("lost", Amount.of(Math.min(100, lost), PERCENT))
                .remedies(List.of(enterTest(pit)))
                .judge(
                        salinity(pit),
                        Limit.atMost(
                                threshold,
                                sure.halfWidth(threshold),
                                SALINITY,
                                Source.published("Maas & Hoffman 1977, J. Irrig. Drain. Div. ASCE 103:115", sure)));
    }

    /**
     * The salt that roots meet in the years; what water makes of a soil hangs on how much of it leaches, and is told
     * loosely.
     */
    public static Measured salinity(SoilPit pit) {
        double salt = pit.analysis().inTime().orElseThrow();
        double share = TABLE.value(pit.analysis().byWater() ? "concentration-reading" : "salt-reading");
        return Measured.of(salt, share * salt, SALINITY);
    }

    /** Did the same kind of fruit stand here? Empty when it did not, or what grew here is not known. */
    public static Optional<Finding> replant(SoilPit pit, Crop crop) {
        SoilPit.History before = pit.profile().before();
        if (before.kind().filter(crop.kind()::equals).isEmpty() || crop.kind() == Crop.Kind.OTHER) {
            return Optional.empty();
        }
        double years = before.yearsSince().orElse(0.0);
        long whole = Math.round(years);
        return Optional.of(about(REPLANT_RULE, pit, crop)
                .with("kind", crop.kind().word())
                .with("Kind", capital(crop.kind().word()))
                .with("years", "It is " + whole + (whole == 1 ? " year" : " years"))
                .with("trees", before.died() ? "trees that died" : "the old ones")
                .variant(before.yearsSince().isEmpty() ? "unknown" : "known")
                .remedies(List.of(enterTest(pit)))
                .judge(
                        Measured.of(years, TABLE.value("years-reading"), COUNT),
                        TABLE.atLeast(before.died() ? "replant.died" : "replant.old", COUNT)));
    }

    /** Is the pH within what the crop wants? Empty when it was not measured. */
    public static Optional<Finding> ph(SoilPit pit, Crop crop) {
        return pit.ph().map(ph -> ph(pit, crop, ph));
    }

    private static Finding ph(SoilPit pit, Crop crop, double ph) {
        boolean low = ph < (crop.phLow() + crop.phHigh()) / 2;
        double nearest = low ? crop.phLow() : crop.phHigh();
        Limit limit = TABLE.limit("ph", nearest, DECIMAL, low ? Limit.Side.AT_LEAST : Limit.Side.AT_MOST);
        Measured measured = Measured.of(ph, TABLE.value("ph-reading"), DECIMAL);
        Rule.Draft draft = about(PH_RULE, pit, crop)
                .with("side", low ? "acid" : "alkaline")
                .with("low", Amount.of(crop.phLow(), DECIMAL))
                .with("high", Amount.of(crop.phHigh(), DECIMAL))
                .remedies(List.of(enterTest(pit)));
        return Standing.of(measured, limit) == Standing.SOUND
                ? draft.judge(measured, limit)
                : draft.variant("amend")
                        .with("amend", amending(pit, ph, nearest))
                        .judge(measured, limit);
    }

    /** What to spread, how much and when. */
    private static Phrase amending(SoilPit pit, double ph, double wanted) {
        if (ph > wanted && pit.analysis().fizzes()) {
            return WORDS.say("ph.amend.fizzes", Map.of());
        }
        Amendment amendment = Amendment.of(pit.texture(), ph, wanted);
        return amendment
                .gramsPerSquareMetre()
                .map(grams -> WORDS.say(
                        amendment.kind() == Amendment.Kind.SULPHUR ? "ph.amend.sulphur" : "ph.amend.lime",
                        Map.of(
                                "dose",
                                Amount.of(grams, DOSE),
                                "kind",
                                amendment.kind().words(),
                                "months",
                                Amount.count(amendment.kind().monthsAhead()))))
                .orElseGet(() -> WORDS.say("ph.amend.beyond", Map.of()));
    }

    /** Sets the trees of a crop for which a pit speaks on a footing. */
    public static Remedy setOn(SoilPit pit, Crop crop, Footing footing) {
        Phrase label = WORDS.say(
                "remedy.mound",
                Map.of(
                        "crop", crop.withArticle(),
                        "footing", footing.words(),
                        "height", Amount.cm(footing.height())));
        return new SiteRemedy.SetOnFooting(label, pit.id(), crop.key(), footing);
    }

    /** Leads to all that can be done for a crop at a pit. */
    public static Remedy whatToDo(SoilPit pit, Crop crop) {
        return new SiteRemedy.SeeAnswers(WORDS.say("remedy.answers", Map.of()), pit.id(), crop.key());
    }

    private static Remedy enterTest(SoilPit pit) {
        return new SiteRemedy.EnterTest(WORDS.say("remedy.test", Map.of("pit", pit.label())), pit.id());
    }

    private static String capital(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
