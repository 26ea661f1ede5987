package idlebough.station;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.winter.DailyExtremes;
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
            new WeatherGenerator(7, 10, 9, 15, 11, 0.7, 3, 0.7, 0.3),
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
}
