package idlebough.app.site;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of features; every statement joins membership. */
@Mapper
public interface FeatureMapper extends RowMapper<Drawn> {}
