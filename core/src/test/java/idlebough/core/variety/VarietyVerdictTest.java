package idlebough.core.variety;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.ChillModel;
import idlebough.core.crop.Variety;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Rule;
import idlebough.core.judge.Standing;
import idlebough.core.winter.ChillMatch;
import idlebough.core.winter.SafeChill;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.WeatherGenerator;
import idlebough.core.winter.WinterLedger;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Varieties against made winters: cold hills, mild coasts, short records. */
class VarietyVerdictTest {
    private static WinterLedger winters(double mean, int years, double latitude) {
        LocalDate first = LocalDate.of(1995, latitude < 0 ? 1 : 7, 1);
        return WinterLedger.of(
                new StationRecord(new WeatherGenerator(
                                5,
                                new WeatherGenerator.Year(mean, 8, latitude < 0 ? 200 : 15, 11),
                                new WeatherGenerator.Anomalies(0.7, 3, 0.6, 0))
                        .days(first, first.plusYears(years))),
                latitude);
    }

    private static Finding finding(VarietyVerdict verdict, Rule rule) {
        return verdict.findings().stream()
                .filter(f -> f.rule().equals(rule))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aColdHillSatisfiesTheAppleAndKillsTheLemon() {
        WinterLedger hill = winters(8, 25, 45);
        assertThat(finding(
                                VarietyVerdict.of(Shipped.variety("apple-golden"), Evidence.of(hill, List.of())),
                                VarietyRules.CHILL)
                        .standing())
                .isEqualTo(Standing.SOUND);
        VarietyVerdict lemon = VarietyVerdict.of(Shipped.variety("lemon-lisbon"), Evidence.of(hill, List.of()));
        assertThat(lemon.match()).as("an evergreen needs no chill").isEmpty();
        assertThat(finding(lemon, VarietyRules.COLD).standing()).isEqualTo(Standing.STOP);
        assertThat(lemon.working().steps()).isNotEmpty();
    }

    @Test
    void aMildCoastStarvesTheAppleAndSuitsTheLowChillPeach() {
        WinterLedger coast = winters(20, 25, -34);
        Finding apple = finding(
                VarietyVerdict.of(Shipped.variety("apple-cox"), Evidence.of(coast, List.of())), VarietyRules.CHILL);
        assertThat(apple.standing()).isEqualTo(Standing.STOP);
        assertThat(apple.remedies()).isNotEmpty();
        VarietyVerdict peach = VarietyVerdict.of(Shipped.variety("peach-desert-gold"), Evidence.of(coast, List.of()));
        assertThat(peach.standing()).isNotEqualTo(Optional.of(Standing.STOP));
        assertThat(peach.rank())
                .isLessThan(VarietyVerdict.of(Shipped.variety("apple-cox"), Evidence.of(coast, List.of()))
                        .rank());
    }

    @Test
    void anOwnFigureCountsInsteadOfTheShippedOne() {
        WinterLedger coast = winters(17, 25, -34);
        Variety own = Shipped.variety("apple-cox").withChill(10);
        VarietyVerdict verdict = VarietyVerdict.of(own, Evidence.of(coast, List.of()));
        assertThat(verdict.match().orElseThrow().share()).isEqualTo(1);
        assertThat(finding(verdict, VarietyRules.CHILL).source().citation()).isEqualTo("your own figure");
        assertThat(Shipped.variety("apple-cox").overridden())
                .as("the shipped row is not touched")
                .isFalse();
    }

    @Test
    void withoutWintersNothingIsSaidOfChill() {
        VarietyVerdict verdict = VarietyVerdict.of(
                Shipped.variety("apple-cox"),
                Evidence.of(WinterLedger.of(new StationRecord(List.of()), 45), List.of()));
        assertThat(verdict.findings()).isEmpty();
        assertThat(verdict.standing()).as("not judged").isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"3, true", "7, true", "12, false", "25, false"})
    void howMuchSoManyWintersSay(int years, boolean silent) {
        WinterLedger ledger = winters(9, years, 45);
        assertThat(ledger.usable()).hasSize(years);
        SafeChill safe = SafeChill.of(ChillModel.PORTIONS, ledger.totals(ChillModel.PORTIONS));
        assertThat(Double.isNaN(safe.value())).isEqualTo(silent);
        assertThat(Double.isNaN(safe.lowerBound()))
                .as("a 90 % lower bound needs 22 winters")
                .isEqualTo(years < 22);
        assertThat(safe.working().steps()).isNotEmpty();
    }

    @Test
    void aWarmerWinterNeverHasMoreHoursBelow72ButMayHaveMorePortions() {
        StationRecord cold = new StationRecord(new WeatherGenerator(
                        8, new WeatherGenerator.Year(-2, 10, 15, 9), new WeatherGenerator.Anomalies(0.7, 3, 0.5, 0))
                .days(LocalDate.of(2000, 7, 1), LocalDate.of(2012, 7, 1)));
        double[] now = WinterLedger.of(cold, 50).totals(ChillModel.PORTIONS);
        double[] warmer = WinterLedger.of(cold.warmedBy(3), 50).totals(ChillModel.PORTIONS);
        // Luedeling et al. 2011: cold sites gain portions when they warm
        assertThat(java.util.Arrays.stream(warmer).average().orElseThrow())
                .isGreaterThan(java.util.Arrays.stream(now).average().orElseThrow());
    }

