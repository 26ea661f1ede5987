package idlebough.core.planting;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import java.time.LocalDate;

/** What can be done about a hole and its tree. */
public interface PlantingRemedy extends Remedy {
    /** Leads to where a tree is entered as it came. */
    record EnterTree(Phrase label, String tree) implements PlantingRemedy {}

    /** Gives up the grower's own hole for the one that is proposed. */
    record TakeHole(Phrase label, String tree) implements PlantingRemedy {}

    /** Leads to where the union is entered as it stands. */
    record MeasureAgain(Phrase label, String tree) implements PlantingRemedy {}

    /** Sets the planting date. */
    record SetDate(Phrase label, LocalDate day) implements PlantingRemedy {}

    /** Leads to where what was seen on arrival is entered. */
    record LookAgain(Phrase label, String tree) implements PlantingRemedy {}

    /** Leads to where the planting date is set. */
    record ChooseDate(Phrase label) implements PlantingRemedy {}
}
