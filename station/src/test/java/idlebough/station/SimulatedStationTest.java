package idlebough.station;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.Element;
import idlebough.core.winter.MadeWeather;
import idlebough.core.winter.SkyRadiation;
import idlebough.core.winter.WeatherFile;
import idlebough.core.winter.WeatherGenerator;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SimulatedStationTest {
    private static final LocalDate BEGIN = LocalDate.of(2020, 1, 1);
    private final SimulatedStation station = new SimulatedStation(
            "test mast",
            new MadeWeather(
                    new WeatherGenerator(
                            7,
                            new WeatherGenerator.Year(10, 9, 15, 11),
                            new WeatherGenerator.Anomalies(0.7, 3, 0.7, 0.3)),
                    42,
                    800),
            BEGIN,
            Set.of(LocalDate.of(2020, 3, 5)));

    @Test
    void servesTheSameDaysForTheSameSeedWhateverIsAskedFor() {
        LocalDate day = LocalDate.of(2020, 6, 1);
        DailyExtremes whole = station.read(BEGIN, LocalDate.of(2020, 12, 31)).stream()
                .filter(d -> d.date().equals(day))
                .findFirst()
                .orElseThrow();
        assertThat(station.read(day, day)).containsExactly(whole);
    }

    @Test
    void aDropOutIsADayWithoutAReading() {
        assertThat(station.read(LocalDate.of(2020, 3, 4), LocalDate.of(2020, 3, 6)))
                .extracting(DailyExtremes::date)
                .containsExactly(LocalDate.of(2020, 3, 4), LocalDate.of(2020, 3, 6));
    }

    @Test
    void itsDownloadIsReadBackToTheSameDays() {
        LocalDate last = LocalDate.of(2020, 12, 31);
        WeatherFile.Reading reading = WeatherFile.read(
                station.download(BEGIN, last).getBytes(StandardCharsets.UTF_8),
                WeatherFile.Wish.NONE,
                java.time.ZoneOffset.UTC,
                idlebough.core.winter.Watch.NONE);
        assertThat(reading.days()).isEqualTo(station.read(BEGIN, last));
        assertThat(reading.warnings()).isEmpty();
    }

    /** Rain of the year as asked for; humidity, wind and radiation in their physical bounds; wet days are duller. */
    @Test
    void itsWeatherHangsTogether() {
        var days = station.weather().days(BEGIN, LocalDate.of(2039, 12, 31));
        double rain = days.stream()
                .mapToDouble(d -> d.weather().values().get(Element.RAIN))
                .sum();
        assertThat(rain / 20).isBetween(640.0, 960.0);
        assertThat(days).allSatisfy(d -> {
            double radiation = d.weather().values().get(Element.RADIATION);
            assertThat(radiation)
                    .isBetween(
                            0.0,
                            0.76
                                    * SkyRadiation.extraterrestrial(
                                            42, d.extremes().date().getDayOfYear()));
            assertThat(d.weather().values().get(Element.HUMIDITY)).isBetween(20.0, 100.0);
        });
        assertThat(mean(days, true)).isLessThan(mean(days, false));
    }

    private static double mean(java.util.List<MadeWeather.Day> days, boolean wet) {
        return days.stream()
                .filter(d -> d.weather().values().get(Element.RAIN) > 0 == wet)
                .mapToDouble(d -> d.weather().values().get(Element.RADIATION))
                .average()
                .orElseThrow();
    }
}
