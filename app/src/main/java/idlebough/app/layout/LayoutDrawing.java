package idlebough.app.layout;

import idlebough.app.web.PlanView;
import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.app.web.TreeView;
import idlebough.core.judge.Findings;
import idlebough.core.judge.Room;
import idlebough.core.judge.Standing;
import idlebough.core.layout.BaseLine;
import idlebough.core.layout.PlannedTree;
import idlebough.core.orchard.Evaluation;
import idlebough.core.rootstock.TreeSize;
import idlebough.core.site.Point;
import idlebough.core.site.Stand;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The plan with every tree, ready for the page: attributes of SVG, page units.
 *
 * @param looks of crowns, each once
 * @param tapes path of the two tapes to the picked tree; null without one
 * @param ends the two ends of the base line
 */
public record LayoutDrawing(List<Look> looks, List<Crown> crowns, String tapes, List<End> ends) {
    /** Narrower crowns have no inner hachure, page units. */
    private static final double NARROW = 6;

    private static final double HACHURE = 3;
    private static final double RING = 4;

    /**
     * How trees of one size, kind and standing look; drawn once and used for each of them.
     *
     * @param full, now and hachure: radii
     * @param turn of a flat tree's plane; null for one that stands free
     * @param kind of fruit, for the hachure
     */
    public record Look(String id, Radii full, Radii now, Radii hachure, String turn, Standing standing, String kind) {
        public String href() {
            return "#" + id;
        }

        public String css() {
            return "crown-" + standing.word();
        }

        public String hachureCss() {
            return "hz hz-" + kind;
        }
    }

    /** Along the plane of a flat tree, and across it; the same for one that stands free. */
    public record Radii(String along, String across) {}

    /**
     * One tree.
     *
     * @param at transform of its place
     * @param ring radius of the ring around the picked one
     */
    public record Crown(Stand stand, String at, Look look, String ring, boolean here) {
        public String id() {
            return stand.id();
        }

        public String label() {
            return stand.label();
        }

        public String x() {
            return Svg.fine(stand.place().x());
        }

        public String y() {
            return Svg.fine(stand.place().y());
        }

        public String words() {
            return stand.title() + ", " + look.standing().word();
        }

        public String ringCss() {
            return here ? "ring on" : "ring";
        }
    }

    /** One end of the base line. */
    public record End(String name, String peg, String textAt) {}

    static LayoutDrawing of(PlanView plan, Sheet sheet, TreeView picked, int year) {
        Evaluation evaluation = plan.evaluation();
        Findings judged = plan.judged(Room.LAYOUT);
        Map<String, Look> looks = new LinkedHashMap<>();
        List<Crown> crowns = evaluation.stands().stream()
                .map(stand -> {
                    PlannedTree tree = evaluation.layout().tree(stand.id());
                    TreeSize now = tree.after(year);
                    return new Crown(
                            stand,
                            Svg.translate(
                                    sheet.x(stand.place().x()),
                                    sheet.y(stand.place().y())),
                            look(
                                    looks,
                                    sheet,
                                    tree,
                                    now,
                                    // A tree that any room stops is drawn so: here it is moved.
                                    evaluation.stopsOf(stand.id()).isEmpty()
                                            ? judged.worst(stand.subject())
                                            : Standing.STOP,
                                    stand),
                            Svg.number(sheet.size(now.spread()) / 2 + RING),
                            picked != null && stand.id().equals(picked.id()));
                })
                .toList();
        BaseLine base = BaseLine.of(plan.plot());
        return new LayoutDrawing(
                List.copyOf(looks.values()),
                crowns,
                picked == null ? null : tapes(base, picked.planned().place(), sheet),
                List.of(end("P", base.p(), sheet), end("Q", base.q(), sheet)));
    }

    private static Look look(
            Map<String, Look> looks, Sheet sheet, PlannedTree tree, TreeSize now, Standing standing, Stand stand) {
        String kind = stand.crop().kind().name();
        Radii full = radii(sheet, tree.size(), 0);
        Radii small = radii(sheet, now, 0);
        // A bearing of 0 runs up the sheet, the ellipse's long axis across it.
        String turn = tree.size().flat() ? "rotate(" + Svg.number(tree.lie() - 90) + ")" : null;
        String key = full + " " + small + " " + turn + " " + standing + " " + kind;
        return looks.computeIfAbsent(
                key,
                fresh -> new Look(
                        "crown" + looks.size(), full, small, radii(sheet, now, HACHURE), turn, standing, kind));
    }

    /** @param inset page units by which a wide crown is drawn in */
    private static Radii radii(Sheet sheet, TreeSize size, double inset) {
        return new Radii(radius(sheet.size(size.spread()) / 2, inset), radius(sheet.size(size.depth()) / 2, inset));
    }

    private static String radius(double radius, double inset) {
        return Svg.number(radius > NARROW ? radius - inset : radius);
    }

    private static String tapes(BaseLine base, Point to, Sheet sheet) {
        return Svg.path(
                "M# #L# #L# #",
                sheet.x(base.p().x()),
                sheet.y(base.p().y()),
                sheet.x(to.x()),
                sheet.y(to.y()),
                sheet.x(base.q().x()),
                sheet.y(base.q().y()));
    }

    private static End end(String name, Point at, Sheet sheet) {
        return new End(
                name,
                Svg.path("M# #l8 15h-16z", sheet.x(at.x()), sheet.y(at.y()) - 10),
                Svg.translate(sheet.x(at.x()) + 6, sheet.y(at.y()) + 22));
    }
}
