package idlebough.core.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A degree has sixty minutes of sixty seconds; south is negative (common practice). */
class LatitudeTest {
    @ParameterizedTest
    @CsvSource(delimiter = '|', quoteCharacter = '`', textBlock = """
            42.3        | 42.3
            42,3        | 42.3
            36.8 S      | -36.8
            S 36.8      | -36.8
            -36.8       | -36.8
            −36.8       | -36.8
            36,8° south | -36.8
            42.3n       | 42.3
            42°18' N    | 42.3
            42 18' N    | 42.3
            42°18'36" N | 42.31
            0           | 0
            """)
    void asPeopleWriteIt(String typed, double degrees) {
        assertThat(Latitude.read(typed).value().orElseThrow()).isCloseTo(degrees, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(strings = {"north", "N 42 S", "-36.8 S", "96 N", "42.3 E", "4 2 3", "1e9"})
    void whatIsNoLatitudeSaysHowToWriteOne(String typed) {
        assertThat(Latitude.read(typed).complaint().orElseThrow())
                .contains(typed)
                .endsWith(".");
    }
}
