package idlebough.app.site;

import idlebough.app.plan.Row;
import idlebough.core.site.DrainageTest;
import idlebough.core.site.TestHole;
import java.time.Instant;

/**
 * One filling of one test hole as it is stored; readings as {@code minutes metres;…} down from the stick.
 *
 * @param a diameter, length, or width at the top, m
 * @param b nothing, width, or width at the bottom, m
 * @param begunAt when the clock was started; null when readings are typed
 */
public record Filling(
        String id,
        String orchardId,
        String pitId,
        String label,
        Shape shape,
        double a,
        Double b,
        double depth,
        boolean secondFilling,
        boolean glazed,
        boolean waterEntered,
        Double waterDepth,
        Instant begunAt,
        String readings,
        int version,
        boolean deleted)
        implements Row {

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

    @Override
    public String entity() {
        return "drainage_test";
    }

    /** As the core sees it. */
    public DrainageTest test() {
        TestHole hole = switch (shape) {
            case CYLINDER -> new TestHole.Cylinder(a);
            case BOX -> new TestHole.Box(a, b == null ? a : b);
            case TAPER -> new TestHole.Taper(a, b == null ? 0 : b, depth);
        };
        return new DrainageTest(hole, depth, secondFilling, glazed, waterEntered, SiteText.readings(readings));
    }

    /** Hole and filling in words: “hole 1, second filling”. */
    public String title() {
        return "hole " + label + (secondFilling ? ", second filling" : ", first filling");
    }
}
