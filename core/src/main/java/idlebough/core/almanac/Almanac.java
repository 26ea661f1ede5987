package idlebough.core.almanac;

import idlebough.core.crop.Rootstock;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.measure.Quantity;
import idlebough.core.site.Footing;
import idlebough.core.site.SiteStage;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * The dated tasks of a plan, counted back and forward from the planting date (lead times: common practice
 * throughout).
 */
public final class Almanac {
    private Almanac() {}

    /**
     * What of one tree decides its tasks.
     *
     * @param stock empty while none is chosen
     */
    public record TreeToPlant(
            String label,
            Optional<Rootstock> stock,
            Footing footing,
            boolean bareRoot,
            boolean ordered,
            FirstSeason season) {}

    /**
     * What of the plan decides its tasks.
     *
     * @param soil what is done to it long before
     * @param bloom the last full bloom of its trees in a median spring, any year; empty where none is predicted
     */
    public record Setting(
            LocalDate planting,
            double latitude,
            SiteStage.SoilCare soil,
            Optional<MonthDay> bloom,
            List<TreeToPlant> trees) {
        boolean southern() {
            return latitude < 0;
        }
    }

    public static List<Task> of(Setting plan) {
        List<Task> tasks = new ArrayList<>();
        LocalDate day = plan.planting();
        if (!plan.soil().tested()) {
            add(
                    tasks,
                    "soil-test",
                    day.minusMonths(12),
                    day.minusMonths(6),
                    Phrase.of("Dig the pits, test the soil and its drainage"),
                    Phrase.of("Everything downstream hangs on it; the second filling is the one that counts."));
        }
        if (plan.soil().sulphur()) {
            add(
                    tasks,
                    "sulphur",
                    day.minusMonths(12),
                    day.minusMonths(11),
                    Phrase.of("Work in sulphur where the soil is alkaline"),
                    Phrase.of("It needs a warm moist year. Keep the dust off skin, eyes and pets."));
        }
        if (plan.soil().limy()) {
            add(
                    tasks,
                    "lime-stocks",
                    day.minusMonths(12),
                    day.minusMonths(7),
                    Phrase.of("Choose stocks that stand lime before you order"),
                    Phrase.of("Free lime makes sulphur hopeless here."));
        }
        if (plan.soil().lime()) {
            add(
                    tasks,
                    "lime",
                    day.minusMonths(6),
                    day.minusMonths(3),
                    Phrase.of("Lime where the soil is acid"),
                    Phrase.of("Three to six months before planting, full effect in one to two years."));
        }
        if (plan.soil().rip()) {
            add(
                    tasks,
                    "rip",
                    day.minusMonths(9),
                    day.minusMonths(3),
                    Phrase.of("Break the pan along the rows when the subsoil is dry"),
                    Phrase.of("{} to {} deep. Have buried services located first.", Amount.cm(0.6), Amount.cm(1)));
        }
        List<TreeToPlant> mounds =
                plan.trees().stream().filter(tree -> tree.footing().raised()).toList();
        if (!mounds.isEmpty()) {
            add(
                    tasks,
                    "mounds",
                    day.minusMonths(6),
                    day.minusMonths(3),
                    mounds.stream().anyMatch(tree -> tree.footing().drained())
                            ? Phrase.of("Lay the drain and build the mounds for {}", labels(mounds))
                            : Phrase.of("Build the mounds for {}", labels(mounds)),
                    Phrase.of("They must settle for three to six months. Not against walls or near foundations."));
        }
        long toOrder = plan.trees().stream().filter(tree -> !tree.ordered()).count();
        if (toOrder > 0) {
            add(
                    tasks,
                    "order",
                    day.minusMonths(7),
                    day.minusMonths(5),
                    Phrase.of(
                            toOrder == 1
                                    ? "Order {} tree, variety and stock both named"
                                    : "Order {} trees, variety and stock both named",
                            Amount.count(toOrder)),
                    Phrase.of("Bare-root trees are ordered the summer before."));
        }
        add(
                tasks,
                "peg",
                day.minusWeeks(3),
                day.minusWeeks(1),
                Phrase.of("Peg out with two tapes"),
                Phrase.of("Before the delivery, so that no tree waits."));
        add(
                tasks,
                "services",
                day.minusWeeks(2),
                day.minusWeeks(1),
                Phrase.of("Have buried services located"),
                Phrase.of("Utilities need notice; licensed people near lines."));
        add(
                tasks,
                "water-ahead",
                day.minusDays(1),
                day.minusDays(1),
                Phrase.of("Water the pots and the planting spots"),
                Phrase.of("To a spade's depth, the day before."));
        if (plan.trees().stream().anyMatch(TreeToPlant::bareRoot)) {
            add(
                    tasks,
                    "soak",
                    day,
                    day,
                    Phrase.of("Soak bare roots two to six hours"),
                    Phrase.of("More than a day drowns them."));
        }
        add(
                tasks,
                "plant",
                day,
                day.plusDays(plan.trees().size() > 12 ? 1 : 0),
                Phrase.of("Plant, water in, measure every union over the board"),
                Phrase.of("Go when the soil is moist and no freeze comes in the next two to three days."));
        List<TreeToPlant> staked = plan.trees().stream()
                .filter(tree -> tree.stock()
                        .map(stock -> stock.support() != Rootstock.Support.NONE)
                        .orElse(false))
                .toList();
        if (!staked.isEmpty()) {
            add(
                    tasks,
                    "stake",
                    day,
                    day.plusDays(1),
                    Phrase.of("Stake {} to windward", labels(staked)),
                    Phrase.of("The same or the next day: two weeks later the stake breaks new roots."));
        }
        plan.trees().stream()
                .map(TreeToPlant::season)
                .findFirst()
                .ifPresent(season -> season.weeks().forEach(week -> {
                    double all = plan.trees().stream()
                            .map(TreeToPlant::season)
                            .mapToDouble(s -> s.weeks().get(week.number() - 1).total())
                            .sum();
                    add(
                            tasks,
                            "water-" + week.number(),
                            week.from(),
                            week.from().plusDays(6),
                            Phrase.of(
                                    "Water, week {}: {}, {} in all",
                                    Amount.count(week.number()),
                                    week.times() == 1 ? "once" : week.times() == 2 ? "twice" : week.times() + " times",
                                    Amount.litres(all)),
                            Phrase.of(
                                    "{} of rain in the week needs none. Probe first.",
                                    Amount.of(FirstSeason.RAIN_INSTEAD, Quantity.RAIN)));
                }));
        add(
                tasks,
                "union-3",
                day.plusWeeks(3),
                day.plusWeeks(3).plusDays(6),
                Phrase.of("Look at the unions; top up sunken soil beside the ball, never on it"),
                Phrase.of("Two thirds of the settling is done."));
        add(
                tasks,
                "feed",
                day.plusWeeks(6),
                day.plusWeeks(8),
                Phrase.of("First feed, if growth shows and the soil test asks for it"),
                Phrase.of("None for four to eight weeks, none in the hole."));
        add(
                tasks,
                "union-8",
                day.plusWeeks(8),
                day.plusWeeks(9),
                Phrase.of("Measure every union again"),
                Phrase.of("Settled: what stands now stays."));
        LocalDate bloom = next(day, plan.bloom().orElse(MonthDay.of(plan.southern() ? 10 : 4, 15)));
        add(
                tasks,
                "fruit-off",
                bloom.plusWeeks(3),
                bloom.plusWeeks(7),
                Phrase.of("Take the fruit off in the first season"),
                Phrase.of("It hurts, and it pays."));
        LocalDate autumn = next(day, MonthDay.of(plan.southern() ? 4 : 10, 1));
        if (inWinter(day, plan.southern())) {
            add(
                    tasks,
                    "guards-first",
                    day,
                    day.plusDays(1),
                    Phrase.of("Guards on against mice, voles and rabbits as you plant"),
                    Phrase.of("It is winter, and they gnaw in their first one."));
        }
        add(
                tasks,
                "guards",
                autumn,
                autumn.plusDays(29),
                Phrase.of("Guards on against mice, voles and rabbits; clear the mulch from the stems"),
                Phrase.of("Before the winter, each year."));
        Map<Integer, List<TreeToPlant>> off = plan.trees().stream()
                .filter(tree -> stakeYears(tree) > 0)
                .collect(Collectors.groupingBy(Almanac::stakeYears, TreeMap::new, Collectors.toList()));
        off.forEach((years, trees) -> add(
                tasks,
                "stake-off-" + years,
                day.plusYears(years),
                day.plusYears(years).plusMonths(1),
                years == 1
                        ? Phrase.of("Take off any first-year stake and tie: {}", labels(trees))
                        : Phrase.of("Take off the stakes of {} if they stand firm", labels(trees)),
                Phrase.of("A stem that moves a little grows strong; wire swallowed by a stem kills it years later.")));
        tasks.sort(Comparator.comparing(Task::from).thenComparing(Task::key));
        return List.copyOf(tasks);
    }

    private static int stakeYears(TreeToPlant tree) {
        return tree.stock().map(stock -> stock.support().years()).orElse(0);
    }

    /** The first such day that does not lie before another. */
    private static LocalDate next(LocalDate day, MonthDay wanted) {
        LocalDate of = wanted.atYear(day.getYear());
        return of.isBefore(day) ? wanted.atYear(day.getYear() + 1) : of;
    }

    /** November to February in the north, May to August in the south. */
    private static boolean inWinter(LocalDate day, boolean southern) {
        int month = (day.getMonthValue() + (southern ? 6 : 0)) % 12;
        return month == 11 || month <= 2;
    }

    private static String labels(List<TreeToPlant> trees) {
        String named = trees.stream().limit(6).map(TreeToPlant::label).collect(Collectors.joining(", "));
        return trees.size() <= 6 ? named : named + " and " + (trees.size() - 6) + " more";
    }

    private static void add(List<Task> tasks, String key, LocalDate from, LocalDate to, Phrase what, Phrase why) {
        tasks.add(new Task(key, from, to, what, why));
    }
}
