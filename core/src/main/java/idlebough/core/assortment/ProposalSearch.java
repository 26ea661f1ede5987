package idlebough.core.assortment;

import idlebough.core.crop.Variety;
import idlebough.core.judge.RuleTable;
import idlebough.core.pollination.PartnerScore;
import idlebough.core.variety.Choice;
import java.time.Month;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.BooleanSupplier;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.chocosolver.solver.Model;
import org.chocosolver.solver.Solution;
import org.chocosolver.solver.Solver;
import org.chocosolver.solver.search.limits.FailCounter;
import org.chocosolver.solver.search.loop.lns.INeighborFactory;
import org.chocosolver.solver.search.strategy.Search;
import org.chocosolver.solver.variables.BoolVar;
import org.chocosolver.solver.variables.IntVar;

/**
 * Up to five different sets of variety and stock that keep the hard rules and trade the wishes (solved by choco).
 *
 * <p>Hard: nothing that is stopped; no more trees and no more ground than there is; one stock for a variety; every tree
 * that does not crop alone has a variety beside it that serves it, a triploid two. What a set is worth: the first tree
 * of a crop most, by how much the crop matters, the second and further ones less; each wished month with own fruit;
 * each variety a little; less for what is in doubt ({@code assortment/rules.csv}).
 *
 * <p>Each search is bounded by steps; the clock is an emergency stop alone, and a proposal says which ended it. The
 * same
 * wish gives the same proposals.
 */
public final class ProposalSearch {
    private static final RuleTable TABLE = RuleTable.of("assortment");
    private static final int FIVE = 5;
    /** Of one try, before another part of the set is let go. */
    private static final int FAILS = 100;

    private static final int SQUARE_DM = 100;

    private final Candidates candidates;
    private final AssortmentWish wish;
    private final Map<String, Map<String, Double>> pollen;
    private final List<Candidate> order;

    public ProposalSearch(Candidates candidates, AssortmentWish wish) {
        this.candidates = candidates;
        this.wish = wish;
        this.pollen = candidates.pollen();
        List<Candidate> shuffled = new ArrayList<>(candidates.all());
        Collections.shuffle(shuffled, new Random(wish.seed()));
        this.order = List.copyOf(shuffled);
    }

    /**
     * @param stopped whether the grower does not want to wait any longer
     * @param found told of each set as it is found, the better of one search after the other, before the next
     * @return the best first; empty where nothing at all may stand
     */
    public List<Proposal> run(BooleanSupplier stopped, Consumer<List<Proposal>> found) {
        List<Proposal> proposals = new ArrayList<>();
        while (proposals.size() < FIVE && !order.isEmpty() && !stopped.getAsBoolean()) {
            Proposal next = new OneSet(proposals)
                    .best(
                            stopped,
                            better -> found.accept(Stream.concat(proposals.stream(), Stream.of(better))
                                    .toList()));
            if (next == null) {
                break;
            }
            proposals.add(next);
            found.accept(List.copyOf(proposals));
        }
        return List.copyOf(proposals);
    }

    /** One search among the sets that are unlike those before. */
    private final class OneSet {
        private final Model model = new Model("assortment");
        private final List<IntVar> trees = new ArrayList<>();
        private final List<BoolVar> taken = new ArrayList<>();
        private final Map<String, BoolVar> varieties = new LinkedHashMap<>();
        private final IntVar score;

        OneSet(List<Proposal> before) {
            int most = (int) TABLE.value("alike");
            for (Candidate candidate : order) {
                IntVar n = model.intVar("n", 0, Math.min(most, Math.max(0, wish.trees())));
                BoolVar b = model.boolVar();
                model.reifyXgtC(n, 0, b);
                trees.add(n);
                taken.add(b);
            }
            order.stream()
                    .map(candidate -> candidate.variety().key())
                    .distinct()
                    .forEach(this::oneStock);
            room();
            pollen.forEach(this::company);
            before.forEach(this::unlike);
            score = worth();
        }

        private void oneStock(String variety) {
            BoolVar[] stocks = IntStream.range(0, order.size())
                    .filter(i -> order.get(i).variety().key().equals(variety))
                    .mapToObj(taken::get)
                    .toArray(BoolVar[]::new);
            BoolVar any = model.boolVar(variety);
            model.sum(stocks, "=", any).post();
            varieties.put(variety, any);
        }

        private void room() {
            IntVar[] all = trees.toArray(IntVar[]::new);
            int kept = candidates.kept().stream().mapToInt(Choice::wanted).sum();
            model.sum(all, "<=", Math.max(0, wish.trees() - kept)).post();
            model.sum(all, ">=", 1).post();
            wish.area()
                    .ifPresent(area -> model.scalar(
                                    all,
                                    order.stream()
                                            .mapToInt(candidate -> (int) Math.ceil(candidate.area() * SQUARE_DM))
                                            .toArray(),
                                    "<=",
                                    (int) Math.floor(area * SQUARE_DM))
                            .post());
        }

