package idlebough.app.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of weather files on their way in. Each piece of work on one has a turn; who does not have the newest does nothing. */
@Mapper
public interface LoadMapper {
    /**
     * How far one is, without what is in it.
     *
     * @param wish as JSON
     * @param toldAt when whoever works on it was heard last
     */
    record Row(
            String id, String name, String wish, String state, int turn, int percent, boolean stop, Instant toldAt) {}

    int add(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("name") String name,
            @Param("content") byte[] content,
            @Param("at") Instant at);

    /** Looks at it, which keeps it; null for somebody else's. */
    Row find(@Param("scope") Scope scope, @Param("id") String id);

    int asked(@Param("scope") Scope scope, @Param("id") String id, @Param("at") Instant at);

    /** What is in it: one file, or none when it was let go. */
    List<byte[]> content(@Param("scope") Scope scope, @Param("id") String id);

    /** @return 1, or 0 when another began first */
    int begin(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("turn") int turn,
            @Param("state") String state,
            @Param("wish") String wish,
            @Param("at") Instant at);

    /** @return 1, or 0 when it is to stop, or when nobody has asked for it since */
    int tell(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("turn") int turn,
            @Param("percent") int percent,
            @Param("at") Instant at,
            @Param("askedAfter") Instant askedAfter);

    int end(
            @Param("scope") Scope scope,
            @Param("id") String id,
            @Param("turn") int turn,
            @Param("state") String state,
            @Param("at") Instant at);

    int stop(@Param("scope") Scope scope, @Param("id") String id);

    /** How many of an account are worked on now. */
    int busy(@Param("scope") Scope scope, @Param("toldAfter") Instant toldAfter);

    /** Lets go what nobody has asked for. */
    int letGo(@Param("askedBefore") Instant askedBefore);
}
