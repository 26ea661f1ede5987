package idlebough.app.layout;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of peg rows; every statement joins membership. */
@Mapper
public interface PegMapper extends RowMapper<Peg> {}
