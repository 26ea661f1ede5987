package idlebough.app.daybook;

import idlebough.app.plan.RowMapper;
import org.apache.ibatis.annotations.Mapper;

/** SQL of note rows; every statement joins membership. */
@Mapper
public interface NoteMapper extends RowMapper<Note> {}
