package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.fine;
import static idlebough.core.measure.Quantity.DAYS;
import static idlebough.core.measure.Quantity.FINE_LENGTH;
import static idlebough.core.measure.Quantity.HOURS;
import static idlebough.core.measure.Quantity.MASS;
import static idlebough.core.measure.Quantity.PERCENT;
import static idlebough.core.measure.Quantity.RAIN;
import static idlebough.core.measure.Quantity.SCORE;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.crop.Arrival;
import idlebough.core.crop.NurseryTree;
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
import idlebough.core.judge.Way;
import idlebough.core.winter.SoilWarmth;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The findings of this room: will flare and union stand right after settling, and who lifts the tree. */
public final class PlantingRules {
    public static final Rule FLARE_BURIED = Rule.of("planting.flare-buried");
    public static final Rule FLARE_HIGH = Rule.of("planting.flare-high");
    public static final Rule UNION_LOW = Rule.of("planting.union-low");
    public static final Rule UNION_BELOW_MULCH = Rule.of("planting.union-below-mulch");
    public static final Rule UNION_NOT_MEASURED = Rule.of("planting.union-not-measured");
    public static final Rule LIFT = Rule.of("planting.lift");
    public static final Rule UNION_HIGH = Rule.of("planting.union-high");
    public static final Rule FLARE_DEEP = Rule.of("planting.flare-deep");
    public static final Rule FLARE_LEVEL = Rule.of("planting.flare-level");
    public static final Rule RICH_FILL = Rule.of("planting.rich-fill");
    public static final Rule BARE_ROOT_SEASON = Rule.of("planting.bare-root-season");
    public static final Rule SLOPE = Rule.of("planting.slope-fall");
    public static final Rule AS_PLANTED = Rule.of("planting.as-planted");
    public static final Rule AS_PLANTED_HEIGHT = Rule.of("planting.as-planted-height");
    public static final Rule AS_PLANTED_PROUD = Rule.of("planting.as-planted-proud");
    public static final Rule BELOW = Rule.of("planting.below");
    public static final Rule BATHTUB = Rule.of("planting.bathtub");
    public static final Rule V_SHAPE = Rule.of("planting.v-shape");
    public static final Rule NARROW = Rule.of("planting.narrow");
    public static final Rule ORGANIC_BELOW = Rule.of("planting.organic-below");
    public static final Rule SOD_UNDER = Rule.of("planting.sod-under");
    public static final Rule BASIN_WET = Rule.of("planting.basin-wet");
    public static final Rule WALLS = Rule.of("planting.walls");
    public static final Rule MESH_WIDE = Rule.of("planting.mesh-wide");
    public static final Rule ROOTS_BOUND = Rule.of("planting.roots-bound");
    public static final Rule DELIVERY = Rule.of("planting.delivery");
    public static final Rule FLARE_IN_POT = Rule.of("planting.flare-in-pot");
    public static final Rule WAITS = Rule.of("planting.waits");
    public static final Rule SEASON = Rule.of("planting.season");
    public static final Rule SOIL_WARM = Rule.of("planting.soil-warm");
    public static final Rule FROST_AHEAD = Rule.of("planting.frost-ahead");
    public static final Rule FILLED = Rule.of("planting.filled");
    public static final Rule STAKE_BALL = Rule.of("planting.stake-ball");
    public static final Rule MULCH_STEM = Rule.of("planting.mulch-stem");
    public static final Rule MULCH_THICK = Rule.of("planting.mulch-thick");
    private static final RuleTable TABLE = RuleTable.of("planting");
    /** A cloudburst, mm. */
    private static final double CLOUDBURST = 100;

    private static final String UNTOUCHED = "untouched";
    private static final Sentences WORDS = Sentences.of("planting");
    /** How well a stick across the hole is read, m. */
    private static final double READING = TABLE.value("reading");

    private final String id;
    private final String label;
    private final PlantingSection section;

