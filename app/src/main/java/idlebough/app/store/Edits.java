package idlebough.app.store;

import idlebough.core.orchard.Moved;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * The one door through which a plan changes. A change is a list of {@link Edit}s in one transaction: journaled row by
 * row
 * with from and to, undone as a whole, applied once whatever comes twice, and it tells which figures downstream moved.
 */
@Service
public class Edits {
    private static final int LONGEST_CAUSE = 200;
    private static final String VERSION = "version";
    private final OrchardMapper orchards;
    private final JournalMapper journal;
    private final RowMapper rows;
    private final Plans plans;
    private final JsonMapper json;
    private final Clock clock;

    Edits(OrchardMapper orchards, JournalMapper journal, RowMapper rows, Plans plans, JsonMapper json, Clock clock) {
        this.orchards = orchards;
        this.journal = journal;
        this.rows = rows;
        this.plans = plans;
        this.json = json;
        this.clock = clock;
    }

    /**
     * What is asked.
     *
     * @param id of the form that asks, by which it is applied once; empty for a change that no form asks for
     * @param cause in words, as it will stand in the history: “Moved C3”
     */
    public record Change(Optional<String> id, String cause) {
        public static Change of(String cause) {
            return new Change(Optional.empty(), cause);
        }
    }

    /**
     * What was done.
     *
     * @param set empty where nothing was other than it was
     * @param rowIds of the rows that were changed, in the order of the edits
     * @param repeated whether the same form had been applied before, so that nothing was done now
     */
    public record Applied(Optional<String> set, List<String> rowIds, boolean repeated) {}

    /** One row before and after; null before for a row that is new. */
    private record Step(Kind kind, Row before, Row after) {}

    /**
     * Carries out one change.
     *
     * @param edits made from the plan as it stands, under the orchard's lock
     * @throws LostRace when a row was saved since an edit saw it; then nothing is stored
     * @throws NotAllowed when the role does not allow one of the edits
     * @throws NotFound for a stranger, and when a row is not there
     */
    @InOneGo
    public Applied apply(Scope scope, Change change, Function<Plan, List<Edit>> edits) {
        Head head = lock(scope);
        Optional<String> done = change.id().map(id -> journal.ofEdit(scope, id));
        if (done.isPresent()) {
            List<String> changed = journal.entries(scope, List.of(done.get())).stream()
                    .map(ChangeEntry::entityId)
                    .toList();
            return new Applied(done, changed, true);
        }
        Plan before = plans.locked(scope, head);
        List<Edit> asked = edits.apply(before);
        List<Step> steps = steps(before, asked);
        Right right = steps.stream().map(Edits::right).reduce(Right.RECORD, Right::stricter);
        require(head, right);
        return new Applied(
                steps.isEmpty() ? Optional.empty() : Optional.of(write(scope, before, change, right, steps)),
                asked.stream().map(Edit::id).toList(),
                false);
    }

    /** Waits until nobody else changes the orchard; the rest of the transaction reads it as it stands then. */
    @InOneGo
    public void inTurn(Scope scope) {
        lock(scope);
    }

    private Head lock(Scope scope) {
        Head head = orchards.lock(scope);
        if (head == null) {
            throw new NotFound();
        }
        return head;
    }

    private static void require(Head head, Right right) {
        if (!head.role().may(right)) {
            throw new NotAllowed(head.role(), right);
        }
    }

    /** Whether a form was applied before, so that sending it again does nothing. */
    public boolean isApplied(Scope scope, Change change) {
        return change.id().map(id -> journal.ofEdit(scope, id)).isPresent();
    }

    /** What the edits come to, each row once; nothing for a row that stays as it is. */
    private static List<Step> steps(Plan plan, List<Edit> asked) {
        Map<String, Step> steps = new LinkedHashMap<>();
        List<LostRace.Conflict> conflicts = new ArrayList<>();
        for (Edit edit : asked) {
            RowShape shape = edit.kind().shape();
            Step begun = steps.get(edit.id());
            Row now = begun != null
                    ? begun.after()
                    : plan.rows().find(edit.kind(), edit.id()).orElse(null);
            if (now == null && !edit.isNew()) {
                throw new NotFound();
            }
            Map<String, Object> fields = now == null ? new LinkedHashMap<>() : shape.flat(now);
            if (begun == null && now != null && now.version() > edit.base()) {
                conflict(edit, now, fields).ifPresent(conflicts::add);
            }
            fields.putAll(edit.fields());
            Row after = shape.row(fields);
            if (!after.equals(now)) {
                steps.put(edit.id(), new Step(edit.kind(), begun != null ? begun.before() : now, after));
            }
        }
        if (!conflicts.isEmpty()) {
            throw new LostRace(conflicts);
        }
        return List.copyOf(steps.values());
    }