        /** Whoever does not crop alone has one variety that serves it; a triploid two that are worth counting. */
        private void company(String receiver, Map<String, Double> row) {
            Set<String> there = Stream.concat(
                            candidates.standing().stream().map(Variety::key),
                            candidates.kept().stream().map(Choice::variety))
                    .collect(Collectors.toSet());
            boolean triploid = order.stream()
                    .anyMatch(candidate -> candidate.variety().key().equals(receiver)
                            && candidate.variety().triploid());
            wants(receiver, row, there, PartnerScore.GOOD, 1);
            if (triploid) {
                wants(receiver, row, there, PartnerScore.THIN, 2);
            }
        }

        private void wants(String receiver, Map<String, Double> row, Set<String> there, double least, int partners) {
            List<String> serving = row.entrySet().stream()
                    .filter(each -> each.getValue() >= least)
                    .map(Map.Entry::getKey)
                    .sorted()
                    .toList();
            int have = (int) serving.stream().filter(there::contains).count();
            if (have >= partners) {
                return;
            }
            BoolVar[] planted = serving.stream()
                    .filter(key -> !there.contains(key) && varieties.containsKey(key))
                    .map(varieties::get)
                    .toArray(BoolVar[]::new);
            if (planted.length < partners - have) {
                varieties.get(receiver).eq(0).post();
            } else {
                // taken · (partners − have) ≤ what is planted of them
                IntVar sum = model.intVar(0, planted.length);
                model.sum(planted, "=", sum).post();
                model.arithm(model.mul(varieties.get(receiver), partners - have), "<=", sum)
                        .post();
            }
        }

        /** So many varieties more or fewer than in a set that was proposed before. */
        private void unlike(Proposal before) {
            Set<String> had = before.varieties();
            IntVar[] other = varieties.entrySet().stream()
                    .map(each -> had.contains(each.getKey()) ? each.getValue().not() : each.getValue())
                    .toArray(IntVar[]::new);
            int least = (int) Math.ceil(TABLE.value("unlike-share") * had.size());
            model.sum(other, ">=", Math.max((int) TABLE.value("unlike"), least)).post();
        }

        private IntVar worth() {
            List<IntVar> terms = new ArrayList<>();
            List<Integer> weights = new ArrayList<>();
            wish.crops().entrySet().stream().sorted(Map.Entry.comparingByKey()).forEach(crop -> {
                int[] of = IntStream.range(0, order.size())
                        .filter(i -> order.get(i).variety().crop().key().equals(crop.getKey()))
                        .toArray();
                if (of.length == 0) {
                    return;
                }
                IntVar n = model.intVar(0, share(crop.getValue()));
                model.sum(IntStream.of(of).mapToObj(trees::get).toArray(IntVar[]::new), "=", n)
                        .post();
                add(terms, weights, reached(n, 1), crop.getValue() * SetWorth.value("first"));
                add(terms, weights, reached(n, 2), crop.getValue() * SetWorth.value("second"));
                add(terms, weights, n, crop.getValue() * SetWorth.value("further"));
            });
            wish.months().stream().sorted().forEach(month -> covered(month, terms, weights));
            for (int i = 0; i < order.size(); i++) {
                int worth = (int) (SetWorth.value("variety")
                        - SetWorth.value("doubt") * order.get(i).against());
                add(terms, weights, taken.get(i), worth);
                add(terms, weights, trees.get(i), SetWorth.ofHarvest(order.get(i)));
            }
            int bound = weights.stream()
                    .mapToInt(weight -> Math.abs(weight) * Math.max(1, wish.trees()))
                    .sum();
            IntVar total = model.intVar("score", -bound - 1, bound + 1);
            model.scalar(
                            terms.toArray(IntVar[]::new),
                            weights.stream().mapToInt(Integer::intValue).toArray(),
                            "=",
                            total)
                    .post();
            return total;
        }

        /** No crop has much more than its share of the trees. */
        private int share(int weight) {
            int all = wish.crops().values().stream().mapToInt(Integer::intValue).sum();
            return (int) Math.max(2, Math.ceil(TABLE.value("share") * wish.trees() * weight / all));
        }

        private void covered(Month month, List<IntVar> terms, List<Integer> weights) {
            BoolVar[] bearing = IntStream.range(0, order.size())
                    .filter(i -> order.get(i).months().contains(month))
                    .mapToObj(taken::get)
                    .toArray(BoolVar[]::new);
            if (bearing.length > 0) {
                BoolVar any = model.boolVar();
                model.max(any, bearing).post();
                add(terms, weights, any, SetWorth.value("month"));
            }
        }

