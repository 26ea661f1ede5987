package idlebough.app.store;

import idlebough.core.site.DrainageTest;
import idlebough.core.site.TestHole;
import java.time.Instant;

/**
 * One filling of one test hole as it is stored.
 *
 * @param begunAt when the clock was started; null when readings are typed
 * @param readings as {@code minutes metres;…} down from the stick
 */
public record TestRow(
        RowKey key, String pitId, String label, Hole hole, Filling filling, Instant begunAt, String readings)
        implements Row {

    /**
     * @param a diameter, length, or width at the top, m
     * @param b nothing, width, or width at the bottom, m
     */
    public record Hole(Shape shape, double a, Double b, double depth) {}

    /** @param waterDepth at which water stood that entered by itself, m; null when it was not measured */
    public record Filling(boolean secondFilling, boolean glazed, boolean waterEntered, Double waterDepth) {}

    /** The shapes of holes that are told apart. */
    public enum Shape {
        CYLINDER("round, straight sides"),
        BOX("rectangular, straight sides"),
        TAPER("narrower at the bottom, or a V");
        private final String words;

        Shape(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** As the core sees it. */
    public DrainageTest test() {
        TestHole in = switch (hole.shape()) {
            case CYLINDER -> new TestHole.Cylinder(hole.a());
            case BOX -> new TestHole.Box(hole.a(), hole.b() == null ? hole.a() : hole.b());
            case TAPER -> new TestHole.Taper(hole.a(), hole.b() == null ? 0 : hole.b(), hole.depth());
        };
        return new DrainageTest(
                in,
                hole.depth(),
                filling.secondFilling(),
                filling.glazed(),
                filling.waterEntered(),
                SiteText.readings(readings));
    }

    /** Hole and filling in words: “hole 1, second filling”. */
    public String title() {
        return "hole " + label + (filling.secondFilling() ? ", second filling" : ", first filling");
    }
}
