package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.fine;
import static idlebough.core.judge.Amount.litres;

import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Rootstock;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Solids;
import idlebough.core.site.Barrows;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import java.util.Map;
import java.util.Optional;

/**
 * The cross-section of one planting, every height above the board: a straight board laid across the hole from
 * undisturbed ground to undisturbed ground (on a mound: its settled top).
 *
 * @param raise flare above the board on the day, m
 * @param settling and its low and high reading
 * @param width of the hole, m
 * @param depth of the hole below the board, m
 */
public record PlantingSection(
        Setting setting,
        double raise,
        Settling settling,
        Settling settlingLow,
        Settling settlingHigh,
        double width,
        double depth) {

    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double COMPOST_LOSS = TABLE.value("compost-loss");
    private static final double CONSOLIDATION = TABLE.value("consolidation");
    private static final double BARROW = 1000 * Barrows.BARROW;
    private static final double MULCH_RING = TABLE.value("mulch-ring");
    private static final double MULCH_CLEAR = TABLE.value("mulch-clear");
    private static final Source HEIGHT =
            Source.practice("flare level or slightly proud, never below; union clear above ground and mulch");
    private static final Source DIG =
            Source.published("width: Watson & Himelick 1997; depth = ball less raise", Certainty.SURE);
    private static final Source EARTH =
            Source.published("solid geometry; swell from earthwork handbooks", Certainty.FAIR);

    /**
     * @param stock empty while none is chosen
     * @param texture of the pit that speaks for the place
     * @param ways choice key by way key; what is missing is the usual one
     * @param stormWind bearing from which storms come, degrees; empty when not known
     */
    public record Setting(
            NurseryTree tree,
            Optional<Rootstock> stock,
            Texture texture,
            Footing footing,
            Map<String, String> ways,
            Optional<Double> stormWind,
            double latitude) {}

    public static PlantingSection of(Setting setting) {
        Settling settling = settle(
                setting,
                setting.texture().traits().settle(),
                setting.tree().form().sinks());
        Settling low = settle(
                setting,
                setting.texture().traits().settleLow(),
                setting.tree().form().sinksLow());
        Settling high = settle(
                setting,
                setting.texture().traits().settleHigh(),
                setting.tree().form().sinksHigh());
        double raise = Math.max(
                setting.texture().traits().proudMetres(),
                raiseNeeded(settling.total(), unionMin(setting), setting.tree().union()));
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
                Math.max(TABLE.value("least-depth"), setting.tree().ballHeight() - raise));
    }

    private static Settling settle(Setting setting, double soil, double ball) {
        double disturbed = PlantingWays.BASE
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

    private static double organic(Setting setting) {
        return PlantingWays.MIX
                .choose(setting.ways().get(PlantingWays.MIX.key()))
                .value();
    }

    /** Flare above the board so that after settling neither flare nor union is too low, m. */
    public static double raiseNeeded(double settling, double unionMin, double unionAboveFlare) {
        return Math.max(settling, unionMin - unionAboveFlare + settling);
    }

    private static double unionMin(Setting setting) {
        return setting.stock()
                .filter(stock -> !stock.ownRooted())
                .map(Rootstock::unionMin)
                .orElse(Double.NEGATIVE_INFINITY);
    }

    public boolean hasUnion() {
        return setting.stock().map(stock -> !stock.ownRooted()).orElse(true);
    }

    /** Least height of the union after settling, m. */
    public double unionMin() {
        return setting.stock().map(Rootstock::unionMin).orElse(TABLE.value("union-no-stock"));
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

    public double mulchDepth() {
        return PlantingWays.MULCH
                .choose(setting.ways().get(PlantingWays.MULCH.key()))
                .value();
    }

    public double mulchRing() {
        return Math.max(MULCH_RING, width);
    }

    public double mulchClear() {
        return MULCH_CLEAR;
    }

    /** L in a ring clear of the stem. */
    public double mulchLitres() {
        return mulch(mulchRing(), setting.tree().stem(), MULCH_CLEAR, mulchDepth());
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
        boolean light = setting.texture().traits().settle() <= TABLE.value("stake-light-soil");
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
        Working.Builder steps = Working.of("How {} comes about", cm(unionToday()))
                .step(
                        setting.tree().unionAboveFlare() == null
                                ? "{} from flare to union, assumed until you measure it"
                                : "{} from flare to union, measured on the tree",
                        fine(setting.tree().union()))
                .step("+ {} flare above the board", fine(raise));
        addRaise(steps);
        return steps.step("= {} on the day", fine(unionToday()))
                .step(
                        "− {} after settling: {} of a {} ball{}",
                        fine(settling.total()),
                        Amount.of(setting.tree().form().sinks() * 100, Quantity.PERCENT),
                        cm(setting.tree().ballHeight()),
                        settling.fill() > 0 ? ", and the loosened bottom" : ", none below it")
                .step(
                        "= {} when it has settled; between {} and {}",
                        fine(unionAtLast()),
                        fine(unionToday() - settlingHigh.total()),
                        fine(unionToday() - settlingLow.total()))
                .sensitive("Most sensitive to the distance from flare to union: measure it on the tree.")
                .from(HEIGHT);
    }

    public Working raiseWorking() {
        Working.Builder steps = Working.of("How {} comes about", fine(raise));
        addRaise(steps);
        return steps.sensitive("Most sensitive to the texture of the pit that speaks for this place.")
                .from(HEIGHT);
    }

    private void addRaise(Working.Builder steps) {
        Texture.Traits soil = setting.texture().traits();
        steps.step(
                        "usual in {}: {} ({} to {})",
                        soil.name(),
                        fine(soil.proudMetres()),
                        fine(soil.proudLow()),
                        fine(soil.proudHigh()))
                .step("not less than it settles: {}", fine(settling.total()));
        if (hasUnion() && setting.stock().isPresent()) {
            steps.step(
                    "nor less than the union needs: {} wanted − {} on the tree + {} settling = {}",
                    fine(unionMin()),
                    fine(setting.tree().union()),
                    fine(settling.total()),
                    fine(unionMin() - setting.tree().union() + settling.total()));
        }
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
                .sensitive("Straight sides, roughened, flat bottom.")
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
                .step("less the middle: {} clear of the stem all round", cm(MULCH_CLEAR))
                .sensitive("Most sensitive to the ring's width.")
                .from(EARTH);
    }
}
