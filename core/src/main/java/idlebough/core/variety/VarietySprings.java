package idlebough.core.variety;

import idlebough.core.crop.Variety;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Certainty;
import idlebough.core.judge.Source;
import idlebough.core.judge.Working;
import idlebough.core.measure.Quantity;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.BloomClock;
import idlebough.core.winter.FrostKill;
import idlebough.core.winter.HeatFit;
import idlebough.core.winter.SpringHours;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The springs of one variety at one site: when it would have bloomed in each, and what the frost would have taken.
 *
 * @param clock what makes it open: fitted to the grower's own dates where there are any, else the crop's
 * @param fit the grower's own dates; empty when none can be used
 * @param blooms one for each spring whose bloom is known, oldest first
 * @param frosts the worst night of each, in the same order; empty when the crop's critical temperatures are not known
 * @param shifts what was reckoned of shifted clocks, for all varieties of this one
 */
public record VarietySprings(
        Variety variety,
        BloomClock clock,
        Optional<HeatFit> fit,
        List<Bloom> blooms,
        List<FrostKill.Spring> frosts,
        Map<Double, Long> shifts) {
    /** A night that takes this share of the blossom is felt in the crop. */
    public static final double FELT = 0.5;

    /** Whether bloom can be predicted: a clock of the crop is known. */
    public static boolean known(Variety variety) {
        return BloomClock.of(variety).isPresent();
    }

    /**
     * @param seen days on which the grower saw it in full bloom
     * @return empty when no clock of the crop is known
     */
    public static Optional<VarietySprings> of(Variety variety, List<SpringHours> springs, List<LocalDate> seen) {
        return BloomClock.of(variety).map(usual -> {
            Optional<HeatFit> fit = HeatFit.of(seen, springs, usual);
            return of(variety, fit.map(HeatFit::clock).orElse(usual), fit, springs);
        });
    }

    private static VarietySprings of(
            Variety variety, BloomClock clock, Optional<HeatFit> fit, List<SpringHours> springs) {
        List<Bloom> blooms = springs.stream()
                .map(spring -> Bloom.of(spring, clock))
                .filter(Bloom::known)
                .toList();
        List<FrostKill.Stage> stages = FrostKill.stages(variety.crop().like());
        return new VarietySprings(
                variety,
                clock,
                fit,
                blooms,
                stages.isEmpty()
                        ? List.of()
                        : blooms.stream().map(b -> FrostKill.of(b, stages)).toList(),
                new ConcurrentHashMap<>());
    }

    /** The same springs of another variety that keeps the same clock. */
    VarietySprings of(Variety other) {
        return new VarietySprings(other, clock, fit, blooms, frosts, shifts);
    }

    /** Springs that are hit where the clock needs so much more, or less, of the heat; reckoned once. */
    long hitShifted(double factor) {
        return shifts.computeIfAbsent(factor, same -> shifted(factor).hit(FELT));
    }

    /** The same springs with a clock that needs so much more, or less, of the heat. */
    VarietySprings shifted(double factor) {
        return of(
                variety,
                clock.withNeed(clock.need() * factor),
                fit,
                blooms.stream().map(Bloom::spring).toList());
    }

    /** Day of full bloom in the middle of all springs that bloomed, in the last of them; empty when none did. */
    public Optional<LocalDate> middle() {
        List<Bloom> open =
                blooms.stream().filter(bloom -> bloom.full().isPresent()).toList();
        if (open.isEmpty()) {
            return Optional.empty();
        }
        List<Long> days = open.stream()
                .map(bloom -> bloom.full().orElseThrow().toEpochDay()
                        - bloom.spring().hours().first().toEpochDay())
                .sorted()
                .toList();
        return Optional.of(open.get(open.size() - 1).spring().hours().first().plusDays(days.get(days.size() / 2)));
    }

    /** Springs in which one night took at least so much of the blossom. */
    public long hit(double share) {
        return frosts.stream().filter(f -> f.worst() >= share).count();
    }

    public Working needWorking() {
        return fit.map(HeatFit::working).orElseGet(clock::working);
    }

    public Working frostWorking() {
        Working.Builder working = Working.of(
                        "How {} of {} springs come about", Amount.count(hit(FELT)), Amount.count(frosts.size()))
                .step("The stage of the buds by the share of the heat need reached, each night")
                .step("the night’s minimum against the temperatures that kill a tenth and nine tenths at that stage");
        frosts.stream()
                .filter(f -> f.worst() >= FELT)
                .forEach(f -> f.night()
                        .ifPresent(night -> working.step(
                                "{}: {} at {}, {} killed",
                                night.date(),
                                Amount.of(night.minimum(), Quantity.TEMPERATURE),
                                night.stage().name(),
                                Amount.of(100 * f.worst(), Quantity.PERCENT))));
        return working.sensitive(
                        "Most sensitive to the day of bloom and to how much colder the trees stand than the screen.")
                .from(Source.published(
                        "Washington State University circulars (Ballard, Proebsting & Tukey)", Certainty.FAIR));
    }
}
