package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.fine;
import static idlebough.core.judge.Amount.litres;

import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Measured;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Solids;
import idlebough.core.site.Barrows;
import idlebough.core.site.Footing;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import java.util.Map;
import java.util.Optional;

/**
 * The cross-section of one planting, every height above the board: a straight board laid across the hole from
 * undisturbed ground to undisturbed ground (on a mound: its settled top).
 *
 * <p>Heights that the program chooses take the high reading of the settling, so that it does not doubt them afterwards;
 * clonal roots end level and take the middle of the two (project choice; common practice).
 *
 * @param raise flare above the board on the day, m
 * @param settling and its low and high reading
 * @param width of the hole, m
 * @param depth of the hole below the board, m
 * @param measured whether the height is what was measured in the ground, and not what is planned
 */
public record PlantingSection(
        Setting setting,
        double raise,
        Settling settling,
        Settling settlingLow,
        Settling settlingHigh,
        double width,
        double depth,
        boolean measured) {

    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double COMPOST_LOSS = TABLE.value("compost-loss");
    private static final double CONSOLIDATION = TABLE.value("consolidation");
    private static final double BARROW = 1000 * Barrows.BARROW;
    private static final double MULCH_RING = TABLE.value("mulch-ring");
    /** Heights are chosen to half a centimetre, m. */
    private static final double STEP = 0.005;

    private static final double READING = TABLE.value("reading");
    private static final double LEAST_UNION = TABLE.value("union-least");
    private static final double WIDE_RING = TABLE.value("wide-ring");
    private static final Source HEIGHT =
            Source.practice("flare level or slightly proud, never below; union clear above ground and mulch");
    private static final Source DIG =
            Source.published("width: Watson & Himelick 1997; depth = ball less raise", Certainty.SURE);
    private static final Source EARTH =
            Source.published("solid geometry; swell from earthwork handbooks", Certainty.FAIR);

    /**
     * @param stock empty while none is chosen
     * @param soil of the pit that speaks for the place
     * @param ways choice key by way key; what is missing is the usual one
     * @param stormWind bearing from which storms come, degrees; empty when not known
     */
    public record Setting(
            NurseryTree tree,
            Optional<Rootstock> stock,
            Soil soil,
            Footing footing,
            Map<String, String> ways,
            Optional<Double> stormWind,
            double latitude) {
        public Texture texture() {
            return soil.texture();
        }
    }

    /**
     * What the ground is, as far as heights and fill depend on it.
     *
     * @param slow whether the water stays in it: it drains slower than an inch an hour, or is heavy and was not tested
     * @param slope rise over run at the peg
     */
    public record Soil(Texture texture, boolean slow, double slope) {
        private static final double INCH_AN_HOUR = 25.4;

        /** Level ground of a texture that was not tested. */
        public static Soil untested(Texture texture) {
            return new Soil(texture, texture.traits().heavy(), 0);
        }

        public static Soil of(SoilPit pit, double slope) {
            boolean slow = pit.rate()
                    .map(rate -> rate.normalisedMmPerHour() < INCH_AN_HOUR - 1e-9)
                    .orElse(pit.texture().traits().heavy());
            return new Soil(pit.texture(), slow, slope);
        }
    }

    public static PlantingSection of(Setting setting) {
        Settling settling = settle(
                setting,
                setting.texture().traits().settle().usual(),
                setting.tree().form().sinks());
        Settling low = settle(
                setting,
                setting.texture().traits().settle().low(),
                setting.tree().form().sinksLow());
        Settling high = settle(
                setting,
                setting.texture().traits().settle().high(),
                setting.tree().form().sinksHigh());
        double raise = chosen(setting, low.total(), high.total());
        double width = PlantingWays.WIDTH
                        .choose(setting.ways().get(PlantingWays.WIDTH.key()))
                        .value()
                * setting.tree().ballDiameter();
        return new PlantingSection(
                setting,
                raise,
                settling,
                low,
                high,
                width,
                Math.max(TABLE.value("least-depth"), setting.tree().ballHeight() - raise),
                false);
    }

    /** The same hole with the tree as it was measured in it: the union, or the flare of an own-rooted tree, m. */
    public PlantingSection asMeasured(double height) {
        double found = hasUnion() ? height - setting.tree().union() : height;
        return new PlantingSection(setting, found, settling, settlingLow, settlingHigh, width, depth, true);
    }

    private static double chosen(Setting setting, double low, double high) {
        if (deep(setting) > 0) {
            return -deep(setting);
        }
        if (level(setting)) {
            return STEP * Math.rint((low + high) / 2 / STEP);
        }
        double needed =
                raiseNeeded(high, unionMin(setting) + READING, setting.tree().union());
        return Math.max(setting.texture().traits().proud().usual(), STEP * (Math.floor(needed / STEP + 1e-6) + 1));
    }

    private static double deep(Setting setting) {
        return setting.stock().map(stock -> stock.union().deep()).orElse(0.0);
    }

    /** How far below the ground its collar is set, m; 0 for what must never sink. */
    public double setDeep() {
        return deep(setting);
    }

    private static boolean level(Setting setting) {
        return setting.stock().map(stock -> stock.union().level()).orElse(false);
    }

    /** Whether its roots burn on show and its stem rots under soil, so that it ends level. */
    public boolean endsLevel() {
        return level(setting);
    }

    private static Settling settle(Setting setting, double soil, double ball) {
        // Bare roots are spread over a cone and filled beneath and between, never laid on a hard floor.
        double disturbed = (setting.tree().form() == Form.BARE ? setting.tree().ballHeight() : 0)
                + PlantingWays.BASE
                        .choose(setting.ways().get(PlantingWays.BASE.key()))
                        .value();
        double firming = PlantingWays.FIRMING
                .choose(setting.ways().get(PlantingWays.FIRMING.key()))
                .value();
        return Settling.of(
                disturbed,
                soil,
                firming,
                organic(setting),
                COMPOST_LOSS,
                setting.tree().ballHeight(),
                ball);
    }

    /** Share of organic matter in the fill, 0 to 1. */
    public double organicShare() {
        return organic(setting);
    }

    private static double organic(Setting setting) {
        return PlantingWays.MIX
                .choose(setting.ways().get(PlantingWays.MIX.key()))
                .value();
    }

    /** Flare above the board so that after settling neither flare nor union is too low, m. */
    public static double raiseNeeded(double settling, double unionMin, double unionAboveFlare) {
        return Math.max(settling, unionMin - unionAboveFlare + settling);
    }

    /** What the union must clear: the stock's least height and, where mulch comes near it, the mulch. */
    private static double unionMin(Setting setting) {
        if (setting.stock().map(Rootstock::ownRooted).orElse(false)) {
            return Double.NEGATIVE_INFINITY;
        }
        double least = setting.stock()
                .map(stock -> Math.max(LEAST_UNION, stock.unionMin()))
                .orElse(LEAST_UNION);
        return clear(setting) < WIDE_RING - 1e-9 ? Math.max(least, mulchDepth(setting) + LEAST_UNION) : least;
    }

    private static double clear(Setting setting) {
        return PlantingWays.RING
                .choose(setting.ways().get(PlantingWays.RING.key()))
                .value();
    }

    private static double mulchDepth(Setting setting) {
        return PlantingWays.MULCH
                .choose(setting.ways().get(PlantingWays.MULCH.key()))
                .value();
    }

    public boolean hasUnion() {
        return setting.stock().map(stock -> !stock.ownRooted()).orElse(true);
    }

    /** Least height of the union after settling, m. */
    public double unionMin() {
        return Math.max(LEAST_UNION, setting.stock().map(Rootstock::unionMin).orElse(LEAST_UNION));
    }

    /** Union above the board on the day, m. */
    public double unionToday() {
        return setting.tree().union() + raise;
    }

    /** Union above the board so many weeks later, m. */
    public double unionAfter(double weeks) {
        return unionToday() - settling.after(weeks);
    }

    /** In the end, with the organic part gone too, m. */
    public double unionAtLast() {
        return unionToday() - settling.total();
    }

    public double flareAtLast() {
        return raise - settling.total();
    }

    /** Half the range between the low and the high reading of the settling, m. */
    public double settlingHalfWidth() {
        return (settlingHigh.total() - settlingLow.total()) / 2;
    }

    /** The flare above the board in the end, between the low and the high reading. */
    public Measured flareInTheEnd() {
        return inTheEnd(raise, 0);
    }

    /** The union above the board in the end, between the low and the high reading and as the stick is read. */
    public Measured unionInTheEnd() {
        return inTheEnd(unionToday(), READING);
    }

    private Measured inTheEnd(double today, double reading) {
        return Measured.of(
                today - (settlingLow.total() + settlingHigh.total()) / 2,
                settlingHalfWidth() + reading,
                Quantity.FINE_LENGTH);
    }

    /** Fall of the ground across the hole, m. */
    public double fallAcross() {
        return setting.soil().slope() * width;
    }

    /** Whether the ring of bare ground is so wide that the union need clear the soil alone. */
    public boolean clearOfMulch() {
        return mulchClear() >= WIDE_RING - 1e-9;
    }

    public double mulchDepth() {
        return mulchDepth(setting);
    }

    public double mulchRing() {
        return Math.max(MULCH_RING, width);
    }

    public double mulchClear() {
        return clear(setting);
    }

    /** L in a ring clear of the stem. */
    public double mulchLitres() {
        return mulch(mulchRing(), setting.tree().stem(), mulchClear(), mulchDepth());
    }

    /** L; 0 when the ring vanishes. */
    public static double mulch(double diameter, double stem, double clear, double depth) {
        double inner = stem + 2 * clear;
        return Math.max(0, 1000 * Math.PI / 4 * (diameter * diameter - inner * inner) * depth);
    }

    public double holeLitres() {
        return 1000 * Solids.cylinder(width, depth);
    }

    /** Soil out of the hole, loose, L. */
    public double spoil() {
        return holeLitres() * (1 + setting.texture().traits().swell());
    }

    public double barrows() {
        return spoil() / BARROW;
    }

    private double fill() {
        double d = setting.tree().ballDiameter();
        double ball = setting.tree().form() == Form.BARE ? 0 : 1000 * Solids.cylinder(d, depth);
        return Math.max(0, holeLitres() - ball);
    }

    /** Compost to bring, L; more than its place, since it is pressed together. */
    public double compost() {
        return organic(setting) * fill() * (1 + CONSOLIDATION);
    }

    public Lift lift() {
        return Lift.of(setting.tree().weight());
    }

    /** Where the bud side or the scar of the union faces: away from the sun. */
    public String budSide() {
        return setting.latitude() < 0 ? "S" : "N";
    }

    public boolean staked() {
        return setting.stock()
                .map(stock -> stock.support() != Rootstock.Support.NONE)
                .orElse(false);
    }

    /**
     * Whole length of the stake, m: above ground by the stock, and a third of it buried (0.45 m at least, 0.6 in light
     * soil).
     */
    public double stake() {
        double above = stakeAbove();
        boolean light = setting.texture().traits().settle().usual() <= TABLE.value("stake-light-soil");
        double share = TABLE.value("stake-buried");
        return above
                + Math.max(TABLE.value(light ? "stake-least.light" : "stake-least.usual"), above * share / (1 - share));
    }

    public double stakeAbove() {
        boolean forLife = setting.stock()
                .map(stock -> stock.support() == Rootstock.Support.PERMANENT)
                .orElse(false);
        return TABLE.value(forLife ? "stake-above.for-life" : "stake-above.usual");
    }

    public Working heightWorking() {
        Working.Builder steps = Working.of("How {} comes about", fine(unionToday()));
        if (measured) {
            steps.step("{} measured on the planting day", fine(unionToday()))
                    .step(
                            "− {} from flare to union: the flare stands {} above the board",
                            fine(setting.tree().union()),
                            fine(raise));
        } else {
            steps.step(
                            setting.tree().unionAboveFlare().isEmpty()
                                    ? "{} from flare to union, assumed until you measure it"
                                    : "{} from flare to union, measured on the tree",
                            fine(setting.tree().union()))
                    .step("+ {} flare above the board", fine(raise));
            addRaise(steps);
            steps.step("= {} on the day", fine(unionToday()));
        }
        addSettling(steps);
        return steps.step(
                        "= {} when it has settled; between {} and {}",
                        fine(unionAtLast()),
                        fine(unionToday() - settlingHigh.total()),
                        fine(unionToday() - settlingLow.total()))
                .sensitive("Most sensitive to the distance from flare to union: measure it on the tree.")
                .from(HEIGHT);
    }

    private void addSettling(Working.Builder steps) {
        boolean bare = setting.tree().form() == Form.BARE;
        if (bare) {
            steps.step(
                    "− {}: roots {} long are filled beneath and between{}, and that sinks",
                    fine(settling.total()),
                    cm(setting.tree().ballHeight()),
                    loosened() ? ", and the bottom was loosened" : "");
        } else {
            steps.step(
                    "− {}: {} of a {} ball{}",
                    fine(settling.total()),
                    Amount.of(setting.tree().form().sinks() * 100, Quantity.PERCENT),
                    cm(setting.tree().ballHeight()),
                    loosened() ? ", and the loosened bottom" : ", on a bottom left firm");
        }
    }

    /** Whether the bottom of the hole is loosened below the roots. */
    public boolean loosened() {
        return PlantingWays.BASE
                        .choose(setting.ways().get(PlantingWays.BASE.key()))
                        .value()
                > 0;
    }

    public Working raiseWorking() {
        Working.Builder steps = Working.of("How {} comes about", fine(raise));
        if (measured) {
            steps.step("{} from the board to the union, measured on the planting day", fine(unionToday()))
                    .step("− {} from flare to union", fine(setting.tree().union()));
        } else {
            addRaise(steps);
        }
        return steps.sensitive("Most sensitive to the texture of the pit that speaks for this place.")
                .from(HEIGHT);
    }

    private void addRaise(Working.Builder steps) {
        Texture.Traits soil = setting.texture().traits();
        if (setDeep() > 0) {
            steps.step("it roots from the stem, and its collar is set {} below the board", fine(setDeep()));
            return;
        }
        if (endsLevel()) {
            steps.step(
                    "these roots end level: as much as it sinks, between {} and {}",
                    fine(settlingLow.total()),
                    fine(settlingHigh.total()));
            return;
        }
        steps.step(
                        "usual in {}: {} ({} to {})",
                        soil.name(),
                        fine(soil.proud().usual()),
                        fine(soil.proud().low()),
                        fine(soil.proud().high()))
                .step("more than it may settle at most: {}", fine(settlingHigh.total()));
        if (hasUnion() && setting.stock().isPresent()) {
            double least = unionMin(setting);
            steps.step(
                    "nor less than the union needs: {} wanted − {} on the tree + {} settling + {} of reading = {}",
                    fine(least),
                    fine(setting.tree().union()),
                    fine(settlingHigh.total()),
                    fine(READING),
                    fine(least - setting.tree().union() + settlingHigh.total() + READING));
        }
        steps.step("taken to the half centimetre: {}", fine(raise));
    }

    public Working depthWorking() {
        return Working.of("How {} comes about", cm(depth))
                .step("{} from flare to base of the ball", cm(setting.tree().ballHeight()))
                .step("− {} flare above the board", fine(raise))
                .step("= {}, no deeper: loose fill sinks and takes the tree with it", cm(depth))
                .sensitive("Most sensitive to where the flare really is: dig it free before measuring.")
                .from(DIG);
    }

    public Working widthWorking() {
        return Working.of("How {} comes about", cm(width))
                .step("{} across the ball or the roots", cm(setting.tree().ballDiameter()))
                .step(
                        "× {} (way: {})",
                        Amount.decimal(width / setting.tree().ballDiameter()),
                        PlantingWays.WIDTH
                                .choose(setting.ways().get(PlantingWays.WIDTH.key()))
                                .name())
                .sensitive("Straight sides, roughened, flat bottom; on a slope the board lies on the high side.")
                .from(DIG);
    }

    public Working spoilWorking() {
        return Working.of("How {} comes about", litres(spoil()))
                .step("a hole {} wide and {} deep: {}", cm(width), cm(depth), litres(holeLitres()))
                .step(
                        "× {} when dug: {} swells",
                        Amount.of(1 + setting.texture().traits().swell(), Quantity.SCORE),
                        setting.texture().label())
                .step("{} barrows of {}", Amount.decimal(barrows()), litres(BARROW))
                .sensitive("Most sensitive to the width, which counts twice.")
                .from(EARTH);
    }

    public Working compostWorking() {
        return Working.of("How {} comes about", litres(compost()))
                .step("{} to fill round the ball", litres(fill()))
                .step(
                        "× {} (way: {})",
                        Amount.of(organic(setting), Quantity.SCORE),
                        PlantingWays.MIX
                                .choose(setting.ways().get(PlantingWays.MIX.key()))
                                .name())
                .step("× {}, since it is pressed together", Amount.of(1 + CONSOLIDATION, Quantity.SCORE))
                .sensitive("Most sensitive to the way of filling.")
                .from(EARTH);
    }

    public Working liftWorking() {
        NurseryTree tree = setting.tree();
        Working.Builder steps = Working.of("How {} comes about", Amount.of(tree.weight(), Quantity.MASS));
        if (tree.form() == Form.BARE) {
            steps.step("a bare-root whip weighs {} to {}", Amount.of(0.5, Quantity.MASS), Amount.of(2, Quantity.MASS));
        } else {
            steps.step(
                            "a ball of {}, {} across and {} deep",
                            litres(tree.litres()),
                            cm(tree.ballDiameter()),
                            cm(tree.ballHeight()))
                    .step(
                            "× {} of {} a litre, and the tree itself",
                            Amount.of(tree.form() == Form.FIELD ? 1.7 : 0.9, Quantity.SCORE),
                            "kg");
        }
        return steps.step("for {}", lift().words())
                .sensitive("Most sensitive to how wet the ball is.")
                .from(Source.published("bands after HSE L23; densities are common practice", Certainty.FAIR));
    }

    public Working mulchWorking() {
        return Working.of("How {} comes about", litres(mulchLitres()))
                .step("a ring {} across, {} deep", cm(mulchRing()), cm(mulchDepth()))
                .step("less the middle: {} clear of the stem all round", cm(mulchClear()))
                .sensitive("Most sensitive to the ring's width.")
                .from(EARTH);
    }
}
