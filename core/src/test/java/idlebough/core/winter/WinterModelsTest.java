package idlebough.core.winter;

import static idlebough.core.Vectors.d;
import static idlebough.core.Vectors.near;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.Vectors;
import idlebough.core.crop.ChillModel;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.hipparchus.stat.descriptive.rank.Percentile;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Against independent check files and the published facts of each model. */
class WinterModelsTest {
    private static final Map<ChillModel, String> COLUMNS = Map.of(
            ChillModel.PORTIONS, "portions",
            ChillModel.UTAH, "utah",
            ChillModel.HOURS, "ch0_72",
            ChillModel.HOURS_BELOW, "ch72",
            ChillModel.POSITIVE, "pcu_daily",
            ChillModel.CAROLINA, "nc",
            ChillModel.LOW_CHILL, "lowchill");

    @Test
    void dayLengthIsSpencers1971() {
        Vectors.of("winter/daylength.csv").forEach(row -> {
            DayLength day = DayLength.of(d(row, "lat"), Integer.parseInt(row.get("doy")));
            near(day.hours(), row, "spencer_h");
            near(day.sunrise(), row, "sunrise_h");
            near(day.sunset(), row, "sunset_h");
        });
    }

    @Test
    void hourlyCurveIsLinvillsContinuousForm() {
        Map<String, List<DailyExtremes>> cases = new LinkedHashMap<>();
        Map<String, Double> latitude = new LinkedHashMap<>();
        Vectors.of("winter/curve_in.csv").forEach(row -> {
            cases.computeIfAbsent(row.get("case"), key -> new ArrayList<>())
                    .add(DailyExtremes.measured(LocalDate.parse(row.get("date")), d(row, "tmin"), d(row, "tmax")));
            latitude.put(row.get("case"), d(row, "lat"));
        });
        Map<String, double[]> curves = new LinkedHashMap<>();
        cases.forEach((key, days) -> curves.put(key, HourlyCurve.of(days, latitude.get(key))));
        Vectors.of("winter/curve_expected.csv").forEach(row -> {
            List<DailyExtremes> days = cases.get(row.get("case"));
            int day = (int) (LocalDate.parse(row.get("date")).toEpochDay()
                    - days.get(0).date().toEpochDay());
            double got = curves.get(row.get("case"))[24 * day + Integer.parseInt(row.get("hour"))];
            assertThat(got)
                    .isCloseTo(
                            d(row, "linvill_continuous"),
                            org.assertj.core.data.Offset.offset(1e-5 * Math.max(1, Math.abs(got))));
        });
    }

    /**
     * Factors of one-sided tolerance limits, 90 % of a normal sample at 90 % confidence: Natrella 1963, table A-7,
     * from memory.
     */
    @ParameterizedTest
    @CsvSource({"3, 4.258", "4, 3.187", "5, 2.744", "8, 2.219", "10, 2.066", "20, 1.765", "25, 1.702", "30, 1.657"})
    void toleranceFactorsAreThoseOfTheTable(int winters, double factor) {
        assertThat(Tolerance.factor(winters, 0.9, 0.9)).isCloseTo(factor, within(0.004));
    }

    @Test
    void threeWintersSayLittleEightMoreAndTwentyFiveMost() {
        Random random = new Random(11);
        double[] totals = random.doubles(25).map(u -> 60 + 20 * (u - 0.5)).toArray();
        double before = Double.POSITIVE_INFINITY;
        for (int winters : new int[] {3, 8, 25}) {
            SafeChill safe = SafeChill.of(ChillModel.PORTIONS, Arrays.copyOf(totals, winters));
            SafeChill.Interval interval = safe.interval();
            double wide = interval.high() - interval.low();
            assertThat(wide).as("%d winters", winters).isPositive().isLessThan(before);
            before = wide;
            assertThat(Double.isNaN(safe.value())).isEqualTo(winters < 10);
        }
        assertThat(SafeChill.of(ChillModel.PORTIONS, Arrays.copyOf(totals, 3)).trust())
                .isEqualTo("too few winters to say");
        assertThat(SafeChill.of(ChillModel.PORTIONS, Arrays.copyOf(totals, 1))
                        .interval()
                        .low())
                .isNaN();
    }