    /** Two edits of the same row conflict only where they want different things. */
    private static Optional<LostRace.Conflict> conflict(Edit edit, Row now, Map<String, Object> stands) {
        Map<String, Object> differing = new LinkedHashMap<>();
        Map<String, Object> wanted = new LinkedHashMap<>(stands);
        wanted.putAll(edit.fields());
        Map<String, Object> asked = edit.kind().shape().flat(edit.kind().shape().row(wanted));
        edit.fields().keySet().forEach(field -> {
            if (!Objects.equals(asked.get(field), stands.get(field))) {
                differing.put(field, asked.get(field));
            }
        });
        return differing.isEmpty() ? Optional.empty() : Optional.of(new LostRace.Conflict(edit.kind(), now, differing));
    }

    private String write(Scope scope, Plan before, Change change, Right right, List<Step> steps) {
        int revision = (int) before.head().revision() + 1;
        List<Step> stamped = steps.stream()
                .map(step -> new Step(step.kind(), step.before(), at(step.kind(), step.after(), revision)))
                .toList();
        Rows after = before.rows().with(stamped.stream().map(Step::after).toList());
        CatalogueKeys.check(after, stamped.stream().map(Step::after).toList());
        Map<Kind, List<Step>> byKind = new EnumMap<>(Kind.class);
        stamped.forEach(step ->
                byKind.computeIfAbsent(step.kind(), kind -> new ArrayList<>()).add(step));
        byKind.forEach((kind, changed) -> store(scope, kind, right, changed));
        String set = begin(scope, change);
        List<Map<String, Object>> entries = new ArrayList<>();
        for (Step step : stamped) {
            entries.add(entry(entries.size(), step));
        }
        journal.addEntries(scope, set, json.writeValueAsString(entries));
        Head head = before.head();
        finish(
                scope,
                set,
                before,
                plans.with(
                        new Head(head.id(), head.name(), head.timeZone(), revision, head.weatherStamp(), head.role()),
                        before.stored(),
                        after));
        return set;
    }

    private static Row at(Kind kind, Row row, int revision) {
        Map<String, Object> fields = kind.shape().flat(row);
        fields.put(VERSION, revision);
        return kind.shape().row(fields);
    }

    private void store(Scope scope, Kind kind, Right right, List<Step> steps) {
        List<Map<String, Object>> fresh = new ArrayList<>();
        List<Map<String, Object>> changed = new ArrayList<>();
        for (Step step : steps) {
            Map<String, Object> fields = kind.shape().json(step.after());
            if (step.before() == null) {
                fresh.add(fields);
            } else {
                fields.put("was", step.before().version());
                changed.add(fields);
            }
        }
        int stored = (fresh.isEmpty() ? 0 : rows.insert(scope, kind, right, json.writeValueAsString(fresh)))
                + (changed.isEmpty() ? 0 : rows.update(scope, kind, right, json.writeValueAsString(changed)));
        if (stored != steps.size()) {
            throw new IllegalStateException(
                    stored + " of " + steps.size() + " rows of " + kind.table() + " were stored.");
        }
    }

    private String begin(Scope scope, Change change) {
        String set = Ids.next();
        String cause = change.cause();
        journal.begin(
                scope,
                set,
                clock.instant(),
                cause.length() > LONGEST_CAUSE ? cause.substring(0, LONGEST_CAUSE) : cause,
                change.id().orElse(null));
        return set;
    }

    private Map<String, Object> entry(int seq, Step step) {
        Map<String, Object> entry = new LinkedHashMap<>();
        entry.put("seq", seq);
        entry.put("entity", step.kind().table());
        entry.put("entityId", step.after().id());
        entry.put("fromRow", step.before() == null ? null : written(step.kind(), step.before()));
        entry.put("toRow", written(step.kind(), step.after()));
        return entry;
    }

    private String written(Kind kind, Row row) {
        return json.writeValueAsString(kind.shape().json(row));
    }

