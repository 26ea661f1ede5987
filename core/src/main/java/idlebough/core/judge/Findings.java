package idlebough.core.judge;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The findings of one stage, worst first, counted by standing and found by subject. Immutable. */
public final class Findings {
    private final List<Finding> all;
    private final Lazy<Map<Subject, List<Finding>>> bySubject = Lazy.of(this::group);
    private final Lazy<List<Line>> doubts = Lazy.of(() -> linesOf(false));
    private final Lazy<List<Line>> sound = Lazy.of(() -> linesOf(true));

    /**
     * What is said of several subjects at once.
     *
     * @param finding the worst of them, its headline naming all
     * @param subjects at least one
     */
    public record Line(Finding finding, List<Subject> subjects) {
        private static Line of(List<Finding> same) {
            return new Line(
                    Finding.line(same), same.stream().map(Finding::subject).toList());
        }
    }

    private Findings(List<Finding> all) {
        this.all = all;
    }

    /** @param lists in their order; among findings of the same standing that order stays */
    public static Findings of(Iterable<List<Finding>> lists) {
        Map<Standing, List<Finding>> sorted = new EnumMap<>(Standing.class);
        for (Standing standing : Standing.values()) {
            sorted.put(standing, new ArrayList<>());
        }
        lists.forEach(
                list -> list.forEach(finding -> sorted.get(finding.standing()).add(finding)));
        List<Finding> all = new ArrayList<>(sorted.get(Standing.STOP));
        all.addAll(sorted.get(Standing.DOUBTFUL));
        all.addAll(sorted.get(Standing.SOUND));
        return new Findings(List.copyOf(all));
    }

    /** Sound ones too, worst first. */
    public List<Finding> all() {
        return all;
    }

    /** A line is of one standing, so sound ones, which are by far the most, wait until somebody asks. */
    private List<Line> linesOf(boolean isSound) {
        Map<Object, List<Finding>> grouped = new LinkedHashMap<>();
        all.stream()
                .filter(finding -> finding.isSound() == isSound)
                .forEach(finding -> grouped.computeIfAbsent(
                                finding.together().<Object>map(Together::key).orElseGet(Object::new),
                                key -> new ArrayList<>())
                        .add(finding));
        return grouped.values().stream().map(Line::of).toList();
    }

    /**
     * Those that are not sound as lines, worst first: what is said of several trees with the same rule, standing and
     * remedy is one. This is what is listed and counted.
     */
    public List<Finding> doubts() {
        return findings(doubts);
    }

    /** The same with all whom they concern. */
    public List<Line> doubtLines() {
        return doubts.get();
    }

    private static List<Finding> findings(Lazy<List<Line>> lines) {
        return lines.get().stream().map(Line::finding).toList();
    }

    /** Lines that are sound. */
    public List<Finding> sound() {
        return findings(sound);
    }

    /** How many lines stand so. */
    public int count(Standing standing) {
        return (int) (standing == Standing.SOUND ? sound() : doubts())
                .stream().filter(finding -> finding.standing() == standing).count();
    }

    /** Those about one subject, worst first. */
    public List<Finding> about(Subject subject) {
        return bySubject.get().getOrDefault(subject, List.of());
    }

    /** How the worst of a subject's findings stands; sound without any. */
    public Standing worst(Subject subject) {
        List<Finding> found = about(subject);
        return found.isEmpty() ? Standing.SOUND : found.get(0).standing();
    }

    private Map<Subject, List<Finding>> group() {
        Map<Subject, List<Finding>> grouped = new HashMap<>();
        all.forEach(finding -> grouped.computeIfAbsent(finding.subject(), subject -> new ArrayList<>())
                .add(finding));
        return grouped;
    }
}
