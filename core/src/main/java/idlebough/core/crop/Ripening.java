package idlebough.core.crop;

import java.time.LocalDate;
import java.time.Month;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.Optional;

/**
 * When a variety ripens in the northern hemisphere.
 *
 * @param from and to: both inclusive; {@code to} before {@code from} runs over the new year
 * @param latitude for which the days hold, degrees; empty where only a month is told
 * @param afterBloom days from full bloom to ripe; empty when not known
 * @param keepsWeeks weeks in a cool store; empty when not known
 */
public record Ripening(
        MonthDay from, MonthDay to, Optional<Double> latitude, Optional<Span> afterBloom, Optional<Double> keepsWeeks) {
    private static final int ANY_YEAR = 2001;
    /** Some time in the year. */
    static final Ripening ANY =
            new Ripening(MonthDay.of(1, 1), MonthDay.of(12, 31), Optional.empty(), Optional.empty(), Optional.empty());

    /** From least to most. */
    public record Span(double low, double high) {
        public double middle() {
            return (low + high) / 2;
        }
    }

    /** Days from the first ripe fruit to the last. */
    public long days() {
        return ChronoUnit.DAYS.between(from.atYear(ANY_YEAR), end());
    }

    private LocalDate end() {
        return to.isBefore(from) ? to.atYear(ANY_YEAR + 1) : to.atYear(ANY_YEAR);
    }

    /** The month of the day half way. */
    public Month middle() {
        return from.atYear(ANY_YEAR).plusDays(days() / 2).getMonth();
    }
}
