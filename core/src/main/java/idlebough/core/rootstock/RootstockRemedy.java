package idlebough.core.rootstock;

import idlebough.core.judge.Phrase;
import idlebough.core.judge.Remedy;
import idlebough.core.judge.Subject;

/** What can be done about a stock. */
public interface RootstockRemedy extends Remedy {
    /**
     * Leads to the stocks of a choice.
     *
     * @param of a choice, or a tree whose choice is meant
     */
    record SeeStocks(Phrase label, Subject of) implements RootstockRemedy {}

    /** Takes another stock for a choice. */
    record TakeStock(Phrase label, String choice, String stock) implements RootstockRemedy {}
}
