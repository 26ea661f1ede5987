package idlebough.core.almanac;

import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Table;
import idlebough.core.measure.Quantity;
import idlebough.core.planting.Aftercare;
import idlebough.core.planting.Delivery;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingWays;
import idlebough.core.site.Footing;
import idlebough.core.site.SiteStage;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
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
     * @param section in which it is planted
     */
    public record TreeToPlant(String id, String label, PlantingSection section, boolean ordered, FirstSeason season) {
        private Footing footing() {
            return section.setting().footing();
        }

        private boolean bareRoot() {
            return section.setting().tree().form() == Form.BARE;
        }
    }

    /**
     * A tree that was planted and is still cared for.
     *
     * @param season its first weeks of watering
     * @param checked when its union was looked at again
     */
    public record Young(
            String id,
            String label,
            LocalDate planted,
            PlantingSection section,
            FirstSeason season,
            List<LocalDate> checked) {}

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
    private static void guards(Setting plan, List<Task> tasks) {
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

    /** What is due for the trees that were planted on one day, and for those of another. */
    private static void young(Setting plan, List<Task> tasks) {
        guards(plan, tasks);
        plan.young().stream()
                .collect(Collectors.groupingBy(Young::planted, TreeMap::new, Collectors.toList()))
                .forEach((day, trees) -> {
                    weeks(
                            tasks,
                            trees.stream().map(Young::season).toList(),
                            trees.stream().map(Young::id).toList(),
                            "-" + day,
                            true);
                    Map<Aftercare, List<Young>> due = new LinkedHashMap<>();
                    trees.forEach(tree -> Aftercare.of(tree.section(), day, calendar(plan)).stream()
                            .filter(care -> !looked(tree, care))
                            .forEach(care -> due.computeIfAbsent(care, fresh -> new ArrayList<>())
                                    .add(tree)));
                    due.forEach((care, of) -> tasks.add(task(
                            care,
                            "-" + day,
                            of.stream().map(Young::label).toList(),
                            of.stream().map(Young::id).toList())));
                });
    }

    /** Whether a look at the union that was due is in the book. */
    private static boolean looked(Young tree, Aftercare care) {
        return care.key().startsWith("union-") && tree.checked().stream().anyMatch(day -> !day.isBefore(care.from()));
    }

    private static Task task(Aftercare care, String suffix, List<String> labels, List<String> trees) {
        return new Task(
                care.key() + suffix,
                care.from(),
                care.to(),
                Phrase.of(care.what(), labels(labels)),
                care.why(),
                work(care.key(), trees),
                Optional.of(care.lapses()),
                Optional.empty());
    }

    private static Aftercare.Calendar calendar(Setting plan) {
        return new Aftercare.Calendar(plan.southern(), plan.bloom().orElse(MonthDay.of(plan.southern() ? 10 : 4, 15)));
    }

    /** @param lapse whether a week that is over is not asked for any more */
    private static void weeks(
            List<Task> tasks, List<FirstSeason> seasons, List<String> trees, String suffix, boolean lapse) {
        seasons.stream()
                .findFirst()
                .ifPresent(season -> season.weeks().forEach(week -> {
                    double litres = seasons.stream()
                            .mapToDouble(s -> s.weeks().get(week.number() - 1).total())
                            .sum();
                    String key = WEEK + week.number();
                    LocalDate last = week.from().plusDays(6);
                    tasks.add(new Task(
                            key + suffix,
                            week.from(),
                            last,
                            Phrase.of(
                                    "Water, week {}: {}, {} in all",
                                    Amount.count(week.number()),
                                    week.times() == 1 ? "once" : week.times() == 2 ? "twice" : week.times() + " times",
                                    Amount.litres(litres)),
                            Phrase.of(
                                    "{} of rain in the week needs none. Probe first.",
                                    Amount.of(FirstSeason.RAIN_INSTEAD, Quantity.RAIN)),
                            work(key, trees),
                            lapse ? Optional.of(last.plusDays(1)) : Optional.empty(),
                            Optional.empty()));
                }));
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
        arrivals(plan, tasks);
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
                    Phrase.of(
                            "Soak bare roots: {}",
                            Phrase.of(plan.trees().stream()
                                    .filter(TreeToPlant::bareRoot)
                                    .findFirst()
                                    .orElseThrow()
                                    .section()
                                    .setting()
                                    .school(PlantingWays.SOAK)
                                    .name())),
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
        List<TreeToPlant> staked =
                plan.trees().stream().filter(tree -> tree.section().staked()).toList();
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
        weeks(tasks, plan.trees().stream().map(TreeToPlant::season).toList(), all, "", false);
        Map<Aftercare, List<TreeToPlant>> due = new LinkedHashMap<>();
        plan.trees()
                .forEach(tree -> Aftercare.of(tree.section(), day, calendar(plan))
                        .forEach(care -> due.computeIfAbsent(care, fresh -> new ArrayList<>())
                                .add(tree)));
        due.forEach((care, trees) ->
                tasks.add(task(care, "", trees.stream().map(TreeToPlant::label).toList(), ids(trees))));
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

    /** Wood that may still sleep is looked at again, and trees that wait for a day have to leave their place then. */
    private static void arrivals(Setting plan, List<Task> tasks) {
        Map<LocalDate, List<TreeToPlant>> again = new TreeMap<>();
        Map<LocalDate, List<TreeToPlant>> until = new TreeMap<>();
        plan.trees().forEach(tree -> {
            NurseryTree came = tree.section().setting().tree();
            Delivery.of(came)
                    .second()
                    .ifPresent(day -> again.computeIfAbsent(day, fresh -> new ArrayList<>())
                            .add(tree));
            came.arrival()
                    .kept()
                    .flatMap(Arrival.Kept::until)
                    .ifPresent(day -> until.computeIfAbsent(day, fresh -> new ArrayList<>())
                            .add(tree));
        });
        again.forEach((day, trees) -> add(
                tasks,
                "second-look-" + day,
                day,
                day.plusDays(6),
                Phrase.of("Look at the bark of {} again", labelsOf(trees)),
                Phrase.of("What slept when it came has woken by now, or is dead: then claim it."),
                ids(trees)));
        until.forEach((day, trees) -> add(
                tasks,
                "kept-" + day,
                day.minusDays(2),
                day,
                Phrase.of("{} leave the place where they wait", labelsOf(trees)),
                Phrase.of("Plant them, or find them another place: that was the day set when they came."),
                ids(trees)));
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
