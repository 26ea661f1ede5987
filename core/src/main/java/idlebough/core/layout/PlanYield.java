package idlebough.core.layout;

import idlebough.core.crop.Cropping;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What all trees of a plan bring in one year and at full crop, kg; frost and resting years are not in it. Fillers bring
 * until they go, and nothing at full crop.
 *
 * @param parts by variety and stock, those that bring most first
 * @see Cropping
 */
public record PlanYield(double inYear, double full, List<Part> parts) {
    private static final int TOLD = 8;

    /**
     * Trees of one variety on one stock.
     *
     * @param inYear and full: kg of all of them
     */
    public record Part(String words, int trees, double inYear, double full) {
        private Part and(Part other) {
            return new Part(words, trees + other.trees, inYear + other.inYear, full + other.full);
        }
    }

    /** @param year after the planting date */
    public static PlanYield of(Collection<Stand> stands, LayoutStage layout, double year) {
        Map<String, Part> parts = new TreeMap<>();
        for (Stand stand : stands) {
            Cropping.of(stand.crop(), stand.stock()).ifPresent(brings -> {
                PlannedTree tree = layout.tree(stand.id());
                boolean there = year < layout.outIn(tree).orElse(Double.POSITIVE_INFINITY);
                String words = stand.variety().label()
                        + stand.stock().map(stock -> " on " + stock.name()).orElse("");
                parts.merge(
                        words,
                        new Part(
                                words,
                                1,
                                there ? brings.in(tree.age() + year) : 0,
                                tree.filler() ? 0 : brings.kg().middle()),
                        Part::and);
            });
        }
        List<Part> sorted = new ArrayList<>(parts.values());
        sorted.sort(Comparator.comparingDouble(Part::inYear).reversed());
        return new PlanYield(
                sorted.stream().mapToDouble(Part::inYear).sum(),
                sorted.stream().mapToDouble(Part::full).sum(),
                List.copyOf(sorted));
    }

    public Working working() {
        Working.Builder steps = Working.of("How {} comes about", Amount.of(inYear, Quantity.MASS));
        parts.stream()
                .limit(TOLD)
                .forEach(part -> steps.step(
                        "{} of {}: {}, at full crop {}",
                        Amount.count(part.trees()),
                        part.words(),
                        Amount.of(part.inYear(), Quantity.MASS),
                        Amount.of(part.full(), Quantity.MASS)));
        if (parts.size() > TOLD) {
            steps.step(
                    "all others: {}",
                    Amount.of(
                            parts.stream().skip(TOLD).mapToDouble(Part::inYear).sum(), Quantity.MASS));
        }
        return steps.sensitive("Most sensitive to frost and to resting years; neither is in it.")
                .from(Source.practice("RHS (Baker 1980), Westwood 1993, UC ANR 3485, by crop and stock"));
    }
}
