package idlebough.core.pollination;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Subject;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.pollination.Neighbourhood.Link;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Who pollinates whom in one plan.
 *
 * <p>For every tree the nearest tree of each variety of its kind is found, by one index for each variety; what does not
 * change between two webs is taken over, so that moving one tree costs one search for each tree of its kind. Nothing is
 * quadratic in trees except {@link #partnersOf}, which lists one tree's partners.
 */
public final class PartnerWeb {
    private static final int TOLD = 6;
    /** All that give pollen: the trees, and what stands on the ground or over the fence. */
    private final List<Flowering> givers;

    private final List<Flowering> trees;
    private final BloomTimes times;
    private final PollenTable pollen;
    private final Map<String, NearestOfVariety> byVariety = new LinkedHashMap<>();
    private final Map<String, Variety> varieties = new LinkedHashMap<>();
    private final Map<String, Neighbourhood> neighbourhoods = new LinkedHashMap<>();

    private PartnerWeb(Collection<Flowering> trees, BloomTimes times, PartnerWeb before) {
        this.times = times;
        this.givers = List.copyOf(trees);
        this.trees = givers.stream()
                .filter(tree -> tree.subject().kind() != Subject.Kind.FEATURE)
                .toList();
        Map<String, List<Flowering>> grouped = new LinkedHashMap<>();
        givers.forEach(tree -> {
            varieties.put(tree.variety().key(), tree.variety());
            grouped.computeIfAbsent(tree.variety().key(), key -> new ArrayList<>())
                    .add(tree);
        });
        boolean same = before != null
                && times.same(before.times)
                && varieties.entrySet().stream()
                        .allMatch(entry -> entry.getValue()
                                .equals(before.varieties.getOrDefault(entry.getKey(), entry.getValue())));
        pollen = same ? before.pollen : new PollenTable(times);
        grouped.forEach((variety, group) -> {
            NearestOfVariety then = same ? before.byVariety.get(variety) : null;
            byVariety.put(variety, then != null && then.trees().equals(group) ? then : new NearestOfVariety(group));
        });
        Set<String> touched = touched(same ? before : null);
        this.trees.forEach(tree -> neighbourhoods.put(
                tree.id(),
                neighbourhood(
                        tree,
                        same ? before : null,
                        touched.contains(tree.variety().key()))));
    }

    /** Varieties that may have other neighbours than before, because a related variety has other trees. */
    private Set<String> touched(PartnerWeb before) {
        if (before == null || !List.copyOf(byVariety.keySet()).equals(List.copyOf(before.byVariety.keySet()))) {
            return byVariety.keySet();
        }
        List<Variety> changed = byVariety.entrySet().stream()
                .filter(group -> before.byVariety.get(group.getKey()) != group.getValue())
                .map(group -> varieties.get(group.getKey()))
                .toList();
        return varieties.values().stream()
                .filter(variety -> changed.stream().anyMatch(other -> Pairing.related(other, variety)))
                .map(Variety::key)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** By bloom groups alone. */
    public static PartnerWeb of(Collection<Flowering> trees) {
        return of(trees, BloomTimes.NONE, null);
    }

    /** @param before what is the same in it is taken over; null for none */
    public static PartnerWeb of(Collection<Flowering> trees, BloomTimes times, PartnerWeb before) {
        return new PartnerWeb(trees, times, before);
    }

    /** The same with one tree in place of another. */
    PartnerWeb with(Flowering tree, Flowering other) {
        return of(givers.stream().map(each -> each.equals(tree) ? other : each).toList(), times, this);
    }

    private Neighbourhood neighbourhood(Flowering tree, PartnerWeb before, boolean touched) {
        Neighbourhood then = before == null ? null : before.neighbourhoods.get(tree.id());
        boolean stayed = then != null && then.tree().equals(tree);
        if (stayed && !touched) {
            return then;
        }
        List<Link> nearest = new ArrayList<>();
        byVariety.forEach((key, group) -> {
            if (Pairing.related(varieties.get(key), tree.variety())) {
                boolean known = stayed && before.byVariety.get(key) == group;
                (known ? linkIn(then, key) : link(tree, group)).ifPresent(nearest::add);
            }
        });
        return stayed && then.nearest().equals(nearest) ? then : new Neighbourhood(tree, List.copyOf(nearest));
    }

    private static Optional<Link> linkIn(Neighbourhood then, String variety) {
        return then.nearest().stream()
                .filter(link -> link.partner().variety().key().equals(variety))
                .findFirst();
    }

    private Optional<Link> link(Flowering tree, NearestOfVariety group) {
        return best(tree, group.nearestTo(tree));
    }

    private Optional<Link> best(Flowering tree, List<Flowering> others) {
        return others.stream().map(other -> link(tree, other)).min(Link.BEST_FIRST);
    }

    /** What one tree gets from another. */
    public Link link(Flowering tree, Flowering other) {
        return new Link(
                other,
                PartnerScore.of(
                        tree.variety(),
                        pollen.of(tree.variety(), other.variety()),
                        tree.distance(other),
                        other.reliability()));
    }

    /** What a tree of one variety gets from one of another at a distance, m. */
    PartnerScore score(Variety receiver, Variety partner, double apart) {
        return PartnerScore.of(receiver, pollen.of(receiver, partner), apart, 1);
    }

    /** How a tree would stand if one of its partners were lost: the next of that variety takes its place. */
    Neighbourhood without(Neighbourhood around, Flowering lost) {
        List<Link> left = new ArrayList<>();
        around.nearest().forEach(link -> {
            if (!link.partner().id().equals(lost.id())) {
                left.add(link);
            } else {
                best(around.tree(), byVariety.get(lost.variety().key()).nextTo(around.tree(), lost))
                        .ifPresent(left::add);
            }
        });
        return new Neighbourhood(around.tree(), List.copyOf(left));
    }

    /** Those that are looked at: the trees of the plan, and choices without a place. */
    public List<Flowering> trees() {
        return trees;
    }

    /** All that give pollen: the trees, and what stands on the ground or over the fence. */
    public List<Flowering> givers() {
        return givers;
    }

    public Optional<Flowering> find(String id) {
        return Optional.ofNullable(neighbourhoods.get(id)).map(Neighbourhood::tree);
    }

    /** @throws IllegalArgumentException when the tree is not in the web */
    public Neighbourhood around(Flowering tree) {
        Neighbourhood around = neighbourhoods.get(tree.id());
        if (around == null) {
            throw new IllegalArgumentException("No tree " + tree.id() + " is in this web.");
        }
        return around;
    }

    /** Each tree's, by its id, in the order of the trees. */
    public Map<String, Neighbourhood> neighbourhoods() {
        return java.util.Collections.unmodifiableMap(neighbourhoods);
    }

    /** Every other tree of the same kind of fruit, best first; looks at all trees. */
    public List<Link> partnersOf(Flowering receiver) {
        return givers.stream()
                .filter(other ->
                        !other.id().equals(receiver.id()) && Pairing.related(other.variety(), receiver.variety()))
                .map(other -> link(receiver, other))
                .sorted(Link.BEST_FIRST)
                .toList();
    }

    /** What a tree gets from itself and all partners, counting each variety once, by its best tree; 0 to 1. */
    public double setOf(Flowering receiver) {
        return around(receiver).set();
    }

    /** How {@link #setOf} comes about. */
    public Working setWorking(Flowering receiver) {
        Amount set = Amount.of(setOf(receiver), Quantity.SCORE);
        Working.Builder steps = Working.of("How {} comes about", set)
                .step("its own pollen gives {}", Amount.of(receiver.variety().selfFruitful(), Quantity.SCORE));
        around(receiver).nearest().stream()
                .sorted(Link.BEST_FIRST)
                .limit(TOLD)
                .forEach(link -> steps.step(
                        "{} gives {}",
                        link.partner().label(),
                        Amount.of(link.score().value(), Quantity.SCORE)));
        return steps.step(
                        "together 1 − the product of what each leaves undone = {}; each variety counts once, by "
                                + "its best"
                                + " tree",
                        set)
                .sensitive("Most sensitive to the best partner's bloom.")
                .from(RuleTable.of("pollination").source("reach.insect"));
    }

    /** Varieties of the catalogue that would serve this tree well if planted beside it, best first. */
    public List<Link> wouldServe(Flowering tree, Catalogue catalogue) {
        return catalogue.varieties().stream()
                .filter(candidate -> !candidate.key().equals(tree.variety().key()))
                .map(candidate -> new Link(
                        new Flowering(Subject.variety(candidate.key()), candidate.label(), candidate, Optional.empty()),
                        PartnerScore.of(tree.variety(), pollen.of(tree.variety(), candidate), 0, 1)))
                .filter(link -> link.score().value() >= PartnerScore.GOOD)
                .sorted(Link.BEST_FIRST)
                .toList();
    }
}
