package idlebough.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Shipped;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Cold air, wind, warm walls, and the ground for which a pit speaks. */
class AirTest {
    private static final Plot PLOT = Plot.rectangle(60, 40);
    /** Falls ten per cent to the south. */
    private static final Ground SLOPE = Ground.falling(10, 180, 0);

    private static Feature line(String id, Feature.Kind kind, double height, Feature.Material material, double... xy) {
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < xy.length; i += 2) {
            points.add(new Point(xy[i], xy[i + 1]));
        }
        return new Feature(
                id,
                kind,
                id,
                points,
                Feature.Size.of(height, null, null, null),
                true,
                Optional.ofNullable(material),
                Optional.empty());
    }

    private static SoilPit pit(String id, Point place, Texture texture) {
        return new SoilPit(id, id, place, texture, 0.3, List.of(), SoilPit.Profile.UNSEEN, SoilPit.Analysis.NONE);
    }

    private static final Feature CUP =
            line("cup", Feature.Kind.WALL, 2, Feature.Material.MASONRY, 10, 30, 10, 3, 50, 3, 50, 30);

    @Test
    void coldAirRunsDownAndStandsBehindWhatIsClosed() {
        ColdAir open = ColdAir.of(PLOT, List.of(), SLOPE);
        assertThat(open.pools()).isEmpty();
        assertThat(open.runsTo(new Point(30, 20))).isCloseTo(180, within(0.01));
        ColdAir dammed = ColdAir.of(PLOT, List.of(CUP), SLOPE);
        assertThat(dammed.pools()).hasSize(1);
        ColdAir.Pool pool = dammed.pools().get(0);
        // Walled on three sides, the cup of 2 m fills until it spills over the low wall.
        assertThat(pool.deepest()).isCloseTo(2, within(0.35));
        assertThat(pool.gap().orElseThrow().dam()).isEqualTo("cup");
        assertThat(pool.gap().orElseThrow().place().y())
                .as("the gap is in the low wall")
                .isCloseTo(3, within(2.0));
        assertThat(dammed.depthAt(new Point(30, 6))).isGreaterThan(1.2);
        assertThat(dammed.depthAt(new Point(5, 6))).isZero();
        assertThat(dammed.runsTo(new Point(30, 6))).isNull();
        // The gap lets it out; wire never held it.
        Feature gate = new Feature(
                "g",
                Feature.Kind.GATE,
                "gate",
                List.of(new Point(30, 3)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.empty());
        assertThat(ColdAir.of(PLOT, List.of(CUP, gate), SLOPE).pools()).isEmpty();
        Feature wire = line("w", Feature.Kind.FENCE, 2, Feature.Material.WIRE, 10, 30, 10, 3, 50, 3, 50, 30);
        assertThat(ColdAir.of(PLOT, List.of(wire), SLOPE).pools()).isEmpty();
    }

    @Test
    void aHollowHoldsColdAirWithoutADam() {
        List<Ground.Spot> spots = new ArrayList<>();
        for (int x = 0; x <= 60; x += 10) {
            for (int y = 0; y <= 40; y += 10) {
                spots.add(new Ground.Spot(new Point(x, y), x == 30 && y == 20 ? -1.5 : 0.001 * x));
            }
        }
        ColdAir cold = ColdAir.of(PLOT, List.of(), Ground.through(spots).orElseThrow());
        assertThat(cold.pools()).isNotEmpty();
        assertThat(cold.pools().get(0).gap()).isEmpty();
        assertThat(cold.pools().get(0).lowest().distance(new Point(30, 20))).isLessThan(2);
    }

    @Test
    void anEarlyBloomerInTheColdIsAStopAndALateOneIsLooked() {
        ColdAir cold = ColdAir.of(PLOT, List.of(CUP), SLOPE);
        Point low = new Point(30, 5);
        assertThat(GroundRules.cold(Subject.tree("1"), "A1", Shipped.crop("apricot"), low, cold)
                        .orElseThrow()
                        .standing())
                .isEqualTo(Standing.STOP);
        assertThat(GroundRules.cold(Subject.tree("1"), "A1", Shipped.crop("apple"), new Point(30, 12), cold)
                        .orElseThrow()
                        .standing())
                .isNotEqualTo(Standing.STOP);
        assertThat(GroundRules.cold(Subject.tree("1"), "A1", Shipped.crop("apple"), new Point(30, 35), cold))
                .isEmpty();
    }

    /** Behind a hedge the shelter is best near five heights and gone at thirty (windbreak figures, from memory). */
    @Test
    void shelterFallsOffByHeights() {
        assertThat(Shelter.left(5, false)).isLessThan(Shelter.left(1, false)).isLessThan(Shelter.left(10, false));
        assertThat(Shelter.left(10, false)).isLessThan(Shelter.left(10, true));
        assertThat(Shelter.left(30, false)).isEqualTo(1);
        Feature hedge = line("h", Feature.Kind.HEDGE, 3, null, 0, 0, 0, 40);
        Shelter west = new Shelter(List.of(hedge), 270, 0);
        assertThat(west.at(new Point(15, 20))).isCloseTo(Shelter.left(14.5 / 3, false), within(1e-9));
        assertThat(new Shelter(List.of(hedge), 90, 0).at(new Point(15, 20))).isEqualTo(1);
        assertThat(new Shelter(List.of(hedge), 270 + 33, 33).at(new Point(15, 20)))
                .as("a turned plan")
                .isCloseTo(west.at(new Point(15, 20)), within(1e-9));
        // 3 m of hedge shelter 15 heights, 45 m of the 60.
        assertThat(west.share(PLOT)).isCloseTo(0.75, within(0.05));
    }

    private static Microclimate at(Point place, List<Feature> features, ColdAir cold, double latitude) {
        return Microclimate.at(
                place, new Microclimate.Surroundings(PLOT, features, cold), new Site.Location(latitude, 0));
    }

    @Test
    void aWallWarmsItsSunnySideInBothHemispheres() {
        Feature wall = line("w", Feature.Kind.WALL, 2.5, Feature.Material.MASONRY, 10, 20, 50, 20);
        ColdAir still = ColdAir.of(PLOT, List.of(), Ground.LEVEL);
        for (double latitude : new double[] {45, -45}) {
            Point sunny = new Point(30, latitude > 0 ? 19.4 : 20.6);
            Point shaded = new Point(30, latitude > 0 ? 20.6 : 19.4);
            Microclimate warm = at(sunny, List.of(wall), still, latitude);
            // Half to one zone of 5.6 K.
            assertThat(warm.kelvin()).isBetween(Microclimate.ZONE / 2, Microclimate.ZONE);
            assertThat(at(shaded, List.of(wall), still, latitude).parts()).isEmpty();
        }
        ColdAir cold = ColdAir.of(PLOT, List.of(CUP), SLOPE);
        assertThat(at(new Point(30, 6), List.of(), cold, 45).kelvin()).isBetween(-4.0, -2.0);
    }

    @Test
    void everyPlaceHasThePitThatSpeaksForIt() {
        List<SoilPit> pits =
                List.of(pit("a", new Point(10, 20), Texture.LOAM), pit("b", new Point(50, 20), Texture.CLAY));
        PitZones nearest = PitZones.of(PLOT, pits, List.of());
        assertThat(nearest.zones())
                .extracting(PitZones.Zone::area)
                .allSatisfy(a -> assertThat(a).isCloseTo(1200, within(1e-6)));
        assertThat(Math.abs(nearest.furthest().orElseThrow().y() - 20))
                .as("a corner or the middle of a long side")
                .isCloseTo(20, within(0.6));
        assertThat(nearest.distance()).isCloseTo(Math.hypot(20, 20), within(0.6));
        SoilPit twin = pit("c", new Point(10, 20), Texture.SAND);
        assertThat(PitZones.of(PLOT, List.of(pits.get(0), twin, pits.get(1)), List.of())
                        .zones())
                .as("two at one place do not own the ground twice")
                .extracting(PitZones.Zone::area)
                .satisfiesExactly(
                        a -> assertThat(a).isCloseTo(1200, within(1e-6)),
                        a -> assertThat(a).isZero(),
                        a -> assertThat(a).isCloseTo(1200, within(1e-6)));
        assertThat(PitZones.of(PLOT, List.of(pits.get(0), twin), List.of())
                        .zones()
                        .get(1)
                        .area())
                .isZero();
        Feature zone = new Feature(
                "z",
                Feature.Kind.ZONE,
                "",
                List.of(new Point(0, 0), new Point(20, 0), new Point(20, 40), new Point(0, 40)),
                Feature.Size.USUAL,
                false,
                Optional.empty(),
                Optional.of("b"));
        PitZones drawn = PitZones.of(PLOT, pits, List.of(zone));
        assertThat(drawn.zones().get(1).area()).isCloseTo(2000, within(1e-6));
        assertThat(drawn.zones().get(1).drawn()).isTrue();
        assertThat(drawn.zones().stream().mapToDouble(PitZones.Zone::area).sum())
                .isCloseTo(PLOT.area(), within(1e-6));
        Terrain terrain =
                Terrain.of(Site.empty(45).with(PLOT).withFeatures(List.of(zone)).withPits(pits), null);
        assertThat(terrain.pitFor(new Point(5, 5)).orElseThrow().id()).isEqualTo("b");
        assertThat(terrain.pitFor(new Point(25, 5)).orElseThrow().id()).isEqualTo("a");
    }
}