    private PlantingRules(String id, String label, PlantingSection section) {
        this.id = id;
        this.label = label;
        this.section = section;
    }

    /**
     * A tree that has still to be planted.
     *
     * @param id of the tree
     * @param label as it stands on the peg
     */
    public static List<Finding> judge(String id, String label, PlantingSection section) {
        PlantingRules rules = new PlantingRules(id, label, section);
        List<Finding> findings = new ArrayList<>();
        findings.add(rules.flareLow());
        rules.flareHigh().ifPresent(findings::add);
        if (section.hasUnion()) {
            if (section.setting().tree().unionAboveFlare().isEmpty()) {
                findings.add(rules.unionNotMeasured());
            }
            findings.add(rules.unionLow());
            rules.unionHigh().ifPresent(findings::add);
            if (!section.clearOfMulch()) {
                findings.add(rules.unionBelowMulch());
            }
        }
        rules.richFill().ifPresent(findings::add);
        rules.hole(findings);
        rules.filled().ifPresent(findings::add);
        rules.beside(findings);
        rules.roots().ifPresent(findings::add);
        rules.slope().ifPresent(findings::add);
        rules.lift().ifPresent(findings::add);
        return findings;
    }

    /**
     * Is a bare-root tree planted while it is dormant?
     *
     * @param day of the planting
     */
    public static Finding season(String id, String label, Dormancy dormancy, LocalDate day) {
        return season(id, label, dormancy, day, List.of());
    }

    private static Finding season(String id, String label, Dormancy dormancy, LocalDate day, List<Remedy> better) {
        List<Remedy> remedies = new ArrayList<>(better);
        remedies.add(new PlantingRemedy.ChooseDate(WORDS.say("remedy.date", Map.of())));
        long outside = dormancy.outside(day);
        LocalDate begins = dormancy.leafFall().atYear(day.getYear());
        LocalDate ends = dormancy.budBreak().atYear(day.getYear());
        return BARE_ROOT_SEASON
                .about(Subject.tree(id))
                .with("tree", label)
                .with("outside", Amount.of((double) Math.max(0, outside), DAYS))
                .with("begins", dayAndMonth(begins))
                .with("ends", dayAndMonth(ends))
                .together(dormancy.budBreak().toString())
                .remedies(remedies)
                .judge(Measured.exactly(outside, DAYS), TABLE.atMost("bare-root-season", DAYS));
    }

    /**
     * Does the planting day suit the tree?
     *
     * @param dormancy of a bare-root tree; empty for others
     * @param day of the planting
     */
    public static List<Finding> season(
            String id, String label, PlantingSeason season, Optional<Dormancy> dormancy, LocalDate day) {
        List<Remedy> better = season
                .next(day)
                .filter(next -> !next.equals(day))
                .map(next -> (Remedy) new PlantingRemedy.SetDate(
                        WORDS.say("remedy.set-date", Map.of("day", dayAndMonth(next))), next))
                .stream()
                .toList();
        if (dormancy.isPresent()) {
            return List.of(season(id, label, dormancy.get(), day, better));
        }
        List<Finding> found = new ArrayList<>();
        found.add(inSeason(
                id,
                label,
                season.kind(),
                season.outside(day),
                season.next(day).map(PlantingRules::dayAndMonth).orElse("no day of the year"),
                better));
        season.soil(day)
                .ifPresent(soil -> soilWarm(id, label, season.kind(), soil, season.soilWanted(), better)
                        .ifPresent(found::add));
        frostAhead(id, label, season.kind(), season.frostAhead(day), better).ifPresent(found::add);
        return found;
    }

    /** @param outside days to the nearest day that suits it, @param next when the next good fortnight begins */
    public static Finding inSeason(
            String id, String label, PlantingSeason.Kind kind, long outside, String next, List<Remedy> better) {
        return SEASON.about(Subject.tree(id))
                .with("tree", label)
                .with("kind", kind.words())
                .with("next", next)
                .together(kind.words())
                .remedies(better)
                .judge(Measured.exactly(outside, DAYS), TABLE.atMost("season", DAYS));
    }

