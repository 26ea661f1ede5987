package idlebough.core.orchard;

import idlebough.core.judge.KeyFigure;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Quantity;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * One key figure that moved, for one subject or for many together: “412 trees: hole width 90 → 95 cm”. Figures that are
 * new have not moved; those that are gone have; what is written as before has not.
 *
 * @param figure key as in {@link KeyFigure}
 * @param subjects how many
 * @param subject the first of them
 * @param from least and most before; empty when none was known
 * @param to least and most after; empty when they are gone
 */
public record Moved(
        Room room,
        String figure,
        Quantity quantity,
        int subjects,
        Subject subject,
        Optional<Range> from,
        Optional<Range> to) {
    /** In the base unit of the quantity. */
    public record Range(double low, double high) {
        Range with(double value) {
            return new Range(Math.min(low, value), Math.max(high, value));
        }
    }

    /** What two figures have in common to be told together. */
    private record Group(String figure, Subject.Kind kind, int sign) {}

    /** One subject's figure before and after. */
    private record Change(Subject subject, Quantity quantity, Optional<Double> from, Optional<Double> to) {}

    /** What moved between two evaluations of one orchard, in the order of the work. */
    public static List<Moved> between(Evaluation before, Evaluation after) {
        List<Moved> moved = new ArrayList<>();
        for (Room room : Room.values()) {
            Stage then = before.stage(room);
            Stage now = after.stage(room);
            if (then != now) {
                moved.addAll(between(room, then.keyFigures(), now.keyFigures()));
            }
        }
        return moved;
    }

    private static List<Moved> between(Room room, List<KeyFigure> before, List<KeyFigure> after) {
        Map<String, Map<Subject, KeyFigure>> now = new LinkedHashMap<>();
        after.forEach(figure ->
                now.computeIfAbsent(figure.key(), key -> new LinkedHashMap<>()).put(figure.subject(), figure));
        Map<Group, List<Change>> groups = new LinkedHashMap<>();
        for (KeyFigure then : before) {
            KeyFigure found = now.getOrDefault(then.key(), Map.of()).get(then.subject());
            Optional<Double> to = found == null ? Optional.empty() : found.value();
            if (found != then && differs(then.amount().quantity(), then.value(), to)) {
                int sign = then.value().isEmpty() || to.isEmpty()
                        ? 0
                        : (int) Math.signum(to.get() - then.value().get());
                boolean known = then.value().isPresent() || to.isPresent();
                if (known) {
                    groups.computeIfAbsent(
                                    new Group(then.key(), then.subject().kind(), sign), group -> new ArrayList<>())
                            .add(new Change(then.subject(), then.amount().quantity(), then.value(), to));
                }
            }
        }
        return groups.entrySet().stream()
                .map(entry -> together(room, entry.getKey().figure(), entry.getValue()))
                .toList();
    }

    /** Whether a reader sees a difference: what rounds to the same has not moved. */
    private static boolean differs(Quantity quantity, Optional<Double> a, Optional<Double> b) {
        return a.isEmpty() || b.isEmpty() ? !a.equals(b) : quantity.tellsApart(a.get(), b.get());
    }

    private static Moved together(Room room, String figure, List<Change> changes) {
        return new Moved(
                room,
                figure,
                changes.get(0).quantity(),
                changes.size(),
                changes.get(0).subject(),
                range(changes.stream().map(Change::from).toList()),
                range(changes.stream().map(Change::to).toList()));
    }

    private static Optional<Range> range(List<Optional<Double>> values) {
        return values.stream()
                .flatMap(Optional::stream)
                .map(value -> new Range(value, value))
                .reduce((a, b) -> a.with(b.low()).with(b.high()));
    }
}
