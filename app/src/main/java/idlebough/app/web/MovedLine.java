package idlebough.app.web;

import idlebough.app.store.FigureMoved;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Display;
import java.util.List;
import java.util.Map;

/**
 * One line of what moved: “412 trees: hole width 90 → 95 cm”.
 *
 * @param whose the subject, or how many there are
 * @param figure what moved of them
 * @param page leads to where it is seen
 */
public record MovedLine(String whose, String figure, FigureMoved moved, String page) {
    /** Lines of what moved, in the order of the work. */
    public static List<MovedLine> all(List<FigureMoved> moved, PlanView plan) {
        return moved.stream().map(figure -> of(figure, plan)).toList();
    }

    private static MovedLine of(FigureMoved moved, PlanView plan) {
        String words = Sentences.of(moved.room().key())
                .say("figure." + moved.figure(), Map.of())
                .pattern();
        boolean one = moved.subjects() == 1;
        String page = StagePage.of(moved.room()).path()
                + (one
                                && moved.subjectKind() == Subject.Kind.TREE
                                && plan.evaluation().stand(moved.subjectId()).isPresent()
                        ? "?tree=" + moved.subjectId()
                        : "");
        return new MovedLine(one ? subject(moved, plan) : many(moved), words, moved, page);
    }

    private static String many(FigureMoved moved) {
        return moved.subjects()
                + switch (moved.subjectKind()) {
                    case TREE -> " trees";
                    case PIT -> " pits";
                    case VARIETY -> " varieties";
                    default -> " figures";
                };
    }

    private static String subject(FigureMoved moved, PlanView plan) {
        String id = moved.subjectId();
        return switch (moved.subjectKind()) {
            case TREE -> plan.evaluation().stand(id).map(stand -> stand.label()).orElse("a tree that is gone");
            case PIT -> plan.rows().pit(id).map(pit -> "pit " + pit.label()).orElse("a pit that is gone");
            case VARIETY ->
                plan.evaluation()
                        .varieties()
                        .catalogue()
                        .findVariety(id)
                        .map(variety -> variety.name())
                        .orElse(id);
            default -> "";
        };
    }

    /** “90 → 95 cm”, or “88–91 → 93–96 cm” where the subjects differ. */
    public String values(Display display) {
        return range(moved.fromLow(), moved.fromHigh(), display) + " → "
                + (moved.toLow() == null ? "gone" : range(moved.toLow(), moved.toHigh(), display));
    }

    private String range(Double low, Double high, Display display) {
        String least = display.text(low, moved.quantity());
        String most = display.text(high, moved.quantity());
        return least.equals(most) ? most : least + " to " + most;
    }

    /** The line in plain words. */
    public String words(Display display) {
        return (whose.isEmpty() ? "" : whose + ": ") + figure + " " + values(display);
    }
}
