package idlebough.app.site;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of drainage tests; every statement joins membership. */
@Mapper
public interface FillingMapper extends RowMapper<Filling> {}
