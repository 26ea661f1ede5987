package idlebough.app.planting;

import idlebough.app.web.Sheet;
import idlebough.core.planting.PlantingSection;
import idlebough.core.site.Footing;
import idlebough.core.site.Mound;
import idlebough.core.site.SoilPit;

/**
 * The cross-section's measures for one moment, metres above the board, and the sheet they are drawn on.
 *
 * @param sunk how far the ball has sunk by then
 * @param ground level of the natural ground below the board; negative on a mound
 * @param flip 1 when the stake stands on the left (storms from the west), −1 on the right
 */
public record SectionDrawing(
        PlantingSection section,
        SoilPit pit,
        int weeks,
        double sunk,
        double ground,
        double topsoil,
        int flip,
        Sheet sheet,
        Mound mound) {
    private static final double CENTRE = 318;
    private static final double BOARD = 352;

    public static SectionDrawing of(PlantingSection section, SoilPit pit, int weeks) {
        boolean raised = section.setting().footing() != Footing.GRADE;
        Mound mound = raised ? Mound.of(section.setting().footing().height()) : null;
        double half = Math.max(
                Math.max(section.mulchRing(), section.width()) / 2 + 0.12, raised ? mound.base() / 2 + 0.05 : 0);
        double down = section.depth() + 0.25 + section.setting().footing().height();
        double scale = Math.min(Math.min(290 / half, 250 / down), 290);
        int flip = section.setting().stormWind().filter(storm -> storm < 180).isPresent() ? -1 : 1;
        return new SectionDrawing(
                section,
                pit,
                weeks,
                section.settling().after(weeks),
                -section.setting().footing().height(),
                pit == null ? 0.25 : pit.topsoil(),
                flip,
                new Sheet(726, 660, scale, CENTRE, BOARD),
                mound);
    }

    public double unionNow() {
        return section.unionToday() - sunk;
    }

    public double flareNow() {
        return section.raise() - sunk;
    }

    /** Bearing from which storms come, degrees; null when not known. */
    public Double storm() {
        return section.setting().stormWind().orElse(null);
    }

    public SectionPaths paths() {
        return new SectionPaths(this);
    }
}
