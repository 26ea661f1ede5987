package idlebough.core.layout;

import idlebough.core.site.Ground;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A row of trees on a line: its two ends are set with tapes, the others are marks on a string or one tape pulled
 * between
 * them, measured on from the first so that errors do not add up (chaining, as in Bannister & Raymond).
 *
 * @param name letters that its tags share
 * @param length from its first tree to its last along the ground, m
 */
public record RowMarks(String name, List<Mark> marks, double length) {
    private static final Pattern TAG = Pattern.compile("(\\p{L}+)(\\d+)");
    private static final int FEWEST = 3;
    /** A tree farther off the string than this is no mark on it, m. */
    private static final double OFF = 0.05;

    /** @param at from the first tree along the ground, m */
    public record Mark(PlannedTree tree, double at) {}

    /** Rows whose trees lie on a line, in the order of their tags; others are left to the tapes. */
    public static List<RowMarks> of(List<PlannedTree> trees, Ground ground) {
        Map<String, List<PlannedTree>> rows = new LinkedHashMap<>();
        for (PlannedTree tree : trees) {
            Matcher tag = TAG.matcher(tree.label());
            if (tag.matches()) {
                rows.computeIfAbsent(tag.group(1), letters -> new ArrayList<>()).add(tree);
            }
        }
        List<RowMarks> found = new ArrayList<>();
        rows.forEach((name, row) -> {
            row.sort(Comparator.comparingInt(tree -> number(tree.label())));
            if (row.size() >= FEWEST && straight(row)) {
                Point first = row.get(0).place();
                List<Mark> marks = row.stream()
                        .map(tree -> new Mark(tree, PegPlan.along(ground, first, tree.place())))
                        .toList();
                found.add(new RowMarks(name, marks, marks.get(marks.size() - 1).at()));
            }
        });
        return found;
    }

    private static int number(String tag) {
        Matcher parts = TAG.matcher(tag);
        // A tag may hold more digits than a number has room for; such ones come last.
        return parts.matches() && parts.group(2).length() < 9 ? Integer.parseInt(parts.group(2)) : Integer.MAX_VALUE;
    }

    private static boolean straight(List<PlannedTree> row) {
        Point a = row.get(0).place();
        Point b = row.get(row.size() - 1).place();
        double length = a.distance(b);
        return length > 0
                && row.stream()
                        .map(PlannedTree::place)
                        .allMatch(c -> Math.abs((b.x() - a.x()) * (c.y() - a.y()) - (b.y() - a.y()) * (c.x() - a.x()))
                                <= OFF * length);
    }
}
