package idlebough.bench;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Subject;
import idlebough.core.orchard.Evaluation;
import idlebough.core.rootstock.RootstockRules;
import idlebough.core.site.Footing;
import idlebough.core.site.SoilPit;
import idlebough.station.MadeGrove;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
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

/** Every stock of three hundred varieties judged on eight pits: graft, lime, salt, drought, cold and wet feet. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 5, time = 2)
@Measurement(iterations = 5, time = 2)
public class StocksBench {
    private static final int VARIETIES = 300;
    private static final int PITS = 8;
    private final Catalogue catalogue = Catalogue.shipped();
    private final RootstockRules rules = new RootstockRules(catalogue);
    private List<Variety> varieties;
    private List<SoilPit> pits;

    @Setup
    public void dig() {
        List<Variety> all = List.copyOf(catalogue.varieties());
        varieties = java.util.stream.IntStream.range(0, VARIETIES)
                .mapToObj(i -> all.get(i % all.size()))
                .toList();
        List<SoilPit> dug = Evaluation.of(MadeGrove.of(50)).site().pits();
        pits = java.util.stream.Stream.generate(() -> dug)
                .flatMap(List::stream)
                .limit(PITS)
                .toList();
    }

    @Benchmark
    public int judged() {
        int found = 0;
        for (Variety variety : varieties) {
            for (var stock : catalogue.rootstocksFor(variety.crop())) {
                found += rules.judge("c", variety, Optional.of(stock), pits, OptionalDouble.of(-20))
                        .size();
                var tree = new RootstockRules.Rooted(
                        Subject.choice("c"), "c", variety, Optional.of(stock), Footing.GRADE, Optional.empty());
                for (SoilPit pit : pits) {
                    found += rules.drainage(tree, pit).size();
                }
            }
        }
        return found;
    }
}
