package idlebough.core.irrigation;

import static idlebough.core.measure.Quantity.DECIMAL;
import static idlebough.core.measure.Quantity.DRAINAGE;
import static idlebough.core.measure.Quantity.SMALL_VOLUME;

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
import idlebough.core.site.DrainageRate;
import idlebough.core.site.SoilPit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The findings of this room: does the ball dry out between waterings, does the soil. */
public final class WaterRules {
    public static final Rule BALL_DRY = Rule.of("irrigation.ball-dry");
    public static final Rule DROUGHTY = Rule.of("irrigation.droughty");
    private static final RuleTable TABLE = RuleTable.of("irrigation");
    private static final Sentences WORDS = Sentences.of("irrigation");
    private static final String THICK = "thick";

    private WaterRules() {}

    /**
     * @param tree its id, and its label
     * @param crop key of its crop
     * @param mulch the way of mulching, which has a thicker school
     */
    public static List<Finding> judge(String tree, String label, String crop, FirstSeason season, Way mulch) {
        List<Finding> findings = new ArrayList<>();
        if (season.warm()) {
            season.tank()
                    .ifPresent(tank -> findings.add(BALL_DRY.about(Subject.tree(tree))
                            .with("tree", label)
                            .with("store", Amount.litres(tank.store()))
                            .with("use", Amount.of(tank.use(), SMALL_VOLUME))
                            .remedies(List.of(new IrrigationRemedy.ChooseDate(WORDS.say("remedy.cooler", Map.of()))))
                            .judge(
                                    Measured.of(tank.days(), TABLE.value("ball-days-share") * tank.days(), DECIMAL),
                                    TABLE.atLeast("ball-dry", DECIMAL))));
        }
        season.setting()
                .pit()
                .flatMap(SoilPit::rate)
                .filter(rate -> dries(rate))
                .ifPresent(rate -> findings.add(DROUGHTY.about(Subject.tree(tree))
                        .with("tree", label)
                        .remedies(deeper(tree, label, crop, mulch))
                        .judge(measured(rate), limit())));
        return findings;
    }

    /** Empty for a crop that is mulched as thick or thicker anyhow. */
    private static List<Remedy> deeper(String tree, String label, String crop, Way mulch) {
        return mulch.usualFor(crop).value() >= mulch.choose(THICK).value()
                ? List.of()
                : List.of(new Remedy.TakeWay(
                        WORDS.say("remedy.mulch", Map.of("tree", label)), mulch, THICK, Optional.of(tree)));
    }

    /** Whether the soil of a pit lets its water go so fast that it may dry out. */
    static boolean dries(Optional<SoilPit> pit) {
        return pit.flatMap(SoilPit::rate).map(WaterRules::dries).orElse(false);
    }

    private static boolean dries(DrainageRate rate) {
        return Standing.of(measured(rate), limit()) != Standing.SOUND;
    }

    private static Measured measured(DrainageRate rate) {
        return Measured.of(rate.normalisedMmPerHour(), rate.halfWidth(), DRAINAGE);
    }

    private static Limit limit() {
        return TABLE.atMost("droughty", DRAINAGE);
    }
}
