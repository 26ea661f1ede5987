package idlebough.app.store;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of orchards and membership. */
@Mapper
public interface OrchardMapper {
    List<Head> mine(@Param("account") String account);

    Head find(@Param("scope") Scope scope);

    /** Locks the orchard's row until the end of the transaction, so that changes follow each other. */
    Head lock(@Param("scope") Scope scope);

    void create(
            @Param("id") String id,
            @Param("name") String name,
            @Param("timeZone") String timeZone,
            @Param("at") Instant at);

    /** Makes an account the owner of an orchard that has no members yet. */
    int found(@Param("orchard") String orchard, @Param("account") String account);

    /** @return 1, or 0 for somebody who may not */
    int admit(@Param("scope") Scope scope, @Param("account") String account, @Param("role") Role role);

    /** Takes an orchard away, or brings it back. @param at null to bring it back */
    int remove(@Param("scope") Scope scope, @Param("at") Instant at);

    /** Taken away and still to be had back. */
    record Gone(String id, String name, Instant deletedAt) {}

    /** @param since those taken away before are not told of any more */
    List<Gone> gone(@Param("account") String account, @Param("since") Instant since);

    int bump(@Param("scope") Scope scope);

    int bumpWeather(@Param("scope") Scope scope);
}
