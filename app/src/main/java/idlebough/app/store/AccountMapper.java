package idlebough.app.store;

import idlebough.core.measure.UnitSystem;
import java.time.Instant;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/** SQL of accounts; the only statements that are not scoped by membership, each of them by the account itself. */
@Mapper
public interface AccountMapper {
    Account bySignIn(@Param("signIn") String signIn);

    Account byId(@Param("id") String id);

    void insert(@Param("account") Account account, @Param("at") Instant at);

    /** Looked at the orchards now; what was the last time before becomes the one before that. */
    int visited(@Param("id") String id, @Param("at") Instant at);

    /** When this account looked last before now; null for never. */
    Instant visitedBefore(@Param("id") String id);

    int rehash(@Param("id") String id, @Param("hash") String hash);

    /** Ends every session that was begun before. */
    int changePassword(@Param("id") String id, @Param("hash") String hash);

    int update(
            @Param("id") String id,
            @Param("name") String name,
            @Param("units") UnitSystem units,
            @Param("locale") String locale);
}