    @Test
    void halfAYearAndTheOtherHemisphereGiveTheSameChillWithinTwoPercent() {
        List<idlebough.core.winter.DailyExtremes> north = new WeatherGenerator(
                        9, new WeatherGenerator.Year(10, 9, 15, 11), new WeatherGenerator.Anomalies(0.7, 3, 0.6, 0))
                .days(LocalDate.of(2001, 7, 1), LocalDate.of(2011, 7, 1));
        List<idlebough.core.winter.DailyExtremes> south = north.stream()
                .map(d ->
                        idlebough.core.winter.DailyExtremes.measured(d.date().plusDays(181), d.minimum(), d.maximum()))
                .toList();
        double a = SafeChill.of(
                        ChillModel.PORTIONS,
                        WinterLedger.of(new StationRecord(north), 42).totals(ChillModel.PORTIONS))
                .median();
        double b = SafeChill.of(
                        ChillModel.PORTIONS,
                        WinterLedger.of(new StationRecord(south), -42).totals(ChillModel.PORTIONS))
                .median();
        // windows of 151 and 153 days: two days of portions are within the same two per cent
        assertThat(b).isCloseTo(a, org.assertj.core.data.Percentage.withPercentage(3));
    }

    @Test
    void wordsForAShare() {
        assertThat(ChillMatch.of(5, new double[] {6, 6, 6, 6, 6, 6, 6, 6, 6, 4}).words())
                .isEqualTo("reliable");
        assertThat(ChillMatch.of(5, new double[] {6, 6, 6, 4}).words()).isEqualTo("some poor years");
        assertThat(ChillMatch.of(5, new double[] {6, 4}).words()).isEqualTo("often short");
        assertThat(ChillMatch.of(5, new double[] {4, 4, 6}).words()).isEqualTo("unsuitable");
    }

    @Test
    void theShortlistHasTheWorstLastAndAmongTheSoundTheSurest() {
        WinterLedger hill = winters(8, 25, 45);
        VarietyVerdict sure = VarietyVerdict.of(Shipped.variety("apple-golden"), Evidence.of(hill, List.of()));
        VarietyVerdict frozen = VarietyVerdict.of(Shipped.variety("lemon-lisbon"), Evidence.of(hill, List.of()));
        assertThat(sure.rank()).isLessThan(0);
        assertThat(frozen.rank()).isGreaterThan(sure.rank());
        // Extension lists put Golden Delicious between 650 and 850 hours: wider than the tenth of a fair figure.
        assertThat(sure.needHalfWidth()).isEqualTo(100);
    }

    /** No winters: nothing is said of chill and cold, and no pit says anything either. */
    @Test
    void whatIsNotKnownIsNotJudged() {
        WinterLedger none = WinterLedger.of(new StationRecord(List.of()), 45);
        VarietyVerdict verdict = VarietyVerdict.of(Shipped.variety("apple-golden"), Evidence.of(none, List.of()));
        assertThat(verdict.findings()).isEmpty();
        assertThat(verdict.match()).isEmpty();
        assertThat(verdict.standing()).as("not judged").isEmpty();
        VarietyVerdict pitted = VarietyVerdict.of(
                Shipped.variety("apple-golden"), Evidence.of(none, List.of(Shipped.pit(2), Shipped.pit(60))));
        assertThat(pitted.standing())
                .as("judged by the pit that suits it best, and winters are missing")
                .isEmpty();
        assertThat(VarietyVerdict.of(Shipped.variety("apple-golden"), Evidence.of(none, List.of(Shipped.pit(2))))
                        .standing())
                .contains(Standing.STOP);
    }

    /** Hours mislead where winters are mild: a need known only in hours is a grade less sure there (project choice). */
    @Test
    void aNeedInHoursIsLessSureWhereWintersAreMild() {
        WinterLedger hill = winters(8, 25, 45);
        WinterLedger coast = winters(20, 25, -34);
        Variety golden = Shipped.variety("apple-golden");
        Variety burlat = Shipped.variety("cherry-burlat");
        assertThat(golden.chillModel()).isEqualTo(ChillModel.HOURS);
        assertThat(burlat.chillModel()).isEqualTo(ChillModel.PORTIONS);
        assertThat(VarietyVerdict.of(golden, Evidence.of(hill, List.of())).needHalfWidth())
                .isEqualTo(golden.chill().halfWidth());
        assertThat(VarietyVerdict.of(golden, Evidence.of(coast, List.of())).needHalfWidth())
                .isGreaterThan(golden.chill().halfWidth());
        assertThat(VarietyVerdict.of(burlat, Evidence.of(coast, List.of())).needHalfWidth())
                .as("portions hold in mild winters")
                .isEqualTo(burlat.chill().halfWidth());
        Variety own = golden.withChill(700);
        assertThat(VarietyVerdict.of(own, Evidence.of(coast, List.of())).needHalfWidth())
                .as("the grower knows")
                .isEqualTo(own.chill().halfWidth());
    }
}
