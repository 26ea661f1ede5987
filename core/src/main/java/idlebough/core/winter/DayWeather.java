package idlebough.core.winter;

import java.time.LocalDate;
import java.util.Map;

/**
 * What a station measured on one day beside the temperature.
 *
 * @param values in the unit of each element; an element that was not measured is not in it
 */
public record DayWeather(LocalDate date, Map<Element, Double> values) {
    public DayWeather {
        values = Map.copyOf(values);
    }
}
