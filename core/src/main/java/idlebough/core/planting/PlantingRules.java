package idlebough.core.planting;

import static idlebough.core.judge.Amount.fine;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Source;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The findings of this room: will flare and union stand right after settling, and who lifts the tree. */
public final class PlantingRules {
    public static final String FLARE_BURIED = "planting.flare-buried";
    public static final String FLARE_HIGH = "planting.flare-high";
    public static final String UNION_LOW = "planting.union-low";
    public static final String UNION_BELOW_MULCH = "planting.union-below-mulch";
    public static final String UNION_NOT_MEASURED = "planting.union-not-measured";
    public static final String LIFT = "planting.lift";
    public static final String AS_PLANTED = "planting.as-planted";
    /** How well a stick across the hole is read, m. */
    private static final double READING = 0.005;

    private static final double AS_PLANTED_TOLERANCE = 0.02;
    private static final double FLARE_MAX = 0.05;
    private static final double FLARE_MAX_HEAVY = 0.10;
    private static final Source BURIED =
            Source.practice("most trees found planted too deep: flare never below the finished ground");
    private static final Source UNION = Source.practice(
            "union 10–15 cm above ground on dwarfing stocks, 5–10 on vigorous, 15 on citrus; never buried");

    private PlantingRules() {}

    /** @param id of the tree, @param label as it stands on the peg */
    public static List<Finding> judge(String id, String label, PlantingSection section) {
        List<Finding> findings = new ArrayList<>();
        String subject = "tree:" + id;
        double band = section.settlingHalfWidth();
        double flare = section.flareAtLast();
        Standing buried = Standing.of(flare, band, 0, 0, Standing.Wanted.AT_LEAST);
        findings.add(new Finding(
                FLARE_BURIED,
                subject,
                buried,
                buried == Standing.SOUND
                        ? Phrase.of("The flare of {} stays above ground.", label)
                        : Phrase.of("The flare of {} may sink below ground.", label),
                Phrase.of("It will stand {} above the board after settling, give or take {}.", fine(flare), fine(band)),
                fine(flare),
                fine(0),
                List.of(way(PlantingWays.BASE.key(), "firm", "Leave the bottom firm", id)),
                BURIED));
        double most = section.setting().texture().traits().heavy() ? FLARE_MAX_HEAVY : FLARE_MAX;
        Standing high = flare <= most + 1e-9
                ? Standing.SOUND
                : Standing.of(flare, band, most, READING, Standing.Wanted.AT_MOST);
        if (high != Standing.SOUND) {
            findings.add(new Finding(
                    FLARE_HIGH,
                    subject,
                    high,
                    Phrase.of("{} must stand too proud to keep its union clear.", label),
                    Phrase.of(
                            "The flare would end {} above ground, {} is the most; its union sits only {} above the flare. That is a fault of the tree.",
                            fine(flare),
                            fine(most),
                            fine(section.setting().tree().union())),
                    fine(flare),
                    fine(most),
                    List.of(measure(id, label)),
                    BURIED));
        }
        if (section.hasUnion()) {
            union(findings, id, label, section, subject, band);
        }
        Lift lift = section.lift();
        if (lift == Lift.TWO || lift == Lift.AID) {
            double weight = section.setting().tree().weight();
            findings.add(new Finding(
                    LIFT,
                    subject,
                    Standing.DOUBTFUL,
                    Phrase.of("{} is heavy: {}.", label, lift.words()),
                    Phrase.of(
                            "About {}; one person should not lift more than {} close to the body. Carry the ball, never the stem.",
                            Amount.of(weight, Quantity.MASS),
                            Amount.of(25, Quantity.MASS)),
                    Amount.of(weight, Quantity.MASS),
                    Amount.of(25, Quantity.MASS),
                    List.of(measure(id, label)),
                    Source.published("bands after HSE L23", idlebough.core.judge.Certainty.FAIR)));
        }
        return findings;
    }

