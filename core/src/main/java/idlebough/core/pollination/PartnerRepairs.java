package idlebough.core.pollination;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Subject;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.variables.BoolVar;

/**
 * What would give the lonely trees of a plan their partners: the fewest varieties to add, each where it serves most.
 *
 * <p>A covering problem: every tree that wants partners is covered by those that would mend it; the fewest are chosen,
 * and among as few those that stand further ahead in the order of the candidates (solved by choco).
 */
public final class PartnerRepairs {
    private static final RuleTable TABLE = RuleTable.of("pollination");
    /** Varieties tried for each kind of fruit, and places for each: more cost time and change nothing that is shown. */
    private static final int MOST_VARIETIES = 40;

    private static final int MOST_PLACES = 25;
    private static final int MOST_SPARES = 6;
    private static final String LONGEST = "2s";
    private static final int STEPS = 100;

    private final PartnerWeb web;
    private final List<Variety> candidates;
    private final List<Wanting> wanting;

    /** @param partners how many more it wants */
    private record Wanting(Flowering tree, int partners) {}

    /**
     * @param variety to add as a tree beside one that stands
     * @param beside the tree beside which it serves most
     * @param mends the trees that it gives a partner
     * @param surely whether it would do so too if their bloom were told one step wrong
     */
    public record Repair(Variety variety, Flowering beside, List<Flowering> mends, boolean surely) {
        static final Comparator<Repair> MOST_FIRST =
                Comparator.comparingInt((Repair repair) -> -repair.mends().size());
    }

    /**
     * A tree that may become another one: it is not in the ground yet.
     *
     * @param several whether it stands for more than one that is wanted and has no place yet, so that one can change
     */
    public record Spare(Flowering tree, boolean several) {}

    /**
     * How a repair may be done without another tree.
     *
     * @param branchOn the tree that would take it as a branch; empty where the two are of kinds that do not take, or a
     *     branch gives too little
     * @param inPlaceOf a tree that the plan can spare; empty where none can be
     */
    public record Instead(Optional<Flowering> branchOn, Optional<Spare> inPlaceOf) {}

    /** @param candidates those that may be planted, the preferred first */
    public PartnerRepairs(PartnerWeb web, List<Variety> candidates) {
        this.web = web;
        this.candidates = List.copyOf(candidates);
        wanting = web.trees().stream()
                .map(tree -> new Wanting(tree, wanted(web.around(tree))))
                .filter(want -> want.partners() > 0)
                .toList();
    }

    private static int wanted(Neighbourhood around) {
        if (around.tree().variety().crop().vector() == Crop.Vector.NONE) {
            return 0;
        }
        if (around.tree().variety().triploid()) {
            return (int) Math.max(0, TABLE.value("triploid") - around.giving().size());
        }
        return around.set() >= PartnerScore.GOOD ? 0 : 1;
    }

    /** The trees that want a partner. */
    public List<Flowering> lonely() {
        return wanting.stream().map(Wanting::tree).toList();
    }

    /** Each candidate at each place where it mends anything; the one that mends most trees first. */
    private List<Repair> all() {
        Map<String, Integer> perKind = new LinkedHashMap<>();
        List<Repair> repairs = new ArrayList<>();
        for (Variety candidate : candidates) {
            List<Wanting> kind = wanting.stream()
                    .filter(want -> Pairing.related(candidate, want.tree().variety()))
                    .toList();
            if (kind.isEmpty() || perKind.merge(candidate.crop().like(), 1, Integer::sum) > MOST_VARIETIES) {
                continue;
            }
            repairs.addAll(places(candidate, kind));
        }
        return repairs.stream().sorted(Repair.MOST_FIRST).toList();
    }

    private List<Repair> places(Variety candidate, List<Wanting> kind) {
        return places(kind).stream()
                .map(beside -> repair(candidate, beside, kind))
                .filter(repair -> !repair.mends().isEmpty())
                .toList();
    }

    private Repair repair(Variety candidate, Flowering beside, List<Wanting> kind) {
        List<Flowering> mended = kind.stream()
                .map(Wanting::tree)
                .filter(tree -> mends(candidate, beside.place(), tree))
                .toList();
        return new Repair(
                candidate, beside, mended, mended.stream().allMatch(tree -> surely(candidate, beside.place(), tree)));
    }

    /** Trees beside which a partner is tried: the lonely ones, but none so near to an earlier one that it serves both. */
    private static List<Flowering> places(List<Wanting> kind) {
        List<Flowering> places = new ArrayList<>();
        for (Wanting want : kind) {
            double reach = PartnerScore.reach(want.tree().variety().crop().vector()) / 2;
            if (places.size() < MOST_PLACES
                    && places.stream().noneMatch(place -> place.distance(want.tree()) < reach)) {
                places.add(want.tree());
            }
        }
        return places;
    }

    /** @param spares trees that may be changed, in the order in which they are tried */
    public Instead instead(Repair repair, List<Spare> spares) {
        Flowering beside = repair.beside();
        boolean takes = beside.subject().kind() == Subject.Kind.TREE
                && !beside.graft()
                && beside.variety().crop().like().equals(repair.variety().crop().like())
                && repair.mends().stream()
                        .allMatch(tree -> mends(repair.variety(), beside.place(), tree, TABLE.value("graft")));
        List<Spare> near = spares.stream()
                .filter(spare -> Pairing.related(spare.tree().variety(), repair.variety()))
                .filter(spare -> !repair.mends().contains(spare.tree()) || spare.several())
                .filter(spare ->
                        !spare.tree().variety().key().equals(repair.variety().key()))
                .sorted(Comparator.comparing((Spare spare) -> !spare.tree()
                                .variety()
                                .crop()
                                .equals(repair.variety().crop()))
                        .thenComparingDouble(spare -> spare.tree().distance(beside)))
                .limit(MOST_SPARES)
                .toList();
        return new Instead(
                takes ? Optional.of(beside) : Optional.empty(),
                near.stream().filter(spare -> canBeSpared(spare, repair)).findFirst());
    }

