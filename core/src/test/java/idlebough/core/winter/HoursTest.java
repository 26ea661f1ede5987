package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.crop.ChillModel;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Hours used as they are, the two hemispheres, and several stations. Seeds are in the names of what fails. */
class HoursTest {
    private static final WeatherGenerator WEATHER = new WeatherGenerator(
            17, new WeatherGenerator.Year(10, 9, 15, 10), new WeatherGenerator.Anomalies(0.7, 3, 0.6, 0));

    /** Days measured by the hour, with a daily course of their own that no curve from extremes would give. */
    private static StationRecord hourly(List<DailyExtremes> days, long seed) {
        Random random = new Random(seed);
        Map<LocalDate, double[]> hours = new HashMap<>();
        List<DailyExtremes> measured = new ArrayList<>();
        for (DailyExtremes day : days) {
            double[] of = new double[24];
            for (int h = 0; h < 24; h++) {
                of[h] = day.minimum() + (day.maximum() - day.minimum()) * random.nextDouble();
            }
            hours.put(day.date(), of);
            measured.add(DailyExtremes.measured(
                    day.date(),
                    Arrays.stream(of).min().orElseThrow(),
                    Arrays.stream(of).max().orElseThrow()));
        }
        return new StationRecord(measured, hours);
    }

    private static double total(ChillModel model, double[] hours) {
        ChillState state = ChillState.of(model);
        for (double hour : hours) {
            state.accept(hour);
        }
        return state.total();
    }

    @ParameterizedTest
    @EnumSource(ChillModel.class)
    void aWinterOfHoursIsTheSumOfThoseHours(ChillModel model) {
        StationRecord record = hourly(WEATHER.days(LocalDate.of(2010, 9, 1), LocalDate.of(2012, 6, 1)), 3);
        Winter winter = WinterLedger.of(record, 45).usable().get(0);
        double[] hours = new double[24 * 151];
        LocalDate first = LocalDate.of(2010, 11, 1);
        for (int day = 0; day < 151; day++) {
            System.arraycopy(record.hoursOn(first.plusDays(day)), 0, hours, 24 * day, 24);
        }
        assertThat(winter.totals().get(model)).isEqualTo(total(model, hours));
    }

