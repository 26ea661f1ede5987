package idlebough.app.store;

/** An orchard's own chill need, laid over a shipped variety. */
public record OwnFigureRow(RowKey key, String varietyKey, double chillNeed) implements Row {}