    /**
     * Empty where the soil is warm enough: that is no news.
     *
     * @param soil and wanted: °C
     */
    public static Optional<Finding> soilWarm(
            String id, String label, PlantingSeason.Kind kind, double soil, double wanted, List<Remedy> better) {
        return SOIL_WARM
                .about(Subject.tree(id))
                .with("tree", label)
                .with("kind", kind.words())
                .together(kind.words())
                .remedies(better)
                .unlessSound(
                        Measured.of(soil, SoilWarmth.KNOWN_TO, TEMPERATURE),
                        TABLE.limit("soil-warm", wanted, TEMPERATURE, Limit.Side.AT_LEAST));
    }

    /** Empty where no frost lies ahead. @param days for which one spring in ten still has one */
    public static Optional<Finding> frostAhead(
            String id, String label, PlantingSeason.Kind kind, long days, List<Remedy> better) {
        return days == 0
                ? Optional.empty()
                : Optional.of(FROST_AHEAD
                        .about(Subject.tree(id))
                        .with("tree", label)
                        .together(kind.words())
                        .remedies(better)
                        .judge(Measured.exactly(days, DAYS), TABLE.atMost("frost-ahead", DAYS)));
    }

    /**
     * What was seen of a tree when it came, and how long it waits.
     *
     * @param day of the planting
     */
    public static List<Finding> arrival(String id, String label, NurseryTree tree, LocalDate day) {
        List<Finding> found = new ArrayList<>();
        List<Remedy> look = List.of(new PlantingRemedy.LookAgain(WORDS.say("remedy.look", Map.of("tree", label)), id));
        Delivery delivery = Delivery.of(tree);
        if (delivery.verdict() != Delivery.Verdict.ACCEPT) {
            Delivery.Fault gravest = delivery.faults().get(0);
            found.add(DELIVERY.about(Subject.tree(id))
                    .with("tree", label)
                    .with("what", gravest.what())
                    .with("mend", gravest.mend())
                    .together(gravest.what().pattern())
                    .remedies(look)
                    .stands(
                            delivery.verdict() == Delivery.Verdict.REFUSE ? Standing.STOP : Standing.DOUBTFUL,
                            TABLE.source("delivery")));
        }
        tree.arrival()
                .flareDepth()
                .flatMap(depth -> FLARE_IN_POT
                        .about(Subject.tree(id))
                        .with("tree", label)
                        .remedies(look)
                        .unlessSound(
                                Measured.of(depth, READING, FINE_LENGTH), TABLE.atMost("flare-in-pot", FINE_LENGTH)))
                .ifPresent(found::add);
        Delivery.outOfGround(tree, day)
                .flatMap(days -> WAITS.about(Subject.tree(id))
                        .with("tree", label)
                        .remedies(look)
                        .unlessSound(Measured.exactly(days, DAYS), TABLE.atMost(Delivery.waits(tree), DAYS)))
                .ifPresent(found::add);
        return found;
    }

