package idlebough.app.variety;

import idlebough.app.plan.Row;

/** An orchard's own chill need, laid over a shipped variety. */
public record OwnFigure(String id, String orchardId, String varietyKey, double chillNeed, int version, boolean deleted)
        implements Row {
    @Override
    public String entity() {
        return "variety_own";
    }
}
