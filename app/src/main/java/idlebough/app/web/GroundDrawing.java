package idlebough.app.web;

import idlebough.app.store.FeatureRow;
import idlebough.core.site.Feature;
import idlebough.core.site.Point;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.locationtech.jts.geom.Envelope;

/** The features of the ground as marks on a sheet: a path in page units, and where its label stands. */
public final class GroundDrawing {
    /** Radius of a tree's ring, m. */
    private static final double TREE = 0.5;

    private static final double LETTERS = 13;
    private static final double POINT_LABEL = 8;
    private static final double MOST_CROWN = 26;
    /** Half a letter above the middle: the label stands on it. */
    private static final double AREA_LABEL = -9;

    private static final int MANY = 300;

    private GroundDrawing() {}

    /**
     * One feature as drawn.
     *
     * @param css the class that gives it its line or hatch
     * @param path SVG path, page units
     * @param second another stroke over the first, may be empty
     * @param label what stands beside it, may be empty
     */
    public record Mark(
            FeatureRow row,
            String css,
            String path,
            String second,
            String label,
            double labelX,
            double labelY,
            Optional<String> leader) {
        private Mark at(Labels.Label placed) {
            return new Mark(row, css, path, second, label, placed.x(), placed.y(), placed.leader());
        }

        public String id() {
            return row.id();
        }
    }

    /** Lowest first, so that what stands covers what lies. */
    public static List<Mark> of(PlanView plan, Sheet sheet, Reader say) {
        List<Mark> marks = plan.rows().features().stream()
                .sorted(Comparator.comparingInt(GroundDrawing::order))
                .map(row -> mark(row, sheet, say))
                .toList();
        List<Mark> labelled =
                marks.stream().filter(mark -> !mark.label().isEmpty()).toList();
        List<Labels.Label> labels = Labels.place(
                labelled.stream().map(mark -> wish(mark, sheet)).toList(),
                taken(plan, sheet),
                sheet.width(),
                sheet.height());
        Map<String, Labels.Label> byId = new HashMap<>();
        for (int i = 0; i < labels.size(); i++) {
            byId.put(labelled.get(i).id(), labels.get(i));
        }
        return marks.stream()
                .map(mark -> byId.containsKey(mark.id()) ? mark.at(byId.get(mark.id())) : mark)
                .toList();
    }

    /** Lines have their label beside them, what covers ground has it within, what stands at a point around it. */
    private static Labels.Wish wish(Mark mark, Sheet sheet) {
        double radius = switch (mark.row().kind().shape()) {
            case AREA -> AREA_LABEL;
            case LINE -> 0;
            case POINT ->
                mark.row().kind() == Feature.Kind.TREE
                        ? Math.min(sheet.size(radius(mark.row())), MOST_CROWN)
                        : POINT_LABEL;
        };
        return new Labels.Wish(mark.label(), mark.labelX(), mark.labelY(), radius, LETTERS);
    }

    private static double radius(FeatureRow row) {
        return row.feature().size().crown().orElse(row.feature().stands() * 0.7) / 2;
    }

    /** Pits with their words, trees, and the corner of scale and north. */
    private static List<Envelope> taken(PlanView plan, Sheet sheet) {
        List<Envelope> taken = new ArrayList<>();
        plan.pits().forEach(pit -> {
            double x = sheet.x(pit.place().x());
            double y = sheet.y(pit.place().y());
            taken.add(new Envelope(x - 10, x + 78, y - 10, y + 25));
        });
        double r = Math.max(4, sheet.size(TREE));
        plan.evaluation().stands().stream().limit(MANY).forEach(stand -> {
            double x = sheet.x(stand.place().x());
            double y = sheet.y(stand.place().y());
            taken.add(new Envelope(x - r, x + r, y - r, y + r));
        });
        return taken;
    }

    private static int order(FeatureRow row) {
        return switch (row.kind()) {
            case ZONE -> 0;
            case WET, DRAIN_FIELD, BEDS -> 1;
            case PATH -> 2;
            case BURIED -> 3;
            case BUILDING -> 4;
            case OVERHEAD -> 8;
            case SPOT, WELL, VIEW, WINDOW, GATE -> 7;
            case TREE -> 6;
            default -> 5;
        };
    }

