package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import java.time.Duration;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;

/**
 * One winter and the spring after it by the hour, with what every bloom clock reads from it: the chill portions so far
 * and the heat of the hour. North 1 November to 15 July, south 1 May to 15 January, both days included.
 *
 * <p>Made once for all varieties. A record that ends within the window, but not before 15 June or 15 December, gives a
 * shorter one; see {@link #whole}.
 *
 * @see Bloom
 */
public final class SpringHours {
    private static final int HALF = 15;
    private final int year;
    private final SeasonHours hours;
    private final boolean whole;
    private final double[] portions;
    private final double[] heat;
    private final Map<Double, double[]> forced = new ConcurrentHashMap<>();

    SpringHours(int year, SeasonHours hours, boolean whole) {
        this.year = year;
        this.hours = hours;
        this.whole = whole;
        double[] celsius = hours.celsius();
        portions = new double[celsius.length];
        heat = new double[celsius.length];
        ChillState chill = ChillState.of(ChillModel.PORTIONS);
        for (int h = 0; h < celsius.length; h++) {
            portions[h] = chill.accept(celsius[h]);
            heat[h] = Heat.of(celsius[h]);
        }
    }

    /** Every spring of a record that is whole enough, oldest first. */
    public static List<SpringHours> of(StationRecord record, double latitude) {
        List<SpringHours> springs = new ArrayList<>();
        if (record.isEmpty()) {
            return springs;
        }
        Season season = Season.at(latitude);
        for (int year = record.first().getYear(); year <= record.last().getYear() + 1; year++) {
            LocalDate end = season.southern()
                    ? LocalDate.of(year + 1, Month.JANUARY, HALF)
                    : LocalDate.of(year, Month.JULY, HALF);
            boolean whole = !record.last().isBefore(end);
            if (!whole && record.last().isBefore(end.minusMonths(1))) {
                continue;
            }
            SeasonHours hours = SeasonHours.of(record, latitude, season.first(year), whole ? end : record.last());
            if (hours != null) {
                springs.add(new SpringHours(year, hours, whole));
            }
        }
        return List.copyOf(springs);
    }

    /** The year of the winter’s end. */
    public int year() {
        return year;
    }

    /** Whether it reaches to the end of the window, so that a bloom that is not in it did not come. */
    public boolean whole() {
        return whole;
    }

    public SeasonHours hours() {
        return hours;
    }

    /** Σ w·heat from the season’s start to the end of each hour for one C½, °C·h; see {@link BloomClock}. */
    double[] forced(double half) {
        return forced.computeIfAbsent(half, same -> {
            double[] sums = new double[heat.length];
            double sum = 0;
            for (int h = 0; h < sums.length; h++) {
                sum += heat[h] == 0 ? 0 : heat[h] * BloomClock.weight(portions[h], half);
                sums[h] = sum;
            }
            return sums;
        });
    }

    /** Whether it is one of the southern half of the earth. */
    public boolean southern() {
        return hours.first().getMonth() == Month.MAY;
    }

    /** Hours of at least so many °C in the months that are asked for. */
    public long hoursFrom(double celsius, Predicate<Month> months) {
        double[] all = hours.celsius();
        long found = 0;
        for (int day = 0; day < all.length / 24; day++) {
            if (months.test(hours.first().plusDays(day).getMonth())) {
                for (int hour = 24 * day; hour < 24 * day + 24; hour++) {
                    found += all[hour] >= celsius ? 1 : 0;
                }
            }
        }
        return found;
    }

    /** Portions from the season's start to the end of an hour. */
    double portions(int hour) {
        return portions[hour];
    }

    /** Index of an hour of this spring; empty outside it. */
    Optional<Integer> index(LocalDateTime hour) {
        long index = Duration.between(hours.first().atStartOfDay(), hour).toHours();
        return index < 0 || index >= heat.length ? Optional.empty() : Optional.of((int) index);
    }

    /** The first hour at whose end a chill need is met, in its own unit; empty when it never is. */
    public Optional<LocalDateTime> chillMet(ChillModel model, double need) {
        ChillState chill = ChillState.of(model);
        double[] celsius = hours.celsius();
        for (int h = 0; h < celsius.length; h++) {
            if (chill.accept(celsius[h]) >= need) {
                return Optional.of(hours.at(h));
            }
        }
        return Optional.empty();
    }
}
