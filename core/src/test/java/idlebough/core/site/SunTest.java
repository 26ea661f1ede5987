package idlebough.core.site;

import static idlebough.core.Vectors.d;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Vectors;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** The sun against the almanac formula of the NOAA spreadsheet, and what stands in its way against plain geometry. */
class SunTest {
    private static final Feature HOUSE = building("house", 5, 8, 4, 6, 5);

    static Feature building(String id, double x, double y, double wide, double deep, double height) {
        return new Feature(
                id,
                Feature.Kind.BUILDING,
                id,
                List.of(new Point(x, y), new Point(x + wide, y), new Point(x + wide, y + deep), new Point(x, y + deep)),
                Feature.Size.of(height, null, null, null),
                false,
                Optional.empty(),
                Optional.empty());
    }

    static Feature tree(double x, double y, double height, double crown) {
        return new Feature(
                "t" + x + y,
                Feature.Kind.TREE,
                "oak",
                List.of(new Point(x, y)),
                Feature.Size.of(height, null, crown, null),
                false,
                Optional.empty(),
                Optional.empty());
    }

    private static Instant instant(Map<String, String> row) {
        return LocalDate.parse(row.get("date"))
                .atTime(LocalTime.parse(row.get("time")))
                .toInstant(ZoneOffset.ofTotalSeconds((int) Math.round(3600 * d(row, "tz"))));
    }

    @Test
    void theLibrarysSunIsTheAlmanacsWithinATwentiethOfADegree() {
        Vectors.joined("solar").forEach(row -> {
            SunPath.Sun sun = SunPath.at(instant(row), d(row, "lat"), d(row, "lon"));
            assertThat(sun.geometric()).as(row.toString()).isCloseTo(d(row, "out:elev_true"), within(0.05));
            if (sun.geometric() > 1) {
                assertThat(sun.elevation()).as(row.toString()).isCloseTo(d(row, "out:elev_app"), within(0.05));
            }
            assertThat(sun.azimuth()).as(row.toString()).isCloseTo(d(row, "out:azimuth"), within(0.05));
        });
    }

    @Test
    void shadowsAreTheAlmanacsWithinHalfAPercent() {
        Vectors.joined("shadow").forEach(row -> {
            SunPath.Sun sun = SunPath.at(instant(row), d(row, "lat"), d(row, "lon"));
            OptionalDouble perMetre = SunPath.shadowPerMetre(sun.elevation(), d(row, "rise_pct") / 100);
            if (row.get("out:length").isEmpty()) {
                assertThat(perMetre).as(row.toString()).isEmpty();
                return;
            }
            double length = d(row, "out:length");
            if (sun.elevation() > 5) {
                assertThat(perMetre.orElseThrow() * d(row, "height"))
                        .as(row.toString())
                        .isCloseTo(length, within(0.005 * length));
            }
            assertThat((sun.azimuth() + 180) % 360).isCloseTo(d(row, "out:bearing"), within(0.05));
        });
    }

    @Test
    void noonShadowsOfLayoutFour() {
        Vectors.joined("noon_shadow").forEach(row -> {
            double elevation = SunPath.noonElevation(d(row, "lat"), d(row, "decl"));
            Vectors.near(elevation, row, "out:elev");
            Vectors.near(d(row, "height") * SunPath.shadowPerMetre(elevation, 0).orElseThrow(), row, "out:length");
            assertThat(SunPath.noonShadowFallsNorth(d(row, "lat"), d(row, "decl")) ? "N" : "S")
                    .isEqualTo(row.get("out:falls"));
        });
    }

    /** Against the day length of FAO-56, equation 34 (the sun's centre on a level horizon). */
    @Test
    void hoursOnOpenGroundAreTheDaysLength() {
        Vectors.of("water/sun.csv").forEach(row -> {
            double latitude = d(row, "in_lat");
            LocalDate day = LocalDate.ofYearDay(2028, (int) d(row, "in_j"));
            double hours = SunPath.day(day, latitude, SunYear.STEP).size() * SunYear.STEP / 60.0;
            assertThat(hours).as(row.toString()).isCloseTo(d(row, "out_n"), within(0.3));
        });
        for (double latitude : new double[] {-43, -12, 0, 36.8, 52}) {
            SunYear year = SunYear.of(latitude);
            SunHours open = SunHours.at(new Point(0, 0), List.of(), year, Ground.LEVEL, 0);
            for (int month = 1; month <= 12; month++) {
                assertThat(open.months().get(month - 1)).isEqualTo(year.dayLength(month), within(1e-9));
            }
        }
    }

    @Test
    void mirroredHemisphereAndHalfAYearGiveTheSameHours() {
        for (double latitude : new double[] {28, 42.3, 55}) {
            SunYear north = SunYear.of(latitude);
            SunYear south = SunYear.of(-latitude);
            Feature mirrored = building("house", 5, -14, 4, 6, 5);
            SunHours up = SunHours.at(new Point(7, 17), List.of(HOUSE), north, Ground.falling(6, 140, 0), 0);
            SunHours down = SunHours.at(new Point(7, -17), List.of(mirrored), south, Ground.falling(6, 40, 0), 0);
            for (int month = 1; month <= 12; month++) {
                assertThat(down.months().get((month + 5) % 12))
                        .as("%s, month %s", latitude, month)
                        .isCloseTo(up.months().get(month - 1), within(0.25));
            }
            assertThat(north.sunnySide()).isEqualTo("south");
            assertThat(south.sunnySide()).isEqualTo("north");
        }
    }

