package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * A variety's heat need fitted to the days on which it was seen in full bloom: the mean of the heat sums to those days,
 * which is the least-squares estimate of one constant.
 *
 * @param need °C·h
 * @param spread standard deviation of the sums over n − 1, °C·h; NaN with one date
 * @param dates used
 * @param residuals predicted minus seen, days, one for each date used
 */
public record HeatFit(double need, double spread, List<LocalDate> dates, List<Long> residuals) {
    /** A need rests on this many dates before it is more than a hint. */
    public static final int ENOUGH = 5;

    /** Null when no date can be used: no winter, or seen before the chill was met. */
    public static HeatFit of(List<LocalDate> seen, List<Bloom> springs, ChillModel model, double chillNeed) {
        List<LocalDate> used = new ArrayList<>();
        List<Double> sums = new ArrayList<>();
        List<Bloom> of = new ArrayList<>();
        for (LocalDate day : seen) {
            for (Bloom spring : springs) {
                LocalDate first = spring.hours().first();
                Double heat = day.isBefore(first)
                                || day.isAfter(
                                        first.plusDays(spring.hours().days().size()))
                        ? null
                        : spring.heatUntil(day);
                if (heat != null && heat > 0) {
                    used.add(day);
                    sums.add(heat);
                    of.add(spring);
                }
            }
        }
        if (sums.isEmpty()) {
            return null;
        }
        double mean = sums.stream().mapToDouble(s -> s).average().orElseThrow();
        double squares = sums.stream().mapToDouble(s -> (s - mean) * (s - mean)).sum();
        List<Long> residuals = new ArrayList<>();
        for (int i = 0; i < used.size(); i++) {
            Bloom again = Bloom.of(of.get(i).year(), of.get(i).hours(), model, chillNeed, mean);
            residuals.add(
                    again.full() == null
                            ? 0
                            : again.full().toLocalDate().toEpochDay()
                                    - used.get(i).toEpochDay());
        }
        return new HeatFit(
                mean,
                sums.size() < 2 ? Double.NaN : Math.sqrt(squares / (sums.size() - 1)),
                Collections.unmodifiableList(used),
                Collections.unmodifiableList(residuals));
    }

    public Working working() {
        Working.Builder working = Working.of("How {} °C·h comes about", Amount.count(need));
        for (int i = 0; i < dates.size(); i++) {
            working.step(
                    "full bloom seen {}: with this need it is predicted {} days {}",
                    dates.get(i),
                    Amount.count(Math.abs(residuals.get(i))),
                    residuals.get(i) < 0 ? "earlier" : "later");
        }
        return working.step("the mean of the heat sums from chill met to each day seen")
                .sensitive(
                        dates.size() < ENOUGH
                                ? "Fewer than five dates are a hint only; go on writing them down."
                                : "Most sensitive to the day on which the chill is taken to be met.")
                .from(Source.measured("your own bloom dates"));
    }
}
