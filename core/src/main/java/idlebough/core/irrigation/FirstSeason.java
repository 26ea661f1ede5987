package idlebough.core.irrigation;

import static idlebough.core.measure.Quantity.RAIN;
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
 * The watering of a newly planted tree from the planting day to the eighth week (common practice; the figures and their
 * sources are in {@code irrigation/rules.csv}).
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
        double weekly = weekly();
        boolean light = setting.light();
        List<Week> weeks = new ArrayList<>();
        for (int i = 1; i <= WEEKS; i++) {
            int times = i == 1 ? (warm ? 3 : 1) : i == 2 ? (warm ? 2 : 1) : light && warm ? 2 : 1;
            double litres = i <= 2
                    ? Math.max(LEAST, bare ? weekly / 2 : setting.ballLitres() / 2)
                    : times == 2 ? weekly * TABLE.value("light-turn") : weekly;
            weeks.add(new Week(i, setting.planting().plusWeeks(i - 1L), times, litres));
        }
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
        return new FirstSeason(in, List.copyOf(weeks), warm, tank, setting);
    }

    /** An inch of water on the ring, L. */
    private static double weekly() {
        return LITRES * Math.PI * RING * RING / 4 * RAIN_INSTEAD;
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
        return Working.of("How the weeks come about")
                .step(
                        "the weeks after planting average {}: {}",
                        Amount.of(setting.climate().celsius(), TEMPERATURE),
                        warm
                                ? "warm, so three times in week 1 and twice in week 2"
                                : "too cool to grow, so once a week")
                .step(
                        "from week 3 {} of water on a circle of {}: {}",
                        Amount.of(RAIN_INSTEAD, RAIN),
                        Amount.metres(RING),
                        Amount.litres(weekly()))
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
