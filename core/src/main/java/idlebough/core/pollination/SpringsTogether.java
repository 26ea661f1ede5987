package idlebough.core.pollination;

import idlebough.core.judge.RuleTable;
import idlebough.core.variety.VarietySprings;
import idlebough.core.winter.Bloom;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * On how many days two varieties were open together in each spring of the record, by the bloom clock.
 *
 * @param years those in which the receiver bloomed, oldest first
 */
public record SpringsTogether(List<Year> years) {
    private static final RuleTable TABLE = RuleTable.of("pollination");
    private static final int TEN = 10;

    /**
     * @param days both open, whole days, both ends counted
     * @param receiverDays the receiver open
     */
    public record Year(int year, int days, int receiverDays) {
        double score() {
            return CommonBloom.score(days, receiverDays);
        }
    }

    /** Empty where springs are too few to tell a share. */
    public static Optional<SpringsTogether> of(VarietySprings receiver, VarietySprings partner) {
        Map<Integer, Bloom> others = partner.blooms().stream()
                .collect(Collectors.toMap(Bloom::year, Function.identity(), (first, again) -> first));
        List<Year> years = new ArrayList<>();
        receiver.blooms()
                .forEach(bloom -> bloom.flowering().ifPresent(open -> {
                    int days = Optional.ofNullable(others.get(bloom.year()))
                            .flatMap(Bloom::flowering)
                            .map(other -> common(open, other))
                            .orElse(0);
                    years.add(new Year(bloom.year(), days, span(open.first(), open.end())));
                }));
        return years.size() < TABLE.value("springs") ? Optional.empty() : Optional.of(new SpringsTogether(years));
    }

    private static int common(Bloom.Open one, Bloom.Open other) {
        LocalDate from = one.first().isAfter(other.first()) ? one.first() : other.first();
        LocalDate to = one.end().isBefore(other.end()) ? one.end() : other.end();
        return Math.max(0, span(from, to));
    }

    private static int span(LocalDate from, LocalDate to) {
        return (int) ChronoUnit.DAYS.between(from, to) + 1;
    }

    /** The same with so many days fewer in every spring. */
    SpringsTogether apart(int days) {
        return new SpringsTogether(years.stream()
                .map(y -> new Year(y.year(), Math.max(0, y.days() - days), y.receiverDays()))
                .toList());
    }

    public double meanDays() {
        return years.stream().mapToInt(Year::days).average().orElse(0);
    }

    double meanReceiverDays() {
        return years.stream().mapToInt(Year::receiverDays).average().orElse(0);
    }

    /** Mean of what each spring was worth. */
    double score() {
        return years.stream().mapToDouble(Year::score).average().orElse(0);
    }

    /** Springs with at least so many common days. */
    public long atLeast(int days) {
        return years.stream().filter(year -> year.days() >= days).count();
    }

    /** Of ten springs, those with at least so many common days, rounded. */
    public long ofTen(int days) {
        return Math.round((double) TEN * atLeast(days) / years.size());
    }
}
