package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of single readings, row by row: how moments are written, and what is named with its line. */
class HourFileTest {
    private static final ZoneId ZONE = ZoneId.of("UTC");

    private static WeatherFile.Reading read(String text) {
        return WeatherFile.read(text.getBytes(StandardCharsets.UTF_8), WeatherFile.Wish.NONE, ZONE, Watch.NONE);
    }

    /** Two sound days of half-hourly readings that differ, so that nothing but the row put in is remarkable. */
    private static List<String> rows() {
        List<String> rows = new ArrayList<>();
        rows.add("time,temp,flag");
        LocalDateTime at = LocalDateTime.of(2021, 3, 1, 0, 0);
        for (int i = 0; i < 96; i++) {
            rows.add(String.format(Locale.ROOT, "%s,%.2f,ok", at.plusMinutes(30L * i), 5 + 4 * Math.sin(i / 8.0)));
        }
        return rows;
    }

    @Test
    void soundRowsAreNotRemarkedUpon() {
        WeatherFile.Reading reading = read(String.join("\n", rows()));
        assertThat(reading.warnings()).isEmpty();
        assertThat(reading.days()).hasSize(2);
        assertThat(reading.hours().get(LocalDate.of(2021, 3, 1))[1])
                .as("the reading of that very minute, in hundredths")
                .isEqualTo(5.99);
        assertThat(reading.days().get(0).maximum())
                .as("the half hours count for the extremes")
                .isEqualTo(reading.hours().get(LocalDate.of(2021, 3, 1))[6], within(0.2));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2021-03-01T00:30,75,ok | beyond −60 to 60 °C | true",
                "2021-03-01T00:30,warm,ok | is not a temperature | true",
                "2021-03-01T00:30,-9999,ok | | ",
                "2021-03-01T00:30 | breaks off after 1 cells | true",
                "2021-03-01T25:30,5,ok | is not a time | true",
                "2021-13-01T00:30,5,ok | is not a time | true",
                "2021-03-01T00:30,5.5,suspect | flagged “suspect” | true",
                "2021-03-01T00:30,5.5,Q9 | what the flag “Q9” means | false",
                "2021-03-01T00:30,22.1,ok | more than 15 K from one reading to the next | false",
                "2021-03-01T00:00,9,ok | stands there already with another figure | true",
                "2021-03-01T00:00,5.00,ok | | "
            })
    void aRowThatCannotBeIsNamed(String row, String words, Boolean leftOut) {
        List<String> rows = rows();
        rows.set(2, row.strip());
        WeatherFile.Reading reading = read(String.join("\n", rows));
        if (words == null) {
            assertThat(reading.warnings()).isEmpty();
        } else {
            assertThat(reading.warnings()).anySatisfy(warning -> {
                assertThat(warning.words()).contains(words.strip());
                assertThat(warning.leftOut()).isEqualTo(leftOut);
                assertThat(warning.line()).isBetween(3L, 4L);
            });
        }
        assertThat(reading.days()).as("its neighbours bridge it").hasSize(2);
    }

    @Test
    void aSensorThatStandsStillForADayOfReadingsIsNamedOnce() {
        List<String> rows = rows();
        for (int i = 11; i <= 50; i++) {
            rows.set(i, rows.get(i).replaceAll(",[^,]*,", ",7.77,"));
        }
        assertThat(read(String.join("\n", rows)).warnings()).singleElement().satisfies(warning -> {
            assertThat(warning.words()).contains("24 times in a row");
            assertThat(warning.line()).isEqualTo(35);
        });
    }

    /** The same hour in the ways in which loggers write it. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "time,temp|2021-03-0%d %02d:00,%s",
                "time,temp|2021-03-0%dT%02d:00:00,%s",
                "time,temp|2021-03-0%dT%02d:00Z,%s",
                "time,temp|2021-03-0%d %02d:00:00+00,%s",
                "time,temp|0%d.03.2021 %02d.00,%s",
                "time,temp|2021030%d%02d,%s",
                "time,temp|2021030%d%02d00,%s",
                "date,hour,temp|2021-03-0%d,%d,%s",
                "year,month,day,hour,temp|2021,3,%d,%02d:00,%s",
                "date,time,temp|13/0%d/2021x,%02d:00,%s"
            })
    void momentsAreWrittenInManyWays(String layout) {
        String[] parts = layout.split("\\|");
        StringBuilder file = new StringBuilder(parts[0]).append('\n');
        for (int day = 1; day <= 2; day++) {
            for (int hour = 0; hour < 24; hour++) {
                file.append(String.format(Locale.ROOT, parts[1], day, hour, "4." + hour % 10))
                        .append('\n');
            }
        }
        WeatherFile.Reading reading = read(file.toString());
        assertThat(reading.days()).as(reading.warnings().toString()).hasSize(layout.contains("x,") ? 0 : 2);
        if (!layout.contains("x,")) {
            assertThat(reading.hours().get(LocalDate.of(2021, 3, 2))[13]).isEqualTo(4.3);
        }
    }

    /** 1 614 556 800 seconds after 1970 it was 1 March 2021, 00:00 UTC. */
    @ParameterizedTest
    @ValueSource(longs = {1, 1000})
    void secondsSince1970AreUtc(long times) {
        StringBuilder file = new StringBuilder("timestamp,temp\n");
        for (int hour = 0; hour < 48; hour++) {
            file.append((1_614_556_800L + 3600L * hour) * times)
                    .append(',')
                    .append(hour % 24)
                    .append('\n');
        }
        WeatherFile.Reading reading = WeatherFile.read(
                file.toString().getBytes(StandardCharsets.UTF_8),
                WeatherFile.Wish.NONE,
                ZoneId.of("Etc/GMT-1"),
                Watch.NONE);
        assertThat(reading.days())
                .as("an hour ahead of UTC: the first day begins at one, the third ends there")
                .extracting(DailyExtremes::date)
                .containsExactly(LocalDate.of(2021, 3, 2));
        assertThat(reading.hours().get(LocalDate.of(2021, 3, 2))[0]).isEqualTo(23);
    }

    @Test
    void theTwentyFourthHourIsTheNextMidnight() {
        StringBuilder file = new StringBuilder("date,time,temp\n");
        for (int hour = 1; hour <= 48; hour++) {
            file.append(
                    String.format("2021-03-0%d,%02d:00,%d.5%n", 1 + (hour - 1) / 24, (hour - 1) % 24 + 1, hour % 24));
        }
        WeatherFile.Reading reading = read(file.toString());
        assertThat(reading.days()).extracting(DailyExtremes::date).containsExactly(LocalDate.of(2021, 3, 2));
        assertThat(reading.hours().get(LocalDate.of(2021, 3, 2))[0]).isEqualTo(0.5);
    }

    /** A day's humidity is said when twenty of its hours have one. */
    @ParameterizedTest
    @CsvSource({"19, 0", "20, 1", "24, 1"})
    void aMeanWantsMostOfTheDay(int hours, int said) {
        StringBuilder file = new StringBuilder("time,temp,rh\n");
        for (int hour = 0; hour < 24; hour++) {
            file.append(String.format("2021-03-01 %02d:00,%d,%s%n", hour, hour % 7, hour < hours ? "50" : ""));
        }
        assertThat(read(file.toString()).with(Element.HUMIDITY)).isEqualTo(said);
    }

    @Test
    void readingsTooFarApartMakeNoDay() {
        WeatherFile.Reading reading = read("time,temp\n2021-03-01 00:00,4\n2021-03-01 12:00,9\n2021-03-02 00:00,5\n");
        assertThat(reading.complaint().orElseThrow()).contains("must not be more than three hours apart");
        assertThat(read("time,temp\n2021-03-01 00:00,warm\n").complaint().orElseThrow())
                .contains("no row could be read: line 2");
    }

    @Test
    void fahrenheitShowsByItsSize() {
        StringBuilder file = new StringBuilder("time,temp\n");
        for (int hour = 0; hour < 24; hour++) {
            file.append(String.format("2021-07-01 %02d:00,%d%n", hour, 59 + hour));
        }
        WeatherFile.Reading reading = read(file.toString());
        assertThat(reading.days().get(0).minimum()).isCloseTo(15, within(1e-9));
        assertThat(reading.warnings()).anyMatch(w -> w.words().contains("the temperatures are above 45"));
    }

    /** Rain, snow, wind, humidity and sunshine of the archive, in its own tenths, millimetres and minutes. */
    @Test
    void theArchiveHasMoreThanTheTemperature() {
        String day = "XX000012345,20200101,";
        WeatherFile.Reading reading = read(String.join(
                "\n",
                day + "TMAX,60,,,S,",
                day + "TMIN,-15,,,S,",
                day + "PRCP,123,,,S,",
                day + "SNWD,40,,,S,",
                day + "AWND,25,,,S,",
                day + "RHAV,81,,,S,",
                day + "TSUN,90,,,S,",
                "XX000012345,20200102,PRCP,-5,,,S,",
                "XX000012345,20200103,RHAV,55,,X,S,"));
        assertThat(reading.shape().archive().orElseThrow()).contains("one line for each element");
        assertThat(reading.weather())
                .singleElement()
                .satisfies(weather -> assertThat(weather.values())
                        .containsEntry(Element.RAIN, 12.3)
                        .containsEntry(Element.SNOW, 40.0)
                        .containsEntry(Element.WIND, 2.5)
                        .containsEntry(Element.HUMIDITY, 81.0)
                        .containsEntry(Element.SUNSHINE, 1.5));
        assertThat(reading.warnings())
                .anyMatch(w -> w.line() == 8 && w.words().contains("cannot be rain"))
                .anyMatch(w -> w.line() == 9 && w.words().contains("quality check X"));
    }
}
