package idlebough.core.daybook;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A union measured again. common practice: disturbed soil sinks 1 to 2.5 cm in two months; here 12 to 13.5 cm above the
 * board were reckoned, and the least wanted is 10.
 */
class UnionCheckTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.130 | SOUND | settles as reckoned",
                "0.120 | SOUND | settles as reckoned",
                "0.135 | SOUND | settles as reckoned",
                "0.115 | DOUBTFUL | sank more than reckoned",
                "0.150 | DOUBTFUL | stands higher than reckoned",
                "0.103 | DOUBTFUL | sank more than reckoned",
                "0.097 | DOUBTFUL | sank more than reckoned",
                "0.080 | STOP | has sunk too low"
            })
    void whatTheMeasureSays(double measured, Standing standing, String words) {
        Finding finding = new UnionCheck(8, measured, 0.1275, 0.12, 0.135).judge("t1", "C3", 0.10);
        assertThat(finding.standing()).isEqualTo(standing);
        assertThat(finding.headline().pattern().replace("{}", "C3")).contains(words);
        assertThat(finding.subject()).isEqualTo("tree:t1");
        assertThat(finding.measured().value()).isEqualTo(measured);
        assertThat(finding.limit().value()).isEqualTo(0.10);
        assertThat(finding.remedies()).isNotEmpty();
    }
}
