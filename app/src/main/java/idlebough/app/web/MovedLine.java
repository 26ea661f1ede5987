package idlebough.app.web;

import idlebough.app.store.FigureMoved;
import idlebough.core.judge.Sentences;
import idlebough.core.judge.Subject;
import idlebough.core.measure.Display;
import java.util.List;
import java.util.Map;
import java.util.Optional;

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
        boolean one = moved.subjects().count() == 1;
        String page = StagePage.of(moved.room()).path()
                + (one
                                && moved.subjects().kind() == Subject.Kind.TREE
                                && plan.evaluation()
                                        .stand(moved.subjects().id())
                                        .isPresent()
                        ? "?tree=" + moved.subjects().id()
                        : "");
        return new MovedLine(one ? subject(moved, plan) : many(moved), words, moved, page);
    }

    private static String many(FigureMoved moved) {
        return moved.subjects().count()
                + switch (moved.subjects().kind()) {
                    case TREE -> " trees";
                    case PIT -> " pits";
                    case VARIETY -> " varieties";
                    default -> " figures";
                };
    }

    private static String subject(FigureMoved moved, PlanView plan) {
        String id = moved.subjects().id();
        return switch (moved.subjects().kind()) {
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
        return range(moved.from(), display, "none") + " → " + range(moved.to(), display, "gone");
    }

    private String range(Optional<FigureMoved.Span> span, Display display, String without) {
        return span.map(values -> {
                    String least = display.text(values.low(), moved.quantity());
                    String most = display.text(values.high(), moved.quantity());
                    return least.equals(most) ? most : least + " to " + most;
                })
                .orElse(without);
    }

    /** The line in plain words. */
    public String words(Display display) {
        return (whose.isEmpty() ? "" : whose + ": ") + figure + " " + values(display);
    }
}
