package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class InsetTest {
    /** Against the distance itself, on crooked plots with corners that point inwards. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void itSaysWhatTheDistanceSays(long seed) {
        Random random = new Random(seed);
        List<Point> corners = new ArrayList<>();
        int sides = 5 + random.nextInt(20);
        for (int i = 0; i < sides; i++) {
            double angle = 2 * Math.PI * i / sides;
            double radius = 10 + random.nextDouble() * 25;
            corners.add(new Point(40 + radius * Math.cos(angle), 40 + radius * Math.sin(angle)));
        }
        Plot plot = Plot.of(corners);
        double margin = random.nextInt(3) == 0 ? 0 : random.nextDouble() * 6;
        Inset inset = new Inset(plot, margin);
        int inside = 0;
        for (int i = 0; i < 4000; i++) {
            Point at = new Point(random.nextDouble() * 80, random.nextDouble() * 80);
            double edge = plot.distanceToBoundary(at);
            boolean wanted = plot.holds(at) && edge >= margin;
            inside += wanted ? 1 : 0;
            if (Math.abs(edge - margin) > 1e-5) {
                assertThat(inset.holds(at))
                        .as("%s, %s off, margin %s", at, edge, margin)
                        .isEqualTo(wanted);
            }
        }
        assertThat(inside).isPositive();
    }

    /** A place exactly on the margin may be taken: 10⁻⁶ m of slack. */
    @Test
    void onTheMarginIsInside() {
        Inset inset = new Inset(Plot.rectangle(10, 10), 2);
        assertThat(inset.holds(new Point(2, 5))).isTrue();
        assertThat(inset.holds(new Point(2 - 1e-4, 5))).isFalse();
        assertThat(new Inset(Plot.rectangle(10, 10), 0).holds(new Point(0, 5))).isTrue();
    }

    @Test
    void aMarginThatIsTooWideLeavesNothing() {
        Inset inset = new Inset(Plot.rectangle(10, 10), 6);
        assertThat(inset.holds(new Point(5, 5))).isFalse();
    }
}
