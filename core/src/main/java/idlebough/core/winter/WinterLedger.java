package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.RuleTable;
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
import java.util.Optional;

/**
 * All winters of a record under all chill models, in one pass each. The hours are built from the whole record first and
 * the season cut out of them, so that the window's edges have their neighbour days.
 */
public final class WinterLedger {
    /** Twelve monthly means of an almanac or a neighbour may be so far off for this place and these decades, K. */
    public static final double MEANS_KELVIN = 1;

    private static final double MILD = RuleTable.of("winter").value("mild-month");
    private final Season season;
    private final List<Winter> winters;
    private final List<Winter> usable;
    private final Running running;
    private final double coldestMonth;
    private final WinterLedger colder;
    private final WinterLedger warmer;

    private WinterLedger(
            Season season,
            List<Winter> winters,
            Running running,
            double coldestMonth,
            WinterLedger colder,
            WinterLedger warmer) {
        this.running = running;
        this.season = season;
        this.winters = List.copyOf(winters);
        this.usable = winters.stream().filter(Winter::usable).toList();
        this.coldestMonth = coldestMonth;
        this.colder = colder;
        this.warmer = warmer;
    }

    /**
     * How the winters are counted.
     *
     * @param utahOwnStart whether Utah units begin at their own start; see {@link UtahStart}
     * @param synthetic whether the days are made from monthly means, so that they may be off as a whole
     */
    public record Counting(boolean utahOwnStart, boolean synthetic) {
        public static final Counting USUAL = new Counting(false, false);
    }

    /**
     * @param latitude degrees, south negative; decides day length and the season
     */
    public static WinterLedger of(StationRecord record, double latitude) {
        return of(record, latitude, Counting.USUAL);
    }

    public static WinterLedger of(StationRecord record, double latitude, Counting counting) {
        Counting plain = new Counting(counting.utahOwnStart(), false);
        return counting.synthetic()
                ? of(
                        record,
                        latitude,
                        plain,
                        of(record.warmedBy(-MEANS_KELVIN), latitude, plain),
                        of(record.warmedBy(MEANS_KELVIN), latitude, plain))
                : of(record, latitude, plain, null, null);
    }

    private static WinterLedger of(
            StationRecord record, double latitude, Counting counting, WinterLedger colder, WinterLedger warmer) {
        Season season = Season.at(latitude);
        List<Winter> winters = new ArrayList<>();
        if (!record.isEmpty()) {
            for (int year = record.first().getYear(); year <= record.last().getYear() + 1; year++) {
                LocalDate from = season.first(year);
                LocalDate to = season.last(year);
                if (!to.isBefore(record.first()) && !from.isAfter(record.last())) {
                    winters.add(winter(record, latitude, counting, year, from, to));
                }
            }
        }
        return new WinterLedger(
                season,
                winters,
                record.isEmpty() ? null : running(record, latitude, season, counting),
                coldestMonth(record),
                colder,
                warmer);
    }

    private static Winter winter(
            StationRecord record, double latitude, Counting counting, int year, LocalDate from, LocalDate to) {
        StationRecord.Window window = record.window(from, to);
        if (!window.status().usable()) {
            return new Winter(
                    year,
                    window.status(),
                    window.missing(),
                    window.neighbours(),
                    Map.of(),
                    Map.of(),
                    Optional.empty(),
                    Double.NaN);
        }
        Map<ChillModel, List<Double>> daily = ChillPass.daily(
                SeasonHours.of(record, window, latitude, from, to).celsius());
        Optional<UtahStart> utah = counting.utahOwnStart()
                ? UtahStart.of(record, latitude, Season.at(latitude), year, to)
                : Optional.empty();
        utah.ifPresent(start -> daily.put(ChillModel.UTAH, start.daily()));
        Map<ChillModel, Double> totals = new EnumMap<>(ChillModel.class);
        daily.forEach((model, running) -> totals.put(model, running.get(running.size() - 1)));
        double lowest =
                window.days().stream().mapToDouble(DailyExtremes::minimum).min().orElse(Double.NaN);
        return new Winter(
                year,
                window.status(),
                window.missing(),
                window.neighbours(),
                totals,
                daily,
                utah.map(UtahStart::from),
                lowest);
    }

    /**
     * The winter that is not over yet.
     *
     * @param until the record's last day
     * @param daily running total at the end of each day so far, per model
     */
    public record Running(int year, LocalDate until, Map<ChillModel, List<Double>> daily) {}

    private static Running running(StationRecord record, double latitude, Season season, Counting counting) {
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
            Map<ChillModel, List<Double>> daily = ChillPass.daily(hours.celsius());
            if (counting.utahOwnStart()) {
                UtahStart.of(record, latitude, season, year, last)
                        .ifPresent(start -> daily.put(ChillModel.UTAH, start.daily()));
            }
            return new Running(year, last, daily);
        }
        return null;
    }

    /** Mean temperature of the coldest calendar month of the record, °C; NaN when it is empty. */
    private static double coldestMonth(StationRecord record) {
        double[] sum = new double[12];
        int[] days = new int[12];
        for (DailyExtremes day : record.days()) {
            int month = day.date().getMonthValue() - 1;
            sum[month] += (day.minimum() + day.maximum()) / 2;
            days[month]++;
        }
        double coldest = Double.NaN;
        for (int month = 0; month < 12; month++) {
            if (days[month] > 0 && !(sum[month] / days[month] >= coldest)) {
                coldest = sum[month] / days[month];
            }
        }
        return coldest;
    }

    /** Whether the coldest month's mean is above 8 °C, where counting hours misleads (project choice). */
    public boolean isMild() {
        return coldestMonth > MILD;
    }

    /** Mean temperature of the coldest calendar month, °C; NaN without a day. */
    public double coldestMonth() {
        return coldestMonth;
    }

    /** The same winters a degree colder, for a synthetic record; empty for a measured one. */
    public Optional<WinterLedger> colder() {
        return Optional.ofNullable(colder);
    }

    /** The same winters a degree warmer, for a synthetic record; empty for a measured one. */
    public Optional<WinterLedger> warmer() {
        return Optional.ofNullable(warmer);
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

    /** Those that count. */
    public List<Winter> usable() {
        return usable;
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
                .from(
                        colder == null
                                ? Source.measured("the station’s own minima")
                                : RuleTable.of("winter").source("synthetic"));
    }

    /** The lowest temperature of each usable winter, oldest first. */
    public double[] lowest() {
        return usable().stream().mapToDouble(Winter::lowest).toArray();
    }
}
