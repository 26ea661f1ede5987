package idlebough.bench;

import idlebough.core.layout.OrchardShade;
import idlebough.core.layout.PegPlan;
import idlebough.core.layout.PlannedTree;
import idlebough.core.layout.PlotFill;
import idlebough.core.layout.RowFill;
import idlebough.core.orchard.Evaluation;
import idlebough.core.orchard.Orchard;
import idlebough.core.rootstock.RootstockStage;
import idlebough.core.site.Feature;
import idlebough.core.site.FeatureIndex;
import idlebough.core.site.Ground;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Site;
import idlebough.core.site.SunMap;
import idlebough.core.site.SunYear;
import idlebough.core.variety.Choice;
import idlebough.station.MadeGrove;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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
 * A plot of sixty corners with holes, two thousand trees. Goals: one fill under 200 ms, the best direction under 5 s,
 * the
 * sun of a hectare at 1 m with 200 trees and ten buildings under 2 s.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 3, time = 3)
@Fork(1)
public class LayoutBench {
    private static final int CORNERS = 60;
    private static final double RADIUS = 130;
    private static final PlotFill.Standing NOTHING = new PlotFill.Standing(List.of(), Map.of());
    private Plot plot;
    private FeatureIndex holes;
    private List<Choice> choices;
    private RootstockStage stocks;
    private Plot hectare;
    private List<Feature> casting;
    private List<PlannedTree> grove;
    private Plot groves;

    @Setup
    public void draw() {
        List<Point> corners = new ArrayList<>();
        for (int i = 0; i < CORNERS; i++) {
            double angle = 2 * Math.PI * i / CORNERS;
            double radius = RADIUS * (1 + 0.1 * Math.sin(5 * angle));
            corners.add(new Point(RADIUS + radius * Math.cos(angle), RADIUS + radius * Math.sin(angle)));
        }
        plot = Plot.of(corners);
        List<Feature> ponds = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            ponds.add(square("pond" + i, Feature.Kind.WET, 80 + 40 * i, 90 + 25 * i, 12));
        }
        holes = new FeatureIndex(ponds);
        choices = List.of(new Choice("a", "apple-cox", Optional.of("mm106"), 2000));
        stocks = Evaluation.of(Orchard.empty(44, LocalDate.of(2027, 3, 1))
                        .with(Site.empty(44))
                        .withChoices(choices))
                .rootstocks();
        hectare = Plot.rectangle(100, 100);
        Evaluation known = Evaluation.of(MadeGrove.of(2000));
        grove = known.layout().trees();
        groves = known.site().plot().orElseThrow();
        casting = new ArrayList<>(OrchardShade.crowns(grove.subList(0, 200), 15));
        for (int i = 0; i < casting.size(); i++) {
            casting.set(i, at(casting.get(i), i));
        }
        for (int i = 0; i < 10; i++) {
            casting.add(square("house" + i, Feature.Kind.BUILDING, 5 + 9 * i, 3, 6));
        }
    }

    private static Feature at(Feature tree, int i) {
        return new Feature(
                tree.id(),
                tree.kind(),
                tree.name(),
                List.of(new Point(4 + 4.8 * (i % 20), 14 + 8.0 * (i / 20))),
                tree.size(),
                tree.evergreen(),
                Optional.empty(),
                Optional.empty());
    }

    private static Feature square(String id, Feature.Kind kind, double x, double y, double side) {
        return new Feature(
                id,
                kind,
                id,
                List.of(new Point(x, y), new Point(x + side, y), new Point(x + side, y + side), new Point(x, y + side)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.empty());
    }

    private static PlotFill.Wish wish() {
        return new PlotFill.Wish(RowFill.Pattern.TRIANGLE, 3, 0.5, Optional.of(20.0));
    }

    /** One fill, without the search for what each rule costs where all find a place. */
    @Benchmark
    public int fill() {
        return PlotFill.of(plot, wish(), choices, stocks, NOTHING, holes)
                .placed()
                .size();
    }

    @Benchmark
    public int bestDirection() {
        return PlotFill.directions(plot, wish(), choices, stocks, NOTHING, holes, () -> true)
                .get(0)
                .placed();
    }

    /** Two thousand pegs with tapes of thirty metres. */
    @Benchmark
    public int pegs() {
        return PegPlan.of(groves, List.of(), Ground.LEVEL, grove, 30).stations().size();
    }

    @Benchmark
    public double sunOfAHectare() {
        return SunMap.of(hectare, casting, SunYear.of(44), Ground.LEVEL, 0, 1)
                .shareWith(6, SunYear.of(44).season());
    }
}
