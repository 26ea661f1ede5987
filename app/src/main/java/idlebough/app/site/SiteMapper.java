package idlebough.app.site;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of site rows; every statement joins membership. */
@Mapper
public interface SiteMapper extends RowMapper<Site> {}
