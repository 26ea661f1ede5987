package idlebough.core.variety;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.HOURS;
import static idlebough.core.measure.Quantity.PERCENT;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.crop.Variety;
import idlebough.core.crop.VarietyTypes;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Rule;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import idlebough.core.site.SiteRules;
import idlebough.core.site.SoilPit;
import idlebough.core.site.SunWanted;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.GrowingSeason;
import idlebough.core.winter.HeatFit;
import idlebough.core.winter.WinterLedger;
import idlebough.core.winter.WinterRemedy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVRecord;

/** The findings of this room: will this variety do here, by winter, spring, summer, sun and soil. */
public final class VarietyRules {
    public static final Rule CHILL = Rule.of("variety.chill");
    public static final Rule FROZEN = Rule.of("variety.frozen");
    public static final Rule RECORD = Rule.of("variety.record");
    public static final Rule COLD = Rule.of("variety.cold");
    public static final Rule FROST = Rule.of("variety.frost-at-bloom");
    public static final Rule SEASON = Rule.of("variety.season");
    public static final Rule HEAT = Rule.of("variety.heat");
    public static final Rule ILLS = Rule.of("variety.ills");
    public static final Rule SUN = Rule.of("variety.sun");
    public static final Rule DRAINAGE = Rule.of("variety.drainage");
    static final Rule PH = Rule.of("variety.ph");
    static final Rule SALT = Rule.of("variety.salt");
    private static final RuleTable TABLE = RuleTable.of("variety");
    private static final double PERCENT_OF_ONE = 100;
    /** From this grade on an ill matters; above it, it hurts badly. */
    private static final int HURTS = 2;

    /** More than half of the winters is never unknown: then the share says nothing at all. */
    private static final double MOST_UNKNOWN = 0.5;

    private static final Map<String, CSVRecord> SEASONS = Table.rows("variety/season.csv").stream()
            .collect(Collectors.toUnmodifiableMap(row -> row.get("crop"), row -> row));

    private VarietyRules() {}

    /** All of them, sound ones too; nothing is said of what is not known. */
    static List<Finding> judge(Variety variety, Evidence known) {
        List<Finding> found = new ArrayList<>();
        WinterLedger winters = known.winters();
        if (!winters.usable().isEmpty()) {
            if (variety.chillNeed() > 0) {
                found.add(chill(variety, winters));
            }
            found.add(cold(variety, winters));
        }
        known.springs().flatMap(springs -> frost(variety, springs)).ifPresent(found::add);
        known.growing().ifPresent(growing -> {
            boolean synthetic = winters.colder().isPresent();
            season(variety, growing, synthetic).ifPresent(found::add);
            heat(variety, growing, synthetic).ifPresent(found::add);
        });
        known.sun().ifPresent(sun -> found.add(sun(variety, sun)));
        SettingWarmth.judge(variety, known.hours()).ifPresent(found::add);
        ills(variety, known.air()).ifPresent(found::add);
        found.addAll(soil(variety, known.pits()));
        return List.copyOf(found);
    }

    /**
     * How often its chill is met; empty where winters are too few to say a share or so cold that a short sum says
     * nothing, or no chill is needed.
     */
    static Optional<ChillMatch> match(Variety variety, WinterLedger winters) {
        return counted(variety, winters)
                .filter(match ->
                        !freeze(winters) || share(variety, match, winters).isSound());
    }

    private static Optional<ChillMatch> counted(Variety variety, WinterLedger winters) {
        return variety.chillNeed() > 0 && winters.usable().size() >= TABLE.value("share-from")
                ? Optional.of(ChillMatch.of(variety.chillNeed(), winters.totals(variety.chillModel())))
                : Optional.empty();
    }

    /**
     * Whether the coldest month is frozen on the mean. Then the hours that count come in autumn and in the thaw, outside
     * of the months in which they are summed, and a short sum means a cold winter and not a warm one.
     */
    private static boolean freeze(WinterLedger winters) {
        return winters.coldestMonth() <= TABLE.value("frozen");
    }

    private static Finding chill(Variety variety, WinterLedger winters) {
        Finding counted = counted(variety, winters)
                .map(match -> share(variety, match, winters))
                .orElseGet(() -> record(variety, winters));
        return counted.isSound() || !freeze(winters)
                ? counted
                : FROZEN.about(Subject.variety(variety.key()))
                        .with("variety", variety.name())
                        .with("coldest", Amount.of(winters.coldestMonth(), TEMPERATURE))
                        .stands(Standing.SOUND, TABLE.source("frozen"));
    }

