package idlebough.fuzz;

import java.util.Optional;
import com.code_intelligence.jazzer.junit.FuzzTest;
import idlebough.core.winter.Column;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.DayWeather;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.ColumnUnit;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/** Whatever bytes come, an importer answers with a reading or a sentence, and never with days that cannot be. */
class ImportersFuzz {
    private static final ZoneId ZONE = ZoneId.of("Europe/Berlin");

    @FuzzTest(maxDuration = "10m")
    void temperatures(byte[] file) {
        check(WeatherFile.read(file, WeatherFile.Wish.NONE, ZONE, Watch.NONE));
    }

    /** The same under every correction that a grower may make; the first byte picks which. */
    @FuzzTest(maxDuration = "10m")
    void corrected(byte[] file) {
        if (file.length == 0) {
            return;
        }
        int pick = file[0] & 0xff;
        Map<Integer, Column> columns = new HashMap<>();
        for (int i = 0; i < 4; i++) {
            columns.put(i, Column.values()[(pick + 3 * i) % Column.values().length]);
        }
        columns.put(pick % 4, Column.DATE);
        WeatherFile.Wish wish = new WeatherFile.Wish(
                pick % 5 == 0 ? Map.of() : columns,
                Map.of(1, ColumnUnit.values()[pick % ColumnUnit.values().length]),
                pick % 3 == 0 ? Optional.empty() : Optional.of(WeatherFile.DateOrder.values()[pick % 3]),
                WeatherFile.TimeScale.values()[pick % 3],
                pick % 2 == 0);
        check(WeatherFile.read(Arrays.copyOfRange(file, 1, file.length), wish, ZONE, Watch.NONE));
    }

    private static void check(WeatherFile.Reading reading) {
        if (reading.complaint().isPresent()) {
            if (reading.complaint().get().isBlank() || !reading.days().isEmpty()) {
                throw new IllegalStateException("a complaint says something and stores nothing");
            }
            return;
        }
        if (reading.days().isEmpty()) {
            throw new IllegalStateException("no days and no complaint");
        }
        LocalDate before = LocalDate.MIN;
        for (DailyExtremes day : reading.days()) {
            if (!(day.minimum() <= day.maximum()) || day.minimum() < -60.0001 || day.maximum() > 60.0001) {
                throw new IllegalStateException("a day that cannot be: " + day);
            }
            if (!day.date().isAfter(before)) {
                throw new IllegalStateException("days out of order: " + day);
            }
            before = day.date();
        }
        reading.hours().forEach((date, hours) -> {
            if (hours.length != 24 || Arrays.stream(hours).anyMatch(t -> !(t >= -60.0001 && t <= 60.0001))) {
                throw new IllegalStateException("hours that cannot be: " + date);
            }
        });
        for (DayWeather day : reading.weather()) {
            day.values().forEach((element, value) -> {
                if (!element.allows(value)) {
                    throw new IllegalStateException("a value that cannot be: " + day);
                }
            });
        }
        new StationRecord(reading.days(), reading.hours()).missing();
    }
}
