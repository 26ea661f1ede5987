package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TemperatureFileTest {
    private static TemperatureFile.Reading read(String text) {
        return TemperatureFile.read(text.getBytes(StandardCharsets.UTF_8), TemperatureFile.Wish.NONE);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "date,tmin,tmax\n2020-01-31,-1.5,6\n2020-02-01,0,7.5\n",
                "Datum;Tmin;Tmax\n31.01.2020;-1,5;6\n01.02.2020;0;7,5\n",
                "\uFEFFDATE\tTMIN\tTMAX\r\n20200131\t-1.5\t6\r\n20200201\t0\t7.5\r\n",
                "made by hand\ndate,min temp (F),max temp (F)\n1/31/2020,29.3,42.8\n2/1/2020,32,45.5\n"
            })
    void readsAnySaneShape(String text) {
        TemperatureFile.Reading reading = read(text);
        assertThat(reading.complaint()).isNull();
        assertThat(reading.days())
                .extracting(DailyExtremes::date)
                .containsExactly(LocalDate.of(2020, 1, 31), LocalDate.of(2020, 2, 1));
        assertThat(reading.days().get(0).minimum()).isCloseTo(-1.5, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(reading.days().get(1).maximum()).isCloseTo(7.5, org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    void namesEveryRowThatCannotBe() {
        TemperatureFile.Reading reading = read(
                "date,tmin,tmax\n2021-01-01,1,9\n2021-02-29,1,9\n2021-01-02,9,1\n2021-01-03,-80,2\n2021-01-04,one,2\n2021-01-01,2,9\n2021-01-05,,4\n2021-01-06\n2021-01-07,-9999,3\n2021-01-08,2,8\n");
        assertThat(reading.days()).hasSize(2);
        assertThat(reading.warnings())
                .extracting(TemperatureFile.Warning::line)
                .containsExactly(3L, 4L, 5L, 6L, 7L, 9L);
        assertThat(reading.warnings().get(0).words()).contains("2021-02-29");
    }

    @Test
    void saysWhenDayAndMonthCannotBeToldApartAndObeysTheCorrection() {
        String text = "date,tmin,tmax\n01/02/2020,1,2\n03/04/2020,1,2\n";
        assertThat(read(text).ambiguousOrder()).isTrue();
        TemperatureFile.Reading corrected = TemperatureFile.read(
                text.getBytes(StandardCharsets.UTF_8),
                new TemperatureFile.Wish(null, TemperatureFile.DateOrder.MONTH_FIRST));
        assertThat(corrected.days().get(0).date()).isEqualTo(LocalDate.of(2020, 1, 2));
    }

    @Test
    void takesWarmFiguresAsFahrenheitAndSaysSo() {
        TemperatureFile.Reading reading = read("date,tmin,tmax\n2020-06-01,55,80\n2020-06-02,50,77\n");
        assertThat(reading.fahrenheit()).isTrue();
        assertThat(reading.warnings()).anyMatch(warning -> warning.words().contains("°F"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "hello",
                "a,b,c\n1,2,3\n",
                "PK\u0003\u0004 sheet",
                "date,tmin,tmax\n\"2020-01-01,1,2\n",
                "date,tmin,tmax\nx,y,z\n"
            })
    void answersWithASentenceWhenThereIsNothingToRead(String text) {
        assertThat(read(text).complaint()).isNotBlank().endsWith(".");
    }
}