    /** What the hole itself does; only what is not sound. */
    private void hole(List<Finding> findings) {
        PlantingSection.Setting setting = section.setting();
        boolean wet = setting.soil().slow() && !setting.footing().raised();
        boolean heavy = setting.texture().traits().heavy() || setting.soil().slow();
        Measured below = Measured.of(section.below(), READING, FINE_LENGTH);
        List<Remedy> shallower = setting.ground().hole().dug()
                ? List.of(takeHole())
                : List.of(way(PlantingWays.PIT, "fitted", "remedy.fitted"));
        if (wet) {
            about(BATHTUB)
                    .with("rain", Amount.of(CLOUDBURST, RAIN))
                    .with("holds", Amount.litres(section.bathtub(CLOUDBURST)))
                    .with(
                            "hours",
                            section.emptyAfter(CLOUDBURST)
                                    .map(hours -> WORDS.say("bathtub.hours", Map.of("hours", Amount.of(hours, HOURS))))
                                    .orElse(WORDS.say("bathtub.untested", Map.of())))
                    .remedies(shallower)
                    .unlessSound(below, TABLE.atMost("bathtub", FINE_LENGTH))
                    .ifPresent(findings::add);
        } else {
            about(BELOW)
                    .with("sinks", fine(section.settling().fill()))
                    .remedies(shallower)
                    .unlessSound(below, TABLE.atMost("below", FINE_LENGTH))
                    .ifPresent(findings::add);
        }
        setting.ground()
                .hole()
                .bottom()
                .ifPresent(bottom -> about(V_SHAPE)
                        .with("bottom", cm(bottom))
                        .with("ball", cm(setting.tree().ballDiameter()))
                        .remedies(List.of(takeHole()))
                        .unlessSound(
                                Measured.of(bottom - setting.tree().ballDiameter(), READING, FINE_LENGTH),
                                TABLE.atLeast("v-shape", FINE_LENGTH))
                        .ifPresent(findings::add));
        about(NARROW)
                .with("width", cm(section.width()))
                .with("ball", cm(setting.tree().ballDiameter()))
                .remedies(List.of(
                        setting.ground().hole().width().isPresent()
                                ? takeHole()
                                : way(PlantingWays.WIDTH, "double", "remedy.double")))
                .unlessSound(
                        Measured.exactly(section.width() / setting.tree().ballDiameter(), SCORE),
                        TABLE.atLeast("narrow", SCORE))
                .ifPresent(findings::add);
        about(ORGANIC_BELOW)
                .remedies(List.of(way(PlantingWays.MIX, "native", "remedy.native")))
                .unlessSound(
                        Measured.exactly(section.settling().organic(), FINE_LENGTH),
                        TABLE.atMost("organic-below", FINE_LENGTH))
                .ifPresent(findings::add);
        if (wet && setting.school(PlantingWays.SOD).key().equals("under")) {
            findings.add(doubt(SOD_UNDER, way(PlantingWays.SOD, "away", "remedy.sod"), "sod-under"));
        }
        if (wet && section.basin().isPresent()) {
            findings.add(doubt(BASIN_WET, way(PlantingWays.BASIN, "fit", "remedy.basin"), "basin-wet"));
        }
        String tool = setting.school(PlantingWays.TOOL).key();
        if (heavy && (tool.equals("auger") || tool.equals("digger"))) {
            findings.add(doubt(WALLS, way(PlantingWays.TOOL, "fork", "remedy.fork"), "walls"));
        }
        if (section.meshOpening() > 0) {
            about(MESH_WIDE)
                    .remedies(List.of(way(PlantingWays.MESH, "fine", "remedy.mesh")))
                    .unlessSound(
                            Measured.exactly(section.meshOpening(), FINE_LENGTH),
                            TABLE.atMost("mesh-wide", FINE_LENGTH))
                    .ifPresent(findings::add);
        }
    }

    /** Does what goes in make a bucket, or starve the roots? Empty where the ways are followed. */
    private Optional<Finding> filled() {
        PlantingSection.Setting setting = section.setting();
        boolean wet = setting.soil().slow() && !setting.footing().raised();
        boolean heavy = wet || setting.texture().traits().heavy();
        Standing grave = heavy ? Standing.STOP : Standing.DOUBTFUL;
        return switch (setting.ground().hole().filled()) {
            case BY_THE_WAYS -> Optional.empty();
            case SAND -> setting.texture().traits().group().equals("sand") ? Optional.empty() : filled("sand", grave);
            case GRAVEL -> filled("gravel", grave);
            // In slow soil the share of compost is judged for itself.
            case COMPOST -> wet ? Optional.empty() : filled("compost", grave);
            case UPSIDE_DOWN -> filled("upside-down", Standing.DOUBTFUL);
        };
    }

