package idlebough.core.site;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Vectors;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Tapes, tracks, levels and the plan's place on the earth. */
class SurveyTest {
    private static TapeSurvey.Tape tape(String from, String to, double length) {
        return new TapeSurvey.Tape(from, to, length);
    }

    @Test
    void slopeAndDiagonalsOfLayoutFour() {
        Vectors.joined("slope_tape").forEach(row -> {
            SlopeTape tape = SlopeTape.onPlan(d(row, "horizontal"), d(row, "slope_pct"));
            near(tape.along(), row, "out:along");
            near(tape.correction(), row, "out:correction");
            near(tape.angle(), row, "out:angle");
            assertThat(SlopeTape.read(tape.along(), d(row, "horizontal") * d(row, "slope_pct") / 100)
                            .horizontal())
                    .isCloseTo(d(row, "horizontal"), within(1e-9));
        });
        Vectors.joined("diagonal").forEach(row -> {
            RectangleCheck check = new RectangleCheck(d(row, "length"), d(row, "width"), d(row, "d1"), d(row, "d2"));
            near(check.diagonal(), row, "out:diagonal");
            near(check.skew(), row, "out:skew_deg");
        });
    }

    @Test
    void twoTapesAndABaseAreTheTrilaterationOfLayoutFour() {
        Vectors.joined("trilateration").forEach(row -> {
            TapeSurvey survey = TapeSurvey.of(
                    List.of("A", "B", "C"),
                    List.of(tape("A", "B", d(row, "b")), tape("A", "C", d(row, "a")), tape("B", "C", d(row, "c"))),
                    d(row, "side") < 0);
            assertThat(survey.complaint()).isEmpty();
            assertThat(survey.corners().get(2).x()).isCloseTo(d(row, "out:x"), within(2e-4));
            assertThat(survey.corners().get(2).y()).isCloseTo(d(row, "out:y"), within(2e-4));
            assertThat(survey.spare()).isZero();
        });
    }

