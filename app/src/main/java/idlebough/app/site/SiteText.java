package idlebough.app.site;

import idlebough.core.site.DrainageTest;
import idlebough.core.site.Point;
import idlebough.core.site.SoilPit;
import idlebough.core.site.TestHole;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** Between the stored text of corners and readings and the core's records. */
public final class SiteText {
    private SiteText() {}

    /** {@code x y;x y}, metres. */
    public static List<Point> points(String corners) {
        return pairs(corners).stream().map(pair -> new Point(pair[0], pair[1])).toList();
    }

    public static String corners(List<Point> points) {
        return points.stream().map(p -> number(p.x()) + " " + number(p.y())).collect(Collectors.joining(";"));
    }

    public static List<DrainageTest.Reading> readings(String text) {
        return pairs(text).stream()
                .map(pair -> new DrainageTest.Reading(pair[0], pair[1]))
                .toList();
    }

    public static String readings(List<DrainageTest.Reading> readings) {
        return readings.stream()
                .map(r -> number(r.minutes()) + " " + number(r.down()))
                .collect(Collectors.joining(";"));
    }

    /** A stored pit as the core sees it. */
    public static SoilPit pit(Pit row) {
        boolean tested = row.holeDiameter() != null
                && row.holeDepth() != null
                && (row.waterEntered() || !row.readings().isBlank());
        DrainageTest test = tested
                ? new DrainageTest(
                        new TestHole.Cylinder(row.holeDiameter()),
                        row.holeDepth(),
                        row.secondFilling(),
                        row.waterEntered(),
                        readings(row.readings()))
                : null;
        return new SoilPit(
                row.id(),
                row.label(),
                new Point(row.x(), row.y()),
                row.texture(),
                row.topsoil(),
                row.pan(),
                row.ph(),
                test);
    }

    private static List<double[]> pairs(String text) {
        return text.isBlank()
                ? List.of()
                : Arrays.stream(text.split(";"))
                        .map(pair -> Arrays.stream(pair.strip().split(" "))
                                .mapToDouble(Double::parseDouble)
                                .toArray())
                        .toList();
    }

    private static String number(double value) {
        return String.format(Locale.ROOT, "%.4f", value).replaceAll("\\.?0+$", "");
    }
}
