package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.crop.ChillModel;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gaps stay visible, seasons turn with the hemisphere, the curve keeps to its day. */
class StationRecordTest {
    private static final LocalDate FIRST = LocalDate.of(2001, 7, 1);
    private static final List<DailyExtremes> DAYS = new WeatherGenerator(
                    3, new WeatherGenerator.Year(9, 9, 15, 10), new WeatherGenerator.Anomalies(0.7, 3, 0.5, 0))
            .days(FIRST, LocalDate.of(2006, 6, 30));

    private static StationRecord without(LocalDate from, int days) {
        return new StationRecord(DAYS.stream()
                .filter(d -> d.date().isBefore(from) || !d.date().isBefore(from.plusDays(days)))
                .toList());
    }

    @ParameterizedTest
    @CsvSource({
        "2003-01-10, 1, FILLED",
        "2003-01-10, 4, FILLED",
        "2003-01-10, 5, GAP_TOO_LONG",
        "2002-11-01, 1, GAP_AT_END",
        "2003-03-31, 1, GAP_AT_END",
        "2003-06-10, 20, OK"
    })
    void whatAGapDoesToItsWinter(LocalDate from, int days, StationRecord.Status status) {
        StationRecord record = without(from, days);
        assertThat(record.gaps()).isEqualTo(days);
        assertThat(record.missing()).singleElement().satisfies(gap -> {
            assertThat(gap.from()).isEqualTo(from);
            assertThat(gap.length()).isEqualTo(days);
        });
        Winter winter = WinterLedger.of(record, 45).winters().stream()
                .filter(w -> w.year() == 2003)
                .findFirst()
                .orElseThrow();
        assertThat(winter.status()).isEqualTo(status);
        assertThat(winter.usable()).isEqualTo(status.usable());
    }

    @Test
    void aFilledDayIsMarkedAndLiesBetweenItsNeighbours() {
        LocalDate day = LocalDate.of(2003, 1, 10);
        StationRecord.Window window = without(day, 1).window(day.minusDays(15), day.plusDays(15));
        DailyExtremes filled = window.days().get(15);
        assertThat(filled.filled()).isTrue();
        assertThat(filled.minimum())
                .isBetween(
                        Math.min(
                                window.days().get(14).minimum(),
                                window.days().get(16).minimum()),
                        Math.max(
                                window.days().get(14).minimum(),
                                window.days().get(16).minimum()));
        assertThat(window.days().get(0).filled()).isFalse();
    }

    @Test
    void aWinterLeftOutIsNamedButTheRecordsEndsAreNot() {
        WinterLedger ledger = WinterLedger.of(without(LocalDate.of(2003, 1, 10), 9), 45);
        assertThat(WinterRules.judge(ledger))
                .filteredOn(f -> f.rule().equals(WinterRules.LEFT_OUT))
                .hasSize(1);
        assertThat(WinterRules.judge(WinterLedger.of(new StationRecord(DAYS), 45)))
                .noneMatch(f -> f.rule().equals(WinterRules.LEFT_OUT));
        assertThat(WinterRules.judge(WinterLedger.of(new StationRecord(List.of()), 45)))
                .singleElement()
                .satisfies(f -> assertThat(f.rule()).isEqualTo(WinterRules.NO_RECORD));
    }

