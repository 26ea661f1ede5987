package idlebough.core.orchard;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Crop;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.PlantingSection;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.rootstock.Habit;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Footing;
import idlebough.core.site.Texture;
import idlebough.core.variety.VarietyVerdict;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One old tree and room for two: which two to set beside it, how far, and how high, from nothing but the place's
 * latitude and what is known of the old tree. Uses the same rules as the long road.
 *
 * @param pairs best first; empty where the catalogue has no two that serve each other
 * @param shown whose size and hole are told: the first of the best pair
 * @param size full grown, on the stock
 * @param section how the first of them is planted
 */
public record ShortRoad(Asked asked, List<Pair> pairs, Variety shown, TreeSize size, PlantingSection section) {
    private static final int MOST = 3;

    /**
     * What is known.
     *
     * @param crop of the old tree and of the new ones
     * @param old the old tree's variety; empty where nobody knows it
     * @param oldCrown across, m
     * @param stock for the new ones
     * @param texture of the soil, by the feel of it
     */
    public record Asked(
            Crop crop,
            Optional<Variety> old,
            double oldCrown,
            Optional<Rootstock> stock,
            Texture texture,
            double latitude) {}

    /**
     * Two to plant.
     *
     * @param least the lowest set of a full crop among the two, and the old one where it is known; 0 to 1
     * @param oldSet what the old tree gets from the two; empty where it is not known
     * @param judged whether the winters here were asked
     */
    public record Pair(
            VarietyVerdict first, VarietyVerdict second, double least, Optional<Double> oldSet, boolean judged) {
        /** Two of one variety that crops with its own pollen. */
        public boolean alike() {
            return first.variety().equals(second.variety());
        }

        private double rank() {
            return first.rank() + second.rank();
        }

        /** Whether all get a good set. */
        public boolean serves() {
            return least >= PartnerScore.GOOD;
        }
    }

    public static ShortRoad of(Evaluation evaluation, Asked asked) {
        Catalogue catalogue = evaluation.varieties().catalogue();
        List<VarietyVerdict> may = catalogue.varieties().stream()
                .filter(variety -> variety.crop().equals(asked.crop()))
                .map(variety -> evaluation.varieties().verdict(variety.key()))
                .filter(verdict ->
                        verdict.standing().filter(Standing.STOP::equals).isEmpty())
                .toList();
        List<Pair> pairs = new ArrayList<>();
        for (int i = 0; i < may.size(); i++) {
            boolean cropsAlone = may.get(i).variety().selfFruitful() >= PartnerScore.GOOD;
            for (int j = cropsAlone ? i : i + 1; j < may.size(); j++) {
                pairs.add(pair(may.get(i), may.get(j), asked.old()));
            }
        }
        // Those that serve all come first, the best judged here before the others; then by what the worst of them gets.
        pairs.sort(Comparator.comparing((Pair pair) -> !pair.serves())
                .thenComparing(Pair::alike)
                .thenComparingDouble(pair -> pair.serves() ? pair.rank() : -pair.least())
                .thenComparingDouble(pair -> -pair.least()));
        List<Pair> best =
                pairs.stream().filter(pair -> pair.least() > 0).limit(MOST).toList();
        Variety shown = best.isEmpty()
                ? catalogue.varieties().stream()
                        .filter(variety -> variety.crop().equals(asked.crop()))
                        .findFirst()
                        .orElseThrow()
                : best.get(0).first().variety();
        return new ShortRoad(
                asked,
                best,
                shown,
                TreeSize.of(shown, asked.stock()),
                PlantingSection.of(new PlantingSection.Setting(
                        NurseryTree.usual(shown, asked.stock()),
                        asked.stock(),
                        PlantingSection.Soil.untested(asked.texture()),
                        Footing.GRADE,
                        Map.of(),
                        Optional.empty(),
                        asked.latitude())));
    }

    private static Pair pair(VarietyVerdict a, VarietyVerdict b, Optional<Variety> old) {
        Variety first = a.variety();
        Variety second = b.variety();
        double least = Math.min(set(first, second, old), set(second, first, old));
        Optional<Double> oldSet = old.map(known ->
                PartnerScore.together(known.selfFruitful(), List.of(score(known, first), score(known, second))));
        return new Pair(a, b, oldSet.map(set -> Math.min(set, least)).orElse(least), oldSet, a.judged() && b.judged());
    }

    /** What one gets from itself, the other new one, and the old one where it is known. */
    private static double set(Variety receiver, Variety other, Optional<Variety> old) {
        List<Double> scores = new ArrayList<>(List.of(score(receiver, other)));
        old.ifPresent(known -> scores.add(score(receiver, known)));
        return PartnerScore.together(receiver.selfFruitful(), scores);
    }

    private static double score(Variety receiver, Variety partner) {
        return receiver.key().equals(partner.key())
                ? 0
                : PartnerScore.of(receiver, partner, 0, 1).value();
    }

    /** From the old stem, so that crowns do not meet when both are full grown, m. */
    public double fromOld() {
        return (asked.oldCrown() + size.spread()) / 2;
    }

    /** How {@link #fromOld} comes about. */
    public Working fromOldWorking() {
        return Working.of("How {} comes about", Amount.metres(fromOld()))
                .step("half of the old crown, {}", Amount.metres(asked.oldCrown() / 2))
                .step("+ half of a new one when it is full grown, {}", Amount.metres(size.spread() / 2))
                .sensitive("Most sensitive to the full-grown width, which is told to a fifth.")
                .from(RuleTable.of("layout").source("crowded"));
    }

    /** How {@link #between} comes about. */
    public Working betweenWorking() {
        return asked.stock()
                .map(stock -> TreeSize.working(shown, stock, Habit.USUAL))
                .orElseGet(() -> Working.of("How {} comes about", Amount.metres(between()))
                        .step("the width of the variety on its own roots")
                        .from(RuleTable.of("layout").source("crowded")));
    }

    /** How {@link #reach} comes about. */
    public Working reachWorking() {
        boolean wind = asked.crop().vector() == Crop.Vector.WIND;
        return Working.of("How {} comes about", Amount.metres(reach()))
                .step(wind ? "wind carries its pollen" : "insects carry its pollen from crown to crown")
                .from(RuleTable.of("pollination").source(wind ? "reach.wind" : "reach.insect"));
    }

    /** How the lowest set of a pair comes about. */
    public Working setWorking(Pair pair) {
        Working.Builder steps = Working.of("How {} comes about", Amount.of(pair.least(), Quantity.SCORE));
        for (Variety each : List.of(pair.first().variety(), pair.second().variety())) {
            Variety other = each.equals(pair.first().variety())
                    ? pair.second().variety()
                    : pair.first().variety();
            steps.step(
                    "{} gets {} from its own pollen, the other new one and the old one",
                    each.name(),
                    Amount.of(set(each, other, asked.old()), Quantity.SCORE));
        }
        pair.oldSet().ifPresent(set -> steps.step("the old one gets {} from the two", Amount.of(set, Quantity.SCORE)));
        return steps.step("the least of these; 1 is a full crop")
                .sensitive("Most sensitive to the bloom, which is told by groups here.")
                .from(RuleTable.of("pollination").source("partner"));
    }

    /** Between the two, m. */
    public double between() {
        return size.spread();
    }

    /** How far a partner may stand at most and still serve well, m. */
    public double reach() {
        return PartnerScore.reach(asked.crop().vector());
    }
}
