package idlebough.app.web;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.measure.Display;
import idlebough.core.measure.Quantity;
import idlebough.core.measure.UnitSystem;
import idlebough.core.site.Plot;
import idlebough.core.site.Point;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One form read, and the one function from metres to the page. */
class FieldsTest {
    private static final Display METRIC = new Display(UnitSystem.METRIC, Locale.UK);
    private static final Display US = new Display(UnitSystem.US, Locale.US);

    private static Fields typed(Display display, String text) {
        return new Fields(Map.of("a", text), display);
    }

    @Test
    void anEmptyOptionalFieldIsNoFault() {
        Fields fields = typed(METRIC, " ");
        assertThat(fields.optional("a", Quantity.LENGTH, 0, 10)).isNull();
        assertThat(fields.optional("not there", Quantity.LENGTH, 0, 10)).isNull();
        assertThat(fields.wrong()).isFalse();
    }

    @Test
    void anEmptyRequiredOneSaysInWhichUnit() {
        Fields metric = typed(METRIC, "");
        metric.required("a", Quantity.SHORT_LENGTH, 0, 10);
        assertThat(metric.complaint("a")).isEqualTo("Please fill this in, in cm.");
        Fields us = typed(US, "");
        us.required("a", Quantity.SHORT_LENGTH, 0, 10);
        assertThat(us.complaint("a")).isEqualTo("Please fill this in, in in.");
    }

    @ParameterizedTest
    @CsvSource({"METRIC, 30, 0.30", "US, 30, 0.762", "METRIC, 1 ft, 0.3048", "US, 30 cm, 0.30", "METRIC, 0.5 m, 0.5"})
    void aBareNumberIsInTheUnitBesideTheField(UnitSystem system, String text, double metres) {
        Fields fields = typed(new Display(system, Locale.UK), text);
        assertThat(fields.required("a", Quantity.SHORT_LENGTH, 0, 3))
                .isCloseTo(metres, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(fields.wrong()).isFalse();
    }

    @Test
    void beyondTheBoundsSaysTheBoundsInTheReadersUnits() {
        Fields fields = typed(US, "100");
        fields.required("a", Quantity.SHORT_LENGTH, 0.05, 2);
        assertThat(fields.complaint("a").replace('\u00a0', ' '))
                .isEqualTo("This must lie between 2 in and 79 in; 100 in was read.");
        assertThat(fields.value("a")).isEqualTo("100");
    }

    @Test
    void theFirstComplaintOfAFieldStands() {
        Fields fields = typed(METRIC, "x");
        fields.required("a", Quantity.LENGTH, 0, 1);
        String first = fields.complaint("a");
        fields.complain("a", "something else");
        assertThat(fields.complaint("a")).isEqualTo(first).contains("“x”");
    }

    @ParameterizedTest
    @CsvSource({
        "2027-03-20, true",
        "2027-02-29, false",
        "20.3.2027, true",
        "20 Mar 2027, true",
        "soon-ish, false",
        "0027-03-20, false",
        "'', false"
    })
    void daysOfTheCalendar(String text, boolean good) {
        Fields fields = typed(METRIC, text);
        LocalDate day = fields.date("a");
        assertThat(fields.wrong()).isEqualTo(!good);
        if (good) {
            assertThat(day).isEqualTo(LocalDate.of(2027, 3, 20));
        }
    }

    @Test
    void wordsChoicesAndTicks() {
        Fields fields = new Fields(
                Map.of(
                        "long",
                        "x".repeat(21),
                        "texture",
                        "LOAM",
                        "bad",
                        "PORRIDGE",
                        "on",
                        "true",
                        "off",
                        "false",
                        "none",
                        ""),
                METRIC);
        fields.words("long", 20);
        assertThat(fields.complaint("long")).contains("At most 20").contains("21");
        assertThat(fields.choice("texture", Texture.class)).isEqualTo(Texture.LOAM);
        assertThat(fields.choice("bad", Texture.class)).isNull();
        assertThat(fields.complaint("bad")).contains("choose one");
        assertThat(fields.ticked("on")).isTrue();
        assertThat(fields.ticked("off")).isFalse();
        assertThat(fields.ticked("none")).isFalse();
    }

    @Test
    void whatAFormShowsItReadsBack() {
        for (Display display : List.of(METRIC, US, new Display(UnitSystem.METRIC, Locale.GERMANY))) {
            Fields form = Fields.blank(display)
                    .put("u", 0.1375, Quantity.FINE_LENGTH)
                    .put("x", 12.34, Quantity.LENGTH)
                    .put("t", -17.4, Quantity.TEMPERATURE)
                    .put("lat", -36.8485, Quantity.DEGREES);
            assertThat(form.required("u", Quantity.FINE_LENGTH, 0, 1))
                    .isCloseTo(0.1375, org.assertj.core.data.Offset.offset(2e-5));
            assertThat(form.required("x", Quantity.LENGTH, 0, 100))
                    .isCloseTo(12.34, org.assertj.core.data.Offset.offset(2e-4));
            assertThat(form.required("t", Quantity.TEMPERATURE, -60, 60))
                    .isCloseTo(-17.4, org.assertj.core.data.Offset.offset(1e-3));
            assertThat(form.required("lat", Quantity.DEGREES, -66, 66))
                    .isCloseTo(-36.8485, org.assertj.core.data.Offset.offset(1e-6));
            assertThat(form.wrong()).isFalse();
        }
    }

    @Test
    void theSheetIsToScaleWithNorthUp() {
        Plot plot = Plot.of(List.of(new Point(-10, -5), new Point(50, -5), new Point(50, 35), new Point(-10, 35)));
        Sheet sheet = Sheet.of(plot, 726, 660);
        assertThat(sheet.x(50) - sheet.x(-10)).isCloseTo(sheet.size(60), org.assertj.core.data.Offset.offset(1e-9));
        assertThat(sheet.y(35)).as("north is up").isLessThan(sheet.y(-5));
        assertThat(sheet.y(-5) - sheet.y(35)).isCloseTo(sheet.size(40), org.assertj.core.data.Offset.offset(1e-9));
        assertThat(sheet.x(-10)).isGreaterThan(40);
        assertThat(sheet.x(50)).isLessThan(690);
        assertThat(sheet.size(sheet.bar(UnitSystem.METRIC)))
                .as("a scale bar one can read")
                .isBetween(60.0, 160.0);
        assertThat(new Reader("id", "N", new Display(UnitSystem.US, Locale.US)).barWords(sheet))
                .as("round in feet")
                .isIn("20\u00a0ft", "50\u00a0ft");
        assertThat(sheet.points(List.of(new Point(0, 0), new Point(1, 1)))).matches("[\\d.]+,[\\d.]+ [\\d.]+,[\\d.]+");
    }

    @ParameterizedTest
    @CsvSource({"0, N", "11, N", "12, NNE", "90, E", "180, S", "247, WSW", "348, NNW", "349, N", "360, N"})
    void sixteenPointsOfTheCompass(double bearing, String point) {
        assertThat(new Reader("id", "N", METRIC).compass(bearing)).isEqualTo(point);
    }
}
