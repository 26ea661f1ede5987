package idlebough.app.planting;

import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.core.crop.Form;
import idlebough.core.planting.PlantingSection;
import idlebough.core.site.Mound;
import java.util.Arrays;
import java.util.List;

/** The outlines of the cross-section as SVG paths, page units; only what is measured is to scale. */
public final class SectionPaths {
    /** How far out each root ends, shares of half the ball. */
    private static final double[] ROOTS = {-0.85, -0.6, -0.3, -0.05, 0.25, 0.55, 0.85};

    private static final double TOP_OF_SHEET = 60;
    private static final double BESIDE_BALL = 16;
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
    private final double high;

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
        this.high = sheet.size(section.setting().tree().ballHeight());
    }

    public boolean bare() {
        return section.setting().tree().form() == Form.BARE;
    }

    public String mound() {
        Mound raised = drawing.mound().orElseThrow();
        double top = sheet.size(raised.top() / 2);
        double foot = sheet.size(raised.base() / 2);
        return Svg.path("M# #L# #H#L# #z", x - foot, ground, x - top, board, x + top, x + foot, ground);
    }

    public String hole() {
        return Svg.path("M# #v#h#v#z", x - hole, board, deep, 2 * hole, -deep);
    }

    /** The soil that rises from the edge of the hole to the flare. */
    public String rise() {
        return Svg.path(
                "M# #Q# # # #H#Q# # # #z",
                x - hole - 14,
                board,
                x - ball - 20,
                flare + 2,
                x - ball,
                flare,
                x + ball,
                x + ball + 20,
                flare + 2,
                x + hole + 14,
                board);
    }

    public String ball() {
        return Svg.path(
                "M# #L# #H#L# #z", x - ball, flare, x - 0.85 * ball, flare + high, x + 0.85 * ball, x + ball, flare);
    }

    public List<String> roots() {
        return Arrays.stream(ROOTS)
                .mapToObj(out -> Svg.path(
                        "M# #Q# # # #",
                        x,
                        flare + 4,
                        x + out * ball * 0.4,
                        flare + high * 0.35,
                        x + out * ball,
                        flare + high * (0.92 - 0.25 * Math.abs(out))))
                .toList();
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
                board,
                x + side * (mulch - 20),
                board - thick,
                x + side * (clear + 34),
                flare - thick * 0.8,
                x + side * clear,
                flare,
                x + side * (ball + 12),
                flare,
                x + side * (hole + 10),
                board);
    }

    /** To windward, outside the ball. */
    public String stake() {
        double at = x - drawing.flip() * (ball + BESIDE_BALL);
        double top = Math.max(TOP_OF_SHEET, board - sheet.size(section.stakeAbove()));
        return Svg.path(
                "M# #h8V#l-4 12l-4 -12z", at - 4, top, board + sheet.size(section.stake() - section.stakeAbove()));
    }

    /** From the flare to the bend of the union. */
    public String rootstock() {
        return Svg.path(
                "M# #L# #Q# # # #H#Q# # # #L# #z",
                x - 6,
                flare + 4,
                x - 5,
                union,
                x - 10,
                union - 6,
                x - 3,
                union - 16,
                x + 3,
                x + 6,
                union - 6,
                x + 5,
                union,
                x + 6,
                flare + 4);
    }

    public String scion() {
        return Svg.path("M# #V90H#V#z", x - 3, union - 15, x + 3, union - 15);
    }

    /** The stem of a tree on its own roots. */
    public String seedling() {
        return Svg.path("M# #L# 90H#L# #z", x - 6, flare + 4, x - 2, x + 2, x + 6, flare + 4);
    }

    public String branches() {
        return Svg.path(
                "M# 150Q# 130 # 92M# 180Q# 160 # 118M# 122Q# 105 # 70M# 92V50",
                x,
                x + 44,
                x + 60,
                x,
                x - 50,
                x - 72,
                x,
                x - 30,
                x - 44,
                x);
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
        return Svg.path("M0 -4v8m0 -4h#m0 -4v8", sheet.size(metres));
    }

    /** Where the words of the scale bar begin. */
    public double barEnd(double metres) {
        return sheet.size(metres) + 6;
    }
}
