package idlebough.app.plan;

import idlebough.app.plan.OrchardMapper.ChangeEntry;
import idlebough.app.plan.OrchardMapper.ChangeSet;
import idlebough.app.plan.OrchardMapper.Moved;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import org.springframework.core.ResolvableType;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/**
 * The one door through which a user's data changes. Every set is one transaction, journaled row by row with from and to,
 * can be undone as a whole, and tells which figures downstream moved.
 */
@Service
public class Changes {
    private static final int MOST_MOVED = 400;
    private final OrchardMapper orchards;
    private final PlanReader reader;
    private final JsonMapper json;
    private final Clock clock;
    private final Map<String, Kind<?>> kinds = new HashMap<>();

    private record Kind<T extends Row>(Class<T> type, RowMapper<T> mapper) {}

    Changes(OrchardMapper orchards, PlanReader reader, List<RowMapper<?>> mappers, JsonMapper json, Clock clock) {
        this.orchards = orchards;
        this.reader = reader;
        this.json = json;
        this.clock = clock;
        mappers.forEach(this::register);
    }

    @SuppressWarnings("unchecked")
    private void register(RowMapper<?> mapper) {
        Class<?> face = java.util.Arrays.stream(mapper.getClass().getInterfaces())
                .filter(RowMapper.class::isAssignableFrom)
                .findFirst()
                .orElseThrow();
        Class<Row> type = (Class<Row>)
                ResolvableType.forClass(face).as(RowMapper.class).getGeneric(0).resolve();
        kinds.put(type.getName(), new Kind<>(type, (RowMapper<Row>) mapper));
    }

    /** What a change may do. */
    public final class Pen {
        private final Scope scope;
        private final String set;
        private int seq;

        private Pen(Scope scope, String set) {
            this.scope = scope;
            this.set = set;
        }

        public <T extends Row> void add(T row) {
            require(kind(row).mapper().insert(scope, row) == 1);
            log(row.getClass().getName(), row.id(), null, row);
        }

        /** @throws LostRace when the row was saved since it was read at the row's version */
        public <T extends Row> void save(T row) {
            RowMapper<T> mapper = kind(row).mapper();
            T before = mapper.find(scope, row.id());
            require(before != null);
            if (mapper.update(scope, row) != 1) {
                throw new LostRace(before);
            }
            if (!with(before, Map.of("version", row.version())).equals(row)) {
                log(row.getClass().getName(), row.id(), before, row);
            }
        }

        /**
         * Puts one row in the place of another.
         *
         * @param before what stood there, null when nothing did
         * @param after what shall stand there, null for nothing
         */
        public <T extends Row> void put(T before, T after) {
            if (before == null && after != null) {
                add(after);
            } else if (before != null && after == null) {
                remove(before);
            } else if (before != null) {
                save(after);
            }
        }

        /** A soft delete. */
        public <T extends Row> void remove(T row) {
            save(with(row, Map.of("deleted", true)));
        }

        private void log(String type, String id, Row from, Row to) {
            orchards.addEntry(
                    scope,
                    set,
                    seq++,
                    type.substring(type.lastIndexOf('.') + 1),
                    id,
                    from == null ? null : json.writeValueAsString(from),
                    json.writeValueAsString(to));
        }
    }

    private static void require(boolean allowed) {
        if (!allowed) {
            throw new NotFound();
        }
    }

    @SuppressWarnings("unchecked")
    private <T extends Row> Kind<T> kind(T row) {
        return (Kind<T>) kinds.get(row.getClass().getName());
    }

    /** A copy of a row with some of its components replaced. */
    @SuppressWarnings("unchecked")
    public <T extends Row> T with(T row, Map<String, ?> components) {
        Map<String, Object> all = new LinkedHashMap<>(json.convertValue(row, Map.class));
        all.putAll(components);
        return (T) json.convertValue(all, row.getClass());
    }

    /**
     * Carries out one set of changes.
     *
     * @param cause in words, as it will stand in the history: “Moved C3”
     */
    @Transactional
    public void make(Scope scope, String cause, Consumer<Pen> work) {
        run(scope, cause, Ids.next(), work);
    }

    /** Weather comes in: it is kept as given and never undone row by row, but what it moves is told. */
    @Transactional
    public void weather(Scope scope, String cause, Runnable work) {
        run(scope, cause, Ids.next(), pen -> work.run());
    }

