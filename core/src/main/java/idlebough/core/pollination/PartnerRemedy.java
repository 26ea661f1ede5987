package idlebough.core.pollination;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Subject;

/** What can be done about a lonely tree. */
public interface PartnerRemedy extends Remedy {
    /** Leads to the varieties that would mend it. */
    record SeeMending(Phrase label, Subject tree) implements PartnerRemedy {}
}
