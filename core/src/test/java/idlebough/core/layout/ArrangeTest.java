package idlebough.core.layout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Plane geometry: what moves together keeps its distances. */
class ArrangeTest {
    private static final List<Point> ROW =
            List.of(new Point(0, 0.3), new Point(9, -0.2), new Point(4, 0), new Point(6, 0.1));

    private static List<Double> distances(List<Point> places) {
        List<Double> all = new ArrayList<>();
        places.forEach(a -> places.forEach(b -> all.add(a.distance(b))));
        return all;
    }

    /** A quarter turn clockwise brings what lay to the north to the east. */
    @Test
    void turnedClockwiseAboutTheMiddle() {
        List<Point> turned = Arrange.turned(List.of(new Point(5, 7), new Point(5, 3)), 90);
        assertThat(turned.get(0).x()).isCloseTo(7, within(1e-9));
        assertThat(turned.get(0).y()).isCloseTo(5, within(1e-9));
    }

    @Test
    void turnsAndShiftsKeepAllDistancesAndTurnBack() {
        Random random = new Random(4);
        for (int i = 0; i < 50; i++) {
            double turn = random.nextDouble() * 360;
            List<Point> there = Arrange.shifted(Arrange.turned(ROW, turn), random.nextDouble() * 50, -7);
            List<Double> before = distances(ROW);
            List<Double> after = distances(there);
            for (int at = 0; at < before.size(); at++) {
                assertThat(after.get(at)).isCloseTo(before.get(at), within(1e-9));
            }
            List<Point> back = Arrange.turned(Arrange.turned(ROW, turn), -turn);
            for (int at = 0; at < ROW.size(); at++) {
                assertThat(back.get(at).distance(ROW.get(at))).isLessThan(1e-9);
            }
        }
    }

    @Test
    void alignedTheyStandStraightAndEvenInTheirOrder() {
        List<Point> aligned = Arrange.aligned(ROW);
        double pitch = aligned.get(0).distance(aligned.get(1)) / 3;
        assertThat(pitch).isCloseTo(3, within(0.05));
        assertThat(aligned.get(0).distance(aligned.get(2))).isCloseTo(pitch, within(1e-9));
        assertThat(aligned.get(0).distance(aligned.get(3))).isCloseTo(2 * pitch, within(1e-9));
        // Nobody is moved further than the row was crooked and uneven.
        for (int i = 0; i < ROW.size(); i++) {
            assertThat(aligned.get(i).distance(ROW.get(i))).isLessThan(1.2);
        }
        assertThat(Arrange.aligned(Arrange.aligned(ROW)).get(1).distance(aligned.get(1)))
                .isLessThan(1e-9);
    }
}
