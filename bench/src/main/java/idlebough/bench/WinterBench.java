package idlebough.bench;

import idlebough.core.winter.ChillModel;
import idlebough.core.winter.ChillState;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.HourlyCurve;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WeatherGenerator;
import idlebough.core.winter.WinterLedger;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
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

/** Thirty years on one core: the seven chill models over given hours, the hourly curve beside them, and the whole ledger. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 1)
@Measurement(iterations = 5, time = 1)
public class WinterBench {
    private List<DailyExtremes> days;
    private double[] hours;
    private StationRecord record;

    @Setup
    public void thirtyYears() {
        days = new WeatherGenerator(1, 10, 10, 20, 11, 0.7, 3, 0.7, 0.3)
                .days(LocalDate.of(1995, 1, 1), LocalDate.of(2024, 12, 31));
        hours = HourlyCurve.of(days, 42.3);
        record = new StationRecord(days);
    }

    /** All models over the same hours in one pass. */
    @Benchmark
    public double sevenModels() {
        ChillState[] states =
                Arrays.stream(ChillModel.values()).map(ChillModel::begin).toArray(ChillState[]::new);
        for (double hour : hours) {
            for (ChillState state : states) {
                state.accept(hour);
            }
        }
        double sum = 0;
        for (ChillState state : states) {
            sum += state.total();
        }
        return sum;
    }

    /** What the slider asks for: the record raised and every winter counted anew. */
    @Benchmark
    public WinterLedger warmer() {
        return WinterLedger.of(record.warmedBy(1.5), 42.3);
    }

    @Benchmark
    public double[] hourlyCurve() {
        return HourlyCurve.of(days, 42.3);
    }

    @Benchmark
    public WinterLedger wholeLedger() {
        return WinterLedger.of(record, 42.3);
    }
}
