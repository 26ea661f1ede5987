package idlebough.app.store;

import idlebough.core.site.DrainageTest;
import idlebough.core.site.JarTest;
import idlebough.core.site.Point;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Texture;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
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

    public static List<SoilPit.Layer> layers(String text) {
        return text == null || text.isBlank()
                ? List.of()
                : Arrays.stream(text.split(";"))
                        .map(layer -> layer.split(" "))
                        .map(p -> new SoilPit.Layer(
                                Double.parseDouble(p[0]),
                                Texture.valueOf(p[1]),
                                Optional.of(p[2])
                                        .filter(word -> !word.equals("-"))
                                        .map(SoilPit.Colour::valueOf),
                                p[3].equals("1"),
                                p[4].equals("1")))
                        .toList();
    }

    public static String layersText(List<SoilPit.Layer> layers) {
        return layers.stream()
                .map(l -> number(l.bottom()) + " " + l.texture().name() + " "
                        + l.colour().map(Enum::name).orElse("-") + (l.mottled() ? " 1" : " 0")
                        + (l.roots() ? " 1" : " 0"))
                .collect(Collectors.joining(";"));
    }

    /** {@code sand silt all}, or null. */
    public static JarTest jar(String text) {
        if (text == null || text.isBlank()) {
            return null;
        }
        double[] heights = pairs(text).get(0);
        return new JarTest(heights[0], heights[1], heights[2]);
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

    public static String number(double value) {
        return String.format(Locale.ROOT, "%.4f", value).replaceAll("\\.?0+$", "");
    }
}
