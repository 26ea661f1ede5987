package idlebough.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Units against their definitions, and how figures are shown to people of two systems and many locales. */
class UnitTest {
    private static final Display METRIC = new Display(UnitSystem.METRIC, Locale.UK);
    private static final Display US = new Display(UnitSystem.US, Locale.US);

    /** NIST SP 811 (2008), appendix B: exact factors but for psi, which is rounded in the last digit. */
    @ParameterizedTest
    @CsvSource({
        "INCH, 1, 0.0254",
        "FOOT, 1, 0.3048",
        "YARD, 1, 0.9144",
        "GALLON, 1, 3.785411784",
        "QUART, 4, 3.785411784",
        "CUBIC_FOOT, 1, 28.316846592",
        "POUND, 1, 0.45359237",
        "OUNCE, 16, 0.45359237",
        "ACRE, 1, 4046.8564224",
        "SQUARE_FOOT, 43560, 4046.8564224",
        "FAHRENHEIT, 32, 0",
        "FAHRENHEIT, 212, 100",
        "FAHRENHEIT, -40, -40",
        "FAHRENHEIT_STEP, 9, 5",
        "INCH_PER_HOUR, 1, 25.4",
        "PSI, 1, 6.894757293168",
        "BAR, 1, 100",
        "LITRE_PER_SECOND, 1, 60"
    })
    void unitsAreWhatTheyAreDefinedToBe(Unit unit, double value, double base) {
        assertThat(unit.toBase(value)).isCloseTo(base, within(1e-9 * Math.max(1, Math.abs(base))));
        assertThat(unit.fromBase(base)).isCloseTo(value, within(1e-9 * Math.max(1, Math.abs(value))));
    }

    @ParameterizedTest
    @EnumSource(Quantity.class)
    void bothSystemsMeasureTheSameKindOfThing(Quantity quantity) {
        Unit metric = quantity.unit(UnitSystem.METRIC);
        Unit us = quantity.unit(UnitSystem.US);
        assertThat(us.dimension()).isEqualTo(metric.dimension());
        double base = 7.25;
        assertThat(us.toBase(us.fromBase(base))).isCloseTo(base, within(1e-12));
        assertThat(METRIC.text(null, quantity)).isEqualTo("–");
        assertThat(US.text(Double.NaN, quantity)).isEqualTo("–");
        assertThat(METRIC.other(base, quantity)).isEqualTo(new Display(UnitSystem.US, Locale.UK).text(base, quantity));
    }

    /** What stands in a field is read back to the same value within a thousandth of the unit. */
    @ParameterizedTest
    @EnumSource(Quantity.class)
    void aFieldLosesNothing(Quantity quantity) {
        for (Locale locale : new Locale[] {Locale.UK, Locale.GERMANY, Locale.FRANCE, new Locale("sv", "SE")}) {
            for (UnitSystem system : UnitSystem.values()) {
                Display display = new Display(system, locale);
                double base = quantity.unit(system).toBase(12.375);
                Entry entry = Spoken.read(display.field(base, quantity), quantity, system, locale);
                assertThat(entry.isWrong())
                        .as("%s in %s for %s: %s", quantity, system, locale, display.field(base, quantity))
                        .isFalse();
                assertThat(quantity.unit(system).fromBase(entry.value().orElseThrow()))
                        .isCloseTo(12.375, within(0.001));
            }
        }
        assertThat(METRIC.field(null, quantity)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "3.048, LENGTH, 10 ft",
        "3.2, LENGTH, 10 ft 6 in",
        "-0.3048, LENGTH, −1 ft",
        "0.001, LENGTH, 0 ft",
        "1.2573, TAPE, 4 ft 1.5 in",
        "1.8287, LENGTH, 6 ft",
        "0.09, SHORT_LENGTH, 4 in",
        "0.005, SHORT_LENGTH, 0.2 in",
        "-17.4, TEMPERATURE, 1 °F",
        "1, TEMPERATURE_STEP, 2 °F",
        "0.0254, RAIN, 1.0 in"
    })
    void feetAndInches(double base, Quantity quantity, String shown) {
        assertThat(US.text(base, quantity).replace('\u00a0', ' ')).isEqualTo(shown);
    }

    @Test
    void decimalsFollowTheLocaleAndMinusIsAMinus() {
        assertThat(new Display(UnitSystem.METRIC, Locale.GERMANY).text(-1.25, Quantity.TEMPERATURE))
                .isEqualTo("−1,2\u00a0°C");
        assertThat(METRIC.plain(-0.04, 1)).as("no minus on a rounded nought").isEqualTo("0.0");
        assertThat(METRIC.plain(1234567.8, 0)).as("no grouping").isEqualTo("1234568");
        assertThat(METRIC.text(0.004, Quantity.SHORT_LENGTH)).isEqualTo("0.4\u00a0cm");
        assertThat(METRIC.text(120.0, Quantity.BEARING))
                .as("no gap before a degree")
                .isEqualTo("120°");
        assertThat(METRIC.date(LocalDate.of(2027, 3, 5))).isEqualTo("5 Mar 2027");
        assertThat(METRIC.date(null)).isEqualTo("–");
    }

    @Test
    void tellsFiguresApartOnlyWhereTheyAreWrittenDifferently() {
        assertThat(Quantity.VOLUME.tellsApart(69.1, 69.2)).isFalse();
        assertThat(Quantity.VOLUME.tellsApart(69.4, 69.6)).isTrue();
        assertThat(Quantity.TAPE.tellsApart(12.031, 12.033)).isFalse();
        assertThat(Quantity.TAPE.tellsApart(12.03, 12.05)).isTrue();
        assertThat(Quantity.SHORT_LENGTH.tellsApart(0.002, 0.005)).isTrue();
        // A tenth of a degree is nothing in whole degrees Fahrenheit, but it is in Celsius.
        assertThat(Quantity.TEMPERATURE.tellsApart(-17.4, -17.3)).isTrue();
    }
}
