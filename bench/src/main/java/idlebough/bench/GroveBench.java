package idlebough.bench;

import idlebough.core.judge.Stage;
import idlebough.core.layout.LayoutStage;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Moved;
import idlebough.core.orchard.Orchard;
import idlebough.core.pollination.PartnerRules;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.rootstock.TreeSizes;
import idlebough.core.site.Tree;
import idlebough.station.MadeGrove;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A made grove of two thousand trees, twelve varieties, eight pits and thirty winters. Goals: from scratch under 1.5 s,
 * partners and layout findings under 300 ms each, one tree moved under 30 ms; and twice the trees at most twice and a
 * half
 * the time.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
@Fork(1)
public class GroveBench {
    @Param({"1000", "2000", "4000"})
    private int trees;

    private Orchard grove;
    private Evaluation known;
    private final Random random = new Random(1);

    @Setup
    public void grow() {
        grove = MadeGrove.of(trees);
        known = Evaluation.of(grove);
        all(known);
    }

    private static int all(Evaluation evaluation) {
        return evaluation.stages().stream()
                .mapToInt(stage -> stage.findings().size() + stage.keyFigures().size())
                .sum();
    }

    /** Every finding and key figure of all ten stages. */
    @Benchmark
    public int fromScratch() {
        return all(Evaluation.of(grove));
    }

    /** The web and its findings. */
    @Benchmark
    public long partners() {
        PartnerWeb web = PartnerWeb.of(known.partners().web().trees());
        return web.neighbourhoods().values().stream()
                .filter(around -> PartnerRules.judge(around).isPresent())
                .count();
    }

    /** The findings of places, the stages before it known. */
    @Benchmark
    public int layout() {
        LayoutStage.Trees plan = new LayoutStage.Trees(
                known.stands(),
                TreeSizes.of(known.stands(), grove.choices(), known.site()),
                grove.settings().planting(),
                Optional.empty(),
                List.of());
        return LayoutStage.of(plan, known.site(), known.winters(), known.partners(), null)
                .findings()
                .size();
    }

    private Evaluation oneMoved() {
        List<Tree> all = grove.trees();
        Tree tree = all.get(random.nextInt(all.size()));
        return known.with(grove.with(MadeGrove.moved(
                tree, tree.place().x() + random.nextDouble(), tree.place().y() + random.nextDouble())));
    }

    /** What a drag shows: the findings of places with one tree elsewhere. */
    @Benchmark
    public int drag() {
        return oneMoved().layout().findings().size();
    }

    /** What a stored move needs: every finding and figure with one tree elsewhere, and what moved. */
    @Benchmark
    public int move() {
        Evaluation moved = oneMoved();
        int said = 0;
        for (Stage stage : moved.stages()) {
            said += stage.findings().size();
        }
        return said + Moved.between(known, moved).size();
    }
}
