package idlebough.core.almanac;

import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import java.time.LocalDate;
import java.util.Optional;

/**
 * When the gates of a plan are passed.
 *
 * @param order of its trees
 * @param digging the day from which holes are dug
 * @param planting the day on which the trees go in
 */
public record Gates(Order order, LocalDate digging, LocalDate planting) {
    /** A week is enough for holes that fill with water to show it, and short enough that they do not dry (project choice). */
    private static final int DIGGING_DAYS = 7;

    private static final int ORDER_MONTHS = 5;

    /**
     * One order for the whole plan.
     *
     * @param closes the last day on which the nursery takes it; empty while not known
     * @param sent on which it went; empty while it has not
     */
    public record Order(Optional<LocalDate> closes, Optional<LocalDate> sent) {
        public static final Order NONE = new Order(Optional.empty(), Optional.empty());
    }

    public static Gates of(Order order, LocalDate planting) {
        return new Gates(order, planting.minusDays(DIGGING_DAYS), planting);
    }

    /** The order's last day: the nursery's, or five months before planting (common practice). */
    public LocalDate orderBy() {
        return order.closes().orElse(planting.minusMonths(ORDER_MONTHS));
    }

    /** How the day of a gate comes about; empty for those that have none. */
    public Optional<Working> working(Gate gate) {
        return dayOf(gate).map(day -> {
            Working.Builder steps = Working.of("How {} comes about", day);
            return switch (gate) {
                case ORDER ->
                    order.closes().isPresent()
                            ? steps.step("the nursery closes its list then, as you entered it")
                                    .from(Source.measured("the date as you entered it"))
                            : steps.step("{}, the planting date", planting)
                                    .step("less five months: bare-root trees are ordered before the winter")
                                    .from(Source.practice("ordered the summer or autumn before"));
                case HOLE ->
                    steps.step("{}, the planting date", planting)
                            .step("less a week, in which a hole that fills with water shows it")
                            .from(Source.practice("holes are dug shortly before, so that they do not dry out"));
                default ->
                    steps.step("the planting date of the plan").from(Source.measured("the date as you entered it"));
            };
        });
    }

    /** The day of a gate; empty for those that have none. */
    public Optional<LocalDate> dayOf(Gate gate) {
        return switch (gate) {
            case ORDER -> Optional.of(orderBy());
            case HOLE -> Optional.of(digging);
            case PLANTING -> Optional.of(planting);
            case WINTER, WATCH -> Optional.empty();
        };
    }
}
