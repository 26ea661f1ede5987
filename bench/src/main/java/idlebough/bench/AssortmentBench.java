package idlebough.bench;

import idlebough.core.assortment.AssortmentWish;
import idlebough.core.assortment.Candidates;
import idlebough.core.assortment.Proposal;
import idlebough.core.assortment.ProposalSearch;
import idlebough.core.orchard.Evaluation;
import idlebough.station.MadeGrove;
import java.time.Month;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Sets of thirty trees: the first valid one, and five of them, from a plan whose springs are known. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 1)
@Measurement(iterations = 3)
public class AssortmentBench {
    private Evaluation known;
    private AssortmentWish wish;

    @Setup
    public void grow() {
        known = Evaluation.of(MadeGrove.of(200));
        known.varieties().verdicts();
        wish = new AssortmentWish(
                Map.of("apple", 3, "pear", 2, "plum", 2, "sweet-cherry", 2, "hazel", 1, "quince", 1, "peach", 2),
                Set.of(Month.JULY, Month.OCTOBER, Month.FEBRUARY),
                30,
                Optional.of(500.0),
                8,
                false,
                1);
    }

    private ProposalSearch search() {
        return new ProposalSearch(
                Candidates.of(known.varieties(), known.rootstocks(), List.of(), wish, List.of()), wish);
    }

    @Benchmark
    public int firstValid() {
        boolean[] found = new boolean[1];
        return search().run(() -> found[0], sets -> found[0] = true).size();
    }

    @Benchmark
    public List<Proposal> five() {
        return search().run(() -> false, sets -> {});
    }
}