    @Test
    void turningTheWholeSiteTurnsTheSidesAndNotTheHours() {
        SunYear year = SunYear.of(47);
        Random random = new Random(7);
        for (int i = 0; i < 6; i++) {
            double turn = random.nextDouble() * 360;
            // The plan's y axis points to a bearing of `turn`; what stood at p stands at p turned back.
            Feature turned = new Feature(
                    "house",
                    Feature.Kind.BUILDING,
                    "house",
                    HOUSE.points().stream().map(p -> turned(p, turn)).toList(),
                    Feature.Size.high(5.0),
                    false,
                    Optional.empty(),
                    Optional.empty());
            Point place = new Point(7, 17);
            SunHours straight = SunHours.at(place, List.of(HOUSE), year, Ground.falling(5, 200, 0), 0);
            SunHours round =
                    SunHours.at(turned(place, turn), List.of(turned), year, Ground.falling(5, 200, turn), turn);
            assertThat(round.season()).isCloseTo(straight.season(), within(0.06));
            assertThat(round.winter()).isCloseTo(straight.winter(), within(0.06));
            SunHours open = SunHours.at(place, List.of(), year, Ground.LEVEL, turn);
            assertThat(open.months())
                    .isEqualTo(
                            SunHours.at(place, List.of(), year, Ground.LEVEL, 0).months());
        }
    }

    private static Point turned(Point p, double bearing) {
        double t = Math.toRadians(bearing);
        return new Point(p.x() * Math.cos(t) - p.y() * Math.sin(t), p.x() * Math.sin(t) + p.y() * Math.cos(t));
    }

    @Test
    void theShadedSideIsPolewardInBothHemispheres() {
        for (double latitude : new double[] {45, -45}) {
            SunYear year = SunYear.of(latitude);
            double pole = Math.signum(latitude);
            SunHours poleward = SunHours.at(new Point(7, 11 + pole * 4), List.of(HOUSE), year, Ground.LEVEL, 0);
            SunHours sunward = SunHours.at(new Point(7, 11 - pole * 4), List.of(HOUSE), year, Ground.LEVEL, 0);
            assertThat(sunward.season()).isGreaterThan(poleward.season() + 1.5);
            assertThat(sunward.winter()).isGreaterThan(poleward.winter() + 3);
        }
    }

    @Test
    void theMapSaysWhatThePointSays() {
        Plot plot = Plot.rectangle(24, 30);
        List<Feature> all = List.of(HOUSE, tree(16, 9, 9, 6));
        SunYear year = SunYear.of(42.3);
        Ground ground = Ground.falling(6, 140, 12);
        SunMap map = SunMap.of(plot, all, year, ground, 12, 1);
        for (int at : new int[] {40, 200, 333, 500, 700}) {
            SunHours point = SunHours.at(map.middle(at), all, year, ground, 12);
            for (int month : List.of(1, 4, 6, 10)) {
                assertThat(map.hours(at, List.of(month)))
                        .as("cell %s, month %s", at, month)
                        .isCloseTo(point.months().get(month - 1), within(0.01));
            }
        }
        assertThat(map.shareWith(0, year.season())).isEqualTo(1);
        assertThat(map.shareWith(6, year.season())).isBetween(0.5, 0.98);
    }

    @Test
    void aBareCrownLetsHalfTheSunThrough() {
        SunYear year = SunYear.of(45);
        Feature oak = tree(0, 0, 10, 8);
        Feature holm = new Feature(
                "h",
                Feature.Kind.TREE,
                "holm",
                oak.points(),
                Feature.Size.of(10.0, null, 8.0, null),
                true,
                Optional.empty(),
                Optional.empty());
        Point behind = new Point(0, 9);
        SunHours sheds = SunHours.at(behind, List.of(oak), year, Ground.LEVEL, 0);
        SunHours keeps = SunHours.at(behind, List.of(holm), year, Ground.LEVEL, 0);
        assertThat(sheds.season()).isEqualTo(keeps.season());
        double taken = year.dayLength(1) - keeps.months().get(0);
        assertThat(taken).isGreaterThan(0.5);
        assertThat(year.dayLength(1) - sheds.months().get(0)).isCloseTo(taken * Shade.BARE_CROWN, within(1e-9));
    }

    @Test
    void wireShadesNothingAndAnEquatorwardWallMakesAStripOfShade() {
        SunYear year = SunYear.of(45);
        List<Point> line = List.of(new Point(-10, 0), new Point(10, 0));
        for (Feature.Material material : Feature.Material.values()) {
            Feature wall = new Feature(
                    "w",
                    Feature.Kind.WALL,
                    "",
                    line,
                    Feature.Size.high(2.0),
                    false,
                    Optional.ofNullable(material),
                    Optional.empty());
            double behind = SunHours.at(new Point(0, 1), List.of(wall), year, Ground.LEVEL, 0)
                    .winter();
            double open = SunHours.at(new Point(0, 40), List.of(wall), year, Ground.LEVEL, 0)
                    .winter();
            if (material == Feature.Material.WIRE) {
                assertThat(behind).isEqualTo(open);
            } else {
                assertThat(behind).isLessThan(open - 6);
            }
        }
    }
}