        private BoolVar reached(IntVar n, int least) {
            BoolVar reached = model.boolVar();
            model.reifyXgtC(n, least - 1, reached);
            return reached;
        }

        /** The best of it; null where there is none. */
        Proposal best(BooleanSupplier stopped, Consumer<Proposal> found) {
            Solver solver = model.getSolver();
            long begun = System.nanoTime();
            model.setObjective(Model.MAXIMIZE, score);
            Solution kept = new Solution(model, trees.toArray(IntVar[]::new));
            solver.setSearch(Search.inputOrderLBSearch(takenByTurns()), Search.inputOrderLBSearch(treesByTurns()));
            bound(solver, stopped);
            if (!solver.solve()) {
                return null;
            }
            kept.record();
            Proposal best = proposal(Proposal.Ended.STEPS);
            found.accept(best);
            // What is good of the best set is kept, and a part of it let go and looked for anew.
            solver.reset();
            solver.setLNS(
                    INeighborFactory.random(wish.seed(), trees.toArray(IntVar[]::new)),
                    new FailCounter(model, FAILS),
                    kept);
            best = climb(solver, stopped, found, kept, best);
            boolean proven = false;
            if (!stopped.getAsBoolean()) {
                // All sets that would score better, as far as the steps go.
                solver.reset();
                solver.setDFS();
                model.arithm(score, ">", best.score()).post();
                best = climb(solver, stopped, found, kept, best);
                proven = !solver.isStopCriterionMet();
            }
            boolean late = System.nanoTime() - begun >= (long) (TABLE.value("clock") * 1e9);
            return new Proposal(
                    best.picks(),
                    best.score(),
                    stopped.getAsBoolean()
                            ? Proposal.Ended.STOPPED
                            : proven ? Proposal.Ended.PROVEN : late ? Proposal.Ended.CLOCK : Proposal.Ended.STEPS);
        }

        private void bound(Solver solver, BooleanSupplier stopped) {
            solver.limitNode((long) TABLE.value("steps"));
            solver.limitTime((long) (TABLE.value("clock") * 1000));
            solver.addStopCriterion(stopped::getAsBoolean);
        }

        private Proposal climb(
                Solver solver, BooleanSupplier stopped, Consumer<Proposal> found, Solution kept, Proposal before) {
            solver.setSearch(Search.inputOrderUBSearch(takenByTurns()), Search.inputOrderUBSearch(treesByTurns()));
            bound(solver, stopped);
            Proposal best = before;
            while (solver.solve()) {
                if (score.getValue() > best.score()) {
                    kept.record();
                    best = proposal(Proposal.Ended.STEPS);
                    found.accept(best);
                }
            }
            return best;
        }

        /** The best of each crop, then the second of each, and so on; of one turn those first that promise most. */
        private List<Integer> byTurns() {
            Map<String, Integer> turns = new LinkedHashMap<>();
            Map<Integer, Integer> turn = new LinkedHashMap<>();
            IntStream.range(0, order.size())
                    .boxed()
                    .sorted(Comparator.comparingDouble((Integer i) -> -promise(order.get(i))))
                    .forEach(i -> turn.put(
                            i, turns.merge(order.get(i).variety().crop().key(), 1, Integer::sum)));
            return turn.entrySet().stream()
                    .sorted(Map.Entry.comparingByValue())
                    .map(Map.Entry::getKey)
                    .toList();
        }

        private BoolVar[] takenByTurns() {
            return byTurns().stream().map(taken::get).toArray(BoolVar[]::new);
        }

        private IntVar[] treesByTurns() {
            return byTurns().stream().map(trees::get).toArray(IntVar[]::new);
        }

        private Proposal proposal(Proposal.Ended ended) {
            List<Proposal.Pick> picks = new ArrayList<>();
            candidates.all().forEach(candidate -> {
                int n = trees.get(order.indexOf(candidate)).getValue();
                if (n > 0) {
                    picks.add(new Proposal.Pick(candidate, n));
                }
            });
            return new Proposal(List.copyOf(picks), score.getValue(), ended);
        }
    }

    private double promise(Candidate candidate) {
        int weight = wish.crops().getOrDefault(candidate.variety().crop().key(), 0);
        long months =
                candidate.months().stream().filter(wish.months()::contains).count();
        double worth = weight * SetWorth.value("first")
                + months * SetWorth.value("month")
                - SetWorth.value("doubt") * candidate.against();
        return wish.area().isPresent() ? worth / Math.sqrt(candidate.area()) : worth;
    }

    private static void add(List<IntVar> terms, List<Integer> weights, IntVar term, int weight) {
        terms.add(term);
        weights.add(weight);
    }
}
