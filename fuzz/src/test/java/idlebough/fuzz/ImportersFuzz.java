package idlebough.fuzz;

import com.code_intelligence.jazzer.junit.FuzzTest;
import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.StationRecord;
import idlebough.core.winter.Watch;
import idlebough.core.winter.WeatherFile;
import java.time.ZoneId;

/** Whatever bytes come, an importer answers with a reading or a sentence, and never with days that cannot be. */
class ImportersFuzz {
    @FuzzTest(maxDuration = "10m")
    void temperatures(byte[] file) {
        WeatherFile.Reading reading = WeatherFile.read(file, WeatherFile.Wish.NONE, ZoneId.of("Europe/Berlin"), Watch.NONE);
        if (reading.complaint() != null) {
            if (reading.complaint().isBlank() || !reading.days().isEmpty()) {
                throw new IllegalStateException("a complaint says something and stores nothing");
            }
            return;
        }
        if (reading.days().isEmpty()) {
            throw new IllegalStateException("no days and no complaint");
        }
        for (DailyExtremes day : reading.days()) {
            if (!(day.minimum() <= day.maximum()) || day.minimum() < -60.0001 || day.maximum() > 60.0001) {
                throw new IllegalStateException("a day that cannot be: " + day);
            }
        }
        new StationRecord(reading.days()).missing();
    }
}
