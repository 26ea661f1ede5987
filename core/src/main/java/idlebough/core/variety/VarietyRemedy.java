package idlebough.core.variety;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;

/** What can be done about a variety. */
public interface VarietyRemedy extends Remedy {
    /** Leads to the other varieties of its crop. */
    record SeeOthers(Phrase label, String crop) implements VarietyRemedy {}

    /** Stands it in a pot that goes under cover. */
    record GrowInPot(Phrase label, String variety) implements VarietyRemedy {}

    /** Leads to what bloom and frost were in each spring. */
    record SeeSprings(Phrase label, String variety) implements VarietyRemedy {}
}
