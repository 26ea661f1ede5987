package idlebough.core.irrigation;

import static idlebough.core.measure.Quantity.RAIN;
import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The watering of a newly planted tree from the planting day to the eighth week (common practice; water.md 5).
 *
 * @param wateringIn on the day, L, in two or three fills, even in rain
 * @param weeks eight of them
 * @param warm whether the weeks after planting are warm enough to grow
 * @param tank the root ball as its own tank; null for a bare-root tree
 */
public record FirstSeason(double wateringIn, List<Week> weeks, boolean warm, RootBallTank tank, Setting setting) {
    public static final String BALL_DRY = "irrigation.ball-dry";
    public static final String DROUGHTY = "irrigation.droughty";
    /** An inch of rain a week needs no watering, m. */
    public static final double RAIN_INSTEAD = 0.025;

    /** Above this a soil dries fast, mm/h (4 in/h). */
    private static final double FAST = 101.6;

    private static final double RING = 1.0;
    private static final double GROWS_ABOVE = 13;
    private static final Source SOURCE = Source.practice(
            "until the whole hole is saturated; 2–3 times in week 1 if warm, twice in week 2, then weekly; 25 mm of rain replaces one");

    /** One week. @param litres each time, @param times in the week */
    public record Week(int number, LocalDate from, int times, double litres) {
        public double total() {
            return times * litres;
        }
    }

    /**
     * @param ballLitres 0 for a bare-root tree
     * @param canopy width when planted, m
     * @param meanTemperature of the weeks after planting, °C
     * @param et of those weeks, mm/d
     * @param fastSoil whether the pit drains above 4 in/h
     */
    public record Setting(
            LocalDate planting,
            double ballLitres,
            double canopy,
            Texture texture,
            double meanTemperature,
            double et,
            boolean fastSoil) {}

    public static FirstSeason of(Setting setting) {
        boolean bare = setting.ballLitres() <= 0;
        boolean warm = setting.meanTemperature() >= GROWS_ABOVE;
        double in = bare ? 15 : Math.max(10, 1.5 * setting.ballLitres());
        double weekly = 1000 * Math.PI * RING * RING / 4 * RAIN_INSTEAD;
        // Light soil holds little: the same water in more, smaller turns.
        boolean light = setting.texture().traits().waterHeld() < 90 || setting.fastSoil();
        List<Week> weeks = new ArrayList<>();
        for (int i = 1; i <= 8; i++) {
            int times = i == 1 ? (warm ? 3 : 1) : i == 2 ? (warm ? 2 : 1) : light && warm ? 2 : 1;
            double litres = i <= 2
                    ? Math.max(10, bare ? weekly / 2 : setting.ballLitres() / 2)
                    : times == 2 ? weekly * 0.6 : weekly;
            weeks.add(new Week(i, setting.planting().plusWeeks(i - 1L), times, litres));
        }
        RootBallTank tank = bare
                ? null
                : RootBallTank.of(setting.ballLitres(), 0.25, 0.5, setting.et(), 1.1, setting.canopy(), 0.3);
        return new FirstSeason(in, List.copyOf(weeks), warm, tank, setting);
    }

    /** Litres over the eight weeks and the watering in. */
    public double total() {
        return wateringIn + weeks.stream().mapToDouble(Week::total).sum();
    }

    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", Amount.litres(wateringIn));
        if (setting.ballLitres() > 0) {
            steps.step(
                    "a ball of {}: one to two times its volume, so 1.5 ×, at least {}",
                    Amount.litres(setting.ballLitres()),
                    Amount.litres(10));
        } else {
            steps.step("a bare-root tree: {} to {}", Amount.litres(10), Amount.litres(20));
        }
        return steps.step("in two or three fills until the bubbles stop, even in rain")
                .sensitive("Most sensitive to how dry the soil is: water the spot the day before.")
                .from(SOURCE);
    }

    public Working weekWorking() {
        return Working.of("How the weeks come about")
                .step(
                        "the weeks after planting average {}: {}",
                        Amount.of(setting.meanTemperature(), TEMPERATURE),
                        warm
                                ? "warm, so three times in week 1 and twice in week 2"
                                : "too cool to grow, so once a week")
                .step(
                        "from week 3 {} of water on a circle of {}: {}",
                        Amount.of(RAIN_INSTEAD, RAIN),
                        Amount.metres(RING),
                        Amount.litres(1000 * Math.PI * RING * RING / 4 * RAIN_INSTEAD))
                .step(
                        "{}",
                        setting.texture().traits().waterHeld() < 90 || setting.fastSoil()
                                ? "light or fast soil holds little: the same in two smaller turns"
                                : "this soil holds a week's water in one turn")
                .step("rain counts: {} in a week needs none", Amount.of(RAIN_INSTEAD, RAIN))
                .sensitive("Most sensitive to rain and to heat: probe before watering.")
                .from(SOURCE);
    }

    /** @param subject {@code tree:ID} */
    public List<Finding> findings(String subject, String label) {
        List<Finding> findings = new ArrayList<>();
        if (tank != null && warm) {
            Standing standing = Standing.of(tank.days(), 0.25 * tank.days(), 1, 0.1, Standing.Wanted.AT_LEAST);
            // A thirsty ball is a matter of turning up with a can, not of never planting.
            Standing mild = standing == Standing.STOP ? Standing.DOUBTFUL : standing;
            findings.add(new Finding(
                    BALL_DRY,
                    subject,
                    mild,
                    mild == Standing.SOUND
                            ? Phrase.of("The ball of {} lasts from one watering to the next.", label)
                            : Phrase.of("The ball of {} dries in a day.", label),
                    Phrase.of(
                            "It holds {} that the tree can take easily and loses {} a day in that season; the soil around it gives little back.",
                            Amount.litres(tank.store()),
                            Amount.of(tank.use(), idlebough.core.measure.Quantity.DECIMAL)),
                    Amount.decimal(tank.days()),
                    Amount.decimal(1),
                    List.of(Remedy.of("plan.date", Phrase.of("Choose a cooler planting date"), Map.of())),
                    Source.published(
                            "Costello & Paul 1975; Nelms & Spomer 1983", idlebough.core.judge.Certainty.FAIR)));
        }
        if (setting.fastSoil()) {
            findings.add(new Finding(
                    DROUGHTY,
                    subject,
                    Standing.DOUBTFUL,
                    Phrase.of("The soil at {} dries fast.", label),
                    Phrase.of(
                            "Its pit drains more than {}: no danger of wet feet, but mulch it and water in smaller turns, more often.",
                            Amount.of(FAST, Quantity.DRAINAGE)),
                    null,
                    Amount.of(FAST, Quantity.DRAINAGE),
                    List.of(Remedy.of(
                            "ways.set",
                            Phrase.of("Mulch {} deeper", label),
                            Map.of(
                                    "way",
                                    "planting.mulch",
                                    "choice",
                                    "thick",
                                    "tree",
                                    subject.substring("tree:".length())))),
                    Source.practice(
                            "above four inches an hour: mulch and frequent water, never a reason not to plant")));
        }
        return findings;
    }
}
