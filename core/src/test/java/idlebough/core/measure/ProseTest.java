package idlebough.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rules of thumb as growers say them in both systems (common practice). */
class ProseTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a mound of 45 to 60 cm and a drain | a mound of 18 to 24 in and a drain",
                "gaps of 2 to 3 m in hedges | gaps of 6.5 to 10 ft in hedges",
                "a hollow is 1 to 3 K colder | a hollow is 2 to 5.5 °F colder",
                "at −2 °C | at 28 °F",
                "Most take 5 cm (2 in) of it | Most take 2 in of it",
                "one person lifts 25 kg | one person lifts 55 lb",
                "10 to 20 L for a bare-root tree | 2.5 to 5.5 gal for a bare-root tree",
                "2 years, 8 m, M26 and 90 g/m² | 2 years, 26 ft, M26 and 90 g/m²",
                "nothing to turn | nothing to turn"
            })
    void metricAndUs(String metric, String us) {
        assertThat(Prose.in(UnitSystem.US, metric).replace('\u00a0', ' ')).isEqualTo(us);
        assertThat(Prose.in(UnitSystem.METRIC, metric)).isEqualTo(metric);
    }
}
