package idlebough.core.planting;

import static idlebough.core.judge.Amount.cm;
import static idlebough.core.judge.Amount.metres;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.RuleTable;
import idlebough.core.judge.Source;
import idlebough.core.judge.Way;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Mound;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.function.ToDoubleFunction;
import java.util.stream.Collectors;

/** What is brought to the place for a planting: the sum of what its trees want, by the ways that hold for each. */
public final class PlantingBill {
    private static final RuleTable TABLE = RuleTable.of("planting");
    private static final double LEAST = 0.5;
    /** Amounts that differ by less than a thousandth are told as the same. */
    private static final double SAME = 1000;

    private static final String NONE = "none";

    private final List<Tree> trees;
    private final List<Line> lines = new ArrayList<>();

    /** A tree to be planted. @param screen its shade, @param waterIn on the day, L */
    public record Tree(String label, PlantingSection section, Optional<Screen> screen, double waterIn) {}

    /**
     * One thing to bring.
     *
     * @param key of its kind
     * @param amount of all trees together
     * @param trees labels of those for which it is
     * @param working made when it is opened
     */
    public record Line(String key, Phrase what, Amount amount, List<String> trees, Supplier<Working> working) {}

    private PlantingBill(List<Tree> trees) {
        this.trees = trees;
    }

    /** Stakes and mesh first, then what is carried by the barrow, then what is poured. */
    public static List<Line> of(List<Tree> trees) {
        PlantingBill bill = new PlantingBill(trees);
        bill.stakes();
        bill.mesh();
        bill.heaps();
        bill.poured();
        return List.copyOf(bill.lines);
    }

    /** @param each how much one tree wants of it */
    private void add(String key, Phrase what, Quantity in, List<Tree> of, ToDoubleFunction<Tree> each) {
        if (!of.isEmpty()) {
            lines.add(new Line(
                    key,
                    what,
                    Amount.of(of.stream().mapToDouble(each).sum(), in),
                    of.stream().map(Tree::label).toList(),
                    () -> working(in, of, each)));
        }
    }

    /** Trees that want as much stand together. */
    private static Working working(Quantity in, List<Tree> of, ToDoubleFunction<Tree> each) {
        Working.Builder steps = Working.of(
                "How {} comes about", Amount.of(of.stream().mapToDouble(each).sum(), in));
        of.stream()
                .collect(Collectors.groupingBy(
                        tree -> Math.rint(each.applyAsDouble(tree) * SAME),
                        TreeMap::new,
                        Collectors.mapping(Tree::label, Collectors.joining(", "))))
                .forEach((much, labels) -> steps.step("{} each: {}", Amount.of(much / SAME, in), labels));
        return steps.sensitive("Each tree's own page shows how its share comes about.")
                .from(Source.practice("the sum of what the trees want, by the ways that hold for each"));
    }

    /** The trees for which there is something, by what it is. */
    private <T extends Comparable<T>> Map<T, List<Tree>> by(Function<Tree, Optional<T>> of) {
        Map<T, List<Tree>> all = new TreeMap<>();
        trees.forEach(tree -> of.apply(tree)
                .ifPresent(key ->
                        all.computeIfAbsent(key, fresh -> new ArrayList<>()).add(tree)));
        return all;
    }

    /** A sum over the trees that want some of it. @param least below which it is none, in the unit of the amount */
    private void sum(String key, Phrase what, Quantity in, double least, ToDoubleFunction<Tree> of) {
        List<Tree> some =
                trees.stream().filter(tree -> of.applyAsDouble(tree) >= least).toList();
        add(key, what, in, some, of);
    }

    private void stakes() {
        by(tree -> tree.section().stake().map(stake -> Math.rint(100 * stake.length())))
                .forEach((length, of) -> add(
                        "stake-" + length.intValue(),
                        Phrase.of("stakes of {}", metres(length / 100)),
                        Quantity.COUNT,
                        of,
                        tree -> stake(tree).count()));
        sum(
                "ties",
                Phrase.of("belt for ties, wide and soft, crossed between stem and stake"),
                Quantity.TAPE,
                0.01,
                tree -> tree.section().stake().map(stake -> belts(tree, stake)).orElse(0.0));
    }

