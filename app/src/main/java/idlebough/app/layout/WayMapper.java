package idlebough.app.layout;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of waychoice rows; every statement joins membership. */
@Mapper
public interface WayMapper extends RowMapper<WayChoice> {}
