package idlebough.bench;

import idlebough.core.crop.Catalogue;
import idlebough.core.crop.OwnEntry;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.pollination.BloomTimes;
import idlebough.core.pollination.PartnerRules;
import idlebough.core.pollination.PartnerWeb;
import idlebough.core.variety.VarietyStage;
import idlebough.station.MadeGrove;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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

/** Three hundred varieties judged by thirty winters, and the partners of two thousand trees by the same springs. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 6, time = 2)
@Measurement(iterations = 5, time = 2)
public class CompanyBench {
    private static final int VARIETIES = 300;
    private static final int TREES = 2000;
    private Evaluation known;
    private VarietyStage.Input input;

    @Setup
    public void grow() {
        List<OwnEntry> own = new ArrayList<>();
        for (int i = Catalogue.shipped().varieties().size(); i < VARIETIES; i++) {
            own.add(new OwnEntry(
                    OwnEntry.What.VARIETY,
                    "own-" + i,
                    Map.of("name", "Seedling " + i, "crop", "apple", "ripe", "9", "chill", String.valueOf(500 + i))));
        }
        Orchard grove = MadeGrove.of(TREES).with(Catalogue.with(Map.of(), own));
        known = Evaluation.of(grove);
        input = new VarietyStage.Input(
                grove.catalogue(), grove.choices(), known.stands(), List.of(), known.site(), known.winters());
        known.winters().ledger();
        verdicts();
    }

    /** Every verdict anew; winters by the hour are known. */
    @Benchmark
    public int verdicts() {
        return VarietyStage.of(input, null).verdicts().size();
    }

    /** The web with the days together in every spring, and its findings; when each variety blooms is known. */
    @Benchmark
    public long partners() {
        PartnerWeb web = PartnerWeb.of(known.partners().web().trees(), BloomTimes.at(known.varieties()), null);
        return web.neighbourhoods().values().stream()
                .filter(around -> PartnerRules.judge(around).isPresent())
                .count();
    }
}