    private Optional<Finding> filled(String what, Standing standing) {
        return Optional.of(
                about(FILLED).variant(what).remedies(List.of(takeHole())).stands(standing, TABLE.source("filled")));
    }

    /** What stands and lies beside it; only what is not sound. */
    private void beside(List<Finding> findings) {
        section.stake()
                .flatMap(stake -> stake.outside(section.setting()))
                .flatMap(outside -> about(STAKE_BALL)
                        .remedies(List.of(way(PlantingWays.STAKE_PLACE, "beside", "remedy.stake-beside")))
                        .unlessSound(
                                Measured.of(outside, READING, FINE_LENGTH), TABLE.atLeast("stake-ball", FINE_LENGTH)))
                .ifPresent(findings::add);
        about(MULCH_STEM)
                .remedies(List.of(takeHole()))
                .unlessSound(
                        Measured.exactly(section.mulchClear(), FINE_LENGTH), TABLE.atLeast("mulch-stem", FINE_LENGTH))
                .ifPresent(findings::add);
        if (section.mulchInWind()) {
            about(MULCH_THICK)
                    .remedies(List.of(way(PlantingWays.MULCH, "fit", "remedy.mulch-fit")))
                    .unlessSound(
                            Measured.exactly(section.mulchDepth(), FINE_LENGTH),
                            TABLE.atMost("mulch-thick", FINE_LENGTH))
                    .ifPresent(findings::add);
        }
    }

    private Finding doubt(Rule rule, Remedy remedy, String row) {
        return about(rule).remedies(List.of(remedy)).stands(Standing.DOUBTFUL, TABLE.source(row));
    }

    /** Is a mat of roots left to go on circling, or a ball opened that must not be touched? */
    private Optional<Finding> roots() {
        PlantingSection.Setting setting = section.setting();
        String school = setting.school(PlantingWays.ROOTS).key();
        if (section.endsLevel()) {
            return school.equals("bound") || school.equals(UNTOUCHED)
                    ? Optional.empty()
                    : Optional.of(about(ROOTS_BOUND)
                            .variant("clonal")
                            .remedies(List.of(way(PlantingWays.ROOTS, UNTOUCHED, "remedy.untouched")))
                            .stands(Standing.STOP, TABLE.source("roots-bound")));
        }
        Arrival.Roots roots = setting.tree().arrival().seen().roots();
        return !roots.bound() || !school.equals(UNTOUCHED)
                ? Optional.empty()
                : Optional.of(about(ROOTS_BOUND)
                        .with("roots", roots.words())
                        .remedies(List.of(way(PlantingWays.ROOTS, "bound", "remedy.open")))
                        .stands(
                                roots == Arrival.Roots.HEAVY ? Standing.STOP : Standing.DOUBTFUL,
                                TABLE.source("roots-bound")));
    }

    private static String dayAndMonth(LocalDate day) {
        return day.format(DateTimeFormatter.ofPattern("d MMMM", Locale.ENGLISH));
    }

    private Rule.Draft about(Rule rule) {
        return rule.about(Subject.tree(id)).with("tree", label);
    }

    private Finding flareLow() {
        if (section.setDeep() > 0) {
            return inTheEnd(FLARE_DEEP)
                    .judge(
                            section.flareInTheEnd(),
                            TABLE.limit("flare-deep", -section.setDeep(), FINE_LENGTH, Limit.Side.AT_MOST));
        }
        return inTheEnd(section.endsLevel() ? FLARE_LEVEL : FLARE_BURIED)
                .remedies(
                        section.setting().ground().hole().dug()
                                ? List.of(takeHole())
                                : section.loosened()
                                        ? List.of(way(PlantingWays.BASE, "firm", "remedy.firm"))
                                        : List.of())
                .judge(
                        section.flareInTheEnd(),
                        TABLE.atLeast(section.endsLevel() ? "flare-level.low" : "flare-buried", FINE_LENGTH));
    }