    /** To the last digit from hours; within 2 % from daily extremes, since the lengths of the days differ. */
    @ParameterizedTest
    @EnumSource(ChillModel.class)
    void halfAYearLaterInTheOtherHemisphereIsTheSameWinter(ChillModel model) {
        // 1 November to 31 March and 1 May to 30 September: windows of 151 and 153 days, so both are cut to 150.
        List<DailyExtremes> north = WEATHER.days(LocalDate.of(2010, 9, 1), LocalDate.of(2011, 8, 1));
        long shift = LocalDate.of(2011, 5, 1).toEpochDay()
                - LocalDate.of(2010, 11, 1).toEpochDay();
        StationRecord there = hourly(north, 9);
        List<DailyExtremes> moved = new ArrayList<>();
        Map<LocalDate, double[]> hours = new HashMap<>();
        there.days().forEach(day -> {
            LocalDate date = day.date().plusDays(shift);
            moved.add(DailyExtremes.measured(date, day.minimum(), day.maximum()));
            hours.put(date, there.hoursOn(day.date()));
        });
        StationRecord here = new StationRecord(moved, hours);
        int day = 149;
        double a = WinterLedger.of(there, 44).usable().get(0).daily().get(model).get(day);
        double b = WinterLedger.of(here, -44).usable().get(0).daily().get(model).get(day);
        assertThat(a).isEqualTo(b);
        double c = WinterLedger.of(new StationRecord(north), 44)
                .usable()
                .get(0)
                .daily()
                .get(model)
                .get(day);
        double d = WinterLedger.of(
                        new StationRecord(north.stream()
                                .map(n -> DailyExtremes.measured(n.date().plusDays(shift), n.minimum(), n.maximum()))
                                .toList()),
                        -44)
                .usable()
                .get(0)
                .daily()
                .get(model)
                .get(day);
        assertThat(d).isCloseTo(c, within(0.02 * Math.abs(c)));
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3})
    void splittingARecordAtAnyHourAndCarryingTheStateGivesTheSame(long seed) {
        Random random = new Random(seed);
        double[] hours = random.doubles(3000, -5, 22).toArray();
        for (ChillModel model : ChillModel.values()) {
            ChillState state = ChillState.of(model);
            int cut = random.nextInt(hours.length);
            for (int h = 0; h < cut; h++) {
                state.accept(hours[h]);
            }
            for (int h = cut; h < hours.length; h++) {
                state.accept(hours[h]);
            }
            assertThat(state.total())
                    .as("%s cut at %d, seed %d", model, cut, seed)
                    .isEqualTo(total(model, hours));
        }
    }

    @ParameterizedTest
    @ValueSource(longs = {4, 5, 6})
    void whatIsFixedNeverFallsAndWarmerWintersHaveNoMoreHours(long seed) {
        Random random = new Random(seed);
        double[] hours = random.doubles(3000, -8, 25).toArray();
        ChillState portions = ChillState.of(ChillModel.PORTIONS);
        double before = 0;
        for (double hour : hours) {
            double now = portions.accept(hour);
            assertThat(now).as("seed %d", seed).isGreaterThanOrEqualTo(before);
            before = now;
        }
        double cooler = Double.MAX_VALUE;
        for (double by = 0; by <= 4; by += 0.5) {
            double add = by;
            double total = total(
                    ChillModel.HOURS_BELOW,
                    Arrays.stream(hours).map(t -> t + add).toArray());
            assertThat(total).as("seed %d, +%s K", seed, by).isLessThanOrEqualTo(cooler);
            cooler = total;
        }
    }

    @Test
    void aNeighbourFillsAGapWithTheDifferenceOfTheMonth() {
        List<DailyExtremes> all = WEATHER.days(LocalDate.of(2005, 1, 1), LocalDate.of(2009, 12, 31));
        LocalDate gap = LocalDate.of(2008, 1, 10);
        StationRecord here = new StationRecord(all.stream()
                .filter(d -> d.date().isBefore(gap) || d.date().isAfter(gap.plusDays(9)))
                .toList());
        // The neighbour is 2 K colder at night and 1 K by day, and begins a year later.
        StationRecord there = new StationRecord(all.stream()
                .filter(d -> d.date().getYear() > 2005)
                .map(d -> DailyExtremes.measured(d.date(), d.minimum() - 2, d.maximum() - 1))
                .toList());
        Stations.Joined joined =
                Stations.join(List.of(new Stations.Placed("here", here, 0), new Stations.Placed("there", there, 0.5)));
        DailyExtremes filled = joined.record().on(gap.plusDays(3));
        DailyExtremes truth = all.stream()
                .filter(d -> d.date().equals(gap.plusDays(3)))
                .findFirst()
                .orElseThrow();
        assertThat(filled.minimum()).isCloseTo(truth.minimum(), within(1e-9));
        assertThat(filled.maximum()).isCloseTo(truth.maximum(), within(1e-9));
        assertThat(filled.origin()).isEqualTo(DailyExtremes.Origin.NEIGHBOUR);
        assertThat(joined.borrowed()).singleElement().satisfies(borrowed -> {
            assertThat(borrowed.days()).isEqualTo(10);
            assertThat(borrowed.paired()).isEqualTo(10);
            assertThat(borrowed.minima()).isCloseTo(2, within(1e-9));
        });
        Winter winter = WinterLedger.of(joined.record(), 45).winters().stream()
                .filter(w -> w.year() == 2008)
                .findFirst()
                .orElseThrow();
        assertThat(winter.status()).isEqualTo(StationRecord.Status.FILLED);
        assertThat(winter.neighbourDays()).isEqualTo(10);
        // Too few days in common: only the correction is known.
        Stations.Joined apart = Stations.join(List.of(
                new Stations.Placed("here", new StationRecord(all.subList(0, 20)), 1),
                new Stations.Placed("there", there, 0.5)));
        assertThat(apart.record().on(LocalDate.of(2007, 1, 1)).minimum())
                .isCloseTo(there.on(LocalDate.of(2007, 1, 1)).minimum() + 0.5, within(1e-9));
        assertThat(apart.borrowed().get(0).paired()).isZero();
        assertThat(apart.record().on(all.get(0).date()).minimum())
                .isCloseTo(all.get(0).minimum() + 1, within(1e-9));
    }
}
