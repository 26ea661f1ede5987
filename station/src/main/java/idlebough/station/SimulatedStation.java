package idlebough.station;

import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.WeatherGenerator;
import idlebough.core.winter.WeatherStation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * A weather station that is not there: serves made-up days behind the same port as a real one, with drop-outs where they
 * are asked for.
 *
 * @param begin the day on which its record begins; the same begin and seed give the same days whatever is asked for
 * @param outages days on which it gave no reading
 */
public record SimulatedStation(String name, WeatherGenerator weather, LocalDate begin, Set<LocalDate> outages)
        implements WeatherStation {

    @Override
    public List<DailyExtremes> read(LocalDate first, LocalDate last) {
        return weather.days(begin, last).stream()
                .filter(day -> !day.date().isBefore(first) && !outages.contains(day.date()))
                .toList();
    }

    /** The same days as the station's own download: CSV with ISO dates and °C. */
    public String download(LocalDate first, LocalDate last) {
        List<String> lines = new ArrayList<>();
        lines.add("date,tmin,tmax");
        read(first, last)
                .forEach(day -> lines.add(
                        String.format(Locale.ROOT, "%s,%.1f,%.1f", day.date(), day.minimum(), day.maximum())));
        return String.join("\n", lines) + "\n";
    }
}
