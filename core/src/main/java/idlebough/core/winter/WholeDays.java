package idlebough.core.winter;

import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;

/**
 * Days from single readings: each day whose 24 hours are all known gives them, and its lowest and highest reading; a
 * day
 * with an hour missing is no day. Hours are of local standard time.
 *
 * @param hours 24 temperatures of each of the days, °C
 * @param broken how many days in between lack an hour
 */
public record WholeDays(List<DailyExtremes> days, Map<LocalDate, double[]> hours, int broken) {
    private static final int DAY = 24 * 60;

    /** @param readings °C by minute of local standard time since 1970; at least one */
    static WholeDays of(NavigableMap<Long, Double> readings) {
        Observations all = new Observations(
                readings.keySet().stream().mapToLong(Long::longValue).toArray(),
                readings.values().stream().mapToDouble(Double::doubleValue).toArray());
        List<DailyExtremes> days = new ArrayList<>();
        Map<LocalDate, double[]> hours = new LinkedHashMap<>();
        int broken = 0;
        for (long day = Math.floorDiv(readings.firstKey(), DAY); day <= Math.floorDiv(readings.lastKey(), DAY); day++) {
            double[] of = new double[24];
            double low = Double.POSITIVE_INFINITY;
            double high = Double.NEGATIVE_INFINITY;
            boolean whole = true;
            for (int hour = 0; hour < 24 && whole; hour++) {
                of[hour] = all.at(day * DAY + 60L * hour);
                whole = !Double.isNaN(of[hour]);
                low = Math.min(low, of[hour]);
                high = Math.max(high, of[hour]);
            }
            if (!whole) {
                broken++;
                continue;
            }
            for (int i = all.from(day * DAY); i < all.from((day + 1) * DAY); i++) {
                low = Math.min(low, all.value(i));
                high = Math.max(high, all.value(i));
            }
            LocalDate date = LocalDate.ofEpochDay(day);
            days.add(DailyExtremes.measured(date, low, high));
            hours.put(date, of);
        }
        return new WholeDays(days, hours, broken);
    }

    /**
     * The days that a station's good readings make whole. The day of the last reading is not over and is left out.
     *
     * @param zone of the orchard; its standard time is taken
     */
    public static WholeDays live(List<LiveReading> good, ZoneId zone) {
        NavigableMap<Long, Double> readings = new TreeMap<>();
        good.forEach(
                reading -> readings.put(standard(reading, zone).toEpochSecond(ZoneOffset.UTC) / 60, reading.celsius()));
        if (readings.isEmpty()) {
            return new WholeDays(List.of(), Map.of(), 0);
        }
        LocalDate today = LocalDate.ofEpochDay(Math.floorDiv(readings.lastKey(), DAY));
        WholeDays all = of(readings);
        return new WholeDays(
                all.days().stream().filter(day -> day.date().isBefore(today)).toList(), all.hours(), all.broken());
    }

    private static LocalDateTime standard(LiveReading reading, ZoneId zone) {
        return LocalDateTime.ofInstant(reading.at(), zone.getRules().getStandardOffset(reading.at()));
    }

    /**
     * What the same readings say beside the temperature of these days: rain summed, radiation by time, the rest meant.
     */
    public static List<DayWeather> beside(List<LiveReading> readings, List<DailyExtremes> days, ZoneId zone) {
        Map<LocalDate, List<LiveReading>> byDay = new TreeMap<>();
        readings.forEach(
                reading -> byDay.computeIfAbsent(standard(reading, zone).toLocalDate(), d -> new ArrayList<>())
                        .add(reading));
        List<DayWeather> weather = new ArrayList<>();
        for (DailyExtremes day : days) {
            List<LiveReading> of = byDay.getOrDefault(day.date(), List.of());
            Map<Element, Double> values = new EnumMap<>(Element.class);
            put(values, Element.RAIN, of.stream().map(LiveReading::rain).toList(), true);
            put(values, Element.HUMIDITY, of.stream().map(LiveReading::humidity).toList(), false);
            put(values, Element.WIND, of.stream().map(LiveReading::wind).toList(), false);
            put(
                    values,
                    Element.RADIATION,
                    of.stream()
                            .map(r -> r.watts() == null ? null : Double.valueOf(ColumnUnit.WATTS.kept(r.watts())))
                            .toList(),
                    false);
            if (!values.isEmpty()) {
                weather.add(new DayWeather(day.date(), values));
            }
        }
        return weather;
    }

    private static void put(Map<Element, Double> values, Element element, List<Double> of, boolean summed) {
        double sum = 0;
        int count = 0;
        for (Double value : of) {
            if (value != null) {
                sum += value;
                count++;
            }
        }
        double value = summed ? sum : sum / Math.max(1, count);
        // A day is said when most of its hours have spoken.
        if (count >= Duration.ofHours(20).toHours() && element.allows(value)) {
            values.put(element, value);
        }
    }
}
