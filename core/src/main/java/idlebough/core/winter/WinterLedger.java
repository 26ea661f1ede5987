package idlebough.core.winter;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * All winters of a record under all chill models, in one pass each. The hours are built from the whole record first and
 * the season cut out of them, so that the window's edges have their neighbour days.
 */
public final class WinterLedger {
    private final Season season;
    private final List<Winter> winters;
    private final Running running;

    private WinterLedger(Season season, List<Winter> winters, Running running) {
        this.running = running;
        this.season = season;
        this.winters = List.copyOf(winters);
    }

    /**
     * @param latitude degrees, south negative; decides day length and the season
     */
    public static WinterLedger of(StationRecord record, double latitude) {
        Season season = Season.at(latitude);
        List<Winter> winters = new ArrayList<>();
        if (!record.isEmpty()) {
            for (int year = record.first().getYear(); year <= record.last().getYear() + 1; year++) {
                LocalDate from = season.first(year);
                LocalDate to = season.last(year);
                if (!to.isBefore(record.first()) && !from.isAfter(record.last())) {
                    winters.add(reckon(record, latitude, year, from, to));
                }
            }
        }
        return new WinterLedger(season, winters, record.isEmpty() ? null : running(record, latitude, season));
    }

    private static Winter reckon(StationRecord record, double latitude, int year, LocalDate from, LocalDate to) {
        StationRecord.Window window = record.window(from, to);
        if (!window.status().usable()) {
            return new Winter(
                    year, window.status(), window.missing(), window.neighbours(), Map.of(), Map.of(), Double.NaN);
        }
        Map<ChillModel, List<Double>> daily = ChillPass.daily(
                SeasonHours.of(record, window, latitude, from, to).celsius());
        Map<ChillModel, Double> totals = new EnumMap<>(ChillModel.class);
        daily.forEach((model, running) -> totals.put(model, running.get(running.size() - 1)));
        double lowest =
                window.days().stream().mapToDouble(DailyExtremes::minimum).min().orElse(Double.NaN);
        return new Winter(year, window.status(), window.missing(), window.neighbours(), totals, daily, lowest);
    }

    /**
     * The winter that is not over yet.
     *
     * @param until the record's last day
     * @param daily running total at the end of each day so far, per model
     */
    public record Running(int year, LocalDate until, Map<ChillModel, List<Double>> daily) {}

    private static Running running(StationRecord record, double latitude, Season season) {
        LocalDate last = record.last();
        for (int year = last.getYear(); year <= last.getYear() + 1; year++) {
            LocalDate from = season.first(year);
            if (last.isBefore(from.plusDays(1)) || !last.isBefore(season.last(year))) {
                continue;
            }
            SeasonHours hours = SeasonHours.of(record, latitude, from, last);
            if (hours == null) {
                return null;
            }
            return new Running(year, last, ChillPass.daily(hours.celsius()));
        }
        return null;
    }

    /** Null when the record ends outside the season, or has a long gap in it. */
    public Running running() {
        return running;
    }

    public Season season() {
        return season;
    }

    /** Every winter that the record touches, also those left out. */
    public List<Winter> winters() {
        return winters;
    }

    public List<Winter> usable() {
        return winters.stream().filter(Winter::usable).toList();
    }

    /** Totals of the usable winters, oldest first. */
    public double[] totals(ChillModel model) {
        return usable().stream()
                .mapToDouble(winter -> winter.totals().get(model))
                .toArray();
    }

    /** How the coldest night and the mean of the winters' coldest nights come about. */
    public Working lowestWorking() {
        Winter coldest = usable().stream()
                .min(Comparator.comparingDouble(Winter::lowest))
                .orElseThrow();
        double mean = Arrays.stream(lowest()).average().orElseThrow();
        return Working.of(
                        "How {} and {} come about",
                        Amount.of(coldest.lowest(), Quantity.TEMPERATURE),
                        Amount.of(mean, Quantity.TEMPERATURE))
                .step(
                        "the lowest minimum of each of {} whole winters, {} to {}",
                        Amount.count(usable().size()),
                        usable().get(0).year(),
                        usable().get(usable().size() - 1).year())
                .step(
                        "the lowest of them all: {}, in the winter of {}",
                        Amount.of(coldest.lowest(), Quantity.TEMPERATURE),
                        coldest.year())
                .step("their mean: {}", Amount.of(mean, Quantity.TEMPERATURE))
                .sensitive("Most sensitive to where the screen stands: a hollow is 1 to 3 K colder on a clear night.")
                .from(Source.measured("the station's own minima"));
    }

    /** The lowest temperature of each usable winter, oldest first. */
    public double[] lowest() {
        return usable().stream().mapToDouble(Winter::lowest).toArray();
    }
}
