package idlebough.app.store;

import java.util.List;
import java.util.Map;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Param;

/**
 * The four statements of every kind of row. All meet the rights in the SQL itself: a stranger finds nothing and writes
 * nothing.
 */
@Mapper
public interface RowMapper {
    /** Those not taken away, in the order of their ids, by columns. */
    List<Map<String, Object>> all(@Param("scope") Scope scope, @Param("kind") Kind kind);

    /** Also when taken away, by columns. */
    List<Map<String, Object>> find(
            @Param("scope") Scope scope, @Param("kind") Kind kind, @Param("ids") List<String> ids);

    /**
     * @param rows a JSON array of rows, by fields
     * @return how many went in; 0 for a stranger and for a role that may not
     */
    int insert(
            @Param("scope") Scope scope,
            @Param("kind") Kind kind,
            @Param("right") Right right,
            @Param("rows") String rows);

    /**
     * @param rows a JSON array of rows, by fields, each with the version {@code was} that it must have had
     * @return how many were changed
     */
    int update(
            @Param("scope") Scope scope,
            @Param("kind") Kind kind,
            @Param("right") Right right,
            @Param("rows") String rows);
}
