package idlebough.bench;

import idlebough.core.site.Feature;
import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Shade;
import idlebough.core.site.SunHours;
import idlebough.core.site.SunMap;
import idlebough.core.site.SunYear;
import java.util.ArrayList;
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
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One hectare at one metre with ten buildings and fifty trees: the sun of twelve months, and of one place. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class SiteBench {
    private static final Plot HECTARE = Plot.rectangle(100, 100);
    private static final Ground GROUND = Ground.falling(6, 140, 0);
    private final List<Feature> features = new ArrayList<>();
    private SunYear year;

    @Setup
    public void tenBuildingsAndFiftyTrees() {
        Random random = new Random(20261123);
        for (int i = 0; i < 60; i++) {
            double x = random.nextDouble() * 90;
            double y = random.nextDouble() * 90;
            boolean building = i < 10;
            List<Point> points = building
                    ? List.of(new Point(x, y), new Point(x + 9, y), new Point(x + 9, y + 7), new Point(x, y + 7))
                    : List.of(new Point(x, y));
            features.add(new Feature(
                    "f" + i,
                    building ? Feature.Kind.BUILDING : Feature.Kind.TREE,
                    "",
                    points,
                    Feature.Size.of(building ? 7.0 : 8.0, null, building ? null : 6.0, null),
                    false,
                    Optional.empty(),
                    Optional.empty()));
        }
        year = SunYear.of(42.3);
    }

    @Benchmark
    public SunYear sunYear() {
        return SunYear.of(42.3);
    }

    @Benchmark
    public SunMap sunMapOfAHectare() {
        return SunMap.of(HECTARE, features, year, GROUND, 0, 1);
    }

    @Benchmark
    public SunHours sunAtOnePlace() {
        return SunHours.at(new Point(50, 50), features, year, GROUND, 0);
    }

    @Benchmark
    public Shade shadowsOfOneMoment() {
        return Shade.of(features, year.months().get(5).get(60), GROUND, 0, false);
    }
}
