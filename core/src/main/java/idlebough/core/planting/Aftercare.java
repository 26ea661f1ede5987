package idlebough.core.planting;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Way;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;

/**
 * One thing that is due after a tree was planted; which, and when, follows from the ways that hold for it (common
 * practice).
 *
 * @param key the same for trees on which the same is done
 * @param what and why: of the first the trees are the missing part
 * @param from and to: its days, both inclusive
 * @param lapses from then on it is of no use any more
 */
public record Aftercare(String key, String what, Phrase why, LocalDate from, LocalDate to, LocalDate lapses) {
    /** Fruit is large enough to be taken off so many weeks after the last full bloom. */
    private static final int FRUIT_FROM = 3;

    private static final int FRUIT_TO = 7;
    /** What blooms within so many days after planting grows from then on. */
    private static final int SOON = 240;

    private static final int LOOSENED_AT_MOST = 4;

    /**
     * What of the place decides the days.
     *
     * @param bloom last full bloom in a median spring
     */
    public record Calendar(boolean southern, MonthDay bloom) {
        private MonthDay spring() {
            return MonthDay.of(southern ? 9 : 3, 1);
        }

        private MonthDay autumn() {
            return MonthDay.of(southern ? 4 : 10, 1);
        }
    }

    /** Collects what is due for one tree. */
    private static final class Due {
        private final PlantingSection section;
        private final LocalDate planted;
        private final Calendar calendar;
        private final List<Aftercare> all = new ArrayList<>();

        private Due(PlantingSection section, LocalDate planted, Calendar calendar) {
            this.section = section;
            this.planted = planted;
            this.calendar = calendar;
        }

        private String school(Way way) {
            return section.setting().school(way).key();
        }

        private void add(String key, String what, String why, LocalDate from, LocalDate to, LocalDate lapses) {
            all.add(new Aftercare(key, what, Phrase.of(why), from, to, lapses));
        }

        private void unions() {
            add(
                    "union-2",
                    "Look at the unions of {}; top up sunken soil beside the ball, never on it",
                    "More than half of the settling is done.",
                    planted.plusWeeks(2),
                    planted.plusWeeks(2).plusDays(6),
                    planted.plusWeeks(8));
            add(
                    "union-8",
                    "Measure the unions of {} again",
                    "Settled: what stands now stays.",
                    planted.plusWeeks(8),
                    planted.plusWeeks(9),
                    planted.plusYears(1));
        }

        private void basin() {
            boolean soil = section.basin()
                    .filter(basin -> basin.kind() != Basin.Kind.MULCHED)
                    .isPresent();
            if (soil) {
                add(
                        "level",
                        "Level the basins of {}",
                        "They held the first water; in a wet winter they drown what they fed.",
                        levelled(planted),
                        planted.plusMonths(3),
                        planted.plusYears(1));
            }
        }

        /** When new growth may be a hand long. */
        private LocalDate grown() {
            LocalDate bloom = next(planted, calendar.bloom());
            LocalDate least = planted.plusWeeks(6);
            return bloom.isAfter(least) && bloom.isBefore(planted.plusDays(SOON)) ? bloom : least;
        }

        private void feeds() {
            switch (school(PlantingWays.FIRST_FEED)) {
                case "hand" ->
                    feed(
                            "feed",
                            "First feed of {}, if a hand of new growth shows and the soil test asks for it",
                            grown(),
                            6);
                case "month" -> feed("feed-month", "First feed of {}", planted.plusWeeks(4), 1);
                case "eight" -> feed("feed-eight", "First feed of {}", planted.plusWeeks(6), 2);
                case "spring" ->
                    feed("feed-spring", "First feed of {}", next(planted.plusWeeks(8), calendar.spring()), 6);
                case "monthly" ->
                    feed("feed-monthly", "Feed {} a little, and every month until midsummer", planted.plusWeeks(4), 1);
                default -> {
                    // Slow feed in the hole or on top belongs to the day.
                }
            }
            if (school(PlantingWays.COMPOST_TOP).equals("growth")) {
                add(
                        "compost",
                        "Compost on top round {}, clear of the stems",
                        "They have grown a hand: roots are there to take it.",
                        grown(),
                        grown().plusWeeks(6),
                        grown().plusMonths(4));
            }
        }

