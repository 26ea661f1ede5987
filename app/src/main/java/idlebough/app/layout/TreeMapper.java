package idlebough.app.layout;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of tree rows; every statement joins membership. */
@Mapper
public interface TreeMapper extends RowMapper<Tree> {}
