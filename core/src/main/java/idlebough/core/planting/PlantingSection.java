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
import idlebough.core.judge.Way;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.Solids;
import idlebough.core.site.Barrows;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.Footing;
import idlebough.core.site.Mound;
import idlebough.core.site.Shelter;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import idlebough.core.site.Tree;
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

    private static final int TRIES = 8;
    /** Share of loose soil that water can fill. */
    private static final double POROUS = TABLE.value("porous");

    private static final double READING = TABLE.value("reading");
    private static final double LEAST_UNION = TABLE.value("union-least");
    private static final double WIDE_RING = TABLE.value("wide-ring");
    private static final String AVOCADO = "avocado";
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
     * @param grown what it becomes
     */
    public record Setting(
            NurseryTree tree,
            Optional<Rootstock> stock,
            Soil soil,
            Tree.Ground ground,
            Map<String, String> ways,
            Around around,
            double latitude,
            Grown grown) {
        /** Of any crop. */
        public Setting(
                NurseryTree tree,
                Optional<Rootstock> stock,
                Soil soil,
                Tree.Ground ground,
                Map<String, String> ways,
                Around around,
                double latitude) {
            this(tree, stock, soil, ground, ways, around, latitude, Grown.ANY);
        }

        /** In the hole that the program proposes, in the open. */
        public Setting(
                NurseryTree tree,
                Optional<Rootstock> stock,
                Soil soil,
                Footing footing,
                Map<String, String> ways,
                Optional<Double> stormWind,
                double latitude) {
            this(
                    tree,
                    stock,
                    soil,
                    new Tree.Ground(footing, Tree.Hole.PROPOSED),
                    ways,
                    new Around(stormWind, 1, Optional.empty()),
                    latitude);
        }

        public Texture texture() {
            return soil.texture();
        }

        public Footing footing() {
            return ground.footing();
        }

        public Optional<Double> stormWind() {
            return around.storm();
        }

        /** The school that holds in a matter. */
        public Way.School school(Way way) {
            return way.choose(ways.get(way.key()), grown.crop());
        }
    }

    /**
     * What the tree becomes.
     *
     * @param crop its key
     * @param crown as wide as it will be, m
     */
    public record Grown(String crop, double crown) {
        static final Grown ANY = new Grown("", 4);
    }

    /**
     * What comes from around it.
     *
     * @param storm bearing from which storms come, degrees; empty when not known
     * @param share of their speed that reaches the tree, 0 to 1
     * @param view bearing of the place from which it is looked at, degrees; empty where none is drawn
     * @param downhill true bearing towards which the ground falls, degrees; 0 on level ground
     */
    public record Around(Optional<Double> storm, double share, Optional<Double> view, double downhill) {
        /** On level ground. */
        public Around(Optional<Double> storm, double share, Optional<Double> view) {
            this(storm, share, view, 0);
        }

        /** Whether storms are known and reach it. */
        public boolean exposed() {
            return storm.isPresent() && share > Shelter.SHELTERED;
        }
    }

    /**
     * What the ground is, as far as heights and fill depend on it.
     *
     * @param slow whether the water stays in it: it drains slower than an inch an hour, or is heavy and was not tested
     * @param slope rise over run at the peg
     * @param topsoil its depth, m
     * @param rate of drainage, mm/h; empty where it was not tested
     */
    public record Soil(Texture texture, boolean slow, double slope, double topsoil, Optional<Double> rate) {
        private static final double INCH_AN_HOUR = 25.4;

        /** Not dug into. */
        public Soil(Texture texture, boolean slow, double slope) {
            this(texture, slow, slope, TABLE.value("usual-topsoil"), Optional.empty());
        }

        /** Level ground of a texture that was not tested. */
        public static Soil untested(Texture texture) {
            return new Soil(texture, texture.traits().heavy(), 0);
        }

        public static Soil of(SoilPit pit, double slope) {
            boolean slow = pit.rate()
                    .map(rate -> rate.normalisedMmPerHour() < INCH_AN_HOUR - 1e-9)
                    .orElse(pit.texture().traits().heavy());
            return new Soil(
                    pit.texture(), slow, slope, pit.topsoil(), pit.rate().map(DrainageRate::normalisedMmPerHour));
        }
    }

    public static PlantingSection of(Setting setting) {
        double ball = setting.tree().ballHeight();
        double raise = 0;
        double below = 0;
        PlantingSection section = null;
        // How deep the hole is below the ball depends on how high it stands, and that on what sinks below it.
        for (int i = 0; i < TRIES; i++) {
            section = of(setting, below);
            raise = section.raise();
            double next = below(setting, raise);
            if (Math.abs(next - below) < STEP / 2) {
                break;
            }
            below = next;
        }
        double dug = dug(setting);
        // Dug less deep than it asks, the tree stands as much prouder.
        Optional<Double> wished = setting.ground().hole().raise();
        double stands = wished.isPresent()
                ? wished.get()
                : dug > 0 && dug < ball - raise - 1e-9 && deep(setting) == 0 ? ball - dug : raise;
        return new PlantingSection(
                setting,
                stands,
                section.settling,
                section.settlingLow,
                section.settlingHigh,
                width(setting),
                dug > 0
                        ? Math.max(TABLE.value("least-depth"), dug)
                        : Math.max(TABLE.value("least-depth"), ball - stands + refilled(setting)),
                false);
    }

    private static PlantingSection of(Setting setting, double below) {
        Settling settling = settle(
                setting,
                below,
                setting.texture().traits().settle().usual(),
                setting.tree().form().sinks());
        Settling low = settle(
                setting,
                below,
                setting.texture().traits().settle().low(),
                setting.tree().form().sinksLow());
        Settling high = settle(
                setting,
                below,
                setting.texture().traits().settle().high(),
                setting.tree().form().sinksHigh());
        return new PlantingSection(
                setting, chosen(setting, low.total(), high.total()), settling, low, high, 0, 0, false);
    }

    /** As deep as somebody wants the hole, m; 0 where it is as deep as the tree asks. */
    private static double dug(Setting setting) {
        return setting.ground()
                .hole()
                .depth()
                .orElse(setting.school(PlantingWays.PIT).value());
    }

    private static double refilled(Setting setting) {
        return setting.ground().hole().refill().orElse(0.0);
    }

    /** Loose soil between the ball and the bottom of the hole, m. */
    private static double below(Setting setting, double raise) {
        double dug = dug(setting);
        return dug > 0
                ? Math.max(refilled(setting), Math.max(0, dug - (setting.tree().ballHeight() - raise)))
                : refilled(setting);
    }

    /** Loose soil between the ball and the bottom of the hole, m. */
    public double below() {
        return Math.max(0, depth - (setting.tree().ballHeight() - raise));
    }

    private static double width(Setting setting) {
        double usual =
                setting.school(PlantingWays.WIDTH).value() * setting.tree().ballDiameter();
        boolean worked = setting.school(PlantingWays.PIT).value() > 0;
        return setting.ground().hole().width().orElse(worked ? Math.max(TABLE.value("worked-width"), usual) : usual);
    }

    /** The same hole with the tree as it was measured in it: the union, or the flare of an own-rooted tree, m. */
    public PlantingSection asMeasured(double height) {
        double found = hasUnion() ? height - setting.tree().union() : height;
        return new PlantingSection(setting, found, settling, settlingLow, settlingHigh, width, depth, true);
    }

    private static double chosen(Setting setting, double low, double high) {
        Optional<Double> wished = setting.ground().hole().raise();
        if (wished.isPresent()) {
            return wished.get();
        }
        if (deep(setting) > 0) {
            return -deep(setting);
        }
        if (level(setting)) {
            return STEP * Math.rint((low + high) / 2 / STEP);
        }
        double needed =
                raiseNeeded(high, unionMin(setting) + READING, setting.tree().union());
        double stands = STEP * (Math.floor(needed / STEP + 1e-6) + 1);
        return setting.school(PlantingWays.LEVEL).value() > 0
                ? stands
                : Math.max(setting.texture().traits().proud().usual(), stands);
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

    private static Settling settle(Setting setting, double below, double soil, double ball) {
        // Bare roots are spread over a cone and filled beneath and between, never laid on a hard floor.
        double disturbed = (setting.tree().form() == Form.BARE ? setting.tree().ballHeight() : 0)
                + below
                + setting.school(PlantingWays.BASE).value();
        double firming = setting.school(PlantingWays.FIRMING).value();
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
        return setting.ground().hole().filled() == Tree.Filled.COMPOST
                ? 1
                : setting.school(PlantingWays.MIX).value();
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
        return setting.ground()
                .hole()
                .clear()
                .orElse(setting.school(PlantingWays.RING).value());
    }

    private static double mulchDepth(Setting setting) {
        double wished = setting.school(PlantingWays.MULCH).value();
        return wished > 0 ? wished : mulchThatFits(setting);
    }

    private static double mulchThatFits(Setting setting) {
        double ofKind = switch (setting.school(PlantingWays.MULCH_KIND).key()) {
            case "bark" -> TABLE.value("mulch-fit.bark");
            case "straw" -> TABLE.value("mulch-fit.straw");
            default -> TABLE.value("mulch-fit.chips");
        };
        return setting.around().exposed() ? Math.min(TABLE.value("mulch-thick"), ofKind) : ofKind;
    }

    /** Whether storms reach a mulch that crusts: the coarse one of an avocado does not. */
    boolean mulchInWind() {
        return setting.around().exposed() && !setting.grown().crop().equals(AVOCADO);
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
        return Math.max(0, holeLitres() - ballBelow());
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

    /** How it is staked; empty where it is not. */
    public Optional<Stake> stake() {
        return Stake.of(this);
    }

    public boolean staked() {
        return stake().isPresent();
    }

    /** What keeps animals off its bark; empty where nothing does. */
    public Optional<Guard> guard() {
        double height = setting.school(PlantingWays.GUARD).value();
        return height > 0 ? Optional.of(Guard.of(height, setting.tree().stem())) : Optional.empty();
    }

    /** Shade for its stem and crown, where the way says so. */
    public Optional<Screen> screen() {
        return setting.school(PlantingWays.STEM).key().equals("cloth")
                ? Optional.of(Screen.of(setting.tree().height()))
                : Optional.empty();
    }

    /** What it is set on; empty on the grade. */
    public Optional<Mound> mound() {
        double height = setting.footing().height();
        return !setting.footing().raised()
                ? Optional.empty()
                : Optional.of(
                        setting.school(PlantingWays.MOUND).value() > 0
                                ? Mound.under(setting.grown().crown(), height)
                                : Mound.of(height));
    }

    /** Which way it is turned. */
    public Turning turning() {
        return Turning.of(setting.school(PlantingWays.TURNING).key(), hasUnion(), setting.latitude(), setting.around());
    }

    /** What is heaped round it to hold water; empty where nothing is. */
    public Optional<Basin> basin() {
        Basin.Kind kind = switch (setting.school(PlantingWays.BASIN).key()) {
            case "ring" -> Basin.Kind.RING;
            case "crescent" -> Basin.Kind.CRESCENT;
            case "mulch" -> Basin.Kind.MULCHED;
            case "fit" -> fitting();
            default -> null;
        };
        return Optional.ofNullable(kind).map(heaped -> Basin.of(heaped, width));
    }

    private Basin.Kind fitting() {
        if (setting.soil().slow() && !setting.footing().raised()) {
            return null;
        }
        return fallAcross() > TABLE.value("slope-fall") / 2 ? Basin.Kind.CRESCENT : Basin.Kind.RING;
    }

    /** Length of mesh for a ring inside the wall of the hole, with its overlap, m; 0 where none is wanted. */
    public double mesh() {
        return meshOpening() > 0 ? mesh(width, TABLE.value("mesh-overlap")) : 0;
    }

    /** Opening of the mesh, m; 0 where none is wanted. */
    public double meshOpening() {
        return setting.school(PlantingWays.MESH).value();
    }

    /** m of mesh for a ring of a diameter. */
    public static double mesh(double diameter, double overlap) {
        return Math.PI * diameter + overlap;
    }

    /** How the length of the mesh comes about. */
    public Working meshWorking() {
        return Working.of("How {} comes about", Amount.metres(mesh()))
                .step("π × {}, the width of the hole", cm(width))
                .step("+ {} where its ends overlap", cm(TABLE.value("mesh-overlap")))
                .sensitive("Most sensitive to the width of the hole.")
                .from(TABLE.source("mesh-overlap"));
    }

    /** How the fall across the hole comes about. */
    public Working fallWorking() {
        return Working.of("How {} comes about", cm(fallAcross()))
                .step(
                        "the ground falls {} here × {}, the width of the hole",
                        Amount.of(100 * setting.soil().slope(), Quantity.SLOPE),
                        cm(width))
                .step("the board lies level from the high side, so it stands off the ground at the low one")
                .sensitive("Most sensitive to the fall: three spot heights on the Site measure it.")
                .from(TABLE.source("slope-fall"));
    }

    /** Bark of a stem as the side of a cone, m². */
    public static double bark(double base, double top, double height) {
        double slant = Math.hypot(height, (base - top) / 2);
        return Math.PI * (base + top) / 2 * slant;
    }

    /** Paint and water, mixed 1 : 1, for two coats up to the first branches, L; 0 where it is not painted. */
    public double paint() {
        boolean painted = switch (setting.school(PlantingWays.STEM).key()) {
            case "dry", "before", "after" -> true;
            default -> false;
        };
        double stem = setting.tree().stem();
        return painted
                ? TABLE.value("paint-coats")
                        * bark(stem, TABLE.value("paint-taper") * stem, TABLE.value("paint-height"))
                        / TABLE.value("paint-coverage")
                : 0;
    }

    /** Volume that the ball takes below the board, L; bare roots take none. */
    double ballBelow() {
        return setting.tree().form() == Form.BARE
                ? 0
                : 1000
                        * Solids.cylinder(
                                setting.tree().ballDiameter(),
                                Math.max(0, Math.min(depth, setting.tree().ballHeight() - raise)));
    }

    /** Soil that rises from the edge of the hole to the flare, in place, L. */
    double rimLitres() {
        double ball = setting.tree().form() == Form.BARE
                ? setting.tree().stem()
                : setting.tree().ballDiameter();
        return raise <= 0 || width <= ball
                ? 0
                : Math.max(0, 1000 * (Solids.frustum(width, ball, raise) - Solids.cylinder(ball, raise)));
    }

    double consolidation() {
        return CONSOLIDATION;
    }

    public FillBalance balance() {
        return FillBalance.of(this);
    }

    /** What stands in the hole after a cloudburst. @param rain mm */
    public double bathtub(double rain) {
        return Math.min(rain * Math.PI * width * width / 4, POROUS * holeLitres());
    }

    /** Hours until such a rain is gone; empty where the drainage was not tested. */
    public Optional<Double> emptyAfter(double rain) {
        double area = Math.PI * width * width / 4;
        return setting.soil().rate().filter(rate -> rate > 0).map(rate -> bathtub(rain) / area / rate);
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
        return setting.school(PlantingWays.BASE).value() > 0;
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
        if (setting.ground().hole().raise().isPresent()) {
            steps.step("set by you: {} above the board", fine(raise));
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
                .step(
                        below() > STEP
                                ? "dug to {} all the same: {} of loose soil lie under it and sink"
                                : "= {}, no deeper: loose fill sinks and takes the tree with it",
                        cm(depth),
                        cm(below()))
                .sensitive("Most sensitive to where the flare really is: dig it free before measuring.")
                .from(DIG);
    }

    public Working widthWorking() {
        return Working.of("How {} comes about", cm(width))
                .step("{} across the ball or the roots", cm(setting.tree().ballDiameter()))
                .step(
                        "× {} (way: {})",
                        Amount.decimal(width / setting.tree().ballDiameter()),
                        setting.school(PlantingWays.WIDTH).name())
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
                        setting.school(PlantingWays.MIX).name())
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