    private static Mark mark(FeatureRow row, Sheet sheet, Reader say) {
        Feature feature = row.feature();
        List<Point> points = feature.points();
        String css = "g-" + row.kind().name().toLowerCase(Locale.ROOT)
                + (row.material() == null ? "" : " g-" + row.material().name().toLowerCase(Locale.ROOT));
        Point middle = middle(points);
        double x = sheet.x(middle.x());
        double y = sheet.y(middle.y());
        return switch (row.kind().shape()) {
            case AREA -> new Mark(row, css, line(points, sheet) + "Z", "", row.title(), x, y, Optional.empty());
            case LINE -> {
                // Beside the middle of the line, not on it.
                Point a = points.get((points.size() - 1) / 2);
                Point b = points.get((points.size() - 1) / 2 + 1);
                // A line overhead runs across everything: its label stands near its end.
                String label = lineLabel(row, say);
                // Beside a line that runs up and down, over one that runs across.
                boolean upright = Math.abs(b.x() - a.x()) < Math.abs(b.y() - a.y()) / 2;
                double aside = upright ? 10 + 3.1 * label.length() : 0;
                aside = sheet.x(a.x()) + 2 * aside > sheet.width() ? -aside : aside;
                double along = row.kind() == Feature.Kind.OVERHEAD ? 0.12 : 0.5;
                yield new Mark(
                        row,
                        css,
                        line(points, sheet),
                        line(points, sheet),
                        label,
                        sheet.x(a.x() + along * (b.x() - a.x())) + aside,
                        sheet.y(a.y() + along * (b.y() - a.y())) - 7,
                        Optional.empty());
            }
            case POINT -> {
                double r = row.kind() == Feature.Kind.TREE ? sheet.size(radius(row)) : 6;
                yield new Mark(row, css, symbol(row.kind(), x, y, r), "", pointLabel(row, say), x, y, Optional.empty());
            }
        };
    }

    private static String lineLabel(FeatureRow row, Reader say) {
        return switch (row.kind()) {
            case OVERHEAD -> row.title() + ", " + say.length(row.feature().stands()) + " up";
            case WALL, FENCE, HEDGE ->
                row.name().isBlank()
                        ? ""
                        : row.name() + ", " + say.length(row.feature().stands());
            default -> row.name();
        };
    }

    private static String pointLabel(FeatureRow row, Reader say) {
        return switch (row.kind()) {
            case SPOT -> row.body().height() == null ? "" : say.tape(row.body().height());
            case GATE -> "";
            default -> row.title();
        };
    }

    private static String symbol(Feature.Kind kind, double x, double y, double r) {
        return switch (kind) {
            case TREE ->
                at("M%s %sm-%s 0a%s %s 0 1 0 %s 0a%s %s 0 1 0 -%s 0", x, y, r, r, r, 2 * r, r, r, 2 * r)
                        + at("M%s %sh8m-4 -4v8", x - 4, y);
            case SPOT -> at("M%s %sl6 10h-12z", x, y - 6);
            case WELL -> at("M%s %sm-7 0a7 7 0 1 0 14 0a7 7 0 1 0 -14 0m5 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0", x, y);
            case VIEW -> at("M%s %sq9 -9 18 0q-9 9 -18 0m7 0a2 2 0 1 0 4 0a2 2 0 1 0 -4 0", x - 9, y);
            case WINDOW -> at("M%s %sh12v12h-12zm6 0v12m-6 -6h12", x - 6, y - 6);
            default -> at("M%s %sh16m-16 -4v8m16 -8v8", x - 8, y);
        };
    }

    private static String at(String pattern, Object... numbers) {
        Object[] words = new Object[numbers.length];
        for (int i = 0; i < words.length; i++) {
            words[i] = String.format(Locale.ROOT, "%.1f", numbers[i]);
        }
        return String.format(pattern, words);
    }

    /** Every tree as a small ring, all of them one path. */
    public static String trees(PlanView plan, Sheet sheet) {
        StringBuilder path = new StringBuilder();
        double r = sheet.size(TREE);
        plan.evaluation()
                .stands()
                .forEach(stand -> path.append(Svg.path(
                        "M# #a# # 0 1 0 # 0a# # 0 1 0 # 0",
                        sheet.x(stand.place().x()) - r,
                        sheet.y(stand.place().y()),
                        r,
                        r,
                        2 * r,
                        r,
                        r,
                        -2 * r)));
        return path.toString();
    }

    public static String line(List<Point> points, Sheet sheet) {
        StringBuilder path = new StringBuilder();
        for (Point p : points) {
            path.append(path.isEmpty() ? 'M' : 'L')
                    .append(String.format(Locale.ROOT, "%.1f %.1f", sheet.x(p.x()), sheet.y(p.y())));
        }
        return path.toString();
    }

    private static Point middle(List<Point> points) {
        double x = 0;
        double y = 0;
        for (Point p : points) {
            x += p.x() / points.size();
            y += p.y() / points.size();
        }
        return new Point(x, y);
    }

    /** Rings of plan metres as one path; all turned the same way round, so that they add up when filled. */
    public static String rings(List<List<Point>> rings, Sheet sheet) {
        StringBuilder path = new StringBuilder();
        for (List<Point> ring : rings) {
            List<Point> points = new ArrayList<>(ring);
            if (turnsLeft(ring)) {
                java.util.Collections.reverse(points);
            }
            path.append(line(points, sheet)).append('Z');
        }
        return path.toString();
    }

    private static boolean turnsLeft(List<Point> ring) {
        double twice = 0;
        for (int i = 0; i < ring.size(); i++) {
            Point a = ring.get(i);
            Point b = ring.get((i + 1) % ring.size());
            twice += a.x() * b.y() - b.x() * a.y();
        }
        return twice > 0;
    }
}
