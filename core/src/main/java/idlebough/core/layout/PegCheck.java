package idlebough.core.layout;

/**
 * What was measured between two pegs that are set.
 *
 * @param from and to: ids of their trees
 * @param metres on the level
 */
public record PegCheck(String id, String from, String to, double metres) {}
