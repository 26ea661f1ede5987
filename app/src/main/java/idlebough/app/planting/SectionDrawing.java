package idlebough.app.planting;

import idlebough.app.tree.Plate;
import idlebough.app.web.Sheet;
import idlebough.app.web.TreeView;
import idlebough.core.crop.Form;
import idlebough.core.planting.PlantingSection;
import idlebough.core.site.DrainageRate;
import idlebough.core.site.Footing;
import idlebough.core.site.Mound;
import idlebough.core.site.SoilPit;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The cross-section's measures for one moment, metres above the board, and the sheet they are drawn on.
 *
 * @param pit that speaks for the place
 * @param mound it stands on; empty on the grade
 * @param tree as it comes, its flare where it stands by then
 */
public record SectionDrawing(
        PlantingSection section, Optional<SoilPit> pit, int weeks, Sheet sheet, Optional<Mound> mound, Plate tree) {
    private static final double USUAL_TOPSOIL = 0.25;
    private static final double CENTRE = 318;
    private static final double BOARD = 352;
    private static final double STEP = 10;
    private static final double MOUND_SHOWN = 1.4;
    /** Less fall across the hole is drawn level, m. */
    private static final double LEVEL = 0.02;
    /** Bare roots are spread over a cone: they lie flatter than they hang. */
    private static final double SPREAD = 0.78;

    static SectionDrawing of(PlantingSection section, Optional<SoilPit> pit, int weeks, TreeView tree) {
        Footing footing = section.setting().footing();
        Optional<Mound> mound = section.mound();
        // A wide mound runs out of the sheet, so that the hole in it can still be seen.
        double half = Math.max(
                Math.max(section.mulchRing(), section.width()) / 2 + 0.12,
                mound.map(raised -> Math.min(MOUND_SHOWN, raised.base() / 2 + 0.05))
                        .orElse(0.0));
        double down = section.depth() + 0.25 + footing.height();
        // In steps, so that the drawing keeps its scale, and its tree, while the tree is lifted.
        double scale = STEP * Math.floor(Math.min(Math.min(290 / half, 250 / down), 290) / STEP);
        Sheet sheet = new Sheet(726, 660, scale, CENTRE, BOARD);
        boolean bare = section.setting().tree().form() == Form.BARE;
        double flare = section.raise() - section.settling().after(weeks);
        return new SectionDrawing(
                section,
                pit,
                weeks,
                sheet,
                mound,
                Plate.of(NurseryDrawing.figure(tree, bare ? SPREAD : 1), sheet.x(0), sheet.y(flare), scale));
    }

    /** 1 when the stake stands on the left (storms from the west), −1 on the right. */
    int flip() {
        return section.setting().stormWind().filter(storm -> storm < 180).isPresent() ? -1 : 1;
    }

    /** How far the ball has sunk by then. */
    public double sunk() {
        return section.settling().after(weeks);
    }

    /** Level of the natural ground; negative on a mound. */
    public double ground() {
        return -section.setting().footing().height();
    }

    /** Rise over run of the ground as it is drawn, falling to the right; 0 on a mound, whose top is level. */
    double slope() {
        boolean sloping = section.setting().footing() == Footing.GRADE && section.fallAcross() >= LEVEL;
        return sloping ? section.setting().soil().slope() : 0;
    }

    /**
     * A layer of the pit below its topsoil.
     *
     * @param top and bottom: m below the ground
     * @param fill by its colour
     */
    public record Layer(double top, double bottom, String fill, String texture) {}

    /** What the pit showed below the topsoil; empty where nobody wrote it down. */
    public List<Layer> layers() {
        List<Layer> layers = new ArrayList<>();
        double from = topsoil();
        for (SoilPit.Layer seen :
                pit.map(SoilPit::profile).map(SoilPit.Profile::layers).orElse(List.of())) {
            layers.add(new Layer(
                    from,
                    seen.bottom(),
                    seen.colour().map(colour -> "url(#c-" + colour.name() + ")").orElse("url(#sb)"),
                    seen.texture().label()));
            from = seen.bottom();
        }
        return layers;
    }

    /** Depth at which water stood in the pit, m below the ground. */
    public Optional<Double> water() {
        return pit.flatMap(seen -> seen.profile().waterAt());
    }

    public double topsoil() {
        return pit.map(SoilPit::topsoil).orElse(USUAL_TOPSOIL);
    }

    /** mm/h, where it was tested. */
    public Optional<Double> rate() {
        return pit.flatMap(SoilPit::rate).map(DrainageRate::normalisedMmPerHour);
    }

    public double unionNow() {
        return section.unionToday() - sunk();
    }

    public double flareNow() {
        return section.raise() - sunk();
    }

    /** Bearing from which storms come, degrees; null when not known. */
    public Double storm() {
        return section.setting().stormWind().orElse(null);
    }

    public SectionPaths paths() {
        return new SectionPaths(this);
    }
}
