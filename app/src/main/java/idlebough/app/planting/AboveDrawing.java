package idlebough.app.planting;

import idlebough.app.web.Sheet;
import idlebough.app.web.Svg;
import idlebough.core.planting.Basin;
import idlebough.core.planting.PlantingSection;
import idlebough.core.planting.Stake;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * One planting from above, north up, to scale; page units.
 *
 * @param hole, ball and mulch: radii
 * @param clear radius of the bare ground round the stem
 * @param mesh whether a ring of mesh lines the wall
 * @param basin outline of what is heaped; empty where nothing is
 * @param downhill transform of what is heaped, so that a crescent lies on the low side
 * @param stakes where they stand
 * @param turned transform of the arrow that shows to which side it is turned; empty where a tag tells it
 * @param storm transform of the arrow of the storms; empty when not known
 */
public record AboveDrawing(
        Sheet sheet,
        double hole,
        double ball,
        double mulch,
        double clear,
        boolean mesh,
        Optional<String> basin,
        String downhill,
        List<String> stakes,
        Optional<String> turned,
        Optional<String> storm) {
    private static final double X = 363;
    private static final double Y = 330;
    private static final double ROOM = 250;
    private static final double FULL = 360;
    private static final double HALF = 180;

    static AboveDrawing of(PlantingSection section) {
        double half = Math.max(section.mulchRing(), section.width()) / 2 + 0.2;
        double scale = ROOM / half;
        Sheet sheet = new Sheet(726, 660, scale, X, Y);
        return new AboveDrawing(
                sheet,
                sheet.size(section.width() / 2),
                sheet.size(section.setting().tree().ballDiameter() / 2),
                sheet.size(section.mulchRing() / 2),
                sheet.size(section.mulchClear() + section.setting().tree().stem() / 2),
                section.mesh() > 0,
                section.basin().map(basin -> basin(basin, sheet)),
                Svg.translate(X, Y) + " "
                        + Svg.turned(section.setting().around().downhill() - HALF),
                section.stake().map(stake -> stakes(stake, section, sheet)).orElse(List.of()),
                section.turning().bearing().map(AboveDrawing::arrow),
                section.setting().stormWind().map(AboveDrawing::arrow));
    }

    private static String arrow(double bearing) {
        return Svg.translate(X, Y) + " " + Svg.turned(bearing);
    }

    /** The crest of the ring about 0, 0; of a crescent its lower half, which is drawn to the south and turned. */
    private static String basin(Basin basin, Sheet sheet) {
        double r = sheet.size(basin.inner() / 2 + basin.width() / 2);
        return basin.kind() == Basin.Kind.CRESCENT
                ? Svg.path("M# 0A# # 0 0 0 # 0", -r, r, r, r)
                : Svg.path("M# 0a# # 0 1 0 # 0a# # 0 1 0 # 0z", -r, r, r, 2 * r, r, r, -2 * r);
    }

    /** To windward, or on a line across the wind, or at thirds of the round. */
    private static List<String> stakes(Stake stake, PlantingSection section, Sheet sheet) {
        double from = section.setting().stormWind().orElse(FULL - HALF / 2);
        double wind = stake.place().slanted() ? from + HALF : from;
        double off = sheet.size(stake.off());
        List<String> at = new ArrayList<>();
        double first = stake.count() == 2 ? wind + HALF / 2 : wind;
        for (int i = 0; i < stake.count(); i++) {
            double turn = Math.toRadians(first + FULL * i / stake.count());
            at.add(Svg.translate(X + off * Math.sin(turn), Y - off * Math.cos(turn)));
        }
        return at;
    }
}
