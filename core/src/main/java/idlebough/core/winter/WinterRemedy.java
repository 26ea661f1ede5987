package idlebough.core.winter;

import idlebough.core.crop.ChillModel;
import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;

/** What can be done about the record of winters. */
public interface WinterRemedy extends Remedy {
    /** Leads to where files are loaded. */
    record LoadRecord(Phrase label) implements WinterRemedy {}

    /** Counts the winters in another model. */
    record CountIn(Phrase label, ChillModel model) implements WinterRemedy {}
}
