package idlebough.app.layout;

import idlebough.app.plan.Row;
import idlebough.core.crop.Form;
import idlebough.core.site.Footing;
import java.time.LocalDate;

/** A tree, planned or standing, at a peg. */
public record Tree(
        String id,
        String orchardId,
        String pegId,
        String choiceId,
        String varietyKey,
        String rootstockKey,
        TreeState state,
        Form form,
        double ballDiameter,
        double ballHeight,
        Double unionAboveFlare,
        double stem,
        Footing footing,
        LocalDate plantedOn,
        int version,
        boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "tree";
    }
}
