package idlebough.core.orchard;

import idlebough.core.almanac.Gate;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Findings;
import idlebough.core.judge.Room;
import idlebough.core.judge.Stage;
import idlebough.core.judge.Subject;
import idlebough.core.site.Stand;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** All that is not sound in one orchard: first what cannot be undone later, stops first, then in the order of the work. */
public final class Doubts {
    private Doubts() {}

    /**
     * One line.
     *
     * @param trees ids of all that it concerns: its own subjects, or the trees of the variety, choice or pit it is about
     */
    public record Doubt(Gate gate, Room room, Finding finding, Set<String> trees) {}

    public static List<Doubt> of(Evaluation evaluation) {
        List<Doubt> doubts = new ArrayList<>();
        for (Stage stage : evaluation.stages()) {
            if (stage.begun()) {
                stage.judged().doubtLines().forEach(line -> doubts.add(doubt(evaluation, stage.room(), line)));
            }
        }
        doubts.sort(Comparator.comparing(Doubt::gate)
                .thenComparing(doubt -> doubt.finding().standing(), Comparator.reverseOrder()));
        return List.copyOf(doubts);
    }

    private static Doubt doubt(Evaluation evaluation, Room room, Findings.Line line) {
        Set<String> trees = new LinkedHashSet<>();
        line.subjects().forEach(subject -> trees.addAll(treesOf(evaluation, subject)));
        boolean standing = line.finding().subject().kind() == Subject.Kind.TREE
                && evaluation
                        .stand(line.finding().subject().id())
                        .filter(stand -> !stand.toPlant())
                        .isPresent();
        return new Doubt(Gate.of(line.finding(), standing), room, line.finding(), trees);
    }

    private static List<String> treesOf(Evaluation evaluation, Subject subject) {
        return switch (subject.kind()) {
            case TREE -> List.of(subject.id());
            case CHOICE ->
                evaluation.stands().stream()
                        .filter(stand -> stand.tree()
                                .choice()
                                .filter(subject.id()::equals)
                                .isPresent())
                        .map(Stand::id)
                        .toList();
            case VARIETY ->
                evaluation.stands().stream()
                        .filter(stand ->
                                stand.toPlant() && stand.variety().key().equals(subject.id()))
                        .map(Stand::id)
                        .toList();
            case PIT ->
                evaluation.stands().stream()
                        .filter(stand -> stand.toPlant()
                                && evaluation
                                        .site()
                                        .pitOf(stand.id())
                                        .filter(pit -> pit.id().equals(subject.id()))
                                        .isPresent())
                        .map(Stand::id)
                        .toList();
            case STATION, FEATURE, ORCHARD -> List.of();
        };
    }
}
