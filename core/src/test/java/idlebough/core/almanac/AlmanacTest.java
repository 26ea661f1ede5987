package idlebough.core.almanac;

import static org.assertj.core.api.Assertions.assertThat;

import idlebough.core.Shipped;
import idlebough.core.crop.Arrival;
import idlebough.core.crop.Form;
import idlebough.core.crop.NurseryTree;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.irrigation.PlantingClimate;
import idlebough.core.judge.Way;
import idlebough.core.measure.Display;
import idlebough.core.measure.UnitSystem;
import idlebough.core.planting.Aftercare;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.PlantingWays;
import idlebough.core.site.Footing;
import idlebough.core.site.SiteStage;
import idlebough.core.site.Texture;
import java.time.LocalDate;
import java.time.MonthDay;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Lead times and follow-ups of the trade (common practice). */
class AlmanacTest {
    private static final LocalDate DAY = LocalDate.of(2027, 3, 20);
    private static final Gates GATES = Gates.of(Gates.Order.NONE, DAY);
    private static final Display METRIC = new Display(UnitSystem.METRIC, Locale.UK);

    private static Almanac.TreeToPlant tree(String label, String stock, Footing footing, boolean bare) {
        return new Almanac.TreeToPlant(label, label, section(stock, footing, bare, Map.of()), false, season(DAY, bare));
    }

