package idlebough.app.variety;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of ownfigure rows; every statement joins membership. */
@Mapper
public interface OwnFigureMapper extends RowMapper<OwnFigure> {}