    /** Whether in its place the other variety mends what it should, and nobody else is left alone. */
    private boolean canBeSpared(Spare spare, Repair repair) {
        if (spare.several()) {
            return true;
        }
        Flowering other = new Flowering(
                spare.tree().subject(),
                spare.tree().label(),
                repair.variety(),
                spare.tree().place());
        PartnerWeb after = web.with(spare.tree(), other);
        Set<String> still = after.trees().stream()
                .filter(tree -> wanted(after.around(tree)) > 0)
                .map(Flowering::id)
                .collect(Collectors.toSet());
        Set<String> before = lonely().stream().map(Flowering::id).collect(Collectors.toSet());
        return before.containsAll(still)
                && repair.mends().stream()
                        .noneMatch(tree ->
                                still.contains(tree.id()) && !tree.variety().triploid());
    }

    private boolean mends(Variety candidate, Optional<Point> place, Flowering tree) {
        return mends(candidate, place, tree, 1);
    }

    private boolean mends(Variety candidate, Optional<Point> place, Flowering tree, double reliability) {
        if (candidate.key().equals(tree.variety().key())) {
            return false;
        }
        double score = score(candidate, place, tree).value() * reliability;
        Neighbourhood around = web.around(tree);
        if (tree.variety().triploid()) {
            boolean known = around.giving().stream()
                    .anyMatch(link -> link.partner().variety().key().equals(candidate.key()));
            return score >= PartnerScore.THIN && !known;
        }
        return together(around.set(), score) >= PartnerScore.GOOD;
    }

    private boolean surely(Variety candidate, Optional<Point> place, Flowering tree) {
        double worse = score(candidate, place, tree).oneStepWorse(tree.variety());
        return together(web.around(tree).worseSet(), worse) >= PartnerScore.GOOD + TABLE.halfWidth("partner");
    }

    private PartnerScore score(Variety candidate, Optional<Point> place, Flowering tree) {
        double apart = place.isEmpty() || tree.place().isEmpty()
                ? 0
                : place.get().distance(tree.place().get());
        return web.score(tree.variety(), candidate, apart);
    }

    private static double together(double set, double score) {
        return 1 - (1 - set) * (1 - score);
    }

    /** The fewest that give every tree that can be mended what it wants; empty when none can be. */
    public List<Repair> fewest() {
        List<Repair> all = undominated(all());
        if (all.isEmpty()) {
            return List.of();
        }
        Model model = new Model("partners");
        BoolVar[] taken = model.boolVarArray(all.size());
        for (Wanting want : wanting) {
            BoolVar[] serving = serving(all, taken, want);
            if (serving.length > 0) {
                model.sum(serving, ">=", Math.min(want.partners(), serving.length))
                        .post();
            }
        }
        var cost = model.intVar("cost", 0, all.size() * STEPS * (all.size() + 2) * 2);
        int[] weights = new int[all.size()];
        for (int i = 0; i < weights.length; i++) {
            // One fewer outweighs what is sure, and that any place in the order.
            int place = candidates.indexOf(all.get(i).variety()) * STEPS / candidates.size();
            weights[i] = STEPS * (all.size() + 1) * 2 + (all.get(i).surely() ? 0 : STEPS) + place;
        }
        model.scalar(taken, weights, "=", cost).post();
        model.getSolver().limitTime(LONGEST);
        Solution found = model.getSolver().findOptimalSolution(cost, Model.MINIMIZE);
        if (found == null) {
            return List.of();
        }
        List<Repair> chosen = new ArrayList<>();
        for (int i = 0; i < taken.length; i++) {
            if (found.getIntVal(taken[i]) == 1) {
                chosen.add(all.get(i));
            }
        }
        return chosen.stream().sorted(Repair.MOST_FIRST).toList();
    }

    private static BoolVar[] serving(List<Repair> all, BoolVar[] taken, Wanting want) {
        List<BoolVar> serving = new ArrayList<>();
        for (int i = 0; i < taken.length; i++) {
            if (all.get(i).mends().contains(want.tree())) {
                serving.add(taken[i]);
            }
        }
        return serving.toArray(new BoolVar[0]);
    }

    /** Without those that mend no more than two varieties that are preferred, since some trees want two. */
    private List<Repair> undominated(List<Repair> all) {
        List<Repair> byPreference = all.stream()
                .sorted(Comparator.comparing((Repair repair) -> !repair.surely())
                        .thenComparingInt(repair -> candidates.indexOf(repair.variety()))
                        .thenComparing(Repair.MOST_FIRST))
                .toList();
        List<Repair> kept = new ArrayList<>();
        for (Repair repair : byPreference) {
            long better = kept.stream()
                    .filter(other -> other.mends().containsAll(repair.mends()))
                    .map(other -> other.variety().key())
                    .distinct()
                    .count();
            if (better < TABLE.value("triploid")) {
                kept.add(repair);
            }
        }
        return kept;
    }
}
