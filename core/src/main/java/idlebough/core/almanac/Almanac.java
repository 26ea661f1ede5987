package idlebough.core.almanac;

import idlebough.core.crop.Rootstock;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Table;
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
import org.apache.commons.csv.CSVRecord;

/**
 * The dated tasks of a plan, counted back and forward from the planting date (lead times: common practice
 * throughout).
 */
public final class Almanac {
    /** How the keys of the weeks of watering begin; their number follows. */
    static final String WEEK = "water-";

    private static final List<CSVRecord> MINUTES = Table.rows("almanac/minutes.csv");
    private static final int GUARDED_YEARS = 4;
    private static final int NAMED = 6;

    private Almanac() {}

    /**
     * What of one tree decides its tasks.
     *
     * @param id the caller's identifier
     * @param stock empty while none is chosen
     */
    public record TreeToPlant(
            String id,
            String label,
            Optional<Rootstock> stock,
            Footing footing,
            boolean bareRoot,
            boolean ordered,
            FirstSeason season) {}

    /** A tree that was planted and still needs its guards. */
    public record Young(String id, String label, LocalDate planted) {}

    /**
     * What of the plan decides its tasks.
     *
     * @param gates above all its planting date
     * @param soil what is done to it long before
     * @param bloom the last full bloom of its trees in a median spring, any year; empty where none is predicted
     * @param young trees of the last years
     * @param done by the key of the task, the day on which it was done
     */
    public record Setting(
            Gates gates,
            double latitude,
            SiteStage.SoilCare soil,
            Optional<MonthDay> bloom,
            List<TreeToPlant> trees,
            List<Young> young,
            Map<String, LocalDate> done) {
        LocalDate planting() {
            return gates.planting();
        }

        boolean southern() {
            return latitude < 0;
        }
    }

    public static List<Task> of(Setting plan) {
        List<Task> tasks = new ArrayList<>();
        if (!plan.trees().isEmpty() || plan.young().isEmpty()) {
            planting(plan, tasks);
        }
        young(plan, tasks);
        return tasks.stream()
                .map(task -> task.doneOn(Optional.ofNullable(plan.done().get(task.key()))))
                .sorted(Comparator.comparing(Task::from).thenComparing(Task::key))
                .toList();
    }

    /** Guards each autumn, until the bark is thick enough. */
    private static void young(Setting plan, List<Task> tasks) {
        Map<Integer, List<Young>> byAutumn = new TreeMap<>();
        plan.young().forEach(tree -> {
            int first = next(tree.planted(), autumn(plan)).getYear();
            for (int year = first; year < first + GUARDED_YEARS; year++) {
                byAutumn.computeIfAbsent(year, fresh -> new ArrayList<>()).add(tree);
            }
        });
        byAutumn.forEach((year, trees) -> {
            LocalDate from = autumn(plan).atYear(year);
            tasks.add(new Task(
                    "guards-" + year,
                    from,
                    from.plusDays(29),
                    Phrase.of(
                            "Guards on {}; clear the mulch from the stems",
                            labels(trees.stream().map(Young::label).toList())),
                    Phrase.of("Mice, voles and rabbits ring young bark in winter; each year until it is rough."),
                    work("guards", trees.stream().map(Young::id).toList()),
                    Optional.of(from.plusMonths(5)),
                    Optional.empty()));
        });
    }

    private static MonthDay autumn(Setting plan) {
        return MonthDay.of(plan.southern() ? 4 : 10, 1);
    }

