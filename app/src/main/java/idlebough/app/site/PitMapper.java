package idlebough.app.site;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of pit rows; every statement joins membership. */
@Mapper
public interface PitMapper extends RowMapper<Pit> {}
