package idlebough.app.variety;

import idlebough.app.plan.Row;

/** So many trees of one variety on one stock. */
public record Choice(
        String id, String orchardId, String varietyKey, String rootstockKey, int wanted, int version, boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "variety_choice";
    }
}
