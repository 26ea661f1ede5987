package idlebough.app.store;

/** Whose eyes see which orchard: every statement on an orchard's data takes one and joins membership by it. */
public record Scope(String orchard, String account) {}
