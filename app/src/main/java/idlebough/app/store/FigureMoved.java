package idlebough.app.store;

import idlebough.core.judge.Room;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import java.util.Optional;

/**
 * One figure that moved because of a set, for one subject or for many.
 *
 * @param from before; empty when none was known
 * @param to after; empty when it is gone
 */
public record FigureMoved(
        String setId,
        Room room,
        String figure,
        Quantity quantity,
        Subjects subjects,
        Optional<Span> from,
        Optional<Span> to) {

    /** Of the table's columns. */
    public FigureMoved(
            String setId, Room room, String figure, Quantity quantity, Subjects subjects, Span from, Span to) {
        this(setId, room, figure, quantity, subjects, Optional.ofNullable(from), Optional.ofNullable(to));
    }

    /** @param id of one of them */
    public record Subjects(int count, Subject.Kind kind, String id) {}

    /** Least and most of the subjects, base unit. */
    public record Span(double low, double high) {}
}
