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
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * What the years do to a plan.
 *
 * @param closed gaps between nearest neighbours that have closed by a year, in the order in which they close
 * @param gone fillers that are out by then
 * @param old trees that are past the years for which such trees are kept
 * @param covered ground under the crowns, m²; where crowns overlap it is counted twice
 */
public record PlanYears(List<Gap> closed, List<PlannedTree> gone, List<Old> old, double covered) {

    /**
     * How the open ground comes about.
     *
     * @param ground of the whole plot, m²
     */
    public Working openWorking(double ground) {
        return Working.of("How {} come about", Amount.of(ground - covered, Quantity.AREA))
                .step("{} of ground in the boundary", Amount.of(ground, Quantity.AREA))
                .step("− {} under all crowns, π/4 × width × depth of each", Amount.of(covered, Quantity.AREA))
                .sensitive("Where crowns overlap ground is counted twice; houses, paths and water are not taken off.")
                .from(Source.practice("crowns by the growth curve; vegetables want full sun beside them"));
    }

    /** @param year in which two crowns meet */
    public record Gap(PlannedTree a, PlannedTree b, double year) {}

    /** @param year after planting about which it is replaced: the middle of what is told of its crop and stock */
    public record Old(PlannedTree tree, double year) {}

    /** @param year after the planting date */
    public static PlanYears of(Collection<Stand> stands, LayoutStage layout, double year) {
        List<Gap> closed = new ArrayList<>();
        List<PlannedTree> gone = new ArrayList<>();
        List<Old> old = new ArrayList<>();
        double covered = 0;
        Set<Set<String>> seen = new HashSet<>();
        for (Stand stand : stands) {
            PlannedTree tree = layout.tree(stand.id());
            if (layout.outIn(tree).orElse(Double.POSITIVE_INFINITY) <= year) {
                gone.add(tree);
                continue;
            }
            covered += tree.after(year).covers();
            if (!tree.filler()) {
                layout.nearest(tree)
                        .filter(other -> seen.add(Set.of(tree.id(), other.id())))
                        .map(other -> new Gap(tree, other, Crowns.yearOfTouch(tree, other)))
                        .filter(gap -> gap.year() <= year)
                        .ifPresent(closed::add);
                Cropping.of(stand.crop(), stand.stock())
                        .map(brings -> new Old(tree, brings.life().middle() - tree.age()))
                        .filter(each -> each.year() <= year)
                        .ifPresent(old::add);
            }
        }
        closed.sort(Comparator.comparingDouble(Gap::year));
        return new PlanYears(closed, gone, old, covered);
    }
}