    /** With the words of where flare and union will end. */
    private Rule.Draft inTheEnd(Rule rule) {
        return about(rule)
                .with("flare", fine(section.flareAtLast()))
                .with("flareLow", fine(section.raise() - section.settlingHigh().total()))
                .with("flareHigh", fine(section.raise() - section.settlingLow().total()))
                .with("union", fine(section.unionAtLast()))
                .with(
                        "unionLow",
                        fine(section.unionToday() - section.settlingHigh().total()))
                .with(
                        "unionHigh",
                        fine(section.unionToday() - section.settlingLow().total()));
    }

    /** Empty where the flare is not too high: that is no news. */
    private Optional<Finding> flareHigh() {
        Limit most = mostFlare();
        Measured measured = section.flareInTheEnd();
        return inTheEnd(FLARE_HIGH)
                .variant(section.endsLevel() ? "level" : "")
                .with("above", fine(section.setting().tree().union()))
                .remedies(heights())
                .unlessSound(measured, most);
    }

    private Limit mostFlare() {
        boolean heavy = section.setting().texture().traits().heavy()
                || section.setting().soil().slow();
        return TABLE.atMost(
                section.endsLevel() ? "flare-level.high" : heavy ? "flare-high.heavy" : "flare-high.usual",
                FINE_LENGTH);
    }

    /** Empty where the union is not too high: that is no news. */
    private Optional<Finding> unionHigh() {
        Limit most = TABLE.atMost("union-high", FINE_LENGTH);
        return inTheEnd(UNION_HIGH).remedies(heights()).unlessSound(section.unionInTheEnd(), most);
    }

    /** Does what is filled in make a bucket of the hole? Empty where the water leaves, on a mound, or without compost. */
    private Optional<Finding> richFill() {
        if (!section.setting().soil().slow() || section.setting().footing().raised() || section.organicShare() == 0) {
            return Optional.empty();
        }
        return Optional.of(about(RICH_FILL)
                .remedies(List.of(way(PlantingWays.MIX, "native", "remedy.native")))
                .judge(
                        Measured.exactly(100 * section.organicShare(), PERCENT),
                        percent(TABLE.atMost("rich-fill", PERCENT))));
    }

    private static Limit percent(Limit share) {
        return new Limit(
                100 * share.value(), 100 * share.halfWidth(), PERCENT, share.side(), share.temper(), share.source());
    }

    /** Does the ground fall so far across the hole that one board does not tell both sides? Empty on level ground. */
    private Optional<Finding> slope() {
        Measured fall = Measured.of(section.fallAcross(), READING, FINE_LENGTH);
        Limit most = TABLE.atMost("slope-fall", FINE_LENGTH);
        return about(SLOPE).with("width", cm(section.width())).unlessSound(fall, most);
    }

    private Finding unionNotMeasured() {
        return about(UNION_NOT_MEASURED)
                .with("usual", fine(section.setting().tree().union()))
                .remedies(List.of(enterTree()))
                .stands(Standing.DOUBTFUL, TABLE.source("union-not-measured"));
    }

    private Finding unionLow() {
        return inTheEnd(UNION_LOW)
                .remedies(heights())
                .judge(
                        section.unionInTheEnd(),
                        TABLE.limit("union-low", section.unionMin(), FINE_LENGTH, Limit.Side.AT_LEAST));
    }

