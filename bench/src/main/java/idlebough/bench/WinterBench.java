package idlebough.bench;

import idlebough.core.crop.ChillModel;
import idlebough.core.winter.ChillPass;
import idlebough.core.winter.ChillState;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.HourlyCurve;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import idlebough.core.winter.WeatherGenerator;
import idlebough.core.winter.WinterLedger;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
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

/**
 * Thirty years on one core: the seven chill models over given hours, the hourly curve beside them, and the whole
 * ledger.
 */
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
    private StationRecord hourly;
    private byte[] file;

    @Setup
    public void thirtyYears() {
        days = new WeatherGenerator(
                        1, new WeatherGenerator.Year(10, 10, 20, 11), new WeatherGenerator.Anomalies(0.7, 3, 0.7, 0.3))
                .days(LocalDate.of(1995, 1, 1), LocalDate.of(2024, 12, 31));
        hours = HourlyCurve.of(days, 42.3);
        record = new StationRecord(days);
        Map<LocalDate, double[]> byDay = new HashMap<>();
        StringBuilder rows =
                new StringBuilder("timestamp;temperature;rain (mm);humidity;wind (km/h);radiation (W/m2)\n");
        for (int day = 0; day < days.size(); day++) {
            byDay.put(days.get(day).date(), Arrays.copyOfRange(hours, 24 * day, 24 * day + 24));
            for (int hour = 0; hour < 24; hour++) {
                rows.append(String.format(
                        Locale.ROOT,
                        "%s %02d:00;%.1f;%.1f;%d;%.1f;%d%n",
                        days.get(day).date(),
                        hour,
                        hours[24 * day + hour],
                        hour == 5 ? 1.2 : 0,
                        60 + hour,
                        8.5,
                        hour * 20));
            }
        }
        hourly = new StationRecord(days, byDay);
        file = rows.toString().getBytes(StandardCharsets.UTF_8);
    }

    /** All models over the same hours in one pass. */
    @Benchmark
    public Object sevenModels() {
        return ChillPass.daily(hours);
    }

    /** The dynamic model alone, hour by hour: the dearest of the seven. */
    @Benchmark
    public double portionsAlone() {
        ChillState state = ChillState.of(ChillModel.PORTIONS);
        for (double hour : hours) {
            state.accept(hour);
        }
        return state.total();
    }

    /** A file of 263,000 rows with five columns beside the time. */
    @Benchmark
    public Object readHourlyFile() {
        return WeatherFile.read(file, WeatherFile.Wish.NONE, ZoneOffset.UTC, Watch.NONE);
    }

    /** What the slider asks for, of thirty years of hours. */
    @Benchmark
    public WinterLedger warmerHours() {
        return WinterLedger.of(hourly.warmedBy(1.5), 42.3);
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