    private void finish(Scope scope, String set, Plan before, Plan.Stored after) {
        orchards.bump(scope);
        List<Moved> moved = Moved.between(before.evaluation(), after.evaluation());
        if (!moved.isEmpty()) {
            List<Map<String, Object>> figures = new ArrayList<>();
            moved.forEach(figure -> figures.add(figure(figures.size(), figure)));
            journal.addMoved(scope, set, json.writeValueAsString(figures));
        }
        plans.keep(scope.orchard(), after);
    }

    private static Map<String, Object> figure(int seq, Moved moved) {
        Map<String, Object> figure = new LinkedHashMap<>();
        figure.put("seq", seq);
        figure.put("room", moved.room().name());
        figure.put("figure", moved.figure());
        figure.put("quantity", moved.quantity().name());
        figure.put("subjects", moved.subjects());
        figure.put("subjectKind", moved.subject().kind().name());
        figure.put("subjectId", moved.subject().id());
        figure.put("fromLow", moved.from().map(Moved.Range::low).orElse(null));
        figure.put("fromHigh", moved.from().map(Moved.Range::high).orElse(null));
        figure.put("toLow", moved.to().map(Moved.Range::low).orElse(null));
        figure.put("toHigh", moved.to().map(Moved.Range::high).orElse(null));
        return figure;
    }

    /** Weather comes in: it is kept as given and never undone row by row, but what it moves is told. */
    @InOneGo
    public void weather(Scope scope, String cause, Runnable work) {
        Head head = lock(scope);
        require(head, Right.PLAN);
        Plan before = plans.locked(scope, head);
        work.run();
        String set = begin(scope, Change.of(cause));
        Head now = orchards.find(scope);
        Head next = new Head(now.id(), now.name(), now.timeZone(), now.revision() + 1, now.weatherStamp(), now.role());
        finish(scope, set, before, plans.withWeather(scope, next, before.stored(), before.rows()));
    }

    /** Admits somebody to the orchard, or nobody new. */
    @InOneGo
    public void admit(Scope scope, String account, Role role) {
        require(lock(scope), Right.GOVERN);
        orchards.admit(scope, account, role);
    }

    /**
     * Undoes this account's last set that is not undone yet; asked again, the one before it.
     *
     * @return its cause; empty when there is nothing to undo
     * @throws LostRace when someone changed one of its rows since
     */
    @InOneGo
    public Optional<String> undo(Scope scope) {
        Head head = lock(scope);
        ChangeSet last = journal.lastOwn(scope);
        if (last == null) {
            return Optional.empty();
        }
        undo(scope, head, last);
        return Optional.of(last.cause());
    }

    /**
     * Undoes one set of the history, whoever made it; who may plan may do that.
     *
     * @return its cause
     * @throws LostRace when someone changed one of its rows since
     * @throws NotFound when there is no such set, or it is undone already
     */
    @InOneGo
    public String undo(Scope scope, String set) {
        Head head = lock(scope);
        require(head, Right.PLAN);
        ChangeSet chosen = journal.set(scope, set);
        if (chosen == null || chosen.undone() || chosen.undoes() != null) {
            throw new NotFound();
        }
        undo(scope, head, chosen);
        return chosen.cause();
    }

    private void undo(Scope scope, Head head, ChangeSet set) {
        String undoing = turnBack(scope, head, "Undid: " + set.cause(), set.id());
        journal.markUndone(scope, set.id(), clock.instant());
        journal.markUndoing(scope, undoing, set.id());
    }

    /** The newest set of this account, when it is an undoing; what redo would do again. */
    public Optional<ChangeSet> lastUndoing(Scope scope) {
        return Optional.ofNullable(journal.newestOwn(scope)).filter(set -> set.undoes() != null);
    }

    /**
     * Does again what this account undid last, as long as it has changed nothing else since.
     *
     * @return its cause; empty when there is nothing to do again
     * @throws LostRace when someone changed one of its rows since
     */
    @InOneGo
    public Optional<String> redo(Scope scope) {
        Head head = lock(scope);
        Optional<ChangeSet> last = lastUndoing(scope);
        last.ifPresent(undoing -> {
            String again = turnBack(scope, head, "Did again: " + cause(undoing), undoing.id());
            // The set counts as done once more; its undoing and this redoing cancel out.
            journal.markUndone(scope, undoing.undoes(), null);
            journal.markUndone(scope, undoing.id(), clock.instant());
            journal.markUndone(scope, again, clock.instant());
            journal.markUndoing(scope, again, undoing.id());
        });
        return last.map(Edits::cause);
    }

    /** What an undoing undid, in words. */
    public static String cause(ChangeSet undoing) {
        return undoing.cause().replaceFirst("^Undid: ", "");
    }

