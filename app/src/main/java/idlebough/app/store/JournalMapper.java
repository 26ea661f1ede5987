package idlebough.app.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of who changed what, and what moved because of it. */
@Mapper
public interface JournalMapper {
    /** Begins a set at the orchard's next revision. @param edit the id of the form, or null */
    int begin(
            @Param("scope") Scope scope,
            @Param("set") String set,
            @Param("at") Instant at,
            @Param("cause") String cause,
            @Param("edit") String edit);

    /** The set that a form has made already; null for none. */
    String ofEdit(@Param("scope") Scope scope, @Param("edit") String edit);

    /** @param entries a JSON array */
    int addEntries(@Param("scope") Scope scope, @Param("set") String set, @Param("entries") String entries);

    /** @param moved a JSON array */
    int addMoved(@Param("scope") Scope scope, @Param("set") String set, @Param("moved") String moved);

    /** Newest first. */
    List<ChangeSet> sets(@Param("scope") Scope scope, @Param("limit") int limit, @Param("offset") int offset);

    /** What others changed since, newest first. */
    List<ChangeSet> ofOthers(@Param("scope") Scope scope, @Param("since") Instant since, @Param("limit") int limit);

    ChangeSet set(@Param("scope") Scope scope, @Param("set") String set);

    /** The newest set of this account that changed rows, is not undone and undoes nothing; null when there is none. */
    ChangeSet lastOwn(@Param("scope") Scope scope);

    /** The newest live set of this account that changed rows; null when there is none. */
    ChangeSet newestOwn(@Param("scope") Scope scope);

    /** In the order in which they were made, set by set. */
    List<ChangeEntry> entries(@Param("scope") Scope scope, @Param("sets") List<String> sets);

    /** @param hasRows whether it changed rows at all, and movedOn: whether one of them was changed again since */
    record Kept(String id, boolean hasRows, boolean movedOn) {}

    List<Kept> kept(@Param("scope") Scope scope, @Param("sets") List<String> sets);

    List<FigureMoved> moved(@Param("scope") Scope scope, @Param("sets") List<String> sets);

    int markUndone(@Param("scope") Scope scope, @Param("set") String set, @Param("at") Instant at);

    int markUndoing(@Param("scope") Scope scope, @Param("set") String set, @Param("undoes") String undoes);

    int markSeen(@Param("scope") Scope scope, @Param("set") String set);
}
