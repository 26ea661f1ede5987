package idlebough.core.winter;

import java.time.Month;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;

/**
 * Rain and humidity of a record by month of the year, over all its years.
 *
 * @param months those of which something is known
 */
public record Wetness(Map<Month, OfMonth> months) {
    public static final Wetness UNKNOWN = new Wetness(Map.of());
    /** Days that must be known before a share of them is told. */
    private static final int ENOUGH = 60;

    /**
     * @param days of which rain is known
     * @param rainy those with 1 mm or more
     * @param humid days of which the humidity is known
     * @param humidity their mean, %; 0 where none is known
     */
    public record OfMonth(long days, long rainy, long humid, double humidity) {}

    public Wetness {
        months = Map.copyOf(months);
    }

    /** The share of days with 1 mm of rain or more; empty where too few are known. */
    public Optional<Double> rainy(Collection<Month> of) {
        long days = of.stream()
                .map(months::get)
                .mapToLong(m -> m == null ? 0 : m.days())
                .sum();
        long rainy = of.stream()
                .map(months::get)
                .mapToLong(m -> m == null ? 0 : m.rainy())
                .sum();
        return days < ENOUGH ? Optional.empty() : Optional.of((double) rainy / days);
    }

    /** Mean relative humidity, %; empty where too few days are known. */
    public Optional<Double> humidity(Collection<Month> of) {
        long days = of.stream()
                .map(months::get)
                .mapToLong(m -> m == null ? 0 : m.humid())
                .sum();
        double sum = of.stream()
                .map(months::get)
                .mapToDouble(m -> m == null ? 0 : m.humidity() * m.humid())
                .sum();
        return days < ENOUGH ? Optional.empty() : Optional.of(sum / days);
    }
}
