package idlebough.app.web;

import idlebough.app.store.PegRow;
import idlebough.app.store.TreeRow;
import idlebough.core.crop.NurseryTree;
import idlebough.core.crop.Rootstock;
import idlebough.core.crop.Variety;
import idlebough.core.irrigation.FirstSeason;
import idlebough.core.judge.Finding;
import idlebough.core.judge.Subject;
import idlebough.core.layout.PlannedTree;
import idlebough.core.orchard.Evaluation;
import idlebough.core.planting.PlantingSection;
import idlebough.core.site.Footing;
import idlebough.core.site.SoilPit;
import idlebough.core.site.Stand;
import idlebough.core.site.Tree;
import java.util.List;

/** One tree with its row and everything that the chain says of it, asked for when it is shown. */
public final class TreeView {
    private final Evaluation evaluation;
    private final Stand stand;
    private final TreeRow row;
    private final PegRow peg;

    TreeView(Evaluation evaluation, Stand stand, TreeRow row, PegRow peg) {
        this.evaluation = evaluation;
        this.stand = stand;
        this.row = row;
        this.peg = peg;
    }

    public TreeRow row() {
        return row;
    }

    public PegRow peg() {
        return peg;
    }

    public String id() {
        return stand.id();
    }

    /** As it comes, with what is usual where it was not measured. */
    public NurseryTree nursery() {
        return stand.tree().nursery();
    }

    public Subject subject() {
        return stand.subject();
    }

    public String label() {
        return stand.label();
    }

    /** “C3, plum ‘Stanley’” */
    public String title() {
        return stand.title();
    }

    public Variety variety() {
        return stand.variety();
    }

    /** Null while none is chosen. */
    public Rootstock stock() {
        return stand.stock().orElse(null);
    }

    /** The pit that speaks for its place; null without pits. */
    public SoilPit pit() {
        return evaluation.site().pitOf(stand.id()).orElse(null);
    }

    public Footing footing() {
        return stand.footing();
    }

    public PlannedTree planned() {
        return evaluation.layout().tree(stand.id());
    }

    /** As it stands in the ground where that was measured, else as it is planned. */
    public PlantingSection section() {
        return evaluation.planting().shownOf(stand.id());
    }

    /** What must be mended before it is planted, from every room. */
    public List<Finding> stops() {
        return evaluation.stopsOf(stand.id());
    }

    /** “C3, plum ‘Stanley’”, and whether something stops it. */
    public String picked() {
        return title() + (stops().isEmpty() ? "" : ": stop");
    }

    public FirstSeason season() {
        return evaluation.water().seasonOf(stand.id());
    }

    public boolean toPlant() {
        return stand.toPlant();
    }

    /** Whether a record of the planting belongs to it: planted lately, not an old tree that was there before. */
    public boolean planted() {
        return stand.tree().life().state() == Tree.State.PLANTED;
    }
}
