package idlebough.app.plan;

import java.util.List;
import org.apache.ibatis.annotations.Param;

/**
 * The four statements that every kind of row has. All are scoped by membership in the SQL itself: a stranger finds
 * nothing and writes nothing.
 */
public interface RowMapper<T extends Row> {
    /** Those not deleted. */
    List<T> all(@Param("scope") Scope scope);

    /** Also when deleted; null when there is none for this scope. */
    T find(@Param("scope") Scope scope, @Param("id") String id);

    /** @return 1, or 0 for a stranger */
    int insert(@Param("scope") Scope scope, @Param("row") T row);

    /** @return 1, or 0 when the version is no longer the row's (or for a stranger) */
    int update(@Param("scope") Scope scope, @Param("row") T row);
}