    /** The cubic between tenths against the formula itself (Fishman et al. 1987b). */
    @Test
    void theDynamicModelsTablesCarryItsFormula() {
        Random random = new Random(5);
        for (int run = 0; run < 200; run++) {
            double mean = 12 * random.nextDouble() - 2;
            ChillState state = ChillState.of(ChillModel.PORTIONS);
            double left = 0;
            double portions = 0;
            for (int hour = 0; hour < 500; hour++) {
                double celsius = mean + 9 * random.nextGaussian();
                double kelvin = celsius + 273;
                double ratio = Math.exp(1.6 * 277 * (kelvin - 277) / kelvin);
                double xs = 139500 / 2.567e18 * Math.exp((12888.8 - 4153.5) / kelvin);
                double product = xs - (xs - left) * Math.exp(-2.567e18 * Math.exp(-12888.8 / kelvin));
                double fixed = product < 1 ? 0 : ratio / (1 + ratio) * product;
                portions += fixed;
                left = product - fixed;
                state.accept(celsius);
            }
            assertThat(state.total()).as("seed 5, run %d", run).isCloseTo(portions, within(1e-7));
        }
    }

    @Test
    void oneHourOfEachStepModel() {
        Vectors.of("winter/units_expected.csv").forEach(row -> {
            for (ChillModel model : List.of(
                    ChillModel.HOURS,
                    ChillModel.HOURS_BELOW,
                    ChillModel.UTAH,
                    ChillModel.CAROLINA,
                    ChillModel.LOW_CHILL)) {
                assertThat(ChillState.of(model).accept(d(row, "temp")))
                        .as("%s at %s", model, row.get("temp"))
                        .isEqualTo(d(row, COLUMNS.get(model)));
            }
            near(Heat.of(d(row, "temp")), row, "gdh_asymcur");
        });
    }

    @Test
    void dynamicModelAtConstantTemperature() {
        Vectors.of("winter/dynamic_constant.csv").forEach(row -> {
            ChillState state = ChillState.of(ChillModel.PORTIONS);
            for (int h = 0; h < Integer.parseInt(row.get("hours")); h++) {
                state.accept(d(row, "temp"));
            }
            near(state.total(), row, "portions");
        });
    }

    @Test
    void dynamicModelHourByHour() {
        ChillState state = ChillState.of(ChillModel.PORTIONS);
        Vectors.of("winter/dynamic_trace.csv").forEach(row -> near(state.accept(d(row, "temp")), row, "portions"));
    }

    @Test
    void cyclesShowNegationAndEnhancement() {
        // Couvillon & Erez 1985 (negation), Erez & Couvillon 1987 (enhancement), Erez, Couvillon & Hendershott 1979
        // (cycle length).
        Vectors.of("winter/cycles.csv").forEach(row -> {
            ChillState[] states =
                    Arrays.stream(ChillModel.values()).map(ChillState::of).toArray(ChillState[]::new);
            for (int i = 0; i < Integer.parseInt(row.get("repeat")); i++) {
                for (String block : row.get("blocks_TxH").split("\\+")) {
                    String[] part = block.split("x");
                    for (int h = 0; h < Integer.parseInt(part[1]); h++) {
                        for (ChillState state : states) {
                            state.accept(Double.parseDouble(part[0]));
                        }
                    }
                }
            }
            COLUMNS.forEach((model, column) -> near(states[model.ordinal()].total(), row, column));
        });
        Vectors.of("winter/sine_days.csv")
                .forEach(row -> COLUMNS.forEach((model, column) -> {
                    ChillState state = ChillState.of(model);
                    for (int h = 0; h < 24 * (int) d(row, "days"); h++) {
                        state.accept(d(row, "mean") + d(row, "amp") * Math.sin(2 * Math.PI * (h - 8) / 24));
                    }
                    near(state.total(), row, column);
                }));
    }

    /** Fishman et al. 1987: hardly any portions at 0 °C, none at a constant 13 °C, best near 7 °C. */
    @Test
    void portionsComeBestNearSevenDegrees() {
        double[] at = new double[16];
        for (int celsius = 0; celsius < 16; celsius++) {
            ChillState state = ChillState.of(ChillModel.PORTIONS);
            for (int h = 0; h < 1000; h++) {
                state.accept(celsius);
            }
            at[celsius] = state.total();
        }
        assertThat(at[0]).isLessThan(at[7] / 5);
        assertThat(at[13]).isZero();
        assertThat(Arrays.stream(at).max().orElse(0)).isIn(at[6], at[7], at[8]);
    }

