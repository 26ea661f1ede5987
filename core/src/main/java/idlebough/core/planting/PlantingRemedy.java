package idlebough.core.planting;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;

/** What can be done about a hole and its tree. */
public interface PlantingRemedy extends Remedy {
    /** Leads to where a tree is entered as it came. */
    record EnterTree(Phrase label, String tree) implements PlantingRemedy {}

    /** Leads to where the union is entered as it stands. */
    record MeasureAgain(Phrase label, String tree) implements PlantingRemedy {}

    /** Leads to where the planting date is set. */
    record ChooseDate(Phrase label) implements PlantingRemedy {}
}
