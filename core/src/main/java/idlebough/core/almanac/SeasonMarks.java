package idlebough.core.almanac;

import idlebough.core.crop.Crop;
import idlebough.core.crop.Variety;
import idlebough.core.variety.VarietySprings;
import idlebough.core.variety.VarietyStage;
import idlebough.core.winter.Bloom;
import idlebough.core.winter.Exposure;
import idlebough.core.winter.FrostDates;
import idlebough.core.winter.WinterStage;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * What a year brings here, in the median of the years of the record.
 *
 * @param chilled the day on which the last chilling requirement of the orchard's varieties is met; empty where one is met
 *     in fewer than half of all winters, or none is known
 * @param bloom from the first open flower to the last petal, by the kind of fruit
 * @param frostFree from the last frost of spring to the first of autumn; empty where frost is rarer than every other year
 */
public record SeasonMarks(Optional<MonthDay> chilled, Map<Crop.Kind, Span> bloom, Optional<Span> frostFree) {
    private static final double FROST = 0;
    private static final double EVERY_OTHER = 0.5;

    /** Days of the year, both within. */
    public record Span(MonthDay from, MonthDay to) {}

    /** A year of the orchard begins when the leaves are down, so that a winter, its bloom and its summer lie in one. */
    public static MonthDay begins(double latitude) {
        return latitude < 0 ? MonthDay.of(5, 1) : MonthDay.of(11, 1);
    }

    static SeasonMarks of(Collection<Variety> planted, VarietyStage varieties, WinterStage winters) {
        Map<Crop.Kind, Span> bloom = new EnumMap<>(Crop.Kind.class);
        List<Optional<MonthDay>> chilled = new ArrayList<>();
        boolean south = winters.latitude() < 0;
        for (Variety variety : planted) {
            varieties.springs(variety, Exposure.SCREEN).ifPresent(springs -> {
                chilled.add(middle(
                        springs,
                        each -> each.spring()
                                .chillMet(variety.chillModel(), variety.chillNeed())
                                .map(LocalDateTime::toLocalDate)));
                middle(springs, each -> each.flowering().map(Bloom.Open::first))
                        .flatMap(from -> middle(
                                        springs, each -> each.flowering().map(Bloom.Open::end))
                                .map(to -> new Span(from, to)))
                        .ifPresent(span -> bloom.merge(variety.crop().kind(), span, (a, b) -> around(a, b, south)));
            });
        }
        FrostDates frost = winters.frost(FROST);
        return new SeasonMarks(
                chilled.stream().anyMatch(Optional::isEmpty)
                        ? Optional.empty()
                        : chilled.stream()
                                .map(Optional::orElseThrow)
                                .max(Comparator.comparingInt(day -> place(day, south))),
                bloom,
                frost.spring(EVERY_OTHER)
                        .flatMap(last -> frost.autumn(EVERY_OTHER)
                                .map(first -> new Span(MonthDay.from(last), MonthDay.from(first)))));
    }

    private static Span around(Span a, Span b, boolean south) {
        return new Span(
                place(a.from(), south) <= place(b.from(), south) ? a.from() : b.from(),
                place(a.to(), south) >= place(b.to(), south) ? a.to() : b.to());
    }

    /** Days after the leaves are down. */
    private static int place(MonthDay day, boolean south) {
        int begins = begins(south ? -1 : 1).atYear(2001).getDayOfYear();
        return Math.floorMod(day.atYear(2001).getDayOfYear() - begins, 365);
    }

    /** The middle of all springs; empty where it does not come about in half of them. */
    private static Optional<MonthDay> middle(VarietySprings springs, Function<Bloom, Optional<LocalDate>> day) {
        List<Long> days = springs.blooms().stream()
                .map(each -> day.apply(each)
                        .map(found -> found.toEpochDay()
                                - each.spring().hours().first().toEpochDay())
                        .orElse(Long.MAX_VALUE))
                .sorted()
                .toList();
        if (days.isEmpty() || days.get(days.size() / 2) == Long.MAX_VALUE) {
            return Optional.empty();
        }
        Bloom last = springs.blooms().get(springs.blooms().size() - 1);
        return Optional.of(MonthDay.from(last.spring().hours().first().plusDays(days.get(days.size() / 2))));
    }
}
