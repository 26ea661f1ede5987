package idlebough.app.planting;

import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.core.planting.Basin;
import idlebough.core.planting.Guard;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.Stake;
import idlebough.core.site.Mound;

/** The outlines of the cross-section as SVG paths, page units; only what is measured is to scale. */
public final class SectionPaths {
    private static final double TOP_OF_SHEET = 60;
    private static final double LEFT = 14;
    private static final double MESH_DEEP = 0.23;
    private final SectionDrawing drawing;
    private final PlantingSection section;
    private final Sheet sheet;
    /** The stem, the board, the natural ground, the flare and the union. */
    private final double x;

    private final double board;
    private final double ground;
    private final double flare;
    private final double union;
    /** Halves of the hole, the ball and the mulch, and depths of hole and ball. */
    private final double hole;

    private final double ball;
    private final double mulch;
    private final double deep;
    private final double slope;

    SectionPaths(SectionDrawing drawing) {
        this.drawing = drawing;
        this.section = drawing.section();
        this.sheet = drawing.sheet();
        this.x = sheet.x(0);
        this.board = sheet.y(0);
        this.ground = sheet.y(drawing.ground());
        this.flare = sheet.y(drawing.flareNow());
        this.union = sheet.y(drawing.unionNow());
        this.hole = sheet.size(section.width() / 2);
        this.ball = sheet.size(section.setting().tree().ballDiameter() / 2);
        this.mulch = sheet.size(section.mulchRing() / 2);
        this.deep = sheet.size(section.depth());
        this.slope = drawing.slope();
    }

    /** The ground at a place: the board lies on it at the high edge of the hole. */
    private double level(double at) {
        return board + slope * (at - (x - hole));
    }

    /** Tilts what is drawn level about the high edge of the hole; null on level ground. */
    public String lean() {
        return slope == 0
                ? null
                : Svg.translate(x - hole, board)
                        + " skewY(" + Svg.number(Math.toDegrees(Math.atan(slope))) + ") "
                        + Svg.translate(hole - x, -board);
    }

    /** Between the board and the ground at the low edge of the hole. */
    public String lowSide() {
        return Svg.path("M# #V#m-4 0h8", x + hole + 6, board, level(x + hole + 6));
    }

    /** How far down the sheet a depth below the ground lies at its left edge. @param metres below the ground */
    public double atLeft(double metres) {
        return (slope == 0 ? ground : level(LEFT)) + sheet.size(metres);
    }

    /** A ring of mesh round the stem, its foot let into the ground. */
    public String guard() {
        Guard guard = section.guard().orElseThrow();
        double half = sheet.size(guard.across() / 2);
        double top = Math.max(TOP_OF_SHEET, flare - sheet.size(guard.height()));
        double foot = flare + sheet.size(guard.roll() - guard.height());
        return Svg.path("M# #V#M# #V#M# #H#", x - half, foot, top, x + half, foot, top, x - half, top, x + half);
    }

    public String mound() {
        Mound raised = drawing.mound().orElseThrow();
        double top = sheet.size(raised.top() / 2);
        double foot = sheet.size(raised.base() / 2);
        return Svg.path("M# #L# #H#L# #z", x - foot, ground, x - top, board, x + top, x + foot, ground);
    }

    public String hole() {
        double bottom = section.setting()
                .ground()
                .hole()
                .bottom()
                .map(wide -> sheet.size(wide / 2))
                .orElse(hole);
        return Svg.path(
                "M# #L# #H#L# #z", x - hole, board, x - bottom, board + deep, x + bottom, x + hole, level(x + hole));
    }

    /** The mesh inside the wall, both sides. */
    public String mesh() {
        double down = sheet.size(MESH_DEEP);
        return Svg.path("M# #v#M# #v#", x - hole + 3, board, down, x + hole - 3, board, down);
    }

    /** The ring that holds water: its crest on both sides, of a crescent on the right alone. */
    public String basin() {
        Basin basin = section.basin().orElseThrow();
        double high = sheet.size(basin.height());
        double wide = sheet.size(basin.width());
        double low = level(x + hole + wide / 2);
        String right = Svg.path(
                "M# #L# #L# #z",
                x + hole,
                level(x + hole),
                x + hole + wide / 2,
                low - high,
                x + hole + wide,
                level(x + hole + wide));
        return basin.kind() == Basin.Kind.CRESCENT
                ? right
                : right
                        + Svg.path(
                                "M# #L# #L# #z",
                                x - hole,
                                board,
                                x - hole - wide / 2,
                                board - high,
                                x - hole - wide,
                                level(x - hole - wide));
    }

