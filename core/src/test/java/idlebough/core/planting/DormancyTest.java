package idlebough.core.planting;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.SpringHours;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WeatherGenerator;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The dormant season of either hemisphere, and bud break before bloom. */
class DormancyTest {
    @ParameterizedTest
    @CsvSource({
        "false, 2027-01-15, true",
        "false, 2027-11-01, true",
        "false, 2027-04-10, true",
        "false, 2027-04-11, false",
        "false, 2027-07-01, false",
        "false, 2027-10-31, false",
        "true, 2027-07-15, true",
        "true, 2027-10-10, true",
        "true, 2027-01-15, false"
    })
    void inAndOutOfSeason(boolean southern, LocalDate day, boolean dormant) {
        assertThat(Dormancy.of(Optional.empty(), southern).outside(day) < 0).isEqualTo(dormant);
    }

    /** Green tip comes about four weeks before full bloom (Washington and New York tables). */
    @Test
    void budsBreakSomeWeeksBeforeBloom() {
        StationRecord record = new StationRecord(new WeatherGenerator(
                        5, new WeatherGenerator.Year(9, 10, 15, 11), new WeatherGenerator.Anomalies(0.7, 4, 0.6, 0))
                .days(LocalDate.of(2000, 7, 1), LocalDate.of(2016, 7, 20)));
        VarietySprings springs = VarietySprings.of(Shipped.variety("apple-cox"), SpringHours.of(record, 44), List.of())
                .orElseThrow();
        LocalDate bloom = springs.middle().orElseThrow();
        MonthDay buds = Dormancy.of(Optional.of(springs), false).budBreak();
        assertThat(buds.atYear(bloom.getYear())).isBetween(bloom.minusDays(40), bloom.minusDays(18));
    }
}
