package idlebough.app.store;

import java.util.List;
import java.util.Map;

/** Somebody else saved rows since they were seen; carries what stands now and what was asked. Nothing was stored. */
public final class LostRace extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final transient List<Conflict> conflicts;

    /**
     * One row that was changed twice.
     *
     * @param now as it stands; null when it was taken away
     * @param asked the fields that were asked to change, where they differ from what stands
     */
    public record Conflict(Kind kind, Row now, Map<String, Object> asked) {
        /** What stands now in a field. */
        public Object stands(String field) {
            return now == null ? null : kind.shape().flat(now).get(field);
        }
    }

    LostRace(List<Conflict> conflicts) {
        super("Saved meanwhile by someone else");
        this.conflicts = List.copyOf(conflicts);
    }

    public List<Conflict> conflicts() {
        return conflicts;
    }

    /** The first row as it stands; null when it was taken away. */
    public Row current() {
        return conflicts.get(0).now();
    }
}
