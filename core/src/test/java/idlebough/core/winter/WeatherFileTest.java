package idlebough.core.winter;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class WeatherFileTest {
    private static final java.time.ZoneId ZONE = java.time.ZoneId.of("Europe/Berlin");

    private static WeatherFile.Reading read(String text) {
        return read(text, WeatherFile.Wish.NONE);
    }

    private static WeatherFile.Reading read(String text, WeatherFile.Wish wish) {
        return WeatherFile.read(text.getBytes(StandardCharsets.UTF_8), wish, ZONE, Watch.NONE);
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
        WeatherFile.Reading reading = read(text);
        assertThat(reading.complaint()).isEmpty();
        assertThat(reading.days())
                .extracting(DailyExtremes::date)
                .containsExactly(LocalDate.of(2020, 1, 31), LocalDate.of(2020, 2, 1));
        assertThat(reading.days().get(0).minimum()).isCloseTo(-1.5, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(reading.days().get(1).maximum()).isCloseTo(7.5, org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    void namesEveryRowThatCannotBe() {
        WeatherFile.Reading reading = read(
                "date,tmin,tmax\n2021-01-01,1,9\n2021-02-29,1,9\n2021-01-02,9,1\n2021-01-03,-80,2\n2021-01-04,one,2\n2021-01-01,2,9\n2021-01-05,,4\n2021-01-06\n2021-01-07,-9999,3\n2021-01-08,2,8\n");
        assertThat(reading.days()).hasSize(2);
        assertThat(reading.warnings()).extracting(WeatherFile.Warning::line).containsExactly(3L, 4L, 5L, 6L, 7L, 9L);
        assertThat(reading.warnings().get(0).words()).contains("2021-02-29");
    }

    @Test
    void saysWhenDayAndMonthCannotBeToldApartAndObeysTheCorrection() {
        String text = "date,tmin,tmax\n01/02/2020,1,2\n03/04/2020,1,2\n";
        assertThat(read(text).shape().ambiguousOrder()).isTrue();
        WeatherFile.Reading corrected = read(
                text,
                new WeatherFile.Wish(
                        java.util.Map.of(),
                        java.util.Map.of(),
                        Optional.of(WeatherFile.DateOrder.MONTH_FIRST),
                        WeatherFile.TimeScale.STANDARD,
                        false));
        assertThat(corrected.days().get(0).date()).isEqualTo(LocalDate.of(2020, 1, 2));
    }

    @Test
    void swappedHeadingsAreNamed() {
        WeatherFile.Reading swapped = read("date,tmin,tmax\n2020-01-01,9,2\n2020-01-02,8,1\n2020-01-03,7,-1\n");
        assertThat(swapped.complaint().orElseThrow()).contains("swapped").contains("3 rows");
        WeatherFile.Reading one = read("date,tmin,tmax\n2020-01-01,9,2\n2020-01-02,1,8\n");
        assertThat(one.complaint()).as("one row wrong is that row’s fault").isEmpty();
    }

    @Test
    void takesWarmFiguresAsFahrenheitAndSaysSo() {
        WeatherFile.Reading reading = read("date,tmin,tmax\n2020-06-01,55,80\n2020-06-02,50,77\n");
        assertThat(reading.shape().layout().orElseThrow().columns().get(2).unit())
                .isEqualTo(ColumnUnit.FAHRENHEIT);
        assertThat(reading.warnings()).anyMatch(warning -> warning.words().contains("°F"));
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "hello",
                "a line\rdate,tmin,tmax\r",
                "\"date,tmin,tmax\"\nx\n",
                "a,b,c\n1,2,3\n",
                "PK\u0003\u0004 sheet",
                "date,tmin,tmax\n\"2020-01-01,1,2\n",
                "date,tmin,tmax\nx,y,z\n"
            })
    void answersWithASentenceWhenThereIsNothingToRead(String text) {
        assertThat(read(text).complaint().orElseThrow()).isNotBlank().endsWith(".");
    }

    private static String monthLine(String month, String element, String... values) {
        StringBuilder line = new StringBuilder("XX000012345" + month + element);
        for (int day = 0; day < 31; day++) {
            String value = day < values.length ? values[day] : "-9999   ";
            line.append(String.format("%8s", value));
        }
        return line.toString();
    }

    /**
     * Three layouts of GHCN-Daily (readme of the archive, NOAA NCEI): 31 values of 5 characters and three flags; rows.
     */
    @Test
    void theArchivesThreeLayoutsSayTheSame() {
        String months = String.join(
                "\n",
                monthLine("202001", "TMAX", "  60   ", "  75   ", "  80 G ", "-9999   "),
                monthLine("202001", "TMIN", " -15   ", "   0   ", "  10   ", "  20   "),
                monthLine("202001", "PRCP", "  60   "));
        String elements = """
                XX000012345,20200101,TMAX,60,,,S,
                XX000012345,20200101,TMIN,-15,,,S,
                XX000012345,20200102,TMAX,75,,,S,
                XX000012345,20200102,TMIN,0,,,S,
                XX000012345,20200103,TMAX,80,,G,S,
                XX000012345,20200103,TMIN,10,,,S,
                """;
        String columns = """
                "STATION","DATE","NAME","PRCP","TMAX","TMAX_ATTRIBUTES","TMIN","TMIN_ATTRIBUTES"
                "XX000012345","2020-01-01","A HILL, XX","0","60",",,S","-15",",,S"
                "XX000012345","2020-01-02","A HILL, XX","0","75",",,S","0",",,S"
                "XX000012345","2020-01-03","A HILL, XX","0","80",",G,S","10",",,S"
                """;
        for (String file : java.util.List.of(months, elements, columns)) {
            WeatherFile.Reading reading = read(file);
            assertThat(reading.complaint()).as(file).isEmpty();
            assertThat(reading.days())
                    .containsExactly(
                            DailyExtremes.measured(LocalDate.of(2020, 1, 1), -1.5, 6),
                            DailyExtremes.measured(LocalDate.of(2020, 1, 2), 0, 7.5));
            assertThat(reading.warnings()).anyMatch(w -> w.words().contains("quality check G"));
        }
        assertThat(read(monthLine("202002", "TMIN", "  10   ").substring(0, 60))
                        .complaint()
                        .orElseThrow())
                .contains("no day in it has both");
        assertThat(read(months + "\n" + monthLine("202013", "TMIN", "  10   ")).warnings())
                .anyMatch(w -> w.words().contains("cannot be read"));
        assertThat(read(elements + "YY000000001,20200101,TMAX,60,,,S,\nXX000012345,20200229\n")
                        .warnings())
                .anyMatch(w -> w.words().contains("a second station"))
                .anyMatch(w -> w.words().contains("breaks off"));
    }

    @Test
    void singleReadingsComeToFullHoursAsInTheCheckFile() {
        java.util.Map<String, java.util.NavigableMap<Long, Double>> cases = new java.util.HashMap<>();
        idlebough.core.Vectors.of("winter/irregular_in.csv")
                .forEach(row -> cases.computeIfAbsent(row.get("case"), c -> new java.util.TreeMap<>())
                        .put(Long.valueOf(row.get("minute")), Double.valueOf(row.get("temp"))));
        idlebough.core.Vectors.of("winter/irregular_expected.csv").forEach(row -> {
            java.util.NavigableMap<Long, Double> readings = cases.get(row.get("case"));
            Observations all = new Observations(
                    readings.keySet().stream().mapToLong(m -> m).toArray(),
                    readings.values().stream().mapToDouble(t -> t).toArray());
            double got = all.at(Long.parseLong(row.get("minute")));
            if (row.get("temp").isEmpty()) {
                assertThat(got).as(row.toString()).isNaN();
            } else {
                idlebough.core.Vectors.near(got, row, "temp");
            }
        });
    }

    @Test
    void hoursGiveTheDaysTheirExtremes() {
        StringBuilder file = new StringBuilder("Zeit;Temperatur\n");
        for (int hour = 0; hour < 72; hour++) {
            // The second day lacks four hours in a row.
            if (hour < 30 || hour > 33) {
                file.append(String.format("%02d.01.2020 %02d:00;%d,5%n", 1 + hour / 24, hour % 24, hour % 24));
            }
        }
        file.append("04.01.2020 25:00;3,0\n05.01.2020;3\n");
        WeatherFile.Reading reading = read(file.toString());
        assertThat(reading.complaint()).isEmpty();
        assertThat(reading.days())
                .containsExactly(
                        DailyExtremes.measured(LocalDate.of(2020, 1, 1), 0.5, 23.5),
                        DailyExtremes.measured(LocalDate.of(2020, 1, 3), 0.5, 23.5));
        assertThat(reading.warnings())
                .anyMatch(w -> w.words().contains("1 day has an hour missing"))
                .filteredOn(WeatherFile.Warning::leftOut)
                .hasSize(2);
    }

    private static WeatherFile.Wish stamped(WeatherFile.TimeScale scale) {
        return new WeatherFile.Wish(java.util.Map.of(), java.util.Map.of(), Optional.empty(), scale, false);
    }

    /**
     * Local standard time of Central Europe is an hour ahead of UTC; daylight saving two, 29 March to 25 October 2020.
     */
    @Test
    void hoursAreKeptInStandardTimeWhateverClockStampedThem() {
        StringBuilder utc = new StringBuilder("time,temp\n");
        StringBuilder wall = new StringBuilder("time,temp\n");
        StringBuilder own = new StringBuilder("time,temp\n");
        java.time.Instant begin = java.time.Instant.parse("2020-10-22T23:00:00Z");
        for (int hour = 0; hour < 24 * 5; hour++) {
            java.time.Instant at = begin.plusSeconds(3600L * hour);
            String rest = "," + (hour % 24) + "\n";
            utc.append(at.toString(), 0, 16).append(rest);
            wall.append(at.atZone(ZONE).toLocalDateTime()).append(rest);
            own.append(at.atZone(ZONE).toOffsetDateTime()).append(rest);
        }
        double[] whole = new double[24];
        for (int hour = 0; hour < 24; hour++) {
            whole[hour] = hour;
        }
        for (WeatherFile.Reading reading : java.util.List.of(
                read(utc.toString(), stamped(WeatherFile.TimeScale.UTC)),
                read(wall.toString(), stamped(WeatherFile.TimeScale.SUMMER)),
                read(own.toString()))) {
            assertThat(reading.days()).hasSize(5);
            assertThat(reading.hours().get(LocalDate.of(2020, 10, 25))).containsExactly(whole);
        }
        assertThat(read(wall.toString()).warnings())
                .as("the hour that stands twice is named")
                .anyMatch(w -> w.words().contains("stands there already with another figure"));
    }

    /** 1 inch is 25.4 mm, 1 mph 0.44704 m/s, both exact; a mean of 100 W/m² is 8.64 MJ/m² a day. */
    @Test
    void moreThanTheTemperatureIsKept() {
        StringBuilder hours =
                new StringBuilder("Date,Time,Temp (°F),Rain (in),RH %,Wind Speed mph,Wind Gust mph,Solar W/m2\n");
        for (int hour = 0; hour < 24; hour++) {
            hours.append(String.format(
                    "5/14/2021,%d:00 %s,50,0.1,%d,10,44,100%n",
                    (hour + 11) % 12 + 1, hour < 12 ? "AM" : "PM", 40 + hour));
        }
        WeatherFile.Reading reading = read(hours.toString());
        assertThat(reading.complaint()).isEmpty();
        assertThat(reading.days()).containsExactly(DailyExtremes.measured(LocalDate.of(2021, 5, 14), 10, 10));
        java.util.Map<Element, Double> day = reading.weather().get(0).values();
        assertThat(day.get(Element.RAIN)).isCloseTo(24 * 2.54, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(day.get(Element.HUMIDITY)).isCloseTo(51.5, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(day.get(Element.WIND)).isCloseTo(4.4704, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(day.get(Element.RADIATION)).isCloseTo(8.64, org.assertj.core.data.Offset.offset(1e-9));
        WeatherFile.Reading days = read("Fecha;T. mínima;T. máxima;Precipitación "
                + "(mm);Humedad\n14.05.2021;8,2;21,4;3,5;66\n15.05.2021;;;1,0;140\n");
        assertThat(days.days()).hasSize(1);
        assertThat(days.with(Element.RAIN)).isEqualTo(2);
        assertThat(days.with(Element.HUMIDITY)).isEqualTo(1);
        assertThat(days.warnings()).anyMatch(w -> w.line() == 3 && w.words().contains("cannot be relative humidity"));
    }

    @Test
    void theGrowerSaysWhichColumnIsWhich() {
        String text = "nap,also,felso\n2021-01-01,-3,4\n2021-01-02,-2,5\n";
        WeatherFile.Reading open = read(text);
        assertThat(open.complaint().orElseThrow()).contains("does not say which column");
        assertThat(open.shape().layout().orElseThrow().columns())
                .extracting(TableLayout.Seen::heading)
                .containsExactly("nap", "also", "felso");
        assertThat(open.shape().layout().orElseThrow().columns().get(0).column())
                .as("dates are known by their looks")
                .isEqualTo(Column.DATE);
        WeatherFile.Reading said = read(
                text,
                new WeatherFile.Wish(
                        java.util.Map.of(0, Column.DATE, 1, Column.MINIMUM, 2, Column.MAXIMUM),
                        java.util.Map.of(1, ColumnUnit.CELSIUS, 2, ColumnUnit.CELSIUS),
                        Optional.empty(),
                        WeatherFile.TimeScale.STANDARD,
                        true));
        assertThat(said.days())
                .as("the maximum was written down the next morning")
                .containsExactly(DailyExtremes.measured(LocalDate.of(2021, 1, 1), -3, 5));
        assertThat(read("2021-01-01;1;2\n2021-01-02;1;2\n")
                        .shape()
                        .layout()
                        .orElseThrow()
                        .columns())
                .as("a table without headings shows its columns all the same")
                .hasSize(3)
                .first()
                .satisfies(column -> assertThat(column.column()).isEqualTo(Column.DATE));
    }

    @ParameterizedTest
    @org.junit.jupiter.params.provider.CsvSource({
        "'date,tmin (0.1 °C),tmax (0.1 °C)', '2021-01-01,-15,62', -1.5, 6.2",
        "'date,tmin,tmax', '2021-07-01,155,312', 15.5, 31.2",
        "'date,tmin K,tmax K', '2021-01-01,271.65,279.35', -1.5, 6.2",
        "'Day,Low Temp,High Temp', '2021-07-01,59,95', 15, 35",
        "'Datum,Tiefsttemperatur,Höchsttemperatur', '2021-01-01,-1.5,6.2', -1.5, 6.2",
        "'# of a public archive; two lines\n# STN,YYYYMMDD,   TN,   TX', '  260,20210101,  -15,   62\n  "
                + "260,20210102,  155,   262', -1.5, 6.2",
        "'Station,Year,Month,Day,Minimum temperature (Degree C),Maximum temperature (Degree C)', "
                + "'12,2021,7,1,-1.5,6.2', -1.5, 6.2",
        "'date,max wind,min temp,max temp', '2021-01-01,9,-1.5,6.2', -1.5, 6.2"
    })
    void unitsByHeadingOrBySize(String heading, String row, double low, double high) {
        DailyExtremes day = read(heading + "\n" + row + "\n").days().get(0);
        assertThat(day.minimum()).isCloseTo(low, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(day.maximum()).isCloseTo(high, org.assertj.core.data.Offset.offset(1e-9));
    }

    @Test
    void aFlaggedRowAFormulaAndAJumpAreNamed() {
        WeatherFile.Reading reading = read(
                "date,tmin,tmax,quality\n2021-01-01,1,9,ok\n2021-01-02,1,9,bad\n2021-01-03,=A1+2,9,ok\n2021-01-04,1,9,K7\n2021-01-05,-40,-31,ok\n");
        assertThat(reading.days()).extracting(d -> d.date().getDayOfMonth()).containsExactly(1, 4, 5);
        assertThat(reading.warnings()).extracting(WeatherFile.Warning::line).containsExactly(3L, 4L, 5L, 6L);
    }

    @Test
    void readingCanBeStopped() {
        StringBuilder long30 = new StringBuilder("date,tmin,tmax\n");
        for (LocalDate day = LocalDate.of(1990, 1, 1); day.getYear() < 2020; day = day.plusDays(1)) {
            long30.append(day).append(",1,9\n");
        }
        assertThat(org.assertj.core.api.Assertions.catchThrowable(() -> WeatherFile.read(
                        long30.toString().getBytes(StandardCharsets.UTF_8), WeatherFile.Wish.NONE, ZONE, share -> {
                            if (share > 0.5) {
                                throw new Watch.Stopped();
                            }
                        })))
                .isInstanceOf(Watch.Stopped.class);
    }

    @Test
    void aStuckSensorIsNamed() {
        StringBuilder file = new StringBuilder("date,tmin,tmax\n");
        for (int day = 1; day <= 8; day++) {
            file.append("2021-03-0").append(day).append(day < 3 ? "," + day + ",9\n" : ",4,11\n");
        }
        assertThat(read(file.toString()).warnings())
                .anyMatch(w -> w.line() == 8 && w.words().contains("stuck sensor"));
    }

    /** Monthly means come back from the made days, and the extreme low about where it was said. */
    @Test
    void madeWintersHaveTheMeansTheyWereMadeFrom() {
        java.util.List<Double> low =
                java.util.List.of(-2.0, -1.0, 2.0, 5.0, 9.0, 12.0, 14.0, 14.0, 10.0, 6.0, 2.0, -1.0);
        java.util.List<Double> high = low.stream().map(l -> l + 9).toList();
        MonthlyMeans means = new MonthlyMeans(low, high, Optional.of(-15.0));
        assertThat(means.complaint()).isEmpty();
        java.util.List<DailyExtremes> days = means.days(LocalDate.of(2026, 6, 30));
        for (int month = 1; month <= 12; month++) {
            int m = month;
            assertThat(days.stream()
                            .filter(d -> d.date().getMonthValue() == m)
                            .mapToDouble(DailyExtremes::minimum)
                            .average()
                            .orElseThrow())
                    .as("month %s", m)
                    // Straight lines between the months cut their tops and bottoms.
                    .isCloseTo(low.get(m - 1), org.assertj.core.data.Offset.offset(1.2));
        }
        assertThat(days.stream().mapToDouble(DailyExtremes::minimum).min().orElseThrow())
                .as("as it was told")
                .isEqualTo(-15.0);
        assertThat(WinterLedger.of(new StationRecord(days), 45).usable().size()).isBetween(30, 31);
        assertThat(means.days(LocalDate.of(2026, 6, 30))).isEqualTo(days);
        assertThat(new MonthlyMeans(high, low, Optional.empty()).complaint().orElseThrow())
                .contains("January");
        assertThat(new MonthlyMeans(low, high, Optional.of(3.0)).complaint().orElseThrow())
                .contains("extreme low");
    }

    /** Nothing that is no table takes minutes, or all memory. */
    @ParameterizedTest
    @ValueSource(strings = {"a", ",", "\"", "1,", ";"})
    void aLineWithoutEndIsNoTable(String sign) {
        String file = "date,tmin,tmax\n" + sign.repeat(30_000);
        assertThat(WeatherFile.read(
                                file.getBytes(StandardCharsets.UTF_8),
                                WeatherFile.Wish.NONE,
                                ZoneOffset.UTC,
                                Watch.NONE)
                        .complaint()
                        .orElseThrow())
                .startsWith("Line 2 has more than");
    }
}