    private String turnBack(Scope scope, Head head, String cause, String set) {
        Plan before = plans.locked(scope, head);
        List<ChangeEntry> entries = new ArrayList<>(journal.entries(scope, List.of(set)));
        Collections.reverse(entries);
        Right right = Right.RECORD;
        List<Step> steps = new ArrayList<>();
        List<LostRace.Conflict> conflicts = new ArrayList<>();
        Map<String, Row> stand = standing(scope, entries);
        for (ChangeEntry entry : entries) {
            Kind kind = Kind.of(entry.entity());
            Row now = stand.get(entry.entityId());
            Row left = read(kind, entry.toRow());
            if (now == null || !sameButVersion(kind, left, now)) {
                conflicts.add(new LostRace.Conflict(kind, now, Map.of()));
                continue;
            }
            Map<String, Object> back = entry.fromRow() == null
                    ? kind.shape().flat(now)
                    : kind.shape().flat(read(kind, entry.fromRow()));
            if (entry.fromRow() == null) {
                back.put("deleted", true);
            }
            Row after = kind.shape().row(back);
            Step step = new Step(kind, now, after);
            steps.add(step);
            right = right.stricter(eitherWay(step));
        }
        if (!conflicts.isEmpty()) {
            throw new LostRace(conflicts);
        }
        require(head, right);
        return write(scope, before, Change.of(cause), right, steps);
    }

    /** The right that a step takes, by what of the row is other afterwards. */
    private static Right right(Step step) {
        return step.before() == null
                ? step.kind().rightToAdd()
                : step.kind().rightToChange(changed(step.kind(), step.before(), step.after()), step.after());
    }

    /** The fields in which two rows differ, the version apart. */
    private static Set<String> changed(Kind kind, Row a, Row b) {
        Map<String, Object> one = kind.shape().flat(a);
        Map<String, Object> other = kind.shape().flat(b);
        one.entrySet()
                .removeIf(field ->
                        field.getKey().equals(VERSION) || Objects.equals(field.getValue(), other.get(field.getKey())));
        return one.keySet();
    }

    /** Rows as they stand, also those taken away. */
    private Map<String, Row> standing(Scope scope, List<ChangeEntry> entries) {
        Map<Kind, List<String>> ids = new EnumMap<>(Kind.class);
        entries.forEach(entry -> ids.computeIfAbsent(Kind.of(entry.entity()), kind -> new ArrayList<>())
                .add(entry.entityId()));
        Map<String, Row> stand = new LinkedHashMap<>();
        ids.forEach((kind, wanted) -> rows.find(scope, kind, wanted).forEach(cells -> {
            Row row = kind.shape().ofColumns(cells);
            stand.put(row.id(), row);
        }));
        return stand;
    }

    /** Who may do a thing may undo it, and do it again: one of the two ways is enough. */
    private static Right eitherWay(Step step) {
        Right back = right(step);
        Right forth = right(new Step(step.kind(), step.after(), step.before()));
        return back.ordinal() <= forth.ordinal() ? back : forth;
    }

    @SuppressWarnings("unchecked")
    private Row read(Kind kind, String written) {
        return kind.shape().row(json.readValue(written, Map.class));
    }

    private static boolean sameButVersion(Kind kind, Row a, Row b) {
        return changed(kind, a, b).isEmpty();
    }

    /**
     * Of some sets, why each can no longer be turned back, in words; those that can are not in it.
     *
     * @param sets newest first
     */
    @Transactional(readOnly = true)
    public Map<String, String> stuck(Scope scope, List<ChangeSet> sets) {
        Map<String, String> why = new LinkedHashMap<>();
        if (sets.isEmpty()) {
            return why;
        }
        Map<String, JournalMapper.Kept> kept = journal
                .kept(scope, sets.stream().map(ChangeSet::id).toList())
                .stream()
                .collect(Collectors.toMap(JournalMapper.Kept::id, each -> each));
        for (ChangeSet set : sets) {
            JournalMapper.Kept of = kept.get(set.id());
            if (set.undone()) {
                why.put(set.id(), "It is undone.");
            } else if (set.undoes() != null) {
                why.put(set.id(), "It undid something itself.");
            } else if (!of.hasRows()) {
                why.put(set.id(), "What a station measured stays as it was measured.");
            } else if (of.movedOn()) {
                why.put(set.id(), "It was changed again since.");
            }
        }
        return why;
    }
}
