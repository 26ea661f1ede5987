package idlebough.app.variety;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of choice rows; every statement joins membership. */
@Mapper
public interface ChoiceMapper extends RowMapper<Choice> {}
