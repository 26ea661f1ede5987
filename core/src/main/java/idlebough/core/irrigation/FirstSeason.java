package idlebough.core.irrigation;

import static idlebough.core.measure.Quantity.RAIN;
import static idlebough.core.measure.Quantity.SMALL_VOLUME;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Working;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The watering of a newly planted tree from the planting day to the eighth week: how often by common practice, how much
 * by what the tree and its circle lose and how fast the ground lets it away (the figures and their sources are in {@code
 * irrigation/rules.csv}).
 *
 * @param wateringIn on the day, L, in two or three fills, even in rain
 * @param weeks eight of them
 * @param warm whether the weeks after planting are warm enough to grow
 * @param tank the root ball as its own tank; empty for a bare-root tree
 */
public record FirstSeason(
        double wateringIn, List<Week> weeks, boolean warm, Optional<RootBallTank> tank, Setting setting) {
    private static final RuleTable TABLE = RuleTable.of("irrigation");
    /** An inch of rain a week needs no watering, m. */
    public static final double RAIN_INSTEAD = TABLE.value("rain-instead");

    private static final double RING = TABLE.value("ring");
    private static final double LEAST = TABLE.value("in.least");
    private static final double BALLS = TABLE.value("in.balls");
    private static final int WEEKS = 8;
    private static final int DAYS = 7;
    private static final double LITRES = 1000;

    /** One week. @param litres each time, @param times in the week */
    public record Week(int number, LocalDate from, int times, double litres) {
        public double total() {
            return times * litres;
        }
    }

    /**
     * @param ballLitres 0 for a bare-root tree
     * @param pit that speaks for the place; empty without pits
     * @param climate of the weeks after planting
     */
    public record Setting(LocalDate planting, double ballLitres, Optional<SoilPit> pit, PlantingClimate climate) {
        public Texture texture() {
            return pit.map(SoilPit::texture).orElse(Texture.LOAM);
        }

        /** Light soil holds little: the same water in more, smaller turns. */
        boolean light() {
            return texture().traits().waterHeld() < TABLE.value("light-soil") || WaterRules.dries(pit);
        }
    }

    public static FirstSeason of(Setting setting) {
        boolean bare = setting.ballLitres() <= 0;
        boolean warm = setting.climate().celsius() >= TABLE.value("grows-above");
        double in = bare ? TABLE.value("in.bare") : Math.max(LEAST, BALLS * setting.ballLitres());
        Optional<RootBallTank> tank = bare
                ? Optional.empty()
                : Optional.of(RootBallTank.of(
                        setting.ballLitres(),
                        TABLE.value("easily-available"),
                        TABLE.value("allowed"),
                        setting.climate().et(),
                        TABLE.value("canopy-factor"),
                        TABLE.value("canopy"),
                        TABLE.value("least-use")));
        FirstSeason plan = new FirstSeason(in, List.of(), warm, tank, setting);
        return new FirstSeason(in, plan.findWeeks(), warm, tank, setting);
    }

    private List<Week> findWeeks() {
        double weekly = weekly();
        boolean light = setting.light();
        List<Week> found = new ArrayList<>();
        for (int i = 1; i <= WEEKS; i++) {
            int times = !warm ? 1 : i == 1 ? 3 : i == 2 || light ? 2 : 1;
            found.add(new Week(
                    i,
                    setting.planting().plusWeeks(i - 1L),
                    times,
                    Math.max(TABLE.value("turn.least"), weekly / times)));
        }
        return List.copyOf(found);
    }

    /**
     * What a week takes, L: what the circle loses, or the ball where that is more, not more than an inch on the circle,
     * and less where the ground lets it away slowly.
     */
    private double weekly() {
        return Math.min(inch(), Math.max(circleLoses(), ballLoses())) * slowShare();
    }

    /** From the mulched circle, L a week. */
    private double circleLoses() {
        return area() * setting.climate().et() * DAYS * TABLE.value("ground-share");
    }

    /** From the ball, L a week, with what runs past it. */
    private double ballLoses() {
        return tank.map(ball -> ball.use() * DAYS / TABLE.value("reaches")).orElse(0.0);
    }

    private double slowShare() {
        return setting.pit()
                .flatMap(SoilPit::rate)
                .map(rate -> switch (rate.drainageClass()) {
                    case IMPERMEABLE, VERY_SLOW -> TABLE.value("slow.much");
                    case SLOW -> TABLE.value("slow.some");
                    default -> 1.0;
                })
                .orElse(1.0);
    }

    private static double area() {
        return Math.PI * RING * RING / 4;
    }

    /** An inch of water on the circle, L. */
    private static double inch() {
        return LITRES * area() * RAIN_INSTEAD;
    }

    /** Litres over the eight weeks and the watering in. */
    public double total() {
        return wateringIn + weeks.stream().mapToDouble(Week::total).sum();
    }

    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", Amount.litres(wateringIn));
        if (setting.ballLitres() > 0) {
            steps.step(
                    "a ball of {}: one to two times its volume, so {} ×, at least {}",
                    Amount.litres(setting.ballLitres()),
                    Amount.decimal(BALLS),
                    Amount.litres(LEAST));
        } else {
            steps.step("a bare-root tree: {} to {}", Amount.litres(LEAST), Amount.litres(TABLE.value("in.most")));
        }
        return steps.step("in two or three fills until the bubbles stop, even in rain")
                .sensitive("Most sensitive to how dry the soil is: water the spot the day before.")
                .from(TABLE.source("in.balls"));
    }

    public Working weekWorking() {
        Working.Builder steps = Working.of("How the weeks come about")
                .step(
                        "the weeks after planting average {}: {}",
                        Amount.of(setting.climate().celsius(), TEMPERATURE),
                        warm
                                ? "warm, so three times in week 1 and twice in week 2"
                                : "too cool to grow, so once a week")
                .step("the mulched circle of {} loses {} a week", Amount.metres(RING), Amount.litres(circleLoses()));
        tank.ifPresent(ball -> steps.step(
                "the ball loses {} a day; half of what is poured reaches it, so {} a week",
                Amount.of(ball.use(), SMALL_VOLUME),
                Amount.litres(ballLoses())));
        if (slowShare() < 1) {
            steps.step(
                    "× {}: this soil lets it away slowly, and too much drowns",
                    Amount.of(slowShare(), idlebough.core.measure.Quantity.SCORE));
        }
        return steps.step(
                        "= {} a week, an inch on the circle ({}) at most",
                        Amount.litres(weekly()),
                        Amount.litres(inch()))
                .step(
                        "{}",
                        setting.light()
                                ? "light or fast soil holds little: the same in two smaller turns"
                                : "this soil holds a week's water in one turn")
                .step("rain counts: {} in a week needs none", Amount.of(RAIN_INSTEAD, RAIN))
                .sensitive("Most sensitive to rain and to heat: probe before watering.")
                .from(TABLE.source("rain-instead"));
    }
}
