package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import idlebough.core.judge.Standing;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each check of a live reading at its limit; whole days from readings; the findings of a station. */
class LiveCheckTest {
    private static final Instant NOW = Instant.parse("2026-06-10T12:00:00Z");

    private static LiveReading at(Duration before, Double celsius) {
        return new LiveReading(NOW.minus(before), celsius, 60.0, 2.0, 0.5, 100.0);
    }

    private static LiveCheck.Fault second(LiveReading first, LiveReading then) {
        return LiveCheck.check(List.of(), List.of(first, then), NOW).get(1).fault();
    }

    @ParameterizedTest
    @CsvSource({
        "10, 25, 60, NONE",
        "10, 25.1, 60, STEP",
        "10, -5.1, 60, STEP",
        "10, 40, 181, NONE",
        "10, 60, 200, NONE",
        "10, 60.1, 200, BEYOND",
        "10, -60.1, 200, BEYOND"
    })
    void stepsAndRange(double first, double then, long minutesApart, LiveCheck.Fault fault) {
        assertThat(second(at(Duration.ofMinutes(minutesApart), first), at(Duration.ZERO, then)))
                .isEqualTo(fault);
    }

    @Test
    void whatIsNoNumberIsNoZero() {
        LiveReading broken = new LiveReading(NOW, Double.NaN, Double.POSITIVE_INFINITY, 2.0, 0.5, 100.0);
        assertThat(broken.celsius()).isNull();
        assertThat(broken.humidity()).isNull();
        assertThat(LiveCheck.check(List.of(), List.of(broken), NOW).get(0).fault())
                .isEqualTo(LiveCheck.Fault.EMPTY);
    }

    @ParameterizedTest
    @CsvSource({"600, NONE", "601, CLOCK"})
    void aClockMayRunTenMinutesAhead(long seconds, LiveCheck.Fault fault) {
        assertThat(second(at(Duration.ofHours(1), 9.0), at(Duration.ofSeconds(-seconds), 10.0)))
                .isEqualTo(fault);
    }

    @Test
    void aClockThatGoesBackIsWrongAndOneThatGoesOnIsRight() {
        List<LiveReading> news = List.of(
                at(Duration.ofHours(3), 9.0),
                at(Duration.ofHours(5), 9.5),
                at(Duration.ofHours(3), 9.7),
                at(Duration.ofHours(2), 10.0));
        assertThat(LiveCheck.check(List.of(), news, NOW))
                .extracting(LiveCheck.Checked::fault)
                .containsExactly(
                        LiveCheck.Fault.NONE, LiveCheck.Fault.CLOCK, LiveCheck.Fault.CLOCK, LiveCheck.Fault.NONE);
    }

    /**
     * Twelve hours of the same figure; the reading that reaches them is the first marked, the first other one is
     * sound.
     */
    @Test
    void aSensorStandsStillFromTheTwelfthHourOn() {
        List<LiveReading> news = new ArrayList<>();
        for (int hour = 20; hour >= 1; hour--) {
            news.add(at(Duration.ofHours(hour), hour > 18 ? 8.0 + hour : 7.7));
        }
        news.add(at(Duration.ZERO, 7.8));
        List<LiveCheck.Checked> checked = LiveCheck.check(List.of(), news, NOW);
        List<Integer> stuck = new ArrayList<>();
        for (int i = 0; i < checked.size(); i++) {
            if (checked.get(i).fault() == LiveCheck.Fault.STUCK) {
                stuck.add(20 - i);
            }
        }
        assertThat(stuck).as("hours before now; it began 18 hours before").containsExactly(6, 5, 4, 3, 2, 1);
        assertThat(checked.get(20).fault()).isEqualTo(LiveCheck.Fault.NONE);
    }

    @Test
    void whatWasCheckedBeforeIsRemembered() {
        List<LiveCheck.Checked> before = LiveCheck.check(List.of(), List.of(at(Duration.ofHours(1), 9.0)), NOW);
        assertThat(LiveCheck.check(before, List.of(at(Duration.ofHours(2), 9.0)), NOW))
                .singleElement()
                .satisfies(c -> assertThat(c.fault()).isEqualTo(LiveCheck.Fault.CLOCK));
        assertThat(LiveCheck.check(before, List.of(at(Duration.ZERO, null)), NOW))
                .singleElement()
                .satisfies(c -> assertThat(c.fault()).isEqualTo(LiveCheck.Fault.EMPTY));
    }

    /** Half-hourly readings from 8 to noon of 10 June in a zone an hour ahead with daylight saving of another. */
    @Test
    void daysAreOfStandardTimeAndTodayIsNotOver() {
        ZoneId zone = ZoneId.of("Europe/Berlin");
        List<LiveReading> good = new ArrayList<>();
        for (Instant at = Instant.parse("2026-06-07T23:00:00Z"); !at.isAfter(NOW); at = at.plusSeconds(1800)) {
            int hour = at.atZone(ZoneId.of("Etc/GMT-1")).getHour();
            good.add(new LiveReading(at, (double) hour, 50.0 + hour, 2.0, hour == 6 ? 0.4 : 0, 250.0));
        }
        WholeDays days = WholeDays.live(good, zone);
        assertThat(days.days())
                .containsExactly(
                        DailyExtremes.measured(LocalDate.of(2026, 6, 8), 0, 23),
                        DailyExtremes.measured(LocalDate.of(2026, 6, 9), 0, 23));
        assertThat(days.hours().get(LocalDate.of(2026, 6, 9))[17]).isEqualTo(17);
        List<DayWeather> beside = WholeDays.beside(good, days.days(), zone);
        assertThat(beside).hasSize(2);
        assertThat(beside.get(0).values().get(Element.RAIN)).isCloseTo(0.8, within(1e-9));
        assertThat(beside.get(0).values().get(Element.HUMIDITY)).isCloseTo(61.5, within(1e-9));
        // 250 W/m² through a day are 21.6 MJ/m².
        assertThat(beside.get(0).values().get(Element.RADIATION)).isCloseTo(21.6, within(1e-9));
        assertThat(WholeDays.live(List.of(), zone).days()).isEmpty();
        assertThat(WholeDays.beside(good.subList(0, 12), days.days(), zone))
                .as("six hours do not make a day")
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"1, SOUND", "5.9, SOUND", "6.2, STOP"})
    void aStationIsSilentAfterSixHours(double hours, Standing standing) {
        Instant last = NOW.minusSeconds(Math.round(3600 * hours));
        assertThat(LiveRules.judge("Mast", last, NOW, 0, 0))
                .singleElement()
                .satisfies(f -> assertThat(f.standing()).isEqualTo(standing));
        assertThat(LiveRules.judge("Mast", null, NOW, 3, 2))
                .extracting(f -> f.rule())
                .containsExactly(LiveRules.SILENT, LiveRules.STUCK, LiveRules.CLOCK);
    }
}