    private static void union(
            List<Finding> findings, String id, String label, PlantingSection section, String subject, double band) {
        double union = section.unionAtLast();
        boolean measured = section.setting().tree().unionAboveFlare() != null;
        if (!measured) {
            findings.add(new Finding(
                    UNION_NOT_MEASURED,
                    subject,
                    Standing.DOUBTFUL,
                    Phrase.of("The union of {} is not measured yet.", label),
                    Phrase.of(
                            "Until you measure it on the tree, {} from flare to union is reckoned with.",
                            fine(NurseryTree.USUAL_UNION)),
                    null,
                    null,
                    List.of(measure(id, label)),
                    UNION));
        }
        double half = Math.hypot(band, READING);
        // The setting is chosen so that the least is just reached; only what falls short of it by more than the reading
        // is a doubt.
        Standing low = union >= section.unionMin() - 1e-9
                ? Standing.SOUND
                : Standing.of(union, half, section.unionMin(), 0, Standing.Wanted.AT_LEAST);
        findings.add(new Finding(
                UNION_LOW,
                subject,
                low,
                low == Standing.SOUND
                        ? Phrase.of("The union of {} clears the ground.", label)
                        : Phrase.of("The union of {} ends too low.", label),
                Phrase.of(
                        "After settling it stands {} above the board; at least {} is wanted on this stock.",
                        fine(union),
                        fine(section.unionMin())),
                fine(union),
                fine(section.unionMin()),
                List.of(measure(id, label)),
                UNION));
        double clear = union - section.mulchDepth();
        Standing mulch = Standing.of(clear, half, PlantingSection.ABOVE_MULCH, 0, Standing.Wanted.AT_LEAST);
        if (mulch != Standing.SOUND && clear >= PlantingSection.ABOVE_MULCH) {
            mulch = Standing.SOUND;
        }
        List<Remedy> remedies = new ArrayList<>();
        if (section.mulchDepth() > 0.05) {
            remedies.add(way(PlantingWays.MULCH.key(), "thin", "Mulch this one thinner", id));
        }
        remedies.add(measure(id, label));
        findings.add(new Finding(
                UNION_BELOW_MULCH,
                subject,
                mulch,
                mulch == Standing.SOUND
                        ? Phrase.of("The union of {} clears the mulch.", label)
                        : Phrase.of("The mulch comes too near the union of {}.", label),
                Phrase.of(
                        "Union {} above the board, mulch {} deep: {} between them, {} is wanted, or a wider clear ring.",
                        fine(union),
                        fine(section.mulchDepth()),
                        fine(clear),
                        fine(PlantingSection.ABOVE_MULCH)),
                fine(clear),
                fine(PlantingSection.ABOVE_MULCH),
                remedies,
                UNION));
    }

    /** Judges the union height measured over the board on the day, m. */
    public static Finding asPlanted(String id, String label, PlantingSection section, double measured) {
        String subject = "tree:" + id;
        double planned = section.unionToday();
        double atLast = measured - section.settling().total();
        double flare = atLast - section.setting().tree().union();
        double off = measured - planned;
        double least = Math.max(section.unionMin(), section.setting().tree().union());
        Standing standing =
                Standing.of(atLast, READING + section.settlingHalfWidth(), least, 0, Standing.Wanted.AT_LEAST);
        if (atLast >= least && Math.abs(off) <= AS_PLANTED_TOLERANCE) {
            standing = Standing.SOUND;
        }
        if (off > FLARE_MAX) {
            standing = standing.worse(Standing.DOUBTFUL);
        }
        Phrase headline = standing == Standing.SOUND
                ? Phrase.of("{} stands as planned.", label)
                : off < 0
                        ? Phrase.of(
                                "{} stands {} lower than planned. Lift it now, while it is loose.", label, fine(-off))
                        : Phrase.of("{} stands {} prouder than planned.", label, fine(off));
        return new Finding(
                AS_PLANTED,
                subject,
                standing,
                headline,
                Phrase.of(
                        "Measured {}, planned {}. After settling the union will stand {} and the flare {} above the board.",
                        fine(measured),
                        fine(planned),
                        fine(atLast),
                        fine(flare)),
                fine(measured),
                fine(planned),
                List.of(Remedy.of("planting.measure", Phrase.of("Measure {} again", label), Map.of("tree", id))),
                UNION);
    }

    private static Remedy measure(String id, String label) {
        return Remedy.of("planting.tree", Phrase.of("Enter what you measured on {}", label), Map.of("tree", id));
    }

    private static Remedy way(String key, String choice, String label, String tree) {
        return Remedy.of("ways.set", Phrase.of(label), Map.of("way", key, "choice", choice, "tree", tree));
    }
}
