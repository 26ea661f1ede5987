package idlebough.core.winter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Made-up whole days round the temperatures of a {@link WeatherGenerator}: wet and dry days that follow each other as a
 * chain, rain, humidity, wind, radiation, sunshine. The same seed gives the same days. For demonstrations and tests.
 *
 * <p>How: a day is wetter after a wet one and when its range is narrow (first-order chain, Richardson 1981, Water
 * Resour.
 * Res. 17:182–190, from memory); the amount is exponential; radiation follows the range; the dew point lies near the
 * minimum; wind persists.
 *
 * @param latitude degrees, south negative
 * @param yearRain millimetres in a median year
 */
public record MadeWeather(WeatherGenerator temperatures, double latitude, double yearRain) {
    private static final double WET_AFTER_DRY = 0.22;
    private static final double WET_AFTER_WET = 0.58;
    /** The share of wet days to which that chain settles. */
    private static final double WET = WET_AFTER_DRY / (1 + WET_AFTER_DRY - WET_AFTER_WET);

    private static final double CALM = 2.6;

    /** One day, with its temperatures by the curve of its extremes. */
    public static final class Day {
        private final DailyExtremes extremes;
        private final double[] hours;
        private final DayWeather weather;

        private Day(DailyExtremes extremes, double[] hours, DayWeather weather) {
            this.extremes = extremes;
            this.hours = hours;
            this.weather = weather;
        }

        public DailyExtremes extremes() {
            return extremes;
        }

        public DayWeather weather() {
            return weather;
        }

        /** °C at a full hour, 0 to 23. */
        public double celsius(int hour) {
            return hours[hour];
        }
    }

    /** Both days included; the first decides the whole sequence. */
    public List<Day> days(LocalDate first, LocalDate last) {
        List<DailyExtremes> extremes = temperatures.days(first, last);
        if (extremes.isEmpty()) {
            return List.of();
        }
        double[] hours = HourlyCurve.of(extremes, latitude);
        Random random = new Random(temperatures.seed() ^ 0x5eed);
        List<Day> days = new ArrayList<>();
        boolean wet = false;
        double breeze = 0;
        for (int i = 0; i < extremes.size(); i++) {
            DailyExtremes day = extremes.get(i);
            double range = day.maximum() - day.minimum();
            double narrow = Math.max(
                    0.4, Math.min(1.6, 1.6 - 0.6 * range / temperatures.year().range()));
            wet = random.nextDouble() < narrow * (wet ? WET_AFTER_WET : WET_AFTER_DRY);
            double rain = wet ? -Math.log(1 - random.nextDouble()) * yearRain / (365.25 * WET) : 0;
            breeze = 0.6 * breeze + 0.8 * random.nextGaussian();
            double sky = SkyRadiation.atTheGround(latitude, day.date().getDayOfYear(), day.minimum(), day.maximum());
            double top = SkyRadiation.extraterrestrial(latitude, day.date().getDayOfYear());
            double radiation = sky * (wet ? 0.7 : 1);
            // FAO-56 equation 35, turned round: sunshine from radiation, with a = 0.25 and b = 0.50.
            double sunny = Math.max(0, Math.min(1, (radiation / top - 0.25) / 0.5));
            Map<Element, Double> values = new EnumMap<>(Element.class);
            values.put(Element.RAIN, tenth(rain));
            values.put(Element.HUMIDITY, (double) Math.round(humidity(day, wet)));
            values.put(Element.WIND, tenth(CALM * Math.exp(0.35 * breeze)));
            values.put(Element.RADIATION, tenth(radiation));
            values.put(
                    Element.SUNSHINE,
                    tenth(sunny
                            * DayLength.of(latitude, day.date().getDayOfYear()).hours()));
            double[] of = new double[24];
            System.arraycopy(hours, 24 * i, of, 0, 24);
            days.add(new Day(day, of, new DayWeather(day.date(), values)));
        }
        return days;
    }

    /** Mean of the day when the dew point lies near its minimum, %. */
    private static double humidity(DailyExtremes day, boolean wet) {
        double dew = day.minimum() - (wet ? 0 : 1.5);
        return Math.min(99, 100 * pressure(dew) / ((pressure(day.minimum()) + pressure(day.maximum())) / 2));
    }

    /** Saturation vapour pressure, kPa (Tetens 1930; FAO-56 equation 11). */
    static double pressure(double celsius) {
        return 0.6108 * Math.exp(17.27 * celsius / (celsius + 237.3));
    }

    private static double tenth(double value) {
        return Math.rint(value * 10) / 10;
    }
}
