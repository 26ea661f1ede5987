package idlebough.app.daybook;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of measure rows; every statement joins membership. */
@Mapper
public interface MeasureMapper extends RowMapper<Measure> {}
