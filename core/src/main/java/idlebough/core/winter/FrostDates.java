package idlebough.core.winter;

import static idlebough.core.measure.Quantity.TEMPERATURE;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The last frost of spring and the first of autumn, and how often: of freeze years from 1 August to 31 July (south 1
 * February to 31 January). Chance of frost after a date = share of years with any × (1 − F) (Thom 1959, Mon. Weather
 * Rev.
 * 87:136–144), F empirical, type 7.
 *
 * @param threshold °C; a night at or below it counts
 * @param years whole freeze years
 * @param springs day of the freeze year of each year's last frost, and autumns of each first; only years with any
 * @param lengths days between a year's last spring and the next first autumn frost; only where both are known
 */
public record FrostDates(
        double threshold, boolean southern, int years, double[] springs, double[] autumns, double[] lengths) {
    /** Years below which 10 and 90 % are not said. */
    public static final int ENOUGH = 20;

    private static final int SPRING_FROM = 153;

    public static FrostDates of(StationRecord record, double latitude, double threshold) {
        boolean southern = latitude < 0;
        List<Double> springs = new ArrayList<>();
        List<Double> autumns = new ArrayList<>();
        List<Double> lengths = new ArrayList<>();
        int years = 0;
        if (!record.isEmpty()) {
            Double lastSpring = null;
            LocalDate springStart = null;
            for (int year = record.first().getYear() - 1; year <= record.last().getYear(); year++) {
                LocalDate start = start(southern, year);
                StationRecord.Window window =
                        record.window(start, start.plusYears(1).minusDays(1));
                if (!window.status().usable()) {
                    lastSpring = null;
                    continue;
                }
                years++;
                Double first = null;
                Double last = null;
                for (int i = 0; i < window.days().size(); i++) {
                    if (window.days().get(i).minimum() <= threshold + 1e-9) {
                        // The half year to the middle of winter is autumn's, the other spring's.
                        first = first == null && i < SPRING_FROM + 31 ? Double.valueOf(i) : first;
                        last = Double.valueOf(i);
                    }
                }
                if (first != null) {
                    autumns.add(common(start, first));
                    if (lastSpring != null) {
                        lengths.add(start.toEpochDay() + first - (springStart.toEpochDay() + lastSpring));
                    }
                }
                lastSpring = last;
                springStart = start;
                if (last != null) {
                    springs.add(common(start, last));
                }
            }
        }
        return new FrostDates(threshold, southern, years, array(springs), array(autumns), array(lengths));
    }

    /** The same calendar day's place in a year without a leap day, so that years can be laid over each other. */
    private static double common(LocalDate start, double index) {
        LocalDate day = start.plusDays((long) index);
        LocalDate leap = start.plusDays(365).isLeapYear()
                ? LocalDate.of(start.plusDays(365).getYear(), 2, 29)
                : null;
        leap = start.isLeapYear() && start.getMonthValue() <= 2 ? LocalDate.of(start.getYear(), 2, 29) : leap;
        return leap != null && !leap.isBefore(start) && !day.isBefore(leap) ? index - 1 : index;
    }

    private static LocalDate start(boolean southern, int year) {
        return southern ? LocalDate.of(year, Month.FEBRUARY, 1) : LocalDate.of(year, Month.AUGUST, 1);
    }

    private static double[] array(List<Double> values) {
        return values.stream().mapToDouble(v -> v).toArray();
    }

    /** The day of spring after which a frost still comes in this share of years; none when frost is rarer than that. */
    public Optional<LocalDate> spring(double risk) {
        double share = years == 0 ? 0 : (double) springs.length / years;
        return share < risk || springs.length == 0
                ? Optional.empty()
                : Optional.of(day(Quantile.of(springs, 1 - risk / share)));
    }

    /** The day of autumn before which a frost has come in this share of years; none when frost is rarer than that. */
    public Optional<LocalDate> autumn(double risk) {
        double share = years == 0 ? 0 : (double) autumns.length / years;
        return share < risk || autumns.length == 0
                ? Optional.empty()
                : Optional.of(day(Quantile.of(autumns, risk / share)));
    }

    /** Frost-free days that are reached in this share of years; NaN without a year. */
    public double length(double share) {
        return lengths.length == 0 ? Double.NaN : Quantile.of(lengths, 1 - share);
    }

    /** As a day of a common year. */
    private LocalDate day(double ofFreezeYear) {
        return start(southern, 2026).plusDays(Math.round(ofFreezeYear));
    }

    public Working working() {
        return Working.of("How the dates at {} come about", Amount.of(threshold, TEMPERATURE))
                .step("{} whole freeze years, from {} on", Amount.count(years), southern ? "1 February" : "1 August")
                .step(
                        "a night at {} or below in spring in {} of them, in autumn in {}",
                        Amount.of(threshold, TEMPERATURE),
                        Amount.count(springs.length),
                        Amount.count(autumns.length))
                .step("the last and the first day of each, sorted; the share of years is read off")
                .sensitive(
                        years < ENOUGH
                                ? "With fewer than 20 years the one-in-ten dates are indicative only."
                                : "Measured at the screen, 1.5 to 2 m: grass can be 2 to 5 K colder on clear nights.")
                .from(Source.published("Thom 1959, Mon. Weather Rev. 87:136", Certainty.SURE));
    }
}
