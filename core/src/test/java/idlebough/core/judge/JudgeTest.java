package idlebough.core.judge;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.UnitSystem;
import java.time.LocalDate;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JudgeTest {
    private static final Display METRIC = new Display(UnitSystem.METRIC, Locale.UK);
    private static final Display US = new Display(UnitSystem.US, Locale.US);

    @ParameterizedTest
    @CsvSource({
        // value, half, limit, half, wanted, standing: bands that do not touch decide, bands that touch are doubtful
        "30, 2, 20, 2, AT_LEAST, SOUND",
        "24, 2, 20, 2, AT_LEAST, DOUBTFUL",
        "20, 2, 20, 2, AT_LEAST, DOUBTFUL",
        "16, 2, 20, 2, AT_LEAST, DOUBTFUL",
        "15.9, 2, 20, 2, AT_LEAST, STOP",
        "30, 2, 20, 2, AT_MOST, STOP",
        "15, 2, 20, 2, AT_MOST, SOUND",
        "20, 0, 20, 0, AT_LEAST, SOUND",
        "19.9, 0, 20, 0, AT_LEAST, STOP",
        "20, 0, 20, 0, AT_MOST, SOUND",
        "22, 2.2, 25, 2.5, AT_LEAST, DOUBTFUL"
    })
    void doubtfulMeansWithinWhatWeDoNotKnow(
            double value, double half, double limit, double limitHalf, Limit.Side side, Standing standing) {
        assertThat(Standing.of(measured(value, half), limit(limit, limitHalf, side)))
                .isEqualTo(standing);
    }

    private static Measured measured(double value, double half) {
        return Measured.of(value, half, Quantity.DRAINAGE);
    }

    private static Limit limit(double value, double half, Limit.Side side) {
        return new Limit(value, half, Quantity.DRAINAGE, side, Limit.Temper.STRICT, Source.practice("x"));
    }

    @ParameterizedTest
    @CsvSource({"20, SOUND", "19.9, DOUBTFUL", "16, DOUBTFUL", "15.9, STOP"})
    void whereMeetingItIsSoundTheBandDoubtsOnlyWhatFallsShort(double value, Standing standing) {
        assertThat(Standing.of(
                        measured(value, 2), limit(20, 2, Limit.Side.AT_LEAST).meetingIsSound()))
                .isEqualTo(standing);
    }

    @ParameterizedTest
    @CsvSource({"30, SOUND", "20, DOUBTFUL", "1, DOUBTFUL"})
    void whatCanBeMendedIsNeverAStop(double value, Standing standing) {
        assertThat(Standing.of(
                        measured(value, 2), limit(20, 2, Limit.Side.AT_LEAST).neverStop()))
                .isEqualTo(standing);
    }

    @Test
    void roundingIsNoReasonForADoubt() {
        assertThat(Standing.of(measured(0.1 + 0.2, 0), limit(0.3, 0, Limit.Side.AT_MOST)))
                .isEqualTo(Standing.SOUND);
    }

    @Test
    void certaintyGivesTheHalfWidth() {
        assertThat(Certainty.SURE.halfWidth(200)).isEqualTo(10);
        assertThat(Certainty.FAIR.halfWidth(-200)).isEqualTo(20);
        assertThat(Certainty.WEAK.halfWidth(200)).isEqualTo(50);
        assertThat(Certainty.SURE.dropped()).isEqualTo(Certainty.FAIR);
        assertThat(Certainty.WEAK.dropped()).isEqualTo(Certainty.WEAK);
        assertThat(Certainty.of("H")).isEqualTo(Certainty.SURE);
        assertThat(Certainty.of("m")).isEqualTo(Certainty.FAIR);
        assertThat(Certainty.of("L")).isEqualTo(Certainty.WEAK);
    }

    @Test
    void aPhraseSpeaksTheReadersUnits() {
        Phrase phrase = Phrase.of(
                "{} stands {} proud on {}, {} away.",
                "C3",
                Amount.cm(0.09),
                LocalDate.of(2027, 3, 20),
                Amount.metres(6));
        assertThat(phrase.in(METRIC)).isEqualTo("C3 stands 9\u00a0cm proud on 20 Mar 2027, 6.0\u00a0m away.");
        assertThat(phrase.in(US))
                .isEqualTo("C3 stands 4\u00a0in proud on Mar 20, 2027, 19\u00a0ft\u00a08\u00a0in away.");
    }

    @Test
    void aFindingKnowsItsMarginAndItsRoom() {
        Finding finding = Rule.of("site.drainage")
                .about(Subject.pit("1"))
                .with("pit", "1")
                .with("crop", "a pear")
                .with("class", "Slow")
                .with("meaning", "a mound")
                .judge(measured(11, 1), limit(25, 2.5, Limit.Side.AT_LEAST));
        assertThat(finding.held().orElseThrow().margin()).isEqualTo(-14);
        assertThat(finding.room()).isEqualTo("site");
        assertThat(finding.isSound()).isFalse();
        assertThat(Standing.SOUND.worse(Standing.DOUBTFUL)).isEqualTo(Standing.DOUBTFUL);
        assertThat(Standing.STOP.worse(Standing.DOUBTFUL)).isEqualTo(Standing.STOP);
    }

    @Test
    void findingsComeWorstFirstAndAreCountedAndFound() {
        Subject tree = Subject.tree("a");
        Findings findings = Findings.of(java.util.List.of(
                java.util.List.of(finding(tree, Standing.SOUND), finding(Subject.tree("b"), Standing.STOP)),
                java.util.List.of(finding(tree, Standing.DOUBTFUL))));
        assertThat(findings.all())
                .extracting(Finding::standing)
                .containsExactly(Standing.STOP, Standing.DOUBTFUL, Standing.SOUND);
        assertThat(findings.doubts()).hasSize(2);
        assertThat(findings.sound()).hasSize(1);
        assertThat(findings.count(Standing.STOP)).isEqualTo(1);
        assertThat(findings.about(tree)).hasSize(2);
        assertThat(findings.worst(tree)).isEqualTo(Standing.DOUBTFUL);
        assertThat(findings.worst(Subject.tree("c"))).isEqualTo(Standing.SOUND);
    }

    private static Finding finding(Subject subject, Standing standing) {
        return new Finding(
                Rule.of("site.pan"),
                subject,
                standing,
                new Finding.Said(Phrase.of("x"), Phrase.of("y")),
                java.util.Optional.empty(),
                java.util.List.of(),
                Source.practice("x"),
                java.util.Optional.empty());
    }

    /** Findings with the same rule, standing and remedy are one line, all trees named up to six. */
    @Test
    void severalTreesAreOneLine() {
        java.util.List<Finding> unmeasured = new java.util.ArrayList<>();
        for (int i = 1; i <= 8; i++) {
            unmeasured.add(Rule.of("planting.union-not-measured")
                    .about(Subject.tree("t" + i))
                    .with("tree", "B" + i)
                    .with("usual", Amount.fine(0.12))
                    .stands(Standing.DOUBTFUL, Source.practice("x")));
        }
        Findings two = Findings.of(java.util.List.of(unmeasured.subList(0, 2)));
        assertThat(two.count(Standing.DOUBTFUL)).isEqualTo(1);
        assertThat(two.doubts().get(0).headline().in(METRIC)).isEqualTo("Union not measured yet: B1 and B2.");
        assertThat(two.about(Subject.tree("t2")).get(0).headline().in(METRIC)).contains("B2");
        assertThat(Findings.of(java.util.List.of(unmeasured))
                        .doubts()
                        .get(0)
                        .headline()
                        .in(METRIC))
                .isEqualTo("Union not measured yet: B1, B2, B3, B4, B5, B6 and 2 more.");
        assertThat(Findings.of(java.util.List.of(unmeasured.subList(0, 1)))
                        .doubts()
                        .get(0)
                        .headline()
                        .in(METRIC))
                .isEqualTo("The union of B1 is not measured yet.");
    }

    @Test
    void oneIsSpokenOfAsOne() {
        assertThat(fewWinters(1)).contains("1 whole winter is known");
        assertThat(fewWinters(2)).contains("2 whole winters are known");
    }

    private static String fewWinters(int winters) {
        return Sentences.of("winter")
                .say("few-winters.doubtful", java.util.Map.of("measured", Amount.count(winters)))
                .in(METRIC);
    }

    @ParameterizedTest
    @CsvSource({
        "0.165, FINE_LENGTH, 16.5 cm, 6.5 in",
        "6, LENGTH, 6.0 m, 19 ft 8 in",
        "26.524, TAPE, 26.52 m, 87 ft 0.5 in",
        "-17.4, TEMPERATURE, −17.4 °C, 1 °F",
        "174, VOLUME, 174 L, 46 gal",
        "4140, LAND, 0.414 ha, 1.02 ac",
        "25.4, DRAINAGE, 25 mm/h, 1.00 in/h",
        "0.025, RAIN, 25 mm, 1.0 in",
        "24, MASS, 24 kg, 53 lb",
        "1650, EARTH, 1.65 m³, 58 ft³",
        "0, SHORT_LENGTH, 0 cm, 0 in"
    })
    void figuresInBothSystems(double base, Quantity quantity, String metric, String us) {
        assertThat(METRIC.text(base, quantity).replace('\u00a0', ' ')).isEqualTo(metric);
        assertThat(US.text(base, quantity).replace('\u00a0', ' ')).isEqualTo(us);
    }

    @Test
    void anUnknownValueIsADash() {
        assertThat(METRIC.text(null, Quantity.LENGTH)).isEqualTo("–");
        assertThat(METRIC.text(Double.NaN, Quantity.LENGTH)).isEqualTo("–");
        assertThat(new Display(UnitSystem.METRIC, Locale.GERMANY).text(2.54, Quantity.LENGTH))
                .isEqualTo("2,5\u00a0m");
    }
}