    /** Ties from stake to stem, slack. */
    public String ties() {
        Stake stake = section.stake().orElseThrow();
        double off = sheet.size(stake.off() + section.setting().tree().stem() / 2);
        double at = stake.place().slanted() ? x - drawing.flip() * 6 : x - drawing.flip() * off;
        StringBuilder ties = new StringBuilder();
        for (double height : stake.ties()) {
            double y = board - sheet.size(height);
            if (y > TOP_OF_SHEET) {
                ties.append(Svg.path("M# #Q# # # #", at, y, (at + x) / 2, y + 9, x, y));
            }
        }
        return ties.toString();
    }

    /** The soil that rises from the edge of the hole to the flare. */
    public String rise() {
        return Svg.path(
                "M# #Q# # # #H#Q# # # #z",
                x - hole - 14,
                level(x - hole - 14),
                x - ball - 20,
                flare + 2,
                x - ball,
                flare,
                x + ball,
                x + ball + 20,
                flare + 2,
                x + hole + 14,
                level(x + hole + 14));
    }

    public String mulch() {
        return heap(-1) + heap(1);
    }

    private String heap(int side) {
        double thick = sheet.size(section.mulchDepth());
        double clear =
                sheet.size(section.mulchClear() + section.setting().tree().stem() / 2);
        return Svg.path(
                "M# #Q# # # #L# #Q# # # #z",
                x + side * mulch,
                level(x + side * mulch),
                x + side * (mulch - 20),
                level(x + side * (mulch - 20)) - thick,
                x + side * (clear + 34),
                flare - thick * 0.8,
                x + side * clear,
                flare,
                x + side * (ball + 12),
                flare,
                x + side * (hole + 10),
                level(x + side * (hole + 10)));
    }

    /** To windward, outside the ball. */
    public String stake() {
        Stake stake = section.stake().orElseThrow();
        double off = sheet.size(stake.off() + section.setting().tree().stem() / 2);
        if (stake.place().slanted()) {
            double foot = x + drawing.flip() * off;
            double down = sheet.size(stake.buried() * Math.sqrt(0.5));
            double up = Math.min(board - TOP_OF_SHEET, sheet.size(stake.top()));
            return Svg.path(
                    "M# #L# #h9L# #z",
                    foot + drawing.flip() * down,
                    board + down,
                    foot - drawing.flip() * up - 4,
                    board - up,
                    foot + drawing.flip() * down,
                    board + down);
        }
        double at = x - drawing.flip() * off;
        double top = Math.max(TOP_OF_SHEET, board - sheet.size(stake.above()));
        return Svg.path("M# #h8V#l-4 12l-4 -12z", at - 4, top, board + sheet.size(stake.buried()));
    }

    public String board() {
        return Svg.path("M# #H538", x - mulch - 40, board);
    }

    public String unionLine() {
        return Svg.path("M# #H548", x + 8, union);
    }

    public String unionMeasure() {
        return Svg.path("M543 #h10m-5 0V#m-5 0h10", union, board);
    }

    public String flareMeasure() {
        return Svg.path("M122 #h10m-5 0V#m-5 0h10", flare, board);
    }

    public String flareLine() {
        return Svg.path("M132 #H#", flare, x - ball);
    }

    public String depthMeasure() {
        return Svg.path("M# #h10m-5 0v#m-5 0h10", x + hole + 24, board, deep);
    }

    public String widthMeasure() {
        return Svg.path("M# #v10m0 -5h#m0 -5v10", x - hole, board + deep + 14, 2 * hole);
    }

    /** Where the words of the storm stand. */
    public String stormAt() {
        return drawing.flip() == 1 ? "translate(40,130)" : "translate(600,160)";
    }

    public String gusts() {
        return drawing.flip() == 1
                ? "M0 16h70m-9 -6l9 6l-9 6M0 36h52m-9 -6l9 6l-9 6"
                : "M80 16h-70m9 -6l-9 6l9 6M80 36h-52m9 -6l-9 6l9 6";
    }

    /** @param metres that the scale bar is long */
    public String bar(double metres) {
        return bar(metres, sheet);
    }

    /** The same on another sheet. */
    public String bar(double metres, Sheet on) {
        return Svg.path("M0 -4v8m0 -4h#m0 -4v8", on.size(metres));
    }

    /** Where the words of the scale bar begin. */
    public double barEnd(double metres) {
        return barEnd(metres, sheet);
    }

    /** The same on another sheet. */
    public double barEnd(double metres, Sheet on) {
        return on.size(metres) + 6;
    }
}