    /** Seeded: rings of four to seven corners, every tape read to the centimetre; the ring comes back. */
    @Test
    void aRingComesBackFromItsTapes() {
        Random random = new Random(20261123);
        for (int run = 0; run < 40; run++) {
            int n = 4 + run % 4;
            List<Point> ring = new ArrayList<>();
            List<String> names = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                double turn = 2 * Math.PI * (i + 0.5 * random.nextDouble()) / n;
                double r = 15 + 25 * random.nextDouble();
                ring.add(new Point(r * Math.cos(turn), r * Math.sin(turn)));
                names.add("" + (char) ('A' + i));
            }
            List<TapeSurvey.Tape> tapes = new ArrayList<>();
            for (int i = 0; i < n; i++) {
                for (int j = i + 1; j < n; j++) {
                    if (j == i + 1 || i == 0 || i == 1) {
                        tapes.add(tape(
                                names.get(i),
                                names.get(j),
                                Math.round(100 * ring.get(i).distance(ring.get(j))) / 100.0));
                    }
                }
            }
            TapeSurvey survey = TapeSurvey.of(names, tapes, false);
            assertThat(survey.complaint()).as("run %s", run).isEmpty();
            assertThat(Plot.of(survey.corners()).area())
                    .as("run %s of %s", run, ring)
                    .isCloseTo(Plot.of(ring).area(), within(2.0));
            assertThat(survey.misclosure()).isLessThan(0.02);
            assertThat(survey.doubtful()).isEmpty();
            List<Point> placed = survey.placed(ring.get(0), bearing(ring.get(0), ring.get(1)));
            for (int i = 0; i < n; i++) {
                assertThat(placed.get(i).distance(ring.get(i))).isLessThan(0.15);
            }
            TapeSurvey mirrored = TapeSurvey.of(names, tapes, true);
            assertThat(mirrored.corners().get(2).y())
                    .isCloseTo(-survey.corners().get(2).y(), within(1e-6));
        }
    }

    private static double bearing(Point a, Point b) {
        return Math.toDegrees(Math.atan2(b.x() - a.x(), b.y() - a.y()));
    }

    @Test
    void theDoubtfulTapeIsNamedWhenTwoAreToSpare() {
        List<Point> ring =
                List.of(new Point(0, 0), new Point(30, 0), new Point(38, 22), new Point(14, 36), new Point(-6, 20));
        List<String> names = List.of("A", "B", "C", "D", "E");
        for (int wrong = 0; wrong < 10; wrong++) {
            List<TapeSurvey.Tape> tapes = new ArrayList<>();
            for (int i = 0; i < 5; i++) {
                for (int j = i + 1; j < 5; j++) {
                    double length = ring.get(i).distance(ring.get(j)) + (tapes.size() == wrong ? 1 : 0);
                    tapes.add(tape(names.get(i), names.get(j), Math.round(100 * length) / 100.0));
                }
            }
            TapeSurvey survey = TapeSurvey.of(names, tapes, false);
            assertThat(survey.misclosure()).isGreaterThan(0.1);
            assertThat(survey.doubtful().orElseThrow().tape()).isEqualTo(tapes.get(wrong));
            assertThat(survey.doubtful().orElseThrow().off()).isCloseTo(1, within(0.05));
            assertThat(survey.doubtful().orElseThrow().slip()).contains("a metre miscounted");
        }
        // One tape to spare shows a disagreement and cannot tell which tape it is.
        List<TapeSurvey.Tape> six = List.of(
                tape("A", "B", 30),
                tape("B", "C", 20),
                tape("C", "D", 30),
                tape("D", "A", 20),
                tape("A", "C", 36.06),
                tape("B", "D", 37.06));
        TapeSurvey one = TapeSurvey.of(List.of("A", "B", "C", "D"), six, false);
        assertThat(one.spare()).isEqualTo(1);
        assertThat(one.misclosure()).isGreaterThan(0.3);
        assertThat(one.doubtful()).isEmpty();
        // Three tapes hold B, and one of them is wrong: which, the others cannot say.
        List<TapeSurvey.Tape> nine = List.of(
                tape("A", "B", 77.03),
                tape("B", "C", 45.04),
                tape("C", "D", 34.18),
                tape("D", "E", 45.40),
                tape("E", "A", 53.04),
                tape("A", "C", 91.92),
                tape("A", "D", 75.43),
                tape("C", "E", 77.23),
                tape("B", "E", 91.58));
        TapeSurvey three = TapeSurvey.of(names, nine, false);
        assertThat(three.doubtful()).isEmpty();
        assertThat(three.suspects()).extracting(TapeSurvey.Tape::name).containsExactlyInAnyOrder("A–B", "B–C", "B–E");
    }

    @Test
    void tapesThatCannotBeAreRefusedInASentence() {
        List<String> names = List.of("A", "B", "C", "D");
        assertThat(TapeSurvey.of(
                                names,
                                List.of(tape("A", "B", 10), tape("B", "C", 5), tape("A", "C", 20), tape("C", "D", 3)),
                                true)
                        .complaint()
                        .orElseThrow())
                .isEqualTo("Tapes A–B and B–C cannot meet: A–C is longer than both together.");
        assertThat(TapeSurvey.of(
                                names,
                                List.of(tape("A", "B", 10), tape("B", "C", 5), tape("C", "D", 9), tape("D", "A", 5)),
                                true)
                        .complaint()
                        .orElseThrow())
                .contains("4 corners need 5 tapes at least, all sides and 1 diagonal; there are 4");
        assertThat(TapeSurvey.of(names, List.of(tape("A", "X", 10)), true)
                        .complaint()
                        .orElseThrow())
                .contains("A–X leads to a corner that is not in the ring");
        assertThat(TapeSurvey.of(
                                List.of("A", "B", "C", "D"),
                                List.of(
                                        tape("A", "B", 10),
                                        tape("B", "C", 10),
                                        tape("C", "A", 10),
                                        tape("A", "D", 10),
                                        tape("B", "A", 10)),
                                true)
                        .complaint()
                        .orElseThrow())
                .contains("do not fix every corner");
    }

    /** Five tapes fix four corners with none to spare; when two of them cannot meet, that is said. */
    @Test
    void tapesThatDoNotMeetAreRefusedThoughNothingChecksThem() {
        List<TapeSurvey.Tape> tapes = List.of(
                tape("A", "B", 20), tape("B", "C", 10), tape("C", "D", 20), tape("D", "A", 4), tape("A", "C", 22.36));
        assertThat(TapeSurvey.of(List.of("A", "B", "C", "D"), tapes, false).complaint())
                .isEmpty();
        List<TapeSurvey.Tape> short2 = List.of(
                tape("A", "B", 20), tape("B", "C", 10), tape("C", "D", 9), tape("D", "A", 12.3), tape("A", "C", 22.36));
        assertThat(TapeSurvey.of(List.of("A", "B", "C", "D"), short2, false)
                        .complaint()
                        .orElseThrow())
                .containsAnyOf("do not meet", "cannot meet");
    }

    @Test
    void aWalkedTrackIsClosedAndMadeSimple() {
        Random shaky = new Random(5);
        List<Point> track = new ArrayList<>();
        double[][] corners = {{0, 0}, {60, 5}, {55, 48}, {4, 40}, {0, 1}};
        for (int side = 0; side < 4; side++) {
            for (int i = 0; i < 25_000; i++) {
                double t = i / 25_000.0;
                track.add(new Point(
                        corners[side][0] + t * (corners[side + 1][0] - corners[side][0]) + 0.3 * shaky.nextGaussian(),
                        corners[side][1] + t * (corners[side + 1][1] - corners[side][1]) + 0.3 * shaky.nextGaussian()));
            }
        }
        WalkedTrack walked = WalkedTrack.of(track, 2);
        assertThat(walked.read()).isEqualTo(100_000);
        assertThat(walked.complaint()).isEmpty();
        assertThat(walked.corners()).hasSizeBetween(4, 8);
        assertThat(walked.closingError()).isLessThan(3);
        assertThat(Plot.of(walked.corners()).area()).isCloseTo(2420, within(110.0));
        assertThat(WalkedTrack.of(List.of(new Point(0, 0), new Point(1, 1)), 1)
                        .complaint()
                        .orElseThrow())
                .contains("2 points");
        assertThat(WalkedTrack.of(List.of(new Point(0, 0), new Point(9, 9), new Point(9, 0), new Point(0, 9)), 0)
                        .complaint()
                        .orElseThrow())
                .contains("crosses itself");
    }

    @Test
    void aPlaneThroughSpotHeights() {
        List<Ground.Spot> spots = new ArrayList<>();
        for (double[] p : new double[][] {{0, 0}, {40, 0}, {40, 30}, {0, 30}, {20, 15}}) {
            spots.add(new Ground.Spot(new Point(p[0], p[1]), 100 - 0.06 * p[0] + 0.08 * p[1]));
        }
        Ground ground = Ground.through(spots).orElseThrow();
        assertThat(ground.slope()).isCloseTo(10, within(1e-9));
        // Down to the east and up to the north: towards 143.13 degrees, the 3-4-5 triangle.
        assertThat(ground.aspect()).isCloseTo(180 - Math.toDegrees(Math.atan2(3, 4)), within(1e-9));
        assertThat(ground.rise(ground.aspect())).isCloseTo(-0.1, within(1e-12));
        assertThat(ground.height(new Point(10, 10))).isCloseTo(100.2, within(1e-9));
        assertThat(ground.roughness()).isLessThan(1e-9);
        Ground falling = Ground.falling(10, ground.aspect() + 25, 25);
        assertThat(falling.east()).isCloseTo(ground.east(), within(1e-12));
        spots.set(4, new Ground.Spot(new Point(20, 15), 95));
        Ground hollow = Ground.through(spots).orElseThrow();
        assertThat(hollow.height(new Point(20, 15))).isEqualTo(95);
        assertThat(hollow.roughness()).isGreaterThan(1);
        assertThat(Ground.through(spots.subList(0, 2))).isEmpty();
        assertThat(Ground.through(List.of(
                        new Ground.Spot(new Point(0, 0), 1),
                        new Ground.Spot(new Point(5, 5), 2),
                        new Ground.Spot(new Point(9, 9), 1))))
                .isEmpty();
    }

    @Test
    void placesOnTheEarthComeBackAndTheDateLineIsNoWall() {
        for (double rotation : new double[] {0, 30, -75}) {
            LocalFrame frame = new LocalFrame(-17.2, 179.9995, rotation);
            for (Point p : List.of(new Point(0, 0), new Point(150, -40), new Point(-800, 900))) {
                LocalFrame.Geographic there = frame.geographic(p);
                assertThat(there.longitude()).isBetween(-180.0, 180.0);
                assertThat(frame.local(there).distance(p)).isLessThan(1e-6);
            }
        }
        // A minute of arc along the meridian at 45° is 1852.2 m on WGS 84 (the old definition of the nautical mile).
        Point north = new LocalFrame(45, 10, 0).local(new LocalFrame.Geographic(45 + 1 / 60.0, 10));
        assertThat(north.y()).isCloseTo(1852.2, within(0.5));
        assertThat(new LocalFrame(45, 10, 90)
                        .local(new LocalFrame.Geographic(45.001, 10))
                        .x())
                .as("with the plan's y axis to the east, north is to the left")
                .isNegative();
    }

    /** A pocketed phone: what is no walk is refused in words, and a tangle is not worked on for ever. */
    @Test
    void aTangledTrackIsRefusedInWords() {
        Random wild = new Random(11);
        List<Point> tangle = new ArrayList<>();
        for (int i = 0; i < 1_000; i++) {
            tangle.add(new Point(wild.nextDouble() * 500, wild.nextDouble() * 500));
        }
        assertThat(WalkedTrack.of(tangle, 1.5).complaint().orElseThrow()).contains("crosses itself");
        List<Point> endless = new ArrayList<>();
        for (int i = 0; i < 120_000; i++) {
            endless.add(new Point(i % 200, i / 200));
        }
        assertThat(WalkedTrack.of(endless, 1.5).complaint().orElseThrow()).contains("at most 100000");
    }
}
