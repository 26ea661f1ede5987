package idlebough.core.measure;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Locale;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The 26th of November 2026 is a Thursday (calendar). */
class SpokenDateTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 26);

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            2027-11-03       | en-GB | 2027-11-03
            3 Nov 2027       | en-GB | 2027-11-03
            3rd november 2027| en-US | 2027-11-03
            Nov 3, 2027      | en-GB | 2027-11-03
            3/11/2027        | en-GB | 2027-11-03
            3/11/2027        | en-US | 2027-03-11
            3.11.27          | de-DE | 2027-11-03
            3 Nov            | en-GB | 2026-11-03
            20 March         | en-GB | 2027-03-20
            20/3             | en-GB | 2027-03-20
            29 Feb 2028      | en-GB | 2028-02-29
            today            | en-GB | 2026-11-26
            Tomorrow         | en-GB | 2026-11-27
            yesterday        | en-GB | 2026-11-25
            in 2 weeks       | en-GB | 2026-12-10
            in a month       | en-GB | 2026-12-26
            3 days ago       | en-GB | 2026-11-23
            friday           | en-GB | 2026-11-27
            thu              | en-GB | 2026-12-03
            last thursday    | en-GB | 2026-11-19
            """)
    void asGrowersSayIt(String typed, String locale, LocalDate day) {
        assertThat(SpokenDate.read(typed, TODAY, Locale.forLanguageTag(locale))).contains(day);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "spring",
                "soon-ish",
                "31/4/2027",
                "30 Feb 2027",
                "2027",
                "in weeks",
                "2 weeks",
                "in 2 weeks ago",
                "13/13/2027"
            })
    void whatIsNoDay(String typed) {
        assertThat(SpokenDate.read(typed, TODAY, Locale.UK)).isEmpty();
    }
}
