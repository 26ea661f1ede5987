package idlebough.app.store;

import idlebough.core.judge.Room;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;

/**
 * One figure that moved because of a set, for one subject or for many.
 *
 * @param subjects how many
 * @param fromLow and fromHigh: least and most before; null when none was known
 * @param toLow and toHigh: least and most after; null when they are gone
 */
public record FigureMoved(
        String setId,
        Room room,
        String figure,
        Quantity quantity,
        int subjects,
        Subject.Kind subjectKind,
        String subjectId,
        Double fromLow,
        Double fromHigh,
        Double toLow,
        Double toHigh) {}