        private void feed(String key, String what, LocalDate from, int weeks) {
            add(
                    key,
                    what,
                    "No amount without a soil test where one can be had; keep it off the stem.",
                    from,
                    from.plusWeeks(weeks),
                    from.plusMonths(4));
        }

        private void fruit() {
            double seasons = section.setting().school(PlantingWays.FIRST_FRUIT).value();
            LocalDate bloom = next(planted, calendar.bloom());
            for (int i = 0; i < seasons; i++) {
                LocalDate from = bloom.plusYears(i).plusWeeks(FRUIT_FROM);
                add(
                        i == 0 ? "fruit-off" : "fruit-off-" + (i + 1),
                        i == 0 ? "Take the fruit off {} in the first season" : "Take the fruit off {} once more",
                        "It hurts, and it pays.",
                        from,
                        from.plusWeeks(FRUIT_TO - FRUIT_FROM),
                        from.plusMonths(3));
            }
        }

        private void stakes() {
            section.stake().ifPresent(stake -> {
                LocalDate off = stake.years().map(planted::plusYears).orElse(LocalDate.MAX);
                for (int i = 1; i <= LOOSENED_AT_MOST; i++) {
                    LocalDate day = planted.plusMonths(6L * i);
                    if (day.isBefore(off)) {
                        add(
                                "ties-" + i,
                                "Loosen the ties of {}",
                                "The stem has grown; a tie that cuts in throttles it.",
                                day,
                                day.plusMonths(1),
                                day.plusMonths(6));
                    }
                }
                stake.years()
                        .ifPresent(years -> add(
                                "stake-off-" + years,
                                "Take the stakes and ties off {} if they stand firm",
                                "A stem that moves a little grows strong; wire swallowed by a stem kills it years"
                                        + " later.",
                                off,
                                off.plusMonths(1),
                                off.plusYears(2)));
            });
        }

        private void covers() {
            LocalDate autumn = next(planted, calendar.autumn());
            LocalDate spring = next(autumn, calendar.spring());
            if (school(PlantingWays.CANE).equals("kept")) {
                add(
                        "cane-off",
                        "Take the nursery canes and their bindings off {}",
                        "They were kept for one season.",
                        autumn,
                        autumn.plusMonths(1),
                        autumn.plusYears(2));
            }
            switch (school(PlantingWays.STEM)) {
                case "paper", "spiral" ->
                    add(
                            "wrap-off",
                            "Take the stem wraps off {}",
                            "Insects live under them, and bark under cover stays soft.",
                            spring,
                            spring.plusMonths(1),
                            spring.plusMonths(6));
                case "cloth" ->
                    add(
                            "screen-off",
                            "Take the shade screens off {}",
                            "The low sun of winter does not burn; they are put up again if bark is still bare.",
                            autumn,
                            autumn.plusMonths(1),
                            autumn.plusMonths(6));
                default -> {
                    // Paint stays, and bare bark needs nothing.
                }
            }
        }
    }

    /** @param planted or to be planted */
    public static List<Aftercare> of(PlantingSection section, LocalDate planted, Calendar calendar) {
        Due due = new Due(section, planted, calendar);
        due.unions();
        due.basin();
        due.feeds();
        due.fruit();
        due.stakes();
        due.covers();
        return List.copyOf(due.all);
    }

    /** From when on a basin is levelled. */
    public static LocalDate levelled(LocalDate planted) {
        return planted.plusMonths(1);
    }

    /** The first such day that does not lie before another. */
    private static LocalDate next(LocalDate day, MonthDay wanted) {
        LocalDate of = wanted.atYear(day.getYear());
        return of.isBefore(day) ? wanted.atYear(day.getYear() + 1) : of;
    }
}
