package idlebough.app.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL that deletes for good. No request names an orchard to it: only what was taken away, or belongs to who leaves. */
@Mapper
public interface PurgeMapper {
    List<String> takenAwayBefore(@Param("at") Instant at);

    List<String> ownedBy(@Param("account") String account);

    int ofSets(@Param("table") String table, @Param("orchard") String orchard);

    int ofStations(@Param("table") String table, @Param("orchard") String orchard);

    int ofOrchard(@Param("table") String table, @Param("orchard") String orchard);

    int orchard(@Param("orchard") String orchard);

    int loads(@Param("account") String account);

    int memberships(@Param("account") String account);

    /** What others' histories name stays as a row without a name, a password or a way in. */
    int forget(@Param("account") String account);
}
