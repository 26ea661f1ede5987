package idlebough.core.winter;

import idlebough.core.judge.Amount;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A bloom clock set by the days on which a variety was seen in full bloom: its need is the mean of the weighted heat
 * sums to noon of those days, which is the least-squares estimate of one constant.
 *
 * @param clock with the fitted need
 * @param dates used, each with the miss of the fitted clock
 */
public record HeatFit(BloomClock clock, List<Seen> dates) {
    /** A need rests on this many dates before it is more than a hint. */
    public static final int ENOUGH = 5;

    /** @param miss predicted less seen, days */
    public record Seen(LocalDate day, long miss) {}

    /** Empty when no date lies in a spring that is known. */
    public static Optional<HeatFit> of(List<LocalDate> seen, List<SpringHours> springs, BloomClock usual) {
        List<LocalDate> used = new ArrayList<>();
        List<SpringHours> of = new ArrayList<>();
        double sum = 0;
        for (LocalDate day : seen) {
            for (SpringHours spring : springs) {
                double forced = usual.forcedBy(day, spring).orElse(0.0);
                if (forced > 0) {
                    used.add(day);
                    of.add(spring);
                    sum += forced;
                }
            }
        }
        if (used.isEmpty()) {
            return Optional.empty();
        }
        BloomClock clock = usual.withNeed(sum / used.size());
        List<Seen> dates = new ArrayList<>();
        for (int i = 0; i < used.size(); i++) {
            LocalDate day = used.get(i);
            dates.add(new Seen(
                    day,
                    Bloom.of(of.get(i), clock)
                            .full()
                            .map(full -> full.toEpochDay() - day.toEpochDay())
                            .orElse(0L)));
        }
        return Optional.of(new HeatFit(clock, List.copyOf(dates)));
    }

    public double need() {
        return clock.need();
    }

    /** Days by which the worst of the dates is missed. */
    public long largestMiss() {
        return dates.stream().mapToLong(seen -> Math.abs(seen.miss())).max().orElse(0);
    }

    public Working working() {
        Working.Builder working = Working.of("How {} comes about", Amount.of(need(), Quantity.HEAT));
        dates.forEach(seen -> working.step(
                "full bloom seen {}: with this need it is predicted {} days {}",
                seen.day(),
                Amount.count(Math.abs(seen.miss())),
                seen.miss() < 0 ? "earlier" : "later"));
        return working.step("the mean of the warmth that counted, from the season’s start to noon of each day seen")
                .sensitive(
                        dates.size() < ENOUGH
                                ? "Fewer than five dates are a hint only; go on writing them down."
                                : "Most sensitive to how far the trees stand from the thermometer.")
                .from(Source.measured("your own bloom dates"));
    }
}