    private static void planting(Setting plan, List<Task> tasks) {
        LocalDate day = plan.planting();
        List<String> all = plan.trees().stream().map(TreeToPlant::id).toList();
        if (!plan.soil().tested()) {
            add(
                    tasks,
                    "soil-test",
                    day.minusMonths(12),
                    day.minusMonths(6),
                    Phrase.of("Dig the pits, test the soil and its drainage"),
                    Phrase.of("Everything downstream hangs on it; the second filling is the one that counts."),
                    List.of());
        }
        if (plan.soil().sulphur()) {
            add(
                    tasks,
                    "sulphur",
                    day.minusMonths(12),
                    day.minusMonths(11),
                    Phrase.of("Work in sulphur where the soil is alkaline"),
                    Phrase.of("It needs a warm moist year. Keep the dust off skin, eyes and pets."),
                    List.of());
        }
        if (plan.soil().limy()) {
            add(
                    tasks,
                    "lime-stocks",
                    day.minusMonths(12),
                    day.minusMonths(7),
                    Phrase.of("Choose stocks that stand lime before you order"),
                    Phrase.of("Free lime makes sulphur hopeless here."),
                    List.of());
        }
        if (plan.soil().lime()) {
            add(
                    tasks,
                    "lime",
                    day.minusMonths(6),
                    day.minusMonths(3),
                    Phrase.of("Lime where the soil is acid"),
                    Phrase.of("Three to six months before planting, full effect in one to two years."),
                    List.of());
        }
        if (plan.soil().rip()) {
            add(
                    tasks,
                    "rip",
                    day.minusMonths(9),
                    day.minusMonths(3),
                    Phrase.of("Break the pan along the rows when the subsoil is dry"),
                    Phrase.of("{} to {} deep. Have buried services located first.", Amount.cm(0.6), Amount.cm(1)),
                    List.of());
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
                            ? Phrase.of("Lay the drain and build the mounds for {}", labelsOf(mounds))
                            : Phrase.of("Build the mounds for {}", labelsOf(mounds)),
                    Phrase.of("They must settle for three to six months. Not against walls or near foundations."),
                    ids(mounds));
        }
        List<String> toOrder = plan.trees().stream()
                .filter(tree -> !tree.ordered())
                .map(TreeToPlant::id)
                .toList();
        if (!toOrder.isEmpty() && plan.gates().order().sent().isEmpty()) {
            LocalDate by = plan.gates().orderBy();
            add(
                    tasks,
                    "order",
                    by.minusMonths(2),
                    by,
                    Phrase.of(
                            toOrder.size() == 1
                                    ? "Order {} tree, variety and stock both named"
                                    : "Order {} trees, variety and stock both named",
                            Amount.count(toOrder.size())),
                    plan.gates()
                            .order()
                            .closes()
                            .map(closes -> Phrase.of("The nursery closes its list on {}.", closes))
                            .orElse(Phrase.of("Bare-root trees are ordered the summer before.")),
                    toOrder);
        }
        add(
                tasks,
                "peg",
                day.minusWeeks(3),
                day.minusWeeks(1),
                Phrase.of("Peg out with two tapes"),
                Phrase.of("Before the delivery, so that no tree waits."),
                all);
        add(
                tasks,
                "services",
                day.minusWeeks(2),
                day.minusWeeks(1),
                Phrase.of("Have buried services located"),
                Phrase.of("Utilities need notice; licensed people near lines."),
                List.of());
        add(
                tasks,
                "water-ahead",
                day.minusDays(1),
                day.minusDays(1),
                Phrase.of("Water the pots and the planting spots"),
                Phrase.of("To a spade's depth, the day before."),
                all);
        if (plan.trees().stream().anyMatch(TreeToPlant::bareRoot)) {
            add(
                    tasks,
                    "soak",
                    day,
                    day,
                    Phrase.of("Soak bare roots two to six hours"),
                    Phrase.of("More than a day drowns them."),
                    all);
        }
        add(
                tasks,
                "plant",
                day,
                day.plusDays(plan.trees().size() > 12 ? 1 : 0),
                Phrase.of("Plant, water in, measure every union over the board"),
                Phrase.of("Go when the soil is moist and no freeze comes in the next two to three days."),
                all);
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
                    Phrase.of("Stake {} to windward", labelsOf(staked)),
                    Phrase.of("The same or the next day: two weeks later the stake breaks new roots."),
                    ids(staked));
        }
        plan.trees().stream()
                .map(TreeToPlant::season)
                .findFirst()
                .ifPresent(season -> season.weeks().forEach(week -> {
                    double litres = plan.trees().stream()
                            .map(TreeToPlant::season)
                            .mapToDouble(s -> s.weeks().get(week.number() - 1).total())
                            .sum();
                    add(
                            tasks,
                            WEEK + week.number(),
                            week.from(),
                            week.from().plusDays(6),
                            Phrase.of(
                                    "Water, week {}: {}, {} in all",
                                    Amount.count(week.number()),
                                    week.times() == 1 ? "once" : week.times() == 2 ? "twice" : week.times() + " times",
                                    Amount.litres(litres)),
                            Phrase.of(
                                    "{} of rain in the week needs none. Probe first.",
                                    Amount.of(FirstSeason.RAIN_INSTEAD, Quantity.RAIN)),
                            all);
                }));
        add(
                tasks,
                "union-3",
                day.plusWeeks(3),
                day.plusWeeks(3).plusDays(6),
                Phrase.of("Look at the unions; top up sunken soil beside the ball, never on it"),
                Phrase.of("Two thirds of the settling is done."),
                all);
        add(
                tasks,
                "feed",
                day.plusWeeks(6),
                day.plusWeeks(8),
                Phrase.of("First feed, if growth shows and the soil test asks for it"),
                Phrase.of("None for four to eight weeks, none in the hole."),
                all);
        add(
                tasks,
                "union-8",
                day.plusWeeks(8),
                day.plusWeeks(9),
                Phrase.of("Measure every union again"),
                Phrase.of("Settled: what stands now stays."),
                all);
        LocalDate bloom = next(day, plan.bloom().orElse(MonthDay.of(plan.southern() ? 10 : 4, 15)));
        add(
                tasks,
                "fruit-off",
                bloom.plusWeeks(3),
                bloom.plusWeeks(7),
                Phrase.of("Take the fruit off in the first season"),
                Phrase.of("It hurts, and it pays."),
                all);
        LocalDate autumn = next(day, autumn(plan));
        if (inWinter(day, plan.southern())) {
            add(
                    tasks,
                    "guards-first",
                    day,
                    day.plusDays(1),
                    Phrase.of("Guards on against mice, voles and rabbits as you plant"),
                    Phrase.of("It is winter, and they gnaw in their first one."),
                    all);
        }
        add(
                tasks,
                "guards",
                autumn,
                autumn.plusDays(29),
                Phrase.of("Guards on against mice, voles and rabbits; clear the mulch from the stems"),
                Phrase.of("Before the winter, each year."),
                all);
        Map<Integer, List<TreeToPlant>> off = plan.trees().stream()
                .filter(tree -> stakeYears(tree) > 0)
                .collect(Collectors.groupingBy(Almanac::stakeYears, TreeMap::new, Collectors.toList()));
        off.forEach((years, trees) -> add(
                tasks,
                "stake-off-" + years,
                day.plusYears(years),
                day.plusYears(years).plusMonths(1),
                years == 1
                        ? Phrase.of("Take off any first-year stake and tie: {}", labelsOf(trees))
                        : Phrase.of("Take off the stakes of {} if they stand firm", labelsOf(trees)),
                Phrase.of("A stem that moves a little grows strong; wire swallowed by a stem kills it years later."),
                ids(trees)));
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

    private static String labelsOf(List<TreeToPlant> trees) {
        return labels(trees.stream().map(TreeToPlant::label).toList());
    }

    private static List<String> ids(List<TreeToPlant> trees) {
        return trees.stream().map(TreeToPlant::id).toList();
    }

    private static String labels(List<String> trees) {
        String named = trees.stream().limit(NAMED).collect(Collectors.joining(", "));
        return trees.size() <= NAMED ? named : named + " and " + (trees.size() - NAMED) + " more";
    }

    private static void add(
            List<Task> tasks, String key, LocalDate from, LocalDate to, Phrase what, Phrase why, List<String> trees) {
        tasks.add(new Task(key, from, to, what, why, work(key, trees), Optional.empty(), Optional.empty()));
    }

    /** How long it takes: by the row of the table with which its key begins. */
    private static Task.Work work(String key, List<String> trees) {
        CSVRecord row = MINUTES.stream()
                .filter(each -> key.equals(each.get("task")) || key.startsWith(each.get("task") + "-"))
                .max(Comparator.comparingInt(each -> each.get("task").length()))
                .orElseThrow(() -> new IllegalStateException("No minutes are known for the task " + key + "."));
        double minutes = Table.number(row, "once") + Table.number(row, "tree") * trees.size();
        return new Task.Work((int) Math.round(minutes), trees);
    }
}
