package idlebough.core.planting;

import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.FrostKill;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * The season in which bare roots may be planted: from leaf fall to bud break (common practice). Bud break is that of a
 * median spring where the bloom of the variety is predicted, else the tenth of April, in the south of October.
 *
 * @param leafFall first day, inclusive
 * @param budBreak last day, inclusive
 */
public record Dormancy(MonthDay leafFall, MonthDay budBreak) {
    /** The stage at which green shows is the second one of a crop that has so many (the circulars of the stages). */
    private static final int STAGES = 4;

    private static final double GREEN = 0.3;

    /** @param southern whether the latitude is below the equator */
    public static Dormancy of(Optional<VarietySprings> springs, boolean southern) {
        return new Dormancy(
                MonthDay.of(southern ? 5 : 11, 1),
                springs.flatMap(Dormancy::budBreak).orElse(MonthDay.of(southern ? 10 : 4, 10)));
    }

    private static Optional<MonthDay> budBreak(VarietySprings springs) {
        List<FrostKill.Stage> stages = FrostKill.stages(springs.variety().crop().like());
        double share = stages.size() >= STAGES ? stages.get(1).fraction() : GREEN;
        List<Long> days = springs.blooms().stream()
                .flatMap(bloom -> bloom.reaches(share).stream()
                        .map(day ->
                                ChronoUnit.DAYS.between(bloom.spring().hours().first(), day)))
                .sorted()
                .toList();
        return days.isEmpty()
                ? Optional.empty()
                : Optional.of(MonthDay.from(lastOf(springs).plusDays(days.get(days.size() / 2))));
    }

    private static LocalDate lastOf(VarietySprings springs) {
        List<Bloom> blooms = springs.blooms();
        return blooms.get(blooms.size() - 1).spring().hours().first();
    }

    /** Days by which a day lies outside, to the nearer end; negative inside. */
    public long outside(LocalDate day) {
        LocalDate begun = before(leafFall, day);
        LocalDate over = after(budBreak, begun);
        if (!day.isAfter(over)) {
            return -1 - Math.min(ChronoUnit.DAYS.between(begun, day), ChronoUnit.DAYS.between(day, over));
        }
        return Math.min(ChronoUnit.DAYS.between(over, day), ChronoUnit.DAYS.between(day, begun.plusYears(1)));
    }

    private static LocalDate before(MonthDay of, LocalDate day) {
        LocalDate same = of.atYear(day.getYear());
        return same.isAfter(day) ? of.atYear(day.getYear() - 1) : same;
    }

    private static LocalDate after(MonthDay of, LocalDate day) {
        LocalDate next = of.atYear(day.getYear());
        return next.isBefore(day) ? of.atYear(day.getYear() + 1) : next;
    }
}
