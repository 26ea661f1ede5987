package idlebough.app.winter;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of bloom dates; every statement joins membership. */
@Mapper
public interface BloomSeenMapper extends RowMapper<BloomSeen> {}
