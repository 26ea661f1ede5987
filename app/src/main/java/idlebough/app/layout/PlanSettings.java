package idlebough.app.layout;

import idlebough.app.plan.Row;
import idlebough.core.layout.RowFill;
import idlebough.core.crop.ChillModel;
import java.time.LocalDate;

/** What the plan as a whole is set to: above all its planting date. */
public record PlanSettings(
        String id,
        String orchardId,
        LocalDate plantingDate,
        ChillModel chillModel,
        RowFill.Pattern pattern,
        double margin,
        double alley,
        Double bearing,
        int version)
        implements Row {
    @Override
    public String entity() {
        return "plan";
    }
}
