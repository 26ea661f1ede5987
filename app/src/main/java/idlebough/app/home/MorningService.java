package idlebough.app.home;

import idlebough.app.store.AccountMapper;
import idlebough.app.store.Head;
import idlebough.app.store.Ids;
import idlebough.app.store.JournalMapper;
import idlebough.app.store.OrchardMapper;
import idlebough.app.store.Scope;
import idlebough.app.web.MorningLine;
import idlebough.app.web.Pages;
import idlebough.app.web.PlanSketch;
import idlebough.app.web.PlanView;
import idlebough.app.web.Reader;
import idlebough.app.web.StationWatch;
import idlebough.core.almanac.AlmanacStage;
import idlebough.core.almanac.Gate;
import idlebough.core.almanac.Task;
import idlebough.core.judge.Amount;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Standing;
import idlebough.core.measure.Quantity;
import idlebough.core.orchard.Doubts;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import idlebough.core.winter.DailyExtremes;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Looks through all orchards of an account for what the first page tells. */
@Service
class MorningService {
    private static final int DAYS = 7;
    private static final int MOST_NEWS = 6;
    private static final double CARD_WIDTH = 338;
    private static final double CARD_HEIGHT = 250;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d", Locale.ENGLISH);
    private final Pages pages;
    private final OrchardMapper orchards;
    private final JournalMapper journal;
    private final AccountMapper accounts;
    private final StationWatch stations;
    private final Clock clock;

    MorningService(
            Pages pages,
            OrchardMapper orchards,
            JournalMapper journal,
            AccountMapper accounts,
            StationWatch stations,
            Clock clock) {
        this.pages = pages;
        this.orchards = orchards;
        this.journal = journal;
        this.accounts = accounts;
        this.stations = stations;
        this.clock = clock;
    }

    /** One orchard opened. */
    private record Opened(Scope scope, PlanView plan, LocalDate today) {
        Head head() {
            return plan.head();
        }

        AlmanacStage almanac() {
            return plan.evaluation().almanac();
        }
    }

    @Transactional
    public Morning look(Reader reader) {
        accounts.visited(reader.accountId(), clock.instant());
        Instant since =
                Optional.ofNullable(accounts.visitedBefore(reader.accountId())).orElse(clock.instant());
        List<Opened> all = orchards.mine(reader.accountId()).stream()
                .map(head -> {
                    Scope scope = new Scope(head.id(), reader.accountId());
                    return new Opened(scope, pages.beside(scope), LocalDate.now(clock.withZone(head.zone())));
                })
                .toList();
        LocalDate today = all.isEmpty() ? LocalDate.now(clock) : all.get(0).today();
        List<Morning.Due> due = all.stream()
                .flatMap(this::due)
                .sorted(Comparator.comparing(Morning.Due::day).thenComparing(d -> -d.daysLate()))
                .toList();
        List<Morning.Due> week =
                due.stream().filter(d -> d.day().isBefore(today.plusDays(DAYS))).toList();
        return new Morning(
                today,
                all.stream()
                        .flatMap(opened -> runsOut(opened).stream())
                        .min(Comparator.comparingLong(Morning.RunsOut::days)),
                week(today, week, reader),
                week,
                due.size() - week.size(),
                all.stream()
                        .flatMap(opened -> news(opened, since))
                        .limit(MOST_NEWS)
                        .toList(),
                all.stream().map(opened -> card(opened, reader)).toList());
    }

    /** Open tasks of the next two weeks and those that are late, each on the day on which it stands. */
    private Stream<Morning.Due> due(Opened opened) {
        LocalDate today = opened.today();
        return opened.almanac().tasks().stream()
                .filter(task -> task.isOpen(today) && task.from().isBefore(today.plusDays(2 * DAYS)))
                .map(task -> new Morning.Due(
                        opened.head(),
                        task,
                        task.from().isBefore(today) ? today : task.from(),
                        task.isLate(today),
                        Math.max(0, ChronoUnit.DAYS.between(task.to(), today)),
                        Ids.next()));
    }

    private static List<MorningLine.Day> week(LocalDate today, List<Morning.Due> due, Reader reader) {
        List<MorningLine.Asked> asked = new ArrayList<>();
        for (int i = 0; i < DAYS; i++) {
            LocalDate day = today.plusDays(i);
            List<Morning.Due> of = due.stream().filter(d -> d.day().equals(day)).toList();
            asked.add(new MorningLine.Asked(
                    DAY.format(day),
                    of.isEmpty() ? "" : reader.of(of.get(0).task().what()),
                    of.stream().anyMatch(Morning.Due::late)));
        }
        return MorningLine.of(asked);
    }

