package idlebough.app.tree;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import idlebough.app.web.Svg;
import java.util.List;

/**
 * A tree, or whoever stands beside it, at a place of a drawing.
 *
 * @param at transform of its foot
 */
public record Plate(String at, List<Stroke> strokes) {
    private static final int MOST = 600;
    private static final Cache<Drawn, List<Stroke>> DRAWN =
            Caffeine.newBuilder().maximumSize(MOST).build();

    private record Drawn(TreeFigure tree, double scale) {}

    /**
     * @param x and y: of the foot, page units
     * @param scale page units to the metre
     */
    public static Plate of(TreeFigure tree, double x, double y, double scale) {
        return new Plate(Svg.translate(x, y), DRAWN.get(new Drawn(tree, scale), each -> TreeDrawing.of(tree, scale)));
    }

    public static Plate person(double x, double y, double scale) {
        return new Plate(Svg.translate(x, y), Person.of(scale));
    }
}
