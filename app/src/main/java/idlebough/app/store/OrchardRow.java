package idlebough.app.store;

/** How the orchard is called and whose clock it goes by. Its row's id is the orchard's own. */
public record OrchardRow(RowKey key, String name, String timeZone) implements Row {}