    @Test
    void gapsAreFilledOrTheWinterRefused() {
        Map<String, List<Map<String, String>>> cases = new LinkedHashMap<>();
        Vectors.of("winter/gaps_in.csv")
                .forEach(row -> cases.computeIfAbsent(row.get("case"), key -> new ArrayList<>())
                        .add(row));
        Vectors.of("winter/gaps_expected.csv").forEach(expected -> {
            List<Map<String, String>> rows = cases.get(expected.get("case"));
            StationRecord record = new StationRecord(rows.stream()
                    .filter(row ->
                            !row.get("tmin").isEmpty() && !row.get("tmax").isEmpty())
                    .map(row ->
                            DailyExtremes.measured(LocalDate.parse(row.get("date")), d(row, "tmin"), d(row, "tmax")))
                    .toList());
            StationRecord.Window window = record.window(
                    LocalDate.parse(rows.get(0).get("date")),
                    LocalDate.parse(rows.get(rows.size() - 1).get("date")));
            assertThat(window.status().name().toLowerCase().replace('_', '-'))
                    .isEqualTo(expected.get("status").replace("refused:", ""));
            if (!expected.get("date").isEmpty()) {
                DailyExtremes filled = window.days().stream()
                        .filter(day -> day.date().toString().equals(expected.get("date")))
                        .findFirst()
                        .orElseThrow();
                assertThat(filled.filled()).isTrue();
                near(filled.minimum(), expected, "tmin");
                near(filled.maximum(), expected, "tmax");
            }
        });
    }

    private static StationRecord series(String name) {
        return new StationRecord(Vectors.of("winter/series_" + name + ".csv").stream()
                .map(row -> DailyExtremes.measured(LocalDate.parse(row.get("date")), d(row, "tmin"), d(row, "tmax")))
                .toList());
    }

    private static double latitude(String name) {
        return name.equals("north") ? 36.8 : -34;
    }

    @Test
    void wholeWintersInBothHemispheres() {
        Map<String, WinterLedger> ledgers =
                Map.of("north", WinterLedger.of(series("north"), 36.8), "south", WinterLedger.of(series("south"), -34));
        Vectors.of("winter/winters_expected.csv").forEach(row -> {
            Winter winter = ledgers.get(row.get("series")).usable().stream()
                    .filter(w -> w.year() == Integer.parseInt(row.get("label")))
                    .findFirst()
                    .orElseThrow();
            COLUMNS.forEach((model, column) -> near(winter.totals().get(model), row, column));
            assertThat(winter.daily().get(ChillModel.PORTIONS)).hasSize(Integer.parseInt(row.get("hours")) / 24);
        });
    }

    @Test
    void utahFromItsOwnStart() {
        WinterLedger.Counting own = new WinterLedger.Counting(true, false);
        Map<String, WinterLedger> ledgers = Map.of(
                "north", WinterLedger.of(series("north"), 36.8, own),
                "south", WinterLedger.of(series("south"), -34, own));
        Vectors.of("winter/winters_expected.csv").forEach(row -> {
            Winter winter = ledgers.get(row.get("series")).usable().stream()
                    .filter(w -> w.year() == Integer.parseInt(row.get("label")))
                    .findFirst()
                    .orElseThrow();
            assertThat(winter.utahFrom())
                    .contains(LocalDate.parse(row.get("utah_start_date"))
                            .atTime(Integer.parseInt(row.get("utah_start_hour")), 0));
            near(winter.totals().get(ChillModel.UTAH), row, "utah_from_min");
            near(winter.totals().get(ChillModel.PORTIONS), row, "portions");
        });
    }

    /** Made winters may be a degree off as a whole, so they say less than measured ones. */
    @Test
    void madeWintersHaveAWiderInterval() {
        StationRecord record = series("north");
        WinterLedger measured = WinterLedger.of(record, 36.8);
        WinterLedger made = WinterLedger.of(record, 36.8, new WinterLedger.Counting(false, true));
        SafeChill safe = SafeChill.of(ChillModel.PORTIONS, made.totals(ChillModel.PORTIONS));
        assertThat(safe.value())
                .isEqualTo(SafeChill.of(ChillModel.PORTIONS, measured.totals(ChillModel.PORTIONS))
                        .value());
        // The median of this series falls 9 to 12 portions for each degree (independent computation).
        assertThat(safe.interval(made).high() - safe.interval(measured).high()).isBetween(5.0, 15.0);
        assertThat(safe.interval(measured).low() - safe.interval(made).low()).isBetween(5.0, 15.0);
    }

    private static double[] totals(String series, String model, double warmer) {
        ChillModel chosen = switch (model) {
            case "portions" -> ChillModel.PORTIONS;
            case "utah" -> ChillModel.UTAH;
            default -> ChillModel.HOURS;
        };
        double[] all = WinterLedger.of(series(series).warmedBy(warmer), latitude(series))
                .totals(chosen);
        return Arrays.copyOf(all, series.equals("north") ? 20 : 5);
    }