    /** The working of a winter ends where its total does, and names what was filled. */
    @Test
    void aWinterOpensItsWorking() {
        WinterLedger ledger = WinterLedger.of(without(LocalDate.of(2003, 1, 10), 2), 45);
        Winter winter = ledger.winters().stream()
                .filter(w -> w.year() == 2003)
                .findFirst()
                .orElseThrow();
        idlebough.core.judge.Working working = winter.working(ChillModel.PORTIONS, ledger.season());
        List<String> steps = working.steps().stream()
                .map(s -> s.in(new idlebough.core.measure.Display(
                        idlebough.core.measure.UnitSystem.METRIC, java.util.Locale.UK)))
                .toList();
        assertThat(steps).anyMatch(step -> step.contains("2 days bridged"));
        assertThat(steps.get(steps.size() - 1))
                .contains("31 Mar 2003")
                .contains(String.format(
                        java.util.Locale.ROOT, "%.1f", winter.totals().get(ChillModel.PORTIONS)));
        assertThat(steps).filteredOn(step -> step.startsWith("by ")).hasSize(5);
        Winter out = WinterLedger.of(without(LocalDate.of(2003, 1, 10), 9), 45).winters().stream()
                .filter(w -> w.year() == 2003)
                .findFirst()
                .orElseThrow();
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> out.working(ChillModel.PORTIONS, ledger.season()))
                .isInstanceOf(IllegalStateException.class);
    }

    /** A place moves the nights and not the days, and never turns a day upside down (common practice). */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.EnumSource(Exposure.class)
    void aPlaceMovesTheNights(Exposure exposure) {
        StationRecord record = new StationRecord(DAYS);
        StationRecord moved = record.at(exposure);
        assertThat(Math.abs(exposure.kelvin())).as("capped at 3 K").isLessThanOrEqualTo(3);
        for (DailyExtremes day : DAYS) {
            DailyExtremes there = moved.on(day.date());
            assertThat(there.maximum()).isEqualTo(day.maximum());
            assertThat(there.minimum()).isLessThanOrEqualTo(there.maximum());
            assertThat(there.minimum() - day.minimum())
                    .isCloseTo(
                            Math.min(exposure.kelvin(), day.maximum() - day.minimum()),
                            org.assertj.core.data.Offset.offset(1e-9));
        }
        double mean = java.util.Arrays.stream(WinterLedger.of(record, 45).lowest())
                .average()
                .orElseThrow();
        double there = java.util.Arrays.stream(WinterLedger.of(moved, 45).lowest())
                .average()
                .orElseThrow();
        assertThat(there - mean).isCloseTo(exposure.kelvin(), org.assertj.core.data.Offset.offset(0.3));
    }

    @ParameterizedTest
    @CsvSource({"45, 2003, 2002-11-01, 2003-03-31", "-36, 2003, 2003-05-01, 2003-09-30"})
    void seasonsAreNamedByTheYearInWhichTheyEnd(double latitude, int winter, LocalDate first, LocalDate last) {
        assertThat(Season.at(latitude).first(winter)).isEqualTo(first);
        assertThat(Season.at(latitude).last(winter)).isEqualTo(last);
    }

    @Test
    void theCurveTouchesTheDaysExtremesAndNeverLeavesThem() {
        double[] hours = HourlyCurve.of(DAYS, 45);
        assertThat(hours).hasSize(24 * DAYS.size());
        for (int i = 1; i < DAYS.size() - 1; i++) {
            assertThat(hours[24 * i + 14])
                    .as("highest at 14 h")
                    .isCloseTo(DAYS.get(i).maximum(), org.assertj.core.data.Offset.offset(1e-9));
            double low = Math.min(DAYS.get(i).minimum(), DAYS.get(i + 1).minimum());
            double high = Math.max(DAYS.get(i - 1).maximum(), DAYS.get(i).maximum());
            for (int h = 0; h < 24; h++) {
                assertThat(hours[24 * i + h])
                        .isBetween(low - 0.8, Math.max(high, DAYS.get(i + 1).minimum()) + 1e-9);
            }
        }
    }

    @Test
    void theOrderOfTheRowsDoesNotMatter() {
        List<DailyExtremes> shuffled = new ArrayList<>(DAYS);
        Collections.shuffle(shuffled, new java.util.Random(1));
        assertThat(WinterLedger.of(new StationRecord(shuffled), 45).totals(ChillModel.PORTIONS))
                .isEqualTo(WinterLedger.of(new StationRecord(DAYS), 45).totals(ChillModel.PORTIONS));
    }

    @Test
    void utahAtEveryEdgeOfItsTable() {
        // Richardson, Seeley & Walker 1974, upper edges included
        double[][] edges = {
            {1.4, 0},
            {1.5, 0.5},
            {2.4, 0.5},
            {2.5, 1},
            {9.1, 1},
            {9.2, 0.5},
            {12.4, 0.5},
            {12.5, 0},
            {15.9, 0},
            {16, -0.5},
            {18, -0.5},
            {18.1, -1}
        };
        for (double[] edge : edges) {
            assertThat(UnitTable.UTAH.of(edge[0])).as("%s °C", edge[0]).isEqualTo(edge[1]);
        }
    }

    @Test
    void whatEachModelIsKnownFor() {
        // published behaviour: almost no portions at 0 °C, none at a constant 13 °C, best near 7; hours count freezing
        // not at all
        assertThat(thousandHoursAt(ChillModel.PORTIONS, 0)).isLessThan(6);
        assertThat(thousandHoursAt(ChillModel.PORTIONS, 13)).isZero();
        assertThat(thousandHoursAt(ChillModel.PORTIONS, 7.4))
                .isGreaterThan(thousandHoursAt(ChillModel.PORTIONS, 4))
                .isGreaterThan(thousandHoursAt(ChillModel.PORTIONS, 10));
        assertThat(thousandHoursAt(ChillModel.HOURS, -0.1)).isZero();
        assertThat(thousandHoursAt(ChillModel.HOURS, 7.2)).isEqualTo(1000);
        assertThat(thousandHoursAt(ChillModel.UTAH, 20)).isEqualTo(-1000);
    }

    private static double thousandHoursAt(ChillModel model, double celsius) {
        ChillState state = ChillState.of(model);
        for (int h = 0; h < 1000; h++) {
            state.accept(celsius);
        }
        return state.total();
    }

    @Test
    void theGeneratorRepeatsItselfAndDrifts() {
        WeatherGenerator weather = new WeatherGenerator(
                5, new WeatherGenerator.Year(9, 9, 15, 10), new WeatherGenerator.Anomalies(0.7, 3, 0, 2));
        List<DailyExtremes> days = weather.days(LocalDate.of(1990, 1, 1), LocalDate.of(2019, 12, 31));
        assertThat(weather.days(LocalDate.of(1990, 1, 1), LocalDate.of(2019, 12, 31)))
                .isEqualTo(days);
        assertThat(days).allMatch(d -> d.minimum() < d.maximum());
        double early = days.stream()
                .limit(3652)
                .mapToDouble(d -> (d.minimum() + d.maximum()) / 2)
                .average()
                .orElseThrow();
        double late = days.stream()
                .skip(days.size() - 3652L)
                .mapToDouble(d -> (d.minimum() + d.maximum()) / 2)
                .average()
                .orElseThrow();
        assertThat(late - early).as("two kelvin a decade over twenty years").isBetween(3.2, 4.8);
    }
}
