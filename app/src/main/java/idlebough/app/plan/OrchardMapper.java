package idlebough.app.plan;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of orchards, membership and the journal. */
@Mapper
public interface OrchardMapper {
    List<Orchard> mine(@Param("account") String account);

    Orchard find(@Param("scope") Scope scope);

    /** Locks the orchard's row until the end of the transaction, so that changes follow each other. */
    Orchard lock(@Param("scope") Scope scope);

    void create(
            @Param("id") String id,
            @Param("name") String name,
            @Param("timeZone") String timeZone,
            @Param("at") Instant at);

    void join(@Param("orchard") String orchard, @Param("account") String account, @Param("role") String role);

    int rename(@Param("scope") Scope scope, @Param("name") String name, @Param("timeZone") String timeZone);

    int bump(@Param("scope") Scope scope);

    int bumpWeather(@Param("scope") Scope scope);

    int beginSet(
            @Param("scope") Scope scope, @Param("id") String id, @Param("at") Instant at, @Param("cause") String cause);

    int addEntry(
            @Param("scope") Scope scope,
            @Param("set") String set,
            @Param("seq") int seq,
            @Param("entity") String entity,
            @Param("entityId") String entityId,
            @Param("from") String from,
            @Param("to") String to);

    int addMoved(
            @Param("scope") Scope scope, @Param("set") String set, @Param("seq") int seq, @Param("moved") Moved moved);

    /** The newest sets, newest first. */
    List<ChangeSet> sets(@Param("scope") Scope scope, @Param("limit") int limit);

    /** The newest set of this account that changed rows, is not undone and undoes nothing; null when there is none. */
    ChangeSet lastOwn(@Param("scope") Scope scope);

    /** The newest live set of this account, when it is an undoing; else null. */
    ChangeSet lastUndoing(@Param("scope") Scope scope);

    /** The set that an undoing undid. */
    String undoneBy(@Param("scope") Scope scope, @Param("set") String set);

    int markUndoing(@Param("scope") Scope scope, @Param("set") String set, @Param("undoes") String undoes);

    List<ChangeEntry> entries(@Param("scope") Scope scope, @Param("set") String set);

    List<Moved> moved(@Param("scope") Scope scope, @Param("set") String set);

    int markUndone(@Param("scope") Scope scope, @Param("set") String set, @Param("at") Instant at);

    int markSeen(@Param("scope") Scope scope, @Param("set") String set);

    /** One set of changes. */
    record ChangeSet(String id, Instant madeAt, String cause, boolean undone, boolean seen, String who) {}

    /** One row's change. */
    record ChangeEntry(String entity, String entityId, String fromRow, String toRow) {}

    /** One figure that moved. */
    record Moved(
            String figure,
            String label,
            String quantity,
            Double fromValue,
            Double toValue,
            String room,
            String treeId) {}
}