    private static Finding share(Variety variety, ChillMatch match, WinterLedger winters) {
        return CHILL.about(Subject.variety(variety.key()))
                .with("ofTen", Amount.count(match.ofTen()))
                .with("variety", variety.name())
                .with("need", Amount.count(variety.chillNeed()))
                .with("unit", variety.chillModel().unit())
                .with("certainty", variety.chillCertainty().word())
                .with("met", Amount.count(match.met()))
                .with("winters", Amount.count(match.winters()))
                .variant(match.share() >= TABLE.value("chill") ? "range" : "")
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
     * Too few winters for a share: only what is clear by a wide margin is said, and how many more are wanted.
     */
    private static Finding record(Variety variety, WinterLedger winters) {
        double[] totals = winters.totals(variety.chillModel());
        double mean = Arrays.stream(totals).average().orElseThrow();
        return RECORD.about(Subject.variety(variety.key()))
                .with("variety", variety.name())
                .with("winters", Amount.count(totals.length))
                .with("more", Amount.count(TABLE.value("full-statement") - totals.length))
                .with("from", Amount.count(TABLE.value("share-from")))
                .with("unit", variety.chillModel().unit())
                .remedies(List.of(
                        new WinterRemedy.LoadRecord(Sentences.of("variety").say("remedy.load", Map.of()))))
                .judge(
                        Measured.of(mean, TABLE.value("few-winters") * mean, DECIMAL),
                        Limit.atLeast(
                                variety.chillNeed(), variety.chill().halfWidth(), DECIMAL, variety.chillSource()));
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
        return COLD.about(Subject.variety(variety.key()))
                .with("variety", variety.name())
                .with("winters", Amount.count(winters.usable().size()))
                .with("crop", variety.crop().withArticle())
                .remedies(warmer(variety))
                .judge(
                        Measured.of(coldest, reading, TEMPERATURE),
                        TABLE.limit(
                                variety.crop().evergreen() ? "cold-evergreen" : "cold",
                                variety.coldCelsius(),
                                TEMPERATURE,
                                Limit.Side.AT_LEAST));
    }

    /** A pot where it can be kept in one, then others. */
    private static List<Remedy> warmer(Variety variety) {
        List<Remedy> remedies = new ArrayList<>();
        Pot.of(variety.crop())
                .ifPresent(pot -> remedies.add(new VarietyRemedy.GrowInPot(
                        Sentences.of("variety").say("remedy.pot", Map.of()), variety.key())));
        remedies.add(seeOthers("remedy.hardier", variety));
        return remedies;
    }

    /** In how many springs frost takes half of the blossom. Empty where springs or critical temperatures are too few. */
    private static Optional<Finding> frost(Variety variety, VarietySprings springs) {
        int n = springs.frosts().size();
        if (n < TABLE.value("share-from")) {
            return Optional.empty();
        }
        long hit = springs.hit(VarietySprings.FELT);
        boolean own =
                springs.fit().map(fit -> fit.dates().size() >= HeatFit.ENOUGH).orElse(false);
        double shift = TABLE.value(own ? "bloom-shift.own" : "bloom-shift");
        long earlier = springs.hitShifted(1 - shift);
        long later = springs.hitShifted(1 + shift);
        // Wilson's interval of the share, and what another mean date of bloom would change.
        double[] flags = new double[n];
        Arrays.fill(flags, 0, (int) hit, 1);
        ChillMatch sample = ChillMatch.of(1, flags);
        double band = (sample.high() - sample.low()) / 2 + (double) Math.abs(earlier - later) / n / 2;
        return Optional.of(FROST.about(Subject.variety(variety.key()))
                .with("variety", variety.name())
                .with("tree", variety.name())
                .with("hit", Amount.count(hit))
                .with("springs", Amount.count(n))
                .with("ofTen", Amount.count(10.0 * hit / n))
                .remedies(List.of(
                        new VarietyRemedy.SeeSprings(
                                Sentences.of("variety").say("remedy.springs", Map.of()), variety.key()),
                        seeOthers("remedy.later", variety)))
                .judge(
                        Measured.of(
                                PERCENT_OF_ONE * hit / n,
                                hit == 0 ? 0 : PERCENT_OF_ONE * Math.min(band, MOST_UNKNOWN),
                                PERCENT),
                        TABLE.limit(
                                "frost-at-bloom",
                                PERCENT_OF_ONE * TABLE.value("frost-at-bloom"),
                                PERCENT,
                                Limit.Side.AT_MOST)));
    }

    /** Is the season between the frosts long enough for it to ripen? Empty where the crop's range is not known. */
    private static Optional<Finding> season(Variety variety, GrowingSeason growing, boolean synthetic) {
        return Optional.ofNullable(SEASONS.get(variety.crop().key()))
                .filter(row -> !row.get("days_low").isEmpty())
                .map(row -> SEASON.about(Subject.variety(variety.key()))
                        .with("variety", variety.name())
                        .with("frost", Amount.of(GrowingSeason.KILLING, TEMPERATURE))
                        .remedies(List.of(seeOthers("remedy.earlier", variety)))
                        .judge(
                                Measured.of(
                                        growing.days(),
                                        TABLE.value("days-reading") * (synthetic ? 2 : 1),
                                        Quantity.DAYS),
                                TABLE.limit("season", wantedDays(variety, row), Quantity.DAYS, Limit.Side.AT_LEAST)));
    }

    /** The crop's days between frosts, read by the month in which the variety ripens. */
    static double wantedDays(Variety variety, CSVRecord row) {
        double low = Table.number(row, "days_low");
        double high = Table.number(row, "days_high");
        double first = Table.number(row, "ripe_first");
        double last = Table.number(row, "ripe_last");
        double month = variety.habit().ripeNorth().getValue();
        return last == first
                ? (low + high) / 2
                : low + (high - low) * Math.max(0, Math.min(1, (month - first) / (last - first)));
    }

    /** Is the summer warm enough for it to ripen well? Empty where the crop's want is not known. */
    private static Optional<Finding> heat(Variety variety, GrowingSeason growing, boolean synthetic) {
        return Optional.ofNullable(SEASONS.get(variety.crop().key()))
                .map(row -> HEAT.about(Subject.variety(variety.key()))
                        .with("variety", variety.name())
                        .with("crop", variety.crop().withArticle())
                        .remedies(List.of(seeOthers("remedy.cooler", variety)))
                        .judge(
                                Measured.of(
                                        growing.warmest(),
                                        TABLE.value("screen") + (synthetic ? WinterLedger.MEANS_KELVIN : 0),
                                        TEMPERATURE),
                                TABLE.limit("heat", Table.number(row, "warmest"), TEMPERATURE, Limit.Side.AT_LEAST)));
    }

    /** The ill that this air feeds most, of those that hurt it; empty where the record tells nothing of them. */
    private static Optional<Finding> ills(Variety variety, Evidence.Air air) {
        return variety.ills().entrySet().stream()
                .filter(ill -> ill.getValue() >= HURTS)
                .flatMap(ill -> ill(variety, ill.getKey(), ill.getValue(), air).stream())
                .min(Comparator.comparing((Finding finding) -> finding.isSound()));
    }

    private static Optional<Finding> ill(Variety variety, String key, int grade, Evidence.Air air) {
        VarietyTypes.Ill ill = VarietyTypes.ill(key).orElseThrow();
        boolean spring = ill.weather() == VarietyTypes.Weather.WET_SPRING;
        Optional<Double> told = switch (ill.weather()) {
            case WET_SPRING -> air.rainySpring().map(share -> share * PERCENT_OF_ONE);
            case HUMID_SUMMER -> air.humidSummer();
            case NONE -> Optional.empty();
        };
        String limit = (spring ? "rain." : "humid.") + grade;
        return told.map(value -> ILLS.about(Subject.variety(variety.key()))
                .with("variety", variety.name())
                .with("ill", ill.words())
                .with("grade", grade > HURTS ? "badly" : "somewhat")
                .variant(spring ? "" : "humid")
                .remedies(List.of(seeOthers("remedy.tougher", variety)))
                .judge(
                        Measured.of(value, TABLE.value("air-reading"), PERCENT),
                        TABLE.atMost(limit, PERCENT).neverStop()));
    }

    private static Finding sun(Variety variety, Evidence.Sun sun) {
        SunWanted wanted = SunWanted.of(variety, Optional.of(sun.afternoon()));
        return SUN.about(Subject.variety(variety.key()))
                .variant(wanted.variant())
                .with("after", Amount.of(sun.afternoon(), HOURS))
                .with("variety", variety.name())
                .with("crop", variety.crop().withArticle())
                .judge(Measured.of(sun.hours(), sun.halfWidth(), HOURS), wanted.limit());
    }

    /** What the pit that suits it best says of its crop, said of the variety. */
    private static List<Finding> soil(Variety variety, List<SoilPit> pits) {
        List<Finding> found = new ArrayList<>();
        // A pit that was not tested says nothing, and hides nothing either.
        pits.stream()
                .map(pit -> SiteRules.drainage(pit, variety.crop()))
                .filter(finding -> finding.held().isPresent())
                .min(Comparator.comparing(Finding::standing))
                .ifPresent(best -> found.add(about(variety, best)));
        pits.stream()
                .flatMap(pit -> SiteRules.ph(pit, variety.crop()).stream())
                .min(Comparator.comparing(Finding::standing))
                .ifPresent(best -> found.add(about(variety, best)));
        pits.stream()
                .flatMap(pit -> SiteRules.salt(pit, variety.crop()).stream())
                .min(Comparator.comparing(Finding::standing))
                .ifPresent(best -> found.add(about(variety, best)));
        return found;
    }

    private static Finding about(Variety variety, Finding found) {
        return new Finding(
                Rule.of("variety." + found.rule().id().substring(found.room().length() + 1)),
                Subject.variety(variety.key()),
                found.standing(),
                found.said(),
                found.held(),
                found.remedies(),
                found.source(),
                Optional.empty());
    }

    static VarietyRemedy seeOthers(String label, Variety variety) {
        return new VarietyRemedy.SeeOthers(
                Sentences.of("variety").say(label, Map.of("crop", variety.crop().plural())),
                variety.crop().key());
    }
}
