package idlebough.app.tree;

import java.util.List;
import java.util.Random;

/** Somebody of 1.7 m with a spade, the measure beside every tree. */
public final class Person {
    /** m */
    public static final double HEIGHT = 1.7;

    private static final double NEAR = 60;

    private Person() {}

    /** @param scale page units to the metre; feet at 0, 0 */
    public static List<Stroke> of(double scale) {
        Pen pen = new Pen(scale, new Random(1));
        double line = scale > NEAR ? 1.2 : 0.9;
        pen.metres(
                "tr-cloth",
                line,
                "M# #L# #L# #L# #L# #L# #L# #L# #L# #L# #L# #",
                -.165,
                .84,
                -.17,
                .05,
                -.22,
                0,
                -.04,
                0,
                -.05,
                .05,
                -.005,
                .72,
                .05,
                .05,
                .04,
                0,
                .22,
                0,
                .17,
                .05,
                .165,
                .84);
        pen.metres(
                "tr-coat",
                line,
                "M# #L# #L# #L# #L# #L# #L# #L# #L# #L# #L# #L# #L# #L# #L# #Z",
                -.06,
                1.46,
                -.2,
                1.41,
                -.25,
                1.12,
                -.22,
                .82,
                -.165,
                .84,
                -.175,
                1.12,
                -.17,
                .78,
                .17,
                .78,
                .175,
                1.12,
                .24,
                1.0,
                .4,
                1.0,
                .4,
                1.07,
                .28,
                1.08,
                .2,
                1.41,
                .06,
                1.46);
        pen.metres(
                "tr-cloth",
                line,
                "M# #C# # # # # #C# # # # # #Z",
                0,
                1.66,
                .12,
                1.66,
                .12,
                1.42,
                0,
                1.42,
                -.12,
                1.42,
                -.12,
                1.66,
                0,
                1.66);
        pen.metres("tr-coat", line, "M# #Q# # # #Q# # # #Z", -.1, 1.6, -.1, 1.71, 0, 1.7, .1, 1.71, .1, 1.6);
        pen.metres("tr-line", line * 1.3, "M# #Q# # # #", -.2, 1.585, 0, 1.64, .2, 1.585);
        pen.metres("tr-line", line * 1.5, "M# #L# #M# #L# #", .4, 1.25, .4, .28, .34, 1.26, .46, 1.26);
        pen.metres("tr-cloth", line, "M# #L# #L# #Q# # # #Z", .33, .3, .47, .3, .47, .1, .4, -.02, .33, .1);
        for (double y = .86; y < 1.36; y += Math.max(.045, 3.2 / scale)) {
            pen.metres("tr-line", .55, "M# #L# #", .16, y, .03, y - .05);
        }
        return pen.strokes();
    }
}