    /** The nearest gate that is not passed. */
    private Optional<Morning.RunsOut> runsOut(Opened opened) {
        List<Stand> toPlant = opened.plan().evaluation().stands().stream()
                .filter(Stand::toPlant)
                .toList();
        long toOrder = toPlant.stream()
                .filter(stand -> stand.tree().life().state() == Tree.State.PLANNED)
                .count();
        return Stream.of(Gate.ORDER, Gate.HOLE, Gate.PLANTING)
                .filter(gate -> gate == Gate.ORDER
                        ? toOrder > 0 && opened.almanac().gates().order().sent().isEmpty()
                        : !toPlant.isEmpty())
                .flatMap(gate -> opened.almanac().gates().dayOf(gate).stream()
                        .filter(day -> !day.isBefore(opened.today()))
                        .map(day -> runsOut(opened, gate, day, gate == Gate.ORDER ? toOrder : toPlant.size())))
                .findFirst();
    }

    private static Morning.RunsOut runsOut(Opened opened, Gate gate, LocalDate day, long trees) {
        List<Finding> before = Doubts.of(opened.plan().evaluation()).stream()
                .filter(doubt -> doubt.gate() == gate)
                .map(Doubts.Doubt::finding)
                .toList();
        int stops = (int) before.stream()
                .filter(finding -> finding.standing() == Standing.STOP)
                .count();
        String pattern = switch (gate) {
            case ORDER ->
                opened.almanac().gates().order().closes().isPresent()
                        ? "Left to order {} trees. The nursery closes its list on {}"
                        : "Left to order {} trees, best by {}";
            case HOLE -> "{} holes to dig, from {} on";
            default -> "{} trees to plant on {}";
        };
        return new Morning.RunsOut(
                opened.head(),
                gate,
                Phrase.of(pattern, Amount.count(trees), day),
                ChronoUnit.DAYS.between(opened.today(), day),
                opened.almanac().gates().working(gate).orElseThrow(),
                before.stream().findFirst(),
                stops,
                before.size() - stops);
    }

    private Stream<Morning.News> news(Opened opened, Instant since) {
        Stream<Morning.News> silent = stations.doubts(opened.scope()).stream()
                .map(finding -> new Morning.News(opened.head(), finding.headline(), Optional.empty(), true, "winters"));
        Stream<Morning.News> changes = journal.ofOthers(opened.scope(), since, MOST_NEWS).stream()
                .map(set -> new Morning.News(
                        opened.head(),
                        Phrase.of("{}: {}", set.who(), set.cause()),
                        Optional.of(set.madeAt()),
                        false,
                        "history"));
        return Stream.of(silent, weather(opened, since), changes).flatMap(each -> each);
    }

    /** The days that the record has gained, and their frosts. */
    private static Stream<Morning.News> weather(Opened opened, Instant since) {
        LocalDate from = since.atZone(ZoneId.of(opened.head().timeZone())).toLocalDate();
        List<DailyExtremes> gained = opened.plan().record().days().stream()
                .filter(day -> !day.date().isBefore(from))
                .toList();
        long frosts = gained.stream().filter(day -> day.minimum() < 0).count();
        return gained.stream()
                .min(Comparator.comparingDouble(DailyExtremes::minimum))
                .map(lowest -> new Morning.News(
                        opened.head(),
                        Phrase.of(
                                frosts == 1 ? "{} new days, one frost, lowest {}" : "{} new days, {} frosts, lowest {}",
                                frosts == 1
                                        ? new Object[] {
                                            Amount.count(gained.size()),
                                            Amount.of(lowest.minimum(), Quantity.TEMPERATURE)
                                        }
                                        : new Object[] {
                                            Amount.count(gained.size()),
                                            Amount.count(frosts),
                                            Amount.of(lowest.minimum(), Quantity.TEMPERATURE)
                                        }),
                        Optional.empty(),
                        false,
                        "winters"))
                .stream();
    }

    private Morning.Card card(Opened opened, Reader reader) {
        PlanView plan = opened.plan();
        List<Stand> stands = plan.evaluation().stands();
        Map<Standing, Integer> counts = new LinkedHashMap<>();
        Doubts.of(plan.evaluation())
                .forEach(doubt -> counts.merge(doubt.finding().standing(), 1, Integer::sum));
        boolean toPlant = stands.stream().anyMatch(Stand::toPlant);
        return new Morning.Card(
                opened.head(),
                new Morning.Counts(
                        stands.size(),
                        (int) stands.stream().filter(stand -> !stand.toPlant()).count(),
                        counts.getOrDefault(Standing.STOP, 0),
                        counts.getOrDefault(Standing.DOUBTFUL, 0)),
                PlanSketch.of(plan, reader, Set.of(), CARD_WIDTH, CARD_HEIGHT),
                pages.pegs(plan, null),
                opened.almanac().tasks().stream()
                        .filter(task -> task.isOpen(opened.today()))
                        .min(Comparator.comparing(Task::to)),
                toPlant ? Optional.of(plan.rows().settings().plantingDate()) : Optional.empty(),
                journal.sets(opened.scope(), 1, 0).stream().findFirst(),
                new Morning.Ground(
                        Optional.ofNullable(plan.plot()).map(plot -> plot.area()),
                        plan.site().where().latitude(),
                        Optional.ofNullable(plan.site().where().elevation())));
    }
}
