package idlebough.core.daybook;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;

/** What can be done about a tree in the ground. */
public interface DaybookRemedy extends Remedy {
    /** Leads to where its union is measured again. */
    record MeasureUnion(Phrase label, String tree) implements DaybookRemedy {}
}
