package idlebough.core.irrigation;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;

/** What can be done about the first weeks' water. */
public interface IrrigationRemedy extends Remedy {
    /** Leads to where the planting date is set. */
    record ChooseDate(Phrase label) implements IrrigationRemedy {}
}
