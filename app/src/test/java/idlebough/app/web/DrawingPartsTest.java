package idlebough.app.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Limit;
import idlebough.core.judge.Measured;
import idlebough.core.judge.Source;
import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.UnitSystem;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Envelope;

/** Labels that keep clear of each other, and a value against its limit on a scale. */
class DrawingPartsTest {
    private static final Reader READER = new Reader("a", "A", new Display(UnitSystem.METRIC, Locale.UK));

    private static Envelope box(Labels.Label label, double size) {
        double half = 0.47 * size * label.text().length() / 2;
        return new Envelope(label.x() - half, label.x() + half, label.y() - 0.7 * size, label.y() + 0.1 * size);
    }

    /** Twelve marks within a hand's breadth, as where three things meet on a plan. */
    @ParameterizedTest
    @ValueSource(ints = {1, 2, 3, 4, 5, 6})
    void labelsOfACrowdedCornerDoNotTouch(int seed) {
        Random random = new Random(seed);
        List<Labels.Wish> wishes = new ArrayList<>();
        for (int i = 0; i < 12; i++) {
            wishes.add(new Labels.Wish(
                    "Label " + i, 300 + 70 * random.nextDouble(), 300 + 70 * random.nextDouble(), 6, 13));
        }
        List<Labels.Label> labels = Labels.place(wishes, List.of(), 726, 660);
        for (int i = 0; i < labels.size(); i++) {
            for (int j = 0; j < i; j++) {
                assertThat(box(labels.get(i), 13).intersects(box(labels.get(j), 13)))
                        .as("%s and %s", labels.get(i), labels.get(j))
                        .isFalse();
            }
        }
        assertThat(Labels.place(wishes, List.of(), 726, 660))
                .as("the same again")
                .isEqualTo(labels);
    }

    @Test
    void aLoneLabelStandsBelowItsMarkAndOneAtTheEdgeStaysInside() {
        Labels.Label lone = Labels.place(List.of(new Labels.Wish("House", 300, 300, 6, 13)), List.of(), 726, 660)
                .get(0);
        assertThat(lone.x()).isEqualTo(300);
        assertThat(lone.y()).isGreaterThan(306);
        assertThat(lone.leader()).isEmpty();
        Labels.Label edge = Labels.place(List.of(new Labels.Wish("Neighbour", 724, 658, 6, 13)), List.of(), 726, 660)
                .get(0);
        assertThat(box(edge, 13).getMaxX()).isLessThanOrEqualTo(726);
        assertThat(box(edge, 13).getMaxY()).isLessThanOrEqualTo(660);
    }

    /** Bands that touch are doubtful to the eye: on the scale as in the rule. */
    @ParameterizedTest
    @CsvSource({"5, 1, 10, 1, false", "9, 1, 10, 1, true", "10, 1, 10, 1, true", "14, 1, 10, 1, false"})
    void bandsTouchOnTheScaleAsTheyDoInTheRule(double m, double dm, double l, double dl, boolean touch) {
        Limit limit = Limit.atLeast(l, dl, Quantity.DECIMAL, Source.practice("x"));
        LimitScale scale = LimitScale.of(new Finding.Held(Measured.of(m, dm, Quantity.DECIMAL), limit), 168, READER);
        LimitScale.Band a = scale.measured().band();
        LimitScale.Band b = scale.limit().band();
        assertThat(a.x() <= b.x() + b.width() && b.x() <= a.x() + a.width()).isEqualTo(touch);
        assertThat(scale.measured().x() < scale.limit().x()).isEqualTo(m < l);
        assertThat(scale.sound().x()).isCloseTo(scale.limit().x(), within(1e-9));
        assertThat(scale.wanted()).isEqualTo("10.0 wanted");
        assertThat(List.of(a.x(), b.x(), a.x() + a.width(), b.x() + b.width())).allMatch(x -> x >= 0 && x <= 168);
    }

    /** Where nothing is unknown and the value meets its limit there is still a scale. */
    @Test
    void aCountThatMeetsItsLimitHasAScale() {
        Limit limit = Limit.atMost(0, 0, Quantity.COUNT, Source.practice("x"));
        LimitScale scale = LimitScale.of(new Finding.Held(Measured.exactly(0, Quantity.COUNT), limit), 168, READER);
        assertThat(scale.measured().x()).isCloseTo(84, within(1e-9));
        assertThat(scale.sound().width()).isPositive();
        assertThat(scale.wanted()).endsWith("at most");
    }
}
