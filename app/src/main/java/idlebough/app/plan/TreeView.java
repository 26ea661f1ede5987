package idlebough.app.plan;

import idlebough.app.layout.Peg;
import idlebough.app.layout.Tree;
import idlebough.app.layout.TreeState;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.layout.PlannedTree;
import idlebough.core.planting.PlantingSection;
import idlebough.core.crop.Rootstock;
import idlebough.core.site.Footing;
import idlebough.core.site.SoilPit;
import idlebough.core.crop.Variety;

/**
 * One tree with everything reckoned about it.
 *
 * @param pit that speaks for its place: the nearest; null when there is none
 * @param footing chosen for it, or what the soil asks for
 */
public record TreeView(
        Tree row,
        Peg peg,
        Variety variety,
        Rootstock stock,
        SoilPit pit,
        Footing footing,
        PlannedTree planned,
        PlantingSection section,
        FirstSeason season) {
    public String id() {
        return row.id();
    }

    public String label() {
        return peg.label();
    }

    /** “C3, plum ‘Stanley’” */
    public String title() {
        return peg.label() + ", " + variety.label();
    }

    public boolean toPlant() {
        return row.state() == TreeState.PLANNED || row.state() == TreeState.ORDERED;
    }

    /** Whether a record of the planting belongs to it: planted lately, not an old tree that was there before. */
    public boolean planted() {
        return row.state() == TreeState.PLANTED;
    }
}
