package idlebough.core.daybook;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.judge.Finding;
import idlebough.core.judge.Standing;
import idlebough.core.judge.Subject;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * A union measured again. common practice: disturbed soil sinks 1 to 2.5 cm in two months; here 12 to 13.5 cm above the
 * board were predicted, and the least wanted is 10.
 */
class UnionCheckTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.130 | SOUND    | SOUND    | settles as predicted",
                "0.115 | SOUND    | DOUBTFUL | sank more than predicted",
                "0.150 | SOUND    | DOUBTFUL | stands higher than predicted",
                "0.103 | DOUBTFUL | DOUBTFUL | sank more than predicted",
                "0.080 | STOP     | DOUBTFUL | sank more than predicted"
            })
    void whatTheMeasureSays(double measured, Standing union, Standing forecast, String words) {
        List<Finding> findings = new UnionCheck(8, measured, 0.1275, 0.12, 0.135).judge("t1", "C3", 0.10);
        assertThat(findings).extracting(Finding::rule).containsExactly(UnionCheck.UNION, UnionCheck.FORECAST);
        assertThat(findings).extracting(Finding::standing).containsExactly(union, forecast);
        assertThat(findings.get(1).headline().pattern().replace("{}", "C3")).contains(words);
        assertThat(findings).allSatisfy(finding -> {
            assertThat(finding.subject()).isEqualTo(Subject.tree("t1"));
            assertThat(finding.remedies()).isNotEmpty();
        });
    }
}