    /** The orchard's name and time zone, which stand outside the plan. */
    @Transactional
    public void rename(Scope scope, String name, String zone) {
        require(orchards.rename(scope, name, zone) >= 0 && orchards.find(scope) != null);
    }

    private void run(Scope scope, String cause, String set, Consumer<Pen> work) {
        require(orchards.lock(scope) != null);
        Map<String, KeyFigures.Key> before = KeyFigures.of(reader.fresh(scope));
        orchards.beginSet(scope, set, clock.instant(), cause.length() > 200 ? cause.substring(0, 200) : cause);
        work.accept(new Pen(scope, set));
        orchards.bump(scope);
        Map<String, KeyFigures.Key> after = KeyFigures.of(reader.fresh(scope));
        tell(scope, set, before, after);
    }

    private void tell(Scope scope, String set, Map<String, KeyFigures.Key> before, Map<String, KeyFigures.Key> after) {
        int seq = 0;
        for (Map.Entry<String, KeyFigures.Key> entry : after.entrySet()) {
            KeyFigures.Key to = entry.getValue();
            KeyFigures.Key from = before.get(entry.getKey());
            // A figure that is new has not moved; one that was there and is other, or gone, has.
            if (from != null && seq < MOST_MOVED && differs(from.value(), to.value())) {
                orchards.addMoved(
                        scope,
                        set,
                        seq++,
                        new Moved(
                                entry.getKey(),
                                to.label(),
                                to.quantity().name(),
                                from.value(),
                                to.value(),
                                to.room(),
                                to.treeId()));
            }
        }
    }

    private static boolean differs(Double a, Double b) {
        return a == null || b == null ? a != b : Math.abs(a - b) > 1e-9 * Math.max(1, Math.abs(a));
    }

    /**
     * Undoes this account's last set that is not undone yet; asked again, the one before it.
     *
     * @return its cause, or null when there is nothing to undo
     * @throws LostRace when someone changed one of its rows since
     */
    @Transactional
    public String undo(Scope scope) {
        require(orchards.lock(scope) != null);
        ChangeSet last = orchards.lastOwn(scope);
        if (last == null) {
            return null;
        }
        String undoing = Ids.next();
        back(scope, "Undid: " + last.cause(), undoing, last.id());
        orchards.markUndone(scope, last.id(), clock.instant());
        orchards.markUndoing(scope, undoing, last.id());
        return last.cause();
    }

    /**
     * Does again what this account undid last, as long as it has changed nothing else since.
     *
     * @return its cause, or null when there is nothing to do again
     * @throws LostRace when someone changed one of its rows since
     */
    @Transactional
    public String redo(Scope scope) {
        require(orchards.lock(scope) != null);
        ChangeSet undoing = orchards.lastUndoing(scope);
        if (undoing == null) {
            return null;
        }
        String undone = orchards.undoneBy(scope, undoing.id());
        String again = Ids.next();
        String cause = undoing.cause().replaceFirst("^Undid: ", "");
        back(scope, "Did again: " + cause, again, undoing.id());
        // The set counts as done once more; its undoing and this redoing cancel out.
        orchards.markUndone(scope, undone, null);
        orchards.markUndone(scope, undoing.id(), clock.instant());
        orchards.markUndone(scope, again, clock.instant());
        orchards.markUndoing(scope, again, undoing.id());
        return cause;
    }

    private void back(Scope scope, String cause, String set, String of) {
        List<ChangeEntry> entries = new ArrayList<>(orchards.entries(scope, of));
        Collections.reverse(entries);
        run(scope, cause, set, pen -> entries.forEach(entry -> turnBack(pen, entry)));
    }

    @SuppressWarnings("unchecked")
    private void turnBack(Pen pen, ChangeEntry entry) {
        Scope scope = pen.scope;
        Kind<Row> kind = (Kind<Row>) kinds.values().stream()
                .filter(k -> k.type().getSimpleName().equals(entry.entity()))
                .findFirst()
                .orElseThrow();
        Row now = kind.mapper().find(scope, entry.entityId());
        Row left = json.readValue(entry.toRow(), kind.type());
        if (!with(left, Map.of("version", now.version())).equals(now)) {
            throw new LostRace(now);
        }
        Row back = entry.fromRow() == null
                ? with(now, Map.of("deleted", true))
                : with(json.readValue(entry.fromRow(), kind.type()), Map.of("version", now.version()));
        if (kind.mapper().update(scope, back) != 1) {
            throw new LostRace(now);
        }
        pen.log(kind.type().getName(), now.id(), now, back);
    }
}