    private Finding unionBelowMulch() {
        List<Remedy> remedies = new ArrayList<>();
        remedies.add(
                section.setting().ground().hole().clear().isPresent()
                        ? takeHole()
                        : way(PlantingWays.RING, "usual", "remedy.ring"));
        if (section.mulchDepth() > TABLE.value("thin-mulch")) {
            remedies.add(way(PlantingWays.MULCH, "thin", "remedy.thin"));
        }
        Measured union = section.unionInTheEnd();
        return inTheEnd(UNION_BELOW_MULCH)
                .with("mulch", fine(section.mulchDepth()))
                .with("ring", cm(section.mulchClear()))
                .with("wide", cm(TABLE.value("wide-ring")))
                .remedies(remedies)
                .judge(
                        Measured.of(union.value() - section.mulchDepth(), union.halfWidth(), FINE_LENGTH),
                        TABLE.atLeast("union-below-mulch", FINE_LENGTH));
    }

    /** Empty for what one person may lift. */
    private Optional<Finding> lift() {
        Measured weight = Measured.exactly(section.setting().tree().weight(), MASS);
        Limit most = TABLE.atMost("lift", MASS);
        return about(LIFT)
                .with("who", section.lift().words())
                .remedies(List.of(enterTree()))
                .unlessSound(weight, most);
    }

    /**
     * A tree that is in the ground: against what was planned, and against the limits of flare and union.
     *
     * @param measured union above the board on the day, m
     */
    public static List<Finding> asPlanted(String id, String label, PlantingSection section, double measured) {
        return new PlantingRules(id, label, section).asPlanted(measured);
    }

    private List<Finding> asPlanted(double height) {
        PlantingRules ground = new PlantingRules(id, label, section.asMeasured(height));
        double off = ground.section.unionToday() - section.unionToday();
        double union = section.setting().tree().union();
        List<Finding> findings = new ArrayList<>();
        findings.add(ground.measured(AS_PLANTED, section)
                .with("off", fine(Math.abs(off)))
                .judge(Measured.exactly(off, FINE_LENGTH), TABLE.atLeast("as-planted", FINE_LENGTH)));
        if (section.hasUnion() && !section.endsLevel()) {
            // The flare counts as well: where it must not be buried the union stands its own height above it.
            findings.add(ground.measured(AS_PLANTED_HEIGHT, section)
                    .judge(
                            ground.section.unionInTheEnd(),
                            TABLE.limit(
                                    "as-planted-height",
                                    Math.max(section.unionMin(), union),
                                    FINE_LENGTH,
                                    Limit.Side.AT_LEAST)));
        } else {
            findings.add(ground.flareLow());
        }
        Finding proud = ground.measured(AS_PLANTED_PROUD, section)
                .with("off", fine(Math.abs(off)))
                .judge(ground.section.flareInTheEnd(), ground.mostFlare());
        // A tree that had to be planned so proud was judged for it then.
        if (!proud.isSound() && off > 0) {
            findings.add(proud);
        }
        return findings;
    }

    private Rule.Draft measured(Rule rule, PlantingSection planned) {
        return inTheEnd(rule)
                .with("today", fine(section.hasUnion() ? section.unionToday() : section.raise()))
                .with("planned", fine(planned.hasUnion() ? planned.unionToday() : planned.raise()))
                .remedies(List.of(
                        new PlantingRemedy.MeasureAgain(WORDS.say("remedy.measure-again", Map.of("tree", label)), id)));
    }

    private Remedy enterTree() {
        return new PlantingRemedy.EnterTree(WORDS.say("remedy.enter", Map.of("tree", label)), id);
    }

    private Remedy takeHole() {
        return new PlantingRemedy.TakeHole(WORDS.say("remedy.hole", Map.of()), id);
    }

    /** What mends a height: the hole that is proposed, where somebody set it otherwise, else a tree measured again. */
    private List<Remedy> heights() {
        return section.setting().ground().hole().raise().isPresent()
                ? List.of(takeHole(), enterTree())
                : List.of(enterTree());
    }

    private Remedy way(Way way, String school, String words) {
        return new Remedy.TakeWay(WORDS.say(words, Map.of()), way, school, Optional.of(id));
    }
}