    private static Stake stake(Tree tree) {
        return tree.section().stake().orElseThrow();
    }

    private static double belts(Tree tree, Stake stake) {
        double one = Stake.belt(tree.section().setting().tree().stem(), TABLE.value("stake-thick"), stake.off())
                + TABLE.value("belt-lap");
        return stake.count() * stake.ties().size() * one;
    }

    private void mesh() {
        by(tree -> tree.section().guard().map(guard -> Math.rint(100 * guard.height())))
                .forEach((height, of) -> {
                    Guard guard = of.get(0).section().guard().orElseThrow();
                    add(
                            "guard-" + height.intValue(),
                            Phrase.of(
                                    "mesh for guards {} high, from a roll {} wide, openings {} at most",
                                    metres(height / 100),
                                    cm(guard.roll()),
                                    Amount.fine(guard.opening())),
                            Quantity.TAPE,
                            of,
                            tree -> tree.section().guard().orElseThrow().length());
                    if (guard.posts() > 0) {
                        add(
                                "guard-posts-" + height.intValue(),
                                Phrase.of("posts for these guards, {} above the ground", metres(height / 100)),
                                Quantity.COUNT,
                                of,
                                tree -> guard.posts());
                    }
                });
        by(tree -> Optional.of(tree.section().meshOpening()).filter(opening -> opening > 0))
                .forEach((opening, of) -> add(
                        "mesh-" + Math.round(1000 * opening),
                        Phrase.of(
                                "mesh for the walls of the holes, {} deep, openings {}",
                                cm(0.23),
                                Amount.fine(opening)),
                        Quantity.TAPE,
                        of,
                        tree -> tree.section().mesh()));
        sum(
                "screens",
                Phrase.of("shade cloth of 50 %, and three posts and a ring of mesh for each"),
                Quantity.AREA,
                0.01,
                tree -> tree.screen().map(Screen::area).orElse(0.0));
    }

    private void heaps() {
        by(tree -> Optional.of(school(tree, PlantingWays.MULCH_KIND).name()))
                .forEach((kind, of) -> add(
                        "mulch",
                        Phrase.of("mulch: {}", Phrase.of(kind)),
                        Quantity.VOLUME,
                        of,
                        tree -> tree.section().mulchLitres()));
        sum(
                "compost",
                Phrase.of("compost for the holes"),
                Quantity.VOLUME,
                LEAST,
                tree -> tree.section().compost());
        sum(
                "soil",
                Phrase.of("soil for the holes and up to the flares, in the place of sod and of what is carted off"),
                Quantity.VOLUME,
                LEAST,
                tree -> tree.section().balance().fetched());
        sum(
                "mounds",
                Phrase.of("soil for the mounds, as it is placed"),
                Quantity.EARTH,
                LEAST,
                tree -> tree.section().mound().map(Mound::placed).orElse(0.0) * 1000);
        by(tree -> Optional.of(school(tree, PlantingWays.ADDITIVES))
                        .filter(school -> !school.key().equals(NONE))
                        .map(Way.School::name))
                .forEach((name, of) -> add(
                        "additive",
                        Phrase.of("{}, a little for each", Phrase.of(name)),
                        Quantity.COUNT,
                        of,
                        tree -> 1));
    }

    private void poured() {
        sum(
                "paint",
                Phrase.of("white interior paint, half of it water"),
                Quantity.SMALL_VOLUME,
                0.001,
                tree -> tree.section().paint());
        sum("water", Phrase.of("water, to water in on the day"), Quantity.VOLUME, LEAST, Tree::waterIn);
    }

    private static Way.School school(Tree tree, Way way) {
        return tree.section().setting().school(way);
    }

    /** Those that one person does not lift alone. */
    public static Map<Lift, List<String>> toLift(List<Tree> trees) {
        return trees.stream()
                .collect(Collectors.groupingBy(
                        tree -> tree.section().lift(),
                        TreeMap::new,
                        Collectors.mapping(Tree::label, Collectors.toList())));
    }
}
