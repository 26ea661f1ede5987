package idlebough.core.winter;

import java.time.Instant;

/**
 * One reading of an instrument, as it came in.
 *
 * @param celsius °C; null when the sensor gave none
 * @param humidity %, wind m/s, rain mm since the reading before, watts W/m²; null where it has no such sensor
 */
public record LiveReading(Instant at, Double celsius, Double humidity, Double wind, Double rain, Double watts) {
    /** What is no number was not given. */
    public LiveReading {
        celsius = given(celsius);
        humidity = given(humidity);
        wind = given(wind);
        rain = given(rain);
        watts = given(watts);
    }

    private static Double given(Double value) {
        return value == null || !Double.isFinite(value) ? null : value;
    }
}
