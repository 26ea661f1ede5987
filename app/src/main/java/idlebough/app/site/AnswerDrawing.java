package idlebough.app.site;

import idlebough.app.web.Svg;
import idlebough.core.site.SoilPit;
import idlebough.core.site.WhatToDo;

/**
 * The section of the advised answer, page units: what is heaped up with its own side slope, the tree on it, and what was
 * found in the pit.
 *
 * @param heap path of its outline; empty where nothing is heaped
 * @param tree and roots: paths
 * @param height and foot: paths of the two measures of the heap
 * @param heightX and heightY: place of its words
 * @param below what was found in the pit
 */
public record AnswerDrawing(
        String heap,
        String tree,
        String roots,
        String height,
        String foot,
        double heightX,
        double heightY,
        Below below) {
    private static final double MIDDLE = 363;
    private static final double GROUND = 360;
    private static final double WIDEST = 340;
    private static final double SCALE = 150;
    private static final double RIGHT = 640;

    /** Paths and places of words of wet ground and a pan, where there are any. */
    private record Below(String wet, double wetY, String pan, double panY) {}

    static AnswerDrawing of(WhatToDo.Heap heap, SoilPit pit) {
        double scale = Math.min(SCALE, 2 * WIDEST / Math.max(heap.width(), 1e-9));
        double up = GROUND - heap.height() * scale;
        double foot = heap.width() / 2 * scale;
        double top = heap.top() / 2 * scale;
        double wet = GROUND + scale * pit.profile().wetFrom().orElse(0.0);
        double pan = GROUND + scale * pit.pan().orElse(0.0);
        return new AnswerDrawing(
                heap.height() > 0
                        ? Svg.path(
                                "M# #L# #H#L# #Z",
                                MIDDLE - foot,
                                GROUND,
                                MIDDLE - top,
                                up,
                                MIDDLE + top,
                                MIDDLE + foot,
                                GROUND)
                        : "",
                Svg.path("M363 #V#M363 #l-60 -50m60 10l56 -52", up, up - 200, up - 120),
                Svg.path("M363 #l-38 34m38 -30l42 38m-42 -40l4 52m-4 -50l-14 50", up + 2),
                Svg.path("M# 360V#m-6 0h12m-6 0V360m-6 0h12", MIDDLE + foot + 22, up),
                Svg.path("M# 388H#m0 -6v12M# 382v12", MIDDLE - foot, MIDDLE + foot, MIDDLE - foot),
                Math.min(RIGHT, MIDDLE + foot + 34),
                (GROUND + up) / 2 + 6,
                new Below(Svg.path("M0 #H726", wet), wet - 6, Svg.path("M0 #H726", pan), pan + 18));
    }

    public String wet() {
        return below.wet();
    }

    public double wetY() {
        return below.wetY();
    }

    public String pan() {
        return below.pan();
    }

    public double panY() {
        return below.panY();
    }
}
