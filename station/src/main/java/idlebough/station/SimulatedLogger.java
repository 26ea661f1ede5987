package idlebough.station;

import idlebough.core.winter.Element;
import idlebough.core.winter.LiveReading;
import idlebough.core.winter.LiveStation;
import idlebough.core.winter.MadeWeather;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * A logger on a mast that is not there: a reading each half hour of made-up weather, with the faults that real ones
 * have,
 * to be switched on and off.
 */
public final class SimulatedLogger implements LiveStation {
    private static final Duration EVERY = Duration.ofMinutes(30);
    private static final int MOST = 2000;
    private static final Duration JUMP = Duration.ofHours(5).plusMinutes(7);
    private final MadeWeather weather;
    private final LocalDate begin;
    private final ZoneOffset standard;
    private final Clock clock;
    private final Map<Fault, List<Span>> faults = new EnumMap<>(Fault.class);

    /** What may go wrong with it. */
    public enum Fault {
        /** It says nothing. */
        DROP_OUT,
        /** It says what it said when this began. */
        STUCK,
        /** Its clock goes five hours and seven minutes slow. */
        CLOCK_JUMP
    }

    /** From, inclusive, to, exclusive; null while it lasts. */
    private record Span(Instant from, Instant to) {
        boolean holds(Instant at) {
            return !at.isBefore(from) && (to == null || at.isBefore(to));
        }
    }

    /**
     * @param begin first day of the made-up weather; it decides all that follow
     * @param standard its local standard time
     */
    public SimulatedLogger(MadeWeather weather, LocalDate begin, ZoneOffset standard, Clock clock) {
        this.weather = weather;
        this.begin = begin;
        this.standard = standard;
        this.clock = clock;
    }

    /** Switches a fault on or off from this moment on. */
    public synchronized void turn(Fault fault, boolean on, Instant at) {
        List<Span> spans = faults.computeIfAbsent(fault, f -> new ArrayList<>());
        boolean lasting = !spans.isEmpty() && spans.get(spans.size() - 1).to() == null;
        if (on && !lasting) {
            spans.add(new Span(at, null));
        } else if (!on && lasting) {
            spans.set(spans.size() - 1, new Span(spans.get(spans.size() - 1).from(), at));
        }
    }

    @Override
    public synchronized List<LiveReading> after(Instant moment) {
        Instant now = clock.instant();
        Instant at = moment.truncatedTo(ChronoUnit.HOURS);
        while (!at.isAfter(moment)) {
            at = at.plus(EVERY);
        }
        List<LiveReading> readings = new ArrayList<>();
        if (at.isAfter(now)) {
            return readings;
        }
        List<MadeWeather.Day> days =
                weather.days(begin, local(now).toLocalDate().plusDays(1));
        for (; !at.isAfter(now) && readings.size() < MOST; at = at.plus(EVERY)) {
            LiveReading reading = holds(Fault.DROP_OUT, at) == null ? read(days, at) : null;
            if (reading != null) {
                readings.add(reading);
            }
        }
        return readings;
    }

    private LocalDateTime local(Instant at) {
        return LocalDateTime.ofInstant(at, standard);
    }

    private Span holds(Fault fault, Instant at) {
        return faults.getOrDefault(fault, List.of()).stream()
                .filter(span -> span.holds(at))
                .findFirst()
                .orElse(null);
    }

    private LiveReading read(List<MadeWeather.Day> days, Instant at) {
        LocalDateTime local = local(at);
        int index = (int) ChronoUnit.DAYS.between(begin, local.toLocalDate());
        if (index < 0 || index + 1 >= days.size()) {
            return null;
        }
        Span stuck = holds(Fault.STUCK, at);
        double celsius = celsius(days, stuck == null ? at : stuck.from());
        Map<Element, Double> day = days.get(index).weather().values();
        double hour = local.getHour() + local.getMinute() / 60.0;
        // The sun's share of the half hour: a half sine between six and eighteen, adding up to the day's radiation.
        double sun = Math.max(0, Math.sin(Math.PI * (hour - 6) / 12));
        double watts = day.get(Element.RADIATION) * 1e6 / (12 * 3600) * Math.PI / 2 * sun;
        // Rain falls in six half hours of the morning and evening.
        boolean raining = hour >= 5 && hour < 6.5 || hour >= 17 && hour < 18.5;
        return new LiveReading(
                holds(Fault.CLOCK_JUMP, at) == null ? at : at.minus(JUMP),
                celsius,
                day.get(Element.HUMIDITY),
                day.get(Element.WIND),
                raining ? Math.rint(day.get(Element.RAIN) / 6 * 100) / 100 : 0,
                (double) Math.round(watts));
    }

    private double celsius(List<MadeWeather.Day> days, Instant at) {
        LocalDateTime local = local(at);
        int index = (int) ChronoUnit.DAYS.between(begin, local.toLocalDate());
        double from = days.get(index).celsius(local.getHour());
        double to = local.getHour() == 23
                ? days.get(index + 1).celsius(0)
                : days.get(index).celsius(local.getHour() + 1);
        return Math.rint(10 * (from + (to - from) * local.getMinute() / 60)) / 10;
    }
}
