package idlebough.app.layout;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of plansettings rows; every statement joins membership. */
@Mapper
public interface PlanMapper extends RowMapper<PlanSettings> {}