    @Test
    void safeChillReliabilityAndWarming() {
        Vectors.of("winter/safe_chill_expected.csv").stream()
                .filter(row -> List.of("portions", "utah", "ch0_72").contains(row.get("model")))
                .forEach(row -> {
                    double[] totals = totals(row.get("series"), row.get("model"), 0);
                    near(Quantile.of(totals, 0.1), row, "q10_type7");
                    SafeChill safe = SafeChill.of(ChillModel.PORTIONS, totals);
                    near(safe.median(), row, "median");
                    near(safe.least(), row, "min");
                    if (totals.length >= 10) {
                        near(safe.value(), row, "q10_type7");
                    } else {
                        assertThat(safe.value()).as("fewer than ten winters").isNaN();
                    }
                });
        Vectors.of("winter/reliability_expected.csv").stream()
                .filter(row -> !row.get("model").equals("ch72"))
                .forEach(row -> {
                    ChillMatch match =
                            ChillMatch.of(d(row, "requirement"), totals(row.get("series"), row.get("model"), 0));
                    assertThat(match.met()).isEqualTo(Integer.parseInt(row.get("met")));
                    near(match.low(), row, "wilson90_lo");
                    near(match.high(), row, "wilson90_hi");
                });
        Vectors.of("winter/warming_expected.csv").forEach(row -> {
            near(Quantile.of(totals(row.get("series"), "portions", d(row, "offset")), 0.1), row, "portions_q10");
            near(Quantile.of(totals(row.get("series"), "ch0_72", d(row, "offset")), 0.5), row, "ch0_72_median");
        });
    }

    @Test
    void quantilesAndRanks() {
        Vectors.of("winter/quantiles_expected.csv").forEach(row -> {
            double[] values = Arrays.stream(row.get("values").split(";"))
                    .mapToDouble(Double::parseDouble)
                    .toArray();
            near(Quantile.of(values, d(row, "p")), row, "type7");
            // An outside library of statistics, same estimator.
            assertThat(Quantile.of(values, d(row, "p")))
                    .isCloseTo(
                            new Percentile()
                                    .withEstimationType(Percentile.EstimationType.R_7)
                                    .evaluate(values, 100 * d(row, "p")),
                            org.assertj.core.data.Offset.offset(1e-9));
        });
        Vectors.of("winter/orderstat_expected.csv")
                .forEach(row -> assertThat(SafeChill.rankBelow(Integer.parseInt(row.get("n")), 0.9))
                        .isEqualTo(Integer.parseInt(row.get("rank90"))));
    }

    @Test
    void aFixedPortionIsNeverLostAndWarmthNeverAddsHours() {
        double[] hours = new Random(4711).doubles(2000, -8, 22).toArray();
        ChillState portions = ChillState.of(ChillModel.PORTIONS);
        double before = 0;
        for (double hour : hours) {
            assertThat(portions.accept(hour)).as("seed 4711").isGreaterThanOrEqualTo(before);
            before = portions.total();
        }
        for (double warmer : new double[] {0.3, 1, 2.5}) {
            ChillState cold = ChillState.of(ChillModel.HOURS_BELOW);
            ChillState warm = ChillState.of(ChillModel.HOURS_BELOW);
            for (double hour : hours) {
                cold.accept(hour);
                warm.accept(hour + warmer);
            }
            assertThat(warm.total()).isLessThanOrEqualTo(cold.total());
        }
    }

    @Test
    void bloomByTheSequentialModel() {
        Map<String, StationRecord> records = Map.of("north", series("north"), "south", series("south"));
        Vectors.of("winter/bloom_expected.csv").forEach(row -> {
            SeasonHours hours = SeasonHours.of(
                    records.get(row.get("series")),
                    latitude(row.get("series")),
                    LocalDate.parse(row.get("chill_from")),
                    LocalDate.parse(row.get("last_day")));
            ChillModel model = COLUMNS.entrySet().stream()
                    .filter(e -> e.getValue().equals(row.get("model").equals("hours") ? "ch0_72" : row.get("model")))
                    .findFirst()
                    .orElseThrow()
                    .getKey();
            SequentialBloom bloom = SequentialBloom.of(hours, model, d(row, "chill_req"), d(row, "heat_req"));
            assertThat(bloom.chillMet()).as(row.toString()).isEqualTo(hour(row, "chill_met"));
            near(bloom.chill(), row, "chill_sum");
            near(bloom.heat(), row, "heat_sum");
            assertThat(bloom.full()).isEqualTo(hour(row, "bloom"));
        });
    }

    private static Optional<LocalDateTime> hour(Map<String, String> row, String what) {
        return row.get(what + "_date").isEmpty()
                ? Optional.empty()
                : Optional.of(
                        LocalDate.parse(row.get(what + "_date")).atTime(Integer.parseInt(row.get(what + "_hour")), 0));
    }
}
