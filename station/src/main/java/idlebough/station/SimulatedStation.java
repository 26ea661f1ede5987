package idlebough.station;

import idlebough.core.winter.DailyExtremes;
import idlebough.core.winter.Element;
import idlebough.core.winter.MadeWeather;
import idlebough.core.winter.WeatherStation;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;

/**
 * A weather station that is not there: serves made-up days behind the same port as a real one, with drop-outs where
 * they
 * are asked for.
 *
 * @param begin the day on which its record begins; the same begin and seed give the same days whatever is asked for
 * @param outages days on which it gave no reading
 */
public record SimulatedStation(String name, MadeWeather weather, LocalDate begin, Set<LocalDate> outages)
        implements WeatherStation {

    @Override
    public List<DailyExtremes> read(LocalDate first, LocalDate last) {
        return days(first, last).map(MadeWeather.Day::extremes).toList();
    }

    private Stream<MadeWeather.Day> days(LocalDate first, LocalDate last) {
        return weather.days(begin, last).stream()
                .filter(day -> !day.extremes().date().isBefore(first)
                        && !outages.contains(day.extremes().date()));
    }

    /** The same days as the station's own download: CSV with ISO dates, °C, and what else it measures. */
    public String download(LocalDate first, LocalDate last) {
        List<String> lines = new ArrayList<>();
        lines.add("date,tmin,tmax,rain (mm),humidity (%),wind (m/s),sunshine (h),radiation (MJ/m2)");
        days(first, last).forEach(day -> {
            Map<Element, Double> beside = day.weather().values();
            lines.add(String.format(
                    Locale.ROOT,
                    "%s,%.1f,%.1f,%.1f,%.0f,%.1f,%.1f,%.1f",
                    day.extremes().date(),
                    day.extremes().minimum(),
                    day.extremes().maximum(),
                    beside.get(Element.RAIN),
                    beside.get(Element.HUMIDITY),
                    beside.get(Element.WIND),
                    beside.get(Element.SUNSHINE),
                    beside.get(Element.RADIATION)));
        });
        return String.join("\n", lines) + "\n";
    }
}