    private static PlantingSection section(String stock, Footing footing, boolean bare, Map<String, String> ways) {
        return PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(bare ? Form.BARE : Form.CONTAINER, 0.4, 0.3, Optional.of(0.13), 0.02),
                Optional.of(Shipped.stock(stock)),
                PlantingSection.Soil.untested(Texture.LOAM),
                footing,
                ways,
                Optional.empty(),
                42));
    }

    private static FirstSeason season(LocalDate day, boolean bare) {
        return FirstSeason.of(
                new FirstSeason.Setting(day, bare ? 0 : 25, Optional.empty(), new PlantingClimate(16, 3)));
    }

    private static List<Task> tasks(
            LocalDate day, double latitude, boolean alkaline, boolean acid, boolean pan, Almanac.TreeToPlant... trees) {
        return Almanac.of(setting(
                Gates.of(Gates.Order.NONE, day),
                latitude,
                new SiteStage.SoilCare(alkaline, false, acid, pan, false),
                Optional.of(MonthDay.of(latitude < 0 ? 10 : 5, 9)),
                List.of(trees)));
    }

    private static Almanac.Setting setting(
            Gates gates,
            double latitude,
            SiteStage.SoilCare soil,
            Optional<MonthDay> bloom,
            List<Almanac.TreeToPlant> trees) {
        return new Almanac.Setting(gates, latitude, soil, bloom, trees, List.of(), Map.of());
    }

    private static Task task(List<Task> tasks, String key) {
        return tasks.stream()
                .filter(t -> t.key().equals(key))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no task " + key));
    }

    @Test
    void inTheOrderOfTheDatesWithKeysOfTheirOwn() {
        List<Task> tasks = tasks(
                DAY,
                42,
                true,
                true,
                true,
                tree("A1", "m9", Footing.GRADE, true),
                tree("A2", "mm111", Footing.MOUND, false));
        assertThat(tasks).isSortedAccordingTo(Comparator.comparing(Task::from));
        assertThat(tasks).extracting(Task::key).doesNotHaveDuplicates();
        assertThat(tasks).allSatisfy(t -> assertThat(t.to()).isAfterOrEqualTo(t.from()));
    }

    @Test
    void leadTimesCountBackFromThePlantingDay() {
        List<Task> tasks = tasks(DAY, 42, true, true, true, tree("A1", "m9", Footing.MOUND, true));
        assertThat(task(tasks, "sulphur").from()).isEqualTo(DAY.minusMonths(12));
        assertThat(task(tasks, "lime").to()).isEqualTo(DAY.minusMonths(3));
        assertThat(task(tasks, "rip").from()).isEqualTo(DAY.minusMonths(9));
        assertThat(task(tasks, "mounds").to()).isEqualTo(DAY.minusMonths(3));
        assertThat(task(tasks, "services").to()).isBefore(DAY);
        assertThat(task(tasks, "soak").from()).isEqualTo(DAY);
    }

    @Test
    void onlyWhatIsNeeded() {
        List<Task> tasks = tasks(DAY, 42, false, false, false, tree("A1", "mm111", Footing.GRADE, false));
        assertThat(tasks).extracting(Task::key).doesNotContain("sulphur", "lime", "rip", "mounds", "soak", "stake");
        assertThat(tasks(DAY, 42, false, false, false)).extracting(Task::key).doesNotContain("order", "water-1");
    }

    @Test
    void stakesComeOffWhenTheStockAllows() {
        List<Task> tasks = tasks(
                DAY,
                42,
                false,
                false,
                false,
                tree("A1", "m9", Footing.GRADE, true),
                tree("A2", "mm106", Footing.GRADE, true),
                tree("A3", "mm111", Footing.GRADE, true));
        assertThat(task(tasks, "stake").what().in(METRIC)).contains("A1, A2").doesNotContain("A3");
        assertThat(task(tasks, "stake-off-3").what().in(METRIC)).contains("A2").doesNotContain("A1");
        assertThat(tasks)
                .as("what has no stake is not told to lose it")
                .noneMatch(t -> t.what().in(METRIC).contains("stakes")
                        && t.what().in(METRIC).contains("A3"));
    }

    /** common practice: guards before each winter, and at once where trees are planted into it. */
    @Test
    void guardsGoOnBeforeTheWinterOfEitherHemisphere() {
        assertThat(task(tasks(DAY, 42, false, false, false), "guards").to()).isBefore(LocalDate.of(2027, 11, 1));
        assertThat(task(tasks(LocalDate.of(2027, 8, 15), -36, false, false, false), "guards")
                        .to())
                .isBefore(LocalDate.of(2028, 5, 1));
        assertThat(task(tasks(LocalDate.of(2027, 12, 5), 42, false, false, false), "guards-first")
                        .from())
                .isEqualTo(LocalDate.of(2027, 12, 5));
        assertThat(tasks(DAY, 42, false, false, false)).extracting(Task::key).doesNotContain("guards-first");
    }

    /** Fruit sets some weeks after full bloom; what is planted after it bears in the next year. */
    @Test
    void fruitComesOffAfterTheBloom() {
        Almanac.TreeToPlant one = tree("A1", "m9", Footing.GRADE, true);
        assertThat(task(tasks(DAY, 42, false, false, false, one), "fruit-off").from())
                .isEqualTo(LocalDate.of(2027, 5, 30));
        assertThat(task(tasks(LocalDate.of(2027, 11, 20), 42, false, false, false, one), "fruit-off")
                        .from())
                .isEqualTo(LocalDate.of(2028, 5, 30));
    }

    @Test
    void sulphurIsNotScheduledWhereItIsHopeless() {
        List<Task> tasks = Almanac.of(setting(
                GATES, 42, new SiteStage.SoilCare(false, true, false, false, false), Optional.empty(), List.of()));
        assertThat(tasks).extracting(Task::key).contains("lime-stocks").doesNotContain("sulphur");
        assertThat(task(tasks, "lime-stocks").isLate(DAY)).isTrue();
        assertThat(task(tasks, "plant").isLate(DAY)).isFalse();
    }

    @Test
    void whatIsDoneIsNotAskedForAgain() {
        Almanac.TreeToPlant one = tree("A1", "m9", Footing.GRADE, true);
        Almanac.TreeToPlant ordered = new Almanac.TreeToPlant(one.id(), one.label(), one.section(), true, one.season());
        SiteStage.SoilCare tested = new SiteStage.SoilCare(false, false, false, false, true);
        assertThat(Almanac.of(setting(GATES, 42, tested, Optional.empty(), List.of(ordered))))
                .extracting(Task::key)
                .contains("plant")
                .doesNotContain("soil-test", "order");
        assertThat(task(Almanac.of(setting(GATES, 42, tested, Optional.empty(), List.of(ordered, one))), "order")
                        .what()
                        .in(METRIC))
                .isEqualTo("Order 1 tree, variety and stock both named");
    }

    @Test
    void eightWeeksOfWaterWithTheLitresOfAllTrees() {
        List<Task> tasks = tasks(
                DAY,
                42,
                false,
                false,
                false,
                tree("A1", "m9", Footing.GRADE, true),
                tree("A2", "m9", Footing.GRADE, true));
        assertThat(tasks)
                .filteredOn(t -> t.key().startsWith("water-") && !t.key().equals("water-ahead"))
                .hasSize(8);
        assertThat(task(tasks, "water-3").what().in(METRIC)).isEqualTo("Water, week 3: once, 16\u00a0L in all");
        assertThat(task(tasks, "water-1").what().in(METRIC)).contains("3 times");
        assertThat(task(tasks, "water-3").why().in(METRIC)).contains("25\u00a0mm");
    }

    @Test
    void theUnionIsLookedAtAfterTwoAndEightWeeks() {
        List<Task> tasks = tasks(DAY, 42, false, false, false, tree("A1", "m9", Footing.GRADE, true));
        assertThat(task(tasks, "union-2").from()).isEqualTo(DAY.plusWeeks(2));
        assertThat(task(tasks, "union-8").from()).isEqualTo(DAY.plusWeeks(8));
        assertThat(task(tasks, "feed").from())
                .as("none for four to eight weeks")
                .isAfterOrEqualTo(DAY.plusWeeks(4));
    }

    /** Lists of nurseries close: the task follows the closing date, and goes when the order is sent. */
    @Test
    void theOrderHasItsOwnDay() {
        Almanac.TreeToPlant one = tree("A1", "m9", Footing.GRADE, true);
        SiteStage.SoilCare tested = new SiteStage.SoilCare(false, false, false, false, true);
        LocalDate closes = LocalDate.of(2026, 12, 15);
        Gates open = Gates.of(new Gates.Order(Optional.of(closes), Optional.empty()), DAY);
        Task order = task(Almanac.of(setting(open, 42, tested, Optional.empty(), List.of(one))), "order");
        assertThat(order.to()).isEqualTo(closes);
        assertThat(order.isLate(closes)).isFalse();
        assertThat(order.isLate(closes.plusDays(1))).isTrue();
        assertThat(order.why().in(METRIC)).isEqualTo("The nursery closes its list on 15 Dec 2026.");
        Gates sent = Gates.of(new Gates.Order(Optional.of(closes), Optional.of(closes.minusDays(3))), DAY);
        assertThat(Almanac.of(setting(sent, 42, tested, Optional.empty(), List.of(one))))
                .extracting(Task::key)
                .doesNotContain("order");
        assertThat(GATES.orderBy()).as("five months before, where nobody knows").isEqualTo(DAY.minusMonths(5));
        assertThat(sent.dayOf(Gate.HOLE)).contains(DAY.minusDays(7));
        assertThat(sent.dayOf(Gate.PLANTING)).contains(DAY);
        assertThat(sent.dayOf(Gate.WATCH)).isEmpty();
    }

    /** Guards each autumn of the first years (common practice); one that was missed is no use after the winter. */
    @Test
    void youngTreesHaveTheirGuardsEachAutumn() {
        SiteStage.SoilCare tested = new SiteStage.SoilCare(false, false, false, false, true);
        Almanac.Young young = young(LocalDate.of(2026, 3, 14), List.of());
        List<Task> all = Almanac.of(new Almanac.Setting(
                GATES,
                42,
                tested,
                Optional.empty(),
                List.of(),
                List.of(young),
                Map.of("guards-2027", LocalDate.of(2027, 10, 12))));
        List<Task> tasks =
                all.stream().filter(task -> task.key().startsWith("guards")).toList();
        assertThat(tasks)
                .extracting(Task::key)
                .containsExactly("guards-2026", "guards-2027", "guards-2028", "guards-2029");
        Task first = tasks.get(0);
        assertThat(first.from()).isEqualTo(LocalDate.of(2026, 10, 1));
        assertThat(first.isLate(LocalDate.of(2026, 10, 30))).isFalse();
        assertThat(first.isLate(LocalDate.of(2026, 11, 26))).isTrue();
        assertThat(first.isLate(LocalDate.of(2027, 3, 1)))
                .as("the winter is over")
                .isFalse();
        assertThat(first.work()).isEqualTo(new Task.Work(13, List.of("a")));
        assertThat(tasks.get(1).isOpen(LocalDate.of(2027, 10, 20))).isFalse();
        Almanac.Setting south =
                new Almanac.Setting(GATES, -37, tested, Optional.empty(), List.of(), List.of(young), Map.of());
        assertThat(task(Almanac.of(south), "guards-2026").from()).isEqualTo(LocalDate.of(2026, 4, 1));
    }

    private static Almanac.Young young(LocalDate day, List<LocalDate> checked) {
        return new Almanac.Young(
                "a", "A1", day, section("mm106", Footing.GRADE, true, Map.of()), season(day, true), checked);
    }

    /**
     * A tree in the ground is cared for from its own day: ring levelled after a month, union measured at eight weeks,
     * fruit off in its first season, stake off when its stock lets it (common practice). What was done long ago, or is
     * of no use any more, is not asked for.
     */
    @Test
    void whatIsPlantedIsCaredForFromItsOwnDay() {
        LocalDate day = LocalDate.of(2026, 3, 14);
        SiteStage.SoilCare tested = new SiteStage.SoilCare(false, false, false, false, true);
        List<Task> tasks = Almanac.of(new Almanac.Setting(
                GATES, 42, tested, Optional.empty(), List.of(), List.of(young(day, List.of())), Map.of()));
        assertThat(task(tasks, "level-2026-03-14").from()).isEqualTo(day.plusMonths(1));
        assertThat(task(tasks, "water-2-2026-03-14").isWeekly()).isTrue();
        assertThat(task(tasks, "water-2-2026-03-14").isLate(day.plusMonths(3)))
                .as("a week that is over")
                .isFalse();
        assertThat(task(tasks, "union-8-2026-03-14").isLate(day.plusWeeks(10))).isTrue();
        assertThat(task(tasks, "fruit-off-2026-03-14").from()).isAfter(LocalDate.of(2026, 4, 30));
        assertThat(task(tasks, "stake-off-3-2026-03-14").from()).isEqualTo(LocalDate.of(2029, 3, 14));
        assertThat(task(tasks, "ties-1-2026-03-14").from()).isEqualTo(day.plusMonths(6));
        assertThat(Almanac.of(new Almanac.Setting(
                        GATES,
                        42,
                        tested,
                        Optional.empty(),
                        List.of(),
                        List.of(young(day, List.of(day.plusWeeks(8)))),
                        Map.of())))
                .extracting(Task::key)
                .doesNotContain("union-2-2026-03-14", "union-8-2026-03-14");
    }

    /** What slept when it came is looked at again in three weeks; what waits leaves its place on the day set for it. */
    @Test
    void whatCameAsleepOrWaitsIsNotForgotten() {
        LocalDate came = LocalDate.of(2027, 2, 20);
        PlantingSection sleeping = PlantingSection.of(new PlantingSection.Setting(
                new NurseryTree(
                        Form.BARE,
                        0.4,
                        0.3,
                        Optional.of(0.13),
                        0.02,
                        new Arrival(
                                Optional.of(came),
                                Optional.empty(),
                                new Arrival.Seen(
                                        Arrival.Label.BOTH,
                                        Arrival.Bark.MIDDLE,
                                        Arrival.Branches.GOOD,
                                        Arrival.Roots.GOOD,
                                        Arrival.Joint.FIRM),
                                Optional.empty(),
                                Optional.empty(),
                                Optional.of(new Arrival.Kept(Arrival.Place.HEELED, Optional.of(came.plusDays(30)))))),
                Optional.of(Shipped.stock("m9")),
                PlantingSection.Soil.untested(Texture.LOAM),
                Footing.GRADE,
                Map.of(),
                Optional.empty(),
                42));
        List<Task> tasks = tasks(
                DAY, 42, false, false, false, new Almanac.TreeToPlant("A1", "A1", sleeping, false, season(DAY, true)));
        assertThat(task(tasks, "second-look-2027-03-13").what().in(METRIC)).contains("bark of A1");
        assertThat(task(tasks, "kept-2027-03-22").to()).isEqualTo(came.plusDays(30));
    }

    /** Seven schools of the first feed, three of the first fruit: each has its own days, or none (common practice). */
    @Test
    void theWaysDecideWhatIsDue() {
        LocalDate day = LocalDate.of(2027, 3, 20);
        Aftercare.Calendar north = new Aftercare.Calendar(false, MonthDay.of(5, 9));
        Map<String, LocalDate> first = new HashMap<>();
        for (Way.School school : PlantingWays.FIRST_FEED.choices()) {
            Aftercare.of(section("mm111", Footing.GRADE, true, Map.of("planting.first-feed", school.key())), day, north)
                    .stream()
                    .filter(care -> care.key().startsWith("feed"))
                    .forEach(care -> first.put(school.key(), care.from()));
        }
        assertThat(first)
                .doesNotContainKeys("hole", "day")
                .containsEntry("month", LocalDate.of(2027, 4, 17))
                .containsEntry("eight", LocalDate.of(2027, 5, 1))
                .containsEntry("hand", LocalDate.of(2027, 5, 9))
                .containsEntry("spring", LocalDate.of(2028, 3, 1));
        Map<String, Integer> seasons = Map.of("one", 1, "two", 2, "bear", 0);
        seasons.forEach((school, times) -> assertThat(Aftercare.of(
                        section("mm111", Footing.GRADE, true, Map.of("planting.first-fruit", school)), day, north))
                .filteredOn(care -> care.key().startsWith("fruit-off"))
                .hasSize(times));
        assertThat(Aftercare.of(section("mm111", Footing.GRADE, true, Map.of("planting.basin", "none")), day, north))
                .extracting(Aftercare::key)
                .doesNotContain("level");
    }

    /** A tick of last year's plan does not count when the planting was put off. */
    @Test
    void anOldTickDoesNotCount() {
        SiteStage.SoilCare tested = new SiteStage.SoilCare(false, false, false, false, true);
        Map<String, LocalDate> done = Map.of("peg", LocalDate.of(2026, 3, 1), "services", LocalDate.of(2027, 3, 8));
        List<Task> tasks = Almanac.of(new Almanac.Setting(
                GATES, 42, tested, Optional.empty(), List.of(tree("A1", "m9", Footing.GRADE, true)), List.of(), done));
        assertThat(task(tasks, "peg").done()).isEmpty();
        assertThat(task(tasks, "services").done()).contains(LocalDate.of(2027, 3, 8));
    }

    /** A task is thought of on its first day, today while it may be done or is late, and where it lapsed on its last day. */
    @Test
    void whenATaskIsThoughtOf() {
        Task peg = task(tasks(DAY, 42, false, false, false), "peg");
        assertThat(peg.due(peg.from().minusDays(9))).isEqualTo(peg.from());
        assertThat(peg.due(peg.from().plusDays(1))).isEqualTo(peg.from().plusDays(1));
        assertThat(peg.due(peg.to().plusDays(20))).as("late").isEqualTo(peg.to().plusDays(20));
        Task guards = new Task(
                "guards-2026",
                DAY,
                DAY.plusDays(29),
                peg.what(),
                peg.why(),
                peg.work(),
                java.util.Optional.of(DAY.plusMonths(5)),
                java.util.Optional.empty());
        assertThat(guards.due(DAY.plusMonths(6))).as("lapsed").isEqualTo(guards.to());
        assertThat(guards.isWeekly() || guards.isPlanting()).isFalse();
        assertThat(tasks(DAY, 42, false, false, false).stream().filter(Task::isPlanting))
                .hasSize(1);
    }
}
